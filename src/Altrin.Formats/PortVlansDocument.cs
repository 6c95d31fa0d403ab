using System.ComponentModel.DataAnnotations;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>What one port of a managed switch does with VLANs. Since version 4.</summary>
public sealed record PortVlansDocument
{
    /// <summary>Which port.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Port { get; init; }

    /// <summary>The VLAN of frames without a tag; 1 is the home's own.</summary>
    [Required, Range(1, Limits.VlanTag)]
    public required int Untagged { get; init; }

    /// <summary>VLANs that come and go with their tag; none where left out.</summary>
    [MaxLength(64)]
    public IReadOnlyList<int>? Tagged { get; init; }
}
