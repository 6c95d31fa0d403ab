using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>The simulated network of one design in one situation.</summary>
/// <param name="Design">What it was made from.</param>
/// <param name="Situation">What was powered and linked.</param>
/// <param name="Segments">The broadcast domains, by id.</param>
/// <param name="Interfaces">Everything that can hold an address, by owner and side.</param>
/// <param name="Links">Cables and Wi-Fi that join two things in use, by id; a cable of a ring is one of them.</param>
/// <param name="Refusals">Devices that remember a Wi-Fi which they do not get into, by device.</param>
public sealed record Network(
    Design Design,
    Situation Situation,
    IReadOnlyList<Segment> Segments,
    IReadOnlyList<Interface> Interfaces,
    IReadOnlyList<Link> Links,
    IReadOnlyList<WifiRefusal> Refusals
)
{
    private readonly Dictionary<string, Segment> _segments = Segments.ToDictionary(s => s.Id, StringComparer.Ordinal);
    private readonly Dictionary<(string, Side), Interface> _interfaces = Interfaces.ToDictionary(i => (i.Owner, i.Side));
    private readonly Dictionary<string, BoxMode> _modes = Design.SetUp.Boxes.ToDictionary(b => b.Box, b => b.Mode, StringComparer.Ordinal);
    private readonly Dictionary<string, string> _names = Design
        .Site.Boxes.Select(b => (b.Id, b.Name))
        .Concat(Design.Site.Devices.Select(d => (d.Id, d.Name)))
        .ToDictionary(x => x.Id, x => x.Name, StringComparer.Ordinal);

    /// <summary>The work that asking it may take.</summary>
    public Work Work { get; init; } = new(CancellationToken.None);

    /// <summary>Radio links between boxes that carry something, by box.</summary>
    public IReadOnlyList<RadioLink> RadioLinks { get; init; } = [];

    /// <summary>The segment that each part of a box or device is in; who is off has none.</summary>
    public IReadOnlyDictionary<Group, string> Parts { get; init; } = new Dictionary<Group, string>();

    /// <summary>Boxes that should join another by radio and do not, by box.</summary>
    public IReadOnlyList<LinkRefusal> Unjoined { get; init; } = [];

    /// <summary>Routers that moved their LAN away from what is set in the design, outermost first.</summary>
    public IReadOnlyList<Renumbered> Renumbered { get; private init; } = [];

    /// <summary>The design as it is in force: with the routers where they moved.</summary>
    public Design InForce { get; private init; } = Design;

    /// <summary>The same network, as that of a design from which some of its routers moved away.</summary>
    internal Network OfDesign(Design design, IReadOnlyList<Renumbered> moved) => this with { Design = design, Renumbered = moved };

    /// <summary>The segment with this id.</summary>
    public Segment Segment(string id) => _segments[id];

    /// <summary>An interface by owner and side; null where its owner has no such side in its mode.</summary>
    public Interface? Find(string owner, Side side) => _interfaces.GetValueOrDefault((owner, side));

    /// <summary>A router's settings as they are in force; null where the owner does not route.</summary>
    public RouterMode? Router(string owner) => _modes.GetValueOrDefault(owner) as RouterMode;

    /// <summary>The name of a box or device; the same as <see cref="Sites.Design.NameOf"/>, without looking through the lists.</summary>
    public string NameOf(string id) =>
        _names.TryGetValue(id, out var name) ? name
        : id == Laptop.CableId ? "the laptop"
        : id == Laptop.WifiId ? "the laptop on Wi-Fi"
        : id == Laptop.BothId ? "the laptop, by cable and Wi-Fi"
        : id == Provider.Internet ? "the internet"
        : Design.NameOf(id);
}

/// <summary>One broadcast domain: everything that hears a broadcast of any of its members.</summary>
/// <param name="Id">The router that has its LAN side here, else another box or device here; see <see cref="GuestId"/> for a guest
/// network; "street" for the provider's.</param>
/// <param name="Boxes">Boxes with ports or radios in it, by id; a router counts on each side that it has here.</param>
/// <param name="Interfaces">What can hold an address in it, by owner and side.</param>
/// <param name="Servers">DHCP servers that answer in it, by owner.</param>
/// <param name="Cables">Ids of its cables, in order.</param>
/// <param name="Loops">Rings closed in it.</param>
public sealed record Segment(
    string Id,
    IReadOnlyList<string> Boxes,
    IReadOnlyList<Interface> Interfaces,
    IReadOnlyList<SegmentServer> Servers,
    IReadOnlyList<string> Cables,
    IReadOnlyList<Loop> Loops
)
{
    /// <summary>Whether the provider's line ends in it.</summary>
    public bool HasStreet => Id == PortRef.Street;
}

/// <summary>A ring of cables, radio links or both.</summary>
/// <param name="Cables">The cables and radio links of the ring, by id.</param>
public sealed record Loop(IReadOnlyList<string> Cables)
{
    /// <summary>Whether it is not known if a box of it stops its radio link by itself.</summary>
    public bool Perhaps { get; init; }
}

/// <summary>The sides on which something can hold an address.</summary>
public enum Side
{
    /// <summary>A router's LAN side.</summary>
    Lan,

    /// <summary>A router's WAN side.</summary>
    Wan,

    /// <summary>The page of an access point or a managed switch.</summary>
    Page,

    /// <summary>A router's side towards its guests.</summary>
    Guest,

    /// <summary>A customer's device.</summary>
    Device,

    /// <summary>The provider's end.</summary>
    Provider,

    /// <summary>The installer's laptop: it looks on, and no device's internet is judged by it.</summary>
    Laptop,
}

/// <summary>Something that can hold an address.</summary>
/// <param name="Owner">Box, device or street.</param>
/// <param name="Side">Which side of it.</param>
/// <param name="Segment">The segment it is in.</param>
/// <param name="Linked">Whether anything else is in that segment.</param>
/// <param name="Setting">How it comes by its address.</param>
/// <param name="Mac">Its MAC address; null where not read.</param>
public sealed record Interface(string Owner, Side Side, string Segment, bool Linked, HostAddress Setting, MacAddress? Mac)
{
    /// <summary>The access point whose guest name it is in; null for everybody else.</summary>
    public string? GuestOf { get; init; }

    /// <summary>Whether it tries an address that it was leased before using it.</summary>
    public Known ChecksLease { get; init; }

    /// <summary>The radio links of its segment that it is behind, by id; empty where none is.</summary>
    public string Behind { get; init; } = "";

    /// <summary>What the line wants and does not get from it; null for what is let on, and for whatever is not at the street.</summary>
    public LineFault? KeptOff { get; init; }

    /// <summary>Whether it is the same side of the same owner; two networks are never compared.</summary>
    public bool Equals(Interface? other) =>
        ReferenceEquals(this, other) || (other is not null && Side == other.Side && Owner == other.Owner);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Owner, Side);

    /// <summary>Whether it asks for its address and anybody could hear it.</summary>
    public bool AsksNow => Linked && Setting is Automatic;

    /// <summary>Whether it is a router's side towards hosts of its own.</summary>
    public bool IsInner => Side is Side.Lan or Side.Guest;
}

/// <summary>A DHCP server as its segment sees it.</summary>
/// <param name="Owner">The router, or the street.</param>
/// <param name="Pool">What it hands out; null where that is not known.</param>
/// <param name="PrefixLength">The prefix that it hands out with an address.</param>
/// <param name="Own">Its own address in the segment.</param>
/// <param name="Gateway">The default gateway that it hands out; null where it leaves that out.</param>
/// <param name="DnsServers">The DNS servers that it hands out; empty where it leaves them out.</param>
/// <param name="Reservations">Addresses kept for one MAC address.</param>
/// <param name="Leases">How many leases it gives; null where only the pool limits it.</param>
public sealed record SegmentServer(
    string Owner,
    AddressRange? Pool,
    int PrefixLength,
    Ipv4Address Own,
    Ipv4Address? Gateway,
    IReadOnlyList<Ipv4Address> DnsServers,
    IReadOnlyList<Reservation> Reservations,
    int? Leases
)
{
    /// <summary>How long a lease lasts, in minutes.</summary>
    public int LeaseMinutes { get; init; } = DhcpServerSetting.UsualLeaseMinutes;

    /// <summary>The domain name that it hands out; null for none.</summary>
    public string? Domain { get; init; }

    /// <summary>Whether it tries an address before it offers it.</summary>
    public Known ChecksOffer { get; init; }

    /// <summary>Whether it answers only because it hears no other.</summary>
    public bool Woke { get; init; }
}

/// <summary>Why a device does not get into the Wi-Fi that it remembers.</summary>
/// <param name="Device">The device.</param>
/// <param name="Wifi">What it remembers.</param>
/// <param name="Why">What stands in the way.</param>
public sealed record WifiRefusal(string Device, WifiJoin Wifi, RefusalReason Why);
