using Altrin.Core.Facts;
using Altrin.Core.Findings;

namespace Altrin.Formats;

/// <summary>What is proven of one set-up, as data: the same for the terminal and for the page.</summary>
/// <param name="Format">Always "altrin-proof".</param>
/// <param name="FormatVersion">Raised when a member changes its meaning or goes.</param>
/// <param name="Home">Name of the home.</param>
/// <param name="SetUp">Name of the set-up.</param>
/// <param name="Verdict">All of it in one sentence.</param>
/// <param name="Findings">What is wrong, the worst first.</param>
/// <param name="Facts">What is so.</param>
public sealed record ProofDocument(string Format, int FormatVersion, string Home, string SetUp, Verdict Verdict, IReadOnlyList<Finding> Findings, FactSheet Facts)
{
    /// <summary>The version that is written.</summary>
    public const int NewestVersion = 1;

    /// <summary>The document of a proof.</summary>
    public static ProofDocument Of(Proof proof)
    {
        var design = proof.Observation.Network.Design;
        return new("altrin-proof", NewestVersion, design.Site.Name, design.SetUp.Name, proof.Verdict, proof.Findings, proof.Observation.Sheet);
    }
}
