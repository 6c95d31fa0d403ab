using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>Who holds which address in which segment, and what is wrong with that, one broadcast domain at a time.</summary>
public sealed class HostTable
{
    private readonly Network _network;
    private readonly Leasing _leasing;
    private readonly ILookup<(string Segment, Ipv4Address Address), Interface> _holders;
    private readonly Dictionary<(string, Side), List<Cause>> _clashes = [];
    private readonly Dictionary<string, List<Cause>> _inPool = new(StringComparer.Ordinal);
    private readonly Dictionary<(string Segment, string Server), Answer> _leased = [];

    internal HostTable(Network network, Leasing leasing)
    {
        (_network, _leasing) = (network, leasing);
        _holders = network.Interfaces
            .SelectMany(i => leasing.Holdings(i).Select(h => h.Exact).OfType<Ipv4Address>().Distinct().Select(a => (Key: (i.Segment, a), Host: i)))
            .ToLookup(h => h.Key, h => h.Host);
        var conflicts = new List<ConflictFact>();
        foreach (var segment in network.Segments)
        {
            conflicts.AddRange(Duplicates(segment));
            if (!segment.HasStreet)
            {
                conflicts.AddRange(FixedInPools(segment));
            }
        }
        Conflicts = [.. conflicts.OrderBy(c => c.Segment, StringComparer.Ordinal).ThenBy(c => c.Address).ThenBy(c => c.Pool, StringComparer.Ordinal)];
    }

    /// <summary>Every conflict, by segment and address.</summary>
    public IReadOnlyList<ConflictFact> Conflicts { get; }

    /// <summary>The hosts of a segment that hold an address for certain or by one of their offers.</summary>
    public IReadOnlyList<Interface> Holders(string segment, Ipv4Address address) => [.. _holders[(segment, address)]];

    /// <summary>
    /// The routers that rule a segment: those that lead on from it; where none does, those that hand out addresses; where none
    /// does that either, every router with its LAN side here.
    /// </summary>
    public IReadOnlyList<Interface> Rulers(Segment segment)
    {
        var routers = segment.Interfaces.Where(i => i.Side is Side.Lan or Side.Guest).ToList();
        var leading = routers.Where(i => _network.Find(i.Owner, Side.Wan) is { Linked: true }).ToList();
        if (leading.Count > 0)
        {
            return leading;
        }
        var serving = routers.Where(i => segment.Servers.Any(s => s.Owner == i.Owner)).ToList();
        return serving.Count > 0 ? serving : routers;
    }

    /// <summary>What a host suffers from its own segment before its first packet leaves it: rings, duplicates, races for an address.</summary>
    public Answer Trouble(Interface host, Holding holding)
    {
        var segment = _network.Segment(host.Segment);
        if (segment.Loops.Count > 0)
        {
            return Answer.No([.. segment.Loops.Select(l => Cause.Of(CauseCodes.Loop, $"A ring of {l.Cables.Count} {(l.Cables.Count == 1 ? "cable" : "cables")} takes the segment down.", l.Cables))]);
        }
        if (holding is { Server: { } server, Exact: null })
        {
            return _leased.TryGetValue((segment.Id, server), out var known) ? known : _leased[(segment.Id, server)] = Leased(segment, server);
        }
        return _clashes.TryGetValue((host.Owner, host.Side), out var clashes) ? Answer.ByLuck(clashes) : Answer.Yes;
    }

    /// <summary>What everybody suffers who has an unreserved lease of a server.</summary>
    private Answer Leased(Segment segment, string server)
    {
        var causes = new List<Cause>(_inPool.GetValueOrDefault(server, []));
        var seat = segment.Servers.First(s => s.Owner == server);
        if (seat.Leases is { } leases && _leasing.Unreserved(server) > leases)
        {
            causes.Add(Cause.Of(CauseCodes.SeveralAtStreet, $"{_leasing.Unreserved(server)} ask the provider for an address and one gets it.", PortRef.Street));
        }
        else if (seat.Pool is { } pool && _leasing.Unreserved(server) > pool.Count)
        {
            causes.Add(Cause.Of(CauseCodes.PoolTooSmall, $"{_leasing.Unreserved(server)} ask for an address and the pool of {_network.NameOf(server)} holds {pool.Count}.", server));
        }
        return causes.Count == 0 ? Answer.Yes : Answer.ByLuck(causes);
    }

    private IEnumerable<ConflictFact> Duplicates(Segment segment)
    {
        var certain = segment.Interfaces
            .Select(i => (Host: i, Holdings: _leasing.Holdings(i)))
            .Where(i => i.Holdings is [{ Exact: not null }])
            .GroupBy(i => i.Holdings[0].Exact!.Value, i => i.Host)
            .Where(g => g.Count() > 1);
        foreach (var group in certain)
        {
            var cause = Cause.Of(CauseCodes.AddressTwice, $"{group.Key} is on {Joined(group.Select(h => h.Owner))} at once.", group.Select(h => h.Owner));
            foreach (var host in group)
            {
                Clash(host, cause);
            }
            yield return new(segment.Id, group.Key, cause.Subjects, null);
        }
    }

    private IEnumerable<ConflictFact> FixedInPools(Segment segment)
    {
        foreach (var server in segment.Servers.Where(s => s.Pool is not null))
        {
            foreach (var host in segment.Interfaces)
            {
                if (host.Owner == server.Owner || host.Setting is not Fixed typed || !server.Pool!.Value.Contains(typed.Address.Address)
                    || server.Reservations.Any(r => r.Address == typed.Address.Address && r.Hardware == host.Hardware))
                {
                    continue;
                }
                if (_leasing.Unreserved(server.Owner) > 0)
                {
                    var cause = Cause.Of(CauseCodes.FixedInPool, $"{_network.NameOf(server.Owner)} may hand {typed.Address.Address} of {_network.NameOf(host.Owner)} to somebody else.", host.Owner, server.Owner);
                    Clash(host, cause);
                    (_inPool.TryGetValue(server.Owner, out var there) ? there : _inPool[server.Owner] = []).Add(cause);
                }
                yield return new(segment.Id, typed.Address.Address, [host.Owner], server.Owner);
            }
        }
    }

    private void Clash(Interface host, Cause cause) =>
        (_clashes.TryGetValue((host.Owner, host.Side), out var there) ? there : _clashes[(host.Owner, host.Side)] = []).Add(cause);

    private string Joined(IEnumerable<string> owners) => string.Join(" and ", owners.Distinct().Order(StringComparer.Ordinal).Select(_network.NameOf));
}
