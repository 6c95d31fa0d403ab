using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>What a DHCP server has written down.</summary>
/// <param name="Server">Which server.</param>
/// <param name="Client">Whom the address is given to; empty for one that a host declined.</param>
/// <param name="Address">The address.</param>
/// <param name="Until">The second from which it is free again; <see cref="long.MaxValue"/> for never.</param>
public sealed record Binding(string Server, string Client, Ipv4Address Address, long Until);

/// <summary>One DHCP server, as RFC 2131 (section 4.3) has it, with the habits of home routers where that leaves a choice.</summary>
public static class DhcpServer
{
    /// <summary>Answers a message.</summary>
    /// <param name="server">The server.</param>
    /// <param name="bindings">What it and others have written down.</param>
    /// <param name="message">What it hears.</param>
    /// <param name="second">Now.</param>
    /// <param name="answers">Whether a host answers at an address when it is tried.</param>
    /// <returns>What is written down then, and the answer; null where it is silent.</returns>
    public static (IReadOnlyList<Binding> Bindings, DhcpMessage? Reply) Answer(
        SegmentServer server,
        IReadOnlyList<Binding> bindings,
        DhcpMessage message,
        long second,
        Func<Ipv4Address, bool> answers
    )
    {
        var own = bindings.Where(b => b.Server == server.Owner);
        switch (message.Kind)
        {
            case DhcpKind.Discover:
                return (bindings, Choose() is { } free ? Reply(DhcpKind.Offer, free) : null);
            case DhcpKind.Request when message.ServerId is { } chosen && chosen != server.Own:
                return (bindings, null);
            case DhcpKind.Request:
                var wanted = message.InUse ?? message.Requested;
                // A home router speaks for its whole subnet: what it does not know it refuses (common practice; RFC 2131 lets it be
                // silent).
                return wanted is { } address && MayHave(address)
                    ? (
                        [
                            .. bindings.Where(b => b.Server != server.Owner || (b.Client != message.Client && b.Address != address)),
                            new(server.Owner, message.Client, address, Until()),
                        ],
                        Reply(DhcpKind.Ack, address)
                    )
                    : (bindings, IsFull() ? null : new(DhcpKind.Nak, message.Client, message.Mac) { ServerId = server.Own });
            case DhcpKind.Decline when message.ServerId == server.Own && message.Requested is { } taken:
                return (
                    [
                        .. bindings.Where(b => b.Server != server.Owner || b.Address != taken),
                        new(server.Owner, "", taken, second + (server.LeaseMinutes * 60L)),
                    ],
                    null
                );
            case DhcpKind.Release when message.ServerId == server.Own:
                return ([.. bindings.Where(b => b.Server != server.Owner || b.Client != message.Client)], null);
            default:
                return (bindings, null);
        }

        // The provider forgets no box by itself: that takes a power cut at the box on the line (common practice).
        long Until() => server.Leases is null ? second + (server.LeaseMinutes * 60L) : long.MaxValue;

        // The provider gives so many leases and is silent for everybody else.
        bool IsFull() =>
            server.Leases is { } most
            && own.Where(b => b.Until > second && b.Client != message.Client).Select(b => b.Client).Distinct().Count() >= most;

        Ipv4Address? Kept() =>
            message.Mac is { } mac && server.Reservations.FirstOrDefault(r => r.Mac == mac) is { } kept ? kept.Address : null;

        bool MayHave(Ipv4Address address) =>
            !IsFull() && (Kept() is { } kept ? kept == address : server.Pool is { } pool && pool.Contains(address) && Free(address));

        bool Free(Ipv4Address address) =>
            address != server.Own
            && server.Reservations.All(r => r.Address != address)
            && !own.Any(b => b.Address == address && b.Client != message.Client && b.Until > second);

        Ipv4Address? Choose()
        {
            if (IsFull())
            {
                return null;
            }
            if (Kept() is { } kept)
            {
                return kept;
            }
            var before = own.FirstOrDefault(b => b.Client == message.Client)?.Address;
            if (server.Pool is not { } pool)
            {
                return null;
            }
            if (
                new[] { before, message.Requested }.FirstOrDefault(a => a is { } known && pool.Contains(known) && Usable(known)) is
                { } again
            )
            {
                return again;
            }
            var taken = own.Where(b => b.Until > second && b.Client != message.Client)
                .Select(b => b.Address)
                .Concat(server.Reservations.Select(r => r.Address))
                .Append(server.Own)
                .ToHashSet();
            while (pool.FirstFree(taken) is { } next)
            {
                // A server that tries addresses tries one after the other, and no more than it needs.
                if (Usable(next))
                {
                    return next;
                }
                taken.Add(next);
            }
            return null;

            bool Usable(Ipv4Address address) => Free(address) && !(server.ChecksOffer == Known.Yes && answers(address));
        }

        DhcpMessage Reply(DhcpKind kind, Ipv4Address address) =>
            new(kind, message.Client, message.Mac)
            {
                Given = address,
                ServerId = server.Own,
                PrefixLength = server.PrefixLength,
                Gateway = server.Gateway,
                DnsServers = server.DnsServers,
                DomainName = server.Domain,
                LeaseMinutes = server.LeaseMinutes,
            };
    }
}
