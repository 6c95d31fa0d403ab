namespace Altrin.Core.Sites;

/// <summary>A radio link by which a box joins another one.</summary>
/// <param name="Radio">Which of its radios it uses for it.</param>
/// <param name="Box">The box that it is meant to join.</param>
/// <param name="Name">The name that it looks for.</param>
/// <param name="Security">How it expects that to be protected.</param>
/// <param name="Password">Reference to the key that was typed; null for none or where not recorded.</param>
/// <param name="Frames">How it carries what others behind it send.</param>
public sealed record Uplink(string Radio, string Box, string Name, WifiSecurity Security, string? Password, UplinkFrames Frames)
{
    /// <summary>For WDS: the channel that its own radio is fixed to; null where the box chooses.</summary>
    public int? Channel { get; init; }

    /// <summary>For WDS: the width that its own radio is fixed to, in MHz; null where the box chooses.</summary>
    public int? WidthMhz { get; init; }

    /// <summary>Whether it is told to join that very radio and no other of the same name.</summary>
    public bool Locked { get; init; }
}

/// <summary>How frames of the hosts behind a radio link cross it (IEEE 802.11, from memory).</summary>
public enum UplinkFrames
{
    /// <summary>
    /// As a client: three addresses, so that all behind it go by its own MAC address, and it answers for theirs (proxying).
    /// </summary>
    ThreeAddress,

    /// <summary>With a fourth address: those behind it are seen as themselves. Both ends must know it.</summary>
    FourAddress,

    /// <summary>Four addresses between two radios of one fixed channel, each of which knows the other's address.</summary>
    Wds,
}
