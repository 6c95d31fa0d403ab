using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Takes an access point's name for guests away.</summary>
public sealed record RemovePointGuest(string Box) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<AccessPointMode>(design, Box, "guest name", point =>
            point.Guest is null ? Parsed<BoxMode>.Fail($"{design.NameOf(Box)} has no guest name.") : point with { Guest = null }
        );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} sends no guest name";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Guest, Box)];
}
