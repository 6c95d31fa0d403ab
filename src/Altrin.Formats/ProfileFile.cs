using System.ComponentModel.DataAnnotations;
using System.Text.Json;
using System.Text.Json.Nodes;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Formats;

/// <summary>A file of profiles: entries of a gear shelf, to be taken from one laptop to another.</summary>
public sealed record ProfilesDocument
{
    /// <summary>The value of <see cref="Format"/>.</summary>
    public const string FormatName = "altrin-profiles";

    /// <summary>The newest version.</summary>
    public const int NewestVersion = 2;

    /// <summary>Always "altrin-profiles".</summary>
    [Required, RegularExpression("^altrin-profiles$")]
    public required string Format { get; init; }

    /// <summary>Which version of this format the file is written in.</summary>
    [Required, Range(1, NewestVersion)]
    public required int FormatVersion { get; init; }

    /// <summary>The profiles, each with a shelf id of its own.</summary>
    [Required, MaxLength(Shelf.Most)]
    public required IReadOnlyList<ProfileDocument> Profiles { get; init; }
}

/// <summary>Reads and writes files of profiles.</summary>
public static class ProfileFile
{
    private static readonly SchemaOf<ProfilesDocument> Schema = new("Altrin profiles", "profiles-file.schema.json");

    /// <summary>What each version needs to become the next; the first entry is for version 1.</summary>
    private static readonly IReadOnlyList<Action<JsonObject>> Steps =
    [
        // 2 knows pages, and calls one way to pass an address on by another word.
        WordsOfVersion12.UpgradeProfiles,
    ];

    private static readonly Lazy<Shelf> Shipped = new(ReadShipped);

    /// <summary>The shelf that comes with Altrin.</summary>
    public static Shelf BuiltIn => Shipped.Value;

    /// <summary>The schema as text, for publication.</summary>
    public static string SchemaText => Schema.Text;

    /// <summary>Reads a file of profiles: size and syntax, the schema, then what the schema cannot say.</summary>
    public static FileRead<Shelf> Read(ReadOnlySpan<byte> utf8) => JsonText.Read(utf8, "a file of profiles", Read);

    /// <summary>Reads a file of profiles from text.</summary>
    public static FileRead<Shelf> Read(string json)
    {
        if (JsonText.Unreadable(json, "a file of profiles", ProfilesDocument.FormatName, ProfilesDocument.NewestVersion) is { } unreadable)
        {
            return new(null, [unreadable]);
        }
        json = JsonUpgrades.ToNewest(json, Steps);
        if (Schema.Validate(json) is { Count: > 0 } violations)
        {
            return new(null, violations);
        }
        return JsonText.Deserialise<ProfilesDocument, Shelf>(json, document =>
        {
            var errors = new ReadErrors();
            errors.Unique(document.Profiles, p => p.ShelfId, i => $"/profiles/{i}/shelfId", "a shelf id");
            var profiles = document.Profiles.Select((p, i) => ProfileReader.Read(p, $"/profiles/{i}", errors)).ToList();
            return errors.All.Count > 0 ? new(null, errors.All) : new(new(profiles), []);
        });
    }

    /// <summary>Writes profiles; reading them again gives the same.</summary>
    public static string Write(IReadOnlyList<Profile> profiles) =>
        JsonSerializer.Serialize(
            new ProfilesDocument
            {
                Format = ProfilesDocument.FormatName,
                FormatVersion = ProfilesDocument.NewestVersion,
                Profiles = [.. profiles.Select(ProfileWriter.Document)],
            },
            AltrinJson.Indented
        ) + "\n";

    private static Shelf ReadShipped()
    {
        var read = Read(Resources.Text("profiles.json"));
        return read.Value ?? throw new InvalidDataException($"The shelf that comes with Altrin cannot be read: {read.Errors[0]}");
    }
}
