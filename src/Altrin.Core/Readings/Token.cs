using System.Globalization;
using Altrin.Core.Addressing;

namespace Altrin.Core.Readings;

/// <summary>What a piece of a line is.</summary>
internal enum TokenKind
{
    /// <summary>An IPv4 address, with a prefix length where one follows.</summary>
    Address,

    /// <summary>A MAC address.</summary>
    Mac,

    /// <summary>An IPv6 address.</summary>
    Address6,

    /// <summary>A number with what follows it, such as ms or %.</summary>
    Number,
}

/// <summary>A piece of a line that means the same in every language.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Start">Where it begins in the line, from 0.</param>
/// <param name="End">Where it ends, itself excluded; a unit is not counted in.</param>
internal sealed record Token(TokenKind Kind, int Start, int End)
{
    /// <summary>The address.</summary>
    public Ipv4Address Address { get; init; }

    /// <summary>The prefix length after the address; null where none follows.</summary>
    public int? PrefixLength { get; init; }

    /// <summary>The MAC address, also of a group.</summary>
    public MacAddress Mac { get; init; }

    /// <summary>The number.</summary>
    public double Value { get; init; }

    /// <summary>Letters or the percent sign right behind the number, or behind one space.</summary>
    public string Unit { get; init; } = "";

    /// <summary>Whether the number has no fraction and no sign.</summary>
    public bool Whole { get; init; }
}

/// <summary>Finds addresses and numbers in a line, by their form alone; in time linear in its length.</summary>
internal static class Scanner
{
    private const int LongestUnit = 12;

    /// <summary>Everything found, from left to right.</summary>
    public static IReadOnlyList<Token> Scan(string text)
    {
        List<Token>? found = null;
        var at = 0;
        while (at < text.Length)
        {
            if (Mac(text, at) is { } mac)
            {
                (found ??= []).Add(mac);
                at = mac.End;
            }
            else if (Address(text, at) is { } address)
            {
                (found ??= []).Add(address);
                at = address.End;
                if (address.PrefixLength is not null)
                {
                    at = text.IndexOf('/', at) + (address.PrefixLength > 9 ? 3 : 2);
                }
            }
            else if (Address6(text, at) is { } six)
            {
                (found ??= []).Add(six);
                at = six.End;
            }
            else if (Number(text, at) is { } number)
            {
                (found ??= []).Add(number);
                at = number.End;
            }
            else
            {
                at = AfterWord(text, at);
            }
        }
        return found ?? (IReadOnlyList<Token>)[];
    }

    /// <summary>
    /// A MAC address: six groups of one or two hexadecimal digits with colons, six of two with hyphens, or three of four with dots
    /// (the layouts of the commands read here; common practice).
    /// </summary>
    private static Token? Mac(string text, int at)
    {
        if (!char.IsAsciiHexDigit(text[at]) || (at > 0 && (char.IsAsciiLetterOrDigit(text[at - 1]) || text[at - 1] is ':' or '-' or '.')))
        {
            return null;
        }
        var (bits, groups, pos, separator) = (0UL, 0, at, '\0');
        while (true)
        {
            var from = pos;
            while (pos < text.Length && pos - from < 5 && char.IsAsciiHexDigit(text[pos]))
            {
                pos++;
            }
            var length = pos - from;
            if (separator == '\0')
            {
                separator = pos < text.Length && text[pos] is ':' or '-' or '.' ? text[pos] : '\0';
                if (separator == '\0')
                {
                    return null;
                }
            }
            if (length == 0 || (separator == ':' && length > 2) || (separator == '-' && length != 2) || (separator == '.' && length != 4))
            {
                return null;
            }
            bits =
                (bits << (separator == '.' ? 16 : 8))
                | ulong.Parse(text.AsSpan(from, length), NumberStyles.HexNumber, CultureInfo.InvariantCulture);
            groups++;
            if (groups == (separator == '.' ? 3 : 6))
            {
                break;
            }
            if (pos >= text.Length || text[pos] != separator)
            {
                return null;
            }
            pos++;
        }
        // Longer rows of octets are identifiers of another kind.
        return
            pos < text.Length
            && (
                char.IsAsciiLetterOrDigit(text[pos])
                || (text[pos] is ':' or '-' && pos + 1 < text.Length && char.IsAsciiHexDigit(text[pos + 1]))
            )
            ? null
            : new Token(TokenKind.Mac, at, pos) { Mac = new(bits) };
    }

    private static Token? Address(string text, int at)
    {
        if (!char.IsAsciiDigit(text[at]) || (at > 0 && (char.IsAsciiLetterOrDigit(text[at - 1]) || text[at - 1] is '.' or '_')))
        {
            return null;
        }
        var (pos, groups) = (at, 0);
        uint bits = 0;
        while (true)
        {
            var from = pos;
            while (pos < text.Length && pos - from < 4 && char.IsAsciiDigit(text[pos]))
            {
                pos++;
            }
            var length = pos - from;
            if (
                length is 0 or > 3
                || (length > 1 && text[from] == '0')
                || uint.Parse(text.AsSpan(from, length), CultureInfo.InvariantCulture) is var octet && octet > 255
            )
            {
                return null;
            }
            bits = (bits << 8) | octet;
            groups++;
            if (groups == 4)
            {
                break;
            }
            if (pos >= text.Length || text[pos] != '.')
            {
                return null;
            }
            pos++;
        }
        // A host's name may begin with numbers; a full stop at the end of a sentence is none.
        if (
            pos < text.Length
            && (
                char.IsAsciiLetterOrDigit(text[pos])
                || text[pos] == '_'
                || (text[pos] is '.' or '-' && pos + 1 < text.Length && char.IsAsciiLetterOrDigit(text[pos + 1]))
            )
        )
        {
            return null;
        }
        return new Token(TokenKind.Address, at, pos) { Address = new(bits), PrefixLength = Prefix(text, pos) };
    }

    private static int? Prefix(string text, int at)
    {
        if (at + 1 >= text.Length || text[at] != '/' || !char.IsAsciiDigit(text[at + 1]))
        {
            return null;
        }
        var end = at + 1;
        while (end < text.Length && end - at < 4 && char.IsAsciiDigit(text[end]))
        {
            end++;
        }
        return end - at - 1 <= 2 && int.Parse(text.AsSpan(at + 1, end - at - 1), CultureInfo.InvariantCulture) is var prefix and <= 32
            ? prefix
            : null;
    }

    private static Token? Address6(string text, int at)
    {
        if (
            !(char.IsAsciiHexDigit(text[at]) || text[at] == ':')
            || (at > 0 && (char.IsAsciiLetterOrDigit(text[at - 1]) || text[at - 1] is ':' or '.' or '-'))
        )
        {
            return null;
        }
        var (pos, colons, doubled) = (at, 0, false);
        // The longest written form has 45 characters.
        while (
            pos < text.Length && pos - at < 46 && (char.IsAsciiHexDigit(text[pos]) || text[pos] == ':' || (text[pos] == '.' && colons >= 2))
        )
        {
            if (text[pos] == ':')
            {
                colons++;
                doubled |= pos > at && text[pos - 1] == ':';
            }
            pos++;
        }
        if (!(colons >= 2 && (doubled || colons == 7)) || (pos < text.Length && char.IsAsciiLetterOrDigit(text[pos])))
        {
            return null;
        }
        return new Token(TokenKind.Address6, at, pos);
    }

    private static Token? Number(string text, int at)
    {
        var negative = text[at] is '-' or '\u2212' && at + 1 < text.Length && char.IsAsciiDigit(text[at + 1]);
        if (
            !(char.IsAsciiDigit(text[at]) || negative)
            || (at > 0 && (char.IsLetterOrDigit(text[at - 1]) || text[at - 1] is '.' or '_' || (negative && text[at - 1] == '-')))
        )
        {
            return null;
        }
        var pos = at + (negative ? 1 : 0);
        var from = pos;
        while (pos < text.Length && char.IsAsciiDigit(text[pos]))
        {
            pos++;
        }
        if (pos - from > 15)
        {
            return null;
        }
        var whole = !negative;
        // A comma is a decimal point in many languages; one between numbers of a list has a space behind it.
        if (pos + 1 < text.Length && text[pos] is '.' or ',' && char.IsAsciiDigit(text[pos + 1]))
        {
            var fraction = pos + 1;
            while (fraction < text.Length && fraction - pos < 16 && char.IsAsciiDigit(text[fraction]))
            {
                fraction++;
            }
            (pos, whole) = (fraction, false);
        }
        var value = double.Parse(
            text.AsSpan(from, pos - from).ToString().Replace(',', '.'),
            NumberStyles.Float,
            CultureInfo.InvariantCulture
        );
        return new Token(TokenKind.Number, at, pos)
        {
            Value = negative ? -value : value,
            Whole = whole,
            Unit = Unit(text, pos),
        };
    }

    private static string Unit(string text, int at)
    {
        var from = at + 1 < text.Length && text[at] == ' ' && (text[at + 1] == '%' || char.IsLetter(text[at + 1])) ? at + 1 : at;
        if (from < text.Length && text[from] == '%')
        {
            return "%";
        }
        var end = from;
        while (end < text.Length && end - from < LongestUnit && (char.IsLetter(text[end]) || (text[end] == '/' && end > from)))
        {
            end++;
        }
        return text[from..end];
    }

    private static int AfterWord(string text, int at)
    {
        var end = at + 1;
        while (end < text.Length && char.IsLetterOrDigit(text[end - 1]) && char.IsLetterOrDigit(text[end]))
        {
            end++;
        }
        return end;
    }
}
