using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Facts;

/// <summary>Levels, what they rest on, and how the air is shared.</summary>
public sealed class SignalTests
{
    private static readonly MacAddress Sender = MacAddress.Parse("02:00:5e:00:53:40").Value;

    private static Home House() =>
        Home.WithGateway()
            .Point("ap")
            .Cable("gw/lan1", "ap/lan1")
            .Box("ap", b => b with { Label = b.Label with { RadioMac = Sender } })
            .Place("near", p => Room(p, 0))
            .Place("far", p => Room(p, 12))
            .Stands("gw", "near")
            .Stands("ap", "near");

    [Fact]
    public void A_level_follows_from_power_distance_and_walls()
    {
        // 23 dBm, less free space of 12 m at 5.5 GHz (68.8 dB), less two brick walls: no room is drawn between.
        var level = Level(House(), "far")!;
        Assert.Equal(23 - 68.83 - (2 * WallLoss.Db(WallKind.Brick, 5500)), level.Dbm, 0.01);
        Assert.Equal((LevelBasis.Walls, Math.Sqrt(36 + 9)), (level.Basis, level.SpreadDb));
        // Of walls that were not looked at the recommendation speaks, which holds them already.
        var open = Level(House().Place("wide", p => Room(p, 24) with { Walls = WallKind.Unknown }), "wide")!;
        Assert.Equal(23 - RoomLoss.Of(RadioBand.Ghz5, 5500, 24, 0).Db, open.Dbm, 0.01);
        Assert.Equal(LevelBasis.Rooms, open.Basis);
        Assert.Equal(
            (LevelBasis.Distance, Math.Sqrt(109)),
            Level(House().Place("lost"), "lost") is { } lost ? (lost.Basis, lost.SpreadDb) : default
        );
        Assert.Null(Level(House().Place("shed", p => p with { Building = "elsewhere" }), "shed"));
    }

    /// <summary>A country that allows less is heard less; one that allows more is not believed to be used up.</summary>
    [Theory]
    [InlineData("AT", 36, 23)]
    [InlineData("AT", 56, 20)]
    [InlineData("NZ", 36, 23)]
    [InlineData(null, 36, 23)]
    [InlineData("AT", null, 23)]
    public void A_country_limits_the_power(string? country, int? channel, double dbm)
    {
        var home = House().Edit<AccessPointMode>("ap", m => m with { Wifi = [m.Wifi[0] with { Channel = channel }] });
        if (country is not null)
        {
            home.Country(country);
        }
        Assert.Equal(dbm, new Signals(home.Design).SentDbm(Sent(home)), 0.02);
    }

    /// <summary>A reading in a place counts for the box that was heard while it stands where it stood; both are told.</summary>
    [Theory]
    [InlineData("near", RadioBand.Ghz5, null, null, 4.0)]
    [InlineData("near", RadioBand.Ghz5, null, 6, 6.0)]
    [InlineData("near", RadioBand.Ghz5, 44, null, 6.0)]
    [InlineData("far", RadioBand.Ghz5, null, null, null)]
    [InlineData(null, RadioBand.Ghz5, null, null, null)]
    [InlineData("near", RadioBand.Ghz2, null, null, null)]
    public void A_measured_level_beats_a_computed_one(string? stoodIn, RadioBand band, int? channel, int? either, double? spread)
    {
        var heard = new HeardNetwork("home")
        {
            Radio = Sender,
            Band = band,
            Channel = 36,
            LevelDbm = -55,
            EitherDb = either,
            StoodIn = stoodIn,
        };
        var home = House()
            .Edit<AccessPointMode>("ap", m => m with { Wifi = [m.Wifi[0] with { Channel = channel }] })
            .Place("heard", p => Room(p, 12) with { Air = new([heard]) });
        var (level, computed) = (Level(home, "heard")!, Level(House().Place("heard", p => Room(p, 12)), "heard")!);
        if (spread is null)
        {
            Assert.Equal(LevelBasis.Walls, level.Basis);
            return;
        }
        Assert.Equal((-55, spread.Value, LevelBasis.Measured), (level.Dbm, level.SpreadDb, level.Basis));
        Assert.Equal(computed.Dbm, level.ComputedDbm!.Value, 1.0);
        Assert.Equal(Math.Abs(-55 - level.ComputedDbm.Value) > spread + level.ComputedSpreadDb, level.Differs);
    }

    /// <summary>Yes and no only where the whole spread lies on one side.</summary>
    [Theory]
    [InlineData(-60, 6, Known.Yes, LevelUse.Calls)]
    [InlineData(-61, 6, Known.Yes, LevelUse.Calls)]
    [InlineData(-62, 6, Known.Unknown, LevelUse.Calls)]
    [InlineData(-73, 6, Known.Unknown, LevelUse.Web)]
    [InlineData(-74, 6, Known.No, LevelUse.Web)]
    [InlineData(-79, 6, Known.No, LevelUse.Weak)]
    public void A_level_reaches_a_limit_or_may(double dbm, double spread, Known reaches, LevelUse use)
    {
        var level = new SignalLevel(dbm, spread, LevelBasis.Rooms);
        Assert.Equal((reaches, use), (level.Reaches(SignalLevel.ForCallsDbm), level.Use));
        Assert.Equal(reaches == Known.Yes, level.ChanceOf(SignalLevel.ForCallsDbm) > 0.84);
    }

    /// <summary>
    /// A phone shouts less than a box: the way back is weaker by the difference of their power, less what a box hears better.
    /// </summary>
    [Fact]
    public void The_way_back_is_weaker()
    {
        var home = House().Wifi("phone", "ap").Stands("phone", "far");
        var signals = new Signals(home.Design);
        var (there, back) = (
            signals.Of(Sent(home), home.Design.Site.Place("far")!)!,
            signals.Back(Sent(home), home.Design.Site.Place("far")!, DeviceKind.Phone)!
        );
        Assert.Equal(there.Dbm - 23 + 14 + 3, back.Dbm, 9);
    }

    /// <summary>Common practice: two busy boxes on one channel share it, and gain by being set apart; neighbours take a little.</summary>
    [Fact]
    public void Radios_within_hearing_share_a_channel()
    {
        var together = Use(36, 36);
        Assert.Equal(together.Alone / 2, together.Busy, 9);
        Assert.Equal("gw", Assert.Single(together.Disturbers).Box);
        var apart = Use(36, 44);
        Assert.True(apart.Busy > together.Busy);
        Assert.Empty(apart.Disturbers);
        Assert.Empty(Use(36, null).Disturbers);
        Assert.Equal(1 - Airtime.OfBeacon(6), apart.Alone, 9);
        var heard = new HeardNetwork("next door")
        {
            Band = RadioBand.Ghz5,
            Channel = 36,
            LevelDbm = -70,
        };
        var crowded = Use(36, 44, [heard, heard with { LevelDbm = -90 }, heard with { Channel = 40 }]);
        Assert.Equal("next door", Assert.Single(crowded.Disturbers).Name);
        Assert.True(crowded.Alone < apart.Alone);
        Assert.Equal("far", crowded.ScannedIn);
        // A box that says how busy its channel is, is believed; what else is on that channel is in it.
        var told = Use(
            36,
            44,
            [heard with { BusyPercent = 40 }, heard with { Name = "other", BusyPercent = 30 }, heard with { Name = "third" }]
        );
        Assert.Equal([0.4, 0, 0], told.Disturbers.Select(d => d.Takes));
        Assert.Equal([("next door", 40), ("other", 30), ("third", null)], told.Disturbers.Select(d => (d.Name, d.BusyPercent)));
        Assert.Equal(apart.Alone * 0.6, told.Alone, 9);
        // Half of a wider channel that it covers counts by that half.
        var wide = Use(36, 44, [heard with { Channel = 40, BusyPercent = 40 }], 40);
        Assert.Equal(apart.Alone * (1 - (0.4 * wide.Disturbers[0].Covers)), wide.Alone, 9);

        static AirUse Use(int? of, int? other, IReadOnlyList<HeardNetwork>? scan = null, int? width = null)
        {
            var home = House()
                .Edit<AccessPointMode>("ap", m => m with { Wifi = [m.Wifi[0] with { Channel = of, WidthMhz = width }] })
                .Edit<RouterMode>("gw", m => m with { Wifi = [m.Wifi[0] with { Channel = other }] });
            var site = home.Design.Site;
            var design = home.Design with
            {
                Site = site with
                {
                    Places = [.. site.Places.Select(p => p.Id == "far" && scan is not null ? p with { Air = new(scan) } : p)],
                },
            };
            return AirUse.Of(design, new(design), Air.Of(design)).Single(u => u.Box == "ap");
        }
    }

    private static Place Room(Place place, double east) =>
        place with
        {
            EastMetres = east,
            NorthMetres = 0,
            LengthMetres = 4,
            WidthMetres = 4,
            Walls = WallKind.Brick,
        };

    private static Air Sent(Home home) => Air.Of(home.Design, "ap").Single();

    private static SignalLevel? Level(Home home, string place) => new Signals(home.Design).Of(Sent(home), home.Design.Site.Place(place)!);
}
