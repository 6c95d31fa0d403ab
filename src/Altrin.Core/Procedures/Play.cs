using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>A list of acts, played one after another.</summary>
/// <param name="Steps">Each act, and what came of it.</param>
/// <param name="End">The state at the end.</param>
/// <param name="Undone">What is not as an invariant asks at the end: above all what was for the evening only.</param>
/// <param name="Left">What differs from the target at the end; empty where no target was named.</param>
public sealed record Play(IReadOnlyList<PlayedStep> Steps, State End, IReadOnlyList<Broken> Undone, IReadOnlyList<Change> Left)
{
    /// <summary>How many acts a list holds at most: a longer one is refused when it is read.</summary>
    public const int MostActs = 500;

    /// <summary>Where it began.</summary>
    public required State Start { get; init; }

    /// <summary>The set-up that it was to end in; null where none was named.</summary>
    public SetUp? Target { get; init; }

    /// <summary>What it takes at least to come from where it began to the target; null where no target was named.</summary>
    public WorkEstimate? Least() => Target is null ? null : WorkEstimate.Between(Start.Design, Target);

    /// <summary>Whether every act was done, no invariant broken, nothing left undone, and the target reached.</summary>
    public bool Whole => Steps.All(s => s.Refused is null && s.Broken.Count == 0) && Undone.Count == 0 && Left.Count == 0;

    /// <summary>What differs at the end, in words, each once: of two radios the same may be said.</summary>
    public IReadOnlyList<string> LeftInWords() => [.. Left.Select(c => c.Describe(End.Design)).Distinct()];

    /// <summary>
    /// Plays acts from a state. One that is refused changes nothing, and the rest is played all the same. Of several outcomes the one that
    /// the act names is taken, else the usual one. An invariant that stays broken is told once.
    /// </summary>
    /// <param name="start">Where it begins.</param>
    /// <param name="acts">What is done, in order.</param>
    /// <param name="target">The set-up that it is to end in; null for none.</param>
    /// <param name="cancel">Gives it up between two acts.</param>
    /// <exception cref="OperationCanceledException">It was given up.</exception>
    public static Play Of(State start, IReadOnlyList<Act> acts, SetUp? target, CancellationToken cancel = default) =>
        Of(start, acts, target, Ways.Usual, cancel);

    /// <summary>The same by an installer's own ways: where an act departs from them it is said, and done all the same.</summary>
    /// <param name="start">Where it begins.</param>
    /// <param name="acts">What is done, in order.</param>
    /// <param name="target">The set-up that it is to end in; null for none.</param>
    /// <param name="ways">The installer's ways.</param>
    /// <param name="cancel">Gives it up between two acts.</param>
    /// <exception cref="OperationCanceledException">It was given up.</exception>
    public static Play Of(State start, IReadOnlyList<Act> acts, SetUp? target, Ways ways, CancellationToken cancel = default)
    {
        var (now, steps) = (start, new List<PlayedStep>());
        var told = new HashSet<(int, string)>();
        foreach (var act in acts)
        {
            cancel.ThrowIfCancellationRequested();
            var says = act.Describe(now.Design);
            var done = act.From(now);
            var chosen = act.Outcome ?? 1;
            if (!done.Ok || chosen < 1 || chosen > done.Value.Count)
            {
                var why = done.Ok
                    ? $"It has {done.Value.Count} outcome{(done.Value.Count == 1 ? "" : "s")}; there is no outcome {chosen}."
                    : done.Error;
                steps.Add(new(act, says, now, now, Duration.None) { Refused = why });
                continue;
            }
            var outcome = done.Value[chosen - 1];
            var broken = Invariant.BrokenBy(now, act, outcome.After).Where(b => told.Add((b.Rule.Number, b.Violation.Identity))).ToList();
            steps.Add(
                new(act, says, now, outcome.After, outcome.Takes)
                {
                    Then = outcome.Then,
                    If = outcome.If,
                    Otherwise = [.. done.Value.Where(o => o != outcome).Select(o => o.If ?? "")],
                    Broken = broken,
                    Departs = [.. Departures.Of(now, act, ways)],
                }
            );
            now = outcome.After;
        }
        return new(steps, now, Invariant.LeftBy(now), target is null ? [] : now.Left(target)) { Start = start, Target = target };
    }
}

/// <summary>One act that was played.</summary>
/// <param name="Act">The act.</param>
/// <param name="Says">What was done, in words.</param>
/// <param name="Before">The state before.</param>
/// <param name="After">The state after; the same where it was refused.</param>
/// <param name="Takes">How long hands were busy with it.</param>
public sealed record PlayedStep(Act Act, string Says, State Before, State After, Duration Takes)
{
    /// <summary>What is typed, line by line.</summary>
    public IReadOnlyList<PageLine> Lines => Act.Lines(Before.Design);

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
}
