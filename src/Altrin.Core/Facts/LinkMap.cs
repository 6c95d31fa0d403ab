using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>Which links lead from where to where, and what they carry at most.</summary>
internal sealed class LinkMap
{
    private readonly Network _network;
    private readonly Dictionary<Group, List<Link>> _at = [];
    private readonly ILookup<string, Group> _parts;
    private readonly Dictionary<string, int?> _rates;
    private readonly HashSet<string> _rings;
    private readonly HashSet<string> _passed;

    public LinkMap(Network network)
    {
        _network = network;
        foreach (var link in network.Links)
        {
            At(link.From).Add(link);
            At(link.To).Add(link);
        }
        _parts = network
            .Links.SelectMany(l => new[] { l.From, l.To })
            .Where(g => g.Vlan != 0)
            .Distinct()
            .ToLookup(g => g.Owner, StringComparer.Ordinal);
        // A cable that carries several networks is several links.
        _rates = network.Links.DistinctBy(l => l.Id).ToDictionary(l => l.Id, AtMost, StringComparer.Ordinal);
        _passed = network
            .Design.SetUp.Boxes.Select(b => Passer.CableOf(network.Design, b.Box)?.Id)
            .OfType<string>()
            .ToHashSet(StringComparer.Ordinal);
        _rings = network.Segments.SelectMany(s => s.Loops).SelectMany(l => l.Cables).ToHashSet(StringComparer.Ordinal);
    }

    /// <summary>Every link, by id.</summary>
    public IReadOnlyList<LinkFact> All() =>
        [
            .. _network
                .Links.DistinctBy(l => l.Id)
                .Select(l => new LinkFact(
                    l.Id,
                    l.Cable is not null || l.A.Owner == Laptop.CableId ? LinkKind.Cable
                        : l.IsRadio ? LinkKind.Radio
                        : LinkKind.Wifi,
                    l.A,
                    l.B,
                    _rates[l.Id],
                    _rings.Contains(l.Id),
                    _passed.Contains(l.Id)
                )),
        ];

    /// <summary>
    /// The link by which each box and device hangs at the one nearer to the street, or nearer to the head of an island; nearest
    /// first. A router's LAN side is reached through it only when its WAN side is.
    /// </summary>
    public IReadOnlyList<UplinkFact> Uplinks()
    {
        var found = new List<UplinkFact>();
        var reached = new HashSet<string>(StringComparer.Ordinal);
        Spread(PortRef.Street);
        // Islands: a router with nothing on its WAN side heads one, else what its segment is named after.
        foreach (
            var router in _network
                .Interfaces.Where(i => i is { Side: Side.Wan, Linked: false })
                .Select(i => i.Owner)
                .Order(StringComparer.Ordinal)
        )
        {
            Spread(router);
        }
        foreach (var segment in _network.Segments)
        {
            foreach (
                var owner in segment
                    .Boxes.OrderBy(b => b != segment.Id)
                    .ThenBy(b => _network.Router(b) is null)
                    .ThenBy(b => b, StringComparer.Ordinal)
            )
            {
                Spread(owner);
            }
        }
        return found;

        void Spread(string head)
        {
            if (!reached.Add(head))
            {
                return;
            }
            var queue = new Queue<Group>(SidesOf(head));
            var seen = new HashSet<Group>(queue);
            while (queue.TryDequeue(out var at))
            {
                foreach (var link in At(at))
                {
                    var next = link.OtherEnd(at);
                    if (reached.Add(next.Owner))
                    {
                        found.Add(new(next.Owner, link.Id, at.Owner, next.Wan));
                    }
                    // Whatever side it was reached on, the rest of a box hangs behind it.
                    foreach (var side in SidesOf(next.Owner))
                    {
                        if (seen.Add(side))
                        {
                            queue.Enqueue(side);
                        }
                    }
                }
            }
        }
    }

    private IEnumerable<Group> SidesOf(string owner) => Group.Of(owner).Concat(_parts[owner]);

    /// <summary>The links that a device's packets pass on their way along a route, its own first.</summary>
    public IReadOnlyList<string> Along(Interface host, Route route)
    {
        var links = new List<string>();
        var at = new Group(host.Owner, false);
        var inner = route.Segments.Count > 0 && GuestId.BoxOf(route.Segments[0]) is not null;
        foreach (var router in route.Routers)
        {
            // Only its first router can be reached from among the guests.
            links.AddRange(Between(at, new(router, false, inner)));
            inner = false;
            at = new(router, true);
        }
        if (route.Segments[^1] == PortRef.Street)
        {
            links.AddRange(Between(at, new(PortRef.Street, false)));
        }
        return links;
    }

    /// <summary>The links that a host's packets pass on their way to another host, its own first.</summary>
    public IReadOnlyList<string> Along(Interface host, Route route, Interface end)
    {
        var links = new List<string>();
        var at = Group.Of(host);
        foreach (var router in route.Routers)
        {
            // It is entered by whichever of its sides is reached, and left by the other.
            var inner = Between(at, new(router, false)) is { Count: > 0 } lan ? lan : Between(at, new(router, false, true));
            links.AddRange(inner.Count > 0 ? inner : Between(at, new(router, true)));
            at = new(router, inner.Count > 0);
        }
        links.AddRange(Between(at, Group.Of(end)));
        return links;
    }

    /// <summary>The links between two sides of one segment, in order; none where one of both is the internet.</summary>
    public IReadOnlyList<string> Between(Interface from, Interface to) => Between(Group.Of(from), Group.Of(to));

    private List<string> Between(Group from, Group to)
    {
        var cameBy = new Dictionary<Group, Link?> { [from] = null };
        var queue = new Queue<Group>([from]);
        while (queue.TryDequeue(out var at) && !cameBy.ContainsKey(to))
        {
            foreach (var link in At(at))
            {
                if (cameBy.TryAdd(link.OtherEnd(at), link))
                {
                    queue.Enqueue(link.OtherEnd(at));
                }
            }
        }
        var path = new List<string>();
        for (var at = to; cameBy.GetValueOrDefault(at) is { } link; at = link.OtherEnd(at))
        {
            path.Add(link.Id);
        }
        path.Reverse();
        return path;
    }

    private List<Link> At(Group group) => _at.TryGetValue(group, out var there) ? there : _at[group] = [];

    private int? AtMost(Link link) => link.Cable is { } cable ? Cabling.Of(_network.Design, cable).AtMostMbps : null;
}
