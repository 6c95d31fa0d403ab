using Altrin.Core.Addressing;
using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Findings;

public sealed class GuestsInCascadeTests() : RuleTests("guests-in-cascade")
{
    [Fact]
    public void Triggers_with_the_family_outside()
    {
        var home = Home.WithGateway().Wired("family", "gw/lan2").Router("in").Cable("gw/lan1", "in/wan").Wired("a", "in/lan1").Guests("in");
        One(home, Severity.Concern, "in");
        Cured(home, "Send no guest name at in");
        Cured(home, "Let gw send \"guests\" for guests instead");
        // Guests who are there move along, also to a guest network that the outermost router has already.
        Assert.Equal(new WifiJoin("gw", "guests", "guest-key"), Joined(home.Wifi("phone", "in", "guests", "guest-key"), "Let gw send"));
        Assert.Equal(
            new WifiJoin("gw", "visitors", "other"),
            Joined(
                home.Guests("gw", "192.168.40.1/24", "192.168.40.20-192.168.40.99", "other")
                    .Edit<RouterMode>("gw", m => m with { Guest = m.Guest! with { Name = "visitors" } }),
                "Let guests join \"visitors\" of gw"
            )
        );
    }

    private WifiJoin? Joined(Home home, string label) => Cured(home, label).SetUp.Devices.Single(d => d.Device == "phone").Wifi;

    [Fact]
    public void Near_miss_guests_of_the_outermost_router() => None(Home.WithGateway().Guests("gw").Wired("a", "gw/lan1"));

    [Fact]
    public void Near_miss_no_one_outside() => None(Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Guests("in"));
}

public sealed class ManagementPageHiddenTests() : RuleTests("management-page-hidden")
{
    private static Home Behind(string lan) =>
        Home.New().Gateway(bridge: true).Cable("street", "gw/wan").Router("main", lan).Cable("gw/lan1", "main/wan").Wired("a", "main/lan1");

    [Fact]
    public void Triggers()
    {
        One(Behind("192.168.100.9/24"), Severity.Concern, "gw", "main");
        Cured(Behind("192.168.100.9/24"), "Give main the subnet");
    }

    [Fact]
    public void Near_miss() => None(Behind("192.168.101.1/24"));
}

public sealed class DhcpServerWakesTests() : RuleTests("dhcp-server-wakes")
{
    private static Home Beside(bool wakes)
    {
        var home = Home.WithGateway().Point("point").Cable("gw/lan1", "point/wan").Wired("a", "point/lan1");
        return wakes ? home.Wakes("point") : home;
    }

    [Fact]
    public void Triggers() => Assert.NotEmpty(One(Beside(true), Severity.Concern, "point").Advice);

    [Fact]
    public void Near_miss() => None(Beside(false));
}

public sealed class PortForwardIdleTests() : RuleTests("port-forward-idle")
{
    private static Home ByHand(bool forward)
    {
        var home = Home.WithGateway()
            .Router("in", "192.168.8.2/24", server: false)
            .Cable("gw/lan1", "in/lan1")
            .Wired("a", "in/lan2", "192.168.8.9/24");
        return forward ? home.Forward("in", 8443, "192.168.8.9") : home;
    }

    [Fact]
    public void Triggers()
    {
        One(ByHand(true), Severity.Concern, "in");
        Assert.Empty(((RouterMode)Cured(ByHand(true), "Remove the port forwards of in").Mode("in")!).Forwards);
    }

    [Fact]
    public void Near_miss() => None(ByHand(false));
}

public sealed class DmzExposedTests() : RuleTests("dmz-exposed")
{
    private static Home To(string address) =>
        Home.WithGateway()
            .Wired("a", "gw/lan1", "192.168.8.9/24")
            .Router("in", wan: new Fixed(Home.Own("192.168.8.3/24"), Home.At("192.168.8.1"), []))
            .Cable("gw/lan2", "in/wan")
            .Edit<RouterMode>("gw", m => m with { Dmz = Home.At(address) });

    [Fact]
    public void Triggers_for_a_device()
    {
        One(To("192.168.8.9"), Severity.Concern, "a", "gw");
        Cured(To("192.168.8.9"), "Switch the DMZ host of gw off");
    }

    /// <summary>An address that nothing has, in the pool or outside it.</summary>
    [Theory]
    [InlineData("192.168.8.5")]
    [InlineData("192.168.8.77")]
    public void Triggers_for_an_address_that_no_router_has(string address)
    {
        One(To(address), Severity.Concern, "gw");
        Cured(To(address), "Switch the DMZ host of gw off");
    }

    [Fact]
    public void Near_miss_a_router() => None(To("192.168.8.3"));

    /// <summary>A router that leases may have got it.</summary>
    [Fact]
    public void Near_miss_a_router_that_leases() =>
        None(
            Home.WithGateway().Router("in").Cable("gw/lan2", "in/wan").Edit<RouterMode>("gw", m => m with { Dmz = Home.At("192.168.8.77") })
        );
}

public sealed class UpnpOnTests() : RuleTests("upnp-on")
{
    private static Home On() => Home.WithGateway().Wired("a", "gw/lan1").Edit<RouterMode>("gw", m => m with { PortRequests = true });

    [Fact]
    public void Triggers()
    {
        One(On(), Severity.Concern, "gw");
        Cured(On(), "Let gw open no port on request");
    }

    [Fact]
    public void Near_miss_something_needs_it() => None(On().Reach("a", 8443).AsksItself());
}

public sealed class ReservationTests() : RuleTests("reservation-clash")
{
    private static Home Kept(string first, string second) =>
        Home.WithGateway().Wired("a", "gw/lan1").Wired("b", "gw/lan2").Reserve("gw", "a", first).Reserve("gw", "b", second);

    [Theory]
    [InlineData("192.168.8.5", "192.168.8.5", 2)]
    [InlineData("192.168.8.5", "192.168.9.5", 1)]
    [InlineData("192.168.8.5", "192.168.8.1", 1)]
    [InlineData("192.168.8.5", "192.168.8.255", 1)]
    [InlineData("192.168.8.5", "192.168.8.6", 0)]
    public void Addresses_that_cannot_be_kept(string first, string second, int findings)
    {
        Assert.Equal(findings, In(Kept(first, second)).Count);
        Assert.All(In(Kept(first, second)), f => Assert.NotEmpty(f.Remedies));
    }
}

public sealed class ReservationIdleTests() : RuleTests("reservation-idle")
{
    private static Home For(Func<Box, MacAddress> side)
    {
        var home = Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Wired("a", "in/lan1");
        var mac = side(home.Design.Box("in")!);
        return home.Edit<RouterMode>("gw", m => m with { Server = m.Server with { Reservations = [new(mac, Home.At("192.168.8.5"))] } });
    }

    [Fact]
    public void Triggers_for_the_inner_side_of_a_router_that_asks_with_its_outer_one()
    {
        Assert.Single(In(For(b => b.Mac!.Value)));
        Cured(For(b => b.Mac!.Value), "Keep 192.168.8.5 for");
    }

    [Fact]
    public void Triggers_for_a_private_address() => Assert.NotEmpty(Assert.Single(In(For(_ => new(0x0200_0000_0001)))).Advice);

    [Fact]
    public void Near_miss() => None(For(b => b.WanMac!.Value));
}
