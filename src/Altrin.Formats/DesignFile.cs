using System.Text;
using System.Text.Json;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>A home as a design file holds it: one site and its named set-ups.</summary>
/// <param name="Site">What is given.</param>
/// <param name="SetUps">What is chosen, at least one.</param>
public sealed record HomeFile(Site Site, IReadOnlyList<SetUp> SetUps)
{
    /// <summary>One set-up with its site; null when no set-up has the name.</summary>
    public Design? Design(string setUp) => SetUps.FirstOrDefault(s => s.Name == setUp) is { } found ? new(Site, found) : null;

    /// <summary>The set-up that is shown first: "planned" where there is one, else the last.</summary>
    public SetUp Foremost => SetUps.FirstOrDefault(s => s.Name == "planned") ?? SetUps[^1];

    /// <summary>The same home with one set-up exchanged for its successor of the same name.</summary>
    public HomeFile With(SetUp changed) => this with { SetUps = [.. SetUps.Select(s => s.Name == changed.Name ? changed : s)] };
}

/// <summary>Reads and writes design files.</summary>
public static class DesignFile
{
    /// <summary>The largest file that is read, in bytes.</summary>
    public const int MostBytes = 2 * 1024 * 1024;

    /// <summary>
    /// Reads a design file: size and syntax, then the schema, then what the schema cannot say. Bad input is answered by errors,
    /// never by an exception.
    /// </summary>
    public static FileRead<HomeFile> Read(ReadOnlySpan<byte> utf8)
    {
        if (utf8.Length > MostBytes)
        {
            return Fail(new FileError("", $"{utf8.Length} bytes", $"at most {MostBytes} bytes are read"));
        }
        string json;
        try
        {
            json = new UTF8Encoding(false, throwOnInvalidBytes: true).GetString(utf8).TrimStart('\uFEFF');
        }
        catch (DecoderFallbackException e)
        {
            return Fail(new FileError($"byte {e.Index}", "bytes that are not UTF-8", "a design file is UTF-8 text"));
        }
        return Read(json);
    }

    /// <summary>Reads a design file from text.</summary>
    public static FileRead<HomeFile> Read(string json)
    {
        if (SyntaxError(json) is { } syntax)
        {
            return Fail(syntax);
        }
        if (Unreadable(json) is { } unreadable)
        {
            return Fail(unreadable);
        }
        json = DesignUpgrades.ToNewest(json);
        var violations = DesignSchema.Validate(json);
        if (violations.Count > 0)
        {
            return new(null, violations);
        }
        try
        {
            return DesignReader.Read(JsonSerializer.Deserialize<DesignDocument>(json, AltrinJson.Options)!);
        }
        catch (JsonException e)
        {
            // The schema is checked first; what is left is what only the reader sees, such as 1.0 where a whole number is wanted.
            return Fail(new FileError(e.Path?.TrimStart('$').Replace('.', '/').Replace('[', '/').Replace("]", "", StringComparison.Ordinal) ?? "", "a value that cannot be read", "see the description of the design file"));
        }
    }

    /// <summary>Writes a home as a design file of the newest version; reading it again gives the same home.</summary>
    public static string Write(HomeFile home) => JsonSerializer.Serialize(DesignWriter.Document(home), AltrinJson.Indented) + "\n";

    private static FileError? SyntaxError(string json)
    {
        try
        {
            using var _ = JsonDocument.Parse(json, new() { MaxDepth = AltrinJson.Depth, AllowDuplicateProperties = false });
            return null;
        }
        catch (JsonException e)
        {
            var place = e.LineNumber is { } line ? $"line {line + 1}, column {e.BytePositionInLine + 1}" : "";
            var what = e.Message.Split(" LineNumber")[0].Split(" Path:")[0].TrimEnd('.');
            return new(place, json.Length == 0 ? "nothing" : $"text that is not JSON ({what})", $"a design file is JSON, each member once, nested at most {AltrinJson.Depth} deep");
        }
    }

    /// <summary>Something else, or a design file of a version that this program does not know.</summary>
    private static FileError? Unreadable(string json)
    {
        using var document = JsonDocument.Parse(json, new() { MaxDepth = AltrinJson.Depth });
        var root = document.RootElement;
        if (root.ValueKind != JsonValueKind.Object || !root.TryGetProperty("format", out var format) || format.ValueKind != JsonValueKind.String || format.GetString() != DesignDocument.FormatName)
        {
            return new("/format", "something else", $"a design file says \"format\": \"{DesignDocument.FormatName}\"");
        }
        return root.TryGetProperty("formatVersion", out var version) && version.ValueKind == JsonValueKind.Number && version.TryGetInt32(out var number) && number > DesignDocument.NewestVersion
            ? new("/formatVersion", $"version {number}", $"this program reads up to version {DesignDocument.NewestVersion}; a newer Altrin wrote the file")
            : null;
    }

    private static FileRead<HomeFile> Fail(FileError error) => new(null, [error]);
}
