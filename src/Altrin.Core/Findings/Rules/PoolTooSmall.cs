using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>More devices than addresses.</summary>
public static class PoolTooSmall
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.PoolTooSmall,
            "pool too small",
            "More devices ask than the pool holds.",
            "The last device to ask gets none, most often a guest's.",
            "RFC 2131",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Network.Segments.Where(s => !s.HasStreet)
            .SelectMany(s => s.Servers.Select(server => (Segment: s, Server: server)))
            .SelectMany(s =>
                e.Seen.Hosts.Shortage(s.Server) is { } shortage
                    ?
                    [
                        e.Finding(
                            Rule,
                            [s.Server.Owner],
                            $"{shortage.Clients} ask {e.Name(s.Server.Owner)} for an address and its pool holds {shortage.Free}",
                            $"The last device to join has no internet: a chance of {shortage.Now.Words} for each.",
                            Widest(e, s.Segment, s.Server)
                        ),
                    ]
                    : Array.Empty<Finding>()
            );

    private static IEnumerable<Remedy> Widest(Evidence e, Segment segment, SegmentServer server)
    {
        if (e.Network.Router(server.Owner) is not { } router)
        {
            yield break;
        }
        var kept = segment.Interfaces.Select(i => i.Setting).OfType<Fixed>().Select(f => f.Address.Address);
        if (router.Lan.Subnet.Hosts.LongestWithout(kept) is { } wide && wide.Count > router.Server.Pool.Count)
        {
            yield return Cures.Hopeful($"Let the pool be {wide.First} to {wide.Last}", MovePool.To(server.Owner, wide));
        }
    }
}
