namespace Altrin.Core.Addressing;

/// <summary>A run of addresses with both ends included: a pool from .20 to .199 hands out both .20 and .199.</summary>
public readonly record struct AddressRange : IComparable<AddressRange>
{
    private AddressRange(Ipv4Address first, Ipv4Address last)
    {
        First = first;
        Last = last;
    }

    /// <summary>The lowest address, included.</summary>
    public Ipv4Address First { get; }

    /// <summary>The highest address, included.</summary>
    public Ipv4Address Last { get; }

    /// <summary>How many addresses it holds; at least 1.</summary>
    public long Count => First.DistanceTo(Last) + 1;

    /// <summary>The range between two addresses given in either order.</summary>
    public static AddressRange Between(Ipv4Address a, Ipv4Address b) => a <= b ? new(a, b) : new(b, a);

    /// <summary>Reads "192.168.8.20-192.168.8.199"; refuses ends in the wrong order.</summary>
    public static Parsed<AddressRange> Parse(string? text)
    {
        var ends = (text ?? "").Split('-');
        if (ends.Length != 2)
        {
            return Parsed<AddressRange>.Fail(
                $"'{Ipv4Address.Shown(text ?? "")}' is not a range; write it like 192.168.8.20-192.168.8.199."
            );
        }
        return Ipv4Address
            .Parse(ends[0])
            .Then(first =>
                Ipv4Address
                    .Parse(ends[1])
                    .Then(last =>
                        first <= last
                            ? new AddressRange(first, last)
                            : Parsed<AddressRange>.Fail($"The range {first}-{last} ends before it starts.")
                    )
            );
    }

    /// <summary>Whether the address lies in the range, ends included.</summary>
    public bool Contains(Ipv4Address address) => First <= address && address <= Last;

    /// <summary>Whether every address of <paramref name="inner"/> lies in this range.</summary>
    public bool Contains(AddressRange inner) => Contains(inner.First) && Contains(inner.Last);

    /// <summary>Whether the ranges share an address.</summary>
    public bool Overlaps(AddressRange other) => First <= other.Last && other.First <= Last;

    /// <summary>What both ranges hold; null where they share nothing.</summary>
    public AddressRange? Intersect(AddressRange other) =>
        Overlaps(other) ? new AddressRange(Max(First, other.First), Min(Last, other.Last)) : null;

    /// <summary>The stretches that are left, in order, when another range is taken away; both where it lies in the middle.</summary>
    public IReadOnlyList<AddressRange> Outside(AddressRange hole)
    {
        if (Intersect(hole) is not { } shared)
        {
            return [this];
        }
        var left = new List<AddressRange>(2);
        if (First < shared.First)
        {
            left.Add(new(First, new(shared.First.Bits - 1)));
        }
        if (shared.Last < Last)
        {
            left.Add(new(new(shared.Last.Bits + 1), Last));
        }
        return left;
    }

    /// <summary>The stretches that are left, in order, when single addresses are carved out.</summary>
    public IReadOnlyList<AddressRange> Without(IEnumerable<Ipv4Address> carved)
    {
        var left = new List<AddressRange>();
        var (from, last) = ((long)First.Bits, Last);
        foreach (var hole in carved.Where(Contains).Distinct().Order())
        {
            if (from < hole.Bits)
            {
                left.Add(new(new((uint)from), new(hole.Bits - 1)));
            }
            from = (long)hole.Bits + 1;
        }
        if (from <= last.Bits)
        {
            left.Add(new(new((uint)from), last));
        }
        return left;
    }

    /// <summary>
    /// The longest stretch left when single addresses are carved out; the lower of two equal ones; null when none is left.
    /// </summary>
    public AddressRange? LongestWithout(IEnumerable<Ipv4Address> carved) =>
        Without(carved).OrderByDescending(r => r.Count).ThenBy(r => r.First).Select(r => (AddressRange?)r).FirstOrDefault();

    /// <summary>
    /// The lowest address that <paramref name="taken"/> does not name; null when all are taken. Looks at no more addresses than are
    /// taken, plus one.
    /// </summary>
    public Ipv4Address? FirstFree(IReadOnlySet<Ipv4Address> taken)
    {
        for (var bits = (long)First.Bits; bits <= Last.Bits; bits++)
        {
            if (!taken.Contains(new((uint)bits)))
            {
                return new((uint)bits);
            }
        }
        return null;
    }

    /// <summary>The highest address that <paramref name="taken"/> does not name; null when all are taken.</summary>
    public Ipv4Address? LastFree(IReadOnlySet<Ipv4Address> taken)
    {
        for (var bits = (long)Last.Bits; bits >= First.Bits; bits--)
        {
            if (!taken.Contains(new((uint)bits)))
            {
                return new((uint)bits);
            }
        }
        return null;
    }

    /// <summary>By first address, then by last.</summary>
    public int CompareTo(AddressRange other) => First == other.First ? Last.CompareTo(other.Last) : First.CompareTo(other.First);

    /// <summary>Both ends with a hyphen.</summary>
    public override string ToString() => $"{First}-{Last}";

    private static Ipv4Address Max(Ipv4Address a, Ipv4Address b) => a > b ? a : b;

    private static Ipv4Address Min(Ipv4Address a, Ipv4Address b) => a < b ? a : b;
}
