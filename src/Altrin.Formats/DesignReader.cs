using Altrin.Core.Addressing;
using Altrin.Core.Changes;
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
        var setUps = document.SetUps.Select((s, i) => new SetUpReader(site, $"/setUps/{i}", errors).Read(s)).ToList();
        return errors.All.Count > 0 ? new(null, errors.All) : new(new(site, setUps), []);
    }

    private static Site ReadSite(SiteDocument site, ReadErrors errors)
    {
        var ids = site.Boxes.Select((b, i) => (b.Id, Pointer: $"/site/boxes/{i}/id")).Concat(site.Devices.Select((d, i) => (d.Id, Pointer: $"/site/devices/{i}/id"))).ToList();
        errors.Unique(ids, i => i.Id, i => ids[i].Pointer, "an id of a box or device");
        foreach (var (id, pointer) in ids.Where(i => i.Id == PortRef.Street))
        {
            errors.Add(pointer, $"\"{id}\"", "this id stands for the provider's end");
        }
        errors.Unique(site.Needs, n => n.Id, i => $"/site/needs/{i}/id", "an id of a need");
        return new(
            errors.Plain("/site/name", site.Name),
            ReadService(site.Service, errors),
            site.Naming,
            [.. site.Boxes.Select((b, i) => ReadBox(b, $"/site/boxes/{i}", errors))],
            [.. site.Devices.Select((d, i) => new Device(d.Id, errors.Plain($"/site/devices/{i}/name", d.Name), d.Kind, errors.ReadOptional($"/site/devices/{i}/hardware", d.Hardware, HardwareAddress.Parse)) { ChecksLease = Habit(d.ChecksLease), Bands = d.Bands ?? [], NewestSecurity = d.NewestSecurity })],
            [.. site.Needs.Select((n, i) => ReadNeed(n, site, $"/site/needs/{i}", errors))]);
    }

    private static Service ReadService(ServiceDocument service, ReadErrors errors)
    {
        const string Pointer = "/site/service";
        var leases = service.Leases ?? 1;
        var line = ReadLine(service.Line, $"{Pointer}/line", errors);
        if (service.Kind != ServiceKind.CarrierTranslation)
        {
            errors.Absent($"{Pointer}/inside", service.Inside, "only a provider that translates has a block inside");
        }
        if (service.Kind == ServiceKind.PublicFixed)
        {
            return new PublicFixed(
                errors.Read($"{Pointer}/address", service.Address, InterfaceAddress.Parse),
                errors.Read($"{Pointer}/gateway", service.Gateway, Ipv4Address.Parse),
                service.DownMbps,
                service.UpMbps)
            {
                NameServers = [.. (service.NameServers ?? []).Select((n, i) => errors.Read($"{Pointer}/nameServers/{i}", n, Ipv4Address.Parse))],
                Leases = leases,
                Line = line,
            };
        }
        errors.Absent($"{Pointer}/nameServers", service.NameServers, "only a fixed public service has name servers here");
        errors.Absent($"{Pointer}/address", service.Address, "only a fixed public service has an address here");
        errors.Absent($"{Pointer}/gateway", service.Gateway, "only a fixed public service has a gateway here");
        return service.Kind switch
        {
            ServiceKind.PublicDynamic => new PublicDynamic(service.DownMbps, service.UpMbps) { Leases = leases, Line = line },
            ServiceKind.CarrierTranslation => new CarrierTranslation(service.DownMbps, service.UpMbps) { Leases = leases, Line = line, Inside = ReadInside(service.Inside, errors) },
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
            errors.Absent($"{pointer}/lockedTo", line.LockedTo, "only a locked line is locked to somebody");
        }
        return new()
        {
            Login = Habit(line.Login),
            Tagged = Habit(line.Tagged),
            Tag = line.Tag,
            Locked = Habit(line.Locked),
            LockedTo = errors.ReadOptional($"{pointer}/lockedTo", line.LockedTo, HardwareAddress.Parse),
        };
    }

    private static Subnet? ReadInside(string? inside, ReadErrors errors)
    {
        var read = errors.ReadOptional("/site/service/inside", inside, Subnet.Parse);
        errors.Wrong("/site/service/inside", inside, read is { PrefixLength: < 8 or > 28 } ? "a block from /8 to /28 is expected" : null);
        return read;
    }

    private static Known Habit(bool? known) => known switch { true => Known.Yes, false => Known.No, null => Known.Unknown };

    private static BoxHabits Habits(HabitsDocument? habits) => habits is null ? BoxHabits.NotKnown : new()
    {
        ChecksOffer = Habit(habits.ChecksOffer),
        ChecksLease = Habit(habits.ChecksLease),
        OnOverlap = habits.OnOverlap ?? OverlapHabit.Unknown,
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

    private static Box ReadBox(BoxDocument box, string pointer, ReadErrors errors)
    {
        var profile = box.Profile;
        errors.Unique(profile.Ports, p => p.Id, i => $"{pointer}/profile/ports/{i}/id", "a port id of a box");
        errors.Unique(profile.Radios, r => r.Id, i => $"{pointer}/profile/radios/{i}/id", "a radio id of a box");
        errors.Unique(profile.Modes, m => m.ToString(), i => $"{pointer}/profile/modes/{i}", "a mode of a box");
        return new(
            box.Id,
            errors.Plain($"{pointer}/name", box.Name),
            new(
                profile.ShelfId,
                errors.Plain($"{pointer}/profile/name", profile.Name),
                profile.Kind,
                profile.Modes,
                [.. profile.Ports.Select((p, i) => new Port(p.Id, errors.Plain($"{pointer}/profile/ports/{i}/label", p.Label), p.Role, p.SpeedMbps))],
                [.. profile.Radios.Select((r, i) => ReadRadio(r, $"{pointer}/profile/radios/{i}", errors))],
                errors.ReadOptional($"{pointer}/profile/factoryAddress", profile.FactoryAddress, InterfaceAddress.Parse),
                errors.ReadOptional($"{pointer}/profile/factoryPool", profile.FactoryPool, AddressRange.Parse),
                profile.WanPortJoins)
            {
                Habits = Habits(profile.Habits),
                Passes = profile.Passes ?? [],
                Kit = profile.Kit,
                KeptPorts = profile.KeptPorts ?? [],
            },
            errors.ReadOptional($"{pointer}/hardware", box.Hardware, HardwareAddress.Parse),
            errors.ReadOptional($"{pointer}/wanHardware", box.WanHardware, HardwareAddress.Parse))
        {
            Holds = box.Holds ?? [],
        };
    }

    private static Radio ReadRadio(RadioDocument radio, string pointer, ReadErrors errors)
    {
        var channels = radio.Channels ?? [];
        for (var i = 0; i < channels.Count; i++)
        {
            errors.Wrong($"{pointer}/channels/{i}", $"{channels[i]}", PageChecks.WrongChannel(radio.Band, channels[i], null));
        }
        return new(radio.Id, radio.Band) { Channels = channels, NewestSecurity = radio.NewestSecurity, FourAddress = Habit(radio.FourAddress) };
    }

    private static Need ReadNeed(NeedDocument need, SiteDocument site, string pointer, ReadErrors errors)
    {
        if (site.Devices.All(d => d.Id != need.Device))
        {
            errors.Add($"{pointer}/device", $"\"{need.Device}\"", "the id of a device of this site is expected");
        }
        if (need.Kind == NeedKind.FoundByOthers)
        {
            errors.Absent($"{pointer}/protocol", need.Protocol, "only a connection from outside has a protocol");
            errors.Absent($"{pointer}/port", need.Port, "only a connection from outside has a port");
            errors.Absent($"{pointer}/asksItself", need.AsksItself, "only a connection from outside can be asked for");
            return new FoundByOthers(need.Id, need.Device);
        }
        if (need.Protocol is null || need.Port is null)
        {
            errors.Add(pointer, "no protocol or no port", "a connection from outside needs 'protocol' and 'port'");
        }
        return new ReachFromOutside(need.Id, need.Device, need.Protocol ?? default, need.Port ?? 1) { AsksItself = need.AsksItself ?? false };
    }
}
