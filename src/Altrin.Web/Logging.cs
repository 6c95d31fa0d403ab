using System.Globalization;
using Altrin.Data;
using Serilog;
using Serilog.Events;
using Serilog.Formatting.Compact;

namespace Altrin.Web;

/// <summary>Structured logs in the data folder: a file a day, 14 kept, at most 10 MB each.</summary>
internal static class Logging
{
    public static void Configure(LoggerConfiguration log, DataFolder? folder)
    {
        log
            .MinimumLevel.Information()
            .MinimumLevel.Override("Microsoft", LogEventLevel.Warning)
            // A port in use is told in one line by the program itself.
            .MinimumLevel.Override("Microsoft.Extensions.Hosting.Internal.Host", LogEventLevel.Fatal)
            // Exceptions are logged once, by the problem handler.
            .MinimumLevel.Override("Microsoft.AspNetCore.Diagnostics.ExceptionHandlerMiddleware", LogEventLevel.Fatal)
            .WriteTo.Console(LogEventLevel.Error, formatProvider: CultureInfo.InvariantCulture);
        if (folder is not null)
        {
            log.WriteTo.File(new CompactJsonFormatter(), Path.Combine(folder.Logs, "altrin-.log"), rollingInterval: RollingInterval.Day, retainedFileCountLimit: 14, fileSizeLimitBytes: 10_000_000, rollOnFileSizeLimit: true);
        }
    }
}
