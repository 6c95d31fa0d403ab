using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>Counts NAT from the internet line inward, along the links by which boxes are connected.</summary>
internal static class NatCount
{
    /// <summary>Every router that keeps two networks apart, by id.</summary>
    /// <param name="network">The network.</param>
    /// <param name="links">Its links.</param>
    /// <param name="uplinks">To what each box is connected, what is nearer to the internet line first.</param>
    public static IReadOnlyList<NatFact> Of(Network network, IReadOnlyList<LinkFact> links, IReadOnlyList<UplinkFact> uplinks)
    {
        var outer = uplinks.ToDictionary(u => u.Owner, u => u.Outer, StringComparer.Ordinal);
        var steps = network.Design.SetUp.Boxes.Select(b => b.Box).Where(IsStep).ToHashSet(StringComparer.Ordinal);
        var passed = links.Where(l => l.PassesPublic).Select(l => l.Id).ToHashSet(StringComparer.Ordinal);
        var before = new Dictionary<string, int>(StringComparer.Ordinal)
        {
            [PortRef.Street] = network.Design.Site.Service is CarrierNat ? 1 : 0,
        };
        foreach (var uplink in uplinks)
        {
            // A public address that is passed on is not translated by the gateway.
            var here = steps.Contains(uplink.To) && network.Router(uplink.To)!.Nat && !passed.Contains(uplink.Link) ? 1 : 0;
            before[uplink.Owner] = before.GetValueOrDefault(uplink.To) + here;
        }
        return
        [
            .. steps
                .Order(StringComparer.Ordinal)
                .Select(r =>
                    network.Router(r)!.Nat ? new NatFact(r, true, outer.ContainsKey(r) ? before[r] + 1 : null) : new(r, false, null)
                ),
        ];

        // The LAN side is another network than what the box is connected to.
        bool IsStep(string box) =>
            network.Router(box) is not null
            && network.Find(box, Side.Lan) is { } lan
            && network.Find(box, Side.Wan)?.Segment != lan.Segment
            && outer.GetValueOrDefault(box, true);
    }
}
