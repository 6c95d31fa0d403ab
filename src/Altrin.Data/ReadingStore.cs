using Altrin.Core.Addressing;
using Altrin.Core.Readings;
using Altrin.Formats;
using Microsoft.EntityFrameworkCore;

namespace Altrin.Data;

/// <summary>A kept reading without its content.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Where it came from.</param>
/// <param name="Kinds">What was read in it.</param>
/// <param name="TakenAt">When it was taken.</param>
/// <param name="SetUp">The set-up that it was held against.</param>
/// <param name="Seat">Where it was taken, by id.</param>
/// <param name="SeatName">The same in words.</param>
/// <param name="Place">In which place.</param>
/// <param name="IsCapture">Whether it is a packet capture.</param>
/// <param name="TakenOver">What was accepted into the survey, in sentences.</param>
/// <param name="Archived">Whether it is archived.</param>
public sealed record ReadingInfo(
    long Id,
    string Name,
    IReadOnlyList<ReadingKind> Kinds,
    DateTimeOffset TakenAt,
    string SetUp,
    string? Seat,
    string? SeatName,
    string? Place,
    bool IsCapture,
    IReadOnlyList<string> TakenOver,
    bool Archived
)
{
    /// <summary>Whether it lists who is there: such readings are compared, and boxes looked for in them.</summary>
    public bool Lists { get; init; } =
        Kinds.Any(k => k is ReadingKind.AddressTable or ReadingKind.DeviceList or ReadingKind.Leases or ReadingKind.Capture);

    internal static ReadingInfo Of(ReadingEntity row) =>
        new(
            row.Id,
            row.Name,
            [
                .. row
                    .Kinds.Split(',', StringSplitOptions.RemoveEmptyEntries)
                    .Select(k => Enum.TryParse<ReadingKind>(k, out var kind) ? kind : (ReadingKind?)null)
                    .OfType<ReadingKind>(),
            ],
            row.TakenAt,
            row.SetUp,
            row.Seat,
            row.SeatName,
            row.Place,
            row.IsCapture,
            row.TakenOver.Split('\n', StringSplitOptions.RemoveEmptyEntries),
            row.ArchivedAt is not null
        );
}

/// <summary>Readings of jobs.</summary>
public sealed class ReadingStore(Writing writing, TimeProvider time)
{
    private readonly AltrinContext context = writing.Context;

    /// <summary>The longest name of a reading, in characters.</summary>
    public const int LongestName = 120;

    /// <summary>How many readings one job keeps.</summary>
    public const int Most = 2000;

    /// <summary>Puts a reading among what is saved next.</summary>
    public void Add(ReadingEntity reading)
    {
        reading.KeptAt = time.GetUtcNow();
        context.Readings.Add(reading);
    }

    /// <summary>Keeps a reading from which nothing was accepted.</summary>
    public Task Keep(ReadingEntity reading, CancellationToken cancel) =>
        writing.Do(
            () =>
            {
                Add(reading);
                return Task.CompletedTask;
            },
            cancel
        );

    /// <summary>How many readings a job keeps.</summary>
    public Task<int> Count(long job, CancellationToken cancel) => context.Readings.CountAsync(r => r.JobId == job, cancel);

    /// <summary>One page of a job's readings, the last taken first.</summary>
    /// <param name="job">The job.</param>
    /// <param name="archived">Whether to list those archived instead.</param>
    /// <param name="page">From 1.</param>
    /// <param name="perPage">1 to <see cref="JobStore.MostPerPage"/>.</param>
    /// <param name="cancel">Stops the work.</param>
    public async Task<Paged<ReadingInfo>> List(long job, bool archived, int page, int perPage, CancellationToken cancel)
    {
        var all = context.Readings.AsNoTracking().Where(r => r.JobId == job && archived == (r.ArchivedAt != null));
        // Contents are left in the database: a page of them could be large.
        var rows = await all.OrderByDescending(r => r.TakenAt)
            .ThenByDescending(r => r.Id)
            .Skip((page - 1) * perPage)
            .Take(perPage)
            .Select(r => new ReadingEntity
            {
                Id = r.Id,
                JobId = r.JobId,
                Name = r.Name,
                Kinds = r.Kinds,
                TakenAt = r.TakenAt,
                KeptAt = r.KeptAt,
                SetUp = r.SetUp,
                Seat = r.Seat,
                SeatName = r.SeatName,
                Place = r.Place,
                IsCapture = r.IsCapture,
                Content = Array.Empty<byte>(),
                TakenOver = r.TakenOver,
                RevisionId = r.RevisionId,
                ArchivedAt = r.ArchivedAt,
            })
            .ToListAsync(cancel);
        return new([.. rows.Select(ReadingInfo.Of)], page, perPage, await all.CountAsync(cancel));
    }

    /// <summary>A reading with its content; null where the job has none with this id.</summary>
    public async Task<(ReadingInfo Info, byte[] Content)?> Find(long job, long id, CancellationToken cancel) =>
        await context.Readings.AsNoTracking().FirstOrDefaultAsync(r => r.JobId == job && r.Id == id, cancel) is { } row
            ? (ReadingInfo.Of(row), row.Content)
            : null;

    /// <summary>Archives a reading, or brings it back; false where the job has none with this id.</summary>
    public Task<bool> Archive(long job, long id, bool archived, CancellationToken cancel) =>
        writing.Do(
            async () =>
            {
                DateTimeOffset? when = archived ? time.GetUtcNow() : null;
                return await context
                        .Readings.Where(r => r.JobId == job && r.Id == id)
                        .ExecuteUpdateAsync(r => r.SetProperty(x => x.ArchivedAt, when), cancel) > 0;
            },
            cancel
        );

    /// <summary>Gives a job the readings of another one that it was copied from.</summary>
    public Task Copy(long from, long to, CancellationToken cancel) =>
        writing.Do(
            async () =>
            {
                foreach (
                    var row in await context.Readings.AsNoTracking().Where(r => r.JobId == from).OrderBy(r => r.Id).ToListAsync(cancel)
                )
                {
                    (row.Id, row.JobId, row.RevisionId) = (0, to, null);
                    context.Readings.Add(row);
                }
            },
            cancel
        );

    /// <summary>What was read, by kind, as it is kept; commands are no reading of anything.</summary>
    public static string KindsOf(Reading reading) =>
        string.Join(',', reading.Blocks.Select(b => b.Kind).Where(k => k != ReadingKind.Command).Distinct());

    /// <summary>What a content says: a text or a capture.</summary>
    public static Parsed<Reading> Read(byte[] content, bool isCapture) =>
        isCapture ? CaptureReader.Read(content) : ReadingText.Read(System.Text.Encoding.UTF8.GetString(content));
}
