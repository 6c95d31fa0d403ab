using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>A network as it can be asked: the fact sheet, and what it was worked out with.</summary>
public sealed class Observation
{
    private readonly Lazy<IReadOnlyList<InternetFact>> _internet;
    private readonly Lazy<FactSheet> _sheet;
    private readonly Lazy<PathRates> _rates;

    /// <summary>A network that is looked at; what is said of it is worked out once it is asked for.</summary>
    internal Observation(Network network)
    {
        (Network, Leasing) = (network, Leasing.Of(network));
        Hosts = new(network, Leasing);
        Tracer = new(network, Leasing, Hosts);
        _internet = new(() => Observer.Internet(network, Leasing, Tracer));
        _sheet = new(() => Observer.Sheet(this));
        _rates = new(() => new(this));
    }

    /// <summary>The network.</summary>
    public Network Network { get; }

    /// <summary>Its leases.</summary>
    public Leasing Leasing { get; }

    /// <summary>Its hosts.</summary>
    public HostTable Hosts { get; }

    /// <summary>Its ways out.</summary>
    public Tracer Tracer { get; }

    /// <summary>Whether each customer's device has the internet: the part of the sheet that is asked most often by itself.</summary>
    public IReadOnlyList<InternetFact> Internet => _internet.Value;

    /// <summary>Its levels, its airtime, and how fast its ways are.</summary>
    public PathRates Rates => _rates.Value;

    /// <summary>All that is said of it.</summary>
    public FactSheet Sheet => _sheet.Value;

    /// <summary>Whether one device opens a connection to another; null where either is not in use or both are one.</summary>
    public ReachCell? Reach(string from, string to) => new ReachTable(Network, Leasing, Tracer).Pair(from, to);

    /// <summary>
    /// The address of a host in one segment; an example of its range where the server decides; null where it has none there.
    /// </summary>
    public Ipv4Address? AddressOf(string owner, string segment) =>
        Network.Segment(segment).Interfaces.FirstOrDefault(i => i.Owner == owner) is { } side ? Tracer.World.Address(side) : null;
}

/// <summary>Looks at a network and says what is so.</summary>
public static class Observer
{
    /// <summary>Looks at a network. The same network gives the same facts, byte for byte.</summary>
    public static Observation Observe(Network network) => new(network);

    /// <summary>The fact sheet.</summary>
    internal static FactSheet Sheet(Observation seen)
    {
        var (network, leasing, hosts, tracer) = (seen.Network, seen.Leasing, seen.Hosts, seen.Tracer);
        var links = new LinkMap(network);
        var rates = seen.Rates;
        var (connections, uplinks) = (links.All().Select(l => l.Received(rates)).ToList(), links.Uplinks());
        var byId = connections.ToDictionary(l => l.Id, StringComparer.Ordinal);
        var needs = new NeedJudge(network, leasing, tracer, links, rates);
        return new FactSheet(
            [.. network.Segments.Where(s => IsTerritory(s)).Select(s => SegmentFact(network, hosts, s))],
            [.. network.Interfaces.Select(i => AddressFact(leasing, i))],
            [.. network.Interfaces.Where(i => i.Setting is Automatic).Select(i => LeaseFact(tracer.World, i))],
            hosts.Conflicts,
            tracer.Overlaps,
            [.. seen.Internet.Select(i => i with { Slowest = LinkFact.Slowest(i.Links.Select(l => byId[l])) })],
            [.. network.Design.Site.Needs.Where(n => !n.DuringWork).OrderBy(n => n.Id, StringComparer.Ordinal).Select(needs.Of)],
            [.. network.Interfaces.Where(i => i.Side == Side.Wan && i.Linked).SelectMany(i => Inbound(network, tracer, i.Owner))],
            connections,
            uplinks,
            NatCount.Of(network, connections, uplinks),
            Rulers.Of(network, leasing, hosts),
            new(() => new ReachTable(network, leasing, tracer).All())
        );
    }

    /// <summary>Whether each customer's device has the internet.</summary>
    internal static IReadOnlyList<InternetFact> Internet(Network network, Leasing leasing, Tracer tracer)
    {
        var (names, links) = (new NameAsking(tracer), new LinkMap(network));
        return [.. network.Interfaces.Where(i => i.Side == Side.Device).Select(d => Internet(network, leasing, tracer, names, links, d))];
    }

    /// <summary>A lone device or an empty WAN socket is no territory.</summary>
    private static bool IsTerritory(Segment segment) =>
        segment.HasStreet || segment.Interfaces.Any(i => i.Side is Side.Lan or Side.Guest) || segment.Interfaces.Count(i => i.Linked) > 1;

    private static SegmentFact SegmentFact(Network network, HostTable hosts, Segment segment)
    {
        var mainRouters = hosts.MainRouters(segment);
        return new(
            segment.Id,
            [.. mainRouters.Select(r => ((Fixed)r.Setting).Address.Subnet).Distinct().Order()],
            segment.Boxes,
            [.. segment.Interfaces.Where(i => i.Side == Side.Device).Select(i => i.Owner)],
            [.. segment.Servers.Select(s => s.Owner)],
            mainRouters.Select(r => network.Find(r.Owner, Side.Wan)).FirstOrDefault(w => w is { Linked: true })?.Segment
        );
    }

    private static AddressFact AddressFact(Leasing leasing, Interface host)
    {
        var holding = leasing.Holdings(host) is [var first, ..] ? first : null;
        var origin =
            host.Setting is Fixed ? AddressOrigin.Fixed
            : !host.Linked ? AddressOrigin.None
            : holding is null or { SelfAssigned: true } ? AddressOrigin.SelfAssigned
            : holding is { Exact: not null, Pool: null } ? AddressOrigin.Reserved
            : AddressOrigin.Leased;
        return new(
            host.Owner,
            host.Side,
            host.Segment,
            origin,
            holding?.Exact,
            holding?.From ?? holding?.Pool,
            holding?.PrefixLength,
            holding?.Gateway,
            holding?.DnsServers ?? [],
            [.. leasing.Offers(host).Select(o => o.Server)]
        );
    }

    private static LeaseFact LeaseFact(World world, Interface client)
    {
        var offers = world.Leasing.Offers(client);
        return new(
            client.Owner,
            client.Side,
            offers,
            offers.Count > 0 ? null
                : client.Linked ? world.NoAddress(client)
                : world.Unlinked(client)
        );
    }

    private static InternetFact Internet(Network network, Leasing leasing, Tracer tracer, NameAsking names, LinkMap map, Interface device)
    {
        var route = tracer.ToInternet(device);
        var resolves = names.Of(device, route.Answer);
        var links = map.Along(device, route);
        var seen =
            !route.Sure || route.SeenAs == PortRef.Street ? null
            : (network.Find(route.SeenAs, Side.Wan) ?? network.Find(route.SeenAs, Side.Device)) is { } side
            && leasing.Holdings(side) is [{ Exact: { } exact }]
                ? (Addressing.Ipv4Address?)exact
            : null;
        return new(
            device.Owner,
            route.Answer.And(resolves),
            route.Answer,
            resolves,
            route.Sure,
            route.SeenAs,
            seen,
            route.NatBy,
            links,
            null
        );
    }

    private static IEnumerable<InboundFact> Inbound(Network network, Tracer tracer, string router)
    {
        foreach (var forward in network.Router(router)!.Forwards)
        {
            var way = tracer.FromInternet(router, forward.Protocol, forward.OutsidePort);
            yield return new(router, forward.Protocol, forward.OutsidePort, way.Answer, way.ArrivedAt, way.StoppedBy);
        }
    }
}
