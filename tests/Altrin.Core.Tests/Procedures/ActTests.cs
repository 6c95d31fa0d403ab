using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Procedures;

/// <summary>What hands can do, from where, how long it takes, and what is refused.</summary>
public sealed class ActTests
{
    private static State Morning(Home home) => State.Morning(home.Design);

    private static Home House() => InvariantTests.House();

    private static readonly Act ToNew = new LaptopToPort(PortRef.Read("new/lan2"));
    private static readonly Act ToGateway = new LaptopToPort(PortRef.Read("gw/lan4"));

    private static State After(State now, params Act[] acts)
    {
        var play = Play.Of(now, acts, null, TestContext.Current.CancellationToken);
        Assert.All(play.Steps, s => Assert.True(s.Refused is null, $"{s.Says}: {s.Refused}"));
        return play.End;
    }

    private static SavePage Renamed(string box) =>
        new SavePage(box, [new SetRadio(box, "r5", Partial<RadioSetting>.With(r => r.Name, "x"))]);

    private static SavePage Longer(string box) => new SavePage(box, [new SetLeaseTime(box, 60)]);

    public static TheoryData<string, Act[], Act, string> Refusals =>
        new()
        {
            { "bag", [], Longer("gw"), "The laptop is in its bag" },
            { "elsewhere", [ToNew], Longer("gw"), "does not open at 192.168.8.1" },
            { "login", [ToNew, new ResetBox("new"), new WaitUntilReady("new")], Longer("new"), "login of new is not known" },
            { "busy", [ToNew, Longer("new")], Longer("new"), "new is busy" },
            { "no power", [new PowerOff("new")], Longer("new"), "new has no power" },
            {
                "two pages",
                [ToNew],
                new SavePage("new", [new SetLeaseTime("new", 60), new SetNat("new", false)]),
                "save one after the other"
            },
            { "no such setting", [ToGateway], new SavePage("gw", [new SetVlansOf()]), "no page of gw sets that" },
            { "a cable", [ToGateway], new SavePage("gw", [new Unpatch("gw-lan1-s-lan1")]), "no page of gw sets that" },
            { "another box", [ToGateway], new SavePage("gw", [new SetLeaseTime("new", 60)]), "no page of gw sets that" },
            { "nothing", [ToGateway], new SavePage("gw", []), "1 to 50 settings" },
            { "over Wi-Fi", [new LaptopToWifi("new", "other", "key")], Longer("new"), "its own Wi-Fi: take a cable" },
            { "no app", [], new SetInApp("new", [new SetLeaseTime("new", 60)]), "is not set with an application" },
            { "no file", [ToNew], new UpdateFirmware("new"), "was not fetched" },
            { "port in use", [ToGateway], new PatchCable(PortRef.Read("gw/lan4"), PortRef.Read("new/lan1")), "The laptop is in port" },
            { "cable in port", [], new LaptopToPort(PortRef.Read("gw/lan1")), "There is a cable" },
            { "dead port", [new PowerOff("new")], ToNew, "new has no power" },
            { "still there", [ToNew], ToNew, "The laptop is in port" },
            { "no port", [], new LaptopOutOfPort(), "in no port" },
            { "busy reset", [new ResetBox("new")], new ResetBox("new"), "new is busy for another" },
            { "plugged", [ToNew], new CarryBox("new", "loft"), "The laptop is plugged into new" },
            { "ready", [], new WaitUntilReady("gw"), "gw is ready" },
            { "no place", [], new CarryBox("new", "moon"), "no place 'moon'" },
            { "no device", [], new NewLink("nothing"), "no device 'nothing'; there is" },
            { "no box", [], new Fetch("nothing", Fetchable.Manual), "no box 'nothing'; there is gw," },
            { "no box to carry", [], new CarryBox("nothing", "loft"), "no box 'nothing'" },
            { "a name for an id", [], new PutBoxAway("NEW"), "no box 'NEW': the id of new is 'new'" },
            { "a mark for a port", [], new LaptopToPort(PortRef.Read("gw/4")), "what is marked 4 on gw is 'gw/lan4'" },
            { "no such port", [], new LaptopToPort(PortRef.Read("gw/lan9")), "no port 'gw/lan9'; there is gw/wan, gw/lan1" },
            { "a port of no box", [], new LaptopToPort(PortRef.Read("gone/lan1")), "no box 'gone'" },
            { "a name not sent", [], new LaptopToWifi("gw", "hmoe", "key"), "looks for \"hmoe\", which gw does not send" },
            { "another key", [], new LaptopToWifi("gw", "home", "kee"), "The laptop has another password for \"home\"" },
            { "a silent radio", [new PowerOff("new")], new LaptopToWifi("new", "other", "key"), "which new does not send" },
            { "no wait", [], new WaitFor(0), "a second to a day" },
            { "pages unread", [], new RecordFacts("gw", [Recordable.Pages]), "The laptop is in its bag" },
            { "nothing to fetch it by", [ToNew], new Fetch("new", Fetchable.Firmware), "has no internet" },
            { "no MAC", [ToNew], new FindPage("nomac"), "MAC address of nomac is not read" },
            { "no internet", [ToNew], new Verify(Verifiable.Internet), "has no internet" },
            {
                "two servers",
                [new PatchCable(PortRef.Read("gw/lan3"), PortRef.Read("new/lan1")), ToGateway],
                new Verify(Verifiable.OneDhcpServer),
                "2 DHCP servers"
            },
            { "wrong page", [ToGateway], new OpenPage("new", Home.At("192.168.8.1")), "the page of gw opens, not that of new" },
        };

    /// <summary>Nothing sets this of a box without VLANs.</summary>
    private sealed record SetVlansOf : Change
    {
        public override Parsed<SetUp> ApplyTo(Design design) => design.SetUp;

        public override string Describe(Design design) => "VLANs";

        public override IReadOnlyList<string> Subjects() => ["s"];

        public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Vlans, "s", "lan1")];
    }

    [Theory]
    [MemberData(nameof(Refusals))]
    public void What_cannot_be_done_is_refused_with_the_reason_and_changes_nothing(string what, Act[] before, Act act, string reason)
    {
        var now = After(
            Morning(House().Router("nomac", "192.168.50.1/24").Box("nomac", b => b with { Mac = null, WanMac = null })),
            before
        );
        var done = act.From(now);
        Assert.False(done.Ok, what);
        Assert.Contains(reason, done.Error, StringComparison.Ordinal);
        var play = Play.Of(now, [act], null, TestContext.Current.CancellationToken);
        Assert.Equal(reason, play.Steps[0].Refused!.Contains(reason, StringComparison.Ordinal) ? reason : play.Steps[0].Refused);
        Assert.Same(now, play.End);
    }

    /// <summary>
    /// A box of which nothing is recorded: one setting a save (but for the security and password of Wi-Fi), each save restarts it, its page
    /// by a LAN cable only.
    /// </summary>
    [Fact]
    public void An_old_home_has_the_cautious_pages()
    {
        var profile = Home.WithGateway().Design.Box("gw")!.Profile;
        foreach (var setting in ModeSettings.OnPages(ModeKind.Router))
        {
            var page = PageAt.Of(profile, ModeKind.Router, setting)!;
            Assert.Equal((Known.Yes, false), (page.Restarts, page.Noted));
            Setting[] key = [Setting.WifiSecurity, Setting.WifiPassword];
            Assert.Equal(key.Contains(setting) ? key : [setting], page.Sets);
        }
        Assert.Equal([PageSide.Cable], PageAt.Sides(profile));
        Assert.Null(PageAt.Of(profile, ModeKind.Router, Setting.Satellite));
        Assert.NotEmpty(PageAt.NotKnown(profile));
    }

    [Fact]
    public void Settings_of_one_page_share_a_save_and_pages_leave_out_what_the_mode_lacks()
    {
        var page = new SettingsPage("LAN", [Setting.LeaseTime, Setting.DhcpServer]) { Restarts = Known.No };
        var home = House().Traits("new", new() { Pages = [page] });
        var at = PageAt.Of(home.Design.Box("new")!.Profile, ModeKind.Router, Setting.DhcpServer)!;
        Assert.Equal(("LAN", true, Known.No, Known.No), (at.Area, at.Noted, at.Restarts, at.DropsWifi));
        var now = After(Morning(home), ToNew, new SavePage("new", [new SetLeaseTime("new", 60), new SwitchDhcpServer("new", false)]));
        Assert.False(((RouterMode)now.Design.Mode("new")!).Server.On);
        Assert.Equal([BusyKind.Saving], now.Moment.Situation.Busy.Select(b => b.Kind));
        Assert.Null(PageAt.Of(home.Design.Box("new")!.Profile, ModeKind.AccessPoint, Setting.DhcpServer));
    }

    /// <summary>Hands take their time, then the box takes its own; the laptop meanwhile sees nothing of it.</summary>
    [Fact]
    public void A_save_takes_the_time_of_hands_and_then_that_of_the_box()
    {
        var home = House().Traits("new", new() { SaveSeconds = 60 });
        var ready = After(Morning(home), ToNew, new LaptopAddress(new Fixed(Home.Own("192.168.20.9/24"), null, [])));
        var outcome = Assert.Single(new SavePage("new", [new SetLanAddress("new", Home.Own("192.168.30.1/24"))]).From(ready).Value);
        Assert.Equal(
            (TimeSpan.FromSeconds(45), TimeSpan.FromSeconds(60), true),
            (outcome.Takes.Usual, outcome.Then!.Usual, outcome.Then.Noted)
        );
        Assert.Equal(ready.Time + TimeSpan.FromSeconds(45), outcome.After.Time);
        var done = After(outcome.After, new WaitUntilReady("new"));
        // Its page is at another address now, and the laptop's typed address does not lead there.
        Assert.Equal(AnswerKind.No, PageReach.At(done, Home.At("192.168.20.1")).Answer);
        Assert.Equal(AnswerKind.No, PageReach.At(done, Home.At("192.168.30.1")).Answer);
        var moved = After(done, new LaptopAddress(new Fixed(Home.Own("192.168.30.9/24"), null, [])));
        Assert.Equal("new", PageReach.At(moved, Home.At("192.168.30.1")).Box);
    }

    /// <summary>Where it is not known what the box does there are several outcomes; what it does is noted then, and there is one.</summary>
    [Theory]
    [InlineData(Known.Unknown, Known.Unknown, 3)]
    [InlineData(Known.Unknown, Known.Yes, 2)]
    [InlineData(Known.Yes, Known.Unknown, 1)]
    [InlineData(Known.No, Known.Unknown, 2)]
    [InlineData(Known.No, Known.No, 1)]
    public void Unknown_habits_of_a_save_have_few_outcomes(Known restarts, Known drops, int outcomes)
    {
        var page = new SettingsPage("wireless", [Setting.WifiName]) { Restarts = restarts, DropsWifi = drops };
        var now = After(Morning(House().Traits("new", new() { Pages = [page] })), ToNew);
        var made = Renamed("new").From(now).Value;
        Assert.Equal(outcomes, made.Count);
        Assert.Equal(outcomes > 1, made.All(o => o.If is not null));
        Assert.All(made, o => Assert.Equal("x", o.After.Design.Mode("new")!.Radios[0].Name));
    }

    [Fact]
    public void Another_mode_of_an_unknown_kind_has_four_outcomes_and_the_act_names_one()
    {
        var now = After(Morning(House()), ToNew);
        var act = new SavePage("new", [new SetMode("new", ModeKind.AccessPoint)]);
        Assert.Equal(4, act.From(now).Value.Count);
        var kept = Play.Of(now, [act with { Outcome = 2 }], null, TestContext.Current.CancellationToken).End.Design.Mode("new");
        Assert.Equal("192.168.20.1/24", $"{((Fixed)((AccessPointMode)kept!).Page).Address}");
        Assert.Contains(
            "there is no outcome 9",
            Play.Of(now, [act with { Outcome = 9 }], null, TestContext.Current.CancellationToken).Steps[0].Refused,
            StringComparison.Ordinal
        );
    }

    /// <summary>A box from the shelf wakes at the table with what it holds, and is on the live network with its first cable.</summary>
    [Theory]
    [InlineData(StoredState.Factory, 1, "192.168.1.1")]
    [InlineData(StoredState.LastHome, 1, "192.168.77.1")]
    [InlineData(StoredState.Unknown, 2, "192.168.1.1")]
    public void A_box_from_the_shelf_wakes_with_what_it_holds(StoredState state, int outcomes, string address)
    {
        var home = House()
            .Box("new", b => b with { Stored = new(state)
                    {
                        Address = state == StoredState.LastHome ? Home.Own("192.168.77.1/24") : null,
                        DhcpServer = state == StoredState.LastHome ? Known.No : Known.Unknown,
                    }, Profile = b.Profile with { FactoryAddress = Home.Own("192.168.1.1/24") } });
        var shelf = ChangeList.Apply(home.Design, [new TakeOutOfUse("new")]).Value;
        var woken = new PowerOn("new").From(State.Morning(shelf)).Value;
        Assert.Equal(outcomes, woken.Count);
        var router = (RouterMode)woken[0].After.Design.Mode("new")!;
        Assert.Equal((address, state != StoredState.LastHome), ($"{router.Lan.Address}", router.Server.On));
        Assert.Equal(state != StoredState.LastHome, woken[0].After.Ledger.AtFactory.Contains("new"));
        Assert.DoesNotContain(woken[0].After.Design.SetUp.Cables, c => c.Ends("new"));
        Assert.NotNull(woken[0].Then);
    }

    /// <summary>What hangs on a box is offline for as long as the box is carried, and until it has started.</summary>
    [Fact]
    public void A_box_that_is_carried_is_off_on_the_way()
    {
        var home = House();
        var now = After(Morning(home), new CarryBox("s", "loft"));
        Assert.Equal((Durations.Carry.Usual, "loft"), (now.Time, now.Design.Setting("s")!.Place));
        Assert.Equal(AnswerKind.No, now.Seen().Sheet.Internet.Single(i => i.Device == "a").Answer.Kind);
        Assert.Equal(1, now.Moment.Situation.Memory!.Boots["s"]);
        Assert.True(After(now, new WaitUntilReady("s")).Seen().Sheet.Internet.Single(i => i.Device == "a").Answer.IsYes);
    }

    [Fact]
    public void A_page_that_moved_is_found_by_its_mac_address()
    {
        var home = House().Point("point").Cable("gw/lan3", "point/wan").Box("point", b => b with { Mac = new(0x00005E0053AB) });
        var now = After(Morning(home), ToGateway, new FindPage("point"));
        var found = Assert.Single(now.Ledger.Found);
        Assert.Equal(("point", "point"), (found.Box, PageReach.At(now, found.Address).Box));
        Assert.False(new FindPage("point").From(After(Morning(home), ToNew)).Ok);
    }

    /// <summary>Two ways to one subnet: which one the laptop takes is luck, and is said so.</summary>
    [Fact]
    public void A_laptop_with_two_ways_gets_to_a_page_by_luck()
    {
        var now = After(Morning(House()), ToGateway, new LaptopToWifi("gw", "home", "key"));
        Assert.Equal(AnswerKind.Luck, PageReach.At(now, Home.At("192.168.8.1")).Answer);
        Assert.Equal(AnswerKind.Luck, Expectation.Of(now).Pages.Single(p => p.Address == Home.At("192.168.8.1")).Answer);
    }

    [Fact]
    public void What_is_expected_of_a_state_tells_addresses_pages_names_and_who_is_online()
    {
        var home = House()
            .Traits(
                "new",
                new()
                {
                    Lights = [new(LightPhase.InUse, "power", "green", "it works"), new(LightPhase.Starting, "power", "red", "it starts")],
                }
            );
        var now = After(Morning(home), ToNew, new OpenPage("new"));
        var sees = Expectation.Of(now);
        Assert.Equal("192.168.20.1", $"{Assert.Single(sees.Adapters).Address!.Gateway}");
        Assert.Equal(["192.168.8.1 ", "192.168.20.1 new"], sees.Pages.Select(p => $"{p.Address} {p.Box}"));
        Assert.Equal(AnswerKind.No, sees.Internet!.Ping.Kind);
        Assert.Equal(["home gw", "other new"], sees.Names.Select(n => $"{n.Name} {n.Box}"));
        Assert.Equal("it works", Assert.Single(sees.Lights).Means);
        Assert.All(sees.Online, o => Assert.True(o.Answer.IsYes));
        var starting = Expectation.Of(After(now, new ResetBox("new")));
        Assert.Equal("it starts", Assert.Single(starting.Lights).Means);
        Assert.Equal(["home"], starting.Names.Select(n => n.Name));
        Assert.Null(Assert.Single(starting.Adapters).Gateway);
    }

    public static TheoryData<int> Seeds => [.. Enumerable.Range(19_001, 25)];

    /// <summary>Whatever is tried: time never goes back, outcomes are at most four, and the same acts give the same states.</summary>
    [Theory]
    [MemberData(nameof(Seeds))]
    public void Any_list_of_acts_plays_and_plays_again_alike(int seed)
    {
        var (first, again) = (Run(), Run());
        Assert.Equal(first.Count, again.Count);
        Assert.All(first.Zip(again), p => Assert.Equal(Plain.Of(p.First.Moment.Situation), Plain.Of(p.Second.Moment.Situation)));
        Assert.All(first.Zip(again), p => Assert.Equal(Plain.Of(p.First.Ledger), Plain.Of(p.Second.Ledger)));

        List<State> Run()
        {
            var dice = new Random(seed);
            var now = State.Morning(DesignGenerator.Make(seed, 3 + (seed % 4)));
            var states = new List<State>();
            for (var i = 0; i < 30; i++)
            {
                var done = ActGenerator.Make(dice, now).From(now);
                if (done.Ok)
                {
                    Assert.InRange(done.Value.Count, 1, Act.MostOutcomes);
                    Assert.All(done.Value, o => Assert.True(o.After.Time >= now.Time, $"seed {seed}: time went back"));
                    Assert.All(done.Value, o => Assert.True(o.Takes.Least <= o.Takes.Usual && o.Takes.Usual <= o.Takes.Most));
                    now = done.Value[dice.Next(done.Value.Count)].After;
                }
                states.Add(now);
            }
            return states;
        }
    }

    /// <summary>
    /// Leases are renewed by link: what hangs at a box that restarts asks anew, and a device behind a switch does not notice a router.
    /// </summary>
    [Theory]
    [InlineData("gw", "b")]
    [InlineData("s", "a")]
    [InlineData("a", "a")]
    public void Those_who_lose_their_link_ask_anew(string restarted, string asks)
    {
        var morning = State.Morning(InvariantTests.House().Design);
        Act[] acts = [new WaitFor(60), new PowerOff(restarted), new WaitFor(30), new PowerOn(restarted), new WaitFor(300)];
        var end = Play.Of(morning, acts, null, TestContext.Current.CancellationToken).End;
        Assert.Equal([asks], new[] { "a", "b" }.Where(d => Given(end, d) != Given(morning, d)));

        static long Given(State now, string device) => now.Moment.Situation.Memory!.Of(device, Side.Device)!.Leases[0].GivenAt;
    }
}
