namespace Altrin.Core.Procedures;

/// <summary>What is seen after an act that is not as it should be, and which slips would explain it.</summary>
/// <param name="Shows">What is then seen otherwise; empty where nothing shows here.</param>
/// <param name="Slips">What may have gone wrong.</param>
/// <param name="ShownBy">
/// The number of the act, from 1, that will show what shows nothing here; null where it shows here, or no later act shows it.
/// </param>
public sealed record WhatIfNot(IReadOnlyList<SeenItem> Shows, IReadOnlyList<Slip> Slips, int? ShownBy)
{
    /// <summary>How its slips are told apart, in a sentence; null where what is seen tells.</summary>
    public string? Tests { get; init; }

    /// <summary>That nothing shows at a step, and which later one shows it, as a sentence; null where it shows.</summary>
    /// <param name="number">The step, from 1.</param>
    public string? Unseen(int number) =>
        Shows.Count > 0 ? null
        : ShownBy == number ? "Shows nothing at once; the end of this step shows it."
        : ShownBy is { } later ? $"Shows nothing here; step {later} shows it."
        : $"Shows nothing here, nor in the next {MostAhead} acts: look at it twice.";

    /// <summary>How many acts are played on at most to find the one that shows a slip.</summary>
    public const int MostAhead = 40;

    /// <summary>What may go wrong at an act, grouped by what is then seen; what shows at once comes first.</summary>
    /// <param name="play">An evening that was played.</param>
    /// <param name="number">Which act, from 1.</param>
    /// <param name="cancel">Gives it up between two acts.</param>
    /// <exception cref="ArgumentOutOfRangeException">There is no such act.</exception>
    /// <exception cref="OperationCanceledException">It was given up.</exception>
    public static IReadOnlyList<WhatIfNot> Of(Play play, int number, CancellationToken cancel = default)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(number, 1);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(number, play.Steps.Count);
        var step = play.Steps[number - 1];
        var meant = SeenItem.Of(step.After);
        var later = new Dictionary<PlayedStep, IReadOnlyList<SeenItem>>();
        var slips = Procedures.Slips.Of(step).Select(s => (Slip: s, Shows: s.Shows(meant))).ToList();
        return
        [
            .. slips
                .Where(s => s.Shows.Count > 0)
                .GroupBy(s => string.Join('\n', s.Shows.Select(l => $"{l.Key}: {l.Says}")))
                .Select(g => new WhatIfNot(g.First().Shows, [.. g.Select(s => s.Slip)], null)),
            .. PageSlips.Opened(step.Act) is { } box ? [PageSlips.Everyday(step.Before, box)] : Array.Empty<WhatIfNot>(),
            .. slips
                .Where(s => s.Shows.Count == 0)
                .GroupBy(s => Later(s.Slip))
                .OrderBy(g => g.Key ?? int.MaxValue)
                .Select(g => new WhatIfNot([], [.. g.Select(s => s.Slip)], g.Key)),
        ];

        // The first act from then on that is refused, or after which anything is seen otherwise.
        int? Later(Slip slip)
        {
            var now = slip.After;
            for (var i = number; i < Math.Min(play.Steps.Count, number + MostAhead); i++)
            {
                var next = play.Steps[i];
                if (next.Refused is not null)
                {
                    continue;
                }
                cancel.ThrowIfCancellationRequested();
                var done = PlayedStep.Of(now, next.Act, Ways.Usual);
                if (done.Refused is not null || !SeenItem.Of(done.After).SequenceEqual(Meant(next)))
                {
                    return i + 1;
                }
                now = done.After;
            }
            return null;
        }

        IReadOnlyList<SeenItem> Meant(PlayedStep of)
        {
            if (!later.TryGetValue(of, out var lines))
            {
                later[of] = lines = SeenItem.Of(of.After);
            }
            return lines;
        }
    }
}
