using Altrin.Core.Addressing;
using Altrin.Core.Radio;

namespace Altrin.Core.Sites;

/// <summary>What one kind of box can do. A design carries the profile that it was made with.</summary>
/// <param name="ShelfId">Where on the gear shelf it came from.</param>
/// <param name="Name">What the kind is called.</param>
/// <param name="Kind">What sort of box.</param>
/// <param name="Modes">What it can be set to, in the order of its page.</param>
/// <param name="Ports">Its sockets.</param>
/// <param name="Radios">Its radios.</param>
/// <param name="FactoryAddress">Where its page answers after a reset; null where unknown or where there is no page.</param>
/// <param name="FactoryPool">What it hands out after a reset; null where unknown or none.</param>
/// <param name="WanPortJoins">Whether its WAN port joins the others in access-point mode. Where it does not, the cable belongs in a LAN
/// port.</param>
public sealed record Profile(
    string ShelfId,
    string Name,
    BoxKind Kind,
    IReadOnlyList<ModeKind> Modes,
    IReadOnlyList<Port> Ports,
    IReadOnlyList<BoxRadio> Radios,
    InterfaceAddress? FactoryAddress,
    AddressRange? FactoryPool,
    bool WanPortJoins
)
{
    /// <summary>
    /// Which edition of the shelf's entry it is, from 1: a job keeps the one that it was made with, and is offered a later one.
    /// </summary>
    public int Edition { get; init; } = 1;

    /// <summary>What an installer wants to know of it beyond the network.</summary>
    public Traits Traits { get; init; } = Traits.NotKnown;

    /// <summary>What it does by itself.</summary>
    public BoxHabits Habits { get; init; } = BoxHabits.NotKnown;

    /// <summary>Ways in which it can pass its public address on; empty for none.</summary>
    public IReadOnlyList<PassKind> Passes { get; init; } = [];

    /// <summary>The mesh kit that it belongs to: nodes of one kit join each other; null for none.</summary>
    public string? Kit { get; init; }

    /// <summary>Outside ports that it keeps for itself, whatever is forwarded or left to a DMZ host; empty for none.</summary>
    public IReadOnlyList<int> KeptPorts { get; init; } = [];

    /// <summary>
    /// What it routes at most between its WAN and LAN side, in Mb/s: old boxes route less than their ports carry; null where not read.
    /// </summary>
    public int? RoutesMbps { get; init; }

    /// <summary>The port with this id; null when there is none.</summary>
    public Port? Port(string id) => Ports.FirstOrDefault(p => p.Id == id);
}

/// <summary>Sorts of boxes.</summary>
public enum BoxKind
{
    /// <summary>The box that the provider supplied.</summary>
    Gateway,

    /// <summary>A router of the customer's own.</summary>
    Router,

    /// <summary>An access point that cannot route.</summary>
    AccessPoint,

    /// <summary>More ports, nothing else.</summary>
    Switch,

    /// <summary>One of a powerline pair or group: what is plugged into it goes on over the mains wiring.</summary>
    Powerline,

    /// <summary>One of a pair or group on television cable.</summary>
    Coax,

    /// <summary>Puts power on the cable to an access point; the data passes through.</summary>
    Injector,
}

/// <summary>What a box can be set to.</summary>
public enum ModeKind
{
    /// <summary>
    /// Own subnet, NAT between WAN and LAN. With its DHCP server off and the cable in a LAN port: an access point (LAN to LAN,
    /// DHCP off).
    /// </summary>
    Router,

    /// <summary>All ports and radios in one segment, no NAT.</summary>
    AccessPoint,

    /// <summary>A gateway that stops routing: the next box gets the public address.</summary>
    Bridge,

    /// <summary>All ports are one: a switch, a powerline or coax unit, an injector.</summary>
    Switch,

    /// <summary>Joins another box by radio and sends Wi-Fi itself.</summary>
    Repeater,

    /// <summary>Joins another box by radio and serves its sockets only.</summary>
    WirelessBridge,

    /// <summary>A node of a mesh kit that its main node manages.</summary>
    Satellite,
}

/// <summary>A socket.</summary>
/// <param name="Id">Slug, unique on the box.</param>
/// <param name="Label">What is printed beside it.</param>
/// <param name="Role">Which side it belongs to in router mode.</param>
/// <param name="SpeedMbps">What it can do, in Mb/s; null where unknown.</param>
public sealed record Port(string Id, string Label, PortRole Role, int? SpeedMbps)
{
    /// <summary>What fits into it.</summary>
    public PortKind Kind { get; init; }
}

/// <summary>What fits into a socket of a box.</summary>
public enum PortKind
{
    /// <summary>Not looked at.</summary>
    Unknown,

    /// <summary>A network cable.</summary>
    Copper,

    /// <summary>A fibre, or a module for one.</summary>
    Fibre,

    /// <summary>A telephone line.</summary>
    TelephoneLine,

    /// <summary>Television cable.</summary>
    Coax,

    /// <summary>The mains, which carry the data on.</summary>
    Mains,
}

/// <summary>The side of a router that a port belongs to. Decided by the box, never by the colour of the socket.</summary>
public enum PortRole
{
    /// <summary>Towards the street.</summary>
    Wan,

    /// <summary>Towards the home.</summary>
    Lan,
}

/// <summary>A radio of a box.</summary>
/// <param name="Id">Slug, unique on the box.</param>
/// <param name="Band">Where it sends.</param>
public sealed record BoxRadio(string Id, RadioBand Band)
{
    /// <summary>The channels that it can be set to where it stands, by its country list; empty where not read.</summary>
    public IReadOnlyList<int> Channels { get; init; } = [];

    /// <summary>
    /// A channel that this and another radio may both use; one that is allowed nearly everywhere where neither was read (common practice).
    /// </summary>
    public int ChannelWith(BoxRadio other)
    {
        var (usual, common) = (
            Band switch
            {
                RadioBand.Ghz2 => 6,
                RadioBand.Ghz5 => 36,
                _ => 37,
            },
            Channels.Count == 0 ? other.Channels
            : other.Channels.Count == 0 ? Channels
            : [.. Channels.Intersect(other.Channels)]
        );
        return common.Count == 0 || common.Contains(usual) ? usual : common[0];
    }

    /// <summary>The newest protection that it knows, sending or joining; null where not read.</summary>
    public WifiSecurity? NewestSecurity { get; init; }

    /// <summary>The protection that is wanted, or the newest that it knows where it does not know that one.</summary>
    public WifiSecurity Nearest(WifiSecurity wanted) => NewestSecurity is { } newest && newest < wanted ? newest : wanted;

    /// <summary>Whether it can cross to a box that joins it with four addresses.</summary>
    public Known FourAddress { get; init; }

    /// <summary>Its generation.</summary>
    public WifiGeneration Generation { get; init; }

    /// <summary>How many spatial streams it has, 1 to 8; null where not read.</summary>
    public int? Streams { get; init; }

    /// <summary>The widest channel that it can use, in MHz; null where not read.</summary>
    public int? WidestMhz { get; init; }

    /// <summary>How many names it can send, the one for guests too, 1 to 16; null where not read.</summary>
    public int? MostNames { get; init; }

    /// <summary>The most names that any radio can send (common practice).</summary>
    public const int HighestNames = FurtherName.Most + 1;
}
