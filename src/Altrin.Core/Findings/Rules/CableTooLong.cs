using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A copper cable is longer than a channel may be.</summary>
public static class CableTooLong
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "cable-too-long",
            "too long",
            "A copper cable is longer than a channel may be.",
            "Beyond 100 m it may link, fall back to a lower rate, or drop out when it gets warm.",
            "ISO/IEC 11801, TIA-568 (from memory)",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Design.SetUp.Cables.OrderBy(c => c.Id, StringComparer.Ordinal)
            .Select(c => Cabling.Of(e.Design, c))
            .Where(f => f.MayBeCopper && f.LengthMetres > Cabling.LongestChannelMetres)
            .Select(f =>
                e.Finding(
                    Rule,
                    [f.Cable],
                    string.Create(
                        System.Globalization.CultureInfo.InvariantCulture,
                        $"The cable from {PortWords.Of(e.Design, Cable(e, f).A)} to {PortWords.Of(e.Design, Cable(e, f).B)} is {(f.Estimated ? "about " : "")}{f.LengthMetres:0.#} m long{(f.IsCopper ? "" : ", and what it is made of was not noted")}; copper is made for {Cabling.LongestChannelMetres:0}"
                    ),
                    "The link comes and goes, or is slow.",
                    [],
                    ["Put a switch in between, or lay fibre."]
                )
            );

    private static Cable Cable(Evidence e, CablingFact fact) => e.Design.SetUp.Cables.First(c => c.Id == fact.Cable);
}
