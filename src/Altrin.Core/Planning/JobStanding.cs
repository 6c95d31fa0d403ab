using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Core.Planning;

/// <summary>How far a job is.</summary>
/// <param name="Station">Where the work stands.</param>
/// <param name="SetUp">The set-up that the verdict is of: the plan, else what was found.</param>
/// <param name="Verdict">What is proven of it.</param>
/// <param name="Missing">How many things the survey leaves open.</param>
public sealed record JobStanding(WorkStation Station, string SetUp, Verdict Verdict, int Missing)
{
    /// <summary>The standing of a home.</summary>
    /// <exception cref="OperationCanceledException">It was given up.</exception>
    public static JobStanding Of(HomeFile home, CancellationToken cancel)
    {
        var foremost = home.Foremost;
        // No cure is offered here: the verdict is the same without proving any.
        var observation = Observer.Observe(Compiler.Compile(new(home.Site, foremost), Situation.Settled, new Work(cancel)));
        var verdict = Judging.Judge(observation, withRemedies: false).Verdict;
        return new(
            foremost.Name != StartPlan.Planned ? WorkStation.Survey
                : verdict.Kind is VerdictKind.Sound or VerdictKind.Works ? WorkStation.Proof
                : WorkStation.Plan,
            foremost.Name,
            verdict,
            SurveyGaps.Of(home.AsFound()).Count
        );
    }
}
