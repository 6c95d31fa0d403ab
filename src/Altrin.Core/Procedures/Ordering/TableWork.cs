using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>A further box is set up at the table: one to one with the laptop, off the live network.</summary>
internal static class TableWork
{
    /// <summary>
    /// Whether a box can be set up so: it has a page, and an address of its own at which it opens. One that waits for a lease is set where
    /// it is plugged in.
    /// </summary>
    public static bool CanBe(Box box) =>
        !PageAt.HasNone(box.Profile) && (box.FactoryAddress is not null || box.Profile.Modes[0] == ModeKind.Router);

    /// <summary>
    /// Sets it up. Of the two orders of its settings and its mode that one is taken which breaks least, then the shorter one.
    /// </summary>
    public static bool Do(Script script, string box)
    {
        if (!Bare(script, box) || !Woken(script, box) || PageAt.HasNone(script.Now.Design.Box(box)!.Profile))
        {
            return script.Stuck is null;
        }
        return Settle(script, box, s => BoxGoal.AtTable(s, script.Aim, box)) && AskedOfIpv6(script, box);
    }

    /// <summary>Sets a box to a goal, with what can be set before its mode is first or last.</summary>
    public static bool Settle(Script script, string box, Func<State, BoxSetting> goal)
    {
        if (script.Now.Design.Mode(box)?.Kind == goal(script.Now).Mode.Kind)
        {
            return Saving.Towards(script, box, goal);
        }
        List<Script> ways = [Tried(script, box, goal, before: true), Tried(script, box, goal, before: false)];
        var best = ways.OrderBy(w => w.Stuck is not null)
            .ThenBy(w => w.Done.Sum(s => s.Broken.Count))
            .ThenBy(w => w.Now.Left(script.Aim.Target).Count)
            .ThenBy(w => w.Now.Time)
            .First();
        return script.Take(best);
    }

    private static Script Tried(Script script, string box, Func<State, BoxSetting> goal, bool before)
    {
        var tried = new Script(script.Now, script.Aim);
        if (!before || Saving.Towards(tried, box, s => BoxGoal.BeforeMode(s, goal(s))))
        {
            Saving.Towards(tried, box, goal);
        }
        return tried;
    }

    /// <summary>
    /// Takes a box off the live network: it no longer sends a name that another box sends, then every cable of it is pulled but the
    /// laptop's.
    /// </summary>
    public static bool Bare(Script script, string box)
    {
        if (script.Now.Design.Mode(box) is null)
        {
            return script.Stuck is null;
        }
        return Silent(script, box)
            && script
                .Now.Design.SetUp.Cables.Where(c => c.Ends(box))
                .OrderBy(c => c.Id, StringComparer.Ordinal)
                .ToList()
                .TrueForAll(c => script.Do(new UnpatchCable(c.Id)));
    }

    /// <summary>
    /// Switches the radios of a box off where they would send, off the network, a name that leads somewhere else by then. It is left where
    /// the login is not known: it is reset soon.
    /// </summary>
    private static bool Silent(Script script, string box)
    {
        var now = script.Now;
        var (own, others) = (Names(now, b => b == box), Names(now, b => b != box));
        var (there, have) = (now.Design.Box(box)!, now.Design.Setting(box)!);
        if (!own.Overlaps(others) || own.Any(script.Aim.IsSplit) || Login.Lacking(now, there) is not null || PageAt.HasNone(there.Profile))
        {
            return script.Stuck is null;
        }
        var off = have with { Mode = have.Mode.WithRadios([.. have.Mode.Radios.Select(r => r with { On = false })]) };
        var tried = new Script(now, script.Aim);
        return !Saving.Towards(tried, box, _ => off) || script.Take(tried);
    }

    private static HashSet<string> Names(State now, Func<string, bool> of) =>
        now
            .Design.SetUp.Boxes.Where(b => of(b.Box))
            .SelectMany(b => Air.Of(now.Design, b.Box))
            .Select(a => a.Setting.Name)
            .ToHashSet(StringComparer.Ordinal);

    private static bool Woken(Script script, string id)
    {
        var box = script.Now.Design.Box(id)!;
        var fromShelf = script.Now.Design.Mode(id) is null;
        if (!script.DoIf(fromShelf, new PowerOn(id)) || !script.Ready(id))
        {
            return false;
        }
        var clean = PageAt.HasNone(box.Profile) ? box.Stored.State != StoredState.LastHome : box.Stored.State == StoredState.Factory;
        var reset =
            fromShelf && clean ? false
            : script.Aim.Ways.Reset == ResetSchool.Always ? true
            : Login.Lacking(script.Now, box) is not null;
        return script.DoIf(reset, new ResetBox(id)) && script.Ready(id);
    }

    /// <summary>A router that is not to route is asked whether it announces itself over IPv6.</summary>
    public static bool AskedOfIpv6(Script script, string id)
    {
        var now = script.Now;
        var routes = script.Aim.Target.Cables.Any(c =>
            now.Design.Box(id)!
                .Profile.Ports.Any(p => p.Role == PortRole.Wan && (c.A == new PortRef(id, p.Id) || c.B == new PortRef(id, p.Id)))
        );
        var asked =
            script.Aim.Of(id)!.Mode is RouterMode
            && !routes
            && now.Design.Box(id)!.Profile.Habits.AnnouncesIpv6 != Known.No
            && !now.Ledger.Verified.Contains(new(Verifiable.Ipv6Off, id));
        return !asked ? script.Stuck is null : PageWay.Open(script, id) && script.Do(new Verify(Verifiable.Ipv6Off, id));
    }
}
