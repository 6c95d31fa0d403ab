using System.IO.Compression;
using Altrin.Core.Addressing;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Altrin.Data;

/// <summary>
/// Puts a backup in place of what a folder holds, as one act: what it holds is taken out beside, checked, and made the folder's by one
/// rename. From then on it is carried to the end, now or at the next start; before that nothing was changed.
/// </summary>
public static class Restoring
{
    /// <summary>The largest file of a key ring, in bytes.</summary>
    private const int MostKeyBytes = 65_536;

    /// <summary>The most files of a key ring.</summary>
    private const int MostKeys = 1_000;

    /// <summary>
    /// Restores a backup. What was there is kept as a backup of its own, whatever state it is in. Refused while a server uses the folder,
    /// for files that are no backup, and for what a newer Altrin wrote.
    /// </summary>
    /// <param name="folder">The data folder.</param>
    /// <param name="file">The backup.</param>
    /// <param name="now">The time, for the name of what was there.</param>
    /// <param name="disk">The files.</param>
    /// <returns>The path of the backup of what was there (empty when nothing was), or why not: nothing was changed then, or the next
    /// start ends it.</returns>
    public static Parsed<string> Restore(DataFolder folder, string file, DateTimeOffset now, Disk? disk = null)
    {
        disk ??= Disk.Real;
        var placed = false;
        var staged = new DataFolder(Path.Combine(folder.Path, $"restoring-{Guid.NewGuid():n}"));
        try
        {
            var taken = folder.Take();
            if (!taken.Ok)
            {
                return Parsed<string>.Fail(taken.Error);
            }
            using var held = taken.Value;
            if (!File.Exists(file))
            {
                return Parsed<string>.Fail($"There is no file {file}.");
            }
            Finish(folder, disk);
            folder.Tidy(disk);
            if (TakeOut(file, staged, disk) is { } refused)
            {
                return Parsed<string>.Fail($"{file} {refused} Nothing was changed.");
            }
            var kept = "";
            if (folder.IsUsed)
            {
                var written = Backup.WriteAsItIs(folder, now, disk);
                if (!written.Ok)
                {
                    return written;
                }
                kept = written.Value;
            }
            disk.MoveFolder(staged.Path, folder.Incoming);
            placed = true;
            Finish(folder, disk);
            return kept;
        }
        catch (Exception e) when (e is InvalidDataException || StorageFault.Says(e) is not null)
        {
            var why = StorageFault.Says(e) ?? "it is damaged, or no zip file.";
            return Parsed<string>.Fail(
                placed
                    ? $"{file} is checked and taken in, but not in its place yet: {why} The next start ends it, and so does restoring again."
                : Directory.Exists(folder.Incoming)
                    ? $"An earlier restore into {folder.Path} is not ended yet: {why} The next start ends it; restore {file} then."
                : $"{file} could not be restored: {why} Nothing was changed."
            );
        }
        finally
        {
            disk.DeleteFolder(staged.Path);
        }
    }

    /// <summary>Carries a restore that was begun to its end, however often it is cut short. The caller holds the folder's lock.</summary>
    internal static void Finish(DataFolder folder, Disk disk)
    {
        if (!Directory.Exists(folder.Incoming))
        {
            return;
        }
        SqliteConnection.ClearAllPools();
        var incoming = new DataFolder(folder.Incoming);
        if (File.Exists(incoming.Database))
        {
            // The log of the database that goes must never meet the one that comes.
            disk.Delete(folder.WriteLog);
            disk.Delete(folder.Database + "-shm");
            disk.Move(incoming.Database, folder.Database, replace: true);
        }
        if (Directory.Exists(incoming.Keys))
        {
            disk.MakeFolder(folder.Keys);
            foreach (var key in Directory.GetFiles(incoming.Keys).Order(StringComparer.Ordinal))
            {
                disk.Move(key, Path.Combine(folder.Keys, Path.GetFileName(key)), replace: true);
            }
        }
        disk.DeleteFolder(folder.Incoming);
    }

    /// <summary>Takes out of a backup what is ours, and looks at it; says after its name what is wrong with it, or null.</summary>
    private static string? TakeOut(string file, DataFolder into, Disk disk)
    {
        using var zip = ZipFile.OpenRead(file);
        if (zip.GetEntry(Backup.DatabaseEntry) is not { } database)
        {
            return $"is not a backup of Altrin: it holds no {Backup.DatabaseEntry}.";
        }
        disk.MakeFolder(into.Keys);
        Copy(database, into.Database, disk);
        if (zip.GetEntry(Backup.LogEntry) is { } log)
        {
            Copy(log, into.WriteLog, disk);
        }
        var keys = zip.Entries.Where(IsKey).ToList();
        if (keys.Count > MostKeys || keys.Exists(k => k.Length > MostKeyBytes))
        {
            return $"holds a key ring of more than {MostKeys} files, or with one of more than {MostKeyBytes} bytes.";
        }
        foreach (var key in keys)
        {
            Copy(key, Path.Combine(into.Keys, key.Name), disk);
        }
        using var known = new AltrinContext(new DbContextOptionsBuilder<AltrinContext>().UseSqlite().Options);
        if (DatabaseCheck.Wrong(into.Database, known) is { } wrong)
        {
            return $"holds a database that cannot be used. It {wrong.Says}";
        }
        // Closed by the last who has it open, a database holds all that its log held.
        if (File.Exists(into.WriteLog) && new FileInfo(into.WriteLog).Length > 0)
        {
            return "holds a log of the database that cannot be brought in.";
        }
        disk.Delete(into.WriteLog);
        disk.Delete(into.Database + "-shm");
        return null;
    }

    /// <summary>Whether an entry is a file of the key ring by its whole name: one that points anywhere else is none.</summary>
    private static bool IsKey(ZipArchiveEntry entry) =>
        entry.FullName == Backup.KeysEntry + entry.Name
        && entry.Name.EndsWith(".xml", StringComparison.Ordinal)
        && entry.Name.IndexOfAny(['/', '\\', ':']) < 0;

    private static void Copy(ZipArchiveEntry entry, string to, Disk disk)
    {
        using var from = entry.Open();
        using var file = disk.Create(to);
        from.CopyTo(file);
        file.Flush(flushToDisk: true);
    }
}
