using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>
/// IPv6, which is not simulated, is asked about: a box in router mode that does not route announces no IPv6 router, and a router that
/// takes over the public address is told how IPv6 arrives. Access-point mode announces none (common practice).
/// </summary>
public static class Ipv6Asked
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(
            18,
            "ipv6-asked",
            "A further box in router mode that does not route has IPv6 announcements off; a new main router is told how IPv6 arrives.",
            Judge
        );

    private static IEnumerable<Violation> Judge(Step step)
    {
        var (now, network) = (step.After, step.After.Seen().Network);
        foreach (var segment in Live.Segments(now).Where(s => !s.HasStreet))
        {
            var routers = segment.Interfaces.Where(i => i is { Side: Side.Lan, Linked: true }).Select(i => i.Owner).Distinct().ToList();
            foreach (
                var id in routers.Where(r => routers.Count > 1 && network.Find(r, Side.Wan) is not { Linked: true } && MayAnnounce(now, r))
            )
            {
                if (!now.Ledger.Verified.Contains(new(Verifiable.Ipv6Off, id)))
                {
                    yield return new(
                        [id, "ipv6"],
                        $"{network.NameOf(id)} does not route, and may announce itself as an IPv6 router: look at its page first."
                    );
                }
            }
        }
        if (!step.IsEnd)
        {
            yield break;
        }
        // What was at the line from the start was told before.
        foreach (var wan in network.Interfaces.Where(i => i is { Side: Side.Wan, Linked: true } && network.Segment(i.Segment).HasStreet))
        {
            if (wan.Owner != Live.Gateway(now.Design)?.Id && !now.Ledger.Verified.Contains(new(Verifiable.Ipv6Kind, wan.Owner)))
            {
                yield return new(
                    [wan.Owner, "ipv6"],
                    $"{network.NameOf(wan.Owner)} is the main router now, and was not told how IPv6 arrives."
                );
            }
        }
    }

    /// <summary>Whether a box may announce itself though it does not route: its kind says so, or does not say.</summary>
    private static bool MayAnnounce(State now, string box) => now.Design.Box(box)?.Profile.Habits.AnnouncesIpv6 != Known.No;
}
