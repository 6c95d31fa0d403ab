using System.Security.Cryptography;
using Altrin.Core.Sites;
using Altrin.Formats;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;
using Microsoft.Extensions.DependencyInjection;

namespace Altrin.Data.Tests;

/// <summary>
/// Kills at every write, full disks and damaged files: what was acknowledged is there afterwards, what was not is there whole or not at all,
/// and every folder opens or is refused by name and left as it is.
/// </summary>
[System.Runtime.Versioning.SupportedOSPlatform("linux")]
public sealed class FaultTests : IDisposable
{
    private const string Key = "planted-kazoo-7731";
    private static readonly DateTimeOffset Now = new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero);
    private readonly string _root = Directory.CreateTempSubdirectory("altrin-faults-").FullName;
    private readonly ReadHomes _homes = new();
    private int _folders;
    private static int _starts;

    public FaultTests() => FaultyFiles.Install();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose()
    {
        FaultyFiles.Disarm();
        _homes.Dispose();
        SqliteConnection.ClearAllPools();
        Directory.Delete(_root, recursive: true);
    }

    [Fact]
    public async Task A_first_start_killed_at_any_write_leaves_no_home_or_a_whole_one()
    {
        await AtEachWrite(Fault.Kill, NewFolder, async folder => await Seed(folder), async (folder, done) =>
        {
            Assert.Null(Start(folder));
            var homes = await Homes(folder);
            Assert.Equal(done ? ["Home 1 " + Key] : homes.Count == 0 ? [] : ["Home 1 " + Key], homes);
        });
    }

    [Theory]
    [InlineData(Fault.Kill)]
    [InlineData(Fault.Full)]
    public async Task An_edit_is_saved_whole_or_not_at_all(Fault fault)
    {
        var before = await Seeded();
        await AtEachWrite(fault, () => Copied(before), folder => Edit(folder), async (folder, done) =>
        {
            Assert.Null(Start(folder));
            var home = Assert.Single(await Homes(folder));
            Assert.Contains(home, done ? ["Home 2 " + Key] : new[] { "Home 1 " + Key, "Home 2 " + Key });
            // And it goes on.
            await Edit(folder);
        });
    }

    [Fact]
    public async Task A_migration_killed_at_any_write_is_done_at_the_next_start()
    {
        var before = NewFolder();
        using (var context = Context(before))
        {
            context.GetService<IMigrator>().Migrate("Readings");
            // A revision as it was kept before revisions were packed.
            context.Database.ExecuteSql($"INSERT INTO Jobs (Name, CreatedAt, ChangedAt, Version, HeadId) VALUES ('Home', 0, 0, 1, 1)");
            context.Database.ExecuteSql($"INSERT INTO Revisions (Id, JobId, Label, Tab, CreatedAt, Design) VALUES (1, 1, 'New', 'tab', 0, {DesignFile.Write(Home(1))})");
        }
        SqliteConnection.ClearAllPools();
        await AtEachWrite(Fault.Kill, () => Copied(before), folder => Start(folder) is { } refused ? Task.FromException(new IOException(refused)) : Task.CompletedTask, async (folder, _) =>
        {
            Assert.Null(Start(folder));
            Assert.Equal("Home 1 ", Assert.Single(await Homes(folder)));
            Assert.NotEmpty(Directory.GetFiles(folder.Backups, "*.zip"));
        });
    }

    [Fact]
    public async Task A_backup_has_its_name_when_it_is_complete()
    {
        var folder = await Seeded();
        var steps = 0;
        for (var at = 1; steps == 0 || at <= steps; at++)
        {
            var disk = new FaultyDisk(steps == 0 ? 0 : at);
            var file = Path.Combine(_root, $"backup-{at}.zip");
            var killed = Died(() => Backup.Write(folder, file, Now, disk));
            if (steps == 0)
            {
                (steps, at) = (disk.Seen, 0);
                Assert.False(killed);
                File.Delete(Path.Combine(_root, "backup-1.zip"));
                continue;
            }
            Assert.True(killed, $"step {at} of {steps}");
            if (File.Exists(file))
            {
                var other = NewFolder();
                Assert.True(Restoring.Restore(other, file, Now).Ok);
                Assert.Equal("Home 1 " + Key, Assert.Single(await Homes(other)));
            }
        }
        Assert.InRange(steps, 5, 500);
        Assert.Equal("Home 1 " + Key, Assert.Single(await Homes(folder)));
    }

    [Fact]
    public async Task A_restore_killed_at_any_step_leaves_the_one_or_the_other_with_its_keys()
    {
        var folder = await Seeded();
        await Edit(folder);
        var backup = Backup.Write(folder, Path.Combine(_root, "edited.zip"), Now).Value;
        // Another home with another ring.
        var other = await Seeded();
        var steps = 0;
        for (var at = 1; steps == 0 || at <= steps; at++)
        {
            var into = Copied(other);
            var disk = new FaultyDisk(steps == 0 ? 0 : at);
            var killed = Died(() => Restoring.Restore(into, backup, Now, disk));
            SqliteConnection.ClearAllPools();
            if (steps == 0)
            {
                Assert.False(killed);
                Assert.Equal("Home 2 " + Key, Assert.Single(await Homes(into)));
                (steps, at) = (disk.Seen, 0);
                continue;
            }
            Assert.Null(Start(into));
            Assert.Contains(Assert.Single(await Homes(into)), new[] { "Home 1 " + Key, "Home 2 " + Key });
            Assert.Empty(Directory.GetDirectories(into.Path, "restor*"));
            Assert.Empty(Directory.Exists(into.Backups) ? Directory.GetFiles(into.Backups, "*.part") : []);
            // What was there is not lost either, wherever it was stopped.
            Assert.True(Restoring.Restore(into, backup, Now.AddSeconds(1)).Ok);
            Assert.Equal("Home 2 " + Key, Assert.Single(await Homes(into)));
        }
        Assert.InRange(steps, 10, 500);
    }

    [Theory]
    [InlineData("a database of no length", "is empty, but the folder was used")]
    [InlineData("no database", "is gone, but the folder was used")]
    [InlineData("no database, but its log", "is gone, but the folder was used")]
    [InlineData("a database that is none", "is damaged")]
    [InlineData("half a database", "is damaged")]
    [InlineData("a page of noise", "is damaged")]
    [InlineData("tables gone", "holds no jobs of Altrin")]
    [InlineData("a later migration", "newer Altrin (29990101000000_Later)")]
    [InlineData("a later design file", "newer Altrin (design file version 99; this one knows up to 6)")]
    public async Task A_damaged_folder_is_refused_by_name_and_left_as_it_is(string damage, string says)
    {
        var folder = await Seeded();
        var backup = Backup.Write(folder, null, Now).Value;
        SqliteConnection.ClearAllPools();
        Damage(folder, damage);
        var was = Fingerprint(folder);
        var refused = Start(folder);
        Assert.Contains(says, refused, StringComparison.Ordinal);
        Assert.Contains(says.Contains("newer", StringComparison.Ordinal) ? "Update this Altrin" : $"altrin restore {backup} --data {folder.Path}", refused, StringComparison.Ordinal);
        Assert.Equal(was, Fingerprint(folder));
        // As it says.
        var restored = Restoring.Restore(folder, backup, Now.AddSeconds(1));
        Assert.True(restored.Ok, restored.Error);
        Assert.Null(Start(folder));
        Assert.Equal("Home 1 " + Key, Assert.Single(await Homes(folder)));
        Assert.True(File.Exists(restored.Value), "what was there is kept");
    }

    [Theory]
    [InlineData("a page of noise", "damaged")]
    [InlineData("a later migration", "newer Altrin")]
    [InlineData("a later design file", "design file version 99")]
    [InlineData("tables gone", "holds no jobs")]
    public async Task A_backup_that_cannot_be_used_changes_nothing(string damage, string says)
    {
        var bad = await Seeded();
        SqliteConnection.ClearAllPools();
        Damage(bad, damage);
        var file = Path.Combine(_root, "bad.zip");
        System.IO.Compression.ZipFile.CreateFromDirectory(bad.Path, file);
        var folder = await Seeded();
        SqliteConnection.ClearAllPools();
        var was = Fingerprint(folder);
        var refused = Restoring.Restore(folder, file, Now);
        Assert.Contains(says, refused.Error, StringComparison.Ordinal);
        Assert.Contains("Nothing was changed", refused.Error, StringComparison.Ordinal);
        Assert.Equal(was, Fingerprint(folder));
        Assert.Empty(Directory.GetDirectories(folder.Path, "restor*"));
    }

    [Fact]
    public async Task Of_a_backup_only_what_is_ours_is_taken()
    {
        var folder = await Seeded();
        var file = Backup.Write(folder, Path.Combine(_root, "more.zip"), Now).Value;
        using (var zip = System.IO.Compression.ZipFile.Open(file, System.IO.Compression.ZipArchiveMode.Update))
        {
            foreach (var name in new[] { "keys/../../outside.xml", "/keys/absolute.xml", "keys/run.sh", "keys/deep/key.xml", "altrin.db-shm", "other.txt" })
            {
                using var writer = new StreamWriter(zip.CreateEntry(name).Open());
                writer.Write("<key/>");
            }
        }
        var into = NewFolder();
        Assert.True(Restoring.Restore(into, file, Now).Ok);
        string[] names = [.. Directory.GetFiles(into.Path, "*", SearchOption.AllDirectories).Select(f => Path.GetRelativePath(into.Path, f)).Order(StringComparer.Ordinal)];
        Assert.Equal(2, names.Length);
        Assert.Equal("altrin.db", names[0]);
        Assert.StartsWith(Path.Combine("keys", "key-"), names[1], StringComparison.Ordinal);
        Assert.False(File.Exists(Path.Combine(_root, "outside.xml")));
    }

    [Fact]
    public async Task A_backup_written_while_others_save_is_of_one_state()
    {
        var folder = await Seeded();
        using var stop = new CancellationTokenSource();
        var edits = Task.Run(async () =>
        {
            while (!stop.IsCancellationRequested)
            {
                await Edit(folder);
            }
        }, Cancel);
        for (var i = 0; i < 8; i++)
        {
            var written = Backup.Write(folder, Path.Combine(_root, $"live-{i}.zip"), Now);
            Assert.True(written.Ok, written.Error);
        }
        await stop.CancelAsync();
        await edits;
        for (var i = 0; i < 8; i++)
        {
            var into = NewFolder();
            var restored = Restoring.Restore(into, Path.Combine(_root, $"live-{i}.zip"), Now);
            Assert.True(restored.Ok, restored.Error);
            Assert.Matches("^Home [0-9]+ " + Key + "$", Assert.Single(await Homes(into)));
        }
    }

    [Fact]
    public async Task Rings_that_cannot_be_read_are_set_aside_and_secrets_can_be_typed_again()
    {
        var folder = await Seeded();
        foreach (var key in Directory.GetFiles(folder.Keys))
        {
            await File.WriteAllTextAsync(key, "<key id=\"half", Cancel);
        }
        Assert.EndsWith(".unreadable", Assert.Single(KeyRing.SetAsideUnreadable(folder)), StringComparison.Ordinal);
        Assert.Empty(KeyRing.SetAsideUnreadable(folder));
        Assert.Null(Start(folder));
        Assert.Equal("Home 1 ", Assert.Single(await Homes(folder)));
        await using var context = Context(folder);
        await using var ring = Ring(folder);
        Assert.Equal("house-key", (await Secrets(context, ring).Type(1, "house-key", "typed again", Cancel)).Value);
        Assert.Equal("Home 1 typed again", Assert.Single(await Homes(folder)));
    }

    [Fact]
    public async Task Nobody_else_may_read_what_is_kept()
    {
        var folder = await Seeded();
        var backup = Backup.Write(folder, Path.Combine(_root, "private.zip"), Now).Value;
        Assert.Equal("UserRead, UserWrite", $"{File.GetUnixFileMode(backup)}".Replace("UserWrite, UserRead", "UserRead, UserWrite", StringComparison.Ordinal));
        foreach (var part in Directory.GetFileSystemEntries(folder.Path, "*", SearchOption.AllDirectories))
        {
            File.SetUnixFileMode(part, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute | UnixFileMode.GroupRead | UnixFileMode.OtherRead);
        }
        Assert.Null(Start(folder));
        var open = Directory.GetFileSystemEntries(folder.Path, "*", SearchOption.AllDirectories).Append(folder.Path)
            .Where(p => (File.GetUnixFileMode(p) & ~(UnixFileMode.UserRead | UnixFileMode.UserWrite | (Directory.Exists(p) ? UnixFileMode.UserExecute : 0))) != 0);
        Assert.Empty(open);
    }

    [Fact]
    public void A_folder_of_other_things_and_what_is_no_folder_are_refused()
    {
        var other = Directory.CreateDirectory(Path.Combine(_root, "letters")).FullName;
        File.WriteAllText(Path.Combine(other, "letter.txt"), "Dear");
        Assert.Contains("holds other things", DataFolder.Open(other).Value.Take().Error, StringComparison.Ordinal);
        Assert.Contains("it is a file, not a folder", DataFolder.Open(Path.Combine(other, "letter.txt")).Error, StringComparison.Ordinal);
        Assert.False(DataFolder.Open("").Ok);
    }

    /// <summary>Runs an act once to count its writes, and once for each of them with a fault there.</summary>
    private static async Task AtEachWrite(Fault fault, Func<DataFolder> prepare, Func<DataFolder, Task> act, Func<DataFolder, bool, Task> check)
    {
        var counting = prepare();
        FaultyFiles.Arm(counting.Path, fault, 0);
        await act(counting);
        SqliteConnection.ClearAllPools();
        var writes = FaultyFiles.Disarm();
        Assert.InRange(writes, 3, 2_000);
        await check(counting, true);
        for (var at = 1; at <= writes; at++)
        {
            var folder = prepare();
            var done = false;
            FaultyFiles.Arm(folder.Path, fault, at);
            try
            {
                await act(folder);
                done = true;
            }
            catch (Exception e) when (StorageFault.Says(e) is not null)
            {
            }
            if (fault == Fault.Kill)
            {
                // What is still open is closed without a trace, as by the end of the process.
                SqliteConnection.ClearAllPools();
            }
            FaultyFiles.Disarm();
            await check(folder, done);
            SqliteConnection.ClearAllPools();
            Directory.Delete(folder.Path, recursive: true);
        }
    }

    private static bool Died(Action act)
    {
        try
        {
            act();
            return false;
        }
        catch (KilledException)
        {
            return true;
        }
    }

    private static string Fingerprint(DataFolder folder)
    {
        // What SQLite keeps beside a database while it is looked at holds nothing of its own.
        var files = Directory.GetFiles(folder.Path, "*", SearchOption.AllDirectories).Where(f => !f.EndsWith("-shm", StringComparison.Ordinal) && !(f.EndsWith("-wal", StringComparison.Ordinal) && new FileInfo(f).Length == 0));
        return string.Join('\n', files.Order(StringComparer.Ordinal).Select(f => $"{Path.GetRelativePath(folder.Path, f)} {Convert.ToHexString(SHA256.HashData(File.ReadAllBytes(f)))}"));
    }

    private static void Damage(DataFolder folder, string damage)
    {
        var bytes = File.ReadAllBytes(folder.Database);
        switch (damage)
        {
            case "a database of no length":
                File.WriteAllBytes(folder.Database, []);
                break;
            case "no database":
                File.Delete(folder.Database);
                break;
            case "no database, but its log":
                File.Move(folder.Database, folder.WriteLog, overwrite: true);
                break;
            case "a database that is none":
                File.WriteAllText(folder.Database, new('x', 9000));
                break;
            case "half a database":
                File.WriteAllBytes(folder.Database, bytes[..(bytes.Length / 8192 * 4096)]);
                break;
            case "a page of noise":
                new Random(7).NextBytes(bytes.AsSpan(4096, 4096));
                File.WriteAllBytes(folder.Database, bytes);
                break;
            case "tables gone":
                Ask(folder, "DROP TABLE __EFMigrationsHistory");
                break;
            case "a later migration":
                Ask(folder, "INSERT INTO __EFMigrationsHistory VALUES ('29990101000000_Later', '99.0')");
                break;
            case "a later design file":
                Ask(folder, "PRAGMA user_version = 99");
                break;
            default:
                Assert.Fail(damage);
                break;
        }
    }

    private static void Ask(DataFolder folder, string what)
    {
        using var connection = new SqliteConnection(folder.ConnectionString);
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = what;
        command.ExecuteNonQuery();
        SqliteConnection.ClearPool(connection);
    }

    private DataFolder NewFolder() => DataFolder.At(Path.Combine(_root, $"folder-{_folders++}"));

    private DataFolder Copied(DataFolder from)
    {
        var to = NewFolder();
        foreach (var file in Directory.GetFiles(from.Path, "*", SearchOption.AllDirectories).Where(f => !f.EndsWith("-shm", StringComparison.Ordinal)))
        {
            var place = Path.Combine(to.Path, Path.GetRelativePath(from.Path, file));
            Directory.CreateDirectory(Path.GetDirectoryName(place)!);
            File.Copy(file, place);
        }
        return to;
    }

    private async Task<DataFolder> Seeded()
    {
        var folder = NewFolder();
        await Seed(folder);
        SqliteConnection.ClearAllPools();
        return folder;
    }

    /// <summary>A start, and a home with a key put in as one act.</summary>
    private async Task Seed(DataFolder folder)
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
        await writing.Do(async () =>
        {
            var head = await jobs.Create("Home", jobs.Prepare(Home(1)).Value, "New", "tab", Cancel);
            await secrets.Type(head.Job.Id, "house-key", Key, Cancel);
        }, Cancel);
    }

    private async Task Edit(DataFolder folder)
    {
        await using var context = Context(folder);
        var jobs = new JobStore(new(context, new(TimeProvider.System)), TimeProvider.System, _homes);
        var head = (await jobs.Find(1, Cancel))!;
        var next = int.Parse(head.Home.Site.Name.Split(' ')[1], System.Globalization.CultureInfo.InvariantCulture) + 1;
        Assert.IsType<HeadMove.Done>(await jobs.Commit(1, head.Job.Version, jobs.Prepare(Home(next)).Value, "next", "tab", Cancel));
    }

    /// <summary>Why the folder cannot be used; null where it can.</summary>
    private static string? Start(DataFolder folder)
    {
        using var context = Context(folder);
        return DatabaseOpening.BringUpToDate(context, folder, Now.AddSeconds(Interlocked.Increment(ref _starts))).Error;
    }

    /// <summary>Every job's home with the value of its key.</summary>
    private async Task<IReadOnlyList<string>> Homes(DataFolder folder)
    {
        await using var context = Context(folder);
        await using var ring = Ring(folder);
        var jobs = new JobStore(new(context, new(TimeProvider.System)), TimeProvider.System, _homes);
        var homes = new List<string>();
        foreach (var job in (await jobs.List(null, false, 1, 10, Cancel)).Items)
        {
            homes.Add($"{(await jobs.Find(job.Id, Cancel))!.Home.Site.Name} {await Secrets(context, ring).Show(job.Id, "house-key", Cancel)}");
        }
        return homes;
    }

    private static SecretStore Secrets(AltrinContext context, ServiceProvider ring) =>
        new(new(context, new(TimeProvider.System)), ring.GetRequiredService<IDataProtectionProvider>(), TimeProvider.System);

    private static ServiceProvider Ring(DataFolder folder)
    {
        var services = new ServiceCollection();
        KeyRing.Use(services, folder);
        return services.BuildServiceProvider();
    }

    private static AltrinContext Context(DataFolder folder) => new(new DbContextOptionsBuilder<AltrinContext>().UseSqlite(folder.ConnectionString).Options);

    private static HomeFile Home(int number) => new(new($"Home {number}", new UnknownService(null, null), NamingSchool.OneName, [], [], []), [new("found", [], [], [])]);
}
