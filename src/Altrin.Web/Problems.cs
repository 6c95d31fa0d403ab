using System.Text.Json;
using System.Text.RegularExpressions;
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
    public static ProblemHttpResult Of(
        int status,
        string type,
        string title,
        string? detail,
        IReadOnlyList<FileError>? errors = null,
        IDictionary<string, object?>? more = null
    )
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

    /// <summary>Gives a type and words to what the framework refuses by itself, with nothing but a status.</summary>
    public static void Complete(ProblemDetailsContext context)
    {
        var problem = context.ProblemDetails;
        (string Type, string Title, string? Detail)? known =
            problem.Type?.StartsWith(Prefix, StringComparison.Ordinal) == true
                ? null
                : problem.Status switch
                {
                    StatusCodes.Status404NotFound => ("not-found", "There is nothing at this address.", null),
                    StatusCodes.Status405MethodNotAllowed => ("malformed", "This address takes other methods.", null),
                    StatusCodes.Status413PayloadTooLarge => ("too-large", "The request is too large.", Bodies.AtMost(context.HttpContext)),
                    StatusCodes.Status415UnsupportedMediaType => ("malformed", "The body is of another kind.", Bodies.Kind),
                    _ => null,
                };
        if (known is var (type, title, detail))
        {
            (problem.Type, problem.Title, problem.Detail) = (Prefix + type, title, detail);
        }
    }

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
            BadHttpRequestException { StatusCode: StatusCodes.Status413PayloadTooLarge } => Problems.Of(
                StatusCodes.Status413PayloadTooLarge,
                "too-large",
                "The request is too large.",
                Bodies.AtMost(httpContext)
            ),
            BadHttpRequestException { InnerException: JsonException json } bad => Problems.Of(
                bad.StatusCode,
                "malformed",
                "The body cannot be read.",
                JsonMistakes.Explain(json),
                [new(JsonMistakes.Pointer(json), "a value that cannot be read", JsonMistakes.Explain(json))]
            ),
            BadHttpRequestException bad => Problems.Of(bad.StatusCode, "malformed", "The request cannot be read.", Explain(bad)),
            BusyException busy => Problems.Of(
                StatusCodes.Status503ServiceUnavailable,
                "busy",
                "Too much is asked at once.",
                $"{busy.Message} Nothing was changed; ask again in a moment."
            ),
            _ when StorageFault.IsBusy(exception) => Problems.Of(
                StatusCodes.Status503ServiceUnavailable,
                "busy",
                "Too much is asked at once.",
                "The database is busy. Nothing was changed; ask again in a moment."
            ),
            _ when StorageFault.IsFull(exception) => Problems.Of(
                StatusCodes.Status507InsufficientStorage,
                "disk-full",
                "The disk is full.",
                "Nothing was saved. Make room on the disk that holds the data folder, and do it again."
            ),
            TooLongException late => Problems.Of(
                StatusCodes.Status503ServiceUnavailable,
                "too-long",
                "That takes too long to work out.",
                late.Message
            ),
            OperationCanceledException when httpContext.RequestAborted.IsCancellationRequested => Problems.Of(
                StatusCodes.Status499ClientClosedRequest,
                "aborted",
                "The request was taken back.",
                null
            ),
            _ => null,
        };
        if (problem is null)
        {
            LogFault(logger, exception, Logging.MethodOf(httpContext), Logging.RouteOf(httpContext));
            problem = Problems.Of(
                StatusCodes.Status500InternalServerError,
                "fault",
                "A fault of the program.",
                "It is in the log; nothing was saved."
            );
        }
        if (problem.StatusCode == StatusCodes.Status503ServiceUnavailable)
        {
            httpContext.Response.Headers.RetryAfter = "1";
        }
        await problem.ExecuteAsync(httpContext);
        return true;
    }

    /// <summary>
    /// What is wrong with a request outside its body. The framework names types of the program in it, which are not known outside.
    /// </summary>
    private static string Explain(BadHttpRequestException bad) =>
        Unbound().Match(bad.Message) is { Success: true } unbound
            ? $"'{Asked(unbound.Groups[2].Value)}' cannot be \"{(unbound.Groups[3].Value is { Length: > 60 } much ? much[..60] : unbound.Groups[3].Value)}\". {WantedAs(unbound.Groups[1].Value)}"
        : Missing().Match(bad.Message) is { Success: true } missing ? $"'{Asked(missing.Groups[1].Value)}' must be given."
        : bad.StatusCode == StatusCodes.Status415UnsupportedMediaType ? Bodies.Kind
        : "It does not keep to HTTP, or ended too early.";

    /// <summary>The name in the address of what is a parameter, or a member of what several parameters are bound to.</summary>
    private static string Asked(string name) => JsonNamingPolicy.CamelCase.ConvertName(name);

    private static string WantedAs(string type) =>
        type.TrimEnd('?') switch
        {
            "int" or "long" => "A whole number is expected.",
            "bool" => "true or false is expected.",
            "double" => "A number is expected.",
            var name when Words.FirstOrDefault(w => w.Name == name) is { } words => $"{JsonMistakes.Wanted(words)} is expected.",
            _ => "The description of the API says what is expected.",
        };

    /// <summary>The words that may stand in addresses.</summary>
    private static readonly Type[] Words = [typeof(SurveyTable), typeof(TakeOut), typeof(Formats.Printouts.PrintoutStyle)];

    [GeneratedRegex("^Failed to bind parameter \"(\\S+) (\\S+)\" from \"(.*)\"\\.$", RegexOptions.Singleline)]
    private static partial Regex Unbound();

    [GeneratedRegex("^Required parameter \"\\S+ (\\S+)\" was not provided", RegexOptions.Singleline)]
    private static partial Regex Missing();

    [LoggerMessage(LogLevel.Error, "Fault in {Method} {Route}")]
    private static partial void LogFault(ILogger logger, Exception exception, string method, string route);
}
