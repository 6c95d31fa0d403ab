using System.Text.Json.Serialization;
using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>What is chosen for a site: modes, addresses, cables, radios.</summary>
/// <param name="Name">Unique among the job's set-ups, such as "found" or "planned".</param>
/// <param name="Boxes">How each box in use is set. A box that is left out stays on the shelf.</param>
/// <param name="Cables">What is plugged in where; a port takes one cable.</param>
/// <param name="Devices">How each customer's device in use is set.</param>
public sealed record SetUp(string Name, IReadOnlyList<BoxSetting> Boxes, IReadOnlyList<Cable> Cables, IReadOnlyList<DeviceSetting> Devices)
{
    /// <summary>Findings that somebody answers for, by identity; also ones that do not stand at present.</summary>
    public IReadOnlyList<Acceptance> Accepted { get; init; } = [];
}

/// <summary>Somebody's word that a finding may stay.</summary>
/// <param name="Finding">Identity of the finding.</param>
/// <param name="Severe">Whether it meant "will not work" when it was accepted; one accepted as a concern counts again once it means that.</param>
/// <param name="Reason">Why it may stay, 1 to 500 characters.</param>
/// <param name="By">Who says so, 1 to 80 characters.</param>
public sealed record Acceptance(string Finding, bool Severe, string Reason, string By)
{
    /// <summary>How many findings of one set-up can be accepted.</summary>
    public const int Most = 500;

    /// <summary>The longest reason, in characters.</summary>
    public const int LongestReason = 500;

    /// <summary>The longest name, in characters.</summary>
    public const int LongestName = 80;

    /// <summary>The longest identity of a finding, in characters.</summary>
    public const int LongestFinding = 4000;
}

/// <summary>How one box is set.</summary>
public sealed record BoxSetting(string Box, BoxMode Mode);

/// <summary>How one customer's device is set.</summary>
/// <param name="Device">Its id.</param>
/// <param name="Address">How it comes by its address.</param>
/// <param name="Wifi">The Wi-Fi that it remembers; null where it has none. A cable, where there is one, is preferred (common practice).</param>
public sealed record DeviceSetting(string Device, HostAddress Address, WifiJoin? Wifi);

/// <summary>What a device remembers of a Wi-Fi, and where it stands.</summary>
/// <param name="Box">The box whose radio it hears best.</param>
/// <param name="Name">The name that it looks for.</param>
/// <param name="Key">Reference to the key that it has; null for an open network or where not recorded.</param>
public sealed record WifiJoin(string Box, string Name, string? Key);

/// <summary>How a host comes by its address.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(Automatic), "automatic")]
[JsonDerivedType(typeof(Fixed), "fixed")]
public abstract record HostAddress;

/// <summary>It asks an address server (DHCP).</summary>
public sealed record Automatic : HostAddress;

/// <summary>Typed by hand.</summary>
/// <param name="Address">Address and prefix as typed.</param>
/// <param name="Gateway">Default gateway as typed; null where left empty.</param>
/// <param name="NameServers">Name servers as typed.</param>
public sealed record Fixed(InterfaceAddress Address, Ipv4Address? Gateway, IReadOnlyList<Ipv4Address> NameServers) : HostAddress;

/// <summary>What a box is set to. No mode carries a setting that it lacks.</summary>
public abstract record BoxMode
{
    /// <summary>Which of the modes it is.</summary>
    public abstract ModeKind Kind { get; }

    /// <summary>Its radios; empty in modes without Wi-Fi.</summary>
    public virtual IReadOnlyList<RadioSetting> Radios => [];
}

/// <summary>Own subnet behind a translation.</summary>
/// <param name="Wan">How the WAN side comes by its address.</param>
/// <param name="Lan">Own address and prefix on the LAN side.</param>
/// <param name="Server">Its address server, on or off.</param>
/// <param name="Forwards">Ports let in from the WAN side.</param>
/// <param name="Wifi">Its radios.</param>
public sealed record RouterMode(HostAddress Wan, InterfaceAddress Lan, AddressServer Server, IReadOnlyList<PortForward> Forwards, IReadOnlyList<RadioSetting> Wifi) : BoxMode
{
    /// <inheritdoc/>
    public override ModeKind Kind => ModeKind.Router;

    /// <inheritdoc/>
    public override IReadOnlyList<RadioSetting> Radios => Wifi;

    /// <summary>A network of its own for guests, on the same radios; null where it has none.</summary>
    public GuestNetwork? Guest { get; init; }

    /// <summary>Whether it gives outgoing packets its own WAN address. One that does not routes both ways and lets everything through.</summary>
    public bool Translates { get; init; } = true;

    /// <summary>Who gets every connection from the WAN side that no forward claims; null where nobody does.</summary>
    public Ipv4Address? Dmz { get; init; }

    /// <summary>Whether devices may ask it to open ports (RFC 6887 and the like).</summary>
    public bool PortRequests { get; init; }

    /// <summary>Ways typed in beyond its own subnets and its default gateway.</summary>
    public IReadOnlyList<StaticRoute> Routes { get; init; } = [];
}

/// <summary>A way typed into a router.</summary>
/// <param name="To">What lies there.</param>
/// <param name="Via">The router that leads there, on one of its sides.</param>
public sealed record StaticRoute(Subnet To, Ipv4Address Via);

/// <summary>A name for guests on an access point, which has no subnet for them: whether they are kept apart is the box's habit.</summary>
/// <param name="Name">The network's name (SSID), 1 to 32 bytes.</param>
/// <param name="Security">How it is protected.</param>
/// <param name="Key">Reference to the key; null when open or not recorded.</param>
public sealed record GuestName(string Name, WifiSecurity Security, string? Key);

/// <summary>
/// A network for guests: it gets to the internet and to nothing else (common practice). It sends while any radio of its router does.
/// </summary>
/// <param name="Name">The network's name (SSID), 1 to 32 bytes.</param>
/// <param name="Security">How it is protected.</param>
/// <param name="Key">Reference to the key; null when open or not recorded.</param>
/// <param name="Lan">The router's address and prefix in it.</param>
/// <param name="Pool">What guests are handed out, both ends included.</param>
public sealed record GuestNetwork(string Name, WifiSecurity Security, string? Key, InterfaceAddress Lan, AddressRange Pool);

/// <summary>All in one segment, own page at a leased or fixed address.</summary>
/// <param name="Page">How its page comes by its address.</param>
/// <param name="Wifi">Its radios.</param>
public sealed record AccessPointMode(HostAddress Page, IReadOnlyList<RadioSetting> Wifi) : BoxMode
{
    /// <summary>A further name for guests on the same radios; null where it sends none.</summary>
    public GuestName? Guest { get; init; }

    /// <inheritdoc/>
    public override ModeKind Kind => ModeKind.AccessPoint;

    /// <inheritdoc/>
    public override IReadOnlyList<RadioSetting> Radios => Wifi;
}

/// <summary>A gateway that stopped routing; its Wi-Fi is off.</summary>
/// <param name="Page">Where its page still answers; null where it has none.</param>
public sealed record BridgeMode(InterfaceAddress? Page) : BoxMode
{
    /// <inheritdoc/>
    public override ModeKind Kind => ModeKind.Bridge;
}

/// <summary>A switch.</summary>
/// <param name="Page">How a managed switch comes by its address; null for a plain one.</param>
public sealed record SwitchMode(HostAddress? Page) : BoxMode
{
    /// <inheritdoc/>
    public override ModeKind Kind => ModeKind.Switch;
}

/// <summary>A router's address server (DHCP). It keeps its settings while it is off.</summary>
/// <param name="On">Whether it answers.</param>
/// <param name="Pool">What it hands out, both ends included.</param>
/// <param name="Gateway">Default gateway that it hands out; null for the router itself.</param>
/// <param name="NameServers">Name servers that it hands out; empty for the router itself.</param>
/// <param name="Reservations">Addresses kept for one hardware address, inside the pool or not.</param>
public sealed record AddressServer(bool On, AddressRange Pool, Ipv4Address? Gateway, IReadOnlyList<Ipv4Address> NameServers, IReadOnlyList<Reservation> Reservations)
{
    /// <summary>The lease time that is taken for one not read, in minutes: a day (common practice).</summary>
    public const int UsualLeaseMinutes = 1440;

    /// <summary>How long a lease lasts, in minutes, 2 to 525,600; null where not read.</summary>
    public int? LeaseMinutes { get; init; }

    /// <summary>The domain name that it hands out (option 15); null where it hands out none.</summary>
    public string? Domain { get; init; }

    /// <summary>Whether it hands out no gateway at all; then <see cref="Gateway"/> is null.</summary>
    public bool LeavesOutGateway { get; init; }

    /// <summary>Whether it hands out no name servers at all; then <see cref="NameServers"/> is empty.</summary>
    public bool LeavesOutNames { get; init; }
}

/// <summary>An address kept for one hardware address.</summary>
public sealed record Reservation(HardwareAddress Hardware, Ipv4Address Address);

/// <summary>A port let in from the WAN side.</summary>
/// <param name="Protocol">TCP or UDP.</param>
/// <param name="OutsidePort">Port seen from outside, 1 to 65535.</param>
/// <param name="To">Where it is sent.</param>
/// <param name="InsidePort">Port there, 1 to 65535.</param>
public sealed record PortForward(Protocol Protocol, int OutsidePort, Ipv4Address To, int InsidePort);

/// <summary>How one radio is set.</summary>
/// <param name="Radio">Which radio of the box.</param>
/// <param name="On">Whether it sends.</param>
/// <param name="Name">The network's name (SSID), 1 to 32 bytes.</param>
/// <param name="Security">How it is protected.</param>
/// <param name="Key">Reference to the key; null when open or not recorded.</param>
public sealed record RadioSetting(string Radio, bool On, string Name, WifiSecurity Security, string? Key);

/// <summary>Wi-Fi protection.</summary>
public enum WifiSecurity
{
    /// <summary>None.</summary>
    Open,
    /// <summary>The first protection, broken long ago.</summary>
    Wep,
    /// <summary>WPA with TKIP, or mixed with it.</summary>
    WpaTkip,
    /// <summary>WPA2 with AES.</summary>
    Wpa2,
    /// <summary>WPA2 and WPA3 side by side.</summary>
    Wpa2Wpa3,
    /// <summary>WPA3 alone.</summary>
    Wpa3,
}
