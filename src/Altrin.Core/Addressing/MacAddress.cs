using System.Globalization;

namespace Altrin.Core.Addressing;

/// <summary>A 48-bit hardware (MAC) address (IEEE 802).</summary>
/// <param name="Bits">The address as a number below 2^48, first octet most significant.</param>
public readonly record struct MacAddress(ulong Bits) : IComparable<MacAddress>
{
    /// <summary>
    /// Whether it was made up locally rather than given by a maker: the second bit of the first octet. Phones that change their address
    /// use such ones.
    /// </summary>
    public bool IsLocallyAdministered => ((Bits >> 41) & 1) == 1;

    /// <summary>Whether it names a group of stations, so that no single box can own it: the lowest bit of the first octet.</summary>
    public bool IsGroup => ((Bits >> 40) & 1) == 1;

    /// <summary>
    /// The last four hexadecimal digits in capitals, which many boxes put into their factory Wi-Fi name (common practice).
    /// </summary>
    public string LastFour => (Bits & 0xFFFF).ToString("X4", CultureInfo.InvariantCulture);

    /// <summary>
    /// Reads six octets of two hexadecimal digits, all separated by colons or all by hyphens; refuses group addresses and all zeros.
    /// </summary>
    public static Parsed<MacAddress> Parse(string? text)
    {
        var shown = Ipv4Address.Shown(text ?? "");
        var groups = (text ?? "").Split((text ?? "").Contains('-', StringComparison.Ordinal) ? '-' : ':');
        if (groups.Length != 6 || groups.Any(g => g.Length != 2 || !g.All(char.IsAsciiHexDigit)))
        {
            return Parsed<MacAddress>.Fail($"'{shown}' is not a MAC address; write six pairs like 02:00:5e:00:53:01.");
        }
        var read = new MacAddress(
            groups.Aggregate(0UL, (sum, g) => (sum << 8) | ulong.Parse(g, NumberStyles.HexNumber, CultureInfo.InvariantCulture))
        );
        return read switch
        {
            { Bits: 0 } => Parsed<MacAddress>.Fail($"'{shown}' is all zeros: no box has that MAC address."),
            { IsGroup: true } => Parsed<MacAddress>.Fail($"'{shown}' is a group address: no single box has it."),
            _ => read,
        };
    }

    /// <inheritdoc/>
    public int CompareTo(MacAddress other) => Bits.CompareTo(other.Bits);

    /// <summary>Small letters with colons.</summary>
    public override string ToString()
    {
        var bits = Bits;
        return string.Join(
            ':',
            Enumerable.Range(0, 6).Select(i => ((bits >> (40 - (8 * i))) & 255).ToString("x2", CultureInfo.InvariantCulture))
        );
    }
}
