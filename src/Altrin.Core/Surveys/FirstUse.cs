using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// How something that was just noted is put into a set-up: as it is usually found (common practice). Everything of it can be
/// changed afterwards; what does not fit is left out.
/// </summary>
internal static class FirstUse
{
    /// <summary>
    /// A box in its first mode, fed by the line where nothing is, else by the box at the line; its Wi-Fi sends what its label says.
    /// </summary>
    public static SetUp Of(Design design, Box box, string? place)
    {
        var at = Do(design, new SetMode(box.Id, box.Profile.Modes[0]), new StandIn(box.Id, place));
        var wan = box.Profile.Ports.FirstOrDefault(p => p.Role == PortRole.Wan)?.Id;
        var mode = at.Mode(box.Id);
        var entry = mode is RouterMode or BridgeMode || (mode is AccessPointMode && box.Profile.WanPortJoins) ? wan : null;
        var port = entry ?? box.Profile.Ports.FirstOrDefault(p => p.Role == PortRole.Lan)?.Id;
        if (port is not null)
        {
            var feeds =
                at.CableAt(PortRef.AtStreet) is null && mode is RouterMode or BridgeMode && wan is not null
                    ? PortRef.AtStreet
                    : Free(at, box.Id);
            at = feeds is { } from ? Do(at, new Patch(from, new(box.Id, port), CableFacts.NotLookedAt)) : at;
        }
        foreach (var radio in at.Mode(box.Id)?.Radios ?? [])
        {
            at = Do(at, SetRadio.Between(box.Id, radio, radio with { On = true, Password = box.Label.WifiPassword ?? radio.Password }));
        }
        return at.SetUp;
    }

    /// <summary>A device on a cable at the box at the line, or on its Wi-Fi.</summary>
    public static SetUp Of(Design design, Device device, HostAddress address, bool? byCable)
    {
        var at = Do(design, new SetDeviceAddress(device.Id, address));
        if (byCable == true)
        {
            return (
                Free(at, device.Id) is { } port ? Do(at, new Patch(port, PortRef.OfDevice(device.Id), CableFacts.NotLookedAt)) : at
            ).SetUp;
        }
        var heard = InUse(at)
            .SelectMany(b => Air.Of(at, b.Box))
            .Where(a => !a.Guest && (device.Bands.Count == 0 || device.Bands.Contains(a.Radio.Band)))
            .Select(a => new WifiJoin(a.Box, a.Setting.Name, a.Setting.Password))
            .FirstOrDefault();
        return heard is null ? at.SetUp : Do(at, new JoinWifi(device.Id, heard)).SetUp;
    }

    /// <summary>Boxes in use, the one at the line first.</summary>
    private static IEnumerable<BoxSetting> InUse(Design design) => design.SetUp.Boxes.OrderBy(b => b.Box != design.Site.Service.HandOff);

    /// <summary>The first free inner port of the box at the line, else of another box in use.</summary>
    private static PortRef? Free(Design design, string butNot) =>
        InUse(design)
            .Where(b => b.Box != butNot)
            .SelectMany(b => design.Box(b.Box)!.Profile.Ports.Where(p => p.Role == PortRole.Lan).Select(p => new PortRef(b.Box, p.Id)))
            .Where(p => design.CableAt(p) is null)
            .Select(p => (PortRef?)p)
            .FirstOrDefault();

    private static Design Do(Design design, params IEnumerable<Change> changes) =>
        changes.Aggregate(design, (at, c) => c.ApplyTo(at) is { Ok: true } done ? at with { SetUp = done.Value } : at);
}
