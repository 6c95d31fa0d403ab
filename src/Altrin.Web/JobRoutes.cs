using System.ComponentModel.DataAnnotations;
using Altrin.Core.Planning;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;
using Altrin.Data;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Altrin.Web;

/// <summary>The list of jobs: find, make, duplicate, rename, archive.</summary>
internal static class JobRoutes
{
    public const int MostName = 80;

    public static void Map(RouteGroupBuilder jobs)
    {
        jobs.MapGet("", List).WithName("ListJobs").ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        jobs.MapGet("/{id:long}/standing", Standing).WithName("GetJobStanding").ProducesProblem(StatusCodes.Status404NotFound);
        jobs.MapPost("", Create).WithName("CreateJob").ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        jobs.MapPatch("/{id:long}", Edit)
            .WithName("EditJob")
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        jobs.MapGet("/{id:long}/revisions", Revisions).WithName("ListRevisions").ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static async Task<Results<Ok<Paged<JobSummary>>, ProblemHttpResult>> List(
        [AsParameters] JobListQuery asked,
        JobStore store,
        CancellationToken cancel,
        [MaxLength(MostName)] string? search = null
    )
    {
        if (Paging(asked.Page, asked.PerPage) is { } wrong)
        {
            return wrong;
        }
        if (search is { Length: > MostName })
        {
            return Problems.Field("search", $"{search.Length} characters", $"At most {MostName} characters are looked for.");
        }
        // One word: an enumeration would take numbers and lists too.
        if (!Enum.TryParse<JobOrder>(asked.Order, true, out var sorted) || !asked.Order.All(char.IsLetter))
        {
            return Problems.Field("order", asked.Order, $"Allowed: {string.Join(", ", Enum.GetNames<JobOrder>()).ToLowerInvariant()}.");
        }
        var found = await store.List(search, asked.Archived, sorted, asked.Page, asked.PerPage, cancel);
        return TypedResults.Ok(new Paged<JobSummary>([.. found.Items.Select(JobSummary.Of)], found.Number, found.PerPage, found.Total));
    }

    private static async Task<Results<Ok<JobStanding>, ProblemHttpResult>> Standing(
        long id,
        JobStore store,
        Proofs proofs,
        CancellationToken cancel
    ) =>
        await store.Find(id, cancel) is { } head
            ? TypedResults.Ok(await proofs.Do(id, c => JobStanding.Of(head.Home, c), cancel))
            : Problems.NoJob(id);

    private static async Task<Results<Created<JobSummary>, ProblemHttpResult>> Create(
        NewJob job,
        [AsParameters] WriteRequest asked,
        ReadingStore readings,
        SheetStore sheets
    )
    {
        var (store, secrets, writing, tab, cancel) = asked;
        if (Name(job.Name) is not { } name)
        {
            return BadName(job.Name);
        }
        HomeFile home;
        if (job.From is { } from)
        {
            if (await store.Find(from, cancel) is not { } original)
            {
                return Problems.NoJob(from);
            }
            home = original.Home;
        }
        else
        {
            home = new(new(name, new UnknownService(null, null), NamingSchool.OneName, [], [], []), [new(StartPlan.Found, [], [], [])]);
        }
        var prepared = store.Prepare(home);
        if (!prepared.Ok)
        {
            return Problems.Field("/from", $"{job.From}", prepared.Error);
        }
        var head = await writing.Do(
            async () =>
            {
                var made = await store.Create(
                    name,
                    new(prepared.Value, job.From is null ? "New job" : "Duplicated", HeadRoutes.Tab(tab)),
                    cancel
                );
                if (job.From is { } copied)
                {
                    await secrets.Copy(copied, made.Job.Id, cancel);
                    await readings.Copy(copied, made.Job.Id, cancel);
                    await sheets.Copy(copied, made.Job.Id, cancel);
                }
                return made;
            },
            cancel
        );
        return TypedResults.Created($"/api/jobs/{head.Job.Id}", JobSummary.Of(head.Job));
    }

    private static async Task<Results<Ok<JobSummary>, ProblemHttpResult>> Edit(
        long id,
        JobEdit edit,
        JobStore store,
        CancellationToken cancel
    )
    {
        var name = edit.Name is null ? null : Name(edit.Name);
        if (edit.Name is not null && name is null)
        {
            return BadName(edit.Name);
        }
        return await store.Edit(id, name, edit.Archived, cancel) is { } edited
            ? TypedResults.Ok(JobSummary.Of(edited))
            : Problems.NoJob(id);
    }

    private static async Task<Results<Ok<Paged<RevisionInfo>>, ProblemHttpResult>> Revisions(
        long id,
        JobStore store,
        CancellationToken cancel,
        int page = 1,
        int perPage = 20
    ) => Paging(page, perPage) is { } wrong ? wrong : TypedResults.Ok(await store.Revisions(id, page, perPage, cancel));

    /// <summary>A name as it is kept; null when it cannot be one.</summary>
    public static string? Name(string name) =>
        name.Trim() is { Length: > 0 and <= MostName } trimmed && !trimmed.Any(char.IsControl) ? trimmed : null;

    public static ProblemHttpResult BadName(string name) =>
        Problems.Field("/name", $"{name.Trim().Length} characters", $"A name has 1 to {MostName} characters on one line.");

    /// <summary>What is wrong with the page of a list that was asked for; null where nothing is.</summary>
    public static ProblemHttpResult? Paging(int page, int perPage) =>
        page is < 1 or > 1_000_000 ? Problems.Field("page", $"{page}", "Pages are counted from 1.")
        : perPage is < 1 or > JobStore.MostPerPage ? Problems.Field("perPage", $"{perPage}", $"A page holds 1 to {JobStore.MostPerPage}.")
        : null;
}
