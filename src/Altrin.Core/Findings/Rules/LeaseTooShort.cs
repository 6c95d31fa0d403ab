using Altrin.Core.Changes;

namespace Altrin.Core.Findings.Rules;

/// <summary>Leases of minutes: set before a move so that devices ask again soon, and forgotten afterwards.</summary>
public static class LeaseTooShort
{
    /// <summary>Shorter than this a lease is meant for the evening of a move only, in minutes (common practice).</summary>
    public const int ShortMinutes = 30;

    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "lease-too-short",
            "leases too short",
            "Leases last for minutes, as they are set before a move and put back after it.",
            "Every device asks for its address again and again, and loses it soon after the DHCP server is off for a moment.",
            "RFC 2131, section 4.4.5 (from memory); common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Routers.Where(r => r.Mode.Server is { On: true, LeaseMinutes: < ShortMinutes } && e.Seen.Leasing.Unreserved(r.Box.Id) > 0)
            .Select(r =>
                e.Finding(
                    Rule,
                    [r.Box.Id],
                    $"Leases of {r.Box.Name} last {r.Mode.Server.LeaseMinutes} min",
                    "Devices lose the network within minutes when the router restarts or is busy.",
                    [Cures.Hopeful($"Let leases of {r.Box.Name} last a day", new SetLeaseTime(r.Box.Id, LeaseTooLong.LongMinutes))]
                )
            );
}
