using Altrin.Core.Addressing;

namespace Altrin.Core.Readings;

/// <summary>
/// Reads what machines print: by addresses, numbers and layout, in any language, with whatever stands around it. Nothing is thrown and
/// nothing is guessed: a line that no layout fits is listed as unread. Takes time linear in the length of the text.
/// </summary>
public static class ReadingText
{
    /// <summary>
    /// Looks at the line at an index, and on from there as far as its own layout goes. Gives how many lines it took; 0 where the layout is
    /// not its own. Looks ahead no further than a few lines beyond what it takes.
    /// </summary>
    private delegate int Reader(PrintedText sheet, int at, Found found);

    private static readonly Reader[] Readers =
    [
        TypedReader.Read,
        IpReader.Read,
        IfconfigReader.Read,
        ScanReader.Read,
        LinkReader.Read,
        LeaseReader.Read,
        TraceReader.Read,
        PingReader.Read,
        IpconfigReader.Read,
        RouteReader.Read,
        NeighbourReader.Read,
        TableReader.Read,
        StatusReader.Read,
        PromptReader.Read,
    ];

    /// <summary>What a text says; a text over <see cref="Reading.LongestText"/> characters is refused.</summary>
    public static Parsed<Reading> Read(string text)
    {
        if (text.Length > Reading.LongestText)
        {
            return Parsed<Reading>.Fail($"The text has {text.Length:#,0} characters; at most {Reading.LongestText:#,0} are read.");
        }
        var (sheet, found) = (PrintedText.Of(text), new Found());
        var at = 0;
        while (at < sheet.Lines.Count)
        {
            if (sheet[at].IsBlank)
            {
                at++;
                continue;
            }
            var took = 0;
            for (var i = 0; took == 0 && i < Readers.Length; i++)
            {
                took = Readers[i](sheet, at, found);
            }
            if (took == 0)
            {
                found.Miss(sheet[at], Why(sheet[at]));
                took = 1;
            }
            at += took;
        }
        return found.Done(sheet.Lines.Count);
    }

    private static string Why(TextLine line) =>
        line.Tokens.Any(t => t.Kind == TokenKind.Mac)
            ? "A MAC address, with no layout around it that is known: beside it an address is expected, or a table of several such rows."
        : line.Addresses.Any() ? "An address, with no layout around it that is known. Paste the whole output, with its heads."
        : line.Tokens.Any(t => t.Kind == TokenKind.Address6) ? "An IPv6 address: only IPv4 is read."
        : line.Numbers.Any() ? "Numbers, with no layout around them that is known. Paste the whole output, with its heads."
        : "No address and no number that any known layout has.";
}

/// <summary>Commands and the prompts before them: read as what they are, so that they do not stand among what was not understood.</summary>
internal static class PromptReader
{
    private static readonly string[] Commands =
    [
        "ipconfig",
        "ip",
        "ifconfig",
        "route",
        "arp",
        "ping",
        "tracert",
        "traceroute",
        "ethtool",
        "iw",
        "netsh",
        "nmcli",
        "netstat",
        "cat",
        "sudo",
    ];

    public static int Read(PrintedText sheet, int at, Found found)
    {
        var line = sheet[at].Trimmed;
        if (!IsPrompt(line) && !(line.Length < 80 && IsCommand(line)))
        {
            return 0;
        }
        found.Block(ReadingKind.Command, sheet, at, 1);
        return 1;
    }

    /// <summary>
    /// A drive and a path before "&gt;"; a name before "$", "#" or "%"; one of these at the beginning, with a command or nothing behind
    /// it.
    /// </summary>
    private static bool IsPrompt(string line)
    {
        if (line is ['$' or '#' or '>' or '%'] or ['P', 'S', ' ', _, ':', ..])
        {
            return true;
        }
        if (line is ['$' or '#' or '>' or '%', ' ', ..])
        {
            return IsCommand(line[2..]);
        }
        if (line is [_, ':', '\\', ..] && char.IsAsciiLetter(line[0]))
        {
            return line.Contains('>', StringComparison.Ordinal);
        }
        var sign = line.IndexOf('@', StringComparison.Ordinal);
        return sign > 0
            && line.AsSpan(sign).IndexOfAny('$', '#', '%') is var end and > 1 and < 80
            && !line.AsSpan(0, sign).Contains(' ')
            && (sign + end + 1 == line.Length || line[sign + end + 1] == ' ')
            && line.AsSpan(sign, end).Count(' ') <= 1;
    }

    /// <summary>A command with a few words behind it; what merely begins with the same word, as a sentence may, is none.</summary>
    private static bool IsCommand(string line)
    {
        var words = line.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        return words.Length is > 0 and <= 7
            && Commands.Contains(words[0])
            && words switch
            {
                ["ipconfig" or "ifconfig"] => true,
                ["ipconfig", ['/', ..], ..] => true,
                ["ip", "a" or "addr" or "address" or "r" or "route" or "n" or "neigh" or "l" or "link" or ['-', ..], ..] => true,
                ["route", "print" or ['-', ..], ..] => true,
                ["cat", ['/', ..]] => true,
                ["netsh", "wlan", ..] or ["iw", "dev", ..] or ["nmcli", ['d', ..] or ['-', ..], ..] => true,
                ["ip" or "route" or "cat" or "netsh" or "iw" or "nmcli"] => false,
                [_, ['-', ..], ..] => true,
                [_, var target] => target.Contains('.', StringComparison.Ordinal) || words[0] is "ethtool" or "ifconfig" or "sudo",
                [_, _, ..] => words[0] == "sudo",
                _ => false,
            };
    }
}
