using System.Globalization;
using Altrin.Core.Exchanges;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;
using PacketDotNet;

namespace Altrin.Formats.Tests;

/// <summary>Captures read by two readers that are not ours: tshark, and the library PacketDotNet.</summary>
public sealed class CaptureTests
{
    private static Home House() =>
        Home.WithGateway()
            .Router("in")
            .Cable("gw/lan1", "in/wan")
            .Wired("a", "in/lan1")
            .Wired("b", "gw/lan2")
            .Wifi("c", "gw")
            .Wired("d", "gw/lan3", "192.168.8.9/24")
            .Reserve("in", "a", "192.168.20.5")
            .Reach("a", 8443)
            .Edit<RouterMode>("in", m =>
                m with
                {
                    Wan = new Fixed(Home.Own("192.168.8.5/24"), Home.At("192.168.8.1"), [Home.At("192.168.8.1")]),
                }
            )
            .Edit<RouterMode>("gw", m => m with { Server = m.Server with { Domain = "home.arpa" } })
            .Forward("gw", 8443, "192.168.8.5")
            .Forward("in", 8443, "192.168.20.5");

    private static Observation Seen(Home home) => Judging.Prove(home.Design).Observation;

    /// <summary>The same port asked for and let in over UDP.</summary>
    private static Home Udp(Home home) =>
        home.Needs(n => n is ReachFromOutside reach ? reach with { Protocol = Protocol.Udp } : n)
            .Edit<RouterMode>("gw", m => m with { Forwards = [.. m.Forwards.Select(f => f with { Protocol = Protocol.Udp })] })
            .Edit<RouterMode>("in", m => m with { Forwards = [.. m.Forwards.Select(f => f with { Protocol = Protocol.Udp })] });

    [Fact]
    public void Tshark_sees_a_datagram_let_in_and_answered()
    {
        Dissector.Need();
        var ladder = ConnectionLadder.FromInternet(Seen(Udp(House())), "reach-a")!;
        Assert.True(ladder.Answer.IsYes);
        Assert.Equal(
            [
                ["198.51.100.10", "192.168.20.5", "8443"],
                [
                    "192.168.20.5",
                    "198.51.100.10",
                    ladder.Frames.Select(f => f.Payload).OfType<UdpPayload>().Last().TargetPort.ToString(CultureInfo.InvariantCulture),
                ],
            ],
            Dissector.Fields(CaptureFile.Write(ladder, "in"), "udp", "ip.src", "ip.dst", "udp.dstport")
        );
    }

    private static IEnumerable<Ladder> All()
    {
        var seen = Seen(House());
        var alone = Seen(Home.New().Router("r", server: false).Wired("x", "r/lan1").Wired("y", "r/lan2"));
        var raced = Seen(
            Home.WithGateway()
                .Router("second", "192.168.8.250/24", "192.168.8.201-192.168.8.240")
                .Cable("gw/lan1", "second/lan1")
                .Wired("a", "gw/lan2")
        );
        return
        [
            .. new[] { "a", "b", "c", "gw" }.Select(o => LeaseLadder.Of(seen, o)!),
            LeaseLadder.Of(alone, "x")!,
            LeaseLadder.Of(raced, "a")!,
            ConnectionLadder.FromInternet(seen, "reach-a")!,
            ConnectionLadder.Between(seen, "b", "d")!,
            ConnectionLadder.Between(seen, "a", "b")!,
            ConnectionLadder.Between(seen, "b", "a")!,
            ConnectionLadder.FromInternet(Seen(Udp(House())), "reach-a")!,
            ConnectionLadder.ToInternet(seen, "a")!,
            DiscoveryLadder.Of(seen, "b", "d")!,
            DiscoveryLadder.Of(seen, "b", "a")!,
        ];
    }

    /// <summary>How tshark writes the severity "error" of what it notes.</summary>
    private const string Error = "8388608";

    public static TheoryData<int> Each => [.. Enumerable.Range(0, All().Count())];

    [Theory]
    [MemberData(nameof(Each))]
    public void Tshark_finds_nothing_malformed_and_no_wrong_sum(int index)
    {
        Dissector.Need();
        var ladder = All().ElementAt(index);
        Assert.NotEmpty(ladder.Segments);
        foreach (var segment in ladder.Segments)
        {
            var capture = CaptureFile.Write(ladder, segment);
            var rows = Dissector.Fields(
                capture,
                "",
                "eth.src",
                "_ws.malformed",
                "ip.checksum.status",
                "udp.checksum.status",
                "tcp.checksum.status",
                "_ws.expert.severity"
            );
            Assert.Equal(ladder.Frames.Where(f => f.Segment == segment).Select(f => $"{f.From.Mac}"), rows.Select(r => r[0]));
            Assert.All(rows, r => Assert.Equal("", r[1]));
            // 1 is "good"; a frame has either sum or none.
            Assert.All(rows, r => Assert.All(r[2..5], status => Assert.Contains(status, new[] { "", "1" })));
            Assert.All(rows, r => Assert.True(r[2] == "" || r[3] + r[4] == "1"));
            // One address of two hosts, or a question without an answer, is noted; a wrong length or option would be an error.
            Assert.All(rows, r => Assert.DoesNotContain(Error, r[5].Split(',')));
        }
    }

    [Fact]
    public void Tshark_reads_the_lease_that_the_facts_tell()
    {
        Dissector.Need();
        var seen = Seen(House());
        var offer = Assert.Single(seen.Sheet.Leases.Single(l => l.Owner == "b").Offers);
        var rows = Dissector.Fields(
            CaptureFile.Write(LeaseLadder.Of(seen, "b")!, "gw"),
            "dhcp",
            "dhcp.option.dhcp",
            "dhcp.ip.your",
            "dhcp.option.subnet_mask",
            "dhcp.option.router",
            "dhcp.option.domain_name_server",
            "dhcp.option.domain_name",
            "dhcp.option.ip_address_lease_time",
            "dhcp.option.renewal_time_value",
            "dhcp.option.rebinding_time_value",
            "dhcp.option.dhcp_server_id",
            "dhcp.option.hostname",
            "dhcp.option.requested_ip_address",
            "udp.srcport",
            "dhcp.ip.client"
        );
        string[] mine =
        [
            $"{offer.Example}",
            "255.255.255.0",
            $"{offer.Gateway}",
            $"{offer.DnsServers[0]}",
            "home.arpa",
            "86400",
            "43200",
            "75600",
            "192.168.8.1",
            "",
            "",
            "67",
            "0.0.0.0",
        ];
        Assert.Equal(["1", "2", "3", "5", "3", "5"], rows.Select(r => r[0]));
        Assert.Equal(mine, rows[1][1..]);
        Assert.Equal(mine, rows[3][1..]);
        Assert.Equal(["0.0.0.0", "", "", "", "", "", "", "", "", "b", "", "68", "0.0.0.0"], rows[0][1..]);
        Assert.Equal(["192.168.8.1", "b", $"{offer.Example}", "68", "0.0.0.0"], rows[2][9..]);
        // The renewal goes from the leased address to the server alone, and names it as in use.
        Assert.Equal(["", "b", "", "68", $"{offer.Example}"], rows[4][9..]);
    }

    [Fact]
    public void Tshark_sees_the_port_forwarded_twice()
    {
        Dissector.Need();
        var ladder = ConnectionLadder.FromInternet(Seen(House()), "reach-a")!;
        Assert.Equal(AnswerKind.Yes, ladder.Answer.Kind);
        Assert.Equal(["street", "gw", "in"], ladder.Segments);
        Assert.Equal(
            ["203.0.113.2", "192.168.8.5", "192.168.20.5"],
            ladder.Segments.Select(s =>
                Dissector.Fields(
                    CaptureFile.Write(ladder, s),
                    "tcp.flags.syn == 1 && tcp.flags.ack == 0",
                    "ip.dst",
                    "ip.src",
                    "tcp.dstport"
                )
                    is [[var target, "198.51.100.10", "8443"]]
                    ? target
                    : "?"
            )
        );
        // The answer comes from whom was asked, on every wire.
        Assert.Equal(
            ["203.0.113.2", "192.168.8.5", "192.168.20.5"],
            ladder.Segments.Select(s =>
                Dissector.Fields(CaptureFile.Write(ladder, s), "tcp.flags.syn == 1 && tcp.flags.ack == 1", "ip.src").Single()[0]
            )
        );
        Assert.All(ladder.Segments, s =>
            Assert.Empty(Dissector.Fields(CaptureFile.Write(ladder, s), "tcp.analysis.flags", "frame.number"))
        );
    }

    [Fact]
    public void Tshark_reads_the_question_by_multicast_and_its_answer()
    {
        Dissector.Need();
        var rows = Dissector.Fields(
            CaptureFile.Write(DiscoveryLadder.Of(Seen(House()), "b", "d")!, "gw"),
            "mdns",
            "eth.dst",
            "ip.dst",
            "ip.ttl",
            "dns.qry.name",
            "dns.qry.qu",
            "dns.resp.name",
            "dns.a"
        );
        Assert.Equal(["01:00:5e:00:00:fb", "224.0.0.251", "255", "d.local", "1"], rows[0][..5]);
        Assert.Equal(["d.local", "192.168.8.9"], rows[1][5..]);
    }

    [Theory]
    [MemberData(nameof(Each))]
    public void A_packet_library_parses_every_frame(int index)
    {
        foreach (var frame in All().ElementAt(index).Frames.Where(f => f.Segment != Provider.Internet))
        {
            var parsed = Packet.ParsePacket(LinkLayers.Ethernet, FrameBytes.Of(frame));
            Assert.Equal($"{frame.From.Mac}", Mac(((EthernetPacket)parsed).SourceHardwareAddress));
            switch (frame.Payload)
            {
                case ArpPayload arp:
                    Assert.Equal(
                        (arp.Reply ? ArpOperation.Response : ArpOperation.Request, $"{arp.Sender}", $"{arp.Target}"),
                        (
                            parsed.Extract<ArpPacket>().Operation,
                            $"{parsed.Extract<ArpPacket>().SenderProtocolAddress}",
                            $"{parsed.Extract<ArpPacket>().TargetProtocolAddress}"
                        )
                    );
                    break;
                case TcpPayload tcp:
                    Assert.Equal(
                        (tcp.SourcePort, tcp.TargetPort, tcp.Opens, tcp.Acknowledges, tcp.Sequence),
                        (
                            parsed.Extract<TcpPacket>().SourcePort,
                            parsed.Extract<TcpPacket>().DestinationPort,
                            parsed.Extract<TcpPacket>().Synchronize,
                            parsed.Extract<TcpPacket>().Acknowledgment,
                            parsed.Extract<TcpPacket>().SequenceNumber
                        )
                    );
                    Assert.True(parsed.Extract<TcpPacket>().ValidTcpChecksum && parsed.Extract<IPv4Packet>().ValidIPChecksum);
                    break;
                default:
                    Assert.True(parsed.Extract<UdpPacket>().ValidUdpChecksum && parsed.Extract<IPv4Packet>().ValidIPChecksum);
                    Assert.Equal(parsed.Extract<IPv4Packet>().TotalLength - 20, parsed.Extract<UdpPacket>().Length);
                    break;
            }
        }
    }

    private static string Mac(System.Net.NetworkInformation.PhysicalAddress address) =>
        string.Join(':', address.GetAddressBytes().Select(b => b.ToString("x2", CultureInfo.InvariantCulture)));

    [Fact]
    public void Equal_homes_give_equal_captures()
    {
        var (a, b) = (LeaseLadder.Of(Seen(House()), "b")!, LeaseLadder.Of(Seen(House()), "b")!);
        Assert.Equal(CaptureFile.Write(a, "gw"), CaptureFile.Write(b, "gw"));
    }
}
