using System.Globalization;
using System.Numerics;

namespace Altrin.Core.Addressing;

/// <summary>
/// An address block in prefix notation (RFC 4632), such as 192.168.8.0/24. Holds no host bits: the only ways to make one
/// either clear them (<see cref="Containing"/>) or refuse them (<see cref="Parse"/>).
/// </summary>
public readonly record struct Subnet : IComparable<Subnet>
{
    private Subnet(Ipv4Address network, int prefixLength)
    {
        Network = network;
        PrefixLength = prefixLength;
    }

    /// <summary>The lowest address of the block.</summary>
    public Ipv4Address Network { get; }

    /// <summary>How many leading bits are fixed, 0 to 32.</summary>
    public int PrefixLength { get; }

    /// <summary>The mask as an address, such as 255.255.255.0.</summary>
    public Ipv4Address Mask => new(MaskOf(PrefixLength));

    /// <summary>The highest address of the block; the broadcast address of prefixes up to 30.</summary>
    public Ipv4Address Last => new(Network.Bits | ~MaskOf(PrefixLength));

    /// <summary>How many addresses the block spans: 1 to 2^32.</summary>
    public long Size => 1L << (32 - PrefixLength);

    /// <summary>
    /// The addresses that can be given to hosts: without the lowest and the highest up to /30, both of a /31 (RFC 3021),
    /// the one of a /32.
    /// </summary>
    public AddressRange Hosts =>
        PrefixLength >= 31 ? AddressRange.Between(Network, Last) : AddressRange.Between(new(Network.Bits + 1), new(Last.Bits - 1));

    /// <summary>The block of the given prefix length that <paramref name="address"/> lies in.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The prefix length is not 0 to 32.</exception>
    public static Subnet Containing(Ipv4Address address, int prefixLength)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(prefixLength, 0);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(prefixLength, 32);
        return new(new(address.Bits & MaskOf(prefixLength)), prefixLength);
    }

    /// <summary>Reads "192.168.8.0/24"; refuses host bits, a missing prefix and prefixes over 32.</summary>
    public static Parsed<Subnet> Parse(string? text) =>
        InterfaceAddress
            .Parse(text)
            .Then(read =>
                read.Subnet.Network == read.Address
                    ? read.Subnet
                    : Parsed<Subnet>.Fail($"{read} is an address inside {read.Subnet}; the subnet itself is {read.Subnet}.")
            );

    /// <summary>Reads a mask such as 255.255.254.0 and answers its prefix length; refuses masks with holes.</summary>
    public static Parsed<int> PrefixFromMask(string? text)
    {
        var groups = (text ?? "").Split('.').Length;
        return groups != 4
            ? Parsed<int>.Fail($"'{Ipv4Address.Shown(text ?? "")}' has {groups} groups; a mask has four, such as 255.255.255.0.")
            : Ipv4Address
                .Parse(text)
                .Then(mask =>
                    PrefixOf(mask) is { } prefix
                        ? prefix
                        : Parsed<int>.Fail($"'{mask}' is no mask: its ones are not all to the left, as in 255.255.255.0.")
                );
    }

    /// <summary>
    /// The prefix length that a mask stands for: ones from the left, then zeros (RFC 950, RFC 4632); null where it has holes.
    /// </summary>
    public static int? PrefixOf(Ipv4Address mask) =>
        BitOperations.LeadingZeroCount(~mask.Bits) is var ones && MaskOf(ones) == mask.Bits ? ones : null;

    /// <summary>Whether the address lies in the block.</summary>
    public bool Contains(Ipv4Address address) => (address.Bits & MaskOf(PrefixLength)) == Network.Bits;

    /// <summary>Whether every address of <paramref name="inner"/> lies in this block (an equal block does).</summary>
    public bool Contains(Subnet inner) => inner.PrefixLength >= PrefixLength && Contains(inner.Network);

    /// <summary>Whether the blocks share an address. Two prefixes overlap exactly when one contains the other.</summary>
    public bool Overlaps(Subnet other) => Contains(other) || other.Contains(this);

    /// <summary>Whether the address can be given to a host of this block.</summary>
    public bool IsHost(Ipv4Address address) => Hosts.Contains(address);

    /// <summary>The equal parts of a longer prefix, in order.</summary>
    /// <exception cref="ArgumentOutOfRangeException">Not longer than this prefix, over 32, or more than 65,536 parts.</exception>
    public IEnumerable<Subnet> Split(int prefixLength)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(prefixLength, PrefixLength);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(prefixLength, Math.Min(32, PrefixLength + 16));
        var (first, parts, step) = (Network.Bits, 1L << (prefixLength - PrefixLength), 1L << (32 - prefixLength));
        return Enumerable.Range(0, (int)parts).Select(i => new Subnet(new((uint)(first + (i * step))), prefixLength));
    }

    /// <summary>By lowest address, then the wider block first.</summary>
    public int CompareTo(Subnet other) =>
        Network == other.Network ? PrefixLength.CompareTo(other.PrefixLength) : Network.CompareTo(other.Network);

    /// <summary>Prefix notation.</summary>
    public override string ToString() => string.Create(CultureInfo.InvariantCulture, $"{Network}/{PrefixLength}");

    private static uint MaskOf(int prefixLength) => prefixLength == 0 ? 0 : uint.MaxValue << (32 - prefixLength);
}
