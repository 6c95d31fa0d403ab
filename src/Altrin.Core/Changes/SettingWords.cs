using System.Text.RegularExpressions;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Settings in words, as the pages of boxes call them.</summary>
public static partial class SettingWords
{
    /// <summary>Such as "first address of the DHCP pool of Hall gateway".</summary>
    public static string Of(Design design, Touch touch)
    {
        var what = What(touch);
        var of = touch.Setting switch
        {
            Setting.Plugged or Setting.Cable => design.SetUp.Cables.FirstOrDefault(c => c.Id == touch.Of) is { } cable
                ? $"from {PortWords.Of(design, cable.A)} to {PortWords.Of(design, cable.B)}"
                : touch.Of,
            Setting.Acceptance => AcceptanceWords.Of(design, touch.Of),
            Setting.SetUp => $"\"{touch.Of}\"",
            Setting.HomeName or Setting.Naming or Setting.Country or Setting.Service => "",
            _ => $"of {design.NameOf(touch.Of)}",
        };
        return of.Length == 0 ? what : $"{what} {of}";
    }

    private static string What(Touch touch) =>
        touch.Setting switch
        {
            Setting.InUse => "use",
            Setting.Mode => "mode",
            Setting.LanAddress => "LAN address",
            Setting.PageAddress => "address of the page",
            Setting.Wan => "WAN address",
            Setting.DhcpServer => "DHCP server on or off",
            Setting.PoolFirst => "first address of the DHCP pool",
            Setting.PoolLast => "last address of the DHCP pool",
            Setting.HandedGateway => "default gateway handed out",
            Setting.HandedDns => "DNS servers handed out",
            Setting.HandedDomain => "domain handed out",
            Setting.LeaseTime => "lease time",
            Setting.Reservation => $"reservation for {touch.Part}",
            Setting.Forward => $"port forwarding {touch.Part}",
            Setting.Dmz => "DMZ host",
            Setting.PortRequests => "ports on request (UPnP)",
            Setting.Nat => "NAT",
            Setting.Route => $"route to {touch.Part}",
            Setting.Line => $"line: {Part(touch)}",
            Setting.Passing => "public address passed on",
            Setting.RadioOn => $"radio {touch.Part}",
            Setting.WifiName => $"Wi-Fi name, radio {touch.Part}",
            Setting.WifiSecurity => $"Wi-Fi security, radio {touch.Part}",
            Setting.WifiPassword => $"Wi-Fi password, radio {touch.Part}",
            Setting.Channel => $"channel, radio {touch.Part}",
            Setting.ChannelWidth => $"channel width, radio {touch.Part}",
            Setting.HiddenName => $"hidden name, radio {touch.Part}",
            Setting.FrameProtection => $"management frame protection, radio {touch.Part}",
            Setting.WdsPeers => $"WDS peers, radio {touch.Part}",
            Setting.Guest => touch.Part.Length == 0 ? "guest network" : $"guest network: {Part(touch)}",
            Setting.Uplink => touch.Part.Length == 0 ? "radio link" : $"radio link: {Part(touch)}",
            Setting.Satellite => $"mesh: {Part(touch)}",
            Setting.Vlans => $"VLANs at port {touch.Part}",
            Setting.AdminPassword => "admin password",
            Setting.StandsIn => "place",
            Setting.DeviceAddress => "address",
            Setting.DeviceWifi => "Wi-Fi",
            Setting.Plugged => "cable",
            Setting.Cable => $"{Part(touch)} of the cable",
            Setting.Acceptance => "accepted:",
            Setting.SetUp => "set-up",
            Setting.HomeName => "name of the home",
            Setting.Naming => "how Wi-Fi is named",
            Setting.Country => "country",
            Setting.Service => $"internet service: {Part(touch)}",
            Setting.Label => $"label: {Part(touch)}",
            Setting.Profile => "kind",
            _ => touch.Part.Length == 0 ? "entry" : Part(touch),
        };

    /// <summary>A member's name as words: "LengthMetres" is "length metres".</summary>
    private static string Part(Touch touch) =>
        touch.Part.Length == 0 ? "all" : Humps().Replace(touch.Part, " $1").TrimStart().ToLowerInvariant();

    [GeneratedRegex("([A-Z])", RegexOptions.NonBacktracking)]
    private static partial Regex Humps();
}
