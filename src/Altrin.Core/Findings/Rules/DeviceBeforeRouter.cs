using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A customer's device on the provider's side.</summary>
public static class DeviceBeforeRouter
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "device-before-router",
            "before the router",
            "A device is plugged in before the router.",
            "No box of the home stands between it and the internet.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Network.Segment(PortRef.Street)
            .Interfaces.Where(i => i.Side == Side.Device && i.Linked)
            .Select(i =>
                e.BreaksLike(
                    e.Finding(
                        Rule,
                        [i.Owner],
                        $"{e.Name(i.Owner)} is plugged in before the router",
                        "Anyone on the internet can connect to it, and it finds nothing in the home.",
                        [],
                        ["Plug it into a LAN port of the router instead."]
                    ),
                    Cause.Of(CauseCodes.SeveralBeforeRouter, "", PortRef.Street)
                )
            );
}
