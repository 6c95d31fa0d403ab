using Microsoft.EntityFrameworkCore;

namespace Altrin.Data;

/// <summary>A kept run sheet without its acts.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">What it is called.</param>
/// <param name="KeptAt">When it was kept.</param>
public sealed record SheetInfo(long Id, string Name, DateTimeOffset KeptAt);

/// <summary>Run sheets of jobs that a person typed.</summary>
public sealed class SheetStore(Writing writing, TimeProvider time)
{
    /// <summary>The longest name of a sheet, in characters.</summary>
    public const int LongestName = 120;

    /// <summary>How many sheets one job keeps.</summary>
    public const int Most = 200;

    private readonly AltrinContext context = writing.Context;

    /// <summary>Keeps a sheet.</summary>
    /// <returns>It; null where the job keeps <see cref="Most"/> already.</returns>
    public Task<SheetInfo?> Keep(long job, string name, byte[] content, CancellationToken cancel) =>
        writing.Do(
            async () =>
            {
                if (await context.Sheets.CountAsync(s => s.JobId == job, cancel) >= Most)
                {
                    return null;
                }
                var row = new SheetEntity
                {
                    JobId = job,
                    Name = name,
                    KeptAt = time.GetUtcNow(),
                    Content = content,
                };
                context.Sheets.Add(row);
                await context.SaveChangesAsync(cancel);
                return new SheetInfo(row.Id, row.Name, row.KeptAt);
            },
            cancel
        );

    /// <summary>The sheets of a job, the newest first.</summary>
    public async Task<IReadOnlyList<SheetInfo>> List(long job, CancellationToken cancel) =>
        await context
            .Sheets.AsNoTracking()
            .Where(s => s.JobId == job)
            .OrderByDescending(s => s.Id)
            .Select(s => new SheetInfo(s.Id, s.Name, s.KeptAt))
            .ToListAsync(cancel);

    /// <summary>A sheet with its acts; null where the job has none with this id.</summary>
    public async Task<(SheetInfo Info, byte[] Content)?> Find(long job, long id, CancellationToken cancel) =>
        await context.Sheets.AsNoTracking().FirstOrDefaultAsync(s => s.JobId == job && s.Id == id, cancel) is { } row
            ? (new SheetInfo(row.Id, row.Name, row.KeptAt), row.Content)
            : null;

    /// <summary>Gives a job the sheets of another one that it was copied from.</summary>
    public Task Copy(long from, long to, CancellationToken cancel) =>
        writing.Do(
            async () =>
            {
                foreach (var row in await context.Sheets.AsNoTracking().Where(s => s.JobId == from).OrderBy(s => s.Id).ToListAsync(cancel))
                {
                    (row.Id, row.JobId) = (0, to);
                    context.Sheets.Add(row);
                }
            },
            cancel
        );
}
