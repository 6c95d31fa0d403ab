using Altrin.Core.Changes;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>What can be done next on the way to a plan, worked out from what differs in a state.</summary>
internal static class WorkItems
{
    /// <summary>Every piece of work that is left, by kind and subject.</summary>
    public static IReadOnlyList<WorkItem> Of(State now, Aim aim)
    {
        var left = now.Left(aim.Target);
        return
        [
            .. Boxes(now, aim, left)
                .Concat(Cables(now, aim, left))
                .Concat(Devices(now, left))
                .Concat(Renewing.Of(now, left))
                .OrderBy(i => IsAtHand(now, i) || (aim.IsBack && i.Kind == WorkKind.Away) ? WorkKind.Baseline : Turn(now, i))
                .ThenBy(i => i.IsLate || i.Kind == WorkKind.Table)
                .ThenBy(i => aim.DepthOf(i.Box))
                .ThenBy(i => i.Subject, StringComparer.Ordinal),
        ];
    }

    /// <summary>
    /// When a piece of work has its turn: radios go on once boxes stand, and a box that others hang on is taken off the network last.
    /// </summary>
    private static WorkKind Turn(State now, WorkItem item) =>
        item.IsLate ? WorkKind.Carry
        : item.Kind == WorkKind.Table && now.Design.Mode(item.Subject) is not null ? WorkKind.Save
        : item.Kind;

    /// <summary>Whether it is set where the laptop is plugged in.</summary>
    private static bool IsAtHand(State now, WorkItem item) =>
        item is { Kind: WorkKind.Save, IsLate: false } && now.Laptop?.Cable?.Port.Owner is { } owner && item.Box == owner;

    /// <summary>Whether a box is to be set up at the table before it becomes part of the network.</summary>
    public static bool IsForTable(State now, Aim aim, string id, IReadOnlyList<Change> left)
    {
        if (now.Design.Box(id) is not { } box || aim.Of(id) is null || !TableWork.CanBe(box))
        {
            return false;
        }
        if (now.Design.Setting(id) is not { } have)
        {
            return true;
        }
        if (Live.Gateway(now.Design)?.Id == id)
        {
            return false;
        }
        return left.Any(c =>
            c.Subjects().Contains(id)
            && (c is SetMode || c is SetLanAddress lan && have.Mode is RouterMode router && router.Lan.Subnet != lan.Address.Subnet)
        );
    }

    private static IEnumerable<WorkItem> Boxes(State now, Aim aim, IReadOnlyList<Change> left)
    {
        foreach (var away in left.OfType<TakeOutOfUse>().Where(p => now.Design.Box(p.Id) is not null))
        {
            yield return new(WorkKind.Away, away.Id, s => OutOf(s, away.Id) && s.Do(new PutBoxAway(away.Id)));
        }
        foreach (var id in aim.Target.Boxes.Select(b => b.Box).Where(b => !AwaitsMain(now, aim, b)))
        {
            if (IsForTable(now, aim, id, left))
            {
                yield return new(WorkKind.Table, id, s => OutOf(s, id) && TableWork.Do(s, id)) { Box = id };
                continue;
            }
            if (now.Design.Mode(id) is null)
            {
                yield return new(WorkKind.Power, id, s => s.Do(new PowerOn(id)) && s.Ready(id)) { Box = id };
                continue;
            }
            foreach (var save in BoxSaves.Of(now, aim, id))
            {
                yield return save;
            }
            if (left.OfType<PlaceBox>().FirstOrDefault(c => c.Box == id) is { Place: { } place })
            {
                yield return new(WorkKind.Carry, id, s => OutOf(s, id) && s.Do(new CarryBox(id, place)) && s.Ready(id)) { Box = id };
            }
        }
    }

    /// <summary>A satellite is given power and paired once its main node is as planned.</summary>
    private static bool AwaitsMain(State now, Aim aim, string id) =>
        aim.Of(id)?.Mode is SatelliteMode { Main: var main }
        && main != id
        && aim.Of(main) is not null
        && (now.Design.Mode(main)?.Kind != aim.Of(main)!.Mode.Kind || BoxSaves.Of(now, aim, main).Any());

    private static IEnumerable<WorkItem> Cables(State now, Aim aim, IReadOnlyList<Change> left)
    {
        var patches = left.OfType<Patch>().ToList();
        foreach (var patch in patches.Where(p => Patching.DeviceOf(now.Design, p) is null))
        {
            if (new[] { patch.A, patch.B }.All(p => IsReady(now, aim, p.Owner, left)))
            {
                yield return new(WorkKind.Patch, patch.Id ?? $"{patch.A} {patch.B}", s => Patching.Plug(s, patch))
                {
                    Box = aim.Farther(patch.A.Owner, patch.B.Owner),
                };
            }
        }
        foreach (var unpatch in left.OfType<Unpatch>())
        {
            if (
                now.Design.SetUp.Cables.FirstOrDefault(c => c.Id == unpatch.Cable) is { } cable
                && !patches.Exists(p => Patching.Clash(cable, p))
            )
            {
                yield return new(WorkKind.Unpatch, unpatch.Cable, s => s.Do(new UnpatchCable(unpatch.Cable)));
            }
        }
        foreach (var set in left.OfType<SetCable>())
        {
            if (aim.Target.Cables.FirstOrDefault(c => c.Id == set.Cable) is { } cable && now.Design.SetUp.Cables.Any(c => c.Id == cable.Id))
            {
                var anew = new Patch(cable.A, cable.B, cable.Known) { Id = cable.Id };
                yield return new(WorkKind.Patch, cable.Id, s => Patching.Plug(s, anew)) { Box = aim.Farther(cable.A.Owner, cable.B.Owner) };
            }
        }
    }

    private static IEnumerable<WorkItem> Devices(State now, IReadOnlyList<Change> left)
    {
        foreach (var device in now.Design.Site.Devices.Select(d => d.Id))
        {
            var plug = left.OfType<Patch>().FirstOrDefault(p => Patching.DeviceOf(now.Design, p) == device);
            var takes = left.OfType<SetDeviceAddress>().FirstOrDefault(c => c.Device == device);
            var joins = left.OfType<JoinWifi>().FirstOrDefault(c => c.Device == device);
            if (
                (plug, takes, joins) == (null, null, null)
                || plug is not null && new[] { plug.A, plug.B }.Any(p => p.Owner != device && now.Design.Mode(p.Owner) is null)
                || joins?.Wifi is { } wifi && Air.Of(now.Design, wifi.Box).All(a => a.Setting.Name != wifi.Name)
            )
            {
                continue;
            }
            yield return new(WorkKind.Device, device, s =>
                // An address is typed before the cable moves where the old one would be in the way.
                s.Best([t => Plugged(t) && Typed(t), t => Typed(t) && Plugged(t)])
                && (joins is null || s.Do(new DeviceJoins(device, joins.Wifi))));

            bool Plugged(Script s) => plug is null || Patching.Plug(s, plug);
            bool Typed(Script s) => takes is null || s.Do(new DeviceTakesAddress(device, takes.Address));
        }
    }

    /// <summary>The laptop is not in a port of a box that is to be moved.</summary>
    public static bool OutOf(Script script, string box) => script.DoIf(script.Now.Laptop?.Cable?.Port.Owner == box, new LaptopOutOfPort());

    /// <summary>Whether a cable can be plugged into a box: it has power, and what is done at the table is done.</summary>
    private static bool IsReady(State now, Aim aim, string owner, IReadOnlyList<Change> left) =>
        owner == PortRef.Street || now.Design.Mode(owner) is not null && !IsForTable(now, aim, owner, left) && !AwaitsMain(now, aim, owner);
}
