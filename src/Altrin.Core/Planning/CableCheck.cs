using Altrin.Core.Facts;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>One cable of a set-up as a survey lists it.</summary>
/// <param name="Cable">Its id.</param>
/// <param name="LengthMetres">Its length; null where not known.</param>
/// <param name="Estimated">Whether that is an estimate.</param>
/// <param name="LowerBound">Whether it is at least so long.</param>
/// <param name="CarriesMbps">What it carries by its ports, medium and pairs; null where none says anything.</param>
/// <param name="Trouble">What is wrong with it, a sentence each; empty for a sound one.</param>
public sealed record CableCheck(string Cable, double? LengthMetres, bool Estimated, bool LowerBound, int? CarriesMbps, IReadOnlyList<string> Trouble)
{
    /// <summary>Every cable that is not the provider's line, by id.</summary>
    public static IReadOnlyList<CableCheck> Of(Design design) =>
        [.. design.SetUp.Cables.Where(c => !c.Ends(PortRef.Street)).OrderBy(c => c.Id, StringComparer.Ordinal).Select(c => Of(design, c))];

    private static CableCheck Of(Design design, Cable cable)
    {
        var fact = Cabling.Of(design, cable);
        var ports = new[] { cable.A, cable.B }.Select(e => design.Box(e.Owner)?.Profile.Port(e.Port)?.SpeedMbps).OfType<int>().DefaultIfEmpty(int.MaxValue).Min();
        int? medium = MediumRates.ByPairs(fact.Medium, fact.Pairs) ?? MediumRates.AtMost(fact.Medium, ports == int.MaxValue ? null : ports);
        var trouble = new List<string>();
        if ((fact.IsCopper || fact.Medium == Medium.Unknown) && fact.LengthMetres > Cabling.LongestChannelMetres)
        {
            trouble.Add($"Longer than the {Cabling.LongestChannelMetres:0} m that copper is made for.");
        }
        if (ports != int.MaxValue && medium < ports)
        {
            trouble.Add($"It carries {medium} Mb/s, its ports {ports}.");
        }
        if (fact.Medium == Medium.Cat6 && ports >= 10_000 && fact.LengthMetres > Cabling.TenGigabitOnCat6Metres)
        {
            trouble.Add($"10 Gb/s on category 6 is sure up to {Cabling.TenGigabitOnCat6Metres:0} m only.");
        }
        if (fact is { BetweenBuildings: true } && (fact.IsCopper || fact.Medium == Medium.Unknown))
        {
            trouble.Add("Between buildings: fibre or radio, or copper only inside one earthing system and by a licensed person.");
        }
        return new(cable.Id, fact.LengthMetres, fact.Estimated, fact.LowerBound, ports == int.MaxValue ? medium : Math.Min(ports, medium ?? ports), trouble);
    }
}
