using System.Globalization;
using System.Text.RegularExpressions;
using CsvHelper;
using CsvHelper.Configuration;

namespace Altrin.Formats;

/// <summary>Tables as text (RFC 4180): how all of Altrin writes and reads them.</summary>
internal static partial class CsvTable
{
    private static readonly char[] Delimiters = [',', ';', '\t'];

    /// <summary>
    /// The table. Text that a spreadsheet would take for a formula is written with an apostrophe before it, which reading takes away
    /// again; also behind what separates cells elsewhere, since there a table may be opened by another separator than its own.
    /// </summary>
    public static string Write(IReadOnlyList<string> heads, IEnumerable<IReadOnlyList<string?>> rows)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture) { NewLine = "\r\n" };
        using (var csv = new CsvWriter(text, new CsvConfiguration(CultureInfo.InvariantCulture) { NewLine = "\r\n" }))
        {
            foreach (var row in rows.Prepend(heads))
            {
                foreach (var cell in row)
                {
                    csv.WriteField(Formula().Replace(cell ?? "", "'"));
                }
                csv.NextRecord();
            }
        }
        return text.ToString();
    }

    /// <summary>
    /// The rows of a table with these heads, in any order; heads may be missing, but none may be unknown. Separated by commas, semicolons
    /// or tabs, whichever the first line has most of.
    /// </summary>
    public static FileRead<List<CsvRow>> Read(string text, IReadOnlyList<string> heads, IReadOnlyList<string> needed, int most)
    {
        text = text.TrimStart('\uFEFF');
        var first = text.Split('\n')[0];
        var delimiter = Delimiters.MaxBy(d => first.Count(c => c == d)).ToString();
        var errors = new ReadErrors();
        using var reader = new StringReader(text);
        using var csv = new CsvReader(
            reader,
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                Delimiter = delimiter,
                BadDataFound = bad =>
                    errors.Add(
                        $"row {bad.Context.Parser!.Row}",
                        "a quotation mark that does not fit",
                        "a cell with a quotation mark stands between two, and each inside is doubled (RFC 4180)"
                    ),
                MissingFieldFound = null,
                IgnoreBlankLines = true,
                TrimOptions = TrimOptions.Trim,
            }
        );
        if (!csv.Read())
        {
            return new(null, [new("row 1", "nothing", $"a first row with the heads {string.Join(", ", heads)} is expected")]);
        }
        csv.ReadHeader();
        var found = csv.HeaderRecord!.Select(h => h.Trim().ToLowerInvariant()).ToList();
        errors.Unique(found, h => h, i => $"row 1, column {i + 1}", "a head");
        foreach (var (head, i) in found.Select((h, i) => (h, i)).Where(h => !heads.Contains(h.h)))
        {
            errors.Add($"row 1, column {i + 1}", $"\"{head}\"", $"allowed: {string.Join(", ", heads)}");
        }
        foreach (var head in needed.Where(n => !found.Contains(n)))
        {
            errors.Add("row 1", "nothing", $"a column '{head}' is required");
        }
        var rows = new List<CsvRow>();
        while (errors.All.Count == 0 && csv.Read())
        {
            if (rows.Count >= most)
            {
                errors.Add($"row {csv.Parser.Row}", "one row more", $"at most {most} rows are read");
                break;
            }
            if (csv.Parser.Count > found.Count)
            {
                errors.Add($"row {csv.Parser.Row}", $"{csv.Parser.Count} cells", $"at most {found.Count} are expected");
                continue;
            }
            rows.Add(
                new(
                    csv.Parser.Row,
                    found
                        .Select((h, i) => (h, Cell: Plain(csv.GetField(i))))
                        .Where(c => c.Cell is not null)
                        .ToDictionary(c => c.h, c => c.Cell!, StringComparer.Ordinal)
                )
            );
        }
        return errors.All.Count > 0 ? new(null, errors.All) : new(rows, []);
    }

    private static string? Plain(string? cell) => string.IsNullOrEmpty(cell) ? null : Escape().Replace(cell, "");

    /// <summary>
    /// The places where a formula could begin; those with apostrophes before it too, so that reading gives back what was written.
    /// </summary>
    [GeneratedRegex("(?<=^|[,;\\t\\r\\n|])(?='*[=@+\\-\\t\\r])")]
    private static partial Regex Formula();

    /// <summary>The apostrophe that was put there.</summary>
    [GeneratedRegex("(?<=^|[,;\\t\\r\\n|])'(?='*[=@+\\-\\t\\r])")]
    private static partial Regex Escape();
}

/// <summary>One row of a table.</summary>
/// <param name="Number">Which line of the text, the heads being the first.</param>
/// <param name="Cells">Its cells by head; empty ones are left out.</param>
internal sealed record CsvRow(int Number, IReadOnlyDictionary<string, string> Cells)
{
    /// <summary>The cell under a head; null where it is empty.</summary>
    public string? this[string head] => Cells.GetValueOrDefault(head);

    /// <summary>Where a cell is, for errors.</summary>
    public string At(string head) => $"row {Number}, column {head}";
}
