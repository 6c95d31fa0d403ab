using System.Reflection;
using Altrin.Data;
using Altrin.Web;
using Microsoft.EntityFrameworkCore;

if (StartOptions.Read(args) is not { } start)
{
    return 2;
}

// The OpenAPI document is made at build by running this program: it then touches no data.
var describing = Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";

var builder = WebApplication.CreateBuilder(
    new WebApplicationOptions
    {
        Args = start.Rest,
        ContentRootPath = AppContext.BaseDirectory,
        WebRootPath = Path.Combine(AppContext.BaseDirectory, "wwwroot"),
    }
);
Loopback.ListenOnlyThere(builder.WebHost, start.Port);
builder.Services.AddAltrin();
if (describing)
{
    Logging.Add(builder.Services, null);
    var described = builder.Build();
    described.UseAltrin();
    await described.RunAsync();
    return 0;
}

PrivateFiles.ByDefault();
var folder = DataFolder.Open(start.Data);
if (!folder.Ok)
{
    return Refuse(folder.Error);
}
var taken = folder.Value.Take();
if (!taken.Ok)
{
    return Refuse(taken.Error);
}
using var held = taken.Value;
try
{
    KeyRing.Use(builder.Services, folder.Value);
    foreach (var aside in KeyRing.SetAsideUnreadable(folder.Value))
    {
        Console.Error.WriteLine(
            $"altrin: a file of the key ring holds no key; it is set aside as {aside}. What was encrypted with it can be typed again."
        );
    }
}
catch (Exception e) when (StorageFault.Says(e) is { } fault)
{
    return Refuse($"the data folder {folder.Value.Path} cannot be used: {fault}");
}
builder.Services.AddDbContext<AltrinContext>(o => o.UseSqlite(folder.Value.ConnectionString));
Logging.Add(builder.Services, folder.Value);

var app = builder.Build();
app.UseAltrin();
try
{
    using var scope = app.Services.CreateScope();
    var services = scope.ServiceProvider;
    var time = services.GetRequiredService<TimeProvider>();
    var opened = DatabaseOpening.BringUpToDate(services.GetRequiredService<AltrinContext>(), folder.Value, time.GetUtcNow());
    if (!opened.Ok)
    {
        return Refuse(opened.Error);
    }
    if (!start.Empty)
    {
        await Demo.Seed(
            services.GetRequiredService<Writing>(),
            services.GetRequiredService<JobStore>(),
            services.GetRequiredService<SecretStore>(),
            services.GetRequiredService<ReadingStore>(),
            services.GetRequiredService<SheetStore>(),
            time
        );
    }
    await app.StartAsync();
}
catch (IOException e) when (e.InnerException is Microsoft.AspNetCore.Connections.AddressInUseException)
{
    return Refuse($"port {start.Port} is in use. Choose another with --port.");
}
catch (System.Net.Sockets.SocketException e)
{
    return Refuse($"port {start.Port} cannot be used: {e.Message}. Choose another with --port.");
}
catch (Exception e) when (StorageFault.Says(e) is { } fault)
{
    return Refuse($"the data folder {folder.Value.Path} cannot be used: {fault}");
}
if (Loopback.Beyond(app.Urls) is { } beyond)
{
    await app.StopAsync();
    return Refuse($"{beyond} can be reached from other machines; Altrin answers this one only. Take the setting away that asks for it.");
}
Console.WriteLine($"Altrin is on {string.Join(", ", app.Urls)}  (data in {folder.Value.Path}; stop with Ctrl+C)");
await app.WaitForShutdownAsync();
return 0;

static int Refuse(string why)
{
    Console.Error.WriteLine($"altrin: {why}");
    return 2;
}

/// <summary>The server, named so that tests can start it.</summary>
public partial class Program;
