using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>One band with all that is known to send in it.</summary>
/// <param name="Band">The band.</param>
/// <param name="LowMhz">Where what is shown of it begins.</param>
/// <param name="HighMhz">Where it ends.</param>
/// <param name="Channels">Its channels of 20 MHz that are shown, each with its centre.</param>
/// <param name="Networks">Who sends, the home's own first, then the strongest.</param>
public sealed record Spectrum(
    RadioBand Band,
    double LowMhz,
    double HighMhz,
    IReadOnlyList<ChannelMark> Channels,
    IReadOnlyList<SpectrumNetwork> Networks
)
{
    /// <summary>How many networks of others are shown in a band: the strongest.</summary>
    public const int MostOthers = 20;

    /// <summary>Every band in which something is known to send.</summary>
    /// <param name="design">The home.</param>
    /// <param name="airs">What its boxes send.</param>
    public static IReadOnlyList<Spectrum> Of(Design design, IReadOnlyList<Air> airs)
    {
        var heard = design
            .Site.Places.SelectMany(p => p.Air?.Networks ?? [])
            .Where(n => n is { Channel: not null, Band: not null })
            .Select(n => (Network: n, Box: MacKin.Owner(design.Site, n.Radio)?.Box.Id))
            .ToList();
        return
        [
            .. Enum.GetValues<RadioBand>()
                .Select(b => OfBand(b, [.. Own(airs, heard, b), .. Others(airs, heard, b)]))
                .Where(s => s.Networks.Count > 0),
        ];
    }

    private static Spectrum OfBand(RadioBand band, IReadOnlyList<SpectrumNetwork> networks)
    {
        var all = Altrin
            .Core.Radio.Channels.All(band)
            .Select(c => new ChannelMark(c, Altrin.Core.Radio.Channels.CentreMhz(band, c)!.Value))
            .ToList();
        // Of a band with a hundred channels the part that is used is shown; the smallest one, but for its odd channel, as a whole.
        var (low, high) =
            networks.Count == 0 ? (0.0, 0.0)
            : band == RadioBand.Ghz2 ? (2400, Math.Max(2484, networks.Max(n => n.HighMhz)))
            : (networks.Min(n => n.LowMhz) - 20, networks.Max(n => n.HighMhz) + 20);
        return new(
            band,
            low,
            high,
            [.. all.Where(m => m.Mhz > low && m.Mhz < high && m.Channel != Altrin.Core.Radio.Channels.OffRaster)],
            networks
        );
    }

    /// <summary>What the home's radios send: where they are fixed to, or where a scan heard those that choose.</summary>
    private static IEnumerable<SpectrumNetwork> Own(
        IReadOnlyList<Air> airs,
        List<(HeardNetwork Network, string? Box)> heard,
        RadioBand band
    )
    {
        foreach (var radio in airs.Where(a => a.Radio.Band == band).GroupBy(a => (a.Box, a.Radio.Id)))
        {
            var names = string.Join(", ", radio.Select(a => a.Setting.Name).Distinct());
            var air = radio.First();
            if (AirUse.BlockOf(air) is { } block)
            {
                yield return Shown(block, air.Box, names, null, false);
            }
            else if (
                heard.Where(h => h.Box == air.Box && h.Network.Band == band).Select(h => h.Network).MaxBy(n => n.LevelDbm) is { } there
                && ChannelBlock.Of(band, there.Channel!.Value, Altrin.Core.Radio.Channels.NarrowMhz) is { } then
            )
            {
                yield return Shown(then, air.Box, names, null, true);
            }
        }
    }

    private static IEnumerable<SpectrumNetwork> Others(
        IReadOnlyList<Air> airs,
        List<(HeardNetwork Network, string? Box)> heard,
        RadioBand band
    )
    {
        var own = airs.Select(a => a.Setting.Name).ToHashSet(StringComparer.Ordinal);
        return heard
            .Where(h => h.Box is null && h.Network.Band == band && !own.Contains(h.Network.Name))
            .GroupBy(h => (h.Network.Radio, h.Network.Name, h.Network.Channel))
            .Select(g => g.Select(h => h.Network).MaxBy(n => n.LevelDbm)!)
            .OrderByDescending(n => n.LevelDbm)
            .ThenBy(n => n.Name, StringComparer.Ordinal)
            .Take(MostOthers)
            .Select(n =>
                ChannelBlock.Of(band, n.Channel!.Value, Altrin.Core.Radio.Channels.NarrowMhz) is { } block
                    ? Shown(block, null, n.Name, n.LevelDbm, true)
                    : null
            )
            .OfType<SpectrumNetwork>();
    }

    private static SpectrumNetwork Shown(ChannelBlock block, string? box, string name, double? level, bool heard) =>
        new(box, name, block.Primary, block.WidthMhz, block.LowMhz, block.HighMhz, level, heard);
}

/// <summary>A channel and where it lies.</summary>
/// <param name="Channel">Its number.</param>
/// <param name="Mhz">Its centre, in MHz.</param>
public sealed record ChannelMark(int Channel, int Mhz);

/// <summary>One who sends in a band.</summary>
/// <param name="Box">The box of the home; null for a network of others.</param>
/// <param name="Name">Its name; empty where hidden.</param>
/// <param name="Channel">Its channel.</param>
/// <param name="WidthMhz">Its width; that of a network which was only heard is not printed, and taken to be the narrowest.</param>
/// <param name="LowMhz">Its lower edge.</param>
/// <param name="HighMhz">Its upper edge.</param>
/// <param name="LevelDbm">How strongly one of others is heard where it is strongest; null for the home's own, and where not told.</param>
/// <param name="Heard">Whether a scan says so, and no setting.</param>
public sealed record SpectrumNetwork(
    string? Box,
    string Name,
    int Channel,
    int WidthMhz,
    double LowMhz,
    double HighMhz,
    double? LevelDbm,
    bool Heard
);
