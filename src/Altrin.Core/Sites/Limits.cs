namespace Altrin.Core.Sites;

/// <summary>
/// Limits of what can be typed, both ends included, that a file, a page and the survey share. Those of lists stand at what holds the
/// list.
/// </summary>
public static class Limits
{
    /// <summary>The longest name of a home, box, device, place or set-up, in characters.</summary>
    public const int Name = 80;

    /// <summary>The longest Wi-Fi name (SSID), in bytes of UTF-8 (IEEE 802.11).</summary>
    public const int WifiName = 32;

    /// <summary>The longest domain name, in characters (RFC 1123, section 2.1).</summary>
    public const int Domain = 253;

    /// <summary>The highest rate of a port or service, in Mb/s.</summary>
    public const int RateMbps = 1_000_000;

    /// <summary>How many DNS servers are typed or handed out.</summary>
    public const int DnsServers = 4;

    /// <summary>How many addresses a provider gives at a time.</summary>
    public const int ProviderLeases = 16;

    /// <summary>The shortest lease, in minutes.</summary>
    public const int ShortestLeaseMinutes = 2;

    /// <summary>The longest lease, in minutes: a year.</summary>
    public const int LongestLeaseMinutes = 525_600;

    /// <summary>The highest VLAN tag (IEEE 802.1Q).</summary>
    public const int VlanTag = 4094;

    /// <summary>The highest port of TCP or UDP (RFC 9293, RFC 768).</summary>
    public const int TransportPort = 65_535;

    /// <summary>The shortest side of a place, in metres.</summary>
    public const double ShortestPlaceMetres = 0.3;

    /// <summary>The longest side of a place, in metres.</summary>
    public const double LongestPlaceMetres = 500;

    /// <summary>How far a place is from the corner of the plot, in metres.</summary>
    public const double PlotMetres = 1000;

    /// <summary>The lowest floor; the ground floor is 0.</summary>
    public const int LowestFloor = -5;

    /// <summary>The highest floor.</summary>
    public const int HighestFloor = 50;
}
