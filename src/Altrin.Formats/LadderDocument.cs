using Altrin.Core.Exchanges;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;

namespace Altrin.Formats;

/// <summary>What is said between the real actors, as a page shows it.</summary>
/// <param name="Kind">What kind of talk it is.</param>
/// <param name="Title">What it shows.</param>
/// <param name="Answer">Whether it comes to its end.</param>
/// <param name="StoppedBy">Name of the host or box that stops it; null where none does.</param>
/// <param name="Actors">Everybody who takes part, in the order in which they come in.</param>
/// <param name="Steps">What is sent, in order.</param>
/// <param name="Notes">What the steps do not show.</param>
/// <param name="Wires">Where one can listen: each gives a capture of its own.</param>
public sealed record LadderDocument(
    LadderKind Kind,
    string Title,
    Answer Answer,
    string? StoppedBy,
    IReadOnlyList<LadderActor> Actors,
    IReadOnlyList<LadderStep> Steps,
    IReadOnlyList<string> Notes,
    IReadOnlyList<LadderWire> Wires
)
{
    /// <summary>The document of a ladder.</summary>
    public static LadderDocument Of(Observation seen, Ladder ladder) =>
        new(
            ladder.Kind,
            ladder.Title,
            ladder.Answer,
            ladder.StoppedBy is { } by ? seen.Network.NameOf(by) : null,
            [.. ladder.Actors.Select(a => new LadderActor(a, Name(seen, a)))],
            [.. ladder.Frames.Select((f, i) => LadderStep.Of(seen, f, i + 1, ladder.Actors))],
            ladder.Notes,
            [
                .. ladder.Segments.Select(s => new LadderWire(
                    s,
                    AddressBook.Territory(seen.Network, s),
                    ladder.Frames.Count(f => f.Segment == s)
                )),
            ]
        );

    internal static string Name(Observation seen, string owner) =>
        owner == Core.Sites.PortRef.Street ? "the provider" : seen.Network.NameOf(owner);
}

/// <summary>A host that takes part.</summary>
/// <param name="Id">Box or device, "street", or ":internet".</param>
/// <param name="Name">What it is called.</param>
public sealed record LadderActor(string Id, string Name);

/// <summary>Where one can listen.</summary>
/// <param name="Segment">The segment.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Frames">How many frames are heard there.</param>
public sealed record LadderWire(string Segment, string Name, int Frames);

/// <summary>What a step is about.</summary>
public enum StepKind
{
    /// <summary>Who has an address?</summary>
    Arp,

    /// <summary>Leasing an address.</summary>
    Lease,

    /// <summary>Opening a connection.</summary>
    Connection,

    /// <summary>A single datagram.</summary>
    Datagram,

    /// <summary>A question to everybody for a name, or its answer.</summary>
    Discovery,
}

/// <summary>One thing that is sent.</summary>
/// <param name="Number">Counted from 1.</param>
/// <param name="AfterMs">When, in milliseconds after the first.</param>
/// <param name="Segment">Where; ":internet" beyond the provider's line.</param>
/// <param name="From">Who sends it.</param>
/// <param name="To">Who takes it; null where everybody hears it.</param>
/// <param name="Hears">Actors who hear it where it goes to everybody: those of its segment.</param>
/// <param name="Kind">What it is about.</param>
/// <param name="Text">In one sentence.</param>
/// <param name="Details">What stands in it, field by field.</param>
public sealed record LadderStep(
    int Number,
    double AfterMs,
    string Segment,
    string From,
    string? To,
    IReadOnlyList<string> Hears,
    StepKind Kind,
    string Text,
    IReadOnlyList<LadderField> Details
)
{
    internal static LadderStep Of(Observation seen, Frame frame, int number, IReadOnlyList<string> actors)
    {
        var kind = frame.Payload switch
        {
            ArpPayload => StepKind.Arp,
            DhcpPayload => StepKind.Lease,
            TcpPayload => StepKind.Connection,
            UdpPayload => StepKind.Datagram,
            _ => StepKind.Discovery,
        };
        return new(
            number,
            Math.Round(frame.At.TotalMilliseconds, 1),
            frame.Segment,
            frame.From.Owner,
            frame.To?.Owner,
            frame.To is null
                ? [.. actors.Where(a => a != frame.From.Owner && seen.Network.Segment(frame.Segment).Interfaces.Any(m => m.Owner == a))]
                : [],
            kind,
            frame.Text,
            [.. LadderField.Of(seen, frame)]
        );
    }
}

/// <summary>One field of what is sent.</summary>
/// <param name="Label">What it is.</param>
/// <param name="Value">What it holds.</param>
public sealed record LadderField(string Label, string Value)
{
    internal static IEnumerable<LadderField> Of(Observation seen, Frame frame) =>
        [
            new("where", frame.Segment == Provider.Internet ? "beyond the line" : AddressBook.Territory(seen.Network, frame.Segment)),
            .. frame.Segment == Provider.Internet
                ? Array.Empty<LadderField>()
                : [new("from MAC", Mac(frame.From)), new("to MAC", frame.To is { } to ? Mac(to) : "all")],
            .. frame.Payload switch
            {
                ArpPayload arp => Arp(arp),
                DhcpPayload dhcp => Dhcp(dhcp),
                TcpPayload tcp =>
                [
                    .. Ends(tcp.Source, tcp.SourcePort, tcp.Target, tcp.TargetPort, "TCP"),
                    new(
                        "flags",
                        tcp is { Opens: true, Acknowledges: true } ? "SYN, ACK"
                            : tcp.Opens ? "SYN"
                            : "ACK"
                    ),
                ],
                UdpPayload udp => Ends(udp.Source, udp.SourcePort, udp.Target, udp.TargetPort, "UDP"),
                MdnsPayload mdns =>
                [
                    .. Ends(mdns.Source, MdnsPayload.Port, mdns.Target, MdnsPayload.Port, "UDP"),
                    new(mdns.Answer is null ? "asks for" : "answers for", mdns.Name),
                    .. mdns.Answer is { } address ? [new("address", $"{address}")] : Array.Empty<LadderField>(),
                ],
                _ => Array.Empty<LadderField>(),
            },
        ];

    private static string Mac(Station station) => station.Read ? $"{station.Mac}" : $"{station.Mac} (an example: not read)";

    private static LadderField[] Arp(ArpPayload arp) =>
        [
            new("ARP", arp.Reply ? "reply" : "request"),
            new("sender", $"{arp.Sender}{(arp.Sender == default ? " (a probe: no host writes it down)" : "")}"),
            new("target", $"{arp.Target}"),
        ];

    private static LadderField[] Ends(
        Core.Addressing.Ipv4Address source,
        int sourcePort,
        Core.Addressing.Ipv4Address target,
        int targetPort,
        string protocol
    ) => [new("from", $"{source}:{sourcePort}"), new("to", $"{target}:{targetPort}"), new("protocol", protocol)];

    private static LadderField[] Dhcp(DhcpPayload dhcp)
    {
        var m = dhcp.Message;
        var all = new (string Label, string? Value)[]
        {
            ("from", $"{dhcp.Source}:{(dhcp.FromServer ? 67 : 68)}"),
            ("to", $"{dhcp.Target}:{(dhcp.FromServer ? 68 : 67)}"),
            ("53 message", m.Kind.ToString().ToLowerInvariant()),
            ("xid", $"0x{dhcp.Transaction:x8}"),
            ("ciaddr", m.InUse?.ToString()),
            ("yiaddr", m.Given?.ToString()),
            ("1 mask", m.PrefixLength is { } prefix ? $"{Core.Addressing.Subnet.Containing(default, prefix).Mask}" : null),
            ("3 gateway", m.Gateway?.ToString()),
            ("6 names", m.DnsServers.Count > 0 ? string.Join(", ", m.DnsServers) : null),
            ("12 host name", m.HostName),
            ("15 domain", m.DomainName),
            ("50 wishes for", m.Requested?.ToString()),
            ("51 lease", Seconds(m.LeaseSeconds)),
            ("54 server", m.ServerId?.ToString()),
            ("58 renew after", Seconds(m.RenewSeconds)),
            ("59 rebind after", Seconds(m.RebindSeconds)),
        };
        return [.. all.Where(f => f.Value is not null).Select(f => new LadderField(f.Label, f.Value!))];

        static string? Seconds(int? count) => count is { } seconds ? $"{seconds} s" : null;
    }
}
