using Altrin.Core.Networks;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>A new DHCP server does not hand out what a client still holds of an old one, and none keeps an old lease for good.</summary>
public static class OldLeases
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(
            3,
            "old-leases",
            "A new DHCP server hands out nothing that an old lease still holds; at the end every device has asked anew.",
            Judge
        );

    private static IEnumerable<Violation> Judge(Step step)
    {
        var now = step.After;
        var memory = now.Moment.Situation.Memory;
        foreach (var segment in memory is null ? [] : Live.Segments(now))
        {
            var held = memory!
                .Held.Where(h => segment.Interfaces.Any(i => i.Owner == h.Owner && i.Side == h.Side && i.Linked))
                .SelectMany(h => h.Leases.Where(l => l.EndsAt > memory.Second).Select(l => (h.Owner, Lease: l)))
                .Where(h => segment.Servers.All(s => s.Owner != h.Lease.Server))
                .ToList();
            var names = now.Seen().Network;
            foreach (var (owner, lease) in step.IsEnd ? held.Where(h => !Laptop.Is(h.Owner)) : [])
            {
                yield return new(
                    [owner, "lease"],
                    $"{names.NameOf(owner)} still has its lease from {names.NameOf(lease.Server)}: switch it off and on."
                );
            }
            foreach (var (owner, lease) in held)
            {
                // What it keeps for one MAC address it gives to none other.
                foreach (
                    var server in segment.Servers.Where(s =>
                        s.Pool?.Contains(lease.Address) == true && s.Reservations.All(r => r.Address != lease.Address)
                    )
                )
                {
                    yield return new(
                        [owner, server.Owner, $"{lease.Address}"],
                        $"{names.NameOf(server.Owner)} hands out {lease.Address}, which {names.NameOf(owner)} still has on lease from {names.NameOf(lease.Server)}: give it a new link first."
                    );
                }
            }
        }
    }
}
