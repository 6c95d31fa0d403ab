using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>What a box is set to. No mode carries a setting that it lacks.</summary>
public abstract record BoxMode
{
    /// <summary>Which of the modes it is.</summary>
    public abstract ModeKind Kind { get; }

    /// <summary>Its radios; empty in modes without Wi-Fi.</summary>
    public virtual IReadOnlyList<RadioSetting> Radios => [];

    /// <summary>The same mode with other settings of its radios; unchanged in modes without Wi-Fi.</summary>
    public virtual BoxMode WithRadios(IReadOnlyList<RadioSetting> radios) => this;

    /// <summary>The radio link by which it joins another box; null where it has none. A satellite's is its kit's affair.</summary>
    public virtual Uplink? Joins => null;
}

/// <summary>Own subnet behind NAT.</summary>
/// <param name="Wan">How the WAN side comes by its address.</param>
/// <param name="Lan">Own address and prefix on the LAN side.</param>
/// <param name="Server">Its DHCP server, on or off.</param>
/// <param name="Forwards">Ports let in from the WAN side.</param>
/// <param name="Wifi">Its radios.</param>
public sealed record RouterMode(
    HostAddress Wan,
    InterfaceAddress Lan,
    DhcpServerSetting Server,
    IReadOnlyList<PortForward> Forwards,
    IReadOnlyList<RadioSetting> Wifi
) : BoxMode
{
    /// <summary>How many port forwardings are kept.</summary>
    public const int MostForwards = 500;

    /// <summary>How many static routes are kept.</summary>
    public const int MostRoutes = 32;

    /// <inheritdoc/>
    public override ModeKind Kind => ModeKind.Router;

    /// <inheritdoc/>
    public override IReadOnlyList<RadioSetting> Radios => Wifi;

    /// <inheritdoc/>
    public override BoxMode WithRadios(IReadOnlyList<RadioSetting> radios) => this with { Wifi = radios };

    /// <summary>A network of its own for guests, on the same radios; null where it has none.</summary>
    public GuestNetwork? Guest { get; init; }

    /// <summary>
    /// Whether it gives outgoing packets its own WAN address. One that does not routes both ways and lets everything through.
    /// </summary>
    public bool Nat { get; init; } = true;

    /// <summary>Who gets every connection from the WAN side that no forward claims; null where none does.</summary>
    public Ipv4Address? Dmz { get; init; }

    /// <summary>Whether devices may ask it to open ports (RFC 6887 and the like).</summary>
    public bool PortRequests { get; init; }

    /// <summary>Ways typed in beyond its own subnets and its default gateway.</summary>
    public IReadOnlyList<StaticRoute> Routes { get; init; } = [];

    /// <summary>
    /// The radio link that it joins another box by; null where it joins none. By WDS its LAN side becomes part of the other's
    /// network, otherwise its WAN side does: a repeater with a subnet of its own.
    /// </summary>
    public Uplink? Uplink { get; init; }

    /// <inheritdoc/>
    public override Uplink? Joins => Uplink;

    /// <summary>To whom a gateway passes its public address; null where it keeps it.</summary>
    public Passing? Passing { get; init; }

    /// <summary>What it tells the line to be let on; nothing where the line asks for nothing.</summary>
    public LineSetting Line { get; init; } = LineSetting.None;
}

/// <summary>A way typed into a router.</summary>
/// <param name="To">What lies there.</param>
/// <param name="Via">The router that leads there, on one of its sides.</param>
public sealed record StaticRoute(Subnet To, Ipv4Address Via);

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

    /// <inheritdoc/>
    public override BoxMode WithRadios(IReadOnlyList<RadioSetting> radios) => this with { Wifi = radios };
}

/// <summary>A gateway that stopped routing; its Wi-Fi is off.</summary>
/// <param name="Page">Where its page still answers; null where it has none.</param>
public sealed record BridgeMode(InterfaceAddress? Page) : BoxMode
{
    /// <inheritdoc/>
    public override ModeKind Kind => ModeKind.Bridge;
}

/// <summary>Joins another box's Wi-Fi by radio and sends one itself; its sockets and its Wi-Fi are one segment with that box.</summary>
/// <param name="Page">How its page comes by its address.</param>
/// <param name="Link">The radio link that it joins by.</param>
/// <param name="Wifi">What its radios send.</param>
public sealed record RepeaterMode(HostAddress Page, Uplink Link, IReadOnlyList<RadioSetting> Wifi) : BoxMode
{
    /// <inheritdoc/>
    public override ModeKind Kind => ModeKind.Repeater;

    /// <inheritdoc/>
    public override Uplink? Joins => Link;

    /// <inheritdoc/>
    public override IReadOnlyList<RadioSetting> Radios => Wifi;

    /// <inheritdoc/>
    public override BoxMode WithRadios(IReadOnlyList<RadioSetting> radios) => this with { Wifi = radios };
}

/// <summary>Joins another box's Wi-Fi by radio and serves its sockets only.</summary>
/// <param name="Page">How its page comes by its address.</param>
/// <param name="Link">The radio link that it joins by.</param>
public sealed record WirelessBridgeMode(HostAddress Page, Uplink Link) : BoxMode
{
    /// <inheritdoc/>
    public override ModeKind Kind => ModeKind.WirelessBridge;

    /// <inheritdoc/>
    public override Uplink? Joins => Link;
}

/// <summary>A node of a mesh kit that its main node manages: names, keys and channels are the main node's.</summary>
/// <param name="Main">The main node.</param>
/// <param name="By">The node that it hears best, for want of a cable; null where it is not to use its radio for that.</param>
public sealed record SatelliteMode(string Main, string? By) : BoxMode
{
    /// <inheritdoc/>
    public override ModeKind Kind => ModeKind.Satellite;
}

/// <summary>A switch.</summary>
/// <param name="Page">How a managed switch comes by its address; null for a plain one.</param>
public sealed record SwitchMode(HostAddress? Page) : BoxMode
{
    /// <summary>
    /// What each port of a managed switch does with VLANs; empty for one that passes every frame on as it is, tag and all.
    /// </summary>
    public IReadOnlyList<PortVlans> Vlans { get; init; } = [];

    /// <inheritdoc/>
    public override ModeKind Kind => ModeKind.Switch;
}
