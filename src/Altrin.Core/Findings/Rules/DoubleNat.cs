using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A router of the home behind another one: NAT twice between its devices and the internet.</summary>
public static class DoubleNat
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.DoubleNat,
            "double NAT",
            "Double NAT: a router is connected behind another router.",
            "Devices behind it open connections to the rest and to the internet; none open to them, and discovery does not cross. Plain browsing works.",
            "RFC 2663, RFC 3022",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Routers.Select(r => (r.Box, Wan: e.Network.Find(r.Box.Id, Side.Wan)))
            .Where(r => r.Wan is { Linked: true } && e.SegmentOf(r.Box.Id, Side.Lan)!.Interfaces.Any(i => i.Side == Side.Device))
            .Select(r => (r.Box, Above: e.Seen.Tracer.NatAbove(r.Box.Id)))
            .Where(r => r.Above.Count > 0)
            .Select(r =>
                e.Finding(
                    Rule,
                    [r.Box.Id],
                    $"Double NAT: {r.Box.Name} behind {e.Name(r.Above[0])}",
                    "Devices behind it reach outward; nothing reaches them from outside or from the rest of the home, and they do not find what is there by themselves.",
                    Cures.OneNetwork(e, r.Box.Id),
                    e.Design.Mode(r.Box.Id)!.Joins is null || r.Box.Profile.Modes.Contains(ModeKind.Repeater)
                        ? []
                        :
                        [
                            $"{r.Box.Name} joins by radio with a subnet of its own and knows no other way: connect it by cable as an access point, or put a repeater there that passes everything on.",
                        ]
                )
            );
}
