using Altrin.Core.Addressing;
using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Findings;

public sealed class DnsServerWrongTests() : RuleTests("dns-server-wrong")
{
    private static Home Names(string server) =>
        Home.WithGateway()
            .Wired("a", "gw/lan1")
            .Edit<RouterMode>("gw", m => m with { Server = m.Server with { DnsServers = [Home.At(server)] } });

    [Fact]
    public void Triggers_where_no_one_answers_at_the_name_server()
    {
        One(Names("192.168.8.250"), Severity.WillNotWork, "gw");
        Cured(Names("192.168.8.250"), "Let gw hand out itself as DNS server");
    }

    [Fact]
    public void Triggers_where_the_server_leaves_it_out() =>
        Cured(
            Home.WithGateway().Wired("a", "gw/lan1").Edit<RouterMode>("gw", m => m with { Server = m.Server with { LeavesOutDns = true } }),
            "Let gw hand out itself as DNS server"
        );

    [Theory]
    [InlineData("192.168.8.1")]
    [InlineData("198.51.100.53")]
    public void Near_miss_one_that_answers(string server) => None(Names(server));
}

public sealed class NoReturnRouteTests() : RuleTests("no-return-route")
{
    private static Home Routed(params StaticRoute[] told) =>
        Home.WithGateway()
            .Router("in")
            .Cable("gw/lan1", "in/wan")
            .Wired("a", "in/lan1")
            .Edit<RouterMode>("in", m => m with { Nat = false })
            .Edit<RouterMode>("gw", m => m with { Routes = told });

    [Theory]
    [InlineData("Switch NAT of in on")]
    [InlineData("Add a route to 192.168.20.0/24 on gw")]
    public void Triggers_and_is_cured_on_either_router(string label)
    {
        One(Routed(), Severity.WillNotWork, "in");
        Cured(Routed(), label);
    }

    [Fact]
    public void Near_miss_the_way_back_is_told() =>
        None(
            Home.WithGateway()
                .Router("in", wan: new Fixed(Home.Own("192.168.8.3/24"), Home.At("192.168.8.1"), [Home.At("192.168.8.1")]))
                .Cable("gw/lan1", "in/wan")
                .Wired("a", "in/lan1")
                .Edit<RouterMode>("in", m => m with { Nat = false })
                .Edit<RouterMode>("gw", m => m with { Routes = [new(Home.Own("192.168.20.1/24").Subnet, Home.At("192.168.8.3"))] })
        );
}

public sealed class NoNatTests() : RuleTests("no-nat")
{
    private static Home Open(bool translates) =>
        Home.WithGateway().Wired("a", "gw/lan1").Edit<RouterMode>("gw", m => m with { Nat = translates });

    [Fact]
    public void Triggers()
    {
        One(Open(false), Severity.WillNotWork, "gw");
        Cured(Open(false), "Switch NAT of gw on");
    }

    // A route typed in past the default gateway is no way round it.
    [Fact]
    public void Triggers_where_a_route_leads_to_the_provider() =>
        One(
            Open(false).Edit<RouterMode>("gw", m => m with { Routes = [new(Home.Own("198.51.100.1/24").Subnet, Home.At("203.0.113.1"))] }),
            Severity.WillNotWork,
            "gw"
        );

    [Fact]
    public void Near_miss() => None(Open(true));
}

public sealed class NoRouteTests() : RuleTests("no-route")
{
    /// <summary>Half of all addresses are routed to where nothing is: the internet is gone, and the route is what is wrong.</summary>
    [Fact]
    public void Triggers_for_a_route_that_leads_to_no_host()
    {
        var home = Home.WithGateway()
            .Wired("a", "gw/lan1")
            .Edit<RouterMode>("gw", m => m with { Routes = [new(Subnet.Parse("128.0.0.0/1").Value, Home.At("192.168.8.64"))] });
        Assert.Equal("A route of gw leads to 192.168.8.64, where no host answers", One(home, Severity.WillNotWork, "gw").What);
        Cured(home, "Remove the route to 128.0.0.0/1 on gw");
    }

    private static Home Aimed(string to) =>
        Home.WithGateway().Wired("a", "gw/lan1").Reserve("gw", "a", "192.168.8.5").Forward("gw", 8443, to).Reach("a", 8443);

    [Fact]
    public void Triggers_for_a_forward_to_an_address_of_no_side_of_the_router() =>
        Assert.NotEmpty(One(Aimed("10.9.9.9"), Severity.WillNotWork, "gw").Advice);

    [Fact]
    public void Near_miss() => None(Aimed("192.168.8.5"));
}

public sealed class SubnetMaskWrongTests() : RuleTests("subnet-mask-wrong")
{
    private static Home Masked(string own) => Home.WithGateway().Wired("a", "gw/lan1", own, "192.168.8.1").Wired("b", "gw/lan2");

    // A narrow mask that leaves the gateway out breaks the internet; one that keeps it in is only waiting for trouble.
    [Theory]
    [InlineData("192.168.8.6/16")]
    [InlineData("192.168.8.6/29")]
    public void Triggers(string own)
    {
        One(Masked(own), Severity.Concern, "a");
        Cured(Masked(own), "Set a to 192.168.8.6/24");
    }

    [Fact]
    public void Means_it_will_not_work_where_the_gateway_is_taken_for_everybody() =>
        One(
            Home.New().Gateway(lan: "192.168.8.7/24").Cable("street", "gw/wan").Wired("a", "gw/lan1", "192.168.8.4/29", "192.168.8.7"),
            Severity.WillNotWork,
            "a"
        );

    [Fact]
    public void Near_miss() => None(Masked("192.168.8.6/24"));
}

public sealed class GuestsNotIsolatedTests() : RuleTests("guests-not-isolated")
{
    private static Home Guests(Known apart) =>
        Name(Home.WithGateway().Point("point").Cable("gw/lan1", "point/wan").Wifi("g", "point", "visitors", "guest-key"), apart);

    private static Home Name(Home home, Known apart) =>
        home.Habits("point", new() { GuestsApart = apart })
            .Edit<AccessPointMode>("point", m => m with { Guest = new("visitors", WifiSecurity.Wpa2, "guest-key") });

    [Theory]
    [InlineData(Known.No)]
    [InlineData(Known.Unknown)]
    public void Triggers(Known apart)
    {
        var visited = One(Guests(apart), Severity.Concern, "point");
        // Taking the name away would leave the visitor without any network: that is no cure.
        Assert.Equal("Let gw send \"visitors\" for guests instead", Assert.Single(visited.Remedies).Label);
        Assert.NotEmpty(visited.Advice);
        var moved = Cured(Guests(apart), "Let gw send");
        Assert.Equal(new WifiJoin("gw", "visitors", "guest-key"), moved.SetUp.Devices.Single(d => d.Device == "g").Wifi);
        Assert.Equal("192.168.20.1/24", ((RouterMode)moved.Mode("gw")!).Guest!.Lan.ToString());
        Cured(Name(Home.WithGateway().Point("point").Cable("gw/lan1", "point/wan"), apart), "Send no guest name at point");
    }

    [Fact]
    public void Near_miss() => None(Guests(Known.Yes));
}

public sealed class NoHairpinTests() : RuleTests("no-hairpin")
{
    private static Home Let(Known loops) =>
        Home.WithGateway()
            .Wired("a", "gw/lan1")
            .Reserve("gw", "a", "192.168.8.5")
            .Forward("gw", 8443, "192.168.8.5")
            .Reach("a", 8443)
            .Habits("gw", new() { LoopsBack = loops });

    [Fact]
    public void Triggers() => Assert.NotEmpty(One(Let(Known.No), Severity.Concern, "gw").Advice);

    [Theory]
    [InlineData(Known.Yes)]
    [InlineData(Known.Unknown)]
    public void Near_miss(Known loops) => None(Let(loops));
}
