using System.Globalization;

namespace Altrin.Core.Addressing;

/// <summary>An address together with the prefix it was set with, such as 192.168.8.1/24: what a box's page asks for.</summary>
/// <param name="Address">The address itself.</param>
/// <param name="PrefixLength">0 to 32, as typed; whether it fits its segment is judged elsewhere.</param>
public readonly record struct InterfaceAddress(Ipv4Address Address, int PrefixLength)
{
    /// <summary>The subnet that this setting makes its owner believe in.</summary>
    public Subnet Subnet => Subnet.Containing(Address, PrefixLength);

    /// <summary>Reads "192.168.8.1/24", or with a mask as labels print it, "192.168.8.1/255.255.255.0".</summary>
    public static Parsed<InterfaceAddress> Parse(string? text)
    {
        var slash = text?.IndexOf('/', StringComparison.Ordinal) ?? -1;
        if (text is null || slash < 0)
        {
            return Parsed<InterfaceAddress>.Fail($"'{Ipv4Address.Shown(text ?? "")}' has no prefix length; write it like 192.168.8.1/24.");
        }
        var digits = text[(slash + 1)..];
        if (digits.Contains('.', StringComparison.Ordinal))
        {
            return Ipv4Address
                .Parse(text[..slash])
                .Then(a => Subnet.PrefixFromMask(digits).Then<InterfaceAddress>(p => new InterfaceAddress(a, p)));
        }
        if (
            digits.Length is 0 or > 2
            || !digits.All(char.IsAsciiDigit)
            || (digits.Length == 2 && digits[0] == '0')
            || int.Parse(digits, CultureInfo.InvariantCulture) > 32
        )
        {
            return Parsed<InterfaceAddress>.Fail($"'{Ipv4Address.Shown(text)}' has no prefix length from 0 to 32 after the stroke.");
        }
        return Ipv4Address
            .Parse(text[..slash])
            .Then<InterfaceAddress>(a => new InterfaceAddress(a, int.Parse(digits, CultureInfo.InvariantCulture)));
    }

    /// <summary>Address, stroke, prefix length.</summary>
    public override string ToString() => string.Create(CultureInfo.InvariantCulture, $"{Address}/{PrefixLength}");
}
