using Altrin.Core.Addressing;

namespace Altrin.Core.Readings;

/// <summary>
/// A ping of any system in any language: a head with the target, answers with "ttl=", whatever is said where none comes, and a summary
/// with a percentage. (Layouts of iputils and busybox held to the commands, the others from memory.)
/// </summary>
internal static class PingReader
{
    /// <summary>How many lines without an answer may follow each other before the block is given up.</summary>
    private const int MostSilent = 40;

    public static int Read(PrintedText sheet, int at, Found found)
    {
        var isHead = IsHead(sheet, at);
        if (!isHead && Answer(sheet[at]) is null)
        {
            return 0;
        }
        var times = new List<double>();
        Ipv4Address? target = isHead ? Target(sheet[at]) : Answer(sheet[at])!.Value.From;
        var (answers, lines, sent, told, silent, detailed) = (0, isHead ? 1 : 0, (int?)null, (int?)null, 0, false);
        var last = lines;
        for (; at + lines < sheet.Lines.Count && silent < MostSilent; lines++)
        {
            var line = sheet[at + lines];
            if (line.IsBlank)
            {
                continue;
            }
            if (Answer(line) is var (from, time))
            {
                answers += from == target || target is null ? 1 : 0;
                if (time is { } ms)
                {
                    times.Add(ms);
                }
                (last, silent) = (lines + 1, 0);
            }
            else if (Summary(sheet, at + lines) is var (asked, got, took))
            {
                (sent, told) = (asked, got);
                last = AfterTimes(sheet, at, lines + took);
                break;
            }
            else if (Named(line, target))
            {
                silent++;
            }
            else if (IsHead(sheet, at + lines) || !IsSilence(line, target))
            {
                break;
            }
            else
            {
                silent++;
                detailed = true;
            }
        }
        if (answers == 0 && sent is null)
        {
            return 0;
        }
        times.Sort();
        // A router's "unreachable" is counted as an answer by some: where single answers are printed, they count.
        found.Pings.Add(
            new(
                sheet[at].Number,
                target,
                sent,
                answers > 0 || detailed ? answers : told ?? 0,
                times.Count == 0 ? null : times[times.Count / 2]
            )
        );
        found.Block(ReadingKind.Ping, sheet, at, last);
        return last;
    }

    /// <summary>One or two mentions of one address, a count of bytes, and an answer, a silence or a summary behind it.</summary>
    private static bool IsHead(PrintedText sheet, int at)
    {
        var line = sheet[at];
        if (line.StartsWith("PING "))
        {
            return true;
        }
        if (
            !line.Trimmed.EndsWith(':')
            || line.Mac is not null
            || !line.Numbers.Any(n => n.Whole && n.Value is >= 0 and <= 65500)
            || line.Addresses.Select(t => t.Address).Distinct().Count() != 1
        )
        {
            return false;
        }
        for (var ahead = 1; ahead <= 8; ahead++)
        {
            var next = sheet[at + ahead];
            if (Answer(next) is not null || Summary(sheet, at + ahead) is not null)
            {
                return true;
            }
        }
        return false;
    }

    private static Ipv4Address? Target(TextLine line) => line.Addresses.Select(t => (Ipv4Address?)t.Address).LastOrDefault();

    /// <summary>Who answered and after how many milliseconds; null where the line is no answer.</summary>
    private static (Ipv4Address From, double? Ms)? Answer(TextLine line)
    {
        if (!line.Contains("ttl=") || line.Addresses.FirstOrDefault() is not { Kind: TokenKind.Address } from)
        {
            return null;
        }
        var time = line
            .Numbers.Where(n => n.Start > 0 && line.Trimmed[n.Start - 1] is '=' or '<' && TraceReader.IsTime(n.Unit))
            .Select(n => (double?)n.Value)
            .LastOrDefault();
        return (from.Address, time);
    }

    /// <summary>
    /// How many were sent and received: the first two whole numbers of a line with a percentage, which may have slipped into the next
    /// one.
    /// </summary>
    private static (int Sent, int Received, int Lines)? Summary(PrintedText sheet, int at)
    {
        var line = sheet[at];
        var here = line.Trimmed.Contains('%', StringComparison.Ordinal);
        var next =
            !here
            && line.Trimmed.Count(c => c == '=') == 3
            && sheet[at + 1].Trimmed is ['(', ..]
            && sheet[at + 1].Trimmed.Contains('%', StringComparison.Ordinal);
        if (!(here || next) || line.Addresses.Any() || line.Mac is not null)
        {
            return null;
        }
        var took = next ? 2 : 1;
        var numbers = line.Numbers.Where(n => n.Whole && n.Value < 1e9).Select(n => (int)n.Value).ToList();
        return numbers.Count >= 3 || (numbers.Count == 2 && line.Numbers.Count() >= 3)
            ? numbers[1] <= numbers[0]
                ? (numbers[0], numbers[1], took)
                : null
            : null;
    }

    /// <summary>Something said of one packet that was not answered: no table, nothing indented, no head of something else.</summary>
    private static bool IsSilence(TextLine line, Ipv4Address? target) =>
        line.Indent == 0
        && line.Mac is null
        && !line.Trimmed.EndsWith(':')
        && line.Addresses.Count() <= 1
        && line.Tokens.All(t => t.PrefixLength is null)
        && line.Trimmed.Length < 120
        && !PromptLike(line)
        && target is not null;

    private static bool PromptLike(TextLine line) =>
        line.Trimmed.Contains('>', StringComparison.Ordinal)
        || line.Trimmed.Contains("$ ", StringComparison.Ordinal)
        || line.Trimmed.Contains("# ", StringComparison.Ordinal);

    /// <summary>The line that announces the summary: it names the target once more.</summary>
    private static bool Named(TextLine line, Ipv4Address? target) =>
        line.StartsWith("---") || (line.Trimmed.EndsWith(':') && line.Addresses.Any(t => t.Address == target));

    /// <summary>The end of what follows a summary: one or two lines with times.</summary>
    private static int AfterTimes(PrintedText sheet, int at, int last)
    {
        for (var more = 0; more < 2; more++)
        {
            var line = sheet[at + last];
            var times = line.Numbers.Count(n => TraceReader.IsTime(n.Unit));
            var announced =
                line.Trimmed.EndsWith(':')
                && !line.Tokens.Any()
                && sheet[at + last + 1].Numbers.Count(n => TraceReader.IsTime(n.Unit)) == 3;
            if (line.IsBlank || (times == 0 && !announced && !line.StartsWith("rtt ") && !line.StartsWith("round-trip ")))
            {
                break;
            }
            last++;
        }
        return last;
    }
}
