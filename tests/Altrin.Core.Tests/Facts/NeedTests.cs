using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Facts;

/// <summary>Every need of the customer has one meaning, and each of its answers can come about.</summary>
public sealed class NeedTests
{
    private static Answer Of(Home home, Need need) =>
        Judging.Prove(home.Need(need).Design).Observation.Sheet.Needs.Single(n => n.Need == need.Id).Answer;

    [Fact]
    public void A_local_server_is_reached_by_all_or_stopped_by_the_router_between()
    {
        var need = new LocalServer("n", "store");
        var flat = Home.WithGateway().Wired("store", "gw/lan1").Wifi("phone", "gw");
        Assert.True(Of(flat, need).IsYes);
        // Outward from a cascade it is reached, inward it is not.
        var cascade = () => Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan");
        Assert.True(Of(cascade().Wired("store", "gw/lan2").Wifi("phone", "in"), need).IsYes);
        Assert.Equal(AnswerKind.No, Of(cascade().Wired("store", "in/lan1").Wifi("phone", "gw"), need).Kind);
        // Guests are kept apart on purpose, and ask for nothing.
        Assert.True(Of(Home.WithGateway().Wired("store", "gw/lan1").Guests("gw").Wifi("guest", "gw", "guests", "guest-key"), need).IsYes);
    }

    [Fact]
    public void Little_delay_allows_one_radio_link_and_no_mains_wiring()
    {
        var need = new LittleDelay("n", "console");
        Assert.True(Of(Home.WithGateway().Wifi("console", "gw"), need).IsYes);
        Assert.Equal(
            AnswerKind.No,
            Of(Home.WithGateway().Repeater("rep", "gw", UplinkFrames.FourAddress).FourAddresses("gw").Wifi("console", "rep"), need).Kind
        );
        Assert.Equal(
            AnswerKind.No,
            Of(Home.WithGateway().Wired("console", "gw/lan1").Medium("gw-lan1-console", Medium.Powerline), need).Kind
        );
        var home = Home.WithGateway().Wired("console", "gw/lan1");
        Assert.Equal(
            AnswerKind.No,
            Of(home.Service(new PublicDynamic(100, 10) { Access = AccessKind.Satellite, Line = Home.Asked }), need).Kind
        );
        Assert.Equal(AnswerKind.No, Of(Home.New().Loose("console"), need).Kind);
    }

    [Fact]
    public void Calls_hold_beside_a_box_that_sends_and_are_not_known_elsewhere()
    {
        var home = () => Home.WithGateway().Place("study").Place("attic").Stands("gw", "study");
        Assert.True(Of(home(), new CallsInPlace("n", "study")).IsYes);
        Assert.Equal(AnswerKind.Unknown, Of(home(), new CallsInPlace("n", "attic")).Kind);
        Assert.Equal(
            AnswerKind.No,
            Of(
                home().Edit<RouterMode>("gw", m => m with { Wifi = [.. m.Wifi.Select(r => r with { On = false })] }),
                new CallsInPlace("n", "study")
            ).Kind
        );
        Assert.True(Of(home().Satellite("sat", "gw", "gw").Stands("sat", "attic"), new CallsInPlace("n", "attic")).IsYes);
    }

    /// <summary>
    /// Yes and no where the whole spread lies on one side of -67 dBm, otherwise not known, with the chance: never by luck. 5 GHz through
    /// brick: 23 - 67.3 - 21.6 = -66 dBm at 10 m.
    /// </summary>
    [Theory]
    [InlineData(4, 2, AnswerKind.Yes)]
    [InlineData(10, 2, AnswerKind.Unknown)]
    [InlineData(16, 4, AnswerKind.No)]
    public void Calls_hold_where_a_box_is_heard_well_enough(double east, int walls, AnswerKind answer)
    {
        static Place Room(Place p, double at) =>
            p with
            {
                EastMetres = at,
                NorthMetres = 0,
                LengthMetres = 4,
                WidthMetres = 4,
                Walls = Core.Radio.WallKind.Brick,
            };
        var home = Home.WithGateway().Place("here", p => Room(p, 0)).Place("there", p => Room(p, east)).Stands("gw", "here");
        if (walls > 2)
        {
            home.Place("between", p => Room(p, 6));
        }
        var need = new CallsInPlace("n", "there");
        var said = Of(home, need);
        Assert.Equal(answer, said.Kind);
        Assert.Equal(answer == AnswerKind.Unknown, said.Why?.Contains("% likely", StringComparison.Ordinal) == true);
        // A box that is off is not heard.
        var off = Observer.Observe(Compiler.Compile(home.Design, Situation.Settled with { Off = ["gw"] }));
        Assert.Equal(AnswerKind.No, off.Sheet.Needs.Single().Answer.Kind);
        // A box of which no one noted where it stands may stand there.
        Assert.NotEqual(AnswerKind.No, Of(home.Point("ap").Cable("gw/lan1", "ap/lan1"), need with { Id = "m" }).Kind);
    }

    /// <summary>What is heard and leads nowhere carries no call; with a cable, or where the line itself is not noted, it does.</summary>
    [Theory]
    [InlineData(true, true, AnswerKind.Yes)]
    [InlineData(true, false, AnswerKind.No)]
    [InlineData(false, false, AnswerKind.Yes)]
    public void Calls_go_over_what_leads_to_the_internet_line(bool line, bool cable, AnswerKind answer)
    {
        var home = (line ? Home.WithGateway() : Home.New().Gateway())
            .Edit<RouterMode>("gw", m => m with { Wifi = [.. m.Wifi.Select(r => r with { On = false })] })
            .Place("study")
            .Point("ap")
            .Stands("ap", "study");
        var said = Of(cable ? home.Cable("gw/lan1", "ap/lan1") : home, new CallsInPlace("n", "study"));
        Assert.Equal(answer, said.Kind);
    }

    [Fact]
    public void Guests_are_apart_where_a_box_sends_for_them_and_keeps_them_so()
    {
        var need = new GuestsKeptApart("n");
        Assert.Equal(AnswerKind.No, Of(Home.WithGateway(), need).Kind);
        Assert.True(Of(Home.WithGateway().Guests("gw"), need).IsYes);
        Assert.Equal(
            AnswerKind.No,
            Of(Home.WithGateway().Wifi("phone", "gw").Router("in").Cable("gw/lan1", "in/wan").Guests("in"), need).Kind
        );
        Home Point(Known apart) =>
            Home.WithGateway()
                .Point("p")
                .Cable("gw/lan1", "p/wan")
                .Habits("p", new() { GuestsApart = apart })
                .Edit<AccessPointMode>("p", m => m with { Guest = new("guests", WifiSecurity.Wpa2, "guest-key") });
        Assert.True(Of(Point(Known.Yes), need).IsYes);
        Assert.Equal(AnswerKind.No, Of(Point(Known.No), need).Kind);
        Assert.Equal(AnswerKind.Unknown, Of(Point(Known.Unknown), need).Kind);
    }

    [Theory]
    [InlineData("home", WifiSecurity.Wpa2, "key", AnswerKind.Yes)]
    [InlineData("home", WifiSecurity.Wpa2Wpa3, "key", AnswerKind.Yes)]
    [InlineData("home", WifiSecurity.Wpa3, "key", AnswerKind.No)]
    [InlineData("home", WifiSecurity.Wpa2, "another", AnswerKind.No)]
    [InlineData("home", WifiSecurity.Wpa2, null, AnswerKind.Unknown)]
    [InlineData("old", WifiSecurity.Wpa2, "key", AnswerKind.No)]
    public void A_name_is_kept_with_key_and_protection(string name, WifiSecurity security, string? key, AnswerKind expected) =>
        Assert.Equal(expected, Of(Home.WithGateway(), new KeepsNameAndPassword("n", name, security, key)).Kind);

    [Theory]
    [InlineData(false, Known.Unknown, AnswerKind.Yes)]
    [InlineData(true, Known.Yes, AnswerKind.Yes)]
    [InlineData(true, Known.No, AnswerKind.No)]
    [InlineData(true, Known.Unknown, AnswerKind.Unknown)]
    public void What_lives_in_a_gateway_lives_while_that_routes(bool bridge, Known keeps, AnswerKind expected)
    {
        var home = Home.New()
            .Gateway(bridge: bridge)
            .Cable("street", "gw/wan")
            .Habits("gw", new() { KeepsServices = keeps })
            .Box("gw", b => b with { Holds = [LineService.Telephone] });
        Assert.Equal(expected, Of(home, new ServiceLives("n", LineService.Telephone)).Kind);
        Assert.Equal(AnswerKind.Unknown, Of(Home.WithGateway(), new ServiceLives("n", LineService.Alarm)).Kind);
    }

    [Fact]
    public void What_is_about_the_hours_of_the_work_is_left_to_the_order_of_the_work()
    {
        var proof = Judging.Prove(Home.WithGateway().Wired("alarm", "gw/lan1").Need(new StaysOnline("n", "alarm")).Design);
        Assert.Empty(proof.Observation.Sheet.Needs);
        Assert.Equal(VerdictKind.Sound, proof.Verdict.Kind);
    }

    [Fact]
    public void A_need_that_is_not_met_is_said_as_an_installer_would() =>
        Assert.Equal(
            "A network for guests is not kept apart",
            Judging.Prove(Home.WithGateway().Need(new GuestsKeptApart("n")).Design).Findings.Single(f => f.Code == "need-not-met").What
        );
}
