using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// How something that was just noted is put into a set-up: as it was said, else as is usual of its kind in the same building (common
/// practice). What is neither said nor usual stays unconnected, and the survey asks for it: no cable is made up.
/// </summary>
internal static class FirstUse
{
    /// <summary>
    /// A box in the mode that was said, else in its first one, with its Wi-Fi on under the name of its label, and connected; or why it
    /// cannot be connected as was said.
    /// </summary>
    public static Parsed<SetUp> Of(Design design, Box box, string? place, ModeKind? mode, Connection said) =>
        ModeFor(box, mode, said)
            .Then(kind => new SetMode(box.Id, kind).ApplyTo(design))
            .Then<SetUp>(setUp =>
            {
                var at = Do(design with { SetUp = setUp }, new PlaceBox(box.Id, place));
                foreach (var radio in at.Mode(box.Id)?.Radios ?? [])
                {
                    at = Do(
                        at,
                        SetRadio.Between(box.Id, radio, radio with { On = true, Password = box.Label.WifiPassword ?? radio.Password })
                    );
                }
                return Connected(at, box, place, said).Then<SetUp>(c => Waiting(at with { SetUp = c }, box));
            });

    /// <summary>A device on the cable or Wi-Fi that was said, else on Wi-Fi that is sent in its building.</summary>
    public static Parsed<SetUp> Of(Design design, Device device, HostAddress address, Connection said) =>
        Connected(Do(design, new SetDeviceAddress(device.Id, address)), device, said);

    /// <summary>What a box is set to: what was said, or the first mode in which it connects as was said.</summary>
    private static Parsed<ModeKind> ModeFor(Box box, ModeKind? mode, Connection said)
    {
        var own = box.Profile.Modes;
        if (mode is { } asked)
        {
            return asked;
        }
        var joining = own.Where(JoinsByRadio).Select(m => (ModeKind?)m).FirstOrDefault();
        var routes = own.Contains(ModeKind.Router) && box.Profile.Radios.Count > 0;
        return said.Carrier() switch
        {
            ConnectedBy.Radio when joining is null && !routes => Parsed<ModeKind>.Fail($"{box.Name} cannot join another box by radio."),
            ConnectedBy.Radio => joining ?? ModeKind.Router,
            // A node of a mesh kit keeps its mode on a cable.
            ConnectedBy.Cable when JoinsByRadio(own[0]) && own[0] != ModeKind.Satellite => own.Where(m => !JoinsByRadio(m))
                .Select(m => (ModeKind?)m)
                .FirstOrDefault()
                is { } wired
                ? wired
                : Parsed<ModeKind>.Fail($"{box.Name} joins by radio only; what is plugged into it says so on its own line."),
            _ => own[0],
        };
    }

    private static bool JoinsByRadio(ModeKind mode) => mode is ModeKind.Repeater or ModeKind.WirelessBridge or ModeKind.Satellite;

    private static Parsed<SetUp> Connected(Design at, Box box, string? place, Connection said)
    {
        var mode = at.Mode(box.Id)!;
        var atLine =
            said.To == PortRef.Street
            || (said == Connection.NotSaid && box.Profile.Kind == BoxKind.Gateway && at.CableAt(PortRef.AtStreet) is null);
        if (atLine)
        {
            return box.Profile.Ports.FirstOrDefault(p => p.Role == PortRole.Wan) is { } wan
                ? Plugged(at, PortRef.AtStreet, new(box.Id, wan.Id), Medium.Unknown)
                : Parsed<SetUp>.Fail($"{box.Name} has no internet port.");
        }
        // Whether a router that has an internet port only is fed by cable or by radio is not told by its kind.
        var either = mode is RouterMode && box.Profile.Ports.All(p => p.Role == PortRole.Wan);
        var by = said.Carrier() ?? (JoinsByRadio(mode.Kind) ? ConnectedBy.Radio : ConnectedBy.Cable);
        return said.Carrier() is null && said.To is null && either ? at.SetUp
            : by == ConnectedBy.Radio ? Joined(at, box, place, said)
            : box.Profile.Kind is BoxKind.Powerline or BoxKind.Coax && Partner(at, box, place, said) is { } partner
                ? Paired(at, box, partner)
            : Fed(at, box.Id, FreePorts.Entry(at, box), place, said);
    }

    private static Parsed<SetUp> Connected(Design at, Device device, Connection said)
    {
        var wired = said.To is { } to && Air.Of(at, to).All(a => a.Guest);
        var by = said.Carrier() ?? (wired ? ConnectedBy.Cable : ConnectedBy.Radio);
        if (said.To == PortRef.Street)
        {
            return Plugged(at, PortRef.AtStreet, PortRef.OfDevice(device.Id), Medium.Unknown);
        }
        if (by == ConnectedBy.Cable)
        {
            return Fed(at, device.Id, "", device.Place, said);
        }
        var heard = (said.To is { } box ? at.SetUp.Boxes.Where(b => b.Box == box) : FreePorts.Near(at, device.Place, device.Id))
            .SelectMany(b => Air.Of(at, b.Box))
            .Where(a =>
                !a.Guest && !Air.IsLink(at, a.Box, a.Setting.Name) && (device.Bands.Count == 0 || device.Bands.Contains(a.Radio.Band))
            )
            .Select(a => new WifiJoin(a.Box, a.Setting.Name, a.Setting.Password))
            .FirstOrDefault();
        return heard is not null ? new JoinWifi(device.Id, heard).ApplyTo(at)
            : said.To is null ? at.SetUp
            : Parsed<SetUp>.Fail($"{at.NameOf(said.To)} sends no Wi-Fi that {device.Name} can use.");
    }

    /// <summary>
    /// Fed by a cable from the port that was said, else from a free one in the building; unconnected where there is none.
    /// </summary>
    private static Parsed<SetUp> Fed(Design at, string id, string? entry, string? place, Connection said)
    {
        if (entry is null)
        {
            return said == Connection.NotSaid ? at.SetUp : Parsed<SetUp>.Fail($"{at.NameOf(id)} has no port for a cable.");
        }
        // A port without a box is one of the box at the line.
        var to = said.To ?? (said.Port is null ? null : at.Site.Service.HandOff);
        return to is not null ? FreePorts.At(at, to, said.Port).Then(feed => Plugged(at, feed, new(id, entry), Medium.Unknown))
            : said.Port is not null ? Parsed<SetUp>.Fail("Of which box the port is, is not said, such as 'at Loft switch'.")
            : FreePorts.NearTo(at, place, id) is { } near ? Plugged(at, near, new(id, entry), Medium.Unknown)
            : at.SetUp;
    }

    /// <summary>The unit that a powerline or coax unit is paired with; null for the first of its kind in the building.</summary>
    private static Box? Partner(Design at, Box box, string? place, Connection said) => (
            said.To is { } to ? at.SetUp.Boxes.Where(b => b.Box == to)
            : said.Carrier() is null ? FreePorts.Near(at, place, box.Id)
            : []
        ).Select(b => at.Box(b.Box)!).FirstOrDefault(b => b.Profile.Kind == box.Profile.Kind);

    private static Parsed<SetUp> Paired(Design at, Box box, Box partner) =>
        FreePorts.Shared(at, partner) is { } there && FreePorts.Shared(at, box) is { } here
            ? Plugged(at, there, here, box.Profile.Kind == BoxKind.Coax ? Medium.Coax : Medium.Powerline)
            : at.SetUp;

    private static Parsed<SetUp> Joined(Design at, Box box, string? place, Connection said)
    {
        var choices = JoinChoices.Of(at, box);
        if (at.Mode(box.Id) is SatelliteMode)
        {
            return said.To is not { } node ? at.SetUp
                : choices.KitNodes.Contains(node) ? new SetSatellite(box.Id, Partial<SatelliteMode>.With(s => s.By, node)).ApplyTo(at)
                : Parsed<SetUp>.Fail($"{at.NameOf(node)} is no node of the mesh kit of {box.Name}.");
        }
        // A bridge is there to cross from one building to another; anything else is taken to join a box of its own building.
        var boxes =
            said.To is { } to ? [to]
            : at.Mode(box.Id) is WirelessBridgeMode ? [.. at.SetUp.Boxes.OrderBy(b => b.Box != at.Site.Service.HandOff).Select(b => b.Box)]
            : FreePorts.Near(at, place, box.Id).Select(b => b.Box).ToList();
        var heard = boxes.Select(b => choices.Heard.FirstOrDefault(h => h.Box == b)).FirstOrDefault(h => h is not null);
        if (heard is null && said.To is not null)
        {
            return Parsed<SetUp>.Fail($"{at.NameOf(said.To)} sends no Wi-Fi that {box.Name} hears.");
        }
        var old = at.Mode(box.Id)!.Joins;
        var link =
            heard is not null ? new Uplink(heard.Radio, heard.Box, heard.Name, heard.Security, heard.Password, UplinkFrames.ThreeAddress)
            : old is null || old.Box == box.Id ? null
            : old with { Box = box.Id, Name = FactoryNames.Of(box), Security = WifiSecurity.Wpa2, Password = null };
        return link is null ? at.SetUp
            : old is null ? new SetUplink(box.Id, Partial<Uplink>.All(link)).ApplyTo(at)
            : SetUplink.Between(box.Id, old, link).ApplyTo(at);
    }

    /// <summary>
    /// Connects what was noted before there was anything to connect it to: everything when the box at the line is added, nodes of a mesh
    /// kit when their main node is.
    /// </summary>
    private static SetUp Waiting(Design at, Box arrived)
    {
        foreach (var setting in at.SetUp.Boxes.Where(b => b.Box != arrived.Id && IsLoose(at, b)))
        {
            var box = at.Box(setting.Box)!;
            if (setting.Mode is SatelliteMode node)
            {
                at =
                    JoinChoices.Of(at, box).MainNodes is [var main, ..] && main == arrived.Id
                        ? Do(at, new SetSatellite(box.Id, Partial<SatelliteMode>.All(node with { Main = main, By = main })))
                        : at;
            }
            else if (at.Site.Service.HandOff == arrived.Id)
            {
                at = at with { SetUp = Kept(at, Connected(at, box, setting.Place, Connection.NotSaid)) };
            }
        }
        if (at.Site.Service.HandOff == arrived.Id)
        {
            foreach (var setting in at.SetUp.Devices.Where(d => d.Wifi is null && !at.SetUp.Cables.Any(c => c.Ends(d.Device))))
            {
                var device = at.Device(setting.Device)!;
                var said = device.HasSocket == Known.Yes ? Connection.Only(ConnectedBy.Cable) : Connection.NotSaid;
                at = at with { SetUp = Kept(at, Connected(at, device, said)) };
            }
        }
        return at.SetUp;
    }

    private static bool IsLoose(Design at, BoxSetting box) =>
        box.Mode switch
        {
            SatelliteMode node => node.Main == box.Box,
            { Joins: { } link } => link.Box == box.Box,
            _ => !at.SetUp.Cables.Any(c => c.Ends(box.Box)),
        };

    private static Parsed<SetUp> Plugged(Design at, PortRef from, PortRef to, Medium medium) =>
        new Patch(from, to, CableFacts.NotLookedAt with { Medium = medium }).ApplyTo(at);

    private static SetUp Kept(Design at, Parsed<SetUp> done) => done.Ok ? done.Value : at.SetUp;

    private static Design Do(Design design, params IEnumerable<Change> changes) =>
        changes.Aggregate(design, (at, c) => c.ApplyTo(at) is { Ok: true } done ? at with { SetUp = done.Value } : at);
}
