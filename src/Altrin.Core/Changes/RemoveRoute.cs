using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

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
