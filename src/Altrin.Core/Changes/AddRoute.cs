using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

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
