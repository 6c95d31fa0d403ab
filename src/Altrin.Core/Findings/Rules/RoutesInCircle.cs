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
        "routes in a circle",
        "Packets go round in a circle between routers.",
        "Nothing behind them reaches the internet.",
        "common practice",
        Judge);

    private static IEnumerable<Finding> Judge(Evidence e) => e.Cited(CauseCodes.RoutesInCircle).Select(cause => e.Finding(
        CauseCodes.RoutesInCircle,
        cause.Subjects,
        $"The outer side of {e.Names(cause.Subjects)} leads back to its inner side",
        "Nothing behind it reaches the internet.",
        cause.Subjects.SelectMany(s => Straighten(e, s)),
        ["Find the cable that leads from its inner side to its outer port."]));

    /// <summary>The cable is pulled; where the line is free it takes the place.</summary>
    private static IEnumerable<Remedy> Straighten(Evidence e, string router)
    {
        if (e.WanCable(router) is not { } cable)
        {
            yield break;
        }
        var pull = new Unpatch(cable.Id);
        if (e.Design.CableAt(PortRef.AtStreet) is null)
        {
            yield return Cures.Hopeful($"Plug the line into {e.Name(router)} instead", pull, new Patch(PortRef.AtStreet, cable.A.Owner == router ? cable.A : cable.B, CableFacts.NotLookedAt));
        }
        yield return Cures.Hopeful(pull.Describe(e.Design), pull);
    }
}
