using Altrin.Core.Facts;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A speed was measured far below what is computed for the same way.</summary>
public static class SpeedBelow
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "speed-below",
            "slower than it should be",
            "A speed was measured that is far below the least that is computed for the same way.",
            "Something on the way is not as noted, or is broken: a lead with two good pairs, a port that agreed on less, a device that falls back.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Rates.Held.Where(h => h.Stands == RateStanding.FarBelow)
            .Select(h =>
            {
                var (kept, computed) = (h.Kept, h.Computed!);
                var runner = kept.From is { } device ? e.Name(device) : "the laptop";
                var where = e.Design.Site.Place(kept.Place) is { } place ? $" in {place.Name}" : "";
                var to = kept.To is { } end ? $" to {e.Name(end)}" : "";
                return e.Finding(
                    Rule,
                    [kept.From ?? kept.Box, kept.Id],
                    $"{kept.Down.Median:0.#} Mb/s were measured by {runner}{where}{to}, where {LevelWords.Of(computed.Down)} are computed",
                    "All that use this way are as slow.",
                    [],
                    [Next(kept, computed)]
                );
            });

    private static string Next(SpeedMeasure kept, RateFact computed) =>
        kept.By == RunBy.Cable ? "Look at what the ports agreed on, exchange the lead, then measure from one box of the way to the next."
        : computed.Parts.Any(p => p.Kind is RatePartKind.Mains or RatePartKind.Radio)
            ? "Measure at the box itself, by cable: then it is known on which side of it the speed is lost."
        : "Measure by cable at the same box: is it fast there, it is the air; look for what else is on the channel, and on which band the device is.";
}
