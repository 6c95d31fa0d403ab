using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>Counts NAT from the internet line inward, along the links by which boxes are connected.</summary>
internal sealed class NatCount
{
    private readonly Network _network;
    private readonly Dictionary<string, UplinkFact> _uplinks;
    private readonly HashSet<string> _passed;

    private NatCount(Network network, IReadOnlyList<LinkFact> links, IReadOnlyList<UplinkFact> uplinks)
    {
        _network = network;
        _uplinks = uplinks.ToDictionary(u => u.Owner, StringComparer.Ordinal);
        _passed = links.Where(l => l.PassesPublic).Select(l => l.Id).ToHashSet(StringComparer.Ordinal);
    }

    /// <summary>Every router that keeps two networks apart, by id.</summary>
    public static IReadOnlyList<NatFact> Of(Network network, IReadOnlyList<LinkFact> links, IReadOnlyList<UplinkFact> uplinks)
    {
        var count = new NatCount(network, links, uplinks);
        return [.. network.Design.SetUp.Boxes.Select(b => b.Box).Where(count.IsStep).Order(StringComparer.Ordinal).Select(count.Fact)];
    }

    private NatFact Fact(string router) =>
        _network.Router(router)!.Nat
            ? new(router, true, _uplinks.ContainsKey(router) ? Before(router) + 1 : null)
            : new(router, false, null);

    /// <summary>Whether the LAN side of a box is another network than what it is connected to.</summary>
    private bool IsStep(string box) =>
        _network.Router(box) is not null
        && _network.Find(box, Side.Lan) is { } lan
        && _network.Find(box, Side.Wan)?.Segment != lan.Segment
        && (!_uplinks.TryGetValue(box, out var uplink) || uplink.Outer);

    /// <summary>
    /// How many do NAT between a box and the internet; a public address that is passed on is not translated by the gateway.
    /// </summary>
    private int Before(string box)
    {
        var before = 0;
        for (var at = box; _uplinks.TryGetValue(at, out var uplink); at = uplink.To)
        {
            if (uplink.To == PortRef.Street)
            {
                return _network.Design.Site.Service is CarrierNat ? before + 1 : before;
            }
            before += !_passed.Contains(uplink.Link) && IsStep(uplink.To) && _network.Router(uplink.To)!.Nat ? 1 : 0;
        }
        return before;
    }
}
