using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Facts;

/// <summary>Speeds that were measured and kept, held to a home.</summary>
public sealed class HeldSpeedTests
{
    private static readonly SpeedMeasure ByPhone = new("speed", "ap", RunBy.Ghz5, 3, new(80, 75, 85))
    {
        From = "phone",
        Place = "study",
        StoodIn = "hall",
    };

    private static readonly SpeedMeasure ByLaptop = new("speed", "ap", RunBy.Cable, 3, new(90, 85, 95)) { Port = "lan2" };

    private static Home House() =>
        Home.WithGateway()
            .Point("ap")
            .Cable("gw/lan1", "ap/lan1")
            .Place("hall", p => p with { LengthMetres = 4, WidthMetres = 4, EastMetres = 0, NorthMetres = 0 })
            .Place("study", p => p with { LengthMetres = 4, WidthMetres = 4, EastMetres = 5, NorthMetres = 0 })
            .Stands("ap", "hall")
            .Wifi("phone", "ap")
            .Stands("phone", "study")
            .Wired("pc", "gw/lan2")
            .Service(new PublicDynamic(500, 100) { Line = Home.Asked });

    private static PathRates Rates(Home home) => Observer.Observe(Compiler.Compile(home.Design, Situation.Settled)).Rates;

    private static HeldSpeed Hold(Home home, SpeedMeasure speed) => Assert.Single(Rates(home.Measured(speed)).Held);

    public static TheoryData<string?, SpeedMeasure, Func<Home, Home>> Elsewhere =>
        new()
        {
            { null, ByPhone, h => h },
            { null, ByLaptop, h => h },
            { "Where it was measured was not noted.", ByPhone with { Place = null }, h => h },
            { "Where ap stood then was not noted.", ByPhone with { StoodIn = null }, h => h },
            { "ap stands elsewhere now.", ByPhone, h => h.Stands("ap", "study") },
            { "phone is elsewhere now.", ByPhone, h => h.Stands("phone", "hall") },
            { "phone is not in the Wi-Fi of gw now.", ByPhone with { Box = "gw" }, h => h.Stands("gw", "hall") },
            { "ap sends nothing at 2.4 GHz now.", ByPhone with { By = RunBy.Ghz2 }, h => h },
            { "phone has no cable now.", ByPhone with { By = RunBy.Cable }, h => h },
            {
                "Nothing leads from ap to the internet line now.",
                ByLaptop,
                h => h.Cable("gw-lan1-ap-lan1", c => c with { A = new("gw", "wan2") })
            },
            {
                "Nothing leads from ap to pc now.",
                ByLaptop with
                {
                    To = "pc",
                },
                h => h.Cable("gw-lan1-ap-lan1", c => c with { A = new("gw", "wan2") })
            },
            // Over the same links, each of the same medium.
            { null, ByLaptop with { Over = [new("gw-lan1-ap-lan1", Medium.Cat6), new("street-gw-wan", Medium.Cat6)] }, h => h },
            {
                "It went over other links then.",
                ByLaptop with
                {
                    Over = [new("gw-lan1-ap-lan1", Medium.Cat6), new("street-gw-wan", Medium.Cat6)],
                },
                h => h.Medium("gw-lan1-ap-lan1", Medium.Powerline)
            },
            { "It went over other links then.", ByLaptop with { Over = [new("radio:ap")] }, h => h },
            { "It was measured in the set-up \"found\", and over which links was not noted.", ByLaptop with { SetUp = "found" }, h => h },
            { null, ByLaptop with { SetUp = "planned" }, h => h },
            // By cable it is no matter where anything stands.
            { null, ByLaptop with { StoodIn = "study" }, h => h },
            { null, ByPhone with { From = null }, h => h.Stands("phone", "hall") },
        };

    /// <summary>A measurement counts for the same radio at the same place of the box and of the ear; elsewhere it says nothing.</summary>
    [Theory]
    [MemberData(nameof(Elsewhere))]
    public void Counts_only_where_it_was_made(string? why, SpeedMeasure speed, Func<Home, Home> change)
    {
        var held = Hold(change(House()), speed);
        Assert.Equal((why, why is null, why is null), (held.WhyNot, held.Computed is not null, held.Stands is not null));
    }

    [Fact]
    public void Says_nothing_of_a_box_that_is_not_in_use()
    {
        var design = House().Measured(ByLaptop).Design;
        design = design with { SetUp = design.SetUp with { Boxes = [.. design.SetUp.Boxes.Where(b => b.Box != "ap")], Cables = [] } };
        Assert.Equal("ap is not in use.", Assert.Single(Observer.Observe(Compiler.Compile(design, Situation.Settled)).Rates.Held).WhyNot);
    }

    [Theory]
    [InlineData(94, 1000, 94.1, RateStanding.Within)]
    [InlineData(85, 1000, 94.1, RateStanding.Within)]
    [InlineData(84, 1000, 94.1, RateStanding.Below)]
    [InlineData(57, 1000, 94.1, RateStanding.Below)]
    [InlineData(56, 1000, 94.1, RateStanding.FarBelow)]
    [InlineData(103, 1000, 94.1, RateStanding.Within)]
    [InlineData(105, 1000, 94.1, RateStanding.Above)]
    // The service is a part of the way.
    [InlineData(50, 50, 50, RateStanding.Within)]
    public void Is_held_to_what_is_computed_for_its_way(double median, int sold, double computed, RateStanding stands)
    {
        var home = House()
            .Service(new PublicDynamic(sold, sold) { Line = Home.Asked })
            .Profile("ap", p => p with { Ports = [.. p.Ports.Select(x => x.Id == "lan2" ? x with { SpeedMbps = 100 } : x)] });
        var held = Hold(home, ByLaptop with { Down = new(median, median, median) });
        Assert.Equal((stands, computed), (held.Stands, held.Computed!.Down.Usual!.Value));
        Assert.Equal(["laptop", "gw-lan1-ap-lan1", "street-gw-wan", "service"], held.Computed.Parts.Select(p => p.Id));
    }

    /// <summary>To another device or box the way leads up to where both meet, and what was sold is no matter.</summary>
    [Theory]
    [InlineData("pc", "laptop gw-lan1-ap-lan1 gw-lan2-pc")]
    [InlineData("gw", "laptop gw-lan1-ap-lan1")]
    [InlineData("ap", "laptop")]
    public void A_way_within_the_home_leads_to_where_both_meet(string to, string parts) =>
        Assert.Equal(parts, string.Join(' ', Hold(House(), ByLaptop with { To = to }).Computed!.Parts.Select(p => p.Id)));

    /// <summary>By Wi-Fi it is held to the band that it was made on; a device's rate tells it where the device is on that band.</summary>
    [Fact]
    public void A_device_tells_what_was_measured_of_its_way()
    {
        var home = House();
        var held = Hold(home, ByPhone);
        Assert.EndsWith("at 5 GHz", held.Computed!.Parts[0].Says, StringComparison.Ordinal);
        var rate = Rates(home).ToInternet("phone")!;
        Assert.Equal(new RateSpan(75, 80, 85), rate.Down);
        Assert.Equal(new MeasuredRate("speed", held.Computed.Down, rate.Up, held.Stands!.Value), rate.Measured);
        Assert.StartsWith("As measured. The slowest part is ", rate.Says, StringComparison.Ordinal);
        foreach (var (mbps, says) in new[] { (3, "Measured slower than the"), (900, "Measured faster than the") })
        {
            Assert.StartsWith(
                says,
                Rates(House().Measured(ByPhone with { Down = new(mbps, mbps, mbps) })).ToInternet("phone")!.Says,
                StringComparison.Ordinal
            );
        }
        Assert.Null(Rates(home).ToInternet("pc")!.Measured);
        // The last one counts; one on another band does not.
        home.Profile("ap", p => p with { Radios = [new("r24", RadioBand.Ghz2), .. p.Radios] })
            .Edit<AccessPointMode>("ap", m => m with { Wifi = [m.Wifi[0] with { Radio = "r24" }, .. m.Wifi] })
            .Measured(ByPhone with { Id = "later", At = "2026-05-04T16:30Z" })
            .Measured(ByPhone with { Id = "other", By = RunBy.Ghz2, At = "2026-05-04T17:30Z" });
        Assert.Equal("later", Rates(home).ToInternet("phone")!.Measured!.Speed);
    }

    /// <summary>
    /// Mains wiring brings what was measured over it, or at least that where something else on the way stopped the run; what is computed
    /// for a measurement leaves measurements out.
    /// </summary>
    [Theory]
    [InlineData(48, 500, 45, 48, 51)]
    [InlineData(141, 150, 141, 141, 150)]
    [InlineData(40, 40, 40, 60, 150)]
    public void Mains_wiring_brings_what_was_measured(double median, int sold, double low, double usual, double high)
    {
        var home = House().Service(new PublicDynamic(sold, 50) { Line = Home.Asked }).Medium("gw-lan1-ap-lan1", Medium.Powerline);
        var held = Hold(home, ByLaptop with { Down = new(median, median - 3, median + 3) });
        Assert.Equal(new RateSpan(30, 60, 150), held.Computed!.Parts[1].Down);
        var part = Rates(home).ToInternet("phone")!.Parts[1];
        Assert.Equal((true, new RateSpan(low, usual, high)), (part.IsMeasured, part.Down));
    }
}
