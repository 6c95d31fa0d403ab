using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Readings;
using Altrin.Core.Sites;

namespace Altrin.Core.Comparisons;

/// <summary>Runs of a speed test in one place by one medium, and what they are worth.</summary>
/// <param name="Place">Where.</param>
/// <param name="By">By what.</param>
/// <param name="Runs">How many there are.</param>
/// <param name="Usable">How many lasted long enough.</param>
/// <param name="Down">Towards the home; null without a usable run.</param>
/// <param name="Up">From the home; null where no usable run measured it.</param>
/// <param name="Says">What to think of them, in sentences.</param>
public sealed record BaselineGroup(
    string Place,
    RunBy By,
    int Runs,
    int Usable,
    MedianSpread? Down,
    MedianSpread? Up,
    IReadOnlyList<string> Says
);

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

/// <summary>What stands between a place and the street and carries the least.</summary>
/// <param name="Mbps">What it carries, in Mb/s.</param>
/// <param name="Which">What it is, in words.</param>
/// <param name="Arrives">What of that arrives as data, in Mb/s.</param>
/// <param name="From">From which rate on a run shows that it is this which stops it, in Mb/s.</param>
public sealed record SpeedLimit(int Mbps, string Which, double Arrives, double From)
{
    /// <summary>A wire, of which a part is spent on what carries the data.</summary>
    /// <param name="mbps">Its rate, in Mb/s.</param>
    /// <param name="which">What it is, in words.</param>
    /// <param name="net">Whether that rate is what arrives already.</param>
    public static SpeedLimit OfWire(int mbps, string which, bool net = false)
    {
        var arrives = net ? mbps : mbps * MediumRates.Payload;
        return new(mbps, which, arrives, arrives * Baseline.Capped);
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

    /// <summary>From this part of the rate sold on, it is the service that stops a run (common practice).</summary>
    public const double Capped = 0.9;

    /// <summary>Beyond this part of what arrives over a thing it is not that which stops a run (common practice).</summary>
    private const double Above = 1.1;

    /// <summary>Runs by place and medium, in their order.</summary>
    /// <param name="runs">The runs.</param>
    /// <param name="service">What was sold.</param>
    /// <param name="carries">What carries least on the way of a run; null where that is not known.</param>
    /// <param name="place">The name of a place.</param>
    public static IReadOnlyList<BaselineGroup> Of(
        IReadOnlyList<SpeedRun> runs,
        Service service,
        Func<SpeedRun, SpeedLimit?> carries,
        Func<string, string> place
    ) =>
        Beside([
            .. runs.GroupBy(r => (r.Place, r.By))
                .Select(group =>
                {
                    var usable = group.Where(r => Lasts(r) is not < LeastSeconds).ToList();
                    MedianSpread? down = usable.Count == 0 ? null : MedianSpread.Of(usable.Select(r => r.DownMbps));
                    MedianSpread? up = usable.Where(r => r.UpMbps is not null).Select(r => r.UpMbps!.Value).ToList() is { Count: > 0 } ups
                        ? MedianSpread.Of(ups)
                        : null;
                    return new BaselineGroup(
                        place(group.Key.Place),
                        group.Key.By,
                        group.Count(),
                        usable.Count,
                        down,
                        up,
                        // Three runs that are too short are told once.
                        [.. Says([.. group], usable, down, service, carries(group.First())).Distinct(StringComparer.Ordinal)]
                    );
                }),
        ]);

    /// <summary>What each group is worth beside the best of them, which shows where the rate is lost.</summary>
    private static IReadOnlyList<BaselineGroup> Beside(IReadOnlyList<BaselineGroup> groups) =>
        groups.Where(g => g.Down is { Median: > 0 }).MaxBy(g => g.Down!.Median) is not { } best
            ? groups
            :
            [
                .. groups.Select(g =>
                    g == best || g.Down is null
                        ? g
                        : g with
                        {
                            Says =
                            [
                                .. g.Says,
                                $"{g.Down.Median / best.Down!.Median * 100:0} % of what arrives {In(best.Place)}by {(best.By == RunBy.Cable ? "cable" : "Wi-Fi at " + TypedReader.ByWord(best.By))}, the best of all.",
                            ],
                        }
                ),
            ];

    private static string In(string place) => place.Length == 0 ? "" : $"in {place} ";

    /// <summary>How long a run lasted, in seconds: as said, or by what it moved at its rate; null where neither is known.</summary>
    public static double? Lasts(SpeedRun run) => run.Seconds ?? (run.Megabytes is { } moved ? moved * 8 / run.DownMbps : null);

    private static IEnumerable<string> Says(
        List<SpeedRun> all,
        List<SpeedRun> usable,
        MedianSpread? down,
        Service service,
        SpeedLimit? carries
    )
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
        if (down is null)
        {
            yield break;
        }
        if (down.Median > 0 && (down.Most - down.Least) / down.Median > 0.3)
        {
            yield return "They lie far apart: something else used the line or the air meanwhile.";
        }
        if (service.DownMbps is not { } sold)
        {
            yield return "The rate sold was not noted: hold it against that.";
        }
        else if (down.Median >= sold * Capped)
        {
            yield return $"The service stops it: {sold} Mb/s were sold. It proves only that everything in between carries at least this.";
        }
        else if (carries is not null && down.Median > carries.Arrives * Above)
        {
            yield return $"More than {carries.Which} carries, of whose {carries.Mbps} Mb/s {carries.Arrives:0} arrive: what is noted of it is not so, or the run took another way. {sold} Mb/s were sold.";
        }
        else if (carries is not null && down.Median >= carries.From && carries.Arrives < sold)
        {
            yield return $"It is as much as {carries.Which} carries, {carries.Mbps} Mb/s, of which {carries.Arrives:0} arrive. {sold} Mb/s were sold.";
        }
        else
        {
            yield return $"Less than the {sold} Mb/s sold{(carries is not null ? $", and than the {Math.Min(carries.Arrives, sold):0} Mb/s that arrive over everything in between" : "")}: {(all[0].By == RunBy.Cable ? "measure at the outermost box next, by cable" : "measure by cable in the same place next")}.";
        }
    }

    /// <summary>
    /// What carries least between a seat and the street: the port that the laptop is in, leads and links, an old radio; null where the
    /// run was made by another medium than the seat has.
    /// </summary>
    internal static SpeedLimit? Carries(Standpoint? at, RunBy by)
    {
        if (at is null || at.Sides.Count == 0)
        {
            return null;
        }
        var (design, laptop) = (at.Design, at.IsLaptop ? at.Seen.Network.Situation.Laptop : null);
        var wired = laptop is null ? design.SetUp.Cables.Any(c => c.Ends(at.Owner)) : laptop.Port is not null;
        if (wired != (by == RunBy.Cable))
        {
            return null;
        }
        var along = new LinkMap(at.Seen.Network).Along(at.Sides[0], at.Seen.Tracer.ToInternet(at.Sides[0]));
        // What powerline is said to carry is what arrives already.
        var limits = at
            .Seen.Sheet.Links.Where(l => along.Contains(l.Id) && l.AtMostMbps is not null)
            .Select(l =>
                SpeedLimit.OfWire(
                    l.AtMostMbps!.Value,
                    $"the link from {PortWords.Of(design, l.A)} to {PortWords.Of(design, l.B)}",
                    design.SetUp.Cables.Any(c => c.Id == l.Id && c.Medium == Medium.Powerline)
                )
            )
            .ToList();
        if (laptop?.Port is { } port && design.Box(port.Owner)?.Profile.Port(port.Port)?.SpeedMbps is { } speed)
        {
            limits.Add(SpeedLimit.OfWire(speed, PortWords.Of(design, port)));
        }
        var sender = design.Box((laptop?.Wifi ?? design.SetUp.Devices.FirstOrDefault(d => d.Device == at.Owner)?.Wifi)?.Box ?? "");
        if (!wired && sender?.Profile.Radios.FirstOrDefault(r => r.Band == TypedReader.Band(by)) is { Generation: WifiGeneration.G })
        {
            // 20 to 25 Mb/s arrive (common practice).
            limits.Add(new(54, $"the radio of {sender.Name}", MediumRates.RelicRadioMbps, MediumRates.RelicRadioMbps * 0.8));
        }
        return limits.MinBy(l => l.Arrives);
    }
}
