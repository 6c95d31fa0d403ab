using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

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
