using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Altrin.Core.Changes;

namespace Altrin.Formats;

/// <summary>
/// Reads and writes some members of a value as an object that holds just these: what is absent is not touched, null is null. A member
/// that may not be null, or that cannot be edited, is refused.
/// </summary>
internal sealed class PartialConverters : JsonConverterFactory
{
    public override bool CanConvert(Type typeToConvert) =>
        typeToConvert.IsGenericType && typeToConvert.GetGenericTypeDefinition() == typeof(Partial<>);

    public override JsonConverter CreateConverter(Type typeToConvert, JsonSerializerOptions options) =>
        (JsonConverter)Activator.CreateInstance(typeof(Converter<>).MakeGenericType(typeToConvert.GetGenericArguments()))!;

    /// <summary>The members of a type that an edit can touch, as JSON names them.</summary>
    public static IEnumerable<JsonPropertyInfo> Members(JsonTypeInfo type, IEnumerable<string> members) =>
        type.Properties.Where(p => members.Contains(MemberOf(p), StringComparer.Ordinal));

    /// <summary>Whether a member may be null.</summary>
    public static bool MayBeNull(JsonPropertyInfo member) =>
        member.IsSetNullable && member.AssociatedParameter is not { IsNullable: false };

    private static string MemberOf(JsonPropertyInfo property) =>
        (property.AttributeProvider as System.Reflection.MemberInfo)?.Name ?? property.Name;

    private sealed class Converter<T> : JsonConverter<Partial<T>>
        where T : class
    {
        public override Partial<T> Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
        {
            if (reader.TokenType != JsonTokenType.StartObject)
            {
                throw new NotTakenException("An object with the members that change is expected.");
            }
            var members = Members(options.GetTypeInfo(typeof(T)), Partial<T>.Members).ToDictionary(p => p.Name, StringComparer.Ordinal);
            var given = new Dictionary<string, object?>(StringComparer.Ordinal);
            while (reader.Read() && reader.TokenType == JsonTokenType.PropertyName)
            {
                var name = reader.GetString()!;
                if (!members.TryGetValue(name, out var member))
                {
                    throw new NotTakenException(
                        $"'{(name.Length > 40 ? name[..40] : name)}' cannot be set here; {string.Join(", ", members.Keys.Order(StringComparer.Ordinal))} can."
                    );
                }
                reader.Read();
                var value = JsonSerializer.Deserialize(ref reader, member.PropertyType, options);
                if (value is null && !MayBeNull(member))
                {
                    throw new NotTakenException($"'{name}' cannot be null.");
                }
                if (!given.TryAdd(MemberOf(member), value))
                {
                    throw new NotTakenException($"'{name}' is given twice.");
                }
            }
            return Partial<T>.Of(given);
        }

        public override void Write(Utf8JsonWriter writer, Partial<T> value, JsonSerializerOptions options)
        {
            var given = ((IPartial)value).Values;
            writer.WriteStartObject();
            foreach (var member in Members(options.GetTypeInfo(typeof(T)), Partial<T>.Members).Where(m => given.ContainsKey(MemberOf(m))))
            {
                writer.WritePropertyName(member.Name);
                JsonSerializer.Serialize(writer, given[MemberOf(member)], member.PropertyType, options);
            }
            writer.WriteEndObject();
        }
    }
}
