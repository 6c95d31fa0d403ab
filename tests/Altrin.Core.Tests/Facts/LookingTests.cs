using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Facts;

public sealed class LookingTests
{
    private static Observation See(Home home, Laptop? laptop = null) =>
        Observer.Observe(Compiler.Compile(home.Design, Situation.Settled with { Laptop = laptop }));

    private static Home Cascade() =>
        Home.WithGateway()
            .Router("in")
            .Cable("gw/lan1", "in/wan")
            .Wired("a", "in/lan1", "192.168.20.5/24")
            .Wired("b", "gw/lan2", "192.168.8.9/24")
            .Wired("c", "gw/lan3");

    [Fact]
    public void A_table_shows_the_own_segment_and_no_one_beyond() =>
        Assert.Equal(["c", "gw", "in"], Looking.From(See(Cascade()), "b")!.Table.Select(n => n.Owner));

    [Fact]
    public void Of_two_with_one_address_the_table_shows_the_one_that_spoke_last()
    {
        var view = Looking.From(
            See(Home.WithGateway().Wired("a", "gw/lan1", "192.168.8.7/24").Wired("b", "gw/lan2", "192.168.8.7/24").Wired("c", "gw/lan3")),
            "c"
        )!;
        Assert.Equal([("a", false), ("b", false), ("gw", true)], view.Table.Select(n => (n.Owner, n.Certain)));
    }

    [Fact]
    public void Two_with_addresses_that_no_one_knows_are_neighbours() =>
        Assert.Equal(
            ["gw", "street"],
            Looking
                .From(
                    See(
                        Home.New()
                            .Service(new UnknownService(null, null) { Leases = 4 })
                            .Switch("s")
                            .Cable("street", "s/lan1")
                            .Gateway()
                            .Cable("s/lan2", "gw/wan")
                            .Wired("a", "s/lan3")
                    ),
                    "a"
                )!
                .Table.Select(n => n.Owner)
        );

    [Fact]
    public void A_guest_that_is_kept_apart_sees_the_router_alone() =>
        Assert.Equal(
            ["gw"],
            Looking
                .From(
                    See(
                        Home.WithGateway()
                            .Point("point")
                            .Cable("gw/lan1", "point/wan")
                            .Wired("a", "point/lan1")
                            .Wifi("g", "point", "visitors", "k")
                            .Habits("point", new() { GuestsApart = Known.Yes })
                            .Edit<AccessPointMode>("point", m => m with { Guest = new("visitors", WifiSecurity.Wpa2, "k") })
                    ),
                    "g"
                )!
                .Table.Select(n => n.Owner)
        );

    [Theory]
    [InlineData("192.168.8.9", AnswerKind.Yes, "in 192.168.20.1, b 192.168.8.9")]
    [InlineData("198.51.100.10", AnswerKind.Yes, "in 192.168.20.1, gw 192.168.8.1, street 203.0.113.1, :internet 198.51.100.10")]
    [InlineData("192.168.8.77", AnswerKind.No, "in 192.168.20.1")]
    [InlineData("192.168.20.200", AnswerKind.No, "")]
    public void A_route_names_whom_it_passes(string target, AnswerKind ping, string hops)
    {
        var trace = Looking.To(See(Cascade()), "a", Home.At(target))!;
        Assert.Equal((ping, hops), (trace.Ping.Kind, string.Join(", ", trace.Hops.Select(h => $"{h.Owner} {h.Address}"))));
        Assert.Equal(ping == AnswerKind.Yes, trace.StoppedBy is null);
    }

    [Fact]
    public void The_laptop_looks_on_and_changes_no_ones_answer()
    {
        var (with, without) = (See(Cascade(), Laptop.At(PortRef.Read("in/lan2"), new Automatic())), See(Cascade()));
        Assert.Equal(["a", "in"], Looking.From(with, Laptop.CableId)!.Table.Select(n => n.Owner));
        Assert.Equal(
            without.Sheet.Internet.Select(i => (i.Device, i.Answer.Kind)),
            with.Sheet.Internet.Select(i => (i.Device, i.Answer.Kind))
        );
    }

    [Fact]
    public void A_laptop_left_on_a_fixed_address_has_no_internet() =>
        Assert.Equal(
            AnswerKind.No,
            Looking
                .To(
                    See(Cascade(), Laptop.At(PortRef.Read("gw/lan4"), new Fixed(Home.Own("192.168.1.5/24"), Home.At("192.168.1.1"), []))),
                    Laptop.CableId,
                    Provider.Host
                )!
                .Ping.Kind
        );

    [Fact]
    public void A_mac_address_is_seen_in_its_own_segment()
    {
        var sightings = Looking.Sightings(See(Cascade()).Network);
        Assert.Equal(["gw", "in"], sightings.Where(s => s.Owner == "in").Select(s => s.Segment).Order());
    }
}
