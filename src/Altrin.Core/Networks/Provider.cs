using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>
/// The provider's side of the line and the internet behind it. The addresses are stand-ins: documentation blocks (RFC 5737) for
/// the public side, the shared block (RFC 6598) behind carrier-grade NAT.
/// </summary>
public static class Provider
{
    private static readonly Subnet Public = Subnet.Parse("203.0.113.0/24").Value;
    private static readonly Subnet Shared = Subnet.Parse("100.64.0.0/24").Value;

    /// <summary>The owner that stands for every host of the internet; no box or device can be called so.</summary>
    public const string Internet = ":internet";

    /// <summary>Stands for any host on the internet that sees who asks and answers.</summary>
    public static Ipv4Address Host { get; } = Ipv4Address.From(198, 51, 100, 10);

    /// <summary>Stands for the provider's DNS server.</summary>
    public static Ipv4Address Names { get; } = Ipv4Address.From(198, 51, 100, 53);

    /// <summary>Stands for the address that a carrier shares among its customers.</summary>
    public static Ipv4Address CarrierPublic { get; } = Ipv4Address.From(192, 0, 2, 77);

    /// <summary>The provider's own address on the line.</summary>
    public static InterfaceAddress Own(Service service) =>
        service switch
        {
            PublicFixed given => new(given.Gateway, given.Address.PrefixLength),
            CarrierNat carrier => new(Inside(carrier).Hosts.First, Inside(carrier).PrefixLength),
            _ => new(Public.Hosts.First, Public.PrefixLength),
        };

    /// <summary>What leases on the line; null where the address is set by hand.</summary>
    internal static SegmentServer? Server(Service service) =>
        service switch
        {
            PublicFixed => null,
            CarrierNat carrier => Serving(service, Inside(carrier), Inside(carrier).Hosts),
            UnknownService => Serving(service, Public, null),
            _ => Serving(service, Public, Public.Hosts),
        };

    private static Subnet Inside(CarrierNat carrier) => carrier.Inside ?? Shared;

    private static SegmentServer Serving(Service service, Subnet subnet, AddressRange? hosts) =>
        new(
            PortRef.Street,
            hosts is { } all ? AddressRange.Between(new(all.First.Bits + 1), all.Last) : null,
            subnet.PrefixLength,
            subnet.Hosts.First,
            subnet.Hosts.First,
            [Names],
            [],
            service.Leases
        );
}
