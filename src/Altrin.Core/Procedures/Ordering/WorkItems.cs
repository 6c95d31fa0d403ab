using Altrin.Core.Changes;
using Altrin.Core.Networks;
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
                .Concat(NewLinks(now, left))
                .OrderBy(i => IsAtHand(now, i) || (aim.IsBack && i.Kind == WorkKind.Away) ? WorkKind.Baseline : Turn(now, i))
                .ThenBy(i => i.IsLate || i.Kind == WorkKind.Table)
                .ThenBy(i => Depth(aim, i))
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
        item is { Kind: WorkKind.Save, IsLate: false }
        && now.Laptop?.Cable is { } cable
        && item.Subject.StartsWith($"{cable.Port.Owner} ", StringComparison.Ordinal);

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
        foreach (var away in left.OfType<PutAway>().Where(p => now.Design.Box(p.Id) is not null))
        {
            yield return new(WorkKind.Away, away.Id, s => OutOf(s, away.Id) && s.Do(new PutBoxAway(away.Id)));
        }
        foreach (var id in aim.Target.Boxes.Select(b => b.Box).Where(b => !AwaitsMain(now, aim, b)))
        {
            if (IsForTable(now, aim, id, left))
            {
                yield return new(WorkKind.Table, id, s => OutOf(s, id) && TableWork.Do(s, id));
                continue;
            }
            if (now.Design.Mode(id) is null)
            {
                yield return new(WorkKind.Power, id, s => s.Do(new PowerOn(id)) && s.Ready(id));
                continue;
            }
            foreach (var save in BoxSaves.Of(now, aim, id))
            {
                yield return save;
            }
            if (left.OfType<StandIn>().FirstOrDefault(c => c.Box == id) is { Place: { } place })
            {
                yield return new(WorkKind.Carry, id, s => OutOf(s, id) && s.Do(new CarryBox(id, place)) && s.Ready(id));
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
                yield return new(WorkKind.Patch, patch.Id ?? $"{patch.A} {patch.B}", s => Patching.Plug(s, patch));
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
                yield return new(WorkKind.Patch, cable.Id, s => Patching.Plug(s, anew));
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

    /// <summary>
    /// Devices that keep what a DHCP server gave them that is not there any more, whose subnet is another now, or whose address it gave to
    /// another since it started anew.
    /// </summary>
    private static IEnumerable<WorkItem> NewLinks(State now, IReadOnlyList<Change> left)
    {
        var twice = now.Seen().Hosts.Conflicts.Where(c => c.Pool is null).SelectMany(c => c.Holders).ToHashSet(StringComparer.Ordinal);
        // A box asks anew for the address of its page when it starts.
        var boxes = twice
            .Where(b => now.Design.Box(b) is not null && now.Moment.Situation.Memory?.Of(b, Side.Page) is { Leases.Count: > 0 })
            .Select(b => new WorkItem(WorkKind.NewLink, b, s =>
                OutOf(s, b) && s.Do(new PowerOff(b)) && s.Do(new PowerOn(b)) && s.Ready(b)
            ));
        var devices = now.Seen()
            .Internet.Where(i => !i.Answer.IsYes || twice.Contains(i.Device))
            .Select(i => i.Device)
            .Where(d =>
                left.All(c => !c.Subjects().Contains(d))
                && now.Design.SetUp.Devices.First(s => s.Device == d).Address is Automatic
                && now.Moment.Situation.Memory?.Of(d, Side.Device) is { Leases: [var lease, ..] }
                && (twice.Contains(d) || IsStale(now, d, lease))
            )
            .Select(d => new WorkItem(WorkKind.NewLink, d, s => s.Do(new NewLink(d))));
        return boxes.Concat(devices);
    }

    private static bool IsStale(State now, string device, HeldLease lease)
    {
        var network = now.Seen().Network;
        return network.Find(device, Side.Device) is { Linked: true } side
            && network.Segment(side.Segment).Servers is { Count: > 0 } servers
            && servers.All(s => s.Owner != lease.Server || s.Pool?.Contains(lease.Address) != true);
    }

    /// <summary>The laptop is not in a port of a box that is to be moved.</summary>
    public static bool OutOf(Script script, string box) => script.DoIf(script.Now.Laptop?.Cable?.Port.Owner == box, new LaptopOutOfPort());

    /// <summary>Whether a cable can be plugged into a box: it has power, and what is done at the table is done.</summary>
    private static bool IsReady(State now, Aim aim, string owner, IReadOnlyList<Change> left) =>
        owner == PortRef.Street || now.Design.Mode(owner) is not null && !IsForTable(now, aim, owner, left) && !AwaitsMain(now, aim, owner);

    /// <summary>How many cables and radio links a subject is from the line in the plan: what is nearer comes first.</summary>
    private static int Depth(Aim aim, WorkItem item)
    {
        var box = item.Kind switch
        {
            WorkKind.Patch => aim.Target.Cables.FirstOrDefault(c => c.Id == item.Subject) is { } cable
                ? Math.Max(Depths(aim, cable.A.Owner), Depths(aim, cable.B.Owner))
                : 0,
            WorkKind.Table or WorkKind.Power or WorkKind.Carry => Depths(aim, item.Subject),
            WorkKind.Save => Depths(aim, item.Subject.Split(' ')[0]),
            _ => 0,
        };
        return box;
    }

    private static int Depths(Aim aim, string box)
    {
        var (seen, next) = (new HashSet<string>(StringComparer.Ordinal) { PortRef.Street }, new List<string> { PortRef.Street });
        for (var depth = 0; next.Count > 0; depth++)
        {
            if (next.Contains(box))
            {
                return depth;
            }
            var at = next;
            next =
            [
                .. aim
                    .Target.Cables.SelectMany(c =>
                        at.Contains(c.A.Owner) ? [c.B.Owner]
                        : at.Contains(c.B.Owner) ? new[] { c.A.Owner }
                        : []
                    )
                    .Concat(aim.Target.Boxes.Where(b => b.Mode.Joins is { } j && at.Contains(j.Box)).Select(b => b.Box))
                    .Concat(aim.Target.Boxes.Where(b => b.Mode is SatelliteMode m && at.Contains(m.Main)).Select(b => b.Box))
                    .Distinct()
                    .Where(seen.Add),
            ];
        }
        return 100;
    }
}
