using System.Globalization;
using System.Text.Json.Serialization;
using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>A router's DHCP server. It keeps its settings while it is off.</summary>
/// <param name="On">Whether it answers.</param>
/// <param name="Pool">What it hands out, both ends included.</param>
/// <param name="Gateway">Default gateway that it hands out; null for the router itself.</param>
/// <param name="DnsServers">DNS servers that it hands out; empty for the router itself.</param>
/// <param name="Reservations">Addresses kept for one MAC address, inside the pool or not.</param>
public sealed record DhcpServerSetting(
    bool On,
    AddressRange Pool,
    Ipv4Address? Gateway,
    IReadOnlyList<Ipv4Address> DnsServers,
    IReadOnlyList<Reservation> Reservations
)
{
    /// <summary>How many reservations are kept.</summary>
    public const int MostReservations = 1000;

    /// <summary>The lease time that is taken for one not read, in minutes: a day (common practice).</summary>
    public const int UsualLeaseMinutes = 1440;

    /// <summary>How long a lease lasts, in minutes, 2 to 525,600; null where not read.</summary>
    public int? LeaseMinutes { get; init; }

    /// <summary>The domain name that it hands out (option 15); null where it hands out none.</summary>
    public string? Domain { get; init; }

    /// <summary>Whether it hands out no gateway at all; then <see cref="Gateway"/> is null.</summary>
    public bool LeavesOutGateway { get; init; }

    /// <summary>Whether it hands out no DNS servers at all; then <see cref="DnsServers"/> is empty.</summary>
    public bool LeavesOutDns { get; init; }
}

/// <summary>An address kept for one MAC address.</summary>
public sealed record Reservation(MacAddress Mac, Ipv4Address Address);

/// <summary>A port let in from the WAN side.</summary>
/// <param name="Protocol">TCP or UDP.</param>
/// <param name="OutsidePort">Port seen from outside, 1 to 65535.</param>
/// <param name="To">Where it is sent.</param>
/// <param name="InsidePort">Port there, 1 to 65535.</param>
public sealed record PortForward(Protocol Protocol, int OutsidePort, Ipv4Address To, int InsidePort)
{
    /// <summary>What tells it from the others of its router, such as "tcp/8000".</summary>
    [JsonIgnore]
    public string Key => KeyOf(Protocol, OutsidePort);

    /// <summary>The same for a protocol and a port.</summary>
    public static string KeyOf(Protocol protocol, int port) =>
        string.Create(CultureInfo.InvariantCulture, $"{(protocol == Protocol.Tcp ? "tcp" : "udp")}/{port}");
}
