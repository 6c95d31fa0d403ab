using Altrin.Core.Sites;
using Altrin.Formats;

namespace Altrin.Cli;

/// <summary>Where commands have their design from: a file or standard input, and one of its set-ups.</summary>
internal static class DesignSource
{
    /// <summary>The design; null where it cannot be read, and why is said on <paramref name="errors"/>.</summary>
    public static Design? Read(string file, string? setUp, Stream input, TextWriter errors) =>
        Home(file, input, errors) is { } home ? SetUp(home, setUp, errors) : null;

    /// <summary>The home with all of its set-ups; null where it cannot be read, and why is said.</summary>
    public static HomeFile? Home(string file, Stream input, TextWriter errors)
    {
        byte[] bytes;
        try
        {
            using var source = Open(file, input);
            bytes = ReadAtMost(source, DesignFile.MostBytes + 1);
        }
        catch (Exception e) when (WhyUnread(file, e) is { } why)
        {
            errors.WriteLine($"altrin: {why}");
            return null;
        }
        var read = DesignFile.Read(bytes);
        if (read.Value is not { } home)
        {
            errors.WriteLine($"altrin: {(file == "-" ? "standard input" : file)} is not a design file that can be proven:");
            foreach (var error in read.Errors)
            {
                errors.WriteLine($"  {error}");
            }
            return null;
        }
        return home;
    }

    /// <summary>A set-up of a home, the foremost where none is named; null where there is none of that name, which is said.</summary>
    public static Design? SetUp(HomeFile home, string? setUp, TextWriter errors)
    {
        var name = setUp ?? home.Foremost.Name;
        if (home.Design(name) is not { } design)
        {
            errors.WriteLine($"altrin: there is no set-up '{name}'; there is {string.Join(", ", home.SetUps.Select(s => s.Name))}.");
            return null;
        }
        return design;
    }

    /// <summary>A file, or standard input for "-".</summary>
    internal static Stream Open(string file, Stream input) => file == "-" ? input : File.OpenRead(file);

    /// <summary>Why a file could not be opened or read, as a sentence; null for any other fault.</summary>
    internal static string? WhyUnread(string file, Exception e) =>
        e switch
        {
            ArgumentException => "the name of a file is expected.",
            _ when Directory.Exists(file) => $"{file} is a folder; a file is expected.",
            FileNotFoundException or DirectoryNotFoundException => $"there is no file {file}.",
            UnauthorizedAccessException => $"{file} cannot be read: you have no right to.",
            IOException => $"{file} cannot be read: {e.Message}",
            _ => null,
        };

    internal static byte[] ReadAtMost(Stream source, int most)
    {
        using var held = new MemoryStream();
        var buffer = new byte[65536];
        int read;
        while (held.Length < most && (read = source.Read(buffer, 0, (int)Math.Min(buffer.Length, most - held.Length))) > 0)
        {
            held.Write(buffer, 0, read);
        }
        return held.ToArray();
    }
}
