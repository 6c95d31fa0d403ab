using System.ComponentModel.DataAnnotations;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>Something that the customer asked for.</summary>
public sealed record NeedDocument
{
    /// <summary>Slug, unique in the file.</summary>
    [Required, RegularExpression(BoxDocument.Slug)]
    public required string Id { get; init; }

    /// <summary>What it is.</summary>
    [Required]
    public required NeedKind Kind { get; init; }

    /// <summary>The device that it is about, where it is about one.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Device { get; init; }

    /// <summary>Only for a connection from outside.</summary>
    public Protocol? Protocol { get; init; }

    /// <summary>Only for a connection from outside: the port on the device.</summary>
    [Range(1, Limits.TransportPort)]
    public int? Port { get; init; }

    /// <summary>
    /// Only for a connection from outside: the port that the world asks for; left out where it is the one on the device. Since version 9.
    /// </summary>
    [Range(1, Limits.TransportPort)]
    public int? OutsidePort { get; init; }

    /// <summary>
    /// Only for a connection from outside: whether the device asks its router to open the port itself; no where left out. Since version
    /// 3.
    /// </summary>
    public bool? AsksItself { get; init; }

    /// <summary>Only for calls: the place. Since version 5.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Place { get; init; }

    /// <summary>Only for a name that stays: 1 to 32 bytes. Since version 5.</summary>
    [StringLength(Limits.WifiName, MinimumLength = 1)]
    public string? Name { get; init; }

    /// <summary>Only for a name that stays: how it is protected today. Since version 5.</summary>
    public WifiSecurity? Security { get; init; }

    /// <summary>Only for a name that stays: reference to its key. Since version 5.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Password { get; init; }

    /// <summary>Only for what lives in a gateway. Since version 5.</summary>
    public LineService? Service { get; init; }
}
