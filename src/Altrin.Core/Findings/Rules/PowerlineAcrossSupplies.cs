using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>Powerline units stand in buildings that may not share one mains supply.</summary>
public static class PowerlineAcrossSupplies
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "powerline-across-supplies",
            "two supplies",
            "Powerline units stand in buildings that may not share one mains supply.",
            "Over two supplies, or through two meters, the mains carry hardly anything, and a neighbour may receive it.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Design.SetUp.Cables.Where(c => c.Medium == Medium.Powerline)
            .OrderBy(c => c.Id, StringComparer.Ordinal)
            .Select(c => Cabling.Of(e.Design, c))
            .Where(f => f.BetweenBuildings)
            .Select(f => (Fact: f, Shared: Shared(e.Design.Site, f)))
            .Where(x => x.Shared != Known.Yes)
            .Select(x =>
                e.Finding(
                    Rule,
                    [x.Fact.Cable],
                    $"The powerline link from {x.Fact.From!.Name} to {x.Fact.To!.Name} {(x.Shared == Known.No ? "crosses from one mains supply to another" : "leads between buildings, and whether they share one mains supply is not known")}",
                    "It is slow, or does not link at all.",
                    [],
                    ["Use fibre or a radio link between buildings. What feeds a building is asked of an electrician, not tried out."]
                )
            );

    private static Known Shared(Site site, CablingFact fact)
    {
        var outbuildings = new[] { fact.From!.Building, fact.To!.Building }
            .OfType<string>()
            .Select(id => site.Buildings.FirstOrDefault(b => b.Id == id))
            .OfType<Building>()
            .Where(b => b != site.Buildings[0])
            .Select(b => b.SameSupply)
            .ToList();
        return outbuildings.Contains(Known.No) ? Known.No
            : outbuildings.Contains(Known.Unknown) ? Known.Unknown
            : Known.Yes;
    }
}
