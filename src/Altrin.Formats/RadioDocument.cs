using System.ComponentModel.DataAnnotations;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>A radio of a box.</summary>
public sealed record RadioDocument
{
    /// <summary>Slug, unique on the box.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Id { get; init; }

    /// <summary>Where it sends.</summary>
    [Required]
    public required RadioBand Band { get; init; }

    /// <summary>The channels that it can be set to where it stands; not read where left out. Since version 4.</summary>
    [MaxLength(64)]
    public IReadOnlyList<int>? Channels { get; init; }

    /// <summary>The newest protection that it knows as a client; not read where left out. Since version 4.</summary>
    public WifiSecurity? NewestSecurity { get; init; }

    /// <summary>Whether it takes frames with four addresses; not known where left out. Since version 4.</summary>
    public bool? FourAddress { get; init; }

    /// <summary>Its generation; not read where left out. Since version 5.</summary>
    public WifiGeneration? Generation { get; init; }

    /// <summary>How many spatial streams it has. Since version 5.</summary>
    [Range(1, 16)]
    public int? Streams { get; init; }

    /// <summary>The widest channel that it can use, in MHz. Since version 5.</summary>
    [Range(20, 320)]
    public int? WidestMhz { get; init; }

    /// <summary>How many names it can send. Since version 14.</summary>
    [Range(1, BoxRadio.HighestNames)]
    public int? MostNames { get; init; }
}
