using System.Globalization;
using Altrin.Core.Comparisons;
using Altrin.Core.Exchanges;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Altrin.Formats.Printouts;
using CsCheck;
using PacketDotNet;

namespace Altrin.Formats.Tests;

/// <summary>What is printed at a seat, and what is captured there, reads back to the facts that it was made from.</summary>
public sealed class ReadBackTests
{
    public static TheoryData<PrintoutStyle> Styles => [.. Enum.GetValues<PrintoutStyle>()];

    private static readonly string Folder = Path.Combine(AppContext.BaseDirectory, "samples", "readings");

    public static TheoryData<string> Texts =>
        [.. Directory.GetFiles(Folder, "*.txt").Select(f => Path.GetFileName(f)).Order(StringComparer.Ordinal), NoRadios];

    /// <summary>Networks without the addresses of their radios, which no sample has.</summary>
    private const string NoRadios =
        "SSID 1 : next door\n    Network type            : Infrastructure\n    Authentication          : WPA2-Personal\n    Encryption              : CCMP\n";

    /// <summary>Whatever is taken over from a reading, wherever it was taken: the file holds it.</summary>
    [Theory]
    [MemberData(nameof(Texts))]
    public void What_is_taken_over_is_held_by_the_file(string name)
    {
        var (home, reading) = (
            Samples.Home("pottery-house.json"),
            ReadingText.Read(name == NoRadios ? name : File.ReadAllText(Path.Combine(Folder, name))).Value
        );
        var design = home.Design("found")!;
        foreach (var seat in new[] { null, "hall-gateway/lan4", "house-laptop" })
        {
            var seen = ReadingComparison.Of(home, design, seat, reading, new("kitchen", null));
            foreach (var offered in seen.Offered)
            {
                var taken = seen.Accept(home, new([]), "found", [offered.Id]);
                Assert.True(taken.Ok, taken.Error);
                var held = DesignFile.Read(DesignFile.Write(taken.Value));
                Assert.True(held.Value is not null, $"{offered.Offer}: {string.Join("; ", held.Errors)}");
                Assert.Equal(DesignFile.Write(taken.Value), DesignFile.Write(held.Value));
            }
            Assert.True(reading.Networks.All(n => n.Joined) || seen.Offered.Any(s => s.Id == "air:others"));
        }
    }

    [Theory]
    [MemberData(nameof(Styles))]
    public void Everything_printed_at_a_seat_reads_back(PrintoutStyle style) =>
        Property.Check(
            Gen.Select(Gen.Int[1, 100_000], Gen.Int[0, 1000]),
            (home, pick) =>
            {
                var design = DesignGenerator.Make(home, 4);
                var seats = Seats.Of(design);
                if (seats.Count > 0 && Seats.At(design, seats[pick % seats.Count].Id) is { Ok: true, Value: var (seen, owner) })
                {
                    ReadsBack(seen, owner, style);
                }
            },
            400
        );

    private static void ReadsBack(Observation seen, string owner, PrintoutStyle style)
    {
        var trace = Looking.To(seen, owner, Provider.Host)!;
        var printed = Printout.Of(seen, owner, trace, style);
        var read = ReadingText.Read(string.Join('\n', printed.Select(p => $"$ {p.Command}\n{p.Text}"))).Value;
        Assert.True(read.UnreadCount == 0, string.Join('\n', read.Unread.Select(u => $"{u.Line} {u.Text}: {u.Why}")));
        var sides = seen
            .Network.Interfaces.Where(i => i.Owner == owner)
            .Select(i => (Side: i, Held: seen.Leasing.Holdings(i) is [var first, ..] ? first : null))
            .ToList();
        var adapters = read.Adapters.Where(a => !a.Inside).ToList();
        Assert.Equal(
            sides.Select(s =>
                s.Held?.Shown is { } own && (s.Side.Linked || style != PrintoutStyle.Ipconfig) ? $"{own}/{s.Held.PrefixLength}" : ""
            ),
            adapters.Select(a => $"{a.Address}")
        );
        Assert.Equal(sides.Select(s => Station.Of(s.Side).Mac), adapters.Select(a => a.Mac!.Value));
        Assert.Equal(sides.Select(s => s.Side.Linked), adapters.Select(a => a.Linked != Known.No));
        // The adapter that has an address and a way out is the one that counts, with the gateway and DNS servers of its lease.
        if (
            Machine.Of(read) is { } machine
            && sides.Find(s => s.Held?.Shown == machine.Adapter.Address?.Address) is { Held: { } held } chosen
        )
        {
            Assert.Equal(held.Gateway, machine.Adapter.Gateway);
            Assert.Equal(held.SelfAssigned, machine.Adapter.Way == AddressWay.SelfAssigned);
            if (style == PrintoutStyle.Ipconfig)
            {
                Assert.Equal(held.DnsServers, machine.Adapter.DnsServers);
                Assert.Equal(chosen.Side.Setting is Fixed, machine.Adapter.Way == AddressWay.Fixed);
            }
        }
        var known = sides
            .Where(s => s.Held?.Shown is not null || style != PrintoutStyle.Ipconfig)
            .SelectMany(s =>
                Looking
                    .At(seen, s.Side)
                    .Select(n => (Address: n.Address ?? seen.AddressOf(n.Owner, s.Side.Segment), n.Mac))
                    .Where(n => n is { Address: not null, Mac: not null })
                    .DistinctBy(n => n.Address)
                    .OrderBy(n => n.Address)
            )
            .ToList();
        Assert.Equal(
            known.Select(n => $"{n.Address} {n.Mac}").Distinct().Order(StringComparer.Ordinal),
            read.Neighbours.Select(n => $"{n.Address} {n.Mac}").Distinct().Order(StringComparer.Ordinal)
        );
        var answered = trace.Ping.Kind is AnswerKind.Yes or AnswerKind.Luck;
        Assert.Equal((trace.Target, answered), (read.Pings.Single().Target, read.Pings[0].Answered > 0));
        var back = read.Traces.Single();
        Assert.Equal(
            trace.Hops.Select(h => h.Address),
            back.Hops.Take(trace.Hops.Count).Select(h => h.Addresses.Count > 0 ? h.Addresses[0] : (Core.Addressing.Ipv4Address?)null)
        );
        Assert.All(back.Hops.Skip(trace.Hops.Count), h => Assert.Empty(h.Addresses));
    }

    private static byte[] Real => File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "samples", "readings", "two-servers.pcap"));

    /// <summary>A capture of three askings with two servers, taken in a real network, in each container that tshark writes.</summary>
    [Theory]
    [InlineData("pcap")]
    [InlineData("nsecpcap")]
    [InlineData("pcapng")]
    public void Every_offer_of_a_real_capture_is_read_as_tshark_reads_it(string container)
    {
        Dissector.Need();
        var bytes = Dissector.Again(Real, container);
        var told = Dissector.Fields(
            bytes,
            "dhcp.option.dhcp == 2 || dhcp.option.dhcp == 5",
            "frame.number",
            "dhcp.option.dhcp",
            "dhcp.option.dhcp_server_id",
            "dhcp.ip.your",
            "dhcp.option.subnet_mask",
            "dhcp.option.router",
            "dhcp.option.ip_address_lease_time",
            "dhcp.hw.mac_addr",
            "eth.src"
        );
        var read = CaptureReader.Read(bytes).Value;
        Assert.Equal(9, told.Count);
        Assert.Equal(
            told.Select(t => string.Join(' ', t)),
            read.Offers.Select(o =>
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{o.Line} {(int)o.Kind} {o.Server} {o.Given} {Core.Addressing.Subnet.Containing(o.Given!.Value, o.PrefixLength!.Value).Mask} {o.Gateway} {o.LeaseSeconds} {o.Client} {o.From}"
                )
            )
        );
        Assert.Equal("laptop", Assert.Single(read.Neighbours).Name);
    }

    [Fact]
    public void Two_servers_in_a_capture_are_told()
    {
        var house = Home.WithGateway();
        var seen = ReadingComparison.Of(
            new(house.Design.Site, [house.Design.SetUp]),
            house.Design,
            "gw/lan1",
            CaptureReader.Read(Real).Value
        );
        var servers = Assert.Single(seen.Statements, s => s.Id == "servers");
        Assert.Equal(Agreement.Disagrees, servers.Agreement);
        Assert.StartsWith("2 DHCP servers answered: 192.168.8.1 (gw) and 192.168.8.254.", servers.Found, StringComparison.Ordinal);
    }

    /// <summary>What Altrin writes it reads, as PacketDotNet does.</summary>
    [Fact]
    public void Ladders_read_back_as_another_library_reads_them()
    {
        var seen = Judging
            .Prove(
                Home.WithGateway()
                    .Router("second", "192.168.8.250/24", "192.168.8.201-192.168.8.240")
                    .Cable("gw/lan1", "second/lan1")
                    .Wired("a", "gw/lan2")
                    .Design
            )
            .Observation;
        var ladder = LeaseLadder.Of(seen, "a")!;
        var bytes = CaptureFile.Write(ladder, ladder.Segments[0]);
        List<string> told = [];
        for (int at = 24, number = 1; at < bytes.Length; number++)
        {
            var length = BitConverter.ToInt32(bytes, at + 8);
            var packet = Packet.ParsePacket(LinkLayers.Ethernet, bytes[(at + 16)..(at + 16 + length)]);
            if (packet.Extract<DhcpV4Packet>() is { Operation: DhcpV4Operation.BootReply } reply)
            {
                told.Add(
                    $"{number} {reply.YourAddress} {string.Join(':', reply.ClientHardwareAddress.GetAddressBytes().Select(b => b.ToString("x2", CultureInfo.InvariantCulture)))}"
                );
            }
            at += 16 + length;
        }
        Assert.True(told.Count >= 3);
        Assert.Equal(told, CaptureReader.Read(bytes).Value.Offers.Select(o => $"{o.Line} {o.Given} {o.Client}"));
    }

    [Fact]
    public void A_capture_that_is_none_is_refused()
    {
        Assert.Contains("no packet capture", CaptureReader.Read("IP Configuration"u8).Error, StringComparison.Ordinal);
        Assert.Contains("at most 1,000,000", CaptureReader.Read(new byte[CaptureReader.MostBytes + 1]).Error, StringComparison.Ordinal);
        var cut = CaptureReader.Read(Real.AsSpan(0, Real.Length - 7)).Value;
        Assert.Contains(cut.Unread, u => u.Text == "the end of the capture");
        Assert.True(cut.Offers.Count >= 8);
    }

    /// <summary>Any bytes behind the mark of a capture are answered.</summary>
    [Fact]
    public void Spoilt_captures_are_answered() =>
        Property.Check(
            Gen.Select(Gen.Int[0, 5000].Array[1, 20], Gen.Byte.Array[1, 20], Gen.Bool),
            (places, values, another) =>
            {
                var bytes = Real;
                if (another)
                {
                    bytes =
                    [
                        0x0A,
                        0x0D,
                        0x0D,
                        0x0A,
                        28,
                        0,
                        0,
                        0,
                        0x4D,
                        0x3C,
                        0x2B,
                        0x1A,
                        .. new byte[12],
                        28,
                        0,
                        0,
                        0,
                        1,
                        0,
                        0,
                        0,
                        20,
                        0,
                        0,
                        0,
                        1,
                        0,
                        0,
                        0,
                        0,
                        0,
                        0,
                        0,
                        20,
                        0,
                        0,
                        0,
                        6,
                        0,
                        0,
                        0,
                        .. bytes.AsSpan(40, 600),
                    ];
                }
                for (var i = 0; i < places.Length; i++)
                {
                    bytes[4 + (places[i] % (bytes.Length - 4))] = values[i % values.Length];
                }
                Assert.True(CaptureReader.Read(bytes).Ok);
            },
            3000
        );
}
