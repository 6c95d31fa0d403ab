using System.Text.Json.Serialization;
using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>
/// Everything that is said of a network, in stable order. Leases, discovery and management are written out only where they
/// are asked for: they are long, and no verdict needs them.
/// </summary>
/// <param name="Segments">The address territories.</param>
/// <param name="Addresses">Who holds which address, box by box and device by device.</param>
/// <param name="Leases">Who asks for an address, and every offer that it hears.</param>
/// <param name="Conflicts">Addresses that two hosts hold or may come to hold.</param>
/// <param name="Overlaps">Routers with overlapping subnets on both sides.</param>
/// <param name="Internet">Ordinary internet of each customer's device.</param>
/// <param name="Needs">What the customer asked for, need by need.</param>
/// <param name="Inbound">What becomes of a connection opened from outside, forward by forward; over IPv4 only.</param>
/// <param name="Links">Cables and Wi-Fi in use, with what they carry.</param>
/// <param name="Uplinks">To what each box and device is connected.</param>
/// <param name="Nats">Where NAT is done, and how many times on the way.</param>
/// <param name="Rulers">Who has which address of which subnet.</param>
/// <param name="AmongDevices">Works <see cref="Reach"/> and what hangs on it out: no finding needs it, and it grows with the square of
/// the home.</param>
public sealed record FactSheet(
    IReadOnlyList<SegmentFact> Segments,
    IReadOnlyList<AddressFact> Addresses,
    [property: JsonIgnore] IReadOnlyList<LeaseFact> Leases,
    IReadOnlyList<ConflictFact> Conflicts,
    IReadOnlyList<OverlapFact> Overlaps,
    IReadOnlyList<InternetFact> Internet,
    IReadOnlyList<NeedFact> Needs,
    IReadOnlyList<InboundFact> Inbound,
    IReadOnlyList<LinkFact> Links,
    IReadOnlyList<UplinkFact> Uplinks,
    IReadOnlyList<NatFact> Nats,
    IReadOnlyList<RulerFact> Rulers,
    [property: JsonIgnore] Lazy<AmongDevices> AmongDevices
)
{
    /// <summary>No facts at all: what is known of a home that could not be looked at.</summary>
    public static FactSheet Nothing { get; } = new([], [], [], [], [], [], [], [], [], [], [], [], new(() => new(new([], []), [], [])));

    /// <summary>Who opens connections to whom, class by class.</summary>
    [JsonIgnore]
    public ReachFact Reach => AmongDevices.Value.Reach;

    /// <summary>
    /// Whose questions by broadcast and multicast arrive at whom, and whether the answer does. Classes that are not listed together hear
    /// nothing of each other.
    /// </summary>
    [JsonIgnore]
    public IReadOnlyList<DiscoveryFact> Discovery => AmongDevices.Value.Discovery;

    /// <summary>Where the page of each box answers, and for whom.</summary>
    [JsonIgnore]
    public IReadOnlyList<ManagementFact> Management => AmongDevices.Value.Management;
}

/// <summary>What is worked out only when it is asked for.</summary>
/// <param name="Reach">Who opens connections to whom.</param>
/// <param name="Discovery">Who finds whom.</param>
/// <param name="Management">Whose page answers where.</param>
public sealed record AmongDevices(ReachFact Reach, IReadOnlyList<DiscoveryFact> Discovery, IReadOnlyList<ManagementFact> Management);

/// <summary>One who asks for an address.</summary>
/// <param name="Owner">Box or device.</param>
/// <param name="Side">Which side of it.</param>
/// <param name="Offers">Every offer that it hears, by server; which one it takes is not known where there are several.</param>
/// <param name="WhyNone">Why it gets none; null where it gets one.</param>
public sealed record LeaseFact(string Owner, Side Side, IReadOnlyList<Offer> Offers, Cause? WhyNone);

/// <summary>A port of a router seen from the internet. Over IPv4 only.</summary>
/// <param name="Router">The router that lets it in.</param>
/// <param name="Protocol">TCP or UDP.</param>
/// <param name="Port">The port asked for from outside.</param>
/// <param name="Answer">Whether a connection from the internet arrives.</param>
/// <param name="ArrivesAt">The device or box where it arrives; null where it does not.</param>
/// <param name="StoppedBy">Who stops it; null where it arrives.</param>
public sealed record InboundFact(string Router, Protocol Protocol, int Port, Answer Answer, string? ArrivesAt, string? StoppedBy);

/// <summary>
/// A question to everybody, such as those by which printers are found. It stays in its segment and crosses neither a router nor a barrier
/// for guests.
/// </summary>
/// <param name="From">Class that asks.</param>
/// <param name="To">Class that is looked for.</param>
/// <param name="Question">Whether the question arrives.</param>
/// <param name="Reply">Whether the answer, which is sent to the client's address, does.</param>
public sealed record DiscoveryFact(string From, string To, Answer Question, Answer Reply);

/// <summary>The page of a box.</summary>
/// <param name="Box">The box.</param>
/// <param name="Address">Where it answers; null where the address is not certain.</param>
/// <param name="From">For each class of devices, whether the page opens.</param>
public sealed record ManagementFact(string Box, Ipv4Address? Address, IReadOnlyList<SeatAnswer> From);

/// <summary>What is so for one class of devices.</summary>
/// <param name="Class">The class, by its first device.</param>
/// <param name="Answer">Whether it is so.</param>
public sealed record SeatAnswer(string Class, Answer Answer);

/// <summary>One broadcast domain.</summary>
/// <param name="Id">Named after the router that rules it, else after another box in it; "street" for the provider's.</param>
/// <param name="Subnets">Subnets of the routers that have their LAN side in it; several mean that several routers lead one wire.</param>
/// <param name="Boxes">Boxes with ports or radios in it.</param>
/// <param name="Devices">Customer's devices in it.</param>
/// <param name="Servers">DHCP servers that answer in it.</param>
/// <param name="Above">The segment on the WAN side of the router that rules it; null where nothing is above.</param>
public sealed record SegmentFact(
    string Id,
    IReadOnlyList<Subnet> Subnets,
    IReadOnlyList<string> Boxes,
    IReadOnlyList<string> Devices,
    IReadOnlyList<string> Servers,
    string? Above
);

/// <summary>How a host came by its address.</summary>
public enum AddressOrigin
{
    /// <summary>Typed by hand.</summary>
    Fixed,

    /// <summary>Leased, and kept for it by a reservation.</summary>
    Reserved,

    /// <summary>Leased from a pool: one of a range.</summary>
    Leased,

    /// <summary>No DHCP server answered; it gives itself a link-local address (RFC 3927).</summary>
    SelfAssigned,

    /// <summary>It is connected to nothing.</summary>
    None,
}

/// <summary>The address of one host.</summary>
/// <param name="Owner">Box or device; "street" for the provider.</param>
/// <param name="Side">Which side of it.</param>
/// <param name="Segment">Where it is.</param>
/// <param name="Origin">How it came by it; the first offer's where several answer.</param>
/// <param name="Address">
/// The address where it is certain, or on a simulated network with a memory the one that the server chose there; null for one of a range.
/// </param>
/// <param name="PrefixLength">Its prefix; null where it has no address.</param>
/// <param name="From">The range that it is one of, where the server decides; null where the address is certain or nothing is known.</param>
/// <param name="Gateway">Its default gateway; null where it has none.</param>
/// <param name="DnsServers">Its DNS servers.</param>
/// <param name="Servers">Who may have given it, by id; the first one's values stand here. Empty for a typed address.</param>
public sealed record AddressFact(
    string Owner,
    Side Side,
    string Segment,
    AddressOrigin Origin,
    Ipv4Address? Address,
    AddressRange? From,
    int? PrefixLength,
    Ipv4Address? Gateway,
    IReadOnlyList<Ipv4Address> DnsServers,
    IReadOnlyList<string> Servers
);

/// <summary>Ordinary internet of a device.</summary>
/// <param name="Device">The device.</param>
/// <param name="Answer">Whether it has ordinary internet: it gets there, and names resolve.</param>
/// <param name="Packets">Whether packets get there and back; written out as <see cref="Reached"/>, since the causes stand in the
/// answer.</param>
/// <param name="Names">Whether names resolve; written out as <see cref="Resolves"/>.</param>
/// <param name="Sure">Whether packets go the way that the rest tells whatever luck does; where not, it is one of several.</param>
/// <param name="SeenAs">Whose address the world sees: a box, the device itself, or "street" behind a carrier.</param>
/// <param name="SeenAddress">That address; null where it is not certain.</param>
/// <param name="NatBy">Boxes that give its packets another source address, in order; "street" for the carrier.</param>
/// <param name="Links">Links on its way out, its own first, as far as its packets get.</param>
/// <param name="Slowest">The slowest of these links by what usually arrives over each, as far as is known; null where none is slower than
/// another, and where links were not looked at.</param>
public sealed record InternetFact(
    string Device,
    Answer Answer,
    [property: JsonIgnore] Answer Packets,
    [property: JsonIgnore] Answer Names,
    bool Sure,
    string SeenAs,
    Ipv4Address? SeenAddress,
    IReadOnlyList<string> NatBy,
    IReadOnlyList<string> Links,
    string? Slowest
)
{
    /// <summary>Whether packets get there and back.</summary>
    public AnswerKind Reached => Packets.Kind;

    /// <summary>Whether names resolve.</summary>
    public AnswerKind Resolves => Names.Kind;

    /// <summary>How many boxes follow <see cref="NatBy"/>: 0 unless this is a <see cref="Brief"/> fact.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public int MoreNatBy { get; init; }

    /// <summary>How many links follow <see cref="Links"/>: 0 unless this is a <see cref="Brief"/> fact.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public int MoreLinks { get; init; }

    /// <summary>The same fact with the first of each of its lists; the others are counted.</summary>
    /// <param name="causes">How many causes are kept at most.</param>
    /// <param name="natBy">How many boxes that do NAT.</param>
    /// <param name="links">How many links.</param>
    public InternetFact Brief(int causes, int natBy, int links) =>
        this with
        {
            Answer = Answer.Brief(causes),
            NatBy = NatBy.Count <= natBy ? NatBy : [.. NatBy.Take(natBy)],
            MoreNatBy = Math.Max(0, NatBy.Count - natBy),
            Links = Links.Count <= links ? Links : [.. Links.Take(links)],
            MoreLinks = Math.Max(0, Links.Count - links),
        };
}

/// <summary>What joins two things.</summary>
public enum LinkKind
{
    /// <summary>A cable, or what stands in for one: powerline, coax.</summary>
    Cable,

    /// <summary>A device in a Wi-Fi.</summary>
    Wifi,

    /// <summary>A box that joins another one by radio.</summary>
    Radio,
}

/// <summary>A link in use.</summary>
/// <param name="Id">The cable's id; "wifi:" and the device for a Wi-Fi, "radio:" and the box that joins for a radio link.</param>
/// <param name="Kind">What joins.</param>
/// <param name="A">One end.</param>
/// <param name="B">The other end; for a Wi-Fi the box.</param>
/// <param name="AtMostMbps">What it carries at most by its ports and its medium, in Mb/s; null where neither is known.</param>
/// <param name="InRing">Whether it is part of a ring.</param>
/// <param name="PassesPublic">Whether a gateway's public address goes on through it.</param>
public sealed record LinkFact(string Id, LinkKind Kind, PortRef A, PortRef B, int? AtMostMbps, bool InRing, bool PassesPublic)
{
    /// <summary>How strongly the end that joined hears the other over radio; null for a cable, and where a place is missing.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public SignalLevel? Signal { get; init; }

    /// <summary>
    /// What arrives over it in the weaker direction: by radio, and over mains wiring; null where <see cref="Signal"/> is missing.
    /// </summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public RateSpan? Arrives { get; init; }

    /// <summary>What usually arrives over it, in Mb/s; null where nothing says.</summary>
    private double? Usual => Arrives is not null ? Arrives.Usual : AtMostMbps * MediumRates.Payload;

    /// <summary>The slowest of some links, the first of equal ones; null where none is known to be slower than another.</summary>
    internal static string? Slowest(IEnumerable<LinkFact> links)
    {
        var known = links.Where(l => l.Usual is not null).ToList();
        return known.Select(l => l.Usual).Distinct().Count() > 1 ? known.MinBy(l => l.Usual)!.Id : null;
    }

    /// <summary>The same with how strongly it is received.</summary>
    internal LinkFact Received(PathRates rates) =>
        rates.Link(Id) is not { } part || (part.Kind != RatePartKind.Mains && part.Level is null)
            ? this
            : this with
            {
                Signal = part.Level?.Rounded(),
                Arrives = part.Down.LimitedBy(part.Up).Rounded(),
            };
}

/// <summary>At whom a box or device hangs.</summary>
/// <param name="Owner">The box or device.</param>
/// <param name="Link">The link that leads towards the street, or towards the head of an island.</param>
/// <param name="To">The box at the other end, or "street".</param>
/// <param name="Outer">Whether it ends at the WAN side of the owner, which keeps its sides apart.</param>
public sealed record UplinkFact(string Owner, string Link, string To, bool Outer);

/// <summary>A router whose two sides are networks apart.</summary>
/// <param name="Router">The router.</param>
/// <param name="Does">Whether it is set to do NAT.</param>
/// <param name="Number">Which NAT it is, counted from the internet line with the carrier's own; 2 and more are double NAT. Null where it
/// does none, or has nothing above it.</param>
public sealed record NatFact(string Router, bool Does, int? Number);

/// <summary>The addresses of one subnet of one segment.</summary>
/// <param name="Segment">The segment.</param>
/// <param name="Subnet">The subnet.</param>
/// <param name="Hosts">Its host addresses.</param>
/// <param name="Pools">What the routers of this subnet hand out, also while their server is off.</param>
/// <param name="Marks">Who has or may have which address, by address.</param>
/// <param name="Free">Stretches that are safe to set by hand: outside every pool in use, neither set nor reserved.</param>
/// <param name="Router">The leading router of the subnet.</param>
/// <param name="Gateway">The default gateway that a host gets whose address is typed by hand: that router.</param>
/// <param name="DnsServers">The DNS servers that it gets: that router.</param>
public sealed record RulerFact(
    string Segment,
    Subnet Subnet,
    AddressRange Hosts,
    IReadOnlyList<PoolFact> Pools,
    IReadOnlyList<RulerMark> Marks,
    IReadOnlyList<AddressRange> Free,
    string Router,
    Ipv4Address Gateway,
    IReadOnlyList<Ipv4Address> DnsServers
);

/// <summary>What a router hands out.</summary>
/// <param name="Router">The router, or its guest network.</param>
/// <param name="Range">Its pool.</param>
/// <param name="On">Whether its server answers.</param>
/// <param name="Leased">How many hosts get an address of the pool, none of them known in advance.</param>
public sealed record PoolFact(string Router, AddressRange Range, bool On, int Leased);

/// <summary>Why an address of a subnet is spoken for.</summary>
public enum RulerMarkKind
{
    /// <summary>A router's own address.</summary>
    Router,

    /// <summary>Typed by hand.</summary>
    Fixed,

    /// <summary>Kept by a server for one MAC address.</summary>
    Reserved,

    /// <summary>One address that a leased host might get: an example.</summary>
    Example,
}

/// <summary>One address of a subnet that is spoken for.</summary>
/// <param name="Owner">Box or device; the MAC address where no box or device in the survey has it.</param>
/// <param name="Side">Which side of it.</param>
/// <param name="Kind">Why.</param>
/// <param name="Address">The address.</param>
/// <param name="Clash">Whether another host has it or may get it.</param>
public sealed record RulerMark(string Owner, Side Side, RulerMarkKind Kind, Ipv4Address Address, bool Clash);

/// <summary>Who opens connections to whom. Devices of one class are told apart by nothing that matters here.</summary>
/// <param name="Classes">The classes.</param>
/// <param name="Cells">One cell for each ordered pair, a class with itself included where it has two members.</param>
public sealed record ReachFact(IReadOnlyList<ReachClass> Classes, IReadOnlyList<ReachCell> Cells);

/// <summary>Devices that reach and are reached alike.</summary>
/// <param name="Id">Its first device.</param>
/// <param name="Segment">Where they are.</param>
/// <param name="Devices">All of them.</param>
public sealed record ReachClass(string Id, string Segment, IReadOnlyList<string> Devices);

/// <summary>Whether a device of one class opens a connection to one of another.</summary>
/// <param name="From">Class that opens.</param>
/// <param name="To">Class that is to answer.</param>
/// <param name="Answer">Whether it gets there.</param>
/// <param name="Via">Routers passed, in order.</param>
/// <param name="StoppedBy">The box that stops it; null where it arrives or nothing lies between.</param>
public sealed record ReachCell(string From, string To, Answer Answer, IReadOnlyList<string> Via, string? StoppedBy);

/// <summary>What becomes of one need.</summary>
/// <param name="Need">Its id.</param>
/// <param name="About">The device, box or place that it is about; empty where it is about the whole home.</param>
/// <param name="Asked">What is asked for, in words, such as "Recorder reached from outside on port 8000".</param>
/// <param name="Answer">Whether it is met. For a connection from outside: over IPv4, and only as far as the model goes.</param>
/// <param name="Via">Routers passed, from outside in.</param>
/// <param name="StoppedBy">The box, device or "street" that stops it; null where it is met.</param>
public sealed record NeedFact(string Need, string About, string Asked, Answer Answer, IReadOnlyList<string> Via, string? StoppedBy);
