using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>The parts of one line while it is read.</summary>
internal sealed class QuickWords
{
    private const int MostCommas = 6;

    private readonly List<QuickPart> _parts = [];
    private readonly List<QuickOffer> _offers = [];
    private readonly List<(string Text, int Column)> _pieces = [];
    private int _rest;

    public QuickWords(string line)
    {
        var column = 1;
        foreach (var piece in line.Split([',', ';', '\t']))
        {
            var text = piece.Trim();
            if (text.Length > 0)
            {
                _pieces.Add((text, column + piece.Length - piece.TrimStart().Length));
            }
            column += piece.Length + 1;
        }
    }

    public IReadOnlyList<QuickPart> Parts => _parts;

    public IReadOnlyList<QuickOffer> Offers => _offers;

    public (string Text, int Column)? Error { get; private set; }

    /// <summary>The first part, taken as a name; null where there is none.</summary>
    public string? Name(string what)
    {
        if (_pieces.Count == 0)
        {
            Fail($"A line begins with {what}.", 1);
            return null;
        }
        var (text, column) = _pieces[0];
        _rest = 1;
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
        foreach (var piece in Unread(readers))
        {
            Strange(piece, expected);
        }
    }

    /// <summary>Goes through the rest as <see cref="Rest"/> does, and returns the numbers of the parts that no reader takes.</summary>
    public IReadOnlyList<int> Unread(params Func<string, Parsed<string>?>[] readers)
    {
        var unread = new List<int>();
        for (var i = _rest; i < _pieces.Count; i++)
        {
            var (text, column) = _pieces[i];
            var means = readers.Select(r => r(text)).FirstOrDefault(m => m is not null);
            _parts.Add(new(text, means is { Ok: true } known ? known.Value : null));
            if (means is null)
            {
                unread.Add(i);
            }
            else if (!means.Value.Ok)
            {
                Fail(means.Value.Error, column);
            }
        }
        return unread;
    }

    /// <summary>What a part says.</summary>
    public string Text(int piece) => _pieces[piece].Text;

    /// <summary>Notes what a part that no reader took means after all.</summary>
    public void Mean(int piece, string means) => _parts[piece] = _parts[piece] with { Means = means };

    /// <summary>Notes that a part is not understood.</summary>
    public void Strange(int piece, string expected) =>
        Fail($"'{Ipv4Address.Shown(_pieces[piece].Text)}' is not understood here; {expected}.", _pieces[piece].Column);

    /// <summary>Notes what is wrong with a part.</summary>
    public void FailAt(int piece, string text) => Fail(text, _pieces[piece].Column);

    /// <summary>Offers the line with a part written otherwise, and some parts left out.</summary>
    public void Offer(string says, int piece, string instead, IReadOnlyList<int> without)
    {
        if (_offers.Count < QuickLine.MostOffers)
        {
            _offers.Add(
                new(
                    says,
                    string.Join(
                        ", ",
                        _pieces
                            .Select((p, i) => i == piece ? instead : p.Text)
                            .Where((_, i) => i == piece || !without.Contains(i))
                            .Concat(piece == _pieces.Count ? [instead] : [])
                    )
                )
            );
        }
    }

    /// <summary>
    /// The line with a comma in place of each blank of the part that is wrong, one after the other; of a part of many words, the first
    /// few blanks only.
    /// </summary>
    public IEnumerable<string> WithComma()
    {
        var wrong = _pieces.FindIndex(p => p.Column == Error?.Column);
        if (wrong < 0)
        {
            return [];
        }
        var words = _pieces[wrong].Text.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        return Enumerable
            .Range(1, Math.Clamp(words.Length - 1, 0, MostCommas))
            .Select(n =>
                string.Join(
                    ", ",
                    _pieces.Select((p, i) => i == wrong ? $"{string.Join(' ', words[..n])}, {string.Join(' ', words[n..])}" : p.Text)
                )
            );
    }

    /// <summary>How many parts there are: the number of one that is still to be written.</summary>
    public int Count => _pieces.Count;

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
