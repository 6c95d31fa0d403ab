using System.Text;
using Altrin.Core.Changes;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;
using Altrin.Data;
using Altrin.Formats;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Altrin.Web;

/// <summary>A job's design: show and prove it, try changes on it, take it in and out as a file.</summary>
internal static class DesignRoutes
{
    public static void Map(RouteGroupBuilder jobs)
    {
        jobs.MapGet("/{id:long}", Show).WithName("GetJob").ProducesProblem(StatusCodes.Status404NotFound);
        jobs.MapPost("/{id:long}/preview", Try)
            .WithName("PreviewChanges")
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        jobs.MapGet("/{id:long}/design", Export)
            .WithName("ExportDesign")
            .Produces<DesignDocument>()
            .ProducesProblem(StatusCodes.Status404NotFound);
        jobs.MapPost("/import", Import)
            .WithName("ImportDesign")
            .UpTo(DesignFile.MostBytes)
            .AddOpenApiOperationTransformer(ApiDescription.TakesDesign)
            .ProducesProblem(StatusCodes.Status413PayloadTooLarge)
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
    }

    private static async Task<Results<Ok<JobState>, ProblemHttpResult>> Show(
        long id,
        JobStore store,
        Proofs proofs,
        HttpContext context,
        CancellationToken cancel,
        string? setUp = null
    )
    {
        if (await store.Find(id, cancel) is not { } head)
        {
            return Problems.NoJob(id);
        }
        // The survey asks for what was found, which a file may lack.
        if ((setUp == StartPlan.Found ? head.Home.AsFound() : head.Home.Design(setUp ?? head.Home.Foremost.Name)) is not { } design)
        {
            return NoSetUp(head.Home, setUp!);
        }
        context.Response.Headers.ETag = HeadRoutes.ETag(head.Job.Version);
        return TypedResults.Ok(JobState.Of(head, design, await proofs.OfKept(head, design, cancel)));
    }

    private static async Task<Results<Ok<Preview>, ProblemHttpResult>> Try(
        long id,
        ChangeRequest request,
        JobStore store,
        Proofs proofs,
        CancellationToken cancel
    )
    {
        if (await store.Find(id, cancel) is not { } head)
        {
            return Problems.NoJob(id);
        }
        if (head.Home.Design(request.SetUp) is not { } design)
        {
            return NoSetUp(head.Home, request.SetUp);
        }
        var changed = ChangeList.Apply(design, request.Changes);
        return changed.Ok
            ? TypedResults.Ok(
                new Preview(
                    head.Job.Version,
                    ChangeList.Describe(design, request.Changes),
                    DesignWriter.Document(new(design.Site, [changed.Value.SetUp])),
                    await proofs.Of(id, changed.Value, cancel)
                )
            )
            : Refused(changed.Error);
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Export(
        long id,
        JobStore store,
        CancellationToken cancel
    ) =>
        await store.Find(id, cancel) is { } head
            ? TypedResults.File(
                Encoding.UTF8.GetBytes(DesignFile.Write(head.Home)),
                "application/json",
                $"{Slug(head.Job.Name)}.altrin.json"
            )
            : Problems.NoJob(id);

    private static async Task<Results<Created<JobSummary>, ProblemHttpResult>> Import(
        HttpRequest request,
        [AsParameters] WriteRequest asked,
        Proofs proofs
    )
    {
        var (store, secrets, writing, tab, cancel) = asked;
        if (Bodies.Wrong(request) is { } wrong)
        {
            return wrong;
        }
        using var held = new MemoryStream();
        await request.Body.CopyToAsync(held, cancel);
        var file = DesignFile.Read(held.GetBuffer().AsSpan(0, (int)held.Length));
        if (file.Value is not { } home)
        {
            return Problems.Of(
                StatusCodes.Status422UnprocessableEntity,
                "bad-design",
                "The file cannot be read as a design.",
                $"{file.Errors.Count} {(file.Errors.Count == 1 ? "thing is" : "things are")} wrong with it.",
                file.Errors
            );
        }
        var typed = DesignFile.Secrets(held.GetBuffer().AsSpan(0, (int)held.Length));
        // Equal keys have one reference, also where a file was written by hand.
        home = typed
            .GroupBy(t => t.Value, StringComparer.Ordinal)
            .SelectMany(g => g.Skip(1).Select(t => (From: t.Key, To: g.First().Key)))
            .Aggregate(home, (h, x) => KeyReferences.Exchange(h, x.From, x.To));
        var prepared = store.Prepare(home);
        if (!prepared.Ok)
        {
            return Problems.Field("", "the design", prepared.Error);
        }
        // What is taken in can be opened: it is proven before it is kept.
        await proofs.Of(0, new(prepared.Value.Home.Site, prepared.Value.Home.Foremost), cancel);
        var head = await writing.Do(
            async () =>
            {
                var made = await store.Create(home.Site.Name, new(prepared.Value, "Read from a file", HeadRoutes.Tab(tab)), cancel);
                foreach (var (reference, value) in typed.OrderBy(t => t.Key, StringComparer.Ordinal).DistinctBy(t => t.Value))
                {
                    await secrets.Type(made.Job.Id, reference, value, cancel);
                }
                return made;
            },
            cancel
        );
        return TypedResults.Created($"/api/jobs/{head.Job.Id}", JobSummary.Of(head.Job));
    }

    public static ProblemHttpResult NoSetUp(HomeFile home, string setUp) =>
        Problems.Of(
            StatusCodes.Status404NotFound,
            "no-set-up",
            $"There is no set-up '{(setUp.Length > 60 ? setUp[..60] : setUp)}'.",
            $"There is {string.Join(", ", home.SetUps.Select(s => s.Name))}."
        );

    public static ProblemHttpResult Refused(string why) =>
        Problems.Of(
            StatusCodes.Status422UnprocessableEntity,
            "refused-change",
            "The box would not take that.",
            why,
            [new("/changes", "a change that cannot be made", why)]
        );

    public static string Slug(string name)
    {
        var slug = string.Concat(name.ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : '-')).Trim('-');
        return slug.Length == 0 ? "home" : slug;
    }
}
