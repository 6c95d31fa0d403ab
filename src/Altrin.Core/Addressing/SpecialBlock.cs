namespace Altrin.Core.Addressing;

/// <summary>A block with a special purpose (registry of RFC 6890 and the RFC named at each; values from memory).</summary>
/// <param name="Subnet">The block.</param>
/// <param name="Name">What the registry calls it, in short.</param>
/// <param name="Source">The RFC that sets it aside.</param>
/// <param name="Use">What an address in it says to an installer.</param>
public sealed record SpecialBlock(Subnet Subnet, string Name, string Source, AddressUse Use)
{
    /// <summary>Every block that Altrin tells apart, in address order.</summary>
    public static IReadOnlyList<SpecialBlock> All { get; } =
    [
        Of("0.0.0.0/8", "this network", "RFC 1122", AddressUse.NotForHosts),
        Of("10.0.0.0/8", "private use", "RFC 1918", AddressUse.Private),
        Of("100.64.0.0/10", "shared by carrier-grade NAT", "RFC 6598", AddressUse.CarrierShared),
        Of("127.0.0.0/8", "loopback", "RFC 1122", AddressUse.NotForHosts),
        Of("169.254.0.0/16", "link-local", "RFC 3927", AddressUse.LinkLocal),
        Of("172.16.0.0/12", "private use", "RFC 1918", AddressUse.Private),
        Of("192.0.0.0/29", "IPv4 service continuity", "RFC 7335", AddressUse.CarrierShared),
        Of("192.0.2.0/24", "documentation", "RFC 5737", AddressUse.Documentation),
        Of("192.168.0.0/16", "private use", "RFC 1918", AddressUse.Private),
        Of("198.18.0.0/15", "benchmarking", "RFC 2544", AddressUse.NotForHosts),
        Of("198.51.100.0/24", "documentation", "RFC 5737", AddressUse.Documentation),
        Of("203.0.113.0/24", "documentation", "RFC 5737", AddressUse.Documentation),
        Of("224.0.0.0/4", "multicast", "RFC 5771", AddressUse.NotForHosts),
        Of("240.0.0.0/4", "reserved", "RFC 1112", AddressUse.NotForHosts),
    ];

    /// <summary>The block that an address lies in; null for an ordinary public address.</summary>
    public static SpecialBlock? Of(Ipv4Address address) => All.FirstOrDefault(b => b.Subnet.Contains(address));

    /// <summary>The use of an address; <see cref="AddressUse.Public"/> where no block claims it.</summary>
    public static AddressUse UseOf(Ipv4Address address) => Of(address)?.Use ?? AddressUse.Public;

    private static SpecialBlock Of(string subnet, string name, string source, AddressUse use) =>
        new(Subnet.Parse(subnet).Value, name, source, use);
}

/// <summary>What an address says about where it is valid.</summary>
public enum AddressUse
{
    /// <summary>Valid on the internet.</summary>
    Public,

    /// <summary>Inside one home or building (RFC 1918).</summary>
    Private,

    /// <summary>Between carrier-grade NAT and its customers (RFC 6598, RFC 7335).</summary>
    CarrierShared,

    /// <summary>Chosen by a device that no server answered (RFC 3927).</summary>
    LinkLocal,

    /// <summary>For examples only (RFC 5737); stands for a public address in demo designs.</summary>
    Documentation,

    /// <summary>Never on a host of a home.</summary>
    NotForHosts,
}
