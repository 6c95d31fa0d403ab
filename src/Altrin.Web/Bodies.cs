using Altrin.Formats;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Net.Http.Headers;

namespace Altrin.Web;

/// <summary>What a request may bring: JSON in UTF-8, up to a size that each route states.</summary>
internal static class Bodies
{
    /// <summary>Edits, names, keys, in bytes.</summary>
    public const int Edit = 1024 * 1024;

    /// <summary>A pasted text of a million characters, as JSON writes it, or a packet capture in base64; in bytes.</summary>
    public const int Pasted = 4 * 1024 * 1024;

    /// <summary>States how large the body of a route may be.</summary>
    public static TRoute UpTo<TRoute>(this TRoute route, int bytes)
        where TRoute : IEndpointConventionBuilder => route.WithMetadata(new RequestSizeLimitAttribute(bytes));

    /// <summary>Which kind of body is read.</summary>
    public const string Kind = "Send JSON in UTF-8, as Content-Type: application/json.";

    /// <summary>How large the body of the route that was asked for may be, in words.</summary>
    public static string AtMost(HttpContext context) =>
        $"At most {context.GetEndpoint()?.Metadata.GetMetadata<IRequestSizeLimitMetadata>()?.MaxRequestBodySize ?? DesignFile.MostBytes:#,0} bytes are read here.";

    /// <summary>What is wrong with the kind of a body; null where it is JSON in UTF-8.</summary>
    public static ProblemHttpResult? Wrong(HttpRequest request) =>
        MediaTypeHeaderValue.TryParse(request.ContentType, out var type)
        && type.MediaType.Equals("application/json", StringComparison.OrdinalIgnoreCase)
        && (!type.Charset.HasValue || HeaderUtilities.RemoveQuotes(type.Charset).Equals("utf-8", StringComparison.OrdinalIgnoreCase))
            ? null
            : Problems.Of(StatusCodes.Status415UnsupportedMediaType, "malformed", "The body is of another kind.", Kind);

    /// <summary>Refuses bodies that are no JSON before anything reads them.</summary>
    public static async Task Check(HttpContext context, RequestDelegate next)
    {
        if (context.GetEndpoint()?.Metadata.GetMetadata<IAcceptsMetadata>() is not null && Wrong(context.Request) is { } wrong)
        {
            await wrong.ExecuteAsync(context);
            return;
        }
        await next(context);
    }
}
