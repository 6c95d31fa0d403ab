using System.Globalization;

namespace Altrin.Core.Addressing;

/// <summary>One IPv4 address (RFC 791): 32 bits, ordered as an unsigned number.</summary>
/// <param name="Bits">The address as a number, most significant byte first.</param>
public readonly record struct Ipv4Address(uint Bits) : IComparable<Ipv4Address>
{
    /// <summary>0.0.0.0, "this host" (RFC 1122): never assigned to anything.</summary>
    public static readonly Ipv4Address Any = new(0);

    /// <summary>255.255.255.255, the limited broadcast address (RFC 919).</summary>
    public static readonly Ipv4Address Broadcast = new(uint.MaxValue);

    /// <summary>The address from its four parts.</summary>
    public static Ipv4Address From(byte a, byte b, byte c, byte d) => new(((uint)a << 24) | ((uint)b << 16) | ((uint)c << 8) | d);

    /// <summary>
    /// Reads strict dotted decimal: exactly four groups of 0 to 255, no leading zeros (which other programs read as octal),
    /// no spaces and no signs.
    /// </summary>
    public static Parsed<Ipv4Address> Parse(string? text)
    {
        if (string.IsNullOrEmpty(text))
        {
            return Parsed<Ipv4Address>.Fail("An address is expected, such as 192.168.1.10.");
        }
        var groups = text.Split('.');
        if (groups.Length != 4)
        {
            return Parsed<Ipv4Address>.Fail($"'{Shown(text)}' has {groups.Length} groups; an address has four, such as 192.168.1.10.");
        }
        uint bits = 0;
        foreach (var group in groups)
        {
            if (group.Length is 0 or > 3 || !group.All(char.IsAsciiDigit))
            {
                return Parsed<Ipv4Address>.Fail($"'{Shown(text)}' is not an address: '{Shown(group)}' is not a number from 0 to 255.");
            }
            if (group.Length > 1 && group[0] == '0')
            {
                return Parsed<Ipv4Address>.Fail(
                    $"'{Shown(text)}' is not an address: write '{group.TrimStart('0').PadLeft(1, '0')}' without leading zeros."
                );
            }
            var number = uint.Parse(group, NumberStyles.None, CultureInfo.InvariantCulture);
            if (number > 255)
            {
                return Parsed<Ipv4Address>.Fail($"'{Shown(text)}' is not an address: {number} is over 255.");
            }
            bits = (bits << 8) | number;
        }
        return new Ipv4Address(bits);
    }

    /// <summary>The address <paramref name="offset"/> places further; null past either end of the address space.</summary>
    public Ipv4Address? Plus(long offset)
    {
        var sum = Bits + offset;
        return sum is < 0 or > uint.MaxValue ? null : new Ipv4Address((uint)sum);
    }

    /// <summary>How many places <paramref name="to"/> lies above this address (negative: below).</summary>
    public long DistanceTo(Ipv4Address to) => (long)to.Bits - Bits;

    /// <inheritdoc/>
    public int CompareTo(Ipv4Address other) => Bits.CompareTo(other.Bits);

    /// <summary>Strict dotted decimal.</summary>
    public override string ToString() =>
        string.Create(CultureInfo.InvariantCulture, $"{Bits >> 24}.{(Bits >> 16) & 255}.{(Bits >> 8) & 255}.{Bits & 255}");

    /// <summary>Numeric order.</summary>
    public static bool operator <(Ipv4Address left, Ipv4Address right) => left.Bits < right.Bits;

    /// <summary>Numeric order.</summary>
    public static bool operator >(Ipv4Address left, Ipv4Address right) => left.Bits > right.Bits;

    /// <summary>Numeric order.</summary>
    public static bool operator <=(Ipv4Address left, Ipv4Address right) => left.Bits <= right.Bits;

    /// <summary>Numeric order.</summary>
    public static bool operator >=(Ipv4Address left, Ipv4Address right) => left.Bits >= right.Bits;

    /// <summary>Typed text as it may be repeated in an error: at most 40 characters, no control characters.</summary>
    internal static string Shown(string text)
    {
        var cut = text.Length > 40 ? text[..40] + "…" : text;
        return string.Concat(cut.Select(c => char.IsControl(c) ? '?' : c));
    }
}
