using Altrin.Core.Exchanges;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Exchanges;

public sealed class LadderTests
{
    private static Observation Seen(Home home) => Judging.Prove(home.Design).Observation;

    private static Home House() => Home.WithGateway().Wired("a", "gw/lan1").Wired("b", "gw/lan2", "192.168.8.5/24");

    [Fact]
    public void A_lease_is_told_from_the_first_question_to_the_first_renewal()
    {
        var ladder = LeaseLadder.Of(Seen(House()), "a")!;
        Assert.Equal(
            [
                "a asks all for an address",
                "gw offers 192.168.8.20, gateway 192.168.8.1, DNS 192.168.8.1",
                "a asks gw for 192.168.8.20, and all others hear that",
                "gw leases it 192.168.8.20 for 1 day",
                "a asks who has 192.168.8.1",
                "gw says that it has 192.168.8.1",
                "a asks gw to prolong 192.168.8.20",
                "gw prolongs it",
            ],
            ladder.Frames.Select(f => f.Text)
        );
        Assert.Equal(["a", "gw"], ladder.Actors);
        Assert.Equal(["The lease lasts 1 day: its server is asked to prolong it after 12 hours, any server after 21 hours."], ladder.Notes);
        // Half of a day, exactly (RFC 2131, section 4.4.5).
        Assert.Equal(TimeSpan.FromHours(12), ladder.Frames[4].At);
        Assert.True(ladder.Answer.IsYes);
    }

    [Fact]
    public void Every_offer_is_told_and_who_loses_the_race()
    {
        var home = House().Router("second", "192.168.8.250/24", "192.168.8.201-192.168.8.240").Cable("gw/lan3", "second/lan1");
        var ladder = LeaseLadder.Of(Seen(home), "a")!;
        Assert.Equal(
            ["gw", "second"],
            ladder.Frames.Where(f => f.Payload is DhcpPayload { Message.Kind: DhcpKind.Offer }).Select(f => f.From.Owner)
        );
        Assert.Equal(
            ["gw"],
            ladder
                .Frames.Where(f => f.Payload is DhcpPayload { Message: { Kind: DhcpKind.Ack, InUse: null } })
                .Select(f => f.From.Owner)
                .Distinct()
        );
        Assert.Contains("gw and second answer: the first wins, here gw.", ladder.Notes);
    }

    [Fact]
    public void One_that_is_not_answered_asks_four_times_and_goes_without()
    {
        var ladder = LeaseLadder.Of(Seen(Home.New().Router("r", server: false).Wired("x", "r/lan1")), "x")!;
        Assert.Equal([0, 4, 12, 28], ladder.Frames.Where(f => f.Payload is DhcpPayload).Select(f => (int)f.At.TotalSeconds));
        // Three probes and two announcements of an address of its own (RFC 3927, section 2.2).
        Assert.Equal(
            [true, true, true, false, false],
            ladder.Frames.Select(f => f.Payload).OfType<ArpPayload>().Select(a => a.Sender == default)
        );
        Assert.Equal(AnswerKind.No, ladder.Answer.Kind);
        Assert.Equal("r", ladder.StoppedBy);
    }

    [Theory]
    [InlineData(Known.Yes, 5, 0)]
    [InlineData(Known.No, 0, 0)]
    public void One_that_checks_tries_its_address_and_tells_everybody(Known checks, int probes, int tried)
    {
        var home = House().Device("a", d => d with { ChecksLease = checks });
        var frames = LeaseLadder.Of(Seen(home), "a")!.Frames;
        Assert.Equal(
            probes,
            frames.Count(f => f.Payload is ArpPayload { Reply: false } arp && f.From.Owner == "a" && arp.Target == Home.At("192.168.8.20"))
        );
        Assert.Equal(tried, frames.Count(f => f.Payload is ArpPayload && f.From.Owner == "gw" && f.To is null));
    }

    [Fact]
    public void A_server_that_checks_tries_an_address_before_it_offers_it()
    {
        var frames = LeaseLadder.Of(Seen(House().Habits("gw", BoxHabits.NotKnown with { ChecksOffer = Known.Yes })), "a")!.Frames;
        Assert.Equal("gw tries whether a host has 192.168.8.20", frames[1].Text);
        Assert.True(frames[2].At - frames[1].At >= TimeSpan.FromSeconds(1));
    }

    [Fact]
    public void One_that_declines_again_and_again_goes_without()
    {
        var home = House().Device("a", d => d with { ChecksLease = Known.Yes }).Reserve("gw", "a", "192.168.8.5");
        var ladder = LeaseLadder.Of(Seen(home), "a")!;
        Assert.Equal(AnswerKind.No, ladder.Answer.Kind);
        Assert.Equal(["192.168.8.5 is offered again and again, and another host has it."], ladder.Answer.Causes.Select(c => c.Text));
        // Each time it asks who has the address, hears it, and declines (RFC 2131, section 4.4.1).
        Assert.Contains(ladder.Frames, f => f.Payload is ArpPayload { Reply: true } && f.From.Owner == "b");
        Assert.Contains(ladder.Frames, f => f.Payload is DhcpPayload { Message.Kind: DhcpKind.Decline });
    }

    [Fact]
    public void Where_leases_are_fewer_than_clients_it_is_luck()
    {
        var ladder = LeaseLadder.Of(
            Seen(
                Home.New().Gateway(pool: "192.168.8.20-192.168.8.20").Cable("street", "gw/wan").Wired("a", "gw/lan1").Wired("c", "gw/lan2")
            ),
            "a"
        )!;
        Assert.Equal(AnswerKind.Luck, ladder.Answer.Kind);
        Assert.Contains(ladder.Notes, n => n.Contains("the pool of gw holds 1", StringComparison.Ordinal));
    }

    [Fact]
    public void In_a_ring_no_one_gets_a_lease_and_the_ladder_tells_it_all_the_same()
    {
        var ladder = LeaseLadder.Of(Seen(House().Switch("s").Cable("gw/lan3", "s/lan1").Cable("gw/lan4", "s/lan2")), "a")!;
        Assert.Equal((AnswerKind.No, CauseCodes.Loop), (ladder.Answer.Kind, ladder.Answer.Causes.Single().Code));
        Assert.Contains(ladder.Frames, f => f.Payload is DhcpPayload { Message.Kind: DhcpKind.Ack });
    }

    [Fact]
    public void A_server_that_woke_answers_like_any_other()
    {
        var ladder = LeaseLadder.Of(Seen(Home.New().Point("point").Wakes("point").Wired("a", "point/lan1")), "a")!;
        Assert.Equal("point offers 192.168.10.100, gateway 192.168.10.1, DNS 192.168.10.1", ladder.Frames[1].Text);
        Assert.True(ladder.Answer.IsYes);
    }

    [Fact]
    public void No_one_asks_who_is_set_by_hand_or_not_in_use()
    {
        Assert.Null(LeaseLadder.Of(Seen(House()), "b"));
        Assert.Null(LeaseLadder.Of(Seen(House()), "missing"));
        Assert.Null(LeaseLadder.Of(Seen(House().Loose("c")), "c"));
    }

    [Fact]
    public void A_connection_out_shows_each_translation_and_its_undoing()
    {
        var home = Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Wired("a", "in/lan1");
        var ladder = ConnectionLadder.ToInternet(Seen(home), "a")!;
        var opens = ladder
            .Frames.Where(f => f.Payload is TcpPayload { Opens: true, Acknowledges: false })
            .Select(f => (f.Segment, $"{((TcpPayload)f.Payload).Source}"))
            .ToList();
        Assert.Equal(["in", "gw", "street", Provider.Internet], opens.Select(o => o.Segment));
        Assert.Equal(4, opens.Select(o => o.Segment).Count());
        Assert.Equal(3, opens.Select(o => o.Item2).Distinct().Count());
        var back = ladder
            .Frames.Where(f => f.Payload is TcpPayload { Opens: true, Acknowledges: true })
            .Select(f => $"{((TcpPayload)f.Payload).Target}")
            .ToList();
        Assert.Equal(opens.Select(o => o.Item2).Reverse(), back);
        Assert.Equal(["a", "in", "gw", "street", Provider.Internet], ladder.Actors);
    }

    [Fact]
    public void What_is_stopped_ends_where_it_is_stopped()
    {
        var home = Home.WithGateway()
            .Router("in")
            .Cable("gw/lan1", "in/wan")
            .Wired("a", "in/lan1")
            .Wired("b", "gw/lan2")
            .Reach("a", 8443)
            .Forward("gw", 8443, "192.168.8.210");
        var seen = Seen(home);
        var inbound = ConnectionLadder.FromInternet(seen, "reach-a")!;
        Assert.Equal("gw", inbound.StoppedBy);
        // The forward leads nowhere: the gateway asks three times who that is.
        Assert.Equal(3, inbound.Frames.Count(f => f.Payload is ArpPayload { Reply: false } arp && arp.Target == Home.At("192.168.8.210")));
        Assert.DoesNotContain(inbound.Frames, f => f.Payload is TcpPayload { Acknowledges: true });
        Assert.Null(ConnectionLadder.FromInternet(seen, "found-a"));
        Assert.Null(ConnectionLadder.Between(seen, "a", "a"));
    }

    [Fact]
    public void A_question_to_everybody_is_answered_in_its_segment_and_dies_at_a_router()
    {
        var home = Home.WithGateway()
            .Router("in")
            .Cable("gw/lan1", "in/wan")
            .Wired("a", "in/lan1")
            .Wired("b", "gw/lan2")
            .Wired("c", "gw/lan3");
        var near = DiscoveryLadder.Of(Seen(home), "b", "c")!;
        Assert.True(near.Answer.IsYes);
        Assert.Equal("c answers that it is 192.168.8.21", near.Frames[^1].Text);
        var far = DiscoveryLadder.Of(Seen(home), "b", "a")!;
        Assert.Equal(AnswerKind.No, far.Answer.Kind);
        Assert.Single(far.Frames);
        Assert.Contains("a is in another segment: such a question crosses neither a router nor guest isolation.", far.Notes);
    }

    /// <summary>The ladder and the facts tell the same of every pair of a random home.</summary>
    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(4)]
    [InlineData(5)]
    [InlineData(6)]
    [InlineData(7)]
    [InlineData(8)]
    [InlineData(9)]
    [InlineData(10)]
    public void Ladders_end_as_the_facts_say(int seed)
    {
        var seen = Judging.Prove(DesignGenerator.Make(seed, 6)).Observation;
        var devices = seen.Network.Interfaces.Where(i => i.Side == Side.Device).Select(i => i.Owner).ToList();
        foreach (var (a, b) in devices.SelectMany(a => devices.Where(b => b != a).Select(b => (a, b))))
        {
            var ladder = ConnectionLadder.Between(seen, a, b)!;
            var route = seen.Tracer.To(seen.Network.Find(a, Side.Device)!, seen.Network.Find(b, Side.Device)!);
            Assert.Equal(route.Answer.Kind, ladder.Answer.Kind);
            Assert.True(ladder.Answer.Kind != AnswerKind.Yes || ladder.Frames.Any(f => f.To?.Owner == b));
            Assert.True(ladder.Frames.Zip(ladder.Frames.Skip(1)).All(p => p.First.At <= p.Second.At));
        }
        Assert.All(seen.Sheet.Internet, i => Assert.Equal(i.Packets.Kind, ConnectionLadder.ToInternet(seen, i.Device)!.Answer.Kind));
        Assert.All(LeaseLadder.Clients(seen.Network), a => Assert.NotNull(LeaseLadder.Of(seen, a.Owner)));
        Assert.All(seen.Sheet.Leases.Where(l => l.Side == Side.Device && seen.Network.Find(l.Owner, l.Side)!.Linked), l =>
            Assert.Equal(
                l.Offers.Count > 0,
                LeaseLadder.Of(seen, l.Owner)!.Frames.Any(f => f.Payload is DhcpPayload { Message.Kind: DhcpKind.Offer })
            )
        );
    }
}
