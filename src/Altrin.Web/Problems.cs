using System.Text.Json;
using Altrin.Data;
using Altrin.Formats;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Altrin.Web;

/// <summary>Errors as problem details (RFC 9457). The types are listed in docs/api.md.</summary>
internal static class Problems
{
    /// <summary>What every type URI begins with.</summary>
    public const string Prefix = "urn:altrin:problem:";

    /// <summary>One problem.</summary>
    public static ProblemHttpResult Of(int status, string type, string title, string? detail, IReadOnlyList<FileError>? errors = null, IDictionary<string, object?>? more = null)
    {
        var extensions = more is null ? [] : new Dictionary<string, object?>(more);
        if (errors is not null)
        {
            extensions["errors"] = errors;
        }
        return TypedResults.Problem(detail, null, status, title, Prefix + type, extensions);
    }

    /// <summary>A field that holds something that cannot be taken.</summary>
    public static ProblemHttpResult Field(string pointer, string found, string allowed) =>
        Of(StatusCodes.Status422UnprocessableEntity, "bad-value", "A value cannot be taken.", allowed, [new(pointer, found, allowed)]);

    /// <summary>No job has this id.</summary>
    public static ProblemHttpResult NoJob(long id) => Of(StatusCodes.Status404NotFound, "no-job", $"There is no job {id}.", null);
}

/// <summary>Answers exceptions: a bad request says where it is bad, anything else is a fault of ours and is logged.</summary>
internal sealed partial class ProblemHandler(ILogger<ProblemHandler> logger) : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
    {
        var problem = exception switch
        {
            BadHttpRequestException { StatusCode: StatusCodes.Status413PayloadTooLarge } => Problems.Of(StatusCodes.Status413PayloadTooLarge, "too-large", "The request is too large.", $"At most {DesignFile.MostBytes} bytes are read."),
            BadHttpRequestException { InnerException: JsonException json } bad => Problems.Of(bad.StatusCode, "malformed", "The body cannot be read.", Explain(json), [new(Pointer(json.Path), "a value that cannot be read", Explain(json))]),
            BadHttpRequestException bad => Problems.Of(bad.StatusCode, "malformed", "The request cannot be read.", bad.Message),
            BusyException busy => Problems.Of(StatusCodes.Status503ServiceUnavailable, "busy", "Too much is asked at once.", $"{busy.Message} Nothing was changed; ask again in a moment."),
            _ when StorageFault.IsBusy(exception) => Problems.Of(StatusCodes.Status503ServiceUnavailable, "busy", "Too much is asked at once.", "The database is busy. Nothing was changed; ask again in a moment."),
            _ when StorageFault.IsFull(exception) => Problems.Of(StatusCodes.Status507InsufficientStorage, "disk-full", "The disk is full.", "Nothing was saved. Make room on the disk that holds the data folder, and do it again."),
            TooLongException late => Problems.Of(StatusCodes.Status503ServiceUnavailable, "too-long", "That takes too long to work out.", late.Message),
            OperationCanceledException when httpContext.RequestAborted.IsCancellationRequested => Problems.Of(StatusCodes.Status499ClientClosedRequest, "aborted", "The request was taken back.", null),
            _ => null,
        };
        if (problem is null)
        {
            LogFault(logger, exception, httpContext.Request.Method, httpContext.Request.Path);
            problem = Problems.Of(StatusCodes.Status500InternalServerError, "fault", "A fault of the program.", "It is in the log; nothing was saved.");
        }
        if (problem.StatusCode == StatusCodes.Status503ServiceUnavailable)
        {
            httpContext.Response.Headers.RetryAfter = "1";
        }
        await problem.ExecuteAsync(httpContext);
        return true;
    }

    /// <summary>The path of a serialiser, such as "$.changes[0].box", as a JSON pointer.</summary>
    private static string Pointer(string? path) => (path ?? "").TrimStart('$').Replace('.', '/').Replace("[", "/", StringComparison.Ordinal).Replace("]", "", StringComparison.Ordinal);

    private static string Explain(JsonException json) => json.Message.Split(" Path:")[0].Split(" LineNumber:")[0];

    [LoggerMessage(LogLevel.Error, "Fault in {Method} {Path}")]
    private static partial void LogFault(ILogger logger, Exception exception, string method, string path);
}
