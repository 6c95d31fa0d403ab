using System.Buffers;
using Altrin.Core.Radio;

namespace Altrin.Core.Sites;

/// <summary>What lies between two places, as far as radio cares. It is the same from both ends.</summary>
/// <param name="Metres">How far apart their middles are, through the air.</param>
/// <param name="Floors">How many floors lie between.</param>
/// <param name="Walls">
/// The walls on the straight way, in order from the place whose id comes first; null where one of them was not looked at, or the rooms
/// between were not drawn.
/// </param>
/// <param name="Timber">Whether the floors may be taken for timber: no room on the way is of stone, concrete or metal.</param>
/// <param name="Measured">Whether the positions of both were noted; otherwise the distance is what is usual in such a home.</param>
public sealed record PlaceWay(double Metres, int Floors, IReadOnlyList<WallKind>? Walls, bool Timber, bool Measured)
{
    /// <summary>Two walls nearer together than this are one: rooms side by side share it, in metres (common practice).</summary>
    private const double OneWallMetres = 0.6;

    /// <summary>How far apart two places of a floor usually are where no size was noted, in metres (common practice).</summary>
    private const double UsualMetres = 6;

    /// <summary>
    /// How far apart two points of an area are on average, as a share of its square root (two points in a square: 0.5214).
    /// </summary>
    private const double MeanShare = 0.5214;

    /// <summary>What lies between; null where that cannot be said: places in two buildings whose positions were not noted.</summary>
    public static PlaceWay? Between(Site site, Place a, Place b) => Between(site, new FloorRooms(site), a, b);

    /// <summary>The same where many ways are asked of one site.</summary>
    internal static PlaceWay? Between(Site site, FloorRooms rooms, Place a, Place b)
    {
        var (from, to) = string.CompareOrdinal(a.Id, b.Id) <= 0 ? (a, b) : (b, a);
        if (from.Id == to.Id)
        {
            var within = from is { LengthMetres: { } l, WidthMetres: { } w } ? MeanShare * Math.Sqrt(l * w) : UsualMetres / 2;
            return new(within, 0, [], !IsHeavy(from), from.LengthMetres is not null && from.WidthMetres is not null);
        }
        var floors = Math.Abs(from.Floor - to.Floor);
        var climb = floors * Cabling.Storey(site, from);
        var timber = !IsHeavy(from) && !IsHeavy(to);
        if (Cabling.Middle(from) is { } m && Cabling.Middle(to) is { } n)
        {
            var flat = Math.Sqrt(Square(m.X - n.X) + Square(m.Y - n.Y));
            return new(Math.Sqrt(Square(flat) + Square(climb)), floors, Crossed(rooms, from, to, m, n, flat), timber, true);
        }
        if (from.Building != to.Building)
        {
            return null;
        }
        var areas = site
            .Places.Where(p => p.Building == from.Building && p.Floor == from.Floor && p.Kind != PlaceKind.Outdoors)
            .Select(p => p.LengthMetres * p.WidthMetres)
            .ToList();
        var usual = areas.Count > 0 && areas.TrueForAll(x => x is not null) ? MeanShare * Math.Sqrt(areas.Sum()!.Value) : UsualMetres;
        return new(Math.Sqrt(Square(usual) + Square(climb)), floors, null, timber, false);
    }

    /// <summary>
    /// The walls on a way: where it enters or leaves a room of the floor that it starts on, from half-way on of the one it ends on.
    /// </summary>
    private static List<WallKind>? Crossed(
        FloorRooms rooms,
        Place from,
        Place to,
        (double X, double Y) a,
        (double X, double Y) b,
        double metres
    )
    {
        if (IsUndrawn(from) || IsUndrawn(to))
        {
            return null;
        }
        var half = from.Floor == to.Floor ? 1 : 0.5;
        var (here, there) = (rooms.Beside(from), rooms.Beside(to));
        // What is on the floor of both is crossed once.
        there = ReferenceEquals(here, there) ? [] : there;
        var most = 2 * (here.Length + there.Length);
        var (at, kinds) = (ArrayPool<double>.Shared.Rent(most), ArrayPool<WallKind>.Shared.Rent(most));
        try
        {
            var count = 0;
            foreach (var room in here)
            {
                Cross(room, a, b, (0, half), at, kinds, ref count);
            }
            foreach (var room in there)
            {
                Cross(room, a, b, (from.Floor == to.Floor ? 0 : half, 1), at, kinds, ref count);
            }
            Array.Sort(at, kinds, 0, count);
            return Joined(at.AsSpan(0, count), kinds, metres);
        }
        finally
        {
            ArrayPool<double>.Shared.Return(at);
            ArrayPool<WallKind>.Shared.Return(kinds);
        }
    }

    /// <summary>Walls one after the other, those that rooms side by side share told once; null where one was not looked at.</summary>
    private static List<WallKind>? Joined(ReadOnlySpan<double> at, WallKind[] kinds, double metres)
    {
        var walls = new List<WallKind>();
        var last = double.NegativeInfinity;
        for (var i = 0; i < at.Length; i++)
        {
            if ((at[i] - last) * metres >= OneWallMetres)
            {
                walls.Add(kinds[i]);
                last = at[i];
            }
            else
            {
                walls[^1] = Heavier(walls[^1], kinds[i]);
            }
        }
        return walls.Contains(WallKind.Unknown) ? null : walls;
    }

    /// <summary>Adds where a way crosses the walls of a room, as shares of its length, between two of them.</summary>
    private static void Cross(
        DrawnRoom room,
        (double X, double Y) a,
        (double X, double Y) b,
        (double First, double Last) part,
        double[] at,
        WallKind[] kinds,
        ref int count
    )
    {
        // Most rooms lie wholly to one side.
        if (
            Math.Max(a.X, b.X) < room.West
            || Math.Min(a.X, b.X) > room.East
            || Math.Max(a.Y, b.Y) < room.South
            || Math.Min(a.Y, b.Y) > room.North
        )
        {
            return;
        }
        // A way is cut by two pairs of parallel sides; what is left of it lies within.
        var (enters, leaves) = (double.NegativeInfinity, double.PositiveInfinity);
        if (!Cut(a.X, b.X, room.West, room.East, ref enters, ref leaves) || !Cut(a.Y, b.Y, room.South, room.North, ref enters, ref leaves))
        {
            return;
        }
        if (enters > part.First && enters < part.Last)
        {
            (at[count], kinds[count]) = (enters, room.Walls);
            count++;
        }
        if (leaves > part.First && leaves < part.Last)
        {
            (at[count], kinds[count]) = (leaves, room.Walls);
            count++;
        }
    }

    /// <summary>Cuts what is left of a way down to what lies between two parallel sides; says whether anything is left.</summary>
    private static bool Cut(double start, double end, double low, double high, ref double enters, ref double leaves)
    {
        if (start == end)
        {
            return start > low && start < high;
        }
        var (one, other) = ((low - start) / (end - start), (high - start) / (end - start));
        (enters, leaves) = (Math.Max(enters, Math.Min(one, other)), Math.Min(leaves, Math.Max(one, other)));
        return enters < leaves;
    }

    /// <summary>The one that costs more; one that was not looked at may be anything.</summary>
    private static WallKind Heavier(WallKind a, WallKind b) =>
        a == WallKind.Unknown || b == WallKind.Unknown ? WallKind.Unknown
        : Costs[(int)a] >= Costs[(int)b] ? a
        : b;

    /// <summary>What each kind of wall costs in the middle of 2.4 GHz, in dB; the one that was not looked at first.</summary>
    private static readonly double[] Costs = [.. Enum.GetValues<WallKind>().Select(w => w == WallKind.Unknown ? 0 : WallLoss.Db(w, 2400))];

    private static bool IsUndrawn(Place place) =>
        place.Kind != PlaceKind.Outdoors && place is not { LengthMetres: not null, WidthMetres: not null };

    private static bool IsHeavy(Place place) => place.Walls is WallKind.Stone or WallKind.Concrete or WallKind.Metal;

    private static double Square(double value) => value * value;
}
