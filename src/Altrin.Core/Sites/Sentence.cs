namespace Altrin.Core.Sites;

/// <summary>Words put together to a sentence.</summary>
internal static class Sentence
{
    /// <summary>The same text with a capital at its head; empty stays empty.</summary>
    public static string Capital(string text) => text.Length == 0 ? text : $"{char.ToUpperInvariant(text[0])}{text[1..]}";
}
