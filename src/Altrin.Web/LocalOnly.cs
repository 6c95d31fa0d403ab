namespace Altrin.Web;

/// <summary>
/// Any page that a browser has open can send requests to loopback, also under a name that it makes point there. Foreign hosts
/// are refused, so are writes from another origin, and every answer carries headers that keep the page to itself.
/// </summary>
internal sealed class LocalOnly(RequestDelegate next)
{
    private static readonly string[] Hosts = ["127.0.0.1", "localhost", "[::1]"];

    public async Task Invoke(HttpContext context)
    {
        var request = context.Request;
        if (!Hosts.Contains(request.Host.Host, StringComparer.OrdinalIgnoreCase))
        {
            await Problems
                .Of(
                    StatusCodes.Status400BadRequest,
                    "foreign-host",
                    "This server answers on loopback only.",
                    $"Host '{Cut(request.Host.Host)}' is none of {string.Join(", ", Hosts)}."
                )
                .ExecuteAsync(context);
            return;
        }
        var reads = HttpMethods.IsGet(request.Method) || HttpMethods.IsHead(request.Method);
        var origin = request.Headers.Origin.ToString();
        if (!reads && origin.Length > 0 && !IsOwn(origin, request))
        {
            await Problems
                .Of(
                    StatusCodes.Status403Forbidden,
                    "foreign-origin",
                    "A page of another origin may not change anything here.",
                    $"Origin '{Cut(origin)}' is not this server."
                )
                .ExecuteAsync(context);
            return;
        }
        var headers = context.Response.Headers;
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "no-referrer";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        headers["Cross-Origin-Resource-Policy"] = "same-origin";
        headers.ContentSecurityPolicy = FrontEnd.Policy("");
        if (request.Path.StartsWithSegments("/api", StringComparison.Ordinal))
        {
            headers.CacheControl = "no-store";
        }
        await next(context);
    }

    /// <summary>Whether a page came from here: by any of the names of loopback, at the port that was asked.</summary>
    private static bool IsOwn(string origin, HttpRequest request) =>
        Uri.TryCreate(origin, UriKind.Absolute, out var from)
        && from.Scheme == request.Scheme
        && from.PathAndQuery == "/"
        && origin[^1] != '/'
        && Hosts.Contains(from.Host, StringComparer.OrdinalIgnoreCase)
        && from.Port == (request.Host.Port ?? (request.IsHttps ? 443 : 80));

    private static string Cut(string text) => text.Length > 80 ? text[..80] : text;
}
