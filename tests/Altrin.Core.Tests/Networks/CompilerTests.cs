using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Networks;

public sealed class CompilerTests
{
    private static Network Compile(Home home, params string[] off) =>
        Compiler.Compile(home.Design, Situation.Without(home.Design, off).Value);

    /// <summary>The members of the segment that a device is in, devices only.</summary>
    private static string[] Beside(Network network, string device) =>
        [.. network.Segment(network.Find(device, Side.Device)!.Segment).Interfaces.Where(i => i.Side == Side.Device).Select(i => i.Owner)];

    // What a mode really does (common practice): which sockets are one wire.
    public static TheoryData<string, Home, string[]> Wires =>
        new()
        {
            {
                "a switch joins all its ports",
                Home.WithGateway().Switch("s").Cable("gw/lan1", "s/lan1").Wired("a", "s/lan2").Wired("b", "gw/lan2"),
                ["a", "b"]
            },
            {
                "a router keeps its sides apart",
                Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Wired("a", "in/lan1").Wired("b", "gw/lan2"),
                ["a"]
            },
            {
                "a router by its LAN port is a switch",
                Home.WithGateway().Router("in").Cable("gw/lan1", "in/lan1").Wired("a", "in/lan2").Wired("b", "gw/lan2"),
                ["a", "b"]
            },
            {
                "an access point joins its WAN port",
                Home.WithGateway().Point("p").Cable("gw/lan1", "p/wan").Wired("a", "p/lan1").Wired("b", "gw/lan2"),
                ["a", "b"]
            },
            {
                "unless its profile says otherwise",
                Home.WithGateway().Point("p", joins: false).Cable("gw/lan1", "p/wan").Wired("a", "p/lan1").Wired("b", "gw/lan2"),
                ["a"]
            },
            {
                "a LAN port joins in any case",
                Home.WithGateway().Point("p", joins: false).Cable("gw/lan1", "p/lan2").Wired("a", "p/lan1").Wired("b", "gw/lan2"),
                ["a", "b"]
            },
            { "Wi-Fi and cable of one box are one wire", Home.WithGateway().Wifi("a", "gw").Wired("b", "gw/lan2"), ["a", "b"] },
            {
                "a bridged gateway joins the street",
                Home.New().Gateway(bridge: true).Cable("street", "gw/wan").Wired("a", "gw/lan1").Wired("b", "gw/lan2"),
                ["a", "b"]
            },
            { "a wrong Wi-Fi name joins nothing", Home.WithGateway().Wifi("a", "gw", "elsewhere").Wired("b", "gw/lan2"), ["a"] },
        };

    [Theory]
    [MemberData(nameof(Wires))]
    public void What_is_one_wire_follows_from_the_mode(string rule, Home home, string[] together)
    {
        Assert.True(together.SequenceEqual(Beside(Compile(home), "a")), rule);
    }

    [Fact]
    public void A_bridged_gateway_puts_its_devices_at_the_street() =>
        Assert.Contains(
            Compile(Home.New().Gateway(bridge: true).Cable("street", "gw/wan").Wired("a", "gw/lan1")).Segment("street").Interfaces,
            i => i.Owner == "a"
        );

    [Theory]
    [InlineData("home", "key", null)]
    [InlineData("elsewhere", "key", RefusalReason.NameNotSent)]
    [InlineData("home", "other", RefusalReason.PasswordDiffers)]
    [InlineData("home", null, RefusalReason.PasswordNotKnown)]
    public void Wi_Fi_is_joined_by_name_and_key(string name, string? key, RefusalReason? why) =>
        Assert.Equal(
            why,
            Compile(Home.WithGateway().Wifi("a", "gw", name, key)).Refusals.Select(r => (RefusalReason?)r.Why).SingleOrDefault()
        );

    [Fact]
    public void An_open_network_needs_no_key() =>
        Assert.Empty(
            Compile(
                Home.WithGateway()
                    .Edit<RouterMode>("gw", m => m with { Wifi = Home.Radios("home", null, WifiSecurity.Open) })
                    .Wifi("a", "gw", "home", null)
            ).Refusals
        );

    [Fact]
    public void A_radio_that_is_off_sends_no_name() =>
        Assert.Equal(
            RefusalReason.NameNotSent,
            Compile(Home.WithGateway().Edit<RouterMode>("gw", m => m with { Wifi = [m.Wifi[0] with { On = false }] }).Wifi("a", "gw"))
                .Refusals.Single()
                .Why
        );

    [Fact]
    public void A_cable_is_preferred_to_Wi_Fi()
    {
        var design = Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Wired("a", "gw/lan2").Design;
        var both = design with
        {
            SetUp = design.SetUp with { Devices = [design.SetUp.Devices[0] with { Wifi = new("in", "home", "key") }] },
        };
        Assert.Equal("gw", Compiler.Compile(both, Situation.Settled).Find("a", Side.Device)!.Segment);
    }

    [Fact]
    public void A_box_without_power_is_not_there()
    {
        var network = Compile(Home.WithGateway().Switch("s").Cable("gw/lan1", "s/lan1").Wired("a", "s/lan2"), "s");
        Assert.DoesNotContain(network.Segments, x => x.Boxes.Contains("s"));
        Assert.False(network.Find("a", Side.Device)!.Linked);
    }

    [Fact]
    public void Segments_are_named_after_what_stays()
    {
        var ids = Compile(
            Home.WithGateway()
                .Switch("a-switch")
                .Cable("gw/lan1", "a-switch/lan1")
                .Router("in")
                .Cable("a-switch/lan2", "in/wan")
                .Router("lone")
                .Wired("a", "in/lan1")
        )
            .Segments.Select(s => s.Id);
        Assert.Equal(["gw", "in", "lone", "lone:wan", "street"], ids);
    }

    [Theory]
    [InlineData(1, "gw-lan1-s1-lan1", "gw-lan2-s1-lan2")]
    [InlineData(2, "gw-lan1-s1-lan1", "gw-lan2-s1-lan2", "gw-lan3-s1-lan3")]
    public void Each_cable_too_many_closes_a_ring(int rings, params string[] cables)
    {
        var home = Home.WithGateway().Switch("s1");
        foreach (var port in Enumerable.Range(1, cables.Length))
        {
            home.Cable($"gw/lan{port}", $"s1/lan{port}");
        }
        var loops = Compile(home).Segment("gw").Loops;
        Assert.Equal(rings, loops.Count);
        Assert.All(loops, l => Assert.Equal(2, l.Cables.Count));
    }
}
