using System.Buffers.Binary;
using System.Text;
using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Readings;

namespace Altrin.Formats;

/// <summary>
/// Reads the address messages out of a packet capture: classic pcap, either end first, micro- or nanoseconds, and pcapng; Ethernet with
/// or without VLAN tags, both "cooked" link types of Linux, and bare IP (layouts from memory, held to captures of this program, of a
/// dissector and of the system's own tools). Whatever is cut short or foreign is passed over; nothing is thrown.
/// </summary>
public static class CaptureReader
{
    /// <summary>The largest capture that is read, in bytes.</summary>
    public const int MostBytes = 1_000_000;

    private const uint Classic = 0xA1B2C3D4,
        ClassicNano = 0xA1B23C4D,
        Section = 0x0A0D0D0A,
        OrderMagic = 0x1A2B3C4D;

    /// <summary>Whether the bytes begin like a capture.</summary>
    public static bool IsOne(ReadOnlySpan<byte> bytes) =>
        bytes.Length >= 4
        && BinaryPrimitives.ReadUInt32LittleEndian(bytes) is var magic
        && (magic is Classic or ClassicNano or Section || BinaryPrimitives.ReverseEndianness(magic) is Classic or ClassicNano);

    /// <summary>What the address messages of a capture say; refused where the bytes are none, or too many.</summary>
    public static Parsed<Reading> Read(ReadOnlySpan<byte> bytes)
    {
        if (bytes.Length > MostBytes)
        {
            return Parsed<Reading>.Fail(
                $"The capture has {bytes.Length:#,0} bytes; at most {MostBytes:#,0} are read. Capture less, or only ports 67 and 68."
            );
        }
        if (!IsOne(bytes))
        {
            return Parsed<Reading>.Fail("This is no packet capture: one begins with the mark of pcap or pcapng.");
        }
        var heard = new Heard();
        if (BinaryPrimitives.ReadUInt32LittleEndian(bytes) == Section)
        {
            Blocks(bytes, heard);
        }
        else
        {
            Records(bytes, heard);
        }
        return heard.Done();
    }

    private static void Records(ReadOnlySpan<byte> bytes, Heard heard)
    {
        var little = BinaryPrimitives.ReadUInt32LittleEndian(bytes) is Classic or ClassicNano;
        if (bytes.Length < 24)
        {
            return;
        }
        var link = (int)(Word(bytes[20..], little) & 0x0FFF_FFFF);
        var at = 24;
        while (at + 16 <= bytes.Length)
        {
            var length = Word(bytes[(at + 8)..], little);
            if (length > bytes.Length - at - 16)
            {
                heard.Cut();
                break;
            }
            heard.Frame(link, bytes.Slice(at + 16, (int)length));
            at += 16 + (int)length;
        }
    }

    private static void Blocks(ReadOnlySpan<byte> bytes, Heard heard)
    {
        var (at, little, links) = (0, true, new List<int>());
        while (at + 12 <= bytes.Length)
        {
            if (BinaryPrimitives.ReadUInt32LittleEndian(bytes[at..]) == Section)
            {
                little = BinaryPrimitives.ReadUInt32LittleEndian(bytes[(at + 8)..]) == OrderMagic;
                links.Clear();
            }
            var (kind, length) = (Word(bytes[at..], little), Word(bytes[(at + 4)..], little));
            if (length < 12 || length % 4 != 0 || length > bytes.Length - at)
            {
                heard.Cut();
                break;
            }
            var body = bytes.Slice(at + 8, (int)length - 12);
            switch (kind)
            {
                // Interface description: which link type.
                case 1 when body.Length >= 2:
                    links.Add(little ? BinaryPrimitives.ReadUInt16LittleEndian(body) : BinaryPrimitives.ReadUInt16BigEndian(body));
                    break;
                // Enhanced packet: interface, time in two words, captured length, original length.
                case 6 when body.Length >= 20 && Word(body, little) < (uint)links.Count && Word(body[12..], little) <= body.Length - 20:
                    heard.Frame(links[(int)Word(body, little)], body.Slice(20, (int)Word(body[12..], little)));
                    break;
                // Simple packet: original length only.
                case 3 when body.Length >= 4 && links.Count > 0:
                    heard.Frame(links[0], body[4..]);
                    break;
                default:
                    break;
            }
            at += (int)length;
        }
    }

    private static uint Word(ReadOnlySpan<byte> bytes, bool little) =>
        little ? BinaryPrimitives.ReadUInt32LittleEndian(bytes) : BinaryPrimitives.ReadUInt32BigEndian(bytes);

    /// <summary>What was heard, frame by frame.</summary>
    private sealed class Heard
    {
        private readonly List<OfferRead> _offers = [];
        private readonly Dictionary<MacAddress, (int Line, Ipv4Address? Address, string? Name)> _clients = [];
        private int _frames,
            _messages;
        private bool _cut;

        public void Cut() => _cut = true;

        public void Frame(int link, ReadOnlySpan<byte> frame)
        {
            _frames++;
            // Destination, source, kind; cooked frames keep the source elsewhere.
            var (head, from, kindAt) = link switch
            {
                1 => (14, 6, 12),
                113 => (16, 6, 14),
                276 => (20, 12, 0),
                101 => (0, -1, -1),
                _ => (-1, -1, -1),
            };
            if (head < 0 || frame.Length < head)
            {
                return;
            }
            var kind = kindAt < 0 ? 0x0800 : BinaryPrimitives.ReadUInt16BigEndian(frame[kindAt..]);
            while (link == 1 && kind is 0x8100 or 0x88A8 && frame.Length >= head + 4)
            {
                kind = BinaryPrimitives.ReadUInt16BigEndian(frame[(head + 2)..]);
                head += 4;
            }
            if (kind == 0x0800)
            {
                Packet(frame[head..], from < 0 ? null : Mac(frame[from..]));
            }
        }

        /// <summary>An IPv4 packet (RFC 791) with UDP (RFC 768) from or to the server's port 67, unfragmented.</summary>
        private void Packet(ReadOnlySpan<byte> packet, MacAddress? from)
        {
            if (
                packet.Length < 20
                || packet[0] >> 4 != 4
                || packet[9] != 17
                || (BinaryPrimitives.ReadUInt16BigEndian(packet[6..]) & 0x1FFF) != 0
            )
            {
                return;
            }
            var head = (packet[0] & 15) * 4;
            if (
                head < 20
                || packet.Length < head + 8
                || (
                    BinaryPrimitives.ReadUInt16BigEndian(packet[head..]) != 67
                    && BinaryPrimitives.ReadUInt16BigEndian(packet[(head + 2)..]) != 67
                )
            )
            {
                return;
            }
            Message(packet[(head + 8)..], Address(packet[12..]), from);
        }

        /// <summary>A message of BOOTP with options (RFC 2131, section 2; RFC 2132).</summary>
        private void Message(ReadOnlySpan<byte> message, Ipv4Address sender, MacAddress? from)
        {
            if (
                message.Length < 240
                || message[1] != 1
                || message[2] != 6
                || BinaryPrimitives.ReadUInt32BigEndian(message[236..]) != 0x63825363
            )
            {
                return;
            }
            var client = Mac(message[28..]);
            var given = Address(message[16..]) is { Bits: > 0 } yours ? yours : (Ipv4Address?)null;
            var (kind, server, prefix, gateway, lease, name) = (
                (DhcpKind?)null,
                (Ipv4Address?)null,
                (int?)null,
                (Ipv4Address?)null,
                (long?)null,
                (string?)null
            );
            IReadOnlyList<Ipv4Address> names = [];
            for (var at = 240; at < message.Length && message[at] != 255; )
            {
                if (message[at] == 0)
                {
                    at++;
                    continue;
                }
                if (at + 2 > message.Length || at + 2 + message[at + 1] > message.Length)
                {
                    break;
                }
                var value = message.Slice(at + 2, message[at + 1]);
                switch (message[at])
                {
                    case 53 when value.Length == 1 && value[0] is >= 1 and <= 7:
                        kind = (DhcpKind)value[0];
                        break;
                    case 54 when value.Length == 4:
                        server = Address(value);
                        break;
                    case 1 when value.Length == 4:
                        prefix = Subnet.PrefixOf(Address(value));
                        break;
                    case 3 when value.Length >= 4:
                        gateway = Address(value);
                        break;
                    case 6:
                        names = Addresses(value);
                        break;
                    case 51 when value.Length == 4:
                        lease = BinaryPrimitives.ReadUInt32BigEndian(value);
                        break;
                    case 12:
                        name = Text(value);
                        break;
                    default:
                        break;
                }
                at += 2 + message[at + 1];
            }
            if (kind is not { } said)
            {
                return;
            }
            _messages++;
            if (client is { IsGroup: false, Bits: > 0 } who)
            {
                var before = _clients.GetValueOrDefault(who);
                _clients[who] = (
                    before.Line == 0 ? _frames : before.Line,
                    said == DhcpKind.Ack ? given ?? before.Address : before.Address,
                    name ?? before.Name
                );
            }
            if (said is DhcpKind.Offer or DhcpKind.Ack or DhcpKind.Nak)
            {
                // A server names itself; one that does not is known by where its packet came from.
                _offers.Add(
                    new(_frames, said, server ?? (sender.Bits > 0 ? sender : null), given)
                    {
                        Client = client,
                        From = from is { IsGroup: false, Bits: > 0 } ? from : null,
                        PrefixLength = prefix,
                        Gateway = gateway,
                        DnsServers = names,
                        LeaseSeconds = lease,
                    }
                );
            }
        }

        public Reading Done()
        {
            var passed = _frames - _messages;
            var unread = new List<UnreadLine>();
            if (passed > 0)
            {
                unread.Add(
                    new(0, $"{passed} of {_frames} frames", "They are no address messages: only DHCP over IPv4 is read out of a capture.")
                );
            }
            if (_cut)
            {
                unread.Add(new(0, "the end of the capture", "It is cut short in the middle of a frame; what stands before it was read."));
            }
            return new(_frames, _messages > 0 ? [new(ReadingKind.Capture, 1, _frames)] : [], unread, passed + (_cut ? 1 : 0))
            {
                Offers = _offers,
                Neighbours =
                [
                    .. _clients
                        .OrderBy(a => a.Value.Line)
                        .ThenBy(a => a.Key)
                        .Select(a => new NeighbourRead(a.Value.Line, a.Value.Address, a.Key) { Name = a.Value.Name }),
                ],
            };
        }

        private static Ipv4Address Address(ReadOnlySpan<byte> bytes) => new(BinaryPrimitives.ReadUInt32BigEndian(bytes));

        private static List<Ipv4Address> Addresses(ReadOnlySpan<byte> value)
        {
            var found = new List<Ipv4Address>();
            for (var at = 0; at + 4 <= value.Length; at += 4)
            {
                found.Add(Address(value[at..]));
            }
            return found;
        }

        private static MacAddress Mac(ReadOnlySpan<byte> bytes) =>
            new(((ulong)BinaryPrimitives.ReadUInt32BigEndian(bytes) << 16) | BinaryPrimitives.ReadUInt16BigEndian(bytes[4..]));

        private static string? Text(ReadOnlySpan<byte> value)
        {
            var text = string.Concat(Encoding.UTF8.GetString(value).Where(c => !char.IsControl(c))).Trim();
            return text.Length is > 0 and <= 255 ? text : null;
        }
    }
}
