using System.Reflection;
using Altrin.Data;
using Altrin.Web;
using Microsoft.EntityFrameworkCore;
using Serilog;

if (StartOptions.Read(args) is not { } start)
{
    return 2;
}

// The OpenAPI document is made at build by running this program: it then touches no data.
var describing = Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";

var builder = WebApplication.CreateBuilder(new WebApplicationOptions
{
    Args = start.Rest,
    ContentRootPath = AppContext.BaseDirectory,
    WebRootPath = Path.Combine(AppContext.BaseDirectory, "wwwroot"),
});
builder.WebHost.UseUrls($"http://127.0.0.1:{start.Port}");
builder.Services.AddAltrin();

var folder = describing ? null : DataFolder.At(builder.Configuration["data"] ?? start.Data);
using var held = folder?.TryLock();
if (folder is not null)
{
    if (held is null)
    {
        Console.Error.WriteLine($"altrin: the data folder {folder.Path} is in use by another Altrin. Stop that one, or choose another with --data.");
        return 2;
    }
    builder.Services.AddDbContext<AltrinContext>(o => o.UseSqlite(folder.ConnectionString));
    KeyRing.Use(builder.Services, folder);
}
builder.Services.AddSerilog(log => Logging.Configure(log, folder));

var app = builder.Build();
app.UseAltrin();

if (folder is not null)
{
    using var scope = app.Services.CreateScope();
    var time = app.Services.GetRequiredService<TimeProvider>();
    var opened = DatabaseOpening.BringUpToDate(scope.ServiceProvider.GetRequiredService<AltrinContext>(), folder, time.GetUtcNow());
    if (!opened.Ok)
    {
        Console.Error.WriteLine($"altrin: {opened.Error}");
        return 2;
    }
    if (!start.Empty)
    {
        await Demo.Seed(scope.ServiceProvider.GetRequiredService<Writing>(), scope.ServiceProvider.GetRequiredService<JobStore>(), scope.ServiceProvider.GetRequiredService<SecretStore>(), scope.ServiceProvider.GetRequiredService<ReadingStore>(), time);
    }
}

try
{
    await app.StartAsync();
}
catch (IOException e) when (e.InnerException is Microsoft.AspNetCore.Connections.AddressInUseException)
{
    Console.Error.WriteLine($"altrin: port {start.Port} is in use. Choose another with --port.");
    return 2;
}
if (folder is not null)
{
    Console.WriteLine($"Altrin is on {string.Join(", ", app.Urls)}  (data in {folder.Path}; stop with Ctrl+C)");
}
await app.WaitForShutdownAsync();
return 0;

/// <summary>The server, named so that tests can start it.</summary>
public partial class Program;
