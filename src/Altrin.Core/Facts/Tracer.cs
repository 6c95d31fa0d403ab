using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>How far a host's packets get, and past whom.</summary>
/// <param name="Answer">Whether they get to the goal.</param>
/// <param name="Routers">Routers passed, in order; every one of them translates.</param>
/// <param name="Segments">Segments entered, the host's own first.</param>
public sealed record Route(Answer Answer, IReadOnlyList<string> Routers, IReadOnlyList<string> Segments);

/// <summary>Follows packets from a host outward, from default gateway to default gateway.</summary>
public sealed class Tracer
{
    private readonly Network _network;
    private readonly Leasing _leasing;
    private readonly HostTable _hosts;
    private readonly Dictionary<(string, Side, string?), Route> _known = [];
    private readonly HashSet<(string, Side)> _underway = [];

    internal Tracer(Network network, Leasing leasing, HostTable hosts)
    {
        (_network, _leasing, _hosts) = (network, leasing, hosts);
        Overlaps = [.. network.Interfaces.Where(i => i.Side == Side.Wan).Select(OverlapOf).OfType<OverlapFact>()];
    }

    /// <summary>Routers with overlapping subnets on both sides, by router.</summary>
    public IReadOnlyList<OverlapFact> Overlaps { get; }

    /// <summary>The way from a host to the internet.</summary>
    public Route ToInternet(Interface host) => Trace(host, null);

    /// <summary>The way from a host outward until its packets are in the goal segment.</summary>
    public Route ToSegment(Interface host, string goal) => Trace(host, goal);

    /// <summary>That a router overlaps, as a cause; null where it does not.</summary>
    public Cause? OverlapCause(string router) => Overlaps.FirstOrDefault(o => o.Router == router) is { } overlap
        ? Cause.Of(CauseCodes.SameSubnet, $"{Name(router)} has {overlap.Inner} inside and {overlap.Outer} outside: what it does with that is luck.", router)
        : null;

    private Route Trace(Interface host, string? goal)
    {
        var key = (host.Owner, host.Side, goal);
        if (_known.TryGetValue(key, out var known))
        {
            return known;
        }
        if (!_underway.Add((host.Owner, host.Side)))
        {
            return Stop(host, Answer.No(Cause.Of(CauseCodes.RoutesInCircle, $"Packets go round in a circle at {Name(host.Owner)}.", host.Owner)));
        }
        var route = Start(host, goal);
        _underway.Remove((host.Owner, host.Side));
        return _known[key] = route;
    }

    private Route Start(Interface host, string? goal)
    {
        if (!host.Linked)
        {
            var cause = Unlinked(host);
            return Stop(host, _network.Refusals.Any(r => r.Device == host.Owner && r.Why == RefusalReason.KeyNotKnown) ? Answer.NotKnown(cause) : Answer.No(cause));
        }
        if (host.Segment == PortRef.Street && WrongAtStreet(host) is { } wrong)
        {
            return Stop(host, Answer.No(wrong));
        }
        var holdings = _leasing.Holdings(host);
        if (holdings.Count == 0)
        {
            return Stop(host, Answer.No(Cause.Of(CauseCodes.NoAddressServer, $"Nobody answers when {Name(host.Owner)} asks for an address.", host.Segment)));
        }
        var ways = holdings.Select(h => (h, Route: Way(host, h, goal))).ToList();
        var race = Cause.Of(CauseCodes.TwoAddressServers, $"{Name(host.Owner)} takes whichever answers first: {string.Join(" or ", holdings.Select(h => Name(h.Server ?? host.Owner)))}.", holdings.Select(h => h.Server).OfType<string>());
        var answer = Answer.OneOf([.. ways.Select(w => ($"leased by {Name(w.h.Server ?? host.Owner)}", w.Route.Answer))], race);
        var best = ways.OrderBy(w => w.Route.Answer.Kind switch { AnswerKind.Yes => 0, AnswerKind.Luck => 1, AnswerKind.Unknown => 2, _ => 3 }).First().Route;
        return best with { Answer = answer };
    }

    private Route Way(Interface host, Holding holding, string? goal)
    {
        var trouble = _hosts.Trouble(host, holding);
        // A ring stops everything, but hides nothing: the way is followed all the same, so that what else is wrong on it is told.
        if (goal == host.Segment)
        {
            return Stop(host, trouble);
        }
        var rulers = _hosts.Rulers(_network.Segment(host.Segment));
        if (holding.Exact is { } own && holding.Server is null && rulers.Count > 0 && rulers.All(r => !SubnetOf(r).Contains(own)))
        {
            return Stop(host, Answer.No(Cause.Of(CauseCodes.OutsideSubnet, $"{own} of {Name(host.Owner)} lies outside {SubnetOf(rulers[0])}.", host.Owner)));
        }
        var blame = holding.Server is { } server && server != PortRef.Street ? server : host.Owner;
        if (holding.Gateway is not { } gateway)
        {
            return Stop(host, Answer.No(Cause.Of(CauseCodes.GatewayWrong, $"{Name(host.Owner)} has no default gateway.", blame)));
        }
        if (holding.Subnet is { } subnet && !subnet.Contains(gateway))
        {
            trouble = trouble.And(Answer.ByLuck(Cause.Of(CauseCodes.GatewayWrong, $"The gateway {gateway} lies outside {subnet}; some systems take that and some do not.", blame)));
        }
        var holders = _hosts.Holders(host.Segment, gateway);
        if (holders.Count == 0)
        {
            return Stop(host, Answer.No(Cause.Of(CauseCodes.GatewayWrong, $"Nobody answers at the gateway {gateway} of {Name(host.Owner)}.", blame)));
        }
        if (holders.Count > 1)
        {
            var clash = Cause.Of(CauseCodes.AddressTwice, $"{gateway} is on {string.Join(" and ", holders.Select(h => Name(h.Owner)))} at once.", holders.Select(h => h.Owner));
            trouble = trouble.And(Answer.ByLuck(clash));
        }
        var next = holders.FirstOrDefault(h => h.Side == Side.Provider) ?? holders.FirstOrDefault(h => h.Side is Side.Lan or Side.Guest) ?? holders[0];
        return Onward(host, trouble, next, gateway, blame, goal);
    }

    private Route Onward(Interface host, Answer soFar, Interface next, Ipv4Address gateway, string blame, string? goal)
    {
        if (next.Side == Side.Provider)
        {
            return Stop(host, goal is null ? soFar : Answer.No());
        }
        if (next.Side is not (Side.Lan or Side.Guest) || _network.Find(next.Owner, Side.Wan) is not { } wan)
        {
            return Stop(host, Answer.No(Cause.Of(CauseCodes.GatewayWrong, $"{gateway} is {Name(next.Owner)}, which does not route.", blame)));
        }
        if (OverlapCause(next.Owner) is { } overlap)
        {
            soFar = soFar.And(Answer.ByLuck(overlap));
        }
        var rest = Trace(wan, goal);
        return new(soFar.And(rest.Answer), [next.Owner, .. rest.Routers], [host.Segment, .. rest.Segments]);
    }

    private Cause Unlinked(Interface host) =>
        host.Side == Side.Wan ? Cause.Of(CauseCodes.NoWayOut, $"Nothing is plugged into the outer side of {Name(host.Owner)}.", host.Owner)
        : _network.Refusals.Any(r => r.Device == host.Owner) ? Cause.Of(CauseCodes.WifiNotJoined, $"{Name(host.Owner)} does not get into the Wi-Fi that it looks for.", host.Owner)
        : Cause.Of(CauseCodes.NotConnected, $"{Name(host.Owner)} is connected to nothing.", host.Owner);

    /// <summary>At the street the provider's word counts: leased where it leases, the given address where it gave one.</summary>
    private Cause? WrongAtStreet(Interface host) => (_network.Design.Site.Service, host.Setting) switch
    {
        (PublicFixed given, Fixed typed) when typed.Address == given.Address && typed.Gateway == given.Gateway => null,
        (PublicFixed given, _) => Cause.Of(CauseCodes.WanNotSet, $"The provider's fixed address {given.Address} with gateway {given.Gateway} is not set on {Name(host.Owner)}.", host.Owner),
        (_, Fixed) when host.Side is Side.Wan or Side.Device => Cause.Of(CauseCodes.WanNotSet, $"The provider leases the address, but {Name(host.Owner)} has one typed by hand.", host.Owner),
        _ => null,
    };

    private OverlapFact? OverlapOf(Interface wan)
    {
        var lan = _network.Find(wan.Owner, Side.Lan);
        if (lan is null || !wan.Linked || lan.Segment == wan.Segment)
        {
            return null;
        }
        var (inner, own) = (SubnetOf(lan), ((Fixed)lan.Setting).Address.Address);
        var outer = _leasing.Holdings(wan).Select(h => h.Subnet).OfType<Subnet>().Where(s => s.Overlaps(inner)).Select(s => (Subnet?)s).FirstOrDefault();
        return outer is { } clash ? new(wan.Owner, clash, inner, _hosts.Holders(wan.Segment, own).Count > 0 ? own : null) : null;
    }

    private static Subnet SubnetOf(Interface fixedHost) => ((Fixed)fixedHost.Setting).Address.Subnet;

    private static Route Stop(Interface host, Answer answer) => new(answer, [], [host.Segment]);

    private string Name(string id) => _network.NameOf(id);
}
