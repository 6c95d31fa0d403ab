using System.Text;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;
using Altrin.Formats;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace Altrin.Data.Tests;

public sealed class SecretStoreTests : IDisposable
{
    private const string Planted = "planted-kazoo-7731";
    private readonly DataFolder _folder = DataFolder.At(Path.Combine(Path.GetTempPath(), $"altrin-secrets-{Guid.NewGuid():n}"));
    private readonly ReadHomes _homes = new();
    private readonly WriteGate _gate = new(TimeProvider.System);
    private readonly long _job;

    public SecretStoreTests()
    {
        using var context = Context();
        Assert.True(DatabaseOpening.BringUpToDate(context, _folder, TimeProvider.System.GetUtcNow()).Ok);
        var jobs = new JobStore(new(context, _gate), TimeProvider.System, _homes);
        _job = jobs.Create("Home", new(jobs.Prepare(Home).Value, "New", "tab"), Cancel).GetAwaiter().GetResult().Job.Id;
    }

    private static HomeFile Home =>
        new(new("Home", new UnknownService(null, null), NamingSchool.OneName, [], [], []), [new("found", [], [], [])]);

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose()
    {
        _homes.Dispose();
        SqliteConnection.ClearAllPools();
        Directory.Delete(_folder.Path, recursive: true);
    }

    private AltrinContext Context() => new(new DbContextOptionsBuilder<AltrinContext>().UseSqlite(_folder.ConnectionString).Options);

    /// <summary>Each call with a ring read anew, as after a restart.</summary>
    private async Task<T> With<T>(Func<SecretStore, Task<T>> act)
    {
        var services = new ServiceCollection();
        KeyRing.Use(services, _folder);
        await using var provider = services.BuildServiceProvider();
        await using var context = Context();
        return await act(new(new(context, _gate), provider.GetRequiredService<IDataProtectionProvider>(), TimeProvider.System));
    }

    private Task<string> Keep(string value, string name = "wifi key") =>
        With(s => s.Keep(_job, value, name, new HashSet<string>(), Cancel));

    private Task<string?> Show(string reference) => With(s => s.Show(_job, reference, Cancel));

    [Fact]
    public async Task Equal_values_share_a_reference_and_others_do_not()
    {
        var first = await Keep(Planted);
        Assert.Equal("wifi-key", first);
        Assert.Equal(first, await Keep(Planted, "another name"));
        Assert.Equal("wifi-key-2", await Keep("other"));
        Assert.Equal(Planted, await Show(first));
        Assert.Null(await Show("missing"));
    }

    [Fact]
    public async Task The_database_holds_no_value()
    {
        await Keep(Planted);
        SqliteConnection.ClearAllPools();
        foreach (var file in Directory.GetFiles(_folder.Path, "*", SearchOption.AllDirectories))
        {
            var bytes = await File.ReadAllBytesAsync(file, Cancel);
            Assert.True(bytes.AsSpan().IndexOf(Encoding.UTF8.GetBytes(Planted)) < 0, file);
            Assert.True(bytes.AsSpan().IndexOf(Encoding.Unicode.GetBytes(Planted)) < 0, file);
            Assert.True(bytes.AsSpan().IndexOf(Encoding.UTF8.GetBytes(Convert.ToBase64String(Encoding.UTF8.GetBytes(Planted)))) < 0, file);
        }
    }

    [Fact]
    public async Task A_backup_brings_ring_and_values_back_and_a_lost_ring_is_said()
    {
        var reference = await Keep(Planted);
        var backup = Backup.Write(_folder, Path.Combine(_folder.Path, "copy.zip"), TimeProvider.System.GetUtcNow()).Value;
        Directory.Delete(_folder.Keys, recursive: true);
        Assert.Null(await Show(reference));
        Assert.Equal(SecretState.Lost, Assert.Single(await With(s => s.List(_job, new HashSet<string>(), Cancel))).State);
        // Typed again it is kept by the new ring.
        Assert.Equal(reference, (await With(s => s.Type(_job, reference, "typed again", Cancel))).Value);
        Assert.Equal("typed again", await Show(reference));
        SqliteConnection.ClearAllPools();
        Assert.True(Restoring.Restore(_folder, backup, TimeProvider.System.GetUtcNow()).Ok);
        Assert.Equal(Planted, await Show(reference));
    }

    [Fact]
    public async Task What_a_design_speaks_of_and_no_one_typed_is_listed_and_can_be_typed()
    {
        var used = new HashSet<string> { "house-key" };
        Assert.Equal(new SecretInfo("house-key", SecretState.NotTyped), Assert.Single(await With(s => s.List(_job, used, Cancel))));
        Assert.Equal("house-key", (await With(s => s.Type(_job, "house-key", Planted, Cancel))).Value);
        // What is held already has one reference; and a held one is never overwritten.
        Assert.Equal("house-key", (await With(s => s.Type(_job, "other-key", Planted, Cancel))).Value);
        Assert.Contains("kept already", (await With(s => s.Type(_job, "house-key", "another", Cancel))).Error, StringComparison.Ordinal);
        Assert.Equal(Planted, await Show("house-key"));
        Assert.Equal("wifi-key", await With(s => s.Keep(_job, "third", "wifi key", used, Cancel)));
        Assert.Equal("house-key-2", await With(s => s.Keep(_job, "fourth", "house key", used, Cancel)));
    }

    [Theory]
    [InlineData("", false)]
    [InlineData("a", true)]
    [InlineData("two\nlines", false)]
    [InlineData("ein Schlüssel mit Umlaut", true)]
    public void A_value_is_one_line(string value, bool taken) => Assert.Equal(taken, SecretStore.Wrong(value) is null);

    [Fact]
    public void A_value_has_a_longest_length()
    {
        Assert.Null(SecretStore.Wrong(new string('x', SecretStore.Longest)));
        Assert.NotNull(SecretStore.Wrong(new string('x', SecretStore.Longest + 1)));
    }

    [Fact]
    public async Task The_shelf_hides_what_came_with_the_program_and_gives_it_back()
    {
        await using var context = Context();
        var store = new ShelfStore(new(context, _gate), TimeProvider.System);
        var shipped = ProfileFile.BuiltIn.Find("desk-router")!;
        var edited = (
            await store.Put([shipped with { Name = "Desk router, mine" }, shipped with { ShelfId = "new-kind", Name = "New kind" }], Cancel)
        ).Value;
        Assert.Equal([shipped.Edition + 1, 1], edited.Select(p => p.Edition));
        // The same again to the letter is no new edition.
        Assert.Equal(shipped.Edition + 1, (await store.Put([edited[0]], Cancel)).Value[0].Edition);
        Assert.Equal(shipped.Edition + 2, (await store.Put([edited[0] with { Name = "Mine again" }], Cancel)).Value[0].Edition);
        var shelf = await store.Read(Cancel);
        Assert.Equal(ProfileFile.BuiltIn.Profiles.Count + 1, shelf.Profiles.Count);
        Assert.Equal(("Mine again", "New kind"), (shelf.Find("desk-router")!.Name, shelf.Profiles[^1].Name));
        Assert.True(await store.Drop("desk-router", Cancel));
        Assert.False(await store.Drop("desk-router", Cancel));
        Assert.Equal(shipped.Name, (await store.Read(Cancel)).Find("desk-router")!.Name);
        var many = Enumerable.Range(0, Shelf.Most).Select(i => shipped with { ShelfId = $"kind-{i}" }).ToList();
        Assert.Contains("at most 500", (await store.Put(many, Cancel)).Error, StringComparison.Ordinal);
    }
}
