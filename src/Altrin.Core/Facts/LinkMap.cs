using Altrin.Core.Networks;
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
        _parts = network.Links.SelectMany(l => new[] { l.From, l.To }).Where(g => g.Vlan != 0).Distinct().ToLookup(g => g.Owner, StringComparer.Ordinal);
        // A cable that carries several networks is several links.
        _rates = network.Links.DistinctBy(l => l.Id).ToDictionary(l => l.Id, AtMost, StringComparer.Ordinal);
        _passed = network.Design.SetUp.Boxes.Select(b => Passer.CableOf(network.Design, b.Box)?.Id).OfType<string>().ToHashSet(StringComparer.Ordinal);
        _rings = network.Segments.SelectMany(s => s.Loops).SelectMany(l => l.Cables).ToHashSet(StringComparer.Ordinal);
    }

    /// <summary>Every link, by id.</summary>
    public IReadOnlyList<LinkFact> All() => [.. _network.Links.DistinctBy(l => l.Id).Select(l => new LinkFact(l.Id, l.Cable is not null ? LinkKind.Cable : l.IsRadio ? LinkKind.Radio : LinkKind.Wifi, l.A, l.B, _rates[l.Id], _rings.Contains(l.Id), _passed.Contains(l.Id)))];

    /// <summary>
    /// The link by which each box and device hangs at the one nearer to the street, or nearer to the head of an island; nearest
    /// first. A router's LAN side is reached through it only when its WAN side is.
    /// </summary>
    public IReadOnlyList<UplinkFact> Uplinks()
    {
        var found = new List<UplinkFact>();
        var reached = new HashSet<string>(StringComparer.Ordinal);
        Spread(PortRef.Street);
        // Islands: the side of the router that rules one comes first, as in the id of its segment.
        foreach (var segment in _network.Segments)
        {
            foreach (var owner in segment.Boxes.OrderBy(b => b != segment.Id).ThenBy(b => _network.Router(b) is null).ThenBy(b => b, StringComparer.Ordinal))
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

    /// <summary>The slowest link of a way as far as is known, the first of equal ones; null where none is slower than another.</summary>
    public string? Slowest(IReadOnlyList<string> links)
    {
        var known = links.Where(l => _rates[l] is not null).ToList();
        return known.Select(l => _rates[l]).Distinct().Count() > 1 ? known.MinBy(l => _rates[l]) : null;
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

    private int? AtMost(Link link)
    {
        if (link.Cable is not { } cable)
        {
            return null;
        }
        var (medium, pairs) = Cabling.Carrier(_network.Design, cable);
        var ports = new[] { Speed(link.A), Speed(link.B) }.Min();
        return new[] { ports, MediumRates.AtMost(medium, ports), MediumRates.ByPairs(medium, pairs) }.Min();
    }

    private int? Speed(PortRef end) => _network.Design.Box(end.Owner)?.Profile.Port(end.Port)?.SpeedMbps;
}

/// <summary>What a medium carries at most.</summary>
public static class MediumRates
{
    /// <summary>What two pairs carry: 100BASE-TX needs no more, 1000BASE-T needs all four (IEEE 802.3, clauses 25 and 40, from memory).</summary>
    public const int TwoPairs = 100;

    /// <summary>What arrives over a radio of the 54 Mb/s class, in Mb/s (common practice).</summary>
    public const int RelicRadioMbps = 25;

    /// <summary>What a lead carries at most by its pairs, in Mb/s; null where they say nothing. What was not looked at is taken for copper.</summary>
    public static int? ByPairs(Medium medium, int? pairs) => (medium, pairs) is (Medium.Unknown or Medium.Cat5 or Medium.Cat5e or Medium.Cat6 or Medium.Cat6a, 2) ? TwoPairs : null;

    /// <summary>
    /// Nominal rate of a copper run of up to 100 m: 1000BASE-T on category 5, 2.5GBASE-T on 5e, 5GBASE-T on 6, 10GBASE-T on 6A
    /// (IEEE 802.3, clauses 40, 126 and 55, from memory). Powerline: what arrives at most behind 100 Mb/s ports, and behind faster
    /// ones (common practice).
    /// </summary>
    /// <param name="medium">What carries the link.</param>
    /// <param name="portMbps">The slower of the two ports in Mb/s; null where not known.</param>
    /// <returns>Mb/s; null where the medium says nothing.</returns>
    public static int? AtMost(Medium medium, int? portMbps) => medium switch
    {
        Medium.Cat5 => 1000,
        Medium.Cat5e => 2500,
        Medium.Cat6 => 5000,
        Medium.Cat6a => 10000,
        Medium.Powerline => portMbps <= 100 ? 95 : 150,
        _ => null,
    };
}
