using Altrin.Core.Sites;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace Altrin.Data.Tests;

/// <summary>
/// Data folders of a test, each with a job "Home 1" and a key in it or not, and what is done with them. Classes that use them belong to one
/// collection: they close the connections of the whole process.
/// </summary>
public abstract class DataFolders : IDisposable
{
    protected const string Key = "planted-kazoo-7731";
    protected static readonly DateTimeOffset Now = new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero);
    private readonly ReadHomes _homes = new();
    private int _folders;
    private static int _starts;

    /// <summary>The folder that all of them lie in.</summary>
    protected string Root { get; } = Directory.CreateTempSubdirectory("altrin-folders-").FullName;

    protected static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public virtual void Dispose()
    {
        _homes.Dispose();
        SqliteConnection.ClearAllPools();
        Directory.Delete(Root, recursive: true);
        GC.SuppressFinalize(this);
    }

    protected DataFolder NewFolder() => DataFolder.At(Path.Combine(Root, $"folder-{_folders++}"));

    protected DataFolder Copied(DataFolder from)
    {
        var to = NewFolder();
        foreach (
            var file in Directory
                .GetFiles(from.Path, "*", SearchOption.AllDirectories)
                .Where(f => !f.EndsWith("-shm", StringComparison.Ordinal))
        )
        {
            var place = Path.Combine(to.Path, Path.GetRelativePath(from.Path, file));
            Directory.CreateDirectory(Path.GetDirectoryName(place)!);
            File.Copy(file, place);
        }
        return to;
    }

    protected async Task<DataFolder> Seeded()
    {
        var folder = NewFolder();
        await Seed(folder);
        SqliteConnection.ClearAllPools();
        return folder;
    }

    /// <summary>A start, and a home with a key put in as one act.</summary>
    protected async Task Seed(DataFolder folder)
    {
        if (Start(folder) is { } refused)
        {
            throw new IOException(refused);
        }
        await using var context = Context(folder);
        await using var ring = Ring(folder);
        var writing = new Writing(context, new(TimeProvider.System));
        var jobs = new JobStore(writing, TimeProvider.System, _homes);
        var secrets = new SecretStore(writing, ring.GetRequiredService<IDataProtectionProvider>(), TimeProvider.System);
        await writing.Do(
            async () =>
            {
                var head = await jobs.Create("Home", new(jobs.Prepare(Home(1)).Value, "New", "tab"), Cancel);
                await secrets.Type(head.Job.Id, "house-key", Key, Cancel);
            },
            Cancel
        );
    }

    protected async Task Edit(DataFolder folder)
    {
        await using var context = Context(folder);
        var jobs = new JobStore(new(context, new(TimeProvider.System)), TimeProvider.System, _homes);
        var head = (await jobs.Find(1, Cancel))!;
        var next = int.Parse(head.Home.Site.Name.Split(' ')[1], System.Globalization.CultureInfo.InvariantCulture) + 1;
        Assert.IsType<HeadMove.Done>(await jobs.Commit(1, head.Job.Version, new(jobs.Prepare(Home(next)).Value, "next", "tab"), Cancel));
    }

    /// <summary>Why the folder cannot be used; null where it can.</summary>
    protected static string? Start(DataFolder folder)
    {
        using var context = Context(folder);
        return DatabaseOpening.BringUpToDate(context, folder, Now.AddSeconds(Interlocked.Increment(ref _starts))).Error;
    }

    /// <summary>Every job's home with the value of its key.</summary>
    protected async Task<IReadOnlyList<string>> Homes(DataFolder folder)
    {
        await using var context = Context(folder);
        await using var ring = Ring(folder);
        var jobs = new JobStore(new(context, new(TimeProvider.System)), TimeProvider.System, _homes);
        var homes = new List<string>();
        foreach (var job in (await jobs.List(null, false, JobOrder.Changed, 1, 10, Cancel)).Items)
        {
            homes.Add(
                $"{(await jobs.Find(job.Id, Cancel))!.Home.Site.Name} {await Secrets(context, ring).Show(job.Id, "house-key", Cancel)}"
            );
        }
        return homes;
    }

    protected static SecretStore Secrets(AltrinContext context, ServiceProvider ring) =>
        new(new(context, new(TimeProvider.System)), ring.GetRequiredService<IDataProtectionProvider>(), TimeProvider.System);

    protected static ServiceProvider Ring(DataFolder folder)
    {
        var services = new ServiceCollection();
        KeyRing.Use(services, folder);
        return services.BuildServiceProvider();
    }

    protected static AltrinContext Context(DataFolder folder) =>
        new(new DbContextOptionsBuilder<AltrinContext>().UseSqlite(folder.ConnectionString).Options);

    protected static HomeFile Home(int number) =>
        new(new($"Home {number}", new UnknownService(null, null), NamingSchool.OneName, [], [], []), [new("found", [], [], [])]);
}
