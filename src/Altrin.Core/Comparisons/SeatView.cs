using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Comparisons;

/// <summary>Where a reading was taken, on the simulated network of the set-up that it was taken in.</summary>
/// <param name="Seen">The network, with the laptop in its place where it stands there.</param>
/// <param name="Owner">Who printed: a box, a device, or the laptop.</param>
internal sealed record SeatView(Observation Seen, string Owner)
{
    /// <summary>The place in a design; null where none can stand there.</summary>
    public static SeatView? At(Design design, string? seat, Work work) =>
        seat is { Length: > 0 } && Seats.At(design, seat, work) is { Ok: true, Value: var (seen, owner) } ? new(seen, owner) : null;

    /// <summary>Where the laptop is in a moment; null where it is connected to nothing.</summary>
    public static SeatView? At(Moment moment, Work work) =>
        moment.Situation.Laptop?.InUse() is { } owner
            ? new(Observer.Observe(Compiler.Compile(moment.Design, moment.Situation, work)), owner)
            : null;

    public Design Design => Seen.Network.Design;

    public bool IsLaptop => Laptop.Is(Owner);

    /// <summary>Its sides that are connected to anything.</summary>
    public IReadOnlyList<Interface> Sides => [.. Seen.Network.Interfaces.Where(i => Laptop.Owners(Owner).Contains(i.Owner) && i.Linked)];

    /// <summary>Every way in which it may hold an address.</summary>
    public IReadOnlyList<Holding> Holdings => [.. Sides.SelectMany(Seen.Leasing.Holdings)];

    /// <summary>Its segments.</summary>
    public IReadOnlyList<Segment> Segments => [.. Sides.Select(s => s.Segment).Distinct().Select(Seen.Network.Segment)];

    /// <summary>The one router that hands out addresses in its network; null where none does, or several do.</summary>
    public string? OnlyServer =>
        Segments
            .SelectMany(s => s.Interfaces)
            .Where(i => i.Side == Side.Lan && i.Owner != Owner && Seen.Network.Router(i.Owner) is { Server.On: true })
            .Select(i => i.Owner)
            .Distinct()
            .ToList()
            is [var one]
            ? one
            : null;

    /// <summary>Whether a host that holds an address in this way would print this one.</summary>
    public static bool Fits(Holding held, InterfaceAddress own) => held.PrefixLength == own.PrefixLength && Fits(held, own.Address);

    /// <summary>The same where the mask was not printed.</summary>
    public static bool Fits(Holding held, Ipv4Address own) =>
        held.Exact == own || ((held.Exact is null ? held.From : held.Pool) is { } range && range.Contains(own));

    /// <summary>Who has an address for certain in one of its segments; null where none has.</summary>
    public string? HolderOf(Ipv4Address address) =>
        Segments.SelectMany(s => Seen.Hosts.Holders(s.Id, address)).Select(h => h.Owner).FirstOrDefault()
        ?? Seen.Sheet.Addresses.Where(a => a.Address == address).Select(a => a.Owner).FirstOrDefault();

    public string NameOf(string id) => Seen.Network.NameOf(id);
}
