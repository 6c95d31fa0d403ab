using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>The provider is asked for something, and one waits for it.</summary>
/// <param name="Question">What for.</param>
/// <param name="Minutes">How long one waits, 0 to 10,080 (a week).</param>
/// <param name="Answered">Whether it has done it by then.</param>
public sealed record AskProvider(ProviderQuestion Question, int Minutes, bool Answered) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        Minutes is < 0 or > 10_080
            ? Refused("One waits 0 to 10,080 minutes for the provider.")
            : One(now, Duration.Seconds(Minutes * 60, Minutes * 60, Minutes * 60), l =>
                l with
                {
                    Asked = [.. l.Asked.Where(a => a.Question != Question), new(Question, Answered)],
                }
            );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Ask the provider: {LedgerWords.Of(Question)}";
}
