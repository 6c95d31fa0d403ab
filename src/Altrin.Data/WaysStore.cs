using Altrin.Core.Planning;
using Altrin.Core.Procedures;
using Altrin.Formats;
using Microsoft.EntityFrameworkCore;

namespace Altrin.Data;

/// <summary>How the installer goes about a job.</summary>
/// <param name="Ways">What counts in the job.</param>
/// <param name="Weights">What each thing that speaks against options counts in it.</param>
/// <param name="Mine">What counts where nothing is said: of a job, the installer's way in every job; of that, what is usual.</param>
/// <param name="MyWeights">The weights where nothing is said.</param>
/// <param name="Own">What is said, each as a name, an equals sign and a value.</param>
public sealed record JobWays(Ways Ways, PlanWeights Weights, Ways Mine, PlanWeights MyWeights, IReadOnlyList<string> Own);

/// <summary>The installer's way of working, and where a job goes another one.</summary>
public sealed class WaysStore(Writing writing)
{
    private readonly AltrinContext context = writing.Context;

    /// <summary>How the installer goes about a job, or, without one, any.</summary>
    public async Task<JobWays> Of(long? job, CancellationToken cancel)
    {
        var rows = await context.Ways.AsNoTracking().Where(w => w.JobId == null || w.JobId == job).ToListAsync(cancel);
        IReadOnlyList<string> mine = job is null ? [] : Texts(rows.Find(r => r.JobId is null));
        var own = Texts(rows.Find(r => r.JobId == job));
        var (all, usual) = (Read([.. mine, .. own]), Read(mine));
        return new(all.Ways, all.Weights, usual.Ways, usual.Weights, own);
    }

    /// <summary>
    /// Keeps what a job goes about in its own way, or, without one, the installer's way in every job; what is not named is as usual.
    /// </summary>
    /// <returns>Why nothing was kept; null where it was.</returns>
    public async Task<string?> Put(long? job, IReadOnlyList<string> ways, CancellationToken cancel)
    {
        var (schools, weights) = (WayText.Of(ways.Where(w => !WeightText.Names(w))), WeightText.Of(ways.Where(WeightText.Names)));
        if (!schools.Ok || !weights.Ok)
        {
            return schools.Ok ? weights.Error : schools.Error;
        }
        var text = string.Join('\n', [.. WayText.Tidy(schools.Value, ways), .. WeightText.Tidy(weights.Value, ways)]);
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

    private static (Ways Ways, PlanWeights Weights) Read(IReadOnlyList<string> texts)
    {
        var (schools, weights) = (WayText.Of(texts.Where(t => !WeightText.Names(t))), WeightText.Of(texts.Where(WeightText.Names)));
        return schools.Ok && weights.Ok
            ? (schools.Value, weights.Value)
            : throw new InvalidDataException($"The way of working cannot be read: {(schools.Ok ? weights.Error : schools.Error)}");
    }
}
