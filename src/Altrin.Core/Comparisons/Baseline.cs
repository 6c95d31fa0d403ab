using Altrin.Core.Facts;
using Altrin.Core.Readings;
using Altrin.Core.Sites;

namespace Altrin.Core.Comparisons;

/// <summary>Runs of a speed test in one place by one medium to one other end, and what they are worth.</summary>
/// <param name="Place">Where.</param>
/// <param name="By">By what.</param>
/// <param name="To">To what within the home; null for runs over the internet.</param>
/// <param name="Runs">How many there are.</param>
/// <param name="Usable">How many lasted long enough.</param>
/// <param name="Down">Towards the home; null without a usable run.</param>
/// <param name="Up">From the home; null where no usable run measured it.</param>
/// <param name="Says">What to think of them, in sentences.</param>
public sealed record BaselineGroup(
    string Place,
    RunBy By,
    string? To,
    int Runs,
    int Usable,
    MedianSpread? Down,
    MedianSpread? Up,
    IReadOnlyList<string> Says
);

/// <summary>What speed runs prove.</summary>
public static class Baseline
{
    /// <summary>How many runs a median wants (common practice).</summary>
    public const int Enough = 3;

    /// <summary>How long a run lasts as a rule, in seconds (common practice).</summary>
    public const double UsualSeconds = 30;

    /// <summary>A shorter run measures how a test begins, not what a line carries, in seconds (common practice).</summary>
    public const double LeastSeconds = 10;

    /// <summary>A run within the home this much faster clears the home of stopping one from outside (common practice).</summary>
    private const double Faster = 1.1;

    /// <summary>For how many groups it is worked out what stands between: each costs a look at the simulated network.</summary>
    public const int MostPaths = 50;

    /// <summary>Runs by place, medium and other end, in their order.</summary>
    /// <param name="runs">The runs.</param>
    /// <param name="service">What was sold.</param>
    /// <param name="path">What stands between the ends of a run; null where that is not known. Asked for the first groups only.</param>
    /// <param name="name">The name of a place, or of what a run was made to.</param>
    public static IReadOnlyList<BaselineGroup> Of(
        IReadOnlyList<SpeedRun> runs,
        Service service,
        Func<SpeedRun, SpeedPath?> path,
        Func<string, string> name
    )
    {
        var groups = runs.GroupBy(r => (r.Place, r.By, r.To))
            .Select(
                (group, i) =>
                {
                    var usable = Usable(group);
                    var (first, over) = (group.First(), i < MostPaths ? path(group.First()) : null);
                    return (
                        First: first,
                        Over: over,
                        Group: new BaselineGroup(
                            name(first.Place),
                            first.By,
                            first.To.Length == 0 ? null : name(first.To),
                            group.Count(),
                            usable.Count,
                            usable.Count == 0 ? null : MedianSpread.Of(usable.Select(r => r.DownMbps)),
                            usable.Where(r => r.UpMbps is not null).Select(r => r.UpMbps!.Value).ToList() is { Count: > 0 } ups
                                ? MedianSpread.Of(ups)
                                : null,
                            // Three runs that are too short are told once.
                            [.. OfRuns([.. group], usable).Distinct(StringComparer.Ordinal)]
                        )
                    );
                }
            )
            .ToList();
        var inside = groups.Where(g => g is { Group: { To: not null, Down: not null }, Over: not null }).ToList();
        var best = groups
            .Where(g => g.Group.Down is { Median: > 0 })
            .GroupBy(g => g.Group.To ?? "", StringComparer.Ordinal)
            .ToDictionary(b => b.Key, b => b.MaxBy(g => g.Group.Down!.Median).Group, StringComparer.Ordinal);
        return
        [
            .. groups.Select(g =>
                g.Group with
                {
                    Says =
                    [
                        .. g.Group.Says,
                        .. g.Group.Down is not { } down ? []
                        : g.Group.To is null ? OfInternet(down, g.First, service, g.Over?.Limit)
                        : OfHome(down, g.Over),
                        .. Inside(g.Group, g.Over, inside.Select(o => (o.Group, o.Over!))),
                        .. Beside(g.Group, best.GetValueOrDefault(g.Group.To ?? "")),
                    ],
                }
            ),
        ];
    }

    /// <summary>Runs within the home over the same ways show that it is not the home that stops what comes from outside.</summary>
    private static IEnumerable<string> Inside(
        BaselineGroup one,
        SpeedPath? over,
        IEnumerable<(BaselineGroup Group, SpeedPath Over)> inside
    ) =>
        one is not { To: null, Down.Median: var outer } || over is not { Links.Count: > 0 }
            ? []
            : inside
                .Where(o =>
                    o.Group.Down!.Median > outer * Faster
                    && o.Group.Place == one.Place
                    && o.Group.By == one.By
                    && over.Links.All(o.Over.Links.Contains)
                )
                .Take(1)
                .Select(o =>
                    $"It is not the home that stops it: {o.Group.Down!.Median:0} Mb/s went over the same ways to {o.Group.To}. Measure at the outermost box, by cable."
                );

    /// <summary>What a group is worth beside the best of those with the same other end, which shows where the rate is lost.</summary>
    private static IEnumerable<string> Beside(BaselineGroup one, BaselineGroup? best) =>
        best is not null && best != one && one.Down is { } down
            ?
            [
                $"{down.Median / best.Down!.Median * 100:0} % of what arrives {In(best.Place)}by {(best.By == RunBy.Cable ? "cable" : "Wi-Fi at " + best.By.Word())}, the best of all{(one.To is null ? "" : $" to {one.To}")}.",
            ]
            : [];

    private static string In(string place) => place.Length == 0 ? "" : $"in {place} ";

    /// <summary>Runs that lasted long enough, or of which that was not said.</summary>
    public static List<SpeedRun> Usable(IEnumerable<SpeedRun> runs) => [.. runs.Where(r => Lasts(r) is not < LeastSeconds)];

    /// <summary>How long a run lasted, in seconds: as said, or by what it moved at its rate; null where neither is known.</summary>
    public static double? Lasts(SpeedRun run) => run.Seconds ?? (run.Megabytes is { } moved ? moved * 8 / run.DownMbps : null);

    private static IEnumerable<string> OfRuns(List<SpeedRun> all, List<SpeedRun> usable)
    {
        foreach (var run in all.Except(usable))
        {
            var tenth = Lasts(run)!.Value;
            yield return run.Seconds is null
                ? $"{run.Megabytes:0.#} MB at {run.DownMbps:0} Mb/s last {tenth:0.0} s and measure nothing: at that rate a run moves {run.DownMbps * UsualSeconds / 8:0} MB in {UsualSeconds:0} s."
                : $"A run of {tenth:0.#} s is too short: {UsualSeconds:0} s are usual.";
        }
        if (usable.Count < Enough)
        {
            yield return usable.Count == 0
                ? $"No run counts. Make {Enough} of {UsualSeconds:0} s, in the same place with the same machine."
                : $"{usable.Count} of at least {Enough} runs: one more could move the middle.";
        }
        if (usable.Exists(r => Lasts(r) is null))
        {
            yield return "How long some runs lasted was not said.";
        }
        if (
            usable.Count > 0
            && MedianSpread.Of(usable.Select(r => r.DownMbps)) is { Median: > 0 } down
            && (down.Most - down.Least) / down.Median > 0.3
        )
        {
            yield return "They lie far apart: something else used the line or the air meanwhile.";
        }
    }

    private static IEnumerable<string> OfInternet(MedianSpread down, SpeedRun first, Service service, SpeedLimit? carries)
    {
        if (service.DownMbps is not { } sold)
        {
            yield return "The rate sold was not noted: hold it against that.";
        }
        else if (down.Median >= sold * MeasuredRate.Capped)
        {
            yield return $"The service stops it: {sold} Mb/s were sold. It proves only that everything in between carries at least this.";
        }
        else if (
            carries is not null
            && (Exceeds(down, carries) ?? (carries.Arrives.Low < sold ? Reaches(down, carries) : null)) is { } held
        )
        {
            yield return $"{held} {sold} Mb/s were sold.";
        }
        else
        {
            yield return $"Less than the {sold} Mb/s sold{(carries is not null ? $", and than the {Math.Min(carries.Arrives.Low, sold):0} Mb/s that arrive at least over everything in between" : "")}: {(first.By == RunBy.Cable ? "measure at the outermost box next, by cable" : "measure by cable in the same place next")}.";
        }
    }

    /// <summary>Runs within the home have nothing to do with what was sold: what stands between is all they can be held to.</summary>
    private static IEnumerable<string> OfHome(MedianSpread down, SpeedPath? over)
    {
        if (over is null)
        {
            yield return "It is a run within the home, apart from what was sold. Where it was taken or its other end is not known, or that seat has another medium: nothing tells what stands between.";
            yield break;
        }
        if (over.Stopped is { } stopped)
        {
            yield return $"By what is noted nothing arrives there: {stopped}";
            yield break;
        }
        if (over.SharedRadio is { } radio)
        {
            yield return $"Both ends are at {radio}: everything goes through the air twice; on one radio about half of what one of them gets alone arrives.";
        }
        if (over.Limit is not { } carries)
        {
            yield return "It is a run within the home, apart from what was sold; what stands between says no rate to hold it to.";
            yield break;
        }
        yield return Exceeds(down, carries)
            ?? Reaches(down, carries)
            ?? $"Less than arrives over {carries.Which}, {LevelWords.Of(carries.Arrives)}, which carries least in between: measure from one box of the way to the next.";
    }

    private static string? Exceeds(MedianSpread down, SpeedLimit carries) =>
        MeasuredRate.Of(down.Median, carries.Arrives) == RateStanding.Above
            ? $"More than arrives over {carries.Which}, {LevelWords.Of(carries.Arrives)}: what is noted of it is not so, or the run took another way."
            : null;

    private static string? Reaches(MedianSpread down, SpeedLimit carries) =>
        MeasuredRate.Of(down.Median, carries.Arrives) == RateStanding.Within
            ? $"It is {(carries.Arrives.Low == carries.Arrives.High ? "as much as" : "within what")} arrives over {carries.Which}: {LevelWords.Of(carries.Arrives)}."
            : null;
}
