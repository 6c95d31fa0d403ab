using System.Text;

namespace Altrin.Core.Readings;

/// <summary>A text in lines, free of what terminals and web pages leave in it.</summary>
internal sealed class PrintedText
{
    private PrintedText(IReadOnlyList<TextLine> lines) => Lines = lines;

    public IReadOnlyList<TextLine> Lines { get; }

    /// <summary>The line at an index; an empty one past the end.</summary>
    public TextLine this[int index] => index < Lines.Count ? Lines[index] : End;

    private static TextLine End { get; } = new(0, "");

    /// <summary>The first index from <paramref name="at"/> on that is not blank, looking at <paramref name="most"/> lines.</summary>
    public int NotBlank(int at, int most = 3)
    {
        var index = at;
        while (index < Lines.Count && index < at + most && Lines[index].IsBlank)
        {
            index++;
        }
        return index;
    }

    /// <summary>
    /// Splits at every kind of line end; drops colour codes, marks of direction and control characters; takes odd blanks for blanks.
    /// </summary>
    public static PrintedText Of(string text)
    {
        var lines = new List<TextLine>();
        var line = new StringBuilder();
        for (var i = 0; i < text.Length; i++)
        {
            var c = text[i];
            switch (c)
            {
                case '\r' or '\n' or '\u2028' or '\u2029' or '\u0085':
                    if (c == '\r' && i + 1 < text.Length && text[i + 1] == '\n')
                    {
                        i++;
                    }
                    lines.Add(new(lines.Count + 1, line.ToString()));
                    line.Clear();
                    break;
                case '\u001b':
                    i = AfterEscape(text, i);
                    break;
                case '\t':
                    line.Append(c);
                    break;
                default:
                    // Marks of direction, byte order and joining stand between what a page shows; they are nothing that it says.
                    if (c is '\u00a0' or '\u202f' or '\u3000' or (>= '\u2000' and <= '\u200a'))
                    {
                        line.Append(' ');
                    }
                    else if (c == '\uff1a')
                    {
                        line.Append(':');
                    }
                    else if (
                        !char.IsControl(c)
                        && c
                            is not (
                                '\ufeff'
                                or '\u200b'
                                or '\u200c'
                                or '\u200d'
                                or '\u200e'
                                or '\u200f'
                                or (>= '\u202a' and <= '\u202e')
                                or (>= '\u2066' and <= '\u2069')
                            )
                    )
                    {
                        line.Append(c);
                    }
                    break;
            }
        }
        if (line.Length > 0)
        {
            lines.Add(new(lines.Count + 1, line.ToString()));
        }
        return new(lines);
    }

    /// <summary>
    /// The last character of an escape sequence of a terminal (ECMA-48, from memory): a bracket, parameters, one final character.
    /// </summary>
    private static int AfterEscape(string text, int at)
    {
        if (at + 1 >= text.Length || text[at + 1] != '[')
        {
            return at;
        }
        var end = at + 2;
        while (end < text.Length && end < at + 32 && text[end] is >= ' ' and <= '?')
        {
            end++;
        }
        return end < text.Length && text[end] is >= '@' and <= '~' ? end : at + 1;
    }
}
