using System.ComponentModel.DataAnnotations;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>What is typed into a router for its line. Since version 4.</summary>
public sealed record LineSettingDocument
{
    /// <summary>Whether the provider's login is typed in; no where left out.</summary>
    public bool? Login { get; init; }

    /// <summary>The VLAN tag; none where left out.</summary>
    [Range(1, Limits.VlanTag)]
    public int? Tag { get; init; }

    /// <summary>A MAC address that it shows instead of its own.</summary>
    [StringLength(17)]
    public string? Mac { get; init; }
}
