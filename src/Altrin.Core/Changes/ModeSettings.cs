using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Which settings a box has, by mode: what its pages set, what a change of mode takes away and brings.</summary>
public static class ModeSettings
{
    /// <summary>The settings of each radio.</summary>
    public static IReadOnlyList<Setting> Radio { get; } =
    [
        Setting.RadioOn,
        Setting.WifiName,
        Setting.WifiSecurity,
        Setting.WifiPassword,
        Setting.Channel,
        Setting.ChannelWidth,
        Setting.HiddenName,
        Setting.FrameProtection,
        Setting.WdsPeers,
        Setting.FurtherNames,
        Setting.Region,
    ];

    /// <summary>Everything that pages of a box can set in a mode.</summary>
    public static IEnumerable<Setting> OnPages(ModeKind mode) => [Setting.Mode, .. Of(mode), Setting.AdminPassword];

    /// <summary>The settings of a mode, beside the mode itself and the admin password, which every box has.</summary>
    public static IReadOnlyList<Setting> Of(ModeKind mode) =>
        mode switch
        {
            ModeKind.Router =>
            [
                Setting.LanAddress,
                Setting.Wan,
                Setting.DhcpServer,
                Setting.PoolFirst,
                Setting.PoolLast,
                Setting.HandedGateway,
                Setting.HandedDns,
                Setting.HandedDomain,
                Setting.LeaseTime,
                Setting.Reservation,
                Setting.Forward,
                Setting.Dmz,
                Setting.PortRequests,
                Setting.Nat,
                Setting.Route,
                Setting.Line,
                Setting.Passing,
                Setting.Guest,
                Setting.Uplink,
                .. Radio,
            ],
            ModeKind.AccessPoint => [Setting.PageAddress, Setting.Guest, .. Radio],
            ModeKind.Repeater => [Setting.PageAddress, Setting.Uplink, .. Radio],
            ModeKind.WirelessBridge => [Setting.PageAddress, Setting.Uplink],
            ModeKind.Satellite => [Setting.Satellite],
            ModeKind.Bridge => [Setting.PageAddress],
            ModeKind.Switch => [Setting.PageAddress, Setting.Vlans],
            _ => throw new ArgumentOutOfRangeException(nameof(mode)),
        };
}
