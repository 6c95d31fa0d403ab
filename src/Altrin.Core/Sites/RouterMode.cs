using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

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
