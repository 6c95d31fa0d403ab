using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>A service as a form has it: every member by itself. Which of them count follows from its kind.</summary>
/// <param name="Kind">What it gives.</param>
/// <param name="DownMbps">Sold rate towards the home in Mb/s, 1 to 1,000,000; null where not asked.</param>
/// <param name="UpMbps">Sold rate from the home in Mb/s; null where not asked.</param>
/// <param name="Access">By what it comes in.</param>
/// <param name="HandOff">The box at which the provider hands it over; null where not noted.</param>
/// <param name="Leases">How many addresses the provider gives at a time, 1 to 16.</param>
/// <param name="Address">Fixed public address only: the address.</param>
/// <param name="Gateway">Fixed public address only: the provider's side.</param>
/// <param name="DnsServers">Fixed public address only: the DNS servers of the letter.</param>
/// <param name="Inside">Carrier-grade NAT only: the block between the carrier and its customers; null where not read.</param>
/// <param name="Login">Whether the line asks for a login.</param>
/// <param name="Tagged">Whether it asks for a VLAN tag.</param>
/// <param name="Tag">That tag; null where none, or where not known.</param>
/// <param name="Locked">Whether it lets only one MAC address on.</param>
/// <param name="LockedTo">That MAC address; null where not known.</param>
/// <param name="Account">The name to log in with; null where none or not known.</param>
/// <param name="Password">Reference to the password of the login.</param>
public sealed record ServiceFacts(
    ServiceKind Kind,
    int? DownMbps,
    int? UpMbps,
    AccessKind Access,
    string? HandOff,
    int Leases,
    InterfaceAddress? Address,
    Ipv4Address? Gateway,
    IReadOnlyList<Ipv4Address> DnsServers,
    Subnet? Inside,
    Known Login,
    Known Tagged,
    int? Tag,
    Known Locked,
    MacAddress? LockedTo,
    string? Account,
    string? Password
)
{
    /// <summary>A service member by member.</summary>
    public static ServiceFacts Of(Service service) =>
        new(
            Service.KindOf(service),
            service.DownMbps,
            service.UpMbps,
            service.Access,
            service.HandOff,
            service.Leases,
            (service as PublicFixed)?.Address,
            (service as PublicFixed)?.Gateway,
            (service as PublicFixed)?.DnsServers ?? [],
            (service as CarrierNat)?.Inside,
            service.Line.Login,
            service.Line.Tagged,
            service.Line.Tag,
            service.Line.Locked,
            service.Line.LockedTo,
            service.Line.Account,
            service.Line.Password
        );

    /// <summary>The service of these members, or what is missing. What its kind does not have is left out.</summary>
    public Parsed<Service> Whole()
    {
        Parsed<Service> whole = Kind switch
        {
            ServiceKind.PublicFixed when Address is { } own && Gateway is { } side => new PublicFixed(own, side, DownMbps, UpMbps)
            {
                DnsServers = DnsServers,
            },
            ServiceKind.PublicFixed => Parsed<Service>.Fail("A fixed public address needs the address and the provider's gateway."),
            ServiceKind.PublicDynamic => new PublicDynamic(DownMbps, UpMbps),
            ServiceKind.CarrierNat => new CarrierNat(DownMbps, UpMbps) { Inside = Inside },
            _ => new UnknownService(DownMbps, UpMbps),
        };
        var line = new LineNeeds
        {
            Login = Login,
            Tagged = Tagged,
            Tag = Tagged == Known.Yes ? Tag : null,
            Locked = Locked,
            LockedTo = Locked == Known.Yes ? LockedTo : null,
            Account = Account,
            Password = Password,
        };
        return whole.Then<Service>(s => s with { Access = Access, HandOff = HandOff, Leases = Leases, Line = line });
    }
}
