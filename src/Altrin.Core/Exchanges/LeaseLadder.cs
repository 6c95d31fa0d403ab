using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Exchanges;

/// <summary>How a host comes by an address, from the first question to the first renewal (RFC 2131).</summary>
public static class LeaseLadder
{
    /// <summary>A host that gets no answer asks again after about 4, 8 and 16 seconds (RFC 2131, section 4.1).</summary>
    private static readonly double[] AsksAgain = [4, 8, 16];

    /// <summary>A server that tries an address before it offers it waits about a second for an answer (common practice).</summary>
    private static readonly TimeSpan Tried = TimeSpan.FromSeconds(1);

    /// <summary>Everybody in use who asks for an address, by owner and side.</summary>
    public static IReadOnlyList<Interface> Clients(Network network) => [.. network.Interfaces.Where(i => i.AsksNow)];

    /// <summary>The lease of a box or device; null where it does not ask, or is connected to nothing.</summary>
    /// <param name="seen">The network.</param>
    /// <param name="owner">Box, device, or the laptop.</param>
    public static Ladder? Of(Observation seen, string owner)
    {
        if (Clients(seen.Network).FirstOrDefault(i => i.Owner == owner) is not { } client)
        {
            return null;
        }
        var script = new Script(seen.Network);
        var title = $"{seen.Network.NameOf(owner)} is leased an address";
        var offers = seen.Leasing.Offers(client);
        if (offers.Count == 0)
        {
            return Unanswered(seen, client, script, title);
        }
        var notes = new List<string>();
        var servers = Living.ServersOf(seen.Network, client);
        // A server gives an address again that another host had before: so the examples of the facts come out here too.
        IReadOnlyList<Binding> before =
        [
            .. offers
                .Where(o => o.Example is not null)
                .Select(o => new Binding(o.Server, DhcpExchange.ClientOf(client), o.Example!.Value, 0)),
        ];
        var exchange = DhcpExchange.Begin(client, servers, before, 0, null, a => Holder(seen, client, a) is not null);
        Tell(seen, client, script, servers, exchange);
        if (exchange.Leases is [var lease, ..])
        {
            Use(seen, client, script, servers, exchange, lease);
            notes.Add(
                $"The lease lasts {TimeWords.Of(lease.LeaseMinutes * 60L)}: its server is asked to prolong it after {TimeWords.Of(lease.RenewsAt)}, any server after {TimeWords.Of(lease.RebindsAt)}."
            );
        }
        if (offers.Count > 1)
        {
            notes.Add(
                $"{string.Join(" and ", offers.Select(o => seen.Network.NameOf(o.Server)))} answer: the first wins, here {seen.Network.NameOf(offers[0].Server)}."
            );
        }
        // A host that declines again and again goes without; where there are fewer leases than clients, one does.
        var answer = exchange.Leases.Count == 0 ? Answer.No(Taken(seen, client, exchange)) : Answer.Yes;
        var races = seen.Leasing.Holdings(client).SelectMany(h => seen.Hosts.Races(client, h)).DistinctBy(c => c.Identity).ToList();
        if (races.Exists(c => c.Code is CauseCodes.PoolTooSmall or CauseCodes.SeveralBeforeRouter))
        {
            answer = answer.And(Answer.ByLuck(races));
        }
        notes.AddRange(races.Select(c => c.Text));
        foreach (var offer in offers)
        {
            if (seen.Tracer.World.Radio.Proxied(client, offer.Server) is var (_, through, why))
            {
                answer = answer.And(through == Known.No ? Answer.No(why) : Answer.ByLuck(why));
            }
        }
        // A ring hides nothing: the exchange is told as it is once the ring is open.
        foreach (var ring in seen.Network.Segment(client.Segment).Loops)
        {
            answer = answer.And(ring.Perhaps ? Answer.ByLuck(World.Ring(ring)) : Answer.No(World.Ring(ring)));
        }
        return new(
            LadderKind.Lease,
            title,
            answer,
            answer.IsYes ? null : answer.Causes.SelectMany(c => c.Subjects).FirstOrDefault(),
            script.Frames,
            [.. notes.Concat(answer.Causes.Select(c => c.Text)).Distinct()]
        );
    }

    private static Cause Taken(Observation seen, Interface client, Networks.Exchange exchange)
    {
        var address = exchange.Messages.LastOrDefault(m => m.Given is not null)?.Given ?? default;
        return Cause.Of(
            CauseCodes.AddressConflict,
            $"{address} is offered again and again, and another host has it.",
            Holder(seen, client, address) is { } holder ? [client.Owner, holder.Owner] : [client.Owner]
        );
    }

    private static Ladder Unanswered(Observation seen, Interface client, Script script, string title)
    {
        var why = seen.Tracer.World.NoAddress(client);
        foreach (var wait in AsksAgain.Prepend(0))
        {
            script.Wait(TimeSpan.FromSeconds(wait));
            Say(
                script,
                client,
                null,
                new(DhcpKind.Discover, "", client.Mac) { HostName = HostName(client) },
                $"{script.Name(client)} asks all for an address"
            );
        }
        var notes = new List<string> { why.Text };
        if (seen.Leasing.Holdings(client) is [{ SelfAssigned: true, Example: { } own }, ..])
        {
            script.Wait(TimeSpan.FromSeconds(AsksAgain[^1]));
            Probe(script, client, own);
            notes.Add(
                "It gives itself an address in 169.254.0.0/16 (RFC 3927): it looks connected and reaches nothing beyond its own segment. The address shown is an example."
            );
        }
        return new(LadderKind.Lease, title, Answer.No(why), why.Subjects.Count > 0 ? why.Subjects[0] : null, script.Frames, notes);
    }

    private static void Tell(
        Observation seen,
        Interface client,
        Script script,
        IReadOnlyList<SegmentServer> servers,
        Networks.Exchange exchange
    )
    {
        foreach (var message in exchange.Messages)
        {
            if (message.Kind is DhcpKind.Offer or DhcpKind.Ack or DhcpKind.Nak)
            {
                var seat = servers.First(s => s.Own == message.ServerId);
                var server = ServerOf(seen, client.Segment, seat);
                if (message.Kind == DhcpKind.Offer && seat.ChecksOffer == Known.Yes)
                {
                    script.Send(
                        client.Segment,
                        server,
                        null,
                        new ArpPayload(false, seat.Own, null, message.Given!.Value),
                        $"{script.Name(server)} tries whether a host has {message.Given}"
                    );
                    script.Wait(Tried);
                }
                Say(
                    script,
                    client,
                    server,
                    message,
                    message.Kind switch
                    {
                        DhcpKind.Offer => $"{script.Name(server)} offers {message.Given}{With(message)}",
                        DhcpKind.Ack =>
                            $"{script.Name(server)} leases it {message.Given} for {TimeWords.Of(message.LeaseMinutes!.Value * 60L)}",
                        _ => $"{script.Name(server)} refuses",
                    }
                );
                continue;
            }
            if (message.Kind == DhcpKind.Decline && Holder(seen, client, message.Requested!.Value) is { } holder)
            {
                script.Send(
                    client.Segment,
                    client,
                    null,
                    new ArpPayload(false, default, null, message.Requested.Value),
                    $"{script.Name(client)} tries {message.Requested} before it uses it"
                );
                script.Send(
                    client.Segment,
                    holder,
                    client,
                    new ArpPayload(true, message.Requested.Value, Station.Of(client).Mac, default),
                    $"{script.Name(holder)} has {message.Requested}"
                );
            }
            Say(
                script,
                client,
                null,
                message,
                message.Kind switch
                {
                    DhcpKind.Discover => $"{script.Name(client)} asks all for an address",
                    DhcpKind.Request =>
                        $"{script.Name(client)} asks {seen.Network.NameOf(servers.First(s => s.Own == message.ServerId).Owner)} for {message.Requested}, and all others hear that",
                    _ => $"{script.Name(client)} declines {message.Requested}: a host has it",
                }
            );
        }
    }

    private static void Use(
        Observation seen,
        Interface client,
        Script script,
        IReadOnlyList<SegmentServer> servers,
        Networks.Exchange exchange,
        HeldLease lease
    )
    {
        if (client.ChecksLease == Known.Yes)
        {
            Probe(script, client, lease.Address);
        }
        var seat = servers.First(s => s.Owner == lease.Server);
        var server = ServerOf(seen, client.Segment, seat);
        script.Until(TimeSpan.FromSeconds(lease.RenewsAt));
        script.Resolve(client, lease.Address, seat.Own, server);
        var ask = new DhcpMessage(DhcpKind.Request, DhcpExchange.ClientOf(client), client.Mac)
        {
            InUse = lease.Address,
            HostName = HostName(client),
        };
        script.Send(
            client.Segment,
            client,
            server,
            new DhcpPayload(lease.Address, seat.Own, Number(client, 1), Station.Of(client).Mac, ask),
            $"{script.Name(client)} asks {script.Name(server)} to prolong {lease.Address}"
        );
        if (DhcpServer.Answer(seat, exchange.Bindings, ask, lease.RenewsAt, _ => false).Reply is { } reply)
        {
            script.Send(
                client.Segment,
                server,
                client,
                new DhcpPayload(seat.Own, lease.Address, Number(client, 1), Station.Of(client).Mac, reply),
                $"{script.Name(server)} prolongs it"
            );
        }
    }

    /// <summary>Three probes and two announcements (RFC 5227, section 1.1: PROBE_NUM, ANNOUNCE_NUM; seconds apart).</summary>
    private static void Probe(Script script, Interface client, Ipv4Address own)
    {
        for (var turn = 0; turn < 3; turn++)
        {
            script.Send(
                client.Segment,
                client,
                null,
                new ArpPayload(false, default, null, own),
                $"{script.Name(client)} tries {own} before it uses it"
            );
            script.Wait(TimeSpan.FromSeconds(1.5));
        }
        for (var turn = 0; turn < 2; turn++)
        {
            script.Send(
                client.Segment,
                client,
                null,
                new ArpPayload(false, own, null, own),
                $"{script.Name(client)} tells all that it has {own}"
            );
            script.Wait(TimeSpan.FromSeconds(2));
        }
    }

    private static void Say(Script script, Interface client, Interface? server, DhcpMessage message, string text)
    {
        var everybody = new Ipv4Address(uint.MaxValue);
        var payload = new DhcpPayload(
            server is null ? default : message.ServerId!.Value,
            server is null || message.Kind == DhcpKind.Nak ? everybody : message.Given!.Value,
            Number(client, 0),
            Station.Of(client).Mac,
            message
        );
        script.Send(client.Segment, server ?? client, server is null || message.Kind == DhcpKind.Nak ? null : client, payload, text);
    }

    /// <summary>The side with which a server answers: a router's inner one, or the page of an access point whose server woke.</summary>
    private static Interface ServerOf(Observation seen, string segment, SegmentServer seat) =>
        seen
            .Network.Segment(segment)
            .Interfaces.Where(i => i.Owner == (GuestId.BoxOf(seat.Owner) ?? seat.Owner))
            .OrderBy(i => !i.IsInner && i.Side != Side.Provider)
            .First();

    private static Interface? Holder(Observation seen, Interface client, Ipv4Address address) =>
        seen.Hosts.Holders(client.Segment, address).FirstOrDefault(h => h.Owner != client.Owner && h.Linked && h.Setting is Fixed);

    private static string? HostName(Interface client) => client.Side == Side.Device ? client.Owner : null;

    private static uint Number(Interface client, int turn) => Hash.Of($"{client.Owner}/{client.Side}/{turn}");

    private static string With(DhcpMessage offer) =>
        (offer.Gateway, offer.DnsServers.Count) switch
        {
            ({ } gateway, > 0) => $", gateway {gateway}, DNS {string.Join(" and ", offer.DnsServers)}",
            ({ } gateway, 0) => $", gateway {gateway} and no DNS server",
            (null, > 0) => $", no gateway, DNS {string.Join(" and ", offer.DnsServers)}",
            _ => ", neither gateway nor DNS server",
        };
}
