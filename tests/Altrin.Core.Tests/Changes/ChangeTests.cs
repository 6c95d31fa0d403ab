using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Changes;

public sealed class ChangeTests
{
    private static readonly Home Start = Home.WithGateway()
        .Router("in")
        .Switch("sw")
        .Cable("gw/lan1", "in/wan")
        .Wired("a", "gw/lan2")
        .Reserve("gw", "a", "192.168.8.50");

    private static Design Applied(params Change[] changes) => ChangeList.Apply(Start.Design, changes).Value;

    private static string Refused(params Change[] changes) => ChangeList.Apply(Start.Design, changes).Error!;

    /// <summary>No page offers a protection that its radio does not know; what stands there already can be kept or weakened.</summary>
    [Fact]
    public void Protection_that_a_kind_cannot_do_is_neither_taken_nor_assumed()
    {
        Home Old(WifiSecurity? newest) =>
            Home.WithGateway().Profile("gw", p => p with { Radios = [p.Radios[0] with { NewestSecurity = newest }] });
        SetRadio To(WifiSecurity security) => new("gw", "r5", Partial<RadioSetting>.With(r => r.Security, security));
        var tkip = Old(WifiSecurity.WpaTkip).Design;
        Change[] beyond =
        [
            To(WifiSecurity.Wpa3),
            new SetGuest(
                "gw",
                Home.All(
                    new GuestNetwork("g", WifiSecurity.Wpa2, null, Home.Own("192.168.30.1/24"), Home.Range("192.168.30.20-192.168.30.99"))
                )
            ),
            new SetUplink("gw", Home.All(new Uplink("r5", "gw", "x", WifiSecurity.Wpa2, null, UplinkFrames.ThreeAddress))),
        ];
        Assert.All(beyond, c =>
        {
            Assert.Equal("The newest protection that it knows is WPA with TKIP.", c.ApplyTo(tkip).Error);
            Assert.True(c.ApplyTo(Old(null).Design).Ok);
        });
        Assert.True(To(WifiSecurity.Wep).ApplyTo(tkip).Ok);
        // Its file holds WPA2: another member can still be set.
        Assert.True(new SetRadio("gw", "r5", Partial<RadioSetting>.With(r => r.Name, "other")).ApplyTo(tkip).Ok);
        var spare = Old(WifiSecurity.Wep).Design;
        Assert.Equal(
            WifiSecurity.Wep,
            new SetMode("gw", ModeKind.Router)
                .ApplyTo(spare with { SetUp = spare.SetUp with { Boxes = [], Cables = [] } })
                .Value.Boxes[0]
                .Mode.Radios[0]
                .Security
        );
    }

    [Fact]
    public void A_set_up_holds_so_many_accepted_findings_and_no_more()
    {
        Change Accept(int i) => new AcceptFinding($"loop({i})", true, "why", "A. Name");
        var full = Start.Design with
        {
            SetUp = Start.Design.SetUp with
            {
                Accepted = [.. Enumerable.Range(0, Acceptance.Most).Select(i => new Acceptance($"loop({i})", true, "why", "A. Name"))],
            },
        };
        Assert.Contains("At most 500", Accept(Acceptance.Most).ApplyTo(full).Error, StringComparison.Ordinal);
        Assert.True(Accept(3).ApplyTo(full).Ok);
    }

    public static TheoryData<Change, string> Refusals =>
        new()
        {
            { new SetMode("missing", ModeKind.Router), "no box 'missing'" },
            { new SetMode("sw", ModeKind.Router), "cannot be set to router; it can be switch" },
            { new SetLanAddress("sw", Home.Own("10.0.0.1/24")), "no LAN address of its own" },
            { new SetLanAddress("gw", Home.Own("10.0.0.0/24")), "network address" },
            { new SetLanAddress("gw", Home.Own("10.0.0.255/24")), "broadcast address" },
            { new SetLanAddress("gw", Home.Own("10.0.0.1/31")), "/8 to /30" },
            { new SetLanAddress("gw", Home.Own("127.0.0.1/24")), "no host can have it" },
            { MovePool.To("gw", Home.Range("192.168.9.1-192.168.9.9")), "does not lie inside 192.168.8.0/24" },
            { MovePool.To("gw", Home.Range("192.168.8.0-192.168.8.9")), "does not lie inside" },
            { new Reserve("gw", new(0x5E005399), Home.At("192.168.9.5")), "not a host address" },
            { new Reserve("gw", new(0x5E005399), Home.At("192.168.8.50")), "already reserved" },
            { new RemoveReservation("gw", new(0x5E005399)), "reserves nothing" },
            { new AddForward("gw", new(Protocol.Tcp, 0, Home.At("192.168.8.5"), 80)), "not a port" },
            { new AddForward("gw", new(Protocol.Tcp, 80, Home.At("224.0.0.1"), 80)), "no host can have it" },
            { new RemoveForward("gw", Protocol.Udp, 80), "does not forward port 80" },
            { new SetRadio("gw", "r9", Home.All(new RadioSetting("r9", true, "x", WifiSecurity.Wpa2, null))), "no radio 'r9'" },
            { new SetRadio("gw", "r5", Home.All(new RadioSetting("r5", true, "", WifiSecurity.Wpa2, null))), "1 to 32 bytes" },
            {
                new SetRadio("gw", "r5", Home.All(new RadioSetting("r5", true, new string('ä', 17), WifiSecurity.Wpa2, null))),
                "1 to 32 bytes"
            },
            { new SetRadio("gw", "r5", Home.All(new RadioSetting("r5", true, "a\nb", WifiSecurity.Wpa2, null))), "control characters" },
            { new SetDeviceAddress("missing", new Automatic()), "no device 'missing'" },
            { new SetDeviceAddress("a", new Fixed(Home.Own("192.168.8.5/24"), Home.At("255.255.255.255"), [])), "no host can have it" },
            { new JoinWifi("a", new("missing", "home", null)), "no box 'missing'" },
            { new SetPageAddress("gw", new Automatic()), "no page address to set" },
            {
                new Patch(PortRef.Read("gw/lan1"), PortRef.Read("sw/lan1"), CableFacts.NotLookedAt),
                "is taken by the cable to port in of in"
            },
            { new Patch(PortRef.Read("gw/lan3"), PortRef.Read("gw/lan3"), CableFacts.NotLookedAt), "two ends" },
            { new Patch(PortRef.Read("gw/lan9"), PortRef.Read("sw/lan1"), CableFacts.NotLookedAt), "no port 'gw/lan9'" },
            { new Patch(PortRef.Read("gw/lan3"), PortRef.Read("sw/lan1"), new(Medium.Cat6, double.NaN, null, null)), "more than 0" },
            {
                new SetRadio("gw", "r5", Home.All(new RadioSetting("r5", true, "x", WifiSecurity.Wpa2, "The Key!"))),
                "the key itself is not kept"
            },
            { new JoinWifi("a", new("gw", "home", "")), "1 to 60 small letters" },
            {
                new SetGuest(
                    "gw",
                    Home.All(
                        new GuestNetwork(
                            "g",
                            WifiSecurity.Wpa2,
                            "-key",
                            Home.Own("192.168.30.1/24"),
                            Home.Range("192.168.30.2-192.168.30.9")
                        )
                    )
                ),
                "1 to 60 small letters"
            },
            { new RemoveGuest("sw"), "no guest network" },
            { new RemoveGuest("gw"), "has no guest network" },
            { new SetGuest("gw", Partial<GuestNetwork>.With(g => g.Name, "visitors")), "it needs security, lan, pool" },
            { new MovePool("gw"), "The first or the last address" },
            {
                new MovePool("gw") { First = Home.At("192.168.8.200") },
                "begin at 192.168.8.200, behind its end 192.168.8.199"
            },
            {
                new Patch(PortRef.Read("gw/lan3"), PortRef.Read("sw/lan1"), CableFacts.NotLookedAt) { Id = "gw-lan1-in-wan" },
                "There is a cable 'gw-lan1-in-wan' already"
            },
            {
                new Patch(PortRef.Read("gw/lan3"), PortRef.Read("sw/lan1"), CableFacts.NotLookedAt) { Id = "Not An Id" },
                "is no id of a cable"
            },
            { new SetRadio("gw", "r5", Partial<RadioSetting>.With(r => r.WdsPeers, ["missing"])), "no box 'missing'" },
            {
                new SetUplink("in", Home.All(new Uplink("r5", "missing", "home", WifiSecurity.Wpa2, null, UplinkFrames.Wds))),
                "no box 'missing'"
            },
            { new SetDnsServers("gw", [.. Enumerable.Range(1, 5).Select(i => Home.At($"192.168.8.{i}"))], false), "At most 4 DNS servers" },
            { new SetCable("nothing", Partial<CableFacts>.With(c => c.LengthMetres, 1)), "no cable 'nothing'" },
            { new SetCable("gw-lan1-in-wan", Partial<CableFacts>.With(c => c.LengthMetres, -1)), "more than 0" },
            { new TakeOutOfUse("missing"), "no box or device 'missing'" },
            { new AcceptFinding("loop(a)", true, new string('x', 501), "A. Name"), "at most 500 characters" },
            { new TakeBackAcceptance("loop(a)"), "is not accepted" },
            { new Unpatch("nothing"), "no cable 'nothing'" },
        };

    [Theory]
    [MemberData(nameof(Refusals))]
    public void Refuses_what_a_box_would_not_take(Change change, string says) => Assert.Contains(says, Refused(change));

    [Fact]
    public void Says_which_of_several_is_refused() =>
        Assert.StartsWith("Change 2 of 2:", Refused(new SwitchDhcpServer("gw", false), new Unpatch("nothing")));

    [Fact]
    public void A_list_has_an_end() =>
        Assert.Contains("at most 200", Refused([.. Enumerable.Repeat(new SwitchDhcpServer("gw", false), 201)]));

    [Fact]
    public void Pool_and_reservations_move_with_the_address()
    {
        var server = ((RouterMode)Applied(new SetLanAddress("gw", Home.Own("10.1.2.1/24"))).Mode("gw")!).Server;
        Assert.Equal(("10.1.2.20-10.1.2.199", "10.1.2.50"), (server.Pool.ToString(), server.Reservations[0].Address.ToString()));
    }

    [Fact]
    public void A_pool_that_no_longer_fits_takes_a_usual_one() =>
        Assert.Equal(
            "10.1.2.4-10.1.2.6",
            ((RouterMode)Applied(new SetLanAddress("gw", Home.Own("10.1.2.1/29"))).Mode("gw")!).Server.Pool.ToString()
        );

    [Fact]
    public void A_mode_keeps_what_it_still_has()
    {
        Assert.Equal("home", Applied(new SetMode("in", ModeKind.AccessPoint)).Mode("in")!.Radios[0].Name);
        Assert.IsType<Automatic>(((AccessPointMode)Applied(new SetMode("in", ModeKind.AccessPoint)).Mode("in")!).Page);
        Assert.Equal("192.168.8.1/24", ((BridgeMode)Applied(new SetMode("gw", ModeKind.Bridge)).Mode("gw")!).Page.ToString());
        Assert.IsType<RouterMode>(Applied(new SetMode("in", ModeKind.AccessPoint), new SetMode("in", ModeKind.Router)).Mode("in"));
    }

    [Fact]
    public void A_cable_keeps_its_id_when_it_is_plugged_in_again()
    {
        var patch = new Patch(PortRef.Read("sw/lan1"), PortRef.Read("gw/lan3"), new(Medium.Cat6, 12, 4, null));
        var cable = Assert.Single(Applied(patch).SetUp.Cables, c => c.Id == "gw-lan3-sw-lan1");
        Assert.Equal(Applied(patch).SetUp.Cables, Applied(patch, new Unpatch(cable.Id), patch).SetUp.Cables);
    }

    /// <summary>The provider's end may have several ports; one of a box holds one cable.</summary>
    [Fact]
    public void The_internet_line_takes_several_cables()
    {
        var second = Applied(new Patch(PortRef.AtStreet, PortRef.Read("sw/lan1"), CableFacts.NotLookedAt));
        Assert.Equal(2, second.SetUp.Cables.Count(c => c.Ends(PortRef.Street)));
        Assert.Equal(["gw", "sw"], Compiler.Compile(second, Situation.Settled).Segment(PortRef.Street).Boxes);
    }

    [Fact]
    public void Opening_a_network_drops_its_key() =>
        Assert.Null(
            Applied(new SetRadio("gw", "r5", Home.All(new RadioSetting("r5", true, "home", WifiSecurity.Open, "key"))))
                .Mode("gw")!
                .Radios[0]
                .Password
        );

    [Theory]
    [InlineData(1, "gw gets 10.0.0.1/24")]
    [InlineData(2, "gw gets 10.0.0.1/24 and 1 more")]
    public void Lists_are_described_in_words(int count, string words) =>
        Assert.Equal(
            words,
            ChangeList.Describe(Start.Design, [.. Enumerable.Repeat(new SetLanAddress("gw", Home.Own("10.0.0.1/24")), count)])
        );
}
