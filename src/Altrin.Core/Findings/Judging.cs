using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings;

/// <summary>The whole pipe: a design goes in, facts and findings come out.</summary>
public static class Judging
{
    /// <summary>The most remedies that are proven for one design; the rest is not offered.</summary>
    public const int MostProven = 120;

    /// <summary>
    /// How many remedies of a design are proven: all of a home's, fewer the larger the design, since each costs a whole proof, which
    /// itself grows faster than the design. One of 50 boxes and devices has 120, one of 500 has 12, one of 1,000 has 3; fewer still where
    /// each takes much work.
    /// </summary>
    public static int Provable(Design design)
    {
        var size = Math.Max(1, design.SetUp.Boxes.Count + design.SetUp.Devices.Count);
        return Math.Clamp(Math.Min(6_000 / size, 3_000_000 / (size * size)), 1, MostProven);
    }

    /// <summary>Compiles, observes and judges, and proves every remedy before it is offered.</summary>
    /// <param name="design">The design.</param>
    /// <param name="situation">The situation; null for a settled home.</param>
    /// <param name="work">The work that it may take, as much again for each remedy; null for as much as one proof may.</param>
    /// <exception cref="OperationCanceledException">It was given up.</exception>
    public static Proof Prove(Design design, Situation? situation = null, Work? work = null)
    {
        var at = situation ?? Situation.Settled;
        work ??= new(CancellationToken.None);
        var judged = Judge(Observer.Observe(Compiler.Compile(design, at, work)));
        // Each remedy costs about what the home itself did.
        var most = work.IsCut
            ? 0
            : (int)Math.Clamp(Work.MostForRemedies / Math.Max(1, work.Done), Math.Min(4, Provable(design)), Provable(design));
        var proven = Remedies.Proven(design, at, judged.Findings, most, work);
        // Among equally bad ones, what can be settled together with most others comes first.
        return judged with
        {
            Findings =
            [
                .. proven
                    .OrderByDescending(f => f.Severity)
                    .ThenBy(f => f.CausedBy.Count > 0)
                    .ThenByDescending(f => f.Remedies.Select(r => r.Settles.Count).DefaultIfEmpty().Max()),
            ],
        };
    }

    /// <summary>Judges an observation. Remedies are those that the rules propose, not yet proven.</summary>
    /// <param name="observation">What is judged.</param>
    /// <param name="withRemedies">Whether remedies are proposed; without them findings have none.</param>
    public static Proof Judge(Observation observation, bool withRemedies = true)
    {
        var evidence = new Evidence(observation, withRemedies);
        var found = Rule.All.SelectMany(r => Judged(r, evidence)).DistinctBy(f => f.Identity).ToList();
        var identities = found.Select(f => f.Identity).ToHashSet(StringComparer.Ordinal);
        var words = evidence.Design.SetUp.Accepted.ToDictionary(a => a.Finding, StringComparer.Ordinal);
        var findings = found
            .Select(f => f.CausedBy.Count == 0 ? f : f with { CausedBy = [.. f.CausedBy.Where(identities.Contains)] })
            .Select(f =>
                words.TryGetValue(f.Identity, out var word) && (word.Severe || f.Severity != Severity.WillNotWork)
                    ? f with
                    {
                        Accepted = word,
                    }
                    : f
            )
            .OrderByDescending(f => f.Severity)
            .ThenBy(f => f.CausedBy.Count > 0)
            .ThenBy(f => f.Identity, StringComparer.Ordinal)
            .ToList();
        return new(observation, findings, Verdict.Of(observation, findings));
    }

    private static IEnumerable<Finding> Judged(Rule rule, Evidence evidence)
    {
        evidence.Network.Work.Check();
        return rule.Judge(evidence);
    }
}

/// <summary>What is proven of a design.</summary>
/// <param name="Observation">The facts and what they were worked out with.</param>
/// <param name="Findings">What is wrong, the worst first.</param>
/// <param name="Verdict">All of it in one sentence.</param>
public sealed record Proof(Observation Observation, IReadOnlyList<Finding> Findings, Verdict Verdict);
