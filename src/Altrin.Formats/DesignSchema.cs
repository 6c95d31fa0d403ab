using System.Text.Json;
using System.Text.RegularExpressions;
using Altrin.Core.Addressing;
using NJsonSchema;
using NJsonSchema.Generation;
using NJsonSchema.Generation.TypeMappers;
using NJsonSchema.Validation;

namespace Altrin.Formats;

/// <summary>The JSON Schema of the design file, made from the types that read it and published in the documents.</summary>
public static class DesignSchema
{
    private static readonly SchemaOf<DesignDocument> Schema = new("Altrin design file", "design-file.schema.json");

    /// <summary>The schema as text, for publication.</summary>
    public static string Text => Schema.Text;

    /// <summary>Up to <see cref="FileError.Most"/> violations, in the order of the file.</summary>
    internal static IReadOnlyList<FileError> Validate(string json) => Schema.Validate(json);
}

/// <summary>The JSON Schema of a document, and what a text has against it.</summary>
/// <typeparam name="T">The document.</typeparam>
/// <param name="title">What it is called.</param>
/// <param name="published">The file that it is published as, which ships with the program: to make it anew takes a second.</param>
internal sealed class SchemaOf<T>(string title, string published)
{
    private readonly Lazy<JsonSchema> _schema = new(() => JsonSchema.FromJsonAsync(Resources.Text(published)).GetAwaiter().GetResult());

    /// <summary>The schema as text, made from the types.</summary>
    public string Text => Make(title).ToJson() + "\n";

    /// <summary>Up to <see cref="FileError.Most"/> violations, in the order of the file.</summary>
    public IReadOnlyList<FileError> Validate(string json)
    {
        using var document = JsonDocument.Parse(json, new() { MaxDepth = AltrinJson.Depth });
        return
        [
            .. Violations
                .Leaves(_schema.Value.Validate(json))
                .Take(FileError.Most)
                .Select(e => Violations.Explain(e, document.RootElement)),
        ];
    }

    private const string MacText = "^([0-9A-Fa-f]{2}[:-]){5}[0-9A-Fa-f]{2}$";

    private static JsonSchema Make(string title)
    {
        var settings = new SystemTextJsonSchemaGeneratorSettings
        {
            SerializerOptions = AltrinJson.Options,
            DefaultReferenceTypeNullHandling = ReferenceTypeNullHandling.NotNull,
            FlattenInheritanceHierarchy = true,
            // It is written as text, by a converter that the generator does not see through.
            TypeMappers = { new PrimitiveTypeMapper(typeof(MacAddress), s => (s.Type, s.Pattern) = (JsonObjectType.String, MacText)) },
        };
        var schema = JsonSchema.FromType<T>(settings);
        schema.Title = title;
        return schema;
    }
}

/// <summary>Violations of a schema in words.</summary>
internal static partial class Violations
{
    /// <summary>What is wrong at the end of each branch. That a part which is there is not null is no help.</summary>
    public static IEnumerable<ValidationError> Leaves(IEnumerable<ValidationError> errors) =>
        errors.SelectMany(e =>
            e switch
            {
                ChildSchemaValidationError child => child
                    .Errors.Where(c => c.Key.Type != JsonObjectType.Null || child.Errors.Count == 1)
                    .SelectMany(c => Leaves(c.Value)),
                // Of what may be left out, only what is wrong inside tells more than that neither fits.
                MultiTypeValidationError multi
                    when multi.Errors.Where(t => t.Key != JsonObjectType.Null).ToList()
                        is [{ Key: JsonObjectType.Array or JsonObjectType.Object } there]
                        && !there.Value.Any(v => v.Kind is ValidationErrorKind.ArrayExpected or ValidationErrorKind.ObjectExpected) =>
                    Leaves(there.Value),
                _ => [e],
            }
        );

    public static FileError Explain(ValidationError error, JsonElement root)
    {
        var pointer = Pointer(error.Path);
        var found = At(root, pointer);
        var shown = found is { } there ? Shown(there) : "nothing";
        var schema = error.Schema.ActualSchema;
        return error.Kind switch
        {
            ValidationErrorKind.PropertyRequired => new(pointer, "nothing", $"'{error.Property}' is required"),
            ValidationErrorKind.NoAdditionalPropertiesAllowed => new(
                pointer,
                $"the unknown member '{error.Property}'",
                $"allowed: {string.Join(", ", schema.ActualProperties.Keys)}"
            ),
            ValidationErrorKind.NotInEnumeration => new(pointer, shown, $"allowed: {string.Join(", ", schema.Enumeration)}"),
            ValidationErrorKind.PatternMismatch => new(pointer, shown, $"text of the form {schema.Pattern} is expected"),
            ValidationErrorKind.StringTooLong => new(pointer, shown, $"at most {schema.MaxLength} characters"),
            ValidationErrorKind.StringTooShort => new(pointer, shown, $"at least {schema.MinLength} characters"),
            ValidationErrorKind.NumberTooBig => new(pointer, shown, $"at most {schema.Maximum}"),
            ValidationErrorKind.NumberTooSmall => new(pointer, shown, $"at least {schema.Minimum}"),
            ValidationErrorKind.TooManyItems => new(pointer, shown, $"at most {schema.MaxItems} items"),
            ValidationErrorKind.TooFewItems => new(pointer, shown, $"at least {schema.MinItems} items"),
            ValidationErrorKind.IntegerExpected => new(pointer, shown, "a whole number is expected"),
            ValidationErrorKind.NumberExpected => new(pointer, shown, "a number is expected"),
            ValidationErrorKind.StringExpected => new(pointer, shown, "text is expected"),
            ValidationErrorKind.BooleanExpected => new(pointer, shown, "true or false is expected"),
            ValidationErrorKind.ArrayExpected => new(pointer, shown, "a list is expected"),
            ValidationErrorKind.ObjectExpected => new(pointer, shown, "an object is expected"),
            _ => new(pointer, shown, $"{Expected(schema)} is expected"),
        };
    }

    /// <summary>What a place may hold, where the validator only says that it does not hold it.</summary>
    private static string Expected(JsonSchema schema)
    {
        var types = schema
            .Type.ToString()
            .ToLowerInvariant()
            .Replace("integer", "a whole number", StringComparison.Ordinal)
            .Replace("string", "text", StringComparison.Ordinal)
            .Replace(", ", " or ", StringComparison.Ordinal);
        var bounds =
            (schema.Minimum is { } least ? $" at least {least}" : "")
            + (schema.Maximum is { } most ? $"{(schema.Minimum is null ? "" : " and")} at most {most}" : "")
            + (schema.MaxLength is { } longest ? $" of at most {longest} characters" : "")
            + (schema.Pattern is { } pattern ? $" of the form {pattern}" : "");
        return types + bounds;
    }

    /// <summary>"#/site.boxes[0].id" as a JSON pointer.</summary>
    private static string Pointer(string? path) =>
        path is null or "#" or ""
            ? ""
            : Steps().Replace("/" + path.TrimStart('#').TrimStart('/'), m => m.Groups[1].Success ? "/" + m.Groups[1].Value : "/");

    private static JsonElement? At(JsonElement root, string pointer)
    {
        JsonElement? at = root;
        foreach (var step in pointer.Split('/', StringSplitOptions.RemoveEmptyEntries))
        {
            at = at switch
            {
                { ValueKind: JsonValueKind.Object } o when o.TryGetProperty(step, out var member) => member,
                { ValueKind: JsonValueKind.Array } a when int.TryParse(step, out var index) && index < a.GetArrayLength() => a[index],
                _ => null,
            };
        }
        return at;
    }

    private static string Shown(JsonElement element) =>
        element.ValueKind switch
        {
            JsonValueKind.Object => "an object",
            JsonValueKind.Array => $"a list of {element.GetArrayLength()}",
            _ => element.GetRawText() is { Length: > 60 } raw ? raw[..60] + "…" : element.GetRawText(),
        };

    [GeneratedRegex(@"\[(\d+)\]|\.", RegexOptions.NonBacktracking)]
    private static partial Regex Steps();
}
