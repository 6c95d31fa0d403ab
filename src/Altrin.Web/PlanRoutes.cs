using Altrin.Core.Planning;
using Altrin.Core.Sites;
using Altrin.Data;
using Altrin.Formats;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Altrin.Web;

/// <summary>Options that were worked out last, by what was found: they are not stored, and a plan that is edited changes none.</summary>
internal sealed class PlanOptions(TimeProvider time) : IDisposable
{
    /// <summary>How many are remembered.</summary>
    private const int Most = 6;

    /// <summary>How long a search may take: after it, the best so far is the answer.</summary>
    private static readonly TimeSpan Longest = Proofs.Longest / 2;

    private readonly Recent<string, PlanAnswer> _known = new(Most);

    /// <summary>The options for a home as it was found.</summary>
    /// <exception cref="OperationCanceledException">The caller no longer waits.</exception>
    public PlanAnswer Of(HomeFile home, CancellationToken cancel)
    {
        var found = home.AsFound();
        return _known.Of(DesignFile.Write(new HomeFile(found.Site, [found.SetUp])), () =>
        {
            using var clock = new CancellationTokenSource(Longest, time);
            using var either = CancellationTokenSource.CreateLinkedTokenSource(clock.Token, cancel);
            var answer = Planner.Plan(found, stop: either.Token);
            // What was cut short because its caller left is no answer for the next one.
            cancel.ThrowIfCancellationRequested();
            return answer;
        });
    }

    /// <inheritdoc/>
    public void Dispose() => _known.Dispose();
}

/// <summary>An option that becomes the plan.</summary>
/// <param name="Number">Its number, from 1.</param>
internal sealed record ChosenOption(int Number);

/// <summary>What each box of a job should become.</summary>
internal static class PlanRoutes
{
    public static void Map(RouteGroupBuilder jobs)
    {
        jobs.MapGet("/{id:long}/options", Read).WithName("GetOptions").WithTags("Plan").ProducesProblem(StatusCodes.Status404NotFound);
        HeadRoutes
            .Describe(jobs.MapPost("/{id:long}/options/chosen", Choose).WithName("ChooseOption").WithTags("Plan"))
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
    }

    private static async Task<Results<Ok<PlanDocument>, ProblemHttpResult>> Read(
        long id,
        JobStore store,
        Proofs proofs,
        PlanOptions options,
        CancellationToken cancel
    ) =>
        await store.Find(id, cancel) is { } head
            ? TypedResults.Ok(PlanDocument.Of(head.Home.AsFound(), await proofs.Do(id, c => options.Of(head.Home, c), cancel)))
            : Problems.NoJob(id);

    /// <summary>
    /// An option becomes the set-up "planned", in one revision. A plan that stands is replaced: undo brings it back. What was found stays.
    /// </summary>
    private static async Task<Results<Ok<JobState>, ProblemHttpResult>> Choose(
        [AsParameters] HeadRequest asked,
        ChosenOption chosen,
        PlanOptions options
    )
    {
        if (await asked.Store.Find(asked.Id, asked.Cancel) is not { } seen)
        {
            return Problems.NoJob(asked.Id);
        }
        // Worked out in turn; what is committed below finds it there.
        await asked.Proofs.Do(asked.Id, c => options.Of(seen.Home, c), asked.Cancel);
        return await HeadRoutes.CommitHome(
            asked,
            HomeFile.PlannedName,
            head =>
            {
                var there = options.Of(head.Home, asked.Cancel).Options;
                return chosen.Number < 1 || chosen.Number > there.Count
                    ? (null, Problems.Field("/number", $"{chosen.Number}", $"The number of an option is expected, 1 to {there.Count}."))
                    : ((With(head.Home, there[chosen.Number - 1].SetUp), $"Option {chosen.Number} becomes the plan"), null);
            },
            narrow: false
        );
    }

    private static HomeFile With(HomeFile home, SetUp planned) =>
        home with
        {
            SetUps = home.SetUps.Any(s => s.Name == planned.Name) ? home.With(planned).SetUps : [.. home.SetUps, planned],
        };
}
