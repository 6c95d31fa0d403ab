using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Coverage;

/// <summary>A channel and a width for every radio whose page can set them, planned together; the others are planned around.</summary>
/// <param name="Radios">Every radio that sends, by box and radio.</param>
/// <param name="Places">What it comes to in each place.</param>
/// <param name="Changes">What has to be set; empty where nothing is worth a change.</param>
/// <param name="IsBest">Whether every combination was looked at; otherwise radios were moved one by one until none gained.</param>
public sealed record ChannelPlan(
    IReadOnlyList<PlannedRadio> Radios,
    IReadOnlyList<PlaceGain> Places,
    IReadOnlyList<Change> Changes,
    bool IsBest
)
{
    /// <summary>The plan for a home.</summary>
    /// <param name="design">The home.</param>
    /// <param name="rates">Its levels and what is on the air.</param>
    public static ChannelPlan Of(Design design, PathRates rates)
    {
        var radios = PlanRadio.Of(design, rates);
        var best = true;
        var chosen = new ChannelBlock?[radios.Count];
        foreach (var band in Enum.GetValues<RadioBand>())
        {
            var search = new ChannelSearch(radios, band);
            best &= search.Run();
            foreach (var (at, block) in search.Chosen)
            {
                chosen[at] = block;
            }
        }
        var now = radios.Select(r => r.Now).ToArray();
        List<PlannedRadio> planned =
        [
            .. radios.Select(
                (r, i) =>
                    new PlannedRadio(
                        r.Air.Box,
                        r.Air.Radio.Id,
                        r.Air.Radio.Band,
                        r.Air.Setting.Channel,
                        r.Air.Setting.WidthMhz,
                        chosen[i]?.Primary,
                        chosen[i]?.WidthMhz,
                        Rounded(Share(radios, now, i)),
                        Rounded(Share(radios, chosen, i)),
                        r.Stays
                    )
                    {
                        Radar = chosen[i] is { } block && r.IsRadar(block),
                        Moves = chosen[i] is { } then && r.Set(then).Any(),
                    }
            ),
        ];
        return new(
            planned,
            PlaceGain.Of(design, rates, radios, now, chosen),
            [.. radios.SelectMany((r, i) => chosen[i] is { } block ? r.Set(block) : [])],
            best
        );
    }

    /// <summary>What is left to a radio of its airtime while all are as busy; null where its channel is not known.</summary>
    internal static double? Share(IReadOnlyList<PlanRadio> radios, ChannelBlock?[] blocks, int at) =>
        blocks[at] is { } own
            ? Airtime.Left(
                radios[at].Beacons,
                radios[at].Neighbours(own),
                radios[at].Hears.Where(h => blocks[h] is not null).Select(h => own.TakenBy(blocks[h]!))
            )
            : null;

    private static double? Rounded(double? share) => share is { } known ? Math.Round(known, 4) : null;
}

/// <summary>One radio in the plan.</summary>
/// <param name="Box">The box.</param>
/// <param name="Radio">Its radio.</param>
/// <param name="Band">The band.</param>
/// <param name="Channel">The channel that it is set to today; null where the box chooses.</param>
/// <param name="WidthMhz">The width that it is set to today; null where the box chooses.</param>
/// <param name="Planned">The channel in the plan; null where it is not known where it sends.</param>
/// <param name="PlannedMhz">The width in the plan.</param>
/// <param name="Now">What is left to it of its airtime today while all are busy, 0 to 1; null where it chooses its channel.</param>
/// <param name="Then">The same in the plan.</param>
/// <param name="Stays">Why it is planned around; null where it can be set.</param>
public sealed record PlannedRadio(
    string Box,
    string Radio,
    RadioBand Band,
    int? Channel,
    int? WidthMhz,
    int? Planned,
    int? PlannedMhz,
    double? Now,
    double? Then,
    string? Stays
)
{
    /// <summary>Whether radar comes first on the channel of the plan: the radio listens for a minute before it sends.</summary>
    public bool Radar { get; init; }

    /// <summary>Whether it is set to something else than today.</summary>
    public bool Moves { get; init; }
}
