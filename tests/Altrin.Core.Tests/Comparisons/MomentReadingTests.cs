using Altrin.Core.Comparisons;
using Altrin.Core.Networks;
using Altrin.Core.Readings;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Comparisons;

/// <summary>
/// Readings held against a moment of the work: which address a server chose there is its own affair, how the laptop is set is not.
/// </summary>
public sealed class MomentReadingTests
{
    private static readonly HostAddress Typed = new Fixed(Home.Own("192.168.8.250/24"), null, []);

    private static Home House() => Home.WithGateway().Wired("tv", "gw/lan1").Wired("pc", "gw/lan2").Reserve("gw", "pc", "192.168.8.60");

    private static Agreement Of(Home home, HostAddress laptop, string text, string id)
    {
        var now = Moment.Morning(home.Design).After(new MoveLaptop(Laptop.At(PortRef.Read("gw/lan4"), laptop)));
        Assert.True(now.Ok, now.Error);
        var file = new HomeFile(home.Design.Site, [home.Design.SetUp]);
        var said = ReadingComparison.Of(file, now.Value, ReadingText.Read(text).Value).Statements;
        return said.FirstOrDefault(s => s.Id == id)?.Agreement ?? Agreement.Agrees;
    }

    private static string Adapter(string address, bool leased) =>
        $"""
            2: eth0: <BROADCAST,MULTICAST,UP,LOWER_UP> mtu 1500 qdisc noqueue state UP
                link/ether 02:00:5e:10:00:01 brd ff:ff:ff:ff:ff:ff
                inet {address} scope global {(leased ? "dynamic " : "")}eth0
                   valid_lft {(leased ? "3600sec preferred_lft 3600sec" : "forever preferred_lft forever")}

            """;

    [Theory]
    [InlineData("192.168.8.20/24", Agreement.Agrees)]
    [InlineData("192.168.8.177/24", Agreement.Agrees)]
    [InlineData("192.168.8.210/24", Agreement.Disagrees)]
    [InlineData("192.168.8.177/16", Agreement.Disagrees)]
    [InlineData("192.168.9.20/24", Agreement.Disagrees)]
    public void Any_address_of_the_pool_may_be_leased(string address, Agreement agrees) =>
        Assert.Equal(agrees, Of(House(), new Automatic(), Adapter(address, true), "address"));

    [Fact]
    public void A_laptop_is_set_as_it_was_left_at_that_moment()
    {
        Assert.Equal(Agreement.Agrees, Of(House(), Typed, Adapter("192.168.8.250/24", false), "address"));
        Assert.Equal(Agreement.Agrees, Of(House(), Typed, Adapter("192.168.8.250/24", false), "way"));
        Assert.Equal(Agreement.Disagrees, Of(House(), Typed, Adapter("192.168.8.20/24", true), "way"));
        Assert.Equal(Agreement.Disagrees, Of(House(), new Automatic(), Adapter("192.168.8.250/24", false), "way"));
        Assert.Equal(Agreement.Agrees, Of(House(), new Automatic(), Adapter("192.168.8.20/24", true), "way"));
    }

    /// <summary>The television has whatever the server chose; what is reserved for the computer is its own address and no other.</summary>
    [Theory]
    [InlineData("tv", "192.168.8.177", Agreement.Agrees)]
    [InlineData("tv", "192.168.8.210", Agreement.Disagrees)]
    [InlineData("pc", "192.168.8.60", Agreement.Agrees)]
    [InlineData("pc", "192.168.8.177", Agreement.Disagrees)]
    public void A_neighbour_is_where_its_server_may_have_put_it(string device, string address, Agreement agrees)
    {
        var home = House();
        var mac = home.Design.Device(device)!.Mac!.Value;
        Assert.Equal(agrees, Of(home, new Automatic(), $"{address} dev eth0 lladdr {mac} REACHABLE\n", $"near:{mac}"));
    }

    /// <summary>
    /// Labels of two boxes bought together follow each other: what stands on one is surer than what the other's kind suggests.
    /// </summary>
    [Fact]
    public void A_label_is_surer_than_what_a_kind_of_box_has_on_another_side()
    {
        var home = House().Router("loft", "192.168.8.2/24", server: false).Cable("gw/lan3", "loft/lan1");
        var (own, other) = (home.Design.Box("gw")!.Mac!.Value, home.Design.Box("loft")!.Mac!.Value);
        home = home.Traits("gw", new() { Neighbours = [new("r5", (int)(other.Bits - own.Bits))] });
        Assert.Equal(Agreement.Agrees, Of(home, new Automatic(), $"192.168.8.2 dev eth0 lladdr {other} REACHABLE\n", $"near:{other}"));
    }

    /// <summary>By cable behind an inner router and in the gateway's Wi-Fi: the laptop is in two networks at once.</summary>
    [Theory]
    [InlineData("DHCPOFFER 192.168.20.1", Agreement.Agrees)]
    [InlineData("DHCPOFFER 192.168.8.1", Agreement.Agrees)]
    [InlineData("DHCPOFFER 192.168.8.1 192.168.20.1", Agreement.Agrees)]
    [InlineData("DHCPOFFER 192.168.30.1", Agreement.Disagrees)]
    [InlineData("nameserver 192.168.20.1", Agreement.Agrees)]
    [InlineData("nameserver 192.168.8.1 192.168.20.1", Agreement.Agrees)]
    [InlineData("nameserver 192.168.30.1", Agreement.Disagrees)]
    public void A_laptop_in_two_networks_hears_one_by_each_adapter(string words, Agreement agrees)
    {
        var home = House().Router("in").Cable("gw/lan3", "in/wan");
        var now = Moment
            .Morning(home.Design)
            .After(
                new MoveLaptop(
                    new(new(PortRef.Read("in/lan3"), new Automatic()), new LaptopOnWifi(new("gw", "home", "key"), new Automatic()))
                )
            )
            .Value;
        var servers = words.Split(' ')[1..].Select(Home.At).ToList();
        var empty = ReadingText.Read("").Value;
        var reading = words.StartsWith("DHCP", StringComparison.Ordinal)
            ? empty with
            {
                Offers = [.. servers.Select(s => new OfferRead(1, DhcpKind.Offer, s, null))],
            }
            : ReadingText.Read(Adapter("192.168.20.120/24", true) + string.Join('\n', servers.Select(s => $"nameserver {s}")) + "\n").Value;
        var said = ReadingComparison.Of(new(home.Design.Site, [home.Design.SetUp]), now, reading).Statements;
        Assert.Equal(agrees, said.First(s => s.Id == (words[0] == 'D' ? "servers" : "names")).Agreement);
    }
}
