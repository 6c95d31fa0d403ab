using Altrin.Core.Changes;
using Altrin.Core.Findings;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Findings;

/// <summary>Homes of three rooms in a row, 5 m each, with brick between them.</summary>
internal static class AirHome
{
    public static Home Rooms(double apart = 5, WallKind walls = WallKind.Brick) =>
        Home.WithGateway()
            .Country("AT")
            .Place("a", p => Room(p, 0, walls))
            .Place("b", p => Room(p, apart, walls))
            .Place("c", p => Room(p, 2 * apart, walls))
            .Stands("gw", "a");

    /// <summary>An access point by cable in a room; both boxes on the channels that are told.</summary>
    public static Home Cabled(int? main, int? point, string place = "b", double apart = 5, int? width = null) =>
        Rooms(apart)
            .Point("ap")
            .Cable("gw/lan1", "ap/lan1")
            .Stands("ap", place)
            .Wifi("phone", "ap")
            .Edit<RouterMode>("gw", m => m with { Wifi = [m.Wifi[0] with { Channel = main, WidthMhz = width }] })
            .Edit<AccessPointMode>("ap", m => m with { Wifi = [m.Wifi[0] with { Channel = point, WidthMhz = width }] });

    /// <summary>A repeater in a room with a device behind it; the gateway on a channel.</summary>
    public static Home Repeated(string place, int? channel = null, double apart = 5, WallKind walls = WallKind.Brick) =>
        Rooms(apart, walls)
            .Repeater("rep", "gw", UplinkFrames.FourAddress)
            .FourAddresses("gw")
            .FourAddresses("rep")
            .Stands("rep", place)
            .Wifi("phone", "rep")
            .Edit<RouterMode>("gw", m => m with { Wifi = [m.Wifi[0] with { Channel = channel }] });

    private static Place Room(Place place, double east, WallKind walls) =>
        place with
        {
            EastMetres = east,
            NorthMetres = 0,
            LengthMetres = 5,
            WidthMetres = 5,
            Walls = walls,
        };
}

public sealed class ChannelSharedTests() : RuleTests("channel-shared")
{
    [Fact]
    public void Triggers_on_one_channel_and_sets_one_apart()
    {
        var finding = One(AirHome.Cabled(36, 36), Severity.Concern, "ap", "gw");
        Assert.Equal("ap and gw share channel 36 at 5 GHz", finding.What);
        Cured(AirHome.Cabled(36, 36), "Set 5 GHz of ap to channel 40");
        Cured(AirHome.Cabled(36, 36), "Set 5 GHz of gw to channel 40");
    }

    /// <summary>Blocks of 80 MHz overlap although their channels differ; one that is set apart leaves the block.</summary>
    [Fact]
    public void Triggers_on_channels_that_overlap() =>
        Assert.Equal(
            "ap and gw share channels 44 and 36 at 5 GHz",
            One(AirHome.Cabled(36, 44, width: 80), Severity.Concern, "ap", "gw").What
        );

    [Theory]
    [InlineData(36, 44)]
    [InlineData(36, null)]
    [InlineData(null, null)]
    public void Near_miss_on_channels_apart_or_chosen_by_the_box(int? main, int? point) => None(AirHome.Cabled(main, point));

    [Fact]
    public void Near_miss_out_of_hearing() => None(AirHome.Cabled(36, 36, "c", apart: 120));

    [Fact]
    public void Near_miss_where_one_joins_the_other_by_radio() =>
        None(AirHome.Repeated("b", 36).Edit<RepeaterMode>("rep", m => m with { Wifi = [m.Wifi[0] with { Channel = 36 }] }));
}

public sealed class ChannelNotAllowedTests() : RuleTests("channel-not-allowed")
{
    [Theory]
    [InlineData(169, null)]
    [InlineData(149, 160)]
    public void Triggers_on_a_channel_or_width_of_another_country(int channel, int? width)
    {
        var home = AirHome
            .Rooms()
            .Country("JP")
            .Wifi("phone", "gw")
            .Edit<RouterMode>("gw", m => m with { Wifi = [m.Wifi[0] with { Channel = channel, WidthMhz = width }] });
        One(home, Severity.Concern, "gw/r5");
        if (width is null)
        {
            Cured(home, "Set 5 GHz of gw to channel 36");
        }
    }

    [Fact]
    public void Near_miss_on_a_channel_that_is_allowed() => None(AirHome.Cabled(36, 100));

    /// <summary>Where no country was noted another rule speaks.</summary>
    [Fact]
    public void Near_miss_where_no_country_is_noted() =>
        None(Home.WithGateway().Wifi("phone", "gw").Edit<RouterMode>("gw", m => m with { Wifi = [m.Wifi[0] with { Channel = 169 }] }));
}

public sealed class RadarUnderLinkTests() : RuleTests("radar-under-link")
{
    [Theory]
    [InlineData(52, "waits 1 min")]
    [InlineData(120, "waits 10 min")]
    public void Triggers_where_radar_comes_first_and_moves_the_link(int channel, string waits)
    {
        var finding = One(AirHome.Repeated("b", channel), Severity.Concern, "rep");
        Assert.Contains(waits, finding.Notice, StringComparison.Ordinal);
        Cured(AirHome.Repeated("b", channel), "Set 5 GHz of gw to channel 36");
    }

    [Theory]
    [InlineData(36)]
    [InlineData(null)]
    public void Near_miss_on_a_channel_without_radar(int? channel) => None(AirHome.Repeated("b", channel));

    /// <summary>Between buildings there is often no other channel that is strong enough.</summary>
    [Fact]
    public void Near_miss_between_buildings() =>
        None(AirHome.Repeated("b", 100).Place("barn", p => p with { Kind = PlaceKind.Outdoors }).Stands("rep", "barn"));

    [Fact]
    public void Near_miss_where_no_box_joins_by_radio() => None(AirHome.Cabled(52, 36));
}

public sealed class UplinkWeakTests() : RuleTests("uplink-weak")
{
    /// <summary>23 dBm + 3 - 70.2 dB of 14 m - 4 walls of 10.8 dB = -87 dBm; next door it is -60 dBm.</summary>
    [Fact]
    public void Triggers_where_it_hears_too_little_and_moves_nearer()
    {
        var home = AirHome.Repeated("c", apart: 7);
        var finding = One(home, Severity.Concern, "rep");
        Assert.StartsWith("rep hears gw at about -87 dBm", finding.What, StringComparison.Ordinal);
        Assert.Contains(" m from gw instead of 14 m", finding.Advice[0], StringComparison.Ordinal);
        Cured(home, "Move rep to b");
    }

    [Fact]
    public void Near_miss_next_door() => None(AirHome.Repeated("b"));

    /// <summary>Where positions were not noted nothing is said: what is usual in a home is no reason to move a box.</summary>
    [Fact]
    public void Near_miss_where_nothing_is_known() =>
        None(AirHome.Repeated("c", apart: 7).Place("somewhere", p => p with { Floor = 3 }).Stands("rep", "somewhere"));
}

public sealed class SlowRelicTests() : RuleTests("slow-relic")
{
    private static Home House(WifiGeneration box, WifiGeneration device, bool shared = true)
    {
        var home = Home.WithGateway()
            .Wifi("old", "gw")
            .Device("old", d => d with { Generation = device })
            .Profile("gw", p => p with { Radios = [.. p.Radios.Select(r => r with { Generation = box })] });
        return shared ? home.Wifi("phone", "gw") : home;
    }

    [Fact]
    public void Triggers_on_an_old_device_among_others() =>
        Assert.EndsWith(
            "with 1 more",
            One(House(WifiGeneration.Ac, WifiGeneration.G), Severity.Concern, "old").What,
            StringComparison.Ordinal
        );

    [Fact]
    public void Triggers_on_an_old_box_that_sends() => One(House(WifiGeneration.G, WifiGeneration.Unknown), Severity.Concern, "gw");

    [Fact]
    public void Near_miss_where_it_is_alone() => None(House(WifiGeneration.Ac, WifiGeneration.G, shared: false));

    [Fact]
    public void Near_miss_where_all_are_newer() => None(House(WifiGeneration.N, WifiGeneration.N));

    [Fact]
    public void Near_miss_where_the_service_is_no_faster() =>
        None(House(WifiGeneration.G, WifiGeneration.Unknown).Service(new PublicDynamic(16, 2) { Line = Home.Asked }));
}

public sealed class SignalWeakTests() : RuleTests("signal-weak")
{
    /// <summary>A phone two rooms of stone away: 23 - 65 dB of 8 m - 4 walls of 19 dB = -118 dBm.</summary>
    private static Home House(WallKind walls) => AirHome.Rooms(8, walls).Wifi("phone", "gw").Stands("phone", "c");

    [Fact]
    public void Triggers_where_a_device_surely_hears_too_little()
    {
        var finding = One(House(WallKind.Stone), Severity.Concern, "phone");
        Assert.StartsWith("phone hears gw in c at about -1", finding.What, StringComparison.Ordinal);
        Assert.Empty(finding.Remedies);
    }

    [Fact]
    public void Offers_a_box_with_the_same_name_that_is_nearer() =>
        Cured(House(WallKind.Stone).Point("ap").Cable("gw/lan1", "ap/lan1").Stands("ap", "c"), "Let phone use ap");

    [Fact]
    public void Near_miss_in_the_next_room() => None(House(WallKind.Light).Stands("phone", "b"));

    [Fact]
    public void Near_miss_where_no_one_noted_where_it_is() => None(AirHome.Rooms(8, WallKind.Stone).Wifi("phone", "gw"));
}

public sealed class WidthTooWideTests() : RuleTests("width-too-wide")
{
    private static Home House(int width, params HeardNetwork[] heard) =>
        Home.WithGateway()
            .Wifi("phone", "gw")
            .Place("a", p => p with { Air = new(heard) })
            .Stands("gw", "a")
            .Profile("gw", p => p with { Radios = [new("r5", RadioBand.Ghz2)] })
            .Edit<RouterMode>("gw", m => m with { Wifi = [m.Wifi[0] with { Channel = 1, WidthMhz = width }] });

    private static readonly HeardNetwork Neighbour = new("next door")
    {
        Band = RadioBand.Ghz2,
        Channel = 6,
        LevelDbm = -60,
    };

    [Fact]
    public void Triggers_beside_a_neighbour_and_goes_back()
    {
        One(House(40, Neighbour), Severity.Concern, "gw/r5");
        Cured(House(40, Neighbour), "Set 2.4 GHz of gw to 20 MHz");
    }

    [Fact]
    public void Near_miss_with_20_MHz() => None(House(20, Neighbour));

    [Fact]
    public void Near_miss_where_it_is_alone() => None(House(40, Neighbour with { Channel = 13 }));
}

public sealed class RegionWrongTests() : RuleTests("region-wrong")
{
    private static Home House(string? country, string? main, string? point)
    {
        var home = AirHome
            .Cabled(null, null)
            .Edit<RouterMode>("gw", m => m with { Wifi = [m.Wifi[0] with { Region = main }] })
            .Edit<AccessPointMode>("ap", m => m with { Wifi = [m.Wifi[0] with { Region = point }] });
        return home.Country(country);
    }

    [Fact]
    public void Triggers_on_the_region_of_another_country()
    {
        var finding = One(House("AT", "AT", "US"), Severity.Concern, "ap/r5");
        Assert.Equal("ap is set to region US at 5 GHz, and the home stands in AT", finding.What);
        Cured(House("AT", "AT", "US"), "Set 5 GHz of ap to region AT");
    }

    [Fact]
    public void Triggers_on_different_regions_where_no_country_is_noted() =>
        Assert.Equal("Boxes are set to the regions of AT and US", One(House(null, "US", "AT"), Severity.Concern, "ap/r5", "gw/r5").What);

    [Theory]
    [InlineData("AT", "AT", "AT")]
    [InlineData("AT", null, "AT")]
    [InlineData(null, "US", null)]
    [InlineData(null, "US", "US")]
    public void Near_miss_where_none_is_known_to_be_wrong(string? country, string? main, string? point) =>
        None(House(country, main, point));
}

public sealed class TooManyNamesTests() : RuleTests("too-many-names")
{
    private static Home House(int further, RadioBand band = RadioBand.Ghz2, bool guests = false)
    {
        var home = Home.WithGateway()
            .Country("AT")
            .Profile("gw", p => p with { Radios = [new("r5", band)] })
            .Edit<RouterMode>("gw", m =>
                m with
                {
                    Wifi =
                    [
                        m.Wifi[0] with
                        {
                            FurtherNames =
                            [
                                .. Enumerable.Range(1, further).Select(i => new FurtherName($"n{i}", WifiSecurity.Wpa2, "key")),
                            ],
                        },
                    ],
                }
            )
            .Wifi("phone", "gw")
            .Wifi("old", "gw", "n1");
        return guests ? home.Guests("gw") : home;
    }

    [Fact]
    public void Triggers_above_three_and_takes_off_what_no_device_joins()
    {
        var finding = One(House(3), Severity.Concern, "gw/r5");
        Assert.Equal("gw sends 4 names at 2.4 GHz: \"home\", \"n1\", \"n2\", \"n3\"", finding.What);
        // 2,592 µs of 102,400 each (300 octets at 1 Mb/s after a long preamble).
        Assert.Equal("Announcing them takes 10 % of the time of its channel, also from neighbours.", finding.Notice);
        Cured(House(3), "Take \"n2\" and \"n3\" off gw: no device joins them");
        One(House(2, guests: true), Severity.Concern, "gw/r5");
    }

    [Fact]
    public void Near_miss()
    {
        None(House(2));
        None(House(5, RadioBand.Ghz5));
    }

    /// <summary>Further names lead into the same network, and devices join them like the first.</summary>
    [Fact]
    public void Further_names_are_sent_and_joined()
    {
        var proof = Judging.Prove(House(2).Wifi("lost", "gw", "n9").Design);
        Assert.Equal(["lost"], proof.Observation.Network.Refusals.Select(r => r.Device));
        Assert.True(proof.Observation.Reach("old", "phone")!.Answer.IsYes);
        Assert.Equal(
            [("home", false), ("n1", true), ("n2", true)],
            Air.Of(proof.Observation.Network.Design, "gw").Select(a => (a.Setting.Name, a.Further))
        );
    }

    /// <summary>A radio has room for so many names, the one for guests included, whichever of them comes last.</summary>
    [Fact]
    public void A_radio_has_room_for_so_many()
    {
        var design = House(2, guests: true).Profile("gw", p => p with { Radios = [new("r5", RadioBand.Ghz2) { MostNames = 4 }] }).Design;
        var more = Partial<RadioSetting>.With(
            r => r.FurtherNames,
            (IReadOnlyList<FurtherName>)[.. Enumerable.Range(1, 3).Select(i => new FurtherName($"n{i}", WifiSecurity.Wpa2))]
        );
        Assert.Equal(
            "2.4 GHz of gw sends at most 4 names, the one for guests included; these are 5.",
            new SetRadio("gw", "r5", more).ApplyTo(design).Error
        );
        var alone = design with { SetUp = new RemoveGuest("gw").ApplyTo(design).Value };
        var full = alone with { SetUp = new SetRadio("gw", "r5", more).ApplyTo(alone).Value };
        var guests = ((RouterMode)design.Mode("gw")!).Guest!;
        Assert.Contains(
            "at most 4 names",
            new SetGuest("gw", Partial<GuestNetwork>.All(guests)).ApplyTo(full).Error,
            StringComparison.Ordinal
        );
        Assert.Equal(
            "\"n1\" is sent once by a radio.",
            new SetRadio("gw", "r5", Partial<RadioSetting>.With(r => r.Name, "n1")).ApplyTo(full).Error
        );
        Assert.Equal("gw sends \"n1\" and \"n2\" and \"n3\" beside \"home\"", new SetRadio("gw", "r5", more).Describe(alone));
    }

    /// <summary>One that anyone joins spoils the network of the first.</summary>
    [Fact]
    public void A_weak_further_name_is_found()
    {
        var home = House(2)
            .Edit<RouterMode>("gw", m =>
                m with
                {
                    Wifi = [m.Wifi[0] with { FurtherNames = [new("old", WifiSecurity.Wep, "key"), .. m.Wifi[0].FurtherNames] }],
                }
            );
        var finding = Assert.Single(Judging.Prove(home.Design).Findings, f => f.Code == "weak-wifi");
        Assert.StartsWith("\"old\" beside \"home\" of gw is open, or protected by WEP at most", finding.What, StringComparison.Ordinal);
        var remedy = Assert.Single(finding.Remedies);
        Assert.Equal(
            ["n1", "n2"],
            Air.Of(home.Design with { SetUp = ChangeList.Apply(home.Design, remedy.Changes).Value.SetUp }, "gw")
                .Skip(1)
                .Select(a => a.Setting.Name)
        );
    }
}

public sealed class SpeedBelowTests() : RuleTests("speed-below")
{
    private static Home House(double median, RunBy by = RunBy.Cable) =>
        AirHome
            .Cabled(null, null)
            .Service(new PublicDynamic(500, 100))
            .Stands("phone", "b")
            .Measured(
                new("speed", "ap", by, 3, new(median, median - 1, median + 1))
                {
                    Port = by == RunBy.Cable ? "lan2" : null,
                    Place = "b",
                    StoodIn = "b",
                }
            );

    [Fact]
    public void Triggers_far_below_what_is_computed()
    {
        var finding = One(House(93), Severity.Concern, "ap", "speed");
        Assert.Equal("93 Mb/s were measured by the laptop in b, where 500 Mb/s are computed", finding.What);
        One(House(2, RunBy.Ghz5), Severity.Concern, "ap", "speed");
    }

    [Theory]
    [InlineData(480)]
    [InlineData(330)]
    [InlineData(900)]
    public void Near_miss(double median) => None(House(median));

    [Fact]
    public void Near_miss_where_the_box_stands_elsewhere() => None(House(2, RunBy.Ghz5).Stands("ap", "c"));
}
