namespace Altrin.Core.Facts;

/// <summary>What arrives, as far as it can be told, in Mb/s.</summary>
/// <param name="Low">The least, one standard deviation down and with the worse of what is not known.</param>
/// <param name="Usual">What is expected; null where that cannot be said.</param>
/// <param name="High">The most, one standard deviation up and with the better of what is not known.</param>
public sealed record RateSpan(double Low, double? Usual, double High)
{
    /// <summary>Nothing arrives.</summary>
    public static RateSpan None { get; } = new(0, 0, 0);

    /// <summary>One that is known.</summary>
    public static RateSpan Exactly(double mbps) => new(mbps, mbps, mbps);

    /// <summary>One that was measured: from the least to the most, the median in between.</summary>
    public static RateSpan Of(Sites.MedianSpread measured) => new(measured.Least, measured.Median, measured.Most);

    /// <summary>What it is compared by with others: what is usual, or the least where that is not known.</summary>
    internal double Told => Usual ?? Low;

    /// <summary>The span of what is limited by both.</summary>
    public RateSpan LimitedBy(RateSpan other) =>
        new(
            Math.Min(Low, other.Low),
            (Usual, other.Usual) switch
            {
                ({ } a, { } b) => Math.Min(a, b),
                // What is not known does not matter where it is at least as fast as the other in any case.
                ({ } a, null) when other.Low >= a => a,
                (null, { } b) when Low >= b => b,
                _ => null,
            },
            Math.Min(High, other.High)
        );

    /// <summary>The same to a tenth of a Mb/s.</summary>
    public RateSpan Rounded() => new(Math.Round(Low, 1), Usual is { } usual ? Math.Round(usual, 1) : null, Math.Round(High, 1));

    /// <summary>A part of it, 0 to 1.</summary>
    public RateSpan Times(double share) => Times(share, share);

    /// <summary>A part of it that is not known: one that is certain for the least, one that is expected for the rest.</summary>
    public RateSpan Times(double atLeast, double share) => new(Low * atLeast, Usual * share, High * share);

    /// <summary>What gets through two that take turns on one radio.</summary>
    public RateSpan TakingTurns(RateSpan other) => new(Turns(Low, other.Low), TurnsOf(Usual, other.Usual), Turns(High, other.High));

    private static double? TurnsOf(double? a, double? b) => a is { } one && b is { } two ? Turns(one, two) : null;

    private static double Turns(double a, double b) => a <= 0 || b <= 0 ? 0 : Altrin.Core.Radio.Airtime.EachMbps([a, b]);
}
