using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Facts;

public sealed class FactTests
{
    private static Observation See(Home home, params string[] off) =>
        Observer.Observe(Compiler.Compile(home.Design, Situation.Without(home.Design, off).Value));

    private static Home Cascade() =>
        Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Wired("a", "in/lan1").Wired("b", "gw/lan2").Wired("c", "in/lan2");

    /// <summary>What is on a router's own wire goes there, not by a route to a subnet of the same size (measured in Linux).</summary>
    [Theory]
    [InlineData("192.168.8.0/24", false)]
    [InlineData("192.168.8.0/23", false)]
    [InlineData("192.168.8.128/25", true)]
    public void A_connected_subnet_goes_before_a_route_of_its_size(string to, bool byRoute)
    {
        var home = Cascade()
            .Wired("far", "gw/lan3", "192.168.8.200/24")
            .Edit<RouterMode>("in", m => m with { Routes = [new(Subnet.Parse(to).Value, Home.At("192.168.8.1"))] });
        var reach = See(home).Sheet.Reach;
        string Of(string device) => reach.Classes.Single(c => c.Devices.Contains(device)).Id;
        var cell = reach.Cells.Single(c => c.From == Of("a") && c.To == Of("far"));
        Assert.Equal((AnswerKind.Yes, byRoute ? "in gw" : "in"), (cell.Answer.Kind, string.Join(' ', cell.Via)));
    }

    // RFC 3022: each translating router gives the packet another source address on its way out.
    /// <summary>Both lead to the internet, and which of them a device's packets go through is luck.</summary>
    [Fact]
    public void Of_two_equal_routers_it_is_luck_who_translates()
    {
        var home = Home.WithGateway()
            .Router("one")
            .Router("two")
            .Cable("gw/lan1", "one/wan")
            .Cable("gw/lan2", "two/wan")
            .Cable("one/lan1", "two/lan1")
            .Wired("a", "one/lan2")
            .Wired("c", "gw/lan3");
        var sheet = See(home).Sheet;
        var (twin, plain) = (sheet.Internet.Single(i => i.Device == "a"), sheet.Internet.Single(i => i.Device == "c"));
        Assert.Equal((AnswerKind.Yes, false), (twin.Packets.Kind, twin.Sure));
        Assert.Null(twin.SeenAddress);
        Assert.Equal((AnswerKind.Yes, true), (plain.Packets.Kind, plain.Sure));
    }

    /// <summary>
    /// A router that answers for its inner address on the WAN side takes such packets, and lets them out as they are (measured).
    /// </summary>
    [Theory]
    [InlineData(Known.Yes, CauseCodes.NoNat)]
    [InlineData(Known.No, CauseCodes.WanNotSet)]
    public void Before_its_router_a_device_gets_no_further_by_the_inner_address(Known across, string why)
    {
        var home = Home.New()
            .Switch("s")
            .Cable("street", "s/lan1")
            .Gateway()
            .Cable("s/lan2", "gw/wan")
            .Wired("a", "s/lan3", "192.168.8.9/24")
            .Habits("gw", BoxHabits.NotKnown with { AnswersAcross = across });
        Assert.Equal([why], See(home).Sheet.Internet.Single().Packets.Causes.Select(c => c.Code));
    }

    [Fact]
    public void Counts_translations_on_the_way_out_in_order()
    {
        var seen = See(Cascade().Service(new CarrierNat(null, null)));
        Assert.Equal(["in", "gw", "street"], seen.Sheet.Internet.Single(i => i.Device == "a").NatBy);
        Assert.Equal(["gw", "street"], seen.Sheet.Internet.Single(i => i.Device == "b").NatBy);
    }

    [Theory]
    [InlineData("a", "b", AnswerKind.Yes)]
    [InlineData("a", "c", AnswerKind.Yes)]
    [InlineData("b", "a", AnswerKind.No)]
    public void A_cascade_opens_outward_only(string from, string to, AnswerKind kind) =>
        Assert.Equal(kind, See(Cascade()).Reach(from, to)!.Answer.Kind);

    [Fact]
    public void Says_which_box_stops_a_connection() => Assert.Equal("in", See(Cascade()).Reach("b", "a")!.StoppedBy);

    [Fact]
    public void Pairs_and_classes_agree()
    {
        for (var seed = 1; seed <= 60; seed++)
        {
            var seen = Observer.Observe(Compiler.Compile(DesignGenerator.Make(seed, 8), Situation.Settled));
            var classOf = seen.Sheet.Reach.Classes.SelectMany(c => c.Devices.Select(d => (d, c.Id))).ToDictionary(x => x.d, x => x.Id);
            foreach (var from in classOf.Keys)
            {
                foreach (var to in classOf.Keys.Where(t => t != from))
                {
                    var cell = seen.Sheet.Reach.Cells.Single(c => c.From == classOf[from] && c.To == classOf[to]);
                    Assert.True(
                        cell.Answer.Kind == seen.Reach(from, to)!.Answer.Kind,
                        $"seed {seed}: {from} to {to}: class {cell.Answer.Kind} {cell.Answer.Why} pair {seen.Reach(from, to)!.Answer.Kind} {seen.Reach(from, to)!.Answer.Why}"
                    );
                }
            }
        }
    }

    // An unreserved lease is one of a range; only a reservation makes it certain (common practice).
    [Fact]
    public void A_lease_is_a_range_with_an_example_unless_reserved()
    {
        var sheet = See(Home.WithGateway().Wired("a", "gw/lan1").Wired("b", "gw/lan2").Reserve("gw", "b", "192.168.8.5")).Sheet;
        var (a, b) = (sheet.Addresses.Single(x => x.Owner == "a"), sheet.Addresses.Single(x => x.Owner == "b"));
        Assert.Equal(
            (AddressOrigin.Leased, null, "192.168.8.20"),
            (a.Origin, a.Address, sheet.Leases.Single(x => x.Owner == "a").Offers[0].Example.ToString())
        );
        Assert.Equal((AddressOrigin.Reserved, "192.168.8.5"), (b.Origin, b.Address.ToString()));
    }

    // RFC 3927: a host that no server answers gives itself a link-local address.
    [Fact]
    public void No_one_answering_leaves_a_self_assigned_address() =>
        Assert.Equal(
            AddressOrigin.SelfAssigned,
            See(Home.New().Switch("s").Wired("a", "s/lan1").Wired("b", "s/lan2")).Sheet.Addresses.Single(x => x.Owner == "a").Origin
        );

    [Fact]
    public void All_offers_are_known_and_the_winner_is_luck()
    {
        var seen = See(
            Home.WithGateway()
                .Router("second", "192.168.8.2/24", "192.168.8.100-192.168.8.150")
                .Cable("gw/lan1", "second/lan1")
                .Wired("a", "gw/lan2")
        );
        Assert.Equal(["gw", "second"], seen.Sheet.Leases.Single(x => x.Owner == "a").Offers.Select(o => o.Server));
        var answer = seen.Sheet.Internet.Single().Answer;
        Assert.Equal((AnswerKind.Luck, "two-dhcp-servers"), (answer.Kind, answer.Causes[0].Code));
        Assert.Equal([AnswerKind.Yes, AnswerKind.No], answer.Outcomes.Select(o => o.Result));
    }

    [Fact]
    public void Two_servers_that_hand_out_one_way_are_no_luck() =>
        Assert.Equal(
            AnswerKind.Yes,
            See(
                Home.WithGateway()
                    .Router("second", "192.168.8.2/24", "192.168.8.200-192.168.8.210")
                    .Cable("gw/lan1", "second/lan1")
                    .Wired("a", "gw/lan2")
                    .Edit<RouterMode>("second", m =>
                        m with
                        {
                            Server = m.Server with { Gateway = Home.At("192.168.8.1"), DnsServers = [Home.At("192.168.8.1")] },
                        }
                    )
            )
                .Sheet.Internet.Single()
                .Answer.Kind
        );

    [Theory]
    [InlineData("gw")]
    [InlineData("gw-lan1-a")]
    [InlineData("street-gw-wan")]
    public void What_is_off_or_pulled_takes_the_internet_away(string off) =>
        Assert.Equal(AnswerKind.No, See(Home.WithGateway().Wired("a", "gw/lan1"), off).Sheet.Internet.Single().Answer.Kind);

    [Fact]
    public void Off_names_must_exist() =>
        Assert.Contains("no box, device or cable 'nothing'", Situation.Without(Home.WithGateway().Design, ["nothing"]).Error);

    [Theory]
    [InlineData("192.168.8.0/24", "192.168.8.0/24", true)]
    [InlineData("172.16.8.0/22", "172.16.10.0/24", true)]
    [InlineData("172.16.8.0/22", "172.16.12.0/24", false)]
    public void Overlap_compares_prefixes(string outer, string inner, bool overlaps)
    {
        static string First(string net) => $"{Subnet.Parse(net).Value.Hosts.First}/{Subnet.Parse(net).Value.PrefixLength}";
        var home = Home.New()
            .Gateway(lan: First(outer), pool: null)
            .Cable("street", "gw/wan")
            .Router("in", First(inner))
            .Cable("gw/lan1", "in/wan")
            .Wired("a", "in/lan1");
        Assert.Equal(overlaps, See(home).Sheet.Overlaps.Count == 1);
    }

    // A router that renumbers itself goes where no one is; leases follow it, what is typed by hand does not.
    [Fact]
    public void A_router_that_renumbers_itself_takes_its_leases_along()
    {
        var home = Home.WithGateway()
            .Router("in", "192.168.8.1/24", "192.168.8.100-192.168.8.150")
            .Cable("gw/lan1", "in/wan")
            .Wired("a", "in/lan1")
            .Wired("b", "in/lan2", "192.168.8.7/24")
            .Reserve("in", "a", "192.168.8.9");
        var seen = See(home.Habits("in", new() { OnOverlap = OverlapHabit.Renumbers }));
        var overlap = Assert.Single(seen.Sheet.Overlaps);
        Assert.Equal(("192.168.8.0/24", "192.168.0.0/24"), ($"{overlap.Inner}", $"{overlap.MovedTo}"));
        Assert.Equal("192.168.0.9", $"{seen.Sheet.Addresses.Single(x => x.Owner == "a").Address}");
        Assert.Equal([AnswerKind.Yes, AnswerKind.No], seen.Sheet.Internet.Select(i => i.Answer.Kind));
        Assert.Equal("192.168.8.1/24", $"{((RouterMode)seen.Network.Design.Mode("in")!).Lan}");
    }

    // Of two in a row only the outer one has to move, whatever they are called.
    [Theory]
    [InlineData("a", "b")]
    [InlineData("b", "a")]
    public void The_outermost_router_renumbers_itself_first(string outer, string inner)
    {
        var home = Home.WithGateway()
            .Router(outer, "192.168.8.1/24")
            .Cable("gw/lan1", $"{outer}/wan")
            .Router(inner, "192.168.8.1/24")
            .Cable($"{outer}/lan1", $"{inner}/wan")
            .Wired("device", $"{inner}/lan1")
            .Habits(outer, new() { OnOverlap = OverlapHabit.Renumbers })
            .Habits(inner, new() { OnOverlap = OverlapHabit.Renumbers });
        Assert.Equal([outer], See(home).Network.Renumbered.Select(r => r.Router));
    }

    [Fact]
    public void A_bridged_gateway_is_no_step()
    {
        var sheet = See(
            Home.New().Gateway(bridge: true).Cable("street", "gw/wan").Router("main").Cable("gw/lan1", "main/wan").Wired("a", "main/lan1")
        ).Sheet;
        Assert.Equal(["main"], sheet.Internet.Single().NatBy);
        Assert.Equal(["main", "street"], sheet.Segments.Select(s => s.Id));
        Assert.Equal("street", sheet.Segments[0].Above);
    }
}

public sealed class AnswerTests
{
    private static readonly Cause A = Cause.Of("a", "a"),
        B = Cause.Of("b", "b");
    private static readonly Answer[] Each = [Answer.Yes, Answer.NotKnown(A), Answer.ByLuck(A), Answer.No(A)];

    // The order of weight: yes, unknown, luck, no.
    [Fact]
    public void The_worst_of_two_counts_whichever_comes_first()
    {
        for (var i = 0; i < Each.Length; i++)
        {
            for (var j = 0; j < Each.Length; j++)
            {
                Assert.Equal(Each[Math.Max(i, j)].Kind, Each[i].And(Each[j]).Kind);
            }
        }
    }

    [Theory]
    [InlineData(0, 0, AnswerKind.Yes)]
    [InlineData(0, 1, AnswerKind.Unknown)]
    [InlineData(0, 2, AnswerKind.Luck)]
    [InlineData(0, 3, AnswerKind.Luck)]
    [InlineData(1, 3, AnswerKind.Luck)]
    [InlineData(3, 3, AnswerKind.No)]
    public void A_race_is_luck_unless_all_ends_are_alike(int first, int second, AnswerKind kind) =>
        Assert.Equal(kind, Answer.OneOf([("one", Each[first]), ("two", Each[second])], B).Kind);

    [Fact]
    public void Beyond_sixteen_outcomes_the_causes_alone_are_kept()
    {
        var ways = Enumerable.Range(0, 17).Select(i => ($"{i}", Each[i % 2 * 3])).ToList();
        var answer = Answer.OneOf(ways, B);
        Assert.Empty(answer.Outcomes);
        Assert.Equal(["b"], answer.Causes.Select(c => c.Code));
        Assert.Equal(16, Answer.OneOf([.. ways.Take(16)], B).Outcomes.Count);
    }
}
