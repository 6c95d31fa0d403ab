using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>Leases that outlast the visits of phones and guests, from a pool that is not wide.</summary>
public static class LeaseTooLong
{
    /// <summary>Longer than this a lease is long for what comes and goes: a day (common practice).</summary>
    public const int LongMinutes = 1440;

    /// <summary>A pool with this many addresses for each device is wide enough for any lease (common practice).</summary>
    public const int Wide = 4;

    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "lease-too-long",
            "leases too long",
            "Leases last for days where phones and guests come and go.",
            "A device that left keeps its address until the lease runs out, and phones that change their MAC address take one each time.",
            "RFC 2131; common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Routers.Where(r => r.Mode.Server is { On: true, LeaseMinutes: > LongMinutes })
            .Select(r => (r.Box, r.Mode, Moving: Moving(e, r.Box.Id), Asking: e.Seen.Leasing.Unreserved(r.Box.Id)))
            .Where(r => r.Moving > 0 && r.Mode.Server.Pool.Count < Wide * r.Asking)
            .Select(r =>
                e.Finding(
                    Rule,
                    [r.Box.Id],
                    $"Leases of {r.Box.Name} last {Length(r.Mode.Server.LeaseMinutes!.Value)}, and its pool of {r.Mode.Server.Pool.Count} serves {r.Asking}, {r.Moving} of them phones and the like",
                    "One day a visitor, or a phone that was renewed, gets no address.",
                    [Cures.Hopeful($"Let leases of {r.Box.Name} last a day", new SetLeaseTime(r.Box.Id, LongMinutes))]
                )
            );

    private static int Moving(Evidence e, string router) =>
        e.Sheet.Leases.Count(l =>
            l.Offers.Any(o => o.Server == router && o.Exact is null)
            && e.Design.Device(l.Owner)?.Kind is DeviceKind.Phone or DeviceKind.Tablet or DeviceKind.Laptop
        );

    private static string Length(int minutes) => minutes >= 2 * LongMinutes ? $"{minutes / LongMinutes} days" : "more than a day";
}
