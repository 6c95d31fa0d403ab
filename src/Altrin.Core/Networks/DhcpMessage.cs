using Altrin.Core.Addressing;

namespace Altrin.Core.Networks;

/// <summary>Kinds of messages by which addresses are leased: the values of option 53 (RFC 2132, section 9.6).</summary>
public enum DhcpKind
{
    /// <summary>Who is there?</summary>
    Discover = 1,

    /// <summary>An address that could be had.</summary>
    Offer = 2,

    /// <summary>This one, please: of one server, remembered, or held already.</summary>
    Request = 3,

    /// <summary>Another host has that address.</summary>
    Decline = 4,

    /// <summary>It is leased.</summary>
    Ack = 5,

    /// <summary>Not that one.</summary>
    Nak = 6,

    /// <summary>It is given back.</summary>
    Release = 7,
}

/// <summary>One message between a client and DHCP servers (RFC 2131); what is null or empty is left out.</summary>
/// <param name="Kind">What it is (option 53).</param>
/// <param name="Client">Who asks, or is answered: stands for the client identifier (option 61).</param>
/// <param name="Mac">The client's MAC address; null where not read.</param>
public sealed record DhcpMessage(DhcpKind Kind, string Client, MacAddress? Mac)
{
    /// <summary>What everybody asks for (option 55): mask, router, DNS servers, host and domain name, lease time, renewal times.</summary>
    public static IReadOnlyList<int> UsualQuestions { get; } = [1, 3, 6, 12, 15, 51, 58, 59];

    /// <summary>The address that the client uses already; only in renewals and releases (ciaddr).</summary>
    public Ipv4Address? InUse { get; init; }

    /// <summary>The address that the server gives (yiaddr).</summary>
    public Ipv4Address? Given { get; init; }

    /// <summary>The address that the client would like (option 50).</summary>
    public Ipv4Address? Requested { get; init; }

    /// <summary>Which server is meant, or speaks (option 54).</summary>
    public Ipv4Address? ServerId { get; init; }

    /// <summary>The prefix that comes with the address (option 1, as a mask).</summary>
    public int? PrefixLength { get; init; }

    /// <summary>The default gateway (option 3).</summary>
    public Ipv4Address? Gateway { get; init; }

    /// <summary>The DNS servers (option 6).</summary>
    public IReadOnlyList<Ipv4Address> DnsServers { get; init; } = [];

    /// <summary>The domain that names without one are looked for in (option 15).</summary>
    public string? DomainName { get; init; }

    /// <summary>How long the lease lasts, in minutes (option 51, in seconds there).</summary>
    public int? LeaseMinutes { get; init; }

    /// <summary>The lease in seconds (option 51); null where none is named.</summary>
    public int? LeaseSeconds => LeaseMinutes * 60;

    /// <summary>When its server is asked to prolong it, in seconds: half of the lease (option 58).</summary>
    public int? RenewSeconds => LeaseSeconds / 2;

    /// <summary>When any server is asked, in seconds: seven eighths of the lease (option 59).</summary>
    public int? RebindSeconds => (int?)(LeaseSeconds * 7L / 8);

    /// <summary>What the client calls itself (option 12).</summary>
    public string? HostName { get; init; }

    /// <summary>The numbers of the options that it carries, in order (RFC 2132).</summary>
    public IReadOnlyList<int> Options =>
        [
            .. new (int Code, bool There)[]
            {
                (1, PrefixLength is not null),
                (3, Gateway is not null),
                (6, DnsServers.Count > 0),
                (12, HostName is not null),
                (15, DomainName is not null),
                (50, Requested is not null),
                (51, LeaseMinutes is not null),
                (53, true),
                (54, ServerId is not null),
                (55, Kind is DhcpKind.Discover or DhcpKind.Request),
                (58, LeaseMinutes is not null),
                (59, LeaseMinutes is not null),
                (61, Kind is not (DhcpKind.Offer or DhcpKind.Ack or DhcpKind.Nak)),
            }
                .Where(o => o.There)
                .Select(o => o.Code),
        ];
}
