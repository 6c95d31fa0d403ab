using System.ComponentModel.DataAnnotations;

namespace Altrin.Formats;

/// <summary>Whose satellite a box is. Since version 4.</summary>
public sealed record SatelliteDocument
{
    /// <summary>The main node of its kit.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Main { get; init; }

    /// <summary>The node that it joins for want of a cable; by cable only where left out.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? By { get; init; }
}
