using System.Security.Cryptography;
using Microsoft.AspNetCore.StaticFiles;

namespace Altrin.Web;

/// <summary>The page of the front end, with a fresh style nonce for each answer.</summary>
internal sealed class FrontEnd(IWebHostEnvironment environment)
{
    private const string Placeholder = "__NONCE__";
    private readonly Lazy<string?> _html = new(() =>
    {
        var file = environment.WebRootFileProvider.GetFileInfo("app.html");
        if (!file.Exists)
        {
            return null;
        }
        using var reader = new StreamReader(file.CreateReadStream());
        return reader.ReadToEnd();
    });

    /// <summary>Nothing from elsewhere, no inline scripts, inline styles only with the nonce.</summary>
    public static string Policy(string nonce) =>
        $"default-src 'none'; script-src 'self'; style-src 'self'{(nonce.Length > 0 ? $" 'nonce-{nonce}'" : "")}; img-src 'self' data:; font-src 'self'; connect-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";

    /// <summary>Files with a hash in their name never change; the rest is asked for anew.</summary>
    public static void Cache(StaticFileResponseContext answer)
    {
        answer.Context.Response.Headers.CacheControl = answer.Context.Request.Path.StartsWithSegments(
            Compressed.Assets,
            StringComparison.Ordinal
        )
            ? "public, max-age=31536000, immutable"
            : "no-cache";
        Compressed.Label(answer);
    }

    public static IResult Serve(HttpContext context, FrontEnd page)
    {
        if (!HttpMethods.IsGet(context.Request.Method) && !HttpMethods.IsHead(context.Request.Method))
        {
            return Problems.Of(StatusCodes.Status404NotFound, "not-found", "There is nothing to send this to.", null);
        }
        if (page._html.Value is not { } html)
        {
            return Problems.Of(
                StatusCodes.Status503ServiceUnavailable,
                "no-front-end",
                "The front end was not built.",
                "Start Altrin with ./start, which builds it."
            );
        }
        var nonce = Convert.ToBase64String(RandomNumberGenerator.GetBytes(16));
        context.Response.Headers.ContentSecurityPolicy = Policy(nonce);
        context.Response.Headers.CacheControl = "no-store";
        return TypedResults.Content(html.Replace(Placeholder, nonce, StringComparison.Ordinal), "text/html; charset=utf-8");
    }
}
