using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>Turns a document of the right shape into a home, or says what the shape alone could not.</summary>
internal static class DesignReader
{
    public static FileRead<HomeFile> Read(DesignDocument document)
    {
        var errors = new ReadErrors();
        var site = ReadSite(document.Site, errors);
        errors.Unique(document.SetUps, s => s.Name, i => $"/setUps/{i}/name", "a name of a set-up");
        errors.Unique(document.Secrets ?? [], s => s.Reference, i => $"/secrets/{i}/reference", "a reference of a secret");
        for (var i = 0; i < (document.Secrets ?? []).Count; i++)
        {
            // What stands there is not repeated: it is a key.
            errors.Wrong(
                $"/secrets/{i}/value",
                "a value",
                document.Secrets![i].Value.Any(char.IsControl) ? "a key or password on one line is expected" : null
            );
        }
        var setUps = document.SetUps.Select((s, i) => new SetUpReader(site, $"/setUps/{i}", errors).Read(s)).ToList();
        return errors.All.Count > 0 ? new(null, errors.All) : new(new(site, setUps), []);
    }

    private static Site ReadSite(SiteDocument site, ReadErrors errors)
    {
        var ids = site
            .Boxes.Select((b, i) => (b.Id, Pointer: $"/site/boxes/{i}/id"))
            .Concat(site.Devices.Select((d, i) => (d.Id, Pointer: $"/site/devices/{i}/id")))
            .ToList();
        foreach (var (id, pointer) in ids.Where(i => i.Id == PortRef.Street))
        {
            errors.Add(pointer, $"\"{id}\"", "this id stands for the provider's end");
        }
        errors.Unique(site.Needs, n => n.Id, i => $"/site/needs/{i}/id", "an id of a need");
        PlaceReader.Check(site, errors);
        errors.Wrong("/site/country", site.Country, site.Country is { } country ? Country.Wrong(country) : null);
        var read = new Site(
            errors.Plain("/site/name", site.Name),
            ReadService(site.Service, errors),
            site.Naming,
            [.. site.Boxes.Select((b, i) => ReadBox(b, $"/site/boxes/{i}", errors))],
            [.. site.Devices.Select((d, i) => ReadDevice(d, $"/site/devices/{i}", errors))],
            [.. site.Needs.Select((n, i) => NeedReader.Read(n, site, $"/site/needs/{i}", errors))]
        )
        {
            Country = site.Country,
            Buildings = site.Buildings ?? [],
            // The main house is meant where none is named.
            Places =
            [
                .. (site.Places ?? []).Select(p =>
                    site.Buildings is [var main, ..] && p.Building == main.Id ? p with { Building = null } : p
                ),
            ],
            Sockets = site.Sockets ?? [],
            Runs = site.Runs ?? [],
            Speeds = site.Speeds ?? [],
        };
        for (var i = 0; i < read.Speeds.Count; i++)
        {
            errors.Wrong($"/site/speeds/{i}", read.Speeds[i].Id, read.Speeds[i].Wrong(read));
        }
        return read;
    }

    private static Device ReadDevice(DeviceDocument device, string pointer, ReadErrors errors) =>
        new(
            device.Id,
            errors.Plain($"{pointer}/name", device.Name),
            device.Kind,
            errors.ReadOptional($"{pointer}/mac", device.Mac, MacAddress.Parse)
        )
        {
            ChecksLease = ProfileReader.Habit(device.ChecksLease),
            Bands = device.Bands ?? [],
            NewestSecurity = device.NewestSecurity,
            Generation = device.Generation ?? WifiGeneration.Unknown,
            Streams = device.Streams,
            HasSocket = ProfileReader.Habit(device.HasSocket),
            Place = device.Place,
        };

    private static Service ReadService(ServiceDocument service, ReadErrors errors) =>
        ReadKind(service, errors) with
        {
            Access = service.Access ?? AccessKind.Unknown,
            HandOff = service.HandOff,
        };

    private static Service ReadKind(ServiceDocument service, ReadErrors errors)
    {
        const string Pointer = "/site/service";
        var leases = service.Leases ?? 1;
        var line = ReadLine(service.Line, $"{Pointer}/line", errors);
        if (service.Kind != ServiceKind.CarrierNat)
        {
            errors.Absent($"{Pointer}/inside", service.Inside, "only a provider with carrier-grade NAT has a block inside");
        }
        if (service.Kind == ServiceKind.PublicFixed)
        {
            return new PublicFixed(
                errors.Read($"{Pointer}/address", service.Address, InterfaceAddress.Parse),
                errors.Read($"{Pointer}/gateway", service.Gateway, Ipv4Address.Parse),
                service.DownMbps,
                service.UpMbps
            )
            {
                DnsServers =
                [
                    .. (service.DnsServers ?? []).Select((n, i) => errors.Read($"{Pointer}/dnsServers/{i}", n, Ipv4Address.Parse)),
                ],
                Leases = leases,
                Line = line,
            };
        }
        errors.Absent($"{Pointer}/dnsServers", service.DnsServers, "only a fixed public service has DNS servers here");
        errors.Absent($"{Pointer}/address", service.Address, "only a fixed public service has an address here");
        errors.Absent($"{Pointer}/gateway", service.Gateway, "only a fixed public service has a gateway here");
        return service.Kind switch
        {
            ServiceKind.PublicDynamic => new PublicDynamic(service.DownMbps, service.UpMbps) { Leases = leases, Line = line },
            ServiceKind.CarrierNat => new CarrierNat(service.DownMbps, service.UpMbps)
            {
                Leases = leases,
                Line = line,
                Inside = ReadInside(service.Inside, errors),
            },
            _ => new UnknownService(service.DownMbps, service.UpMbps) { Leases = leases, Line = line },
        };
    }

    private static LineNeeds ReadLine(LineNeedsDocument? line, string pointer, ReadErrors errors)
    {
        if (line is null)
        {
            return LineNeeds.NotAsked;
        }
        if (line.Tagged != true)
        {
            errors.Absent($"{pointer}/tag", line.Tag, "only a line that asks for a tag has one");
        }
        if (line.Locked != true)
        {
            errors.Absent($"{pointer}/lockedTo", line.LockedTo, "only a locked line is locked to a MAC address");
        }
        return new()
        {
            Login = ProfileReader.Habit(line.Login),
            Tagged = ProfileReader.Habit(line.Tagged),
            Tag = line.Tag,
            Locked = ProfileReader.Habit(line.Locked),
            LockedTo = errors.ReadOptional($"{pointer}/lockedTo", line.LockedTo, MacAddress.Parse),
            Account = line.Account,
            Password = line.Password,
        };
    }

    private static Subnet? ReadInside(string? inside, ReadErrors errors)
    {
        var read = errors.ReadOptional("/site/service/inside", inside, Subnet.Parse);
        errors.Wrong("/site/service/inside", inside, read is { PrefixLength: < 8 or > 28 } ? "a block from /8 to /28 is expected" : null);
        return read;
    }

    private static Box ReadBox(BoxDocument box, string pointer, ReadErrors errors)
    {
        var profile = ProfileReader.Read(box.Profile, $"{pointer}/profile", errors);
        return new(
            box.Id,
            errors.Plain($"{pointer}/name", box.Name),
            profile,
            errors.ReadOptional($"{pointer}/mac", box.Mac, MacAddress.Parse),
            errors.ReadOptional($"{pointer}/wanMac", box.WanMac, MacAddress.Parse)
        )
        {
            Holds = box.Holds ?? [],
            Place = box.Place,
            ToBuy = box.ToBuy ?? false,
            Label = ReadLabel(box.Label, $"{pointer}/label", errors),
            Stored = ReadStored(box.Stored, profile, $"{pointer}/stored", errors),
            Assumed = new(
                errors.ReadOptional($"{pointer}/assumed/lanAddress", box.Assumed?.LanAddress, InterfaceAddress.Parse),
                box.Assumed?.DhcpServer,
                errors.ReadOptional($"{pointer}/assumed/pool", box.Assumed?.Pool, AddressRange.Parse),
                box.Assumed?.WifiName
            ),
        };
    }

    private static StoredSettings ReadStored(StoredDocument? stored, Profile profile, string pointer, ReadErrors errors)
    {
        if (stored is null)
        {
            return StoredSettings.NotKnown;
        }
        var read = new StoredSettings(stored.State)
        {
            Mode = stored.Mode,
            Address = errors.ReadOptional($"{pointer}/address", stored.Address, InterfaceAddress.Parse),
            DhcpServer = ProfileReader.Habit(stored.DhcpServer),
            WifiName = stored.WifiName,
            WifiPassword = stored.WifiPassword,
        };
        // An address that could not be read was told already.
        errors.Wrong(
            pointer,
            stored.State.ToString(),
            read.Address == default(InterfaceAddress) ? null : PageChecks.WrongStored(profile, read)
        );
        return read;
    }

    private static LabelFacts ReadLabel(LabelDocument? label, string pointer, ReadErrors errors)
    {
        if (label is null)
        {
            return LabelFacts.Empty;
        }
        var address = errors.ReadOptional($"{pointer}/address", label.Address, InterfaceAddress.Parse);
        errors.Wrong($"{pointer}/address", label.Address, address is { } own && own != default ? PageChecks.WrongOwnAddress(own) : null);
        errors.Wrong($"{pointer}/wifiName", label.WifiName, label.WifiName is { } name ? PageChecks.WrongNetworkName(name) : null);
        return new()
        {
            Address = address,
            Login = label.Login is { } login ? errors.Plain($"{pointer}/login", login) : null,
            Password = label.Password,
            WifiName = label.WifiName,
            WifiPassword = label.WifiPassword,
            RadioMac = errors.ReadOptional($"{pointer}/radioMac", label.RadioMac, MacAddress.Parse),
            Firmware = label.Firmware is { } firmware ? errors.Plain($"{pointer}/firmware", firmware) : null,
            Supported = ProfileReader.Habit(label.Supported),
            SupportedUntil = label.SupportedUntil,
        };
    }
}
