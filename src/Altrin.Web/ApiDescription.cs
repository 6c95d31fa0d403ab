using Altrin.Formats;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Altrin.Web;

/// <summary>How the API describes itself.</summary>
internal static class ApiDescription
{
    /// <summary>The body of an import is read by hand, so that its errors can name places; this describes it.</summary>
    public static Task TakesDesign(OpenApiOperation operation, OpenApiOperationTransformerContext context, CancellationToken cancel)
    {
        operation.RequestBody = new OpenApiRequestBody
        {
            Required = true,
            Content = new Dictionary<string, OpenApiMediaType>
            {
                ["application/json"] = new() { Schema = new OpenApiSchemaReference(nameof(DesignDocument), context.Document) },
            },
        };
        return Task.CompletedTask;
    }

    public static void Configure(OpenApiOptions options)
    {
        options.AddDocumentTransformer(
            (document, _, _) =>
            {
                document.Info = new() { Title = "Altrin", Version = "1" };
                // The document is made at build and at run time; the servers would differ.
                document.Servers = [];
                return Task.CompletedTask;
            }
        );
        options.AddSchemaTransformer(
            async (schema, context, cancel) =>
            {
                if (AltrinJson.MembersOfPartial(context.JsonTypeInfo) is { } members)
                {
                    // An edit is an object of which every member may be left out, and is then not touched.
                    schema.Type = JsonSchemaType.Object;
                    schema.AdditionalPropertiesAllowed = false;
                    schema.Properties = new Dictionary<string, IOpenApiSchema>();
                    foreach (var member in members)
                    {
                        var one = await context.GetOrCreateSchemaAsync(member.PropertyType, null, cancel);
                        var plain = Nullable.GetUnderlyingType(member.PropertyType) ?? member.PropertyType;
                        if (member.MayBeNull && (plain.IsPrimitive || plain == typeof(string)))
                        {
                            one.Type |= JsonSchemaType.Null;
                        }
                        else if (member.MayBeNull)
                        {
                            one = new() { OneOf = [new OpenApiSchema { Type = JsonSchemaType.Null }, one] };
                        }
                        schema.Properties[member.Name] = one;
                    }
                }
            }
        );
        options.AddSchemaTransformer(
            (schema, context, _) =>
            {
                var type = Nullable.GetUnderlyingType(context.JsonTypeInfo.Type) ?? context.JsonTypeInfo.Type;
                if (AltrinJson.TextTypes.TryGetValue(type, out var example))
                {
                    // A part that may leave it out says so where it refers to this.
                    schema.Type = JsonSchemaType.String;
                    schema.Examples = [example];
                    schema.Properties?.Clear();
                }
                if (type.IsEnum && schema.Enum is { } words)
                {
                    // The same holds for words: one that may be left out does not let every other be null.
                    schema.Enum = [.. words.Where(w => w is not null && w.GetValueKind() != System.Text.Json.JsonValueKind.Null)];
                }
                if (context.JsonTypeInfo.ElementType is { } element && AltrinJson.TextTypes.TryGetValue(element, out var one))
                {
                    schema.Items ??= new OpenApiSchema { Type = JsonSchemaType.String, Examples = [one] };
                }
                // What is worked out is always there, though nothing requires it of a sender.
                foreach (
                    var property in context.JsonTypeInfo.Properties.Where(p =>
                        p is { Get: not null, Set: null, AssociatedParameter: null } && schema.Properties?.ContainsKey(p.Name) == true
                    )
                )
                {
                    (schema.Required ??= new HashSet<string>()).Add(property.Name);
                    if (!property.IsGetNullable && schema.Properties![property.Name] is OpenApiSchema { Type: { } types } worked)
                    {
                        worked.Type = types & ~JsonSchemaType.Null;
                    }
                }
                return Task.CompletedTask;
            }
        );
    }
}
