using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A further box that still announces itself as an IPv6 router.</summary>
public static class Ipv6Announced
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "ipv6-announced",
            "announces IPv6",
            "A box that no longer routes still announces itself as an IPv6 router.",
            "Devices prefer IPv6, and send their packets to it although its DHCP server is off. IPv6 itself is not judged here.",
            "RFC 4861; common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Design.SetUp.Boxes.Where(b =>
                e.Design.Box(b.Box)!.Profile.Habits.AnnouncesIpv6 == Known.Yes
                && !Routes(e, b)
                && e.Network.Segments.Any(s => s.Boxes.Contains(b.Box) && s.Interfaces.Any(i => i.Side == Side.Device))
            )
            .OrderBy(b => b.Box, StringComparer.Ordinal)
            .Select(b =>
                e.Finding(
                    Rule,
                    [b.Box],
                    $"{e.Name(b.Box)} does not route and still announces itself as an IPv6 router",
                    "Some pages stall and others load, by which of the two addresses a device tries first.",
                    [],
                    ["Switch IPv6, or its router advertisements, off in it; a DHCP server that is off does not stop them."]
                )
            );

    private static bool Routes(Evidence e, BoxSetting setting) =>
        setting.Mode is RouterMode && e.Network.Find(setting.Box, Side.Wan) is { Linked: true };
}
