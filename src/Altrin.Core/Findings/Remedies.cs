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
    public static IReadOnlyList<Finding> Proven(Design design, Situation situation, IReadOnlyList<Finding> findings, int most)
    {
        var before = findings.Select(f => f.Identity).ToHashSet(StringComparer.Ordinal);
        // Each proof stands by itself, and half of what an answer costs lies here: all cores take part.
        var settled = findings
            .SelectMany((f, i) => f.Remedies.Select(r => (Finding: f, At: i, Remedy: r)))
            .Take(most)
            .AsParallel().AsOrdered()
            .Select(p => (p.At, p.Remedy, Settles: Settled(design, situation, p.Finding, p.Remedy, before)))
            .Where(p => p.Settles is not null)
            .ToLookup(p => p.At, p => p.Remedy with { Settles = p.Settles! });
        return [.. findings.Select((f, i) => f with { Remedies = [.. settled[i].OrderByDescending(r => r.Settles.Count)] })];
    }

    private static IReadOnlyList<string>? Settled(Design design, Situation situation, Finding finding, Remedy remedy, HashSet<string> before)
    {
        var applied = ChangeList.Apply(design, remedy.Changes);
        if (!applied.Ok)
        {
            return null;
        }
        var after = Judging.Judge(Observer.Observe(Compiler.Compile(applied.Value, situation))).Findings;
        var identities = after.Select(f => f.Identity).ToHashSet(StringComparer.Ordinal);
        return identities.Contains(finding.Identity) || after.Any(f => f.Severity >= finding.Severity && !before.Contains(f.Identity))
            ? null
            : [.. before.Where(i => !identities.Contains(i)).Order(StringComparer.Ordinal)];
    }
}
