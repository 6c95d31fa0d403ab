namespace Altrin.Core.Radio;

/// <summary>The channels of each band: where they lie, and which of them are joined to wider ones (IEEE 802.11; from memory).</summary>
public static class Channels
{
    /// <summary>The narrowest width of a channel in use, in MHz.</summary>
    public const int NarrowMhz = 20;

    /// <summary>The only channel of its band that is off the raster: 12 MHz above channel 13, for the oldest generation alone.</summary>
    public const int OffRaster = 14;

    private static readonly int[] Narrow2 = [.. Enumerable.Range(1, OffRaster)];
    private static readonly int[] Narrow5 = [.. Joined(36, 64), .. Joined(100, 144), .. Joined(149, 177)];
    private static readonly int[] Narrow6 = [.. Joined(1, 233)];

    /// <summary>Every channel of 20 MHz.</summary>
    public static IReadOnlyList<int> All(RadioBand band) =>
        band switch
        {
            RadioBand.Ghz2 => Narrow2,
            RadioBand.Ghz5 => Narrow5,
            RadioBand.Ghz6 => Narrow6,
            _ => throw new ArgumentOutOfRangeException(nameof(band)),
        };

    /// <summary>The widths that a band knows, in MHz, the narrowest first.</summary>
    public static IReadOnlyList<int> Widths(RadioBand band) =>
        band switch
        {
            RadioBand.Ghz2 => [20, 40],
            RadioBand.Ghz5 => [20, 40, 80, 160],
            RadioBand.Ghz6 => [20, 40, 80, 160, 320],
            _ => throw new ArgumentOutOfRangeException(nameof(band)),
        };

    /// <summary>The centre of a channel of 20 MHz, in MHz; null where the band has no such channel.</summary>
    public static int? CentreMhz(RadioBand band, int channel) =>
        !All(band).Contains(channel) ? null
        : band == RadioBand.Ghz2 ? (channel == OffRaster ? 2484 : 2407 + (5 * channel))
        : band == RadioBand.Ghz5 ? 5000 + (5 * channel)
        : 5950 + (5 * channel);

    /// <summary>The channel of 20 MHz with a centre; null where there is none.</summary>
    public static int? At(RadioBand band, double centreMhz) =>
        All(band).Where(c => CentreMhz(band, c) == centreMhz).Select(c => (int?)c).FirstOrDefault();

    private static IEnumerable<int> Joined(int first, int last) =>
        Enumerable.Range(0, ((last - first) / 4) + 1).Select(i => first + (4 * i));
}
