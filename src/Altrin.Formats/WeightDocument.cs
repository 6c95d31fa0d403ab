using Altrin.Core.Planning;

namespace Altrin.Formats;

/// <summary>What one thing that speaks against options counts.</summary>
/// <param name="Name">The name of the weight, such as "radioHop".</param>
/// <param name="Says">What is counted, in words.</param>
/// <param name="Points">What each of it counts, in points: one point is a minute of work.</param>
/// <param name="Mine">What it counts where nothing is said: of a job, in every job; of that, what is usual.</param>
public sealed record WeightDocument(string Name, string Says, double Points, double Mine)
{
    /// <summary>Every weight.</summary>
    /// <param name="weights">What counts.</param>
    /// <param name="mine">What counts where nothing is said.</param>
    public static IReadOnlyList<WeightDocument> Of(PlanWeights weights, PlanWeights mine) =>
        [
            .. weights
                .Told()
                .Zip(mine.Told(), (now, would) => new WeightDocument(WayText.Said(now.Name), now.Says, now.Points, would.Points)),
        ];
}
