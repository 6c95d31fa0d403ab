using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Exchanges;

/// <summary>Writes frames down one after the other, each at its time; remembers who knows whose MAC address.</summary>
internal sealed class Script(Network network)
{
    /// <summary>What one frame takes inside a home: an example (common practice: well under a millisecond on a cable).</summary>
    private static readonly TimeSpan Soon = TimeSpan.FromMicroseconds(400);

    private readonly List<Frame> _frames = [];
    private readonly HashSet<(string, Side, Ipv4Address)> _known = [];
    private TimeSpan _now;

    public IReadOnlyList<Frame> Frames => _frames;

    public void Wait(TimeSpan time) => _now += time;

    /// <summary>When the next frame is sent at the earliest, counted from the first.</summary>
    public void Until(TimeSpan time) => _now = time > _now ? time : _now;

    public void Send(string segment, Interface from, Interface? to, Payload payload, string text)
    {
        _frames.Add(
            new(
                _now,
                segment,
                Station.Of(from),
                to is null ? null : Station.Of(to),
                payload,
                text.StartsWith("the ", StringComparison.Ordinal) ? $"T{text[1..]}" : text
            )
        );
        _now += Soon;
    }

    /// <summary>
    /// Asks who has an address, unless the client knows; tries three times where no host answers (RFC 1122, section 2.3.2.1: not more than
    /// once a second).
    /// </summary>
    public void Resolve(Interface client, Ipv4Address own, Ipv4Address address, Interface? taker)
    {
        if (_known.Contains((client.Owner, client.Side, address)))
        {
            return;
        }
        for (var turn = 0; turn < (taker is null ? 3 : 1); turn++)
        {
            Send(client.Segment, client, null, new ArpPayload(false, own, null, address), $"{Name(client)} asks who has {address}");
            if (taker is null)
            {
                Wait(TimeSpan.FromSeconds(1));
            }
        }
        if (taker is not null)
        {
            Send(
                client.Segment,
                taker,
                client,
                new ArpPayload(true, address, Station.Of(client).Mac, own),
                $"{Name(taker)} says that it has {address}"
            );
            _known.Add((client.Owner, client.Side, address));
            // The host that is asked notes the client too (RFC 826).
            _known.Add((taker.Owner, taker.Side, own));
        }
    }

    public string Name(Interface side) => side.Owner == PortRef.Street ? "the provider" : network.NameOf(side.Owner);
}
