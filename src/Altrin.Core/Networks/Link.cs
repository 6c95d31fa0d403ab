using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>A set of ports and radios of one owner that are one switch inside: a side of a box, a device, the street.</summary>
/// <param name="Owner">Box, device or street.</param>
/// <param name="Wan">Whether it is the outer side of a box that keeps its sides apart.</param>
public readonly record struct Group(string Owner, bool Wan) : IComparable<Group>
{
    /// <summary>By owner, the inner side first.</summary>
    public int CompareTo(Group other)
    {
        var byOwner = string.CompareOrdinal(Owner, other.Owner);
        return byOwner != 0 ? byOwner : Wan.CompareTo(other.Wan);
    }
}

/// <summary>A cable or a Wi-Fi that joins two things in use.</summary>
/// <param name="Id">The cable's id; "wifi:" and the device for a Wi-Fi.</param>
/// <param name="A">One end.</param>
/// <param name="B">The other end; for a Wi-Fi the box, without a port.</param>
/// <param name="From">What <paramref name="A"/> belongs to.</param>
/// <param name="To">What <paramref name="B"/> belongs to.</param>
/// <param name="Cable">The cable; null for a Wi-Fi.</param>
public sealed record Link(string Id, PortRef A, PortRef B, Group From, Group To, Cable? Cable)
{
    /// <summary>The Wi-Fi of a device at a box.</summary>
    public static Link OfWifi(string device, string box) => new($"wifi:{device}", PortRef.OfDevice(device), new(box, ""), new(device, false), new(box, false), null);

    /// <summary>The side at the other end.</summary>
    public Group OtherEnd(Group end) => From == end ? To : From;
}
