using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Networks;

/// <summary>Who joins whom by radio (IEEE 802.11, from memory; common practice), and what lies behind.</summary>
public sealed class RadioTests
{
    private static Observation See(Home home) => Observer.Observe(Compiler.Compile(home.Design, Situation.Settled));

    private static Answer Internet(Home home, string device = "a") => See(home).Sheet.Internet.Single(i => i.Device == device).Answer;

    private static RadioSetting Radio(Func<RadioSetting, RadioSetting> edit) => edit(Home.Radios("home")[0]);

    private static Home With(
        Func<Uplink, Uplink> link,
        Func<RadioSetting, RadioSetting>? main = null,
        Func<BoxRadio, BoxRadio>? ability = null,
        UplinkFrames frames = UplinkFrames.ThreeAddress
    )
    {
        var home = Home.WithGateway().Repeater("rep", "gw", frames, link: link).Wired("a", "rep/lan1");
        home = main is null ? home : home.Edit<RouterMode>("gw", m => m with { Wifi = [Radio(main)] });
        return ability is null ? home : home.Profile("rep", p => p with { Radios = [.. p.Radios.Select(ability)] });
    }

    public static TheoryData<string, Home, RefusalReason?> Cases =>
        new()
        {
            { "all alike", With(l => l), null },
            { "another name", With(l => l with { Name = "elsewhere" }), RefusalReason.NameNotSent },
            { "a key typed wrong", With(l => l with { Password = "wrong-key" }), RefusalReason.PasswordDiffers },
            { "a key not recorded", With(l => l with { Password = null }), RefusalReason.PasswordNotKnown },
            {
                "a key not recorded, and four addresses that are not taken",
                With(l => l with { Password = null, Frames = UplinkFrames.FourAddress }).FourAddresses("gw", Known.No),
                RefusalReason.FourAddressesNotTaken
            },
            { "WPA2 at a box with both", With(l => l, r => r with { Security = WifiSecurity.Wpa2Wpa3 }), null },
            { "WPA2 at a box with WPA3 alone", With(l => l, r => r with { Security = WifiSecurity.Wpa3 }), RefusalReason.SecurityDiffers },
            { "WPA2 at a mixed box", With(l => l, r => r with { Security = WifiSecurity.WpaTkip }), null },
            {
                "WPA3 typed into an old radio",
                With(
                    l => l with { Security = WifiSecurity.Wpa3 },
                    r => r with { Security = WifiSecurity.Wpa3 },
                    r => r with { NewestSecurity = WifiSecurity.Wpa2 }
                ),
                RefusalReason.SecurityDiffers
            },
            {
                "protected frames asked of an old radio",
                With(
                    l => l,
                    r => r with { Security = WifiSecurity.Wpa2, ProtectsFrames = FrameProtection.Required },
                    r => r with { NewestSecurity = WifiSecurity.Wpa2 }
                ),
                RefusalReason.FramesUnprotected
            },
            {
                "protected frames for those that can",
                With(l => l, r => r with { ProtectsFrames = FrameProtection.Optional }, r => r with { NewestSecurity = WifiSecurity.Wpa2 }),
                null
            },
            {
                "a channel beyond its country list",
                With(l => l, r => r with { Channel = 149 }, r => r with { Channels = [36, 40, 44, 48] }),
                RefusalReason.ChannelNotUsable
            },
            {
                "a channel of its country list",
                With(l => l, r => r with { Channel = 44 }, r => r with { Channels = [36, 40, 44, 48] }),
                null
            },
            { "a radio that is off", With(l => l, r => r with { On = false }), RefusalReason.NameNotSent },
            { "a radio of another band", With(l => l, null, r => r with { Band = RadioBand.Ghz2 }), RefusalReason.BandMissing },
            { "a hidden name", With(l => l, r => r with { Hidden = true }), null },
            { "itself", With(l => l with { Box = "rep" }), RefusalReason.Itself },
            {
                "WDS, all told",
                With(l => l with { Channel = 36 }, r => r with { Channel = 36, WdsPeers = ["rep"] }, null, UplinkFrames.Wds),
                null
            },
            {
                "WDS, automatic channel at the main box",
                With(l => l with { Channel = 36 }, r => r with { WdsPeers = ["rep"] }, null, UplinkFrames.Wds),
                RefusalReason.ChannelNotFixed
            },
            {
                "WDS, automatic channel here",
                With(l => l, r => r with { Channel = 36, WdsPeers = ["rep"] }, null, UplinkFrames.Wds),
                RefusalReason.ChannelNotFixed
            },
            {
                "WDS, another channel",
                With(l => l with { Channel = 40 }, r => r with { Channel = 36, WdsPeers = ["rep"] }, null, UplinkFrames.Wds),
                RefusalReason.ChannelDiffers
            },
            {
                "WDS, another width",
                With(
                    l => l with { Channel = 36, WidthMhz = 20 },
                    r => r with { Channel = 36, WidthMhz = 40, WdsPeers = ["rep"] },
                    null,
                    UplinkFrames.Wds
                ),
                RefusalReason.ChannelDiffers
            },
            {
                "WDS, not told of it",
                With(l => l with { Channel = 36 }, r => r with { Channel = 36 }, null, UplinkFrames.Wds),
                RefusalReason.PeerNotKnown
            },
            {
                "four addresses not taken",
                With(l => l, null, null, UplinkFrames.FourAddress).FourAddresses("gw", Known.No),
                RefusalReason.FourAddressesNotTaken
            },
            { "four addresses taken", With(l => l, null, null, UplinkFrames.FourAddress).FourAddresses("gw"), null },
        };

    [Theory]
    [MemberData(nameof(Cases))]
    public void A_box_joins_where_everything_fits_and_else_the_fact_says_why_not(string what, Home home, RefusalReason? why)
    {
        var network = Compiler.Compile(home.Design, Situation.Settled);
        // A password that is not recorded keeps no link from being taken to stand, but everything that crosses it open.
        var open = network.RadioLinks.Any(l => l.KeyOpen);
        var refused = open ? RefusalReason.PasswordNotKnown : network.Unjoined.Select(u => (RefusalReason?)u.Why).SingleOrDefault();
        Assert.True(refused == why, $"{what}: {network.Unjoined.SingleOrDefault()}");
        Assert.Equal(why is null || open, network.Links.Any(l => l.IsRadio));
        Assert.Equal(why is null || open, network.Find("a", Side.Device)!.Segment == "gw");
    }

    [Fact]
    public void What_crosses_a_link_whose_password_nobody_recorded_is_not_known()
    {
        Answer Of(string? password) =>
            Observer
                .Observe(
                    Compiler.Compile(
                        Home.WithGateway()
                            .Repeater("rep", "gw", link: l => l with { Password = password })
                            .Wired("a", "rep/lan1", "192.168.8.5/24")
                            .Design,
                        Situation.Settled
                    )
                )
                .Sheet.Internet.Single()
                .Answer;
        Assert.Equal((AnswerKind.Yes, AnswerKind.No), (Of("key").Kind, Of("wrong").Kind));
        Assert.Equal((AnswerKind.Unknown, "uplink-not-joined(rep)"), (Of(null).Kind, Of(null).Causes.Single().Identity));
    }

    public static TheoryData<string, Func<Device, Device>, RefusalReason?> Gadgets =>
        new()
        {
            { "one that knows all bands", d => d, null },
            { "one of 2.4 GHz only", d => d with { Bands = [RadioBand.Ghz2] }, RefusalReason.BandMissing },
            { "one of this band only", d => d with { Bands = [RadioBand.Ghz5] }, null },
            { "one that knows TKIP at most", d => d with { NewestSecurity = WifiSecurity.Wep }, RefusalReason.SecurityDiffers },
            { "one that knows WPA2 at most", d => d with { NewestSecurity = WifiSecurity.Wpa2 }, null },
        };

    [Theory]
    [MemberData(nameof(Gadgets))]
    public void A_device_finds_only_what_it_knows(string what, Func<Device, Device> edit, RefusalReason? why)
    {
        var refusals = Compiler.Compile(Home.WithGateway().Wifi("a", "gw").Device("a", edit).Design, Situation.Settled).Refusals;
        Assert.True(refusals.Select(r => (RefusalReason?)r.Why).SingleOrDefault() == why, what);
    }

    // Three addresses: leases through the box are luck unless it is known; fixed hosts and the box itself are not.
    [Theory]
    [InlineData(UplinkFrames.ThreeAddress, Known.Unknown, AnswerKind.Luck)]
    [InlineData(UplinkFrames.ThreeAddress, Known.No, AnswerKind.No)]
    [InlineData(UplinkFrames.ThreeAddress, Known.Yes, AnswerKind.Yes)]
    [InlineData(UplinkFrames.FourAddress, Known.Unknown, AnswerKind.Yes)]
    public void Leases_through_three_addresses_are_luck(UplinkFrames frames, Known through, AnswerKind leased)
    {
        var home = Home.WithGateway()
            .FourAddresses("gw")
            .Bridge("br", "gw", frames)
            .Habits("br", new() { LeasesThrough = through })
            .Wired("a", "br/lan1")
            .Wired("b", "br/lan2", "192.168.8.5/24")
            .Wired("c", "gw/lan1");
        Assert.Equal([leased, AnswerKind.Yes, AnswerKind.Yes], new[] { "a", "b", "c" }.Select(d => Internet(home, d).Kind));
        Assert.Equal(leased is AnswerKind.Yes ? [] : [CauseCodes.DhcpThroughBridge], Internet(home).Causes.Select(c => c.Code));
    }

    // Several addresses on one MAC address are what proxying looks like, and no duplicate.
    [Fact]
    public void Behind_three_addresses_everybody_has_the_mac_address_of_the_bridge()
    {
        var home = Home.WithGateway()
            .Bridge("br", "gw")
            .Wired("a", "br/lan1", "192.168.8.5/24")
            .Wired("b", "br/lan2", "192.168.8.6/24")
            .Wired("c", "gw/lan1");
        var seen = See(home);
        var own = home.Design.Box("br")!.Mac;
        Assert.Equal([own, own], Looking.From(seen, "c")!.Table.Where(n => n.Owner is "a" or "b").Select(n => n.Mac));
        Assert.Equal([home.Design.Device("b")!.Mac], Looking.From(seen, "a")!.Table.Where(n => n.Owner is "b").Select(n => n.Mac));
        Assert.Empty(seen.Sheet.Conflicts);
    }

    [Fact]
    public void A_repeater_with_a_subnet_of_its_own_is_a_cascade()
    {
        var home = Home.WithGateway()
            .Router("rep")
            .Edit<RouterMode>("rep", m =>
                m with
                {
                    Uplink = new("r5", "gw", "home", WifiSecurity.Wpa2, "key", UplinkFrames.ThreeAddress) { Locked = true },
                }
            )
            .Wired("a", "rep/lan1");
        Assert.Equal(["rep", "gw"], See(home).Sheet.Internet.Single().NatBy);
        Assert.Equal(AnswerKind.Yes, Internet(home).Kind);
    }

    // The server of a WDS partner that stays on answers everybody, cabled or not (common practice).
    [Theory]
    [InlineData(false, AnswerKind.Yes)]
    [InlineData(true, AnswerKind.Luck)]
    public void By_WDS_both_boxes_are_one_network(bool server, AnswerKind answer)
    {
        var home = Home.WithGateway()
            .Edit<RouterMode>("gw", m => m with { Wifi = [Radio(r => r with { Channel = 36, WdsPeers = ["far"] })] })
            .Router("far", "192.168.8.2/24", "192.168.8.220-192.168.8.240", server)
            .Edit<RouterMode>("far", m =>
                m with
                {
                    Uplink = new("r5", "gw", "home", WifiSecurity.Wpa2, "key", UplinkFrames.Wds) { Channel = 36 },
                }
            )
            .Wired("a", "far/lan1")
            .Wired("b", "gw/lan1");
        Assert.Equal([answer, answer], new[] { "a", "b" }.Select(d => Internet(home, d).Kind));
    }

    [Theory]
    [InlineData(null, Known.Unknown, AnswerKind.Yes)]
    [InlineData("gw", Known.Yes, AnswerKind.Yes)]
    [InlineData("gw", Known.No, AnswerKind.No)]
    [InlineData("gw", Known.Unknown, AnswerKind.Luck)]
    public void A_cable_beside_the_radio_backhaul_is_a_ring_unless_the_kit_stops_it(string? by, Known stops, AnswerKind answer)
    {
        var home = Home.WithGateway()
            .Satellite("sat", "gw", by)
            .Cable("gw/lan1", "sat/wan")
            .Wired("a", "sat/lan1")
            .Habits("sat", new() { StopsRings = stops });
        Assert.Equal(answer, Internet(home).Kind);
    }

    [Fact]
    public void Satellites_by_radio_by_cable_mixed_and_chained_are_one_network_with_the_names_of_the_main_node()
    {
        var home = Home.WithGateway()
            .Satellite("s1", "gw", "gw")
            .Satellite("s2", "gw", "s1")
            .Satellite("s3", "gw", null)
            .Cable("gw/lan1", "s3/wan")
            .Satellite("s4", "gw", "s3")
            .Wifi("a", "s1")
            .Wifi("b", "s2")
            .Wifi("c", "s3")
            .Wifi("d", "s4")
            .Wired("e", "s2/lan1");
        Assert.All(See(home).Sheet.Internet, i => Assert.Equal(AnswerKind.Yes, i.Answer.Kind));
        Assert.Equal(["radio:s1", "radio:s2", "radio:s4"], See(home).Sheet.Links.Where(l => l.Kind == LinkKind.Radio).Select(l => l.Id));
    }

    [Fact]
    public void A_node_of_another_kit_is_not_joined()
    {
        var home = Home.WithGateway().Satellite("sat", "gw", "gw").Profile("sat", p => p with { Kit = "other" }).Wifi("a", "sat");
        Assert.Equal(RefusalReason.NotOfKit, Compiler.Compile(home.Design, Situation.Settled).Unjoined.Single().Why);
        Assert.Equal(AnswerKind.No, Internet(home).Kind);
    }

    // What no one recorded is never a no: one of two radios may have the very key.
    [Fact]
    public void A_key_that_one_radio_lacks_a_record_of_leaves_it_open()
    {
        var home = Home.WithGateway()
            .Profile("gw", p => p with { Radios = [new("r24", RadioBand.Ghz2), .. p.Radios] })
            .Edit<RouterMode>("gw", m => m with { Wifi = [new("r24", true, "home", WifiSecurity.Wpa2, null), m.Wifi[0]] })
            .Wifi("a", "gw", key: "another-key");
        Assert.Equal(RefusalReason.PasswordNotKnown, Compiler.Compile(home.Design, Situation.Settled).Refusals.Single().Why);
        Assert.Equal(AnswerKind.Unknown, Internet(home).Kind);
    }

    // Its WAN side is the socket or the radio, never a bridge between both.
    [Fact]
    public void A_cable_beside_the_radio_on_the_outer_side_of_a_router_is_no_ring()
    {
        var home = Home.WithGateway()
            .Router("rep")
            .Cable("gw/lan1", "rep/wan")
            .Edit<RouterMode>("rep", m =>
                m with
                {
                    Uplink = new("r5", "gw", "home", WifiSecurity.Wpa2, "key", UplinkFrames.ThreeAddress) { Locked = true },
                }
            )
            .Wired("a", "rep/lan1");
        Assert.Equal(AnswerKind.Yes, Internet(home).Kind);
        Assert.DoesNotContain(See(home).Sheet.Links, l => l.Kind == LinkKind.Radio);
    }

    [Fact]
    public void Nodes_of_a_kit_are_one_group_also_beside_a_guest_name_with_a_tag()
    {
        var home = Home.WithGateway()
            .Satellite("a-node", "gw", "gw")
            .Point("point")
            .Cable("gw/lan1", "point/wan")
            .Edit<AccessPointMode>("point", m => m with { Guest = new("visitors", WifiSecurity.Wpa2, "guest-key") { Vlan = 20 } });
        Assert.Equal(
            ["a-node/r5", "gw/r5", "point/r5"],
            Roaming.Names(See(home).Network).Single(n => n.Name == "home").Groups.Single().Radios
        );
    }

    // Two repeaters of one name may join each other; told whom to join, they do not.
    [Theory]
    [InlineData(false, AnswerKind.Luck)]
    [InlineData(true, AnswerKind.Yes)]
    public void A_repeater_that_is_not_told_whom_may_join_another_or_itself(bool locked, AnswerKind answer)
    {
        var home = Home.WithGateway()
            .Repeater("r1", "gw", link: l => l with { Locked = locked })
            .Repeater("r2", "gw", link: l => l with { Locked = locked })
            .Wired("a", "r1/lan1", "192.168.8.5/24");
        Assert.Equal(answer, Internet(home).Kind);
    }
}
