using System.ComponentModel.DataAnnotations;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>What stands on the label of a box. Since version 5. Keys and passwords are references, never the words themselves.</summary>
public sealed record LabelDocument
{
    /// <summary>Where its page answers after a reset, such as 192.168.1.1/24.</summary>
    [StringLength(18)]
    public string? Address { get; init; }

    /// <summary>The name to log in with.</summary>
    [StringLength(Limits.Name, MinimumLength = 1)]
    public string? Login { get; init; }

    /// <summary>Reference to the password to log in with.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? Password { get; init; }

    /// <summary>Its factory Wi-Fi name: 1 to 32 bytes.</summary>
    [StringLength(Limits.WifiName, MinimumLength = 1)]
    public string? WifiName { get; init; }

    /// <summary>Reference to its factory Wi-Fi key.</summary>
    [RegularExpression(BoxDocument.Slug)]
    public string? WifiPassword { get; init; }

    /// <summary>The MAC address of its radio.</summary>
    [StringLength(17)]
    public string? RadioMac { get; init; }

    /// <summary>The version of its software.</summary>
    [StringLength(40, MinimumLength = 1)]
    public string? Firmware { get; init; }

    /// <summary>Whether its maker still mends that software; not known where left out.</summary>
    public bool? Supported { get; init; }

    /// <summary>Until when it is supported.</summary>
    public DateOnly? SupportedUntil { get; init; }
}

/// <summary>Kinds of needs.</summary>
public enum NeedKind
{
    /// <summary>A connection from outside must arrive; needs device, protocol and port.</summary>
    ReachFromOutside,

    /// <summary>Every other device must find it; needs device.</summary>
    FoundByOthers,

    /// <summary>Every other device must open connections to it; needs device. Since version 5.</summary>
    LocalServer,

    /// <summary>Games and calls on it must not stutter; needs device. Since version 5.</summary>
    LittleDelay,

    /// <summary>It must have internet all through the work; needs device. Since version 5.</summary>
    StaysOnline,

    /// <summary>Calls over Wi-Fi must hold in a place; needs place. Since version 5.</summary>
    CallsInPlace,

    /// <summary>A name for guests is sent, and guests get at nothing of the home. Since version 5.</summary>
    GuestsKeptApart,

    /// <summary>A Wi-Fi name and its key stay; needs name and security. Since version 5.</summary>
    KeepsNameAndPassword,

    /// <summary>Telephone, television or alarm goes on; needs service. Since version 5.</summary>
    ServiceLives,
}

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
