using Microsoft.AspNetCore.StaticFiles;
using Microsoft.Net.Http.Headers;

namespace Altrin.Web;

/// <summary>Scripts and styles that the build of the front end compressed beside the plain ones, as small as Brotli makes them.</summary>
internal sealed class Compressed(IWebHostEnvironment environment, RequestDelegate next)
{
    private const string Ending = ".br";

    /// <summary>Files that are named by their content, and so may be kept for ever.</summary>
    public const string Assets = "/assets";

    /// <summary>Knows the compressed files too.</summary>
    public static FileExtensionContentTypeProvider Types { get; } = new() { Mappings = { [Ending] = "application/octet-stream" } };

    /// <summary>Turns to the compressed file where the browser takes it and there is one.</summary>
    public Task InvokeAsync(HttpContext context)
    {
        var path = context.Request.Path;
        if (
            path.StartsWithSegments(Assets, StringComparison.Ordinal)
            && Takes(context.Request)
            && environment.WebRootFileProvider.GetFileInfo(path + Ending).Exists
        )
        {
            context.Request.Path = path + Ending;
        }
        return next(context);
    }

    /// <summary>Says of a compressed file what it is once it is unpacked.</summary>
    public static void Label(StaticFileResponseContext answer)
    {
        var headers = answer.Context.Response.Headers;
        // Of the plain file too: what is kept of one answer must not be given to a browser that takes the other.
        headers.Vary = HeaderNames.AcceptEncoding;
        if (!answer.File.Name.EndsWith(Ending, StringComparison.Ordinal))
        {
            return;
        }
        headers.ContentEncoding = "br";
        if (Types.TryGetContentType(answer.File.Name[..^Ending.Length], out var type))
        {
            headers.ContentType = type;
        }
    }

    private static bool Takes(HttpRequest request) =>
        request
            .GetTypedHeaders()
            .AcceptEncoding.Any(e => e.Value.Equals("br", StringComparison.OrdinalIgnoreCase) && e.Quality is null or > 0);
}
