namespace Altrin.Core.Facts;

/// <summary>Levels and rates in words.</summary>
public static class LevelWords
{
    /// <summary>Such as "about -68 dBm, give or take 7, by walls and distance".</summary>
    public static string Of(SignalLevel level) => $"about {Dbm(level.Dbm)}, give or take {level.SpreadDb:0}, {Of(level.Basis)}";

    /// <summary>Such as "-68 dBm".</summary>
    public static string Dbm(double dbm) => $"{Math.Round(dbm):0} dBm";

    /// <summary>What a level rests on.</summary>
    public static string Of(LevelBasis basis) =>
        basis switch
        {
            LevelBasis.Distance => "by what is usual in a home",
            LevelBasis.Rooms => "by distance",
            LevelBasis.Walls => "by walls and distance",
            LevelBasis.Measured => "as measured",
            _ => throw new ArgumentOutOfRangeException(nameof(basis)),
        };

    /// <summary>Such as "calls".</summary>
    public static string Of(LevelUse use) =>
        use switch
        {
            LevelUse.Calls => "calls",
            LevelUse.Web => "web",
            LevelUse.Weak => "weak",
            _ => throw new ArgumentOutOfRangeException(nameof(use)),
        };

    /// <summary>Such as "about 210 Mb/s (90 to 400)", "94 Mb/s" and "20 to 500 Mb/s".</summary>
    public static string Of(RateSpan span) =>
        span.Usual is not { } usual ? (span.High >= Sites.Limits.RateMbps ? "not known" : $"{Mbps(span.Low)} to {Mbps(span.High)} Mb/s")
        : Mbps(span.Low) == Mbps(span.High) ? $"{Mbps(usual)} Mb/s"
        : $"about {Mbps(usual)} Mb/s ({Mbps(span.Low)} to {Mbps(span.High)})";

    /// <summary>A rate as it is read: with one digit after the point below 10, in whole Mb/s below 100, to two places above.</summary>
    private static string Mbps(double mbps)
    {
        if (mbps < 10)
        {
            return mbps.ToString("0.#", System.Globalization.CultureInfo.InvariantCulture);
        }
        var step =
            mbps < 100 ? 1
            : mbps < 1000 ? 5
            : 50;
        return (Math.Round(mbps / step) * step).ToString("0", System.Globalization.CultureInfo.InvariantCulture);
    }
}
