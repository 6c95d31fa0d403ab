using Altrin.Core.Addressing;

namespace Altrin.Core.Readings;

/// <summary>One line of a text that a machine printed.</summary>
internal sealed class TextLine
{
    private IReadOnlyList<Token>? _tokens;

    public TextLine(int number, string text)
    {
        Number = number;
        Text = text.TrimEnd();
        Trimmed = Text.TrimStart();
        Indent = Text.Length - Trimmed.Length;
    }

    /// <summary>Counted from 1.</summary>
    public int Number { get; }

    /// <summary>Without blanks at its end.</summary>
    public string Text { get; }

    /// <summary>Without blanks at either end.</summary>
    public string Trimmed { get; }

    /// <summary>How many blanks it begins with.</summary>
    public int Indent { get; }

    public bool IsBlank => Trimmed.Length == 0;

    /// <summary>Addresses and numbers, from left to right; places are those in <see cref="Trimmed"/>.</summary>
    public IReadOnlyList<Token> Tokens => _tokens ??= Scanner.Scan(Trimmed);

    /// <summary>Its IPv4 addresses.</summary>
    public IEnumerable<Token> Addresses => Tokens.Where(t => t.Kind == TokenKind.Address);

    /// <summary>Its first MAC address; null where it has none.</summary>
    public MacAddress? Mac => Tokens.FirstOrDefault(t => t.Kind == TokenKind.Mac) is { Kind: TokenKind.Mac } found ? found.Mac : null;

    /// <summary>Its numbers.</summary>
    public IEnumerable<Token> Numbers => Tokens.Where(t => t.Kind == TokenKind.Number);

    /// <summary>Pieces between blanks.</summary>
    public string[] Words => Trimmed.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries);

    public bool StartsWith(string text) => Trimmed.StartsWith(text, StringComparison.Ordinal);

    public bool Contains(string text) => Trimmed.Contains(text, StringComparison.OrdinalIgnoreCase);
}
