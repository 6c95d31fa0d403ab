using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Networks;

/// <summary>What is remembered of things that are taken out of use, for how long boxes are busy, and which routers make room.</summary>
public sealed class ForgettingTests
{
    private static Moment Morning(Home home) => Moment.Morning(home.Design);

    private static Home House() =>
        Home.WithGateway().Switch("s").Cable("gw/lan1", "s/lan1").Wired("a", "s/lan2").Wired("b", "gw/lan2").Router("in", "192.168.9.1/24");

    [Theory]
    [InlineData("s", "b gw-lan2-b")]
    [InlineData("b", "s gw-lan1-s-lan1")]
    [InlineData("in", "s b gw-lan1-s-lan1 gw-lan2-b")]
    public void Nothing_is_remembered_of_what_is_taken_out_of_use(string gone, string off)
    {
        var now = Morning(House())
            .After(
                new TakeAway("s"),
                new TakeAway("b"),
                new TakeAway("gw-lan1-s-lan1"),
                new TakeAway("gw-lan2-b"),
                new TypeIn("in", new SetLeaseTime("in", 60)),
                new Occupy("in", BusyKind.Saving, TimeSpan.FromMinutes(5)),
                new Rewire(new TakeOutOfUse(gone))
            )
            .Value.Situation;
        Assert.Equal(off.Split(' ').Order(), now.Off.Order());
        Assert.Equal(gone == "in" ? [] : ["in"], now.Typed.Select(t => t.Box));
        Assert.Equal(gone == "in" ? [] : ["in"], now.Busy.Select(b => b.Box));
    }

    [Theory]
    [InlineData(0.5, false)]
    [InlineData(1, true)]
    [InlineData(1.5, false)]
    [InlineData(86_400, true)]
    [InlineData(86_401, false)]
    public void A_box_is_busy_for_a_second_to_a_day(double seconds, bool may) =>
        Assert.Equal(may, Morning(House()).After(new Occupy("in", BusyKind.Saving, TimeSpan.FromSeconds(seconds))).Ok);

    /// <summary>Three routers of one subnet in a row; the inner ones renumber, whatever they are called.</summary>
    [Theory]
    [InlineData("a", "z", "z 192.168.1.1/24 from 192.168.8.0/24")]
    [InlineData("z", "a", "a 192.168.1.1/24 from 192.168.8.0/24")]
    public void The_outermost_router_makes_room_in_the_first_free_subnet(string inner, string outer, string moved)
    {
        var habit = new BoxHabits { OnOverlap = OverlapHabit.Renumbers };
        var home = Home.WithGateway()
            .Router(outer, "192.168.8.1/24")
            .Cable("gw/lan1", $"{outer}/wan")
            .Router(inner, "192.168.8.1/24")
            .Cable($"{outer}/lan1", $"{inner}/wan")
            .Habits(outer, habit)
            .Habits(inner, habit)
            .Router("other", "192.168.0.1/24");
        Assert.Equal([moved], Compiler.Compile(home.Design, Situation.Settled).Renumbered.Select(r => $"{r.Router} {r.To} from {r.Outer}"));
    }

    [Fact]
    public void A_router_wider_than_the_usual_block_looks_in_the_next()
    {
        var home = Home.WithGateway()
            .Router("in", "192.168.0.1/15")
            .Cable("gw/lan1", "in/wan")
            .Habits("in", new BoxHabits { OnOverlap = OverlapHabit.Renumbers });
        Assert.Equal(["10.0.0.1/15"], Compiler.Compile(home.Design, Situation.Settled).Renumbered.Select(r => $"{r.To}"));
    }

    /// <summary>RFC 2131, section 4.4.5: at the end of its lease a client stops using the address.</summary>
    [Theory]
    [InlineData(-1, true)]
    [InlineData(0, false)]
    [InlineData(1, false)]
    public void A_lease_is_held_until_its_last_second_and_not_beyond(int seconds, bool held)
    {
        var end = TimeSpan.FromMinutes(DhcpServerSetting.UsualLeaseMinutes) + TimeSpan.FromSeconds(seconds);
        var after = Morning(House()).After(new TakeAway("gw"), new Wait(end)).Value;
        Assert.Equal(held, after.Situation.Memory!.Held.Single(h => h.Owner == "a").Leases.Count > 0);
    }
}
