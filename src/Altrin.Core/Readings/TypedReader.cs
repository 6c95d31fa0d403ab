using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Readings;

/// <summary>
/// What an outside service says of the home, and what the outermost box of one's own says of itself; both typed or pasted.
/// </summary>
/// <param name="Line">Where it stands.</param>
/// <param name="Seen">The address that the outside sees; null where it saw an IPv6 address.</param>
/// <param name="Wan">The WAN address on the page of the box; null where not read.</param>
public sealed record OutsideRead(int Line, Ipv4Address? Seen, Ipv4Address? Wan);

/// <summary>One run of a speed test.</summary>
/// <param name="Line">Where it stands.</param>
/// <param name="At">When, as written; empty where not.</param>
/// <param name="Place">Where, an id or words; empty where not said.</param>
/// <param name="By">By what.</param>
/// <param name="Tool">With what; empty where not said.</param>
/// <param name="Seconds">How long it ran, in seconds; null where not said.</param>
/// <param name="Megabytes">How much it moved, in megabytes; null where not said.</param>
/// <param name="DownMbps">Towards the home, in Mb/s.</param>
/// <param name="UpMbps">From the home, in Mb/s; null where not measured.</param>
/// <param name="To">
/// The other end: the id or name of a device or box of the home; empty for a server on the internet. Down is towards who ran it.
/// </param>
public sealed record SpeedRun(
    int Line,
    string At,
    string Place,
    RunBy By,
    string Tool,
    double? Seconds,
    double? Megabytes,
    double DownMbps,
    double? UpMbps,
    string To = ""
);

/// <summary>
/// Readings that no command prints: what the outside sees, and runs of a speed test as comma-separated text with a row of heads.
/// </summary>
public static class TypedReader
{
    /// <summary>The heads of a table of runs over the internet, in their order.</summary>
    public const string Heads = "time,place,by,tool,seconds,megabytes,down,up";

    /// <summary>The head of one more column: the other end of runs within the home; empty or "internet" for the others.</summary>
    public const string ToHead = "to";

    internal static int Read(PrintedText sheet, int at, Found found)
    {
        var line = sheet[at];
        if (line.StartsWith("outside ") && line.Tokens is [{ Kind: TokenKind.Address or TokenKind.Address6, Start: 8 } seen, ..])
        {
            var wan = line.Contains(" wan ") && line.Tokens is [_, { Kind: TokenKind.Address } own, ..] ? own.Address : (Ipv4Address?)null;
            found.Outside.Add(new(line.Number, seen.Kind == TokenKind.Address ? seen.Address : null, wan));
            found.Block(ReadingKind.Outside, sheet, at, 1);
            return 1;
        }
        var heads = line.Trimmed.Replace(" ", "", StringComparison.Ordinal);
        if (!new[] { Heads, $"{Heads},{ToHead}" }.Contains(heads, StringComparer.OrdinalIgnoreCase))
        {
            return 0;
        }
        var count = 1;
        for (; sheet[at + count] is { IsBlank: false } row && row.Trimmed.Count(c => c == ',') == heads.Count(c => c == ','); count++)
        {
            var run = Run(row);
            if (run.Ok)
            {
                found.Runs.Add(run.Value);
            }
            else
            {
                found.Miss(row, run.Error);
            }
        }
        found.Block(ReadingKind.SpeedRuns, sheet, at, count);
        return count;
    }

    /// <summary>The line for what the outside sees.</summary>
    public static string WriteOutside(string seen, Ipv4Address? wan) => wan is { } own ? $"outside {seen} wan {own}" : $"outside {seen}";

    /// <summary>A table of runs.</summary>
    public static string WriteRuns(IReadOnlyList<SpeedRun> runs)
    {
        var within = runs.Any(r => r.To.Length > 0);
        string[] lines =
        [
            within ? $"{Heads},{ToHead}" : Heads,
            .. runs.Select(r =>
                string.Join(
                    ',',
                    Plain(r.At),
                    Plain(r.Place),
                    r.By.Word(),
                    Plain(r.Tool),
                    Number(r.Seconds),
                    Number(r.Megabytes),
                    Number(r.DownMbps),
                    $"{Number(r.UpMbps)}{(within ? $",{Plain(r.To)}" : "")}"
                )
            ),
        ];
        return string.Join('\n', lines) + "\n";
    }

    private static Parsed<SpeedRun> Run(TextLine row)
    {
        var cells = row.Trimmed.Split(',').Select(c => c.Trim()).ToArray();
        var by = cells[2].ToLowerInvariant() switch
        {
            "cable" => RunBy.Cable,
            "2.4 ghz" or "2.4" => RunBy.Ghz2,
            "5 ghz" or "5" => RunBy.Ghz5,
            "6 ghz" or "6" => RunBy.Ghz6,
            _ => (RunBy?)null,
        };
        if (by is not { } medium)
        {
            return Parsed<SpeedRun>.Fail("By what the run was made is expected in the third column: cable, 2.4 GHz, 5 GHz or 6 GHz.");
        }
        if (Amount(cells[6]) is not { } down || down is <= 0 or > SpeedMeasure.MostMbps)
        {
            return Parsed<SpeedRun>.Fail("A rate in Mb/s towards the home is expected in the seventh column.");
        }
        var (seconds, megabytes, up) = (Amount(cells[4]), Amount(cells[5]), Amount(cells[7]));
        return (cells[4].Length > 0 && seconds is null) || (cells[5].Length > 0 && megabytes is null) || (cells[7].Length > 0 && up is null)
            ? Parsed<SpeedRun>.Fail("Seconds, megabytes and the rate from the home are numbers, or left empty.")
            : new SpeedRun(row.Number, cells[0], cells[1], medium, cells[3], seconds, megabytes, down, up, To(cells));
    }

    private static string To(string[] cells) =>
        cells is [_, _, _, _, _, _, _, _, var end] && !end.Equals("internet", StringComparison.OrdinalIgnoreCase) ? end : "";

    private static double? Amount(string cell) =>
        double.TryParse(cell, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var value) && value is > 0 and < 1e7
            ? value
            : null;

    private static string Number(double? value) => value?.ToString("0.###", CultureInfo.InvariantCulture) ?? "";

    private static string Plain(string text) => text.Replace(',', ' ').ReplaceLineEndings(" ").Trim();
}
