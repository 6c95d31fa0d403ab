using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>One address on two hosts of one segment.</summary>
public static class AddressConflict
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.AddressConflict,
            "same address",
            "Two hosts of one segment have the same address.",
            "Both drop out in turn: the one that sent last is believed.",
            "RFC 5227",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Sheet.Conflicts.Where(c => c.Pool is null)
            .Select(c =>
                e.Finding(
                    Rule,
                    c.Holders,
                    $"{c.Address} is on {e.Names(c.Holders)} at once",
                    "Both drop out in turn, and the page that opens at this address may be the other one's.",
                    e.Seen.Hosts.Holders(c.Segment, c.Address)
                        .Where(h => h.Setting is Fixed && !IsMainRouter(e, h))
                        .SelectMany(h => Cures.MoveToFree(e, h).Concat(Cures.Ask(e, h)))
                )
            );

    private static bool IsMainRouter(Evidence e, Interface host) =>
        e.PlanOf(e.Network.Segment(host.Segment)) is var (_, main) && main == host.Owner && host.Side == Side.Lan;
}
