namespace Altrin.Core.Readings;

/// <summary>
/// Address tables: arp -a of several systems, arp -n, and the kernel's own list. A row has one IPv4 and one MAC address; entries for
/// groups and for everybody are passed over, those without an answer are kept without one.
/// </summary>
internal static class NeighbourReader
{
    public static int Read(PrintedText sheet, int at, Found found)
    {
        var line = sheet[at];
        if (IsHead(sheet, at))
        {
            found.Block(ReadingKind.AddressTable, sheet, at, 1);
            return 1;
        }
        if (Row(line) is not { } row)
        {
            return 0;
        }
        if (row.Is is { } near)
        {
            found.Neighbours.Add(near);
        }
        found.Block(ReadingKind.AddressTable, sheet, at, 1);
        return 1;
    }

    private static (NeighbourRead? Is, bool Row)? Row(TextLine line)
    {
        var (words, tokens) = (line.Words, line.Tokens);
        var mac = tokens.Where(t => t.Kind == TokenKind.Mac).ToList();
        if (line.Addresses.ToList() is not [var near] || mac.Count > 1 || words.Length < 2)
        {
            return null;
        }
        // "name (address) at hardware [ether] on adapter", or "(incomplete)" in the place of the MAC address.
        var named = near.Start > 1 && line.Trimmed[near.Start - 1] == '(' && words.Length >= 4 && words[2] == "at";
        // "address hardware kind", "address ether hardware flags adapter", "address 0x1 0x2 hardware * adapter", "address (incomplete)
        // adapter".
        var plain =
            near is { Start: 0, PrefixLength: null }
            && words.Length <= 6
            && (
                mac.Count == 1
                    ? words.Length
                        - Array.FindIndex(words, w =>
                            w.Length >= 11 && line.Trimmed.AsSpan(mac[0].Start, mac[0].End - mac[0].Start).SequenceEqual(w)
                        )
                        is 1
                            or 2
                            or 3
                            or 4
                        && IsPlain(words)
                    : words[1] is "(incomplete)" or "<incomplete>"
            );
        if (!named && !plain)
        {
            return null;
        }
        if (mac.Count == 1 && IpReader.Own(mac[0].Mac) is null)
        {
            return mac[0].Mac.Bits == 0 ? (new(line.Number, near.Address, null), true) : (null, true);
        }
        return (
            new(line.Number, near.Address, mac.Count == 1 ? mac[0].Mac : null) { Name = named && words[0] != "?" ? words[0] : null },
            true
        );
    }

    /// <summary>
    /// Whether the words between and behind are those of an address table: short, and no more than two that are no flags.
    /// </summary>
    private static bool IsPlain(string[] words) =>
        words.Length <= 3
            ? words.Length == 2 || !words[2].Contains(',', StringComparison.Ordinal)
            : words[1] == "ether" || words[1].StartsWith("0x", StringComparison.Ordinal);

    /// <summary>"Interface: address --- 0xc" in any language, or a heading without addresses right before a row.</summary>
    private static bool IsHead(PrintedText sheet, int at)
    {
        var line = sheet[at];
        if (line.Contains("--- 0x") && line.Addresses.Count() == 1)
        {
            return true;
        }
        return line.Tokens.Count == 0
            && line.Trimmed.Contains("  ", StringComparison.Ordinal)
            && line.Trimmed.Length < 120
            && Row(sheet[at + 1]) is not null;
    }
}
