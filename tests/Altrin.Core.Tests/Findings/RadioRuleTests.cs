using Altrin.Core.Findings;
using Altrin.Core.Packets;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Findings;

public sealed class UplinkNotJoinedTests() : RuleTests("uplink-not-joined")
{
    private static Home House(
        Func<Uplink, Uplink> link,
        Func<RadioSetting, RadioSetting>? main = null,
        Func<BoxRadio, BoxRadio>? ability = null,
        UplinkFrames frames = UplinkFrames.ThreeAddress
    )
    {
        var home = Home.WithGateway().Repeater("rep", "gw", frames, link: link).Wired("a", "rep/lan1", "192.168.8.5/24");
        home = main is null ? home : home.Edit<RouterMode>("gw", m => m with { Wifi = [main(m.Wifi[0])] });
        return ability is null ? home : home.Profile("rep", p => p with { Radios = [.. p.Radios.Select(ability)] });
    }

    public static TheoryData<Home> Mendable =>
        [
            House(l => l with { Password = "wrong-key" }),
            House(l => l with { Name = "elsewhere" }),
            House(l => l, r => r with { Security = WifiSecurity.Wpa3 }),
            House(l => l, r => r with { Security = WifiSecurity.Wpa3 }, r => r with { NewestSecurity = WifiSecurity.Wpa2 }),
            House(l => l, r => r with { Channel = 149 }, r => r with { Channels = [36, 40] }),
            House(l => l, r => r with { ProtectsFrames = FrameProtection.Required }, r => r with { NewestSecurity = WifiSecurity.Wpa2 }),
            House(l => l, frames: UplinkFrames.Wds),
            House(l => l with { Channel = 40 }, r => r with { Channel = 36, WdsPeers = ["rep"] }, frames: UplinkFrames.Wds),
            House(l => l, frames: UplinkFrames.FourAddress).FourAddresses("gw", Known.No),
        ];

    [Theory]
    [MemberData(nameof(Mendable))]
    public void Triggers_and_lets_both_agree(Home home)
    {
        One(home, Severity.WillNotWork, "rep");
        Cured(home, "Let rep and gw agree");
    }

    [Fact]
    public void Triggers_where_no_one_knows_about_four_addresses() =>
        One(House(l => l, frames: UplinkFrames.FourAddress), Severity.Concern, "rep");

    /// <summary>Channels 149 and up are not allowed everywhere, and a box made for elsewhere may not use them (common practice).</summary>
    private static Home Wandering(params int[] main) =>
        House(l => l, ability: r => r with { Channels = [36, 40, 44, 48] })
            .Profile("gw", p => p with { Radios = [.. p.Radios.Select(r => r with { Channels = main })] });

    [Fact]
    public void Is_luck_where_the_other_box_chooses_among_channels_that_it_may_not_use()
    {
        var finding = One(Wandering(36, 149), Severity.WillNotWork, "rep");
        Assert.Equal("gw chooses its channel by itself, and rep may not use all of them", finding.What);
        Assert.Equal(
            AnswerKind.Luck,
            Judging.Prove(Wandering(36, 149).Design).Observation.Sheet.Internet.Single(i => i.Device == "a").Answer.Kind
        );
        Cured(Wandering(36, 149), "Fix 5 GHz of gw to channel 36");
        None(Wandering(36, 149).Edit<RouterMode>("gw", m => m with { Wifi = [m.Wifi[0] with { Channel = 36 }] }));
    }

    [Fact]
    public void Near_miss_where_both_may_use_the_same() => None(Wandering(36, 44));

    [Fact]
    public void Near_miss() => None(House(l => l));
}

public sealed class BandMissingTests() : RuleTests("band-missing")
{
    [Fact]
    public void Triggers_for_one_that_finds_no_band_of_its_own()
    {
        var home = GadgetTests.House(d => d with { Bands = [RadioBand.Ghz2] });
        Assert.Equal("heating knows 2.4 GHz only, and gw sends \"home\" at 5 GHz only", One(home, Severity.WillNotWork, "heating").What);
        Cured(home, "Send \"home\" of gw on 2.4 GHz too");
        Cured(
            home.Point("ap").Cable("gw/lan1", "ap/lan1").Profile("ap", p => p with { Radios = [new("r5", RadioBand.Ghz2)] }),
            "Let heating join \"home\" at ap"
        );
    }

    [Fact]
    public void Near_miss()
    {
        None(GadgetTests.House(d => d with { Bands = [RadioBand.Ghz5] }));
        None(GadgetTests.House(d => d with { Bands = [RadioBand.Ghz2], NewestSecurity = WifiSecurity.Wpa2 }, both: true));
    }
}

public sealed class GadgetTests() : RuleTests("wifi-not-joined")
{
    internal static Home House(Func<Device, Device> gadget, WifiSecurity security = WifiSecurity.Wpa2, bool both = false)
    {
        var home = Home.WithGateway()
            .Profile("gw", p => p with { Radios = [new("r24", RadioBand.Ghz2), .. p.Radios] })
            .Edit<RouterMode>("gw", m =>
                m with
                {
                    Wifi =
                    [
                        new("r24", both, both ? m.Wifi[0].Name : "gw", WifiSecurity.Wpa2, both ? m.Wifi[0].Password : null),
                        m.Wifi[0] with
                        {
                            Security = security,
                        },
                    ],
                }
            );
        return home.Wifi("heating", "gw").Device("heating", gadget);
    }

    [Fact]
    public void Triggers_for_one_that_knows_no_protection_of_it() =>
        Cured(House(d => d with { NewestSecurity = WifiSecurity.Wpa2 }, WifiSecurity.Wpa3), "Let gw take older devices too");

    [Fact]
    public void Near_miss() => None(House(d => d with { Bands = [RadioBand.Ghz5], NewestSecurity = WifiSecurity.Wpa2 }));
}

public sealed class RepeaterJoinsOtherTests() : RuleTests("repeater-joins-other")
{
    private static Home Two(bool locked) =>
        Home.WithGateway()
            .Repeater("r1", "gw", link: l => l with { Locked = locked }, name: "upstairs")
            .Repeater("r2", "gw")
            .Wired("a", "r1/lan1", "192.168.8.5/24");

    [Fact]
    public void Triggers()
    {
        One(Two(false), Severity.WillNotWork, "r1");
        Cured(Two(false), "Let r1 join gw by its radio address only");
    }

    [Fact]
    public void Near_miss() => None(Two(true));
}

public sealed class DhcpThroughBridgeTests() : RuleTests("dhcp-through-bridge")
{
    private static Home House(UplinkFrames frames, string? address) =>
        Home.WithGateway().FourAddresses("gw").Bridge("br", "gw", frames).Wired("a", "br/lan1", address);

    [Theory]
    [InlineData("Give a a fixed address outside the pool")]
    [InlineData("Let br use four addresses")]
    public void Triggers(string cure)
    {
        One(House(UplinkFrames.ThreeAddress, null), Severity.WillNotWork, "br");
        Cured(House(UplinkFrames.ThreeAddress, null), cure);
    }

    [Theory]
    [InlineData(UplinkFrames.ThreeAddress, "192.168.8.5/24")]
    [InlineData(UplinkFrames.FourAddress, null)]
    public void Near_miss(UplinkFrames frames, string? address) => None(House(frames, address));
}

public sealed class RadioChainTests() : RuleTests("repeater-chain")
{
    private static Home House(string by) => Home.WithGateway().Satellite("s1", "gw", "gw").Satellite("s2", "gw", by).Wired("a", "s2/lan1");

    [Fact]
    public void Triggers()
    {
        One(House("s1"), Severity.Concern, "s2");
        Cured(House("s1"), "Let s2 join gw itself");
    }

    [Fact]
    public void Near_miss_in_a_star() => None(House("gw"));
}

public sealed class RadioRingTests() : RuleTests("loop")
{
    private static Home House(Known stops) =>
        Home.WithGateway()
            .Satellite("sat", "gw", "gw")
            .Cable("gw/lan1", "sat/wan")
            .Wired("a", "sat/lan1")
            .Habits("sat", new() { StopsRings = stops });

    [Theory]
    [InlineData(Known.No)]
    [InlineData(Known.Unknown)]
    public void Triggers_for_a_cable_beside_the_backhaul(Known stops)
    {
        One(House(stops), Severity.WillNotWork, "gw-lan1-sat-wan", "radio:sat");
        Cured(House(stops), "Let sat join by cable only");
    }

    [Fact]
    public void Near_miss_where_the_kit_stops_it() => None(House(Known.Yes));
}

public sealed class DnsOverWifiTests() : RuleTests("dns-over-wifi")
{
    private static Home House(bool wired) =>
        (
            wired
                ? Home.WithGateway().Wired("pi", "gw/lan1", "192.168.8.5/24")
                : Home.WithGateway().Bridge("br", "gw").Wired("pi", "br/lan1", "192.168.8.5/24")
        )
            .Wired("a", "gw/lan2")
            .Edit<RouterMode>("gw", m => m with { Server = m.Server with { DnsServers = [Home.At("192.168.8.5")] } });

    [Fact]
    public void Triggers()
    {
        One(House(false), Severity.Concern, "gw", "pi");
        Cured(House(false), "Make gw its own DNS server");
    }

    [Fact]
    public void Near_miss_on_a_cable() => None(House(true));
}

public sealed class LineNotMetTests() : RuleTests("line-not-met")
{
    private static Home House(LineNeeds needs) =>
        Home.New()
            .Gateway(bridge: true)
            .Cable("street", "gw/wan")
            .Router("main")
            .Cable("gw/lan1", "main/wan")
            .Wired("a", "main/lan1")
            .Service(new PublicDynamic(null, null) { Line = needs });

    public static TheoryData<LineNeeds, string> Wants =>
        new()
        {
            { Home.Asked with { Login = Known.Yes }, "Type the provider's login into main" },
            { Home.Asked with { Tagged = Known.Yes, Tag = 7 }, "Let main send the tag 7" },
            { Home.Asked with { Locked = Known.Yes, LockedTo = new(0x00005E0053AA) }, "Let main show" },
        };

    [Theory]
    [MemberData(nameof(Wants))]
    public void Triggers(LineNeeds needs, string cure)
    {
        One(House(needs), Severity.WillNotWork, "main");
        Cured(House(needs), cure);
    }

    [Fact]
    public void Near_miss() => None(House(Home.Asked));
}

public sealed class LineNotAskedTests() : RuleTests("line-not-asked")
{
    [Fact]
    public void Triggers_for_a_router_of_ones_own_only()
    {
        var unasked = new PublicDynamic(null, null);
        One(
            Home.New().Gateway(bridge: true).Cable("street", "gw/wan").Router("main").Cable("gw/lan1", "main/wan").Service(unasked),
            Severity.Concern,
            "main"
        );
        None(Home.WithGateway().Service(unasked));
    }
}

public sealed class PassThroughCutsOffTests() : RuleTests("pass-through-cuts-off")
{
    private static Home House(Known keeps) =>
        Home.WithGateway()
            .Router("main")
            .Cable("gw/lan1", "main/wan")
            .Passes("gw", PassKind.MacAddress, "main", keeps)
            .Wired("a", "main/lan1")
            .Wired("b", "gw/lan2");

    [Theory]
    [InlineData(Known.No, Severity.WillNotWork)]
    [InlineData(Known.Unknown, Severity.Concern)]
    public void Triggers(Known keeps, Severity severity)
    {
        One(House(keeps), severity, "gw");
        Cured(House(keeps), "Move the cables of gw to main");
    }

    [Fact]
    public void Near_miss() => None(House(Known.Yes));
}

public sealed class PassThroughUnusedTests() : RuleTests("pass-through-unused")
{
    private static Home House(string port) =>
        Home.WithGateway().Router("main").Cable("gw/lan1", "main/wan").Passes("gw", PassKind.Port, port).Wired("a", "main/lan1");

    [Fact]
    public void Triggers()
    {
        One(House("lan3"), Severity.Concern, "gw");
        Cured(House("lan3"), "Set the pass-through to the port of main");
    }

    [Fact]
    public void Near_miss() => None(House("lan1"));
}

public sealed class ServiceInGatewayTests() : RuleTests("service-in-gateway")
{
    private static Home House(bool bridge) =>
        Home.New()
            .Gateway(bridge: bridge)
            .Cable("street", "gw/wan")
            .Box("gw", b => b with { Holds = [LineService.Telephone, LineService.Alarm] });

    [Fact]
    public void Triggers() =>
        Assert.StartsWith("Telephone and alarm depend on gw", One(House(true), Severity.Concern, "gw").What, StringComparison.Ordinal);

    [Fact]
    public void Near_miss() => None(House(false));
}

public sealed class Ipv6AnnouncedTests() : RuleTests("ipv6-announced")
{
    private static Home House(Known announces) =>
        Home.WithGateway()
            .Point("point")
            .Cable("gw/lan1", "point/wan")
            .Wired("a", "point/lan1")
            .Habits("point", new() { AnnouncesIpv6 = announces });

    [Fact]
    public void Triggers() => One(House(Known.Yes), Severity.Concern, "point");

    [Fact]
    public void Near_miss() => None(House(Known.No));
}
