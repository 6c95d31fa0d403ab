using Altrin.Core.Addressing;
using Altrin.Core.Networks;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>The laptop has one way into each subnet of the home.</summary>
public static class OnePath
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(9, "one-path", "The laptop has one way into each subnet that a box of the home uses: house Wi-Fi left, VPN off.", Judge);

    private static IEnumerable<Violation> Judge(Step step)
    {
        if (step.After.Laptop is not { Cable: not null, Wifi: not null } laptop)
        {
            yield break;
        }
        var seen = step.After.Seen();
        var subnets = laptop
            .Adapters()
            .Select(a => seen.Network.Find(a.Owner, Side.Laptop))
            .Select(i => i is { Linked: true } ? seen.Leasing.Holdings(i).Select(h => h.Subnet).OfType<Subnet>().ToList() : [])
            .ToList();
        if (subnets[0].Any(a => subnets[1].Any(a.Overlaps)))
        {
            yield return new([Laptop.CableId, Laptop.WifiId], "The laptop is in one subnet by cable and by Wi-Fi: leave the Wi-Fi.");
        }
    }
}
