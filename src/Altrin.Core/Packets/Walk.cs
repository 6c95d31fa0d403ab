using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Packets;

/// <summary>
/// One connection, followed packet by packet: out, and the answer back. Each box on the way does what it does with a real one:
/// looks the target up, asks who has the address, translates, lets in or drops. What luck decides is asked of the choices.
/// </summary>
internal sealed class Walk(World world, Choices choices)
{
    /// <summary>A packet lives this many hops at most (RFC 1700, from memory).</summary>
    private const int MostHops = 64;

    private readonly Trail _trail = new(world);
    private readonly Addresses _addresses = new(world, choices);
    private Hop _last;
    private Wire? _wire;
    private ProviderEdge? _edge;

    /// <summary>The need that the connection stands for; null for others.</summary>
    public ReachFromOutside? Need { get; init; }

    /// <summary>Whether it is a ping, which some answer who answer nothing else.</summary>
    public bool IsPing { get; init; }

    /// <summary>
    /// Knows the way onward from the WAN side of a router: behind NAT it cannot be told whose packets they were, so
    /// that part is followed once for everybody. Null where every step is to be followed.
    /// </summary>
    public Func<Interface, Route>? Onward { get; init; }

    /// <summary>Takes down every packet on its way, for a listener; null where there is none.</summary>
    public List<Leg>? Legs { get; init; }

    /// <summary>Hosts at whom forwards on the way are meant to aim.</summary>
    public IReadOnlyCollection<Interface> Aims { get; init; } = [];

    private Departure Start => new(world, choices, _addresses, _trail);

    private ProviderEdge Edge => _edge ??= new(world, _addresses, _trail);

    /// <summary>A connection from a host to any host of the internet.</summary>
    public (Answer, Route) ToInternet(Interface host) => Connect(host, Provider.Host, world.Internet, null, 0);

    /// <summary>A connection from one host to another by its address.</summary>
    public (Answer, Route) To(Interface from, Interface to)
    {
        if (_addresses.Of(to) is { } address)
        {
            // A ping is answered by the host that has the address.
            return Connect(from, address, IsPing ? null : to, null, 0);
        }
        Stop(to.Owner, to.Linked ? world.NoAddress(to) : world.Unlinked(to));
        return End(from);
    }

    /// <summary>One packet from a host to another, which needs no answer.</summary>
    public (Answer, Route) Deliver(Interface from, Interface to)
    {
        if (
            _addresses.Of(to) is { } address
            && Start.Begin(ref from, address, null, 0, out var packet)
            && (Start.Itself(from, address) ?? Carry(from, ref packet, false)) is { } at
            && at.Owner != to.Owner
        )
        {
            Stop(at.Owner, Cause.Of(CauseCodes.NoAnswer, $"{address} is {Name(at.Owner)} there, not {Name(to.Owner)}.", at.Owner));
        }
        return End(from);
    }

    /// <summary>A connection from a host to the host that has an address.</summary>
    public (Answer, Route) ToAddress(Interface from, Ipv4Address target) => Connect(from, target, null, null, 0);

    /// <summary>A question to a DNS server. Answers at whom it arrives.</summary>
    public (Answer Answer, Interface? At) Ask(Interface from, Ipv4Address server)
    {
        if (!Start.Begin(ref from, server, Protocol.Udp, 53, out var packet))
        {
            return (End(from).Item1, null);
        }
        // One that asks itself gets no answer: it has none to give (measured).
        var at =
            packet.Source == server
                ? Stop(from.Owner, Cause.Of(CauseCodes.NoAnswer, $"{server} is {Name(from.Owner)} itself.", from.Owner))
                : Carry(from, ref packet, false);
        if (at is not null && at.Owner != from.Owner && Answered(from, at, server, packet) is false)
        {
            at = null;
        }
        return (End(from).Item1, at);
    }

    /// <summary>
    /// A connection from the internet to the address of a side at the street, on the port of the need. Without a device it is
    /// good wherever it arrives.
    /// </summary>
    public (Answer, Route) FromInternet(Interface entry, Interface? device)
    {
        var need = Need!;
        if (_addresses.Of(entry) is not { } address)
        {
            Stop(entry.Owner, world.NoAddress(entry));
            return End(entry);
        }
        if (need.AsksItself && device is not null)
        {
            _addresses.Of(device);
        }
        var packet = new Packet(Provider.Host, address, need.Protocol, need.Asked);
        var at = Carry(world.Internet, ref packet, false);
        if (at is not null && device is not null && at.Owner != device.Owner)
        {
            Stop(
                at.Owner,
                Cause.Of(
                    CauseCodes.NotForwarded,
                    $"{Name(_trail.Routers.LastOrDefault() ?? at.Owner)} forwards port {need.Asked} to {packet.Target}, which is not {Name(device.Owner)}.",
                    _trail.Routers.LastOrDefault() ?? at.Owner
                )
            );
        }
        else if (at is not null && device is not null && packet.Port != need.Port)
        {
            Stop(
                _trail.Routers[^1],
                Cause.Of(
                    CauseCodes.NotForwarded,
                    $"The connection arrives at port {packet.Port} instead of {need.Port}.",
                    _trail.Routers[^1]
                )
            );
        }
        else if (at is not null)
        {
            _trail.ArrivedAt = at;
            Answered(world.Internet, at, address, packet);
        }
        return End(entry);
    }

    private (Answer, Route) Connect(Interface from, Ipv4Address target, Interface? goal, Protocol? protocol, int port)
    {
        if (Start.Begin(ref from, target, protocol, port, out var packet))
        {
            // A packet for one's own address never leaves the host.
            var at = Start.Itself(from, target) ?? Carry(from, ref packet, false);
            if (at?.Owner == from.Owner && goal is not null && goal.Owner != from.Owner && goal.Segment == at.Segment)
            {
                Stop(from.Owner, _addresses.Clash(target, [at, goal])[0]);
            }
            else if (at is not null && goal is not null && at.Owner != goal.Owner)
            {
                Stop(
                    at.Owner,
                    Cause.Of(CauseCodes.NoAnswer, $"{packet.Target} is {Name(at.Owner)} there, not {Name(goal.Owner)}.", at.Owner)
                );
            }
            else if (at is not null && at.Owner != from.Owner)
            {
                _trail.ArrivedAt = at;
                Answered(from, _trail.HandedOn is null ? at : world.Network.Find(_trail.Routers[^1], Side.Wan)!, target, packet);
            }
        }
        return End(from);
    }

    /// <summary>The answer on its way back; false where it does not arrive, or not as an answer.</summary>
    private bool Answered(Interface client, Interface at, Ipv4Address asked, Packet packet)
    {
        var answer = new Packet(packet.Target, packet.Source, packet.Protocol, packet.Port);
        var lost = _trail.Wrong.Count;
        var back = Carry(at, ref answer, true);
        if (back is not null && (back.Owner != client.Owner || answer.Source != asked))
        {
            Stop(
                at.Owner,
                Cause.Of(
                    CauseCodes.NoReturnRoute,
                    $"The answer comes to {Name(back.Owner)} from {answer.Source}, not to {Name(client.Owner)} from {asked}.",
                    at.Owner
                )
            );
        }
        if (_trail.Wrong.Count > lost && _trail.Routers.FirstOrDefault(r => world.Network.Router(r) is { Nat: false }) is { } open)
        {
            _trail.Wrong.RemoveRange(lost, _trail.Wrong.Count - lost);
            Stop(
                open,
                Cause.Of(
                    CauseCodes.NoReturnRoute,
                    $"{Name(open)} has no NAT, and what is before it has no route back to {packet.Source}.",
                    open
                )
            );
        }
        return _trail.Wrong.Count == lost;
    }

    private Interface? Carry(Interface origin, ref Packet packet, bool answer)
    {
        var at = origin;
        for (var hop = 0; hop < MostHops; hop++)
        {
            if (!world.Network.Work.Step())
            {
                _trail.Open.Add(World.NotWorkedOut);
                _trail.StopsAt(at.Owner);
                return null;
            }
            if (hop > 0)
            {
                if (answer)
                {
                    _trail.Undo(at.Owner, ref packet);
                }
                else if (!new Entrance(world, _addresses, _trail, Need, IsPing).Enter(at, ref packet))
                {
                    return null;
                }
                if (_addresses.Receiver(at, packet.Target) is { } receiver)
                {
                    return receiver;
                }
                if (at.Side is Side.Device or Side.Page or Side.Laptop)
                {
                    return Stop(
                        at.Owner,
                        Cause.Of(CauseCodes.GatewayWrong, $"{_last.Next} is {Name(at.Owner)}, which does not route.", _last.Blame)
                    );
                }
                if (!answer && at.Side is not Side.Provider)
                {
                    _trail.Routers.Add(at.Owner);
                }
            }
            if (_addresses.Lost.Count > 0)
            {
                // A host that lost its address gets no further; the way is followed to its end where it keeps it.
                _trail.StopsAt(at.Owner);
                return null;
            }
            if ((at.Side == Side.Provider ? AtProvider(at, ref packet, answer) : Step(at, hop == 0, ref packet, answer)) is not { } next)
            {
                return null;
            }
            at = next;
            if (!answer && at != world.Internet)
            {
                _trail.Segments.Add(at.Segment);
            }
        }
        var circle = _trail.Routers.TakeLast(MostHops / 2).Min(StringComparer.Ordinal) ?? origin.Owner;
        if (!answer)
        {
            _trail.HandedOn = null;
            _trail.Routers.Clear();
            _trail.Segments.RemoveRange(1, _trail.Segments.Count - 1);
        }
        return Stop(circle, Cause.Of(CauseCodes.RoutingLoop, $"Packets go round in a circle at {Name(circle)}.", circle));
    }

    private Interface? Step(Interface at, bool own, ref Packet packet, bool answer)
    {
        var router = world.Network.Router(at.Owner);
        if (!answer && !own && router is not null && HandsOn(at, router, packet))
        {
            _trail.HandedOn = Onward!(world.Network.Find(at.Owner, Side.Wan)!);
            return world.Internet;
        }
        if (
            (own ? Start.Onto(at, packet.Target, answer) : new Lookup(world, choices, _addresses).At(at, packet.Target, answer, Stop))
            is not { } hop
        )
        {
            return null;
        }
        if (router is not null && !own)
        {
            var established = answer && _trail.Routers.Contains(at.Owner);
            if (!established && new Firewall(world, _trail).Bars(at, hop.Out, router) is { } barred)
            {
                return Stop(at.Owner, barred);
            }
            if (
                _addresses.Overlap(at.Owner) is { } overlap
                && world.HabitsOf(at.Owner).ChecksReversePath == Known.Yes
                && new Lookup(world, choices, _addresses).At(at, packet.Source, answer, (_, _) => null)?.Out != at
            )
            {
                return Stop(at.Owner, world.OverlapCause(overlap));
            }
            if (!answer && hop.Out.Side == Side.Wan && at.IsInner && router.Nat && _addresses.Of(hop.Out) is { } outer)
            {
                _trail.Translate(at.Owner, ref packet, outer);
            }
        }
        if (!own && hop.Out.Side == Side.Wan && at.IsInner && world.PassedOn(at.Owner) is var (passed, known))
        {
            if (known == Known.No)
            {
                return Stop(at.Owner, passed);
            }
            _trail.Open.Add(passed);
        }
        return Edge.Refuses(hop, at, packet, answer) is { } refused ? Stop(refused.By, refused.Why) : Handed(hop, packet, answer);
    }

    /// <summary>Whether the rest of the way is the same as the router's own to the internet.</summary>
    private bool HandsOn(Interface at, RouterMode router, Packet packet) =>
        Onward is not null
        && packet.Target == Provider.Host
        && at.IsInner
        && router is { Nat: true, Passing: null }
        && world.Overlap(at.Owner) is null
        && router.Routes.All(r => !r.To.Contains(packet.Target))
        && world.Sides(at.Owner).All(s => !s.IsInner || !World.Own(s).Subnet.Contains(packet.Target));

    private Interface? AtProvider(Interface at, ref Packet packet, bool answer)
    {
        if (at == world.Internet)
        {
            return Edge.KeepsOut(answer) is { } kept ? Stop(PortRef.Street, kept) : Beyond(at, world.Street, packet, answer);
        }
        if (Provider.Own(world.Service).Subnet.Contains(packet.Target))
        {
            return Handed(new(at, packet.Target, false, PortRef.Street), packet, answer);
        }
        if (ProviderEdge.Drops(packet.Target) is { } dropped)
        {
            return Stop(PortRef.Street, dropped);
        }
        Edge.Translate(ref packet, answer);
        return Beyond(at, world.Internet, packet, answer);
    }

    /// <summary>The provider's own net, of which nothing is known but that it leads on.</summary>
    private Interface Beyond(Interface from, Interface to, Packet packet, bool answer)
    {
        Legs?.Add(new(from, to, packet.Target, packet, answer));
        return to;
    }

    private Interface? Handed(Hop hop, Packet packet, bool answer)
    {
        _last = hop;
        _wire ??= new(world, choices, _addresses, _trail, Aims);
        var taker = _wire.Handed(hop, packet, answer);
        Legs?.Add(new(hop.Out, taker, hop.Next, packet, answer));
        return taker;
    }

    /// <summary>Ends the way: nothing receives the packet.</summary>
    private Interface? Stop(string by, Cause cause)
    {
        _trail.Stop(by, cause);
        return null;
    }

    private (Answer, Route) End(Interface from) => _trail.End(from, _addresses.Lost);

    private string Name(string id) => world.Name(id);
}
