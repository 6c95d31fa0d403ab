using System.Text.Json;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>Reads and writes design files.</summary>
public static class DesignFile
{
    /// <summary>The largest file that is read, in bytes.</summary>
    public const int MostBytes = JsonText.MostBytes;

    /// <summary>
    /// Reads a design file: size and syntax, then the schema, then what the schema cannot say. Bad input is answered by errors,
    /// never by an exception.
    /// </summary>
    public static FileRead<HomeFile> Read(ReadOnlySpan<byte> utf8) => JsonText.Read(utf8, What, Read);

    /// <summary>Reads a design file from text.</summary>
    public static FileRead<HomeFile> Read(string json)
    {
        if (JsonText.Unreadable(json, What, DesignDocument.FormatName, DesignDocument.NewestVersion) is { } unreadable)
        {
            return new(null, [unreadable]);
        }
        json = DesignUpgrades.ToNewest(json);
        // It is read while it is held to the schema: each takes as long as the other, and what is read counts only where the schema holds.
        var reading = Task.Run(() => JsonText.Deserialise<DesignDocument, DesignDocument>(json, read => new(read, [])));
        var violations = DesignSchema.Validate(json);
        if (violations.Count > 0)
        {
            return new(null, violations);
        }
        var (document, errors) = reading.GetAwaiter().GetResult();
        return document is null ? new(null, errors) : DesignReader.Read(document);
    }

    /// <summary>Writes a home as a design file of the newest version; reading it again gives the same home.</summary>
    public static string Write(HomeFile home) => JsonSerializer.Serialize(DesignWriter.Document(home), AltrinJson.Indented) + "\n";

    /// <summary>The same with keys and passwords in it, for a file that was asked to hold them.</summary>
    public static string Write(HomeFile home, IReadOnlyDictionary<string, string> secrets) =>
        JsonSerializer.Serialize(
            DesignWriter.Document(home) with
            {
                Secrets =
                [
                    .. secrets
                        .OrderBy(s => s.Key, StringComparer.Ordinal)
                        .Select(s => new SecretDocument { Reference = s.Key, Value = s.Value }),
                ],
            },
            AltrinJson.Indented
        ) + "\n";

    /// <summary>Keys and passwords of a file that could be read as a design; empty where it holds none.</summary>
    public static IReadOnlyDictionary<string, string> Secrets(ReadOnlySpan<byte> utf8) =>
        JsonText
            .Read(utf8, What, json =>
                JsonText.Deserialise<DesignDocument, Dictionary<string, string>>(DesignUpgrades.ToNewest(json), d =>
                    new(
                        (d.Secrets ?? []).DistinctBy(s => s.Reference).ToDictionary(s => s.Reference, s => s.Value, StringComparer.Ordinal),
                        []
                    )
                )
            )
            .Value
        ?? [];

    private const string What = "a design file";
}
