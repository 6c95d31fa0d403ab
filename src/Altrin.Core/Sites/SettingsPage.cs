using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;

namespace Altrin.Core.Sites;

/// <summary>One page of a box: what stands together on it is saved together.</summary>
/// <param name="Area">Where it is, in general words, such as "LAN": menus differ on every box.</param>
/// <param name="Sets">What it sets; each once, and in each mode on one page only.</param>
public sealed record SettingsPage(
    [property: StringLength(60, MinimumLength = 1)] string Area,
    [property: MinLength(1), MaxLength(40)] IReadOnlyList<Setting> Sets
)
{
    /// <summary>The modes in which the page is there; left out: every mode that has one of its settings.</summary>
    [MinLength(1), MaxLength(8)]
    public IReadOnlyList<ModeKind>? Modes { get; init; }

    /// <summary>Whether the box restarts when it is saved.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public Known Restarts { get; init; }

    /// <summary>Whether the box's Wi-Fi goes away for a while when it is saved.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public Known DropsWifi { get; init; }

    /// <summary>From saving until it is in force, in seconds; left out for what the box takes for any save.</summary>
    [Range(0, 3600)]
    public int? SaveSeconds { get; init; }
}

/// <summary>Sides of a box from which its page can be opened.</summary>
public enum PageSide
{
    /// <summary>A cable in one of its LAN ports; of a box that does not route, any of its ports.</summary>
    Cable,

    /// <summary>Its own Wi-Fi.</summary>
    Wifi,

    /// <summary>Its guest network.</summary>
    Guest,

    /// <summary>Its WAN side.</summary>
    Wan,
}
