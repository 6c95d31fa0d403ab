using Altrin.Core.Radio;

namespace Altrin.Core.Sites;

/// <summary>The drawn rooms of a site, floor by floor, ready to be crossed: many ways are asked of one site.</summary>
internal sealed class FloorRooms
{
    private readonly Dictionary<(string Building, int Floor), DrawnRoom[]> _rooms;

    public FloorRooms(Site site) =>
        _rooms = site
            .Places.Where(p => p.Kind != PlaceKind.Outdoors)
            .Select(p => (Place: p, Room: DrawnRoom.Of(p)))
            .Where(p => p.Room is not null)
            .GroupBy(p => Key(p.Place), p => p.Room!.Value)
            .ToDictionary(g => g.Key, g => g.ToArray());

    /// <summary>Those of the floor that a place is on.</summary>
    public DrawnRoom[] Beside(Place place) => _rooms.GetValueOrDefault(Key(place), []);

    private static (string, int) Key(Place place) => (place.Building ?? "", place.Floor);
}

/// <summary>A room whose position and size were noted, in metres from the corner of the plot.</summary>
/// <param name="West">Its western side.</param>
/// <param name="East">Its eastern side.</param>
/// <param name="South">Its southern side.</param>
/// <param name="North">Its northern side.</param>
/// <param name="Walls">What its walls are of.</param>
internal readonly record struct DrawnRoom(double West, double East, double South, double North, WallKind Walls)
{
    /// <summary>That of a place; null where its position or size was not noted.</summary>
    public static DrawnRoom? Of(Place place) =>
        place is { EastMetres: { } west, NorthMetres: { } south, LengthMetres: { } length, WidthMetres: { } width }
            ? new(west, west + length, south, south + width, place.Walls)
            : null;
}
