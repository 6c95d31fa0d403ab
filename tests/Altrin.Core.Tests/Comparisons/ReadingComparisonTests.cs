using Altrin.Core.Comparisons;
using Altrin.Core.Radio;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;
using static Altrin.Core.Tests.Comparisons.ReadHome;

namespace Altrin.Core.Tests.Comparisons;

/// <summary>
/// Readings held against a recorded home: what agrees, what does not and why, what is offered, and what accepting it writes.
/// </summary>
public sealed class ReadingComparisonTests
{
    [Theory]
    [MemberData(nameof(ReadingCases.All), MemberType = typeof(ReadingCases))]
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
    [InlineData(false, "5 GHz", ConnectedBy.Radio)]
    [InlineData(false, "LAN 2", ConnectedBy.Cable)]
    [InlineData(true, "LAN 2", null)]
    [InlineData(true, "5 GHz", ConnectedBy.Radio)]
    [InlineData(false, "since noon", null)]
    public void A_new_device_is_put_where_the_list_says(bool beside, string listed, ConnectedBy? by)
    {
        var home = beside ? Home.WithGateway().Point("point").Cable("gw/lan1", "point/lan1") : Home.WithGateway();
        var said = Assert.Single(At(home, "gw/lan4", $"Name;Hardware;Way\nPrinter;00:00:5e:00:53:f0;{listed}").Statements, s =>
            s.Id == "near:00:00:5e:00:53:f0"
        );
        Assert.Equal(by, Assert.IsType<AddDevice>(Assert.Single(said.Corrections)).Connection.By);
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
    public void Nothing_is_compared_where_no_one_said_where_it_was_taken()
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
        Assert.Equal(name, Machine.Of(ReadingText.Read(File.ReadAllText(Path.Combine(SampleReadings.Folder, file))).Value)?.Adapter.Name);

    [Fact]
    public void The_adapter_that_counts_has_what_stands_elsewhere_in_the_text()
    {
        var machine = Machine.Of(ReadingText.Read(File.ReadAllText(Path.Combine(SampleReadings.Folder, "terminal.txt"))).Value)!;
        Assert.Equal(
            ("192.168.8.1", "192.168.8.1", AddressWay.Leased),
            ($"{machine.Adapter.Gateway}", string.Join(' ', machine.Adapter.DnsServers), machine.Adapter.Way)
        );
        Assert.Equal(["lo"], machine.Others);
    }

    /// <summary>Everything that is offered can be accepted in one act, and then agrees.</summary>
    [Fact]
    public void What_is_accepted_is_written_and_agrees_afterwards() => Assert.All(ReadingCases.All, data =>
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
    /// <summary>A further name that is heard otherwise is told, and nothing of it is written onto the first one.</summary>
    [Fact]
    public void A_further_name_that_differs_is_told_and_not_taken_over()
    {
        var home = House()
            .Edit<RouterMode>("gw", m => m with { Wifi = [m.Wifi[0] with { FurtherNames = [new("old", WifiSecurity.Wpa2, "key")] }] });
        var seen = At(home, "gw/lan4", "BSS 06:00:5e:00:54:10(on wlan0)\n\tfreq: 5180\n\tsignal: -60.00 dBm\n\tSSID: old\n");
        var said = Assert.Single(seen.Statements, s => s.Id == "air:gw/r5:old");
        Assert.Equal((Agreement.Disagrees, null, 0), (said.Agreement, said.Offer, said.Changes.Count));
        Assert.Contains("heard no protection", said.Recorded, StringComparison.Ordinal);
    }

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
    [InlineData("gw/lan4", "cable", 90, "It is as much as arrives over port 4 of gw: 94 Mb/s.")]
    [InlineData("gw/r5", "5 GHz", 22, "It is within what arrives over the Wi-Fi of gw at 5 GHz: ")]
    [InlineData("gw/lan4", "5 GHz", 22, "Less than the 500 Mb/s sold: measure by cable")]
    [InlineData("a", "cable", 93, "It is as much as arrives over the cable from port 1 of gw to a: 94 Mb/s.")]
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

    /// <summary>A run within the home is held to what stands between its two ends, by id or name of the other.</summary>
    [Theory]
    [InlineData("gw/lan4", "cable", "b", 940, "It is as much as arrives over port 4 of gw: 940 Mb/s.")]
    [InlineData("gw/lan4", "cable", "B", 93, "Less than arrives over port 4 of gw, 940 Mb/s, which carries least")]
    [InlineData("gw/lan4", "cable", "a", 93, "It is as much as arrives over the cable from port 1 of gw to a: 94 Mb/s.")]
    [InlineData("gw/lan4", "cable", "a", 500, "More than arrives over the cable from port 1 of gw to a, 94 Mb/s")]
    [InlineData("a", "cable", "gw", 93, "It is as much as arrives over the cable from")]
    // From inside a cascade outward it goes through; inward nothing does.
    [InlineData("loft/lan2", "cable", "a", 93, "It is as much as arrives over the cable from port 1 of gw to a")]
    [InlineData("gw/lan4", "cable", "c", 93, "By what is noted nothing arrives there: ")]
    [InlineData("gw/r5", "5 GHz", "b", 300, "It is within what arrives over the Wi-Fi of gw at 5 GHz: ")]
    [InlineData("gw/r5", "5 GHz", "w", 300, "Both ends are at gw: everything goes through the air twice")]
    [InlineData("gw/lan4", "5 GHz", "a", 93, "It is a run within the home, apart from what was sold. Where")]
    [InlineData(null, "cable", "a", 93, "It is a run within the home, apart from what was sold. Where")]
    [InlineData("gw/lan4", "cable", "the cellar", 93, "It is a run within the home, apart from what was sold. Where")]
    public void A_run_within_the_home_is_held_to_its_way(string? seat, string by, string to, int down, string says)
    {
        var home = House()
            .Wifi("w", "gw")
            .Profile("gw", p => p with { Ports = [.. p.Ports.Select(x => x with { SpeedMbps = x.Id == "lan1" ? 100 : 1000 })] });
        var run = $",hall,{by},,30,,{down},,{to}\n";
        var group = Assert.Single(At(home, seat, $"{TypedReader.Heads},{TypedReader.ToHead}\n{run}{run}{run}").Baseline);
        Assert.Contains(group.Says, s => s.StartsWith(says, StringComparison.Ordinal));
        Assert.DoesNotContain(group.Says, s => s.Contains("were sold", StringComparison.Ordinal));
    }

    /// <summary>A place is known by its id and by its name, in any case: what is computed for a run rests on where it was made.</summary>
    [Fact]
    public void A_run_is_placed_by_id_or_name()
    {
        var home = House().Place("hall").Place("den", p => p with { Name = "Back room" }).Stands("gw", "hall");
        string[] Says(string place) =>
            [.. At(home, "gw/r5", $"{TypedReader.Heads}\n,{place},5 GHz,,30,,22,\n").Baseline.SelectMany(g => g.Says.Prepend(g.Place))];
        Assert.Equal(Says("den"), Says("back Room"));
        Assert.NotEqual(Says("den")[1..], Says("attic")[1..]);
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
}
