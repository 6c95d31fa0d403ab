using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>Turns a set-up into its part of the document that a design file holds.</summary>
internal static class SetUpWriter
{
    /// <summary>The document of one set-up of a site.</summary>
    public static SetUpDocument Document(Site site, SetUp setUp) =>
        new()
        {
            Name = setUp.Name,
            Boxes = [.. setUp.Boxes.OrderBy(b => b.Box, StringComparer.Ordinal).Select(Setting)],
            Cables = [.. setUp.Cables.OrderBy(c => c.Id, StringComparer.Ordinal).Select(c => Cable(site, c))],
            Devices =
            [
                .. setUp
                    .Devices.OrderBy(d => d.Device, StringComparer.Ordinal)
                    .Select(d => new DeviceSettingDocument
                    {
                        Device = d.Device,
                        Address = Address(d.Address),
                        Wifi = d.Wifi is { } wifi
                            ? new()
                            {
                                Box = wifi.Box,
                                Name = wifi.Name,
                                Password = wifi.Password,
                            }
                            : null,
                    }),
            ],
            Accepted =
                setUp.Accepted.Count == 0
                    ? null
                    :
                    [
                        .. setUp
                            .Accepted.OrderBy(a => a.Finding, StringComparer.Ordinal)
                            .Select(a => new AcceptanceDocument
                            {
                                Finding = a.Finding,
                                Severe = a.Severe,
                                Reason = a.Reason,
                                By = a.By,
                            }),
                    ],
        };

    /// <summary>
    /// Neither end of a cable is the first by nature: the one that is nearer to the internet line is written first, as one reads it.
    /// </summary>
    private static CableDocument Cable(Site site, Cable cable)
    {
        PortRef[] ends = [.. new[] { cable.A, cable.B }.OrderBy(e => Rank(site, e)).ThenBy(e => e)];
        return new()
        {
            Id = cable.Id,
            From = ends[0].ToString(),
            To = ends[1].ToString(),
            Medium = cable.Known.Medium,
            LengthMetres = cable.Known.LengthMetres,
            Pairs = cable.Known.Pairs,
            Run = cable.Known.Run,
        };
    }

    private static int Rank(Site site, PortRef end) =>
        end == PortRef.AtStreet ? 0
        : site.Boxes.FirstOrDefault(b => b.Id == end.Owner)?.Profile.Port(end.Port) is not { } port ? 3
        : port.Role == PortRole.Lan ? 1
        : 2;

    private static BoxSettingDocument Setting(BoxSetting setting) =>
        Mode(setting) with
        {
            Place = setting.Place,
            Password = setting.Password,
        };

    private static BoxSettingDocument Mode(BoxSetting setting) =>
        setting.Mode switch
        {
            RouterMode router => new()
            {
                Box = setting.Box,
                Mode = ModeKind.Router,
                Wan = Address(router.Wan),
                Lan = router.Lan.ToString(),
                DhcpServer = new()
                {
                    On = router.Server.On,
                    Pool = router.Server.Pool.ToString(),
                    Gateway = router.Server.Gateway?.ToString(),
                    DnsServers = DesignWriter.Texts(router.Server.DnsServers),
                    LeavesOutGateway = router.Server.LeavesOutGateway ? true : null,
                    LeavesOutDns = router.Server.LeavesOutDns ? true : null,
                    LeaseMinutes = router.Server.LeaseMinutes,
                    Domain = router.Server.Domain,
                    Reservations =
                        router.Server.Reservations.Count == 0
                            ? null
                            :
                            [
                                .. router
                                    .Server.Reservations.OrderBy(r => r.Mac)
                                    .Select(r => new ReservationDocument { Mac = r.Mac.ToString(), Address = r.Address.ToString() }),
                            ],
                },
                Forwards =
                    router.Forwards.Count == 0
                        ? null
                        :
                        [
                            .. router
                                .Forwards.OrderBy(f => (f.Protocol, f.OutsidePort))
                                .Select(f => new PortForwardDocument
                                {
                                    Protocol = f.Protocol,
                                    OutsidePort = f.OutsidePort,
                                    To = f.To.ToString(),
                                    InsidePort = f.InsidePort,
                                }),
                        ],
                Radios = Radios(router),
                Guest = router.Guest is { } guest
                    ? new()
                    {
                        Name = guest.Name,
                        Security = guest.Security,
                        Password = guest.Password,
                        Lan = guest.Lan.ToString(),
                        Pool = guest.Pool.ToString(),
                        Vlan = guest.Vlan,
                    }
                    : null,
                Nat = router.Nat ? null : false,
                Dmz = router.Dmz?.ToString(),
                PortRequests = router.PortRequests ? true : null,
                Uplink = Link(router.Uplink),
                Passing = router.Passing is { } passing
                    ? new()
                    {
                        Kind = passing.Kind,
                        Port = passing.Port,
                        To = passing.To?.ToString(),
                    }
                    : null,
                Line =
                    router.Line == LineSetting.None
                        ? null
                        : new()
                        {
                            Login = router.Line.Login ? true : null,
                            Tag = router.Line.Tag,
                            Mac = router.Line.Mac?.ToString(),
                        },
                Routes =
                    router.Routes.Count == 0
                        ? null
                        :
                        [
                            .. router
                                .Routes.OrderBy(r => r.To)
                                .Select(r => new RouteDocument { To = r.To.ToString(), Via = r.Via.ToString() }),
                        ],
            },
            AccessPointMode point => new()
            {
                Box = setting.Box,
                Mode = ModeKind.AccessPoint,
                Page = Address(point.Page),
                Radios = Radios(point),
                GuestName = point.Guest is { } guest
                    ? new()
                    {
                        Name = guest.Name,
                        Security = guest.Security,
                        Password = guest.Password,
                        Vlan = guest.Vlan,
                    }
                    : null,
            },
            RepeaterMode repeater => new()
            {
                Box = setting.Box,
                Mode = ModeKind.Repeater,
                Page = Address(repeater.Page),
                Uplink = Link(repeater.Link),
                Radios = Radios(repeater),
            },
            WirelessBridgeMode bridge => new()
            {
                Box = setting.Box,
                Mode = ModeKind.WirelessBridge,
                Page = Address(bridge.Page),
                Uplink = Link(bridge.Link),
            },
            SatelliteMode satellite => new()
            {
                Box = setting.Box,
                Mode = ModeKind.Satellite,
                Satellite = new() { Main = satellite.Main, By = satellite.By },
            },
            BridgeMode bridge => new()
            {
                Box = setting.Box,
                Mode = ModeKind.Bridge,
                Page = bridge.Page is { } page ? Address(new Fixed(page, null, [])) : null,
            },
            SwitchMode plain => new()
            {
                Box = setting.Box,
                Mode = ModeKind.Switch,
                Page = plain.Page is { } page ? Address(page) : null,
                Vlans = plain.Vlans.All(v => v.IsUsual)
                    ? null
                    :
                    [
                        .. plain
                            .Vlans.Where(v => !v.IsUsual)
                            .OrderBy(v => v.Port, StringComparer.Ordinal)
                            .Select(v => new PortVlansDocument
                            {
                                Port = v.Port,
                                Untagged = v.Untagged,
                                Tagged = v.Tagged.Count == 0 ? null : [.. v.Tagged.Order()],
                            }),
                    ],
            },
            _ => throw new ArgumentOutOfRangeException(nameof(setting)),
        };

    private static RadioSettingDocument[]? Radios(BoxMode mode) =>
        mode.Radios.Count == 0
            ? null
            :
            [
                .. mode
                    .Radios.OrderBy(r => r.Radio, StringComparer.Ordinal)
                    .Select(r => new RadioSettingDocument
                    {
                        Radio = r.Radio,
                        On = r.On,
                        Name = r.Name,
                        Security = r.Security,
                        Password = r.Password,
                        Channel = r.Channel,
                        WidthMhz = r.WidthMhz,
                        Hidden = r.Hidden ? true : null,
                        ProtectsFrames = r.ProtectsFrames,
                        WdsPeers = r.WdsPeers.Count == 0 ? null : [.. r.WdsPeers.Order(StringComparer.Ordinal)],
                        FurtherNames = r.FurtherNames.Count == 0 ? null : [.. r.FurtherNames.OrderBy(n => n.Name, StringComparer.Ordinal)],
                        Region = r.Region,
                    }),
            ];

    private static UplinkDocument? Link(Uplink? link) =>
        link is null
            ? null
            : new()
            {
                Radio = link.Radio,
                Box = link.Box,
                Name = link.Name,
                Security = link.Security,
                Password = link.Password,
                Frames = link.Frames,
                Channel = link.Channel,
                WidthMhz = link.WidthMhz,
                Locked = link.Locked ? true : null,
            };

    private static HostAddressDocument Address(HostAddress address) =>
        address is Fixed typed
            ? new()
            {
                Kind = HostAddressKind.Fixed,
                Address = typed.Address.ToString(),
                Gateway = typed.Gateway?.ToString(),
                DnsServers = DesignWriter.Texts(typed.DnsServers),
            }
            : new() { Kind = HostAddressKind.Automatic };
}
