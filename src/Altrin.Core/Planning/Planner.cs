using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>One way to set a home up, proven.</summary>
/// <param name="SetUp">The set-up, named "planned".</param>
/// <param name="Proof">What is proven of it, without remedies.</param>
/// <param name="Score">What speaks against it.</param>
/// <param name="Points">The sum of that.</param>
/// <param name="Roles">What each box is.</param>
public sealed record PlanOption(SetUp SetUp, Proof Proof, PlanScore Score, double Points, IReadOnlyList<BoxRole> Roles);

/// <summary>The options for a home.</summary>
/// <param name="Options">One to five that differ in kind, the best first.</param>
/// <param name="Proven">How many set-ups were proven.</param>
/// <param name="IsCut">Whether the search ended before it was through: these are the best so far.</param>
public sealed record PlanAnswer(IReadOnlyList<PlanOption> Options, int Proven, bool IsCut);

/// <summary>Works out what each box of a home should become.</summary>
public static class Planner
{
    /// <summary>How many options are shown.</summary>
    public const int MostOptions = 5;

    /// <summary>How many set-ups are proven at most: a home of twelve boxes takes some thousands.</summary>
    public const int MostProofs = 6000;

    /// <summary>The options for what was found.</summary>
    /// <param name="found">The home as it was found.</param>
    /// <param name="weights">What counts how much; null for the usual.</param>
    /// <param name="mostProofs">How many set-ups are proven at most.</param>
    /// <param name="progress">Told of the best so far, again and again.</param>
    /// <param name="stop">Ends the search; what was found by then is the answer.</param>
    public static PlanAnswer Plan(
        Design found,
        PlanWeights? weights = null,
        int mostProofs = MostProofs,
        Action<PlanAnswer>? progress = null,
        CancellationToken stop = default
    )
    {
        var search = new PlanSearch(found, weights ?? PlanWeights.Usual, mostProofs, stop);
        search.Run(() => progress?.Invoke(new(Options(search.Shown(MostOptions)), search.Proven, IsCut: true)));
        return new(Options(search.Shown(MostOptions)), search.Proven, search.IsCut);
    }

    private static IReadOnlyList<PlanOption> Options(IReadOnlyList<PlanState> shown) =>
        [
            .. shown.Select(s => new PlanOption(
                s.Design.SetUp with
                {
                    Name = HomeFile.PlannedName,
                    Accepted = [],
                },
                s.Proof,
                s.Score,
                s.Points,
                s.Roles
            )),
        ];
}
