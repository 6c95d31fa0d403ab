using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Takes a router's network for guests away.</summary>
public sealed record RemoveGuest(string Box) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "guest network", router =>
            router.Guest is null ? Parsed<BoxMode>.Fail($"{design.NameOf(Box)} has no guest network.") : router with { Guest = null }
        );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} has no guest network";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Guest, Box)];
}
