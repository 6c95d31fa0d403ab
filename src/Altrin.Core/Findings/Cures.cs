using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings;

/// <summary>Cures that several rules propose. Each is proven before it is offered, so a cure may be hopeful.</summary>
internal static class Cures
{
    /// <summary>A remedy that was not proven yet.</summary>
    public static Remedy Hopeful(string label, params IReadOnlyList<Change> changes) => new(label, changes, []);

    /// <summary>Ways to make a cascaded router part of the network above it, and to let the box above stop routing.</summary>
    public static IEnumerable<Remedy> OneNetwork(Evidence e, string router)
    {
        var box = e.Design.Box(router)!;
        if (e.SegmentOf(router, Side.Wan) is not { HasStreet: false } above)
        {
            yield break;
        }
        var byRadio = e.Design.Mode(router)!.Joins is not null;
        IReadOnlyList<Change> inner = [.. InnerHosts(e, router, above), .. LetInAbove(e, router, above, byRadio)];
        if (byRadio && box.Profile.Modes.Contains(ModeKind.Repeater))
        {
            yield return Hopeful(
                $"Set {box.Name} to repeater mode",
                [new SetMode(router, ModeKind.Repeater), .. KeepPage(e, box, above), .. inner]
            );
        }
        if (e.WanCable(router) is not { } cable)
        {
            yield break;
        }
        if (box.Profile.Modes.Contains(ModeKind.AccessPoint))
        {
            var move = box.Profile.WanPortJoins ? [] : MoveToLan(e, router, cable);
            if (move is not null)
            {
                yield return Hopeful(
                    $"Set {box.Name} to access-point mode",
                    [new SetMode(router, ModeKind.AccessPoint), .. move, .. KeepPage(e, box, above), .. inner]
                );
            }
        }
        if (e.PlanOf(above) is var (plan, _) && plan.FirstFree() is { } free && MoveToLan(e, router, cable) is { } byHand)
        {
            yield return Hopeful(
                $"Make {box.Name} an access point at {free} (LAN to LAN, DHCP off)",
                [new SwitchDhcpServer(router, false), new SetLanAddress(router, new(free, plan.Subnet.PrefixLength)), .. byHand, .. inner]
            );
        }
        foreach (
            var upper in e
                .Seen.Hosts.MainRouters(above)
                .Select(r => r.Owner)
                .Where(o => e.Design.Box(o)?.Profile.Modes.Contains(ModeKind.Bridge) == true)
        )
        {
            yield return Hopeful($"Set {e.Name(upper)} to bridge mode", [new SetMode(upper, ModeKind.Bridge)]);
        }
    }

    /// <summary>The page of a box that is to become an access point gets an address that stays, so that it can be found again.</summary>
    private static IEnumerable<Change> KeepPage(Evidence e, Box box, Segment above) =>
        box.Mac is { } mac && e.PlanOf(above) is var (plan, main) && plan.FirstFree() is { } free ? [new Reserve(main, mac, free)] : [];

    /// <summary>
    /// Devices behind a router that is to be flattened and must be reached from outside: the router above keeps an address for
    /// each and forwards to it. Behind a radio link of three addresses their MAC addresses do not arrive: the address is typed there.
    /// </summary>
    private static IEnumerable<Change> LetInAbove(Evidence e, string router, Segment above, bool typed)
    {
        if (e.PlanOf(above) is not var (plan, main))
        {
            yield break;
        }
        var mode = e.Network.Router(main)!;
        var taken = new HashSet<Ipv4Address>(plan.Taken);
        // The by-hand form takes the first free address itself.
        taken.UnionWith(plan.FirstFree() is { } first ? [first] : []);
        foreach (var need in e.Design.Site.Needs.OfType<ReachFromOutside>().OrderBy(n => n.Id, StringComparer.Ordinal))
        {
            var device = e.Network.Find(need.Device, Side.Device);
            if (
                device is not { Mac: { } mac }
                || device.Segment != e.Network.Find(router, Side.Lan)!.Segment
                || (plan with { Taken = taken }).FirstFree() is not { } free
            )
            {
                continue;
            }
            taken.Add(free);
            yield return new SetDeviceAddress(need.Device, typed ? Fixed.Behind(mode.Lan, free) : new Automatic());
            if (!typed)
            {
                yield return new Reserve(main, mac, free);
            }
            var outside = e.SegmentOf(main, Side.Wan) is { HasStreet: true } ? need.Asked : need.Port;
            if (mode.Forwards.Any(f => f.Protocol == need.Protocol && f.OutsidePort == outside))
            {
                yield return new RemoveForward(main, need.Protocol, outside);
            }
            yield return new AddForward(main, new(need.Protocol, outside, free, need.Port));
        }
    }

    /// <summary>Gives a cascaded router another subnet; hosts typed by hand behind it move along.</summary>
    public static IEnumerable<Remedy> Renumber(Evidence e, string router)
    {
        var mode = (RouterMode)e.Design.Mode(router)!;
        if (e.UnusedSubnet() is not { } other)
        {
            yield break;
        }
        var own = new InterfaceAddress(new(other.Network.Bits + 1), other.PrefixLength);
        var changes = new List<Change> { new SetLanAddress(router, own) };
        foreach (var host in e.SegmentOf(router, Side.Lan)!.Interfaces.Where(i => i.Side is Side.Device or Side.Page && i.Setting is Fixed))
        {
            var typed = (Fixed)host.Setting;
            if (
                mode.Lan.Subnet.Contains(typed.Address.Address)
                && other.Network.Plus(mode.Lan.Subnet.Network.DistanceTo(typed.Address.Address)) is { } moved
                && other.IsHost(moved)
            )
            {
                changes.Add(SetAddress(host, new(new(moved, other.PrefixLength), own.Address, typed.DnsServers)));
                changes.AddRange(Redirect(mode, router, typed.Address.Address, moved));
            }
        }
        yield return Hopeful($"Give {e.Name(router)} the subnet {other}", changes);
    }

    /// <summary>Moves a host typed by hand to an address that is free in its segment; forwards that aim at it follow.</summary>
    public static IEnumerable<Remedy> MoveToFree(Evidence e, Interface host)
    {
        if (
            host.Setting is not Fixed typed
            || e.PlanOf(e.Network.Segment(host.Segment)) is not var (plan, main)
            || plan.FirstFree() is not { } free
        )
        {
            yield break;
        }
        var moved = new InterfaceAddress(free, plan.Subnet.PrefixLength);
        var mainAddress = e.Network.Router(main)!.Lan.Address;
        Change move =
            host.Side == Side.Lan
                ? new SetLanAddress(host.Owner, moved)
                : SetAddress(host, new(moved, mainAddress, NamesBeside(e, host, typed.DnsServers, mainAddress)));
        yield return Hopeful(
            $"Move {e.Name(host.Owner)} to {free}",
            [move, .. Redirect(e.Network.Router(main)!, main, typed.Address.Address, free)]
        );
    }

    /// <summary>The DNS servers typed into a host, with the router's own address for addresses of the home that no host has.</summary>
    public static IReadOnlyList<Ipv4Address> NamesBeside(
        Evidence e,
        Interface host,
        IReadOnlyList<Ipv4Address> typed,
        Ipv4Address router
    ) =>
        [
            .. typed
                .Select(n => SpecialBlock.UseOf(n) == AddressUse.Private && e.Seen.Hosts.Holders(host.Segment, n).Count == 0 ? router : n)
                .Distinct(),
        ];

    /// <summary>Lets a host ask for its address.</summary>
    public static IEnumerable<Remedy> Ask(Evidence e, Interface host) =>
        host.Side == Side.Lan
            ? []
            :
            [
                Hopeful(
                    $"Let {e.Name(host.Owner)} ask for its address",
                    host.Side == Side.Page
                        ? new SetPageAddress(host.Owner, new Automatic())
                        : new SetDeviceAddress(host.Owner, new Automatic())
                ),
            ];

    /// <summary>
    /// The address at which a router can rely on a host of its LAN: typed by hand, or reserved, or to be made so by the
    /// changes that come with it; null where neither can be done.
    /// </summary>
    public static (Ipv4Address Address, IReadOnlyList<Change> First)? Anchor(Evidence e, string router, Interface host)
    {
        if (e.Network.Router(router) is not { } mode || e.Network.Find(router, Side.Lan)?.Segment != host.Segment)
        {
            return null;
        }
        var holdings = e.Seen.Leasing.Holdings(host);
        if (holdings.Count > 0 && holdings.All(h => h.Exact is not null && h.Exact == holdings[0].Exact))
        {
            return (holdings[0].Exact!.Value, []);
        }
        if (e.PlanOf(e.Network.Segment(host.Segment)) is not var (plan, _) || plan.FirstFree() is not { } free)
        {
            return null;
        }
        return host.Mac is { } mac && mode.Server.On ? (free, [new Reserve(router, mac, free)])
            : host.Side == Side.Device ? (free, [new SetDeviceAddress(host.Owner, Fixed.Behind(mode.Lan, free))])
            : host.Side == Side.Wan ? (free, [new SetWan(host.Owner, Fixed.Behind(mode.Lan, free))])
            : null;
    }

    /// <summary>
    /// Pulls a cable from the port of a box that it is in and plugs it into a free LAN port of the same box; null where none is free.
    /// </summary>
    public static IReadOnlyList<Change>? MoveToLan(Evidence e, string box, Cable cable)
    {
        var here = cable.A.Owner == box ? cable.A : cable.B;
        return e.FreeLanPort(box) is { } lan ? [new Unpatch(cable.Id), new Patch(cable.OtherEnd(here), lan, cable.Known)] : null;
    }

    /// <summary>Forwards of a router that aim at one address, aimed at another.</summary>
    public static IEnumerable<Change> Redirect(RouterMode mode, string router, Ipv4Address from, Ipv4Address to) =>
        mode
            .Forwards.Where(f => f.To == from)
            .SelectMany(f =>
                new Change[] { new RemoveForward(router, f.Protocol, f.OutsidePort), new AddForward(router, f with { To = to }) }
            );

    /// <summary>Types an address into a host, on the side that it has it.</summary>
    public static Change SetAddress(Interface host, Fixed to) =>
        host.Side switch
        {
            Side.Page => new SetPageAddress(host.Owner, to),
            Side.Wan => new SetWan(host.Owner, to),
            Side.Lan => new SetLanAddress(host.Owner, to.Address),
            _ => new SetDeviceAddress(host.Owner, to),
        };

    /// <summary>Hosts typed by hand behind a router that is to be flattened: those that would not fit above ask from then on.</summary>
    private static IReadOnlyList<Change> InnerHosts(Evidence e, string router, Segment above)
    {
        var plan = e.PlanOf(above)?.Plan;
        return
        [
            .. e.SegmentOf(router, Side.Lan)!
                .Interfaces.Where(i =>
                    i.Side is Side.Device or Side.Page
                    && i.Setting is Fixed typed
                    && plan?.Classify(typed.Address.Address) != AddressStanding.Free
                )
                .Select(i =>
                    i.Side == Side.Page
                        ? (Change)new SetPageAddress(i.Owner, new Automatic())
                        : new SetDeviceAddress(i.Owner, new Automatic())
                ),
        ];
    }
}
