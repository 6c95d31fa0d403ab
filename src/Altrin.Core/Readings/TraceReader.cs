using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Readings;

/// <summary>
/// tracert and traceroute in any language: lines that count from 1, each with times or stars and the host that answered. (Layouts of
/// traceroute and busybox held to the commands, the other from memory.)
/// </summary>
internal static class TraceReader
{
    /// <summary>Most hops that a packet makes before it is given up (8 bits of hop count, RFC 791).</summary>
    private const int MostHops = 255;

    public static int Read(PrintedText sheet, int at, Found found)
    {
        var (head, first) = (sheet[at], at);
        Ipv4Address? target = null;
        if (Hop(head, 1) is null)
        {
            // A head names the target on one or two lines, and hop 1 follows.
            first = sheet.NotBlank(at + 1);
            if (Hop(sheet[first], 1) is null && first == at + 1)
            {
                first = sheet.NotBlank(at + 2);
            }
            if (
                head.Mac is not null
                || head.Addresses.Any(t => t.PrefixLength is not null)
                || Hop(sheet[first], 1) is null
                || !(head.Addresses.Any() || head.Numbers.Any())
            )
            {
                return 0;
            }
            target = head.Addresses.Select(t => (Ipv4Address?)t.Address).LastOrDefault();
        }
        var hops = new List<HopRead>();
        var count = first - at;
        while (hops.Count < MostHops && Hop(sheet[at + count], hops.Count + 1) is { } hop)
        {
            hops.Add(hop);
            count++;
        }
        // One line in words ends it; with a head it cannot be mistaken for anything else.
        var end = sheet.NotBlank(at + count);
        if (
            first > at
            && end == at + count + 1
            && sheet[end] is { Tokens.Count: 0, Indent: 0 } closing
            && closing.Trimmed is [.., '.' or '\u3002']
        )
        {
            count = end - at + 1;
        }
        var answered = hops.FindLast(h => h.Addresses.Count > 0);
        found.Traces.Add(
            new(
                head.Number,
                target,
                hops,
                target is null ? Known.Unknown
                    : answered is not null && answered.Addresses.Contains(target.Value) ? Known.Yes
                    : Known.No
            )
        );
        found.Block(ReadingKind.Trace, sheet, at, count);
        return count;
    }

    /// <summary>Whether a unit is one of time: ms, its like in other alphabets, and the sign for it.</summary>
    internal static bool IsTime(string unit) =>
        unit.ToLowerInvariant() is "ms" or "мс" or "毫秒" or "ミリ秒" or "밀리초" or "μs" or "msec"
        || unit.StartsWith("ms", StringComparison.OrdinalIgnoreCase) && unit.Length < 4;

    private static HopRead? Hop(TextLine line, int number)
    {
        var tokens = line.Tokens;
        if (
            tokens is not [{ Kind: TokenKind.Number, Start: 0, Whole: true, Unit: var unit } count, ..]
            || (int)count.Value != number
            || count.Value > MostHops
            || line.Mac is not null
            || IsTime(unit)
            || count.End >= line.Trimmed.Length
            || line.Trimmed[count.End] is not (' ' or '\t')
        )
        {
            return null;
        }
        var timed = tokens.Any(t => t.Kind == TokenKind.Number && t.Start > 0 && IsTime(t.Unit));
        var stars = line.Words.Count(w => w == "*");
        var addresses = line.Addresses.Select(t => t.Address).Distinct().ToList();
        // "unreachable" in words, told by some box on the way: only within a route that has begun.
        if (!timed && stars == 0 && !(number > 1 && addresses.Count == 1))
        {
            return null;
        }
        return new(number, addresses);
    }
}
