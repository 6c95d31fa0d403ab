namespace Altrin.Core.Radio;

/// <summary>What is lost on the way of a radio wave.</summary>
/// <param name="Db">How much, in dB.</param>
/// <param name="SpreadDb">One standard deviation around it, in dB.</param>
public readonly record struct PathLoss(double Db, double SpreadDb)
{
    /// <summary>A wave is not followed nearer than this, in metres: antennas do not know a far field there (common practice).</summary>
    public const double NearestMetres = 1;

    /// <summary>
    /// In free space: 20 log f + 20 log d − 27.55 for MHz and metres (ITU-R P.525, 32.4 for MHz and km; from memory).
    /// </summary>
    /// <param name="mhz">The frequency, above 0.</param>
    /// <param name="metres">The distance; what is below <see cref="NearestMetres"/> counts as that.</param>
    public static double FreeSpaceDb(double mhz, double metres) =>
        (20 * Math.Log10(mhz)) + (20 * Math.Log10(Math.Max(metres, NearestMetres))) + FreeSpaceConstant;

    /// <summary>20 log (4π / c) for MHz and metres: −27.55.</summary>
    private static readonly double FreeSpaceConstant = 20 * Math.Log10(4 * Math.PI * 1e6 / 299_792_458);
}
