using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Packets;

/// <summary>Which address each host has on one way that is followed, as far as that way touches it.</summary>
internal sealed class Addresses(World world, Choices choices)
{
    private readonly List<(Interface Host, Ipv4Address Address)> _given = [];
    private readonly List<Cause> _lost = [];

    /// <summary>Why hosts on the way lost their address to another host.</summary>
    public IReadOnlyList<Cause> Lost => _lost;

    /// <summary>The lease that a host took, or what was typed; null where it has nothing.</summary>
    public Holding? Held(Interface host)
    {
        var holdings = world.Leasing.Holdings(host);
        if (holdings.Count < 2)
        {
            return holdings.Count == 0 ? null : holdings[0];
        }
        return holdings[choices.Pick(new("lease", host.Owner, host.Side), () =>
            {
                var servers = holdings.Select(h => h.Server).OfType<string>().ToList();
                return new([.. servers.Select(s => $"leased by {world.Name(s)}")], [world.FirstToAnswer(servers)]);
            })];
    }

    /// <summary>
    /// How the sides of a router overlap on this way; null where they do not. Of several servers on its WAN side one may lease it an
    /// address that does.
    /// </summary>
    public OverlapFact? Overlap(string router) =>
        world.Overlap(router) is { } overlap
        && (
            overlap.SharedAddress is not null
            || world.Network.Find(router, Side.Wan) is not { } wan
            || Held(wan)?.Subnet is not { } outer
            || outer.Overlaps(overlap.Inner)
        )
            ? overlap
            : null;

    /// <summary>The address of a host; an example of its range where the server decides; null where it has none.</summary>
    public Ipv4Address? Of(Interface host)
    {
        foreach (var (known, address) in _given)
        {
            if (known == host)
            {
                return address;
            }
        }
        if (Held(host) is not { } held)
        {
            return null;
        }
        var races = world.Hosts.Races(host, held);
        if (
            races.Count > 0
            && choices.Pick(new("keeps", host.Owner, host.Side), () => new(["it keeps its address", "another has it too"], races)) == 1
        )
        {
            _lost.AddRange(races);
        }
        if (
            held.Server is { } server
            && world.Radio.Proxied(host, server) is var (link, through, why)
            && (
                through == Known.No
                || choices.Pick(new("through", host.Owner, host.Side), () =>
                    new([$"its lease gets through {world.Name(link.Box)}", "it does not"], [why])
                ) == 1
            )
        )
        {
            _lost.Add(why);
        }
        // Where neither address nor range is known, a stand-in beside the gateway does: no other host is asked for it. Where the
        // pool is too small for all, the host that gets the address does not share it with those that the way has met.
        var own = held.Shown ?? new Ipv4Address((held.Gateway?.Bits ?? 0) + 1);
        if (held is { Exact: null, From: { } range })
        {
            own = InPart(host, range, own);
        }
        while (held.Exact is null && _given.Exists(g => g.Address == own && g.Host.Segment == host.Segment))
        {
            own = new(own.Bits + 1);
        }
        Give(host, own);
        return own;
    }

    /// <summary>
    /// Where a host has a narrower subnet mask than the pool is of, it decides whether a lease falls inside it, and only the
    /// server knows.
    /// </summary>
    private Ipv4Address InPart(Interface host, AddressRange range, Ipv4Address own)
    {
        foreach (var split in world.Splits(host.Segment))
        {
            var inside = range.Intersect(AddressRange.Between(split.Narrow.Network, split.Narrow.Last));
            if (inside is not { } part || part == range)
            {
                continue;
            }
            var pick = choices.Pick(new("part", host.Owner, host.Side, split.Narrow.Network), () =>
                new(
                    [
                        $"the address of {world.Name(host.Owner)} is outside {split.Narrow}",
                        $"the address of {world.Name(host.Owner)} is inside {split.Narrow}",
                    ],
                    [split.Why]
                )
            );
            if (split.Narrow.Contains(own) != (pick == 1))
            {
                own = pick == 1 ? part.Intersect(split.Narrow.Hosts)?.First ?? part.First : range.Outside(part)[0].First;
                while (world.Hosts.Holders(host.Segment, own).Count > 0 && range.Contains(own))
                {
                    own = new(own.Bits + 1);
                }
            }
        }
        return own;
    }

    /// <summary>Says that a host has an address on this way.</summary>
    public void Give(Interface host, Ipv4Address address)
    {
        _given.RemoveAll(g => g.Host == host);
        _given.Add((host, address));
    }

    /// <summary>The hosts of a segment that the way has touched so far.</summary>
    public IEnumerable<Interface> Given(string segment) => _given.Where(g => g.Host.Segment == segment).Select(g => g.Host);

    /// <summary>Whether a host may have an address; asks nothing of luck.</summary>
    public bool MayHave(Interface host, Ipv4Address address) =>
        _given.Exists(g => g.Host == host && g.Address == address)
        || (!_given.Exists(g => g.Host == host) && world.Leasing.Holdings(host).Any(h => (h.Exact ?? h.Example) == address));

    /// <summary>Whether a host may have been leased an address that no reservation keeps for it.</summary>
    public bool MayBeLeased(Interface host, Ipv4Address address) =>
        world.Leasing.Holdings(host).Any(h => h.Exact is null && h.From is { } pool && pool.Contains(address));

    /// <summary>The side of the one that got a packet that its target belongs to; null where the packet is for another host.</summary>
    public Interface? Receiver(Interface at, Ipv4Address target) =>
        at == world.Internet
            ? at
            : world.Sides(at.Owner).FirstOrDefault(s => (s.Linked || s.IsInner) && MayHave(s, target) && Of(s) == target);

    /// <summary>Everybody but the client who answers for an address in the client's segment.</summary>
    public IReadOnlyList<Interface> Takers(Interface client, Ipv4Address address)
    {
        var takers = new List<Interface>();
        if (
            world.Remembered(client, address) is { } old
            && choices.Pick(new("table", client.Owner, client.Side, address), () =>
                new(
                    [
                        $"{world.Name(client.Owner)} has noticed that {address} is in use elsewhere",
                        $"{world.Name(client.Owner)} still sends to {world.Name(old.Holder)}",
                    ],
                    [
                        Cause.Of(
                            CauseCodes.NoAnswer,
                            $"{world.Name(client.Owner)} may still take {world.Name(old.Holder)} for {address}, for up to {TableEntry.Most.TotalMinutes} minutes or until it is switched off and on.",
                            client.Owner
                        ),
                    ]
                )
            ) == 1
        )
        {
            return world.Network.Find(old.Holder, old.HolderSide) is { } before && before.Segment == client.Segment ? [before] : [];
        }
        foreach (var (host, known) in _given)
        {
            if (known == address && host.Segment == client.Segment && host != client)
            {
                takers.Add(host);
            }
        }
        foreach (var host in world.Hosts.Holders(client.Segment, address))
        {
            if (host != client && (host.Linked || host.IsInner) && !takers.Contains(host) && Of(host) == address)
            {
                takers.Add(host);
            }
        }
        foreach (var router in Across(client, address))
        {
            if (!takers.Contains(router) && (takers.Count > 0 || world.HabitsOf(router.Owner).AnswersAcross == Sites.Known.Yes))
            {
                takers.Add(router);
            }
        }
        takers.Sort((a, b) => Rank(a) != Rank(b) ? Rank(a) - Rank(b) : string.CompareOrdinal(a.Owner, b.Owner));
        return takers;
    }

    /// <summary>
    /// Routers that answer a client for an address that they have on another side, or may; by the side that the client sees.
    /// </summary>
    public IEnumerable<Interface> Across(Interface client, Ipv4Address address) =>
        world
            .Across(client.Segment)
            .Where(r => r.At.Owner != client.Owner && r.Others.Any(o => MayHave(o, address) && Of(o) == address))
            .Select(r => r.At);

    /// <summary>Why several answer for one address.</summary>
    public IReadOnlyList<Cause> Clash(Ipv4Address address, IReadOnlyList<Interface> takers)
    {
        var across = takers
            .Where(t => Of(t) != address)
            .Select(t => Overlap(t.Owner))
            .OfType<OverlapFact>()
            .Select(world.OverlapCause)
            .ToList();
        return across.Count > 0
            ? across
            :
            [
                Cause.Of(
                    CauseCodes.AddressConflict,
                    $"{address} is on {string.Join(" and ", takers.Select(t => world.Name(t.Owner)))} at once.",
                    takers.Select(t => t.Owner)
                ),
            ];
    }

    // Routers first: of several who answer, the one that leads on makes the best outcome, which is followed for the drawing.
    private static int Rank(Interface taker) =>
        taker.Side switch
        {
            Side.Provider => 0,
            Side.Lan or Side.Guest => 1,
            _ => 2,
        };
}
