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

    /// <summary>What a network of others takes of a block's airtime, 0 to 1: what is usual, of the part that it covers.</summary>
    public static double Taken(ChannelBlock of, ChannelBlock other) =>
        of.TakenBy(other) * (Airtime.NeighbourBusy + Airtime.OfBeacon(Airtime.BeaconMbps(of.Band)));
}
