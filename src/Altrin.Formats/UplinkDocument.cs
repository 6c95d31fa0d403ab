using System.ComponentModel.DataAnnotations;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>A radio link by which a box joins another. Since version 4.</summary>
public sealed record UplinkDocument
{
    /// <summary>Which of its radios.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Radio { get; init; }

    /// <summary>The box that it is meant to join.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Box { get; init; }

    /// <summary>The name that it looks for: 1 to 32 bytes.</summary>
    [Required, StringLength(Limits.WifiName, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>How it expects that to be protected.</summary>
    [Required]
    public required WifiSecurity Security { get; init; }

    /// <summary>Reference to the key that was typed.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Password { get; init; }

    /// <summary>How frames cross it.</summary>
    [Required]
    public required UplinkFrames Frames { get; init; }

    /// <summary>WDS: the channel that its own radio is fixed to.</summary>
    [Range(1, HeardNetwork.HighestChannel)]
    public int? Channel { get; init; }

    /// <summary>WDS: the width that its own radio is fixed to, in MHz.</summary>
    [Range(20, 320)]
    public int? WidthMhz { get; init; }

    /// <summary>Whether it joins that very radio and no other of the name; no where left out.</summary>
    public bool? Locked { get; init; }
}
