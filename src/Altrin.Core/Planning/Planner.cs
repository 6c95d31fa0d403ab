using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>One way to set a home up, proven.</summary>
/// <param name="SetUp">The set-up, named "planned".</param>
/// <param name="Proof">What is proven of it, without remedies.</param>
/// <param name="Score">What speaks against it.</param>
/// <param name="Points">The sum of that.</param>
/// <param name="Roles">What each box is.</param>
/// <param name="Departures">Where it departs from the installer's way, a sentence each.</param>
public sealed record PlanOption(
    SetUp SetUp,
    Proof Proof,
    PlanScore Score,
    double Points,
    IReadOnlyList<BoxRole> Roles,
    IReadOnlyList<string> Departures
);

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

    /// <summary>The options for a home.</summary>
    /// <param name="task">The home as it was found, and how the installer goes about it.</param>
    /// <param name="progress">Told of the best so far, again and again.</param>
    /// <param name="stop">Ends the search; what was found by then is the answer.</param>
    public static PlanAnswer Plan(PlanTask task, Action<PlanAnswer>? progress = null, CancellationToken stop = default)
    {
        var search = new PlanSearch(task, stop);
        search.Run(() => progress?.Invoke(new(Options(task, search.Shown(MostOptions)), search.Proven, IsCut: true)));
        return new(Options(task, search.Shown(MostOptions)), search.Proven, search.IsCut);
    }

    private static IReadOnlyList<PlanOption> Options(PlanTask task, IReadOnlyList<PlanState> shown) =>
        [
            .. shown.Select(s => new PlanOption(
                s.Design.SetUp with
                {
                    Name = HomeFile.PlannedName,
                    Accepted = [],
                },
                s.Proof,
                s.Score,
                s.Score.Points(task.Weights),
                s.Roles,
                s.Departures
            )),
        ];
}
