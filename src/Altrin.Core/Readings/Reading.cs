using System.Text.Json.Serialization;
using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Readings;

/// <summary>What a stretch of a text was read as.</summary>
public enum ReadingKind
{
    /// <summary>A command or prompt.</summary>
    Command,

    /// <summary>Adapters with their addresses.</summary>
    Adapters,

    /// <summary>A table of routes.</summary>
    Routes,

    /// <summary>An address table (ARP).</summary>
    AddressTable,

    /// <summary>DNS servers of a machine.</summary>
    DnsServers,

    /// <summary>A ping.</summary>
    Ping,

    /// <summary>A route, hop by hop.</summary>
    Trace,

    /// <summary>What a cable agreed on.</summary>
    CableLink,

    /// <summary>A Wi-Fi in use.</summary>
    WifiLink,

    /// <summary>Networks on the air.</summary>
    WifiScan,

    /// <summary>A box's list of devices.</summary>
    DeviceList,

    /// <summary>Leases of a server, or of one who asked.</summary>
    Leases,

    /// <summary>Address messages out of a capture.</summary>
    Capture,

    /// <summary>The address that the outside sees.</summary>
    Outside,

    /// <summary>Runs of a speed test.</summary>
    SpeedRuns,
}

/// <summary>A stretch of lines that were read.</summary>
/// <param name="Kind">As what.</param>
/// <param name="First">Its first line, from 1.</param>
/// <param name="Last">Its last line.</param>
public sealed record ReadBlock(ReadingKind Kind, int First, int Last);

/// <summary>A line that was not read.</summary>
/// <param name="Line">Which, from 1.</param>
/// <param name="Text">What stands there, at most 200 characters.</param>
/// <param name="Why">Why not, and what was expected.</param>
public sealed record UnreadLine(int Line, string Text, string Why);

/// <summary>How an adapter came by its address.</summary>
public enum AddressWay
{
    /// <summary>The text does not say.</summary>
    Unknown,

    /// <summary>A DHCP server gave it.</summary>
    Leased,

    /// <summary>Typed by hand.</summary>
    Fixed,

    /// <summary>No DHCP server answered; it gave itself one (RFC 3927).</summary>
    SelfAssigned,
}

/// <summary>One network adapter of the machine that printed.</summary>
/// <param name="Line">Where it begins.</param>
/// <param name="Name">What the machine calls it.</param>
public sealed record AdapterRead(int Line, string Name)
{
    /// <summary>Its MAC address.</summary>
    public MacAddress? Mac { get; init; }

    /// <summary>Its address with its prefix.</summary>
    public InterfaceAddress? Address { get; init; }

    /// <summary>Its address, where the text does not say its mask.</summary>
    public Ipv4Address? AddressAlone { get; init; }

    /// <summary>How it came by it.</summary>
    public AddressWay Way { get; init; }

    /// <summary>Its default gateway.</summary>
    public Ipv4Address? Gateway { get; init; }

    /// <summary>Its DNS servers.</summary>
    public IReadOnlyList<Ipv4Address> DnsServers { get; init; } = [];

    /// <summary>The address of the server that leased it.</summary>
    public Ipv4Address? Server { get; init; }

    /// <summary>The domain that came with the lease.</summary>
    public string? Domain { get; init; }

    /// <summary>Whether anything is plugged in or joined.</summary>
    public Known Linked { get; init; }

    /// <summary>Whether it leads nowhere by itself: loopback, tunnels, switches inside the machine.</summary>
    public bool Inside { get; init; }

    /// <summary>What its cable agreed on, in Mb/s.</summary>
    public int? RateMbps { get; init; }
}

/// <summary>One route of a machine.</summary>
/// <param name="Line">Where it stands.</param>
/// <param name="Destination">Where to; 0.0.0.0/0 for everywhere else.</param>
/// <param name="Gateway">Over whom; null for neighbours on the wire.</param>
/// <param name="Adapter">Through which adapter, by name or by its address; empty where the text does not say.</param>
public sealed record RouteRead(int Line, Subnet Destination, Ipv4Address? Gateway, string Adapter)
{
    /// <summary>The lower, the sooner it is taken; null where not printed.</summary>
    public int? Metric { get; init; }

    /// <summary>The address that the machine takes on this way, where the route says so.</summary>
    public Ipv4Address? Own { get; init; }

    /// <summary>Whether it came with a lease.</summary>
    public bool Leased { get; init; }

    /// <summary>Whether it leads everywhere that no other route does.</summary>
    [JsonIgnore]
    public bool IsDefault => Destination.PrefixLength == 0;
}

/// <summary>A host on the wire, by an address table, a device list or a server's leases.</summary>
/// <param name="Line">Where it stands.</param>
/// <param name="Address">Its address; null where the list has none.</param>
/// <param name="Mac">Its MAC address; null where no host answered for the address.</param>
public sealed record NeighbourRead(int Line, Ipv4Address? Address, MacAddress? Mac)
{
    /// <summary>What the list calls it; null where it has no name for it.</summary>
    public string? Name { get; init; }

    /// <summary>How it reaches the box whose list it is; null where the list does not say.</summary>
    public ListedLink? Link { get; init; }
}

/// <summary>A ping.</summary>
/// <param name="Line">Where it begins.</param>
/// <param name="Target">Whom it asked; null where only a name was printed.</param>
/// <param name="Sent">How often; null where the count is missing.</param>
/// <param name="Answered">How many answers came from the target.</param>
/// <param name="MiddleMs">The middle time of the answers, in milliseconds; null without answers.</param>
public sealed record PingRead(int Line, Ipv4Address? Target, int? Sent, int Answered, double? MiddleMs);

/// <summary>One hop of a route.</summary>
/// <param name="Number">Counted from 1.</param>
/// <param name="Addresses">Who answered; empty where none did, several where the way changes.</param>
public sealed record HopRead(int Number, IReadOnlyList<Ipv4Address> Addresses);

/// <summary>A route, hop by hop.</summary>
/// <param name="Line">Where it begins.</param>
/// <param name="Target">Where it was to go; null where only a name was printed, or no head.</param>
/// <param name="Hops">Its hops.</param>
/// <param name="Arrived">Whether the last hop is the target; unknown without a target.</param>
public sealed record TraceRead(int Line, Ipv4Address? Target, IReadOnlyList<HopRead> Hops, Known Arrived);

/// <summary>What the two ends of a cable agreed on.</summary>
/// <param name="Line">Where it begins.</param>
/// <param name="Adapter">Which adapter.</param>
/// <param name="Linked">Whether there is a link.</param>
/// <param name="RateMbps">The rate, in Mb/s; null without a link.</param>
public sealed record CableLinkRead(int Line, string Adapter, Known Linked, int? RateMbps)
{
    /// <summary>The best that this end can, in Mb/s.</summary>
    public int? OwnMostMbps { get; init; }

    /// <summary>The best that the other end says it can, in Mb/s.</summary>
    public int? OtherMostMbps { get; init; }

    /// <summary>Whether both ends send at once.</summary>
    public Known BothWays { get; init; }
}

/// <summary>A radio level.</summary>
/// <param name="Dbm">In dBm.</param>
/// <param name="EitherDb">How far off it may be, in dB: 0 where the machine printed dBm, 3 where it printed a percentage.</param>
public readonly record struct Level(double Dbm, int EitherDb);

/// <summary>A network on the air.</summary>
/// <param name="Line">Where it begins.</param>
/// <param name="Name">Its name; empty where it hides it.</param>
/// <param name="Radio">The MAC address of the radio that sends it (BSSID); null where not printed.</param>
public sealed record NetworkRead(int Line, string Name, MacAddress? Radio)
{
    /// <summary>Its band.</summary>
    public RadioBand? Band { get; init; }

    /// <summary>Its channel.</summary>
    public int? Channel { get; init; }

    /// <summary>How strongly it arrives.</summary>
    public Level? Level { get; init; }

    /// <summary>How much of the time its box finds its channel busy, in percent; null where it does not say.</summary>
    public int? BusyPercent { get; init; }

    /// <summary>How it is protected; null where that was not understood.</summary>
    public WifiSecurity? Security { get; init; }

    /// <summary>Whether the machine is in it.</summary>
    public bool Joined { get; init; }

    /// <summary>What it agreed on towards the machine, in Mb/s.</summary>
    public double? ReceiveMbps { get; init; }

    /// <summary>What it agreed on from the machine, in Mb/s.</summary>
    public double? SendMbps { get; init; }
}

/// <summary>An answer of a DHCP server.</summary>
/// <param name="Line">Where it stands; the number of the frame in a capture.</param>
/// <param name="Kind">What kind of message.</param>
/// <param name="Server">Who answered; null where the message does not say.</param>
/// <param name="Given">The address that was offered or leased.</param>
public sealed record OfferRead(int Line, DhcpKind Kind, Ipv4Address? Server, Ipv4Address? Given)
{
    /// <summary>Who asked.</summary>
    public MacAddress? Client { get; init; }

    /// <summary>The MAC address that the answer came from; only in a capture.</summary>
    public MacAddress? From { get; init; }

    /// <summary>The prefix that came along.</summary>
    public int? PrefixLength { get; init; }

    /// <summary>The gateway that came along.</summary>
    public Ipv4Address? Gateway { get; init; }

    /// <summary>The DNS servers that came along.</summary>
    public IReadOnlyList<Ipv4Address> DnsServers { get; init; } = [];

    /// <summary>How long the lease lasts, in seconds.</summary>
    public long? LeaseSeconds { get; init; }
}

/// <summary>What was read out of a text or a capture, free of any home.</summary>
/// <param name="Lines">How many lines, or frames of a capture, there were.</param>
/// <param name="Blocks">What they were read as.</param>
/// <param name="Unread">Lines that were not read; at most <see cref="MostUnread"/> of them.</param>
/// <param name="UnreadCount">How many were not read.</param>
public sealed record Reading(int Lines, IReadOnlyList<ReadBlock> Blocks, IReadOnlyList<UnreadLine> Unread, int UnreadCount)
{
    /// <summary>The longest text that is read, in characters.</summary>
    public const int LongestText = 1_000_000;

    /// <summary>How many unread lines are listed.</summary>
    public const int MostUnread = 200;

    /// <summary>Adapters of the machine.</summary>
    public IReadOnlyList<AdapterRead> Adapters { get; init; } = [];

    /// <summary>Its routes.</summary>
    public IReadOnlyList<RouteRead> Routes { get; init; } = [];

    /// <summary>Who is there.</summary>
    public IReadOnlyList<NeighbourRead> Neighbours { get; init; } = [];

    /// <summary>DNS servers that stand apart from any adapter.</summary>
    public IReadOnlyList<Ipv4Address> DnsServers { get; init; } = [];

    /// <summary>Pings.</summary>
    public IReadOnlyList<PingRead> Pings { get; init; } = [];

    /// <summary>Routes hop by hop.</summary>
    public IReadOnlyList<TraceRead> Traces { get; init; } = [];

    /// <summary>Cables.</summary>
    public IReadOnlyList<CableLinkRead> CableLinks { get; init; } = [];

    /// <summary>Networks on the air, the one in use among them.</summary>
    public IReadOnlyList<NetworkRead> Networks { get; init; } = [];

    /// <summary>Answers of DHCP servers.</summary>
    public IReadOnlyList<OfferRead> Offers { get; init; } = [];

    /// <summary>What the outside sees.</summary>
    public IReadOnlyList<OutsideRead> Outside { get; init; } = [];

    /// <summary>Runs of a speed test.</summary>
    public IReadOnlyList<SpeedRun> Runs { get; init; } = [];
}
