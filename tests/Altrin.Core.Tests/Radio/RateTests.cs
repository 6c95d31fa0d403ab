using System.Globalization;
using Altrin.Core.Radio;
using static Altrin.Core.Radio.WifiGeneration;

namespace Altrin.Core.Tests.Radio;

/// <summary>
/// Rates against the published tables of IEEE 802.11-2020, 802.11ax-2021 and 802.11be (from memory), rounded as they are there.
/// </summary>
public sealed class RateTests
{
    [Theory]
    // Table 15-2 and 16-2: b.
    [InlineData(B, 20, 1, 800, "1 2 5.5 11")]
    // Table 17-4: a and g.
    [InlineData(G, 20, 1, 800, "6 9 12 18 24 36 48 54")]
    // Tables 19-27 to 19-34: n.
    [InlineData(N, 20, 1, 800, "6.5 13 19.5 26 39 52 58.5 65")]
    [InlineData(N, 20, 1, 400, "7.2 14.4 21.7 28.9 43.3 57.8 65 72.2")]
    [InlineData(N, 40, 1, 800, "13.5 27 40.5 54 81 108 121.5 135")]
    [InlineData(N, 40, 1, 400, "15 30 45 60 90 120 135 150")]
    [InlineData(N, 40, 2, 400, "30 60 90 120 180 240 270 300")]
    [InlineData(N, 40, 4, 400, "60 120 180 240 360 480 540 600")]
    // Tables 21-29 and on: ac; - where the table has none.
    [InlineData(Ac, 20, 1, 800, "6.5 13 19.5 26 39 52 58.5 65 78 -")]
    [InlineData(Ac, 20, 3, 400, "21.7 43.3 65 86.7 130 173.3 195 216.7 260 288.9")]
    [InlineData(Ac, 40, 1, 400, "15 30 45 60 90 120 135 150 180 200")]
    [InlineData(Ac, 80, 1, 400, "32.5 65 97.5 130 195 260 292.5 325 390 433.3")]
    [InlineData(Ac, 80, 2, 400, "65 130 195 260 390 520 585 650 780 866.7")]
    [InlineData(Ac, 80, 3, 800, "87.8 175.5 263.3 351 526.5 702 - 877.5 1053 1170")]
    [InlineData(Ac, 160, 8, 400, "520 1040 1560 2080 3120 4160 4680 5200 6240 6933.3")]
    // Tables 27-79 and on: ax.
    [InlineData(Ax, 20, 1, 800, "8.6 17.2 25.8 34.4 51.6 68.8 77.4 86 103.2 114.7 129 143.4")]
    [InlineData(Ax, 20, 1, 1600, "8.1 16.3 24.4 32.5 48.8 65 73.1 81.3 97.5 108.3 121.9 135.4")]
    [InlineData(Ax, 20, 1, 3200, "7.3 14.6 21.9 29.3 43.9 58.5 65.8 73.1 87.8 97.5 109.7 121.9")]
    [InlineData(Ax, 40, 1, 800, "17.2 34.4 51.6 68.8 103.2 137.6 154.9 172.1 206.5 229.4 258.1 286.8")]
    [InlineData(Ax, 80, 1, 800, "36 72.1 108.1 144.1 216.2 288.2 324.3 360.3 432.4 480.4 540.4 600.5")]
    [InlineData(Ax, 80, 2, 800, "72.1 144.1 216.2 288.2 432.4 576.5 648.5 720.6 864.7 960.8 1080.9 1201")]
    [InlineData(Ax, 160, 2, 800, "144.1 288.2 432.4 576.5 864.7 1152.9 1297.1 1441.2 1729.4 1921.6 2161.8 2402")]
    // Tables 36-71 and on: be.
    [InlineData(Be, 20, 1, 800, "8.6 17.2 25.8 34.4 51.6 68.8 77.4 86 103.2 114.7 129 143.4 154.9 172.1")]
    [InlineData(Be, 320, 1, 800, "144.1 288.2 432.4 576.5 864.7 1152.9 1297.1 1441.2 1729.4 1921.6 2161.8 2402 2594.1 2882.4")]
    [InlineData(Be, 320, 2, 800, "288.2 576.5 864.7 1152.9 1729.4 2305.9 2594.1 2882.4 3458.8 3843.1 4323.5 4803.9 5188.2 5764.7")]
    public void A_rate_is_that_of_its_table(WifiGeneration generation, int width, int streams, int guard, string table)
    {
        var computed = Modulation
            .All(generation)
            .Select(m =>
                Modulation.IsLeftOut(generation, m.Index, width, streams) ? "-" : Shown(WifiRate.Mbps(generation, m, width, streams, guard))
            );
        Assert.Equal(table, string.Join(' ', computed));
    }

    [Theory]
    // Tables 27-61 to 27-63: units of ax; tables 36-78 and on: units that be puts together.
    [InlineData(Ax, new[] { 26 }, 11, "14.7")]
    [InlineData(Ax, new[] { 26 }, 0, "0.9")]
    [InlineData(Ax, new[] { 52 }, 11, "29.4")]
    [InlineData(Ax, new[] { 106 }, 11, "62.5")]
    [InlineData(Ax, new[] { 242 }, 9, "114.7")]
    [InlineData(Be, new[] { 52, 26 }, 13, "52.9")]
    [InlineData(Be, new[] { 106, 26 }, 13, "92.6")]
    [InlineData(Be, new[] { 484, 242 }, 13, "516.2")]
    [InlineData(Be, new[] { 996, 484 }, 13, "1064.7")]
    [InlineData(Be, new[] { 996, 996, 996 }, 13, "2161.8")]
    public void A_resource_unit_has_the_rate_of_its_table(WifiGeneration generation, int[] tones, int index, string table) =>
        Assert.Equal(
            table,
            Shown(WifiRate.OfSubcarriers(generation, Modulation.All(generation)[index], tones.Sum(Subcarriers.Unit), 1, 800))
        );

    [Theory]
    [InlineData(1, 11, 1)]
    [InlineData(2, 11, 2)]
    [InlineData(4, 8, 5.5)]
    [InlineData(8, 8, 11)]
    public void The_oldest_rates_come_of_chips(int bits, int chips, double mbps) => Assert.Equal(mbps, WifiRate.OfChips(bits, chips));

    [Fact]
    public void What_a_generation_does_not_know_is_refused()
    {
        var step = Modulation.All(N)[0];
        Assert.Throws<ArgumentOutOfRangeException>(() => WifiRate.Mbps(N, step, 80, 1));
        Assert.Throws<ArgumentOutOfRangeException>(() => WifiRate.Mbps(N, step, 20, 5));
        Assert.Throws<ArgumentOutOfRangeException>(() => WifiRate.Mbps(G, step, 20, 2));
        Assert.Throws<ArgumentOutOfRangeException>(() => WifiRate.Mbps(Ax, step, 20, 0));
        Assert.Throws<ArgumentOutOfRangeException>(() => WifiRate.Mbps(Ax, step, 20, 1, 400));
        Assert.Throws<ArgumentOutOfRangeException>(() => WifiRate.Mbps(Ac, step, 20, 1, 1600));
        Assert.Throws<ArgumentOutOfRangeException>(() => Subcarriers.Unit(100));
    }

    /// <summary>
    /// The level needed for each step is the one of the tables of minimum sensitivity: 3 dB more for each doubling of width.
    /// </summary>
    [Theory]
    [InlineData(20, -82, 0)]
    [InlineData(20, -65, 6)]
    [InlineData(20, -57, 9)]
    [InlineData(40, -61, 7)]
    [InlineData(80, -51, 9)]
    [InlineData(160, -50, 8)]
    public void A_step_is_reached_where_the_signal_stands_far_enough_above_the_noise(int width, double level, int step)
    {
        var taken = Modulation.TakenNoiseDbm + Decibels.Of(width / 20.0);
        Assert.Equal(step, Modulation.Fastest(Ac, level - taken + 0.1, width, 3)!.Index);
        Assert.NotEqual(step, Modulation.Fastest(Ac, level - taken - 0.1, width, 3)?.Index);
    }

    /// <summary>
    /// Common practice, with a tolerance that stood before anything was computed: 11 class 4 to 6 Mb/s, 54 class 20 to 25 Mb/s, 8 to 14
    /// with protection; a card
    /// of 300 Mb/s near by about 208, taken as within 15 %.
    /// </summary>
    [Theory]
    [InlineData(B, 20, 1, false, 4, 6)]
    [InlineData(G, 20, 1, false, 20, 25)]
    [InlineData(G, 20, 1, true, 8, 14)]
    [InlineData(N, 40, 2, false, 177, 239)]
    public void What_arrives_near_by_is_what_the_trade_sees(
        WifiGeneration generation,
        int width,
        int streams,
        bool isProtected,
        double least,
        double most
    )
    {
        var near = AirLink.At(RadioBand.Ghz2, generation, width, streams, -35)!;
        Assert.Equal(Modulation.All(generation).Count - 1, near.Modulation.Index);
        Assert.InRange(Goodput.Mbps(near with { Protected = isProtected }), least, most);
    }

    /// <summary>A stronger signal, another stream, a wider channel for a strong signal or a later generation never give less.</summary>
    [Fact]
    public void What_arrives_grows_with_what_it_has()
    {
        WifiGeneration[] generations = [G, N, Ac, Ax, Be];
        foreach (var generation in generations)
        {
            foreach (var streams in new[] { 1, 2, 3, 4 })
            {
                var weaker = 0.0;
                for (var level = -95.0; level <= -20; level += 1)
                {
                    var arrives = At(generation, 20, streams, level);
                    Assert.True(arrives >= weaker, $"{generation} {streams} {level}");
                    Assert.True(At(generation, 20, streams + 1, level) >= arrives);
                    weaker = arrives;
                }
                Assert.True(weaker > 0);
                var widths = new[] { 20, 40, 80, 160, 320 }.Select(w => At(generation, w, streams, -20)).ToList();
                Assert.Equal(widths.Order(), widths);
            }
        }
        var later = generations.Select(g => At(g, 20, 1, -20)).ToList();
        Assert.Equal(later.Order(), later);
        Assert.Null(AirLink.At(RadioBand.Ghz5, Ax, 20, 2, -91));
        // The oldest is at 2.4 GHz only, and reaches furthest there.
        Assert.Null(AirLink.At(RadioBand.Ghz5, B, 20, 1, -40));
        Assert.NotNull(AirLink.At(RadioBand.Ghz2, B, 20, 1, -90));
        Assert.Null(AirLink.At(RadioBand.Ghz2, G, 20, 1, -92));

        static double At(WifiGeneration generation, int width, int streams, double level) =>
            AirLink.At(RadioBand.Ghz5, generation, width, streams, level) is { } link ? Goodput.Mbps(link) : 0;
    }

    /// <summary>What arrives is always less than what goes over the air.</summary>
    [Fact]
    public void No_more_arrives_than_is_sent()
    {
        foreach (var generation in Enum.GetValues<WifiGeneration>())
        {
            foreach (var step in Modulation.All(generation))
            {
                var link = new AirLink(generation == WifiGeneration.B ? RadioBand.Ghz2 : RadioBand.Ghz5, generation, 20, 1, step);
                Assert.InRange(Goodput.Mbps(link) / link.RateMbps, 0.3, 0.9);
                // The oldest generation is what others announce their frames for: it announces none.
                Assert.Equal(generation != WifiGeneration.B, Goodput.Mbps(link with { Protected = true }) < Goodput.Mbps(link));
            }
        }
    }

    /// <summary>
    /// What arrives, worked out once more apart from the code, frame by frame: waits, preamble, bundle, answer and acknowledgement of each
    /// direction (IEEE 802.11, from memory), one frame in ten sent again.
    /// </summary>
    [Theory]
    [InlineData(G, RadioBand.Ghz2, 7, 20, 1, false, 21.072)]
    [InlineData(G, RadioBand.Ghz5, 7, 20, 1, false, 20.696)]
    [InlineData(N, RadioBand.Ghz2, 7, 40, 2, false, 199.088)]
    [InlineData(N, RadioBand.Ghz2, 0, 20, 1, true, 4.856)]
    [InlineData(N, RadioBand.Ghz5, 4, 20, 3, false, 95.435)]
    [InlineData(Ac, RadioBand.Ghz5, 9, 80, 2, false, 488.39)]
    [InlineData(Ac, RadioBand.Ghz5, 0, 20, 1, false, 5.474)]
    [InlineData(Ac, RadioBand.Ghz5, 8, 160, 4, false, 965.613)]
    [InlineData(Ax, RadioBand.Ghz5, 11, 80, 2, false, 835.249)]
    [InlineData(Ax, RadioBand.Ghz2, 0, 20, 1, false, 6.426)]
    [InlineData(Ax, RadioBand.Ghz5, 4, 20, 4, false, 153.556)]
    [InlineData(Be, RadioBand.Ghz6, 13, 320, 2, false, 3883.527)]
    [InlineData(Be, RadioBand.Ghz6, 0, 160, 1, false, 54.015)]
    [InlineData(Be, RadioBand.Ghz6, 7, 160, 3, false, 1607.524)]
    public void What_arrives_is_what_frames_and_waits_leave(
        WifiGeneration generation,
        RadioBand band,
        int step,
        int width,
        int streams,
        bool isProtected,
        double mbps
    )
    {
        var link = new AirLink(band, generation, width, streams, Modulation.All(generation)[step]) { Protected = isProtected };
        Assert.Equal(mbps, Goodput.Mbps(link), 0.001);
    }

    /// <summary>Boxes send more at 5 GHz, and announce themselves six times faster there (common practice).</summary>
    [Fact]
    public void Bands_differ_in_power_and_beacons() =>
        Assert.Equal(
            (20, 23, 1, 6),
            (
                RadioPower.OfBox(RadioBand.Ghz2),
                RadioPower.OfBox(RadioBand.Ghz5),
                Airtime.BeaconMbps(RadioBand.Ghz2),
                Airtime.BeaconMbps(RadioBand.Ghz5)
            )
        );

    private static string Shown(double mbps) => Math.Round(mbps, 1, MidpointRounding.AwayFromZero).ToString(CultureInfo.InvariantCulture);
}
