using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>
/// The provider's side of the line. The addresses are stand-ins: a documentation block (RFC 5737) for the public side, the
/// shared block (RFC 6598) behind a carrier's translation. A customer gets one lease (common practice).
/// </summary>
internal static class Provider
{
    private static readonly Subnet Public = Subnet.Parse("203.0.113.0/24").Value;
    private static readonly Subnet Shared = Subnet.Parse("100.64.0.0/24").Value;

    /// <summary>The provider's own address on the line.</summary>
    public static InterfaceAddress Own(Service service) => service switch
    {
        PublicFixed given => new(given.Gateway, given.Address.PrefixLength),
        CarrierTranslation => new(Shared.Hosts.First, Shared.PrefixLength),
        _ => new(Public.Hosts.First, Public.PrefixLength),
    };

    /// <summary>What leases on the line; null where the address is set by hand.</summary>
    public static ServerSeat? Server(Service service) => service switch
    {
        PublicFixed => null,
        CarrierTranslation => Seat(Shared, Shared.Hosts),
        UnknownService => Seat(Public, null),
        _ => Seat(Public, Public.Hosts),
    };

    private static ServerSeat Seat(Subnet subnet, AddressRange? hosts) => new(
        PortRef.Street,
        hosts is { } all ? AddressRange.Between(new(all.First.Bits + 1), all.Last) : null,
        subnet.PrefixLength,
        subnet.Hosts.First,
        [],
        1);
}
