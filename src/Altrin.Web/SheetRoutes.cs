using System.Text;
using Altrin.Core.Procedures;
using Altrin.Core.Surveys;
using Altrin.Data;
using Altrin.Formats;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Altrin.Web;

/// <summary>A question about a run sheet of a job.</summary>
/// <param name="Id">The job.</param>
/// <param name="Sheet">The sheet.</param>
/// <param name="Store">Jobs.</param>
/// <param name="Sheets">Run sheets.</param>
/// <param name="Proofs">Where answers are worked out.</param>
/// <param name="Plays">Sheets that were played last.</param>
/// <param name="Cancel">Ends the work when the caller no longer waits.</param>
internal readonly record struct SheetQuestion(
    [FromRoute(Name = "id")] long Id,
    [FromRoute(Name = "sheet")] long Sheet,
    JobStore Store,
    SheetStore Sheets,
    Proofs Proofs,
    Recent<(long Revision, long Sheet), Play> Plays,
    CancellationToken Cancel
);

/// <summary>Run sheets: lists of acts that a person typed, kept with a job and played on the simulated home.</summary>
internal static class SheetRoutes
{
    public static void Map(RouteGroupBuilder jobs)
    {
        var sheets = jobs.MapGroup("/{id:long}/sheets").WithTags("Run sheets").ProducesProblem(StatusCodes.Status404NotFound);
        sheets.MapGet("", List).WithName("ListSheets");
        sheets.MapPost("", Keep).WithName("KeepSheet").UpTo(Bodies.Pasted).ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        sheets.MapGet("/{sheet:long}", Read).WithName("PlaySheet").ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        sheets
            .MapGet("/{sheet:long}/steps/{step:int}", Step)
            .WithName("GetSheetStep")
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        sheets
            .MapGet("/{sheet:long}/steps/{step:int}/if-not", IfNot)
            .WithName("GetSheetIfNot")
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        sheets
            .MapGet("/{sheet:long}/content", Content)
            .WithName("GetSheetContent")
            .Produces<ActsDocument>(StatusCodes.Status200OK, "application/json");
    }

    private static async Task<Results<Ok<IReadOnlyList<SheetInfo>>, ProblemHttpResult>> List(
        long id,
        JobStore store,
        SheetStore sheets,
        CancellationToken cancel
    ) => await store.Find(id, cancel) is null ? Problems.NoJob(id) : TypedResults.Ok(await sheets.List(id, cancel));

    private static async Task<Results<Created<SheetInfo>, ProblemHttpResult>> Keep(
        long id,
        SheetRequest request,
        JobStore store,
        SheetStore sheets,
        SecretStore secrets,
        CancellationToken cancel
    )
    {
        if (await store.Find(id, cancel) is not { } head)
        {
            return Problems.NoJob(id);
        }
        var name = request.Name.Trim();
        if (name.Length is 0 or > SheetStore.LongestName || name.Any(char.IsControl))
        {
            return Problems.Field("/name", request.Name, $"What it is called: 1 to {SheetStore.LongestName} characters on one line.");
        }
        var content = Encoding.UTF8.GetBytes(request.Content);
        var read = ActsFile.Read(content);
        if (read.Value is not { } acts)
        {
            return Problems.Of(
                StatusCodes.Status422UnprocessableEntity,
                "bad-acts",
                "The file cannot be read as a list of acts.",
                $"{read.Errors.Count} {(read.Errors.Count == 1 ? "thing is" : "things are")} wrong with it.",
                read.Errors
            );
        }
        foreach (var (pointer, setUp) in new[] { ("/from", acts.Begins), ("/to", acts.Ends) })
        {
            if (head.Home.Design(setUp) is null)
            {
                return Problems.Field(pointer, setUp, $"One of the set-ups {string.Join(", ", head.Home.SetUps.Select(s => s.Name))}.");
            }
        }
        var known = KeyReferences.Of(head.Home).Select(u => u.Reference).ToHashSet(StringComparer.Ordinal);
        known.UnionWith((await secrets.List(id, known, cancel)).Select(s => s.Reference));
        if (ActsFile.Passwords(request.Content).FirstOrDefault(p => !known.Contains(p.Reference)) is { Pointer: { } place })
        {
            // What stands there is not repeated, and not kept: it may be the password itself.
            return Problems.Field(
                place,
                "a reference that is not known",
                $"A reference to a password of this home: {string.Join(", ", known.Order(StringComparer.Ordinal))}."
            );
        }
        return await sheets.Keep(id, name, content, cancel) is { } kept
            ? TypedResults.Created($"/api/jobs/{id}/sheets/{kept.Id}", kept)
            : Problems.Of(
                StatusCodes.Status422UnprocessableEntity,
                "too-many-sheets",
                "The job keeps no more run sheets.",
                $"At most {SheetStore.Most} are kept."
            );
    }

    private static async Task<Results<Ok<PlayedSheet>, ProblemHttpResult>> Read([AsParameters] SheetQuestion question)
    {
        var (played, problem) = await Played(question, (info, acts, play, _) => PlayedSheet.Of(info, acts.Begins, acts.Ends, play));
        return played is not null ? TypedResults.Ok(played) : problem!;
    }

    private static async Task<Results<Ok<SheetMoment>, ProblemHttpResult>> Step([AsParameters] SheetQuestion question, int step)
    {
        var (moment, problem) = await Played(question, (_, _, play, _) => step < 0 || step > play.Steps.Count ? null
            : step == 0 ? SheetMoment.Of(null, play.Steps is [var first, ..] ? first.Before : play.End, 0)
            : SheetMoment.Of(play.Steps[step - 1].Before, play.Steps[step - 1].After, step));
        return moment is not null ? TypedResults.Ok(moment) : problem ?? NoStep(step);
    }

    private static async Task<Results<Ok<IReadOnlyList<WhatIfNotDocument>>, ProblemHttpResult>> IfNot(
        [AsParameters] SheetQuestion question,
        int step
    )
    {
        var (groups, problem) = await Played(question, (_, _, play, c) =>
            step < 1 || step > play.Steps.Count ? null : WhatIfNotDocument.Of(play, step, c)
        );
        return groups is not null ? TypedResults.Ok(groups) : problem ?? NoStep(step);
    }

    private static ProblemHttpResult NoStep(int step) =>
        Problems.Of(StatusCodes.Status404NotFound, "no-step", $"There is no step {step} in this run sheet.", null);

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Content(
        long id,
        long sheet,
        JobStore store,
        SheetStore sheets,
        CancellationToken cancel
    ) =>
        await store.Find(id, cancel) is not { } head ? Problems.NoJob(id)
        : await sheets.Find(id, sheet, cancel) is not var (info, content) ? NoSheet(sheet)
        : TypedResults.File(content, "application/json", $"{DesignRoutes.Slug($"{head.Job.Name} {info.Name}")}.acts.json");

    private static async Task<(T? Answer, ProblemHttpResult? Problem)> Played<T>(
        SheetQuestion question,
        Func<SheetInfo, ActsDocument, Play, CancellationToken, T?> answer
    )
        where T : class
    {
        var (id, sheet, store, sheets, proofs, plays, cancel) = question;
        if (await store.Find(id, cancel) is not { } head)
        {
            return (null, Problems.NoJob(id));
        }
        if (await sheets.Find(id, sheet, cancel) is not var (info, content))
        {
            return (null, NoSheet(sheet));
        }
        if (ActsFile.Read(content).Value is not { } acts)
        {
            return (null, Problems.Of(StatusCodes.Status422UnprocessableEntity, "bad-acts", "This run sheet can no longer be read.", null));
        }
        if (head.Home.Design(acts.Begins) is not { } found)
        {
            return (null, DesignRoutes.NoSetUp(head.Home, acts.Begins));
        }
        if (head.Home.Design(acts.Ends) is not { } planned)
        {
            return (null, DesignRoutes.NoSetUp(head.Home, acts.Ends));
        }
        return (
            await proofs.Do(
                id,
                c =>
                    answer(
                        info,
                        acts,
                        plays.Of((head.Revision.Id, sheet), () =>
                            Play.Of(State.Morning(found), acts.Acts, planned.SetUp, acts.Ways ?? Ways.Usual, c)
                        ),
                        c
                    ),
                cancel
            ),
            null
        );
    }

    private static ProblemHttpResult NoSheet(long sheet) =>
        Problems.Of(StatusCodes.Status404NotFound, "no-sheet", $"There is no run sheet {sheet} in this job.", null);
}
