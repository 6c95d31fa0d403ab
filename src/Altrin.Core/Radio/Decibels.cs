namespace Altrin.Core.Radio;

/// <summary>Arithmetic of levels.</summary>
public static class Decibels
{
    /// <summary>A ratio of powers in dB.</summary>
    public static double Of(double ratio) => 10 * Math.Log10(ratio);

    /// <summary>
    /// The chance that a value is at least a limit, where it is spread around what was computed as a normal distribution is (common
    /// practice for shadow fading).
    /// </summary>
    /// <param name="computed">What was computed.</param>
    /// <param name="spread">One standard deviation, above 0.</param>
    /// <param name="limit">The limit.</param>
    /// <returns>0 to 1.</returns>
    public static double ChanceOf(double computed, double spread, double limit) => Normal((computed - limit) / spread);

    /// <summary>The normal distribution function, off by less than 7.5e-8 (Abramowitz and Stegun, 26.2.17; from memory).</summary>
    private static double Normal(double z)
    {
        var t = 1 / (1 + (0.2316419 * Math.Abs(z)));
        var tail =
            Math.Exp(-z * z / 2)
            / Math.Sqrt(2 * Math.PI)
            * t
            * (0.319381530 + (t * (-0.356563782 + (t * (1.781477937 + (t * (-1.821255978 + (t * 1.330274429))))))));
        return z >= 0 ? 1 - tail : tail;
    }
}
