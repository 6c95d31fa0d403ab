using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A box stands where it is too hot, too cold or too damp for it.</summary>
public static class OutsideRating
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "outside-rating",
            "wrong place",
            "A box stands where it is too hot, too cold or too damp for it.",
            "It fails in the first hot week, or water gets in; mains powered outdoors it can hurt people.",
            "common practice: a loft gets from -5 to 50 degrees Celsius",
            Judge
        );

    private const int ColdLoft = -5;
    private const int HotLoft = 50;

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Design.SetUp.Boxes.OrderBy(b => b.Box, StringComparer.Ordinal)
            .Select(b => (Box: e.Design.Box(b.Box)!, Place: e.Design.Site.Place(b.Place)))
            .Where(x => x.Place is not null)
            .Select(x => (x.Box, Place: x.Place!, Why: Why(x.Box.Profile.Traits, x.Place!)))
            .Where(x => x.Why is not null)
            .Select(x =>
                e.Finding(
                    Rule,
                    [x.Box.Id],
                    $"{x.Box.Name} stands in {x.Place.Name}, {x.Why}",
                    "It drops out in heat, frost or rain, and then for good.",
                    [],
                    ["Give it a dry, heated place, or take a box that is made for this one. Outdoors mains and cabling follow local code."]
                )
            );

    private static string? Why(Traits traits, Place place) =>
        place.Kind switch
        {
            PlaceKind.Outdoors when traits.Outdoors == Known.No => "and is made for indoors only",
            PlaceKind.Loft when traits.MostCelsius < HotLoft => $"and bears {traits.MostCelsius} degrees; a loft gets hotter in summer",
            PlaceKind.Loft when traits.LeastCelsius > ColdLoft =>
                $"and bears {traits.LeastCelsius} degrees at least; a loft gets colder in winter",
            _ => null,
        };
}
