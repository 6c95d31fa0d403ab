using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Readings;

/// <summary>
/// ifconfig in its three layouts: with flags, of Linux and of the BSD family, and the older one with the kind of link in its head
/// (the last held to the command; the others from memory).
/// </summary>
internal static class IfconfigReader
{
    public static int Read(PrintedText sheet, int at, Found found)
    {
        if (Head(sheet[at]) is not { } read)
        {
            return 0;
        }
        var count = 1;
        for (; sheet[at + count] is { Indent: > 0, IsBlank: false } line; count++)
        {
            read = With(read, line);
        }
        found.Adapters.Add(read);
        found.Block(ReadingKind.Adapters, sheet, at, count);
        return count;
    }

    private static AdapterRead? Head(TextLine line)
    {
        if (line.Indent > 0)
        {
            return null;
        }
        var words = line.Words;
        if (words.Length >= 2 && words[0] is [_, .., ':'] && words[1].StartsWith("flags=", StringComparison.Ordinal))
        {
            var flags = words[1][(words[1].IndexOf('<', StringComparison.Ordinal) + 1)..].TrimEnd('>').Split(',');
            return new(line.Number, words[0][..^1])
            {
                Inside = flags.Contains("LOOPBACK") || flags.Contains("POINTOPOINT"),
                Linked =
                    !flags.Contains("UP") ? Known.No
                    : flags.Contains("RUNNING") ? Known.Yes
                    : Known.No,
            };
        }
        // The older head has the MAC address, or the name of the link, a few blanks behind the name; both words have a colon inside.
        var gap = line.Text.IndexOf("  ", StringComparison.Ordinal);
        return
            gap is > 0 and < 20
            && words.Length >= 2
            && (words[1] is ['L', 'i', 'n', 'k', ..] || words[1].Contains(':', StringComparison.Ordinal))
            && (line.Contains("encap:") || (line.Mac is not null && words[1].EndsWith(":Ethernet", StringComparison.Ordinal)))
            ? new(line.Number, words[0]) { Mac = IpReader.Own(line.Mac), Inside = line.Mac is null }
            : null;
    }

    private static AdapterRead With(AdapterRead read, TextLine line)
    {
        var words = line.Words;
        if (words[0] == "ether")
        {
            return read with { Mac = IpReader.Own(line.Mac) };
        }
        if (words[0] == "status:" && words.Length > 1)
        {
            return read with { Linked = words[1] == "active" ? Known.Yes : Known.No };
        }
        if (words[0] == "media:")
        {
            return read with { RateMbps = Media(line.Trimmed) };
        }
        if (words.Contains("MTU:", StringComparer.Ordinal) || line.Contains(" MTU:"))
        {
            return read with
            {
                Linked = words.Contains("RUNNING") ? Known.Yes : Known.No,
                Inside = read.Inside || words.Contains("LOOPBACK") || words.Contains("POINTOPOINT"),
            };
        }
        if (read.Address is null && line.StartsWith("inet") && words[0] != "inet6" && line.Addresses.ToList() is [var own, .. var further])
        {
            var hexadecimal = Array.Find(words, w => w.StartsWith("0x", StringComparison.Ordinal) && w.Length == 10);
            var mask =
                hexadecimal is not null
                && uint.TryParse(hexadecimal.AsSpan(2), NumberStyles.HexNumber, CultureInfo.InvariantCulture, out var bits)
                    ? new Ipv4Address(bits)
                    : further.Select(t => t.Address).Where(IsMask).Select(a => (Ipv4Address?)a).LastOrDefault();
            return read with
            {
                Address = new(own.Address, mask is { } found ? Subnet.PrefixOf(found) ?? 32 : 32),
                Way = SpecialBlock.UseOf(own.Address) == AddressUse.LinkLocal ? AddressWay.SelfAssigned : AddressWay.Unknown,
            };
        }
        return read;
    }

    /// <summary>Whether the address is a mask that a home could use: ones from the left, at least eight.</summary>
    internal static bool IsMask(Ipv4Address address) => Subnet.PrefixOf(address) >= 8;

    /// <summary>The rate in a word such as "1000baseT", in Mb/s; null where there is none.</summary>
    internal static int? Media(string text)
    {
        var at = text.IndexOf("base", StringComparison.OrdinalIgnoreCase);
        if (at < 1)
        {
            return null;
        }
        var giga = text[at - 1] is 'G';
        var from = giga ? at - 1 : at;
        var end = from;
        while (from > 0 && (char.IsAsciiDigit(text[from - 1]) || text[from - 1] == '.') && end - from < 7)
        {
            from--;
        }
        return double.TryParse(text.AsSpan(from, end - from), NumberStyles.Float, CultureInfo.InvariantCulture, out var rate)
            ? (int)(rate * (giga ? 1000 : 1))
            : null;
    }
}
