using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Findings;

public sealed class BoxServesNothingTests() : RuleTests("box-serves-nothing")
{
    private static Home Dark() =>
        Home.WithGateway()
            .Wired("a", "gw/lan1")
            .Point("point")
            .Cable("gw/lan2", "point/wan")
            .Edit<AccessPointMode>("point", m => m with { Wifi = [.. m.Wifi.Select(r => r with { On = false })] });

    [Fact]
    public void A_dark_access_point_is_switched_on()
    {
        Assert.Equal("point serves nothing", One(Dark(), Severity.Concern, "point").Idle);
        Cured(Dark(), "Switch the Wi-Fi of point on");
        None(Dark().Wired("b", "point/lan1"));
    }

    [Fact]
    public void What_is_connected_to_nothing_is_not_in_use()
    {
        var home = Home.WithGateway().Wired("a", "gw/lan1").Switch("sw");
        One(home, Severity.Concern, "sw");
        Cured(home, "sw is not in use");
        None(home.Cable("gw/lan2", "sw/lan1"));
        One(Home.WithGateway().Point("point"), Severity.Concern, "point");
    }

    /// <summary>A further router with its Wi-Fi off and nothing behind it serves nothing; the one at the line always does.</summary>
    [Fact]
    public void A_dark_router_behind_a_router_is_found()
    {
        static RouterMode Off(RouterMode mode) => mode with { Wifi = [.. mode.Wifi.Select(r => r with { On = false })] };
        static Home Inner() => Home.WithGateway().Wired("a", "gw/lan1").Router("in", "192.168.9.1/24").Cable("gw/lan2", "in/wan");
        static Home Dark() => Inner().Edit<RouterMode>("in", Off);
        None(Inner().Wifi("phone", "in"));
        Assert.Equal("in serves nothing", One(Dark(), Severity.Concern, "in").Idle);
        Cured(Dark(), "in is not in use");
        None(Dark().Wired("tv", "in/lan1"));
        None(Home.WithGateway().Edit<RouterMode>("gw", Off));
    }

    /// <summary>A repeater that joins nothing has a finding of its own, and a router without a cable too.</summary>
    [Fact]
    public void Boxes_with_a_finding_of_their_own_have_no_second_one()
    {
        None(Home.WithGateway().Repeater("rep", "gw", link: l => l with { Name = "elsewhere" }));
        None(Home.WithGateway().Router("in"));
    }
}
