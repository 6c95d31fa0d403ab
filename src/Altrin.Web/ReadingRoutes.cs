using System.Globalization;
using System.Text;
using Altrin.Core.Addressing;
using Altrin.Core.Comparisons;
using Altrin.Core.Facts;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Altrin.Data;
using Altrin.Formats;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Altrin.Web;

/// <summary>Readings: what machines print, read, compared, accepted and kept.</summary>
internal static class ReadingRoutes
{
    /// <summary>How many kept readings are joined at once.</summary>
    private const int MostJoined = 50;

    public static void Map(RouteGroupBuilder jobs)
    {
        Describe(jobs.MapPost("/{id:long}/readings/read", Read).WithName("ReadReading").UpTo(Bodies.Pasted));
        HeadRoutes
            .Describe(jobs.MapPost("/{id:long}/readings", Keep).WithName("KeepReading").UpTo(Bodies.Pasted))
            .ProducesProblem(StatusCodes.Status422UnprocessableEntity);
        Describe(jobs.MapGet("/{id:long}/readings", List).WithName("ListReadings"));
        jobs.MapGet("/{id:long}/readings/{reading:long}", Find).WithName("GetReading").ProducesProblem(StatusCodes.Status404NotFound);
        jobs.MapGet("/{id:long}/readings/{reading:long}/content", Content)
            .WithName("GetReadingContent")
            .Produces<string>(StatusCodes.Status200OK, "text/plain")
            .ProducesProblem(StatusCodes.Status404NotFound);
        jobs.MapPut("/{id:long}/readings/{reading:long}/archived", Archive)
            .WithName("PutReadingAway")
            .ProducesProblem(StatusCodes.Status404NotFound);
        Describe(jobs.MapPost("/{id:long}/readings/difference", Difference).WithName("CompareLists").UpTo(Bodies.Pasted));
        Describe(jobs.MapPost("/{id:long}/readings/moved", Moved).WithName("FindMovedBox").UpTo(Bodies.Pasted));
    }

    private static RouteHandlerBuilder Describe(RouteHandlerBuilder route) =>
        route.ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status422UnprocessableEntity);

    private static async Task<Results<Ok<ReadingView>, ProblemHttpResult>> Read(
        long id,
        ReadRequest request,
        JobStore store,
        Proofs proofs,
        CancellationToken cancel
    ) =>
        await store.Find(id, cancel) is not { } head ? Problems.NoJob(id)
        : head.Home.Design(request.SetUp) is not { } design ? DesignRoutes.NoSetUp(head.Home, request.SetUp)
        : ReadingContents.Bytes(request.Content, out var bytes, out var capture) is { } wrong ? wrong
        : (WrongSeat(design, request.Seat) ?? WrongPlace(design, request.Place)) is { } lost ? lost
        : await proofs.Do(id, c => View(head.Home, design, request.Seat, bytes, capture, new(request.Place, null), c), cancel)
            is var (view, problem)
        && view is null
            ? problem!
        : TypedResults.Ok(view);

    private static async Task<Results<Ok<JobState>, ProblemHttpResult>> Keep(
        [AsParameters] HeadRequest asked,
        KeepRequest request,
        ShelfStore shelf,
        SecretStore secrets,
        ReadingStore readings,
        TimeProvider time
    )
    {
        var (id, _, _, store, proofs, context, cancel) = asked;
        if (await store.Find(id, cancel) is not { } now)
        {
            return Problems.NoJob(id);
        }
        if (now.Home.Design(request.SetUp) is not { } design)
        {
            return DesignRoutes.NoSetUp(now.Home, request.SetUp);
        }
        var name = request.Name.Trim();
        if (
            (
                ReadingContents.Bytes(request.Content, out var bytes, out var capture)
                ?? WrongSeat(design, request.Seat)
                ?? (
                    name.Length is 0 or > ReadingStore.LongestName || name.Any(char.IsControl)
                        ? Problems.Field(
                            "/name",
                            request.Name,
                            $"Where it came from: 1 to {ReadingStore.LongestName} characters on one line."
                        )
                        : null
                )
                ?? WrongPlace(design, request.Place)
                ?? (
                    request.TakenAt > time.GetUtcNow().AddDays(1)
                        ? Problems.Field("/takenAt", $"{request.TakenAt:u}", "A time that is not in the future.")
                        : null
                )
                ?? (
                    await readings.Count(id, cancel) >= ReadingStore.Most
                        ? Problems.Of(
                            StatusCodes.Status422UnprocessableEntity,
                            "too-many-readings",
                            "The job keeps no more readings.",
                            $"At most {ReadingStore.Most} are kept."
                        )
                        : null
                )
            ) is
            { } wrong
        )
        {
            return wrong;
        }
        if (!capture)
        {
            // Those that the job holds are known by their value; the others by what stands before them.
            bytes = Encoding.UTF8.GetBytes(KeysInText.LeaveOut(Encoding.UTF8.GetString(bytes), (await secrets.All(id, cancel)).Values));
        }
        var takenAt = (request.TakenAt ?? time.GetUtcNow()).ToUniversalTime();
        var taken = TakenOf(request.Place, takenAt);
        var (view, problem) = await proofs.Do(id, c => View(now.Home, design, request.Seat, bytes, capture, taken, c), cancel);
        if (view is null)
        {
            return problem!;
        }
        var entity = new ReadingEntity
        {
            JobId = id,
            Name = name,
            Kinds = ReadingStore.KindsOf(view.Reading),
            TakenAt = takenAt,
            SetUp = request.SetUp,
            Seat = request.Seat,
            SeatName = view.Comparison.Seat,
            Place = request.Place,
            IsCapture = capture,
            Content = bytes,
        };
        if (request.Accepted.Count == 0)
        {
            await readings.Keep(entity, cancel);
            context.Response.Headers.ETag = HeadRoutes.ETag(now.Job.Version);
            return TypedResults.Ok(JobState.Of(now, design, await proofs.OfKept(now, design, cancel)));
        }
        var here = await shelf.Read(cancel);
        return await HeadRoutes.CommitHome(
            asked,
            request.SetUp,
            head =>
            {
                // The home may have moved on: what is accepted must still be offered.
                if (head.Home.Design(request.SetUp) is not { } current)
                {
                    return (null, DesignRoutes.NoSetUp(head.Home, request.SetUp));
                }
                var comparison = ReadingComparison.Of(head.Home, current, request.Seat, view.Reading, taken, new(cancel));
                var accepted = comparison.Accept(head.Home, here, request.SetUp, request.Accepted);
                var offers = comparison.Offered.Where(s => request.Accepted.Contains(s.Id)).Select(s => s.Offer!).Distinct().ToList();
                entity.TakenOver = string.Join('\n', offers);
                return accepted.Ok
                    ? ((accepted.Value, $"Read from {name}: {offers[0]}{(offers.Count > 1 ? $", and {offers.Count - 1} more" : "")}"), null)
                    : (
                        null,
                        Problems.Of(
                            StatusCodes.Status422UnprocessableEntity,
                            "refused-reading",
                            "That cannot be taken over.",
                            accepted.Error,
                            [new("/accepted", "a statement that cannot be taken over", accepted.Error)]
                        )
                    );
            },
            revision =>
            {
                entity.RevisionId = revision;
                readings.Add(entity);
            }
        );
    }

    private static async Task<Results<Ok<Paged<ReadingInfo>>, ProblemHttpResult>> List(
        [AsParameters] ReadingListQuery asked,
        JobStore store,
        ReadingStore readings,
        CancellationToken cancel
    ) =>
        JobRoutes.Paging(asked.Page, asked.PerPage) is { } wrong ? wrong
        : await store.Find(asked.Id, cancel) is null ? Problems.NoJob(asked.Id)
        : TypedResults.Ok(await readings.List(asked.Id, asked.Archived, asked.Page, asked.PerPage, cancel));

    private static async Task<Results<Ok<KeptReading>, ProblemHttpResult>> Find(
        long id,
        long reading,
        JobStore store,
        Proofs proofs,
        ReadingStore readings,
        CancellationToken cancel
    )
    {
        if (await store.Find(id, cancel) is not { } head)
        {
            return Problems.NoJob(id);
        }
        if (await readings.Find(id, reading, cancel) is not var (info, content))
        {
            return NoReading(reading);
        }
        // A set-up or a seat that is gone leaves the reading as it is, with nothing to hold it against.
        var design = head.Home.Design(info.SetUp) ?? head.Home.AsFound();
        var (view, problem) = await proofs.Do(
            id,
            c => View(head.Home, design, info.Seat, content, info.IsCapture, TakenOf(info.Place, info.TakenAt), c),
            cancel
        );
        return view is null
            ? problem!
            : TypedResults.Ok(new KeptReading(info, view, info.IsCapture ? null : Encoding.UTF8.GetString(content)));
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Content(
        long id,
        long reading,
        ReadingStore readings,
        CancellationToken cancel
    ) =>
        await readings.Find(id, reading, cancel) is not var (info, content)
            ? NoReading(reading)
            : TypedResults.File(
                content,
                info.IsCapture ? CaptureFile.MediaType : "text/plain; charset=utf-8",
                $"reading-{reading}.{(info.IsCapture ? "pcap" : "txt")}"
            );

    private static async Task<Results<NoContent, ProblemHttpResult>> Archive(
        long id,
        long reading,
        ReadingArchived body,
        ReadingStore readings,
        CancellationToken cancel
    ) => await readings.Archive(id, reading, body.Archived, cancel) ? TypedResults.NoContent() : NoReading(reading);

    private static async Task<Results<Ok<ListDifference>, ProblemHttpResult>> Difference(
        long id,
        DifferenceRequest request,
        JobStore store,
        ReadingStore readings,
        CancellationToken cancel
    )
    {
        if (await store.Find(id, cancel) is not { } head)
        {
            return Problems.NoJob(id);
        }
        var (before, wrongBefore) = await Entries(id, "/before", request.Before, request.BeforeText, readings, cancel);
        var (after, wrongAfter) = await Entries(id, "/after", request.After, request.AfterText, readings, cancel);
        return wrongBefore is not null ? wrongBefore
            : wrongAfter is not null ? wrongAfter
            : request.Expected is { } box && head.Home.Site.Boxes.All(b => b.Id != box)
                ? Problems.Field("/expected", box, "The id of a box of the survey, or none.")
            : TypedResults.Ok(DeviceLists.Compare(head.Home.Site, before.Neighbours, after.Neighbours, request.Expected));
    }

    private static async Task<Results<Ok<MovedBox>, ProblemHttpResult>> Moved(
        long id,
        MovedRequest request,
        JobStore store,
        Proofs proofs,
        ReadingStore readings,
        CancellationToken cancel
    )
    {
        if (await store.Find(id, cancel) is not { } head)
        {
            return Problems.NoJob(id);
        }
        var (entries, wrong) = await Entries(id, "/readings", request.Readings, request.Text, readings, cancel);
        if (wrong is not null)
        {
            return wrong;
        }
        var box = head.Home.Site.Boxes.FirstOrDefault(b => b.Id == request.Box);
        if (request.Box is { } asked && box is null)
        {
            return Problems.Field("/box", asked, "The id of a box of the survey, or none.");
        }
        // The network that was looked through: the machine's own, else the one of the first entry among those recorded.
        var own = Machine.Of(entries)?.Adapter.Address?.Subnet;
        var subnet = own
            ?? entries
                .Neighbours.Select(n => n.Address)
                .OfType<Ipv4Address>()
                .Select(a => (Subnet?)Subnet.Containing(a, 24))
                .FirstOrDefault()
            ?? await proofs.Do(
                id,
                c => ProofQuestion.Observed(head.Home.AsFound(), c).Sheet.Rulers.Select(r => (Subnet?)r.Subnet).FirstOrDefault(),
                cancel
            );
        var found = MovedBox.Find(head.Home.Site, box, request.Digits, entries.Neighbours, subnet);
        return found.Ok
            ? TypedResults.Ok(found.Value)
            : Problems.Field(request.Digits is { Length: > 0 } ? "/digits" : "/box", request.Digits ?? request.Box ?? "", found.Error);
    }

    /// <summary>What kept readings and a pasted text hold together.</summary>
    private static async Task<(Reading Joined, ProblemHttpResult? Problem)> Entries(
        long id,
        string pointer,
        IReadOnlyList<long> kept,
        string? text,
        ReadingStore readings,
        CancellationToken cancel
    )
    {
        var joined = new Reading(0, [], [], 0);
        if (kept.Count > MostJoined)
        {
            return (joined, Problems.Field(pointer, $"{kept.Count} readings", $"At most {MostJoined} are joined."));
        }
        foreach (var one in kept)
        {
            if (await readings.Find(id, one, cancel) is not var (info, content))
            {
                return (joined, NoReading(one));
            }
            Add(ReadingStore.Read(content, info.IsCapture).Value);
        }
        if (text is { Length: > 0 })
        {
            var read = ReadingText.Read(text);
            if (!read.Ok)
            {
                return (joined, Problems.Field($"{pointer}Text", $"{text.Length} characters", read.Error));
            }
            Add(read.Value);
        }
        return (joined, null);

        void Add(Reading read) =>
            joined = joined with
            {
                Neighbours = [.. joined.Neighbours, .. read.Neighbours],
                Adapters = [.. joined.Adapters, .. read.Adapters],
                Routes = [.. joined.Routes, .. read.Routes],
            };
    }

    private static (ReadingView? View, ProblemHttpResult? Problem) View(
        HomeFile home,
        Design design,
        string? seat,
        byte[] content,
        bool capture,
        Taken taken,
        CancellationToken cancel
    )
    {
        var read = ReadingStore.Read(content, capture);
        return read.Ok
            ? (new(read.Value, ReadingComparison.Of(home, design, seat, read.Value, taken, new(cancel))), null)
            : (null, Problems.Field("/content", $"{content.Length} bytes", read.Error));
    }

    private static ProblemHttpResult? WrongSeat(Design design, string? seat) =>
        seat is { Length: > 0 } && Seats.At(design, seat) is { Ok: false, Error: { } error } ? Problems.Field("/seat", seat, error) : null;

    private static ProblemHttpResult? WrongPlace(Design design, string? place) =>
        place is not null && design.Site.Place(place) is null
            ? Problems.Field("/place", place, "The id of a place of the survey, or none.")
            : null;

    private static Taken TakenOf(string? place, DateTimeOffset at) =>
        new(place, at.UtcDateTime.ToString("yyyy-MM-dd'T'HH:mm'Z'", CultureInfo.InvariantCulture));

    private static ProblemHttpResult NoReading(long reading) =>
        Problems.Of(StatusCodes.Status404NotFound, "no-reading", $"There is no reading {reading} in this job.", null);
}
