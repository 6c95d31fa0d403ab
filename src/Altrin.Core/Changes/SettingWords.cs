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

    /// <summary>Such as "Wi-Fi name", of any box and any radio.</summary>
    public static string Of(Setting setting) =>
        setting switch
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
            Setting.Reservation => "reservation",
            Setting.Forward => "port forwarding",
            Setting.Dmz => "DMZ host",
            Setting.PortRequests => "ports on request (UPnP)",
            Setting.Nat => "NAT",
            Setting.Route => "route",
            Setting.Line => "line",
            Setting.Passing => "public address passed on",
            Setting.RadioOn => "radio",
            Setting.WifiName => "Wi-Fi name",
            Setting.WifiSecurity => "Wi-Fi security",
            Setting.WifiPassword => "Wi-Fi password",
            Setting.Channel => "channel",
            Setting.ChannelWidth => "channel width",
            Setting.HiddenName => "hidden name",
            Setting.FrameProtection => "management frame protection",
            Setting.WdsPeers => "WDS peers",
            Setting.FurtherNames => "further Wi-Fi names",
            Setting.Region => "region",
            Setting.Guest => "guest network",
            Setting.Uplink => "radio link",
            Setting.Satellite => "mesh",
            Setting.Vlans => "VLANs",
            Setting.AdminPassword => "admin password",
            Setting.StandsIn => "place",
            Setting.DeviceAddress => "address",
            Setting.DeviceWifi => "Wi-Fi",
            Setting.Plugged => "cable",
            Setting.Acceptance => "accepted:",
            Setting.SetUp => "set-up",
            Setting.HomeName => "name of the home",
            Setting.Naming => "how Wi-Fi is named",
            Setting.Country => "country",
            Setting.Service => "internet service",
            Setting.Label => "label",
            Setting.Profile => "kind",
            _ => "entry",
        };

    private static string What(Touch touch) =>
        touch.Setting switch
        {
            Setting.Reservation => $"{Of(touch.Setting)} for {touch.Part}",
            Setting.Forward or Setting.RadioOn => $"{Of(touch.Setting)} {touch.Part}",
            Setting.Route => $"{Of(touch.Setting)} to {touch.Part}",
            Setting.Vlans => $"{Of(touch.Setting)} at port {touch.Part}",
            Setting.WifiName
            or Setting.WifiSecurity
            or Setting.WifiPassword
            or Setting.Channel
            or Setting.ChannelWidth
            or Setting.HiddenName
            or Setting.FrameProtection
            or Setting.WdsPeers
            or Setting.FurtherNames
            or Setting.Region => $"{Of(touch.Setting)}, radio {touch.Part}",
            Setting.Line or Setting.Satellite or Setting.Service or Setting.Label => $"{Of(touch.Setting)}: {Part(touch)}",
            Setting.Guest or Setting.Uplink => touch.Part.Length == 0 ? Of(touch.Setting) : $"{Of(touch.Setting)}: {Part(touch)}",
            Setting.Cable => $"{Part(touch)} of the cable",
            Setting.Box
            or Setting.Device
            or Setting.Building
            or Setting.Place
            or Setting.Socket
            or Setting.Run
            or Setting.Need
            or Setting.Speed => touch.Part.Length == 0 ? Of(touch.Setting) : Part(touch),
            _ => Of(touch.Setting),
        };

    /// <summary>A member's name as words: "LengthMetres" is "length metres".</summary>
    private static string Part(Touch touch) =>
        touch.Part.Length == 0 ? "all" : Humps().Replace(touch.Part, " $1").TrimStart().ToLowerInvariant();

    [GeneratedRegex("([A-Z])", RegexOptions.NonBacktracking)]
    private static partial Regex Humps();
}
