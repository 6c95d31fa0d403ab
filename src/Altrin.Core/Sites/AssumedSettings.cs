using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>
/// What a box in use was taken to be set to, from its label or kind, until it was read on its page: with the value that was assumed, so
/// that a set-up still holds the assumption exactly where it holds that value. Null where nothing is assumed.
/// </summary>
/// <param name="LanAddress">Its own address and prefix on the LAN side.</param>
/// <param name="DhcpServer">Whether its DHCP server is on.</param>
/// <param name="Pool">Its DHCP pool.</param>
/// <param name="WifiName">The name that its radios send.</param>
public sealed record AssumedSettings(InterfaceAddress? LanAddress, bool? DhcpServer, AddressRange? Pool, string? WifiName)
{
    /// <summary>Nothing is assumed.</summary>
    public static AssumedSettings Nothing { get; } = new(null, null, null, null);

    /// <summary>All that a mode holds, as it comes when a box is first put into use.</summary>
    public static AssumedSettings All(BoxMode? mode)
    {
        var router = mode as RouterMode;
        return new(router?.Lan, router?.Server.On, router?.Server.Pool, mode?.Radios.Count > 0 ? mode.Radios[0].Name : null);
    }

    /// <summary>What of it a mode still holds: the rest was set otherwise since.</summary>
    public AssumedSettings In(BoxMode? mode)
    {
        var router = mode as RouterMode;
        return new(
            router?.Lan == LanAddress ? LanAddress : null,
            router?.Server.On == DhcpServer ? DhcpServer : null,
            router?.Server.Pool == Pool ? Pool : null,
            mode?.Radios.Any(r => r.Name == WifiName) == true ? WifiName : null
        );
    }
}
