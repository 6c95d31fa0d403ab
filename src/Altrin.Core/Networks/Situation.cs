using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>
/// What a design does not say: what is powered and linked just now, what was typed and not saved, and what everybody remembers.
/// </summary>
/// <param name="Off">Ids of boxes and devices that have no power and of cables that are unplugged, in ordinal order.</param>
public sealed record Situation(IReadOnlyList<string> Off)
{
    /// <summary>Everything on, nothing remembered: what Plan and Proof judge.</summary>
    public static Situation Settled { get; } = new([]);

    /// <summary>What is remembered; null for a settled home, in which everybody has what it would be given.</summary>
    public Memory? Memory { get; init; }

    /// <summary>The installer's laptop; null where it is in its bag.</summary>
    public Laptop? Laptop { get; init; }

    /// <summary>Boxes that are, or were, at work on themselves; in the order in which they began.</summary>
    public IReadOnlyList<Busy> Busy { get; init; } = [];

    /// <summary>What boxes are busy with just now; nothing in a home without time.</summary>
    public IEnumerable<Busy> BusyNow() => Memory is { } memory ? Busy.Where(b => b.Until > memory.Second) : [];

    /// <summary>What passes nothing just now: whatever is off, and boxes that start or are being updated.</summary>
    public IReadOnlyList<string> Down() =>
        Busy.Count == 0
            ? Off
            : [.. Off.Concat(BusyNow().Where(b => b.Kind is BusyKind.Starting or BusyKind.Updating).Select(b => b.Box)).Distinct()];

    /// <summary>Boxes whose radios are silent just now: whatever is down, and boxes that set their radios up anew.</summary>
    public IReadOnlyList<string> Silent() =>
        Busy.Count == 0 ? Off : [.. Down().Concat(BusyNow().Where(b => b.Kind == BusyKind.Radios).Select(b => b.Box)).Distinct()];

    /// <summary>Settings typed into a box and not in force yet, in the order in which they were typed.</summary>
    public IReadOnlyList<Typed> Typed { get; init; } = [];

    /// <summary>Everything on but the named ones; an id that the design does not have is answered as an error by name.</summary>
    public static Parsed<Situation> Without(Design design, IEnumerable<string> ids)
    {
        var off = ids.Distinct().Order(StringComparer.Ordinal).ToList();
        var unknown = off.FirstOrDefault(id =>
            design.Box(id) is null && design.Device(id) is null && design.SetUp.Cables.All(c => c.Id != id)
        );
        return unknown is null
            ? new Situation(off)
            : Parsed<Situation>.Fail($"There is no box, device or cable '{Ipv4Address.Shown(unknown)}'.");
    }

    /// <summary>A home in which time passes: everything was switched on at second 0 and has asked for its address.</summary>
    public static Situation Morning(Design design) => Living.Settle(design, new Situation([]) { Memory = Memory.Blank });
}

/// <summary>A setting typed into a box.</summary>
/// <param name="Box">Into which.</param>
/// <param name="Change">What.</param>
public sealed record Typed(string Box, Change Change);

/// <summary>What a home remembers.</summary>
/// <param name="Second">Seconds since everything was switched on.</param>
/// <param name="Held">What clients hold, by owner and side.</param>
/// <param name="Bindings">What DHCP servers have written down.</param>
/// <param name="Boots">How often each box was started since.</param>
public sealed record Memory(
    long Second,
    IReadOnlyList<HeldBy> Held,
    IReadOnlyList<Binding> Bindings,
    IReadOnlyDictionary<string, int> Boots
)
{
    /// <summary>Nothing remembered, at second 0.</summary>
    public static Memory Blank { get; } = new(0, [], [], new Dictionary<string, int>());

    /// <summary>What hosts have written into their address tables and believe for a while.</summary>
    public IReadOnlyList<TableEntry> Tables { get; init; } = [];

    /// <summary>What a client holds; null where it holds nothing.</summary>
    public HeldBy? Of(string owner, Side side) => Held.FirstOrDefault(h => h.Owner == owner && h.Side == side);
}

/// <summary>Whom a host takes to have its gateway's address.</summary>
/// <param name="Owner">Whose table it stands in.</param>
/// <param name="Side">Of which side of it.</param>
/// <param name="Link">What it was plugged into then: a table is empty after that changes.</param>
/// <param name="Address">The gateway's address.</param>
/// <param name="Holder">Who answered there.</param>
/// <param name="HolderSide">With which side.</param>
/// <param name="Until">The second from which it is surely asked for again.</param>
public sealed record TableEntry(string Owner, Side Side, string Link, Ipv4Address Address, string Holder, Side HolderSide, long Until)
{
    /// <summary>
    /// How long an entry may last that is not corrected: a minute (RFC 1122, section 2.3.2.1, from memory) to twenty, by system
    /// (common practice). A host that comes new into the segment should announce itself (RFC 5227, section 2.3), and some do not.
    /// </summary>
    public static TimeSpan Most { get; } = TimeSpan.FromMinutes(20);
}

/// <summary>What one client holds.</summary>
/// <param name="Owner">Who.</param>
/// <param name="Side">Which side of it.</param>
/// <param name="Link">What it was plugged into when it asked: it asks again when that changes.</param>
/// <param name="Leases">Its lease; several where servers raced and it is not known which one won.</param>
public sealed record HeldBy(string Owner, Side Side, string Link, IReadOnlyList<HeldLease> Leases);
