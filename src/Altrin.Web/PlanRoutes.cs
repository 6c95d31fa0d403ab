using Altrin.Core.Planning;
using Altrin.Core.Sites;
using Altrin.Data;
using Altrin.Formats;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Altrin.Web;

/// <summary>An alternative that is asked about.</summary>
/// <param name="Id">The job.</param>
/// <param name="Box">The box.</param>
/// <param name="As">What it should become.</param>
/// <param name="Store">Jobs.</param>
/// <param name="Tasks">What options are asked for.</param>
/// <param name="Options">Options that were worked out.</param>
/// <param name="Cancel">Ends the work when the caller no longer waits.</param>
internal readonly record struct WhyNotQuestion(
    [FromRoute(Name = "id")] long Id,
    [FromQuery(Name = "box")] string Box,
    [FromQuery(Name = "as")] string As,
    JobStore Store,
    PlanTasks Tasks,
    PlanOptions Options,
    CancellationToken Cancel
);

/// <summary>An option that becomes the plan, or is kept beside it: one of those shown, or the one that was asked for.</summary>
/// <param name="Number">Its number, from 1; null for one that was asked for.</param>
/// <param name="Box">The box that was asked about; null for one of those shown.</param>
/// <param name="As">What it was to become.</param>
/// <param name="KeepAs">What it is called where it is kept as one more set-up; null where it becomes the plan.</param>
/// <param name="RestsOn">What the options rest on that were shown; null where that is not asked. Others are never chosen unseen.</param>
internal sealed record ChosenOption(
    int? Number = null,
    string? Box = null,
    RoleKind? As = null,
    string? KeepAs = null,
    string? RestsOn = null
);

/// <summary>The home with an option, for the drawing.</summary>
/// <param name="Design">The home with the option as its only set-up.</param>
/// <param name="Proof">What is proven of it; no remedies are worked out.</param>
internal sealed record OptionDrawing(DesignDocument Design, ProofDocument Proof)
{
    public static OptionDrawing Of(PlanOption option) =>
        new(DesignWriter.Document(new(option.Site, [option.SetUp])), ProofDocument.Of(option.Proof));
}

/// <summary>What each box of a job should become.</summary>
internal static class PlanRoutes
{
    /// <summary>How long a page that asks for the best so far waits for the end.</summary>
    private static readonly TimeSpan ForBestSoFar = TimeSpan.FromMilliseconds(600);

    public static void Map(RouteGroupBuilder jobs)
    {
        var options = jobs.MapGroup("/{id:long}/options").WithTags("Plan").ProducesProblem(StatusCodes.Status404NotFound);
        options.MapGet("", Read).WithName("GetOptions");
        options.MapPost("/stop", Stop).WithName("StopOptions");
        options.MapGet("/{number:int}/drawing", Draw).WithName("GetOptionDrawing");
        options.MapGet("/why-not", Ask).WithName("GetWhyNot").ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        HeadRoutes
            .Describe(options.MapPost("/chosen", Choose).WithName("ChooseOption"))
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
    }

    /// <param name="id">The job.</param>
    /// <param name="soFar">Whether the best so far is an answer too.</param>
    /// <param name="anew">Whether a search that was cut short is begun again.</param>
    /// <param name="store">Jobs.</param>
    /// <param name="tasks">What options are asked for.</param>
    /// <param name="options">Searches.</param>
    /// <param name="time">The clock.</param>
    /// <param name="cancel">Ends the wait, and the search where no one else waits for it.</param>
    private static async Task<Results<Ok<PlanDocument>, ProblemHttpResult>> Read(
        long id,
        bool? soFar,
        bool? anew,
        JobStore store,
        PlanTasks tasks,
        PlanOptions options,
        TimeProvider time,
        CancellationToken cancel
    )
    {
        if (await store.Find(id, cancel) is not { } head)
        {
            return Problems.NoJob(id);
        }
        var task = (await tasks.Of(id, cancel))(head.Home);
        var run = options.Of(id, task, anew == true);
        while (soFar == true && !run.End.IsCompleted)
        {
            await run.Wait(ForBestSoFar, time, cancel);
            if (!run.End.IsCompleted && run.SoFar is { } best)
            {
                return TypedResults.Ok(Told(task, best, isRunning: true));
            }
        }
        return TypedResults.Ok(Told(task, await run.Answer(cancel)));
    }

    /// <summary>Ends the search that goes on: the best so far is the answer.</summary>
    private static async Task<Results<Ok<PlanDocument>, ProblemHttpResult>> Stop(
        long id,
        JobStore store,
        PlanTasks tasks,
        PlanOptions options,
        CancellationToken cancel
    )
    {
        if (await store.Find(id, cancel) is not { } head)
        {
            return Problems.NoJob(id);
        }
        var task = (await tasks.Of(id, cancel))(head.Home);
        var run = options.Of(id, task);
        run.Stop();
        return TypedResults.Ok(Told(task, await run.Answer(cancel)));
    }

    private static PlanDocument Told(PlanTask task, PlanAnswer answer, bool isRunning = false) =>
        PlanDocument.Of(task.Found, answer, isRunning) with
        {
            RestsOn = PlanOptions.RestsOn(task, answer),
        };

    /// <summary>The home with an option, for the drawing.</summary>
    private static async Task<Results<Ok<OptionDrawing>, ProblemHttpResult>> Draw(
        long id,
        int number,
        JobStore store,
        PlanTasks tasks,
        PlanOptions options,
        CancellationToken cancel
    )
    {
        if (await store.Find(id, cancel) is not { } head)
        {
            return Problems.NoJob(id);
        }
        var there = (await options.Of(id, (await tasks.Of(id, cancel))(head.Home)).Answer(cancel)).Options;
        return number < 1 || number > there.Count
            ? Problems.Of(StatusCodes.Status404NotFound, "no-option", $"There is no option {number}.", $"There are {there.Count}.")
            : TypedResults.Ok(OptionDrawing.Of(there[number - 1]));
    }

    /// <summary>An alternative that a person names, built as nearly as can be and proven.</summary>
    private static async Task<Results<Ok<WhyNotDocument>, ProblemHttpResult>> Ask([AsParameters] WhyNotQuestion question)
    {
        var cancel = question.Cancel;
        if (await question.Store.Find(question.Id, cancel) is not { } head)
        {
            return Problems.NoJob(question.Id);
        }
        var found = head.Home.AsFound();
        if (found.Box(question.Box) is null)
        {
            return NoBox(question.Box);
        }
        if (RoleText.Read(question.As) is var wanted && !wanted.Ok)
        {
            return Problems.Field("/as", question.As, wanted.Error);
        }
        var task = (await question.Tasks.Of(question.Id, cancel))(head.Home);
        return TypedResults.Ok(WhyNotDocument.Of(found, await question.Options.Ask(question.Id, task, question.Box, wanted.Value, cancel)));
    }

    /// <summary>
    /// An option becomes the set-up "planned", in one revision, or is kept beside it by name. A plan that stands is replaced: undo brings it
    /// back. What was found stays.
    /// </summary>
    private static async Task<Results<Ok<JobState>, ProblemHttpResult>> Choose(
        [AsParameters] HeadRequest asked,
        ChosenOption chosen,
        PlanTasks tasks,
        PlanOptions options
    )
    {
        if (await asked.Store.Find(asked.Id, asked.Cancel) is not { } seen)
        {
            return Problems.NoJob(asked.Id);
        }
        if (chosen is { Number: null, Box: { } unknown } && seen.Home.AsFound().Box(unknown) is null)
        {
            return NoBox(unknown);
        }
        var taskOf = await tasks.Of(asked.Id, asked.Cancel);
        // Worked out before the turn of the job is taken; what is committed below finds it there.
        var there = await options.Of(asked.Id, taskOf(seen.Home)).Answer(asked.Cancel);
        if (!AreShown(taskOf(seen.Home), there))
        {
            return Problems.Field(
                "/restsOn",
                chosen.RestsOn!,
                "The home, the way of working or the gear shelf is another one by now, or the search was run again: look at the options anew."
            );
        }
        if (chosen is { Number: null, Box: { } box, As: { } wanted })
        {
            var answer = await options.Ask(asked.Id, taskOf(seen.Home), box, wanted, asked.Cancel);
            return answer.Option is { } option
                ? await Commit(asked, _ => option, $"{seen.Home.AsFound().NameOf(box)} as asked for", chosen.KeepAs)
                : Problems.Field("/as", $"{wanted}", answer.Because!);
        }
        return chosen.Number is not { } number || number < 1 || number > there.Options.Count
            ? Problems.Field("/number", $"{chosen.Number}", $"The number of an option is expected, 1 to {there.Options.Count}.")
            : await Commit(
                asked,
                head =>
                    options.Of(asked.Id, taskOf(head.Home)).End is { IsCompletedSuccessfully: true, Result: var same }
                    && same.Options.Count >= number
                    && AreShown(taskOf(head.Home), same)
                        ? same.Options[number - 1]
                        : null,
                $"Option {number}",
                chosen.KeepAs
            );

        bool AreShown(PlanTask task, PlanAnswer answer) => chosen.RestsOn is not { } shown || shown == PlanOptions.RestsOn(task, answer);
    }

    /// <summary>Commits a set-up as the plan, or beside it; where what was found is another by now, that is said instead.</summary>
    private static Task<Results<Ok<JobState>, ProblemHttpResult>> Commit(
        HeadRequest asked,
        Func<JobHead, PlanOption?> planned,
        string says,
        string? keepAs
    ) =>
        HeadRoutes.CommitHome(
            asked,
            HomeFile.PlannedName,
            head =>
                planned(head) is not { } option
                    ? (null, Problems.Field("/number", "an option of what was found before", "Options of what is found now are expected."))
                : keepAs is null ? ((option.ChosenIn(head.Home), $"{says} becomes the plan"), null)
                : option.KeptIn(head.Home, keepAs) is var kept && kept.Ok ? ((kept.Value, $"{says} is kept as '{keepAs}'"), null)
                : (null, Problems.Field("/keepAs", keepAs, kept.Error)),
            narrow: false
        );

    private static ProblemHttpResult NoBox(string box) => Problems.Field("/box", box, "The id of a box of the home is expected.");
}
