using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>What goes along when something is taken out of the survey.</summary>
internal static class Removal
{
    /// <summary>Everything that is let go with it: in the survey whatever speaks of it, in every set-up whatever leans on it.</summary>
    public static IReadOnlyList<Touch> Touches(HomeFile home, string id)
    {
        var site = home.Site;
        Setting own =
            site.Boxes.Any(b => b.Id == id) ? Setting.Box
            : site.Devices.Any(d => d.Id == id) ? Setting.Device
            : site.Needs.Any(n => n.Id == id) ? Setting.Need
            : site.Buildings.Any(b => b.Id == id) ? Setting.Building
            : site.Places.Any(p => p.Id == id) ? Setting.Place
            : site.Sockets.Any(s => s.Id == id) ? Setting.Socket
            : site.Speeds.Any(s => s.Id == id) ? Setting.Speed
            : Setting.Run;
        var runs = site.Runs.Where(r => r.Id == id || r.A == id || r.B == id).Select(r => r.Id).ToHashSet(StringComparer.Ordinal);
        var inSite = own switch
        {
            Setting.Place => site
                .Boxes.Where(b => b.Place == id)
                .Select(b => new Touch(Setting.Box, b.Id, nameof(Box.Place)))
                .Concat(site.Devices.Where(d => d.Place == id).Select(d => new Touch(Setting.Device, d.Id, nameof(Device.Place))))
                .Concat(site.Sockets.Where(s => s.Place == id).Select(s => new Touch(Setting.Socket, s.Id, nameof(Socket.Place)))),
            Setting.Building => site
                .Places.Where(p => p.Building == id)
                .Select(p => new Touch(Setting.Place, p.Id, nameof(Place.Building))),
            _ => [],
        };
        return
        [
            new(own, id),
            .. own == Setting.Box ? [new Touch(Setting.Service, "", nameof(ServiceFacts.HandOff))] : (Touch[])[],
            .. site.Needs.Where(n => n.About == id).Select(n => new Touch(Setting.Need, n.Id)),
            .. runs.Order(StringComparer.Ordinal).Select(r => new Touch(Setting.Run, r)),
            .. site
                .Speeds.Where(s => s.Id != id && new[] { s.Box, s.From, s.To, s.Place, s.StoodIn }.Contains(id))
                .Select(s => new Touch(Setting.Speed, s.Id)),
            .. inSite,
            .. home.SetUps.SelectMany(s => InSetUp(new(site, s), id, runs)).Distinct(),
        ];
    }

    private static IEnumerable<Touch> InSetUp(Design design, string id, HashSet<string> runs)
    {
        var orphans = Leaning(design.SetUp, id).ToList();
        foreach (var gone in orphans.Append(id))
        {
            yield return new(Setting.InUse, gone);
            foreach (var cable in design.SetUp.Cables.Where(c => c.Ends(gone)))
            {
                yield return new(Setting.Plugged, cable.Id);
            }
        }
        foreach (var box in design.SetUp.Boxes)
        {
            yield return new(Setting.StandsIn, box.Box);
            if (box.Mode is RouterMode { Uplink.Box: var joined } && joined == id)
            {
                yield return new(Setting.Uplink, box.Box);
            }
            if (box.Mode is SatelliteMode { By: var by } && by == id)
            {
                yield return new(Setting.Satellite, box.Box, nameof(SatelliteMode.By));
            }
            foreach (var radio in box.Mode.Radios.Where(r => r.WdsPeers.Contains(id)))
            {
                yield return new(Setting.WdsPeers, box.Box, radio.Radio);
            }
        }
        foreach (var device in design.SetUp.Devices.Where(d => d.Wifi?.Box == id))
        {
            yield return new(Setting.DeviceWifi, device.Device);
        }
        foreach (var cable in design.SetUp.Cables.Where(c => c.Run is { } run && runs.Contains(run)))
        {
            yield return new(Setting.Cable, cable.Id, nameof(CableFacts.Run));
        }
    }

    /// <summary>Boxes that live by a radio link to another one, or by its being their main node: without it they are not in use.</summary>
    public static IEnumerable<string> Leaning(SetUp setUp, string id) =>
        setUp
            .Boxes.Where(b =>
                b.Mode is RepeaterMode { Link.Box: var a } && a == id
                || b.Mode is WirelessBridgeMode { Link.Box: var w } && w == id
                || b.Mode is SatelliteMode { Main: var m } && m == id
            )
            .Select(b => b.Box);
}
