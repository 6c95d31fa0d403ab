using Altrin.Core.Addressing;
using Microsoft.Data.Sqlite;

namespace Altrin.Data;

/// <summary>The folder that holds everything Altrin keeps: the database, its backups, logs and the key ring.</summary>
/// <param name="Path">Its full path.</param>
public sealed record DataFolder(string Path)
{
    private const string LockName = "in-use.lock";

    /// <summary>The database file.</summary>
    public string Database => System.IO.Path.Combine(Path, "altrin.db");

    /// <summary>The database's log of what was written lately (write-ahead log).</summary>
    public string WriteLog => Database + "-wal";

    /// <summary>Copies made before a migration and before a restore.</summary>
    public string Backups => System.IO.Path.Combine(Path, "backups");

    /// <summary>Rotating logs.</summary>
    public string Logs => System.IO.Path.Combine(Path, "logs");

    /// <summary>The ring of keys that secrets are encrypted with.</summary>
    public string Keys => System.IO.Path.Combine(Path, "keys");

    /// <summary>What a backup that is being restored holds, from when it is complete and checked until all of it is in its place.</summary>
    internal string Incoming => System.IO.Path.Combine(Path, "restored");

    /// <summary>How to open the database: foreign keys on, waiting up to five seconds for a writer.</summary>
    public string ConnectionString =>
        new SqliteConnectionStringBuilder
        {
            DataSource = Database,
            ForeignKeys = true,
            DefaultTimeout = 5,
        }.ToString();

    /// <summary>The folder at a path, made if it is missing.</summary>
    public static DataFolder At(string path)
    {
        var full = System.IO.Path.GetFullPath(path);
        if (!Directory.Exists(full))
        {
            Disk.Real.MakeFolder(full);
        }
        return new(full);
    }

    /// <summary>The folder at a path, made if it is missing; or why it cannot be used.</summary>
    public static Parsed<DataFolder> Open(string path)
    {
        try
        {
            return At(path);
        }
        catch (Exception e) when (StorageFault.Says(e) is not null)
        {
            return Parsed<DataFolder>.Fail(
                $"{path} cannot be the data folder: {(File.Exists(path) ? "it is a file, not a folder." : StorageFault.Says(e))}"
            );
        }
        catch (ArgumentException)
        {
            return Parsed<DataFolder>.Fail("The data folder needs a path.");
        }
    }

    /// <summary>
    /// Takes the folder for this process; or why that cannot be: another one has it, it holds other things, or writing there is not
    /// allowed.
    /// </summary>
    public Parsed<FileStream> Take()
    {
        try
        {
            if (IsForeign)
            {
                return Parsed<FileStream>.Fail(
                    $"{Path} holds other things. Give a data folder of Altrin, or a new or an empty one, with --data."
                );
            }
            return TryLock() is { } held
                ? held
                : Parsed<FileStream>.Fail(
                    $"the data folder {Path} is in use by another Altrin. Stop that one, or choose another with --data."
                );
        }
        catch (Exception e) when (StorageFault.Says(e) is { } fault)
        {
            return Parsed<FileStream>.Fail($"the data folder {Path} cannot be used: {fault}");
        }
    }

    /// <summary>
    /// Takes the folder for this process until the result is disposed; null when another process has it. The operating system
    /// lets go of it when the process ends, however it ends.
    /// </summary>
    public FileStream? TryLock()
    {
        try
        {
            return new FileStream(
                System.IO.Path.Combine(Path, LockName),
                FileMode.OpenOrCreate,
                FileAccess.ReadWrite,
                FileShare.None,
                1,
                FileOptions.DeleteOnClose
            );
        }
        catch (IOException e) when (StorageFault.IsInUse(e))
        {
            return null;
        }
    }

    /// <summary>Whether there is something in it, and none of it is of Altrin: then it is a folder for other things.</summary>
    private bool IsForeign
    {
        get
        {
            var names = Directory
                .EnumerateFileSystemEntries(Path)
                .Select(e => System.IO.Path.GetFileName(e))
                .Where(n => n is not (LockName or "lost+found") && !n.StartsWith("restoring-", StringComparison.Ordinal))
                .ToList();
            string[] own = [Database, WriteLog, Backups, Logs, Keys, Incoming];
            return names.Count > 0 && !own.Any(o => names.Contains(System.IO.Path.GetFileName(o)));
        }
    }

    /// <summary>
    /// Whether there is something in it that only a used folder holds: a database with content, its log, keys or backups.
    /// </summary>
    internal bool IsUsed => Holds(Database) || Holds(WriteLog) || IsUsedBeside;

    /// <summary>The same, the database left aside.</summary>
    internal bool IsUsedBeside => Any(Keys, "*.xml") || Any(Backups, "*.zip") || Any(Backups, "*.db");

    /// <summary>The newest backup in it; null where there is none.</summary>
    internal string? NewestBackup =>
        Directory.Exists(Backups) ? Directory.GetFiles(Backups, "altrin-*.zip").Order(StringComparer.Ordinal).LastOrDefault() : null;

    /// <summary>Takes from everybody but the owner what lies in it; and what an act that was cut short left behind goes.</summary>
    internal void Tidy(Disk disk)
    {
        foreach (var left in Directory.GetDirectories(Path, "restoring-*"))
        {
            disk.DeleteFolder(left);
        }
        if (Directory.Exists(Backups))
        {
            foreach (var left in Directory.GetFiles(Backups, "*.part").Concat(Directory.GetFiles(Backups, "copying-*.db")))
            {
                disk.Delete(left);
            }
        }
        disk.KeepPrivate(Path);
        string[] parts =
        [
            Database,
            WriteLog,
            Database + "-shm",
            .. new[] { Backups, Logs, Keys }.Where(Directory.Exists).SelectMany(f => Directory.GetFiles(f).Append(f)),
        ];
        foreach (var part in parts.Where(p => File.Exists(p) || Directory.Exists(p)))
        {
            disk.KeepPrivate(part);
        }
    }

    private static bool Holds(string file) => new FileInfo(file) is { Exists: true, Length: > 0 };

    private static bool Any(string folder, string pattern) => Directory.Exists(folder) && Directory.EnumerateFiles(folder, pattern).Any();
}
