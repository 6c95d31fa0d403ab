using Altrin.Core.Changes;
using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Findings;

public sealed class CopperBetweenBuildingsTests() : RuleTests("copper-between-buildings")
{
    internal static Home Apart(Medium medium, Known supply = Known.Unknown, string? building = "barn") =>
        Home.WithGateway()
            .Switch("s")
            .Cable("gw/lan1", "s/lan1")
            .Outbuilding("barn", supply)
            .Place("hall")
            .Place("shed", p => p with { Building = building })
            .Stands("gw", "hall")
            .Stands("s", "shed")
            .Medium("gw-lan1-s-lan1", medium);

    [Theory]
    [InlineData(Medium.Cat6)]
    [InlineData(Medium.Unknown)]
    public void Triggers_for_copper_and_for_what_no_one_looked_at(Medium medium) =>
        Assert.NotEmpty(One(Apart(medium), Severity.Concern, "gw-lan1-s-lan1").Advice);

    [Fact]
    public void Near_miss_with_fibre() => None(Apart(Medium.Fibre));

    [Fact]
    public void Near_miss_inside_one_house() => None(Apart(Medium.Cat6, building: null));
}

public sealed class PowerlineAcrossSuppliesTests() : RuleTests("powerline-across-supplies")
{
    [Theory]
    [InlineData(Known.No)]
    [InlineData(Known.Unknown)]
    public void Triggers_across_two_supplies_and_where_no_one_asked(Known same) =>
        One(CopperBetweenBuildingsTests.Apart(Medium.Powerline, same), Severity.Concern, "gw-lan1-s-lan1");

    [Fact]
    public void Near_miss_with_one_supply() => None(CopperBetweenBuildingsTests.Apart(Medium.Powerline, Known.Yes));
}

public sealed class CableTooLongTests() : RuleTests("cable-too-long")
{
    private static Home Long(double metres, Medium medium = Medium.Cat6) =>
        Home.WithGateway()
            .Wired("tv", "gw/lan1")
            .Cable("gw-lan1-tv", c => c with { Known = c.Known with { LengthMetres = metres, Medium = medium } });

    [Fact]
    public void Triggers_beyond_a_channel() => One(Long(101), Severity.Concern, "gw-lan1-tv");

    [Fact]
    public void Near_miss_at_its_end_and_with_fibre()
    {
        None(Long(100));
        None(Long(400, Medium.Fibre));
    }
}

public sealed class OutsideRatingTests() : RuleTests("outside-rating")
{
    private static Home In(PlaceKind kind, Traits traits) =>
        Home.WithGateway().Place("there", p => p with { Kind = kind }).Stands("gw", "there").Traits("gw", traits);

    [Theory]
    [InlineData(PlaceKind.Outdoors, Known.No, 0, 40, 1)]
    [InlineData(PlaceKind.Outdoors, Known.Yes, -30, 60, 0)]
    [InlineData(PlaceKind.Outdoors, Known.Unknown, null, null, 0)]
    [InlineData(PlaceKind.Loft, Known.No, 0, 40, 1)]
    [InlineData(PlaceKind.Loft, Known.No, 0, 60, 1)]
    [InlineData(PlaceKind.Loft, Known.No, -10, 50, 0)]
    [InlineData(PlaceKind.Cupboard, Known.No, 0, 40, 0)]
    public void A_place_asks_for_its_rating(PlaceKind kind, Known outdoors, int? least, int? most, int findings) =>
        Assert.Equal(
            findings,
            In(
                In(
                    kind,
                    new()
                    {
                        Outdoors = outdoors,
                        LeastCelsius = least,
                        MostCelsius = most,
                    }
                )
            ).Count
        );
}

public sealed class FirmwareUnsupportedTests() : RuleTests("firmware-unsupported")
{
    private static Home Ended(string box) =>
        Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Box(box, b => b with { Label = new() { Supported = Known.No } });

    [Fact]
    public void Triggers_at_the_line() => One(Ended("gw"), Severity.Concern, "gw");

    [Fact]
    public void Near_miss_further_in() => None(Ended("in"));
}

public sealed class TvOnWrongSideTests() : RuleTests("tv-on-wrong-side")
{
    private static Home House(Medium medium = Medium.Cat6, bool behind = false, LineService service = LineService.Television)
    {
        var home = Home.WithGateway()
            .Router("in")
            .Cable("gw/lan1", "in/wan")
            .Wired("tv", behind ? "in/lan1" : "gw/lan2")
            .Device("tv", d => d with { Kind = DeviceKind.Television })
            .Box("gw", b => b with { Holds = [service] });
        return home.Medium(behind ? "in-lan1-tv" : "gw-lan2-tv", medium);
    }

    [Fact]
    public void Triggers_behind_another_router_and_over_mains_wiring()
    {
        One(House(behind: true), Severity.Concern, "tv");
        One(House(Medium.Powerline), Severity.Concern, "tv");
    }

    [Fact]
    public void Near_miss_at_the_gateway_and_without_its_programmes()
    {
        None(House());
        None(House(Medium.Powerline, service: LineService.Telephone));
    }
}

public sealed class PowerShortTests() : RuleTests("power-short")
{
    private static Home House(PowerKind? gives, double? budget, PowerKind takes, double needs, Known plug = Known.No, int points = 1)
    {
        var home = Home.WithGateway()
            .Switch("s")
            .Cable("gw/lan1", "s/lan8")
            .Traits(
                "s",
                new()
                {
                    Power = new()
                    {
                        Gives = gives,
                        BudgetWatts = budget,
                        GivesAt = ["lan1", "lan2", "lan3", "lan4"],
                    },
                }
            );
        for (var i = 1; i <= points; i++)
        {
            home.Point($"p{i}")
                .Cable($"s/lan{i}", $"p{i}/wan")
                .Traits(
                    $"p{i}",
                    new()
                    {
                        Power = new()
                        {
                            Takes = takes,
                            NeedsWatts = needs,
                            OwnPlug = plug,
                        },
                    }
                );
        }
        return home;
    }

    /// <summary>A spare injector that gives what is needed goes into the cable; one of passive power, or too weak, does not.</summary>
    [Theory]
    [InlineData(PowerKind.At, PowerKind.Af, 9, true)]
    [InlineData(PowerKind.Af, PowerKind.At, 16, false)]
    [InlineData(PowerKind.Passive, PowerKind.Af, 9, false)]
    [InlineData(PowerKind.Passive, PowerKind.Passive, 6, true)]
    [InlineData(PowerKind.At, PowerKind.Passive, 6, false)]
    public void A_spare_injector_goes_into_the_cable(PowerKind gives, PowerKind takes, double needs, bool helps)
    {
        var house = House(null, null, takes, needs)
            .Link("inj", BoxKind.Injector)
            .Traits(
                "inj",
                new()
                {
                    Power = new() { Gives = gives, GivesAt = ["lan2"] },
                }
            )
            .Design;
        var design = house with { SetUp = new TakeOutOfUse("inj").ApplyTo(house).Value };
        var remedy = Judging
            .Prove(design)
            .Findings.Single(f => f.Code == "power-short")
            .Remedies.SingleOrDefault(r => r.Label == "Put inj into the cable of p1");
        Assert.Equal(helps, remedy is not null);
        if (remedy is not null)
        {
            var cured = ChangeList.Apply(design, remedy.Changes).Value;
            Assert.DoesNotContain(Judging.Prove(cured).Findings, f => f.Code is "power-short" or "passive-power");
            Assert.Contains(cured.SetUp.Cables, c => c.Ends("inj") && c.Ends("s"));
        }
    }

    /// <summary>The two cables of an injector are swapped, or a box is in a port that gives no power beside one that does.</summary>
    [Theory]
    [InlineData(true, "Swap the cables in port 5 of s and port 1 of s")]
    [InlineData(false, "Move the cable of p to port 1 of s")]
    public void A_box_at_a_port_without_power_is_moved_to_one_with(bool taken, string label)
    {
        var home = Home.WithGateway()
            .Switch("s", 5)
            .Traits(
                "s",
                new()
                {
                    Power = new() { Gives = PowerKind.At, GivesAt = ["lan1"] },
                }
            )
            .Point("p")
            .Traits(
                "p",
                new()
                {
                    Power = new() { Takes = PowerKind.At, OwnPlug = Known.No },
                }
            )
            .Cable("gw/lan1", taken ? "s/lan1" : "s/lan2")
            .Cable("s/lan5", "p/wan");
        One(home, Severity.Concern, "p");
        var after = Cured(home, label);
        Assert.True(after.CableAt(new("s", "lan1"))!.Ends("p"));
        Assert.Equal(2, after.SetUp.Cables.Count(c => c.Ends("s")));
        // Nothing is taken from another box that may live on it.
        var also = home.Traits(
            "gw",
            new()
            {
                Power = new() { Takes = PowerKind.At, OwnPlug = Known.Yes },
            }
        );
        Assert.DoesNotContain(In(also)[0].Remedies, r => r.Label.StartsWith("Swap", StringComparison.Ordinal));
    }

    // 802.3af gives 12.95 W at the device and at 25.5; a budget is spent at the source, 15.4 and 30 W.
    [Theory]
    [InlineData(null, null, PowerKind.Af, 9.0, Known.No, 1, "p1", "nothing at the other end gives any")]
    [InlineData(null, null, PowerKind.Af, 9.0, Known.Yes, 1, null, null)]
    [InlineData(PowerKind.Af, 60.0, PowerKind.Af, 12.95, Known.No, 1, null, null)]
    [InlineData(PowerKind.Af, 60.0, PowerKind.At, 13.0, Known.No, 1, "p1", "at most 12.95")]
    [InlineData(PowerKind.At, 60.0, PowerKind.At, 25.5, Known.No, 2, null, null)]
    [InlineData(PowerKind.At, 60.0, PowerKind.At, 25.5, Known.No, 3, "s", "about 90")]
    [InlineData(PowerKind.At, 60.0, PowerKind.Passive, 5.0, Known.No, 1, "p1", "needs passive power")]
    [InlineData(PowerKind.Passive, 12.0, PowerKind.Passive, 5.0, Known.No, 1, null, null)]
    public void Power_is_reckoned_from_source_to_device(
        PowerKind? gives,
        double? budget,
        PowerKind takes,
        double needs,
        Known plug,
        int points,
        string? subject,
        string? says
    )
    {
        var home = House(gives, budget, takes, needs, plug, points);
        if (subject is null)
        {
            None(home);
            return;
        }
        Assert.Contains(says!, One(home, Severity.Concern, subject).What, StringComparison.Ordinal);
    }
}

public sealed class PassivePowerTests() : RuleTests("passive-power")
{
    private static Home House(PowerKind? takes, bool swapped = false) =>
        Home.WithGateway()
            .Link("inj", BoxKind.Injector)
            .Point("p")
            .Cable("gw/lan1", swapped ? "inj/lan2" : "inj/lan1")
            .Cable(swapped ? "inj/lan1" : "inj/lan2", "p/wan")
            .Traits(
                "inj",
                new()
                {
                    Power = new() { Gives = PowerKind.Passive, GivesAt = ["lan2"] },
                }
            )
            .Traits(
                "p",
                new()
                {
                    Power = new() { Takes = takes, NeedsWatts = 5 },
                }
            );

    [Fact]
    public void Triggers_for_whatever_does_not_expect_it()
    {
        One(House(PowerKind.Af), Severity.Concern, "inj");
        One(House(null), Severity.Concern, "inj");
        // The box that it came with hangs at its data port.
        One(House(PowerKind.Passive, swapped: true), Severity.Concern, "inj");
        Assert.True(Cured(House(PowerKind.Passive, swapped: true), "Swap the cables").CableAt(new("inj", "lan2"))!.Ends("p"));
        Assert.Empty(One(House(PowerKind.Af, swapped: true), Severity.Concern, "inj").Remedies);
    }

    [Fact]
    public void Near_miss_with_the_box_that_it_is_for() => None(House(PowerKind.Passive));
}

public sealed class TwoPairTests() : RuleTests("slow-link")
{
    private static Home House(int? pairs, int sold = 500) =>
        Home.WithGateway()
            .Service(new PublicDynamic(sold, null))
            .Switch("s")
            .Cable("gw/lan1", "s/lan1")
            .Wired("a", "s/lan2")
            .Cable("gw-lan1-s-lan1", c => c with { Known = c.Known with { Pairs = pairs } });

    [Fact]
    public void Triggers_for_two_pairs_below_what_is_sold() =>
        Assert.Contains("two pairs", One(House(2), Severity.Concern, "gw-lan1-s-lan1").Advice[0], StringComparison.Ordinal);

    [Fact]
    public void Near_miss_with_all_four_and_with_a_slower_service()
    {
        None(House(4));
        None(House(null));
        None(House(2, 80));
    }
}
