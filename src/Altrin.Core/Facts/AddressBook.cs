using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>One line of the address book: one side of one box or device.</summary>
/// <param name="Owner">Box or device; "street" for the provider's end.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Side">Which side of it.</param>
/// <param name="Segment">The territory that it is in.</param>
/// <param name="Territory">What that is called: after the router that rules it.</param>
/// <param name="Origin">How it comes by its address.</param>
/// <param name="Address">The address; null for one of a range.</param>
/// <param name="From">The range that it is one of; null where it is certain, or there is none.</param>
/// <param name="PrefixLength">Its prefix; null where it has no address.</param>
/// <param name="Servers">Names of the servers that may have given it.</param>
/// <param name="Gateway">Its default gateway.</param>
/// <param name="DnsServers">Its DNS servers.</param>
/// <param name="Mac">Its MAC address; null where not read.</param>
/// <param name="Clashes">Whether another host has the address or may get it.</param>
public sealed record BookEntry(
    string Owner,
    string Name,
    Side Side,
    string Segment,
    string Territory,
    AddressOrigin Origin,
    Ipv4Address? Address,
    AddressRange? From,
    int? PrefixLength,
    IReadOnlyList<string> Servers,
    Ipv4Address? Gateway,
    IReadOnlyList<Ipv4Address> DnsServers,
    MacAddress? Mac,
    bool Clashes
);

/// <summary>What an address is in one subnet of the home.</summary>
/// <param name="Segment">The territory.</param>
/// <param name="Territory">What it is called.</param>
/// <param name="Subnet">The subnet.</param>
/// <param name="Standing">What it is there.</param>
/// <param name="Text">The same in one sentence, with whose it is.</param>
public sealed record AddressStandingFact(string Segment, string Territory, Subnet Subnet, AddressStanding Standing, string Text);

/// <summary>Who has which address, as a book to look things up in.</summary>
public static class AddressBook
{
    /// <summary>Every side that has or may have an address, territory by territory, those of the routers first, then by address.</summary>
    public static IReadOnlyList<BookEntry> Of(Observation seen)
    {
        var network = seen.Network;
        var clashes = seen
            .Sheet.Conflicts.Where(c => !c.Guarded)
            .SelectMany(c => c.Holders.Select(h => (c.Segment, c.Address, h)))
            .ToHashSet();
        var order = network
            .Segments.Select((s, i) => (s.Id, i))
            .ToDictionary(s => s.Id, s => s.Id == PortRef.Street ? -1 : s.i, StringComparer.Ordinal);
        return
        [
            .. seen
                .Sheet.Addresses.Select(a => new BookEntry(
                    a.Owner,
                    network.NameOf(a.Owner),
                    a.Side,
                    a.Segment,
                    Territory(network, a.Segment),
                    a.Origin,
                    a.Address,
                    a.From,
                    a.PrefixLength,
                    [.. a.Servers.Select(s => ServerName(network, s))],
                    a.Gateway,
                    a.DnsServers,
                    network.Find(a.Owner, a.Side)?.Mac,
                    a.Address is { } address && clashes.Contains((a.Segment, address, a.Owner))
                ))
                .OrderBy(e => order[e.Segment])
                .ThenBy(e => e.Side is not (Side.Lan or Side.Guest or Side.Provider))
                .ThenBy(e => e.Address ?? e.From?.First ?? new(uint.MaxValue))
                .ThenBy(e => e.Address is null)
                .ThenBy(e => e.Owner, StringComparer.Ordinal),
        ];
    }

    /// <summary>
    /// What an address is in each subnet of the home that it belongs to; where in none, one line says what it is elsewhere.
    /// </summary>
    public static IReadOnlyList<AddressStandingFact> Look(Observation seen, Ipv4Address address)
    {
        var found = seen.Sheet.Rulers.Where(r => r.Subnet.Contains(address)).Select(r => Standing(seen, r, address)).ToList();
        return found.Count > 0
            ? found
            :
            [
                new(
                    "",
                    "",
                    Subnet.Containing(address, 32),
                    AddressStanding.Outside,
                    $"{address} is in no network of the home{Elsewhere(seen, address)}."
                ),
            ];
    }

    /// <summary>What a territory is called: after the router that rules it, or the box or device that it is named for.</summary>
    public static string Territory(Network network, string segment) =>
        segment == PortRef.Street ? "Internet line"
        : GuestId.BoxOf(segment) is { } box ? $"Guests of {network.NameOf(box)}"
        : network.NameOf(segment.Split(':')[0]);

    private static AddressStandingFact Standing(Observation seen, RulerFact ruler, Ipv4Address address)
    {
        var marks = ruler.Marks.Where(m => m.Address == address && m.Kind != RulerMarkKind.Example).ToList();
        var owners = marks.Select(m => seen.Network.NameOf(m.Owner)).Distinct().ToList();
        var pool = ruler.Pools.FirstOrDefault(p => p.On && p.Range.Contains(address));
        var (standing, text) =
            !ruler.Subnet.IsHost(address)
                ? (
                    AddressStanding.Outside,
                    address == ruler.Subnet.Last
                        ? $"is the broadcast address of {ruler.Subnet}, no host can have it"
                        : $"is the network address of {ruler.Subnet}, no host can have it"
                )
            : marks.Exists(m => m.Kind is RulerMarkKind.Router or RulerMarkKind.Fixed)
                ? (
                    AddressStanding.Taken,
                    $"is taken by {string.Join(" and ", owners)}{(marks.Exists(m => m.Clash) ? ", and clashes" : "")}"
                )
            : marks.Count > 0 ? (AddressStanding.Reserved, $"is reserved for {string.Join(" and ", owners)}")
            : pool is not null
                ? (
                    AddressStanding.InPool,
                    $"is in the pool of {ServerName(seen.Network, pool.Router)}: it may be leased to any device that asks"
                )
            : (AddressStanding.Free, "is free: safe to set by hand");
        return new(ruler.Segment, Territory(seen.Network, ruler.Segment), ruler.Subnet, standing, $"{address} {text}.");
    }

    private static string ServerName(Network network, string server) =>
        server == PortRef.Street ? "the provider"
        : GuestId.BoxOf(server) is { } box ? network.NameOf(box)
        : network.NameOf(server);

    private static string Elsewhere(Observation seen, Ipv4Address address) =>
        Provider.Own(seen.Network.Design.Site.Service).Subnet.Contains(address)
            ? ", it is on the provider's line"
            : SpecialBlock.UseOf(address) switch
            {
                AddressUse.Private => ": a private address of some other network (RFC 1918)",
                AddressUse.CarrierShared => ": between a provider's carrier-grade NAT and its customers (RFC 6598)",
                AddressUse.LinkLocal => ": what a device gives itself when no DHCP server answers (RFC 3927)",
                AddressUse.NotForHosts => ": no host of a home ever has it",
                _ => ": an address of the internet",
            };
}
