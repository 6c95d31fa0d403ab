using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;

namespace Altrin.Core.Findings.Rules;

/// <summary>A router without NAT, where no router before it has a route back.</summary>
public static class NoReturnRouteRule
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.NoReturnRoute,
            "no way back",
            "Packets get out and their answers do not come back: a router without NAT, or another host takes the answers.",
            "Nothing behind it works, though every setting on it looks right.",
            "RFC 1812; a further router without NAT needs a static route on the one before it: common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Cited(CauseCodes.NoReturnRoute)
            .Select(cause =>
                e.Finding(
                    Rule,
                    cause.Subjects,
                    cause.Text.TrimEnd('.'),
                    "Devices behind it have an address and a gateway, and nothing answers.",
                    Cure(e, cause.Subjects[0])
                )
            );

    private static IEnumerable<Remedy> Cure(Evidence e, string router)
    {
        if (e.Network.Router(router) is not { Nat: false } mode)
        {
            yield break;
        }
        yield return Cures.Hopeful($"Switch NAT of {e.Name(router)} on", new SetNat(router, true));
        if (
            e.Network.Find(router, Side.Wan) is { Linked: true } wan
            && e.Seen.Hosts.MainRouters(e.Network.Segment(wan.Segment)) is [var up, ..]
            && Cures.Anchor(e, up.Owner, wan) is var (address, first)
        )
        {
            yield return Cures.Hopeful(
                $"Add a route to {mode.Lan.Subnet} on {e.Name(up.Owner)}",
                [.. first, new AddRoute(up.Owner, new(mode.Lan.Subnet, address))]
            );
        }
    }
}
