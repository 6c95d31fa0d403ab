using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Packets;

/// <summary>What a DHCP server may give to one client.</summary>
/// <param name="Server">Who answers.</param>
/// <param name="Exact">The address, where a reservation fixes it.</param>
/// <param name="From">Where it comes from otherwise; null where that is not known.</param>
/// <param name="Example">An address of that range, stable for the same design and only an example.</param>
/// <param name="PrefixLength">The prefix that comes with it (option 1).</param>
/// <param name="Gateway">The default gateway that comes with it (option 3); null where it is left out.</param>
/// <param name="DnsServers">The DNS servers that come with it (option 6).</param>
/// <param name="Domain">The domain name that comes with it (option 15); null for none.</param>
/// <param name="LeaseMinutes">How long it lasts, in minutes (option 51).</param>
public sealed record Offer(
    string Server,
    Ipv4Address? Exact,
    AddressRange? From,
    Ipv4Address? Example,
    int PrefixLength,
    Ipv4Address? Gateway,
    IReadOnlyList<Ipv4Address> DnsServers,
    string? Domain,
    int LeaseMinutes
);

/// <summary>One way in which a host may hold an address.</summary>
/// <param name="Exact">The address where it is certain.</param>
/// <param name="From">The range it comes from otherwise; null where not known.</param>
/// <param name="Example">An address of that range; null where it is certain or nothing is known.</param>
/// <param name="PrefixLength">Its prefix.</param>
/// <param name="Gateway">Its default gateway; null where it has none.</param>
/// <param name="DnsServers">Its DNS servers.</param>
/// <param name="Server">Who gave it; null where typed by hand.</param>
public sealed record Holding(
    Ipv4Address? Exact,
    AddressRange? From,
    Ipv4Address? Example,
    int PrefixLength,
    Ipv4Address? Gateway,
    IReadOnlyList<Ipv4Address> DnsServers,
    string? Server
)
{
    /// <summary>
    /// Where a server chose the exact address as it liked, what it chose from: on the simulated network it is that one, and a real server
    /// may have chosen another. Null where the address is certain, or none is exact.
    /// </summary>
    public AddressRange? Pool { get; init; }

    /// <summary>What hosts choose from that no server gives an address (RFC 3927, section 2.1).</summary>
    internal static readonly AddressRange OfOnesOwn = AddressRange.Between(
        Ipv4Address.From(169, 254, 1, 0),
        Ipv4Address.From(169, 254, 254, 255)
    );

    /// <summary>Whether the host chose it itself, since no DHCP server answered: it serves between such hosts and leads nowhere.</summary>
    public bool SelfAssigned => Server is null && From == OfOnesOwn;

    /// <summary>The address, or an example of its range where the server decides; null where nothing is known.</summary>
    public Ipv4Address? Shown => Exact ?? Example ?? From?.First;

    /// <summary>The subnet that its owner believes in; null where its address is not known.</summary>
    public Subnet? Subnet => (Exact ?? From?.First) is { } address ? Addressing.Subnet.Containing(address, PrefixLength) : null;
}

/// <summary>Who gets which address from whom, in the settled network.</summary>
public sealed class Leasing
{
    private readonly Dictionary<(string, Side), IReadOnlyList<Offer>> _offers = [];
    private readonly Dictionary<(string, Side), IReadOnlyList<Holding>> _holdings = [];
    private readonly HashSet<Ipv4Address> _examples = [];
    private readonly Dictionary<string, int> _clients = new(StringComparer.Ordinal);

    private Leasing(Network network)
    {
        foreach (var segment in network.Segments.Where(s => s.Interfaces.Count > 0))
        {
            var asking = segment.Interfaces.Where(i => i.Setting is Automatic && i.Linked && i.KeptOff is null).ToList();
            var fixedHere = segment.Interfaces.Select(i => i.Setting).OfType<Fixed>().Select(f => f.Address.Address).ToHashSet();
            var answers = asking.ToDictionary(i => (i.Owner, i.Side), _ => new List<Offer>());
            foreach (var server in segment.Servers)
            {
                Answer(server, asking, fixedHere, answers);
            }
            foreach (var (client, offers) in answers)
            {
                _offers[client] = offers;
            }
        }
        var alone = 0u;
        foreach (var host in network.Interfaces)
        {
            if (host.Setting is Automatic && network.Situation.Memory is { } memory)
            {
                _holdings[(host.Owner, host.Side)] =
                    host.Linked && memory.Of(host.Owner, host.Side) is { Leases.Count: > 0 } held
                        ?
                        [
                            .. held
                                .Leases.Where(l => l.EndsAt > memory.Second)
                                .Select(l => new Holding(l.Address, null, null, l.PrefixLength, l.Gateway, l.DnsServers, l.Server)
                                {
                                    Pool = l.Pool,
                                }),
                        ]
                        : [];
                if (_holdings[(host.Owner, host.Side)].Count > 0 || host.Side is not (Side.Device or Side.Laptop))
                {
                    continue;
                }
            }
            _holdings[(host.Owner, host.Side)] =
                host.Setting is Fixed typed
                    ? [new(typed.Address.Address, null, null, typed.Address.PrefixLength, typed.Gateway, typed.DnsServers, null)]
                : network.Situation.Memory is null && Offers(host) is { Count: > 0 } offers
                    ? [.. offers.Select(o => new Holding(o.Exact, o.From, o.Example, o.PrefixLength, o.Gateway, o.DnsServers, o.Server))]
                : host is { Side: Side.Device or Side.Laptop, Linked: true }
                    ? [new(null, Holding.OfOnesOwn, new(Holding.OfOnesOwn.First.Bits + ++alone), 16, null, [], null)]
                : [];
        }
    }

    /// <summary>The leases of a network.</summary>
    public static Leasing Of(Network network) => new(network);

    /// <summary>All offers that a client hears, by server; none for a host that does not ask.</summary>
    public IReadOnlyList<Offer> Offers(Interface client) => _offers.GetValueOrDefault((client.Owner, client.Side), []);

    /// <summary>How many hosts get a lease of a server without a reservation.</summary>
    public int Unreserved(string server) => _clients.GetValueOrDefault(server);

    /// <summary>
    /// Every way in which the host may hold an address; none for a box that asks and no host answers. A device then chooses one itself.
    /// </summary>
    public IReadOnlyList<Holding> Holdings(Interface host) => _holdings[(host.Owner, host.Side)];

    private void Answer(
        SegmentServer server,
        List<Interface> asking,
        HashSet<Ipv4Address> fixedHere,
        Dictionary<(string, Side), List<Offer>> answers
    )
    {
        var kept = server.Reservations.ToDictionary(r => r.Mac, r => r.Address);
        var spoken = server.Reservations.Select(r => r.Address).Concat(fixedHere).Append(server.Own).ToHashSet();
        if (server.Gateway is { } gateway)
        {
            spoken.Add(gateway);
        }
        IReadOnlyList<AddressRange> free = [];
        if (server.Pool is { } pool)
        {
            // An example that stands elsewhere in the home too would only look like a clash.
            free = pool.Without(spoken.Concat(_examples));
            if (free.Sum(r => r.Count) < asking.Count)
            {
                free = pool.Without(spoken);
            }
        }
        var (stretch, next) = (0, free.Count > 0 ? free[0].First.Bits : 0u);
        var unreserved = 0;
        foreach (var client in asking)
        {
            if (client.Mac is { } mac && kept.TryGetValue(mac, out var address))
            {
                Add(client, address, null, null);
                continue;
            }
            unreserved++;
            Ipv4Address? example = null;
            if (stretch < free.Count)
            {
                example = new Ipv4Address(next);
                _examples.Add(example.Value);
                if (next == free[stretch].Last.Bits)
                {
                    stretch++;
                    next = stretch < free.Count ? free[stretch].First.Bits : 0;
                }
                else
                {
                    next++;
                }
            }
            Add(client, null, server.Pool, example);
        }
        _clients[server.Owner] = unreserved;

        void Add(Interface client, Ipv4Address? exact, AddressRange? from, Ipv4Address? example) =>
            answers[(client.Owner, client.Side)]
                .Add(
                    new(
                        server.Owner,
                        exact,
                        from,
                        example,
                        server.PrefixLength,
                        server.Gateway,
                        server.DnsServers,
                        server.Domain,
                        server.LeaseMinutes
                    )
                );
    }
}
