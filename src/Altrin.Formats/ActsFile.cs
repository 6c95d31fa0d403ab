using System.ComponentModel.DataAnnotations;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Altrin.Core.Procedures;

namespace Altrin.Formats;

/// <summary>A list of acts: an evening as a person writes it down.</summary>
public sealed record ActsDocument
{
    /// <summary>The value of <see cref="Format"/>.</summary>
    public const string FormatName = "altrin-acts";

    /// <summary>The newest version.</summary>
    public const int NewestVersion = 1;

    /// <summary>Always "altrin-acts".</summary>
    [Required, RegularExpression("^altrin-acts$")]
    public required string Format { get; init; }

    /// <summary>Which version of this format the file is written in.</summary>
    [Required, Range(1, NewestVersion)]
    public required int FormatVersion { get; init; }

    /// <summary>The set-up that the work begins with; left out for "found".</summary>
    public string? From { get; init; }

    /// <summary>The set-up that it should end in; left out for "planned" where there is one.</summary>
    public string? To { get; init; }

    /// <summary>The set-up that the work begins with, by name.</summary>
    [JsonIgnore]
    public string Begins => From ?? "found";

    /// <summary>The set-up that it should end in, by name.</summary>
    [JsonIgnore]
    public string Ends => To ?? "planned";

    /// <summary>
    /// The ways of who works; what is left out is as usual. An act that departs from them says so and is done all the same.
    /// </summary>
    public Ways? Ways { get; init; }

    /// <summary>The acts, in order; at most <see cref="Play.MostActs"/>.</summary>
    [Required]
    public required IReadOnlyList<Act> Acts { get; init; }
}

/// <summary>Reads lists of acts.</summary>
public static class ActsFile
{
    /// <summary>Reads a list of acts: size and syntax, then each act strictly.</summary>
    public static FileRead<ActsDocument> Read(ReadOnlySpan<byte> utf8) => JsonText.Read(utf8, "a list of acts", Read);

    /// <summary>Where a list that was read speaks of passwords: the place of each, and the reference that stands there.</summary>
    public static IReadOnlyList<(string Pointer, string Reference)> Passwords(string json)
    {
        var found = new List<(string, string)>();
        Look(JsonNode.Parse(json), "");
        return found;

        void Look(JsonNode? at, string pointer)
        {
            foreach (var (name, value) in at is JsonObject members ? members.ToArray() : [])
            {
                if (name == "password" && value is JsonValue text && text.TryGetValue<string>(out var reference))
                {
                    found.Add(($"{pointer}/{name}", reference));
                }
                Look(value, $"{pointer}/{name}");
            }
            foreach (var (item, i) in at is JsonArray items ? items.Select((x, i) => (x, i)) : [])
            {
                Look(item, $"{pointer}/{i}");
            }
        }
    }

    /// <summary>Reads a list of acts from text.</summary>
    public static FileRead<ActsDocument> Read(string json)
    {
        if (JsonText.Unreadable(json, "a list of acts", ActsDocument.FormatName, ActsDocument.NewestVersion) is { } unreadable)
        {
            return new(null, [unreadable]);
        }
        return JsonText.Deserialise<ActsDocument, ActsDocument>(json, document => document.FormatVersion < 1
                ? new(null, [new("/formatVersion", $"{document.FormatVersion}", "1 is expected")])
            : document.Acts.Count > Play.MostActs
                ? new(null, [new("/acts", $"{document.Acts.Count} acts", $"at most {Play.MostActs} are played")])
            : new(document, []));
    }
}
