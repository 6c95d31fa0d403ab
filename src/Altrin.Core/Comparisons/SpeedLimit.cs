using Altrin.Core.Facts;
using Altrin.Core.Sites;

namespace Altrin.Core.Comparisons;

/// <summary>What carries the least between the two ends of a run.</summary>
/// <param name="Which">What it is, in words.</param>
/// <param name="Arrives">What arrives over it.</param>
public sealed record SpeedLimit(string Which, RateSpan Arrives)
{
    /// <summary>That of a way; null where nothing on it says a rate.</summary>
    public static SpeedLimit? Of(RateFact way) =>
        way.Parts.FirstOrDefault(p => p.Id == way.LimitDown) is { } limit && way.Down.High < Limits.RateMbps
            ? new(limit.Says, way.Down)
            : null;
}
