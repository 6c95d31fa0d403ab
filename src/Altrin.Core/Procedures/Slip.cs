using Altrin.Core.Packets;

namespace Altrin.Core.Procedures;

/// <summary>Something that goes wrong at an act and that hands do not notice at once.</summary>
/// <param name="Says">What went wrong, as a sentence.</param>
/// <param name="WayOut">What is done about it, as a sentence.</param>
/// <param name="After">The state then, in place of the one that was meant.</param>
public sealed record Slip(string Says, string WayOut, State After)
{
    /// <summary>What is seen in place of what the act is to show, where the state alone does not tell; null where it does.</summary>
    public SeenItem? Instead { get; init; }

    /// <summary>
    /// What is then seen otherwise than it should be: lines that are not as meant, and lines that should be there and are not. Empty where
    /// the slip shows nothing here.
    /// </summary>
    /// <param name="meant">What should be seen.</param>
    public IReadOnlyList<SeenItem> Shows(IReadOnlyList<SeenItem> meant)
    {
        if (Instead is { } line)
        {
            return [line];
        }
        var seen = SeenItem.Of(After);
        return
        [
            .. seen.Except(meant),
            .. meant
                .Where(m => m.Answer != AnswerKind.No && seen.All(s => s.Key != m.Key))
                .Select(m => m with { Says = "not there", Answer = AnswerKind.No }),
        ];
    }
}
