using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>An access point that hands out addresses when the main router is silent.</summary>
public static class DhcpServerWakes
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "dhcp-server-wakes",
            "serves when alone",
            "The DHCP server of an access point switches itself on while it hears no other.",
            "After a power cut it may be up first: devices get addresses from it that lead nowhere.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Design.SetUp.Boxes.Where(b =>
                b.Mode is AccessPointMode
                && e.Design.Box(b.Box)!.Profile.Habits.ServesWhenAlone == Known.Yes
                && e.SegmentOf(b.Box, Side.Page) is { } segment
                && segment.Servers.Any(s => !s.Woke)
            )
            .OrderBy(b => b.Box, StringComparer.Ordinal)
            .Select(b =>
                e.Finding(
                    Rule,
                    [b.Box],
                    $"{e.Name(b.Box)} switches its DHCP server on whenever it hears no other",
                    "After a power cut devices may have addresses that lead nowhere, until they are switched off and on.",
                    [],
                    [
                        "After a power cut start the main router first, and devices last.",
                        "As an access point (LAN to LAN, DHCP off) it stays silent.",
                    ]
                )
            );
}
