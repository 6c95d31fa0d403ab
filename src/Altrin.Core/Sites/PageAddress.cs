using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>The typed address of a box's own page, in modes that have one apart from their LAN address.</summary>
public static class PageAddress
{
    /// <summary>Address and prefix; null where it is leased, not there, or the LAN address of a router.</summary>
    public static InterfaceAddress? Of(BoxMode mode) =>
        mode switch
        {
            AccessPointMode { Page: Fixed page } => page.Address,
            RepeaterMode { Page: Fixed page } => page.Address,
            WirelessBridgeMode { Page: Fixed page } => page.Address,
            SwitchMode { Page: Fixed page } => page.Address,
            BridgeMode gateway => gateway.Page,
            _ => null,
        };
}
