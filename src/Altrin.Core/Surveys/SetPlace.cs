using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Corrects what is known of a place, what is not given stays; or notes one, where no id is given.</summary>
/// <param name="Place">Its id; empty for a new one, whose id is made of its name.</param>
/// <param name="Known">What is said of it; of a new one at least the name.</param>
public sealed record SetPlace(string Place, Partial<Place> Known) : Correction
{
    /// <summary>The id of a new one; empty to have it made of its name.</summary>
    public string NewId { get; init; } = "";

    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf) =>
        Given
            .Noted(home.Site.Places, Place, IdIn(home), Known, p => p.Id, "place")
            .Then<HomeFile>(said =>
            {
                var place = said with { Name = said.Name.Trim() };
                // The main house is meant where none is named.
                place = home.Site.Buildings is [var main, ..] && place.Building == main.Id ? place with { Building = null } : place;
                return Edit.Unless(
                    Given.WrongName(place.Name)
                        ?? (
                            place.Floor is < Limits.LowestFloor or > Limits.HighestFloor
                                ? $"Floors are counted from {Limits.LowestFloor} to {Limits.HighestFloor}; the ground floor is 0."
                                : null
                        )
                        ?? WrongSize(place)
                        ?? (
                            Math.Abs(place.EastMetres ?? 0) > Limits.PlotMetres || Math.Abs(place.NorthMetres ?? 0) > Limits.PlotMetres
                                ? $"A place lies within {Limits.PlotMetres:#,0} metres of the corner of the plot."
                                : null
                        )
                        ?? (
                            place.Building is { } building && home.Site.Buildings.All(b => b.Id != building)
                                ? $"There is no building '{Ipv4Address.Shown(building)}'."
                                : null
                        )
                        ?? (place.Air is { } air ? Given.WrongAir(air) : null)
                        ?? Given.WrongId(home.Site, place.Id, [.. home.Site.Places.Select(p => p.Id)], Site.MostPlaces, "places"),
                    home.With(home.Site with { Places = Given.With(home.Site.Places, place, p => p.Id) })
                );
            });

    private static string? WrongSize(Place place) =>
        new[] { place.LengthMetres, place.WidthMetres }.Any(m => m is < Limits.ShortestPlaceMetres or > Limits.LongestPlaceMetres)
            ? string.Create(
                CultureInfo.InvariantCulture,
                $"A place is {Limits.ShortestPlaceMetres} to {Limits.LongestPlaceMetres} metres long and wide."
            )
            : null;

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => Given.Describe(home.Site.Place(Place)?.Name, Known);

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        Given.Touches(Setting.Place, Place, IdIn(home), Known.Given);

    private string IdIn(HomeFile home) =>
        Place.Length > 0 ? Place
        : NewId.Length > 0 ? NewId
        : Slugs.Of(Given.NameOf(Known), home.Site.Uses, "place");
}
