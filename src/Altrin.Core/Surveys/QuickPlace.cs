using System.Globalization;
using System.Text.RegularExpressions;
using Altrin.Core.Changes;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>"Kitchen, 4x3, brick, floor 1".</summary>
internal static partial class QuickPlace
{
    private static readonly (string Word, PlaceKind Kind)[] Kinds =
    [
        ("hall", PlaceKind.Hall),
        ("landing", PlaceKind.Hall),
        ("stair", PlaceKind.Hall),
        ("corridor", PlaceKind.Hall),
        ("cupboard", PlaceKind.Cupboard),
        ("closet", PlaceKind.Cupboard),
        ("loft", PlaceKind.Loft),
        ("attic", PlaceKind.Loft),
        ("cellar", PlaceKind.Cellar),
        ("basement", PlaceKind.Cellar),
        ("garage", PlaceKind.Cellar),
        ("garden", PlaceKind.Outdoors),
        ("outdoors", PlaceKind.Outdoors),
        ("terrace", PlaceKind.Outdoors),
        ("yard", PlaceKind.Outdoors),
        ("balcony", PlaceKind.Outdoors),
    ];

    /// <summary>Places that stand on the ground, whichever floor was typed before (common practice).</summary>
    private static readonly string[] OnTheGround =
    [
        "garden",
        "yard",
        "terrace",
        "outdoors",
        "shed",
        "barn",
        "garage",
        "stable",
        "workshop",
        "carport",
    ];

    private static readonly (string Word, WallKind Kind)[] Walls =
    [
        ("light", WallKind.Light),
        ("plasterboard", WallKind.Light),
        ("timber", WallKind.Light),
        ("wood", WallKind.Light),
        ("brick", WallKind.Brick),
        ("block", WallKind.Brick),
        ("stone", WallKind.Stone),
        ("concrete", WallKind.Concrete),
        ("glass", WallKind.Glass),
        ("metal", WallKind.Metal),
        ("foil", WallKind.Metal),
    ];

    internal static IReadOnlyList<Correction>? Read(HomeFile home, QuickWords words)
    {
        if (words.Name("a name") is not { } name)
        {
            return null;
        }
        var place = Named(home.Site, "", name);
        words.Rest(
            "a size such as 4x3, a floor such as floor 1, a wall such as brick, a place such as loft, a corner such as @2/5 or the name of a building may stand here",
            text =>
                Sizes().Match(text) is { Success: true } m
                    ? QuickGear.Then(
                        () => place = place with { LengthMetres = Number(m.Groups[1]), WidthMetres = Number(m.Groups[2]) },
                        "metres"
                    )
                    : null,
            text =>
                Corners().Match(text) is { Success: true } m
                    ? QuickGear.Then(
                        () => place = place with { EastMetres = Number(m.Groups[1]), NorthMetres = Number(m.Groups[2]) },
                        "metres from the corner of the plot"
                    )
                    : null,
            text => Floor(text) is { } floor ? QuickGear.Then(() => place = place with { Floor = floor }, "floor") : null,
            text =>
                Walls.FirstOrDefault(w => QuickWords.Is(text, w.Word)) is { Word: not null } wall
                    ? QuickGear.Then(() => place = place with { Walls = wall.Kind }, "walls")
                    : null,
            text =>
                Kinds.FirstOrDefault(k => QuickWords.Is(text, k.Word)) is { Word: not null } kind
                    ? QuickGear.Then(() => place = place with { Kind = kind.Kind }, "sort of place")
                    : null,
            text =>
                home.Site.Buildings.FirstOrDefault(b => string.Equals(b.Name, text, StringComparison.OrdinalIgnoreCase)) is { } building
                    ? QuickGear.Then(() => place = place with { Building = building.Id }, "building")
                    : null
        );
        return words.Error is not null ? null
            : home.Site.Places.FirstOrDefault(p =>
                string.Equals(p.Name, name, StringComparison.OrdinalIgnoreCase) && p.Building == place.Building
            )
                is not null
                ? Twice()
            : [new SetPlace("", Partial<Place>.All(place))];

        IReadOnlyList<Correction>? Twice()
        {
            words.Fail($"{name} is there already.", 1);
            return null;
        }
    }

    /// <summary>A place as its name tells it, on the floor and in the building of the one before: rooms are typed floor by floor.</summary>
    public static Place Named(Site site, string id, string name)
    {
        var last = site.Places.Count > 0 ? site.Places[^1] : null;
        return new(id, name)
        {
            Kind = Kinds.FirstOrDefault(k => name.Contains(k.Word, StringComparison.OrdinalIgnoreCase)).Kind,
            Floor = OnTheGround.Any(w => name.Contains(w, StringComparison.OrdinalIgnoreCase)) ? 0 : last?.Floor ?? 0,
            Building = last?.Building,
        };
    }

    private static int? Floor(string text) =>
        QuickWords.Is(text, "ground", "ground floor", "downstairs") ? 0
        : QuickWords.Is(text, "upstairs", "first floor") ? 1
        : QuickWords.Is(text, "second floor") ? 2
        : Floors().Match(text) is { Success: true } m
        && int.TryParse(m.Groups[1].ValueSpan, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var floor)
            ? floor
        : null;

    private static double Number(Group group) =>
        double.Parse(group.ValueSpan, NumberStyles.AllowDecimalPoint | NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture);

    [GeneratedRegex(
        @"^(\d{1,3}(?:\.\d{1,2})?)\s*[x×]\s*(\d{1,3}(?:\.\d{1,2})?)\s*m?$",
        RegexOptions.NonBacktracking | RegexOptions.IgnoreCase
    )]
    private static partial Regex Sizes();

    [GeneratedRegex(@"^@\s*(-?\d{1,3}(?:\.\d{1,2})?)\s*/\s*(-?\d{1,3}(?:\.\d{1,2})?)$", RegexOptions.NonBacktracking)]
    private static partial Regex Corners();

    [GeneratedRegex(@"^(?:floor\s*|f)?(-?\d{1,2})$", RegexOptions.NonBacktracking | RegexOptions.IgnoreCase)]
    private static partial Regex Floors();
}
