using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>How the laptop comes to the page of a box and in, with the detours that it takes.</summary>
internal static class PageWay
{
    /// <summary>Opens the page of a box from where the laptop is, or else from the nearest seat from which it opens, and logs in.</summary>
    public static bool Open(Script script, string box) => Reach(script, box) && Compare(script, box) && LogIn(script, box);

    /// <summary>Brings the laptop to where the page of a box opens, and opens nothing yet.</summary>
    public static bool Reach(Script script, string box) => script.Ready(box) && (Opens(script.Now, box) || GoTo(script, box));

    /// <summary>Plugs the laptop into a port of the box itself, where one is free and its page opens there.</summary>
    public static bool PlugIntoBox(Script script, string box)
    {
        if (!script.Aim.Ways.Socket || !script.Ready(box) || script.Now.Laptop?.Cable?.Port.Owner == box)
        {
            return script.Stuck is null;
        }
        return Seat(script, box, Cabled(script, box).Where(s => s.Port.Owner == box)) is { } seat
            ? PlugIn(script, seat.Port, seat.Address)
            : script.Stuck is null;
    }

    /// <summary>Plugs the laptop into a port with an address.</summary>
    public static bool PlugIn(Script script, PortRef port, HostAddress address)
    {
        var cable = script.Now.Laptop?.Cable;
        if (cable?.Port == port && HostAddress.Same(cable.Address, address))
        {
            return script.Stuck is null;
        }
        var has = cable?.Address ?? script.Now.Ledger.TypedOnCable ?? (HostAddress)new Automatic();
        var types = !HostAddress.Same(has, address);
        // An address is not typed where it may clash with one that is there.
        return script.DoIf(cable is not null && cable.Port != port && types, new LaptopOutOfPort())
            && script.DoIf(types, new LaptopAddress(address))
            && script.DoIf(cable?.Port != port, new LaptopToPort(port));
    }

    /// <summary>Ports of a box into which a laptop can be plugged, those first that the plan leaves free.</summary>
    public static IEnumerable<PortRef> Ports(State now, Aim aim, string box)
    {
        var profile = now.Design.Box(box)!.Profile;
        var routes = now.Design.Mode(box) is RouterMode;
        return profile
            .Ports.Where(p => p.Kind is PortKind.Unknown or PortKind.Copper)
            .Where(p => !routes || p.Role == PortRole.Lan)
            .Select(p => (Port: new PortRef(box, p.Id), p.Role))
            .Where(p => now.Design.CableAt(p.Port) is null)
            .OrderBy(p => aim.Uses(p.Port))
            .ThenBy(p => p.Role == PortRole.Wan)
            .ThenByDescending(p => p.Port)
            .Select(p => p.Port);
    }

    /// <summary>Whether the page of that very box opens where the laptop is.</summary>
    private static bool Opens(State now, string box) => now.Laptop is not null && PageOpens.Of(now, box).Ok;

    private static bool GoTo(Script script, string box)
    {
        var now = script.Now;
        if (now.Design.Box(box) is not { } wanted || now.Design.Mode(box) is null)
        {
            return script.Fail(Missing.Box(now.Design, box));
        }
        if (Seat(script, box, Cabled(script, box)) is { } seat)
        {
            return PlugIn(script, seat.Port, seat.Address);
        }
        string? onAir = null;
        foreach (var air in PageAt.Sides(wanted.Profile).Contains(PageSide.Wifi) ? Air.Of(now.Design, box) : [])
        {
            var join = new WifiJoin(box, air.Setting.Name, air.Setting.Password);
            var opens = PageOpens.Of(At(now, Laptop.In(join, new Automatic())), box);
            if (opens.Ok)
            {
                return script.DoIf(now.Laptop?.Cable is not null, new LaptopOutOfPort())
                    && script.Do(new LaptopToWifi(box, join.Name, join.Password));
            }
            onAir = new LaptopToWifi(box, join.Name, join.Password).From(now).Error is { } keptOut
                ? $"The page of {wanted.Name} does not open by Wi-Fi: {keptOut}"
                : opens.Error;
        }
        return script.Fail(PageOpens.AddressOf(now, box).Error ?? Nowhere(script.Aim.Ways, wanted, onAir));
    }

    /// <summary>
    /// The first seat from which a page opens and where the laptop is given no address that the plan types; else the first from which it
    /// opens. Null where it opens from none.
    /// </summary>
    private static (PortRef Port, HostAddress Address)? Seat(
        Script script,
        string box,
        IEnumerable<(PortRef Port, HostAddress Address)> seats
    )
    {
        (PortRef, HostAddress)? holds = null;
        foreach (var seat in seats)
        {
            var there = At(script.Now, Laptop.At(seat.Port, seat.Address));
            if (!Opens(there, box))
            {
                continue;
            }
            if (!HoldsTyped(there, script.Aim))
            {
                return seat;
            }
            holds ??= seat;
        }
        return holds;
    }

    /// <summary>Whether the laptop has an address on lease that is typed somewhere in the plan: its server keeps it.</summary>
    private static bool HoldsTyped(State there, Aim aim) =>
        there.Moment.Situation.Memory?.Of(Laptop.CableId, Side.Laptop)?.Leases.Any(l => aim.Typed.Contains(l.Address)) == true;

    private static string Nowhere(Ways ways, Box box, string? onAir) =>
        ways.Socket
            ? $"The page of {box.Name} opens from nowhere."
            : onAir
                ?? $"The page of {box.Name} opens from no Wi-Fi that it sends: it takes a laptop with an Ethernet socket, or an adapter.";

    /// <summary>Seats by cable: where the laptop is, then at the box itself, at the gateway, at any other; none without a socket.</summary>
    private static IEnumerable<(PortRef Port, HostAddress Address)> Cabled(Script script, string box)
    {
        if (!script.Aim.Ways.Socket)
        {
            yield break;
        }
        var now = script.Now;
        var gateway = Live.Gateway(now.Design)?.Id;
        var ports = new List<PortRef>();
        if (now.Laptop?.Cable is { } cable)
        {
            ports.Add(cable.Port);
        }
        foreach (
            var owner in now
                .Design.SetUp.Boxes.Select(b => b.Box)
                .Except(now.Moment.Situation.Down())
                .OrderBy(b => b != box)
                .ThenBy(b => b != gateway)
                .ThenBy(b => b, StringComparer.Ordinal)
        )
        {
            ports.AddRange(Ports(now, script.Aim, owner).Take(1));
        }
        var subnet = SubnetOf(now, box);
        foreach (var port in ports.Distinct())
        {
            yield return (port, new Automatic());
            if (subnet is { } there && FreeAddress.In(now.Design, there) is { } typed)
            {
                yield return (port, typed);
            }
        }
    }

    /// <summary>The subnet in which the page of a box is typed to be; null where it is leased, or there is none.</summary>
    private static Subnet? SubnetOf(State now, string box) =>
        Facts.Seats.HostOf(now.Seen().Network, box)?.Setting is Fixed typed ? typed.Address.Subnet : null;

    private static State At(State now, Laptop laptop) =>
        now.Moment.After(new MoveLaptop(laptop)) is { Ok: true, Value: var moment } ? new(moment, now.Ledger) : now;

    private static bool LogIn(Script script, string box)
    {
        var (now, there) = (script.Now, script.Now.Design.Box(box)!);
        if (script.Stuck is not null || Login.Lacking(now, there) is null)
        {
            return script.Stuck is null;
        }
        return now.Ledger.AtFactory.Contains(box) && there.Profile.Traits.Login == LoginHabit.OnLabel
            ? script.Do(new Fetch(box, Fetchable.LabelFacts))
            : script.Do(new TryLogin(box));
    }

    /// <summary>The page is compared with the label before anything is typed into it.</summary>
    private static bool Compare(Script script, string box)
    {
        var now = script.Now;
        if (PageOpens.AddressOf(now, box) is not { Ok: true, Value: var address })
        {
            return script.Fail($"{now.Design.NameOf(box)} has no address.");
        }
        if (now.Ledger.Opened.Concat(now.Ledger.Found).Contains(new(address, box)) && Clean(now))
        {
            return script.Stuck is null;
        }
        var leased = Blank.LeasedPage(now, box) is not null && (now.Design.Box(box)!.Mac ?? now.Design.Box(box)!.WanMac) is not null;
        return script.DoIf(!Clean(now), new ClearTable()) && script.Do(leased ? new FindPage(box) : new OpenPage(box));

        bool Clean(State of) => of.Ledger.Opened.All(o => o.Address != address || o.Box == box);
    }
}
