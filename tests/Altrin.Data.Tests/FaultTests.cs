using Altrin.Formats;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

namespace Altrin.Data.Tests;

/// <summary>
/// Kills and full disks at every write: what was acknowledged is there afterwards, what was not is there whole or not at all, and the
/// folder opens.
/// </summary>
[System.Runtime.Versioning.SupportedOSPlatform("linux")]
[Collection("Data folders")]
public sealed class FaultTests : DataFolders
{
    public FaultTests() => FaultyFiles.Install();

    public override void Dispose()
    {
        FaultyFiles.Disarm();
        base.Dispose();
    }

    [Theory]
    [InlineData(Fault.Kill)]
    [InlineData(Fault.Full)]
    public async Task A_first_start_that_ends_at_any_write_leaves_no_home_or_a_whole_one(Fault fault)
    {
        await AtEachWrite(
            fault,
            NewFolder,
            async folder => await Seed(folder),
            async (folder, done) =>
            {
                Assert.Null(Start(folder));
                var homes = await Homes(folder);
                Assert.Equal(
                    done ? ["Home 1 " + Key]
                        : homes.Count == 0 ? []
                        : ["Home 1 " + Key],
                    homes
                );
            }
        );
    }

    [Theory]
    [InlineData(Fault.Kill)]
    [InlineData(Fault.Full)]
    public async Task An_edit_is_saved_whole_or_not_at_all(Fault fault)
    {
        var before = await Seeded();
        await AtEachWrite(
            fault,
            () => Copied(before),
            folder => Edit(folder),
            async (folder, done) =>
            {
                Assert.Null(Start(folder));
                var home = Assert.Single(await Homes(folder));
                Assert.Contains(home, done ? ["Home 2 " + Key] : new[] { "Home 1 " + Key, "Home 2 " + Key });
                // And it goes on.
                await Edit(folder);
            }
        );
    }

    [Theory]
    [InlineData(Fault.Kill)]
    [InlineData(Fault.Full)]
    public async Task A_migration_that_ends_at_any_write_is_done_at_the_next_start(Fault fault)
    {
        var before = NewFolder();
        using (var context = Context(before))
        {
            context.GetService<IMigrator>().Migrate("Readings");
            // A revision as it was kept before revisions were packed.
            context.Database.ExecuteSql($"INSERT INTO Jobs (Name, CreatedAt, ChangedAt, Version, HeadId) VALUES ('Home', 0, 0, 1, 1)");
            context.Database.ExecuteSql(
                $"INSERT INTO Revisions (Id, JobId, Label, Tab, CreatedAt, Design) VALUES (1, 1, 'New', 'tab', 0, {DesignFile.Write(Home(1))})"
            );
        }
        SqliteConnection.ClearAllPools();
        await AtEachWrite(
            fault,
            () => Copied(before),
            folder => Start(folder) is { } refused ? Task.FromException(new IOException(refused)) : Task.CompletedTask,
            async (folder, _) =>
            {
                Assert.Null(Start(folder));
                Assert.Equal("Home 1 ", Assert.Single(await Homes(folder)));
                Assert.NotEmpty(Directory.GetFiles(folder.Backups, "*.zip"));
            }
        );
    }

    [Fact]
    public async Task A_backup_has_its_name_when_it_is_complete()
    {
        var folder = await Seeded();
        var steps = 0;
        for (var at = 1; steps == 0 || at <= steps; at++)
        {
            var disk = new FaultyDisk(steps == 0 ? 0 : at);
            var file = Path.Combine(Root, $"backup-{at}.zip");
            var killed = Died(() => Backup.Write(folder, file, Now, disk));
            if (steps == 0)
            {
                (steps, at) = (disk.Seen, 0);
                Assert.False(killed);
                File.Delete(Path.Combine(Root, "backup-1.zip"));
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
    public async Task A_backup_that_finds_no_room_says_so_and_leaves_nothing()
    {
        var folder = await Seeded();
        var counting = new FaultyDisk(0, Fault.Full);
        Assert.True(Backup.Write(folder, Path.Combine(Root, "whole.zip"), Now, counting).Ok);
        for (var at = 1; at <= counting.Seen; at++)
        {
            var refused = Backup.Write(folder, null, Now, new FaultyDisk(at, Fault.Full));
            Assert.Equal("The backup could not be written: The disk is full.", refused.Error);
            Assert.Empty(Directory.Exists(folder.Backups) ? Directory.GetFiles(folder.Backups) : []);
        }
        Assert.Equal("Home 1 " + Key, Assert.Single(await Homes(folder)));
    }

    [Fact]
    public async Task A_restore_that_finds_no_room_changes_nothing_or_is_ended_at_the_next_start()
    {
        var folder = await Seeded();
        await Edit(folder);
        var backup = Backup.Write(folder, Path.Combine(Root, "edited.zip"), Now).Value;
        var other = await Seeded();
        // In a folder without a ring the last step needs room too.
        var bare = Copied(other);
        Directory.Delete(bare.Keys, recursive: true);
        foreach (var (before, name) in new[] { (other, "Home 1 " + Key), (bare, "Home 1 ") })
        {
            var counting = new FaultyDisk(0, Fault.Full);
            Assert.True(Restoring.Restore(Copied(before), backup, Now, counting).Ok);
            var last = false;
            for (var at = 1; at <= counting.Seen; at++)
            {
                var into = Copied(before);
                var refused = Restoring.Restore(into, backup, Now, new FaultyDisk(at, Fault.Full));
                Assert.Contains("The disk is full.", refused.Error, StringComparison.Ordinal);
                var ends = refused.Error!.Contains("The next start ends it", StringComparison.Ordinal);
                SqliteConnection.ClearAllPools();
                Assert.Null(Start(into));
                last = ends;
                Assert.Equal(ends ? "Home 2 " + Key : name, Assert.Single(await Homes(into)));
                Assert.Empty(Directory.GetDirectories(into.Path, "restor*"));
            }
            Assert.Equal(before == bare, last);
        }
        // One that was cut short before is ended first, and that needs room too.
        var cut = Copied(bare);
        for (var at = 1; Directory.GetDirectories(cut.Path, "restored").Length == 0; at++)
        {
            Assert.True(Died(() => Restoring.Restore(cut, backup, Now, new FaultyDisk(at))), $"step {at}");
            SqliteConnection.ClearAllPools();
            cut = Directory.GetDirectories(cut.Path, "restored").Length > 0 ? cut : Copied(bare);
        }
        var earlier = Restoring.Restore(cut, Path.Combine(Root, "edited.zip"), Now, new FaultyDisk(1, Fault.Full));
        Assert.StartsWith(
            $"An earlier restore into {cut.Path} is not ended yet: The disk is full.",
            earlier.Error,
            StringComparison.Ordinal
        );
        // And where it is the database that finds none.
        await AtEachWrite(
            Fault.Full,
            () => Copied(other),
            into =>
                Restoring.Restore(into, backup, Now) is { Ok: false } refused
                    ? Task.FromException(new IOException(refused.Error))
                    : Task.CompletedTask,
            async (into, done) =>
            {
                Assert.Null(Start(into));
                Assert.Equal(done ? "Home 2 " + Key : "Home 1 " + Key, Assert.Single(await Homes(into)));
            },
            least: 1
        );
    }

    [Fact]
    public async Task A_restore_killed_at_any_step_leaves_the_one_or_the_other_with_its_keys()
    {
        var folder = await Seeded();
        await Edit(folder);
        var backup = Backup.Write(folder, Path.Combine(Root, "edited.zip"), Now).Value;
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

    [Fact]
    public async Task A_backup_written_while_others_save_is_of_one_state()
    {
        var folder = await Seeded();
        using var stop = new CancellationTokenSource();
        var edits = Task.Run(
            async () =>
            {
                while (!stop.IsCancellationRequested)
                {
                    await Edit(folder);
                }
            },
            Cancel
        );
        for (var i = 0; i < 8; i++)
        {
            var written = Backup.Write(folder, Path.Combine(Root, $"live-{i}.zip"), Now);
            Assert.True(written.Ok, written.Error);
        }
        await stop.CancelAsync();
        await edits;
        for (var i = 0; i < 8; i++)
        {
            var into = NewFolder();
            var restored = Restoring.Restore(into, Path.Combine(Root, $"live-{i}.zip"), Now);
            Assert.True(restored.Ok, restored.Error);
            Assert.Matches("^Home [0-9]+ " + Key + "$", Assert.Single(await Homes(into)));
        }
    }

    /// <summary>Runs an act once to count its writes, and once for each of them with a fault there.</summary>
    private static async Task AtEachWrite(
        Fault fault,
        Func<DataFolder> prepare,
        Func<DataFolder, Task> act,
        Func<DataFolder, bool, Task> check,
        int least = 3
    )
    {
        var counting = prepare();
        FaultyFiles.Arm(counting.Path, fault, 0);
        await act(counting);
        SqliteConnection.ClearAllPools();
        var writes = FaultyFiles.Disarm();
        Assert.InRange(writes, least, 2_000);
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
            catch (Exception e) when (StorageFault.Says(e) is not null) { }
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
}
