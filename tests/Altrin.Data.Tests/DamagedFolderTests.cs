using System.Security.Cryptography;
using Microsoft.Data.Sqlite;

namespace Altrin.Data.Tests;

/// <summary>Damaged folders and backups: each is refused by name and left as it is, or opens with what can be read of it.</summary>
[System.Runtime.Versioning.SupportedOSPlatform("linux")]
[Collection("Data folders")]
public sealed class DamagedFolderTests : DataFolders
{
    [Theory]
    [InlineData("a database of no length", "is empty, but the folder was used")]
    [InlineData("no database", "is gone, but the folder was used")]
    [InlineData("no database, but its log", "is gone, but the folder was used")]
    [InlineData("a database that is none", "is damaged")]
    [InlineData("half a database", "is damaged")]
    [InlineData("a page of noise", "is damaged")]
    [InlineData("tables gone", "holds no jobs of Altrin")]
    [InlineData("a later migration", "newer Altrin (29990101000000_Later)")]
    [InlineData("a later design file", "newer Altrin (design file version 99; this one knows up to")]
    public async Task A_damaged_folder_is_refused_by_name_and_left_as_it_is(string damage, string says)
    {
        var folder = await Seeded();
        var backup = Backup.Write(folder, null, Now).Value;
        SqliteConnection.ClearAllPools();
        Damage(folder, damage);
        var was = Fingerprint(folder);
        var refused = Start(folder);
        Assert.Contains(says, refused, StringComparison.Ordinal);
        Assert.Contains(
            says.Contains("newer", StringComparison.Ordinal) ? "Update this Altrin" : $"altrin restore {backup} --data {folder.Path}",
            refused,
            StringComparison.Ordinal
        );
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
        var file = Path.Combine(Root, "bad.zip");
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
        var file = Backup.Write(folder, Path.Combine(Root, "more.zip"), Now).Value;
        using (var zip = System.IO.Compression.ZipFile.Open(file, System.IO.Compression.ZipArchiveMode.Update))
        {
            foreach (
                var name in new[]
                {
                    "keys/../../outside.xml",
                    "/keys/absolute.xml",
                    "keys/run.sh",
                    "keys/deep/key.xml",
                    "altrin.db-shm",
                    "other.txt",
                }
            )
            {
                using var writer = new StreamWriter(zip.CreateEntry(name).Open());
                writer.Write("<key/>");
            }
        }
        var into = NewFolder();
        Assert.True(Restoring.Restore(into, file, Now).Ok);
        string[] names =
        [
            .. Directory
                .GetFiles(into.Path, "*", SearchOption.AllDirectories)
                .Select(f => Path.GetRelativePath(into.Path, f))
                .Order(StringComparer.Ordinal),
        ];
        Assert.Equal(2, names.Length);
        Assert.Equal("altrin.db", names[0]);
        Assert.StartsWith(Path.Combine("keys", "key-"), names[1], StringComparison.Ordinal);
        Assert.False(File.Exists(Path.Combine(Root, "outside.xml")));
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
    public async Task No_one_else_may_read_what_is_kept()
    {
        var folder = await Seeded();
        var backup = Backup.Write(folder, Path.Combine(Root, "private.zip"), Now).Value;
        Assert.Equal(
            "UserRead, UserWrite",
            $"{File.GetUnixFileMode(backup)}".Replace("UserWrite, UserRead", "UserRead, UserWrite", StringComparison.Ordinal)
        );
        foreach (var part in Directory.GetFileSystemEntries(folder.Path, "*", SearchOption.AllDirectories))
        {
            File.SetUnixFileMode(
                part,
                UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute | UnixFileMode.GroupRead | UnixFileMode.OtherRead
            );
        }
        Assert.Null(Start(folder));
        var open = Directory
            .GetFileSystemEntries(folder.Path, "*", SearchOption.AllDirectories)
            .Append(folder.Path)
            .Where(p =>
                (
                    File.GetUnixFileMode(p)
                    & ~(UnixFileMode.UserRead | UnixFileMode.UserWrite | (Directory.Exists(p) ? UnixFileMode.UserExecute : 0))
                ) != 0
            );
        Assert.Empty(open);
    }

    [Fact]
    public void A_folder_of_other_things_and_what_is_no_folder_are_refused()
    {
        var other = Directory.CreateDirectory(Path.Combine(Root, "letters")).FullName;
        File.WriteAllText(Path.Combine(other, "letter.txt"), "Dear");
        Assert.Contains("holds other things", DataFolder.Open(other).Value.Take().Error, StringComparison.Ordinal);
        Assert.Contains("it is a file, not a folder", DataFolder.Open(Path.Combine(other, "letter.txt")).Error, StringComparison.Ordinal);
        Assert.False(DataFolder.Open("").Ok);
    }

    private static string Fingerprint(DataFolder folder)
    {
        // What SQLite keeps beside a database while it is looked at holds nothing of its own.
        var files = Directory
            .GetFiles(folder.Path, "*", SearchOption.AllDirectories)
            .Where(f =>
                !f.EndsWith("-shm", StringComparison.Ordinal)
                && !(f.EndsWith("-wal", StringComparison.Ordinal) && new FileInfo(f).Length == 0)
            );
        return string.Join(
            '\n',
            files
                .Order(StringComparer.Ordinal)
                .Select(f => $"{Path.GetRelativePath(folder.Path, f)} {Convert.ToHexString(SHA256.HashData(File.ReadAllBytes(f)))}")
        );
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
}
