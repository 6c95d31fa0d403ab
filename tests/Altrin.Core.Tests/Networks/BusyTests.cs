using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Networks;

/// <summary>Boxes that are busy with themselves, the laptop with both its adapters, and what a reset and another mode take away.</summary>
public sealed class BusyTests
{
    private static Home House() =>
        Home.WithGateway().Switch("s").Cable("gw/lan1", "s/lan1").Wired("a", "s/lan2").Wired("b", "gw/lan2").Wifi("phone", "gw");

    private static Moment After(Moment now, params Event[] events)
    {
        var after = now.After(events);
        Assert.True(after.Ok, after.Error);
        return after.Value;
    }

    private static Moment Morning(Home home) => Moment.Morning(home.Design);

    private static Observation See(Moment now) => Observer.Observe(Compiler.Compile(now.Design, now.Situation));

    private static string Online(Moment now) =>
        string.Join(' ', See(now).Sheet.Internet.Where(i => i.Answer.IsYes).Select(i => i.Device).Order(StringComparer.Ordinal));

    private static TimeSpan Seconds(int seconds) => TimeSpan.FromSeconds(seconds);

    [Theory]
    [InlineData(BusyKind.Starting, "")]
    [InlineData(BusyKind.Updating, "")]
    [InlineData(BusyKind.Saving, "a b phone")]
    [InlineData(BusyKind.Radios, "a b")]
    public void A_box_passes_what_it_can_while_it_is_busy_and_everything_after(BusyKind kind, string online)
    {
        var busy = After(Morning(House()), new Occupy("gw", kind, Seconds(80)));
        Assert.Equal(online, Online(busy));
        Assert.Equal(online, Online(After(busy, new Wait(Seconds(79)))));
        var done = After(busy, new Wait(Seconds(80)));
        Assert.Equal("a b phone", Online(done));
        Assert.Empty(done.Situation.Busy);
        Assert.Equal(80, done.Situation.Memory!.Second);
    }

    /// <summary>Who waits for a box asks when it is back, not when the wait is over: their lease runs from then.</summary>
    [Fact]
    public void Those_who_wait_for_a_box_ask_when_it_is_back()
    {
        var now = After(
            Morning(House()),
            new Occupy("gw", BusyKind.Starting, Seconds(60)),
            new TypeInLater("gw", new SetLanAddress("gw", Home.Own("192.168.30.1/24"))),
            new Wait(Seconds(90))
        );
        var lease = now.Situation.Memory!.Of("b", Side.Device)!.Leases.Single();
        Assert.Equal(("192.168.30", 60), ($"{lease.Address}"[..10], lease.GivenAt));
    }

    /// <summary>A save whose typing was done before the box became busy, as a page sends it: both happen in one second.</summary>
    private sealed record TypeInLater(string Box, Change Change) : Event
    {
        public override Parsed<Moment> From(Moment now) =>
            ChangeList.Apply(now.Design, [Change]).Then<Moment>(design => now with { Design = design });
    }

    [Theory]
    [InlineData(BusyKind.Saving, false)]
    [InlineData(BusyKind.Starting, false)]
    [InlineData(BusyKind.Updating, false)]
    [InlineData(BusyKind.Radios, true)]
    public void Nothing_is_typed_into_a_box_whose_page_is_away(BusyKind kind, bool taken)
    {
        var typed = Morning(House()).After(new Occupy("gw", kind, Seconds(20)), new TypeIn("gw", new SwitchDhcpServer("gw", false)));
        Assert.Equal(taken, typed.Ok);
        Assert.Contains(taken ? "" : "busy", typed.Error ?? "", StringComparison.Ordinal);
    }

    [Fact]
    public void Power_that_is_taken_away_ends_what_a_box_is_busy_with() =>
        Assert.Empty(After(Morning(House()), new Occupy("gw", BusyKind.Updating, Seconds(300)), new TakeAway("gw")).Situation.Busy);

    /// <summary>Without a restart no device notices: what clients hold stays, and the list of leases is kept.</summary>
    [Fact]
    public void A_save_without_a_restart_keeps_the_list_of_leases()
    {
        var typed = After(Morning(House()), new TypeIn("gw", new SetLeaseTime("gw", 60)));
        var (kept, lost) = (After(typed, new Save("gw", Restarts: false)), After(typed, new Save("gw")));
        Assert.Equal(
            Morning(House()).Situation.Memory!.Bindings.Where(b => b.Server == "gw"),
            kept.Situation.Memory!.Bindings.Where(b => b.Server == "gw")
        );
        Assert.Empty(kept.Situation.Typed);
        Assert.DoesNotContain(lost.Situation.Memory!.Bindings, b => b.Server == "gw" && b.Client == "a/Device");
        Assert.Equal(60, ((RouterMode)kept.Design.Mode("gw")!).Server.LeaseMinutes);
    }

    [Fact]
    public void The_laptop_is_on_a_cable_and_in_a_Wi_Fi_at_once()
    {
        var home = House().Router("table", "192.168.1.1/24");
        var both = After(
            Morning(home),
            new MoveLaptop(new(new(PortRef.Read("table/lan1"), new Automatic()), new(new("gw", "home", "key"), new Automatic())))
        );
        Assert.Equal("192.168.1", Address(both, Laptop.CableId)[..9]);
        Assert.Equal("192.168.8", Address(both, Laptop.WifiId)[..9]);
        // Moving one of them leaves the other as it is: it asks for nothing anew.
        var later = After(
            both,
            new Wait(TimeSpan.FromMinutes(5)),
            new MoveLaptop(both.Situation.Laptop! with { Cable = new(PortRef.Read("gw/lan4"), new Automatic()) })
        );
        Assert.Equal(0, Lease(later, Laptop.WifiId).GivenAt);
        Assert.Equal(("192.168.8", 300), (Address(later, Laptop.CableId)[..9], Lease(later, Laptop.CableId).GivenAt));

        static HeldLease Lease(Moment now, string owner) => now.Situation.Memory!.Of(owner, Side.Laptop)!.Leases.Single();
        static string Address(Moment now, string owner) => $"{Lease(now, owner).Address}";
    }

    /// <summary>A reset leaves cables and place, and nothing that was set; its DHCP server begins with an empty list.</summary>
    [Fact]
    public void A_reset_leaves_cables_and_place()
    {
        var home = House()
            .Place("hall")
            .Stands("gw", "hall")
            .PagePassword("gw", "secret")
            .Forward("gw", 8000, "192.168.8.20")
            .Box("gw", b => b with { Label = b.Label with { Password = "label" } })
            .Edit<RouterMode>("gw", m => m with { Line = new(true, 7, null) });
        var now = After(Morning(home), new Reset("gw"));
        var (before, after) = (home.Design.Setting("gw")!, now.Design.Setting("gw")!);
        Assert.Equal((before.Place, "label"), (after.Place, after.Password));
        Assert.Equal(home.Design.SetUp.Cables, now.Design.SetUp.Cables);
        var router = Assert.IsType<RouterMode>(after.Mode);
        Assert.Empty(router.Forwards);
        Assert.Equal(LineSetting.None, router.Line);
        Assert.All(router.Wifi, r => Assert.True(r.On && r.Name != "home"));
        Assert.Equal(1, now.Situation.Memory!.Boots["gw"]);
        var kept = After(Morning(home), new Reset("gw", [Setting.Line, Setting.AdminPassword])).Design.Setting("gw")!;
        Assert.Equal(("secret", (int?)7), (kept.Password, ((RouterMode)kept.Mode).Line.Tag));
        var leases = After(Morning(home), new Reset("gw", [Setting.Forward, Setting.LeaseTime])).Design.Setting("gw")!;
        Assert.Single(((RouterMode)leases.Mode).Forwards);
        Assert.False(Morning(home).After(new TakeAway("gw"), new Reset("gw")).Ok);
    }

    public static TheoryData<AddressAfter, string?, string> Effects =>
        new()
        {
            { AddressAfter.Leased, null, "leased home key" },
            { AddressAfter.Kept, null, "192.168.20.1 home key" },
            { AddressAfter.ItsOwn, null, "192.168.1.1 home key" },
            { AddressAfter.Leased, "wifiName", "leased in key" },
            { AddressAfter.Leased, "wifiPassword", "leased home -" },
            { AddressAfter.Leased, "channel", "leased home key" },
        };

    [Theory]
    [MemberData(nameof(Effects))]
    public void Another_mode_clears_what_its_kind_says(AddressAfter address, string? clears, string expected)
    {
        Setting[] cleared = clears is null ? [] : [Enum.Parse<Setting>(clears, true)];
        var home = House()
            .Router("in", "192.168.20.1/24")
            .Cable("gw/lan3", "in/wan")
            .Profile("in", p => p with { FactoryAddress = Home.Own("192.168.1.1/24") })
            .Edit<RouterMode>("in", m => m with { Wifi = [.. m.Wifi.Select(w => w with { Channel = 36 })] })
            .Traits("in", new() { Effects = [new(ModeKind.AccessPoint, address) { Clears = cleared }] });
        var now = After(Morning(home), new ChangeMode("in", ModeKind.AccessPoint));
        var mode = Assert.IsType<AccessPointMode>(now.Design.Mode("in"));
        var radio = mode.Wifi[0];
        var page = mode.Page is Fixed typed ? $"{typed.Address.Address}" : "leased";
        Assert.Equal(expected, $"{page} {radio.Name} {radio.Password ?? "-"}");
        Assert.Equal(clears == "channel" ? null : 36, radio.Channel);
        Assert.Equal(ModeKind.Router, Morning(home).Design.Mode("in")!.Kind);
    }

    /// <summary>Where that was not found out there are at most four outcomes, and what any known habit would do is among them.</summary>
    [Theory]
    [InlineData(false, false, 4)]
    [InlineData(true, false, 2)]
    [InlineData(false, true, 2)]
    [InlineData(true, true, 1)]
    public void Unknown_effects_are_few_and_cover_the_known_ones(bool address, bool clears, int outcomes)
    {
        var known = new ModeEffect(ModeKind.AccessPoint, address ? AddressAfter.Kept : AddressAfter.Unknown)
        {
            Clears = clears ? [Setting.WifiName] : null,
        };
        var profile = House().Design.Box("gw")!.Profile with { Traits = new() { Effects = [known] } };
        var all = ModeEffects.Of(profile, ModeKind.AccessPoint);
        Assert.Equal(outcomes, all.Count);
        Assert.Equal(outcomes, all.Select(e => $"{e.Address} {string.Join(' ', e.Clears)}").Distinct().Count());
        Assert.DoesNotContain(all, e => e.Address == AddressAfter.Unknown);
        Assert.Equal(4, ModeEffects.Of(profile with { Traits = Traits.NotKnown }, ModeKind.AccessPoint).Count);
        Assert.All(ModeEffects.Of(profile with { Traits = Traits.NotKnown }, ModeKind.Router), e =>
            Assert.Equal(AddressAfter.Kept, e.Address)
        );
    }

    public static TheoryData<Event, string> Impossible =>
        new()
        {
            { new Occupy("nothing", BusyKind.Saving, TimeSpan.FromSeconds(5)), "no box 'nothing'" },
            { new Occupy("gw", BusyKind.Saving, TimeSpan.Zero), "a second to a day" },
            { new Occupy("gw", BusyKind.Saving, TimeSpan.FromDays(2)), "a second to a day" },
            { new Reset("nothing"), "is not on" },
            { new ChangeMode("gw", ModeKind.Satellite), "cannot be set to" },
            { new ChangeMode("nothing", ModeKind.Router), "is not on" },
        };

    [Theory]
    [MemberData(nameof(Impossible))]
    public void What_cannot_happen_is_refused_with_a_reason(Event impossible, string reason) =>
        Assert.Contains(reason, Morning(House()).After(impossible).Error, StringComparison.Ordinal);
}
