using Altrin.Core.Facts;

namespace Altrin.Core.Findings.Rules;

/// <summary>Overlapping subnets on both sides of a router; reports the same address on both sides too.</summary>
public static class SameSubnetBothSides
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } = new(
        CauseCodes.SameSubnet,
        "same subnet twice",
        "A router has overlapping subnets inside and outside.",
        "It cannot tell which side an address is on. What it then does differs from box to box.",
        "RFC 4632; two boxes with one factory subnet: common practice",
        Judge);

    private static IEnumerable<Finding> Judge(Evidence e) => e.Sheet.Overlaps.DistinctBy(o => o.Router).Select(o => o.MovedTo is not null ? Moves(e, o) : e.Finding(
        CauseCodes.SameSubnet,
        [o.Router],
        o.SharedAddress is { } shared
            ? $"{e.Name(o.Router)} has {o.Inner} on both sides, and its own address {shared} is out there too"
            : $"{e.Name(o.Router)} has {o.Inner} inside and {o.Outer} outside",
        "Pages and names load by luck behind it, and its page may open the other box instead.",
        [.. Cures.OneNetwork(e, o.Router), .. Cures.Renumber(e, o.Router)]));

    private static Finding Moves(Evidence e, OverlapFact overlap) => e.Finding(
        CauseCodes.SameSubnet,
        [overlap.Router],
        $"{e.Name(overlap.Router)} has {overlap.Inner} inside and {overlap.Outer} outside, and moves its inside to another subnet by itself",
        "Its page is not where it was, and whatever is set by hand behind it is cut off.",
        [.. Cures.OneNetwork(e, overlap.Router), .. Cures.Renumber(e, overlap.Router)]);
}
