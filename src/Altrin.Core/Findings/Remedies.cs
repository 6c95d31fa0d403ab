using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings;

/// <summary>Proves remedies before they are offered.</summary>
internal static class Remedies
{
    /// <summary>
    /// The findings with those remedies only that can be applied, that make their own finding go and bring no new one of the
    /// same or a higher severity; each with what it settles, the one that settles most first.
    /// </summary>
    /// <param name="design">The design.</param>
    /// <param name="situation">The situation.</param>
    /// <param name="findings">The findings with what their rules propose.</param>
    /// <param name="most">How many are proven.</param>
    /// <param name="work">The work that each may take.</param>
    public static IReadOnlyList<Finding> Proven(Design design, Situation situation, IReadOnlyList<Finding> findings, int most, Work work)
    {
        var before = findings.Select(f => f.Identity).ToHashSet(StringComparer.Ordinal);
        // Each proof stands by itself, and half of what an answer costs lies here: all cores take part.
        var settled = findings
            .SelectMany((f, i) => f.Remedies.Select(r => (Finding: f, At: i, Remedy: r)))
            .Take(most)
            .AsParallel()
            .AsOrdered()
            .WithCancellation(work.Cancel)
            .Select(p => (p.At, p.Remedy, Settles: Settled(design, situation, p.Finding, p.Remedy, before, work.Again())))
            .Where(p => p.Settles is not null)
            .ToLookup(p => p.At, p => p.Remedy with { Settles = p.Settles! });
        return [.. findings.Select((f, i) => f with { Remedies = [.. settled[i].OrderByDescending(r => r.Settles.Count)] })];
    }

    private static IReadOnlyList<string>? Settled(
        Design design,
        Situation situation,
        Finding finding,
        Remedy remedy,
        HashSet<string> before,
        Work work
    )
    {
        var applied = ChangeList.Apply(design, remedy.Changes);
        if (!applied.Ok)
        {
            return null;
        }
        var network = Compiler.Compile(applied.Value, situation, work);
        var after = Judging.Judge(Observer.Observe(network), withRemedies: false).Findings;
        if (work.IsCut)
        {
            // What was not worked out is not proven.
            return null;
        }
        var identities = after.Select(f => f.Identity).ToHashSet(StringComparer.Ordinal);
        return identities.Contains(finding.Identity) || after.Any(f => f.Severity >= finding.Severity && !before.Contains(f.Identity))
            ? null
            : [.. before.Where(i => !identities.Contains(i)).Order(StringComparer.Ordinal)];
    }
}
