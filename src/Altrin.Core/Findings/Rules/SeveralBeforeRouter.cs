using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>Several ask the provider for an address.</summary>
public static class SeveralBeforeRouter
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.SeveralBeforeRouter,
            "several ask",
            "Several boxes or devices ask the provider, who gives one address.",
            "The first to ask has internet; the others have none, or wait until the lease runs out.",
            "one lease a customer: common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Seen.Leasing.Unreserved(PortRef.Street) <= Given(e)
            ? []
            :
            [
                e.Finding(
                    Rule,
                    [PortRef.Street],
                    $"{e.Seen.Leasing.Unreserved(PortRef.Street)} ask the provider for an address: {e.Names(Asking(e))}",
                    "One of them has internet, and which one changes after a power cut.",
                    [],
                    ["Only the router belongs on the internet line; plug all else into the router."]
                ),
            ];

    /// <summary>How many addresses the provider gives; a gateway that passes its own on needs none beside it.</summary>
    private static int Given(Evidence e) =>
        e
            .Network.Segment(PortRef.Street)
            .Servers.Where(s => s.Owner == PortRef.Street)
            .Select(s => s.Leases ?? int.MaxValue)
            .DefaultIfEmpty(int.MaxValue)
            .Max();

    private static IEnumerable<string> Asking(Evidence e) =>
        e.Network.Segment(PortRef.Street).Interfaces.Where(i => i.Setting is Automatic).Select(i => i.Owner);
}
