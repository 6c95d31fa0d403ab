using System.Text.RegularExpressions;
using Altrin.Core.Addressing;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Sites;

/// <summary>What is given and what is chosen, looked up and told apart: ids, ports, labels, assumptions.</summary>
public sealed class SiteTests
{
    [Theory]
    [InlineData("a", true)]
    [InlineData("0", true)]
    [InlineData("loft-router-2", true)]
    [InlineData("a-", true)]
    [InlineData("", false)]
    [InlineData("-a", false)]
    [InlineData("Loft", false)]
    [InlineData("a b", false)]
    [InlineData("a_b", false)]
    [InlineData("é", false)]
    public void An_id_is_small_letters_digits_and_hyphens(string text, bool isOne)
    {
        Assert.Equal(isOne, Slugs.IsOne(text));
        Assert.Equal(isOne, Regex.IsMatch(text, Slugs.Pattern));
    }

    [Fact]
    public void An_id_has_up_to_sixty_characters() => Assert.Equal((true, false), (Slugs.IsOne(new('a', 60)), Slugs.IsOne(new('a', 61))));

    [Theory]
    [InlineData("Loft router", "loft-router")]
    [InlineData("  Loft -- router (2) ", "loft-router-2")]
    [InlineData("ÄÖÜ", "box")]
    [InlineData("", "box")]
    [InlineData("taken", "taken-2")]
    [InlineData("twice", "twice-3")]
    [InlineData("Street", "street-2")]
    [InlineData("a23456789 b23456789 c23456789 d23456789 e23456789 f", "a23456789-b23456789-c23456789-d23456789-e23456789")]
    [InlineData("a23456789 b23456789 c23456789 d23456789 e234567890", "a23456789-b23456789-c23456789-d23456789-e234567890")]
    [InlineData("a23456789 b23456789 c23456789 d23456789 e2345678901", "a23456789-b23456789-c23456789-d23456789-e234567890")]
    public void An_id_is_made_of_a_name(string name, string id) =>
        Assert.Equal(id, Slugs.Of(name, new HashSet<string> { "taken", "twice", "twice-2" }.Contains, "box"));

    [Theory]
    [InlineData("p", 1, new int[0], true)]
    [InlineData("p", 2, new int[0], false)]
    [InlineData("p", 1, new[] { 7 }, false)]
    public void A_port_is_usual_where_it_knows_no_other_vlan(string port, int untagged, int[] tagged, bool usual) =>
        Assert.Equal(usual, new PortVlans(port, untagged, tagged).IsUsual);

    [Theory]
    [InlineData("p", 2, new[] { 9, 7 }, true)]
    [InlineData("q", 2, new[] { 7, 9 }, false)]
    [InlineData("p", 3, new[] { 7, 9 }, false)]
    [InlineData("p", 2, new[] { 7 }, false)]
    [InlineData("p", 2, new[] { 7, 8 }, false)]
    public void Tags_have_no_order(string port, int untagged, int[] tagged, bool same)
    {
        var (one, other) = (new PortVlans("p", 2, [7, 9]), new PortVlans(port, untagged, tagged));
        Assert.Equal((same, same), (one == other, one.GetHashCode() == other.GetHashCode() && one.Equals(other)));
        Assert.False(one.Equals(null));
    }

    [Theory]
    [InlineData(Known.Yes, null, "2026-05-02", Known.Yes)]
    [InlineData(Known.Yes, "2026-05-01", null, Known.Yes)]
    [InlineData(Known.Yes, "2026-05-01", "2026-05-02", Known.No)]
    [InlineData(Known.Yes, "2026-05-02", "2026-05-02", Known.Yes)]
    [InlineData(Known.Unknown, "2026-05-03", "2026-05-02", Known.Unknown)]
    public void Support_ends_after_the_day_that_was_announced(Known noted, string? until, string? today, Known supported)
    {
        var label = LabelFacts.Empty with { Supported = noted, SupportedUntil = Day(until) };
        Assert.Equal(supported, label.IsSupported(Day(today)));

        static DateOnly? Day(string? text) => text is null ? null : DateOnly.ParseExact(text, "yyyy-MM-dd");
    }

    [Fact]
    public void A_home_shows_its_plan_first_and_what_was_found_where_that_is_asked_for()
    {
        var (site, setUp) = (Home.WithGateway().Design.Site, Home.WithGateway().Design.SetUp);
        SetUp Named(string name) => setUp with { Name = name };
        var home = new HomeFile(site, [Named("found"), Named("planned"), Named("other")]);
        var bare = new HomeFile(site, [Named("one"), Named("two")]);
        Assert.Equal(("planned", "found"), (home.Foremost.Name, home.AsFound().SetUp.Name));
        Assert.Equal(("two", "two"), (bare.Foremost.Name, bare.AsFound().SetUp.Name));
        Assert.Equal(("other", null), (home.Design("other")?.SetUp.Name, home.Design("Other")));
        var changed = Named("planned") with { Boxes = [] };
        Assert.Equal([home.SetUps[0], changed, home.SetUps[2]], home.With(changed).SetUps);
    }

    [Fact]
    public void What_is_missing_is_told_with_what_there_is()
    {
        var home = Home.WithGateway().Switch("s", ports: 12).Wired("a", "gw/lan1").Device("a", d => d with { Name = "Printer" });
        var (design, bare) = (home.Design, new Home().Design);
        Assert.Equal("There is no box 'x'; there is gw, s.", Box(design, "x"));
        Assert.Equal("There is no box 'x'.", Box(bare, "x"));
        Assert.Equal("There is no device 'printer': the id of Printer is 'a'.", new NewLink("printer").From(State.Morning(design)).Error);
        Assert.Equal("There is no box 'x'; there is gw, s.", End(design, "x", "lan1"));
        Assert.EndsWith(", s/lan11, s/lan12.", End(design, "s", "nothing"));
        var large = Home.WithGateway().Switch("s", ports: 14).Design;
        Assert.EndsWith(", s/lan12 and 2 more.", End(large, "s", "nothing"));
    }

    [Fact]
    public void A_port_is_found_by_what_is_marked_on_it()
    {
        var design = Home.WithGateway()
            .Profile("gw", p => p with { Ports = [.. p.Ports.Select(o => o with { Label = o.Id == "lan2" ? "Yellow 2" : o.Label })] })
            .Design;
        Assert.Equal("There is no port 'gw/yellow 2': what is marked Yellow 2 on gw is 'gw/lan2'.", End(design, "gw", "yellow 2"));
    }

    private static string Box(Design design, string box) => new PutBoxAway(box).From(State.Morning(design)).Error!;

    private static string End(Design design, string box, string port) =>
        new LaptopToPort(new(box, port)).From(State.Morning(design)).Error!;

    [Fact]
    public void What_was_assumed_of_a_box_holds_until_it_is_set_otherwise()
    {
        var mode = (RouterMode)Home.WithGateway().Design.Mode("gw")!;
        var all = AssumedSettings.All(mode);
        Assert.Equal(
            (mode.Lan, mode.Server.On, mode.Server.Pool, mode.Radios[0].Name),
            (all.LanAddress, all.DhcpServer, all.Pool, all.WifiName)
        );
        Assert.Equal(AssumedSettings.Nothing, AssumedSettings.All(null));
        Assert.Null(AssumedSettings.All(mode.WithRadios([])).WifiName);

        Assert.Equal(all, all.In(mode));
        Assert.Equal(AssumedSettings.Nothing, all.In(null));
        Assert.Equal(all with { LanAddress = null }, all.In(mode with { Lan = Home.Own("10.0.0.1/24") }));
        Assert.Equal(all with { DhcpServer = null }, all.In(mode with { Server = mode.Server with { On = !mode.Server.On } }));
        var pool = AddressRange.Between(Home.At("192.168.8.7"), Home.At("192.168.8.9"));
        Assert.Equal(all with { Pool = null }, all.In(mode with { Server = mode.Server with { Pool = pool } }));
        var (other, same) = (mode.Radios[0] with { Name = "another" }, mode.Radios[0]);
        Assert.Equal(all with { WifiName = null }, all.In(mode.WithRadios([other])));
        Assert.Equal(all, all.In(mode.WithRadios([other, same])));
    }

    [Theory]
    [InlineData("gw", true)]
    [InlineData("a", true)]
    [InlineData("found-a", true)]
    [InlineData("barn", true)]
    [InlineData("loft", true)]
    [InlineData("socket", true)]
    [InlineData("run", true)]
    [InlineData("Gw", false)]
    [InlineData("", false)]
    public void An_id_is_used_once_in_a_site(string id, bool used)
    {
        var site = Home.WithGateway().Place("loft").Wired("a", "gw/lan1").Found("a").Design.Site with
        {
            Buildings = [new("barn", "Barn")],
            Sockets = [new("socket", "Socket", SocketKind.Data)],
            Runs = [new("run", "socket", "loft", Medium.Cat5)],
        };
        Assert.Equal(used, site.Uses(id));
        Assert.Equal(("loft", null, null), (site.Place("loft")?.Id, site.Place("attic"), site.Place(null)));
    }

    [Theory]
    [InlineData("192.168.8.9/24", "192.168.8.1", new[] { "192.168.8.1" }, true)]
    [InlineData("192.168.8.8/24", "192.168.8.1", new[] { "192.168.8.1" }, false)]
    [InlineData("192.168.8.9/24", "192.168.8.2", new[] { "192.168.8.1" }, false)]
    [InlineData("192.168.8.9/24", "192.168.8.1", new[] { "192.168.8.2" }, false)]
    [InlineData("192.168.8.9/24", "192.168.8.1", new[] { "192.168.8.1", "192.168.8.2" }, false)]
    public void Typed_addresses_are_alike_where_all_of_them_is(string address, string gateway, string[] dns, bool same)
    {
        var one = new Fixed(Home.Own("192.168.8.9/24"), Home.At("192.168.8.1"), [Home.At("192.168.8.1")]);
        var other = new Fixed(Home.Own(address), Home.At(gateway), [.. dns.Select(Home.At)]);
        Assert.Equal(same, HostAddress.Same(one, other));
        Assert.Equal((true, false), (HostAddress.Same(new Automatic(), new Automatic()), HostAddress.Same(new Automatic(), one)));
    }

    [Theory]
    [InlineData("loft-router/wan", "loft-router", "wan")]
    [InlineData("printer", "printer", "")]
    [InlineData("/wan", "", "wan")]
    [InlineData("a/b/c", "a", "b/c")]
    public void An_end_is_an_owner_and_a_port(string text, string owner, string port) => Assert.Equal(new(owner, port), PortRef.Read(text));

    [Theory]
    [InlineData("gw:guest", "gw", null)]
    [InlineData("gw", null, null)]
    [InlineData("gw:vlan20", null, "gw 20")]
    [InlineData(":vlan20", null, null)]
    public void Networks_beside_the_home_s_own_carry_their_box_in_their_id(string id, string? guestOf, string? vlan)
    {
        Assert.Equal(guestOf, GuestId.BoxOf(id));
        Assert.Equal(vlan, VlanId.Read(id) is var (box, tag) ? $"{box} {tag}" : null);
    }

    [Fact]
    public void Words_and_ids_are_made_and_read_the_same_way()
    {
        Assert.Equal(("gw", "gw"), (GuestId.BoxOf(GuestId.Of("gw")), VlanId.Read(VlanId.Of("gw", 20))!.Value.Box));
        Assert.Equal(("TCP", "UDP"), (ProtocolWords.Of(Protocol.Tcp), ProtocolWords.Of(Protocol.Udp)));
    }

    /// <summary>What is asked of the hours of the work no set-up can meet.</summary>
    [Fact]
    public void A_need_is_of_the_set_up_or_of_the_work() =>
        Assert.Equal((true, false), (new StaysOnline("n", "a").DuringWork, new FoundByOthers("n", "a").DuringWork));

    /// <summary>A design is the same where its site and its set-up are.</summary>
    [Fact]
    public void A_design_is_told_by_its_site_and_its_set_up()
    {
        var (one, same) = (Home.WithGateway().Design, Home.WithGateway().Design);
        var design = one with { };
        Assert.Equal((true, false), (design.Equals(one), design.Equals(null)));
        Assert.NotEqual(one, one with { SetUp = one.SetUp with { Name = "another" } });
        Assert.NotEqual(one, one with { Site = one.Site with { Name = "Another" } });
        Assert.Same(one.Box("gw"), one.Box("gw"));
        Assert.Equal((same.Box("gw")!.Name, null, null), (one.Box("gw")!.Name, one.Box("x"), one.Mode("x")));
    }

    [Theory]
    [InlineData(null, "Net {last4}", "Net 53AA")]
    [InlineData(null, "{digits} of a name that is longer than thirty-two", "???? of a name that is longer th")]
    [InlineData(null, "exactly thirty-two characters it", "exactly thirty-two characters it")]
    [InlineData("printed", "Net {last4}", "printed")]
    [InlineData(null, null, "gw")]
    public void A_box_is_called_by_its_label_or_the_pattern_of_its_kind(string? printed, string? pattern, string name)
    {
        var box = Home.WithGateway()
            .Traits("gw", new() { NamePattern = pattern })
            .Box("gw", b => b with { Mac = new(0x00005E0053AA), Label = b.Label with { WifiName = printed } })
            .Design.Box("gw")!;
        Assert.Equal(name, FactoryNames.Of(box));
    }

    /// <summary>A name is that of a link where a bridge joins it and no device does.</summary>
    [Theory]
    [InlineData(true, "link", true, null, true)]
    [InlineData(false, "link", true, null, false)]
    [InlineData(true, "home", true, null, false)]
    [InlineData(true, "link", false, null, false)]
    [InlineData(true, "link", true, "link", false)]
    [InlineData(true, "link", true, "home", true)]
    public void A_name_that_bridges_alone_join_is_that_of_a_link(bool joins, string asked, bool canBridge, string? phone, bool isLink)
    {
        var home = Home.WithGateway().Point("point", name: "link").Cable("gw/lan1", "point/wan");
        if (canBridge)
        {
            home.Profile("point", p => p with { Modes = [.. p.Modes, ModeKind.WirelessBridge] });
        }
        if (joins)
        {
            home.Bridge("bridge", "point", link: l => l with { Name = "link" });
        }
        if (phone is not null)
        {
            home.Wifi("phone", "point", phone);
        }
        Assert.Equal(isLink, Air.IsLink(home.Design, "point", asked));
        Assert.False(Air.IsLink(home.Design, "gw", "link"));
    }
}
