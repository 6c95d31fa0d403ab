using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A copper cable leads from one building to another.</summary>
public static class CopperBetweenBuildings
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "copper-between-buildings",
            "copper outdoors",
            "A copper cable leads from one building to another.",
            "Lightning nearby and a difference between two earths go along it, into every box at its ends.",
            "IEC 62305, IEC 60364-4-44 (from memory); common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Design.SetUp.Cables.OrderBy(c => c.Id, StringComparer.Ordinal)
            .Select(c => Cabling.Of(e.Design, c))
            .Where(f => f.BetweenBuildings && f.MayBeCopper)
            .Select(f =>
                e.Finding(
                    Rule,
                    [f.Cable],
                    $"The cable from {f.From!.Name} to {f.To!.Name} leads between buildings{(f.IsCopper ? " in copper" : ", and what it is made of was not noted")}",
                    "One day several boxes are dead at once, and a person may get hurt.",
                    [],
                    [
                        "Use fibre or a radio link. Copper only inside one earthing system, with surge protection, by a licensed person: local code decides.",
                    ]
                )
            );
}
