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
