using System.ComponentModel.DataAnnotations;

namespace Altrin.Core.Sites;

/// <summary>A socket in the wall.</summary>
/// <param name="Id">Slug, unique among everything that has an id in the site.</param>
/// <param name="Name">What is written on it, or how the installer calls it.</param>
/// <param name="Kind">What it carries.</param>
public sealed record Socket(
    [property: Key, Required, RegularExpression(Slugs.Pattern)] string Id,
    [property: Required, StringLength(Limits.Name, MinimumLength = 1)] string Name,
    SocketKind Kind
)
{
    /// <summary>Where it is; null where not noted.</summary>
    [RegularExpression(Slugs.Pattern)]
    public string? Place { get; init; }
}
