using System.Globalization;
using Altrin.Data;
using Serilog;
using Serilog.AspNetCore;
using Serilog.Events;
using Serilog.Formatting.Compact;

namespace Altrin.Web;

/// <summary>Structured logs in the data folder: a file a day, 14 kept, at most 10 MB each.</summary>
internal static class Logging
{
    /// <summary>
    /// Adds the log of this server. It is not put in the place that all of a process share: two servers in one process, as in the tests,
    /// would take each other's lines.
    /// </summary>
    public static void Add(IServiceCollection services, DataFolder? folder) =>
        services.AddSerilog(log => Configure(log, folder), preserveStaticLogger: true);

    /// <summary>Logs each request in this server's own log.</summary>
    public static void UseRequests(WebApplication app) =>
        app.UseSerilogRequestLogging(options =>
        {
            options.Logger = app.Services.GetRequiredService<Serilog.ILogger>();
            Requests(options);
        });

    /// <summary>
    /// What is logged of a request: the route that it took, not its address, which may hold what was typed in a wrong place, such as a key.
    /// </summary>
    private static void Requests(RequestLoggingOptions options)
    {
        options.MessageTemplate = "HTTP {RequestMethod} {Route} answered {StatusCode} in {Elapsed:0.0} ms";
        options.GetMessageTemplateProperties = (context, _, elapsed, status) =>
            [
                new("RequestMethod", new ScalarValue(MethodOf(context))),
                new("Route", new ScalarValue(RouteOf(context))),
                new("StatusCode", new ScalarValue(status)),
                new("Elapsed", new ScalarValue(elapsed)),
            ];
    }

    /// <summary>The route that a request took, as it is written in the program.</summary>
    public static string RouteOf(HttpContext context) => (context.GetEndpoint() as RouteEndpoint)?.RoutePattern.RawText ?? "no route";

    /// <summary>The method of a request, where it is one of HTTP.</summary>
    public static string MethodOf(HttpContext context) =>
        Methods.FirstOrDefault(m => HttpMethods.Equals(m, context.Request.Method)) ?? "another method";

    private static readonly string[] Methods =
    [
        HttpMethods.Get,
        HttpMethods.Head,
        HttpMethods.Post,
        HttpMethods.Put,
        HttpMethods.Patch,
        HttpMethods.Delete,
        HttpMethods.Options,
    ];

    private static void Configure(LoggerConfiguration log, DataFolder? folder)
    {
        log.MinimumLevel.Information()
            .MinimumLevel.Override("Microsoft", LogEventLevel.Warning)
            // A port in use is told in one line by the program itself.
            .MinimumLevel.Override("Microsoft.Extensions.Hosting.Internal.Host", LogEventLevel.Fatal)
            // Exceptions are logged once, by the problem handler.
            .MinimumLevel.Override("Microsoft.AspNetCore.Diagnostics.ExceptionHandlerMiddleware", LogEventLevel.Fatal)
            .WriteTo.Console(LogEventLevel.Error, formatProvider: CultureInfo.InvariantCulture);
        if (folder is not null)
        {
            log.WriteTo.File(
                new CompactJsonFormatter(),
                Path.Combine(folder.Logs, "altrin-.log"),
                rollingInterval: RollingInterval.Day,
                retainedFileCountLimit: 14,
                fileSizeLimitBytes: 10_000_000,
                rollOnFileSizeLimit: true
            );
        }
    }
}
