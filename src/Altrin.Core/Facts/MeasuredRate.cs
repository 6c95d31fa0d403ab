using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>What a measured way rests on.</summary>
/// <param name="Speed">The id of the speed that was kept.</param>
/// <param name="ComputedDown">What is computed to arrive.</param>
/// <param name="ComputedUp">What is computed to be sent; the same as is told where that was not measured.</param>
/// <param name="Stands">How what arrived stands to what is computed.</param>
public sealed record MeasuredRate(string Speed, RateSpan ComputedDown, RateSpan ComputedUp, RateStanding Stands)
{
    /// <summary>From this part of what something carries on it is that which stops a run (common practice).</summary>
    public const double Capped = 0.9;

    /// <summary>A measured median may lie so far beyond what is computed and is still taken to be as computed (common practice).</summary>
    private const double Slack = 0.1;

    /// <summary>Below this part of the least that is computed it is far below (common practice).</summary>
    private const double FarBelowPart = 0.6;

    /// <summary>How a median in Mb/s stands to a span.</summary>
    public static RateStanding Of(double median, RateSpan computed) =>
        median > computed.High * (1 + Slack) ? RateStanding.Above
        : median >= computed.Low * (1 - Slack) ? RateStanding.Within
        : median >= computed.Low * FarBelowPart ? RateStanding.Below
        : RateStanding.FarBelow;
}

/// <summary>How a measured rate stands to the computed one.</summary>
public enum RateStanding
{
    /// <summary>Within its span, or near it.</summary>
    Within,

    /// <summary>More than can be: what is noted is not so, or the run took another way.</summary>
    Above,

    /// <summary>Less than the least that is expected.</summary>
    Below,

    /// <summary>Far less: something on the way is not as noted, or is broken.</summary>
    FarBelow,
}

/// <summary>A speed that was kept, held to the home as it is.</summary>
/// <param name="Kept">The speed.</param>
/// <param name="Computed">What is computed for the same way; null where that way is not there now.</param>
/// <param name="WhyNot">Why it says nothing of the home as it is; null where it does.</param>
/// <param name="Stands">How it stands to what is computed; null where it says nothing.</param>
public sealed record HeldSpeed(SpeedMeasure Kept, RateFact? Computed, string? WhyNot, RateStanding? Stands)
{
    /// <summary>The links that it would go over as the home is; empty where its way is not there.</summary>
    internal IReadOnlyList<WayLink> Over { get; init; } = [];
}
