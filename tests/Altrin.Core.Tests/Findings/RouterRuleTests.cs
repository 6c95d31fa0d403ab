using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Findings;

public sealed class DoubleNatTests() : RuleTests("double-nat")
{
    private static Home Cascade() => Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Wired("a", "in/lan1").Wired("b", "gw/lan2");

    // Plain browsing never notices: a concern until a stated need depends on it (common practice).
    [Fact]
    public void Is_a_concern_for_browsing() => One(Cascade(), Severity.Concern, "in");

    [Fact]
    public void Means_it_will_not_work_once_a_need_depends_on_it() => One(Cascade().Reach("a", 8443), Severity.WillNotWork, "in");

    [Fact]
    public void Means_it_will_not_work_once_discovery_must_cross() => One(Cascade().Found("b"), Severity.WillNotWork, "in");

    [Fact]
    public void Stays_a_concern_where_both_routers_forward() =>
        One(
            Cascade()
                .Reach("a", 8443)
                .Edit<RouterMode>("in", m => m with { Wan = new Fixed(Home.Own("192.168.8.9/24"), Home.At("192.168.8.1"), []) })
                .Forward("gw", 8443, "192.168.8.9")
                .Reserve("in", "a", "192.168.20.5")
                .Forward("in", 8443, "192.168.20.5"),
            Severity.Concern,
            "in"
        );

    [Theory]
    [InlineData("Set in to access-point mode")]
    [InlineData("Make in an access point at 192.168.8.2 (LAN to LAN, DHCP off)")]
    [InlineData("Set gw to bridge mode")]
    public void Cures(string label) => Cured(Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Wired("a", "in/lan1"), label);

    /// <summary>A repeater with a subnet of its own becomes a plain one where it can; where not, what to do is said.</summary>
    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void A_repeater_with_its_own_subnet_is_cured_or_advised(bool plain)
    {
        var home = Home.WithGateway()
            .Router("rep", name: "far")
            .Edit<RouterMode>("rep", m => m with { Uplink = new("r5", "gw", "home", WifiSecurity.Wpa2, "key", UplinkFrames.ThreeAddress) })
            .Profile("rep", p => p with { Modes = plain ? [ModeKind.Router, ModeKind.Repeater] : [ModeKind.Router] })
            .Wired("a", "rep/lan1", "192.168.20.9/24")
            .Reach("a", 8443);
        var found = One(home, Severity.WillNotWork, "rep");
        if (!plain)
        {
            Assert.Contains("put a repeater there", Assert.Single(found.Advice), StringComparison.Ordinal);
            Assert.Empty(found.Remedies);
            return;
        }
        Assert.Empty(found.Advice);
        var after = Cured(home, "Set rep to repeater mode");
        Assert.Equal("gw", after.Mode("rep")!.Joins!.Box);
        Assert.All(Judging.Prove(after).Observation.Sheet.Needs, n => Assert.True(n.Answer.IsYes, n.Answer.Why));
    }

    [Fact]
    public void A_cure_by_hand_moves_the_cable_to_a_LAN_port()
    {
        var after = Cured(Cascade(), "Make in an access point at ");
        Assert.Null(after.CableAt(new("in", "wan")));
        Assert.NotNull(after.CableAt(new("in", "lan2")));
    }

    // RFC 2663: it takes two that translate.
    [Theory]
    [InlineData("in")]
    [InlineData("gw")]
    public void Near_miss_where_one_of_both_does_no_NAT(string router) =>
        None(Cascade().Found("b").Edit<RouterMode>(router, m => m with { Nat = false }));

    [Fact]
    public void Near_miss_behind_a_bridge() =>
        None(Home.New().Gateway(bridge: true).Cable("street", "gw/wan").Router("in").Cable("gw/lan1", "in/wan").Wired("a", "in/lan1"));
}

public sealed class CarrierNatTests() : RuleTests("carrier-nat")
{
    [Fact]
    public void Is_a_concern_for_browsing_and_has_advice_only()
    {
        var finding = One(Home.WithGateway().Service(new CarrierNat(null, null)).Wired("a", "gw/lan1"), Severity.Concern, "street");
        Assert.Empty(finding.Remedies);
        Assert.NotEmpty(finding.Advice);
    }

    [Fact]
    public void Means_it_will_not_work_once_something_must_be_reached() =>
        One(Home.WithGateway().Service(new CarrierNat(null, null)).Wired("a", "gw/lan1").Reach("a", 443), Severity.WillNotWork, "street");

    [Fact]
    public void Near_miss() => None(Home.WithGateway().Wired("a", "gw/lan1"));
}

public sealed class OverlappingSubnetsTests() : RuleTests("overlapping-subnets")
{
    private static Home Inner(string lan) => Home.WithGateway().Router("in", lan).Cable("gw/lan1", "in/wan").Wired("a", "in/lan1");

    [Theory]
    [InlineData("192.168.8.1/24")]
    [InlineData("192.168.8.2/24")]
    [InlineData("192.168.8.129/25")]
    [InlineData("192.168.9.1/16")]
    public void Triggers_for_equal_and_nested_prefixes(string lan) => One(Inner(lan), Severity.WillNotWork, "in");

    [Theory]
    [InlineData("192.168.8.1/24", true)]
    [InlineData("192.168.8.2/24", false)]
    public void Says_when_even_its_own_address_is_out_there(string lan, bool shared) =>
        Assert.Equal(shared, In(Inner(lan))[0].What.Contains("is in use on its WAN side too", StringComparison.Ordinal));

    [Fact]
    public void Near_miss() => None(Inner("192.168.9.1/24"));

    [Theory]
    [InlineData("Give in the subnet")]
    [InlineData("Set in to access-point mode")]
    public void Cures(string label) => Cured(Inner("192.168.8.1/24"), label);

    [Fact]
    public void Renumbering_takes_typed_hosts_along()
    {
        var after = Cured(
            Home.WithGateway().Router("in", "192.168.8.1/24", Home.Pool).Cable("gw/lan1", "in/wan").Wired("a", "in/lan1", "192.168.8.5/24"),
            "Give in"
        );
        var typed = (Fixed)after.SetUp.Devices[0].Address;
        Assert.Equal(("192.168.20.5/24", "192.168.20.1"), (typed.Address.ToString(), typed.Gateway.ToString()));
    }
}

public sealed class TwoDhcpServersTests() : RuleTests("two-dhcp-servers")
{
    private static Home InLan(bool server) =>
        Home.WithGateway()
            .Router("second", "192.168.8.2/24", "192.168.8.100-192.168.8.150", server)
            .Cable("gw/lan1", "second/lan1")
            .Wifi("phone", "second");

    [Fact]
    public void Triggers() => One(InLan(true), Severity.WillNotWork, "gw", "second");

    [Fact]
    public void Near_miss_with_the_second_off() => None(InLan(false));

    [Fact]
    public void The_one_that_leads_out_is_kept_first()
    {
        Assert.Equal("Only gw hands out addresses", In(InLan(true))[0].Remedies[0].Label);
        Cured(InLan(true), "Only gw");
    }
}

public sealed class NoDhcpServerTests() : RuleTests("no-dhcp-server")
{
    private static Home Off() =>
        Home.WithGateway().Wired("a", "gw/lan1").Edit<RouterMode>("gw", m => m with { Server = m.Server with { On = false } });

    [Fact]
    public void Triggers() => One(Off(), Severity.WillNotWork, "gw");

    [Fact]
    public void Cures() => Cured(Off(), "Switch the DHCP server of gw on");

    [Fact]
    public void Near_miss_where_everything_is_typed() =>
        None(
            Home.WithGateway()
                .Wired("a", "gw/lan1", "192.168.8.5/24")
                .Edit<RouterMode>("gw", m => m with { Server = m.Server with { On = false } })
        );

    [Fact]
    public void Advises_where_no_router_is() =>
        Assert.NotEmpty(One(Home.New().Switch("sw").Wired("a", "sw/lan1").Wired("b", "sw/lan2"), Severity.WillNotWork, "sw").Advice);
}

public sealed class WanPortEmptyTests() : RuleTests("wan-port-empty")
{
    [Fact]
    public void Triggers_and_plugs_the_line_in() => Cured(Home.New().Gateway().Wired("a", "gw/lan1"), "Plug the line into gw");

    [Fact]
    public void Near_miss() => None(Home.WithGateway().Wired("a", "gw/lan1"));
}

public sealed class WanNotSetTests() : RuleTests("wan-not-set")
{
    private static readonly PublicFixed Given = new(Home.Own("203.0.113.40/24"), Home.At("203.0.113.1"), null, null);

    [Fact]
    public void Triggers_where_a_fixed_service_is_not_typed_in() =>
        Cured(Home.WithGateway().Service(Given).Wired("a", "gw/lan1"), "Set gw to 203.0.113.40/24");

    [Fact]
    public void Triggers_where_a_leased_service_is_typed_over() =>
        Cured(
            Home.New().Gateway(wan: new Fixed(Given.Address, Given.Gateway, [])).Cable("street", "gw/wan").Wired("a", "gw/lan1"),
            "Let gw ask"
        );

    [Fact]
    public void Near_miss() =>
        None(
            Home.New()
                .Gateway(wan: new Fixed(Given.Address, Given.Gateway, []))
                .Service(Given)
                .Cable("street", "gw/wan")
                .Wired("a", "gw/lan1")
        );
}

public sealed class RoutingLoopTests() : RuleTests("routing-loop")
{
    [Fact]
    public void Triggers_with_both_sides_on_one_wire() =>
        Cured(Home.New().Gateway().Cable("gw/wan", "gw/lan1").Wired("a", "gw/lan2"), "Plug the line into gw instead");

    [Fact]
    public void Near_miss() => None(Home.WithGateway().Wired("a", "gw/lan2"));
}
