namespace Altrin.Core.Sites;

/// <summary>Readable ids.</summary>
public static class Slugs
{
    /// <summary>Small letters, digits and hyphens, 1 to 60 characters, beginning with a letter or digit.</summary>
    public const string Pattern = "^[a-z0-9][a-z0-9-]{0,59}$";

    /// <summary>Whether a text can be an id.</summary>
    public static bool IsOne(string text) =>
        text.Length is > 0 and <= 60 && text[0] != '-' && text.All(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) || c == '-');

    /// <summary>An id made of a name, such as "loft-router" of "Loft router"; not one of those that are taken.</summary>
    /// <param name="name">What to name it after.</param>
    /// <param name="taken">Whether an id is used already.</param>
    /// <param name="otherwise">What to call it where the name holds no plain letter.</param>
    public static string Of(string name, Func<string, bool> taken, string otherwise)
    {
        var plain = string.Join(
            '-',
            string.Concat(name.ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : ' '))
                .Split(' ', StringSplitOptions.RemoveEmptyEntries)
        );
        var stem =
            plain.Length == 0 ? otherwise
            : plain.Length > 50 ? plain[..50].TrimEnd('-')
            : plain;
        var id = stem;
        for (var n = 2; taken(id) || id == PortRef.Street; n++)
        {
            id = $"{stem}-{n}";
        }
        return id;
    }
}
