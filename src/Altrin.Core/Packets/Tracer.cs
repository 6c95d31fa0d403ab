using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Packets;

/// <summary>How far a host's packets get, and past whom.</summary>
/// <param name="Answer">Whether they get to the goal, and the answer back.</param>
/// <param name="Routers">Routers passed on the way out, in order.</param>
/// <param name="NatBy">Those of them that give packets another source address, in order; "street" for the carrier.</param>
/// <param name="Segments">Segments entered, the host's own first.</param>
/// <param name="StoppedBy">Who stops them; null where they arrive.</param>
/// <param name="SeenAs">Whose address the goal sees: the last translator's, else the host's own.</param>
/// <param name="ArrivedAt">At whom they arrive; null where they do not.</param>
public sealed record Route(
    Answer Answer,
    IReadOnlyList<string> Routers,
    IReadOnlyList<string> NatBy,
    IReadOnlyList<string> Segments,
    string? StoppedBy,
    string SeenAs,
    string? ArrivedAt
)
{
    /// <summary>Whether they go this way whatever luck does; where not, this is one of several.</summary>
    public bool Sure { get; init; } = true;

    /// <summary>Whether two ways pass the same boxes and are changed alike.</summary>
    internal static bool Alike(Route a, Route b) =>
        a.SeenAs == b.SeenAs && a.Routers.SequenceEqual(b.Routers) && a.NatBy.SequenceEqual(b.NatBy);
}

/// <summary>Follows packets, with every outcome of what luck decides on their way.</summary>
public sealed class Tracer
{
    private readonly World _world;
    private readonly Dictionary<(string, Side), Route> _outward = [];
    private readonly HashSet<(string, Side)> _underway = [];
    private readonly Dictionary<string, (string Owner, Route Way)> _alike = new(StringComparer.Ordinal);

    private IReadOnlyList<(Interface Lan, Cable Cable)>? _passing;

    internal Tracer(Network network, Leasing leasing, HostTable hosts) => _world = new(network, leasing, hosts);

    /// <summary>Gateways that pass their public address on, with the cable by which they do.</summary>
    private IReadOnlyList<(Interface Lan, Cable Cable)> Passing =>
        _passing ??= [
            .. _world
                .Network.Interfaces.Where(i => i.Side == Side.Lan)
                .Select(i => (i, Passer.CableOf(_world.Network.Design, i.Owner)!))
                .Where(p => p.Item2 is not null),
        ];

    /// <summary>Routers with overlapping subnets on both sides, by router.</summary>
    public IReadOnlyList<OverlapFact> Overlaps => _world.Overlaps;

    /// <summary>What packets meet.</summary>
    internal World World => _world;

    /// <summary>
    /// The routers that do NAT between a router and the internet, the nearest first, where it does NAT itself: with them it is double NAT
    /// (RFC 2663). Empty for a router without NAT, for one behind which nothing else does it, and where packets go in a circle.
    /// </summary>
    public IReadOnlyList<string> NatAbove(string router) =>
        _world.Network.Router(router) is { Nat: true }
        && _world.Network.Find(router, Side.Wan) is { } wan
        && ToInternet(wan).Routers is var above
        && !above.Contains(router)
            ? [.. above.Where(r => _world.Network.Router(r) is { Nat: true })]
            : [];

    /// <summary>The way from a host to the internet.</summary>
    public Route ToInternet(Interface host)
    {
        var key = (host.Owner, host.Side);
        if (_outward.TryGetValue(key, out var known))
        {
            return known;
        }
        if (!_underway.Add(key))
        {
            var circle = Cause.Of(CauseCodes.RoutingLoop, $"Packets go round in a circle at {_world.Name(host.Owner)}.", host.Owner);
            return new(Answer.No(circle), [], [], [host.Segment], host.Owner, host.Owner, null);
        }
        var likes = Likes(host, _world.Leasing.Holdings(host));
        if (likes is null || !_alike.TryGetValue(likes, out var like))
        {
            like = (host.Owner, Along(c => new Walk(_world, c) { Onward = ToInternet }.ToInternet(host)));
            if (likes is not null)
            {
                _alike[likes] = like;
            }
        }
        _underway.Remove(key);
        return _outward[key] = like.Way with { StoppedBy = Own(like.Way.StoppedBy), SeenAs = Own(like.Way.SeenAs)! };

        string? Own(string? owner) => owner == like.Owner ? host.Owner : owner;
    }

    /// <summary>
    /// What makes devices alike: in one segment, with unreserved leases of the same servers, their packets meet the same; only
    /// their names differ. Null for a device that is like no other.
    /// </summary>
    internal static string? Likes(Interface host, IReadOnlyList<Holding> holdings) =>
        host.Side == Side.Device && host.Linked && host.Setting is Automatic && holdings.Count > 0 && holdings.All(h => h.Exact is null)
            ? $"{host.Segment} {host.GuestOf} {host.ChecksLease} {host.Behind} {string.Join(' ', holdings.Select(h => h.Server))}"
            : null;

    /// <summary>A ping from a host, or from a router by whichever of its sides leads there, to the host that has an address.</summary>
    public Route Ping(Interface from, Ipv4Address target) => BehindPassing(from, target, Along(c => Ping(c).ToAddress(from, target)));

    /// <summary>The same to the address that another host has.</summary>
    public Route Ping(Interface from, Interface to) => BehindPassing(from, _world.Address(to), Along(c => Ping(c).To(from, to)));

    /// <summary>The way from one host to another's address.</summary>
    public Route To(Interface from, Interface to) => BehindPassing(from, _world.Address(to), Along(c => new Walk(_world, c).To(from, to)));

    /// <summary>One packet from one host to another, which needs no answer.</summary>
    public Route Deliver(Interface from, Interface to) => Along(c => new Walk(_world, c).Deliver(from, to));

    /// <summary>
    /// A connection from outside to a device: it arrives at the outermost address of the device's own way out, and each
    /// translating router must let it in (RFC 3022: nothing is translated inward without a mapping).
    /// </summary>
    /// <param name="need">What is asked for.</param>
    /// <param name="device">The device.</param>
    /// <returns>The routers from outside in, and the way.</returns>
    public (IReadOnlyList<string> Via, Route Way) FromInternet(ReachFromOutside need, Interface device)
    {
        var outward = ToInternet(device);
        string[] routers = [.. outward.Routers.Reverse()];
        return outward.Answer.Kind == AnswerKind.No || !device.Linked
            ? (routers, outward)
            : (
                routers,
                Along(c =>
                    new Walk(_world, c) { Need = need, Aims = AimsOf(outward, device) }.FromInternet(EntryOf(outward, device), device)
                )
            );
    }

    /// <summary>
    /// A connection from outside to the outermost address before a router, wherever it arrives; the router itself where nothing
    /// translates before it.
    /// </summary>
    public Route FromInternet(string router, Protocol protocol, int port)
    {
        var wan = _world.Network.Find(router, Side.Wan)!;
        var outward = ToInternet(wan);
        if (outward.Answer.Kind == AnswerKind.No)
        {
            return outward;
        }
        return Along(c =>
            new Walk(_world, c) { Need = new(router, router, protocol, port, false) }.FromInternet(EntryOf(outward, wan), null)
        );
    }

    /// <summary>The packets of a connection from one host to another, out and back, in the best outcome.</summary>
    internal (Route Way, IReadOnlyList<Leg> Legs) Packets(Interface from, Interface to) => Told(null, [], w => w.To(from, to));

    /// <summary>The packets of a connection from a host to an address.</summary>
    internal (Route Way, IReadOnlyList<Leg> Legs) Packets(Interface from, Ipv4Address target) =>
        Told(null, [], w => w.ToAddress(from, target));

    /// <summary>The packets of a connection from the internet that a device needs.</summary>
    internal (Route Way, IReadOnlyList<Leg> Legs) Packets(ReachFromOutside need, Interface device)
    {
        var outward = ToInternet(device);
        return outward.Answer.Kind == AnswerKind.No || !device.Linked
            ? (outward, [])
            : Told(need, AimsOf(outward, device), w => w.FromInternet(EntryOf(outward, device), device));
    }

    /// <summary>
    /// A gateway that passes its public address on lies on the way out of what is behind it, and its LAN with it: many answer there and
    /// some do not (common practice). Which of them it is, is not known before it is tried, unless a LAN that overlaps it hides it.
    /// </summary>
    private Route BehindPassing(Interface from, Ipv4Address? target, Route way)
    {
        if (
            way.Answer.Kind != AnswerKind.No
            || target is not { } address
            || Passing.FirstOrDefault(p => World.Own(p.Lan).Subnet.Contains(address)) is not { Lan: { } lan } passing
            || lan.Segment == from.Segment
            || _world.Leasing.Holdings(from) is not [{ Subnet: { } own }, ..]
            || own.Overlaps(World.Own(lan).Subnet)
            || ToInternet(from) is not { Answer.IsYes: true } outward
            || !passing.Cable.Ends(outward.Routers is [.., var last] ? last : from.Owner)
        )
        {
            return way;
        }
        var what =
            address == World.Own(lan).Address
                ? $"Whether the page of {_world.Name(lan.Owner)} opens from behind in IP pass-through was not found out."
                : $"Whether {_world.Name(lan.Owner)} lets what is behind it in IP pass-through to its other ports was not found out.";
        return way with { Answer = Answer.NotKnown(Cause.Of(CauseCodes.PassThroughCutsOff, what, lan.Owner)) };
    }

    /// <summary>The host that is leased the address to which a router sends a ping on may answer it.</summary>
    private Walk Ping(Choices choices) => new(_world, choices) { IsPing = true, Aims = _world.Network.Interfaces };

    /// <summary>The side at which the world sees a host.</summary>
    private Interface EntryOf(Route outward, Interface host) =>
        outward.NatBy.LastOrDefault(t => t != PortRef.Street) is { } outermost ? _world.Network.Find(outermost, Side.Wan)! : host;

    private Interface[] AimsOf(Route outward, Interface device) =>
        [device, .. outward.Routers.Reverse().Select(r => _world.Network.Find(r, Side.Wan)).OfType<Interface>()];

    private (Route, IReadOnlyList<Leg>) Told(ReachFromOutside? need, Interface[] aims, Func<Walk, (Answer, Route)> walk)
    {
        var followed = Choices.Follow(c =>
        {
            var legs = new List<Leg>();
            var (answer, way) = walk(
                new(_world, c)
                {
                    Need = need,
                    Aims = aims,
                    Legs = legs,
                }
            );
            return (answer, (way, legs));
        });
        return (followed.Result.way with { Answer = followed.Answer }, followed.Result.legs);
    }

    private static Route Along(Func<Choices, (Answer, Route)> walk)
    {
        var followed = Choices.Follow(walk, Route.Alike);
        return followed.Result with { Answer = followed.Answer, Sure = followed.Result.Sure && followed.Sure };
    }
}
