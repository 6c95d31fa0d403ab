using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Facts;

public sealed class LinkTests
{
    private static FactSheet See(Home home) => Observer.Observe(Compiler.Compile(home.Design, Situation.Settled)).Sheet;

    private static Home Chain() =>
        Home.WithGateway()
            .Switch("sw", 5)
            .Router("in", lan: "192.168.20.1/24")
            .Point("ap")
            .Cable("gw/lan1", "sw/lan1")
            .Cable("sw/lan2", "in/wan")
            .Cable("in/lan1", "ap/wan")
            .Wifi("phone", "ap")
            .Wired("tv", "sw/lan3");

    [Fact]
    public void Everything_hangs_at_the_one_nearer_to_the_street() =>
        Assert.Equal(["gw>street", "sw>gw", "in>sw", "tv>sw", "ap>in", "phone>ap"], See(Chain()).Uplinks.Select(u => $"{u.Owner}>{u.To}"));

    [Fact]
    public void A_way_out_is_followed_link_by_link_across_routers() =>
        Assert.Equal(
            ["wifi:phone", "ap-wan-in-lan1", "in-wan-sw-lan2", "gw-lan1-sw-lan1", "gw-wan-street"],
            See(Chain()).Internet.Single(i => i.Device == "phone").Links.Select(Ends)
        );

    private static string Ends(string id) =>
        id.StartsWith("wifi:", StringComparison.Ordinal)
            ? id
            : string.Join(
                '-',
                See(Chain())
                    .Links.Where(l => l.Id == id)
                    .SelectMany(l => new[] { l.A, l.B })
                    .Order()
                    .Select(e => e.ToString().Replace('/', '-'))
            );

    // IEEE 802.3 clauses 40, 126, 55 (from memory); powerline: common practice.
    [Theory]
    [InlineData(Medium.Cat5, 2500, 1000)]
    [InlineData(Medium.Cat5e, 10000, 2500)]
    [InlineData(Medium.Cat5e, 100, 100)]
    [InlineData(Medium.Cat6a, 1000, 1000)]
    [InlineData(Medium.Powerline, 100, 95)]
    [InlineData(Medium.Powerline, 1000, 150)]
    [InlineData(Medium.Unknown, 1000, 1000)]
    [InlineData(Medium.Fibre, null, null)]
    [InlineData(Medium.Cat6, null, 5000)]
    public void A_link_carries_what_its_ports_and_its_medium_do(Medium medium, int? port, int? expected)
    {
        var design = Chain().Design;
        Box Slow(Box box) =>
            box with
            {
                Profile = box.Profile with { Ports = [.. box.Profile.Ports.Select(p => p with { SpeedMbps = port })] },
            };
        design = new(
            design.Site with
            {
                Boxes = [.. design.Site.Boxes.Select(Slow)],
            },
            design.SetUp with
            {
                Cables = [.. design.SetUp.Cables.Select(c => c with { Known = c.Known with { Medium = medium } })],
            }
        );
        var link = Observer
            .Observe(Compiler.Compile(design, Situation.Settled))
            .Sheet.Links.Single(l => l.A.Owner == "gw" && l.B.Owner == "sw");
        Assert.Equal(expected, link.AtMostMbps);
    }

    [Fact]
    public void The_slowest_link_of_a_way_is_named()
    {
        var design = Chain().Design;
        design = design with
        {
            SetUp = design.SetUp with
            {
                Cables =
                [
                    .. design.SetUp.Cables.Select(c =>
                        c with
                        {
                            Known = c.Known with { Medium = c.B.Owner == "in" ? Medium.Powerline : Medium.Cat6 },
                        }
                    ),
                ],
            },
        };
        var sheet = Observer.Observe(Compiler.Compile(design, Situation.Settled)).Sheet;
        var slowest = sheet.Internet.Single(i => i.Device == "phone").Slowest;
        Assert.Equal(150, sheet.Links.Single(l => l.Id == slowest).AtMostMbps);
    }

    /// <summary>
    /// A radio link that brings less than the cables counts as the slowest; mains wiring by what is usual there, not by its most.
    /// </summary>
    [Theory]
    [InlineData(Medium.Cat6, "radio:rep")]
    [InlineData(Medium.Powerline, "gw-lan1-ap-lan1")]
    public void The_slowest_link_may_be_a_radio(Medium medium, string slowest)
    {
        var home = Home.WithGateway()
            .Point("ap")
            .Cable("gw/lan1", "ap/lan1")
            .Medium("gw-lan1-ap-lan1", medium)
            .Repeater("rep", "ap", UplinkFrames.FourAddress)
            .FourAddresses("ap")
            .FourAddresses("rep")
            .Place("room", p => p with { LengthMetres = 4, WidthMetres = 4 })
            .Stands("ap", "room")
            .Stands("rep", "room")
            .Wired("pc", "rep/lan1", "192.168.8.5/24");
        foreach (var box in new[] { "ap", "rep" })
        {
            home.Profile(box, p =>
                p with
                {
                    Radios = [.. p.Radios.Select(r => r with { Generation = WifiGeneration.N, Streams = 1, WidestMhz = 40 })],
                }
            );
        }
        var sheet = Observer.Observe(Compiler.Compile(home.Design, Situation.Settled)).Sheet;
        Assert.Equal(slowest, Assert.Single(sheet.Internet).Slowest);
        Assert.Equal(medium == Medium.Powerline ? 60 : null, sheet.Links.Single(l => l.Id == "gw-lan1-ap-lan1").Arrives?.Usual);
    }

    // What a way passes is what it is said to pass: its links join up, from the device to the street when it gets there.
    [Fact]
    public void Ways_hang_together_and_everything_linked_is_placed_once()
    {
        for (var seed = 1; seed <= 300; seed++)
        {
            var network = Compiler.Compile(DesignGenerator.Make(seed, 12), Situation.Settled);
            var sheet = Observer.Observe(network).Sheet;
            foreach (var way in sheet.Internet.Where(i => i.Answer.IsYes))
            {
                var at = way.Device;
                foreach (var link in way.Links.Select(id => sheet.Links.Single(l => l.Id == id)))
                {
                    Assert.True(link.A.Owner == at || link.B.Owner == at, $"seed {seed}: {way.Device} jumps at {at}");
                    at = link.A.Owner == at ? link.B.Owner : link.A.Owner;
                }
                Assert.True(at == PortRef.Street, $"seed {seed}: {way.Device} ends at {at}");
            }
            Assert.Equal(sheet.Uplinks.Count, sheet.Uplinks.Select(u => u.Owner).Distinct().Count());
            foreach (
                var linked in network
                    .Links.SelectMany(l => new[] { l.From.Owner, l.To.Owner })
                    .Where(o => network.Design.Device(o) is not null)
            )
            {
                Assert.True(sheet.Uplinks.Any(u => u.Owner == linked), $"seed {seed}: {linked} hangs nowhere");
            }
        }
    }

    [Fact]
    public void A_ruler_knows_who_has_what_and_what_is_free()
    {
        var ruler = See(
            Home.WithGateway()
                .Point("ap", "192.168.8.24/24")
                .Cable("gw/lan1", "ap/wan")
                .Wired("nas", "gw/lan2")
                .Wired("tv", "gw/lan3")
                .Reserve("gw", "nas", "192.168.8.5")
        )
            .Rulers.Single();
        Assert.Equal(
            [
                "192.168.8.1 Router gw False",
                "192.168.8.5 Reserved nas False",
                "192.168.8.20 Example tv False",
                "192.168.8.24 Fixed ap True",
            ],
            ruler.Marks.Select(m => $"{m.Address} {m.Kind} {m.Owner} {m.Clash}")
        );
        Assert.Equal(
            ["192.168.8.2-192.168.8.4", "192.168.8.6-192.168.8.19", "192.168.8.200-192.168.8.254"],
            ruler.Free.Select(f => f.ToString())
        );
        Assert.Equal(("gw", true, 1), (ruler.Pools[0].Router, ruler.Pools[0].On, ruler.Pools[0].Leased));
    }

    [Fact]
    public void Two_subnets_on_one_wire_have_two_rulers() =>
        Assert.Equal(
            ["192.168.8.0/24", "192.168.20.0/24"],
            See(Home.WithGateway().Router("in", lan: "192.168.20.1/24").Cable("gw/lan1", "in/lan1")).Rulers.Select(r => r.Subnet.ToString())
        );

    // Free stretches hold no one and lie outside every pool in use, whatever the home.
    [Fact]
    public void Free_stretches_are_free()
    {
        for (var seed = 1; seed <= 200; seed++)
        {
            foreach (var ruler in Observer.Observe(Compiler.Compile(DesignGenerator.Make(seed, 10), Situation.Settled)).Sheet.Rulers)
            {
                Assert.All(ruler.Free, free =>
                {
                    Assert.True(ruler.Hosts.Contains(free));
                    Assert.DoesNotContain(ruler.Pools, p => p.On && p.Range.Overlaps(free));
                    Assert.DoesNotContain(ruler.Marks, m => m.Kind != RulerMarkKind.Example && free.Contains(m.Address));
                });
            }
        }
    }
}
