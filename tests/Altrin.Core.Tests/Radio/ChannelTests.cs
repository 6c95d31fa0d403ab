using Altrin.Core.Radio;
using static Altrin.Core.Radio.RadioBand;

namespace Altrin.Core.Tests.Radio;

/// <summary>Channels, blocks and countries against IEEE 802.11 annex E and published rules (from memory).</summary>
public sealed class ChannelTests
{
    [Theory]
    [InlineData(Ghz2, 1, 2412)]
    [InlineData(Ghz2, 6, 2437)]
    [InlineData(Ghz2, 13, 2472)]
    [InlineData(Ghz2, 14, 2484)]
    [InlineData(Ghz2, 15, null)]
    [InlineData(Ghz5, 36, 5180)]
    [InlineData(Ghz5, 64, 5320)]
    [InlineData(Ghz5, 100, 5500)]
    [InlineData(Ghz5, 144, 5720)]
    [InlineData(Ghz5, 165, 5825)]
    [InlineData(Ghz5, 177, 5885)]
    [InlineData(Ghz5, 37, null)]
    [InlineData(Ghz5, 68, null)]
    [InlineData(Ghz6, 1, 5955)]
    [InlineData(Ghz6, 93, 6415)]
    [InlineData(Ghz6, 233, 7115)]
    [InlineData(Ghz6, 2, null)]
    public void A_channel_has_its_centre(RadioBand band, int channel, int? mhz) => Assert.Equal(mhz, Channels.CentreMhz(band, channel));

    [Theory]
    [InlineData(Ghz2, 1, 40, 2422, "1 5")]
    [InlineData(Ghz2, 11, 40, 2452, "7 11")]
    [InlineData(Ghz2, 14, 40, null, "")]
    [InlineData(Ghz2, 6, 80, null, "")]
    [InlineData(Ghz5, 40, 40, 5190, "36 40")]
    [InlineData(Ghz5, 48, 80, 5210, "36 40 44 48")]
    [InlineData(Ghz5, 144, 80, 5690, "132 136 140 144")]
    [InlineData(Ghz5, 64, 160, 5250, "36 40 44 48 52 56 60 64")]
    [InlineData(Ghz5, 149, 160, 5815, "149 153 157 161 165 169 173 177")]
    [InlineData(Ghz5, 132, 160, null, "")]
    [InlineData(Ghz5, 177, 40, 5875, "173 177")]
    [InlineData(Ghz5, 36, 320, null, "")]
    [InlineData(Ghz6, 229, 40, 7085, "225 229")]
    [InlineData(Ghz6, 233, 40, null, "")]
    [InlineData(Ghz6, 221, 80, 7025, "209 213 217 221")]
    [InlineData(Ghz6, 225, 80, null, "")]
    [InlineData(Ghz6, 193, 160, 6985, "193 197 201 205 209 213 217 221")]
    public void A_wider_channel_has_its_parts(RadioBand band, int channel, int width, int? mhz, string parts)
    {
        var block = ChannelBlock.Of(band, channel, width);
        Assert.Equal(mhz, (int?)block?.CentreMhz);
        Assert.Equal(parts, block is null ? "" : string.Join(' ', block.Parts));
    }

    /// <summary>
    /// How many blocks of each width there are: 59, 29, 14, 7 and 6 at 6 GHz, as every description of the band counts them.
    /// </summary>
    [Theory]
    [InlineData(Ghz6, 20, 59)]
    [InlineData(Ghz6, 40, 29)]
    [InlineData(Ghz6, 80, 14)]
    [InlineData(Ghz6, 160, 7)]
    [InlineData(Ghz6, 320, 6)]
    [InlineData(Ghz5, 20, 28)]
    [InlineData(Ghz5, 40, 14)]
    [InlineData(Ghz5, 80, 7)]
    [InlineData(Ghz5, 160, 3)]
    public void A_band_has_so_many_blocks(RadioBand band, int width, int count)
    {
        var blocks = Channels
            .All(band)
            .Select(c => ChannelBlock.Of(band, c, width))
            .OfType<ChannelBlock>()
            .DistinctBy(b => b.CentreMhz)
            .ToList();
        Assert.Equal(count, blocks.Count);
        Assert.All(blocks, b => Assert.Equal(width / 20, b.Parts.Count));
        Assert.All(blocks, b => Assert.Contains(b.Primary, b.Parts));
    }

    /// <summary>At 2.4 GHz 1, 6 and 11 leave each other alone, and so do 1, 5, 9 and 13; neighbours take what they cover.</summary>
    [Theory]
    [InlineData(Ghz2, 1, 20, 6, 20, 0, 0)]
    [InlineData(Ghz2, 1, 20, 5, 20, 0, 0)]
    [InlineData(Ghz2, 9, 20, 13, 20, 0, 0)]
    [InlineData(Ghz2, 1, 20, 1, 20, 1, 1)]
    [InlineData(Ghz2, 1, 20, 3, 20, 0.5, 0.5)]
    [InlineData(Ghz2, 6, 20, 7, 20, 0.75, 0.75)]
    [InlineData(Ghz2, 1, 40, 5, 20, 0.5, 1)]
    [InlineData(Ghz5, 36, 80, 48, 20, 0.25, 1)]
    [InlineData(Ghz5, 36, 80, 36, 20, 1, 1)]
    [InlineData(Ghz5, 36, 160, 52, 80, 0.5, 1)]
    [InlineData(Ghz5, 36, 80, 52, 80, 0, 0)]
    [InlineData(Ghz6, 1, 320, 65, 320, 0.5, 0.5)]
    public void Blocks_take_from_each_other(RadioBand band, int a, int widthA, int b, int widthB, double fromA, double fromB)
    {
        var (one, other) = (ChannelBlock.Of(band, a, widthA)!, ChannelBlock.Of(band, b, widthB)!);
        Assert.Equal(fromA, one.TakenBy(other), 9);
        Assert.Equal(fromB, other.TakenBy(one), 9);
        Assert.Equal(one.SharedMhz(other), other.SharedMhz(one));
    }

    /// <summary>
    /// Europe: 100 mW at 2.4 GHz (EN 300 328), 200 mW indoors and radar above 5,250 MHz (EN 301 893, Decision (EU) 2022/179), 6 GHz up to
    /// 6,425 MHz (Decision (EU) 2021/1067); North America: 1 to 11, radar from 5,250 MHz (47 CFR 15.247, 15.407). All from memory.
    /// </summary>
    [Theory]
    [InlineData("AT", Ghz2, 13, 20, 20.0, false, 0)]
    [InlineData("AT", Ghz2, 14, 20, null, false, 0)]
    [InlineData("AT", Ghz5, 36, 80, 23.0, false, 0)]
    [InlineData("AT", Ghz5, 52, 80, 20.0, true, 1)]
    [InlineData("AT", Ghz5, 36, 160, 20.0, true, 1)]
    [InlineData("AT", Ghz5, 100, 80, 27.0, true, 1)]
    [InlineData("AT", Ghz5, 120, 20, 27.0, true, 10)]
    [InlineData("AT", Ghz5, 116, 80, 27.0, true, 10)]
    [InlineData("AT", Ghz6, 93, 20, 23.0, false, 0)]
    [InlineData("AT", Ghz6, 97, 20, null, false, 0)]
    [InlineData("AT", Ghz6, 1, 320, 23.0, false, 0)]
    [InlineData("US", Ghz2, 11, 20, 30.0, false, 0)]
    [InlineData("US", Ghz2, 12, 20, null, false, 0)]
    [InlineData("US", Ghz5, 52, 40, 24.0, true, 1)]
    [InlineData("US", Ghz5, 120, 20, 24.0, true, 1)]
    [InlineData("US", Ghz5, 149, 80, 30.0, false, 0)]
    [InlineData("JP", Ghz2, 14, 20, null, false, 0)]
    [InlineData("JP", Ghz5, 149, 20, null, false, 0)]
    [InlineData("JP", Ghz5, 100, 160, 23.0, true, 1)]
    // Not noted: what every country on the list allows.
    [InlineData(null, Ghz2, 1, 20, 20.0, false, 0)]
    [InlineData(null, Ghz2, 12, 20, null, false, 0)]
    [InlineData(null, Ghz5, 36, 20, null, false, 0)]
    [InlineData(null, Ghz6, 1, 20, null, false, 0)]
    public void A_country_allows_what_its_law_does(
        string? country,
        RadioBand band,
        int channel,
        int width,
        double? mostDbm,
        bool radar,
        int minutes
    )
    {
        var allowed = CountryRules.Allowed(country, ChannelBlock.Of(band, channel, width)!);
        Assert.Equal(mostDbm, allowed is null ? null : Math.Round(allowed.MostDbm));
        Assert.Equal(radar, allowed?.Radar ?? false);
        Assert.Equal(minutes, allowed?.Wait.TotalMinutes ?? 0);
    }

    [Theory]
    [InlineData(Ghz2, 11, true)]
    [InlineData(Ghz2, 12, false)]
    [InlineData(Ghz5, 36, true)]
    [InlineData(Ghz5, 48, true)]
    [InlineData(Ghz5, 52, false)]
    [InlineData(Ghz5, 149, false)]
    [InlineData(Ghz6, 1, false)]
    public void What_nearly_all_countries_allow_is_usual(RadioBand band, int channel, bool usual) =>
        Assert.Equal(usual, CountryRules.IsUsual(ChannelBlock.Of(band, channel, 20)!));

    /// <summary>The whole list is read: 181 countries, each with stretches that make sense.</summary>
    [Fact]
    public void Every_country_of_the_list_is_read()
    {
        Assert.Equal(181, CountryRules.All.Count());
        Assert.All(CountryRules.All, c => Assert.Matches("^[A-Z]{2}$", c.Code));
        Assert.All(CountryRules.All.SelectMany(c => c.Rules), r =>
            Assert.True(r is { LowMhz: > 700, MostDbm: >= 0 and <= 44, WidestMhz: >= 1 } && r.HighMhz > r.LowMhz)
        );
        Assert.All(CountryRules.All, c => Assert.NotNull(c.Allowed(ChannelBlock.Of(Ghz2, 6, 20)!)));
        Assert.Null(CountryRules.Of("ZZ"));
    }

    /// <summary>
    /// The last channels of a band join what is left of it, or nothing: 29 blocks of 40 MHz, 3 of 320 on each raster at 6 GHz.
    /// </summary>
    [Theory]
    [InlineData(RadioBand.Ghz2, 7, 40, 2452.0)]
    [InlineData(RadioBand.Ghz2, 8, 40, 2437.0)]
    [InlineData(RadioBand.Ghz2, 14, 40, null)]
    [InlineData(RadioBand.Ghz6, 229, 40, 7085.0)]
    [InlineData(RadioBand.Ghz6, 233, 40, null)]
    [InlineData(RadioBand.Ghz6, 221, 80, 7025.0)]
    [InlineData(RadioBand.Ghz6, 225, 80, null)]
    [InlineData(RadioBand.Ghz6, 221, 320, 6905.0)]
    [InlineData(RadioBand.Ghz6, 1, 320, 6105.0)]
    public void The_ends_of_a_band_join_what_is_left(RadioBand band, int channel, int width, double? centre) =>
        Assert.Equal(centre, ChannelBlock.Of(band, channel, width)?.CentreMhz);
}
