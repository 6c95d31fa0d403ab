using System.ComponentModel.DataAnnotations;

namespace Altrin.Core.Sites;

/// <summary>A cable that is in the house already, from socket to socket.</summary>
/// <param name="Id">Slug, unique among everything that has an id in the site.</param>
/// <param name="A">One socket.</param>
/// <param name="B">The other.</param>
/// <param name="Medium">What it is.</param>
public sealed record CableRun(
    [property: Key, Required, RegularExpression(Slugs.Pattern)] string Id,
    [property: Required, RegularExpression(Slugs.Pattern)] string A,
    [property: Required, RegularExpression(Slugs.Pattern)] string B,
    Medium Medium
)
{
    /// <summary>How many of its pairs are connected, 2 or 4; null where not looked at.</summary>
    [Range(2, 4)]
    public int? Pairs { get; init; }

    /// <summary>Its length in metres; null where not measured.</summary>
    [Range(CableFacts.ShortestMetres, CableFacts.LongestMetres)]
    public double? LengthMetres { get; init; }
}
