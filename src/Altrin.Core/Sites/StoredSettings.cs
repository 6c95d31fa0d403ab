using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>With which settings a box was left that is not in use.</summary>
public enum StoredState
{
    /// <summary>Not found out: those of the factory or of its last home.</summary>
    Unknown,

    /// <summary>Those of the factory: it is new, or was reset.</summary>
    Factory,

    /// <summary>Those of its last home.</summary>
    LastHome,
}

/// <summary>What a box that is not in use holds, and wakes with as soon as it has power.</summary>
/// <param name="State">Whose settings these are; the others are known of its last home only.</param>
public sealed record StoredSettings(StoredState State)
{
    /// <summary>Nothing was found out.</summary>
    public static StoredSettings NotKnown { get; } = new(StoredState.Unknown);

    /// <summary>What it is set to; null where not known.</summary>
    public ModeKind? Mode { get; init; }

    /// <summary>Where its page answers; null where not known.</summary>
    public InterfaceAddress? Address { get; init; }

    /// <summary>Whether its DHCP server is on.</summary>
    public Known DhcpServer { get; init; }

    /// <summary>The name that its radios send; null where not known.</summary>
    public string? WifiName { get; init; }

    /// <summary>Reference to its Wi-Fi password; null where not recorded.</summary>
    public string? WifiPassword { get; init; }
}
