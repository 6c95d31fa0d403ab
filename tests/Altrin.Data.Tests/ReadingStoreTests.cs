using System.Text;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

namespace Altrin.Data.Tests;

public sealed class ReadingStoreTests : IDisposable
{
    private static readonly DateTimeOffset Noon = new(2026, 11, 24, 12, 0, 0, TimeSpan.Zero);
    private readonly DataFolder _folder = DataFolder.At(Path.Combine(Path.GetTempPath(), $"altrin-readings-{Guid.NewGuid():n}"));
    private readonly ReadHomes _homes = new();
    private readonly AltrinContext _context;
    private readonly JobStore _jobs;
    private readonly ReadingStore _readings;
    private readonly long _job;

    public ReadingStoreTests()
    {
        _context = new(new DbContextOptionsBuilder<AltrinContext>().UseSqlite(_folder.ConnectionString).Options);
        Assert.True(DatabaseOpening.BringUpToDate(_context, _folder, TimeProvider.System.GetUtcNow()).Ok);
        var writing = new Writing(_context, new(TimeProvider.System));
        (_jobs, _readings) = (new(writing, TimeProvider.System, _homes), new(writing, TimeProvider.System));
        _job = _jobs.Create("Home", new(Home, "New", "tab"), Cancel).GetAwaiter().GetResult().Job.Id;
    }

    private PreparedHome Home =>
        _jobs.Prepare(new(new("Home", new UnknownService(null, null), NamingSchool.OneName, [], [], []), [new("found", [], [], [])])).Value;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose()
    {
        _context.Dispose();
        _homes.Dispose();
        SqliteConnection.ClearAllPools();
        Directory.Delete(_folder.Path, recursive: true);
    }

    private ReadingEntity Reading(string text, int minutes = 0) =>
        new()
        {
            JobId = _job,
            Name = "pasted",
            Kinds = ReadingStore.KindsOf(ReadingText.Read(text).Value),
            TakenAt = Noon.AddMinutes(minutes),
            SetUp = "found",
            Content = Encoding.UTF8.GetBytes(text),
        };

    [Fact]
    public async Task Readings_are_listed_by_when_they_were_taken_and_read_back_whole()
    {
        await _readings.Keep(Reading("outside 203.0.113.7\n", 5), Cancel);
        await _readings.Keep(Reading("$ arp -a\n? (192.168.8.1) at 02:00:5e:00:53:01 on eth0\n", 9), Cancel);
        await _readings.Keep(Reading("the kettle is on", 1), Cancel);
        var page = await _readings.List(_job, false, 1, 2, Cancel);
        Assert.Equal((3, 2), (page.Total, page.Items.Count));
        Assert.Equal(
            [
                [ReadingKind.AddressTable],
                [ReadingKind.Outside],
            ],
            page.Items.Select(i => i.Kinds)
        );
        var (info, content) = (await _readings.Find(_job, page.Items[1].Id, Cancel))!.Value;
        Assert.Equal((Noon.AddMinutes(5), "outside 203.0.113.7\n"), (info.TakenAt, Encoding.UTF8.GetString(content)));
        Assert.Equal("203.0.113.7", $"{ReadingStore.Read(content, info.IsCapture).Value.Outside.Single().Seen}");
        Assert.Null(await _readings.Find(_job + 1, info.Id, Cancel));
    }

    [Fact]
    public async Task A_reading_that_is_archived_can_be_brought_back()
    {
        await _readings.Keep(Reading("the kettle is on"), Cancel);
        var id = (await _readings.List(_job, false, 1, 10, Cancel)).Items.Single().Id;
        Assert.True(await _readings.Archive(_job, id, true, Cancel));
        Assert.Equal(
            (0, 1),
            ((await _readings.List(_job, false, 1, 10, Cancel)).Total, (await _readings.List(_job, true, 1, 10, Cancel)).Total)
        );
        Assert.True(await _readings.Archive(_job, id, false, Cancel));
        Assert.Equal(
            (1, false),
            ((await _readings.List(_job, false, 1, 10, Cancel)).Total, await _readings.Archive(_job, id + 1, true, Cancel))
        );
    }

    [Fact]
    public async Task Readings_that_an_older_program_put_out_of_its_list_are_archived()
    {
        await _readings.Keep(Reading("the kettle is on", 1), Cancel);
        await _readings.Keep(Reading("the kettle is off", 2), Cancel);
        var kept = (await _readings.List(_job, false, 1, 10, Cancel)).Items;
        Assert.True(await _readings.Archive(_job, kept[0].Id, true, Cancel));
        // The database as it was before the column had this name, and up to date again.
        _context.GetService<IMigrator>().Migrate("PackedRevisions");
        Assert.True(DatabaseOpening.BringUpToDate(_context, _folder, TimeProvider.System.GetUtcNow()).Ok);
        Assert.Equal([kept[0].Id], (await _readings.List(_job, true, 1, 10, Cancel)).Items.Select(r => r.Id));
        Assert.Equal([kept[1].Id], (await _readings.List(_job, false, 1, 10, Cancel)).Items.Select(r => r.Id));
    }

    /// <summary>What was accepted and the reading it came from are saved together, or neither is.</summary>
    [Fact]
    public async Task A_reading_is_kept_with_its_revision_or_not_at_all()
    {
        var (stale, taken) = (Reading("the kettle is on"), Reading("the kettle is on"));
        Assert.IsType<HeadMove.Stale>(await _jobs.Commit(_job, 7, new(Home, "Read", "tab"), Cancel, _ => _readings.Add(stale)));
        Assert.Equal(0, await _readings.Count(_job, Cancel));
        var done = Assert.IsType<HeadMove.Done>(await _jobs.Commit(_job, 1, new(Home, "Read", "tab"), Cancel, revision =>
            {
                taken.RevisionId = revision;
                _readings.Add(taken);
            }));
        Assert.Equal((1, done.Head.Revision.Id), (await _readings.Count(_job, Cancel), taken.RevisionId!.Value));
        await _jobs.Undo(_job, 2, "tab", false, Cancel);
        Assert.Equal(1, await _readings.Count(_job, Cancel));
    }

    [Fact]
    public async Task A_copied_job_has_the_readings_too()
    {
        await _readings.Keep(Reading("the kettle is on"), Cancel);
        var other = (await _jobs.Create("Copy", new(Home, "Duplicated", "tab"), Cancel)).Job.Id;
        await _readings.Copy(_job, other, Cancel);
        Assert.Equal((1, 1), (await _readings.Count(_job, Cancel), await _readings.Count(other, Cancel)));
    }
}
