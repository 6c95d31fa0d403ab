using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>
/// What stands on the label of one box, beside its MAC addresses. Keys and passwords are references; the words themselves are no part of
/// a design.
/// </summary>
public sealed record LabelFacts
{
    /// <summary>An empty label.</summary>
    public static LabelFacts Empty { get; } = new();

    /// <summary>Where its page answers after a reset.</summary>
    public InterfaceAddress? Address { get; init; }

    /// <summary>The name to log in with, as printed; null where there is none.</summary>
    public string? Login { get; init; }

    /// <summary>Reference to the password to log in with.</summary>
    public string? Password { get; init; }

    /// <summary>Its factory Wi-Fi name.</summary>
    public string? WifiName { get; init; }

    /// <summary>Reference to its factory Wi-Fi key.</summary>
    public string? WifiPassword { get; init; }

    /// <summary>The MAC address of its radio, where printed.</summary>
    public MacAddress? RadioMac { get; init; }

    /// <summary>The version of its firmware, as its page or label says.</summary>
    public string? Firmware { get; init; }

    /// <summary>Whether that firmware still gets updates.</summary>
    public Known Supported { get; init; }

    /// <summary>Until when it is supported, where that was announced.</summary>
    public DateOnly? SupportedUntil { get; init; }

    /// <summary>Whether its firmware gets updates on a day; by what was noted alone where no day is asked for.</summary>
    public Known IsSupported(DateOnly? today) => today is { } day && SupportedUntil < day ? Known.No : Supported;
}
