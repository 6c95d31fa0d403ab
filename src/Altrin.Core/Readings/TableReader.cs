using Altrin.Core.Addressing;

namespace Altrin.Core.Readings;

/// <summary>
/// A box's list of devices, copied from its page or saved as a file: rows with a MAC address, columns parted by tabs, semicolons,
/// bars, commas or several blanks; or one cell a line, as some pages are copied. Which column holds the names is told by what differs
/// from row to row.
/// </summary>
internal static class TableReader
{
    /// <summary>The most cells of one device when each has a line of its own.</summary>
    private const int MostCells = 12;

    private static readonly char[] Marks = ['\t', ';', '|', ','];

    public static int Read(PrintedText sheet, int at, Found found) =>
        Rows(sheet, at, found) is var rows and > 0 ? rows : Cells(sheet, at, found);

    private static int Rows(PrintedText sheet, int at, Found found)
    {
        // A head has as many columns as the row under it.
        var (first, mark) = (at, MarkOf(sheet[at]));
        if (!IsRow(sheet[at]))
        {
            mark = MarkOf(sheet[at + 1]);
            // A rule of dashes may stand between.
            first =
                IsRow(sheet[at + 1]) ? at + 1
                : IsRow(sheet[at + 2]) && sheet[at + 1].Trimmed.All(c => c is '-' or '=' or '+' or '|' or ' ' or ':') ? at + 2
                : -1;
            if (
                first < 0
                || sheet[at].Tokens.Any(t => t.Kind != TokenKind.Number)
                || Split(sheet[at].Trimmed, MarkOf(sheet[first])).Count < 2
            )
            {
                return 0;
            }
            mark = MarkOf(sheet[first]);
        }
        var rows = new List<(TextLine Line, List<string> Cells)>();
        var count = first - at;
        for (; IsRow(sheet[at + count]); count++)
        {
            rows.Add(
                (sheet[at + count], Split(sheet[at + count].Trimmed, MarkOf(sheet[at + count]) is var own && own == '\0' ? mark : own))
            );
        }
        // Alone, a row might be anything; with a head, or beside others of its kind, it is one of a table.
        if (rows.Count == 0 || (rows.Count == 1 && first == at && rows[0].Cells.Count < 3))
        {
            return 0;
        }
        Note(rows, found);
        found.Block(ReadingKind.DeviceList, sheet, at, count);
        return count;
    }

    /// <summary>One cell a line: lines in groups of equal size, each with one MAC address in the same place.</summary>
    private static int Cells(PrintedText sheet, int at, Found found)
    {
        var places = new List<int>();
        for (var i = 0; i < MostCells * 3 && at + i < sheet.Lines.Count && places.Count < 2; i++)
        {
            if (sheet[at + i] is { Mac: not null } line)
            {
                if (line.Words.Length > 1)
                {
                    return 0;
                }
                places.Add(i);
            }
        }
        if (places.Count < 2 || places[1] - places[0] is not (> 1 and <= MostCells) || places[0] >= places[1] - places[0])
        {
            return 0;
        }
        var size = places[1] - places[0];
        var rows = new List<(TextLine, List<string>)>();
        var count = 0;
        while (
            at + count + size <= sheet.Lines.Count
            && sheet[at + count + places[0]] is { Mac: not null, Words.Length: 1 }
            && Enumerable.Range(at + count, size).All(i => !sheet[i].IsBlank && (sheet[i].Mac is null || i == at + count + places[0]))
        )
        {
            rows.Add((sheet[at + count], [.. Enumerable.Range(at + count, size).Select(i => sheet[i].Trimmed)]));
            count += size;
        }
        if (rows.Count < 2)
        {
            return 0;
        }
        Note(rows, found);
        found.Block(ReadingKind.DeviceList, sheet, at, count);
        return count;
    }

    private static bool IsRow(TextLine line) =>
        line.Tokens.Count(t => t.Kind == TokenKind.Mac) == 1 && Split(line.Trimmed, MarkOf(line)).Count >= 2;

    private static void Note(List<(TextLine Line, List<string> Cells)> rows, Found found)
    {
        var width = rows.Max(r => r.Cells.Count);
        // The column of names: words that are no address, and that differ more than those of any other column; the first of equal ones.
        var best = Enumerable
            .Range(0, width)
            .Select(column =>
                (
                    Column: column,
                    Different: rows.Select(r => Name(r.Cells.ElementAtOrDefault(column))).Where(n => n is not null).Distinct().Count()
                )
            )
            .OrderByDescending(c => c.Different)
            .ThenBy(c => c.Column)
            .First();
        var name = best.Different > 0 && (best.Different > 1 || rows.Count == 1) ? best.Column : -1;
        foreach (var (line, cells) in rows)
        {
            var tokens = cells.SelectMany(Scanner.Scan).ToList();
            var mac = IpReader.Own(tokens.Find(t => t.Kind == TokenKind.Mac) is { Kind: TokenKind.Mac } own ? own.Mac : null);
            if (mac is null)
            {
                continue;
            }
            found.Neighbours.Add(
                new(
                    line.Number,
                    tokens
                        .Where(t => t.Kind == TokenKind.Address && !IfconfigReader.IsMask(t.Address))
                        .Select(t => (Ipv4Address?)t.Address)
                        .FirstOrDefault(),
                    mac
                )
                {
                    Name = name < 0 ? null : Name(cells.ElementAtOrDefault(name)),
                    Link = ListedLink.Of(cells.Where((_, column) => column != name)),
                }
            );
        }
    }

    /// <summary>A cell that may be a name: letters in it, and no address or time.</summary>
    private static string? Name(string? cell) =>
        cell is { Length: > 0 and <= 80 }
        && cell.Any(char.IsLetter)
        && Scanner.Scan(cell).All(t => t.Kind == TokenKind.Number)
        && !IsMeasure(cell)
        && cell is not ("--" or "-" or "*" or "N/A")
            ? cell
            : null;

    /// <summary>Whether a cell is a number with its unit, such as "5 GHz", "-52 dBm" or "2 h 10 min".</summary>
    private static bool IsMeasure(string cell) =>
        (char.IsAsciiDigit(cell[0]) || cell[0] is '-' or '<')
        && Scanner.Scan(cell) is [{ Kind: TokenKind.Number, Start: 0 } number, ..]
        && number.Unit.Length is > 0 and <= 7
        && (cell.Length <= number.End + number.Unit.Length + 1 || Scanner.Scan(cell).Count > 1);

    private static char MarkOf(TextLine line)
    {
        foreach (var mark in Marks)
        {
            if (line.Trimmed.Contains(mark))
            {
                return mark;
            }
        }
        return '\0';
    }

    /// <summary>Cells without their quotation marks; at several blanks where no mark parts them.</summary>
    private static List<string> Split(string text, char mark)
    {
        var parts = mark == '\0' ? text.Split("  ", StringSplitOptions.RemoveEmptyEntries) : Quoted(text, mark);
        return [.. parts.Select(p => p.Trim().Trim('"').Trim())];
    }

    /// <summary>Parts at a mark, except inside quotation marks (RFC 4180).</summary>
    private static string[] Quoted(string text, char mark)
    {
        if (!text.Contains('"', StringComparison.Ordinal))
        {
            return (mark == '|' ? text.Trim('|') : text).Split(mark);
        }
        var (parts, from, inside) = (new List<string>(), 0, false);
        for (var i = 0; i < text.Length; i++)
        {
            if (text[i] == '"')
            {
                inside = !inside;
            }
            else if (text[i] == mark && !inside)
            {
                parts.Add(text[from..i]);
                from = i + 1;
            }
        }
        parts.Add(text[from..]);
        return [.. parts];
    }
}
