using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>Reads what the customer asked for.</summary>
internal static class NeedReader
{
    public static Need Read(NeedDocument need, SiteDocument site, string pointer, ReadErrors errors)
    {
        var ofDevice =
            need.Kind
            is NeedKind.ReachFromOutside
                or NeedKind.FoundByOthers
                or NeedKind.LocalServer
                or NeedKind.LittleDelay
                or NeedKind.StaysOnline;
        if (ofDevice && site.Devices.All(d => d.Id != need.Device))
        {
            errors.Add(
                $"{pointer}/device",
                need.Device is null ? "nothing" : $"\"{need.Device}\"",
                "the id of a device of this site is expected"
            );
        }
        if (!ofDevice)
        {
            errors.Absent($"{pointer}/device", need.Device, "this need is about no single device");
        }
        if (need.Kind != NeedKind.ReachFromOutside)
        {
            errors.Absent($"{pointer}/protocol", need.Protocol, "only a connection from outside has a protocol");
            errors.Absent($"{pointer}/port", need.Port, "only a connection from outside has a port");
            errors.Absent($"{pointer}/outsidePort", need.OutsidePort, "only a connection from outside has a port");
            errors.Absent($"{pointer}/asksItself", need.AsksItself, "only a connection from outside can be asked for");
        }
        else if (need.Protocol is null || need.Port is null)
        {
            errors.Add(pointer, "no protocol or no port", "a connection from outside needs 'protocol' and 'port'");
        }
        else if (need.OutsidePort is { } outside && (outside == need.Port || need.AsksItself == true))
        {
            errors.Add(
                $"{pointer}/outsidePort",
                $"{outside}",
                "another port than 'port', and none where the device asks its router itself; left out where it is the same"
            );
        }
        if (need.Kind != NeedKind.CallsInPlace)
        {
            errors.Absent($"{pointer}/place", need.Place, "only calls are asked for in a place");
        }
        else if ((site.Places ?? []).All(p => p.Id != need.Place))
        {
            errors.Add(
                $"{pointer}/place",
                need.Place is null ? "nothing" : $"\"{need.Place}\"",
                "the id of a place of this site is expected"
            );
        }
        if (need.Kind != NeedKind.KeepsNameAndPassword)
        {
            errors.Absent($"{pointer}/name", need.Name, "only a name that stays has one");
            errors.Absent($"{pointer}/security", need.Security, "only a name that stays is protected");
            errors.Absent($"{pointer}/password", need.Password, "only a name that stays has a password");
        }
        else if (need.Name is null || need.Security is null)
        {
            errors.Add(pointer, "no name or no security", "a name that stays needs 'name' and 'security'");
        }
        else
        {
            errors.Wrong($"{pointer}/name", need.Name, PageChecks.WrongNetworkName(need.Name));
        }
        if (need.Kind != NeedKind.ServiceLives)
        {
            errors.Absent($"{pointer}/service", need.Service, "only what lives in a gateway is a service");
        }
        else if (need.Service is null)
        {
            errors.Add(pointer, "no service", "what must live needs 'service'");
        }
        var device = need.Device ?? "";
        return need.Kind switch
        {
            NeedKind.ReachFromOutside => new ReachFromOutside(
                need.Id,
                device,
                need.Protocol ?? default,
                need.Port ?? 1,
                need.AsksItself ?? false
            )
            {
                OutsidePort = need.OutsidePort,
            },
            NeedKind.FoundByOthers => new FoundByOthers(need.Id, device),
            NeedKind.LocalServer => new LocalServer(need.Id, device),
            NeedKind.LittleDelay => new LittleDelay(need.Id, device),
            NeedKind.StaysOnline => new StaysOnline(need.Id, device),
            NeedKind.CallsInPlace => new CallsInPlace(need.Id, need.Place ?? ""),
            NeedKind.GuestsKeptApart => new GuestsKeptApart(need.Id),
            NeedKind.KeepsNameAndPassword => new KeepsNameAndPassword(need.Id, need.Name ?? "-", need.Security ?? default, need.Password),
            _ => new ServiceLives(need.Id, need.Service ?? default),
        };
    }
}
