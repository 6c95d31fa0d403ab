using System.ComponentModel.DataAnnotations;

namespace Altrin.Core.Sites;

/// <summary>A building of the home. The first one listed is the main house.</summary>
/// <param name="Id">Slug, unique among everything that has an id in the site.</param>
/// <param name="Name">What the household calls it.</param>
public sealed record Building(
    [property: Key, Required, RegularExpression(Slugs.Pattern)] string Id,
    [property: Required, StringLength(Limits.Name, MinimumLength = 1)] string Name
)
{
    /// <summary>The storey height that is taken where none was measured, in metres (common practice).</summary>
    public const double UsualStoreyMetres = 2.7;

    /// <summary>From one floor to the next in metres, 1.5 to 10; null where not measured.</summary>
    [Range(1.5, 10)]
    public double? StoreyHeightMetres { get; init; }

    /// <summary>Whether it shares the mains supply and the earthing of the main house.</summary>
    public Known SameSupply { get; init; }
}
