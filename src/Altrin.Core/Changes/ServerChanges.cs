using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Switches a router's DHCP server on or off; its settings are kept.</summary>
public sealed record SwitchDhcpServer(string Box, bool On) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Server(design, Box, router => router.Server with { On = On });

    /// <inheritdoc/>
    public override string Describe(Design design) => $"DHCP server of {design.NameOf(Box)} {(On ? "on" : "off")}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.DhcpServer, Box)];
}

/// <summary>Moves one end of a router's pool, or both; both are included, and an end that is not given stays.</summary>
public sealed record MovePool(string Box) : Change
{
    /// <summary>The first address; null to leave it.</summary>
    public Ipv4Address? First { get; init; }

    /// <summary>The last address; null to leave it.</summary>
    public Ipv4Address? Last { get; init; }

    /// <summary>Moves both ends.</summary>
    public static MovePool To(string box, AddressRange pool) => new(box) { First = pool.First, Last = pool.Last };

    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Server(design, Box, router =>
        {
            var (first, last) = (First ?? router.Server.Pool.First, Last ?? router.Server.Pool.Last);
            return First is null && Last is null
                    ? Parsed<DhcpServerSetting>.Fail("The first or the last address of the pool is expected, or both.")
                : first > last ? Parsed<DhcpServerSetting>.Fail($"The pool would begin at {first}, behind its end {last}.")
                : Edit.Unless(
                    PageChecks.WrongPool(AddressRange.Between(first, last), router.Lan),
                    router.Server with
                    {
                        Pool = AddressRange.Between(first, last),
                    }
                );
        });

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        (First, Last) switch
        {
            ({ } first, { } last) => $"Pool of {design.NameOf(Box)} is {first}-{last}",
            ({ } first, null) => $"Pool of {design.NameOf(Box)} begins at {first}",
            (null, { } last) => $"Pool of {design.NameOf(Box)} ends at {last}",
            _ => $"Pool of {design.NameOf(Box)} stays",
        };

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) =>
        [.. First is null ? (Touch[])[] : [new(Setting.PoolFirst, Box)], .. Last is null ? (Touch[])[] : [new(Setting.PoolLast, Box)]];
}

/// <summary>Sets the default gateway that a router's DHCP server hands out; none for the router itself.</summary>
/// <param name="Box">Which router.</param>
/// <param name="Gateway">What it hands out.</param>
/// <param name="LeftOut">Whether it hands out no gateway at all; then <paramref name="Gateway"/> counts for nothing.</param>
public sealed record SetServerGateway(string Box, Ipv4Address? Gateway, bool LeftOut) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Server(design, Box, router =>
            Edit.Unless(
                Gateway is { } gateway ? PageChecks.WrongHost(gateway) : null,
                router.Server with
                {
                    Gateway = LeftOut ? null : Gateway,
                    LeavesOutGateway = LeftOut,
                }
            )
        );

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        $"{design.NameOf(Box)} hands out {(LeftOut ? "no gateway" : $"{(Gateway is { } gateway ? gateway.ToString() : "itself")} as gateway")}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.HandedGateway, Box)];
}

/// <summary>Sets the DNS servers that a router's DHCP server hands out; none for the router itself.</summary>
/// <param name="Box">Which router.</param>
/// <param name="DnsServers">What it hands out, in order.</param>
/// <param name="LeftOut">Whether it hands out none at all; then <paramref name="DnsServers"/> counts for nothing.</param>
public sealed record SetDnsServers(string Box, IReadOnlyList<Ipv4Address> DnsServers, bool LeftOut) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Server(design, Box, router =>
            Edit.Unless(
                PageChecks.TooMany(DnsServers) ?? DnsServers.Select(PageChecks.WrongHost).FirstOrDefault(w => w is not null),
                router.Server with
                {
                    DnsServers = LeftOut ? [] : DnsServers,
                    LeavesOutDns = LeftOut,
                }
            )
        );

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        $"{design.NameOf(Box)} hands out {(LeftOut ? "no DNS server" : $"{(DnsServers.Count == 0 ? "itself" : string.Join(" and ", DnsServers))} as DNS server")}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.HandedDns, Box)];
}

/// <summary>Sets how long the leases of a router's DHCP server last, in minutes; none where it was not read.</summary>
public sealed record SetLeaseTime(string Box, int? Minutes) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Server(design, Box, router => Edit.Unless(PageChecks.WrongLeaseTime(Minutes), router.Server with { LeaseMinutes = Minutes }));

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        $"Leases of {design.NameOf(Box)} last {(Minutes is { } minutes ? $"{minutes} minutes" : "as long as they do")}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.LeaseTime, Box)];
}

/// <summary>Sets the domain name that a router's DHCP server hands out; none for no domain.</summary>
public sealed record SetServerDomain(string Box, string? Domain) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Server(design, Box, router => Edit.Unless(PageChecks.WrongDomain(Domain), router.Server with { Domain = Domain }));

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        $"{design.NameOf(Box)} hands out {(Domain is null ? "no domain" : $"the domain {Domain}")}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.HandedDomain, Box)];
}

/// <summary>Keeps an address for one MAC address. Replaces an older reservation for the same MAC address.</summary>
public sealed record Reserve(string Box, MacAddress Mac, Ipv4Address Address) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Server(design, Box, router => !router.Lan.Subnet.IsHost(Address)
                ? Parsed<DhcpServerSetting>.Fail($"{Address} is not a host address of {router.Lan.Subnet}.")
            : router.Server.Reservations.Any(r => r.Address == Address && r.Mac != Mac)
                ? Parsed<DhcpServerSetting>.Fail($"{Address} is already reserved for another MAC address.")
            : router.Server.Reservations.Count(r => r.Mac != Mac) >= DhcpServerSetting.MostReservations
                ? Parsed<DhcpServerSetting>.Fail($"At most {DhcpServerSetting.MostReservations} reservations are kept.")
            : router.Server with { Reservations = [.. router.Server.Reservations.Where(r => r.Mac != Mac), new(Mac, Address)] });

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        $"{design.NameOf(Box)} reserves {Address} for {design.Site.Devices.FirstOrDefault(d => d.Mac == Mac)?.Name ?? design.Site.Boxes.FirstOrDefault(b => b.Mac == Mac || b.WanMac == Mac)?.Name ?? Mac.ToString()}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Reservation, Box, $"{Mac}")];
}

/// <summary>Takes a reservation away.</summary>
public sealed record RemoveReservation(string Box, MacAddress Mac) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Server(design, Box, router =>
            router.Server.Reservations.All(r => r.Mac != Mac)
                ? Parsed<DhcpServerSetting>.Fail($"The {design.NameOf(Box)} reserves nothing for {Mac}.")
                : router.Server with
                {
                    Reservations = [.. router.Server.Reservations.Where(r => r.Mac != Mac)],
                }
        );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} drops the reservation for {Mac}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Reservation, Box, $"{Mac}")];
}

/// <summary>Lets a port in from the WAN side.</summary>
public sealed record AddForward(string Box, PortForward Forward) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "port forwarding", router =>
            router.Forwards.Any(f => f.Protocol == Forward.Protocol && f.OutsidePort == Forward.OutsidePort)
                ? Parsed<BoxMode>.Fail($"The {design.NameOf(Box)} already forwards port {Forward.OutsidePort}; a port is forwarded once.")
                : Edit.Unless<BoxMode>(
                    (
                        router.Forwards.Count >= RouterMode.MostForwards
                            ? $"At most {RouterMode.MostForwards} port forwardings are kept."
                            : null
                    )
                        ?? PageChecks.WrongTransportPort(Forward.OutsidePort)
                        ?? PageChecks.WrongTransportPort(Forward.InsidePort)
                        ?? PageChecks.WrongHost(Forward.To),
                    router with
                    {
                        Forwards = [.. router.Forwards, Forward],
                    }
                )
        );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} forwards port {Forward.OutsidePort} to {Forward.To}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Forward, Box, Forward.Key)];
}

/// <summary>Takes a port forward away.</summary>
public sealed record RemoveForward(string Box, Protocol Protocol, int OutsidePort) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "port forwarding", router =>
            router.Forwards.All(f => !Same(f))
                ? Parsed<BoxMode>.Fail($"The {design.NameOf(Box)} does not forward port {OutsidePort}.")
                : router with
                {
                    Forwards = [.. router.Forwards.Where(f => !Same(f))],
                }
        );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} no longer forwards port {OutsidePort}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Forward, Box, PortForward.KeyOf(Protocol, OutsidePort))];

    private bool Same(PortForward forward) => forward.Protocol == Protocol && forward.OutsidePort == OutsidePort;
}
