using Altrin.Core.Changes;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>Routers that lead to each other, or both sides of one router on one wire.</summary>
public static class RoutingLoop
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.RoutingLoop,
            "routing loop",
            "A routing loop: packets go round between routers.",
            "Nothing behind them reaches the internet.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Cited(CauseCodes.RoutingLoop)
            .Select(cause =>
                e.Finding(
                    Rule,
                    cause.Subjects,
                    $"The WAN side of {e.Names(cause.Subjects)} leads back to its LAN side",
                    "Nothing behind it reaches the internet.",
                    cause.Subjects.SelectMany(s => Straighten(e, s)),
                    ["Find the cable that leads from its LAN side to its WAN port."]
                )
            );

    /// <summary>The cable is unplugged; where the line is free it takes the place.</summary>
    private static IEnumerable<Remedy> Straighten(Evidence e, string router)
    {
        if (e.WanCable(router) is not { } cable)
        {
            yield break;
        }
        var pull = new Unpatch(cable.Id);
        if (e.Design.CableAt(PortRef.AtStreet) is null)
        {
            yield return Cures.Hopeful(
                $"Plug the line into {e.Name(router)} instead",
                pull,
                new Patch(PortRef.AtStreet, cable.A.Owner == router ? cable.A : cable.B, CableFacts.NotLookedAt)
            );
        }
        yield return Cures.Hopeful(pull.Describe(e.Design), pull);
    }
}
