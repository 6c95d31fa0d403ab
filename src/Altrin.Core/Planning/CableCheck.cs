using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>One cable of a set-up as a survey lists it.</summary>
/// <param name="Cable">Its id.</param>
/// <param name="LengthMetres">Its length; null where not known.</param>
/// <param name="Estimated">Whether that is an estimate.</param>
/// <param name="LowerBound">Whether it is at least so long.</param>
/// <param name="CarriesMbps">What it carries by its ports, medium and pairs; null where none says anything.</param>
/// <param name="PortsMbps">What its ports would carry; null where neither says.</param>
/// <param name="Findings">What the proof finds wrong with it, a line each; empty for a sound one.</param>
public sealed record CableCheck(
    string Cable,
    double? LengthMetres,
    bool Estimated,
    bool LowerBound,
    int? CarriesMbps,
    int? PortsMbps,
    IReadOnlyList<string> Findings
)
{
    /// <summary>Every cable that is not the provider's line, by id.</summary>
    public static IReadOnlyList<CableCheck> Of(Proof proof)
    {
        var design = proof.Observation.Network.Design;
        var said = proof
            .Findings.SelectMany(f => f.Subjects.Select(s => (Subject: s, f.What)))
            .ToLookup(f => f.Subject, f => f.What, StringComparer.Ordinal);
        return
        [
            .. design
                .SetUp.Cables.Where(c => !c.Ends(PortRef.Street))
                .OrderBy(c => c.Id, StringComparer.Ordinal)
                .Select(c => Cabling.Of(design, c))
                .Select(f => new CableCheck(
                    f.Cable,
                    f.LengthMetres,
                    f.Estimated,
                    f.LowerBound,
                    f.AtMostMbps,
                    f.PortsMbps,
                    [.. said[f.Cable].Distinct()]
                )),
        ];
    }
}
