using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Changes;

/// <summary>Changes at the edge of what is taken: one thing wrong at a time, and the first of two.</summary>
public sealed class RefusalTests
{
    private static Design Start =>
        Home.WithGateway()
            .Point("p")
            .Profile("p", p => p with { Radios = [.. p.Radios.Select(r => r with { NewestSecurity = WifiSecurity.Wpa2 })] })
            .Profile("gw", p => p with { Passes = [PassKind.Port, PassKind.MacAddress] })
            .Switch("sw")
            .Wired("a", "gw/lan2")
            .Place("den")
            .Design;

    private static PortForward Web(Protocol protocol = Protocol.Tcp, int outside = 80, string to = "192.168.8.5", int inside = 80) =>
        new(protocol, outside, Home.At(to), inside);

    private static SetPointGuest Guest(string name = "g", WifiSecurity security = WifiSecurity.Wpa2, string? key = "key", int? vlan = 30) =>
        new("p", Home.All(new GuestName(name, security, key) { Vlan = vlan }));

    private static AcceptFinding Accept(string finding, string reason = "why", string by = "A. Name") => new(finding, true, reason, by);

    /// <summary>What is done before, what is tried, and what is said of it; null where it is taken.</summary>
    public static TheoryData<Change[], Change, string?> Cases =>
        new()
        {
            { [], Guest(), null },
            { [], Guest(name: "", key: "Key", vlan: 1, security: WifiSecurity.Wpa3), "A network name has" },
            { [], Guest(key: "Key", vlan: 1, security: WifiSecurity.Wpa3), "A key is referred to" },
            { [], Guest(vlan: 1, security: WifiSecurity.Wpa3), "VLAN 1 is the home's own" },
            { [], Guest(security: WifiSecurity.Wpa3), "The newest protection that it knows is WPA2" },
            { [], new RemovePointGuest("p"), "has no guest name" },
            { [Guest()], new RemovePointGuest("p"), null },
            { [new AddForward("gw", Web())], new AddForward("gw", Web()), "already forwards port 80" },
            { [new AddForward("gw", Web())], new AddForward("gw", Web(Protocol.Udp)), null },
            { [new AddForward("gw", Web())], new AddForward("gw", Web(outside: 81)), null },
            { [], new AddForward("gw", Web(outside: 0, inside: 65536, to: "224.0.0.1")), "0 is not a port" },
            { [], new AddForward("gw", Web(inside: 65536, to: "224.0.0.1")), "65536 is not a port" },
            { [], new AddForward("gw", Web(to: "224.0.0.1")), "no host can have it" },
            { [new AddForward("gw", Web())], new RemoveForward("gw", Protocol.Udp, 80), "does not forward port 80" },
            { [new AddForward("gw", Web())], new RemoveForward("gw", Protocol.Tcp, 81), "does not forward port 81" },
            { [], new AddRoute("gw", new(Home.Own("10.0.0.0/24").Subnet, Home.At("224.0.0.1"))), "no host can have it" },
            { [], new RemoveRoute("gw", Home.Own("10.0.0.0/24").Subnet), "has no route to 10.0.0.0/24" },
            {
                [new AddRoute("gw", new(Home.Own("10.0.0.0/24").Subnet, Home.At("192.168.8.2")))],
                new RemoveRoute("gw", Home.Own("10.0.0.0/24").Subnet),
                null
            },
            { [], new PlaceBox("gw", "attic"), "There is no place 'attic'" },
            { [], new PlaceBox("gw", "den"), null },
            { [], new PlaceBox("gw", null), null },
            { [], new JoinWifi("a", new("gw", "", "Key")), "A network name has" },
            { [], new JoinWifi("a", new("gw", "home", "Key")), "A key is referred to" },
            { [], new SetDnsServers("gw", [Home.At("224.0.0.1")], LeftOut: false), "no host can have it" },
            { [], new SetDnsServers("gw", [.. Enumerable.Repeat(Home.At("224.0.0.1"), Limits.DnsServers + 1)], LeftOut: false), "At most" },
            { [], new Patch(PortRef.Read("a"), PortRef.Read("gw/lan3"), CableFacts.NotLookedAt), "is taken by" },
            { [], new Patch(PortRef.Read("a/x"), PortRef.Read("gw/lan3"), CableFacts.NotLookedAt), "There is no box 'a'" },
            {
                [],
                new Patch(PortRef.Read("gw/lan3"), PortRef.Read("sw/lan1"), CableFacts.NotLookedAt) { Id = "No Id" },
                "small letters"
            },
            { [], Accept("loop(gw)", reason: " ", by: ""), "A reason is needed" },
            { [], Accept("loop(gw)", by: " "), "A name is needed" },
            { [], Accept("loop(gw)", reason: new('x', Acceptance.LongestReason + 1)), "at most" },
            { [], Accept("loop(gw)", reason: new('x', Acceptance.LongestReason)), null },
            { [], Accept("loop(gw)", by: new('x', Acceptance.LongestName + 1)), "at most" },
            { [], Accept("loop(gw)", by: new('x', Acceptance.LongestName)), null },
            { [], Accept(""), "A finding is named by its identity" },
            { [], Accept(new('x', Acceptance.LongestFinding + 1)), "A finding is named by its identity" },
            { [], Accept(new('x', Acceptance.LongestFinding)), null },
            { [], new SetPassing("gw", new(PassKind.Port, "lan1", null)), null },
            { [], new SetPassing("gw", new(PassKind.Mapping, "lan1", null)), "cannot pass its public address on by mapping" },
            {
                [],
                new SetRadio("gw", "r5", Home.All(new RadioSetting("r5", true, "x", WifiSecurity.Wpa2, "Key") { Channel = 37 })),
                "A key is"
            },
            {
                [],
                new SetRadio(
                    "gw",
                    "r5",
                    Home.All(new RadioSetting("r5", true, "x", WifiSecurity.Wpa2, "key") { Channel = 37, WdsPeers = ["x"] })
                ),
                "There is no channel 37"
            },
            {
                [],
                new SetRadio("gw", "r5", Home.All(new RadioSetting("r5", true, "x", WifiSecurity.Wpa2, "key") { WdsPeers = ["x"] })),
                "There is no box 'x'"
            },
            {
                [],
                new SetUplink("gw", Home.All(new Uplink("r5", "nobox", "x", WifiSecurity.Wpa2, "key", UplinkFrames.ThreeAddress))),
                "There is no box 'nobox'"
            },
            { [], MovePool.To("gw", Home.Range("192.168.8.20-192.168.8.20")), null },
        };

    [Theory]
    [MemberData(nameof(Cases))]
    public void The_first_thing_that_is_wrong_is_said(Change[] before, Change change, string? says)
    {
        var design = Start with { SetUp = ChangeList.Apply(Start, before).Value.SetUp };
        var done = change.ApplyTo(design);
        Assert.Equal(says is null, done.Ok);
        Assert.Contains(says ?? "", done.Error ?? "", StringComparison.Ordinal);
    }

    /// <summary>Of what a page keeps a list of, so many are taken and not one more; what is there already can be set anew.</summary>
    [Fact]
    public void A_page_keeps_so_many_and_no_more()
    {
        Fills(RouterMode.MostForwards, i => new AddForward("gw", Web(outside: i + 1)), "At most", again: false);
        Fills(
            RouterMode.MostRoutes,
            i => new AddRoute("gw", new(Home.Own($"10.{i / 250}.{i % 250}.0/24").Subnet, Home.At("192.168.8.2"))),
            "At most",
            again: true
        );
        Fills(
            DhcpServerSetting.MostReservations,
            i => new Reserve("gw", new((ulong)(0x020000000000 + i)), Home.At($"192.168.{8 + (i / 250)}.{2 + (i % 250)}")),
            "At most",
            again: true,
            new SetLanAddress("gw", Home.Own("192.168.1.1/16"))
        );
        Fills(Acceptance.Most, i => Accept($"loop({i})"), "At most", again: true);
    }

    private static void Fills(int most, Func<int, Change> make, string says, bool again, params Change[] first)
    {
        var design = Start;
        foreach (var change in first.Concat(Enumerable.Range(0, most).Select(make)))
        {
            var done = change.ApplyTo(design);
            Assert.True(done.Ok, $"{change}: {done.Error}");
            design = design with { SetUp = done.Value };
        }
        Assert.Contains(says, make(most).ApplyTo(design).Error, StringComparison.Ordinal);
        Assert.Equal(again, make(0).ApplyTo(design).Ok);
    }

    /// <summary>What an open network keeps: no password, and it asks for none to touch.</summary>
    [Fact]
    public void What_does_not_belong_together_is_not_kept()
    {
        GuestNetwork Of(WifiSecurity security) =>
            new("g", security, "key", Home.Own("192.168.30.1/24"), Home.Range("192.168.30.20-192.168.30.99"));
        foreach (var (security, key) in new[] { (WifiSecurity.Open, null), (WifiSecurity.Wpa2, "key") })
        {
            var point = Guest(security: security).ApplyTo(Start).Value.Boxes.Single(b => b.Box == "p").Mode;
            Assert.Equal(key, ((AccessPointMode)point).Guest!.Password);
            var router = new SetGuest("gw", Home.All(Of(security))).ApplyTo(Start).Value.Boxes.Single(b => b.Box == "gw").Mode;
            Assert.Equal(key, ((RouterMode)router).Guest!.Password);
            var link = new Uplink("r5", "p", "x", security, "key", UplinkFrames.Wds) { Channel = 36, WidthMhz = 40 };
            var joins = new SetUplink("gw", Home.All(link)).ApplyTo(Start).Value.Boxes.Single(b => b.Box == "gw").Mode.Joins!;
            Assert.Equal((key, (int?)36, (int?)40), (joins.Password, joins.Channel, joins.WidthMhz));
        }
        var mac = new MacAddress(0x02005E005301UL);
        var byPort = new SetPassing("gw", new(PassKind.Port, "lan1", mac)).ApplyTo(Start).Value.Boxes.Single(b => b.Box == "gw").Mode;
        Assert.Equal(new Passing(PassKind.Port, "lan1", null), ((RouterMode)byPort).Passing);
        var byMac = new SetPassing("gw", new(PassKind.MacAddress, "lan1", mac)).ApplyTo(Start).Value.Boxes.Single(b => b.Box == "gw").Mode;
        Assert.Equal(new Passing(PassKind.MacAddress, null, mac), ((RouterMode)byMac).Passing);
        var none = new SetPassing("gw", null).ApplyTo(Start).Value.Boxes.Single(b => b.Box == "gw").Mode;
        Assert.Null(((RouterMode)none).Passing);
    }

    /// <summary>A second cable between the same ports cannot be; one to the provider's end can, and has a name of its own.</summary>
    [Fact]
    public void Cables_to_the_street_have_names_of_their_own()
    {
        var design = Start;
        foreach (var port in new[] { "gw/lan3", "gw/lan4" })
        {
            design = design with { SetUp = new Patch(PortRef.AtStreet, PortRef.Read(port), CableFacts.NotLookedAt).ApplyTo(design).Value };
        }
        Assert.Equal(design.SetUp.Cables.Count, design.SetUp.Cables.Select(c => c.Id).Distinct().Count());
        var taken = design with
        {
            SetUp = design.SetUp with { Cables = [.. design.SetUp.Cables.Select(c => c with { A = c.B, B = c.A })] },
        };
        var last = taken.SetUp.Cables[^1];
        taken = taken with
        {
            SetUp = taken.SetUp with { Cables = [.. taken.SetUp.Cables.SkipLast(1), last with { A = PortRef.Read("sw/lan8") }] },
        };
        var again = new Patch(PortRef.AtStreet, PortRef.Read("gw/lan4"), CableFacts.NotLookedAt).ApplyTo(taken).Value.Cables[^1];
        Assert.Equal($"{last.Id}-2", again.Id);
    }

    public static TheoryData<StoredSettings, string?> Stored =>
        new()
        {
            { new(StoredState.Factory), null },
            {
                new(StoredState.Factory) { WifiName = "x" },
                "are those of its last home"
            },
            {
                new(StoredState.LastHome) { WifiName = "x", WifiPassword = "key" },
                null
            },
            {
                new(StoredState.LastHome) { Mode = ModeKind.Satellite },
                "It can be"
            },
            {
                new(StoredState.LastHome) { DhcpServer = Known.Yes },
                null
            },
            {
                new(StoredState.LastHome) { DhcpServer = Known.Yes, Mode = ModeKind.AccessPoint },
                "Only a router"
            },
            {
                new(StoredState.LastHome) { DhcpServer = Known.No, Mode = ModeKind.AccessPoint },
                null
            },
            {
                new(StoredState.LastHome) { WifiName = "", WifiPassword = "Key" },
                "A network name has"
            },
            {
                new(StoredState.LastHome) { WifiName = "x", WifiPassword = "Key" },
                "A key is referred to"
            },
            {
                new(StoredState.LastHome) { WifiPassword = "Key" },
                "A key is referred to"
            },
            {
                new(StoredState.LastHome) { Address = Home.Own("10.0.0.0/24"), WifiName = "" },
                "network address"
            },
        };

    [Theory]
    [MemberData(nameof(Stored))]
    public void What_a_box_holds_of_its_last_home_fits_its_kind(StoredSettings stored, string? says)
    {
        var profile = Start.Box("gw")!.Profile with { Modes = [ModeKind.Router, ModeKind.AccessPoint] };
        Assert.Equal(says is null, PageChecks.WrongStored(profile, stored) is null);
        Assert.Contains(says ?? "", PageChecks.WrongStored(profile, stored) ?? "", StringComparison.Ordinal);
        if (stored.WifiName is { Length: > 0 } && stored.State == StoredState.LastHome)
        {
            Assert.Equal("It has no radio.", PageChecks.WrongStored(profile with { Radios = [] }, stored));
        }
        if (stored.DhcpServer == Known.Yes)
        {
            Assert.NotNull(PageChecks.WrongStored(profile with { Modes = [ModeKind.AccessPoint] }, stored));
        }
    }

    [Theory]
    [InlineData(0, "0 seconds")]
    [InlineData(1, "1 second")]
    [InlineData(59, "59 seconds")]
    [InlineData(60, "1 minute")]
    [InlineData(61, "1 minute 1 second")]
    [InlineData(5400, "1 hour 30 minutes")]
    [InlineData(7201, "2 hours 1 second")]
    [InlineData(86_400, "1 day")]
    [InlineData(90_000, "25 hours")]
    [InlineData(172_800, "2 days")]
    public void A_span_is_said_in_its_largest_units(long seconds, string words)
    {
        Assert.Equal(words, TimeWords.Of(seconds));
        Assert.Equal(words, TimeWords.Of(TimeSpan.FromSeconds(seconds) + TimeSpan.FromMilliseconds(900)));
    }

    [Theory]
    [InlineData("AP", ModeKind.AccessPoint)]
    [InlineData(" bridge mode ", ModeKind.Bridge)]
    [InlineData("extender", ModeKind.Repeater)]
    [InlineData("booster", ModeKind.Repeater)]
    [InlineData("client", ModeKind.WirelessBridge)]
    [InlineData("client bridge", ModeKind.WirelessBridge)]
    [InlineData("node", ModeKind.Satellite)]
    [InlineData("mesh satellite", ModeKind.Satellite)]
    [InlineData("mesh node", ModeKind.Satellite)]
    [InlineData("router", ModeKind.Router)]
    [InlineData("a router", ModeKind.Router)]
    [InlineData("an access point", ModeKind.AccessPoint)]
    [InlineData("toaster", null)]
    public void A_mode_is_read_as_the_trade_says_it(string text, ModeKind? mode) => Assert.Equal(mode, ModeWords.Read(text));

    [Theory]
    [InlineData("(gw)", "a finding")]
    [InlineData("loop()", "loop")]
    [InlineData("double-nat(gw,a)", "double NAT at gw, a")]
    public void A_finding_that_is_accepted_is_said_in_words(string identity, string words) =>
        Assert.Equal(words, new AcceptFinding(identity, true, "why", "N").Describe(Start)["N accepts ".Length..]);
}
