namespace Altrin.Data;

/// <summary>The folder that holds everything Altrin keeps: the database, its backups, logs and the key ring.</summary>
/// <param name="Path">Its full path.</param>
public sealed record DataFolder(string Path)
{
    /// <summary>The database file.</summary>
    public string Database => System.IO.Path.Combine(Path, "altrin.db");

    /// <summary>Copies made before a migration and before a restore.</summary>
    public string Backups => System.IO.Path.Combine(Path, "backups");

    /// <summary>Rotating logs.</summary>
    public string Logs => System.IO.Path.Combine(Path, "logs");

    /// <summary>The ring of keys that secrets are encrypted with.</summary>
    public string Keys => System.IO.Path.Combine(Path, "keys");

    /// <summary>How to open the database: foreign keys on, waiting up to five seconds for a writer.</summary>
    public string ConnectionString => new Microsoft.Data.Sqlite.SqliteConnectionStringBuilder { DataSource = Database, ForeignKeys = true, DefaultTimeout = 5 }.ToString();

    /// <summary>The folder at a path, made if it is missing.</summary>
    public static DataFolder At(string path)
    {
        var full = System.IO.Path.GetFullPath(path);
        Directory.CreateDirectory(full);
        return new(full);
    }

    /// <summary>
    /// Takes the folder for this process until the result is disposed; null when another process has it. The operating system
    /// lets go of it when the process ends, however it ends.
    /// </summary>
    public IDisposable? TryLock()
    {
        try
        {
            return new FileStream(System.IO.Path.Combine(Path, "in-use.lock"), FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None, 1, FileOptions.DeleteOnClose);
        }
        catch (IOException)
        {
            return null;
        }
    }
}
