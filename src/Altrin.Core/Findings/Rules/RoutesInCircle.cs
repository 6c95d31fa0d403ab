using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>Routers that lead to each other, or both sides of one router on one wire.</summary>
public static class RoutesInCircle
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } = new(
        CauseCodes.RoutesInCircle,
        "Packets go round in a circle between routers.",
        "Nothing behind them reaches the internet.",
        "common practice",
        Judge);

    private static IEnumerable<Finding> Judge(Evidence e) => e.Cited(CauseCodes.RoutesInCircle).Select(cause => e.Finding(
        CauseCodes.RoutesInCircle,
        cause.Subjects,
        $"The outer side of {e.Names(cause.Subjects)} leads back to its inner side",
        "Nothing behind it reaches the internet.",
        cause.Subjects.Select(s => e.WanCable(s)).OfType<Cable>().Select(c => Cures.Hopeful(new Unpatch(c.Id).Describe(e.Design), new Unpatch(c.Id))),
        ["Find the cable that leads from its inner side to its outer port."]));
}
