using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>How Altrin writes and reads JSON, everywhere alike.</summary>
public static class AltrinJson
{
    /// <summary>The deepest nesting that is read.</summary>
    public const int Depth = 32;

    /// <summary>Strict both ways: unknown members, missing members, numbers as text and nulls where none belong are refused.</summary>
    public static JsonSerializerOptions Options { get; } = Frozen(writeIndented: false);

    /// <summary>The same with line breaks, for files and terminals.</summary>
    public static JsonSerializerOptions Indented { get; } = Frozen(writeIndented: true);

    /// <summary>Value types that are written as text, with an example each.</summary>
    public static IReadOnlyDictionary<Type, string> TextTypes { get; } =
        new Dictionary<Type, string>
        {
            [typeof(Ipv4Address)] = "192.168.8.1",
            [typeof(Subnet)] = "192.168.8.0/24",
            [typeof(InterfaceAddress)] = "192.168.8.1/24",
            [typeof(AddressRange)] = "192.168.8.20-192.168.8.199",
            [typeof(MacAddress)] = "02:00:5e:00:53:01",
            [typeof(PortRef)] = "hall-gateway/lan1",
        };

    /// <summary>
    /// The members that an edit of some kind of value may hold, for the description of the API; null where the type is no such edit.
    /// </summary>
    public static IReadOnlyList<PartialMember>? MembersOfPartial(JsonTypeInfo type) =>
        !new PartialConverters().CanConvert(type.Type)
            ? null
            :
            [
                .. PartialConverters
                    .Members(
                        type.Options.GetTypeInfo(type.Type.GetGenericArguments()[0]),
                        (IReadOnlyList<string>)type.Type.GetProperty("Members")!.GetValue(null)!
                    )
                    .Select(p => new PartialMember(p.Name, p.PropertyType, PartialConverters.MayBeNull(p))),
            ];

    /// <summary>How a value of a closed list is written.</summary>
    public static string Name<T>(T value)
        where T : struct, Enum => JsonNamingPolicy.CamelCase.ConvertName(value.ToString());

    /// <summary>Gives other options the same habits.</summary>
    public static void Apply(JsonSerializerOptions options)
    {
        options.PropertyNamingPolicy = JsonNamingPolicy.CamelCase;
        options.PropertyNameCaseInsensitive = false;
        options.UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow;
        options.NumberHandling = JsonNumberHandling.Strict;
        options.RespectNullableAnnotations = true;
        options.RespectRequiredConstructorParameters = true;
        options.AllowDuplicateProperties = false;
        options.MaxDepth = Depth;
        options.AllowOutOfOrderMetadataProperties = true;
        options.Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping;
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
        options.Converters.Add(new TextConverter<Ipv4Address>(Ipv4Address.Parse));
        options.Converters.Add(new TextConverter<Subnet>(Subnet.Parse));
        options.Converters.Add(new TextConverter<InterfaceAddress>(InterfaceAddress.Parse));
        options.Converters.Add(new TextConverter<AddressRange>(AddressRange.Parse));
        options.Converters.Add(new TextConverter<MacAddress>(MacAddress.Parse));
        options.Converters.Add(new TextConverter<PortRef>(text => PortRef.Read(text ?? "")));
        options.Converters.Add(new PartialConverters());
        options.TypeInfoResolver = (options.TypeInfoResolver ?? new DefaultJsonTypeInfoResolver()).WithAddedModifier(JsonMistakes.Check);
    }

    private static JsonSerializerOptions Frozen(bool writeIndented)
    {
        var options = new JsonSerializerOptions
        {
            WriteIndented = writeIndented,
            NewLine = "\n",
            DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
        };
        Apply(options);
        options.MakeReadOnly(populateMissingResolver: true);
        return options;
    }

    private sealed class TextConverter<T>(Func<string?, Parsed<T>> parse) : JsonConverter<T>
        where T : struct
    {
        public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
        {
            if (reader.TokenType != JsonTokenType.String)
            {
                throw new NotTakenException($"Text such as \"{TextTypes[typeof(T)]}\" is expected.");
            }
            var read = parse(reader.GetString());
            return read.Ok ? read.Value : throw new NotTakenException(read.Error);
        }

        public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) =>
            writer.WriteStringValue(value.ToString());
    }
}

/// <summary>A member that an edit may hold.</summary>
/// <param name="Name">Its name in JSON.</param>
/// <param name="PropertyType">Its type.</param>
/// <param name="MayBeNull">Whether it may become null.</param>
public sealed record PartialMember(string Name, Type PropertyType, bool MayBeNull);

/// <summary>A text that stands for a value of the core and is none; its message is for people.</summary>
internal sealed class NotTakenException(string message) : JsonException(message);
