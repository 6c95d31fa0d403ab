using Altrin.Core.Facts;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A device that is reached from outside by an address that does not lead there from inside.</summary>
public static class NoLoopBackRule
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } = new(
        CauseCodes.NoLoopBack,
        "not from inside",
        "A router does not lead from inside to the ports that it forwards from outside.",
        "What opens on the road does not open at home under the same address.",
        "RFC 4787, section 6",
        Judge);

    private static IEnumerable<Finding> Judge(Evidence e) => e.Sheet.Needs
        .Where(n => n.Answer.IsYes && e.Design.Site.Needs.First(x => x.Id == n.Need) is ReachFromOutside)
        .SelectMany(n => n.Via.TakeLast(1))
        .Distinct(StringComparer.Ordinal)
        .Where(r => e.Design.Box(r)?.Profile.Habits.LoopsBack == Known.No)
        .Order(StringComparer.Ordinal)
        .Select(r => e.Finding(
            CauseCodes.NoLoopBack,
            [r],
            $"{e.Name(r)} does not lead from inside to its own outer address",
            "What opens on the road by name or public address does not open at home.",
            [],
            ["At home, open it by its own address; or let the home's name server answer with that address."]));
}
