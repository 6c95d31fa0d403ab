namespace Altrin.Core.Procedures;

/// <summary>One act that was played.</summary>
/// <param name="Act">The act.</param>
/// <param name="Says">What was done, in words.</param>
/// <param name="Before">The state before.</param>
/// <param name="After">The state after; the same where it was refused.</param>
/// <param name="Takes">How long hands were busy with it.</param>
public sealed record PlayedStep(Act Act, string Says, State Before, State After, Duration Takes)
{
    /// <summary>What is typed, line by line.</summary>
    public IReadOnlyList<PageField> Lines => Act.Lines(Before.Design);

    /// <summary>How long the box is busy from then on; null where it is not.</summary>
    public Duration? Then { get; init; }

    /// <summary>Why it was not done; null where it was.</summary>
    public string? Refused { get; init; }

    /// <summary>What is taken to be so of the box, where its kind does not say; null where it does.</summary>
    public string? If { get; init; }

    /// <summary>What might be so instead.</summary>
    public IReadOnlyList<string> Otherwise { get; init; } = [];

    /// <summary>Invariants that it broke.</summary>
    public IReadOnlyList<Broken> Broken { get; init; } = [];

    /// <summary>Where it departs from the installer's own ways, each as a sentence.</summary>
    public IReadOnlyList<string> Departs { get; init; } = [];

    /// <summary>
    /// Plays one act: refused, it changes nothing. Of several outcomes the one that it names is taken, else the usual one.
    /// </summary>
    /// <param name="now">The state before.</param>
    /// <param name="act">What is done.</param>
    /// <param name="ways">The installer's ways.</param>
    public static PlayedStep Of(State now, Act act, Ways ways)
    {
        var says = act.Describe(now.Design);
        var done = act.From(now);
        var chosen = act.Outcome ?? 1;
        if (!done.Ok || chosen < 1 || chosen > done.Value.Count)
        {
            var why = done.Ok
                ? $"It has {done.Value.Count} outcome{(done.Value.Count == 1 ? "" : "s")}; there is no outcome {chosen}."
                : done.Error;
            return new(act, says, now, now, Duration.None) { Refused = why };
        }
        var outcome = done.Value[chosen - 1];
        return new(act, says, now, outcome.After, outcome.Takes)
        {
            Then = outcome.Then,
            If = outcome.If,
            Otherwise = [.. done.Value.Where(o => o != outcome).Select(o => o.If ?? "")],
            Broken = Invariant.BrokenBy(now, act, outcome.After),
            Departs = [.. Departures.Of(now, act, ways)],
        };
    }
}
