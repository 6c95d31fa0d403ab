using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>What is proven of one set-up, as data: the same for the terminal and for the page.</summary>
/// <param name="Format">Always "altrin-proof".</param>
/// <param name="FormatVersion">Raised when a member changes its meaning or goes.</param>
/// <param name="Home">Name of the home.</param>
/// <param name="SetUp">Name of the set-up.</param>
/// <param name="Verdict">All of it in one sentence.</param>
/// <param name="Findings">What is wrong, the worst first.</param>
/// <param name="Facts">What is so; where details were not asked for, as <see cref="BriefFacts"/>.</param>
/// <param name="Details">The long part of the facts; null where it was not asked for.</param>
public sealed record ProofDocument(
    string Format,
    int FormatVersion,
    string Home,
    string SetUp,
    Verdict Verdict,
    IReadOnlyList<Finding> Findings,
    FactSheet Facts,
    FactDetails? Details
)
{
    /// <summary>The version that is written.</summary>
    public const int NewestVersion = 6;

    /// <summary>The document of a proof.</summary>
    /// <param name="proof">What was proven.</param>
    /// <param name="detailed">Whether reach, leases, discovery and management are written out too.</param>
    public static ProofDocument Of(Proof proof, bool detailed = false)
    {
        var (design, sheet) = (proof.Observation.Network.Design, proof.Observation.Sheet);
        var details = detailed
            ? new FactDetails(
                sheet.Reach,
                sheet.Leases,
                sheet.Discovery,
                sheet.Management,
                Looking.Sightings(proof.Observation.Network),
                Roaming.Links(proof.Observation.Network),
                Roaming.Names(proof.Observation.Network),
                Roaming.Heard(proof.Observation.Network)
            )
            : null;
        return new(
            "altrin-proof",
            NewestVersion,
            design.Site.Name,
            design.SetUp.Name,
            proof.Verdict,
            proof.Findings,
            detailed ? sheet : BriefFacts.Of(sheet),
            details
        );
    }

    /// <summary>What is said of a set-up that cannot be proven: that, and nothing of its facts.</summary>
    /// <param name="design">The design.</param>
    /// <param name="why">Why not, in a sentence.</param>
    public static ProofDocument Unproven(Design design, string why) =>
        new(
            "altrin-proof",
            NewestVersion,
            design.Site.Name,
            design.SetUp.Name,
            new(VerdictKind.NotProven, $"This set-up cannot be proven. {why} Undo takes the last change back."),
            [],
            FactSheet.Nothing,
            null
        );
}

/// <summary>The facts that no verdict needs.</summary>
/// <param name="Reach">Who opens connections to whom. It grows with the square of the home.</param>
/// <param name="Leases">Who asks for an address, and every offer that it hears.</param>
/// <param name="Discovery">Whose questions to everybody arrive, and whether the answer does.</param>
/// <param name="Management">Where the page of each box answers, and for whom.</param>
/// <param name="Mac">Where each MAC address is seen.</param>
/// <param name="Radio">Who joins whom by radio, and why not.</param>
/// <param name="Roaming">Wi-Fi names, and between which of their radios devices move by themselves.</param>
/// <param name="Heard">What devices hear whose bands are recorded.</param>
public sealed record FactDetails(
    ReachFact Reach,
    IReadOnlyList<LeaseFact> Leases,
    IReadOnlyList<DiscoveryFact> Discovery,
    IReadOnlyList<ManagementFact> Management,
    IReadOnlyList<Sighting> Mac,
    IReadOnlyList<RadioFact> Radio,
    IReadOnlyList<RoamingFact> Roaming,
    IReadOnlyList<HeardFact> Heard
);
