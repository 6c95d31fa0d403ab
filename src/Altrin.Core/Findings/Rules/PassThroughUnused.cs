using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A public address that is passed on to no box.</summary>
public static class PassThroughUnused
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "pass-through-unused",
            "pass-through unused",
            "IP pass-through is on, and no router takes the public address.",
            "The port is empty, or the MAC address is that of no WAN side plugged into it: often the one printed for the LAN side.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Routers.Where(r => r.Mode.Passing is not null && Passer.CableOf(e.Design, r.Box.Id) is null)
            .Select(r =>
                e.Finding(
                    Rule,
                    [r.Box.Id],
                    r.Mode.Passing!.Kind == PassKind.Port
                        ? $"IP pass-through of {r.Box.Name} leads to a port with nothing in it"
                        : $"IP pass-through of {r.Box.Name} is for {r.Mode.Passing.To}, which is no WAN MAC address of a router plugged into it",
                    "The router behind it gets a private address: double NAT.",
                    Aim(e, r.Box, r.Mode.Passing)
                )
            );

    /// <summary>Aims at the router whose WAN side is plugged into the gateway.</summary>
    private static IEnumerable<Remedy> Aim(Evidence e, Box gateway, Passing passing)
    {
        foreach (var cable in e.Design.SetUp.Cables.Where(c => c.Ends(gateway.Id)).OrderBy(c => c.Id, StringComparer.Ordinal))
        {
            var here = cable.A.Owner == gateway.Id ? cable.A : cable.B;
            var there = cable.OtherEnd(here);
            if (
                gateway.Profile.Port(here.Port)?.Role == PortRole.Lan
                && e.Design.Box(there.Owner) is { } router
                && router.Profile.Port(there.Port)?.Role == PortRole.Wan
                && e.Design.Mode(router.Id) is RouterMode
            )
            {
                if (passing.Kind == PassKind.Port)
                {
                    yield return Cures.Hopeful(
                        $"Set the pass-through to the port of {router.Name}",
                        new SetPassing(gateway.Id, passing with { Port = here.Port })
                    );
                }
                else if (router.WanMac is { } outer)
                {
                    yield return Cures.Hopeful(
                        $"Set the pass-through to {router.Name}, {outer}",
                        new SetPassing(gateway.Id, passing with { To = outer })
                    );
                }
            }
        }
    }
}
