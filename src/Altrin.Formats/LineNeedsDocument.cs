using System.ComponentModel.DataAnnotations;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>What a line asks for. A member left out was not asked. Since version 4.</summary>
public sealed record LineNeedsDocument
{
    /// <summary>Whether it asks for a login (PPPoE).</summary>
    public bool? Login { get; init; }

    /// <summary>Whether it asks for a VLAN tag.</summary>
    public bool? Tagged { get; init; }

    /// <summary>Which tag, where known.</summary>
    [Range(1, Limits.VlanTag)]
    public int? Tag { get; init; }

    /// <summary>Whether it lets only one MAC address on.</summary>
    public bool? Locked { get; init; }

    /// <summary>Which one, where known.</summary>
    [StringLength(17)]
    public string? LockedTo { get; init; }

    /// <summary>The name to log in with. Since version 5.</summary>
    [StringLength(Limits.Name, MinimumLength = 1)]
    public string? Account { get; init; }

    /// <summary>Reference to the password of the login. Since version 5.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Password { get; init; }
}
