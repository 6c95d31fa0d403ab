using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Exchanges;

/// <summary>How a connection is opened, packet by packet and wire by wire, with what each box on the way writes over.</summary>
public static class ConnectionLadder
{
    /// <summary>The port that a connection is shown with where none was named: that of plain web pages.</summary>
    public const int ExamplePort = 80;

    /// <summary>What a packet takes beyond the provider's line: an example.</summary>
    private static readonly TimeSpan Beyond = TimeSpan.FromMilliseconds(12);

    /// <summary>A connection between two devices; null where one of both is not in use.</summary>
    public static Ladder? Between(Observation seen, string from, string to)
    {
        if (seen.Network.Find(from, Side.Device) is not { } client || seen.Network.Find(to, Side.Device) is not { } asked || from == to)
        {
            return null;
        }
        var (way, legs) = seen.Tracer.Packets(client, asked);
        return Told(
            seen,
            LadderKind.Connection,
            $"{seen.Network.NameOf(from)} opens a connection to {seen.Network.NameOf(to)}",
            Protocol.Tcp,
            way,
            legs
        );
    }

    /// <summary>A connection from a device to a host on the internet; null where it is not in use.</summary>
    public static Ladder? ToInternet(Observation seen, string from)
    {
        if (seen.Network.Find(from, Side.Device) is not { } client)
        {
            return null;
        }
        var (way, legs) = seen.Tracer.Packets(client, Provider.Host);
        return Told(seen, LadderKind.Internet, $"{seen.Network.NameOf(from)} opens a connection to the internet", Protocol.Tcp, way, legs);
    }

    /// <summary>
    /// A connection from the internet that a need asks for; null where there is no such need or its device is not in use.
    /// </summary>
    public static Ladder? FromInternet(Observation seen, string need)
    {
        if (
            seen.Network.Design.Site.Needs.FirstOrDefault(n => n.Id == need) is not ReachFromOutside reach
            || seen.Network.Find(reach.Device, Side.Device) is not { } device
        )
        {
            return null;
        }
        var (way, legs) = seen.Tracer.Packets(reach, device);
        // Whether the service lets anything in at all is judged with the need.
        var answer = seen.Sheet.Needs.First(n => n.Need == need);
        return Told(
            seen,
            LadderKind.Inbound,
            $"{seen.Network.NameOf(reach.Device)} is reached from outside on {NeedWords.Ports(reach)}",
            reach.Protocol,
            way with
            {
                Answer = answer.Answer,
                StoppedBy = answer.StoppedBy,
            },
            legs
        );
    }

    private static Ladder Told(Observation seen, LadderKind kind, string title, Protocol protocol, Route way, IReadOnlyList<Leg> legs)
    {
        var script = new Script(seen.Network);
        var port = 49152 + (int)(Hash.Of(title) & 0x3FFF);
        var (sequence, theirs) = (Hash.Of(title), Hash.Of($"{title}/answer"));
        var outward = legs.Where(l => !l.Answer).ToList();
        var back = legs.Where(l => l.Answer).ToList();
        Carry(seen, script, outward, l => Payload(l, true, false));
        Carry(seen, script, back, l => Payload(l, true, true));
        if (protocol == Protocol.Tcp && way.Answer.Kind != AnswerKind.No && back is [.., { To: not null }])
        {
            Carry(seen, script, outward, l => Payload(l, false, true));
        }
        var notes = way.Answer.Causes.Select(c => c.Text).ToList();
        if (legs.Any(l => l.Packet.Port == 0))
        {
            notes.Add($"Port {ExamplePort} stands for any.");
        }
        return new(kind, title, way.Answer, way.Answer.IsYes ? null : way.StoppedBy, script.Frames, notes);

        Payload Payload(Leg leg, bool opens, bool acknowledges)
        {
            var there = leg.Packet.Port == 0 ? ExamplePort : leg.Packet.Port;
            var (from, to) = leg.Answer ? (there, port) : (port, there);
            return protocol == Protocol.Udp
                ? new UdpPayload(leg.Packet.Source, from, leg.Packet.Target, to)
                : new TcpPayload(
                    leg.Packet.Source,
                    from,
                    leg.Packet.Target,
                    to,
                    opens,
                    acknowledges,
                    leg.Answer ? theirs
                        : opens ? sequence
                        : sequence + 1,
                    !acknowledges ? 0
                        : leg.Answer ? sequence + 1
                        : theirs + 1
                );
        }
    }

    private static void Carry(Observation seen, Script script, IReadOnlyList<Leg> legs, Func<Leg, Payload> payload)
    {
        Leg? before = null;
        foreach (var leg in legs)
        {
            var outside = Outside(leg.From) || (leg.To is { } taker && Outside(taker));
            if (outside)
            {
                script.Wait(Beyond);
            }
            else
            {
                script.Resolve(
                    leg.From,
                    before is null || before.Packet.Source != leg.Packet.Source
                        ? leg.Packet.Source
                        : seen.Tracer.World.Address(leg.From) ?? default,
                    leg.Next,
                    leg.To
                );
            }
            if (leg.To is { } to)
            {
                script.Send(
                    outside ? Provider.Internet : leg.From.Segment,
                    leg.From,
                    to,
                    payload(leg),
                    Words(script, leg, before, payload(leg))
                );
            }
            before = leg;
        }
    }

    private static bool Outside(Interface side) => side.Owner == Provider.Internet;

    private static string Words(Script script, Leg leg, Leg? before, Payload payload)
    {
        var (packet, name) = (leg.Packet, script.Name(leg.From));
        var what = payload switch
        {
            TcpPayload { Opens: true, Acknowledges: true } => "the answer",
            TcpPayload { Opens: false } => "that it is open",
            UdpPayload when leg.Answer => "the answer",
            _ => "the question",
        };
        return before is null
                ? payload switch
                {
                    TcpPayload { Opens: true, Acknowledges: false } tcp => $"{name} asks {packet.Target} to open port {tcp.TargetPort}",
                    TcpPayload { Opens: true } => $"{name} answers {packet.Target}",
                    TcpPayload => $"{name} says that it is open",
                    UdpPayload { } udp when !leg.Answer => $"{name} sends to port {udp.TargetPort} of {packet.Target}",
                    _ => $"{name} answers {packet.Target}",
                }
            : packet.Source != before.Packet.Source ? $"{name} sends {what} on as if it came from {packet.Source}"
            : packet.Target != before.Packet.Target ? $"{name} sends {what} on to {packet.Target}"
            : $"{name} passes {what} on";
    }
}
