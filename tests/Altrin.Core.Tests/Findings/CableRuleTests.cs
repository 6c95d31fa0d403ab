using Altrin.Core.Changes;
using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Findings;

public sealed class WrongPortTests() : RuleTests("wrong-port")
{
    private static Home ByHand(string port) =>
        Home.WithGateway()
            .Router("in", "192.168.8.2/24", "192.168.8.100-192.168.8.150", server: false)
            .Cable("gw/lan1", $"in/{port}")
            .Wifi("phone", "in");

    [Fact]
    public void Triggers_for_a_by_hand_access_point_cabled_in_its_WAN_port()
    {
        One(ByHand("wan"), Severity.WillNotWork, "in");
        Cured(ByHand("wan"), "Move the cable to a LAN port");
    }

    [Fact]
    public void Near_miss_in_a_LAN_port() => None(ByHand("lan1"));

    [Theory]
    [InlineData("Switch the DHCP server of in off")]
    [InlineData("Move the cable to port in")]
    public void Triggers_for_a_router_hanging_by_a_LAN_port(string label) =>
        Cured(Home.WithGateway().Router("in").Cable("gw/lan1", "in/lan1").Wired("a", "in/lan2"), label);

    [Theory]
    [InlineData(false, 1)]
    [InlineData(true, 0)]
    public void In_access_point_mode_the_profile_decides_about_the_WAN_port(bool joins, int findings)
    {
        var home = Home.WithGateway().Point("point", joins: joins).Cable("gw/lan1", "point/wan").Wifi("phone", "point");
        Assert.Equal(findings, In(home).Count);
        if (findings > 0)
        {
            Cured(home, "Move the cable to a LAN port");
        }
    }
}

/// <summary>60 Mb/s are expected over mains wiring, 30 at least (common practice).</summary>
public sealed class MainsSlowTests() : RuleTests("mains-slow")
{
    private static Home House(int? sold) =>
        Home.WithGateway()
            .Service(new PublicDynamic(sold, null))
            .Switch("s")
            .Cable("gw/lan1", "s/lan1")
            .Wired("a", "s/lan2")
            .Medium("gw-lan1-s-lan1", Medium.Powerline);

    [Theory]
    [InlineData(68)]
    [InlineData(1000)]
    public void Triggers_below_the_service(int sold)
    {
        var finding = One(House(sold), Severity.Concern, "gw-lan1-s-lan1");
        Assert.StartsWith("The mains wiring behind gw brings about 60 Mb/s (30 to 150)", finding.What, StringComparison.Ordinal);
        Assert.Equal("a gets what arrives there, however fast the line is.", finding.Notice);
        Assert.Equal(
            "2 devices share what arrives there, however fast the line is.",
            One(House(sold).Wired("b", "s/lan3"), Severity.Concern, "gw-lan1-s-lan1").Notice
        );
    }

    [Theory]
    [InlineData(66)]
    [InlineData(null)]
    public void Near_miss_where_the_service_is_no_faster(int? sold) => None(House(sold));

    [Fact]
    public void Near_miss_where_nothing_is_behind_it() =>
        None(
            Home.WithGateway()
                .Service(new PublicDynamic(500, null))
                .Switch("s")
                .Cable("gw/lan1", "s/lan1")
                .Wired("a", "gw/lan2")
                .Medium("gw-lan1-s-lan1", Medium.Powerline)
        );

    /// <summary>Homes differ: what was measured there counts more than what is usual.</summary>
    [Fact]
    public void Near_miss_where_it_was_measured_to_bring_enough()
    {
        None(House(100).Measured(new("speed", "s", RunBy.Cable, 3, new(95, 90, 96)) { From = "a" }));
        var finding = One(
            House(120).Measured(new("speed", "s", RunBy.Cable, 3, new(95, 90, 96)) { From = "a" }),
            Severity.Concern,
            "gw-lan1-s-lan1"
        );
        Assert.Equal("The mains wiring behind gw brings about 95 Mb/s (90 to 96), as measured, of the 120 Mb/s sold", finding.What);
    }
}

public sealed class SlowLinkTests() : RuleTests("slow-link")
{
    private static Home House(int sold, int port = 100, Medium medium = Medium.Cat6)
    {
        var home = Home.WithGateway().Service(new PublicDynamic(sold, null)).Switch("s").Cable("gw/lan1", "s/lan1").Wired("a", "s/lan2");
        return home.Profile("s", p => p with { Ports = [.. p.Ports.Select(x => x.Id == "lan1" ? x with { SpeedMbps = port } : x)] })
            .Medium("gw-lan1-s-lan1", medium);
    }

    [Fact]
    public void Triggers_for_a_slow_port_and_finds_a_faster_one()
    {
        One(House(250), Severity.Concern, "gw-lan1-s-lan1");
        Cured(House(250), "Move the cable to");
    }

    /// <summary>What mains wiring brings another rule tells.</summary>
    [Fact]
    public void Near_miss_over_mains_wiring() => None(House(500, 1000, Medium.Powerline));

    [Theory]
    [InlineData(100, 100)]
    [InlineData(250, 1000)]
    public void Near_miss_where_the_service_is_no_faster(int sold, int port) => None(House(sold, port));
}

public sealed class LoopTests() : RuleTests("loop")
{
    private static Home Ring() =>
        Home.WithGateway()
            .Switch("s1")
            .Switch("s2")
            .Cable("gw/lan1", "s1/lan1")
            .Cable("s1/lan2", "s2/lan1")
            .Cable("s2/lan2", "gw/lan2")
            .Wired("a", "s1/lan3");

    [Fact]
    public void Triggers_and_names_the_ring() => One(Ring(), Severity.WillNotWork, "gw-lan1-s1-lan1", "s1-lan2-s2-lan1", "s2-lan2-gw-lan2");

    [Fact]
    public void Any_cable_of_the_ring_may_be_pulled() => Assert.Equal(3, In(Ring())[0].Remedies.Count);

    /// <summary>The lead that costs least is offered first: not the run in the walls, and the shorter of two.</summary>
    [Fact]
    public void The_lead_that_costs_least_comes_first()
    {
        var home = Ring()
            .Cable("gw-lan1-s1-lan1", c => c with { Known = c.Known with { Run = "wall", LengthMetres = 1 } })
            .Cable("s1-lan2-s2-lan1", c => c with { Known = c.Known with { LengthMetres = 30 } })
            .Cable("s2-lan2-gw-lan2", c => c with { Known = c.Known with { LengthMetres = 2 } });
        Assert.Equal(
            [new Unpatch("s2-lan2-gw-lan2"), new Unpatch("s1-lan2-s2-lan1"), new Unpatch("gw-lan1-s1-lan1")],
            In(home)[0].Remedies.Select(r => r.Changes.Single())
        );
        var twice = Home.WithGateway().Switch("s1").Cable("gw/lan1", "s1/lan1").Cable("gw/lan2", "s1/lan2").Wired("a", "s1/lan3");
        Assert.Equal(2, In(twice)[0].Remedies.Count);
    }

    // A ring stops everything but hides nothing: what else is wrong is found beside it, so that pulling a cable brings nothing new.
    [Fact]
    public void Is_cured_also_where_more_is_wrong()
    {
        var home = Ring().Router("in", lan: "192.168.8.1/24").Cable("s1/lan4", "in/wan").Wired("b", "in/lan1").Reach("b", 8080);
        Assert.Equal(3, In(home)[0].Remedies.Count);
        Assert.Contains(Judging.Prove(home.Design).Findings, f => f.Code == "double-nat");
    }

    [Fact]
    public void Triggers_for_a_lead_from_a_box_to_itself() =>
        One(Home.WithGateway().Cable("gw/lan1", "gw/lan2").Wired("a", "gw/lan3"), Severity.WillNotWork, "gw-lan1-gw-lan2");

    [Fact]
    public void Near_miss_a_router_in_the_ring_keeps_its_sides_apart() =>
        None(Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Switch("s").Cable("gw/lan2", "s/lan1").Wired("a", "s/lan2"));
}

public sealed class SwitchBeforeRouterTests() : RuleTests("switch-before-router")
{
    private static Home Before() =>
        Home.New()
            .Gateway(bridge: true)
            .Cable("street", "gw/wan")
            .Switch("s")
            .Cable("gw/lan1", "s/lan1")
            .Router("main")
            .Cable("s/lan2", "main/wan")
            .Wired("a", "main/lan1");

    [Fact]
    public void Is_a_concern_with_the_router_alone_on_it() => One(Before(), Severity.Concern, "s");

    [Fact]
    public void Means_it_will_not_work_once_someone_else_asks_there() => One(Before().Wired("b", "s/lan3"), Severity.WillNotWork, "s");

    [Fact]
    public void Cures_by_putting_the_router_first() => Cured(Before().Wired("b", "s/lan3"), "Put main first and s behind it");

    [Fact]
    public void Near_miss() => None(Home.WithGateway().Switch("s").Cable("gw/lan1", "s/lan1").Wired("a", "s/lan2"));
}

public sealed class StreetRuleTests() : RuleTests("several-before-router")
{
    private static Home Two() =>
        Home.New()
            .Gateway(bridge: true)
            .Cable("street", "gw/wan")
            .Router("main")
            .Cable("gw/lan1", "main/wan")
            .Wired("a", "main/lan1")
            .Wired("b", "gw/lan2");

    [Fact]
    public void Triggers() => One(Two(), Severity.WillNotWork, "street");

    [Fact]
    public void The_device_out_there_is_named_by_its_own_rule() =>
        Assert.Contains(Judging.Prove(Two().Design).Findings, f => f.Identity == "device-before-router(b)");

    [Fact]
    public void Near_miss() =>
        None(
            Home.New().Gateway(bridge: true).Cable("street", "gw/wan").Router("main").Cable("gw/lan1", "main/wan").Wired("a", "main/lan1")
        );
}

public sealed class NotConnectedTests() : RuleTests("not-connected")
{
    [Fact]
    public void Triggers() => Assert.NotEmpty(One(Home.WithGateway().Loose("a"), Severity.WillNotWork, "a").Advice);

    [Fact]
    public void Near_miss() => None(Home.WithGateway().Wired("a", "gw/lan1"));
}
