using Altrin.Core.Findings;
using Altrin.Core.Findings.Rules;

namespace Altrin.Core.Planning;

/// <summary>What no option may bring, whatever speaks for it: what can hurt a person, damages a box, or is against the law.</summary>
internal static class PlanLimits
{
    private static readonly HashSet<string> Harm = new(
        [
            CopperBetweenBuildings.Rule.Code,
            PowerlineAcrossSupplies.Rule.Code,
            PassivePower.Rule.Code,
            OutsideRating.Rule.Code,
            CableTooLong.Rule.Code,
            ChannelNotAllowed.Rule.Code,
            RegionWrong.Rule.Code,
            // Opens the home to the internet.
            DmzExposed.Rule.Code,
        ],
        StringComparer.Ordinal
    );

    /// <summary>Identities of the findings of this sort.</summary>
    public static IReadOnlySet<string> Of(Proof proof) =>
        proof.Findings.Where(f => Harm.Contains(f.Code)).Select(f => f.Identity).ToHashSet(StringComparer.Ordinal);
}
