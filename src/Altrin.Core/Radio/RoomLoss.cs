namespace Altrin.Core.Radio;

/// <summary>
/// Loss inside a house of whose walls nothing is known (ITU-R P.1238-7, February 2012, section 3.1; from memory):
/// 20 log f + N log d + Lf(n) − 28. The coefficient N holds the walls already: no loss of a wall is ever added.
/// </summary>
public static class RoomLoss
{
    /// <summary>
    /// Shadow fading in homes (P.1238-7, table 3: 8 dB at 1.8 to 2 GHz, from memory; taken for all bands), in dB.
    /// </summary>
    public const double SpreadDb = 8;

    /// <summary>The power loss coefficient N of homes: 28 at 2.4 GHz and at 5.2 GHz in a house (P.1238-7, table 2; from memory).</summary>
    public const double Coefficient = 28;

    /// <summary>
    /// Loss of the floors on the way in a house: 5 dB a floor at 2.4 GHz, 7 dB at 5.2 GHz (P.1238-7, table 4: homes; from memory); at 6
    /// GHz, of which it says nothing, what 5.2 GHz has.
    /// </summary>
    public static double FloorsDb(RadioBand band, int floors) => floors * (band == RadioBand.Ghz2 ? 5 : 7);

    /// <summary>The loss.</summary>
    /// <param name="band">The band.</param>
    /// <param name="mhz">The frequency in MHz.</param>
    /// <param name="metres">The distance.</param>
    /// <param name="floors">How many floors lie between, 0 or more.</param>
    public static PathLoss Of(RadioBand band, double mhz, double metres, int floors) =>
        new(
            (20 * Math.Log10(mhz)) + (Coefficient * Math.Log10(Math.Max(metres, PathLoss.NearestMetres))) + FloorsDb(band, floors) - 28,
            SpreadDb
        );
}
