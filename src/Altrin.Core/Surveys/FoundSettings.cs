using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>What is read on the page of a box in use, as far as a survey asks for it.</summary>
/// <param name="LanAddress">Its own address and prefix on the LAN side.</param>
/// <param name="DhcpServer">Whether its DHCP server is on.</param>
/// <param name="PoolFirst">The first address of its DHCP pool.</param>
/// <param name="PoolLast">The last address of its DHCP pool.</param>
/// <param name="WifiName">The name that all its radios send.</param>
/// <param name="WifiPassword">Reference to the Wi-Fi password; null where not recorded.</param>
public sealed record FoundSettings(
    InterfaceAddress? LanAddress,
    bool? DhcpServer,
    Ipv4Address? PoolFirst,
    Ipv4Address? PoolLast,
    string? WifiName,
    string? WifiPassword
)
{
    /// <summary>What a mode holds; null for what it does not have.</summary>
    public static FoundSettings Of(BoxMode? mode)
    {
        var (router, radio) = (mode as RouterMode, mode?.Radios.Count > 0 ? mode.Radios[0] : null);
        return new(router?.Lan, router?.Server.On, router?.Server.Pool.First, router?.Server.Pool.Last, radio?.Name, radio?.Password);
    }
}
