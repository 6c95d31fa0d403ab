using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>Reads the cells of one row of a survey's table.</summary>
internal sealed class SurveyRow(CsvRow row, ReadErrors errors)
{
    /// <summary>Whether nothing was wrong with the row so far.</summary>
    public bool Sound { get; private set; } = true;

    public void Fail(string head, string expected)
    {
        Sound = false;
        errors.Add(row.At(head), row[head] is { } cell ? $"\"{(cell.Length > 60 ? cell[..60] + "…" : cell)}\"" : "nothing", expected);
    }

    /// <summary>What a row is about: by its id, else by its name; null where it is new.</summary>
    public T? There<T>(IReadOnlyList<T> items, Func<T, string> id, Func<T, string> name)
        where T : class
    {
        if (row["name"] is null)
        {
            Fail("name", "a name is required");
        }
        return row["id"] is { } wanted
            ? items.FirstOrDefault(i => id(i) == wanted)
            : items.FirstOrDefault(i => string.Equals(name(i), row["name"], StringComparison.OrdinalIgnoreCase));
    }

    public T? Value<T>(string head, Func<string?, Parsed<T>> parse)
        where T : struct
    {
        if (row[head] is not { } cell)
        {
            return null;
        }
        var read = parse(cell);
        if (!read.Ok)
        {
            Fail(head, read.Error);
        }
        return read.Ok ? read.Value : null;
    }

    public string? Id<T>(string head, IReadOnlyList<T> items, Func<T, string> id, Func<T, string> name)
        where T : class
    {
        if (row[head] is not { } cell)
        {
            return null;
        }
        var found = items.FirstOrDefault(i => id(i) == cell)
            ?? items.FirstOrDefault(i => string.Equals(name(i), cell, StringComparison.OrdinalIgnoreCase));
        if (found is null)
        {
            Fail(head, $"the id or name of a {head} of this home is expected");
        }
        return found is null ? null : id(found);
    }

    public TWord? Word<TWord>(string head)
        where TWord : struct, Enum => row[head] is { } cell ? Word<TWord>(head, cell) : null;

    public TWord? Word<TWord>(string head, string word)
        where TWord : struct, Enum
    {
        foreach (var value in Enum.GetValues<TWord>())
        {
            if (string.Equals(CsvWords.Of(value), word, StringComparison.OrdinalIgnoreCase))
            {
                return value;
            }
        }
        Fail(head, $"allowed: {string.Join(", ", Enum.GetValues<TWord>().Select(v => CsvWords.Of(v)))}");
        return null;
    }

    public bool? Yes(string head)
    {
        if (row[head] is not { } cell || cell is "yes" or "no")
        {
            return row[head] is { } said ? said == "yes" : null;
        }
        Fail(head, "yes or no is expected");
        return null;
    }

    public Known Known(string head, Known before) =>
        Yes(head) switch
        {
            true => Core.Sites.Known.Yes,
            false => Core.Sites.Known.No,
            _ => before,
        };

    public int? Whole(string head)
    {
        if (row[head] is not { } cell)
        {
            return null;
        }
        if (int.TryParse(cell, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var number))
        {
            return number;
        }
        Fail(head, "a whole number is expected");
        return null;
    }

    public double? Metres(string head)
    {
        if (row[head] is not { } cell)
        {
            return null;
        }
        if (
            double.TryParse(
                cell,
                NumberStyles.AllowDecimalPoint | NumberStyles.AllowLeadingSign,
                CultureInfo.InvariantCulture,
                out var number
            ) && double.IsFinite(number)
        )
        {
            return number;
        }
        Fail(head, "metres such as 4.5 are expected");
        return null;
    }

    public DateOnly? Date(string head)
    {
        if (row[head] is not { } cell)
        {
            return null;
        }
        if (DateOnly.TryParseExact(cell, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var date))
        {
            return date;
        }
        Fail(head, "a day such as 2027-03-31 is expected");
        return null;
    }

    public IReadOnlyList<RadioBand>? Bands(string head)
    {
        if (row[head] is not { } cell)
        {
            return null;
        }
        var bands = new List<RadioBand>();
        foreach (var word in cell.Split(' ', StringSplitOptions.RemoveEmptyEntries))
        {
            RadioBand? band = word switch
            {
                "2.4" => RadioBand.Ghz2,
                "5" => RadioBand.Ghz5,
                "6" => RadioBand.Ghz6,
                _ => null,
            };
            if (band is null)
            {
                Fail(head, "bands such as 2.4 5 6 are expected");
                return null;
            }
            bands.Add(band.Value);
        }
        return [.. bands.Distinct()];
    }
}

/// <summary>Words of tables: the words of the API in small letters, parted where a capital stood.</summary>
internal static class CsvWords
{
    public static string Of<TWord>(TWord word)
        where TWord : struct, Enum =>
        string.Concat(
            $"{word}".Select((c, i) => i > 0 && char.IsUpper(c) ? $"-{char.ToLowerInvariant(c)}" : $"{char.ToLowerInvariant(c)}")
        );
}
