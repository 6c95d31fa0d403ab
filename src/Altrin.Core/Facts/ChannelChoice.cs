using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>Which channel suits a radio best, the others staying where they are.</summary>
public static class ChannelChoice
{
    /// <summary>The channels of 2.4 GHz that leave each other alone in every country (IEEE 802.11; from memory).</summary>
    private static readonly int[] Apart2 = [1, 6, 11];

    /// <summary>
    /// The channel that shares the least with who is heard at its box; the one that it has where none is better, then the lowest. Null
    /// where its kind of box, the width and the country leave none.
    /// </summary>
    /// <param name="design">The home.</param>
    /// <param name="signals">Its levels.</param>
    /// <param name="airs">What its boxes send.</param>
    /// <param name="air">The radio.</param>
    public static int? Best(Design design, Signals signals, IReadOnlyList<Air> airs, Air air) =>
        Allowed(design, air, radarToo: false)
            .Select(block => (block.Primary, Cost: Cost(design, signals, airs, air, block)))
            .OrderBy(c => c.Cost)
            .ThenBy(c => c.Primary != air.Setting.Channel)
            .ThenBy(c => c.Primary)
            .Select(c => (int?)c.Primary)
            .FirstOrDefault();

    /// <summary>
    /// The blocks that a radio may be set to: by its kind, its width and the country; where none was noted, what every country allows.
    /// </summary>
    public static IEnumerable<ChannelBlock> Allowed(Design design, Air air, bool radarToo)
    {
        var (band, width) = (air.Radio.Band, air.Setting.WidthMhz ?? Channels.NarrowMhz);
        return (band == RadioBand.Ghz2 ? Apart2 : Channels.All(band))
            .Where(c => air.Radio.Channels.Count == 0 || air.Radio.Channels.Contains(c))
            .Select(c => ChannelBlock.Of(band, c, width))
            .OfType<ChannelBlock>()
            .Where(b => CountryRules.Allowed(design.Site.Country, b) is { } allowed && (radarToo || !allowed.Radar));
    }

    /// <summary>What others take of a block's airtime where a radio stands, all of the home's radios taken to be busy.</summary>
    public static double Cost(Design design, Signals signals, IReadOnlyList<Air> airs, Air air, ChannelBlock block)
    {
        var moved = airs.Where(a => (a.Box, a.Radio.Id) == (air.Box, air.Radio.Id))
            .Select(a => a with { Setting = a.Setting with { Channel = block.Primary, WidthMhz = block.WidthMhz } });
        var others = airs.Where(a => (a.Box, a.Radio.Id) != (air.Box, air.Radio.Id));
        var use = AirUse.Of(design, signals, [.. moved, .. others], air.Box, air.Radio.Id)!;
        return use.Disturbers.Sum(d => d.Takes);
    }
}
