using System.Globalization;
using System.Text;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Sheets;
using Altrin.Data;
using Altrin.Formats;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Altrin.Web;

/// <summary>A question about the work from one set-up of a job to another.</summary>
/// <param name="Id">The job.</param>
/// <param name="From">The set-up that it begins with; "found" where left out.</param>
/// <param name="To">The set-up that it ends in; where left out, the planned one if it is sound, else the first that is.</param>
/// <param name="Store">Jobs.</param>
/// <param name="MyWays">How the installer goes about it.</param>
/// <param name="Proofs">Where answers are worked out.</param>
/// <param name="Sheets">Sheets that were derived last.</param>
/// <param name="Cancel">Ends the work when the caller no longer waits.</param>
internal readonly record struct RunQuestion(
    [FromRoute(Name = "id")] long Id,
    [FromQuery(Name = "from")] string? From,
    [FromQuery(Name = "to")] string? To,
    JobStore Store,
    WaysStore MyWays,
    Proofs Proofs,
    RunSheets Sheets,
    CancellationToken Cancel
);

/// <summary>Run sheets that are derived from two set-ups of a job.</summary>
internal static class RunRoutes
{
    /// <summary>What stands for the state before the first step, where an identity is asked for.</summary>
    private const string Start = "start";

    public static void Map(RouteGroupBuilder jobs)
    {
        var run = jobs.MapGroup("/{id:long}/run").WithTags("Run sheets").ProducesProblem(StatusCodes.Status404NotFound);
        run.MapGet("", Read).WithName("GetRun");
        run.MapGet("/steps/{step}", Step).WithName("GetRunStep");
        run.MapGet("/steps/{step}/if-not", IfNot).WithName("GetRunIfNot");
        run.MapGet("/steps/{step}/otherwise", Otherwise).WithName("GetRunOtherwise");
        run.MapGet("/steps/{step}/back", Back).WithName("GetRunBack");
        run.MapGet("/content", Content).WithName("GetRunContent").ProducesProblem(StatusCodes.Status422UnprocessableEntity);
    }

    private static async Task<Results<Ok<RunState>, ProblemHttpResult>> Read([AsParameters] RunQuestion question)
    {
        var (state, problem) = await Asked(question, (evening, _) =>
            new RunState(
                evening.From,
                evening.To,
                evening.Ways,
                evening.Ends.Value,
                evening.Ends.Value.Any(e => e.Name == evening.To && e.Faults.Count == 0)
                    ? SheetDocument.Of(evening.Sheet(), evening.From, evening.To!)
                    : null
            )
        );
        return state is not null ? TypedResults.Ok(state) : problem!;
    }

    private static async Task<Results<Ok<SheetMoment>, ProblemHttpResult>> Step([AsParameters] RunQuestion question, string step)
    {
        var (moment, problem) = await Sheet(question, (sheet, cancel) => Numbered(sheet, step) is not { } number ? null
            : number == 0 ? SheetMoment.Of(null, sheet.Start, 0)
            : SheetMoment.Of(sheet.Steps[number - 1].Before, sheet.Steps[number - 1].After, number));
        return moment is not null ? TypedResults.Ok(moment) : problem ?? NoStep();
    }

    private static async Task<Results<Ok<IReadOnlyList<WhatIfNotDocument>>, ProblemHttpResult>> IfNot(
        [AsParameters] RunQuestion question,
        string step
    )
    {
        var (groups, problem) = await Sheet(question, (sheet, cancel) =>
            Numbered(sheet, step) is > 0 and var number
                ? (IReadOnlyList<WhatIfNotDocument>)[.. StepIfNot.Of(sheet, number, cancel).Select(g => WhatIfNotDocument.Of(g, number))]
                : null
        );
        return groups is not null ? TypedResults.Ok(groups) : problem ?? NoStep();
    }

    private static async Task<Results<Ok<IReadOnlyList<BranchDocument>>, ProblemHttpResult>> Otherwise(
        [AsParameters] RunQuestion question,
        string step
    )
    {
        var (branches, problem) = await Sheet(question, (sheet, cancel) =>
            Numbered(sheet, step) is > 0 and var number
                ? (IReadOnlyList<BranchDocument>)[.. StepBranch.Of(sheet, number, cancel).Select(BranchDocument.Of)]
                : null
        );
        return branches is not null ? TypedResults.Ok(branches) : problem ?? NoStep();
    }

    private static async Task<Results<Ok<WayBackDocument>, ProblemHttpResult>> Back([AsParameters] RunQuestion question, string step)
    {
        var (back, problem) = await Sheet(question, (sheet, cancel) =>
            Numbered(sheet, step) is { } number ? WayBackDocument.Of(number, WayBack.After(sheet, number, cancel)) : null
        );
        return back is not null ? TypedResults.Ok(back) : problem ?? NoStep();
    }

    /// <summary>
    /// The sheet in a form. A page is sent as it is worked out, step by step: each has its own turn and its own time, and a caller who
    /// stops ends it.
    /// </summary>
    private static async Task<Results<PushStreamHttpResult, ProblemHttpResult>> Content(
        [AsParameters] RunQuestion question,
        [FromQuery(Name = "as")] string? form,
        [FromQuery] string? start
    )
    {
        if (
            !Enum.TryParse<SheetForm>(form ?? "html", ignoreCase: true, out var chosen)
            || !Enum.IsDefined(chosen)
            || int.TryParse(form, out _)
        )
        {
            return Problems.Field("/as", form ?? "", "One of text, markdown, html, json, csv, ics.");
        }
        var begins = DateTime.TryParseExact(start, "yyyy-MM-dd'T'HH:mm", CultureInfo.InvariantCulture, DateTimeStyles.None, out var at)
            ? at
            : (DateTime?)null;
        if (begins is null && (start is not null || chosen == SheetForm.Ics))
        {
            return Problems.Field("/start", start ?? "", "When the work begins, such as 2026-12-04T19:00: a calendar needs it.");
        }
        var (written, problem) = await Asked(question, (evening, _) =>
            evening.To is not { } to
                ? null
                : new
                {
                    File = SheetFile.Of(chosen, evening.Sheet(), evening.From, to, begins),
                    Home = evening.Sheet().Start.Design.Site.Name,
                }
        );
        return written is null
            ? problem!
            : TypedResults.Stream(
                to => Send(to, written.File, question),
                $"{written.File.MediaType}; charset=utf-8",
                $"{DesignRoutes.Slug($"{written.Home} run sheet")}.{written.File.Extension}"
            );
    }

    private static async Task Send(Stream to, SheetFile file, RunQuestion question)
    {
        foreach (var part in file.Parts)
        {
            await to.WriteAsync(Encoding.UTF8.GetBytes(await question.Proofs.Do(question.Id, part, question.Cancel)), question.Cancel);
            await to.FlushAsync(question.Cancel);
        }
    }

    /// <summary>The number of a step by its identity, 0 for the start; null where there is none.</summary>
    private static int? Numbered(RunSheet sheet, string step) =>
        step == Start ? 0
        : sheet.Step(step) is { } found ? SheetWords.Number(sheet, found)
        : null;

    private static ProblemHttpResult NoStep() =>
        Problems.Of(
            StatusCodes.Status404NotFound,
            "no-step",
            "There is no such step in this run sheet: it may be done, or another by now.",
            null
        );

    private static Task<(T? Answer, ProblemHttpResult? Problem)> Sheet<T>(
        RunQuestion question,
        Func<RunSheet, CancellationToken, T?> answer
    )
        where T : class => Asked(question, (evening, cancel) => evening.To is null ? null : answer(evening.Sheet(), cancel));

    /// <summary>What a question is about, once the set-ups and ways that it names are known.</summary>
    /// <param name="Ends">The set-ups in which the work can end; every set-up is proven for it.</param>
    /// <param name="From">The set-up that it begins with.</param>
    /// <param name="To">The set-up that it ends in; null where there is none.</param>
    /// <param name="Ways">How the installer goes about it.</param>
    /// <param name="Sheet">Derives the sheet, or remembers it; there has to be an end.</param>
    private sealed record Evening(Lazy<IReadOnlyList<RunEnd>> Ends, string From, string? To, Ways Ways, Func<RunSheet> Sheet);

    private static async Task<(T? Answer, ProblemHttpResult? Problem)> Asked<T>(
        RunQuestion question,
        Func<Evening, CancellationToken, T?> answer
    )
        where T : class
    {
        if (await question.Store.Find(question.Id, question.Cancel) is not { } head)
        {
            return (null, Problems.NoJob(question.Id));
        }
        var ways = (await question.MyWays.Of(question.Id, question.Cancel)).Ways;
        var begins = question.From ?? "found";
        if (head.Home.Design(begins) is not { } from)
        {
            return (null, DesignRoutes.NoSetUp(head.Home, begins));
        }
        if (question.To is { } named && head.Home.Design(named) is null)
        {
            return (null, DesignRoutes.NoSetUp(head.Home, named));
        }
        var (answered, end) = await question.Proofs.Do(
            question.Id,
            cancel =>
            {
                // Every set-up is proven for it: only where that is asked, or one has to be chosen.
                var ends = new Lazy<IReadOnlyList<RunEnd>>(() => RunSheets.Ends(head.Home, begins));
                var to = question.To ?? (ends.Value.FirstOrDefault(e => e.Faults.Count == 0) ?? First(ends.Value))?.Name;
                var evening = new Evening(ends, begins, to, ways, () =>
                    question.Sheets.Of(head.Revision.Id, from, head.Home.Design(to!)!, ways, cancel)
                );
                return (answer(evening, cancel), to);
            },
            question.Cancel
        );
        return (answered, answered is null && end is null ? DesignRoutes.NoSetUp(head.Home, "planned") : null);
    }

    private static RunEnd? First(IReadOnlyList<RunEnd> ends) => ends is [var first, ..] ? first : null;
}
