using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>What a radio is, as far as it was read, and what it may be where it was not.</summary>
/// <param name="Generation">Its generation; unknown where not read.</param>
/// <param name="Streams">Its streams; null where not read.</param>
/// <param name="WidthMhz">The width that it is set to, or its widest where it chooses; null where neither is known.</param>
public sealed record Ability(WifiGeneration Generation, int? Streams, int? WidthMhz)
{
    /// <summary>That of a radio of a box.</summary>
    public static Ability Of(BoxRadio radio, RadioSetting? setting) =>
        new(radio.Generation, radio.Streams, setting?.WidthMhz ?? radio.WidestMhz);

    /// <summary>That of a device.</summary>
    public static Ability Of(Device device) => new(device.Generation, device.Streams ?? StreamsOf(device.Kind), null);

    /// <summary>
    /// How many streams a device has where it was not read: one where it is small and seldom busy, otherwise not known (common practice).
    /// </summary>
    private static int? StreamsOf(DeviceKind kind) => kind is DeviceKind.Controller or DeviceKind.Printer or DeviceKind.Recorder ? 1 : null;
}

/// <summary>What arrives over a Wi-Fi at a level.</summary>
public static class AirRates
{
    /// <summary>What is usual in homes where it was not read (common practice): generation by band, two streams, 20 or 80 MHz.</summary>
    private const int UsualStreams = 2;

    /// <summary>The strongest level with which is reckoned, in dBm: nearer than a metre or so nothing gets faster.</summary>
    private const double StrongestDbm = -30;

    /// <summary>The weakest with which is reckoned where nothing is known of the way.</summary>
    private const double WeakestDbm = -95;

    /// <summary>What arrives in one direction.</summary>
    /// <param name="band">The band.</param>
    /// <param name="level">How strongly it is heard; null where not known.</param>
    /// <param name="one">What one side is.</param>
    /// <param name="other">What the other is.</param>
    /// <param name="isProtected">Whether a device of the oldest generation is near, before which each frame is announced.</param>
    public static RateSpan Of(RadioBand band, SignalLevel? level, Ability one, Ability other, bool isProtected = false)
    {
        var (oldest, newest) = (Oldest(band), Newest(band));
        var low = At(
            (band, isProtected),
            level is null ? WeakestDbm : level.Dbm - level.SpreadDb,
            Older(Said(one.Generation, oldest), Said(other.Generation, oldest)),
            Math.Min(one.Streams ?? 1, other.Streams ?? 1),
            Math.Min(one.WidthMhz ?? Channels.NarrowMhz, other.WidthMhz ?? WidestMhz(band))
        );
        var high = At(
            (band, isProtected),
            level is null ? StrongestDbm : level.Dbm + level.SpreadDb,
            Older(Said(one.Generation, newest), Said(other.Generation, newest)),
            Math.Min(one.Streams ?? 4, other.Streams ?? 4),
            Math.Min(one.WidthMhz ?? WidestMhz(band), other.WidthMhz ?? WidestMhz(band))
        );
        if (level is null)
        {
            return new(low, null, high);
        }
        var usual = At(
            (band, isProtected),
            level.Dbm,
            Older(Said(one.Generation, Usual(band)), Said(other.Generation, Usual(band))),
            Math.Min(one.Streams ?? UsualStreams, other.Streams ?? UsualStreams),
            Math.Min(one.WidthMhz ?? UsualMhz(band), other.WidthMhz ?? UsualMhz(band))
        );
        return new(Math.Min(low, usual), usual, Math.Max(high, usual));
    }

    /// <summary>What arrives at a level, in Mb/s: with the widest channel, or a narrower one of it where the signal is weak.</summary>
    private static double At((RadioBand Band, bool Protected) air, double levelDbm, WifiGeneration generation, int streams, int widthMhz) =>
        Channels
            .Widths(air.Band)
            .Where(w => w <= widthMhz)
            .Select(w => AirLink.At(air.Band, generation, w, Math.Min(streams, WifiRate.MostStreams), Math.Min(levelDbm, StrongestDbm)))
            .OfType<AirLink>()
            .Select(l => Goodput.Mbps(l with { Protected = air.Protected && generation != WifiGeneration.B }))
            .DefaultIfEmpty(0)
            .Max();

    private static WifiGeneration Said(WifiGeneration generation, WifiGeneration instead) =>
        generation == WifiGeneration.Unknown ? instead : generation;

    private static WifiGeneration Older(WifiGeneration a, WifiGeneration b) => a < b ? a : b;

    private static WifiGeneration Oldest(RadioBand band) => band == RadioBand.Ghz6 ? WifiGeneration.Ax : WifiGeneration.N;

    private static WifiGeneration Usual(RadioBand band) =>
        band switch
        {
            RadioBand.Ghz2 => WifiGeneration.N,
            RadioBand.Ghz5 => WifiGeneration.Ac,
            _ => WifiGeneration.Ax,
        };

    private static WifiGeneration Newest(RadioBand band) => band == RadioBand.Ghz6 ? WifiGeneration.Be : WifiGeneration.Ax;

    private static int UsualMhz(RadioBand band) => band == RadioBand.Ghz2 ? Channels.NarrowMhz : 80;

    /// <summary>How wide a radio may be where it was not read, in MHz: common practice.</summary>
    internal static int WidestMhz(RadioBand band) => band == RadioBand.Ghz2 ? 40 : 160;
}
