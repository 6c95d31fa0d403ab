using Altrin.Core.Addressing;
using Altrin.Core.Networks;

namespace Altrin.Core.Exchanges;

/// <summary>Who sends or takes a frame.</summary>
/// <param name="Owner">Box, device, "street", or <see cref="Provider.Internet"/>.</param>
/// <param name="Side">Which side of it.</param>
/// <param name="Mac">Its MAC address; where none was read, a stable example with the local bit set.</param>
/// <param name="Read">Whether the MAC address was read off its label.</param>
public sealed record Station(string Owner, Side Side, MacAddress Mac, bool Read)
{
    /// <summary>The station of a side of a host.</summary>
    public static Station Of(Interface side) =>
        side.Mac is { } own
            ? new(side.Owner, side.Side, own, true)
            : new(side.Owner, side.Side, new(0x020000000000UL | (Hash.Of($"{side.Owner}/{side.Side}") & 0xFFFFFFUL)), false);
}

/// <summary>What is sent once over one segment.</summary>
/// <param name="At">When, from the first frame on: an example, only the order and the long waits mean something.</param>
/// <param name="Segment">Where; <see cref="Provider.Internet"/> beyond the provider's line, where no frames of the home's kind are.</param>
/// <param name="From">Who sends it.</param>
/// <param name="To">Who takes it; null for one that everybody hears.</param>
/// <param name="Payload">What is in it.</param>
/// <param name="Text">The same in one sentence.</param>
public sealed record Frame(TimeSpan At, string Segment, Station From, Station? To, Payload Payload, string Text);

/// <summary>What a frame carries.</summary>
public abstract record Payload;

/// <summary>Who has an address? (RFC 826)</summary>
/// <param name="Reply">Whether it answers.</param>
/// <param name="Sender">The sender's address; 0.0.0.0 in a probe (RFC 5227).</param>
/// <param name="TargetMac">The MAC address of who asked; null in a question.</param>
/// <param name="Target">The address asked for, or of who asked.</param>
public sealed record ArpPayload(bool Reply, Ipv4Address Sender, MacAddress? TargetMac, Ipv4Address Target) : Payload;

/// <summary>A message by which addresses are leased (RFC 2131), in a UDP datagram between the ports 68 and 67.</summary>
/// <param name="Source">From which address; 0.0.0.0 for one who has none yet.</param>
/// <param name="Target">To which address.</param>
/// <param name="Transaction">The number by which the client knows the answers (xid).</param>
/// <param name="Client">The client's MAC address (chaddr).</param>
/// <param name="Message">What is said.</param>
public sealed record DhcpPayload(Ipv4Address Source, Ipv4Address Target, uint Transaction, MacAddress Client, DhcpMessage Message) : Payload
{
    /// <summary>Whether it comes from a server.</summary>
    public bool FromServer => Message.Kind is DhcpKind.Offer or DhcpKind.Ack or DhcpKind.Nak;
}

/// <summary>A step of opening a connection (TCP, RFC 9293).</summary>
/// <param name="Source">From which address.</param>
/// <param name="SourcePort">From which port.</param>
/// <param name="Target">To which address.</param>
/// <param name="TargetPort">To which port.</param>
/// <param name="Opens">Whether the SYN bit is set.</param>
/// <param name="Acknowledges">Whether the ACK bit is set.</param>
/// <param name="Sequence">Its sequence number.</param>
/// <param name="Next">The sequence number that is expected next; 0 where nothing is acknowledged.</param>
public sealed record TcpPayload(
    Ipv4Address Source,
    int SourcePort,
    Ipv4Address Target,
    int TargetPort,
    bool Opens,
    bool Acknowledges,
    uint Sequence,
    uint Next
) : Payload;

/// <summary>A datagram with nothing in it that matters here (UDP, RFC 768).</summary>
/// <param name="Source">From which address.</param>
/// <param name="SourcePort">From which port.</param>
/// <param name="Target">To which address.</param>
/// <param name="TargetPort">To which port.</param>
public sealed record UdpPayload(Ipv4Address Source, int SourcePort, Ipv4Address Target, int TargetPort) : Payload;

/// <summary>A question to everybody on the link by multicast, or the answer to it (RFC 6762).</summary>
/// <param name="Source">From which address.</param>
/// <param name="Target">To which: 224.0.0.251 for a question, the client for an answer.</param>
/// <param name="Name">The name asked for.</param>
/// <param name="Answer">Its address; null in a question.</param>
public sealed record MdnsPayload(Ipv4Address Source, Ipv4Address Target, string Name, Ipv4Address? Answer) : Payload
{
    /// <summary>Where questions go (RFC 6762, section 3).</summary>
    public static Ipv4Address Group { get; } = Ipv4Address.From(224, 0, 0, 251);

    /// <summary>The port of both ends (RFC 6762, section 3).</summary>
    public const int Port = 5353;
}

/// <summary>Stable numbers out of names, where a real machine would roll dice.</summary>
internal static class Hash
{
    /// <summary>FNV-1a, 32 bits (from memory).</summary>
    public static uint Of(string text) => text.Aggregate(2166136261u, (hash, c) => (hash ^ c) * 16777619u);
}
