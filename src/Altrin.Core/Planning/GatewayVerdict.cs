using Altrin.Core.Packets;
using Altrin.Core.Planning.Moves;
using Altrin.Core.Procedures;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>One way for the box at the internet line, told from the options.</summary>
/// <param name="Way">Which.</param>
/// <param name="Says">In words.</param>
/// <param name="Can">Whether the box can go it by its kind.</param>
/// <param name="IsFirst">Whether the first option goes it.</param>
/// <param name="More">How many points more the best option that goes it has than the first; null where none was found.</param>
/// <param name="Costs">What speaks against that option and not against the first, a sentence each.</param>
public sealed record GatewayVerdict(GatewaySchool Way, string Says, Known Can, bool IsFirst, double? More, IReadOnlyList<string> Costs)
{
    /// <summary>How many things that speak against a way are told at most.</summary>
    private const int MostCosts = 4;

    /// <summary>Every way, the cleanest first (common practice); empty where no box is noted at the line.</summary>
    public static IReadOnlyList<GatewayVerdict> Of(Design found, PlanAnswer answer) =>
        GatewayMoves.LineBox(found) is not { } line
            ? []
            :
            [
                .. Enum.GetValues<GatewaySchool>()
                    .Where(w => w != GatewaySchool.Any)
                    .Select(w => Of(line, w, answer.Options[0], answer.Gateway.GetValueOrDefault(w))),
            ];

    private static GatewayVerdict Of(Box line, GatewaySchool way, PlanOption first, PlanOption? with) =>
        new(
            way,
            SchoolWords.Of(way),
            // What was found may be so, whatever the profile says.
            with is null
                ? Has(line, way)
                : Known.Yes,
            PlanDepartures.OfGateway(new(first.Site, first.SetUp), first.Roles, line.Id) == way,
            with is null ? null : Math.Round(with.Points - first.Points, 1),
            with is null ? [] : [.. Against(first, with).Take(MostCosts)]
        );

    private static IEnumerable<string> Against(PlanOption first, PlanOption with)
    {
        var known = first.Proof.Findings.Select(f => f.Identity).ToHashSet(StringComparer.Ordinal);
        var unmet = with
            .Proof.Observation.Sheet.Needs.Where(n => !n.Answer.IsYes)
            .Where(n => first.Proof.Observation.Sheet.Needs.First(o => o.Need == n.Need).Answer.IsYes)
            .Select(n => $"{n.Asked}: {AnswerWords.Of(n.Answer.Kind)}.");
        return unmet.Concat(
            with.Proof.Findings.Where(f => f is { CausedBy.Count: 0 } && !known.Contains(f.Identity)).Select(f => $"{f.What}.")
        );
    }

    private static Known Has(Box line, GatewaySchool way)
    {
        var (modes, passes) = (line.Profile.Modes, line.Profile.Passes);
        return way switch
        {
            GatewaySchool.Bridge => Is(modes.Contains(ModeKind.Bridge)),
            GatewaySchool.PassThrough => Is(passes.Any(p => p != PassKind.Mapping)),
            GatewaySchool.Mapping => Is(passes.Contains(PassKind.Mapping)),
            GatewaySchool.Dmz => modes.Contains(ModeKind.Router) ? line.Profile.Traits.TakesDmz : Known.No,
            _ => Is(modes.Contains(ModeKind.Router)),
        };
    }

    private static Known Is(bool can) => can ? Known.Yes : Known.No;
}
