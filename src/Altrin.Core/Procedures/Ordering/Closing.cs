using Altrin.Core.Networks;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>What comes when all is as planned: what is proven, and what was for the evening only.</summary>
internal static class Closing
{
    /// <summary>Does what is not done yet.</summary>
    public static bool Do(Script script)
    {
        foreach (var device in Stale(script.Now))
        {
            if (script.Now.Design.Device(device) is not null)
            {
                script.Do(new NewLink(device));
            }
            else
            {
                Renewing.Restart(script, device);
            }
        }
        foreach (var router in Unasked(script.Now))
        {
            if (!PageAt.HasNone(script.Now.Design.Box(router)!.Profile) && !PageWay.Open(script, router))
            {
                return false;
            }
            var routes = script.Now.Seen().Network.Find(router, Side.Wan) is { Linked: true };
            script.Do(new Verify(routes ? Verifiable.Ipv6Kind : Verifiable.Ipv6Off, router));
        }
        return Look(script) && Home(script);
    }

    private static bool Look(Script script)
    {
        if (script.Aim.Ways.Socket && PageReach.NoInternet(script.Now) is not null && Live.Gateway(script.Now.Design) is { } gateway)
        {
            // The page of the gateway may be elsewhere than the home: any port with the internet will do.
            foreach (
                var port in script
                    .Now.Design.SetUp.Boxes.SelectMany(b => PageWay.Ports(script.Now, script.Aim, b.Box).Take(1))
                    .OrderBy(p => p.Owner == gateway.Id)
            )
            {
                var there = script.Now.Moment.After(new MoveLaptop(Laptop.At(port, new Automatic())));
                if (there.Ok && PageReach.NoInternet(new(there.Value, script.Now.Ledger)) is null)
                {
                    PageWay.PlugIn(script, port, new Automatic());
                    break;
                }
            }
        }
        if (PageReach.NoInternet(script.Now) is null)
        {
            script.Do(new Verify(Verifiable.Internet));
            // A home that was found with two gets them back.
            var one = new Verify(Verifiable.OneDhcpServer);
            script.DoIf(!script.Aim.IsBack || one.From(script.Now).Ok, one);
        }
        foreach (var device in script.Now.Seen().Internet.Where(i => i.Answer.IsYes).Select(i => i.Device).ToList())
        {
            script.Do(new Verify(Verifiable.Device, device));
        }
        return script.Stuck is null;
    }

    private static bool Home(Script script) =>
        script.DoIf(script.Now.Laptop?.Cable is not null, new LaptopOutOfPort())
        && script.DoIf(script.Now.Ledger.TypedOnCable is not null, new LaptopAddress(new Automatic()))
        && script.Do(new LaptopOffWifi(Forget: true));

    /// <summary>
    /// Who still has a lease of a DHCP server that is not there any more, or one that a server gave to another since it started anew.
    /// </summary>
    private static List<string> Stale(State now) =>
        [
            .. Invariant
                .LeftBy(now)
                .Where(b => b.Violation.Subjects is [_, "lease"])
                .Select(b => b.Violation.Subjects[0])
                .Concat(now.Seen().Hosts.Conflicts.Where(c => c.Pool is null).SelectMany(c => c.Holders.Where(h => Leases(now, h)).Skip(1)))
                .Concat(Kept(now))
                .Distinct()
                .Order(StringComparer.Ordinal),
        ];

    /// <summary>Which device has another address than the one that the DHCP server beside it keeps for it by now.</summary>
    private static IEnumerable<string> Kept(State now) =>
        now.Seen()
            .Network.Interfaces.Where(i => i is { Linked: true, Setting: Automatic, Side: Side.Device, Mac: not null })
            .Where(i =>
                now.Seen().Network.Segment(i.Segment).Servers.SelectMany(s => s.Reservations).FirstOrDefault(r => r.Mac == i.Mac)
                    is { } kept
                && now.Moment.Situation.Memory?.Of(i.Owner, i.Side)?.Leases is [{ Address: var has }]
                && has != kept.Address
            )
            .Select(i => i.Owner);

    private static bool Leases(State now, string owner) =>
        !Laptop.Is(owner) && now.Moment.Situation.Memory?.Held.Any(h => h.Owner == owner && h.Leases.Count > 0) == true;

    /// <summary>Routers with IPv6 not settled: a main router was not told how it arrives, a further one may announce itself.</summary>
    private static List<string> Unasked(State now) =>
        Invariant
            .LeftBy(now)
            .Where(b => b.Rule == Invariants.Ipv6Asked.Rule && b.Violation.Subjects is [_, "ipv6"])
            .Select(b => b.Violation.Subjects[0])
            .ToList();
}
