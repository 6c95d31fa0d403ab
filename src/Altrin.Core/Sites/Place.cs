using System.ComponentModel.DataAnnotations;
using Altrin.Core.Radio;

namespace Altrin.Core.Sites;

/// <summary>A room, or another place where a box, a socket or a device can stand.</summary>
/// <param name="Id">Slug, unique among everything that has an id in the site.</param>
/// <param name="Name">What the household calls it.</param>
public sealed record Place(
    [property: Key, Required, RegularExpression(Slugs.Pattern)] string Id,
    [property: Required, StringLength(Limits.Name, MinimumLength = 1)] string Name
)
{
    /// <summary>What sort of place.</summary>
    public PlaceKind Kind { get; init; }

    /// <summary>The building that it belongs to; null for the main house.</summary>
    [RegularExpression(Slugs.Pattern)]
    public string? Building { get; init; }

    /// <summary>The floor, counted from the ground floor, which is 0.</summary>
    [Range(Limits.LowestFloor, Limits.HighestFloor)]
    public int Floor { get; init; }

    /// <summary>From west to east in metres, roughly; null where not measured.</summary>
    [Range(Limits.ShortestPlaceMetres, Limits.LongestPlaceMetres)]
    public double? LengthMetres { get; init; }

    /// <summary>From south to north in metres, roughly; null where not measured.</summary>
    [Range(Limits.ShortestPlaceMetres, Limits.LongestPlaceMetres)]
    public double? WidthMetres { get; init; }

    /// <summary>What its walls are made of.</summary>
    public WallKind Walls { get; init; }

    /// <summary>How far its western wall is from the western wall of the plot, in metres; null where not measured.</summary>
    [Range(-Limits.PlotMetres, Limits.PlotMetres)]
    public double? EastMetres { get; init; }

    /// <summary>How far its southern wall is from the southern wall of the plot, in metres; null where not measured.</summary>
    [Range(-Limits.PlotMetres, Limits.PlotMetres)]
    public double? NorthMetres { get; init; }

    /// <summary>What was heard on the air there last; null where it was not looked at.</summary>
    public AirScan? Air { get; init; }
}
