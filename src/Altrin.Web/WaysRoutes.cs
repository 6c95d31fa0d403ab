using System.ComponentModel.DataAnnotations;
using Altrin.Core.Procedures;
using Altrin.Data;
using Altrin.Formats;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Altrin.Web;

/// <summary>How the installer goes about it.</summary>
/// <param name="Ways">What counts.</param>
/// <param name="Mine">What counts where nothing is said: of a job, the installer's way in every job; of that, what is usual.</param>
/// <param name="Own">What is said, each as a name, an equals sign and a value.</param>
/// <param name="Schools">What can be chosen, with what speaks for each.</param>
/// <param name="Weights">What each thing that speaks against options counts.</param>
internal sealed record WaysView(
    Ways Ways,
    Ways Mine,
    IReadOnlyList<string> Own,
    IReadOnlyList<SchoolDocument> Schools,
    IReadOnlyList<WeightDocument> Weights
)
{
    public static WaysView Of(JobWays ways) =>
        new(ways.Ways, ways.Mine, ways.Own, SchoolDocument.All, WeightDocument.Of(ways.Weights, ways.MyWeights));
}

/// <summary>Ways that are chosen.</summary>
/// <param name="Ways">
/// Each as a name, an equals sign and a value, such as "further=lanToLan", or the points of a weight, such as "radioHop=40"; what is not
/// named is as usual.
/// </param>
internal sealed record WaysRequest([property: MaxLength(WaysRequest.Most)] IReadOnlyList<string> Ways)
{
    /// <summary>How many are taken at once.</summary>
    public const int Most = 50;
}

/// <summary>My way of working: in every job, and in one.</summary>
internal static class WaysRoutes
{
    public static void Map(RouteGroupBuilder ways, RouteGroupBuilder jobs)
    {
        ways.MapGet("", async (WaysStore store, CancellationToken cancel) => TypedResults.Ok(WaysView.Of(await store.Of(null, cancel))))
            .WithName("GetWays");
        ways.MapPut("", (WaysRequest request, WaysStore store, CancellationToken cancel) => Put(null, request, store, cancel))
            .WithName("PutWays")
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        jobs.MapGet("/{id:long}/ways", Read).WithName("GetJobWays").WithTags("Ways").ProducesProblem(StatusCodes.Status404NotFound);
        jobs.MapPut("/{id:long}/ways", Keep)
            .WithName("PutJobWays")
            .WithTags("Ways")
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
    }

    private static async Task<Results<Ok<WaysView>, ProblemHttpResult>> Read(
        long id,
        JobStore jobs,
        WaysStore store,
        CancellationToken cancel
    ) => await jobs.Find(id, cancel) is null ? Problems.NoJob(id) : TypedResults.Ok(WaysView.Of(await store.Of(id, cancel)));

    private static async Task<Results<Ok<WaysView>, ProblemHttpResult>> Keep(
        long id,
        WaysRequest request,
        JobStore jobs,
        WaysStore store,
        CancellationToken cancel
    ) => await jobs.Find(id, cancel) is null ? Problems.NoJob(id) : await Put(id, request, store, cancel);

    private static async Task<Results<Ok<WaysView>, ProblemHttpResult>> Put(
        long? id,
        WaysRequest request,
        WaysStore store,
        CancellationToken cancel
    ) =>
        request.Ways.Count > WaysRequest.Most
            ? Problems.Field("/ways", $"{request.Ways.Count} ways", $"At most {WaysRequest.Most} are taken at once.")
        : await store.Put(id, request.Ways, cancel) is { } wrong ? Problems.Field("/ways", string.Join(", ", request.Ways), wrong)
        : TypedResults.Ok(WaysView.Of(await store.Of(id, cancel)));
}
