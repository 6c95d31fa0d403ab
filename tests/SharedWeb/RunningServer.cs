using Altrin.Data;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.DependencyInjection;

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
    /// A client that waits however long the machine takes, for every answer, and for word before it sends a body for which it expects some:
    /// the server may refuse a body by its length and close the connection.
    /// </summary>
    public HttpClient PatientClient() =>
        new(new SocketsHttpHandler { Expect100ContinueTimeout = TimeSpan.FromMinutes(1) })
        {
            BaseAddress = Address,
            Timeout = Timeout.InfiniteTimeSpan,
        };

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

    protected override void ConfigureWebHost(IWebHostBuilder builder) =>
        builder.UseSetting("data", Folder.Path).ConfigureServices(s => s.AddSingleton<TimeProvider>(new PatientTime()));

    /// <summary>
    /// The clock, with long waits twenty times as long: what the server gives up after, 15 s and more, is for people, and on a machine that
    /// has much else to do would end what a test asks for.
    /// </summary>
    private sealed class PatientTime : TimeProvider
    {
        private static readonly TimeSpan Long = TimeSpan.FromSeconds(15);

        public override ITimer CreateTimer(TimerCallback callback, object? state, TimeSpan dueTime, TimeSpan period) =>
            System.CreateTimer(callback, state, dueTime >= Long ? 20 * dueTime : dueTime, period);
    }

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
