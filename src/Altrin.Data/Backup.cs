using System.Globalization;
using System.IO.Compression;
using Altrin.Core.Addressing;
using Microsoft.Data.Sqlite;

namespace Altrin.Data;

/// <summary>Backups: one zip file with the database, what its log holds, and the key ring.</summary>
public static class Backup
{
    internal const string DatabaseEntry = "altrin.db";
    internal const string LogEntry = "altrin.db-wal";
    internal const string KeysEntry = "keys/";

    /// <summary>
    /// The log begins with this many bytes that change whenever it is begun anew (https://www.sqlite.org/fileformat2.html, 4.1; from
    /// memory).
    /// </summary>
    private const int LogHead = 32;

    /// <summary>How often a backup is begun again when the log was begun anew meanwhile.</summary>
    private const int MostTries = 10;

    /// <summary>
    /// Writes a backup of a folder, also while a server uses it. The files are read while a transaction holds their state, straight into
    /// the backup, which has its name once it is complete. An existing file is not written over.
    /// </summary>
    /// <param name="folder">The data folder.</param>
    /// <param name="file">Where to write; null for a dated file in the folder's backups.</param>
    /// <param name="now">The time for the dated name.</param>
    /// <param name="disk">The files.</param>
    /// <returns>The path written, or why not.</returns>
    public static Parsed<string> Write(DataFolder folder, string? file, DateTimeOffset now, Disk? disk = null)
    {
        if (Directory.Exists(folder.Incoming))
        {
            return Parsed<string>.Fail(
                $"A restore into {folder.Path} was cut short. Start Altrin once, which ends it, and write the backup then."
            );
        }
        if (new FileInfo(folder.Database) is not { Exists: true, Length: > 0 })
        {
            return Parsed<string>.Fail($"There is no database in {folder.Path}.");
        }
        return Write(folder, file, now, disk ?? Disk.Real, asItIs: false);
    }

    /// <summary>A backup of files that no process uses, whatever is in them.</summary>
    internal static Parsed<string> WriteAsItIs(DataFolder folder, DateTimeOffset now, Disk disk) =>
        Write(folder, null, now, disk, asItIs: true);

    internal static string Name(DateTimeOffset now) =>
        string.Create(CultureInfo.InvariantCulture, $"altrin-{now.UtcDateTime:yyyyMMdd-HHmmss-fff}.zip");

    private static Parsed<string> Write(DataFolder folder, string? file, DateTimeOffset now, Disk disk, bool asItIs)
    {
        var target = Path.GetFullPath(file ?? Path.Combine(folder.Backups, Name(now)));
        if (Directory.Exists(target))
        {
            return Parsed<string>.Fail($"{target} is a folder; give the name of a file.");
        }
        if (File.Exists(target))
        {
            return Parsed<string>.Fail($"{target} is there already; it is not written over.");
        }
        // Of its own: a backup of the same name may be being written by another user.
        var part = $"{target}.{Guid.NewGuid():n}.part";
        try
        {
            if (file is null)
            {
                disk.MakeFolder(folder.Backups);
            }
            for (var tries = 1; !Fill(folder, part, disk, asItIs); tries++)
            {
                if (tries == MostTries)
                {
                    return Parsed<string>.Fail("The backup could not be written: too much is being saved. Write it when less is done.");
                }
            }
            disk.Move(part, target, replace: false);
            return target;
        }
        catch (Exception e) when (StorageFault.Says(e) is { } fault)
        {
            return Parsed<string>.Fail($"The backup could not be written: {fault}");
        }
        finally
        {
            disk.Delete(part);
        }
    }

    /// <summary>Writes all of it; false where the log was begun anew meanwhile, so that what was read of it may be of two states.</summary>
    private static bool Fill(DataFolder folder, string part, Disk disk, bool asItIs)
    {
        using var output = disk.Create(part);
        using (var zip = new ZipArchive(output, ZipArchiveMode.Create, leaveOpen: true))
        {
            using var connection = new SqliteConnection(
                new SqliteConnectionStringBuilder
                {
                    DataSource = folder.Database,
                    Mode = SqliteOpenMode.ReadOnly,
                    Pooling = false,
                }.ToString()
            );
            if (!asItIs)
            {
                // Until the connection is closed nothing that this transaction sees leaves the log or is written over in the database.
                connection.Open();
                using var begin = connection.CreateCommand();
                begin.CommandText = "BEGIN; SELECT count(*) FROM sqlite_master";
                begin.ExecuteNonQuery();
            }
            // The log first: what is moved from it into the database meanwhile then stands in both.
            var before = HeadOf(folder.WriteLog);
            if (File.Exists(folder.WriteLog))
            {
                Copy(zip, folder.WriteLog, LogEntry);
            }
            if (!asItIs && !before.AsSpan().SequenceEqual(HeadOf(folder.WriteLog)))
            {
                return false;
            }
            if (File.Exists(folder.Database))
            {
                Copy(zip, folder.Database, DatabaseEntry);
            }
            // The keys last: a secret that the database holds was encrypted with one that was there before it.
            foreach (
                var key in Directory.Exists(folder.Keys)
                    ? Directory.GetFiles(folder.Keys, "*.xml").Order(StringComparer.Ordinal)
                    : Enumerable.Empty<string>()
            )
            {
                Copy(zip, key, KeysEntry + Path.GetFileName(key));
            }
        }
        output.Flush(flushToDisk: true);
        return true;
    }

    private static byte[] HeadOf(string log)
    {
        if (!File.Exists(log))
        {
            return [];
        }
        using var read = Open(log);
        var head = new byte[LogHead];
        return head[..read.ReadAtLeast(head, LogHead, throwOnEndOfStream: false)];
    }

    private static void Copy(ZipArchive zip, string file, string name)
    {
        using var from = Open(file);
        using var to = zip.CreateEntry(name).Open();
        from.CopyTo(to);
    }

    private static FileStream Open(string file) => new(file, FileMode.Open, FileAccess.Read, FileShare.ReadWrite | FileShare.Delete);
}
