using Altrin.Core.Sites;
using Altrin.Formats;

namespace Altrin.Testing;

internal static class Samples
{
    private static string Folder => Path.Combine(AppContext.BaseDirectory, "samples");

    public static IEnumerable<string> All =>
        Directory.GetFiles(Folder, "*.json").Select(f => Path.GetFileName(f)!).Order(StringComparer.Ordinal);

    public static string Text(string name) => File.ReadAllText(Path.Combine(Folder, name));

    /// <summary>Lists of acts, each named as the home that it is played in.</summary>
    public static IEnumerable<string> Evenings =>
        Directory.GetFiles(Path.Combine(Folder, "evenings")).Select(f => Path.GetFileName(f)!).Order(StringComparer.Ordinal);

    public static string Evening(string name) => Text(Path.Combine("evenings", name));

    public static HomeFile Home(string name) =>
        DesignFile.Read(Text(name)) is { Value: { } home } ? home : throw new InvalidDataException(name);

    public static string Document(string name) => File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "docs", name));

    /// <summary>A source file of the page.</summary>
    public static string Page(string name) => File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "page", name));
}
