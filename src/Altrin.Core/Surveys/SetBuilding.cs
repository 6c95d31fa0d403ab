using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// Corrects what is known of a building, what is not given stays; or notes one, where no id is given. The first one that is noted
/// stands beside the main house, which comes along with it.
/// </summary>
/// <param name="Building">Its id; empty for a new one, whose id is made of its name.</param>
/// <param name="Known">What is said of it; of a new one at least the name.</param>
public sealed record SetBuilding(string Building, Partial<Building> Known) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf) =>
        Given
            .Noted(Before(home), Building, IdIn(home), Known, b => b.Id, "building")
            .Then<HomeFile>(building =>
                Edit.Unless(
                    Given.WrongName(building.Name)
                        ?? (building.StoreyHeightMetres is < 1.5 or > 10 ? "A storey is 1.5 to 10 metres high." : null)
                        ?? Given.WrongId(home.Site, building.Id, [.. Before(home).Select(b => b.Id)], Site.MostBuildings, "buildings"),
                    home.With(home.Site with { Buildings = Given.With(Before(home), building, b => b.Id) })
                )
            );

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        Given.Describe(home.Site.Buildings.FirstOrDefault(b => b.Id == Building)?.Name, Known);

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        [
            .. Given.Touches(Setting.Building, Building, IdIn(home), Known.Given),
            .. home.Site.Buildings.Count == 0 ? Before(home).Select(b => new Touch(Setting.Building, b.Id)) : [],
        ];

    private static IReadOnlyList<Building> Before(HomeFile home) =>
        home.Site.Buildings.Count > 0
            ? home.Site.Buildings
            : [new(Slugs.Of("Main house", home.Site.Uses, "house"), "Main house") { SameSupply = Sites.Known.Yes }];

    private string IdIn(HomeFile home) =>
        Building.Length > 0 ? Building : Slugs.Of(Given.NameOf(Known), id => home.Site.Uses(id) || id == "main-house", "building");
}
