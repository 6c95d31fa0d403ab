using Altrin.Core.Radio;

namespace Altrin.Core.Tests.Radio;

/// <summary>Loss, noise and shares of the air, against published formulas and by what must always hold.</summary>
public sealed class LossTests
{
    /// <summary>ITU-R P.525 (from memory): 32.4 dB at 1 MHz and 1 km, 6.02 dB for each doubling.</summary>
    [Theory]
    [InlineData(1, 1000, 32.45)]
    [InlineData(2400, 1, 40.05)]
    [InlineData(2400, 100, 80.05)]
    [InlineData(5500, 10, 67.25)]
    [InlineData(5800, 1000, 107.72)]
    [InlineData(2400, 0, 40.05)]
    public void Free_space_loses_what_is_published(double mhz, double metres, double db) =>
        Assert.Equal(db, PathLoss.FreeSpaceDb(mhz, metres), 0.01);

    /// <summary>ITU-R P.1238-7 by hand: 20 log 2400 = 67.6; N = 28 adds 28 a tenfold; floors 5 dB at 2.4 GHz, 7 dB at 5.2 GHz.</summary>
    [Theory]
    [InlineData(RadioBand.Ghz2, 2400, 10, 0, 67.6)]
    [InlineData(RadioBand.Ghz2, 2400, 10, 1, 72.6)]
    [InlineData(RadioBand.Ghz2, 2400, 20, 2, 86.03)]
    [InlineData(RadioBand.Ghz5, 5200, 10, 1, 81.32)]
    [InlineData(RadioBand.Ghz6, 6000, 1, 0, 47.56)]
    public void A_house_of_which_nothing_is_known_loses_what_the_recommendation_says(
        RadioBand band,
        double mhz,
        double metres,
        int floors,
        double db
    )
    {
        var loss = RoomLoss.Of(band, mhz, metres, floors);
        Assert.Equal(db, loss.Db, 0.01);
        Assert.Equal(8, loss.SpreadDb);
    }

    /// <summary>
    /// COST 231 at 1.8 GHz: 3.4 and 6.9 dB a wall; floors 18.3 dB, two of them 33.5 and not 36.6, three 46.6 (from memory).
    /// </summary>
    [Fact]
    public void Walls_and_floors_lose_what_the_model_says()
    {
        Assert.Equal(3.4, WallLoss.Db(WallKind.Light, 1800), 9);
        Assert.Equal(6.9, WallLoss.Db(WallKind.Brick, 1800), 9);
        Assert.Equal(0, WallLoss.FloorsDb(0, 18.3));
        Assert.Equal(18.9, WallLoss.FloorsDb(1, 18.3) * Math.Pow(2, 0.0465), 0.1);
        Assert.Equal(33.5, WallLoss.FloorsDb(2, 18.3), 0.1);
        Assert.Equal(43.5, WallLoss.FloorsDb(3, 18.3), 0.1);
        Assert.Throws<ArgumentOutOfRangeException>(() => WallLoss.Db(WallKind.Unknown, 2400));
    }

    /// <summary>−94 dBm for 20 MHz with a receiver that adds 7 dB; 3 dB more for each doubling.</summary>
    [Fact]
    public void A_wider_channel_hears_more_noise()
    {
        Assert.Equal(-94, Noise.Dbm(20), 0.05);
        var floors = new[] { 20, 40, 80, 160, 320 }.Select(Noise.Dbm).ToList();
        Assert.All(floors.Zip(floors.Skip(1)), f => Assert.Equal(3.01, f.Second - f.First, 0.01));
    }

    /// <summary>The normal distribution: one, two and three standard deviations (68, 95.4, 99.7 %).</summary>
    [Theory]
    [InlineData(-67, 8, -67, 0.5)]
    [InlineData(-59, 8, -67, 0.8413)]
    [InlineData(-75, 8, -67, 0.1587)]
    [InlineData(-51, 8, -67, 0.9772)]
    [InlineData(-43, 8, -67, 0.99865)]
    public void A_chance_follows_the_spread(double computed, double spread, double limit, double chance) =>
        Assert.Equal(chance, Decibels.ChanceOf(computed, spread, limit), 0.0001);

    /// <summary>Further away, through one more wall or floor, or at a higher frequency nothing gets stronger; walls add up.</summary>
    [Fact]
    public void Loss_only_grows()
    {
        var draw = new Random(2101);
        var walls = Enum.GetValues<WallKind>().Where(w => w != WallKind.Unknown).ToArray();
        for (var round = 0; round < 2_000; round++)
        {
            var mhz = 2400 + (draw.NextDouble() * 4700);
            var metres = 0.5 + (draw.NextDouble() * 60);
            var floors = draw.Next(4);
            var on = Enumerable.Range(0, draw.Next(5)).Select(_ => walls[draw.Next(walls.Length)]).ToList();
            var more = walls[draw.Next(walls.Length)];
            var (loss, band) = (WallLoss.Of(mhz, metres, on, floors, 8).Db, mhz < 3000 ? RadioBand.Ghz2 : RadioBand.Ghz5);
            Assert.True(WallLoss.Of(mhz, metres * 1.1, on, floors, 8).Db >= loss);
            Assert.True(WallLoss.Of(mhz, metres, on, floors + 1, 8).Db > loss);
            Assert.True(WallLoss.Of(mhz * 1.1, metres, on, floors, 8).Db > loss);
            Assert.Equal(loss + WallLoss.Db(more, mhz), WallLoss.Of(mhz, metres, [more, .. on], floors, 8).Db, 9);
            Assert.True(loss >= PathLoss.FreeSpaceDb(mhz, metres));
            Assert.True(RoomLoss.Of(band, mhz, metres * 1.1, floors).Db >= RoomLoss.Of(band, mhz, metres, floors).Db);
            Assert.True(RoomLoss.Of(band, mhz, metres, floors + 1).Db > RoomLoss.Of(band, mhz, metres, floors).Db);
        }
    }

    /// <summary>
    /// Common practice: a name costs 2.5 % of a channel at 1 Mb/s; two busy radios halve; an idle neighbour takes little.
    /// </summary>
    [Fact]
    public void Airtime_is_shared()
    {
        Assert.Equal(0.025, Airtime.OfBeacon(1), 0.001);
        Assert.Equal(0.004, Airtime.OfBeacon(6), 0.0005);
        Assert.Equal(1, Airtime.Left(0, [], []));
        Assert.Equal(0.5, Airtime.Left(0, [], [1]));
        Assert.Equal(0.9 * 0.9 * 0.95 / 3, Airtime.Left(0.05, [0.1, 0.1], [1, 1]), 9);
        Assert.Equal(0, Airtime.Left(2, [], []));
        Assert.Equal(20, Airtime.EachMbps([100, 25]));
        var draw = new Random(2102);
        for (var round = 0; round < 500; round++)
        {
            var (neighbours, own) = (Shares(), Shares());
            var left = Airtime.Left(0.1, neighbours, own);
            Assert.True(Airtime.Left(0.1, [.. neighbours, draw.NextDouble()], own) <= left);
            Assert.True(Airtime.Left(0.1, neighbours, [.. own, draw.NextDouble()]) <= left);
            Assert.InRange(left, 0, 0.9);
        }

        double[] Shares() => [.. Enumerable.Range(0, draw.Next(6)).Select(_ => draw.NextDouble())];
    }
}
