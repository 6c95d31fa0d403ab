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
