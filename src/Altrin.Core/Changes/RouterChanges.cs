using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Lets a router translate between its sides, or route without it.</summary>
public sealed record SetNat(string Box, bool On) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<RouterMode>(design, Box, "NAT", router => router with { Nat = On });

    /// <inheritdoc/>
    public override string Describe(Design design) => $"NAT of {design.NameOf(Box)} {(On ? "on" : "off")}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Nat, Box)];
}

/// <summary>Names the host that gets every connection from the WAN side which no forward claims; none for none.</summary>
public sealed record SetDmz(string Box, Ipv4Address? To) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "DMZ host", router =>
            Edit.Unless<BoxMode>(To is { } to ? PageChecks.WrongHost(to) : null, router with { Dmz = To })
        );

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        To is { } to ? $"{design.NameOf(Box)} sends all that is not forwarded to DMZ host {to}" : $"{design.NameOf(Box)} has no DMZ host";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Dmz, Box)];
}

/// <summary>Lets devices ask a router to open ports, or not.</summary>
public sealed record SetPortRequests(string Box, bool On) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "port requests", router => router with { PortRequests = On });

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        $"{design.NameOf(Box)} {(On ? "opens ports that devices ask for" : "opens no port on request")}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.PortRequests, Box)];
}

/// <summary>Tells a router a way beyond its own subnets; replaces an older way to the same place.</summary>
public sealed record AddRoute(string Box, StaticRoute Route) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "routes of its own", router =>
            Edit.Unless<BoxMode>(
                PageChecks.WrongRoute(Route)
                    ?? (
                        router.Routes.Count(r => r.To != Route.To) >= RouterMode.MostRoutes
                            ? $"At most {RouterMode.MostRoutes} routes are taken."
                            : null
                    ),
                router with
                {
                    Routes = [.. router.Routes.Where(r => r.To != Route.To), Route],
                }
            )
        );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} sends {Route.To} by {Route.Via}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Route, Box, $"{Route.To}")];
}

/// <summary>Takes a way away.</summary>
public sealed record RemoveRoute(string Box, Subnet To) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "routes of its own", router =>
            router.Routes.All(r => r.To != To)
                ? Parsed<BoxMode>.Fail($"The {design.NameOf(Box)} has no route to {To}.")
                : router with
                {
                    Routes = [.. router.Routes.Where(r => r.To != To)],
                }
        );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} drops its route to {To}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Route, Box, $"{To}")];
}
