using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>What is typed into a router for its line.</summary>
/// <param name="Login">Whether the provider's login is typed in (PPPoE); the login itself is no part of a design.</param>
/// <param name="Tag">The VLAN tag; null for none.</param>
/// <param name="Mac">A MAC address that it shows instead of its own; null for its own.</param>
public sealed record LineSetting(bool Login, int? Tag, MacAddress? Mac)
{
    /// <summary>Nothing typed in.</summary>
    public static LineSetting None { get; } = new(false, null, null);
}
