using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Networks;

/// <summary>Public addresses that are passed on, DMZ hosts, and what lines ask for (common practice).</summary>
public sealed class LineTests
{
    private static Observation See(Home home) => Observer.Observe(Compiler.Compile(home.Design, Situation.Settled));

    private static Answer Internet(Home home, string device) => See(home).Sheet.Internet.Single(i => i.Device == device).Answer;

    private static Home Behind(PassKind kind, Known keeps = Known.Yes, Known wifiOff = Known.No) =>
        Home.WithGateway()
            .Router("main")
            .Cable("gw/lan1", "main/wan")
            .Passes("gw", kind, kind == PassKind.Port ? "lan1" : "main", keeps, wifiOff)
            .Wired("a", "main/lan1")
            .Wired("b", "gw/lan2")
            .Wifi("c", "gw")
            .Reserve("main", "a", "192.168.20.5")
            .Forward("main", 8443, "192.168.20.5")
            .Reach("a", 8443);

    public static TheoryData<PassKind, Known, AnswerKind> Others =>
        new()
        {
            { PassKind.Port, Known.Yes, AnswerKind.Yes },
            { PassKind.Port, Known.No, AnswerKind.No },
            { PassKind.MacAddress, Known.Unknown, AnswerKind.Unknown },
            { PassKind.MacAddress, Known.No, AnswerKind.No },
            { PassKind.Mapping, Known.No, AnswerKind.Yes },
        };

    // One translation for the router behind it, inbound arrives; what the gateway's other ports keep differs from box to box.
    [Theory]
    [MemberData(nameof(Others))]
    public void A_passed_address_is_translated_once_and_the_others_keep_the_internet_by_profile(
        PassKind kind,
        Known keeps,
        AnswerKind others
    )
    {
        var home = Behind(kind, keeps);
        var seen = See(home);
        Assert.Equal(["main"], seen.Sheet.Internet.Single(i => i.Device == "a").NatBy);
        Assert.Equal(AnswerKind.Yes, Internet(home, "a").Kind);
        Assert.Equal(AnswerKind.Yes, seen.Sheet.Needs.Single().Answer.Kind);
        Assert.Equal(others, Internet(home, "b").Kind);
    }

    [Theory]
    [InlineData(Known.Yes, AnswerKind.No)]
    [InlineData(Known.No, AnswerKind.Yes)]
    public void The_gateways_Wi_Fi_goes_off_by_profile(Known off, AnswerKind answer) =>
        Assert.Equal(answer, Internet(Behind(PassKind.MacAddress, wifiOff: off), "c").Kind);

    [Fact]
    public void A_fixed_public_address_is_handed_to_the_router_behind()
    {
        var home = Behind(PassKind.MacAddress)
            .Service(new PublicFixed(Home.Own("203.0.113.40/24"), Home.At("203.0.113.1"), null, null) { Line = Home.Asked })
            .Edit<RouterMode>("gw", m => m with { Wan = new Fixed(Home.Own("203.0.113.40/24"), Home.At("203.0.113.1"), [Provider.Names]) });
        Assert.Equal("203.0.113.40", $"{See(home).Sheet.Addresses.Single(x => x is { Owner: "main", Side: Side.Wan }).Address}");
        Assert.Equal(AnswerKind.Yes, Internet(home, "a").Kind);
    }

    [Fact]
    public void To_another_mac_address_nothing_is_passed()
    {
        var home = Behind(PassKind.MacAddress)
            .Edit<RouterMode>("gw", m => m with { Passing = m.Passing! with { To = new(0x00005E0053FF) } });
        Assert.Equal(["main", "gw"], See(home).Sheet.Internet.Single(i => i.Device == "a").NatBy);
    }

    [Theory]
    [InlineData(8443, AnswerKind.Yes)]
    [InlineData(443, AnswerKind.No)]
    public void A_DMZ_host_gets_everything_but_what_the_gateway_keeps(int port, AnswerKind answer)
    {
        var home = Home.WithGateway()
            .Router("main")
            .Cable("gw/lan1", "main/wan")
            .Wired("a", "main/lan1")
            .Reserve("main", "a", "192.168.20.5")
            .Forward("main", port, "192.168.20.5")
            .Reach("a", port)
            .Edit<RouterMode>("main", m =>
                m with
                {
                    Wan = new Fixed(Home.Own("192.168.8.2/24"), Home.At("192.168.8.1"), [Home.At("192.168.8.1")]),
                }
            )
            .Edit<RouterMode>("gw", m => m with { Dmz = Home.At("192.168.8.2") })
            .Profile("gw", p => p with { KeptPorts = [443, 8080] });
        Assert.Equal(answer, See(home).Sheet.Needs.Single().Answer.Kind);
        Assert.Equal(["main", "gw"], See(home).Sheet.Internet.Single().NatBy);
    }

    private static Home AtLine(LineNeeds needs, LineSetting? typed = null) =>
        Home.New()
            .Gateway(bridge: true)
            .Cable("street", "gw/wan")
            .Router("main")
            .Cable("gw/lan1", "main/wan")
            .Wired("a", "main/lan1")
            .Service(new PublicDynamic(null, null) { Line = needs })
            .Edit<RouterMode>("main", m => m with { Line = typed ?? LineSetting.None });

    public static TheoryData<string, Home, LineFault?> Lines =>
        new()
        {
            { "a line that wants nothing", AtLine(Home.Asked), null },
            { "a login that is not typed in", AtLine(Home.Asked with { Login = Known.Yes }), LineFault.Login },
            { "a login", AtLine(Home.Asked with { Login = Known.Yes }, new(true, null, null)), null },
            { "a tag that is not sent", AtLine(Home.Asked with { Tagged = Known.Yes, Tag = 7 }), LineFault.Tag },
            { "another tag", AtLine(Home.Asked with { Tagged = Known.Yes, Tag = 7 }, new(false, 8, null)), LineFault.Tag },
            { "the tag", AtLine(Home.Asked with { Tagged = Known.Yes, Tag = 7 }, new(false, 7, null)), null },
            { "a lock on another box", AtLine(Home.Asked with { Locked = Known.Yes, LockedTo = new(0x00005E0053AA) }), LineFault.Lock },
            {
                "a lock, and its address shown",
                AtLine(Home.Asked with { Locked = Known.Yes, LockedTo = new(0x00005E0053AA) }, new(false, null, new(0x00005E0053AA))),
                null
            },
            {
                "the provider's own gateway",
                Home.WithGateway()
                    .Wired("a", "gw/lan1")
                    .Service(new PublicDynamic(null, null) { Line = Home.Asked with { Login = Known.Yes } }),
                null
            },
        };

    [Theory]
    [MemberData(nameof(Lines))]
    public void A_line_leases_only_to_whom_it_lets_on(string what, Home home, LineFault? fault)
    {
        var seen = See(home);
        Assert.True(seen.Network.Interfaces.Select(i => i.KeptOff).SingleOrDefault(f => f is not null) == fault, what);
        Assert.Equal(fault is null ? AnswerKind.Yes : AnswerKind.No, Internet(home, "a").Kind);
        Assert.Equal(fault is null ? [] : [CauseCodes.LineNotMet], Internet(home, "a").Causes.Select(c => c.Code));
        Assert.All(seen.Sheet.Leases.Where(l => l is { Side: Side.Wan, Owner: not "gw" }), l =>
            Assert.Equal(fault is null, l.Offers.Count > 0)
        );
    }

    // The gateway goes on telling the line: the box behind it is handed the address, and needs neither login nor tag.
    [Theory]
    [InlineData(PassKind.Port)]
    [InlineData(PassKind.Mapping)]
    public void Behind_a_gateway_that_passes_its_address_on_the_line_asks_for_nothing(PassKind kind)
    {
        var home = Behind(kind)
            .Service(
                new PublicDynamic(null, null)
                {
                    Line = new()
                    {
                        Login = Known.Yes,
                        Tagged = Known.Yes,
                        Tag = 7,
                    },
                }
            );
        Assert.Equal(AnswerKind.Yes, Internet(home, "a").Kind);
        Assert.DoesNotContain(Judging.Prove(home.Design).Findings, f => f.Code is "line-not-met" or "line-not-asked");
    }

    public static TheoryData<Change, string> Refused =>
        new()
        {
            { new SetPassing("gw", new(PassKind.Port, "lan1", null)), "cannot pass its public address on by port" },
            { new SetLine("gw", Home.All(new LineSetting(false, 4095, null))), "tags are 1 to 4094" },
            { new SetUplink("gw", Home.All(new Uplink("r9", "gw", "home", WifiSecurity.Wpa2, "key", UplinkFrames.Wds))), "no radio 'r9'" },
            { new SetRadio("gw", "r5", Partial<RadioSetting>.With(r => r.Channel, 37)), "no channel 37" },
            { new SetRadio("gw", "r5", Partial<RadioSetting>.With(r => r.WidthMhz, 30)), "30 MHz wide" },
            { new SetSatellite("gw", Partial<SatelliteMode>.With(s => s.By, null)), "no main node" },
        };

    [Theory]
    [MemberData(nameof(Refused))]
    public void What_no_page_takes_is_refused_with_a_reason(Change change, string reason) =>
        Assert.Contains(reason, change.ApplyTo(Home.WithGateway().Design).Error, StringComparison.Ordinal);
}
