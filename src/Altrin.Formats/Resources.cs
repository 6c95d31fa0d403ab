namespace Altrin.Formats;

/// <summary>Files that ship inside the program.</summary>
internal static class Resources
{
    /// <summary>The text of one.</summary>
    public static string Text(string name)
    {
        using var stream = typeof(Resources).Assembly.GetManifestResourceStream(name)!;
        using var reader = new StreamReader(stream);
        return reader.ReadToEnd();
    }
}
