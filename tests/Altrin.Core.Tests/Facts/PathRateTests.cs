using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Facts;

/// <summary>How fast the ways of a home are, and what limits them.</summary>
public sealed class PathRateTests
{
    /// <summary>A service that limits nothing.</summary>
    private static readonly Service Plenty = new PublicDynamic(100_000, 100_000) { Line = Home.Asked };

    private static readonly BoxRadio Fast = new("r5", RadioBand.Ghz5)
    {
        Generation = WifiGeneration.Ac,
        Streams = 2,
        WidestMhz = 80,
    };

    /// <summary>1448 of 1538 bytes arrive: 94.1 on a 100 Mb/s port, 941 on gigabit (IEEE 802.3, RFC 7323); 93.6 % with a login.</summary>
    [Theory]
    [InlineData(100, 1000, false, 94.15)]
    [InlineData(1000, 1000, false, 941.5)]
    [InlineData(1000, 1000, true, 936.3)]
    public void A_wire_carries_what_its_ports_do(int lan, int wan, bool login, double arrives)
    {
        var home = Home.WithGateway()
            .Wired("pc", "gw/lan1")
            .Service(new PublicDynamic(null, null) { Line = Home.Asked with { Login = login ? Known.Yes : Known.No } })
            .Profile("gw", p => p with { Ports = [.. p.Ports.Select(x => x with { SpeedMbps = x.Role == PortRole.Wan ? wan : lan })] });
        var rate = Rates(home).ToInternet("pc")!;
        Assert.Equal(arrives, rate.Down.Usual!.Value, 0.1);
        Assert.Equal(rate.Down, rate.Up);
        Assert.Equal(login ? "street-gw-wan" : "gw-lan1-pc", rate.LimitDown);
        Assert.Equal([RatePartKind.Cable, RatePartKind.Cable], rate.Parts.Select(p => p.Kind));
    }

    [Fact]
    public void Where_the_service_is_slower_nothing_else_matters()
    {
        var rate = Rates(Home.WithGateway().Wired("pc", "gw/lan1").Service(new PublicDynamic(50, 10) { Line = Home.Asked }))
            .ToInternet("pc")!;
        Assert.Equal((RateSpan.Exactly(50), RateSpan.Exactly(10)), (rate.Down, rate.Up));
        Assert.Equal((RatePart.Service, RatePart.Service), (rate.LimitDown, rate.LimitUp));
        Assert.EndsWith("nothing in the home makes it faster.", rate.Says, StringComparison.Ordinal);
        // What limits one direction only is not said of both.
        var mixed = Home.WithGateway()
            .Wired("pc", "gw/lan1")
            .Profile("gw", p => p with { Ports = [.. p.Ports.Select(x => x with { SpeedMbps = 100 })] })
            .Service(new PublicDynamic(50, 500) { Line = Home.Asked });
        Assert.Equal(
            "The service sold is the slowest part. Upwards it is the cable from port 1 of gw to pc.",
            Rates(mixed).ToInternet("pc")!.Says
        );
        // Ports of which nothing was read may be slow: that is in the least of what is above.
        var unread = Home.WithGateway()
            .Wired("pc", "gw/lan1")
            .Profile("gw", p => p with { Ports = [.. p.Ports.Select(x => x with { SpeedMbps = null })] });
        var fast = Rates(unread).ToInternet("pc")!;
        Assert.Equal((94.1, 500.0, 500.0), (fast.Down.Low, fast.Down.Usual!.Value, fast.Down.High));
    }

    /// <summary>Mains wiring: 30 to 95 Mb/s behind 100 Mb/s ports (common practice).</summary>
    [Fact]
    public void Mains_wiring_carries_what_arrives_over_it()
    {
        var home = Home.WithGateway()
            .Link("pl1", BoxKind.Powerline)
            .Link("pl2", BoxKind.Powerline)
            .Cable("gw/lan1", "pl1/lan1")
            .Cable("pl1/lan2", "pl2/lan2")
            .Medium("pl1-lan2-pl2-lan2", Medium.Powerline)
            .Wired("pc", "pl2/lan1");
        var rate = Rates(home).ToInternet("pc")!;
        Assert.Equal("pl1-lan2-pl2-lan2", rate.LimitDown);
        Assert.Equal(new RateSpan(30, 60, 150), rate.Down);
    }

    /// <summary>
    /// A repeater on one radio gives less than the box itself, one with another radio for its link more than that, and a chain less than a
    /// star (common practice).
    /// </summary>
    [Fact]
    public void Hops_on_one_radio_take_turns()
    {
        var direct = Rates(Chain(0)).ToInternet("phone")!;
        var one = Rates(Chain(1)).ToInternet("phone")!;
        var two = Rates(Chain(2)).ToInternet("phone")!;
        Assert.Equal([false, true, false, false], one.Parts.Select(p => p.Repeats));
        Assert.Equal([false, true, true, false, false], two.Parts.Select(p => p.Repeats));
        Assert.Equal(direct.Down.Usual!.Value / 2, one.Down.Usual!.Value, 1.0);
        Assert.True(two.Down.Usual < one.Down.Usual);
        var apart = Rates(
                Chain(1)
                    .Profile("r1", p => p with { Radios = [.. p.Radios, new("r24", RadioBand.Ghz2)] })
                    .Edit<RepeaterMode>("r1", m => m with { Wifi = [new("r24", true, "home", WifiSecurity.Wpa2, "key")] })
            )
            .ToInternet("phone")!;
        Assert.DoesNotContain(apart.Parts, p => p.Repeats);

        // All in one room, so that only the hops differ; the last box is the phone's.
        static Home Chain(int repeaters)
        {
            var home = Home.WithGateway().Place("room", p => p with { LengthMetres = 4, WidthMetres = 4 }).Service(Plenty);
            var last = "gw";
            for (var i = 1; i <= repeaters; i++)
            {
                home.Repeater($"r{i}", last, UplinkFrames.FourAddress).FourAddresses(last).FourAddresses($"r{i}");
                last = $"r{i}";
            }
            home.Wifi("phone", last);
            foreach (var box in Enumerable.Range(1, repeaters).Select(i => $"r{i}").Prepend("gw"))
            {
                home.Profile(box, p => p with { Radios = [.. p.Radios.Select(r => Fast with { FourAddress = Known.Yes })] })
                    .Stands(box, "room");
            }
            return home.Stands("phone", "room").Device("phone", d => d with { Generation = WifiGeneration.Ac, Streams = 2 });
        }
    }

    /// <summary>What is not known widens the span, and never makes it up: a device in no place has no usual rate.</summary>
    [Fact]
    public void What_is_not_known_widens_the_span()
    {
        var placed = Home.WithGateway()
            .Wifi("phone", "gw")
            .Place("room", p => p with { LengthMetres = 4, WidthMetres = 4 })
            .Service(Plenty);
        var vague = Rates(placed.Stands("gw", "room").Stands("phone", "room")).ToInternet("phone")!.Down;
        var sure = Rates(
                placed
                    .Profile("gw", p => p with { Radios = [Fast] })
                    .Device("phone", d => d with { Generation = WifiGeneration.Ac, Streams = 2 })
            )
            .ToInternet("phone")!
            .Down;
        Assert.True(vague.Low <= sure.Low && sure.High <= vague.High && vague.High - vague.Low > sure.High - sure.Low);
        Assert.InRange(sure.Usual!.Value, 450, 700);
        var lost = Rates(Home.WithGateway().Wifi("phone", "gw").Service(Plenty)).ToInternet("phone")!;
        Assert.Null(lost.Down.Usual);
        Assert.Null(lost.Parts[0].Level);
        Assert.Equal("wifi:phone", lost.LimitDown);
    }

    /// <summary>Where nothing is known of the way the band that can carry more is told: a device takes it where it reaches.</summary>
    [Fact]
    public void The_faster_band_is_told_where_nothing_is_known()
    {
        var home = Home.WithGateway()
            .Wifi("phone", "gw")
            .Profile("gw", p => p with { Radios = [new("r24", RadioBand.Ghz2), .. p.Radios] })
            .Edit<RouterMode>("gw", m => m with { Wifi = [m.Wifi[0] with { Radio = "r24" }, .. m.Wifi] });
        Assert.EndsWith("at 5 GHz", Rates(home).ToInternet("phone")!.Parts[0].Says, StringComparison.Ordinal);
    }

    /// <summary>From one device to another both Wi-Fi ends count: it is on one radio twice.</summary>
    [Fact]
    public void Two_devices_on_one_radio_take_turns_too()
    {
        var home = Home.WithGateway()
            .Place("room", p => p with { LengthMetres = 4, WidthMetres = 4 })
            .Profile("gw", p => p with { Radios = [Fast] })
            .Wifi("one", "gw")
            .Wifi("other", "gw")
            .Stands("gw", "room")
            .Stands("one", "room")
            .Stands("other", "room");
        var rate = Rates(home).Between("one", "other")!;
        Assert.Equal(["wifi:one", "wifi:other"], rate.Parts.Select(p => p.Id));
        Assert.True(rate.Parts[1].Repeats);
        Assert.Equal(
            rate.Parts[0].Down.Usual!.Value,
            rate.Down.Usual!.Value * (1 + (rate.Parts[0].Down.Usual!.Value / rate.Parts[1].Down.Usual!.Value)),
            0.01
        );
        Assert.Null(Rates(home).Between("one", "nobody"));
    }

    /// <summary>An old box routes less than its ports carry; what stays on its LAN side it does not route.</summary>
    [Fact]
    public void A_box_routes_no_more_than_its_kind_can()
    {
        var home = Home.WithGateway()
            .Wired("pc", "gw/lan1")
            .Wired("nas", "gw/lan2")
            .Service(new PublicDynamic(500, 100) { Line = Home.Asked })
            .Profile("gw", p => p with { RoutesMbps = 85 });
        var rate = Rates(home).ToInternet("pc")!;
        Assert.Equal(["gw-lan1-pc", "gw", "street-gw-wan", "service"], rate.Parts.Select(p => p.Id));
        Assert.Equal((85.0, "gw", "The slowest part is what gw routes."), (rate.Down.Usual, rate.LimitDown, rate.Says));
        Assert.DoesNotContain(Rates(home).Between("pc", "nas")!.Parts, p => p.Kind == RatePartKind.Routing);
        // Through an inner router, from either side.
        var inner = Home.WithGateway()
            .Router("in")
            .Cable("gw/lan1", "in/wan")
            .Wired("pc", "in/lan1", "192.168.20.5/24")
            .Wired("nas", "gw/lan2", "192.168.8.7/24")
            .Profile("in", p => p with { RoutesMbps = 85 });
        Assert.Equal("in", Rates(inner).ToInternet("pc")!.LimitDown);
        Assert.Equal("in", Rates(inner).Between("pc", "nas")!.LimitDown);
        var point = home.Point("ap").Cable("gw/lan3", "ap/lan1").Wired("tv", "ap/lan2").Profile("ap", p => p with { RoutesMbps = 10 });
        Assert.Equal("gw", Rates(point).ToInternet("tv")!.LimitDown);
    }

    /// <summary>
    /// A device of the 11 Mb/s class slows all that are in the Wi-Fi of its box at 2.4 GHz (common practice: 54 class 8 to 14).
    /// </summary>
    [Fact]
    public void The_oldest_device_slows_all_others()
    {
        var home = Home.WithGateway()
            .Place("room", p => p with { LengthMetres = 4, WidthMetres = 4 })
            .Service(Plenty)
            .Profile("gw", p => p with { Radios = [new("r5", RadioBand.Ghz2) { Generation = WifiGeneration.G }] })
            .Wifi("phone", "gw")
            .Stands("gw", "room")
            .Stands("phone", "room")
            .Wifi("scales", "gw")
            .Stands("scales", "room");
        Assert.InRange(Rates(home).ToInternet("phone")!.Down.Usual!.Value, 19, 25);
        home.Device("scales", d => d with { Generation = WifiGeneration.B });
        Assert.InRange(Rates(home).ToInternet("phone")!.Down.Usual!.Value, 8, 14);
        Assert.InRange(Rates(home).ToInternet("scales")!.Down.Usual!.Value, 4, 6);
        Assert.Equal([new("scales", [], null, true)], DeviceLimit.Of(home.Design));
    }

    /// <summary>Seed 2104: a way is never faster than any part of it, in any home.</summary>
    [Fact]
    public void A_way_is_never_faster_than_a_part_of_it()
    {
        for (var seed = 2104; seed < 2144; seed++)
        {
            var design = SurveyGenerator.Survey(DesignGenerator.Make(seed, 9), seed);
            var rates = new PathRates(Observer.Observe(Compiler.Compile(design, Situation.Settled)));
            foreach (var rate in rates.ToInternet())
            {
                foreach (var (all, parts) in new[] { (rate.Down, rate.Parts.Select(p => p.Down)), (rate.Up, rate.Parts.Select(p => p.Up)) })
                {
                    Assert.All(parts, p => Assert.True(all.Low <= p.Low + 1e-9 && all.High <= p.High + 1e-9));
                    Assert.All(parts, p => Assert.True(all.Usual is null || p.Usual is null || all.Usual <= p.Usual + 1e-9));
                    Assert.True(all.Usual is null || (all.Low <= all.Usual + 1e-9 && all.Usual <= all.High + 1e-9));
                }
            }
            Assert.All(rates.Use, u => Assert.True(u.Busy <= u.Alone && u.Alone <= 1));
        }
    }

    private static PathRates Rates(Home home) => new(Observer.Observe(Compiler.Compile(home.Design, Situation.Settled)));
}
