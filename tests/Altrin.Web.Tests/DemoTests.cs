using Altrin.Data;
using Altrin.Testing;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace Altrin.Web.Tests;

/// <summary>The demo home is put in as one act, wherever that ends.</summary>
public sealed class DemoTests : IDisposable
{
    // The first and the last writes, and some between: all of them are of one commit.
    private const int Between = 9;
    private const string Nothing = "0 job, 0 secrets, 0 readings, 0 run sheet";
    private readonly string _root = Directory.CreateTempSubdirectory("altrin-demo-").FullName;
    private readonly ReadHomes _homes = new();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose()
    {
        FaultyFiles.Disarm();
        _homes.Dispose();
        SqliteConnection.ClearAllPools();
        Directory.Delete(_root, recursive: true);
    }

    [Fact]
    public async Task A_demo_that_is_killed_at_a_write_is_not_there_or_whole()
    {
        FaultyFiles.Install();
        var whole = await At(0);
        Assert.InRange(whole.Writes, 20, 2_000);
        Assert.True(whole.Seeded);
        Assert.Matches("^1 job, [1-9][0-9]* secrets, 3 readings, 1 run sheet$", whole.Found);
        var ends = new List<string>();
        foreach (var at in Enumerable.Range(1, whole.Writes).Where(n => n <= 4 || n > whole.Writes - 4 || n % Between == 0))
        {
            var (_, seeded, found, then) = await At(at);
            Assert.Equal(whole.Found, then);
            Assert.Contains(found, seeded ? new[] { whole.Found } : [Nothing, whole.Found]);
            ends.Add(found);
        }
        Assert.Contains(Nothing, ends);
    }

    /// <summary>Seeds a fresh folder, killed at a write; what is there at the next start, and after that start has seeded it.</summary>
    private async Task<(int Writes, bool Seeded, string Found, string Then)> At(int write)
    {
        var folder = DataFolder.At(Path.Combine(_root, $"{write}"));
        await using (var context = Context(folder))
        {
            Assert.True(DatabaseOpening.BringUpToDate(context, folder, DateTimeOffset.UnixEpoch).Ok);
        }
        SqliteConnection.ClearAllPools();
        var seeded = true;
        FaultyFiles.Arm(folder.Path, Fault.Kill, write);
        try
        {
            await Seed(folder);
        }
        catch (Exception e) when (StorageFault.Says(e) is not null)
        {
            seeded = false;
        }
        SqliteConnection.ClearAllPools();
        var writes = FaultyFiles.Disarm();
        var found = await Found(folder);
        await Seed(folder);
        return (writes, seeded, found, await Found(folder));
    }

    private async Task Seed(DataFolder folder)
    {
        var services = new ServiceCollection();
        KeyRing.Use(services, folder);
        await using var ring = services.BuildServiceProvider();
        await using var context = Context(folder);
        var writing = new Writing(context, new(TimeProvider.System));
        var secrets = new SecretStore(writing, ring.GetRequiredService<IDataProtectionProvider>(), TimeProvider.System);
        await Demo.Seed(
            writing,
            new(writing, TimeProvider.System, _homes),
            secrets,
            new(writing, TimeProvider.System),
            new(writing, TimeProvider.System),
            TimeProvider.System
        );
    }

    private static async Task<string> Found(DataFolder folder)
    {
        await using var context = Context(folder);
        return $"{await context.Jobs.CountAsync(Cancel)} job, {await context.Secrets.CountAsync(Cancel)} secrets, {await context.Readings.CountAsync(Cancel)} readings, {await context.Sheets.CountAsync(Cancel)} run sheet";
    }

    private static AltrinContext Context(DataFolder folder) =>
        new(new DbContextOptionsBuilder<AltrinContext>().UseSqlite(folder.ConnectionString).Options);
}
