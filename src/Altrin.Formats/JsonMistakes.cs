using System.Collections;
using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using System.Text.RegularExpressions;

namespace Altrin.Formats;

/// <summary>
/// Says in words what is wrong with JSON that cannot be read, and what may stand there. The serialiser speaks of the types of the program,
/// which are not known outside; their names never leave.
/// </summary>
public static partial class JsonMistakes
{
    /// <summary>The place of a mistake as a JSON pointer (RFC 6901); empty for the whole.</summary>
    public static string Pointer(JsonException mistake) =>
        (mistake.Path ?? "")
            .TrimStart('$')
            .Replace('.', '/')
            .Replace("[", "/", StringComparison.Ordinal)
            .Replace("]", "", StringComparison.Ordinal);

    /// <summary>What is wrong and what may stand there, as a sentence.</summary>
    public static string Explain(JsonException mistake)
    {
        if (mistake is NotTakenException)
        {
            return mistake.Message;
        }
        var said = mistake.Message.Split(" Path:")[0].Split(" LineNumber:")[0];
        if (Unknown().Match(said) is { Success: true } unknown)
        {
            var known = TypeOf(unknown.Groups[2].Value) is { } holder
                ? AltrinJson.Options.GetTypeInfo(holder).Properties.Select(p => p.Name).Order(StringComparer.Ordinal).ToList()
                : [];
            return $"'{Cut(unknown.Groups[1].Value)}' is unknown here.{(known.Count == 0 ? "" : $" Known are {string.Join(", ", known)}.")}";
        }
        if (Missing().Match(said) is { Success: true } missing)
        {
            return $"{missing.Groups[1].Value.Replace("'", "", StringComparison.Ordinal)} must be given.";
        }
        if (Null().Match(said) is { Success: true } none)
        {
            return $"'{JsonNamingPolicy.CamelCase.ConvertName(none.Groups[1].Value)}' cannot be null.";
        }
        if (Twice().Match(said) is { Success: true } twice)
        {
            return $"'{Cut(twice.Groups[1].Value)}' is given twice.";
        }
        if (Other().Match(said) is { Success: true } other)
        {
            return $"{(TypeOf(other.Groups[1].Value) is { } named ? Wanted(At(named, Pointer(mistake))) : "Another value")} is expected.";
        }
        if (said.StartsWith("Read unrecognized type discriminator", StringComparison.Ordinal))
        {
            return "There is no such kind; the description lists them.";
        }
        if (
            mistake.InnerException is JsonException or null
            && !said.Contains("Altrin.", StringComparison.Ordinal)
            && !said.Contains("System.", StringComparison.Ordinal)
        )
        {
            return said;
        }
        return "This is not what is expected here; the description says what is.";
    }

    /// <summary>A kind of value, as the sentence begins that asks for it.</summary>
    public static string Wanted(Type type)
    {
        type = Nullable.GetUnderlyingType(type) ?? type;
        if (type.IsEnum)
        {
            return $"One of {string.Join(", ", Enum.GetNames(type).Select(n => JsonNamingPolicy.CamelCase.ConvertName(n)))}";
        }
        if (AltrinJson.TextTypes.TryGetValue(type, out var example))
        {
            return $"Text such as \"{example}\"";
        }
        return Type.GetTypeCode(type) switch
        {
            TypeCode.String => "Text",
            TypeCode.Boolean => "true or false",
            TypeCode.Byte or TypeCode.Int16 or TypeCode.Int32 or TypeCode.Int64 or TypeCode.UInt16 or TypeCode.UInt32 or TypeCode.UInt64 =>
                "A whole number",
            TypeCode.Single or TypeCode.Double or TypeCode.Decimal => "A number",
            TypeCode.DateTime => "A time such as \"2026-11-28T09:00:00Z\"",
            _ when type == typeof(DateTimeOffset) => "A time such as \"2026-11-28T09:00:00Z\"",
            _ when typeof(IEnumerable).IsAssignableFrom(type) => "A list",
            _ => "An object",
        };
    }

    /// <summary>
    /// Refuses null where a list holds values that cannot be null, and an object that should say of which kind it is and does not.
    /// </summary>
    internal static void Check(JsonTypeInfo type)
    {
        if (type.Kind == JsonTypeInfoKind.Enumerable && type.ElementType is { IsValueType: false })
        {
            type.OnDeserialized = list =>
            {
                var i = 0;
                foreach (var item in (IEnumerable)list)
                {
                    if (item is null)
                    {
                        throw new NotTakenException(
                            string.Create(CultureInfo.InvariantCulture, $"Item {i} of the list is null; each must have a value.")
                        );
                    }
                    i++;
                }
            };
        }
        if (type is { Kind: JsonTypeInfoKind.Object, Type.IsAbstract: true, PolymorphismOptions: { } kinds })
        {
            var said =
                $"'{kinds.TypeDiscriminatorPropertyName}' must be given: one of {string.Join(", ", kinds.DerivedTypes.Select(d => d.TypeDiscriminator))}.";
            type.CreateObject = () => throw new NotTakenException(said);
        }
    }

    /// <summary>
    /// The type of what stands at a place. The serialiser names the type that it was reading, which is the one there, or the object
    /// around it, or the whole.
    /// </summary>
    private static Type At(Type named, string pointer)
    {
        var steps = pointer.Split('/', StringSplitOptions.RemoveEmptyEntries);
        return Enumerable.Range(0, steps.Length).Select(from => Walk(named, steps[from..])).FirstOrDefault(t => t is not null) ?? named;
    }

    /// <summary>The type that some members lead to; null where they lead nowhere.</summary>
    private static Type? Walk(Type from, IEnumerable<string> steps)
    {
        foreach (var step in steps)
        {
            var info = AltrinJson.Options.GetTypeInfo(from);
            var next =
                info.Kind == JsonTypeInfoKind.Enumerable && step.All(char.IsAsciiDigit)
                    ? info.ElementType
                    : Kinds(info).SelectMany(k => k.Properties).FirstOrDefault(p => p.Name == step)?.PropertyType;
            if (next is null)
            {
                return null;
            }
            from = next;
        }
        return from;
    }

    /// <summary>A type with those that it is written as.</summary>
    private static IEnumerable<JsonTypeInfo> Kinds(JsonTypeInfo info) =>
        info.PolymorphismOptions is { } kinds ? kinds.DerivedTypes.Select(d => AltrinJson.Options.GetTypeInfo(d.DerivedType)) : [info];

    private static string Cut(string text) => text.Length > 40 ? text[..40] : text;

    private static Type? TypeOf(string name) =>
        Type.GetType(
            name,
            assembly => AppDomain.CurrentDomain.GetAssemblies().FirstOrDefault(a => a.GetName().Name == assembly.Name),
            (assembly, type, ignoreCase) =>
                assembly is not null
                    ? assembly.GetType(type, false, ignoreCase)
                    : AppDomain
                        .CurrentDomain.GetAssemblies()
                        .Where(a =>
                            a.GetName().Name is { } own
                            && (own.StartsWith("Altrin", StringComparison.Ordinal) || own == "System.Private.CoreLib")
                        )
                        .Select(a => a.GetType(type, false, ignoreCase))
                        .FirstOrDefault(t => t is not null),
            throwOnError: false
        );

    [GeneratedRegex(
        "^The JSON property '(.*)' could not be mapped to any \\.NET member contained in type '(.*)'\\.",
        RegexOptions.Singleline
    )]
    private static partial Regex Unknown();

    [GeneratedRegex("was missing required properties including: (.*)\\.$", RegexOptions.Singleline)]
    private static partial Regex Missing();

    [GeneratedRegex(
        "^The (?:constructor parameter|property or field) '(.*)' on type '.*' doesn't allow null values",
        RegexOptions.Singleline
    )]
    private static partial Regex Null();

    [GeneratedRegex("^Duplicate property '(.*)' encountered", RegexOptions.Singleline)]
    private static partial Regex Twice();

    [GeneratedRegex("^The JSON value could not be converted to (.*)\\.$", RegexOptions.Singleline)]
    private static partial Regex Other();
}
