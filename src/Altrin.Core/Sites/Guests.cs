using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>A name for guests on an access point, which has no subnet for them: whether they are kept apart is the box's habit.</summary>
/// <param name="Name">The network's name (SSID), 1 to 32 bytes.</param>
/// <param name="Security">How it is protected.</param>
/// <param name="Key">Reference to the key; null when open or not recorded.</param>
public sealed record GuestName(string Name, WifiSecurity Security, string? Key);

/// <summary>
/// A network for guests: it gets to the internet and to nothing else (common practice). It sends while any radio of its router does.
/// </summary>
/// <param name="Name">The network's name (SSID), 1 to 32 bytes.</param>
/// <param name="Security">How it is protected.</param>
/// <param name="Key">Reference to the key; null when open or not recorded.</param>
/// <param name="Lan">The router's address and prefix in it.</param>
/// <param name="Pool">What guests are handed out, both ends included.</param>
public sealed record GuestNetwork(string Name, WifiSecurity Security, string? Key, InterfaceAddress Lan, AddressRange Pool);
