using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>The lists that a survey is typed into, line by line.</summary>
public enum QuickList
{
    /// <summary>What the provider delivers.</summary>
    Service,

    /// <summary>Boxes.</summary>
    Gear,

    /// <summary>Rooms and other places.</summary>
    Places,

    /// <summary>The customer's devices.</summary>
    Devices,

    /// <summary>What the customer asks for.</summary>
    Needs,
}

/// <summary>One part of a line, with what it was taken for.</summary>
/// <param name="Text">What was typed.</param>
/// <param name="Means">What it was taken for; null where it is not known.</param>
public sealed record QuickPart(string Text, string? Means);

/// <summary>One line of a survey as it was read.</summary>
/// <param name="Line">Which line of what was typed, from 1.</param>
/// <param name="Parts">Its parts, in order.</param>
/// <param name="Error">Why it cannot be taken; null where it can.</param>
/// <param name="Column">Where the error is, counted in characters from 1; null where there is none.</param>
public sealed record QuickLine(int Line, IReadOnlyList<QuickPart> Parts, string? Error, int? Column);

/// <summary>What was typed, read.</summary>
/// <param name="Lines">Each line that is not empty.</param>
/// <param name="Corrections">What all of them do; empty where one of them cannot be taken.</param>
/// <param name="Home">The home after them; null where one cannot be taken.</param>
public sealed record QuickReading(IReadOnlyList<QuickLine> Lines, IReadOnlyList<Correction> Corrections, HomeFile? Home);

/// <summary>
/// Reads what is typed quickly: a line for each thing, its name first, then parts between commas in any order. Each part is known
/// by its shape or by its word, so that nothing has to be picked from a list.
/// </summary>
public static class QuickEntry
{
    /// <summary>How many lines are read at once.</summary>
    public const int MostLines = 200;

    /// <summary>The longest line, in characters.</summary>
    public const int LongestLine = 500;

    /// <summary>Reads lines for one list. Each line sees what the ones before it added.</summary>
    public static QuickReading Read(HomeFile home, Shelf shelf, QuickList list, string text)
    {
        var lines = text.ReplaceLineEndings("\n").Split('\n');
        var read = new List<QuickLine>();
        var corrections = new List<Correction>();
        var at = home;
        for (var i = 0; i < lines.Length; i++)
        {
            if (lines[i].Trim().Length == 0)
            {
                continue;
            }
            if (read.Count >= MostLines || lines[i].Length > LongestLine)
            {
                read.Add(
                    new(
                        i + 1,
                        [],
                        read.Count >= MostLines
                            ? $"At most {MostLines} lines are read at once."
                            : $"A line has at most {LongestLine} characters.",
                        1
                    )
                );
                break;
            }
            var words = new QuickWords(lines[i]);
            var made = list switch
            {
                QuickList.Service => QuickService.Read(at, words),
                QuickList.Gear => QuickGear.Read(at, shelf, words),
                QuickList.Places => QuickPlace.Read(at, words),
                QuickList.Devices => QuickDevice.Read(at, words),
                QuickList.Needs => QuickNeed.Read(at, words),
                _ => throw new ArgumentOutOfRangeException(nameof(list)),
            };
            var wrong = words.Error;
            if (wrong is null && made is not null)
            {
                var done = CorrectionList.Apply(at, shelf, made);
                wrong = done.Ok ? null : (done.Error, 1);
                if (done.Ok)
                {
                    at = done.Value;
                    corrections.AddRange(made);
                }
            }
            read.Add(new(i + 1, words.Parts, wrong?.Text, wrong?.Column));
        }
        var ok = read.Count > 0 && read.All(l => l.Error is null);
        return new(read, ok ? corrections : [], ok ? at : null);
    }
}

/// <summary>The parts of one line while it is read.</summary>
internal sealed class QuickWords
{
    private readonly List<QuickPart> _parts = [];
    private readonly List<(string Text, int Column)> _left;

    public QuickWords(string line)
    {
        _left = [];
        var column = 1;
        foreach (var piece in line.Split([',', ';', '\t']))
        {
            var text = piece.Trim();
            if (text.Length > 0)
            {
                _left.Add((text, column + piece.Length - piece.TrimStart().Length));
            }
            column += piece.Length + 1;
        }
    }

    public IReadOnlyList<QuickPart> Parts => _parts;

    public (string Text, int Column)? Error { get; private set; }

    /// <summary>The first part, taken as a name; null where there is none.</summary>
    public string? Name(string what)
    {
        if (_left.Count == 0)
        {
            Fail($"A line begins with {what}.", 1);
            return null;
        }
        var (text, column) = _left[0];
        _left.RemoveAt(0);
        _parts.Add(new(text, what));
        if (Given.WrongName(text) is { } wrong)
        {
            Fail(wrong, column);
        }
        return text;
    }

    /// <summary>Goes through the rest, part by part: each reader says what a part means, or nothing where it is not its kind.</summary>
    public void Rest(string expected, params Func<string, Parsed<string>?>[] readers)
    {
        foreach (var (text, column) in _left)
        {
            var means = readers.Select(r => r(text)).FirstOrDefault(m => m is not null);
            _parts.Add(new(text, means is { Ok: true } known ? known.Value : null));
            if (means is null)
            {
                Fail($"'{Ipv4Address.Shown(text)}' is not understood here; {expected}.", column);
            }
            else if (!means.Value.Ok)
            {
                Fail(means.Value.Error, column);
            }
        }
    }

    /// <summary>Notes the first thing that is wrong.</summary>
    public void Fail(string text, int column) => Error ??= (text, column);

    /// <summary>Whether a part is one of some words, capitals or not.</summary>
    public static bool Is(string text, params ReadOnlySpan<string> words)
    {
        foreach (var word in words)
        {
            if (string.Equals(text, word, StringComparison.OrdinalIgnoreCase))
            {
                return true;
            }
        }
        return false;
    }

    /// <summary>What a part means, as a reader answers.</summary>
    public static Parsed<string>? Means(string what) => what;

    /// <summary>The place that a part names in full, or by the beginning of one place's name; null where it is none.</summary>
    public static Place? PlaceIn(Site site, string text)
    {
        if (site.Places.FirstOrDefault(p => string.Equals(p.Name, text, StringComparison.OrdinalIgnoreCase) || p.Id == text) is { } exact)
        {
            return exact;
        }
        var begun = text.Length < 2 ? [] : site.Places.Where(p => p.Name.StartsWith(text, StringComparison.OrdinalIgnoreCase)).ToList();
        return begun is [var one] ? one : null;
    }

    /// <summary>
    /// A MAC address as labels print it: with colons, hyphens, dots, or nothing between; null where a part does not look like one.
    /// </summary>
    public static Parsed<MacAddress>? Mac(string text)
    {
        var digits = string.Concat(text.Where(char.IsAsciiHexDigit));
        return digits.Length == 12 && text.All(c => char.IsAsciiHexDigit(c) || c is ':' or '-' or '.' or ' ')
            ? MacAddress.Parse(string.Join(':', Enumerable.Range(0, 6).Select(i => digits.Substring(2 * i, 2))))
            : null;
    }
}
