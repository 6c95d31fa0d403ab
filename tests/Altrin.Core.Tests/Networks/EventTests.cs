using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Networks;

public sealed class EventTests
{
    private static Home House() => Home.WithGateway().Switch("s").Cable("gw/lan1", "s/lan1").Wired("a", "s/lan2").Wired("b", "gw/lan2");

    private static Moment After(Home home, params Event[] events)
    {
        var after = Moment.Morning(home.Design).After(events);
        Assert.True(after.Ok, after.Error);
        return after.Value;
    }

    private static string? AddressOf(Moment now, string owner, Side side = Side.Device) =>
        now.Situation.Memory!.Of(owner, side)?.Leases.Select(l => $"{l.Address}").FirstOrDefault();

    private static Answer Internet(Moment now, string device) => See(now).Sheet.Internet.Single(i => i.Device == device).Answer;

    private static Observation See(Moment now) => Observer.Observe(Compiler.Compile(now.Design, now.Situation));

    [Fact]
    public void In_the_morning_everybody_has_an_address_that_its_server_chose()
    {
        var now = After(House());
        Assert.Equal(["192.168.8.20", "192.168.8.21"], new[] { "a", "b" }.Select(d => AddressOf(now, d)));
        var leased = See(now).Sheet.Addresses.Single(x => x.Owner == "a");
        Assert.Equal((AddressOrigin.Leased, Home.Range(Home.Pool)), (leased.Origin, leased.From));
        var reserved = See(After(House().Reserve("gw", "a", "192.168.8.60"))).Sheet.Addresses.Single(x => x.Owner == "a");
        Assert.Equal(AddressOrigin.Reserved, reserved.Origin);
        Assert.Null(reserved.From);
        Assert.Empty(now.Sticks);
    }

    // The device behind the switch notices nothing when the gateway is renumbered; the one on the gateway's own port does.
    [Fact]
    public void A_lease_outlives_its_pool_until_it_is_prolonged()
    {
        var now = After(House(), new TypeIn("gw", new SetLanAddress("gw", Home.Own("192.168.30.1/24"))), new Save("gw"));
        Assert.Equal(("192.168.8.20", "192.168.30"), (AddressOf(now, "a"), AddressOf(now, "b")![..10]));
        Assert.Equal((AnswerKind.No, AnswerKind.Yes), (Internet(now, "a").Kind, Internet(now, "b").Kind));
        var later = now.After(new Wait(TimeSpan.FromMinutes(1440))).Value;
        Assert.StartsWith("192.168.30.", AddressOf(later, "a"), StringComparison.Ordinal);
        Assert.Equal(AnswerKind.Yes, Internet(later, "a").Kind);
    }

    /// <summary>A lease holds until its last second, and is over in the second that it ends (RFC 2131, section 4.4.5).</summary>
    [Theory]
    [InlineData(-1, "192.168.8.20")]
    [InlineData(0, null)]
    public void A_lease_is_over_in_the_second_that_it_ends(int after, string? held)
    {
        var now = After(House(), new TypeIn("gw", new SwitchDhcpServer("gw", false)), new Save("gw"));
        var memory = now.Situation.Memory!;
        var ends = memory.Of("a", Side.Device)!.Leases.Single().EndsAt;
        var then = now.After(new Wait(TimeSpan.FromSeconds(ends - memory.Second + after))).Value;
        Assert.Equal(held, AddressOf(then, "a"));
        Assert.Equal(held is not null, See(then).Sheet.Addresses.Single(x => x.Owner == "a").Origin != AddressOrigin.SelfAssigned);
    }

    [Fact]
    public void A_lease_outlives_its_server_until_it_runs_out()
    {
        var now = After(House(), new TypeIn("gw", new SwitchDhcpServer("gw", false)), new Save("gw"), new Wait(TimeSpan.FromMinutes(1400)));
        Assert.Equal("192.168.8.20", AddressOf(now, "a"));
        Assert.Null(AddressOf(now.After(new Wait(TimeSpan.FromMinutes(60))).Value, "a"));
        // RFC 3927: then it gives itself an address, and has no internet.
        var alone = now.After(new Wait(TimeSpan.FromMinutes(60))).Value;
        Assert.Equal(
            (AddressOrigin.SelfAssigned, AnswerKind.No),
            (See(alone).Sheet.Addresses.Single(x => x.Owner == "a").Origin, Internet(alone, "a").Kind)
        );
    }

    [Fact]
    public void A_device_asks_again_when_its_cable_is_back_however_long_it_was_out()
    {
        var pulled = After(
            House(),
            new TakeAway("gw-lan2-b"),
            new TypeIn("gw", new SetLanAddress("gw", Home.Own("192.168.30.1/24"))),
            new Save("gw")
        );
        Assert.Equal(AnswerKind.No, Internet(pulled, "b").Kind);
        Assert.StartsWith("192.168.30.", AddressOf(pulled.After(new GiveBack("gw-lan2-b")).Value, "b"), StringComparison.Ordinal);
        Assert.Equal(
            AnswerKind.Yes,
            Internet(pulled.After(new Wait(TimeSpan.FromMinutes(5000)), new GiveBack("gw-lan2-b")).Value, "b").Kind
        );
    }

    // Behind a switch no one sees that the box at the other end was swapped; the table says the old one until it is asked again.
    [Fact]
    public void A_swapped_router_is_found_once_the_tables_have_forgotten_the_old_one()
    {
        var home = Home.New()
            .Gateway(bridge: true)
            .Cable("street", "gw/wan")
            .Router("old", "192.168.8.1/24")
            .Router("new", "192.168.8.1/24", "192.168.8.200-192.168.8.250")
            .Switch("s")
            .Cable("old/lan1", "s/lan1")
            .Cable("gw/lan1", "old/wan")
            .Wired("a", "s/lan2")
            .Wired("b", "new/lan2");
        var now = After(
            home,
            [
                .. new[] { "old-lan1-s-lan1", "gw-lan1-old-wan" }.Select(c => new Rewire(new Unpatch(c))),
                new Rewire(new Patch(PortRef.Read("gw/lan1"), PortRef.Read("new/wan"), CableFacts.NotLookedAt)),
                new Rewire(new Patch(PortRef.Read("s/lan1"), PortRef.Read("new/lan1"), CableFacts.NotLookedAt)),
                new TakeAway("gw"),
                new GiveBack("gw"),
            ]
        );
        Assert.Equal((AnswerKind.Luck, AnswerKind.Yes), (Internet(now, "a").Kind, Internet(now, "b").Kind));
        Assert.Contains(Internet(now, "a").Causes, c => c.Text.Contains("may still take old for 192.168.8.1", StringComparison.Ordinal));
        Assert.Equal([new Stickiness(StickyKind.TableKept, "a")], now.Sticks);
        Assert.Equal(AnswerKind.Luck, Internet(now.After(new Wait(TimeSpan.FromMinutes(19))).Value, "a").Kind);
        Assert.Equal(AnswerKind.Yes, Internet(now.After(new Wait(TimeSpan.FromMinutes(20))).Value, "a").Kind);
        Assert.Equal(AnswerKind.Yes, Internet(now.After(new TakeAway("a"), new GiveBack("a")).Value, "a").Kind);
    }

    [Theory]
    [InlineData("visitors", true)]
    [InlineData("home", true)]
    [InlineData("elsewhere", false)]
    public void The_laptop_gets_into_Wi_Fi_as_any_device_does(string name, bool leased)
    {
        var home = Home.WithGateway()
            .Point("point")
            .Cable("gw/lan1", "point/wan")
            .Edit<AccessPointMode>("point", m => m with { Guest = new("visitors", WifiSecurity.Wpa2, "key") });
        Assert.Equal(
            leased,
            AddressOf(After(home, new MoveLaptop(Laptop.In(new("point", name, "key"), new Automatic()))), Laptop.WifiId, Side.Laptop)
                is not null
        );
    }

    [Fact]
    public void What_is_typed_is_not_in_force_until_it_is_saved_and_is_lost_when_power_goes()
    {
        var typed = After(House(), new TypeIn("gw", new SetLanAddress("gw", Home.Own("192.168.30.1/24"))));
        Assert.Equal("192.168.8.1", $"{((RouterMode)typed.Design.Mode("gw")!).Lan.Address}");
        Assert.Equal([new Stickiness(StickyKind.NotSaved, "gw")], typed.Sticks);
        Assert.False(typed.After(new TakeAway("gw"), new GiveBack("gw"), new Save("gw")).Ok);
    }

    // One lease a customer, and the provider keeps to whom it gave it (common practice).
    [Fact]
    public void The_provider_keeps_to_the_first_box_until_the_box_at_the_line_is_switched_off_and_on()
    {
        var home = Home.New()
            .Gateway(bridge: true)
            .Cable("street", "gw/wan")
            .Router("old")
            .Cable("gw/lan1", "old/wan")
            .Router("new", "192.168.30.1/24")
            .Wired("a", "new/lan1");
        var swap = new Event[]
        {
            new Rewire(new Unpatch("gw-lan1-old-wan")),
            new Rewire(new Patch(PortRef.Read("gw/lan1"), PortRef.Read("new/wan"), CableFacts.NotLookedAt)),
        };
        var now = After(home, swap);
        Assert.Equal(AnswerKind.No, Internet(now, "a").Kind);
        Assert.Contains(now.Sticks, s => s.Kind == StickyKind.ProviderBound);
        Assert.Equal(AnswerKind.No, Internet(now.After(new Wait(Wait.LongEnough)).Value, "a").Kind);
        Assert.Equal(AnswerKind.Yes, Internet(now.After(new TakeAway("gw"), new GiveBack("gw")).Value, "a").Kind);
    }

    [Fact]
    public void A_server_that_was_switched_off_and_on_has_forgotten_whom_it_gave_what()
    {
        // The device behind the switch keeps .20 and notices nothing; the next client is given the same.
        var now = After(House(), new TakeAway("gw"), new GiveBack("gw"));
        Assert.Equal(("192.168.8.20", "192.168.8.21"), (AddressOf(now, "a"), AddressOf(now, "b")));
        var fresh = now.After(new MoveLaptop(Laptop.At(PortRef.Read("gw/lan3"), new Automatic()))).Value;
        Assert.Equal("192.168.8.20", AddressOf(fresh, Laptop.CableId, Side.Laptop));
        Assert.Contains(See(fresh).Sheet.Conflicts, c => c.Pool is null && $"{c.Address}" == "192.168.8.20");
    }

    [Theory]
    [InlineData("gw/lan3", null, true)]
    [InlineData("gw/lan1", "There is a cable", true)]
    [InlineData("gw/lan9", "There is no port", true)]
    public void The_laptop_is_plugged_in_where_there_is_room(string port, string? refused, bool leased)
    {
        var now = Moment.Morning(House().Design).After(new MoveLaptop(Laptop.At(PortRef.Read(port), new Automatic())));
        Assert.Equal(refused is null, now.Ok);
        Assert.Contains(refused ?? "", now.Error ?? "", StringComparison.Ordinal);
        if (now.Ok)
        {
            Assert.Equal(leased, AddressOf(now.Value, Laptop.CableId, Side.Laptop) is not null);
            Assert.Null(AddressOf(now.Value.After(new MoveLaptop(null)).Value, Laptop.CableId, Side.Laptop));
        }
    }

    public static TheoryData<Event, string> Impossible =>
        new()
        {
            { new TakeAway("nothing"), "no box, device or cable" },
            { new GiveBack("gw"), "is not off" },
            { new Rewire(new SetLanAddress("gw", Home.Own("10.0.0.1/24"))), "typed into a box" },
            { new TypeIn("gw", new Unpatch("gw-lan1-s-lan1")), "is not set in gw" },
            { new TypeIn("gw", new SetLanAddress("gw", Home.Own("192.168.8.255/24"))), "192.168.8.255" },
            { new TypeIn("gw", new TakeOutOfUse("gw")), "is not set in gw" },
            { new MoveLaptop(Laptop.In(new("missing", "home", "key"), new Automatic())), "no box 'missing'" },
            { new Save("gw"), "Nothing was typed" },
            { new Wait(TimeSpan.Zero), "a second to ten years" },
            { new Wait(TimeSpan.FromMilliseconds(1500)), "whole seconds" },
            { new Wait(TimeSpan.FromDays(3651)), "ten years" },
        };

    [Theory]
    [MemberData(nameof(Impossible))]
    public void What_cannot_happen_is_refused_with_a_reason(Event impossible, string reason)
    {
        var after = Moment.Morning(House().Design).After(impossible);
        Assert.False(after.Ok);
        Assert.Contains(reason, after.Error, StringComparison.Ordinal);
    }

    // The property that holds events and settled facts together; the seed is in the name of the case.
    [Theory]
    [MemberData(nameof(Seeds))]
    public void Waiting_long_enough_settles_a_home_or_names_what_sticks(int seed)
    {
        var dice = new Random(seed);
        var now = Moment.Morning(DesignGenerator.Make(seed, 3 + (seed % 6)));
        for (var act = 0; act < 14; act++)
        {
            var next = now.After(EventGenerator.Make(dice, now));
            now = next.Ok ? next.Value : now;
        }
        now = now.After([
            .. now.Situation.Off.Select(o => new GiveBack(o)),
            new MoveLaptop(null),
            .. now.Situation.Typed.Select(t => t.Box).Distinct().Where(b => !now.Situation.Off.Contains(b)).Select(b => new Save(b)),
            new Wait(Wait.LongEnough),
            new Wait(Wait.LongEnough),
        ]).Value;
        var sticks = now.Sticks;
        Assert.DoesNotContain(sticks, s => s.Kind is StickyKind.Off or StickyKind.NotSaved or StickyKind.LaptopThere);
        // A lease that is kept is one of those that could be had; only who came too late is without.
        var late = sticks.Any(s => s.Kind is StickyKind.ProviderBound or StickyKind.FirstComeFirstServed);
        var (live, settled) = (See(now), Observer.Observe(Compiler.Compile(now.Design, Situation.Settled)));
        foreach (var client in live.Network.Interfaces.Where(i => i.Setting is Automatic && i.Linked))
        {
            var offers = settled.Leasing.Offers(settled.Network.Find(client.Owner, client.Side)!);
            var held = live.Leasing.Holdings(client).Where(h => !h.SelfAssigned).ToList();
            Assert.All(held, h =>
                Assert.Contains(offers, o =>
                    o.Server == h.Server
                    && o.Gateway == h.Gateway
                    && o.PrefixLength == h.PrefixLength
                    && (o.Exact == h.Exact || (o.Exact is null && o.From?.Contains(h.Exact!.Value) != false))
                )
            );
            // Someone without a lease although one is offered: only where something is named that keeps it so.
            Assert.True(
                held.Count > 0 == offers.Count > 0 || late,
                $"seed {seed}: {client.Owner} {client.Side} holds {held.Count} of {offers.Count}"
            );
        }
        foreach (var (then, always) in live.Sheet.Internet.Zip(settled.Sheet.Internet))
        {
            var same =
                then.Answer.Kind == always.Answer.Kind
                || always.Answer.Kind == AnswerKind.Luck
                || (then.Answer.Kind == AnswerKind.Luck && always.Answer.Kind == AnswerKind.No);
            Assert.True(
                same || late,
                $"seed {seed}: {then.Device} {then.Answer.Kind} {then.Answer.Why} but settled {always.Answer.Kind} {always.Answer.Why}"
            );
        }
    }

    public static TheoryData<int> Seeds => [.. Enumerable.Range(9001, 80)];
}
