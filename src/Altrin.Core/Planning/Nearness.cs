using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>
/// Which places one box serves from another, by distance alone, before anything was measured or drawn. A first guess that errs towards
/// more boxes: about the distances at which satellites are set (9 to 12 m, less behind heavy walls; common practice).
/// </summary>
public static class Nearness
{
    /// <summary>As far as one box serves through light walls or brick, in metres (common practice).</summary>
    public const double UsualMetres = 10;

    /// <summary>As far as one box serves where walls are stone, concrete or metal, in metres (common practice).</summary>
    public const double HeavyMetres = 6;

    /// <summary>
    /// A floor up to this size is served from anywhere on it where the rooms' positions were not noted, in square metres (common
    /// practice).
    /// </summary>
    public const double SmallFloorSquareMetres = 80;

    /// <summary>Whether a box in one place serves another.</summary>
    public static Known Serves(Site site, Place from, Place to)
    {
        if (from.Id == to.Id)
        {
            return Known.Yes;
        }
        if (from.Building != to.Building || Math.Abs(from.Floor - to.Floor) > 1)
        {
            return Known.No;
        }
        var reach = Heavy(from) || Heavy(to) ? HeavyMetres : UsualMetres;
        if (from is { EastMetres: { } x1, NorthMetres: { } y1 } && to is { EastMetres: { } x2, NorthMetres: { } y2 })
        {
            var (dx, dy) = (
                x2 + Half(to.LengthMetres) - x1 - Half(from.LengthMetres),
                y2 + Half(to.WidthMetres) - y1 - Half(from.WidthMetres)
            );
            var dz = (to.Floor - from.Floor) * Cabling.Storey(site, from);
            // A ceiling costs about a third of the way (common practice).
            return Math.Sqrt((dx * dx) + (dy * dy) + (dz * dz)) <= (dz == 0 ? reach : reach * 0.7) ? Known.Yes : Known.No;
        }
        var floors = site
            .Places.Where(p =>
                p.Building == from.Building && p.Kind != PlaceKind.Outdoors && (p.Floor == from.Floor || p.Floor == to.Floor)
            )
            .ToList();
        return floors.Any(p => p is not { LengthMetres: not null, WidthMetres: not null }) ? Known.Unknown
            : floors
                .GroupBy(p => p.Floor)
                .All(f =>
                    f.Sum(p => p.LengthMetres!.Value * p.WidthMetres!.Value)
                    <= (floors.Any(Heavy) ? SmallFloorSquareMetres / 2 : SmallFloorSquareMetres)
                )
                ? Known.Yes
            : Known.No;
    }

    private static bool Heavy(Place place) => place.Walls is WallKind.Stone or WallKind.Concrete or WallKind.Metal;

    private static double Half(double? metres) => (metres ?? 0) / 2;
}
