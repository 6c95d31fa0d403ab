using System.Text;
using System.Text.Json;

namespace Altrin.Formats;

/// <summary>What reading any JSON file of Altrin has in common: size, encoding, syntax, format and version.</summary>
internal static class JsonText
{
    /// <summary>The largest file that is read, in bytes.</summary>
    public const int MostBytes = 2 * 1024 * 1024;

    /// <summary>Bytes as text, handed on; or why they are none.</summary>
    public static FileRead<T> Read<T>(ReadOnlySpan<byte> utf8, string what, Func<string, FileRead<T>> read)
        where T : class
    {
        if (utf8.Length > MostBytes)
        {
            return new(null, [new("", $"{utf8.Length} bytes", $"at most {MostBytes} bytes are read")]);
        }
        try
        {
            return read(new UTF8Encoding(false, throwOnInvalidBytes: true).GetString(utf8).TrimStart('\uFEFF'));
        }
        catch (DecoderFallbackException e)
        {
            return new(null, [new($"byte {e.Index}", "bytes that are not UTF-8", $"{what} is UTF-8 text")]);
        }
    }

    /// <summary>
    /// Why text is no JSON, another format, or of a version that this program does not know; null where it can be read on.
    /// </summary>
    public static FileError? Unreadable(string json, string what, string format, int newest)
    {
        try
        {
            using var document = JsonDocument.Parse(json, new() { MaxDepth = AltrinJson.Depth, AllowDuplicateProperties = false });
            var root = document.RootElement;
            if (
                root.ValueKind != JsonValueKind.Object
                || !root.TryGetProperty("format", out var said)
                || said.ValueKind != JsonValueKind.String
                || said.GetString() != format
            )
            {
                return new("/format", "something else", $"{what} says \"format\": \"{format}\"");
            }
            return
                root.TryGetProperty("formatVersion", out var version)
                && version.ValueKind == JsonValueKind.Number
                && version.TryGetInt32(out var number)
                && number > newest
                ? new("/formatVersion", $"version {number}", $"this program reads up to version {newest}; a newer Altrin wrote the file")
                : null;
        }
        catch (JsonException e)
        {
            var place = e.LineNumber is { } line ? $"line {line + 1}, column {e.BytePositionInLine + 1}" : "";
            var why = e.Message.Split(" LineNumber")[0].Split(" Path:")[0].TrimEnd('.');
            return new(
                place,
                json.Length == 0 ? "nothing" : $"text that is not JSON ({why})",
                $"{what} is JSON, each member once, nested at most {AltrinJson.Depth} deep"
            );
        }
    }

    /// <summary>
    /// The document, handed on; the schema is checked first, so that what is left is what only the reader sees, such as 1.0 where a whole
    /// number is wanted.
    /// </summary>
    public static FileRead<T> Deserialise<TDocument, T>(string json, Func<TDocument, FileRead<T>> read)
        where T : class
    {
        try
        {
            return read(JsonSerializer.Deserialize<TDocument>(json, AltrinJson.Options)!);
        }
        catch (JsonException e)
        {
            return new(null, [new(JsonMistakes.Pointer(e), "a value that cannot be read", JsonMistakes.Explain(e).TrimEnd('.'))]);
        }
    }
}
