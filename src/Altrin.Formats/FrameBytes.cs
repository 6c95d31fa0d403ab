using System.Buffers.Binary;
using System.Text;
using Altrin.Core.Addressing;
using Altrin.Core.Exchanges;
using Altrin.Core.Networks;

namespace Altrin.Formats;

/// <summary>
/// Frames as they are on an Ethernet wire: RFC 894 and 826, IPv4 (RFC 791), UDP (768), TCP (9293), DHCP (2131, 2132) and
/// multicast DNS (6762), most significant byte first, with lengths and checksums (RFC 1071).
/// </summary>
public static class FrameBytes
{
    private const ulong Everybody = 0xFFFFFFFFFFFF;

    /// <summary>The bytes of a frame, without preamble, padding and check sequence, as captures hold them.</summary>
    public static byte[] Of(Frame frame)
    {
        var target = frame.To?.Mac.Bits ?? (frame.Payload is MdnsPayload mdns ? GroupMac(mdns.Target) : Everybody);
        byte[] payload = frame.Payload switch
        {
            ArpPayload arp => Arp(arp, frame.From.Mac),
            DhcpPayload dhcp => Ip(
                dhcp.Source,
                dhcp.Target,
                17,
                64,
                Udp(dhcp.Source, dhcp.FromServer ? 67 : 68, dhcp.Target, dhcp.FromServer ? 68 : 67, Dhcp(dhcp))
            ),
            TcpPayload tcp => Ip(tcp.Source, tcp.Target, 6, 64, Tcp(tcp)),
            UdpPayload udp => Ip(udp.Source, udp.Target, 17, 64, Udp(udp.Source, udp.SourcePort, udp.Target, udp.TargetPort, [])),
            MdnsPayload name => Ip(
                name.Source,
                name.Target,
                17,
                255,
                Udp(name.Source, MdnsPayload.Port, name.Target, MdnsPayload.Port, Mdns(name))
            ),
            _ => throw new ArgumentOutOfRangeException(nameof(frame)),
        };
        return [.. Mac(target), .. Mac(frame.From.Mac.Bits), .. Two(frame.Payload is ArpPayload ? 0x0806 : 0x0800), .. payload];
    }

    private static byte[] Arp(ArpPayload arp, MacAddress sender) =>
        [
            0,
            1,
            8,
            0,
            6,
            4,
            0,
            (byte)(arp.Reply ? 2 : 1),
            .. Mac(sender.Bits),
            .. Four(arp.Sender.Bits),
            .. Mac(arp.TargetMac?.Bits ?? 0),
            .. Four(arp.Target.Bits),
        ];

    private static byte[] Ip(Ipv4Address source, Ipv4Address target, byte protocol, byte hops, byte[] body)
    {
        // Identification 0 with "don't fragment": an atomic datagram (RFC 6864).
        byte[] head = [0x45, 0, .. Two(20 + body.Length), 0, 0, 0x40, 0, hops, protocol, 0, 0, .. Four(source.Bits), .. Four(target.Bits)];
        BinaryPrimitives.WriteUInt16BigEndian(head.AsSpan(10), Checksum(head));
        return [.. head, .. body];
    }

    private static byte[] Udp(Ipv4Address source, int sourcePort, Ipv4Address target, int targetPort, byte[] body)
    {
        byte[] all = [.. Two(sourcePort), .. Two(targetPort), .. Two(8 + body.Length), 0, 0, .. body];
        var sum = Checksum([.. Pseudo(source, target, 17, all.Length), .. all]);
        // A sum of zero would mean that none was made (RFC 768).
        BinaryPrimitives.WriteUInt16BigEndian(all.AsSpan(6), sum == 0 ? (ushort)0xFFFF : sum);
        return all;
    }

    private static byte[] Tcp(TcpPayload tcp)
    {
        // The opener says how much it takes at a time: 1460 bytes on Ethernet (RFC 9293, section 3.7.1).
        byte[] options = tcp.Opens ? [2, 4, .. Two(1460)] : [];
        var flags = (byte)((tcp.Opens ? 0x02 : 0) | (tcp.Acknowledges ? 0x10 : 0));
        byte[] all =
        [
            .. Two(tcp.SourcePort),
            .. Two(tcp.TargetPort),
            .. Four(tcp.Sequence),
            .. Four(tcp.Next),
            (byte)((20 + options.Length) << 2),
            flags,
            .. Two(64240),
            0,
            0,
            0,
            0,
            .. options,
        ];
        BinaryPrimitives.WriteUInt16BigEndian(all.AsSpan(16), Checksum([.. Pseudo(tcp.Source, tcp.Target, 6, all.Length), .. all]));
        return all;
    }

    private static byte[] Dhcp(DhcpPayload dhcp)
    {
        var message = dhcp.Message;
        byte[] all =
        [
            (byte)(dhcp.FromServer ? 2 : 1),
            1,
            6,
            0,
            .. Four(dhcp.Transaction),
            0,
            0,
            0,
            0,
            .. Four(message.InUse?.Bits ?? 0),
            .. Four(message.Given?.Bits ?? 0),
            .. Four(0),
            .. Four(0),
            .. Mac(dhcp.Client.Bits),
            .. new byte[10],
            .. new byte[64 + 128],
            0x63,
            0x82,
            0x53,
            0x63,
            .. message.Options.OrderBy(o => o != 53).SelectMany(o => Option(o, dhcp)),
            255,
        ];
        // Old relays and servers drop shorter ones (RFC 1542, section 2.1).
        return [.. all, .. new byte[Math.Max(0, 300 - all.Length)]];
    }

    private static byte[] Option(int code, DhcpPayload dhcp)
    {
        var message = dhcp.Message;
        byte[] value = code switch
        {
            1 => Four(Subnet.Containing(default, message.PrefixLength!.Value).Mask.Bits),
            3 => Four(message.Gateway!.Value.Bits),
            6 => [.. message.DnsServers.SelectMany(n => Four(n.Bits))],
            12 => Encoding.ASCII.GetBytes(message.HostName!),
            15 => Encoding.ASCII.GetBytes(message.DomainName!),
            50 => Four(message.Requested!.Value.Bits),
            51 => Four((uint)message.LeaseSeconds!.Value),
            53 => [(byte)message.Kind],
            54 => Four(message.ServerId!.Value.Bits),
            55 => [.. DhcpMessage.UsualQuestions.Select(q => (byte)q)],
            58 => Four((uint)message.RenewSeconds!.Value),
            59 => Four((uint)message.RebindSeconds!.Value),
            61 => [1, .. Mac(dhcp.Client.Bits)],
            _ => throw new ArgumentOutOfRangeException(nameof(code)),
        };
        return [(byte)code, (byte)value.Length, .. value];
    }

    private static byte[] Mdns(MdnsPayload mdns)
    {
        byte[] name =
        [
            .. mdns.Name.Split('.').SelectMany(l => Encoding.ASCII.GetBytes(l) is var label ? (byte[])[(byte)label.Length, .. label] : []),
            0,
        ];
        return mdns.Answer is { } address
            // An authoritative answer of two minutes, as host names have it (RFC 6762, section 10).
            ? [0, 0, 0x84, 0, 0, 0, 0, 1, 0, 0, 0, 0, .. name, 0, 1, 0x80, 1, .. Four(120), 0, 4, .. Four(address.Bits)]
            // The top bit of the class asks for an answer to the client alone (section 5.4).
            : [0, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 0, .. name, 0, 1, 0x80, 1];
    }

    /// <summary>The MAC address of a group (RFC 1112, section 6.4).</summary>
    private static ulong GroupMac(Ipv4Address group) => 0x01005E000000UL | (group.Bits & 0x7FFFFF);

    private static byte[] Pseudo(Ipv4Address source, Ipv4Address target, byte protocol, int length) =>
        [.. Four(source.Bits), .. Four(target.Bits), 0, protocol, .. Two(length)];

    /// <summary>The ones' complement of the sum of all 16-bit words (RFC 1071).</summary>
    private static ushort Checksum(ReadOnlySpan<byte> bytes)
    {
        uint sum = 0;
        for (var i = 0; i < bytes.Length; i += 2)
        {
            sum += (uint)((bytes[i] << 8) | (i + 1 < bytes.Length ? bytes[i + 1] : 0));
        }
        while (sum > 0xFFFF)
        {
            sum = (sum & 0xFFFF) + (sum >> 16);
        }
        return (ushort)~sum;
    }

    private static byte[] Two(int value) => [(byte)(value >> 8), (byte)value];

    private static byte[] Four(uint value) => [(byte)(value >> 24), (byte)(value >> 16), (byte)(value >> 8), (byte)value];

    private static byte[] Mac(ulong bits) => [.. Two((int)(bits >> 32)), .. Four((uint)bits)];
}
