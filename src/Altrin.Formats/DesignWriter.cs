using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>Turns a home into the document that a design file holds.</summary>
public static class DesignWriter
{
    /// <summary>The document of the newest version.</summary>
    public static DesignDocument Document(HomeFile home) => new()
    {
        Format = DesignDocument.FormatName,
        FormatVersion = DesignDocument.NewestVersion,
        Site = Site(home.Site),
        SetUps = [.. home.SetUps.Select(SetUp)],
    };

    private static SiteDocument Site(Site site) => new()
    {
        Name = site.Name,
        Naming = site.Naming,
        Service = Service(site.Service),
        Boxes = [.. site.Boxes.Select(Box)],
        Devices = [.. site.Devices.Select(d => new DeviceDocument { Id = d.Id, Name = d.Name, Kind = d.Kind, Hardware = d.Hardware?.ToString(), ChecksLease = Habit(d.ChecksLease), Bands = d.Bands.Count == 0 ? null : d.Bands, NewestSecurity = d.NewestSecurity })],
        Needs = [.. site.Needs.Select(Need)],
    };

    private static ServiceDocument Service(Service service) => new()
    {
        Kind = service switch
        {
            PublicDynamic => ServiceKind.PublicDynamic,
            PublicFixed => ServiceKind.PublicFixed,
            CarrierTranslation => ServiceKind.CarrierTranslation,
            _ => ServiceKind.Unknown,
        },
        DownMbps = service.DownMbps,
        UpMbps = service.UpMbps,
        Address = (service as PublicFixed)?.Address.ToString(),
        Gateway = (service as PublicFixed)?.Gateway.ToString(),
        NameServers = service is PublicFixed given ? Texts(given.NameServers) : null,
        Leases = service.Leases == 1 ? null : service.Leases,
        Inside = (service as CarrierTranslation)?.Inside?.ToString(),
        Line = service.Line == LineNeeds.NotAsked ? null : new()
        {
            Login = Habit(service.Line.Login),
            Tagged = Habit(service.Line.Tagged),
            Tag = service.Line.Tag,
            Locked = Habit(service.Line.Locked),
            LockedTo = service.Line.LockedTo?.ToString(),
        },
    };

    private static BoxDocument Box(Box box) => new()
    {
        Id = box.Id,
        Name = box.Name,
        Hardware = box.Hardware?.ToString(),
        WanHardware = box.WanHardware?.ToString(),
        Holds = box.Holds.Count == 0 ? null : box.Holds,
        Profile = new()
        {
            ShelfId = box.Profile.ShelfId,
            Name = box.Profile.Name,
            Kind = box.Profile.Kind,
            Modes = box.Profile.Modes,
            Ports = [.. box.Profile.Ports.Select(p => new PortDocument { Id = p.Id, Label = p.Label, Role = p.Role, SpeedMbps = p.SpeedMbps })],
            Radios = [.. box.Profile.Radios.Select(r => new RadioDocument { Id = r.Id, Band = r.Band, Channels = r.Channels.Count == 0 ? null : r.Channels, NewestSecurity = r.NewestSecurity, FourAddress = Habit(r.FourAddress) })],
            FactoryAddress = box.Profile.FactoryAddress?.ToString(),
            FactoryPool = box.Profile.FactoryPool?.ToString(),
            WanPortJoins = box.Profile.WanPortJoins,
            Habits = box.Profile.Habits == BoxHabits.NotKnown ? null : Habits(box.Profile.Habits),
            Passes = box.Profile.Passes.Count == 0 ? null : box.Profile.Passes,
            Kit = box.Profile.Kit,
            KeptPorts = box.Profile.KeptPorts.Count == 0 ? null : box.Profile.KeptPorts,
        },
    };

    private static HabitsDocument Habits(BoxHabits habits) => new()
    {
        ChecksOffer = Habit(habits.ChecksOffer),
        ChecksLease = Habit(habits.ChecksLease),
        OnOverlap = habits.OnOverlap == OverlapHabit.Unknown ? null : habits.OnOverlap,
        AnswersAcross = Habit(habits.AnswersAcross),
        ChecksReversePath = Habit(habits.ChecksReversePath),
        ServesWhenAlone = Habit(habits.ServesWhenAlone),
        GuestsApart = Habit(habits.GuestsApart),
        LoopsBack = Habit(habits.LoopsBack),
        LeasesThrough = Habit(habits.LeasesThrough),
        StopsRings = Habit(habits.StopsRings),
        KeepsOthers = Habit(habits.KeepsOthers),
        WifiOffWhilePassing = Habit(habits.WifiOffWhilePassing),
        AnnouncesIpv6 = Habit(habits.AnnouncesIpv6),
    };

    private static bool? Habit(Known known) => known switch { Known.Yes => true, Known.No => false, _ => null };

    private static NeedDocument Need(Need need) => need is ReachFromOutside reach
        ? new() { Id = need.Id, Device = need.Device, Kind = NeedKind.ReachFromOutside, Protocol = reach.Protocol, Port = reach.Port, AsksItself = reach.AsksItself ? true : null }
        : new() { Id = need.Id, Device = need.Device, Kind = NeedKind.FoundByOthers };

    private static SetUpDocument SetUp(SetUp setUp) => new()
    {
        Name = setUp.Name,
        Boxes = [.. setUp.Boxes.Select(Setting)],
        Cables = [.. setUp.Cables.Select(c => new CableDocument { Id = c.Id, From = c.A.ToString(), To = c.B.ToString(), Medium = c.Medium, LengthMetres = c.LengthMetres })],
        Devices = [.. setUp.Devices.Select(d => new DeviceSettingDocument
        {
            Device = d.Device,
            Address = Address(d.Address),
            Wifi = d.Wifi is { } wifi ? new() { Box = wifi.Box, Name = wifi.Name, Key = wifi.Key } : null,
        })],
        Accepted = setUp.Accepted.Count == 0 ? null : [.. setUp.Accepted.Select(a => new AcceptanceDocument { Finding = a.Finding, Severe = a.Severe, Reason = a.Reason, By = a.By })],
    };

    private static BoxSettingDocument Setting(BoxSetting setting) => setting.Mode switch
    {
        RouterMode router => new()
        {
            Box = setting.Box,
            Mode = ModeKind.Router,
            Wan = Address(router.Wan),
            Lan = router.Lan.ToString(),
            AddressServer = new()
            {
                On = router.Server.On,
                Pool = router.Server.Pool.ToString(),
                Gateway = router.Server.Gateway?.ToString(),
                NameServers = Texts(router.Server.NameServers),
                LeavesOutGateway = router.Server.LeavesOutGateway ? true : null,
                LeavesOutNames = router.Server.LeavesOutNames ? true : null,
                LeaseMinutes = router.Server.LeaseMinutes,
                Domain = router.Server.Domain,
                Reservations = router.Server.Reservations.Count == 0 ? null
                    : [.. router.Server.Reservations.Select(r => new ReservationDocument { Hardware = r.Hardware.ToString(), Address = r.Address.ToString() })],
            },
            Forwards = router.Forwards.Count == 0 ? null
                : [.. router.Forwards.Select(f => new PortForwardDocument { Protocol = f.Protocol, OutsidePort = f.OutsidePort, To = f.To.ToString(), InsidePort = f.InsidePort })],
            Radios = Radios(router),
            Guest = router.Guest is { } guest
                ? new() { Name = guest.Name, Security = guest.Security, Key = guest.Key, Lan = guest.Lan.ToString(), Pool = guest.Pool.ToString(), Vlan = guest.Vlan }
                : null,
            Translates = router.Translates ? null : false,
            Dmz = router.Dmz?.ToString(),
            PortRequests = router.PortRequests ? true : null,
            Uplink = Link(router.Uplink),
            Passing = router.Passing is { } passing ? new() { Kind = passing.Kind, Port = passing.Port, To = passing.To?.ToString() } : null,
            Line = router.Line == LineSetting.None ? null : new() { Login = router.Line.Login ? true : null, Tag = router.Line.Tag, Hardware = router.Line.Hardware?.ToString() },
            Routes = router.Routes.Count == 0 ? null : [.. router.Routes.Select(r => new RouteDocument { To = r.To.ToString(), Via = r.Via.ToString() })],
        },
        AccessPointMode point => new()
        {
            Box = setting.Box,
            Mode = ModeKind.AccessPoint,
            Page = Address(point.Page),
            Radios = Radios(point),
            GuestName = point.Guest is { } guest ? new() { Name = guest.Name, Security = guest.Security, Key = guest.Key, Vlan = guest.Vlan } : null,
        },
        RepeaterMode repeater => new() { Box = setting.Box, Mode = ModeKind.Repeater, Page = Address(repeater.Page), Uplink = Link(repeater.Link), Radios = Radios(repeater) },
        WirelessBridgeMode bridge => new() { Box = setting.Box, Mode = ModeKind.WirelessBridge, Page = Address(bridge.Page), Uplink = Link(bridge.Link) },
        SatelliteMode satellite => new() { Box = setting.Box, Mode = ModeKind.Satellite, Satellite = new() { Main = satellite.Main, By = satellite.By } },
        BridgeMode bridge => new() { Box = setting.Box, Mode = ModeKind.Bridge, Page = bridge.Page is { } page ? Address(new Fixed(page, null, [])) : null },
        SwitchMode plain => new() { Box = setting.Box, Mode = ModeKind.Switch, Page = plain.Page is { } page ? Address(page) : null, Vlans = plain.Vlans.Count == 0 ? null : [.. plain.Vlans.Select(v => new PortVlansDocument { Port = v.Port, Untagged = v.Untagged, Tagged = v.Tagged.Count == 0 ? null : v.Tagged })] },
        _ => throw new ArgumentOutOfRangeException(nameof(setting)),
    };

    private static RadioSettingDocument[]? Radios(BoxMode mode) => mode.Radios.Count == 0 ? null
        : [.. mode.Radios.Select(r => new RadioSettingDocument
        {
            Radio = r.Radio,
            On = r.On,
            Name = r.Name,
            Security = r.Security,
            Key = r.Key,
            Channel = r.Channel,
            WidthMhz = r.WidthMhz,
            Hidden = r.Hidden ? true : null,
            ProtectsFrames = r.ProtectsFrames,
            WdsPeers = r.WdsPeers.Count == 0 ? null : r.WdsPeers,
        })];

    private static UplinkDocument? Link(Uplink? link) => link is null ? null : new()
    {
        Radio = link.Radio,
        Box = link.Box,
        Name = link.Name,
        Security = link.Security,
        Key = link.Key,
        Frames = link.Frames,
        Channel = link.Channel,
        WidthMhz = link.WidthMhz,
        Locked = link.Locked ? true : null,
    };

    private static HostAddressDocument Address(HostAddress address) => address is Fixed typed
        ? new() { Kind = HostAddressKind.Fixed, Address = typed.Address.ToString(), Gateway = typed.Gateway?.ToString(), NameServers = Texts(typed.NameServers) }
        : new() { Kind = HostAddressKind.Automatic };

    private static string[]? Texts(IReadOnlyList<Ipv4Address> addresses) => addresses.Count == 0 ? null : [.. addresses.Select(a => a.ToString())];
}
