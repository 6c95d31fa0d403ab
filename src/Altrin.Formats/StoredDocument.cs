using System.ComponentModel.DataAnnotations;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>What a box that is not in use holds. Since version 11.</summary>
public sealed record StoredDocument
{
    /// <summary>Whose settings these are.</summary>
    [Required]
    public required StoredState State { get; init; }

    /// <summary>What it is set to.</summary>
    public ModeKind? Mode { get; init; }

    /// <summary>Where its page answers, with its prefix.</summary>
    [StringLength(18)]
    public string? Address { get; init; }

    /// <summary>Whether its DHCP server is on; left out where not known.</summary>
    public bool? DhcpServer { get; init; }

    /// <summary>The name that its radios send.</summary>
    [StringLength(Limits.WifiName, MinimumLength = 1)]
    public string? WifiName { get; init; }

    /// <summary>Reference to its Wi-Fi password.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? WifiPassword { get; init; }
}
