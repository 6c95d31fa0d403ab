using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>
/// The installer's laptop: a socket, a Wi-Fi, or both at once. Each has its own addressing, and it passes nothing from one to the other.
/// </summary>
/// <param name="Cable">What its socket is plugged into; null where nothing is.</param>
/// <param name="Wifi">The Wi-Fi that it is in; null where it is in none.</param>
public sealed record Laptop(LaptopOnCable? Cable, LaptopOnWifi? Wifi)
{
    /// <summary>The owner that stands for its socket; no box or device can be called so.</summary>
    public const string CableId = ":laptop";

    /// <summary>The owner that stands for its Wi-Fi; no box or device can be called so.</summary>
    public const string WifiId = ":laptop-wifi";

    /// <summary>The owner that stands for both at once; no box or device can be called so.</summary>
    public const string BothId = ":laptop-both";

    /// <summary>Plugged into a port, its Wi-Fi off.</summary>
    public static Laptop At(PortRef port, HostAddress address) => new(new(port, address), null);

    /// <summary>In a Wi-Fi, with nothing in its socket.</summary>
    public static Laptop In(WifiJoin wifi, HostAddress address) => new(null, new LaptopOnWifi(wifi, address));

    /// <summary>Whether an owner is the laptop, by either.</summary>
    public static bool Is(string owner) => owner is CableId or WifiId or BothId;

    /// <summary>The owners of the sides that an owner stands for: both adapters of a laptop that is looked at as a whole.</summary>
    public static IReadOnlyList<string> Owners(string owner) => owner == BothId ? [CableId, WifiId] : [owner];

    /// <summary>The owner that stands for whatever of it is in use; null where nothing is.</summary>
    public string? InUse() =>
        (Cable, Wifi) switch
        {
            (not null, not null) => BothId,
            (not null, null) => CableId,
            (null, not null) => WifiId,
            _ => null,
        };

    /// <summary>How each of its adapters that is in use comes by its address, the cable first.</summary>
    public IEnumerable<(string Owner, HostAddress Address)> Adapters()
    {
        if (Cable is { } cable)
        {
            yield return (CableId, cable.Address);
        }
        if (Wifi is { } wifi)
        {
            yield return (WifiId, wifi.Address);
        }
    }
}

/// <summary>The laptop's socket.</summary>
/// <param name="Port">The port that it is plugged into.</param>
/// <param name="Address">How it comes by its address there.</param>
public sealed record LaptopOnCable(PortRef Port, HostAddress Address);

/// <summary>The laptop's Wi-Fi.</summary>
/// <param name="Join">What it joined, and whose radio it hears.</param>
/// <param name="Address">How it comes by its address there.</param>
public sealed record LaptopOnWifi(WifiJoin Join, HostAddress Address);
