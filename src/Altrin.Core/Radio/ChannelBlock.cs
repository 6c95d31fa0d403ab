namespace Altrin.Core.Radio;

/// <summary>The piece of spectrum that a radio sends in.</summary>
/// <param name="Band">The band.</param>
/// <param name="Primary">The channel of 20 MHz in which it listens before it sends.</param>
/// <param name="WidthMhz">How wide: 20 to 320 MHz.</param>
/// <param name="CentreMhz">Its centre in MHz.</param>
public sealed record ChannelBlock(RadioBand Band, int Primary, int WidthMhz, double CentreMhz)
{
    /// <summary>First channels of the blocks of 5 GHz that are wider than 20 MHz (IEEE 802.11, annex E; from memory).</summary>
    private static readonly Dictionary<int, int[]> Wide5 = new()
    {
        [40] = [36, 44, 52, 60, 100, 108, 116, 124, 132, 140, 149, 157, 165, 173],
        [80] = [36, 52, 100, 116, 132, 149, 165],
        [160] = [36, 100, 149],
    };

    /// <summary>Its lower edge in MHz.</summary>
    public double LowMhz => CentreMhz - (WidthMhz / 2.0);

    /// <summary>Its upper edge in MHz.</summary>
    public double HighMhz => CentreMhz + (WidthMhz / 2.0);

    /// <summary>The channels of 20 MHz that it is made of, the lowest first; at 2.4 GHz those at its edges overlap others.</summary>
    public IReadOnlyList<int> Parts =>
        [
            .. Enumerable
                .Range(0, WidthMhz / Channels.NarrowMhz)
                .Select(i => Channels.At(Band, LowMhz + (Channels.NarrowMhz * (i + 0.5))))
                .OfType<int>(),
        ];

    /// <summary>The block of a width around a channel; null where the band has none.</summary>
    /// <param name="band">The band.</param>
    /// <param name="channel">The primary channel.</param>
    /// <param name="widthMhz">The width. At 2.4 GHz the second half of 40 MHz lies above up to channel 7, below from channel 8 on, as
    /// boxes set it by themselves (common practice); of the two blocks of 320 MHz at 6 GHz that share a channel, the lower is
    /// meant.</param>
    public static ChannelBlock? Of(RadioBand band, int channel, int widthMhz)
    {
        if (Channels.CentreMhz(band, channel) is not { } centre || !Channels.Widths(band).Contains(widthMhz))
        {
            return null;
        }
        if (widthMhz == Channels.NarrowMhz)
        {
            return new(band, channel, widthMhz, centre);
        }
        return band switch
        {
            RadioBand.Ghz2 => channel == Channels.OffRaster ? null : new(band, channel, widthMhz, centre + (channel <= 7 ? 10 : -10)),
            RadioBand.Ghz5 => From(Wide5[widthMhz]),
            // From the first channel on, one block beside the other; those of 320 MHz also half a block further.
            _ => From(Enumerable.Range(0, 1 + ((233 - 1) / Step())).Select(i => 1 + (i * Step())).Where(f => f + Spans() <= 233)),
        };

        ChannelBlock? From(IEnumerable<int> firsts) =>
            firsts.Where(f => channel >= f && channel <= f + Spans()).Select(f => (int?)f).FirstOrDefault() is { } first
                ? new(band, channel, widthMhz, Channels.CentreMhz(band, first)!.Value + ((widthMhz - Channels.NarrowMhz) / 2.0))
                : null;

        int Spans() => (widthMhz - Channels.NarrowMhz) / 5;
        int Step() => (widthMhz == 320 ? 160 : widthMhz) / 5;
    }

    /// <summary>How many MHz two blocks have in common; none where they only touch.</summary>
    public double SharedMhz(ChannelBlock other) =>
        Band == other.Band ? Math.Max(0, Math.Min(HighMhz, other.HighMhz) - Math.Max(LowMhz, other.LowMhz)) : 0;

    /// <summary>
    /// The share of its airtime that another block takes while it is sent in all the time: all where the other covers the primary channel,
    /// since nothing is sent while that is busy; of a part that it covers by the width that is lost, since the rest is sent in meanwhile
    /// (IEEE 802.11, carrier sense and dynamic width; that lost shares follow overlap in MHz: common practice).
    /// </summary>
    /// <returns>0 to 1.</returns>
    public double TakenBy(ChannelBlock other)
    {
        var ear = this with { WidthMhz = Channels.NarrowMhz, CentreMhz = Channels.CentreMhz(Band, Primary)!.Value };
        return Math.Max(ear.SharedMhz(other) / Channels.NarrowMhz, SharedMhz(other) / WidthMhz);
    }
}
