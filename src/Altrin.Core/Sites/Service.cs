using System.Text.Json.Serialization;
using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>What the provider delivers at the street. Given: no remedy alters it.</summary>
/// <param name="DownMbps">Sold rate towards the home in Mb/s; null where not asked.</param>
/// <param name="UpMbps">Sold rate from the home in Mb/s; null where not asked.</param>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(PublicDynamic), "publicDynamic")]
[JsonDerivedType(typeof(PublicFixed), "publicFixed")]
[JsonDerivedType(typeof(CarrierNat), "carrierNat")]
[JsonDerivedType(typeof(UnknownService), "unknown")]
public abstract record Service(int? DownMbps, int? UpMbps)
{
    /// <summary>How many boxes or devices the provider gives an address at a time, 1 to 16; one is usual (common practice).</summary>
    public int Leases { get; init; } = 1;

    /// <summary>What the line asks for.</summary>
    public LineNeeds Line { get; init; } = LineNeeds.NotAsked;

    /// <summary>By what the service comes into the home.</summary>
    public AccessKind Access { get; init; }

    /// <summary>The box at which the provider hands it over; null where not noted.</summary>
    public string? HandOff { get; init; }

    /// <summary>Of which kind a service is.</summary>
    public static ServiceKind KindOf(Service service) =>
        service switch
        {
            PublicDynamic => ServiceKind.PublicDynamic,
            PublicFixed => ServiceKind.PublicFixed,
            CarrierNat => ServiceKind.CarrierNat,
            _ => ServiceKind.Unknown,
        };
}

/// <summary>One public address, leased and changing.</summary>
public sealed record PublicDynamic(int? DownMbps, int? UpMbps) : Service(DownMbps, UpMbps);

/// <summary>One public address that stays, set by hand on the box that takes it.</summary>
/// <param name="Address">The address with its prefix, as the provider's letter gives it.</param>
/// <param name="Gateway">The provider's side.</param>
/// <param name="DownMbps">Sold rate towards the home in Mb/s.</param>
/// <param name="UpMbps">Sold rate from the home in Mb/s.</param>
public sealed record PublicFixed(InterfaceAddress Address, Ipv4Address Gateway, int? DownMbps, int? UpMbps) : Service(DownMbps, UpMbps)
{
    /// <summary>The DNS servers of the letter; empty where not read.</summary>
    public IReadOnlyList<Ipv4Address> DnsServers { get; init; } = [];
}

/// <summary>The provider does NAT too: no public address of one's own (RFC 6598, from memory).</summary>
public sealed record CarrierNat(int? DownMbps, int? UpMbps) : Service(DownMbps, UpMbps)
{
    /// <summary>
    /// The block between carrier-grade NAT and its customers; null where not read: 100.64.0.0/10 then stands for it.
    /// </summary>
    public Subnet? Inside { get; init; }
}

/// <summary>Not asked yet: whether anything can come in from outside is not known.</summary>
public sealed record UnknownService(int? DownMbps, int? UpMbps) : Service(DownMbps, UpMbps);

/// <summary>By what an internet service comes into the home.</summary>
public enum AccessKind
{
    /// <summary>Not asked.</summary>
    Unknown,

    /// <summary>Optical fibre into the home.</summary>
    Fibre,

    /// <summary>The telephone line.</summary>
    TelephoneLine,

    /// <summary>Television cable.</summary>
    TelevisionCable,

    /// <summary>A mobile network.</summary>
    Mobile,

    /// <summary>A radio link to a mast.</summary>
    FixedRadio,

    /// <summary>A satellite.</summary>
    Satellite,

    /// <summary>A socket of the building's own network.</summary>
    BuildingNetwork,
}

/// <summary>Kinds of internet service.</summary>
public enum ServiceKind
{
    /// <summary>Not asked.</summary>
    Unknown,

    /// <summary>One public address, leased and changing.</summary>
    PublicDynamic,

    /// <summary>One public address that stays; needs the address and the gateway of the provider's letter.</summary>
    PublicFixed,

    /// <summary>The provider does NAT too (carrier-grade NAT).</summary>
    CarrierNat,
}
