using Altrin.Core.Packets;

namespace Altrin.Core.Findings.Rules;

/// <summary>Overlapping subnets on both sides of a router; reports the same address on both sides too.</summary>
public static class OverlappingSubnets
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.OverlappingSubnets,
            "same subnet twice",
            "The subnets on the LAN and the WAN side of a router overlap.",
            "It cannot tell which side an address is on. What it then does differs from box to box.",
            "RFC 4632; two boxes with one factory subnet: common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Sheet.Overlaps.DistinctBy(o => o.Router)
            .Select(o =>
                o.MovedTo is not null
                    ? Moves(e, o)
                    : e.Finding(
                        Rule,
                        [o.Router],
                        o.SharedAddress is { } shared
                            ? $"{e.Name(o.Router)} has {o.Inner} on both sides, and its own address {shared} is in use on its WAN side too"
                            : $"{e.Name(o.Router)} has {o.Inner} on its LAN side and {o.Outer} on its WAN side",
                        "Behind it pages load by luck, and its management page may be that of the other box.",
                        [.. Cures.OneNetwork(e, o.Router), .. Cures.Renumber(e, o.Router)]
                    )
            );

    private static Finding Moves(Evidence e, OverlapFact overlap) =>
        e.Finding(
            Rule,
            [overlap.Router],
            $"{e.Name(overlap.Router)} has {overlap.Inner} on its LAN side and {overlap.Outer} on its WAN side, and changes its LAN subnet by itself",
            "Its page is not where it was, and whatever is set by hand behind it is cut off.",
            [.. Cures.OneNetwork(e, overlap.Router), .. Cures.Renumber(e, overlap.Router)]
        );
}
