using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>Networks of others, as a scan of a place heard them.</summary>
internal static class Neighbours
{
    /// <summary>Those of a band that are heard so strongly that they are waited for, and where they send.</summary>
    /// <param name="site">The home.</param>
    /// <param name="scanned">The place that was scanned; null for none.</param>
    /// <param name="band">The band.</param>
    /// <param name="own">The home's own names: what sends one is no neighbour.</param>
    public static IEnumerable<(HeardNetwork Network, ChannelBlock Block)> In(
        Site site,
        Place? scanned,
        RadioBand band,
        IReadOnlySet<string> own
    ) =>
        (scanned?.Air?.Networks ?? [])
            .Where(n => n is { Channel: not null, LevelDbm: >= Airtime.HeardDbm, StoodIn: null } && n.Band == band)
            .Where(n => !own.Contains(n.Name) && (n.Radio is not { } radio || MacKin.Owner(site, radio) is null))
            // How wide others send no scan prints: the narrowest is sure.
            .Select(n => (n, ChannelBlock.Of(band, n.Channel!.Value, Channels.NarrowMhz)))
            .Where(n => n.Item2 is not null)
            .Select(n => (n.n, n.Item2!));

    /// <summary>
    /// What each network of others takes of a block's airtime, 0 to 1, of the part that it covers: what is usual. Where boxes say how busy
    /// they find their channel, the one that finds it busiest stands for all that is on it.
    /// </summary>
    public static IReadOnlyList<double> Taken(ChannelBlock of, IReadOnlyList<(HeardNetwork Network, ChannelBlock Block)> others)
    {
        var told = others
            .Where(o => o.Network.BusyPercent is not null)
            .GroupBy(o => o.Block.Primary)
            .ToDictionary(g => g.Key, g => g.MaxBy(o => o.Network.BusyPercent!.Value).Network);
        return
        [
            .. others.Select(o =>
                of.TakenBy(o.Block)
                * (
                    !told.TryGetValue(o.Block.Primary, out var busiest)
                        ? Airtime.NeighbourBusy + Airtime.OfBeacon(Airtime.BeaconMbps(of.Band))
                    : ReferenceEquals(busiest, o.Network) ? busiest.BusyPercent!.Value / 100.0
                    : 0
                )
            ),
        ];
    }
}
