namespace Altrin.Core.Radio;

/// <summary>
/// Loss through walls and floors that are known, one by one, added to free space: the multi-wall model of COST 231 (final report, 1999,
/// section 4.7.2; from memory).
/// </summary>
public static class WallLoss
{
    /// <summary>Spread of the model where it was not fitted to the house, in dB (common practice: 6 to 8).</summary>
    public const double SpreadDb = 6;

    /// <summary>A light wall and a heavy one at 1.8 GHz, in dB (COST 231; from memory).</summary>
    public const double LightDb = 3.4,
        HeavyDb = 6.9;

    /// <summary>A concrete floor at 1.8 GHz, in dB (COST 231; from memory).</summary>
    public const double ConcreteFloorDb = 18.3;

    /// <summary>A floor of timber, in dB (common practice).</summary>
    public const double TimberFloorDb = 8;

    /// <summary>How floors after the first count less (COST 231; from memory).</summary>
    private const double Bend = 0.46;

    private const double GivenAtMhz = 1800;

    /// <summary>
    /// A wall, in dB: what is given at 1.8 GHz, and so much more for each tenfold of the frequency, since what is thick and damp swallows
    /// more of a shorter wave (light and brick: COST 231, from memory; all others and the slopes: common practice).
    /// </summary>
    public static double Db(WallKind wall, double mhz) => Times(wall, Math.Log10(mhz / GivenAtMhz));

    private static double Times(WallKind wall, double decades)
    {
        var (given, slope) = wall switch
        {
            WallKind.Light => (LightDb, 2.0),
            WallKind.Brick => (HeavyDb, 8.0),
            WallKind.Stone => (13.0, 12.0),
            WallKind.Concrete => (13.0, 14.0),
            WallKind.Glass => (2.5, 3.0),
            WallKind.Metal => (24.0, 4.0),
            _ => throw new ArgumentOutOfRangeException(nameof(wall), "The loss of a wall of which nothing is known is asked for."),
        };
        return given + (slope * decades);
    }

    /// <summary>All floors on the way, in dB: n^((n + 2) / (n + 1) − 0.46) times one.</summary>
    /// <param name="floors">How many, 0 or more.</param>
    /// <param name="oneDb">What one costs.</param>
    public static double FloorsDb(int floors, double oneDb) =>
        floors == 0 ? 0 : oneDb * Math.Pow(floors, ((floors + 2.0) / (floors + 1.0)) - Bend);

    /// <summary>The loss.</summary>
    /// <param name="mhz">The frequency in MHz.</param>
    /// <param name="metres">The distance.</param>
    /// <param name="walls">The walls on the way, each of a kind that is known.</param>
    /// <param name="floors">How many floors lie between.</param>
    /// <param name="floorDb">What one of them costs.</param>
    public static PathLoss Of(double mhz, double metres, IReadOnlyList<WallKind> walls, int floors, double floorDb)
    {
        var (decades, through) = (Math.Log10(mhz / GivenAtMhz), 0.0);
        for (var i = 0; i < walls.Count; i++)
        {
            through += Times(walls[i], decades);
        }
        return new(PathLoss.FreeSpaceDb(mhz, metres) + through + FloorsDb(floors, floorDb), SpreadDb);
    }
}
