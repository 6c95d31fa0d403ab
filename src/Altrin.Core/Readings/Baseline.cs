using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Readings;

/// <summary>Runs of a speed test in one place by one medium, and what they are worth.</summary>
/// <param name="Place">Where.</param>
/// <param name="By">By what.</param>
/// <param name="Runs">How many there are.</param>
/// <param name="Usable">How many lasted long enough.</param>
/// <param name="Down">Towards the home; null without a usable run.</param>
/// <param name="Up">From the home; null where no usable run measured it.</param>
/// <param name="Says">What to think of them, in sentences.</param>
public sealed record BaselineGroup(string Place, RunBy By, int Runs, int Usable, MedianSpread? Down, MedianSpread? Up, IReadOnlyList<string> Says);

/// <summary>The middle of several measurements, and how far they lie apart.</summary>
/// <param name="Median">The middle one; the mean of the two middle ones of an even count.</param>
/// <param name="Least">The least.</param>
/// <param name="Most">The most.</param>
public sealed record MedianSpread(double Median, double Least, double Most)
{
    /// <summary>Of at least one value.</summary>
    public static MedianSpread Of(IEnumerable<double> values)
    {
        var sorted = values.Order().ToList();
        return new((sorted[(sorted.Count - 1) / 2] + sorted[sorted.Count / 2]) / 2, sorted[0], sorted[^1]);
    }
}

/// <summary>What speed runs prove.</summary>
public static class Baseline
{
    /// <summary>How many runs a median wants (common practice).</summary>
    public const int Enough = 3;

    /// <summary>How long a run lasts as a rule, in seconds (common practice).</summary>
    public const double UsualSeconds = 30;

    /// <summary>A shorter run measures how a test begins, not what a line carries, in seconds (common practice).</summary>
    public const double LeastSeconds = 10;

    /// <summary>The part of a wire's rate that arrives as data over TCP: 1448 of 1538 bytes a frame, with timestamps (IEEE 802.3, RFC 7323; from memory).</summary>
    public const double Payload = 1448.0 / 1538;

    /// <summary>From this part of the rate sold on, it is the service that stops a run.</summary>
    public const double Capped = 0.9;

    /// <summary>Runs by place and medium, in their order.</summary>
    /// <param name="runs">The runs.</param>
    /// <param name="service">What was sold.</param>
    /// <param name="carries">What links between a place and the street carry at most, in Mb/s, and which one says so; null where that is not known.</param>
    /// <param name="place">The name of a place.</param>
    public static IReadOnlyList<BaselineGroup> Of(IReadOnlyList<SpeedRun> runs, Service service, Func<SpeedRun, (int Mbps, string Which)?> carries, Func<string, string> place) =>
    [
        .. runs.GroupBy(r => (r.Place, r.By)).Select(group =>
        {
            var usable = group.Where(r => Lasts(r) is not < LeastSeconds).ToList();
            MedianSpread? down = usable.Count == 0 ? null : MedianSpread.Of(usable.Select(r => r.DownMbps));
            MedianSpread? up = usable.Where(r => r.UpMbps is not null).Select(r => r.UpMbps!.Value).ToList() is { Count: > 0 } ups ? MedianSpread.Of(ups) : null;
            return new BaselineGroup(place(group.Key.Place), group.Key.By, group.Count(), usable.Count, down, up, [.. Says([.. group], usable, down, service, carries(group.First()))]);
        }),
    ];

    /// <summary>How long a run lasted, in seconds: as said, or by what it moved at its rate; null where neither is known.</summary>
    public static double? Lasts(SpeedRun run) => run.Seconds ?? (run.Megabytes is { } moved ? moved * 8 / run.DownMbps : null);

    private static IEnumerable<string> Says(List<SpeedRun> all, List<SpeedRun> usable, MedianSpread? down, Service service, (int Mbps, string Which)? carries)
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
            yield return usable.Count == 0 ? $"No run counts. Make {Enough} of {UsualSeconds:0} s, in the same place with the same machine." : $"{usable.Count} of at least {Enough} runs: one more could move the middle.";
        }
        if (usable.Exists(r => Lasts(r) is null))
        {
            yield return "How long some runs lasted was not said.";
        }
        if (down is null)
        {
            yield break;
        }
        if (down.Median > 0 && (down.Most - down.Least) / down.Median > 0.3)
        {
            yield return "They lie far apart: something else used the line or the air meanwhile.";
        }
        var most = carries is { } limit ? limit.Mbps * Payload : (double?)null;
        if (service.DownMbps is not { } sold)
        {
            yield return "The rate sold was not noted: hold it against that.";
        }
        else if (down.Median >= sold * Capped)
        {
            yield return $"The service stops it: {sold} Mb/s were sold. It proves only that everything in between carries at least this.";
        }
        else if (most is { } arrives && down.Median >= arrives * Capped && arrives < sold)
        {
            yield return $"It is as much as {carries!.Value.Which} carries, {carries.Value.Mbps} Mb/s, of which {arrives:0} arrive. {sold} Mb/s were sold.";
        }
        else
        {
            yield return $"Less than the {sold} Mb/s sold{(most is { } could ? $", and than the {Math.Min(could, sold):0} Mb/s that the wires carry" : "")}: {(all[0].By == RunBy.Cable ? "measure at the outermost box next, by cable" : "measure by cable in the same place next")}.";
        }
    }

    /// <summary>What the wires between a seat and the street carry at most, and the port that the laptop is in.</summary>
    internal static (int Mbps, string Which)? Carries(Standpoint? at)
    {
        if (at is null || at.Sides.Count == 0)
        {
            return null;
        }
        var map = new Facts.LinkMap(at.Seen.Network);
        var along = map.Along(at.Sides[0], at.Seen.Tracer.ToInternet(at.Sides[0])).ToList();
        var links = at.Seen.Sheet.Links.Where(l => along.Contains(l.Id) && l.AtMostMbps is not null).Select(l => (l.AtMostMbps!.Value, $"the link from {PortWords.Of(at.Design, l.A)} to {PortWords.Of(at.Design, l.B)}"));
        var own = at.Seen.Network.Situation.Laptop?.Port is { } port && at.IsLaptop && at.Design.Box(port.Owner)?.Profile.Port(port.Port)?.SpeedMbps is { } speed ? [(speed, PortWords.Of(at.Design, port))] : Array.Empty<(int, string)>();
        return links.Concat(own).OrderBy(l => l.Item1).Select(l => ((int, string)?)l).FirstOrDefault();
    }
}
