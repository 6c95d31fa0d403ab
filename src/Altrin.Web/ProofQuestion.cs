using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Sites;
using Altrin.Data;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Altrin.Web;

/// <summary>A question about the proof of a job's set-up, and how it is answered: in turn, and no longer than the caller waits.</summary>
/// <param name="Id">The job.</param>
/// <param name="SetUp">Name of the set-up.</param>
/// <param name="Store">Jobs.</param>
/// <param name="Proofs">Where answers are worked out.</param>
/// <param name="Cancel">Ends the work when the caller no longer waits.</param>
internal readonly record struct ProofQuestion(
    [FromRoute(Name = "id")] long Id,
    [FromQuery(Name = "setUp")] string SetUp,
    JobStore Store,
    Proofs Proofs,
    CancellationToken Cancel
)
{
    /// <summary>What is seen of a settled home.</summary>
    public static Observation Observed(Design design, CancellationToken cancel) =>
        Observer.Observe(Compiler.Compile(design, Situation.Settled, new Work(cancel)));

    /// <summary>Answers from what is seen of the settled home.</summary>
    public Task<Results<Ok<T>, ProblemHttpResult>> Seen<T>(Func<Observation, Parsed<T>> answer) =>
        Asked((design, cancel) => answer(Observed(design, cancel)));

    /// <summary>Answers from the design.</summary>
    public async Task<Results<Ok<T>, ProblemHttpResult>> Asked<T>(Func<Design, CancellationToken, Parsed<T>> answer)
    {
        var (found, problem) = await Answer(answer);
        return problem is null ? TypedResults.Ok(found) : problem;
    }

    /// <summary>The answer, or the problem: no such job or set-up, or a value that cannot be taken.</summary>
    public async Task<(T? Answer, ProblemHttpResult? Problem)> Answer<T>(Func<Design, CancellationToken, Parsed<T>> answer)
    {
        if (await Store.Find(Id, Cancel) is not { } head)
        {
            return (default, Problems.NoJob(Id));
        }
        if (head.Home.Design(SetUp) is not { } design)
        {
            return (default, DesignRoutes.NoSetUp(head.Home, SetUp));
        }
        var answered = await Proofs.Do(Id, cancel => answer(design, cancel), Cancel);
        return answered.Ok
            ? (answered.Value, null)
            : (default, Problems.Of(StatusCodes.Status422UnprocessableEntity, "bad-value", "A value cannot be taken.", answered.Error));
    }
}
