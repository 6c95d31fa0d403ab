using Altrin.Core.Addressing;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Core.Tests.Readings;

/// <summary>
/// Readings held against a recorded home: what agrees, what does not and why, what is offered, and what accepting it writes.
/// </summary>
public sealed class ReadingComparisonTests
{
    /// <summary>A gateway with a wired device, a fixed one, and a further router behind it as a cascade with a device of its own.</summary>
    private static Home House() =>
        Home.WithGateway()
            .Wired("a", "gw/lan1")
            .Wired("b", "gw/lan2", "192.168.8.5/24")
            .Router("loft")
            .Cable("gw/lan3", "loft/wan")
            .Wired("c", "loft/lan1");

    private static ReadingComparison At(Home home, string? seat, string text) =>
        ReadingComparison.Of(new(home.Design.Site, [home.Design.SetUp]), home.Design, seat, ReadingText.Read(text).Value);

    private static string Adapter(
        string own,
        string? gateway = "192.168.8.1",
        string way = "dynamic ",
        string names = "192.168.8.1",
        string mac = "02:00:5e:00:53:99"
    ) =>
        $"""
            2: eth0: <BROADCAST,MULTICAST,UP,LOWER_UP> mtu 1500
                link/ether {mac} brd ff:ff:ff:ff:ff:ff
                inet {own} scope global {way}eth0
                   valid_lft {(way.Length > 0 ? "43193sec" : "forever")} preferred_lft forever
            {(gateway is null ? "" : $"default via {gateway} dev eth0")}
            nameserver {names}
            """;

    /// <summary>Home, seat, text; then the statement's id, how it stands, and what must stand in its explanations and its offer.</summary>
    public static TheoryData<string, string, string, Agreement, string, string> Cases { get; } =
        new()
        {
            // The laptop in a free port of the gateway.
            { "gw/lan4", Adapter("192.168.8.44/24"), "address", Agreement.Agrees, "", "" },
            { "gw/lan4", Adapter("192.168.8.44/24"), "gateway", Agreement.Agrees, "", "" },
            { "gw/lan4", Adapter("192.168.8.44/24"), "names", Agreement.Agrees, "", "" },
            // In the right network, but no address that is given there.
            { "gw/lan4", Adapter("192.168.8.7/24", way: ""), "address", Agreement.Disagrees, "left over from an earlier job", "" },
            {
                "gw/lan4",
                Adapter("10.9.9.7/24", "10.9.9.1", way: ""),
                "address",
                Agreement.Disagrees,
                "tells nothing of the network that it is plugged into",
                ""
            },
            { "gw/lan4", Adapter("192.168.8.7/24", way: ""), "way", Agreement.Disagrees, "Set it back to automatic", "" },
            // It was plugged in behind the other router: found by trying it.
            {
                "gw/lan4",
                Adapter("192.168.20.150/24", "192.168.20.1"),
                "address",
                Agreement.Disagrees,
                "taken elsewhere: it would be right at laptop in port",
                ""
            },
            // The further router's cable sits in a LAN port: two servers on one wire, and the laptop got the wrong one.
            { "gw/lan4", Adapter("192.168.20.150/24", "192.168.20.1"), "address", Agreement.Disagrees, "is in port", "" },
            // No host answered.
            { "gw/lan4", Adapter("169.254.7.9/16", null), "address", Agreement.Disagrees, "The DHCP server of gw is off.", "" },
            // The gateway is at another address than noted: believed, since its lease says so.
            {
                "gw/lan4",
                Adapter("192.168.1.33/24", "192.168.1.1", names: "192.168.1.1"),
                "address",
                Agreement.Disagrees,
                "",
                "192.168.1.1"
            },
            { "gw/lan4", Adapter("192.168.8.44/24", "192.168.8.254"), "gateway", Agreement.Disagrees, "", "" },
            {
                "gw/lan4",
                Adapter("192.168.8.44/24", names: "192.168.77.7"),
                "names",
                Agreement.Disagrees,
                "No recorded host is at 192.168.77.7",
                ""
            },
            { "gw/lan4", Adapter("192.168.8.44/24", names: "203.0.113.53"), "names", Agreement.Disagrees, "", "203.0.113.53" },
            // A device that was recorded as asking has an address that was typed by hand.
            { "a", Adapter("192.168.8.6/24", way: ""), "way", Agreement.Disagrees, "", "192.168.8.6" },
            { "a", Adapter("192.168.8.30/24"), "mac", Agreement.Disagrees, "", "" },
            // A table of routes, or a list of DNS servers, by itself.
            {
                "gw/lan4",
                "default via 192.168.8.1 dev eth0 proto dhcp src 192.168.8.44 metric 100\n192.168.8.0/24 dev eth0 proto kernel scope link src 192.168.8.44",
                "address",
                Agreement.Agrees,
                "",
                ""
            },
            { "gw/lan4", "default via 192.168.8.1 dev eth0", "gateway", Agreement.Agrees, "", "" },
            {
                "gw/lan4",
                "0.0.0.0         192.168.8.254   0.0.0.0         UG    100    0        0 eth0",
                "gateway",
                Agreement.Disagrees,
                "",
                ""
            },
            { "gw/lan4", "default            192.168.8.1        UGScg             en0", "gateway", Agreement.Agrees, "", "" },
            { "gw/lan4", "nameserver 192.168.77.7", "names", Agreement.Disagrees, "No recorded host is at 192.168.77.7", "" },
            // Routes.
            {
                "gw/lan4",
                "traceroute to 198.51.100.10 (198.51.100.10)\n 1  192.168.8.1  1 ms\n 2  203.0.113.1  2 ms\n 3  198.51.100.10  3 ms",
                "route:1",
                Agreement.Agrees,
                "",
                ""
            },
            {
                "gw/lan4",
                "traceroute to 198.51.100.10 (198.51.100.10)\n 1  192.168.8.1  1 ms\n 2  100.64.0.1  2 ms\n 3  198.51.100.10  3 ms",
                "route:1",
                Agreement.Disagrees,
                "carrier-grade NAT",
                "Carrier-grade NAT"
            },
            {
                "gw/lan4",
                "traceroute to 198.51.100.10 (198.51.100.10)\n 1  192.168.8.1  1 ms\n 2  192.0.0.1  2 ms\n 3  198.51.100.10  3 ms",
                "route:1",
                Agreement.Disagrees,
                "RFC 7335",
                "Carrier-grade NAT"
            },
            {
                "gw/lan4",
                "traceroute to 198.51.100.10 (198.51.100.10)\n 1  192.168.8.1  1 ms\n 2  10.3.0.1  2 ms\n 3  198.51.100.10  3 ms",
                "route:1",
                Agreement.Disagrees,
                "A private hop proves the network, not NAT",
                ""
            },
            {
                "gw/lan4",
                "traceroute to 198.51.100.10 (198.51.100.10)\n 1  192.168.20.1  1 ms\n 2  192.168.8.1  2 ms\n 3  203.0.113.1  3 ms",
                "route:1",
                Agreement.Disagrees,
                "taken elsewhere",
                ""
            },
            {
                "c",
                "traceroute to 198.51.100.10 (198.51.100.10)\n 1  192.168.20.1  1 ms\n 2  192.168.8.1  2 ms\n 3  203.0.113.1  3 ms",
                "route:1",
                Agreement.Agrees,
                "",
                ""
            },
            {
                "c",
                "traceroute to 198.51.100.10 (198.51.100.10)\n 1  192.168.20.1  1 ms\n 2  * * *\n 3  203.0.113.1  3 ms",
                "route:1",
                Agreement.Unknown,
                "",
                ""
            },
            // Pings: an answer proves more than a silence.
            {
                "gw/lan4",
                "PING 192.168.8.5 (192.168.8.5): 56 data bytes\n64 bytes from 192.168.8.5: seq=0 ttl=64 time=1 ms",
                "ping:1",
                Agreement.Agrees,
                "",
                ""
            },
            {
                "gw/lan4",
                "PING 192.168.8.5 (192.168.8.5): 56 data bytes\n\n3 packets transmitted, 0 packets received, 100% packet loss",
                "ping:1",
                Agreement.Unknown,
                "",
                ""
            },
            {
                "gw/lan4",
                "PING 192.168.8.6 (192.168.8.6): 56 data bytes\n\n3 packets transmitted, 0 packets received, 100% packet loss",
                "ping:1",
                Agreement.Agrees,
                "",
                ""
            },
            {
                "gw/lan4",
                "PING 192.168.8.6 (192.168.8.6): 56 data bytes\n64 bytes from 192.168.8.6: seq=0 ttl=64 time=1 ms",
                "ping:1",
                Agreement.Disagrees,
                "",
                ""
            },
            // Cables.
            { "gw/lan4", "Settings for eth0:\n\tSpeed: 1000Mb/s\n\tLink detected: yes", "cable:eth0", Agreement.Agrees, "", "" },
            {
                "gw/lan4",
                "Settings for eth0:\n\tSupported link modes:   1000baseT/Full\n\tSpeed: 100Mb/s\n\tLink detected: yes",
                "cable:eth0",
                Agreement.Disagrees,
                "two pairs",
                ""
            },
            {
                "gw/lan4",
                "Settings for eth0:\n\tSupported link modes:   100baseT/Full\n\tSpeed: 100Mb/s\n\tLink detected: yes",
                "cable:eth0",
                Agreement.Agrees,
                "",
                ""
            },
            {
                "a",
                "Settings for eth0:\n\tSupported link modes:   1000baseT/Full\n\tLink partner advertised link modes:   1000baseT/Full\n\tSpeed: 100Mb/s\n\tLink detected: yes",
                "cable:eth0",
                Agreement.Disagrees,
                "two pairs",
                "two pairs"
            },
            {
                "a",
                "Settings for eth0:\n\tSupported link modes:   1000baseT/Full\n\tLink partner advertised link modes:   100baseT/Full\n\tSpeed: 100Mb/s\n\tLink detected: yes",
                "cable:eth0",
                Agreement.Disagrees,
                "The other end can 100",
                ""
            },
            { "gw/lan4", "Settings for eth0:\n\tSpeed: Unknown!\n\tLink detected: no", "cable:eth0", Agreement.Disagrees, "", "" },
            // The laptop was to stand at a cable, and is still in a Wi-Fi.
            {
                "gw/lan4",
                "Connected to 02:00:5e:00:53:99 (on wlan0)\n\tSSID: home\n\tfreq: 5180\n\tsignal: -71 dBm",
                "wifi:home",
                Agreement.Disagrees,
                "It is still in a Wi-Fi",
                ""
            },
            {
                "gw/r5",
                "Connected to 02:00:5e:00:53:99 (on wlan0)\n\tSSID: home\n\tfreq: 5180\n\tsignal: -71 dBm",
                "wifi:home",
                Agreement.Agrees,
                "",
                ""
            },
            {
                "gw/r5",
                "Connected to 02:00:5e:00:53:99 (on wlan0)\n\tSSID: next door\n\tfreq: 5180\n\tsignal: -51 dBm",
                "wifi:next door",
                Agreement.Disagrees,
                "joined another network than meant",
                ""
            },
            // Names count capitals.
            {
                "gw/lan4",
                "BSS 00:00:5e:00:53:02(on wlan0)\n\tfreq: 5180\n\tSSID: HOME\n\tRSN:\t * Version: 1\n",
                "air:gw/r5",
                Agreement.Disagrees,
                "",
                "gw sends \"HOME\""
            },
            // Who answers with addresses.
            { "gw/lan4", "DHCPOFFER of 192.168.8.44 from 192.168.8.1", "servers", Agreement.Agrees, "", "" },
            { "gw/lan4", "DHCPACK of 192.168.8.44 from 192.168.8.1", "servers", Agreement.Unknown, "", "" },
            {
                "gw/lan4",
                "DHCPOFFER of 192.168.8.44 from 192.168.8.1\nDHCPOFFER of 192.168.20.101 from 192.168.20.1",
                "servers",
                Agreement.Disagrees,
                "is in port",
                ""
            },
            {
                "gw/lan4",
                "DHCPOFFER of 192.168.20.101 from 192.168.20.1",
                "servers",
                Agreement.Disagrees,
                "192.168.8.1 did not answer",
                ""
            },
            { "gw/lan4", "DHCPOFFER of 192.168.20.101 from 192.168.20.1", "servers", Agreement.Disagrees, "taken elsewhere", "" },
            {
                "gw/lan4",
                "DHCPOFFER of 192.168.8.44 from 192.168.8.1\nDHCPOFFER of 192.168.8.101 from 192.168.8.254",
                "servers",
                Agreement.Disagrees,
                "No recorded host is at 192.168.8.254",
                ""
            },
            // Who is there.
            { "gw/lan4", "192.168.8.5 dev eth0 lladdr 00:00:5e:00:53:04 REACHABLE", "near:00:00:5e:00:53:04", Agreement.Agrees, "", "" },
            {
                "gw/lan4",
                "192.168.8.6 dev eth0 lladdr 00:00:5e:00:53:04 REACHABLE",
                "near:00:00:5e:00:53:04",
                Agreement.Disagrees,
                "Its address changed",
                ""
            },
            {
                "gw/lan4",
                "192.168.8.60 dev eth0 lladdr 02:00:5e:00:53:77 REACHABLE",
                "near:02:00:5e:00:53:77",
                Agreement.Unknown,
                "",
                "is a device of the home"
            },
            {
                "gw/lan4",
                "192.168.8.5 dev eth0 lladdr 02:00:5e:00:53:77 REACHABLE",
                "near:02:00:5e:00:53:77",
                Agreement.Disagrees,
                "Something else has taken the address of b",
                ""
            },
            // Outside.
            { "gw/lan4", "outside 203.0.113.80 wan 203.0.113.80", "outside", Agreement.Agrees, "", "" },
            { "gw/lan4", "outside 203.0.113.80 wan 100.64.3.3", "outside", Agreement.Disagrees, "", "Carrier-grade NAT" },
        };

    [Theory]
    [MemberData(nameof(Cases))]
    public void A_reading_stands_to_the_home(string seat, string text, string id, Agreement agreement, string explained, string offered)
    {
        var statement = Assert.Single(At(House(), seat, text).Statements, s => s.Id == id);
        Assert.True(agreement == statement.Agreement, $"{statement.Agreement}: {statement.Found} {statement.Recorded}");
        if (explained.Length > 0)
        {
            Assert.Contains(statement.Explanations, e => e.Text.Contains(explained, StringComparison.Ordinal));
        }
        Assert.True(
            offered.Length == 0 ? statement.Offer is null : statement.Offer?.Contains(offered, StringComparison.Ordinal) == true,
            $"offered: {statement.Offer}"
        );
    }

    /// <summary>What else hangs there, how a device is recorded, and how a list shows it; "" where nothing can be said of it.</summary>
    [Theory]
    [InlineData("", "cable", "LAN 2", "Agrees")]
    [InlineData("", "cable", "5 GHz", "Disagrees: Its cable is out")]
    [InlineData("", "Wi-Fi", "5 GHz", "Agrees")]
    [InlineData("", "Wi-Fi", "LAN 2", "Disagrees: It was plugged in meanwhile")]
    [InlineData("", "neither", "LAN 2", "")]
    // On the access point's radio it is listed as the cable that the access point hangs on.
    [InlineData("point", "Wi-Fi", "LAN 2", "")]
    [InlineData("point", "cable", "5 GHz", "Disagrees: Its cable is out")]
    // In a socket of the repeater it is listed as the radio that the repeater joins by.
    [InlineData("repeater", "cable", "5 GHz", "")]
    [InlineData("repeater", "cable", "LAN 2", "Agrees")]
    public void A_way_in_a_list_stands_to_the_recorded_one(string beside, string recorded, string listed, string expected)
    {
        var home = Home.WithGateway();
        home = beside switch
        {
            "point" => home.Point("point").Cable("gw/lan1", "point/lan1"),
            "repeater" => home.Repeater("repeater", "gw"),
            _ => home,
        };
        home = recorded switch
        {
            "cable" => home.Wired("a", "gw/lan2"),
            "Wi-Fi" => home.Wifi("a", "gw"),
            _ => home.Loose("a"),
        };
        var mac = home.Design.Device("a")!.Mac;
        var said = At(home, "gw/lan4", $"Name;Hardware;Way\na;{mac};{listed}").Statements.FirstOrDefault(s => s.Id == $"link:{mac}");
        Assert.Equal(
            expected,
            said is null ? ""
                : said.Explanations is [var why]
                    ? $"{said.Agreement}: {why.Text[..why.Text.IndexOfAny([',', ';'])]}".Replace(" or not", "", StringComparison.Ordinal)
                : $"{said.Agreement}"
        );
    }

    /// <summary>Who is new is put where the list says; a cable that may be an access point's is left open.</summary>
    [Theory]
    [InlineData(false, "5 GHz", false)]
    [InlineData(false, "LAN 2", true)]
    [InlineData(true, "LAN 2", null)]
    [InlineData(true, "5 GHz", false)]
    [InlineData(false, "since noon", null)]
    public void A_new_device_is_put_where_the_list_says(bool beside, string listed, bool? byCable)
    {
        var home = beside ? Home.WithGateway().Point("point").Cable("gw/lan1", "point/lan1") : Home.WithGateway();
        var said = Assert.Single(At(home, "gw/lan4", $"Name;Hardware;Way\nPrinter;00:00:5e:00:53:f0;{listed}").Statements, s =>
            s.Id == "near:00:00:5e:00:53:f0"
        );
        Assert.Equal(byCable, Assert.IsType<AddDevice>(Assert.Single(said.Corrections)).ByCable);
    }

    /// <summary>What explains is tried, not guessed: the finding that the slip brings stands beside it.</summary>
    [Fact]
    public void An_explanation_names_the_finding_that_it_would_bring()
    {
        var servers = Assert.Single(
            At(House(), "gw/lan4", "DHCPOFFER of 192.168.8.44 from 192.168.8.1\nDHCPOFFER of 192.168.20.101 from 192.168.20.1").Statements,
            s => s.Id == "servers"
        );
        Assert.Contains(servers.Explanations, e =>
            e.Text.Contains("in port", StringComparison.Ordinal)
            && e.Findings.Any(f => f.StartsWith("loft is in router mode, but is connected to", StringComparison.Ordinal))
        );
    }

    [Fact]
    public void Nothing_is_compared_where_nobody_said_where_it_was_taken()
    {
        var seen = At(House(), null, Adapter("192.168.8.44/24"));
        Assert.Null(seen.Seat);
        Assert.All(seen.Statements, s => Assert.Equal(Agreement.Unknown, s.Agreement));
        Assert.Contains(seen.Statements, s => s.Recorded == "Say where it was taken to have it compared.");
    }

    /// <summary>Among a loopback, a tunnel, an idle adapter and a switch inside the machine, the one that leads out counts.</summary>
    [Theory]
    [InlineData("ipconfig-all.txt", "Ethernet adapter Ethernet")]
    [InlineData("ipconfig.chinese.txt", "以太网适配器 以太网")]
    [InlineData("ip-addr.txt", "eth0")]
    [InlineData("ifconfig.bsd.txt", "en0")]
    [InlineData("ifconfig-older.txt", "eth0")]
    [InlineData("route-print.german.txt", "192.168.8.21")]
    [InlineData("terminal.txt", "eth0")]
    public void The_right_adapter_is_chosen(string file, string name) =>
        Assert.Equal(name, Machine.Of(ReadingText.Read(File.ReadAllText(Path.Combine(StandInTests.Folder, file))).Value)?.Adapter.Name);

    [Fact]
    public void The_adapter_that_counts_has_what_stands_elsewhere_in_the_text()
    {
        var machine = Machine.Of(ReadingText.Read(File.ReadAllText(Path.Combine(StandInTests.Folder, "terminal.txt"))).Value)!;
        Assert.Equal(
            ("192.168.8.1", "192.168.8.1", AddressWay.Leased),
            ($"{machine.Adapter.Gateway}", string.Join(' ', machine.Adapter.DnsServers), machine.Adapter.Way)
        );
        Assert.Equal(["lo"], machine.Others);
    }

    /// <summary>Everything that is offered can be accepted in one act, and then agrees.</summary>
    [Fact]
    public void What_is_accepted_is_written_and_agrees_afterwards() => Assert.All(Cases, data =>
        {
            var (seat, text, id, _, _, offered) = data.Data;
            var home = House();
            var file = new HomeFile(home.Design.Site, [home.Design.SetUp]);
            var reading = ReadingText.Read(text).Value;
            var before = ReadingComparison.Of(file, home.Design, seat, reading);
            var ids = before.Offered.Select(s => s.Id).ToList();
            var after = before.Accept(file, new Shelf([]), home.Design.SetUp.Name, ids);
            Assert.True(after.Ok, after.Error);
            if (ids.Count > 0)
            {
                var now = ReadingComparison.Of(after.Value, after.Value.Design(home.Design.SetUp.Name)!, seat, reading);
                Assert.All(now.Statements.Where(s => ids.Contains(s.Id)), s =>
                    Assert.True(
                        s.Offer is null || s.Offer != before.Statements.First(b => b.Id == s.Id).Offer,
                        $"{s.Id} is offered again: {s.Offer}"
                    )
                );
                Assert.All(now.Statements.Where(s => ids.Contains(s.Id) && s.Id is not ("names" or "servers")), s =>
                    Assert.NotEqual(Agreement.Disagrees, s.Agreement)
                );
            }
            else
            {
                Assert.Same(file, after.Value);
            }
            Assert.Equal(offered.Length > 0, ids.Contains(id));
        });

    [Fact]
    public void What_is_not_offered_cannot_be_accepted()
    {
        var home = House();
        var seen = At(home, "gw/lan4", Adapter("192.168.8.44/24"));
        Assert.Contains(
            "read it again",
            seen.Accept(new(home.Design.Site, [home.Design.SetUp]), new Shelf([]), home.Design.SetUp.Name, ["address"]).Error,
            StringComparison.Ordinal
        );
    }

    /// <summary>One MAC address at two addresses, and one name at two: ids are given once, and only the first of each is offered.</summary>
    [Fact]
    public void What_a_text_says_twice_is_offered_once()
    {
        var home = Home.WithGateway().Wired("a", "gw/lan1").Device("a", d => d with { Mac = null, Name = "Phone" });
        var file = new HomeFile(home.Design.Site, [home.Design.SetUp]);
        var seen = At(
            home,
            "gw/lan4",
            "Name,IP,MAC\nPhone,192.168.8.30,02:00:5e:00:53:70\nPhone,192.168.8.31,02:00:5e:00:53:71\nTv,192.168.8.32,02:00:5e:00:53:72\nTelevision,192.168.8.33,02:00:5e:00:53:72\n"
        );
        Assert.Equal(seen.Statements.Count, seen.Statements.DistinctBy(s => s.Id).Count());
        Assert.Equal(["near:02:00:5e:00:53:70", "near:02:00:5e:00:53:72"], seen.Offered.Select(s => s.Id));
        var after = seen.Accept(file, new Shelf([]), home.Design.SetUp.Name, [.. seen.Offered.Select(s => s.Id)]);
        Assert.True(after.Ok, after.Error);
        Assert.Equal(["02:00:5e:00:53:70", "02:00:5e:00:53:72"], after.Value.Site.Devices.Select(d => $"{d.Mac}"));
    }

    /// <summary>Behind a carrier, its hop is expected, and the place is still found.</summary>
    [Fact]
    public void A_slip_is_found_behind_a_carrier_too()
    {
        var seen = At(
            House().Service(new CarrierNat(null, null)),
            "gw/lan4",
            "traceroute to 198.51.100.10 (198.51.100.10)\n 1  192.168.20.1  1 ms\n 2  192.168.8.1  2 ms\n 3  100.64.0.1  3 ms\n 4  198.51.100.10  4 ms"
        );
        Assert.Contains(Assert.Single(seen.Statements, s => s.Id == "route:1").Explanations, e =>
            e.Text.StartsWith("It was taken elsewhere", StringComparison.Ordinal)
        );
    }

    /// <summary>
    /// A run is held to what carries least between its seat and the street: a port, a lead, an old radio; another medium than the seat's
    /// is held to nothing.
    /// </summary>
    [Theory]
    [InlineData("gw/lan4", "cable", 90, "It is as much as port 4 of gw carries, 100 Mb/s, of which 94 arrive.")]
    [InlineData("gw/r5", "5 GHz", 22, "It is as much as the radio of gw carries, 54 Mb/s, of which 25 arrive.")]
    [InlineData("gw/lan4", "5 GHz", 22, "Less than the 500 Mb/s sold: measure by cable")]
    [InlineData("a", "cable", 93, "It is as much as the link from")]
    public void A_run_is_held_to_what_carries_least(string seat, string by, int down, string says)
    {
        var home = House()
            .Profile("gw", p =>
                p with
                {
                    Ports = [.. p.Ports.Select(x => x with { SpeedMbps = x.Id is "lan4" or "lan1" ? 100 : 1000 })],
                    Radios = [.. p.Radios.Select(r => r with { Generation = WifiGeneration.G })],
                }
            );
        var run = $",hall,{by},,30,,{down},\n";
        var group = Assert.Single(At(home, seat, $"{TypedReader.Heads}\n{run}{run}{run}").Baseline);
        Assert.Contains(group.Says, s => s.StartsWith(says, StringComparison.Ordinal));
    }

    /// <summary>
    /// Each statement costs a look at the simulated network: a text of a million characters gives a limited number of them.
    /// </summary>
    [Fact]
    public void A_long_reading_says_only_so_much()
    {
        var text = string.Concat(
            Enumerable
                .Range(0, 2000)
                .Select(i =>
                    $"traceroute to 198.51.100.10 (198.51.100.10)\n 1  192.168.8.1  1 ms\n 2  10.3.{i % 250}.1  2 ms\n\nPING 192.168.8.{i % 250} (192.168.8.{i % 250}): 56 data bytes\n64 bytes from 192.168.8.{i % 250}: seq=0 ttl=64 time=1 ms\n\n? (192.168.8.{i % 250}) at 02:00:5e:00:{i / 250:x2}:{i % 250:x2} [ether] on eth0\n"
                )
        );
        var statements = At(House(), "gw/lan4", text).Statements;
        Assert.Equal(
            (10, 50, 300),
            (
                statements.Count(s => s.Id.StartsWith("route:", StringComparison.Ordinal)),
                statements.Count(s => s.Id.StartsWith("ping:", StringComparison.Ordinal)),
                statements.Count(s => s.Id.StartsWith("near:", StringComparison.Ordinal))
            )
        );
    }

    /// <summary>A machine has few adapters and ways out: what a long text makes up beyond is not weighed against each other.</summary>
    [Fact]
    public void A_long_table_of_routes_is_weighed_in_part()
    {
        var text = string.Concat(
            Enumerable
                .Range(0, 20_000)
                .Select(i => $"0.0.0.0 0.0.0.0 10.{i / 250 % 250}.{i % 250}.1 10.{i / 250 % 250}.{i % 250}.7 {i % 90}\n")
        );
        Assert.InRange(Machine.Of(ReadingText.Read(text).Value)!.Others.Count, 1, Machine.Most);
    }

    [Fact]
    public void What_is_on_the_air_is_held_against_the_radios()
    {
        var home = Home.WithGateway().Edit<RouterMode>("gw", m => m with { Wifi = [.. m.Wifi.Select(r => r with { Channel = 44 })] });
        var (name, radio) = (home.Design.SetUp.Boxes[0].Mode.Radios[0].Name, home.Design.Site.Boxes[0].Mac!.Value);
        var text =
            $"BSS {new MacAddress(radio.Bits + 1)}(on wlan0)\n\tfreq: 5180\n\tsignal: -55.00 dBm\n\tSSID: {name}\n\tcapability: ESS Privacy\n\tRSN:\t * Version: 1\nBSS 02:00:5e:00:54:10(on wlan0)\n\tfreq: 2437\n\tsignal: -80.00 dBm\n\tSSID: next door\nBSS {new MacAddress(radio.Bits + 2)}(on wlan0)\n\tfreq: 2412\n\tsignal: -50.00 dBm\n\tSSID: factory\n";
        var seen = At(home, null, text).Statements;
        var own = Assert.Single(seen, s => s.Id == "air:gw/r5");
        Assert.Equal(Agreement.Disagrees, own.Agreement);
        Assert.Contains("on channel 36", own.Offer, StringComparison.Ordinal);
        Assert.Contains("1 network of neighbours", Assert.Single(seen, s => s.Id == "air:others").Found, StringComparison.Ordinal);
        Assert.Contains(
            "open to everybody",
            Assert.Single(seen, s => s.Id.StartsWith("left-on:", StringComparison.Ordinal)).Found,
            StringComparison.Ordinal
        );
    }

    private const string Scan =
        "BSS 02:00:5e:00:54:10(on wlan0)\n\tfreq: 2437\n\tsignal: -80.00 dBm\n\tSSID: next door\nBSS 02:00:5e:00:54:11(on wlan0)\n\tfreq: 5180\n\tsignal: -61.00 dBm\n\tSSID: \nBSS 02:00:5e:00:54:12(on wlan0)\n\tfreq: 2437\n\tsignal: -70.50 dBm\n\tSSID: home\n";

    /// <summary>What was heard becomes a fact of the place that was named, once; a later scan takes its place.</summary>
    [Fact]
    public void What_is_heard_is_noted_of_the_place()
    {
        var home = Home.WithGateway().Place("hall");
        var file = new HomeFile(home.Design.Site, [home.Design.SetUp]);
        var reading = ReadingText.Read(Scan).Value;
        var nowhere = Assert.Single(ReadingComparison.Of(file, home.Design, null, reading).Statements, s => s.Id == "air:others");
        Assert.Equal((null, true), (nowhere.Offer, nowhere.Recorded!.StartsWith("Say in which place", StringComparison.Ordinal)));

        var first = Once(file, "2026-05-04T16:30Z", reading, "In hall 3 networks are heard", "Nothing is noted");
        Assert.Equal("2026-05-04T16:30Z", first.Site.Place("hall")!.Air!.At);
        Assert.Equal(
            [(-61, 36, ""), (-70.5, 6, "home"), (-80, 6, "next door")],
            first.Site.Place("hall")!.Air!.Networks.Select(n => (n.LevelDbm!.Value, n.Channel!.Value, n.Name))
        );
        var again = Assert.Single(
            ReadingComparison.Of(first, first.Design(home.Design.SetUp.Name)!, null, reading, new("hall", "2026-05-05T16:30Z")).Statements,
            s => s.Id == "air:others"
        );
        Assert.Equal((Agreement.Agrees, null), (again.Agreement, again.Offer));
        var second = Once(
            first,
            null,
            ReadingText.Read(Scan.Replace("-61", "-66", StringComparison.Ordinal)).Value,
            "In hall 3 networks are heard",
            "Noted of hall: 3 networks on 2026-05-04."
        );
        Assert.Equal(-66, second.Site.Place("hall")!.Air!.Networks[0].LevelDbm);

        // Whose they are: by the radio's address, or by the name.
        var own = home.Design.Site.Boxes[0].Mac!.Value.Bits;
        var air = Assert.Single(
            PlaceAir.Of(
                Once(
                        first,
                        null,
                        ReadingText.Read(Scan.Replace("02:00:5e:00:54:10", $"{new MacAddress(own + 1)}", StringComparison.Ordinal)).Value,
                        "",
                        ""
                    )
                    .Design(home.Design.SetUp.Name)!
            )
        );
        Assert.Equal([(null, false), (null, true), ("gw", true)], air.Rows.Select(r => (r.Box, r.Own)));
        Assert.Equal("Of neighbours: 5 GHz channel 36: 1, strongest -61 dBm.", air.Says);

        HomeFile Once(HomeFile at, string? when, Reading read, string offered, string recorded)
        {
            var comparison = ReadingComparison.Of(at, at.Design(home.Design.SetUp.Name)!, null, read, new("hall", when));
            var said = Assert.Single(comparison.Statements, s => s.Id == "air:others");
            Assert.Contains(offered, said.Offer, StringComparison.Ordinal);
            Assert.Contains(recorded, said.Recorded, StringComparison.Ordinal);
            Assert.True(said.Suggested);
            return comparison.Accept(at, new([]), home.Design.SetUp.Name, ["air:others"]).Value;
        }
    }

    /// <summary>Of a crowded air the strongest are noted; what no file could hold is left out.</summary>
    [Fact]
    public void Of_a_crowded_air_the_strongest_are_noted()
    {
        var home = Home.WithGateway().Place("hall");
        var text = string.Concat(
            Enumerable
                .Range(0, 200)
                .Select(i =>
                    $"BSS 02:00:5e:00:{i / 100:00}:{i % 100:00}(on wlan0)\n\tfreq: 2437\n\tsignal: -{40 + (i % 80)}.00 dBm\n\tSSID: n{i}\n"
                )
        );
        var said = Assert.Single(
            ReadingComparison
                .Of(new(home.Design.Site, [home.Design.SetUp]), home.Design, null, ReadingText.Read(text).Value, new("hall", null))
                .Statements,
            s => s.Id == "air:others"
        );
        var noted = Assert.IsType<SetPlace>(Assert.Single(said.Corrections)).Known.On(new("hall", "Hall")).Air!.Networks;
        Assert.Equal((AirScan.MostNetworks, -40, -59), (noted.Count, noted[0].LevelDbm, noted[^1].LevelDbm));
        Assert.Contains("the strongest of them all", said.Offer, StringComparison.Ordinal);
    }
}
