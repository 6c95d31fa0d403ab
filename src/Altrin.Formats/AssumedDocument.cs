using System.ComponentModel.DataAnnotations;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>
/// What a box in use was taken to be set to. Since version 10. A set-up holds the assumption where it holds the same value.
/// </summary>
public sealed record AssumedDocument
{
    /// <summary>Its own address and prefix on the LAN side.</summary>
    [StringLength(18)]
    public string? LanAddress { get; init; }

    /// <summary>Whether its DHCP server is on.</summary>
    public bool? DhcpServer { get; init; }

    /// <summary>Its DHCP pool, such as 192.168.1.100-192.168.1.199.</summary>
    [StringLength(31)]
    public string? Pool { get; init; }

    /// <summary>The name that its radios send.</summary>
    [StringLength(Limits.WifiName, MinimumLength = 1)]
    public string? WifiName { get; init; }
}
