using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Switches a router's address server on or off; its settings are kept.</summary>
public sealed record SwitchAddressServer(string Box, bool On) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Server(design, Box, router => router.Server with { On = On });

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Address server of {design.NameOf(Box)} {(On ? "on" : "off")}";
}

/// <summary>Moves the ends of a router's pool, both included.</summary>
public sealed record MovePool(string Box, AddressRange Pool) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Server(design, Box, router =>
        Edit.Unless(PageChecks.WrongPool(Pool, router.Lan), router.Server with { Pool = Pool }));

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Pool of {design.NameOf(Box)} is {Pool}";
}

/// <summary>Sets the default gateway that a router's address server hands out; none for the router itself.</summary>
public sealed record SetServerGateway(string Box, Ipv4Address? Gateway) : Change
{
    /// <summary>Whether it hands out no gateway at all; then <see cref="Gateway"/> counts for nothing.</summary>
    public bool LeftOut { get; init; }

    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Server(design, Box, router =>
        Edit.Unless(Gateway is { } gateway ? PageChecks.WrongHost(gateway) : null, router.Server with { Gateway = LeftOut ? null : Gateway, LeavesOutGateway = LeftOut }));

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} hands out {(LeftOut ? "no gateway" : $"{(Gateway is { } gateway ? gateway.ToString() : "itself")} as gateway")}";
}

/// <summary>Sets the name servers that a router's address server hands out; none for the router itself.</summary>
public sealed record SetServerNames(string Box, IReadOnlyList<Ipv4Address> NameServers) : Change
{
    /// <summary>Whether it hands out no name servers at all; then <see cref="NameServers"/> counts for nothing.</summary>
    public bool LeftOut { get; init; }

    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Server(design, Box, router =>
        Edit.Unless(
            NameServers.Count > 4 ? "At most 4 name servers are taken." : NameServers.Select(PageChecks.WrongHost).FirstOrDefault(w => w is not null),
            router.Server with { NameServers = LeftOut ? [] : NameServers, LeavesOutNames = LeftOut }));

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} hands out {(LeftOut ? "no name server" : $"{(NameServers.Count == 0 ? "itself" : string.Join(" and ", NameServers))} for names")}";
}

/// <summary>Sets how long the leases of a router's address server last, in minutes; none where it was not read.</summary>
public sealed record SetLeaseTime(string Box, int? Minutes) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Server(design, Box, router =>
        Edit.Unless(PageChecks.WrongLeaseTime(Minutes), router.Server with { LeaseMinutes = Minutes }));

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Leases of {design.NameOf(Box)} last {(Minutes is { } minutes ? $"{minutes} minutes" : "as long as they do")}";
}

/// <summary>Sets the domain name that a router's address server hands out; none for no domain.</summary>
public sealed record SetServerDomain(string Box, string? Domain) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Server(design, Box, router =>
        Edit.Unless(PageChecks.WrongDomain(Domain), router.Server with { Domain = Domain }));

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} hands out {(Domain is null ? "no domain" : $"the domain {Domain}")}";
}

/// <summary>Keeps an address for one hardware address. Replaces an older reservation for the same hardware address.</summary>
public sealed record Reserve(string Box, HardwareAddress Hardware, Ipv4Address Address) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Server(design, Box, router =>
        !router.Lan.Subnet.IsHost(Address) ? Parsed<AddressServer>.Fail($"{Address} is not a host address of {router.Lan.Subnet}.")
        : router.Server.Reservations.Any(r => r.Address == Address && r.Hardware != Hardware) ? Parsed<AddressServer>.Fail($"{Address} is already reserved for another hardware address.")
        : router.Server with { Reservations = [.. router.Server.Reservations.Where(r => r.Hardware != Hardware), new(Hardware, Address)] });

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} reserves {Address} for {design.Site.Devices.FirstOrDefault(d => d.Hardware == Hardware)?.Name ?? design.Site.Boxes.FirstOrDefault(b => b.Hardware == Hardware || b.WanHardware == Hardware)?.Name ?? Hardware.ToString()}";
}

/// <summary>Takes a reservation away.</summary>
public sealed record RemoveReservation(string Box, HardwareAddress Hardware) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Server(design, Box, router =>
        router.Server.Reservations.All(r => r.Hardware != Hardware)
            ? Parsed<AddressServer>.Fail($"The {design.NameOf(Box)} reserves nothing for {Hardware}.")
            : router.Server with { Reservations = [.. router.Server.Reservations.Where(r => r.Hardware != Hardware)] });

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} drops the reservation for {Hardware}";
}

/// <summary>Lets a port in from the WAN side.</summary>
public sealed record AddForward(string Box, PortForward Forward) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<RouterMode>(design, Box, "port forwarding", router =>
        router.Forwards.Any(f => f.Protocol == Forward.Protocol && f.OutsidePort == Forward.OutsidePort)
            ? Parsed<BoxMode>.Fail($"The {design.NameOf(Box)} already forwards port {Forward.OutsidePort}; a port is forwarded once.")
            : Edit.Unless<BoxMode>(
                PageChecks.WrongTransportPort(Forward.OutsidePort) ?? PageChecks.WrongTransportPort(Forward.InsidePort) ?? PageChecks.WrongHost(Forward.To),
                router with { Forwards = [.. router.Forwards, Forward] }));

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} forwards port {Forward.OutsidePort} to {Forward.To}";
}

/// <summary>Takes a port forward away.</summary>
public sealed record RemoveForward(string Box, Protocol Protocol, int OutsidePort) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<RouterMode>(design, Box, "port forwarding", router =>
        router.Forwards.All(f => !Same(f))
            ? Parsed<BoxMode>.Fail($"The {design.NameOf(Box)} does not forward port {OutsidePort}.")
            : router with { Forwards = [.. router.Forwards.Where(f => !Same(f))] });

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} no longer forwards port {OutsidePort}";

    private bool Same(PortForward forward) => forward.Protocol == Protocol && forward.OutsidePort == OutsidePort;
}
