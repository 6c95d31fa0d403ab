using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>What happens by itself in a home that remembers: those who notice a link ask, leases are prolonged or run out.</summary>
public static class Living
{
    /// <summary>Everybody who noticed something has asked, and holds what came of it. No time passes.</summary>
    public static Situation Settle(Design design, Situation situation)
    {
        var memory = situation.Memory ?? Memory.Blank;
        var network = Compiler.Compile(design, situation);
        var (held, bindings) = (memory.Held.ToDictionary(h => (h.Owner, h.Side)), memory.Bindings);
        var ends = Ends(network);
        foreach (var client in network.Interfaces.Where(i => i.Setting is Automatic))
        {
            var link = LinkOf(ends, client, memory);
            var at = (client.Owner, client.Side);
            var known = held.GetValueOrDefault(at);
            if (link.Length == 0)
            {
                // It asks again when the link is back. The page of an access point does not look at its cables.
                if (known is not null && client.Side != Side.Page)
                {
                    held[at] = known with { Link = "" };
                }
                continue;
            }
            if (known is { Leases.Count: > 0 } && known.Link == link)
            {
                continue;
            }
            var remembered = known?.Leases.FirstOrDefault(l => l.EndsAt > memory.Second);
            var asked = DhcpExchange.Begin(client, ServersOf(network, client), bindings, memory.Second, remembered, a =>
                Answers(network, held, client, a)
            );
            bindings = asked.Bindings;
            held[at] = new(client.Owner, client.Side, link, asked.Leases);
        }
        var having = network
            .Interfaces.SelectMany(i => AddressesOf(held, i).Distinct().Select(a => (Key: (i.Segment, a), Host: i)))
            .ToLookup(h => h.Key, h => h.Host);
        var tables = memory.Tables.ToLookup(t => (t.Owner, t.Side));
        return situation with
        {
            Memory = memory with
            {
                Held = [.. held.Values.OrderBy(h => h.Owner, StringComparer.Ordinal).ThenBy(h => h.Side)],
                Bindings = bindings,
                Tables =
                [
                    .. network
                        .Interfaces.Where(i => i.Linked)
                        .Select(i => Noted(i, GatewayOf(held, i), LinkOf(ends, i, memory), memory.Second))
                        .OfType<TableEntry>(),
                ],
            },
        };

        // What stands in a host's table for its gateway: who answers there now, or who did for as long as that is believed.
        TableEntry? Noted(Interface host, Ipv4Address? gateway, string link, long second)
        {
            if (gateway is not { } address)
            {
                return null;
            }
            var there = having[(host.Segment, address)].Where(i => i.Owner != host.Owner).ToList();
            var before = tables[(host.Owner, host.Side)].FirstOrDefault(t => t.Address == address && t.Link == link && t.Until > second);
            return before is not null && (there is not [var same] || same.Owner != before.Holder || same.Side != before.HolderSide) ? before
                : there is [var one]
                    ? new(host.Owner, host.Side, link, address, one.Owner, one.Side, second + (long)TableEntry.Most.TotalSeconds)
                : null;
        }
    }

    /// <summary>The links of each part of a box or device.</summary>
    private static ILookup<Group, Link> Ends(Network network) =>
        network.Links.SelectMany(l => new[] { l.From, l.To }.Distinct().Select(end => (end, l))).ToLookup(l => l.end, l => l.l);

    private static Ipv4Address? GatewayOf(Dictionary<(string, Side), HeldBy> held, Interface host) =>
        host.Setting is Fixed typed ? typed.Gateway
        : held.GetValueOrDefault((host.Owner, host.Side))?.Leases is [var lease, ..] ? lease.Gateway
        : null;

    /// <summary>
    /// Time passes: leases are prolonged at half their time, by any server at seven eighths, or run out; a host without one asks.
    /// </summary>
    public static Situation Wait(Design design, Situation situation, TimeSpan time)
    {
        var until = (situation.Memory ?? Memory.Blank).Second + (long)time.TotalSeconds;
        // Each box that is done by then is back when it is, and those who wait for it ask then.
        foreach (var done in situation.BusyNow().Select(b => b.Until).Where(u => u < until).Distinct().Order().ToList())
        {
            situation = Pass(design, situation, done);
        }
        situation = Pass(design, situation, until);
        return situation with { Busy = [.. situation.BusyNow()] };
    }

    private static Situation Pass(Design design, Situation situation, long until)
    {
        var memory = situation.Memory ?? Memory.Blank;
        var network = Compiler.Compile(design, situation);
        var (held, bindings, ends) = (new List<HeldBy>(), memory.Bindings, Ends(network));
        foreach (var by in memory.Held)
        {
            // Who is off, or has no link, hears no clock: its lease runs out all the same, and is looked at when it is back.
            if (network.Find(by.Owner, by.Side) is not { } client || LinkOf(ends, client, memory).Length == 0)
            {
                held.Add(by);
                continue;
            }
            var leases = new List<HeldLease>();
            foreach (var lease in by.Leases)
            {
                var (left, after) = Pass(client, ServersOf(network, client), bindings, until, lease);
                bindings = after;
                if (left is not null)
                {
                    leases.Add(left);
                }
            }
            held.Add(by with { Leases = leases });
        }
        var live = bindings.Where(b => b.Until > until).ToList();
        return Settle(design, situation with { Memory = memory with { Second = until, Held = held, Bindings = live } });
    }

    private static (HeldLease? Lease, IReadOnlyList<Binding> Bindings) Pass(
        Interface client,
        IReadOnlyList<SegmentServer> servers,
        IReadOnlyList<Binding> bindings,
        long until,
        HeldLease lease
    )
    {
        foreach (var at in new[] { lease.RenewsAt, lease.RebindsAt }.Where(t => t <= until))
        {
            var (next, after) = DhcpExchange.Prolong(client, servers, bindings, at, lease);
            bindings = after;
            if (next is null)
            {
                return (null, bindings);
            }
            if (next.GivenAt == at && next != lease)
            {
                // Nothing else changes while one only waits, so that what was prolonged once is prolonged again and again.
                var rounds = (until - at) / Math.Max(1, next.RenewsAt - next.GivenAt);
                var last = next with { GivenAt = at + (rounds * Math.Max(1, next.RenewsAt - next.GivenAt)) };
                return (
                    last,
                    [
                        .. bindings.Select(b =>
                            b.Server == last.Server && b.Client == DhcpExchange.ClientOf(client)
                                ? b with
                                {
                                    Until = Math.Max(b.Until, last.EndsAt),
                                }
                                : b
                        ),
                    ]
                );
            }
        }
        return (lease.EndsAt > until ? lease : null, bindings);
    }

    /// <summary>The servers that answer a client. Of an unknown service, the stand-in addresses are given.</summary>
    internal static IReadOnlyList<SegmentServer> ServersOf(Network network, Interface client) =>
        client.KeptOff is not null
            ? []
            :
            [
                .. network
                    .Segment(client.Segment)
                    .Servers.Select(s =>
                        s.Pool is null
                            ? s with
                            {
                                Pool = AddressRange.Between(new(s.Own.Bits + 1), Subnet.Containing(s.Own, s.PrefixLength).Hosts.Last),
                            }
                            : s
                    ),
            ];

    /// <summary>
    /// What a client notices: a device or the WAN side of a router its own cable or Wi-Fi and the starts at both ends, the page of
    /// an access point only its own starts (common practice). Empty where it has no link.
    /// </summary>
    private static string LinkOf(ILookup<Group, Link> ends, Interface client, Memory memory)
    {
        var own = new Group(client.Owner, client.Side == Side.Wan);
        var links = ends[own].ToList();
        return links.Count == 0 ? ""
            : client.Side == Side.Page ? Starts(client.Owner)
            : $"{Starts(client.Owner)} {string.Join(' ', links.Select(l => End(l, l.OtherEnd(own))))}";

        // A Wi-Fi is called by the device alone: whose it is belongs to the link.
        string End(Link link, Group other) =>
            $"{link.Id}{(link.IsWifi ? $">{(other.Guest ? GuestId.Of(other.Owner) : other.Owner)}" : "")}{Starts(other.Owner)}";

        string Starts(string owner) => $"@{memory.Boots.GetValueOrDefault(owner)}";
    }

    private static bool Answers(Network network, Dictionary<(string, Side), HeldBy> held, Interface client, Ipv4Address address) =>
        network.Segment(client.Segment).Interfaces.Any(i => i.Owner != client.Owner && i.Linked && Has(held, i, address));

    private static bool Has(Dictionary<(string, Side), HeldBy> held, Interface host, Ipv4Address address) =>
        AddressesOf(held, host).Contains(address);

    private static IEnumerable<Ipv4Address> AddressesOf(Dictionary<(string, Side), HeldBy> held, Interface host) =>
        host.Setting is Fixed typed
            ? [typed.Address.Address]
            : held.GetValueOrDefault((host.Owner, host.Side))?.Leases.Select(l => l.Address) ?? [];
}
