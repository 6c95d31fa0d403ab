using System.ComponentModel.DataAnnotations;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>How one radio is set.</summary>
public sealed record RadioSettingDocument
{
    /// <summary>Which radio of the box.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Radio { get; init; }

    /// <summary>Whether it sends.</summary>
    [Required]
    public required bool On { get; init; }

    /// <summary>The network's name (SSID): 1 to 32 bytes.</summary>
    [Required, StringLength(Limits.WifiName, MinimumLength = 1)]
    public required string Name { get; init; }

    /// <summary>How it is protected.</summary>
    [Required]
    public required WifiSecurity Security { get; init; }

    /// <summary>Reference to the key; never the key itself.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Password { get; init; }

    /// <summary>The channel that it is fixed to; the box chooses where left out. Since version 4.</summary>
    [Range(1, HeardNetwork.HighestChannel)]
    public int? Channel { get; init; }

    /// <summary>The width of its channel in MHz; the box chooses where left out. Since version 4.</summary>
    [Range(20, 320)]
    public int? WidthMhz { get; init; }

    /// <summary>Whether it leaves its name out of what it announces; no where left out. Since version 4.</summary>
    public bool? Hidden { get; init; }

    /// <summary>Protected management frames; what the security brings along where left out. Since version 4.</summary>
    public FrameProtection? ProtectsFrames { get; init; }

    /// <summary>Boxes whose radio address is typed in for WDS; none where left out. Since version 4.</summary>
    [MaxLength(8)]
    public IReadOnlyList<string>? WdsPeers { get; init; }

    /// <summary>Names that it sends beside its first, into the same network; none where left out. Since version 14.</summary>
    [MaxLength(FurtherName.Most)]
    public IReadOnlyList<FurtherName>? FurtherNames { get; init; }

    /// <summary>The country that its page names as region; not read where left out. Since version 14.</summary>
    [RegularExpression("^[A-Z]{2}$")]
    public string? Region { get; init; }
}
