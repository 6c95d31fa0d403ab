using System.Text.Json.Serialization;
using Altrin.Core.Addressing;

namespace Altrin.Core.Procedures;

/// <summary>
/// How an installer goes about it where good ones differ: schools, none of which is wrong. An act that departs from them says so and
/// is done all the same.
/// </summary>
public sealed record Ways
{
    /// <summary>What is usual where nothing was said.</summary>
    public static Ways Usual { get; } = new();

    /// <summary>When a further box is reset before it is set up. Always is a clean slate; never the gateway's (common practice).</summary>
    public ResetSchool Reset { get; init; } = ResetSchool.Always;

    /// <summary>When the admin password of a further box is changed: first it is never exposed, last there is less to type.</summary>
    public PasswordSchool Password { get; init; } = PasswordSchool.First;

    /// <summary>
    /// Where a further box gets its address: typed low below the pool, typed high above it, or leased and reserved.
    /// </summary>
    public AddressSchool Address { get; init; } = AddressSchool.Any;

    /// <summary>What a router becomes that is not the first one.</summary>
    public FurtherSchool Further { get; init; } = FurtherSchool.Any;

    /// <summary>What the box at the internet line becomes.</summary>
    public GatewaySchool Gateway { get; init; } = GatewaySchool.Any;

    /// <summary>Whether a router behind a router is wanted, with the double NAT that comes with it.</summary>
    [JsonIgnore]
    public bool WantsRouters => Further == FurtherSchool.Cascade || Gateway is GatewaySchool.RouterBehind or GatewaySchool.Dmz;

    /// <summary>By what a room is connected to which no cable leads.</summary>
    public BackhaulSchool Backhaul { get; init; } = BackhaulSchool.Any;

    /// <summary>How Wi-Fi names are given.</summary>
    public NamesSchool Names { get; init; } = NamesSchool.AsNoted;

    /// <summary>What becomes of UPnP on a router that is used as an access point: it translates nothing there.</summary>
    public UpnpSchool Upnp { get; init; } = UpnpSchool.Leave;

    /// <summary>Which DNS servers the router hands out.</summary>
    public DnsSchool Dns { get; init; } = DnsSchool.Any;

    /// <summary>
    /// The installer's own choice of DNS servers: up to four addresses with a space between, empty where none was noted. Devices may ask
    /// any of them, so all must give the same answers.
    /// </summary>
    public string OwnDns { get; init; } = "";

    /// <summary>The same as they are handed out: what is no address is passed over.</summary>
    [JsonIgnore]
    public IReadOnlyList<Ipv4Address> OwnDnsServers =>
        [.. OwnDns.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(Ipv4Address.Parse).Where(a => a.Ok).Select(a => a.Value)];

    /// <summary>Whether customer's devices may be touched; switching one off and on is no touch.</summary>
    public bool TouchesDevices { get; init; } = true;

    /// <summary>Whether the settings of the gateway may be changed.</summary>
    public bool TouchesGateway { get; init; } = true;

    /// <summary>Whether the laptop has an Ethernet socket, or an adapter with one; otherwise it comes to every page by Wi-Fi.</summary>
    public bool Socket { get; init; } = true;
}

/// <summary>Schools of resetting a further box.</summary>
public enum ResetSchool
{
    /// <summary>Always, but for one that comes from its factory.</summary>
    Always,

    /// <summary>Only where its login is not known.</summary>
    IfLoginUnknown,
}

/// <summary>Schools of changing the admin password.</summary>
public enum PasswordSchool
{
    /// <summary>Before any other setting.</summary>
    First,

    /// <summary>After all others, before it meets the live network.</summary>
    Last,
}

/// <summary>Schools of the address of a further box.</summary>
public enum AddressSchool
{
    /// <summary>As it comes.</summary>
    Any,

    /// <summary>Typed, below the pool: .2, .3.</summary>
    Low,

    /// <summary>Typed, above the pool: .250 to .254.</summary>
    High,

    /// <summary>Leased and reserved.</summary>
    Reserved,
}

/// <summary>Schools of the second router.</summary>
public enum FurtherSchool
{
    /// <summary>Whatever suits the home best.</summary>
    Any,

    /// <summary>An access point by a LAN port, its DHCP server off.</summary>
    LanToLan,

    /// <summary>Access-point mode, by the port that its kind wants.</summary>
    AccessPointMode,

    /// <summary>A router behind the router.</summary>
    Cascade,
}

/// <summary>Schools of the box at the internet line.</summary>
public enum GatewaySchool
{
    /// <summary>Whatever suits the home best.</summary>
    Any,

    /// <summary>It stops routing.</summary>
    Bridge,

    /// <summary>It stays the router, and all further boxes are access points.</summary>
    StaysRouter,

    /// <summary>It passes its public address on, by port or MAC address.</summary>
    PassThrough,

    /// <summary>It maps its public address to an inner box.</summary>
    Mapping,

    /// <summary>It sends what no forward claims to one host.</summary>
    Dmz,

    /// <summary>It stays the router, and an own router is behind it.</summary>
    RouterBehind,
}

/// <summary>Schools of DNS servers.</summary>
public enum DnsSchool
{
    /// <summary>As they are found.</summary>
    Any,

    /// <summary>The provider's: the router hands out itself, and asks those.</summary>
    Provider,

    /// <summary>The installer's own choice.</summary>
    Own,
}

/// <summary>Schools of Wi-Fi names.</summary>
public enum NamesSchool
{
    /// <summary>As the survey of the home has it.</summary>
    AsNoted,

    /// <summary>One name and password on every box and band.</summary>
    OneName,

    /// <summary>One name per box.</summary>
    OnePerBox,

    /// <summary>One name per band.</summary>
    OnePerBand,
}

/// <summary>Schools of UPnP on a router that is used as an access point.</summary>
public enum UpnpSchool
{
    /// <summary>It stays as it is.</summary>
    Leave,

    /// <summary>It is switched off.</summary>
    Off,
}

/// <summary>Schools of the way to a room to which no cable leads.</summary>
public enum BackhaulSchool
{
    /// <summary>Whatever suits the home best.</summary>
    Any,

    /// <summary>A cable is laid.</summary>
    Cable,

    /// <summary>Powerline or coax units, where mains and wiring allow.</summary>
    Powerline,

    /// <summary>A radio link.</summary>
    Radio,
}
