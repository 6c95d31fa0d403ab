using Altrin.Data;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Data.Sqlite;

namespace Altrin.Testing;

/// <summary>The real server on a free port of loopback, with a real database in a folder of its own and the demo home in it.</summary>
public sealed class RunningServer : WebApplicationFactory<Program>
{
    public RunningServer()
    {
        Folder = DataFolder.At(Path.Combine(Path.GetTempPath(), $"altrin-web-{Guid.NewGuid():n}"));
        UseKestrel(0);
        StartServer();
        Address = ClientOptions.BaseAddress;
    }

    public DataFolder Folder { get; }

    public Uri Address { get; }

    protected override void ConfigureWebHost(IWebHostBuilder builder) => builder.UseSetting("data", Folder.Path);

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        if (disposing && Directory.Exists(Folder.Path))
        {
            SqliteConnection.ClearAllPools();
            Directory.Delete(Folder.Path, recursive: true);
        }
    }
}
