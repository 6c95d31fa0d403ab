using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>How a gateway passes its public address on.</summary>
/// <param name="Kind">By what it knows the box that gets it.</param>
/// <param name="Port">By port: which of its ports; null otherwise.</param>
/// <param name="To">By MAC address or mapping: whose; null otherwise.</param>
public sealed record Passing(PassKind Kind, string? Port, MacAddress? To);

/// <summary>Ways to pass a public address on.</summary>
public enum PassKind
{
    /// <summary>Pass-through to whatever is in one port.</summary>
    Port,

    /// <summary>Pass-through to one MAC address.</summary>
    Hardware,

    /// <summary>Public-address mapping: the inner box gets the public address too, and the gateway goes on tracking sessions.</summary>
    Mapping,
}

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

/// <summary>What is typed into a router for its line.</summary>
/// <param name="Login">Whether the provider's login is typed in (PPPoE); the login itself is no part of a design.</param>
/// <param name="Tag">The VLAN tag; null for none.</param>
/// <param name="Mac">A MAC address that it shows instead of its own; null for its own.</param>
public sealed record LineSetting(bool Login, int? Tag, MacAddress? Mac)
{
    /// <summary>Nothing typed in.</summary>
    public static LineSetting None { get; } = new(false, null, null);
}

/// <summary>What may live in a provider's gateway beside the internet.</summary>
public enum LineService
{
    /// <summary>The telephone.</summary>
    Telephone,

    /// <summary>The provider's television.</summary>
    Television,

    /// <summary>An alarm that calls out.</summary>
    Alarm,
}
