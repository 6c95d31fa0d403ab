using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Facts;

/// <summary>What is so at a router itself: its own packets, what it answers and lets through on its WAN side.</summary>
public sealed class RouterSeatTests
{
    private static readonly Fixed Outer = new(Home.Own("192.168.8.3/24"), Home.At("192.168.8.1"), [Home.At("192.168.8.1")]);

    private static Observation See(Home home) => Observer.Observe(Compiler.Compile(home.Design, Situation.Settled));

    /// <summary>An inner router with a device behind it and one beside it that takes it for its gateway.</summary>
    private static Home Cascade(BoxHabits? habits = null) =>
        Home.WithGateway()
            .Router("in", wan: Outer)
            .Habits("in", habits ?? new())
            .Cable("gw/lan1", "in/wan")
            .Wired("a", "in/lan1", "192.168.20.5/24")
            .Wired("b", "gw/lan2", "192.168.8.9/24", "192.168.8.3");

    [Theory]
    [InlineData("gw", "198.51.100.10", "street 203.0.113.1, :internet 198.51.100.10")]
    [InlineData("in", "198.51.100.10", "gw 192.168.8.1, street 203.0.113.1, :internet 198.51.100.10")]
    [InlineData("in", "192.168.20.5", "a 192.168.20.5")]
    [InlineData("in", "192.168.8.9", "b 192.168.8.9")]
    [InlineData("in", "192.168.8.1", "gw 192.168.8.1")]
    [InlineData("in", "192.168.20.1", "")]
    [InlineData("in", "192.168.8.3", "")]
    public void A_router_sends_by_the_side_that_leads_there(string at, string target, string hops)
    {
        var trace = Looking.To(See(Cascade()), at, Home.At(target))!;
        Assert.Equal((AnswerKind.Yes, hops), (trace.Ping.Kind, string.Join(", ", trace.Hops.Select(h => $"{h.Owner} {h.Address}"))));
    }

    [Theory]
    [InlineData(Known.Yes, AnswerKind.Yes)]
    [InlineData(Known.No, AnswerKind.No)]
    [InlineData(Known.Unknown, AnswerKind.Unknown)]
    public void A_ping_on_the_WAN_side_is_answered_by_habit(Known habit, AnswerKind ping)
    {
        var seen = See(Cascade(new() { AnswersPings = habit }));
        Assert.Equal(ping, Looking.To(seen, "gw", Home.At("192.168.8.3"))!.Ping.Kind);
        Assert.Equal(ping, Looking.To(seen, "b", Home.At("192.168.8.3"))!.Ping.Kind);
        Assert.Equal(AnswerKind.Yes, Looking.To(seen, "a", Home.At("192.168.8.3"))!.Ping.Kind);
    }

    [Theory]
    [InlineData(true, Known.Unknown, Known.Yes, AnswerKind.No, AnswerKind.Yes)]
    [InlineData(true, Known.Unknown, Known.No, AnswerKind.No, AnswerKind.No)]
    [InlineData(true, Known.No, Known.Unknown, AnswerKind.No, AnswerKind.Unknown)]
    [InlineData(false, Known.Yes, Known.Yes, AnswerKind.No, AnswerKind.Yes)]
    [InlineData(false, Known.Yes, Known.No, AnswerKind.No, AnswerKind.No)]
    [InlineData(false, Known.No, Known.No, AnswerKind.Yes, AnswerKind.Yes)]
    [InlineData(false, Known.Unknown, Known.No, AnswerKind.Unknown, AnswerKind.Unknown)]
    public void The_firewall_is_apart_from_NAT(bool nat, Known without, Known outside, AnswerKind inward, AnswerKind around)
    {
        var seen = See(
            Cascade(new() { FirewallWithoutNat = without, ForwardsOutside = outside })
                .Edit<RouterMode>("in", m => m with { Nat = nat })
                .Edit<RouterMode>("gw", m => m with { Routes = [new(Subnet.Parse("192.168.20.0/24").Value, Home.At("192.168.8.3"))] })
        );
        Assert.Equal(inward, seen.Reach("b", "a")!.Answer.Kind);
        Assert.Equal(around, seen.Sheet.Internet.Single(i => i.Device == "b").Packets.Kind);
        Assert.True(seen.Sheet.Internet.Single(i => i.Device == "a").Packets.IsYes);
    }

    [Theory]
    [InlineData(Known.Yes, "192.168.20.5", AnswerKind.Yes, "a")]
    [InlineData(Known.No, "192.168.20.5", AnswerKind.Yes, "in")]
    [InlineData(Known.Unknown, "192.168.20.5", AnswerKind.Unknown, "in")]
    [InlineData(Known.Yes, "192.168.20.77", AnswerKind.No, "in")]
    [InlineData(Known.No, "192.168.20.77", AnswerKind.Yes, "in")]
    [InlineData(Known.Unknown, "192.168.20.77", AnswerKind.Unknown, "in")]
    public void What_is_asked_of_the_outer_address_from_inside_gets_to_the_DMZ_host_by_hairpin_NAT(
        Known hairpin,
        string host,
        AnswerKind ping,
        string arrives
    )
    {
        var seen = See(
            Cascade(new() { LoopsBack = hairpin }).Wired("c", "in/lan2").Edit<RouterMode>("in", m => m with { Dmz = Home.At(host) })
        );
        var trace = Looking.To(seen, "c", Home.At("192.168.8.3"))!;
        Assert.Equal((ping, arrives), (trace.Ping.Kind, trace.Hops[^1].Owner));
    }

    [Fact]
    public void A_router_whose_address_its_gateway_has_too_gets_out_by_luck()
    {
        var seen = See(
            Home.WithGateway()
                .Router("in", "192.168.8.1/24", wan: Outer)
                .Habits("in", new() { OnOverlap = OverlapHabit.CarriesOn })
                .Cable("gw/lan1", "in/wan")
        );
        Assert.Equal(AnswerKind.Luck, Looking.To(seen, "in", Home.At("198.51.100.10"))!.Ping.Kind);
    }

    [Fact]
    public void A_router_that_refuses_overlaps_has_internet_by_luck_where_one_of_two_servers_gives_it_one()
    {
        var seen = See(
            Home.WithGateway()
                .Router("in", "192.168.20.1/24")
                .Habits("in", new() { OnOverlap = OverlapHabit.Refuses })
                .Cable("gw/lan1", "in/wan")
                .Wired("a", "in/lan1", "192.168.20.5/24")
                .Router("beside", "192.168.20.2/24")
                .Cable("gw/lan2", "beside/lan1")
        );
        Assert.Equal(AnswerKind.Luck, seen.Sheet.Internet.Single(i => i.Device == "a").Packets.Kind);
    }

    [Theory]
    [InlineData(Known.Yes, AnswerKind.Yes)]
    [InlineData(Known.No, AnswerKind.No)]
    [InlineData(Known.Unknown, AnswerKind.Luck)]
    public void The_LAN_side_answers_for_the_WAN_side_by_habit(Known across, AnswerKind ping)
    {
        var seen = See(Cascade(new() { AnswersAcross = across }).Wired("wide", "in/lan2", "192.168.20.9/16"));
        Assert.Equal(ping, Looking.To(seen, "wide", Home.At("192.168.8.3"))!.Ping.Kind);
        Assert.Equal(
            across == Known.No ? [] : [(Known.Yes == across, "in")],
            Looking.From(seen, "wide")!.Table.Where(n => n.Address == Home.At("192.168.8.3")).Select(n => (n.Certain, n.Owner))
        );
    }

    [Theory]
    [InlineData("techniques")]
    [InlineData("traps")]
    [InlineData("radio")]
    public void A_ping_says_of_a_page_what_is_said_of_the_page(string family)
    {
        var compared = 0;
        foreach (var (name, design) in Families.Of(family))
        {
            var seen = Observer.Observe(Compiler.Compile(Silent(design), Situation.Settled));
            // Of two with one address a ping takes either for the answer.
            if (seen.Sheet.Conflicts.Count > 0 || seen.Sheet.Overlaps.Count > 0)
            {
                continue;
            }
            foreach (var page in seen.Sheet.Management.Where(p => p.Address is not null))
            {
                foreach (var seat in page.From)
                {
                    var ping = Looking.To(seen, seat.Class, page.Address!.Value)!.Ping;
                    Assert.True(
                        seat.Answer.Kind == ping.Kind,
                        $"{name}: {seat.Class} at {page.Box}: page {seat.Answer.Kind}, ping {ping.Kind}"
                    );
                    compared++;
                }
            }
        }
        Assert.InRange(compared, 20, 1000);
    }

    /// <summary>The home with routers that answer no ping on their WAN side, where they answer nothing else either.</summary>
    private static Design Silent(Design design) =>
        design with
        {
            Site = design.Site with
            {
                Boxes =
                [
                    .. design.Site.Boxes.Select(b =>
                        b with
                        {
                            Profile = b.Profile with { Habits = b.Profile.Habits with { AnswersPings = Known.No } },
                        }
                    ),
                ],
            },
        };
}
