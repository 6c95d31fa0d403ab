using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Facts;

/// <summary>What is said of a home's air as a whole.</summary>
public sealed class SpeedAndAirTests
{
    private static readonly MacAddress Own = MacAddress.Parse("02:00:5e:00:53:40").Value;

    private static readonly HeardNetwork[] Scan =
    [
        Heard("next door", 44, -60, null),
        Heard("home", 36, -70, Own),
        Heard("", 100, -80, null),
        Heard("next door", 1, -50, null) with
        {
            Band = RadioBand.Ghz2,
        },
        Heard("not told", 40, -50, null) with
        {
            Channel = null,
        },
    ];

    /// <summary>
    /// The home's own stand where they are set, or where a scan heard those that choose; others by strength; bands without any are left
    /// out.
    /// </summary>
    [Fact]
    public void A_band_shows_who_sends_where()
    {
        var bands = Of(House(channel: 52, width: 80)).Bands;
        Assert.Equal([RadioBand.Ghz2, RadioBand.Ghz5], bands.Select(b => b.Band));
        Assert.Equal("next door", Assert.Single(bands[0].Networks).Name);
        Assert.Equal((2400.0, 2484.0), (bands[0].LowMhz, bands[0].HighMhz));
        Assert.Equal(Enumerable.Range(1, 13), bands[0].Channels.Select(c => c.Channel));
        var five = bands[1];
        Assert.Equal(["ap", null, null], five.Networks.Select(n => n.Box));
        Assert.Equal((5250.0, 5330.0, 52, 80, false), Edges(five.Networks[0]));
        Assert.Equal(["home", "next door", ""], five.Networks.Select(n => n.Name));
        Assert.Equal((5210.0, 5230.0, 44, 20, true), Edges(five.Networks[1]));
        Assert.Equal((5190.0, 5530.0), (five.LowMhz, five.HighMhz));
        Assert.All(five.Channels, c => Assert.InRange(c.Mhz, five.LowMhz, five.HighMhz));
        // One that chooses its channel stands where it was heard.
        var chooses = Of(House(null, null)).Bands[1].Networks;
        Assert.Equal((5170.0, 5190.0, 36, 20, true), Edges(chooses[0]));
        Assert.Equal("ap", chooses[0].Box);

        static (double, double, int, int, bool) Edges(SpectrumNetwork n) => (n.LowMhz, n.HighMhz, n.Channel, n.WidthMhz, n.Heard);
    }

    /// <summary>A place hears the strongest first, and says of how many boxes it is not known where they stand.</summary>
    [Fact]
    public void A_place_hears_the_strongest_first()
    {
        var place = Of(House(36, 20)).Places.Single(p => p.Place == "far");
        Assert.Equal("ap", Assert.Single(place.Heard).Box);
        Assert.Equal((1, "home"), (place.NotKnown, place.Heard[0].Name));
    }

    /// <summary>
    /// One name is one network where devices move by themselves between all that send it, and only looks like one otherwise.
    /// </summary>
    [Theory]
    [InlineData("key", 1)]
    [InlineData("other", 2)]
    public void A_name_says_how_many_groups_send_it(string password, int groups)
    {
        var home = Home.WithGateway().Point("ap", key: password).Cable("gw/lan1", "ap/lan1");
        var name = Assert.Single(Of(home).Names);
        Assert.Equal(("home", groups), (name.Name, name.Groups));
        Assert.Equal(["ap", "gw"], name.Senders.Select(s => s.Box));
        Assert.Equal(groups, name.Senders.Select(s => s.Group).Distinct().Count());
        Assert.All(name.Senders, s => Assert.InRange(s.Group, 1, groups));
    }

    /// <summary>Guests under the name of the home are a group of their own.</summary>
    [Fact]
    public void Guests_of_one_name_are_a_group_of_their_own()
    {
        var home = Home.WithGateway()
            .Point("ap")
            .Cable("gw/lan1", "ap/lan1")
            .Edit<AccessPointMode>("ap", m => m with { Guest = new("home", WifiSecurity.Wpa2, "guests") });
        var name = Assert.Single(Of(home).Names);
        Assert.Equal([("ap", false, 1), ("ap", true, 2), ("gw", false, 1)], name.Senders.Select(s => (s.Box, s.Guest, s.Group)));
    }

    /// <summary>
    /// A device is carried from one box to another room: it stays while it hears its box at -70 dBm, however near another is, and moves by
    /// itself only between radios of one network.
    /// </summary>
    [Theory]
    // Behind concrete, 14 m away: lost, and nothing else there.
    [InlineData(null, "key", 14, "Nothing b gw -")]
    [InlineData("home", "key", 14, "")]
    [InlineData("home", "other", 14, "CutOff a ap gw|CutOff b gw ap")]
    [InlineData("other", "key", 14, "CutOff a ap gw|CutOff b gw ap")]
    // Behind brick, 8 m away, both are heard, one weakly: it stays with the one that it came from; at 5 m it is served well by it.
    [InlineData("home", "key", 8, "Stays a ap gw|Stays b gw ap")]
    [InlineData("home", "key", 5, "")]
    [InlineData("other", "key", 8, "")]
    public void A_walk_ends_where_the_device_decides(string? name, string password, double apart, string walks)
    {
        var home = Home.WithGateway()
            .Place("a", p => Room(p, 0))
            .Place("b", p => Room(p, apart))
            .Place("yard", p => p with { Kind = PlaceKind.Outdoors })
            .Stands("gw", "a");
        if (name is not null)
        {
            home.Point("ap", key: password)
                .Cable("gw/lan1", "ap/lan1")
                .Stands("ap", "b")
                .Edit<AccessPointMode>("ap", m => m with { Wifi = [m.Wifi[0] with { Name = name }] });
        }
        var said = Of(home).Walks;
        Assert.Equal(walks, string.Join('|', said.Select(w => $"{w.Does} {w.To} {w.Box} {w.Finds ?? "-"}")));
        Assert.All(said, w => Assert.Equal(w.Does == WalkEnd.Stays, w.LevelDbm >= SignalLevel.LimitDbm));

        Place Room(Place place, double east) =>
            place with
            {
                EastMetres = east,
                NorthMetres = 0,
                LengthMetres = 4,
                WidthMetres = 4,
                Walls = apart < 10 ? WallKind.Brick : WallKind.Concrete,
            };
    }

    [Fact]
    public void Devices_that_do_not_get_in_everywhere_are_told()
    {
        var home = Home.WithGateway()
            .Wifi("phone", "gw")
            .Wifi("plug", "gw")
            .Wifi("radio", "gw")
            .Device("phone", d => d with { Bands = [RadioBand.Ghz2, RadioBand.Ghz5], NewestSecurity = WifiSecurity.Wpa3 })
            .Device("plug", d => d with { Bands = [RadioBand.Ghz2] })
            .Device("radio", d => d with { NewestSecurity = WifiSecurity.Wpa2 });
        Assert.Equal(
            [("plug", 1, null), ("radio", 0, WifiSecurity.Wpa2)],
            Of(home).Limits.Select(l => (l.Device, l.Bands.Count, l.NewestSecurity))
        );
    }

    /// <summary>Seed 2105: the same of any home, and every group is one that is counted.</summary>
    [Fact]
    public void Any_home_has_an_answer()
    {
        for (var seed = 2105; seed < 2135; seed++)
        {
            var design = SurveyGenerator.Survey(DesignGenerator.Make(seed, 9), seed);
            var said = SpeedAndAir.Of(Observer.Observe(Compiler.Compile(design, Situation.Settled)));
            Assert.All(said.Names.SelectMany(n => n.Senders.Select(s => (n, s))), x => Assert.InRange(x.s.Group, 1, x.n.Groups));
            Assert.All(said.Places, p => Assert.Equal(p.Heard.OrderByDescending(h => h.Level.Dbm), p.Heard));
            Assert.All(said.Rates, r => Assert.NotEmpty(r.Says));
            Assert.Equal(design.Site.Places.Select(p => p.Id), said.Places.Select(p => p.Place));
        }
    }

    /// <summary>
    /// A radio whose width is not noted is certain to take 20 MHz and may take all that it can: the other one may be disturbed by it.
    /// </summary>
    [Theory]
    [InlineData(36, 20, 44, 20, "", "")]
    [InlineData(36, 80, 44, 20, "ap", "")]
    [InlineData(36, null, 44, 20, "", "ap")]
    [InlineData(36, null, 36, 20, "ap", "")]
    [InlineData(36, null, 100, 20, "", "")]
    [InlineData(36, null, 44, null, "", "ap")]
    public void A_width_that_is_not_noted_may_reach_further(
        int channel,
        int? width,
        int otherChannel,
        int? otherWidth,
        string certain,
        string may
    )
    {
        var home = House(channel, width)
            .Stands("lost", "near")
            .Edit<AccessPointMode>("lost", m => m with { Wifi = [m.Wifi[0] with { Channel = otherChannel, WidthMhz = otherWidth }] });
        var use = Of(home).Radios.Single(r => r.Box == "lost");
        Assert.Equal(certain, string.Join(' ', use.Disturbers.Where(d => d.Box is not null).Select(d => d.Box)));
        Assert.Equal(may, string.Join(' ', use.MayDisturb.Where(d => d.Box is not null).Select(d => d.Box)));
        Assert.Equal(may == "" && otherWidth is not null, use.BusyAtLeast == use.Busy);
        Assert.InRange(use.AloneAtLeast, 0, use.Alone);
        Assert.InRange(use.BusyAtLeast, 0, use.Busy);
    }

    /// <summary>
    /// Three devices on one radio, one of the 54 Mb/s class: all get the same, the sum of times is one, and without it more is left.
    /// </summary>
    [Fact]
    public void A_slow_device_takes_most_of_the_time_of_its_radio()
    {
        var home = Home.WithGateway().Place("hall").Stands("gw", "hall").Wifi("a", "gw").Wifi("b", "gw").Wifi("slow", "gw");
        foreach (var (device, generation) in new[] { ("a", WifiGeneration.N), ("b", WifiGeneration.N), ("slow", WifiGeneration.G) })
        {
            home.Device(device, d => d with { Generation = generation, Streams = 1 }).Stands(device, "hall");
        }
        var share = Assert.Single(Of(home).Shares);
        Assert.Equal(("gw", "slow"), (share.Box, share.Devices[0].Device));
        Assert.Equal(["a", "b", "slow"], share.Devices.Select(d => d.Device).Order());
        Assert.Equal(1, share.Devices.Sum(d => d.Part), 6);
        Assert.Equal(1 / share.Devices.Sum(d => 1 / d.AloneMbps), share.EachMbps, 1);
        Assert.Equal(share.Devices[1].AloneMbps / 2, share.WithoutSlowestMbps, 1);
        Assert.InRange(share.Devices[0].Part, 0.5, 0.9);
        Assert.Empty(Of(Home.WithGateway().Wifi("a", "gw")).Shares);
    }

    private static Home House(int? channel, int? width) =>
        Home.WithGateway()
            .Edit<RouterMode>("gw", m => m with { Wifi = [] })
            .Point("ap")
            .Cable("gw/lan1", "ap/lan1")
            .Point("lost")
            .Cable("gw/lan2", "lost/lan1")
            .Edit<AccessPointMode>("lost", m => m with { Wifi = [m.Wifi[0] with { Name = "lost" }] })
            .Edit<AccessPointMode>("ap", m => m with { Wifi = [m.Wifi[0] with { Channel = channel, WidthMhz = width }] })
            .Box("ap", b => b with { Label = b.Label with { RadioMac = Own } })
            .Place("near")
            .Place("far", p => p with { Air = new(Scan) })
            .Stands("ap", "near");

    private static HeardNetwork Heard(string name, int channel, double level, MacAddress? radio) =>
        new(name)
        {
            Radio = radio,
            Band = RadioBand.Ghz5,
            Channel = channel,
            LevelDbm = level,
        };

    private static SpeedAndAir Of(Home home) => SpeedAndAir.Of(Observer.Observe(Compiler.Compile(home.Design, Situation.Settled)));
}
