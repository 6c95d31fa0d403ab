using System.Text.Json.Serialization;

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
