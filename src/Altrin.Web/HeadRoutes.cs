using System.Globalization;
using Altrin.Core.Changes;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;
using Altrin.Data;
using Altrin.Formats;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Altrin.Web;

/// <summary>Moves of a job's head: commit changes, undo, redo. Each names the version that it saw in If-Match.</summary>
internal static class HeadRoutes
{
    /// <summary>Which browser tab asks, so that undo does not silently take back what another tab did.</summary>
    public const string TabHeader = "Altrin-Tab";

    /// <summary>
    /// The revision that the page saw when its user made the edit, so that a stale one can be held against what happened meanwhile.
    /// </summary>
    public const string BaseHeader = "Altrin-Base";

    public static void Map(RouteGroupBuilder jobs)
    {
        Describe(jobs.MapPost("/{id:long}/changes", Commit).WithName("CommitChanges"))
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        Describe(jobs.MapPost("/{id:long}/undo", Undo).WithName("Undo")).ProducesProblem(StatusCodes.Status409Conflict);
        Describe(jobs.MapPost("/{id:long}/redo", Redo).WithName("Redo")).ProducesProblem(StatusCodes.Status409Conflict);
    }

    public static string ETag(long version) => $"\"{version}\"";

    /// <summary>A tab's own name for itself, cut to what is kept.</summary>
    public static string Tab(string? tab) => tab is { Length: > 0 and <= 40 } ? tab : "unnamed";

    /// <summary>Commits another home as the new head, if the head is still the one that the caller saw.</summary>
    /// <param name="asked">The request.</param>
    /// <param name="setUp">The set-up to answer with.</param>
    /// <param name="edit">Gives the new home with its label, or the problem.</param>
    /// <param name="also">Adds what belongs to the new revision, to be saved with it or not at all.</param>
    /// <param name="narrow">Whether the edit carries only what its user touched; one that carries more is never made on top
    /// unasked.</param>
    public static async Task<Results<Ok<JobState>, ProblemHttpResult>> CommitHome(
        HeadRequest asked,
        string setUp,
        Func<JobHead, ((HomeFile Home, string Label)? Done, ProblemHttpResult? Problem)> edit,
        Action<long>? also = null,
        bool narrow = true
    )
    {
        var (id, match, tab, store, proofs, context, cancel) = asked;
        if (Version(match, out var version) is { } wrong)
        {
            return wrong;
        }
        if (await store.Find(id, cancel) is not { } head)
        {
            return Problems.NoJob(id);
        }
        if (head.Job.Version != version)
        {
            return await Stale(head, setUp, narrow ? await Clashes(asked, head, edit) : null, proofs, cancel);
        }
        var (done, problem) = edit(head);
        if (done is not var (home, label))
        {
            return problem!;
        }
        var known = KeyReferences.Of(head.Home).Select(u => u.Reference).ToHashSet(StringComparer.Ordinal);
        if (
            KeyReferences.Of(home).FirstOrDefault(u => !known.Contains(u.Reference)) is { } added
            && (await context.RequestServices.GetRequiredService<SecretStore>().List(id, known, cancel)).All(s =>
                s.Reference != added.Reference
            )
        )
        {
            // What stands there is not repeated, and not kept: it may be the key itself.
            return Problems.Field(
                "",
                "a reference that is not known",
                $"The password for {added.Where} is not known. Keep its value first (POST …/secrets) and give the reference that is answered."
            );
        }
        var prepared = store.Prepare(home);
        if (!prepared.Ok)
        {
            return Problems.Of(StatusCodes.Status422UnprocessableEntity, "bad-design", "That cannot be kept.", prepared.Error);
        }
        // The answer is worked out before anything is saved: what cannot be answered is not kept, and no caller waits for it.
        var shown = Shown(prepared.Value.Home, setUp);
        var proof = await proofs.Of(id, shown, cancel);
        var moved = await store.Commit(id, version, new(prepared.Value, label, Tab(tab)), cancel, also);
        if (moved is not HeadMove.Done committed)
        {
            return await Answer(moved, asked, setUp);
        }
        proofs.Remember(committed.Head, shown, proof);
        return Ok(committed.Head, shown, proof, context);
    }

    /// <summary>
    /// What the edit, made on what its user saw, and what happened since then both set; null where the request does not say what was
    /// seen, or where the edit could not be made there either: then nothing is known of it.
    /// </summary>
    private static async Task<IReadOnlyList<Clash>?> Clashes(
        HeadRequest asked,
        JobHead head,
        Func<JobHead, ((HomeFile Home, string Label)? Done, ProblemHttpResult? Problem)> edit
    )
    {
        if (
            !long.TryParse(
                asked.Context.Request.Headers[BaseHeader].ToString(),
                NumberStyles.None,
                CultureInfo.InvariantCulture,
                out var seen
            ) || await asked.Store.Revision(asked.Id, seen, asked.Cancel) is not { } before
        )
        {
            return null;
        }
        return edit(head with { Home = before.Home }).Done is var (mine, _) ? Clash.Between(before.Home, mine, head.Home) : null;
    }

    private static Task<Results<Ok<JobState>, ProblemHttpResult>> Commit([AsParameters] HeadRequest asked, ChangeRequest request) =>
        CommitHome(asked, request.SetUp, head =>
        {
            if (head.Home.Design(request.SetUp) is not { } design)
            {
                return (null, DesignRoutes.NoSetUp(head.Home, request.SetUp));
            }
            var changed = ChangeList.Apply(design, request.Changes);
            return !changed.Ok ? (null, DesignRoutes.Refused(changed.Error))
                : request.Changes.Count == 0 ? (null, Problems.Field("/changes", "nothing", "At least one change is expected."))
                : ((head.Home.With(changed.Value.SetUp), ChangeList.Describe(design, request.Changes)), null);
        });

    private static Task<Results<Ok<JobState>, ProblemHttpResult>> Undo(
        [AsParameters] HeadRequest asked,
        string? setUp = null,
        bool evenOthers = false
    ) => Moved(asked, setUp, version => asked.Store.Undo(asked.Id, version, Tab(asked.Tab), evenOthers, asked.Cancel));

    private static Task<Results<Ok<JobState>, ProblemHttpResult>> Redo([AsParameters] HeadRequest asked, string? setUp = null) =>
        Moved(asked, setUp, version => asked.Store.Redo(asked.Id, version, asked.Cancel));

    private static async Task<Results<Ok<JobState>, ProblemHttpResult>> Moved(
        HeadRequest asked,
        string? setUp,
        Func<long, Task<HeadMove>> move
    )
    {
        if (Version(asked.Match, out var version) is { } wrong)
        {
            return wrong;
        }
        // A stale one does not wait for its turn to write.
        return await asked.Store.Find(asked.Id, asked.Cancel) is not { } head ? Problems.NoJob(asked.Id)
            : head.Job.Version != version ? await Stale(head, setUp, null, asked.Proofs, asked.Cancel)
            : await Answer(await move(version), asked, setUp);
    }

    private static async Task<Results<Ok<JobState>, ProblemHttpResult>> Answer(HeadMove move, HeadRequest asked, string? setUp)
    {
        var (proofs, cancel) = (asked.Proofs, asked.Cancel);
        switch (move)
        {
            case HeadMove.Done done:
                var shown = Shown(done.Head.Home, setUp);
                return Ok(done.Head, shown, await proofs.OfKept(done.Head, shown, cancel), asked.Context);
            case HeadMove.Stale stale:
                return await Stale(stale.Head, setUp, null, proofs, cancel);
            case HeadMove.OtherTab other:
                return Problems.Of(
                    StatusCodes.Status409Conflict,
                    "other-tab",
                    "The last change was made in another tab.",
                    $"It was: {other.Head.Revision.Label}. Undo it all the same?",
                    more: await Head(other.Head, setUp, proofs, cancel)
                );
            case HeadMove.Nothing nothing:
                return Problems.Of(
                    StatusCodes.Status409Conflict,
                    "nothing-there",
                    "There is nothing left to undo or redo.",
                    null,
                    more: await Head(nothing.Head, setUp, proofs, cancel)
                );
            default:
                return Problems.NoJob(asked.Id);
        }
    }

    private static Ok<JobState> Ok(JobHead head, Design shown, ProofDocument proof, HttpContext context)
    {
        context.Response.Headers.ETag = ETag(head.Job.Version);
        return TypedResults.Ok(JobState.Of(head, shown, proof));
    }

    private static async Task<ProblemHttpResult> Stale(
        JobHead head,
        string? setUp,
        IReadOnlyList<Clash>? clashes,
        Proofs proofs,
        CancellationToken cancel
    )
    {
        var more = await Head(head, setUp, proofs, cancel);
        more["clashes"] = clashes;
        return Problems.Of(
            StatusCodes.Status412PreconditionFailed,
            "stale",
            "The job was changed elsewhere since this page read it.",
            $"The last change there: {head.Revision.Label}.",
            more: more
        );
    }

    /// <summary>The head as it is now, so that the page can go on from it.</summary>
    private static async Task<Dictionary<string, object?>> Head(JobHead head, string? setUp, Proofs proofs, CancellationToken cancel)
    {
        var shown = Shown(head.Home, setUp);
        return new() { ["head"] = JobState.Of(head, shown, await proofs.OfKept(head, shown, cancel)) };
    }

    private static Design Shown(HomeFile home, string? setUp) => home.Design(setUp ?? "") ?? new(home.Site, home.Foremost);

    private static ProblemHttpResult? Version(string? match, out long version)
    {
        version = 0;
        return match is null
                ? Problems.Of(
                    StatusCodes.Status428PreconditionRequired,
                    "version-needed",
                    "Which version is meant?",
                    "Send the ETag that the job was read with in If-Match."
                )
            : match.Length > 2
            && match[0] == '"'
            && match[^1] == '"'
            && long.TryParse(match.AsSpan(1, match.Length - 2), NumberStyles.None, CultureInfo.InvariantCulture, out version)
                ? null
            : Problems.Of(StatusCodes.Status400BadRequest, "malformed", "If-Match cannot be read.", "One ETag such as \"12\" is expected.");
    }

    public static RouteHandlerBuilder Describe(RouteHandlerBuilder route) =>
        route
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status412PreconditionFailed)
            .ProducesProblem(StatusCodes.Status428PreconditionRequired);
}
