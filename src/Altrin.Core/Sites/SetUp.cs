using System.Text.Json.Serialization;
using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>What is chosen for a site: modes, addresses, cables, radios.</summary>
/// <param name="Name">Unique among the job's set-ups, such as "found" or "planned".</param>
/// <param name="Boxes">How each box in use is set. Any other box is not in use.</param>
/// <param name="Cables">What is plugged in where; a port takes one cable.</param>
/// <param name="Devices">How each customer's device in use is set.</param>
public sealed record SetUp(string Name, IReadOnlyList<BoxSetting> Boxes, IReadOnlyList<Cable> Cables, IReadOnlyList<DeviceSetting> Devices)
{
    /// <summary>How many cables are kept.</summary>
    public const int MostCables = 8000;

    /// <summary>Findings that a person answers for, by identity; also ones that do not stand at present.</summary>
    public IReadOnlyList<Acceptance> Accepted { get; init; } = [];
}

/// <summary>A person's word that a finding may stay.</summary>
/// <param name="Finding">Identity of the finding.</param>
/// <param name="Severe">Whether it meant "will not work" when it was accepted; one accepted as a concern counts again once it means
/// that.</param>
/// <param name="Reason">Why it may stay, 1 to 500 characters.</param>
/// <param name="By">Who says so, 1 to 80 characters.</param>
public sealed record Acceptance(string Finding, bool Severe, string Reason, string By)
{
    /// <summary>How many findings of one set-up can be accepted.</summary>
    public const int Most = 500;

    /// <summary>The longest reason, in characters.</summary>
    public const int LongestReason = 500;

    /// <summary>The longest name, in characters.</summary>
    public const int LongestName = 80;

    /// <summary>The longest identity of a finding, in characters.</summary>
    public const int LongestFinding = 4000;
}

/// <summary>How one box is set.</summary>
public sealed record BoxSetting(string Box, BoxMode Mode)
{
    /// <summary>Where it stands; null where not noted.</summary>
    public string? Place { get; init; }

    /// <summary>Reference to the password of its page; null where not recorded.</summary>
    public string? Password { get; init; }
}

/// <summary>How one customer's device is set.</summary>
/// <param name="Device">Its id.</param>
/// <param name="Address">How it comes by its address.</param>
/// <param name="Wifi">The Wi-Fi that it remembers; null where it has none. A cable, where there is one, is preferred (common
/// practice).</param>
public sealed record DeviceSetting(string Device, HostAddress Address, WifiJoin? Wifi);

/// <summary>What a device remembers of a Wi-Fi, and where it stands.</summary>
/// <param name="Box">The box whose radio it hears best.</param>
/// <param name="Name">The name that it looks for.</param>
/// <param name="Password">Reference to the key that it has; null for an open network or where not recorded.</param>
public sealed record WifiJoin(string Box, string Name, string? Password);

/// <summary>How a host comes by its address.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(Automatic), "automatic")]
[JsonDerivedType(typeof(Fixed), "fixed")]
public abstract record HostAddress
{
    /// <summary>Whether two say the same; DNS servers in the same order.</summary>
    public static bool Same(HostAddress a, HostAddress b) =>
        (a, b) switch
        {
            (Fixed x, Fixed y) => x.Address == y.Address && x.Gateway == y.Gateway && x.DnsServers.SequenceEqual(y.DnsServers),
            _ => a.GetType() == b.GetType(),
        };
}

/// <summary>It asks a DHCP server (DHCP).</summary>
public sealed record Automatic : HostAddress;

/// <summary>Typed by hand.</summary>
/// <param name="Address">Address and prefix as typed.</param>
/// <param name="Gateway">Default gateway as typed; null where left empty.</param>
/// <param name="DnsServers">DNS servers as typed.</param>
public sealed record Fixed(InterfaceAddress Address, Ipv4Address? Gateway, IReadOnlyList<Ipv4Address> DnsServers) : HostAddress
{
    /// <summary>
    /// What is typed into a host of a router's subnet: the router's mask, and the router as gateway and DNS server (common practice).
    /// </summary>
    public static Fixed Behind(InterfaceAddress router, Ipv4Address address) =>
        new(new(address, router.PrefixLength), router.Address, [router.Address]);
}
