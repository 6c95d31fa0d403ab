using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>A set of ports and radios of one owner that are one switch inside: a side of a box, a device, the street.</summary>
/// <param name="Owner">Box, device or street.</param>
/// <param name="Wan">Whether it is the WAN side of a box that keeps its sides apart.</param>
/// <param name="Guest">Whether it is the guest network of a router.</param>
/// <param name="Vlan">The VLAN whose frames it carries beside the home's own; 0 for the home's own.</param>
public readonly record struct Group(string Owner, bool Wan, bool Guest = false, int Vlan = 0) : IComparable<Group>
{
    /// <summary>By owner, the LAN side first, guests last.</summary>
    public int CompareTo(Group other)
    {
        var byOwner = string.CompareOrdinal(Owner, other.Owner);
        return byOwner != 0 ? byOwner : (Guest, Wan, Vlan).CompareTo((other.Guest, other.Wan, other.Vlan));
    }

    /// <summary>The group that a side is part of.</summary>
    internal static Group Of(Interface side) => new(side.Owner, side.Side == Side.Wan, side.Side == Side.Guest);

    /// <summary>Every side that a box may have.</summary>
    internal static IEnumerable<Group> Of(string owner) => [new(owner, false), new(owner, true), new(owner, false, true)];
}

/// <summary>A cable, a radio link between boxes, or a Wi-Fi that joins two things in use.</summary>
/// <param name="Id">The cable's id; "radio:" and the box that joins for a radio link; "wifi:" and the device for a Wi-Fi.</param>
/// <param name="A">One end.</param>
/// <param name="B">The other end; by radio the box, without a port.</param>
/// <param name="From">What <paramref name="A"/> belongs to.</param>
/// <param name="To">What <paramref name="B"/> belongs to.</param>
/// <param name="Cable">The cable; null for radio.</param>
public sealed record Link(string Id, PortRef A, PortRef B, Group From, Group To, Cable? Cable)
{
    /// <summary>Whether it is a radio link between boxes.</summary>
    public bool IsRadio { get; init; }

    /// <summary>Whether it is the Wi-Fi of a device.</summary>
    internal bool IsWifi => Id.StartsWith(WifiPrefix, StringComparison.Ordinal);

    private const string WifiPrefix = "wifi:";

    /// <summary>The Wi-Fi of a device at a box.</summary>
    public static Link OfWifi(string device, Group box) =>
        new(WifiPrefix + device, PortRef.OfDevice(device), new(box.Owner, ""), new(device, false), box, null);

    /// <summary>The side at the other end.</summary>
    public Group OtherEnd(Group end) => From == end ? To : From;
}
