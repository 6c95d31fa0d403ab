using Altrin.Core.Networks;
using Altrin.Core.Packets;

namespace Altrin.Core.Findings.Rules;

/// <summary>A forward that aims at an address which its owner may lose.</summary>
public static class PortForwardToLease
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.PortForwardToLease,
            "forward to a lease",
            "A port is forwarded to an address that is leased and not reserved.",
            "It works until the lease changes.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Cited(CauseCodes.PortForwardToLease)
            .Select(cause =>
                e.Finding(
                    Rule,
                    cause.Subjects,
                    cause.Text.TrimEnd('.'),
                    "Reaching it from outside stops one day, after a restart.",
                    cause.Subjects.SelectMany(router =>
                        cause.Subjects.Where(t => t != router).SelectMany(target => Anchored(e, router, target))
                    )
                )
            );

    private static IEnumerable<Remedy> Anchored(Evidence e, string router, string target)
    {
        var host = e.Network.Find(target, Side.Device) ?? e.Network.Find(target, Side.Wan);
        if (host is null || e.Network.Router(router) is not { } mode || Cures.Anchor(e, router, host) is not var (address, first))
        {
            yield break;
        }
        var aimed = mode.Forwards.Where(f => e.Seen.Leasing.Holdings(host).Any(h => h.From is { } pool && pool.Contains(f.To)));
        yield return Cures.Hopeful(
            $"Keep {address} for {e.Name(target)}",
            [.. first, .. aimed.Select(f => f.To).Distinct().SelectMany(to => Cures.Redirect(mode, router, to, address))]
        );
    }
}
