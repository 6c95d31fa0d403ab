using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>What keeps a home, however long one waits, from being as if everything had been switched on with nothing remembered.</summary>
/// <param name="Kind">What keeps it.</param>
/// <param name="Subject">Box, device, cable or server.</param>
public sealed record Stickiness(StickyKind Kind, string Subject)
{
    /// <summary>Everything that sticks in a moment, by kind and subject.</summary>
    public static IReadOnlyList<Stickiness> Of(Moment now)
    {
        var memory = now.Situation.Memory ?? Memory.Blank;
        var network = Compiler.Compile(now.Design, now.Situation);
        var asked = network.Segments.SelectMany(s =>
            s.Servers.Select(server =>
                (
                    Server: server,
                    Clients: s.Interfaces.Count(i => i.Setting is Automatic && i.Linked && server.Reservations.All(r => r.Mac != i.Mac))
                )
            )
        );
        return
        [
            .. now.Situation.Off.Select(o => new Stickiness(StickyKind.Off, o)),
            .. now
                .Situation.Typed.Select(t => t.Box)
                .Distinct()
                .Order(StringComparer.Ordinal)
                .Select(b => new Stickiness(StickyKind.NotSaved, b)),
            .. now.Situation.Laptop is null ? [] : new[] { new Stickiness(StickyKind.LaptopThere, Laptop.CableId) },
            .. asked
                .Where(s => s.Clients > (s.Server.Leases ?? s.Server.Pool?.Count ?? 0))
                .Select(s => new Stickiness(
                    s.Server.Leases is null ? StickyKind.FirstComeFirstServed : StickyKind.ProviderBound,
                    s.Server.Owner
                )),
            .. memory
                .Bindings.Where(b =>
                    b.Server == PortRef.Street
                    && network
                        .Segment(PortRef.Street)
                        .Interfaces.All(i => DhcpExchange.ClientOf(i) != b.Client || i.Setting is Fixed || !i.Linked)
                )
                .Select(b => new Stickiness(StickyKind.ProviderBound, b.Client)),
            .. memory
                .Held.Where(h =>
                    h.Leases.Count == 1
                    && network.Find(h.Owner, h.Side) is { Linked: true } i
                    && network.Segment(i.Segment).Servers.Count > 1
                )
                .Select(h => new Stickiness(StickyKind.LeaseKept, h.Owner)),
            .. memory
                .Tables.Where(t => t.Until > memory.Second && !Stands(now.Situation, network, t))
                .Select(t => new Stickiness(StickyKind.TableKept, t.Owner)),
        ];
    }

    /// <summary>Whether an entry of a table is still so.</summary>
    internal static bool Stands(Situation situation, Network network, TableEntry entry) =>
        network.Find(entry.Owner, entry.Side) is { } host
        && network.Find(entry.Holder, entry.HolderSide) is { } holder
        && holder.Segment == host.Segment
        && (
            holder.Setting is Fixed typed
                ? typed.Address.Address == entry.Address
                : situation.Memory?.Of(holder.Owner, holder.Side)?.Leases.Any(l => l.Address == entry.Address) == true
        );
}

/// <summary>What can stick.</summary>
public enum StickyKind
{
    /// <summary>Something has no power, or a cable is unplugged.</summary>
    Off,

    /// <summary>Settings were typed and not saved.</summary>
    NotSaved,

    /// <summary>The laptop takes part.</summary>
    LaptopThere,

    /// <summary>The provider keeps to whom it gave its address until the box at the line is switched off and on.</summary>
    ProviderBound,

    /// <summary>A pool is too small, and the one that came first keeps what it has.</summary>
    FirstComeFirstServed,

    /// <summary>Of several servers, the one that gave a lease prolongs it for ever.</summary>
    LeaseKept,

    /// <summary>
    /// A table still names who had the gateway's address before; gone after <see cref="TableEntry.Most"/>.
    /// </summary>
    TableKept,
}
