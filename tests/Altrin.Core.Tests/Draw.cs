using Altrin.Core.Addressing;
using CsCheck;

namespace Altrin.Core.Tests;

/// <summary>Generators of the small values.</summary>
internal static class Draw
{
    /// <summary>Half of them close together, so that they meet.</summary>
    public static readonly Gen<Ipv4Address> Address = Gen.OneOf(Gen.UInt, Gen.UInt[0xC0A80000, 0xC0A807FF]).Select(b => new Ipv4Address(b));

    public static readonly Gen<Subnet> Subnet = Gen.Select(Address, Gen.Int[0, 32])
        .Select((a, p) => Core.Addressing.Subnet.Containing(a, p));

    public static readonly Gen<AddressRange> SmallRange = Gen.Select(Address, Gen.UInt[0, 300])
        .Select((a, n) => AddressRange.Between(a, new((uint)Math.Min((ulong)a.Bits + n, uint.MaxValue))));
}
