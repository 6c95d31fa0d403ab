using System.ComponentModel.DataAnnotations;

namespace Altrin.Core.Sites;

/// <summary>The middle of several measurements, and how far they lie apart.</summary>
/// <param name="Median">The middle one; the mean of the two middle ones of an even count.</param>
/// <param name="Least">The least.</param>
/// <param name="Most">The most.</param>
public sealed record MedianSpread([property: Required] double Median, [property: Required] double Least, [property: Required] double Most)
{
    /// <summary>Of at least one value.</summary>
    public static MedianSpread Of(IEnumerable<double> values)
    {
        var sorted = values.Order().ToList();
        return new((sorted[(sorted.Count - 1) / 2] + sorted[sorted.Count / 2]) / 2, sorted[0], sorted[^1]);
    }
}
