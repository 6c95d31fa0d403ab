using System.ComponentModel.DataAnnotations;

namespace Altrin.Core.Sites;

/// <summary>A building of the home. The first one listed is the main house.</summary>
/// <param name="Id">Slug, unique among everything that has an id in the site.</param>
/// <param name="Name">What the household calls it.</param>
public sealed record Building(
    [property: Key, Required, RegularExpression(Slugs.Pattern)] string Id,
    [property: Required, StringLength(Limits.Name, MinimumLength = 1)] string Name
)
{
    /// <summary>The storey height that is taken where none was measured, in metres (common practice).</summary>
    public const double UsualStoreyMetres = 2.7;

    /// <summary>From one floor to the next in metres, 1.5 to 10; null where not measured.</summary>
    [Range(1.5, 10)]
    public double? StoreyHeightMetres { get; init; }

    /// <summary>Whether it shares the mains supply and the earthing of the main house.</summary>
    public Known SameSupply { get; init; }
}

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

/// <summary>Sorts of places. What a box must bear differs between them.</summary>
public enum PlaceKind
{
    /// <summary>A heated room.</summary>
    Room,

    /// <summary>A hall or stairwell.</summary>
    Hall,

    /// <summary>A cupboard: closed, and warm by what is in it.</summary>
    Cupboard,

    /// <summary>An unheated loft.</summary>
    Loft,

    /// <summary>A cellar or garage.</summary>
    Cellar,

    /// <summary>Outdoors.</summary>
    Outdoors,
}

/// <summary>What walls are made of, as far as radio cares.</summary>
public enum WallKind
{
    /// <summary>Not looked at.</summary>
    Unknown,

    /// <summary>Plasterboard or timber.</summary>
    Light,

    /// <summary>Brick or block.</summary>
    Brick,

    /// <summary>Thick stone.</summary>
    Stone,

    /// <summary>Concrete.</summary>
    Concrete,

    /// <summary>Glass.</summary>
    Glass,

    /// <summary>Metal, or insulation faced with it.</summary>
    Metal,
}

/// <summary>A socket in the wall.</summary>
/// <param name="Id">Slug, unique among everything that has an id in the site.</param>
/// <param name="Name">What is written on it, or how the installer calls it.</param>
/// <param name="Kind">What it carries.</param>
public sealed record Socket(
    [property: Key, Required, RegularExpression(Slugs.Pattern)] string Id,
    [property: Required, StringLength(Limits.Name, MinimumLength = 1)] string Name,
    SocketKind Kind
)
{
    /// <summary>Where it is; null where not noted.</summary>
    [RegularExpression(Slugs.Pattern)]
    public string? Place { get; init; }
}

/// <summary>What a socket in the wall carries.</summary>
public enum SocketKind
{
    /// <summary>Network cable.</summary>
    Data,

    /// <summary>Telephone line.</summary>
    Telephone,

    /// <summary>Television cable.</summary>
    Coax,

    /// <summary>Optical fibre.</summary>
    Fibre,

    /// <summary>Mains.</summary>
    Mains,
}

/// <summary>A cable that is in the house already, from socket to socket.</summary>
/// <param name="Id">Slug, unique among everything that has an id in the site.</param>
/// <param name="A">One socket.</param>
/// <param name="B">The other.</param>
/// <param name="Medium">What it is.</param>
public sealed record CableRun(
    [property: Key, Required, RegularExpression(Slugs.Pattern)] string Id,
    [property: Required, RegularExpression(Slugs.Pattern)] string A,
    [property: Required, RegularExpression(Slugs.Pattern)] string B,
    Medium Medium
)
{
    /// <summary>How many of its pairs are connected, 2 or 4; null where not looked at.</summary>
    [Range(2, 4)]
    public int? Pairs { get; init; }

    /// <summary>Its length in metres; null where not measured.</summary>
    [Range(CableFacts.ShortestMetres, CableFacts.LongestMetres)]
    public double? LengthMetres { get; init; }
}
