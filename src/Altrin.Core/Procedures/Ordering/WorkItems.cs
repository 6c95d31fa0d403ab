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
                .Concat(NewLinks(now, aim, left))
                .OrderBy(i => IsAtHand(now, i) ? WorkKind.Baseline : Turn(now, i))
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
            foreach (var save in Saves(now, aim, id))
            {
                yield return save;
            }
            if (left.OfType<StandIn>().FirstOrDefault(c => c.Box == id) is { Place: { } place })
            {
                yield return new(WorkKind.Carry, id, s => OutOf(s, id) && s.Do(new CarryBox(id, place)) && s.Ready(id));
            }
        }
    }

    private static IEnumerable<WorkItem> Saves(State now, Aim aim, string id)
    {
        var goal = BoxGoal.Planned(now, aim, id);
        if (now.Design.Mode(id)!.Kind != goal.Mode.Kind)
        {
            // A gateway that stopped routing has no page any more.
            if (now.Design.Mode(id) is BridgeMode)
            {
                yield return new(WorkKind.Save, $"{id} reset", s => OutOf(s, id) && s.Do(new ResetBox(id)) && s.Ready(id));
                yield break;
            }
            // What can be set before the mode is may be set earlier than that, so that other work comes in between.
            if (PageWork.Of(now.Design, BoxGoal.BeforeMode(now, goal), aim.Ways) is [var first, ..])
            {
                yield return new(WorkKind.Save, $"{id} {first.Area}", s => Saving.Save(s, id, first)) { IsLate = IsOfAir(first) };
            }
            yield return new(WorkKind.Save, $"{id} {ModeWords.Of(goal.Mode.Kind)}", s =>
                TableWork.Settle(s, id, n => BoxGoal.Planned(n, aim, id))
            );
            yield break;
        }
        var pages = PageWork.Of(now.Design, goal, aim.Ways);
        // One page after another; radios go on when their time has come, though never while the factory's password is in force.
        var exposed = pages is [{ Changes: var begin }, ..] && begin.Any(c => c is SetPagePassword);
        foreach (var page in exposed ? pages.Take(1) : pages.Where(IsOfAir).Concat(pages.Where(p => !IsOfAir(p)).Take(1)))
        {
            yield return new(WorkKind.Save, $"{id} {page.Area}", s => Saving.Save(s, id, page)) { IsLate = IsOfAir(page) };
        }
    }

    private static bool IsOfAir(PageWork page) =>
        page.Area != PageWork.InApp && page.Changes.Any(c => c is SetRadio or SetGuest or SetPointGuest);

    /// <summary>A satellite is given power and paired once its main node is as planned.</summary>
    private static bool AwaitsMain(State now, Aim aim, string id) =>
        aim.Of(id)?.Mode is SatelliteMode { Main: var main }
        && main != id
        && aim.Of(main) is not null
        && (now.Design.Mode(main)?.Kind != aim.Of(main)!.Mode.Kind || Saves(now, aim, main).Any());

    private static IEnumerable<WorkItem> Cables(State now, Aim aim, IReadOnlyList<Change> left)
    {
        var patches = left.OfType<Patch>().ToList();
        foreach (var patch in patches.Where(p => DeviceOf(now.Design, p) is null))
        {
            if (new[] { patch.A, patch.B }.All(p => IsReady(now, aim, p.Owner, left)))
            {
                yield return new(WorkKind.Patch, patch.Id ?? $"{patch.A} {patch.B}", s => Plug(s, patch));
            }
        }
        foreach (var unpatch in left.OfType<Unpatch>())
        {
            if (now.Design.SetUp.Cables.FirstOrDefault(c => c.Id == unpatch.Cable) is { } cable && !patches.Exists(p => Clash(cable, p)))
            {
                yield return new(WorkKind.Unpatch, unpatch.Cable, s => s.Do(new UnpatchCable(unpatch.Cable)));
            }
        }
        foreach (var set in left.OfType<SetCable>())
        {
            if (aim.Target.Cables.FirstOrDefault(c => c.Id == set.Cable) is { } cable && now.Design.SetUp.Cables.Any(c => c.Id == cable.Id))
            {
                yield return new(WorkKind.Patch, cable.Id, s =>
                    s.Do(new UnpatchCable(cable.Id)) && s.Do(new PatchCable(cable.A, cable.B, cable.Id, cable.Known))
                );
            }
        }
    }

    private static IEnumerable<WorkItem> Devices(State now, IReadOnlyList<Change> left)
    {
        foreach (var device in now.Design.Site.Devices.Select(d => d.Id))
        {
            var plug = left.OfType<Patch>().FirstOrDefault(p => DeviceOf(now.Design, p) == device);
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
                (plug is null || Plug(s, plug))
                && (takes is null || s.Do(new DeviceTakesAddress(device, takes.Address)))
                && (joins is null || s.Do(new DeviceJoins(device, joins.Wifi)))
            );
        }
    }

    /// <summary>Devices that keep what a DHCP server gave them that is not there any more, or whose subnet is another now.</summary>
    private static IEnumerable<WorkItem> NewLinks(State now, Aim aim, IReadOnlyList<Change> left) =>
        now.Seen()
            .Sheet.Internet.Where(i => !i.Answer.IsYes)
            .Select(i => i.Device)
            .Where(d =>
                left.All(c => !c.Subjects().Contains(d))
                && now.Design.SetUp.Devices.First(s => s.Device == d).Address is Automatic
                && now.Moment.Situation.Memory?.Of(d, Side.Device) is { Leases: [var lease, ..] }
                && IsStale(now, d, lease)
            )
            .Select(d => new WorkItem(WorkKind.NewLink, d, s => s.Do(new NewLink(d))));

    private static bool IsStale(State now, string device, HeldLease lease)
    {
        var network = now.Seen().Network;
        return network.Find(device, Side.Device) is { Linked: true } side
            && network.Segment(side.Segment).Servers is { Count: > 0 } servers
            && servers.All(s => s.Owner != lease.Server || s.Pool?.Contains(lease.Address) != true);
    }

    /// <summary>The laptop is not in a port of a box that is to be moved.</summary>
    private static bool OutOf(Script script, string box) => script.DoIf(script.Now.Laptop?.Cable?.Port.Owner == box, new LaptopOutOfPort());

    /// <summary>A cable is plugged in, once what is in its way is pulled.</summary>
    private static bool Plug(Script script, Patch patch)
    {
        var now = script.Now;
        foreach (var cable in now.Design.SetUp.Cables.Where(c => Clash(c, patch)).OrderBy(c => c.Id, StringComparer.Ordinal))
        {
            if (!script.Do(new UnpatchCable(cable.Id)))
            {
                return false;
            }
        }
        // A box that joins by radio may not stop that beside a cable.
        var joined = new[] { patch.A.Owner, patch.B.Owner }
            .Where(b => DeviceOf(now.Design, patch) is null && now.Seen().Network.RadioLinks.Any(l => l.Box == b))
            .ToList();
        return script.DoIf(script.Now.Laptop?.Cable?.Port is { } port && (port == patch.A || port == patch.B), new LaptopOutOfPort())
            && joined.TrueForAll(b => script.Do(new PowerOff(b)))
            && script.Do(new PatchCable(patch.A, patch.B, patch.Id, patch.Known))
            && joined.TrueForAll(b => script.Do(new PowerOn(b)) && script.Ready(b));
    }

    private static bool Clash(Cable cable, Patch patch) =>
        cable.A == patch.A || cable.A == patch.B || cable.B == patch.A || cable.B == patch.B || cable.Id == patch.Id;

    private static string? DeviceOf(Design design, Patch patch) =>
        design.Device(patch.A.Owner) is not null ? patch.A.Owner
        : design.Device(patch.B.Owner) is not null ? patch.B.Owner
        : null;

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
