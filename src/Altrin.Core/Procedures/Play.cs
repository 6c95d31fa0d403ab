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
            var step = PlayedStep.Of(now, act, ways);
            steps.Add(step with { Broken = [.. step.Broken.Where(b => told.Add((b.Rule.Number, b.Violation.Identity)))] });
            now = step.After;
        }
        return new(steps, now, Invariant.LeftBy(now), target is null ? [] : now.Left(target)) { Start = start, Target = target };
    }
}
