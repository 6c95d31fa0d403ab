using System.Text;
using Altrin.Core.Readings;
using CsCheck;

namespace Altrin.Core.Tests.Readings;

/// <summary>Any text is answered, every line of it is accounted for, and layouts do not get in each other's way.</summary>
public sealed class ReadingTextTests
{
    private static readonly string[] Texts =
    [
        .. Directory.GetFiles(SampleReadings.Folder, "*.txt").Order(StringComparer.Ordinal).Select(File.ReadAllText),
    ];

    private static Reading Read(string text) => ReadingText.Read(text).Value;

    /// <summary>A cell of a device list, and the way that it says: "cable", "radio", a band, or nothing.</summary>
    [Theory]
    [InlineData("LAN", "cable")]
    [InlineData("LAN 2", "cable")]
    [InlineData("LAN4", "cable")]
    [InlineData("Ethernet", "cable")]
    [InlineData("eth0", "cable")]
    [InlineData("1000BASE-T", "cable")]
    [InlineData("Wi-Fi", "radio")]
    [InlineData("WLAN", "radio")]
    [InlineData("Wi-Fi 5", "radio")]
    [InlineData("802.11ax", "radio")]
    [InlineData("wl1", "radio")]
    [InlineData("-61 dBm", "radio")]
    [InlineData("Wi-Fi 2,4 GHz", "Ghz2")]
    [InlineData("5GHz", "Ghz5")]
    [InlineData("6 GHz", "Ghz6")]
    [InlineData("60 GHz", "")]
    [InlineData("eth", "")]
    [InlineData("Language", "")]
    [InlineData("LAN / WLAN", "")]
    [InlineData("2 h 10 min", "")]
    [InlineData("Rana's telephone", "")]
    public void A_list_says_how_someone_is_connected(string cell, string way)
    {
        var link = Assert.Single(Read($"Name;Hardware;Way\nfirst;02:00:5e:00:53:01;{cell}").Neighbours).Link;
        Assert.Equal(
            way,
            link is null ? ""
                : link.ByCable ? "cable"
                : link.Band?.ToString() ?? "radio"
        );
    }

    /// <summary>Labels with values that stand without the heads of a command.</summary>
    [Theory]
    [InlineData(
        "IPv4 Address. . . . . . . . . . . : 192.168.8.34\nDefault Gateway . . . . . . . . . : 192.168.8.1",
        "192.168.8.34 alone, over 192.168.8.1"
    )]
    [InlineData("   IPv4-Adresse  . . : 192.168.8.34\n   Standardgateway . . : 192.168.8.1", "192.168.8.34 alone, over 192.168.8.1")]
    [InlineData("IP 192.168.8.34\nMask 255.255.255.0\nGateway 192.168.8.1\nDNS 9.9.9.9", "192.168.8.34/24, over 192.168.8.1, asks 9.9.9.9")]
    [InlineData(
        "ip: 192.168.8.34/24\nrouter: 192.168.8.1\ndns: 192.168.8.1, 9.9.9.9",
        "192.168.8.34/24, over 192.168.8.1, asks 192.168.8.1 9.9.9.9"
    )]
    [InlineData("IP address\n192.168.8.34\n\nSubnet mask\n255.255.255.0\n\nRouter\n192.168.8.1", "192.168.8.34/24, over 192.168.8.1")]
    [InlineData("DNS\n192.168.8.1\n9.9.9.9\nGateway\n192.168.8.1", ", over 192.168.8.1, asks 192.168.8.1 9.9.9.9")]
    [InlineData("MAC: 02:00:5e:00:53:31\nIP: 192.168.8.34", "192.168.8.34 alone, is 02:00:5e:00:53:31")]
    [InlineData("DHCP server: 192.168.8.1\nIP address: 192.168.8.34\nMask: 255.255.255.0", "192.168.8.34/24, leased")]
    [InlineData("Adresse IP : 192.168.8.34\nPasserelle :\nServeurs DNS : 192.168.8.1", "192.168.8.34 alone, asks 192.168.8.1")]
    [InlineData(
        "Ethernet adapter Ethernet:\n\n   IPv4 Address. . . . . . : 192.168.8.34\n   Default Gateway . . . . : 192.168.8.1",
        "192.168.8.34 alone, over 192.168.8.1"
    )]
    // One label alone may be anything, and an address without a label is none.
    [InlineData("Gateway: 192.168.8.1", "unread")]
    [InlineData("DNS 192.168.8.1\nSubnet mask 255.255.255.0", "unread")]
    [InlineData("Kettle 192.168.8.34\nGateway 192.168.8.1", "unread")]
    public void Rows_without_a_head_are_read_for_what_they_have(string text, string says)
    {
        var read = Read(text);
        var adapter = read.Adapters.SingleOrDefault();
        string?[] parts = adapter is null
            ? ["unread"]
            :
            [
                $"{adapter.Address}{(adapter.AddressAlone is { } alone ? $"{alone} alone" : "")}",
                adapter.Gateway is { } gateway ? $"over {gateway}" : null,
                adapter.DnsServers.Count > 0 ? $"asks {string.Join(' ', adapter.DnsServers)}" : null,
                adapter.Way == AddressWay.Leased ? "leased" : null,
                adapter.Mac is { } mac ? $"is {mac}" : null,
            ];
        Assert.Equal(says, string.Join(", ", parts.Where(p => p is not null)));
        Assert.Equal(adapter is null, read.Unread.Count > 0);
    }

    /// <summary>What is tried from each line is bounded, so a long page of one label is read in linear time.</summary>
    [Theory]
    [InlineData("\nDNS 10.0.0.1", 30)]
    [InlineData("\nDNS\n10.0.0.1\n10.0.0.2\n", 30)]
    public void A_reading_without_a_head_takes_thirty_two_values(string dns, int servers)
    {
        var lines = string.Concat(Enumerable.Range(1, 40).Select(n => dns.Replace("10.0.0.", $"10.0.{n}.", StringComparison.Ordinal)));
        var read = Read($"IP 192.168.8.34\nGateway 192.168.8.1{lines}");
        Assert.Equal(servers, Assert.Single(read.Adapters).DnsServers.Count);
        Assert.NotEmpty(read.Unread);
    }

    [Fact]
    public void What_a_list_says_both_ways_is_left_open() =>
        Assert.Null(Assert.Single(Read("Name;Hardware;Way;Band\nfirst;02:00:5e:00:53:01;Ethernet;5 GHz").Neighbours).Link);

    [Theory]
    [InlineData("The kettle is on", "No address and no number")]
    [InlineData("12 pots in the kiln", "Numbers, with no layout")]
    [InlineData("ping came back from 192.168.1.254", "An address, with no layout")]
    [InlineData("ip of the printer is 192.168.1.9", "An address, with no layout")]
    [InlineData("# the old router was 192.168.1.254", "An address, with no layout")]
    [InlineData("> it had 192.168.1.254", "An address, with no layout")]
    [InlineData("bench@home said that 5% of 192.168.1.254 were lost", "An address, with no layout")]
    [InlineData("the old one was 192.168.1.254", "An address, with no layout")]
    [InlineData("fe80::5eff:fe00:5320", "An IPv6 address")]
    [InlineData("02:00:5e:00:53:01", "A MAC address, with no layout")]
    public void A_line_that_no_layout_fits_is_listed_with_its_reason(string text, string why)
    {
        var read = Read($"\n{text}\n");
        var line = Assert.Single(read.Unread);
        Assert.Equal((2, text), (line.Line, line.Text));
        Assert.StartsWith(why, line.Why, StringComparison.Ordinal);
    }

    /// <summary>Only the default route has the mask 0.0.0.0; a row with it and another target is something else.</summary>
    [Theory]
    [InlineData("0.0.0.0", 1)]
    [InlineData("192.168.8.0", 0)]
    public void A_mask_of_zero_belongs_to_the_default_route(string target, int routes) =>
        Assert.Equal(
            routes,
            Read(
                $"Network Destination        Netmask          Gateway       Interface  Metric\n{target}          0.0.0.0      192.168.8.1     192.168.8.21     25\n"
            ).Routes.Count
        );

    [Theory]
    [InlineData(@"C:\Users\a>ipconfig /all")]
    [InlineData("installer@bench:~$ ip addr")]
    [InlineData("PS C:\\> arp -a")]
    [InlineData("$ ping 192.168.8.1")]
    [InlineData("# ")]
    [InlineData("ip route")]
    [InlineData("ping -c 4 192.168.8.1")]
    [InlineData("tracert host.example")]
    [InlineData("netsh wlan show interfaces")]
    public void Prompts_and_commands_are_read_as_such(string text) =>
        Assert.Equal([ReadingKind.Command], Read(text).Blocks.Select(b => b.Kind));

    /// <summary>An adapter with two addresses has its gateway behind the second mask.</summary>
    [Fact]
    public void A_second_address_is_no_gateway()
    {
        var read = Assert.Single(
            Read(
                "Ethernet adapter Ethernet:\n\n   DNS Suffix  . . . . . . . . . . . : \n   IPv4 Address. . . . . . . . . . . : 192.168.8.21\n   Subnet Mask . . . . . . . . . . . : 255.255.255.0\n   IPv4 Address. . . . . . . . . . . : 192.168.1.50\n   Subnet Mask . . . . . . . . . . . : 255.255.255.0\n   Default Gateway . . . . . . . . . : 192.168.8.1\n"
            ).Adapters
        );
        Assert.Equal(("192.168.8.21/24", "192.168.8.1"), ($"{read.Address}", $"{read.Gateway}"));
    }

    [Theory]
    [InlineData("1.2.3.4.5 at 02:00:5e:00:53:01")]
    [InlineData("192.168.008.001  02-00-5e-00-53-01  dynamic")]
    [InlineData("300.1.1.1  02-00-5e-00-53-01  dynamic")]
    [InlineData("192.168.8.1  02-00-5e-00-53-01-00-00  dynamic")]
    public void What_only_looks_like_an_address_is_none(string text) =>
        Assert.DoesNotContain(Read(text).Neighbours, n => n.Address is not null && n.Mac is not null);

    [Fact]
    public void A_text_that_is_too_long_is_refused_and_the_longest_is_read()
    {
        Assert.Contains("at most 1,000,000", ReadingText.Read(new('x', Reading.LongestText + 1)).Error, StringComparison.Ordinal);
        Assert.Equal(1, Read(new('x', Reading.LongestText)).UnreadCount);
    }

    [Fact]
    public void Only_so_many_unread_lines_are_listed_and_all_are_counted()
    {
        var read = Read(string.Concat(Enumerable.Repeat("nothing of it\n", 1000)));
        Assert.Equal((1000, Reading.MostUnread), (read.UnreadCount, read.Unread.Count));
    }

    /// <summary>Each line that is not blank lies in exactly one block, or among the unread.</summary>
    private static void Accounted(string text)
    {
        var read = Read(text);
        var last = 0;
        foreach (var block in read.Blocks)
        {
            Assert.True(
                block.First > last && block.Last >= block.First && block.Last <= Math.Max(read.Lines, block.First),
                $"{block} after {last} of {read.Lines}"
            );
            last = block.Last;
        }
        var inBlocks = read.Blocks.SelectMany(b => Enumerable.Range(b.First, b.Last - b.First + 1)).ToHashSet();
        Assert.True(read.UnreadCount >= read.Unread.Count);
        // Runs that cannot be read stand inside their table.
        Assert.All(read.Unread, u =>
            Assert.True(
                !inBlocks.Contains(u.Line) || read.Blocks.Any(b => b.Kind == ReadingKind.SpeedRuns && b.First < u.Line && u.Line <= b.Last),
                $"line {u.Line} is read and unread"
            )
        );
        if (read.UnreadCount == read.Unread.Count)
        {
            var unread = read.Unread.Select(u => u.Line).ToHashSet();
            var lines = text.Split(["\r\n", "\r", "\n", "\u2028", "\u2029", "\u0085"], StringSplitOptions.None);
            // Colour codes hold letters and are no part of what is said.
            Assert.All(
                lines.Index().Where(l => l.Item.Any(char.IsAsciiLetterOrDigit) && !l.Item.Contains('\u001b', StringComparison.Ordinal)),
                l =>
                    Assert.True(
                        inBlocks.Contains(l.Index + 1) || unread.Contains(l.Index + 1),
                        $"line {l.Index + 1} is neither read nor unread"
                    )
            );
        }
    }

    /// <summary>Texts cut, doubled, shuffled and spoilt: whatever comes out is answered.</summary>
    [Fact]
    public void Any_spoilt_text_is_answered_and_accounted_for() =>
        Property.Check(
            Gen.Select(
                Gen.Int[0, Texts.Length - 1].Array[1, 4],
                Gen.Int[0, int.MaxValue].Array[0, 12],
                Gen.Char["\0\t \r\n\u001b[:.-/%*#>=(){}|;,0123456789abcdefxyzÄ编🜁\u2028\u00a0"].Array[1, 12]
            ),
            (picks, places, marks) =>
            {
                var text = new StringBuilder(string.Concat(picks.Select(p => Texts[p])));
                for (var i = 0; i < places.Length; i++)
                {
                    var at = text.Length == 0 ? 0 : places[i] % text.Length;
                    switch (i % 4)
                    {
                        case 0:
                            text.Insert(at, string.Concat(marks));
                            break;
                        case 1:
                            text.Remove(at, Math.Min(text.Length - at, places[i] % 40));
                            break;
                        case 2:
                            text.Insert(at, text.ToString(at, Math.Min(text.Length - at, places[i] % 200)));
                            break;
                        default:
                            text[Math.Min(at, Math.Max(0, text.Length - 1))] = marks[places[i] % marks.Length];
                            break;
                    }
                }
                Accounted(text.ToString());
            },
            3000
        );

    [Fact]
    public void Any_characters_at_all_are_answered() =>
        Property.Check(Gen.String[Gen.Char["0123456789abcdef:.-/% \t\n<>()[]{}=,;|*ABdhiklrstv"], 0, 400], Accounted, 4000);

    /// <summary>What one text says it says also behind another, with its lines counted on; a blank line between them is enough.</summary>
    [Fact]
    public void Two_texts_say_together_what_each_says_alone() =>
        Property.Check(Gen.Select(Gen.Int[0, Texts.Length - 1], Gen.Int[0, Texts.Length - 1], Gen.Bool), (a, b, returns) =>
        {
            var (one, two) = (Texts[a].TrimEnd(), Texts[b].Trim('\n'));
            var joined = Read((one + "\n\n" + two).ReplaceLineEndings(returns ? "\r\n" : "\n"));
            // A block that stays open to what follows is a fault; names of adapters may be equal.
            Assert.Equal(
                ReadingWords
                    .Of(Read(one))
                    .Split('\n')
                    .Concat(ReadingWords.Of(Read(two)).Split('\n'))
                    .Where(Counts)
                    .Distinct()
                    .Order(StringComparer.Ordinal),
                ReadingWords.Of(joined).Split('\n').Where(Counts).Distinct().Order(StringComparer.Ordinal)
            );

            static bool Counts(string line) => line.Length > 0 && !line.StartsWith("unread", StringComparison.Ordinal);
        });

    [Theory]
    [InlineData(2412, "Ghz2", 1)]
    [InlineData(2472, "Ghz2", 13)]
    [InlineData(2484, "Ghz2", 14)]
    [InlineData(5180, "Ghz5", 36)]
    [InlineData(5500, "Ghz5", 100)]
    [InlineData(5885, "Ghz5", 177)]
    [InlineData(5955, "Ghz6", 1)]
    [InlineData(7115, "Ghz6", 233)]
    [InlineData(5000, null, 0)]
    [InlineData(2413, null, 0)]
    public void Frequencies_are_channels(double mhz, string? band, int channel) =>
        Assert.Equal(band is null ? null : $"{band} {channel}", RadioNumbers.Channel(mhz) is var (b, c) ? $"{b} {c}" : null);

    /// <summary>The ends of both mappings and a middle: a percentage is a level give or take 3 dB, and never beyond the ends.</summary>
    [Theory]
    [InlineData(0, -100, -100)]
    [InlineData(50, -75, -70)]
    [InlineData(100, -50, -40)]
    [InlineData(130, -50, -40)]
    public void Percentages_are_levels(double percent, double quality, double signal) =>
        Assert.Equal((new Level(quality, 3), new Level(signal, 3)), (RadioNumbers.OfQuality(percent), RadioNumbers.OfSignal(percent)));
}
