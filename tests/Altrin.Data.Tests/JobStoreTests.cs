using Altrin.Core.Sites;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

namespace Altrin.Data.Tests;

public sealed class JobStoreTests : IDisposable
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private readonly DataFolder _folder = DataFolder.At(Path.Combine(Path.GetTempPath(), $"altrin-data-{Guid.NewGuid():n}"));
    private readonly Clock _clock = new();
    private readonly ReadHomes _homes = new();
    private readonly WriteGate _gate = new(TimeProvider.System);

    public JobStoreTests()
    {
        using var context = Context();
        Assert.True(DatabaseOpening.BringUpToDate(context, _folder, _clock.GetUtcNow()).Ok);
    }

    public void Dispose()
    {
        _homes.Dispose();
        SqliteConnection.ClearAllPools();
        Directory.Delete(_folder.Path, recursive: true);
    }

    private AltrinContext Context() => new(new DbContextOptionsBuilder<AltrinContext>().UseSqlite(_folder.ConnectionString).Options);

    /// <summary>Each call on a store of its own, as each request has.</summary>
    private async Task<T> With<T>(Func<JobStore, Task<T>> act)
    {
        await using var context = Context();
        return await act(new(new(context, _gate), _clock, _homes));
    }

    /// <summary>A home made ready to be kept.</summary>
    private PreparedHome Ready(string name)
    {
        using var context = Context();
        return new JobStore(new(context, _gate), _clock, _homes).Prepare(Home(name)).Value;
    }

    private static HomeFile Home(string name) =>
        new(new(name, new UnknownService(null, null), NamingSchool.OneName, [], [], []), [new("planned", [], [], [])]);

    private Task<JobHead> Create(string name) => With(s => s.Create(name, new(Ready(name), "New job", "tab"), Cancel));

    private async Task<JobHead> Commit(long id, long version, string name, string tab = "tab") =>
        Assert.IsType<HeadMove.Done>(await With(s => s.Commit(id, version, new(Ready(name), name, tab), Cancel))).Head;

    [Fact]
    public async Task A_stale_save_changes_nothing_and_answers_the_head()
    {
        var job = await Create("one");
        await Commit(job.Job.Id, 1, "two");
        var stale = Assert.IsType<HeadMove.Stale>(await With(s => s.Commit(job.Job.Id, 1, new(Ready("three"), "three", "tab"), Cancel)));
        Assert.Equal(("two", 2L), (stale.Head.Home.Site.Name, stale.Head.Job.Version));
        Assert.Equal(2, (await With(s => s.Revisions(job.Job.Id, 1, 10, Cancel))).Total);
    }

    [Fact]
    public async Task Two_saves_of_one_version_at_once_let_one_through()
    {
        var job = await Create("one");
        var moves = await Task.WhenAll(
            Enumerable
                .Range(0, 6)
                .Select(i => Task.Run(() => With(s => s.Commit(job.Job.Id, 1, new(Ready($"{i}"), $"{i}", "tab"), Cancel)), Cancel))
        );
        Assert.Single(moves.OfType<HeadMove.Done>());
        Assert.Equal(5, moves.OfType<HeadMove.Stale>().Count());
        Assert.Equal(2, (await With(s => s.Revisions(job.Job.Id, 1, 10, Cancel))).Total);
    }

    [Fact]
    public async Task Undo_goes_to_the_parent_and_redo_to_the_newest_child()
    {
        var job = await Create("one");
        var id = job.Job.Id;
        await Commit(id, 1, "two");
        await With(s => s.Undo(id, 2, "tab", false, Cancel));
        var third = await Commit(id, 3, "three");
        Assert.Null(third.Redo);
        var back = Assert.IsType<HeadMove.Done>(await With(s => s.Undo(id, 4, "tab", false, Cancel))).Head;
        Assert.Equal(("one", null, "three"), (back.Home.Site.Name, back.Undo, back.Redo));
        Assert.Equal("three", Assert.IsType<HeadMove.Done>(await With(s => s.Redo(id, 5, Cancel))).Head.Home.Site.Name);
        Assert.IsType<HeadMove.Nothing>(await With(s => s.Redo(id, 6, Cancel)));
        Assert.Equal(3, (await With(s => s.Revisions(id, 1, 10, Cancel))).Total);
    }

    [Fact]
    public async Task Undo_does_not_pass_another_tab_without_saying_so()
    {
        var job = await Create("one");
        await Commit(job.Job.Id, 1, "two", "other");
        Assert.IsType<HeadMove.OtherTab>(await With(s => s.Undo(job.Job.Id, 2, "tab", false, Cancel)));
        Assert.IsType<HeadMove.Done>(await With(s => s.Undo(job.Job.Id, 2, "tab", true, Cancel)));
    }

    [Fact]
    public async Task The_first_revision_cannot_be_undone_and_a_missing_job_is_missing()
    {
        var job = await Create("one");
        Assert.IsType<HeadMove.Nothing>(await With(s => s.Undo(job.Job.Id, 1, "tab", true, Cancel)));
        Assert.IsType<HeadMove.Missing>(await With(s => s.Undo(99, 1, "tab", true, Cancel)));
    }

    [Theory]
    [InlineData("kiln", 2)]
    [InlineData("KILN", 2)]
    [InlineData("100%", 1)]
    [InlineData("_", 1)]
    [InlineData("\\", 1)]
    [InlineData("", 5)]
    public async Task Searching_takes_signs_literally(string search, int found)
    {
        foreach (var name in new[] { "Kiln Lane", "Old kiln", "100% wired", "snake_case", "back\\slash" })
        {
            await Create(name);
        }
        Assert.Equal(found, (await With(s => s.List(search, false, JobOrder.Changed, 1, 20, Cancel))).Total);
    }

    [Theory]
    [InlineData(JobOrder.Changed, "anna, Mill, Zoe, mill")]
    [InlineData(JobOrder.Created, "Zoe, mill, anna, Mill")]
    [InlineData(JobOrder.Name, "anna, mill, Mill, Zoe")]
    public async Task Lists_have_an_order(JobOrder order, string names)
    {
        var ids = new Dictionary<string, long>();
        foreach (var name in new[] { "Mill", "anna", "mill", "Zoe" })
        {
            ids[name] = (await Create(name)).Job.Id;
        }
        await With(s => s.Edit(ids["Mill"], "Mill", null, Cancel));
        await With(s => s.Edit(ids["anna"], "anna", null, Cancel));
        Assert.Equal(names, string.Join(", ", (await With(s => s.List(null, false, order, 1, 20, Cancel))).Items.Select(j => j.Name)));
    }

    [Fact]
    public async Task Lists_are_paged_newest_first_and_archived_jobs_are_apart()
    {
        for (var i = 0; i < 7; i++)
        {
            await Create($"job {i}");
        }
        var all = await With(s => s.List(null, false, JobOrder.Changed, 1, 20, Cancel));
        await With(s => s.Edit(all.Items[0].Id, null, true, Cancel));
        var page = await With(s => s.List(null, false, JobOrder.Changed, 2, 3, Cancel));
        Assert.Equal((6, "job 2,job 1,job 0"), (page.Total, string.Join(',', page.Items.Select(j => j.Name))));
        Assert.Equal("job 6", Assert.Single((await With(s => s.List(null, true, JobOrder.Changed, 1, 20, Cancel))).Items).Name);
        var renamed = await With(s => s.Edit(all.Items[0].Id, "again", false, Cancel));
        Assert.Equal(("again", null, 3L), (renamed!.Name, renamed.ArchivedAt, renamed.Version));
    }

    [Fact]
    public async Task A_backup_made_in_use_restores_to_the_same_and_keeps_what_was_there()
    {
        await Create("kept");
        var written = Backup.Write(_folder, null, _clock.GetUtcNow()).Value;
        await Create("later");
        using (_folder.TryLock())
        {
            Assert.Contains("in use", Restoring.Restore(_folder, written, _clock.GetUtcNow()).Error);
        }
        _homes.Dispose();
        SqliteConnection.ClearAllPools();
        var before = Restoring.Restore(_folder, written, _clock.GetUtcNow());
        Assert.True(before.Ok, before.Error);
        Assert.Equal("kept", Assert.Single((await With(s => s.List(null, false, JobOrder.Changed, 1, 20, Cancel))).Items).Name);
        _homes.Dispose();
        SqliteConnection.ClearAllPools();
        Assert.True(Restoring.Restore(_folder, before.Value, _clock.GetUtcNow()).Ok);
        Assert.Equal(2, (await With(s => s.List(null, false, JobOrder.Changed, 1, 20, Cancel))).Total);
    }

    [Fact]
    public void What_is_no_backup_is_refused_and_nothing_is_lost()
    {
        var file = Path.Combine(_folder.Path, "no.zip");
        File.WriteAllText(file, "not a zip");
        Assert.Contains("could not be restored", Restoring.Restore(_folder, file, _clock.GetUtcNow()).Error);
        Assert.Contains("not written over", Backup.Write(_folder, file, _clock.GetUtcNow()).Error);
        Assert.True(File.Exists(_folder.Database));
    }

    [Fact]
    public void A_newer_database_is_refused_and_a_stale_migration_lock_is_no_obstacle()
    {
        using var context = Context();
        context.Database.ExecuteSqlRaw(
            "CREATE TABLE IF NOT EXISTS \"__EFMigrationsLock\" (\"Id\" INTEGER NOT NULL PRIMARY KEY, \"Timestamp\" TEXT NOT NULL); INSERT INTO \"__EFMigrationsLock\" VALUES (1, 'then');"
        );
        Assert.True(DatabaseOpening.BringUpToDate(context, _folder, _clock.GetUtcNow()).Ok);
        context.Database.ExecuteSqlRaw("INSERT INTO \"__EFMigrationsHistory\" VALUES ('29990101000000_Later', '99.0')");
        Assert.Contains("newer Altrin (29990101000000_Later)", DatabaseOpening.BringUpToDate(context, _folder, _clock.GetUtcNow()).Error);
    }

    [Fact]
    public void A_migration_is_preceded_by_a_copy()
    {
        using var context = Context();
        var job = new JobEntity
        {
            Name = "Old",
            CreatedAt = _clock.GetUtcNow(),
            ChangedAt = _clock.GetUtcNow(),
            Version = 1,
        };
        context.Jobs.Add(job);
        context.SaveChanges();
        // As the first Altrin left it.
        context.GetService<IMigrator>().Migrate("Initial");
        var copy = DatabaseOpening.BringUpToDate(context, _folder, _clock.GetUtcNow());
        Assert.True(File.Exists(copy.Value), copy.Error);
        Assert.Equal("Old", Assert.Single(context.Jobs).Name);
        Assert.Empty(context.Secrets);
    }

    [Fact]
    public async Task Revisions_take_a_tenth_of_their_text_and_are_read_back_to_the_letter()
    {
        var house = Altrin
            .Formats.DesignFile.Read(await File.ReadAllBytesAsync(Path.Combine(AppContext.BaseDirectory, "pottery-house.json"), Cancel))
            .Value!;
        HomeFile Named(int i) => house with { Site = house.Site with { Name = $"Pottery house {i}" } };
        var job = await With(s => s.Create("house", new(s.Prepare(Named(0)).Value, "New job", "tab"), Cancel));
        for (var i = 1; i < 40; i++)
        {
            Assert.IsType<HeadMove.Done>(await With(s => s.Commit(job.Job.Id, i, new(s.Prepare(Named(i)).Value, "named", "tab"), Cancel)));
        }
        await using var context = Context();
        var rows = await context.Revisions.AsNoTracking().OrderBy(r => r.Id).ToListAsync(Cancel);
        var texts = Enumerable.Range(0, 40).Select(i => Altrin.Formats.DesignFile.Write(Named(i))).ToList();
        Assert.InRange(rows.Sum(r => (long)r.Packed!.Length), 1, texts.Sum(t => (long)t.Length) / 10);
        using var fresh = new ReadHomes();
        var store = new JobStore(new(context, _gate), _clock, fresh);
        for (var i = 0; i < rows.Count; i++)
        {
            Assert.Equal(texts[i], Altrin.Formats.DesignFile.Write((await store.Revision(job.Job.Id, rows[i].Id, Cancel))!.Value.Home));
        }
    }

    [Fact]
    public void One_process_has_the_folder()
    {
        using (Assert.IsAssignableFrom<IDisposable>(_folder.TryLock()))
        {
            Assert.Null(_folder.TryLock());
        }
        _folder.TryLock()!.Dispose();
    }

    /// <summary>Every look at it is a second later.</summary>
    private sealed class Clock : TimeProvider
    {
        private long _looks;

        public override DateTimeOffset GetUtcNow() =>
            new DateTimeOffset(2026, 11, 23, 9, 0, 0, TimeSpan.Zero).AddSeconds(Interlocked.Increment(ref _looks));
    }
}
