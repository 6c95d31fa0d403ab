using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>A lease that a host holds.</summary>
/// <param name="Server">Who gave it.</param>
/// <param name="ServerId">The server's address at that time (option 54).</param>
/// <param name="Address">The address.</param>
/// <param name="PrefixLength">The prefix that came with it.</param>
/// <param name="Gateway">The default gateway that came with it.</param>
/// <param name="DnsServers">The DNS servers that came with it.</param>
/// <param name="GivenAt">The second of its latest acknowledgement.</param>
/// <param name="LeaseMinutes">How long it lasts from then.</param>
public sealed record HeldLease(
    string Server,
    Ipv4Address ServerId,
    Ipv4Address Address,
    int PrefixLength,
    Ipv4Address? Gateway,
    IReadOnlyList<Ipv4Address> DnsServers,
    long GivenAt,
    int LeaseMinutes
)
{
    /// <summary>
    /// What the server chose the address from, as it liked: a real one may have chosen another (RFC 2131, section 4.3.1). Null where the
    /// address is kept for its owner.
    /// </summary>
    public AddressRange? Pool { get; init; }

    /// <summary>When its server is asked to prolong it: after half its time (RFC 2131, section 4.4.5).</summary>
    public long RenewsAt => GivenAt + (LeaseMinutes * 30L);

    /// <summary>When anybody is asked to prolong it: after seven eighths of its time (RFC 2131, section 4.4.5).</summary>
    public long RebindsAt => GivenAt + (LeaseMinutes * 105L / 2);

    /// <summary>When it may no longer be used.</summary>
    public long EndsAt => GivenAt + (LeaseMinutes * 60L);
}

/// <summary>What came of asking for an address.</summary>
/// <param name="Messages">What was said, in order.</param>
/// <param name="Bindings">What the servers have written down then.</param>
/// <param name="Leases">Every lease that it may have ended with: several where servers raced, none where no server gave one.</param>
public sealed record Exchange(IReadOnlyList<DhcpMessage> Messages, IReadOnlyList<Binding> Bindings, IReadOnlyList<HeldLease> Leases);

/// <summary>A client among its servers (RFC 2131, section 4.4).</summary>
public static class DhcpExchange
{
    /// <summary>How often a client that declined an address begins again; then it goes without.</summary>
    private const int MostDeclined = 4;

    /// <summary>From nothing, or from a lease that it remembers (after a restart, or when a cable was plugged in).</summary>
    /// <param name="client">Who asks.</param>
    /// <param name="servers">Who hears it.</param>
    /// <param name="bindings">What they have written down.</param>
    /// <param name="second">Now.</param>
    /// <param name="remembered">The lease that it remembers; null where it has none, or one that is over.</param>
    /// <param name="answers">Whether another host answers at an address.</param>
    public static Exchange Begin(
        Interface client,
        IReadOnlyList<SegmentServer> servers,
        IReadOnlyList<Binding> bindings,
        long second,
        HeldLease? remembered,
        Func<Ipv4Address, bool> answers
    )
    {
        var said = new List<DhcpMessage>();
        if (remembered is not null)
        {
            var (heard, after) = Hear(Say(DhcpKind.Request) with { Requested = remembered.Address }, bindings);
            bindings = after;
            if (
                heard.Where(h => h.Reply.Kind == DhcpKind.Ack).Select(h => Held(h.Server, h.Reply, second)).ToList() is { Count: > 0 } again
            )
            {
                return new(said, bindings, again);
            }
        }
        for (var declined = 0; ; declined++)
        {
            var (offers, _) = Hear(Say(DhcpKind.Discover), bindings);
            var leases = new List<HeldLease>();
            var next = bindings;
            foreach (var offer in offers.Where(o => o.Reply.Kind == DhcpKind.Offer))
            {
                // The server heard first wins; the others are asked as if they had won, so that every end is known.
                var request = Say(DhcpKind.Request) with { Requested = offer.Reply.Given, ServerId = offer.Reply.ServerId };
                var (written, reply) = DhcpServer.Answer(offer.Server, bindings, request, second, answers);
                if (leases.Count == 0)
                {
                    said.AddRange(reply is null ? [request] : [request, reply]);
                }
                if (reply is { Kind: DhcpKind.Ack })
                {
                    next = leases.Count == 0 ? written : next;
                    leases.Add(Held(offer.Server, reply, second));
                }
            }
            if (leases.Count == 0 || client.ChecksLease != Known.Yes || !answers(leases[0].Address))
            {
                return new(said, next, leases);
            }
            if (declined == MostDeclined)
            {
                return new(said, bindings, []);
            }
            var decline = Say(DhcpKind.Decline) with { Requested = leases[0].Address, ServerId = leases[0].ServerId };
            bindings = Hear(decline, next).After;
        }

        DhcpMessage Say(DhcpKind kind) =>
            new(kind, ClientOf(client), client.Mac) { HostName = client.Side == Side.Device ? client.Owner : null };

        (List<(SegmentServer Server, DhcpMessage Reply)> Heard, IReadOnlyList<Binding> After) Hear(
            DhcpMessage message,
            IReadOnlyList<Binding> before
        )
        {
            said.Add(message);
            var heard = new List<(SegmentServer, DhcpMessage)>();
            foreach (var server in servers)
            {
                (before, var reply) = DhcpServer.Answer(server, before, message, second, answers);
                if (reply is not null)
                {
                    heard.Add((server, reply));
                    said.Add(reply);
                }
            }
            return (heard, before);
        }
    }

    /// <summary>
    /// Asks to prolong a lease: its own server, or from seven eighths of its time any. Null for the lease where it was refused; the same
    /// lease where no host answered.
    /// </summary>
    public static (HeldLease? Lease, IReadOnlyList<Binding> Bindings) Prolong(
        Interface client,
        IReadOnlyList<SegmentServer> servers,
        IReadOnlyList<Binding> bindings,
        long second,
        HeldLease lease
    )
    {
        foreach (var server in servers.Where(s => second >= lease.RebindsAt || (s.Owner == lease.Server && s.Own == lease.ServerId)))
        {
            var (after, reply) = DhcpServer.Answer(
                server,
                bindings,
                new(DhcpKind.Request, ClientOf(client), client.Mac) { InUse = lease.Address },
                second,
                _ => false
            );
            if (reply is not null)
            {
                return (reply.Kind == DhcpKind.Ack ? Held(server, reply, second) : null, after);
            }
        }
        return (lease, bindings);
    }

    /// <summary>How servers know a client.</summary>
    public static string ClientOf(Interface client) => $"{client.Owner}/{client.Side}";

    private static HeldLease Held(SegmentServer server, DhcpMessage ack, long second) =>
        new(
            server.Owner,
            server.Own,
            ack.Given!.Value,
            ack.PrefixLength!.Value,
            ack.Gateway,
            ack.DnsServers,
            second,
            ack.LeaseMinutes!.Value
        )
        {
            Pool = server.Reservations.Any(r => r.Mac == ack.Mac && r.Address == ack.Given) ? null : server.Pool,
        };
}
