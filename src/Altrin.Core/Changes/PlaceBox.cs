using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Puts a box that is in use into a place; none where it is not noted.</summary>
public sealed record PlaceBox(string Box, string? Place) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Place is not null && design.Site.Place(Place) is null
            ? Parsed<SetUp>.Fail($"There is no place '{Ipv4Address.Shown(Place)}'.")
            : Edit.InUse(design, Box, s => s with { Place = Place });

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        Place is null ? $"Where {design.NameOf(Box)} stands is not noted" : $"{design.NameOf(Box)} stands in {design.NameOf(Place)}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.StandsIn, Box)];
}
