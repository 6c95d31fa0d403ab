using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Packets;

/// <summary>Who holds which address in which segment, and what is wrong with that, one broadcast domain at a time.</summary>
public sealed class HostTable
{
    private readonly Network _network;
    private readonly Leasing _leasing;
    private readonly ILookup<(string Segment, Ipv4Address Address), Interface> _holders;
    private readonly Dictionary<(string, Side), List<Cause>> _clashes = [];
    private readonly Dictionary<string, List<Cause>> _inPool = new(StringComparer.Ordinal);
    private readonly Dictionary<(string Segment, string Server), IReadOnlyList<Cause>> _leased = [];

    internal HostTable(Network network, Leasing leasing)
    {
        (_network, _leasing) = (network, leasing);
        _holders = network
            .Interfaces.SelectMany(i =>
                leasing.Holdings(i).Select(h => h.Exact).OfType<Ipv4Address>().Distinct().Select(a => (Key: (i.Segment, a), Host: i))
            )
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
        Conflicts =
        [
            .. conflicts.OrderBy(c => c.Segment, StringComparer.Ordinal).ThenBy(c => c.Address).ThenBy(c => c.Pool, StringComparer.Ordinal),
        ];
    }

    /// <summary>Every conflict, by segment and address.</summary>
    public IReadOnlyList<ConflictFact> Conflicts { get; }

    /// <summary>The hosts of a segment that hold an address for certain or by one of their offers.</summary>
    public IReadOnlyList<Interface> Holders(string segment, Ipv4Address address) => [.. _holders[(segment, address)]];

    /// <summary>
    /// The main routers of a segment: those that lead on from it; where none does, those that hand out addresses; where
    /// none does that either, every router with its LAN side here.
    /// </summary>
    public IReadOnlyList<Interface> MainRouters(Segment segment)
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

    /// <summary>
    /// Why luck may take an address away from its holder: others who may be handed it, too few leases. None where it is safe.
    /// </summary>
    public IReadOnlyList<Cause> Races(Interface host, Holding holding)
    {
        if (holding is { Server: { } server, Exact: null })
        {
            var causes = _leased.TryGetValue((host.Segment, server), out var known)
                ? known
                : _leased[(host.Segment, server)] = Leased(_network.Segment(host.Segment), server);
            // One who tries an address first declines the one that is taken, and is given another.
            return causes.All(c => c.Code != CauseCodes.FixedAddressInPool) || !Checks(host)
                ? causes
                : [.. causes.Where(c => c.Code != CauseCodes.FixedAddressInPool)];
        }
        return _clashes.TryGetValue((host.Owner, host.Side), out var clashes) ? clashes : [];
    }

    /// <summary>What everybody suffers who has an unreserved lease of a server.</summary>
    private List<Cause> Leased(Segment segment, string server)
    {
        var causes = new List<Cause>(_inPool.GetValueOrDefault(server, []));
        var seat = segment.Servers.First(s => s.Owner == server);
        if (seat.Leases is { } leases && _leasing.Unreserved(server) > leases)
        {
            causes.Add(
                Cause.Of(
                    CauseCodes.SeveralBeforeRouter,
                    $"{_leasing.Unreserved(server)} ask the provider for an address and {(leases == 1 ? "one gets it" : $"{leases} get one")}.",
                    PortRef.Street
                )
            );
        }
        else if (Shortage(seat) is { IsSmall: false } && seat.Pool is { } pool)
        {
            causes.Add(
                Cause.Of(
                    CauseCodes.PoolTooSmall,
                    $"{_leasing.Unreserved(server)} ask for an address and the pool of {_network.NameOf(server)} holds {pool.Count}.",
                    server
                )
            );
        }
        return causes;
    }

    /// <summary>How likely a client of a server goes without, where more ask than its pool holds; null where it holds enough.</summary>
    public Exposure? Shortage(SegmentServer server) =>
        server.Pool is { } pool && _leasing.Unreserved(server.Owner) > pool.Count
            ? Exposure.OfClient(_leasing.Unreserved(server.Owner), (int)pool.Count)
            : null;

    private static bool Checks(Interface client) => client.ChecksLease == Known.Yes;

    private IEnumerable<ConflictFact> Duplicates(Segment segment)
    {
        var certain = segment
            .Interfaces.Select(i => (Host: i, Holdings: _leasing.Holdings(i)))
            .Where(i => i.Holdings is [{ Exact: not null }])
            .GroupBy(i => i.Holdings[0].Exact!.Value, i => i.Host)
            .Where(g => g.Count() > 1);
        foreach (var group in certain)
        {
            yield return new(
                segment.Id,
                group.Key,
                [.. group.Select(h => h.Owner).Distinct().Order(StringComparer.Ordinal)],
                null,
                false,
                null
            );
        }
    }

    private IEnumerable<ConflictFact> FixedInPools(Segment segment)
    {
        foreach (var server in segment.Servers.Where(s => s.Pool is not null))
        {
            // Checked by the server, or by everybody who asks it, the address is handed to none while its holder answers.
            var guarded = server.ChecksOffer == Known.Yes || segment.Interfaces.Where(i => i.Setting is Automatic && i.Linked).All(Checks);
            var kept = server.Reservations.Select(r => r.Address).Append(server.Own).ToList();
            var inside = segment
                .Interfaces.Where(host =>
                    host.Owner != server.Owner
                    && host.Setting is Fixed typed
                    && server.Pool!.Value.Contains(typed.Address.Address)
                    && !server.Reservations.Any(r => r.Address == typed.Address.Address && r.Mac == host.Mac)
                )
                .Select(host => (Host: host, ((Fixed)host.Setting).Address.Address))
                .Select(h =>
                    (h.Host, h.Address, How: Exposure.OfAddress(server.Pool!.Value, kept, h.Address, _leasing.Unreserved(server.Owner)))
                )
                .ToList();
            // In a home that remembers, everybody has what it has; who may be given what later is not the question.
            var byLuck =
                !guarded && _network.Situation.Memory is null && !Exposure.AreSmall(inside.DistinctBy(h => h.Address).Select(h => h.How));
            foreach (var (host, address, exposure) in inside)
            {
                if (byLuck)
                {
                    var cause = Cause.Of(
                        CauseCodes.FixedAddressInPool,
                        $"{_network.NameOf(server.Owner)} may lease {address} of {_network.NameOf(host.Owner)} to another device.",
                        host.Owner,
                        server.Owner
                    );
                    Clash(host, cause);
                    (_inPool.TryGetValue(server.Owner, out var there) ? there : _inPool[server.Owner] = []).Add(cause);
                }
                yield return new(segment.Id, address, [host.Owner], server.Owner, guarded, exposure);
            }
        }
    }

    private void Clash(Interface host, Cause cause) =>
        (_clashes.TryGetValue((host.Owner, host.Side), out var there) ? there : _clashes[(host.Owner, host.Side)] = []).Add(cause);
}
