using Altrin.Core.Procedures;
using Altrin.Formats;
using Microsoft.EntityFrameworkCore;

namespace Altrin.Data;

/// <summary>How the installer goes about a job.</summary>
/// <param name="Ways">What counts in the job.</param>
/// <param name="Mine">What counts where a job says nothing.</param>
/// <param name="Own">What the job says, each as a name, an equals sign and a value.</param>
public sealed record JobWays(Ways Ways, Ways Mine, IReadOnlyList<string> Own);

/// <summary>The installer's way of working, and where a job goes another one.</summary>
public sealed class WaysStore(Writing writing)
{
    private readonly AltrinContext context = writing.Context;

    /// <summary>How the installer goes about a job, or, without one, any.</summary>
    public async Task<JobWays> Of(long? job, CancellationToken cancel)
    {
        var rows = await context.Ways.AsNoTracking().Where(w => w.JobId == null || w.JobId == job).ToListAsync(cancel);
        var (mine, own) = (Texts(rows.Find(r => r.JobId is null)), Texts(job is null ? null : rows.Find(r => r.JobId == job)));
        return new(Read([.. mine, .. own]), Read(mine), own);
    }

    /// <summary>
    /// Keeps what a job goes about in its own way, or, without one, the installer's way in every job; what is not named is as usual.
    /// </summary>
    /// <returns>Why nothing was kept; null where it was.</returns>
    public async Task<string?> Put(long? job, IReadOnlyList<string> ways, CancellationToken cancel)
    {
        var read = WayText.Of(ways);
        if (!read.Ok)
        {
            return read.Error;
        }
        var text = string.Join('\n', WayText.Tidy(read.Value, ways));
        await writing.Do(
            async () =>
            {
                var row = await context.Ways.FirstOrDefaultAsync(w => w.JobId == job, cancel);
                if (row is null)
                {
                    context.Ways.Add(new() { JobId = job, Text = text });
                }
                else
                {
                    row.Text = text;
                }
                await context.SaveChangesAsync(cancel);
                return true;
            },
            cancel
        );
        return null;
    }

    private static string[] Texts(WaysEntity? row) => row is null or { Text: "" } ? [] : row.Text.Split('\n');

    private static Ways Read(IReadOnlyList<string> texts)
    {
        var read = WayText.Of(texts);
        return read.Ok ? read.Value : throw new InvalidDataException($"The way of working cannot be read: {read.Error}");
    }
}
