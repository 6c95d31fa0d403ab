using Altrin.Core.Facts;
using Altrin.Core.Radio;

namespace Altrin.Core.Findings.Rules;

/// <summary>Two boxes of the home that no radio link joins send on channels that overlap, and hear each other.</summary>
public static class ChannelShared
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "channel-shared",
            "one channel twice",
            "Two boxes that are not joined by radio send on one channel, or on channels that overlap, within hearing of each other.",
            "Only one of them sends at a time: while both are busy each has half of the airtime.",
            "IEEE 802.11, carrier sense; levels as under Speed and air",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        // What joins by radio has to be on the channel of the other.
        var joined = e.Network.RadioLinks.Select(l => Pair(l.Box, l.To)).ToHashSet();
        var told = new HashSet<(string, string, RadioBand)>();
        foreach (var use in e.Rates.Use)
        {
            foreach (var other in use.Disturbers.Where(d => d.Box is not null))
            {
                var (a, b) = Pair(use.Box, other.Box!);
                if (joined.Contains((a, b)) || !told.Add((a, b, use.Band)))
                {
                    continue;
                }
                var same = use.Channel == other.Channel;
                yield return e.Finding(
                    Rule,
                    [a, b],
                    $"{e.Name(a)} and {e.Name(b)} share {(same ? $"channel {use.Channel}" : $"channels {use.Channel} and {other.Channel}")} at {BandWords.Of(use.Band)}",
                    $"{e.Name(use.Box)} hears {e.Name(other.Box!)} at about {LevelWords.Dbm(other.LevelDbm)} and waits for it: while both are busy, Wi-Fi at both is slower.",
                    Apart(e, a, use.Band).Concat(Apart(e, b, use.Band)),
                    [
                        use.Band == RadioBand.Ghz2
                            ? "Channels 1, 6 and 11 leave each other alone; where neighbours are strong, the least busy of them is the better one."
                            : "Choose a channel whose block does not overlap the other's, or a narrower width.",
                    ]
                );
            }
        }
    }

    private static IEnumerable<Remedy> Apart(Evidence e, string box, RadioBand band) =>
        OtherChannel.For(e, e.Rates.Airs.FirstOrDefault(a => a.Box == box && a.Radio.Band == band));

    private static (string, string) Pair(string a, string b) => string.CompareOrdinal(a, b) < 0 ? (a, b) : (b, a);
}
