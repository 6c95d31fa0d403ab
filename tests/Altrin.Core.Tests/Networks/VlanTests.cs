using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Networks;

/// <summary>Guests carried by a VLAN tag (IEEE 802.1Q) from an access point over switches to the router, or not.</summary>
public sealed class VlanTests
{
    private static Home House(PortVlans[]? ports = null, int? router = 20, int? point = 20) =>
        Home.WithGateway()
            .Guests("gw")
            .Edit<RouterMode>("gw", m => m with { Guest = m.Guest! with { Vlan = router } })
            .Switch("s")
            .Edit<SwitchMode>("s", m => ports is null ? m : new SwitchMode(new Automatic()) { Vlans = ports })
            .Cable("gw/lan1", "s/lan1")
            .Point("point")
            .Cable("s/lan2", "point/wan")
            .Edit<AccessPointMode>("point", m => m with { Guest = new("visitors", WifiSecurity.Wpa2, "guest-key") { Vlan = point } })
            .Wifi("visitor", "point", "visitors", "guest-key")
            .Wifi("phone", "point");

    private static Observation See(Home home) => Observer.Observe(Compiler.Compile(home.Design, Situation.Settled));

    private static PortVlans[] Ports(params (string Port, int[] Tagged)[] ports) =>
        [.. ports.Select(p => new PortVlans(p.Port, 1, p.Tagged))];

    public static TheoryData<string, Home, bool> Cases =>
        new()
        {
            { "a plain switch passes tags on", House(), true },
            { "a managed switch that lists the tag on both ports", House(Ports(("lan1", [20]), ("lan2", [20]))), true },
            { "a managed switch that lists it on one port only", House(Ports(("lan1", [20]), ("lan2", [30]))), false },
            { "a managed switch that knows another VLAN", House(Ports(("lan3", [30]))), false },
            { "a router that does not know the tag", House(router: null), false },
            { "another tag at the access point", House(point: 30), false },
        };

    [Theory]
    [MemberData(nameof(Cases))]
    public void A_guest_name_is_carried_where_everybody_on_the_way_knows_its_tag(string what, Home home, bool carried)
    {
        var seen = See(home);
        Assert.True(
            seen.Network.Find("visitor", Side.Device)!.Segment
                == (carried ? "gw:guest" : "point:vlan" + ((AccessPointMode)home.Design.Mode("point")!).Guest!.Vlan),
            what
        );
        Assert.Equal(carried ? AnswerKind.Yes : AnswerKind.No, seen.Sheet.Internet.Single(i => i.Device == "visitor").Answer.Kind);
        // The home's own network goes on untagged, whatever becomes of the guests.
        Assert.Equal(AnswerKind.Yes, seen.Sheet.Internet.Single(i => i.Device == "phone").Answer.Kind);
        Assert.Equal(AnswerKind.No, seen.Reach("visitor", "phone")!.Answer.Kind);
        Assert.Equal(!carried, Judging.Prove(home.Design).Findings.Any(f => f.Code == "guest-not-carried"));
        Assert.DoesNotContain(Judging.Prove(home.Design).Findings, f => f.Code == "guests-not-isolated");
    }

    [Fact]
    public void A_guest_hangs_at_the_access_point_that_lets_it_in() =>
        Assert.Equal(
            ("wifi:visitor", "point"),
            See(House()).Sheet.Uplinks.Where(u => u.Owner == "visitor").Select(u => (u.Link, u.To)).Single()
        );

    [Theory]
    [InlineData("Let s pass the tag 20 on")]
    [InlineData("Let gw send its guests with the tag 20")]
    public void What_does_not_carry_guests_can_learn_it(string cure)
    {
        var home = cure.StartsWith("Let s", StringComparison.Ordinal) ? House(Ports(("lan1", [20]), ("lan2", [30]))) : House(router: null);
        var finding = Judging.Prove(home.Design).Findings.Single(f => f.Code == "guest-not-carried");
        Assert.Equal(Severity.WillNotWork, finding.Severity);
        var remedy = Assert.Single(finding.Remedies, r => r.Label == cure);
        Assert.Equal(
            "gw:guest",
            Compiler.Compile(ChangeList.Apply(home.Design, remedy.Changes).Value, Situation.Settled).Find("visitor", Side.Device)!.Segment
        );
    }

    [Fact]
    public void Guests_move_between_the_router_and_an_access_point_that_leads_to_the_same_guests()
    {
        static int Groups(Home home) => Roaming.Names(See(home).Network).Single(n => n.Name == "guests").Groups.Count;
        Home Named(int? router) =>
            House(router: router).Edit<AccessPointMode>("point", m => m with { Guest = m.Guest! with { Name = "guests" } });
        Assert.Equal((1, 2), (Groups(Named(20)), Groups(Named(null))));
    }

    // An untagged port of a VLAN puts a wired device among the guests.
    [Fact]
    public void An_untagged_port_belongs_to_its_VLAN()
    {
        var home = House([new("lan1", 1, [20]), new("lan3", 20, [])]).Wired("kiosk", "s/lan3");
        Assert.Equal("gw:guest", See(home).Network.Find("kiosk", Side.Device)!.Segment);
    }

    public static TheoryData<Change, string> Refused =>
        new()
        {
            { new SetPortVlans("s", "lan1", 1, [20]), "only a managed switch" },
            {
                new SetPointGuest("point", Home.All(new GuestName("visitors", WifiSecurity.Wpa2, "key") { Vlan = 1 })),
                "VLAN 1 is the home's own"
            },
            {
                new SetPointGuest("point", Home.All(new GuestName("visitors", WifiSecurity.Wpa2, "key") { Vlan = 5000 })),
                "tags are 1 to 4094"
            },
        };

    [Theory]
    [MemberData(nameof(Refused))]
    public void What_no_page_takes_is_refused(Change change, string reason) =>
        Assert.Contains(reason, change.ApplyTo(House().Design).Error, StringComparison.Ordinal);
}
