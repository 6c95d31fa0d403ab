using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Facts;

public sealed class AddressBookTests
{
    private static Observation Seen(Home home) => Judging.Prove(home.Design).Observation;

    private static Home House() =>
        Home.WithGateway()
            .Router("in")
            .Cable("gw/lan1", "in/wan")
            .Wired("a", "in/lan1")
            .Wired("b", "gw/lan2")
            .Wired("c", "gw/lan3", "192.168.8.50/24")
            .Reserve("gw", "b", "192.168.8.10")
            .Wifi("d", "gw");

    [Fact]
    public void Lists_every_side_street_first_routers_first_then_by_address() =>
        Assert.Equal(
            [
                ("street", "Internet line", "203.0.113.1"),
                ("gw", "Internet line", "203.0.113.2-203.0.113.254"),
                ("gw", "gw", "192.168.8.1"),
                ("b", "gw", "192.168.8.10"),
                ("d", "gw", "192.168.8.20-192.168.8.199"),
                ("in", "gw", "192.168.8.20-192.168.8.199"),
                ("c", "gw", "192.168.8.50"),
                ("in", "in", "192.168.20.1"),
                ("a", "in", "192.168.20.100-192.168.20.199"),
            ],
            AddressBook.Of(Seen(House())).Select(e => (e.Owner, e.Territory, $"{e.Address}{e.From}"))
        );

    [Fact]
    public void Says_who_gave_it_what_it_goes_by_and_whether_it_clashes()
    {
        var book = AddressBook.Of(Seen(House()));
        var reserved = book.Single(e => e.Owner == "b");
        Assert.Equal(
            (AddressOrigin.Reserved, 24, "192.168.8.1", "gw"),
            (reserved.Origin, reserved.PrefixLength, $"{reserved.Gateway}", string.Join(',', reserved.Servers))
        );
        Assert.NotNull(reserved.Mac);
        Assert.Equal(["the provider"], book.Single(e => e.Owner == "gw" && e.Side == Side.Wan).Servers);
        Assert.Equal(["c"], book.Where(e => e.Clashes).Select(e => e.Owner));
    }

    [Theory]
    [InlineData("192.168.8.2", AddressStanding.Free, "192.168.8.2 is free: safe to set by hand.")]
    [InlineData("192.168.8.1", AddressStanding.Taken, "192.168.8.1 is taken by gw.")]
    [InlineData("192.168.8.50", AddressStanding.Taken, "192.168.8.50 is taken by c, and clashes.")]
    [InlineData("192.168.8.10", AddressStanding.Reserved, "192.168.8.10 is reserved for b.")]
    [InlineData("192.168.8.20", AddressStanding.InPool, "192.168.8.20 is in the pool of gw: it may be leased to any device that asks.")]
    [InlineData("192.168.8.0", AddressStanding.Outside, "192.168.8.0 is the network address of 192.168.8.0/24, no host can have it.")]
    [InlineData("192.168.8.255", AddressStanding.Outside, "192.168.8.255 is the broadcast address of 192.168.8.0/24, no host can have it.")]
    [InlineData(
        "192.168.9.1",
        AddressStanding.Outside,
        "192.168.9.1 is in no network of the home: a private address of some other network (RFC 1918)."
    )]
    [InlineData(
        "169.254.3.4",
        AddressStanding.Outside,
        "169.254.3.4 is in no network of the home: what a device gives itself when no DHCP server answers (RFC 3927)."
    )]
    [InlineData("203.0.113.9", AddressStanding.Outside, "203.0.113.9 is in no network of the home, it is on the provider's line.")]
    [InlineData(
        "100.64.3.4",
        AddressStanding.Outside,
        "100.64.3.4 is in no network of the home: between a provider's carrier-grade NAT and its customers (RFC 6598)."
    )]
    [InlineData("127.0.0.1", AddressStanding.Outside, "127.0.0.1 is in no network of the home: no host of a home ever has it.")]
    [InlineData("9.9.9.9", AddressStanding.Outside, "9.9.9.9 is in no network of the home: an address of the internet.")]
    public void Says_what_an_address_is(string address, AddressStanding standing, string text)
    {
        var looked = Assert.Single(AddressBook.Look(Seen(House()), Home.At(address)));
        Assert.Equal((standing, text), (looked.Standing, looked.Text));
    }

    [Fact]
    public void Answers_for_each_network_that_has_the_subnet()
    {
        var twice = Seen(Home.WithGateway().Router("in", "192.168.8.1/24").Cable("gw/lan1", "in/wan").Wired("a", "in/lan1"));
        Assert.Equal(["gw", "in"], AddressBook.Look(twice, Home.At("192.168.8.2")).Select(l => l.Segment));
    }
}

public sealed class SeatTests
{
    private static Design House =>
        Home.WithGateway().Guests("gw").Wired("a", "gw/lan1").Point("point", "192.168.8.3/24").Cable("gw/lan2", "point/wan").Design;

    [Fact]
    public void One_can_stand_at_devices_boxes_free_ports_and_names() =>
        Assert.Equal(
            ["a", "gw", "point", "gw/lan3", "gw/lan4", "point/lan1", "point/lan2", "gw/r5", "gw/guest", "point/r5"],
            Seats.Of(House).Select(s => s.Id)
        );

    [Theory]
    [InlineData("a", "a", "192.168.8.20-192.168.8.199")]
    [InlineData("gw/lan3", Laptop.CableId, "192.168.8.20-192.168.8.199")]
    [InlineData("point/lan2", Laptop.CableId, "192.168.8.20-192.168.8.199")]
    [InlineData("point/r5", Laptop.WifiId, "192.168.8.20-192.168.8.199")]
    [InlineData("gw/guest", Laptop.WifiId, "192.168.30.20-192.168.30.99")]
    public void Every_seat_has_its_view(string seat, string owner, string range)
    {
        var (seen, who) = Seats.At(House, seat).Value;
        Assert.Equal(owner, who);
        Assert.Equal(range, $"{Looking.From(seen, who)!.Addresses.Single().From}");
    }

    /// <summary>
    /// At both at once it has both addresses; what is near goes by the one that is near, the rest by the cable, and two ways are luck.
    /// </summary>
    [Fact]
    public void A_laptop_looks_by_cable_and_by_wifi_at_once()
    {
        var (seen, who) = Seats.At(House, "gw/lan3+gw/guest").Value;
        Assert.Equal(Laptop.BothId, who);
        var view = Looking.From(seen, who)!;
        Assert.Equal(
            [":laptop 192.168.8.20-192.168.8.199", ":laptop-wifi 192.168.30.20-192.168.30.99"],
            view.Addresses.Select(a => $"{a.Owner} {a.From}")
        );
        Assert.Contains(view.Table, n => $"{n.Address}" == "192.168.8.1");
        Assert.Contains(view.Table, n => $"{n.Address}" == "192.168.30.1");
        Assert.Equal(Shown(Laptop.WifiId, "192.168.30.1"), Shown(who, "192.168.30.1"));
        Assert.NotEqual(Shown(Laptop.CableId, "192.168.30.1"), Shown(who, "192.168.30.1"));
        Assert.Equal(Shown(Laptop.CableId, "198.51.100.10"), Shown(who, "198.51.100.10"));
        Assert.True(Looking.To(seen, who, Seats.Target(seen, "internet").Value)!.Ping.IsYes);
        var (twice, both) = Seats.At(House, "gw/lan3+point/r5").Value;
        var ping = Looking.To(twice, both, Home.At("192.168.8.1"))!.Ping;
        Assert.Equal((AnswerKind.Luck, CauseCodes.TwoWays), (ping.Kind, ping.Causes[0].Code));
        Assert.All(new[] { "gw/lan3+gw/lan4", "gw/r5+gw/lan3", "gw/lan3+a", "gw/lan3+gw/r5+gw/guest" }, s =>
            Assert.False(Seats.At(House, s).Ok, s)
        );

        string Shown(string owner, string to) =>
            Looking.To(seen, owner, Home.At(to)) is { } trace
                ? $"{trace.Ping.Kind} {trace.Ping.Why} {string.Join(' ', trace.Hops.Select(h => $"{h.Owner} {h.Address}"))}"
                : "";
    }

    [Fact]
    public void Only_who_is_there_and_set_so_asks() => Assert.Equal(["a", "gw"], Seats.Of(House).Where(s => s.Asks).Select(s => s.Id));

    [Fact]
    public void Every_seat_that_is_offered_can_be_taken() => Assert.All(Seats.Of(House), s => Assert.True(Seats.At(House, s.Id).Ok, s.Id));

    [Theory]
    [InlineData("missing", "There is no box or device 'missing' with an address in this set-up.")]
    [InlineData("gw/lan1", "There is a cable in port 1 of gw.")]
    [InlineData("gw/lan9", "There is no port 'gw/lan9'; there is gw/wan, gw/lan1, gw/lan2, gw/lan3, gw/lan4.")]
    public void No_one_stands_where_there_is_no_seat(string seat, string why) => Assert.Equal(why, Seats.At(House, seat).Error);

    [Fact]
    public void A_target_is_a_device_a_box_the_internet_or_an_address()
    {
        var (seen, _) = Seats.At(House, "a").Value;
        Assert.Equal(
            ["192.168.8.20", "192.168.8.3", "198.51.100.10", "10.0.0.1"],
            new[] { "a", "point", "internet", "10.0.0.1" }.Select(t => $"{Seats.Target(seen, t).Value}")
        );
        Assert.False(Seats.Target(seen, "no such thing").Ok);
    }
}
