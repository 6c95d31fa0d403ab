using System.Text;
using Altrin.Core.Comparisons;
using Altrin.Core.Findings;
using Altrin.Core.Planning;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;
using Altrin.Data;
using Altrin.Formats;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Altrin.Web;

/// <summary>Corrections of what is given.</summary>
/// <param name="SetUp">The set-up to answer with.</param>
/// <param name="Corrections">The corrections, in order.</param>
internal sealed record CorrectionRequest(string SetUp, IReadOnlyList<Correction> Corrections);

/// <summary>Lines typed quickly.</summary>
/// <param name="List">Which list they are for.</param>
/// <param name="Text">The lines.</param>
internal sealed record QuickRequest(QuickList List, string Text);

/// <summary>What a survey adds up to.</summary>
/// <param name="Gaps">What is not known yet, the most important first.</param>
/// <param name="Cautions">What is to be known of boxes that are not at the line, by their kind and label.</param>
/// <param name="Cables">Every cable with its length and what it carries.</param>
/// <param name="Newer">Boxes of whose kind the shelf has a later edition.</param>
/// <param name="Service">The service in words.</param>
/// <param name="Needs">What was asked for, in words, by id.</param>
/// <param name="Changing">Devices whose MAC address is a private one, which may change.</param>
/// <param name="Air">What is noted of the air in each place.</param>
/// <param name="Settings">How each box in use is set today, and what of it is assumed.</param>
/// <param name="Waking">Boxes that must not be plugged in as they are.</param>
/// <param name="House">The Wi-Fi name and the reference of the password that all radios of the house have.</param>
internal sealed record SurveyView(
    IReadOnlyList<SurveyGap> Gaps,
    IReadOnlyList<BoxCaution> Cautions,
    IReadOnlyList<CableCheck> Cables,
    IReadOnlyList<NewerProfile> Newer,
    string Service,
    IReadOnlyList<NeedText> Needs,
    IReadOnlyList<string> Changing,
    IReadOnlyList<PlaceAir> Air,
    IReadOnlyList<BoxAsFound> Settings,
    IReadOnlyList<WakingBox> Waking,
    HouseWifi House
);

/// <summary>The Wi-Fi of the whole house.</summary>
/// <param name="Name">The name; null where radios differ.</param>
/// <param name="Password">Reference to the password; null where radios differ or none is recorded.</param>
internal sealed record HouseWifi(string? Name, string? Password);

/// <summary>A box of whose kind the shelf has a later edition.</summary>
/// <param name="Box">The box.</param>
/// <param name="ShelfId">Its kind.</param>
/// <param name="Edition">The edition on the shelf.</param>
internal sealed record NewerProfile(string Box, string ShelfId, int Edition);

/// <summary>A need in words.</summary>
/// <param name="Need">Its id.</param>
/// <param name="Subject">Who or what.</param>
/// <param name="Asked">What is asked of it.</param>
internal sealed record NeedText(string Need, string Subject, string Asked);

/// <summary>The survey: corrections of the site, quick entry, what it adds up to, tables in and out.</summary>
internal static class SurveyRoutes
{
    /// <summary>The longest text that is typed or pasted at once, in characters.</summary>
    public const int LongestText = 1_000_000;

    public static void Map(RouteGroupBuilder jobs)
    {
        HeadRoutes
            .Describe(jobs.MapPost("/{id:long}/corrections", Correct).WithName("CommitCorrections"))
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        jobs.MapGet("/{id:long}/survey", Show).WithName("GetSurvey").ProducesProblem(StatusCodes.Status404NotFound);
        jobs.MapPost("/{id:long}/survey/read", Read)
            .WithName("ReadLines")
            .UpTo(Bodies.Pasted)
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        HeadRoutes
            .Describe(jobs.MapPost("/{id:long}/survey/enter", Enter).WithName("EnterLines").UpTo(Bodies.Pasted))
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        jobs.MapGet("/{id:long}/survey/{table}.csv", Export)
            .WithName("ExportTable")
            .Produces<string>(StatusCodes.Status200OK, "text/csv")
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        HeadRoutes
            .Describe(jobs.MapPost("/{id:long}/survey/table", Import).WithName("ImportTable").UpTo(Bodies.Pasted))
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
    }

    private static async Task<Results<Ok<JobState>, ProblemHttpResult>> Correct(
        [AsParameters] HeadRequest asked,
        CorrectionRequest request,
        ShelfStore shelf
    )
    {
        var here = await shelf.Read(asked.Cancel);
        return await HeadRoutes.CommitHome(asked, request.SetUp, head =>
        {
            if (request.Corrections.Count == 0)
            {
                return (null, Problems.Field("/corrections", "nothing", "At least one correction is expected."));
            }
            var corrected = CorrectionList.Apply(head.Home, here, request.Corrections);
            return corrected.Ok
                ? ((corrected.Value, CorrectionList.Describe(head.Home, request.Corrections)), null)
                : (null, Refused(corrected.Error));
        });
    }

    private static async Task<Results<Ok<SurveyView>, ProblemHttpResult>> Show(
        long id,
        JobStore store,
        Proofs proofs,
        ShelfStore shelf,
        TimeProvider time,
        CancellationToken cancel
    )
    {
        if (await store.Find(id, cancel) is not { } head)
        {
            return Problems.NoJob(id);
        }
        var (found, here) = (head.Home.AsFound(), await shelf.Read(cancel));
        var site = found.Site;
        var proof = await proofs.Do(id, c => Judging.Prove(found, null, new(c)), cancel);
        return TypedResults.Ok(
            new SurveyView(
                SurveyGaps.Of(found),
                BoxCaution.Of(site, DateOnly.FromDateTime(time.GetLocalNow().DateTime)),
                CableCheck.Of(proof),
                [
                    .. site
                        .Boxes.Select(b => (b.Id, Newer: here.Newer(b)))
                        .Where(b => b.Newer is not null)
                        .Select(b => new NewerProfile(b.Id, b.Newer!.ShelfId, b.Newer.Edition)),
                ],
                ServiceWords.Of(site.Service),
                [
                    .. site
                        .Needs.Select(n => (n.Id, Words: NeedWords.Of(found, n)))
                        .Select(n => new NeedText(n.Id, n.Words.Subject, n.Words.Asked)),
                ],
                [.. site.Devices.Where(d => d.Mac is { IsLocallyAdministered: true }).Select(d => d.Id)],
                PlaceAir.Of(found),
                BoxAsFound.Of(head.Home),
                WakingBox.Of(found),
                new(SetHouseWifi.Today(head.Home).Name, SetHouseWifi.Today(head.Home).Password)
            )
        );
    }

    private static async Task<Results<Ok<IReadOnlyList<QuickLine>>, ProblemHttpResult>> Read(
        long id,
        QuickRequest request,
        JobStore store,
        ShelfStore shelf,
        CancellationToken cancel
    ) =>
        TooLong(request.Text) is { } wrong ? wrong
        : await store.Find(id, cancel) is not { } head ? Problems.NoJob(id)
        : TypedResults.Ok(QuickEntry.Read(head.Home, await shelf.Read(cancel), request.List, request.Text).Lines);

    private static async Task<Results<Ok<JobState>, ProblemHttpResult>> Enter(
        [AsParameters] HeadRequest asked,
        QuickRequest request,
        ShelfStore shelf
    )
    {
        if (TooLong(request.Text) is { } wrong)
        {
            return wrong;
        }
        var here = await shelf.Read(asked.Cancel);
        return await HeadRoutes.CommitHome(asked, StartPlan.Found, head =>
        {
            var read = QuickEntry.Read(head.Home, here, request.List, request.Text);
            return read.Home is { } home ? ((home, CorrectionList.Describe(head.Home, read.Corrections)), null)
                : read.Lines.Count == 0 ? (null, Problems.Field("/text", "nothing", "At least one line is expected."))
                : (
                    null,
                    Problems.Of(
                        StatusCodes.Status422UnprocessableEntity,
                        "bad-lines",
                        read.Lines.First(l => l.Error is not null).Error!,
                        null,
                        [
                            .. read
                                .Lines.Where(l => l.Error is not null)
                                .Take(FileError.Most)
                                .Select(l => new FileError($"line {l.Line}, column {l.Column}", "a line that is not understood", l.Error!)),
                        ]
                    )
                );
        });
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Export(
        long id,
        string table,
        JobStore store,
        CancellationToken cancel
    ) =>
        !Enum.TryParse<SurveyTable>(table, true, out var which)
            ? Problems.Field("table", table, $"Allowed: {string.Join(", ", Enum.GetNames<SurveyTable>()).ToLowerInvariant()}.")
        : await store.Find(id, cancel) is not { } head ? Problems.NoJob(id)
        : TypedResults.File(
            Encoding.UTF8.GetBytes(SurveyTables.Write(which, head.Home)),
            "text/csv; charset=utf-8",
            $"{DesignRoutes.Slug(head.Job.Name)}-{table.ToLowerInvariant()}.csv"
        );

    private static async Task<Results<Ok<JobState>, ProblemHttpResult>> Import(
        [AsParameters] HeadRequest asked,
        TableRequest request,
        ShelfStore shelf
    )
    {
        if (TooLong(request.Text) is { } wrong)
        {
            return wrong;
        }
        var here = await shelf.Read(asked.Cancel);
        return await HeadRoutes.CommitHome(
            asked,
            StartPlan.Found,
            head =>
            {
                var read = SurveyTables.Read(request.Table, request.Text, head.Home, here);
                return read.Value is { } home
                    ? ((home, $"A table of {$"{request.Table}".ToLowerInvariant()} is read"), null)
                    : (
                        null,
                        Problems.Of(
                            StatusCodes.Status422UnprocessableEntity,
                            "bad-table",
                            "The table cannot be read.",
                            $"{read.Errors.Count} {(read.Errors.Count == 1 ? "thing is" : "things are")} wrong with it; nothing was taken.",
                            read.Errors
                        )
                    );
            },
            narrow: false
        );
    }

    private static ProblemHttpResult? TooLong(string text) =>
        text.Length > LongestText
            ? Problems.Field("/text", $"{text.Length} characters", $"At most {LongestText} characters are read.")
            : null;

    private static ProblemHttpResult Refused(string why) =>
        Problems.Of(
            StatusCodes.Status422UnprocessableEntity,
            "refused-correction",
            "That cannot be so.",
            why,
            [new("/corrections", "a correction that cannot be made", why)]
        );
}

/// <summary>A table to be read.</summary>
/// <param name="Table">Which.</param>
/// <param name="Text">The table, with its heads in the first row.</param>
internal sealed record TableRequest(SurveyTable Table, string Text);
