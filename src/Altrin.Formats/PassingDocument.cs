using System.ComponentModel.DataAnnotations;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>To whom a gateway passes its public address. Since version 4.</summary>
public sealed record PassingDocument
{
    /// <summary>By what it knows the box.</summary>
    [Required]
    public required PassKind Kind { get; init; }

    /// <summary>By port: which of its ports.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Port { get; init; }

    /// <summary>By MAC address or mapping: whose.</summary>
    [StringLength(17)]
    public string? To { get; init; }
}
