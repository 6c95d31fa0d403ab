using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A public address that is passed on to nobody.</summary>
public static class PassesNowhere
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } = new(
        "passes-nowhere",
        "passed on to nobody",
        "A gateway is to pass its public address on, and nobody takes it.",
        "The port is empty, or the hardware address is that of no outer side plugged into it: often the one printed for the inner side.",
        "common practice",
        Judge);

    private static IEnumerable<Finding> Judge(Evidence e) => e.Routers
        .Where(r => r.Mode.Passing is not null && Passer.CableOf(e.Design, r.Box.Id) is null)
        .Select(r => e.Finding(
            "passes-nowhere",
            [r.Box.Id],
            r.Mode.Passing!.Kind == PassKind.Port
                ? $"{r.Box.Name} passes its public address to a port with nothing in it"
                : $"{r.Box.Name} passes its public address to {r.Mode.Passing.To}, which no outer side plugged into it has",
            "The router behind it gets a private address, and everything is translated twice.",
            Aim(e, r.Box, r.Mode.Passing)));

    /// <summary>Aims at the router whose outer side is plugged into the gateway.</summary>
    private static IEnumerable<Remedy> Aim(Evidence e, Box gateway, Passing passing)
    {
        foreach (var cable in e.Design.SetUp.Cables.Where(c => c.Ends(gateway.Id)).OrderBy(c => c.Id, StringComparer.Ordinal))
        {
            var here = cable.A.Owner == gateway.Id ? cable.A : cable.B;
            var there = cable.OtherEnd(here);
            if (gateway.Profile.Port(here.Port)?.Role == PortRole.Lan && e.Design.Box(there.Owner) is { } router && router.Profile.Port(there.Port)?.Role == PortRole.Wan && e.Design.Mode(router.Id) is RouterMode)
            {
                if (passing.Kind == PassKind.Port)
                {
                    yield return Cures.Hopeful($"Pass it to the port of {router.Name}", new SetPassing(gateway.Id, passing with { Port = here.Port }));
                }
                else if (router.WanHardware is { } outer)
                {
                    yield return Cures.Hopeful($"Pass it to {router.Name}, {outer}", new SetPassing(gateway.Id, passing with { To = outer }));
                }
            }
        }
    }
}
