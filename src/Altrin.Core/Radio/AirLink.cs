namespace Altrin.Core.Radio;

/// <summary>How two radios speak with each other.</summary>
/// <param name="Band">The band.</param>
/// <param name="Generation">The generation of the older of both.</param>
/// <param name="WidthMhz">The width that both use.</param>
/// <param name="Streams">The streams of the weaker of both.</param>
/// <param name="Modulation">How bits are put on subcarriers.</param>
public sealed record AirLink(RadioBand Band, WifiGeneration Generation, int WidthMhz, int Streams, Modulation Modulation)
{
    /// <summary>Whether a device older than g is near, before which each frame is announced.</summary>
    public bool Protected { get; init; }

    /// <summary>The rate of the bits on the air, in Mb/s.</summary>
    public double RateMbps => WifiRate.Mbps(Generation, Modulation, WidthMhz, Streams);

    /// <summary>What two radios agree on at a signal; null where they do not understand each other: b is at 2.4 GHz only.</summary>
    /// <param name="band">The band.</param>
    /// <param name="generation">The generation of the older of both.</param>
    /// <param name="widthMhz">The width that both know; a generation that knows less uses its widest.</param>
    /// <param name="streams">The streams of the weaker of both.</param>
    /// <param name="levelDbm">How strongly the signal arrives.</param>
    public static AirLink? At(RadioBand band, WifiGeneration generation, int widthMhz, int streams, double levelDbm)
    {
        if (generation == WifiGeneration.B && band != RadioBand.Ghz2)
        {
            return null;
        }
        var width = Math.Min(widthMhz, Subcarriers.WidestMhz(generation));
        var most =
            generation < WifiGeneration.N ? 1
            : generation == WifiGeneration.N ? Math.Min(streams, 4)
            : streams;
        return Modulation.Fastest(generation, levelDbm - Noise.Dbm(width), width, most) is { } step
            ? new(band, generation, width, most, step)
            : null;
    }
}
