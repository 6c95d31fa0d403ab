using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>A name for guests on an access point, which has no subnet for them: whether they are kept apart is the box's habit.</summary>
/// <param name="Name">The network's name (SSID), 1 to 32 bytes.</param>
/// <param name="Security">How it is protected.</param>
/// <param name="Password">Reference to the key; null when open or not recorded.</param>
public sealed record GuestName(string Name, WifiSecurity Security, string? Password)
{
    /// <summary>The VLAN tag by which its frames leave the access point, 1 to 4094 (IEEE 802.1Q); null where they go untagged.</summary>
    public int? Vlan { get; init; }
}

/// <summary>
/// A network for guests: it gets to the internet and to nothing else (common practice). It sends while any radio of its router does.
/// </summary>
/// <param name="Name">The network's name (SSID), 1 to 32 bytes.</param>
/// <param name="Security">How it is protected.</param>
/// <param name="Password">Reference to the key; null when open or not recorded.</param>
/// <param name="Lan">The router's address and prefix in it.</param>
/// <param name="Pool">What guests are handed out, both ends included.</param>
public sealed record GuestNetwork(string Name, WifiSecurity Security, string? Password, InterfaceAddress Lan, AddressRange Pool)
{
    /// <summary>
    /// The VLAN tag by which it is on the router's inner ports too, 2 to 4094 (IEEE 802.1Q); null where it is on the router's radios
    /// only.
    /// </summary>
    public int? Vlan { get; init; }
}

/// <summary>What one port of a managed switch does with VLANs (IEEE 802.1Q). A port that is not listed is in VLAN 1, untagged.</summary>
/// <param name="Port">Which port.</param>
/// <param name="Untagged">The VLAN of frames without a tag; 1 is the home's own.</param>
/// <param name="Tagged">VLANs that come and go with their tag.</param>
public sealed record PortVlans(string Port, int Untagged, IReadOnlyList<int> Tagged)
{
    /// <summary>Whether it is what every port does at first.</summary>
    public bool IsUsual => Untagged == 1 && Tagged.Count == 0;

    /// <inheritdoc/>
    public bool Equals(PortVlans? other) =>
        other is not null && Port == other.Port && Untagged == other.Untagged && Tagged.Order().SequenceEqual(other.Tagged.Order());

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Port, Untagged, Tagged.Count);
}
