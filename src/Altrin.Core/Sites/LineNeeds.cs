using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>What a line asks for before it lets a box on, and what lives in the gateway. Not asked is unknown.</summary>
public sealed record LineNeeds
{
    /// <summary>Nothing asked yet.</summary>
    public static LineNeeds NotAsked { get; } = new();

    /// <summary>Whether it asks for a login (PPPoE, RFC 2516: MTU 1492).</summary>
    public Known Login { get; init; }

    /// <summary>The VLAN tag that it asks for, 1 to 4094; null where none, or where not known.</summary>
    public int? Tag { get; init; }

    /// <summary>Whether it asks for a VLAN tag (IEEE 802.1Q).</summary>
    public Known Tagged { get; init; }

    /// <summary>Whether it lets only one MAC address on.</summary>
    public Known Locked { get; init; }

    /// <summary>That MAC address; null where not known.</summary>
    public MacAddress? LockedTo { get; init; }

    /// <summary>The name to log in with, as the provider's letter gives it; null where none or not known.</summary>
    public string? Account { get; init; }

    /// <summary>Reference to the password of the login.</summary>
    public string? Password { get; init; }
}
