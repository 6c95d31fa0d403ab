using Altrin.Core.Procedures.Acts;
using Altrin.Core.Procedures.Invariants;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>What comes before anything is changed: what stands in, what is written down, and that it works at all.</summary>
internal static class Opening
{
    /// <summary>Does what is not done yet.</summary>
    public static bool Do(Script script)
    {
        var now = script.Now;
        foreach (var box in Labels(now, script.Aim))
        {
            script.Do(new Fetch(box, Fetchable.LabelFacts));
        }
        foreach (var ready in Fallbacks.Wanted(now.Design.Site).Where(w => now.Ledger.Verified.All(v => v.What != w)))
        {
            script.Do(new Verify(ready));
        }
        return script.Stuck is null
            && (Live.Gateway(now.Design) is not { } gateway || Record(script, gateway))
            && Apart(script)
            && Asked(script);
    }

    /// <summary>Writes down what a gateway holds, where that is not done yet.</summary>
    public static bool Record(Script script, Box gateway)
    {
        var missing = RecordedFirst
            .Wanted(script.Now.Design, gateway)
            .Append(Recordable.DeviceList)
            .Where(w => !script.Now.Ledger.Recorded.Contains(new(gateway.Id, w)))
            .ToList();
        if (missing.Count == 0)
        {
            return script.Stuck is null;
        }
        if (PageAt.HasNone(gateway.Profile) || !Reach(script, gateway.Id))
        {
            return Noted(script, gateway.Id, missing);
        }
        return script.Stuck is null
            && script.DoIf(PageReach.NoInternet(script.Now) is null, new Verify(Verifiable.Internet))
            && PageWay.Open(script, gateway.Id)
            && script.DoIf(!script.Now.Ledger.Logins.Contains(gateway.Id), new TryLogin(gateway.Id))
            && script.Do(new RecordFacts(gateway.Id, missing));
    }

    /// <summary>
    /// The laptop comes to the gateway's page; where two boxes are in each other's way, those go first that are set up at the table anyway.
    /// </summary>
    private static bool Reach(Script script, string gateway)
    {
        var now = script.Now;
        var tried = new Script(now, script.Aim);
        if (PageWay.Reach(tried, gateway))
        {
            return script.Take(tried);
        }
        var left = now.Left(script.Aim.Target);
        var apart = new Script(now, script.Aim);
        foreach (var box in now.Design.SetUp.Boxes.Select(b => b.Box).Where(b => WorkItems.IsForTable(now, script.Aim, b, left)))
        {
            TableWork.Bare(apart, box);
        }
        return PageWay.Reach(apart, gateway) && script.Take(apart);
    }

    /// <summary>What is known of a gateway without its page.</summary>
    private static bool Noted(Script script, string gateway, IReadOnlyList<Recordable> missing)
    {
        var off = missing.Where(m => !RecordFacts.IsOnPage(m)).ToList();
        return script.DoIf(off.Count > 0, new RecordFacts(gateway, off));
    }

    /// <summary>Routers in use that are not to route are asked about IPv6 while they route still, where their page opens.</summary>
    private static bool Asked(Script script)
    {
        var left = script.Now.Left(script.Aim.Target);
        var told = Ipv6Asked.Rule.Judge(new(script.Now, null, script.Now)).SelectMany(v => v.Subjects).ToHashSet(StringComparer.Ordinal);
        foreach (
            var box in script
                .Now.Design.SetUp.Boxes.Select(b => b.Box)
                .Where(b => script.Aim.Of(b) is not null && !told.Contains(b) && !WorkItems.IsForTable(script.Now, script.Aim, b, left))
        )
        {
            var asked = new Script(script.Now, script.Aim);
            if (TableWork.AskedOfIpv6(asked, box))
            {
                script.Take(asked);
            }
        }
        return script.Stuck is null;
    }

    /// <summary>From then on the laptop has one way only: its cable, where it has a socket.</summary>
    private static bool Apart(Script script) => script.DoIf(script.Aim.Ways.Socket && !script.Now.Ledger.OffHouseWifi, new LaptopOffWifi());

    /// <summary>Boxes whose password stands on a label that was not read.</summary>
    private static IEnumerable<string> Labels(State now, Aim aim)
    {
        var left = now.Left(aim.Target);
        return aim
            .Target.Boxes.Select(b => now.Design.Box(b.Box)!)
            .Where(b =>
                b.Profile.Traits.Login == LoginHabit.OnLabel
                && b.Label.Password is null
                && !now.Ledger.Fetched.Contains(new(b.Id, Fetchable.LabelFacts))
                && (now.Design.Mode(b.Id) is null || WorkItems.IsForTable(now, aim, b.Id, left))
            )
            .Select(b => b.Id);
    }
}
