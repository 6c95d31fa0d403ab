using Altrin.Core.Addressing;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>Turns a home into the document that a design file holds.</summary>
public static class DesignWriter
{
    /// <summary>The document of the newest version.</summary>
    public static DesignDocument Document(HomeFile home) =>
        new()
        {
            Format = DesignDocument.FormatName,
            FormatVersion = DesignDocument.NewestVersion,
            Site = Site(home.Site),
            SetUps = [.. home.SetUps.Select(s => SetUpWriter.Document(home.Site, s))],
        };

    private static SiteDocument Site(Site site) =>
        new()
        {
            Name = site.Name,
            Naming = site.Naming,
            Country = site.Country,
            Service = Service(site.Service),
            Boxes = [.. site.Boxes.Select(Box)],
            Devices = [.. site.Devices.Select(Device)],
            Buildings = Listed(site.Buildings),
            Places = Listed(site.Places),
            Sockets = Listed(site.Sockets),
            Runs = Listed(site.Runs),
            Speeds = Listed(site.Speeds),
            Needs = [.. site.Needs.Select(Need)],
        };

    private static ServiceDocument Service(Service service) =>
        new()
        {
            Kind = Core.Sites.Service.KindOf(service),
            DownMbps = service.DownMbps,
            UpMbps = service.UpMbps,
            Address = (service as PublicFixed)?.Address.ToString(),
            Gateway = (service as PublicFixed)?.Gateway.ToString(),
            DnsServers = service is PublicFixed given ? Texts(given.DnsServers) : null,
            Leases = service.Leases == 1 ? null : service.Leases,
            Inside = (service as CarrierNat)?.Inside?.ToString(),
            Line =
                service.Line == LineNeeds.NotAsked
                    ? null
                    : new()
                    {
                        Login = ProfileWriter.Habit(service.Line.Login),
                        Tagged = ProfileWriter.Habit(service.Line.Tagged),
                        Tag = service.Line.Tag,
                        Locked = ProfileWriter.Habit(service.Line.Locked),
                        LockedTo = service.Line.LockedTo?.ToString(),
                        Account = service.Line.Account,
                        Password = service.Line.Password,
                    },
            Access = service.Access == AccessKind.Unknown ? null : service.Access,
            HandOff = service.HandOff,
        };

    private static IReadOnlyList<T>? Listed<T>(IReadOnlyList<T> items) => items.Count == 0 ? null : items;

    private static DeviceDocument Device(Device device) =>
        new()
        {
            Id = device.Id,
            Name = device.Name,
            Kind = device.Kind,
            Mac = device.Mac?.ToString(),
            ChecksLease = ProfileWriter.Habit(device.ChecksLease),
            Bands = Listed(device.Bands),
            NewestSecurity = device.NewestSecurity,
            Generation = device.Generation == WifiGeneration.Unknown ? null : device.Generation,
            Streams = device.Streams,
            HasSocket = ProfileWriter.Habit(device.HasSocket),
            Place = device.Place,
        };

    private static BoxDocument Box(Box box) =>
        new()
        {
            Id = box.Id,
            Name = box.Name,
            Mac = box.Mac?.ToString(),
            WanMac = box.WanMac?.ToString(),
            Holds = box.Holds.Count == 0 ? null : box.Holds,
            Place = box.Place,
            Label =
                box.Label == LabelFacts.Empty
                    ? null
                    : new()
                    {
                        Address = box.Label.Address?.ToString(),
                        Login = box.Label.Login,
                        Password = box.Label.Password,
                        WifiName = box.Label.WifiName,
                        WifiPassword = box.Label.WifiPassword,
                        RadioMac = box.Label.RadioMac?.ToString(),
                        Firmware = box.Label.Firmware,
                        Supported = ProfileWriter.Habit(box.Label.Supported),
                        SupportedUntil = box.Label.SupportedUntil,
                    },
            Stored =
                box.Stored == StoredSettings.NotKnown
                    ? null
                    : new()
                    {
                        State = box.Stored.State,
                        Mode = box.Stored.Mode,
                        Address = box.Stored.Address?.ToString(),
                        DhcpServer = ProfileWriter.Habit(box.Stored.DhcpServer),
                        WifiName = box.Stored.WifiName,
                        WifiPassword = box.Stored.WifiPassword,
                    },
            Assumed =
                box.Assumed == AssumedSettings.Nothing
                    ? null
                    : new()
                    {
                        LanAddress = box.Assumed.LanAddress?.ToString(),
                        DhcpServer = box.Assumed.DhcpServer,
                        Pool = box.Assumed.Pool?.ToString(),
                        WifiName = box.Assumed.WifiName,
                    },
            ToBuy = box.ToBuy ? true : null,
            Profile = ProfileWriter.Document(box.Profile),
        };

    private static NeedDocument Need(Need need)
    {
        var (kind, device) = need switch
        {
            ReachFromOutside n => (NeedKind.ReachFromOutside, n.Device),
            FoundByOthers n => (NeedKind.FoundByOthers, n.Device),
            LocalServer n => (NeedKind.LocalServer, n.Device),
            LittleDelay n => (NeedKind.LittleDelay, n.Device),
            StaysOnline n => (NeedKind.StaysOnline, n.Device),
            CallsInPlace => (NeedKind.CallsInPlace, null),
            GuestsKeptApart => (NeedKind.GuestsKeptApart, null),
            KeepsNameAndPassword => (NeedKind.KeepsNameAndPassword, null),
            ServiceLives => (NeedKind.ServiceLives, (string?)null),
            _ => throw new ArgumentOutOfRangeException(nameof(need)),
        };
        var (reach, keeps) = (need as ReachFromOutside, need as KeepsNameAndPassword);
        return new()
        {
            Id = need.Id,
            Kind = kind,
            Device = device,
            Protocol = reach?.Protocol,
            Port = reach?.Port,
            OutsidePort = reach?.OutsidePort,
            AsksItself = reach is { AsksItself: true } ? true : null,
            Place = (need as CallsInPlace)?.Place,
            Name = keeps?.Name,
            Security = keeps?.Security,
            Password = keeps?.Password,
            Service = (need as ServiceLives)?.Service,
        };
    }

    /// <summary>Addresses as they are written; left out where there are none.</summary>
    internal static string[]? Texts(IReadOnlyList<Ipv4Address> addresses) =>
        addresses.Count == 0 ? null : [.. addresses.Select(a => a.ToString())];
}
