using System.Text.RegularExpressions;
using Altrin.Core.Facts;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Core.Comparisons;

/// <summary>What runs of a speed test say, held against what is computed for the same way; each can be kept with the home.</summary>
internal static class SpeedStatements
{
    /// <summary>Of runs whose other ends are told by id.</summary>
    public static IEnumerable<Statement> Of(Design design, SeatView? at, Taken? taken, IReadOnlyList<SpeedRun> runs) =>
        runs.GroupBy(r => (r.Place, r.By, r.To))
            .Take(Baseline.MostPaths)
            .Select(g => at is null ? Unplaced([.. g]) : One(design, at, taken, [.. g]))
            .OfType<Statement>();

    /// <summary>Runs of which it was not said at which port, or in which Wi-Fi, they were made.</summary>
    private static Statement? Unplaced(List<SpeedRun> runs) =>
        Baseline.Usable(runs) is { Count: > 0 } usable
            ? new(
                $"speed:{runs[0].Place}:{runs[0].By}:{runs[0].To}",
                usable.Min(r => r.Line),
                $"{Said(MedianSpread.Of(usable.Select(r => r.DownMbps)), runs[0].By)}, {Count(usable.Count)}.",
                Agreement.Unknown
            )
            {
                Recorded = "Say at which port or in which Wi-Fi it was taken to have it held to what is computed, and kept with the home.",
            }
            : null;

    private static Statement? One(Design design, SeatView at, Taken? taken, List<SpeedRun> runs)
    {
        var (first, usable) = (runs[0], Baseline.Usable(runs));
        if (usable.Count == 0 || Seat(at, first.By) is not { } seat || !IsEnd(design, first.To))
        {
            return null;
        }
        var place = design.Site.Place(first.Place) ?? design.Site.Place(taken?.Place);
        var ups = usable.Select(r => r.UpMbps).OfType<double>().ToList();
        var speed = new SpeedMeasure(
            "",
            seat.Box,
            first.By,
            Math.Min(usable.Count, SpeedMeasure.MostRuns),
            MedianSpread.Of(usable.Select(r => r.DownMbps))
        )
        {
            Up = ups.Count == 0 ? null : MedianSpread.Of(ups),
            From = seat.From,
            Port = seat.Port,
            To = first.To.Length == 0 ? null : first.To,
            Place = place?.Id,
            StoodIn = design.Setting(seat.Box)?.Place,
            SetUp = design.SetUp.Name,
            At = Regex.IsMatch(first.At, AirScan.Moment) ? first.At : taken?.At,
        };
        return Held(design, at, speed, usable.Min(r => r.Line));
    }

    private static Statement Held(Design design, SeatView at, SpeedMeasure measured, int line)
    {
        var held = at.Seen.Rates.Hold(measured);
        var speed = measured with { Over = held.Over };
        var kept = design.Site.Speeds.FirstOrDefault(s => s.IsLike(speed));
        var said = $"{Said(speed.Down, speed.By)}{In(design, speed.Place)}{To(design, speed.To)}, {Count(speed.Runs)}.";
        var same =
            kept is not null
            && (kept.Down, kept.Up, kept.Runs, kept.StoodIn) == (speed.Down, speed.Up, speed.Runs, speed.StoodIn)
            && kept.Over.SequenceEqual(speed.Over);
        return new(
            $"speed:{speed.Place}:{speed.By}:{speed.To}",
            line,
            said,
            held.Stands switch
            {
                null => Agreement.Unknown,
                RateStanding.Within => Agreement.Agrees,
                _ => Agreement.Disagrees,
            }
        )
        {
            Recorded = held is { Computed: { } computed } ? $"Computed: {LevelWords.Of(computed.Down)}. {computed.Says}" : held.WhyNot,
            Offer = same
                ? null
                : $"{speed.Down.Median:0.#} Mb/s are kept as measured{In(design, speed.Place)}{(kept is null ? "" : $", in place of {kept.Down.Median:0.#}")}",
            Corrections = same ? [] : [new KeepSpeed(speed)],
        };
    }

    private static string Said(MedianSpread down, RunBy by) =>
        $"{down.Median:0.#} Mb/s by {(by.Band() is null ? "cable" : $"Wi-Fi at {by.Word()}")}";

    private static string Count(int runs) => runs == 1 ? "one run" : $"the median of {runs} runs";

    private static string In(Design design, string? place) => design.Site.Place(place) is { } there ? $" in {there.Name}" : "";

    private static string To(Design design, string? to) => to is null ? "" : $" to {design.NameOf(to)}";

    /// <summary>Whether the other end is one of the home's; the internet is.</summary>
    private static bool IsEnd(Design design, string to) => to.Length == 0 || design.Box(to) is not null || design.Device(to) is not null;

    /// <summary>At which box the runs were made, and from what; null where the seat has another medium.</summary>
    private static (string Box, string? Port, string? From)? Seat(SeatView at, RunBy by)
    {
        var design = at.Design;
        if (at.IsLaptop)
        {
            var laptop = at.Seen.Network.Situation.Laptop!;
            return by == RunBy.Cable
                ? laptop.Cable is { Port: var port }
                    ? (port.Owner, port.Port, null)
                    : null
                : laptop.Wifi is { Join.Box: var box }
                    ? (box, null, null)
                    : null;
        }
        if (design.Device(at.Owner) is null)
        {
            return null;
        }
        return by == RunBy.Cable
            ? design.SetUp.Cables.FirstOrDefault(c => c.Ends(at.Owner)) is { } cable
            && (cable.A.Owner == at.Owner ? cable.B : cable.A) is var end
            && design.Box(end.Owner) is not null
                ? (end.Owner, null, at.Owner)
                : null
            : design.SetUp.Devices.FirstOrDefault(d => d.Device == at.Owner)?.Wifi is { Box: var joined }
                ? (joined, null, at.Owner)
                : null;
    }
}
