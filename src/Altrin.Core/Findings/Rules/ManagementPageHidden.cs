using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A LAN that overlaps the page of a gateway that bridges or passes its address on.</summary>
public static class ManagementPageHidden
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "management-page-hidden",
            "page hidden",
            "The management page of a gateway in bridge mode or IP pass-through lies inside the LAN of the router behind it.",
            "The router looks for it in its own LAN, and the gateway can no longer be reached.",
            "RFC 1812; common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        foreach (
            var gateway in e
                .Design.SetUp.Boxes.Where(b => b.Mode is BridgeMode { Page: not null } || Passer.CableOf(e.Design, b.Box) is not null)
                .OrderBy(b => b.Box, StringComparer.Ordinal)
        )
        {
            var page = gateway.Mode is RouterMode passing ? passing.Lan : ((BridgeMode)gateway.Mode).Page!.Value;
            foreach (
                var router in e.Routers.Where(r =>
                    r.Box.Id != gateway.Box
                    && r.Mode.Lan.Subnet.Overlaps(page.Subnet)
                    && e.SegmentOf(r.Box.Id, Side.Wan) is { } above
                    && above.Boxes.Contains(gateway.Box)
                )
            )
            {
                yield return e.Finding(
                    Rule,
                    [gateway.Box, router.Box.Id],
                    $"The management page of {e.Name(gateway.Box)} at {page.Address} lies inside the LAN of {router.Box.Name}",
                    "The gateway's page does not open when the line has to be looked at.",
                    Cures.Renumber(e, router.Box.Id)
                );
            }
        }
    }
}
