using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A device that is reached from outside by an address that does not lead there from inside.</summary>
public static class NoHairpinRule
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.NoHairpin,
            "not from inside",
            "A router without hairpin NAT: the ports that it forwards are not reached from inside.",
            "What opens on the road does not open at home under the same address.",
            "RFC 4787, section 6",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Sheet.Needs.Where(n => n.Answer.IsYes && e.Design.Site.Needs.First(x => x.Id == n.Need) is ReachFromOutside)
            .SelectMany(n => n.Via.TakeLast(1))
            .Distinct(StringComparer.Ordinal)
            .Where(r => e.Design.Box(r)?.Profile.Habits.LoopsBack == Known.No)
            .Order(StringComparer.Ordinal)
            .Select(r =>
                e.Finding(
                    Rule,
                    [r],
                    $"{e.Name(r)} has no hairpin NAT: its WAN address is not reached from inside",
                    "What opens on the road by name or public address does not open at home.",
                    [],
                    ["At home, open it by its own address; or let the home's DNS server answer with that address."]
                )
            );
}
