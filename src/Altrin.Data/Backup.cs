using System.Globalization;
using System.IO.Compression;
using Altrin.Core.Addressing;
using Microsoft.Data.Sqlite;

namespace Altrin.Data;

/// <summary>Backups: one zip file with the database and the key ring.</summary>
public static class Backup
{
    private const string DatabaseEntry = "altrin.db";
    private const string KeysEntry = "keys/";

    /// <summary>
    /// Writes a backup of a folder, also while a server uses it (SQLite's online backup). An existing file is not written over.
    /// </summary>
    /// <param name="folder">The data folder.</param>
    /// <param name="file">Where to write; null for a dated file in the folder's backups.</param>
    /// <param name="now">The time for the dated name.</param>
    /// <returns>The path written, or why not.</returns>
    public static Parsed<string> Write(DataFolder folder, string? file, DateTimeOffset now)
    {
        if (!File.Exists(folder.Database))
        {
            return Parsed<string>.Fail($"There is no database in {folder.Path}.");
        }
        Directory.CreateDirectory(folder.Backups);
        var target = file ?? Path.Combine(folder.Backups, Name(now, "zip"));
        if (File.Exists(target))
        {
            return Parsed<string>.Fail($"{target} is there already; it is not written over.");
        }
        var copy = Path.Combine(folder.Backups, $"copying-{Guid.NewGuid():n}.db");
        try
        {
            CopyDatabase(folder.Database, copy);
            using var zip = ZipFile.Open(target, ZipArchiveMode.Create);
            zip.CreateEntryFromFile(copy, DatabaseEntry);
            string[] keys = Directory.Exists(folder.Keys) ? Directory.GetFiles(folder.Keys) : [];
            foreach (var key in keys.Order(StringComparer.Ordinal))
            {
                zip.CreateEntryFromFile(key, KeysEntry + Path.GetFileName(key));
            }
            return target;
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException or SqliteException)
        {
            return Parsed<string>.Fail($"The backup could not be written: {e.Message}");
        }
        finally
        {
            File.Delete(copy);
        }
    }

    /// <summary>
    /// Puts a backup in place of what a folder holds. What was there is kept as a backup of its own. Refused while a server
    /// uses the folder, and for files that are no backup.
    /// </summary>
    /// <returns>The path of the backup of what was there (empty when nothing was), or why nothing was changed.</returns>
    public static Parsed<string> Restore(DataFolder folder, string file, DateTimeOffset now)
    {
        using var held = folder.TryLock();
        if (held is null)
        {
            return Parsed<string>.Fail($"{folder.Path} is in use; stop Altrin first.");
        }
        var incoming = Path.Combine(folder.Path, $"restoring-{Guid.NewGuid():n}");
        try
        {
            using (var zip = ZipFile.OpenRead(file))
            {
                if (zip.GetEntry(DatabaseEntry) is null)
                {
                    return Parsed<string>.Fail($"{file} is not a backup of Altrin: it holds no {DatabaseEntry}.");
                }
                zip.ExtractToDirectory(incoming);
            }
            if (Check(Path.Combine(incoming, DatabaseEntry)) is { } wrong)
            {
                return Parsed<string>.Fail($"{file} holds a database that cannot be used: {wrong}");
            }
            var kept = "";
            if (File.Exists(folder.Database))
            {
                var written = Write(folder, null, now);
                if (!written.Ok)
                {
                    return written;
                }
                kept = written.Value;
            }
            SqliteConnection.ClearAllPools();
            foreach (var side in new[] { "-wal", "-shm" })
            {
                File.Delete(folder.Database + side);
            }
            File.Move(Path.Combine(incoming, DatabaseEntry), folder.Database, overwrite: true);
            if (Directory.Exists(Path.Combine(incoming, "keys")))
            {
                Directory.CreateDirectory(folder.Keys);
                foreach (var key in Directory.EnumerateFiles(Path.Combine(incoming, "keys")))
                {
                    File.Move(key, Path.Combine(folder.Keys, Path.GetFileName(key)), overwrite: true);
                }
            }
            return kept;
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException or InvalidDataException or SqliteException)
        {
            return Parsed<string>.Fail($"{file} could not be restored: {e.Message}");
        }
        finally
        {
            if (Directory.Exists(incoming))
            {
                Directory.Delete(incoming, recursive: true);
            }
        }
    }

    /// <summary>A consistent copy of a database that may be in use.</summary>
    internal static void CopyDatabase(string from, string to)
    {
        using var source = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = from, Mode = SqliteOpenMode.ReadOnly, Pooling = false }.ToString());
        using var target = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = to, Pooling = false }.ToString());
        source.Open();
        target.Open();
        source.BackupDatabase(target);
    }

    internal static string Name(DateTimeOffset now, string ending) => string.Create(CultureInfo.InvariantCulture, $"altrin-{now.UtcDateTime:yyyyMMdd-HHmmss-fff}.{ending}");

    private static string? Check(string database)
    {
        using var connection = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = database, Mode = SqliteOpenMode.ReadOnly, Pooling = false }.ToString());
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = "PRAGMA quick_check(1)";
        return command.ExecuteScalar() as string is { } said && said != "ok" ? said : null;
    }
}
