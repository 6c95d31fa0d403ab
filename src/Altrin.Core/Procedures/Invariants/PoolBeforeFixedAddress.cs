using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>No typed address stands inside the pool of a DHCP server that hands it out.</summary>
public static class PoolBeforeFixedAddress
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(
            2,
            "pool-before-fixed-address",
            "The pool is made smaller before a typed address goes where it was, and old leases are over.",
            Judge
        );

    private static IEnumerable<Violation> Judge(Step step)
    {
        var now = step.After;
        foreach (var segment in Live.Segments(now))
        {
            foreach (var typed in segment.Interfaces.Where(i => i.Linked && i.Setting is Fixed && i.Side != Side.Provider))
            {
                var address = ((Fixed)typed.Setting).Address.Address;
                var pools = segment.Servers.Where(s => s.Own != address && s.Pool?.Contains(address) == true);
                foreach (var server in pools.Where(s => s.Reservations.All(r => r.Address != address)))
                {
                    yield return new(
                        [typed.Owner, server.Owner, $"{address}"],
                        $"{now.Seen().Network.NameOf(typed.Owner)} has {address}, which {now.Seen().Network.NameOf(server.Owner)} hands out."
                    );
                }
                foreach (var bound in Outstanding(now, segment, typed, address))
                {
                    yield return new(
                        [typed.Owner, bound, $"{address}"],
                        $"{now.Seen().Network.NameOf(typed.Owner)} has {address}, which {now.Seen().Network.NameOf(bound)} still has on lease."
                    );
                }
            }
        }
    }

    private static IEnumerable<string> Outstanding(State now, Segment segment, Interface typed, Ipv4Address address) =>
        (now.Moment.Situation.Memory?.Held ?? [])
            .Where(h => h.Owner != typed.Owner && segment.Interfaces.Any(i => i.Owner == h.Owner && i.Side == h.Side && i.Linked))
            .Where(h => h.Leases.Any(l => l.Address == address && l.EndsAt > now.Moment.Situation.Memory!.Second))
            .Select(h => h.Owner);
}
