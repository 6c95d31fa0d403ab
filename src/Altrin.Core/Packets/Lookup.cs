using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Packets;

/// <summary>
/// Where a host or router sends a packet: its own subnets, the longest prefix first (RFC 1812), then its default gateway.
/// </summary>
internal readonly struct Lookup(World world, Choices choices, Addresses addresses)
{
    /// <summary>What comes of a router's overlap.</summary>
    private enum Overlapping
    {
        InnerFirst,
        OuterFirst,
        Refuses,
        Renumbers,
    }

    /// <summary>The next hop at the owner of an interface; where there is none, says so to <paramref name="stop"/>.</summary>
    public Hop? At(Interface at, Ipv4Address target, bool answer, Func<string, Cause, Interface?> stop) =>
        world.Network.Router(at.Owner) is { } router ? OfRouter(at, router, target, answer, stop) : OfHost(at, target, stop);

    /// <summary>Whether a router, as luck may have it, took another subnet for its LAN because both its sides share addresses.</summary>
    public bool HasMoved(string router) => addresses.Overlap(router) is { } overlap && Habit(overlap) == Overlapping.Renumbers;

    private Hop? OfHost(Interface host, Ipv4Address target, Func<string, Cause, Interface?> stop)
    {
        if (addresses.Of(host) is not { } own || addresses.Held(host) is not { } held)
        {
            stop(host.Owner, world.NoAddress(host));
            return null;
        }
        var blame = World.Blame(host, held);
        var subnet = Subnet.Containing(own, held.PrefixLength);
        if (subnet.Contains(target))
        {
            if (IsBroadcast(subnet, target))
            {
                stop(host.Owner, Broadcast(host.Owner, subnet, target));
                return null;
            }
            return new(host, target, false, blame);
        }
        if (held.SelfAssigned)
        {
            stop(host.Owner, world.NoAddress(host));
            return null;
        }
        if (held.Gateway is not { } gateway)
        {
            stop(
                host.Owner,
                Cause.Of(
                    CauseCodes.GatewayWrong,
                    blame == host.Owner
                        ? $"{world.Name(host.Owner)} has no default gateway."
                        : $"{world.Name(blame)} hands out no default gateway.",
                    blame
                )
            );
            return null;
        }
        if (IsBroadcast(subnet, gateway))
        {
            stop(host.Owner, Broadcast(host.Owner, subnet, gateway));
            return null;
        }
        if (!subnet.Contains(gateway))
        {
            // Linux refuses such a route unless told otherwise (measured); other systems ask for the gateway all the same (common
            // practice).
            var cause = Cause.Of(
                CauseCodes.GatewayWrong,
                $"The gateway {gateway} lies outside {subnet}; some systems take that and some do not.",
                blame
            );
            if (
                choices.Pick(new("offside", host.Owner, host.Side), () =>
                    new(["its system takes such a gateway", "its system does not"], [cause])
                ) == 1
            )
            {
                stop(host.Owner, cause);
                return null;
            }
        }
        return new(host, gateway, true, blame);
    }

    private Hop? OfRouter(Interface at, RouterMode router, Ipv4Address target, bool answer, Func<string, Cause, Interface?> stop)
    {
        var overlap = addresses.Overlap(at.Owner);
        var habit = overlap is null ? default : Habit(overlap);
        if (
            overlap is not null
            && habit == Overlapping.Renumbers
            && at.IsInner
            && !answer
            && addresses.Given(at.Segment).Any(i => i.Side == Side.Device && i.Setting is Fixed)
        )
        {
            stop(at.Owner, world.OverlapCause(overlap));
            return null;
        }
        var wan = world.Network.Find(at.Owner, Side.Wan);
        var outer =
            wan is { Linked: true } && habit != Overlapping.Refuses && addresses.Of(wan) is { } own && addresses.Held(wan) is { } held
                ? new WanSide(wan, own, held)
                : null;
        Hop? best = null;
        var length = -1;
        foreach (var side in world.Sides(at.Owner))
        {
            var subnet =
                side.IsInner ? World.Own(side).Subnet
                : side == wan ? outer?.Subnet
                : null;
            if (subnet is not { } here || !here.Contains(target))
            {
                continue;
            }
            // Of equal subnets the one set first wins (measured in Linux); a box that renumbered answers inward and asks outward.
            var wins =
                here.PrefixLength > length
                || (
                    here.PrefixLength == length
                    && side == wan
                    && (habit == Overlapping.OuterFirst || (habit == Overlapping.Renumbers && !answer))
                )
                || (
                    here.PrefixLength == length
                    && best?.Out == wan
                    && (habit == Overlapping.InnerFirst || (habit == Overlapping.Renumbers && answer))
                );
            if (wins)
            {
                (best, length) = (new(side, target, false, at.Owner), here.PrefixLength);
            }
        }
        if (best is { } direct && IsBroadcast(direct.Out.IsInner ? World.Own(direct.Out).Subnet : outer!.Subnet, target))
        {
            stop(at.Owner, Broadcast(at.Owner, Subnet.Containing(target, length), target));
            return null;
        }
        foreach (var route in router.Routes)
        {
            if (
                route.To.Contains(target)
                && route.To.PrefixLength > length
                && world.Sides(at.Owner).FirstOrDefault(s => Reaches(s, route.Via, outer)) is { } side
            )
            {
                (best, length) = (new(side, route.Via, false, at.Owner), route.To.PrefixLength);
            }
        }
        var hop = best ?? ByDefault(at, outer, habit == Overlapping.Refuses ? overlap : null, target, stop);
        if (hop is { } found && habit != Overlapping.Renumbers && overlap?.SharedAddress == found.Next && !Hears(at.Owner, overlap))
        {
            stop(at.Owner, world.OverlapCause(overlap));
            return null;
        }
        return hop;
    }

    /// <summary>
    /// Whether a router gets on with a host on its WAN side that has its own LAN address: it does not answer that one's questions for its
    /// WAN address, which seem to come from itself, so that what comes back ends once the other's table has run out (measured).
    /// </summary>
    private bool Hears(string router, OverlapFact overlap)
    {
        var cause = world.OverlapCause(overlap);
        return choices.Pick(new("twin", router), () =>
                new(["the other still knows its MAC address", "the other asks for its MAC address again"], [cause])
            ) == 0;
    }

    /// <param name="at">The side at which the packet is in the router.</param>
    /// <param name="outer">What its WAN side has; null for nothing.</param>
    /// <param name="refused">The overlap because of which it refuses its lease; null for none.</param>
    /// <param name="target">Where the packet is to go.</param>
    /// <param name="stop">Told why it goes no further.</param>
    private Hop? ByDefault(Interface at, WanSide? outer, OverlapFact? refused, Ipv4Address target, Func<string, Cause, Interface?> stop)
    {
        if (outer is { Side: var up, Held: { Gateway: { } gateway } held })
        {
            if (
                outer.Subnet.Contains(gateway)
                || choices.Pick(new("offside", at.Owner, Side.Wan), () =>
                    new(["the router takes such a gateway", "the router does not"], [Offside()])
                ) == 0
            )
            {
                return new(up, gateway, true, World.Blame(up, held));
            }
            stop(at.Owner, Offside());
            return null;

            Cause Offside() =>
                Cause.Of(
                    CauseCodes.GatewayWrong,
                    $"The gateway {gateway} lies outside the subnet of the WAN side; some boxes take that and some do not.",
                    World.Blame(up, held)
                );
        }
        stop(
            at.Owner,
            world.Network.Find(at.Owner, Side.Wan) switch
            {
                _ when refused is not null => world.OverlapCause(refused),
                { Linked: false } unlinked => world.Unlinked(unlinked),
                { } empty when world.Leasing.Holdings(empty).Count == 0 => world.NoAddress(empty),
                { } set when outer is not null => Cause.Of(
                    CauseCodes.GatewayWrong,
                    $"{world.Name(at.Owner)} has no default gateway.",
                    World.Blame(set, outer.Held)
                ),
                _ => Cause.Of(CauseCodes.NoRoute, $"{world.Name(at.Owner)} knows no way to {target}.", at.Owner),
            }
        );
        return null;
    }

    // Sent to everybody and answered by none (RFC 919); a /31 has none (RFC 3021).
    private static bool IsBroadcast(Subnet subnet, Ipv4Address target) => subnet.PrefixLength < 31 && target == subnet.Last;

    private Cause Broadcast(string owner, Subnet subnet, Ipv4Address target) =>
        Cause.Of(CauseCodes.SubnetMaskWrong, $"{target} is the broadcast address of {subnet}, as {world.Name(owner)} is set.", owner);

    private static bool Reaches(Interface side, Ipv4Address via, WanSide? outer) =>
        side.IsInner ? World.Own(side).Subnet.Contains(via) : side == outer?.Side && outer.Subnet.Contains(via);

    private Overlapping Habit(OverlapFact overlap)
    {
        var known = world.HabitsOf(overlap.Router).OnOverlap;
        if (known == OverlapHabit.Refuses)
        {
            return Overlapping.Refuses;
        }
        // One that renumbers itself is not met here any more, unless it found nowhere to go.
        // Nested prefixes are told apart by their length, whichever side was set first (measured).
        string[] orders = overlap.Inner == overlap.Outer ? ["its LAN side was set first", "its WAN side was set first"] : ["it carries on"];
        string[] ways = known is OverlapHabit.CarriesOn or OverlapHabit.Renumbers
            ? orders
            : [.. orders, "it refuses the lease", "it renumbers itself"];
        if (ways.Length == 1)
        {
            return Overlapping.InnerFirst;
        }
        var all = world;
        var pick = choices.Pick(new("overlap", overlap.Router), () => new(ways, [all.OverlapCause(overlap)]));
        return pick < orders.Length ? (Overlapping)pick
            : pick == orders.Length ? Overlapping.Refuses
            : Overlapping.Renumbers;
    }

    /// <summary>The WAN side of a router that holds an address.</summary>
    private sealed record WanSide(Interface Side, Ipv4Address Own, Holding Held)
    {
        public Subnet Subnet => Subnet.Containing(Own, Held.PrefixLength);
    }
}
