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

    /// <summary>
    /// A client that waits for word before it sends a body for which it expects some, however long the machine takes: the server may
    /// refuse a body by its length and close the connection.
    /// </summary>
    public HttpClient PatientClient() =>
        new(new SocketsHttpHandler { Expect100ContinueTimeout = TimeSpan.FromMinutes(1) }) { BaseAddress = Address };

    /// <summary>
    /// All that this server has logged, with every request that the client has sent so far: a request is logged after its answer is on the
    /// way, and before the next one of the same connection is begun.
    /// </summary>
    public async Task<string> Log(HttpClient client, CancellationToken cancel)
    {
        await client.GetAsync(new Uri("/health", UriKind.Relative), cancel);
        return string.Concat(
            Directory
                .GetFiles(Folder.Logs)
                .Order()
                .Select(f =>
                {
                    using var open = new StreamReader(new FileStream(f, FileMode.Open, FileAccess.Read, FileShare.ReadWrite));
                    return open.ReadToEnd();
                })
        );
    }

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
