using Altrin.Core.Addressing;
using Altrin.Formats;
using Microsoft.EntityFrameworkCore;

namespace Altrin.Data;

/// <summary>Brings a data folder up to date before it is used.</summary>
public static class DatabaseOpening
{
    /// <summary>
    /// Ends a restore that was cut short, takes everybody else's rights from the folder, and migrates its database after a backup.
    /// Refused, and left as it is: a database that is gone, empty or damaged where the folder was used, and one that a newer Altrin
    /// wrote. The caller holds the folder's lock.
    /// </summary>
    /// <param name="context">The database.</param>
    /// <param name="folder">The folder.</param>
    /// <param name="now">The time.</param>
    /// <param name="disk">Its files.</param>
    /// <returns>The backup that was made (empty when nothing had to be migrated), or why the folder cannot be used.</returns>
    public static Parsed<string> BringUpToDate(AltrinContext context, DataFolder folder, DateTimeOffset now, Disk? disk = null)
    {
        disk ??= Disk.Real;
        try
        {
            Restoring.Finish(folder, disk);
            folder.Tidy(disk);
            var isNew = new FileInfo(folder.Database) is not { Exists: true, Length: > 0 };
            if (isNew && folder.IsUsed)
            {
                return Parsed<string>.Fail(
                    $"{folder.Database} is {(File.Exists(folder.Database) ? "empty" : "gone")}, but the folder was used. Nothing was changed. {HowToRestore(folder)}"
                );
            }
            if (!isNew)
            {
                var wrong = DatabaseCheck.Wrong(folder.Database, context);
                if (wrong is { Blank: true } && !folder.IsUsedBeside)
                {
                    // A first start that was cut short: nothing was kept yet.
                    wrong = null;
                }
                if (wrong is not null)
                {
                    return Parsed<string>.Fail(
                        $"{folder.Database} {wrong.Says} Nothing was changed. {(wrong.Newer ? "Update this Altrin, or start with another data folder." : HowToRestore(folder))}"
                    );
                }
                // A process that was killed while migrating leaves its lock row behind, and the next start would wait for ever.
                // This process holds the folder alone, so the row is stale.
                context.Database.ExecuteSqlRaw(
                    "CREATE TABLE IF NOT EXISTS \"__EFMigrationsLock\" (\"Id\" INTEGER NOT NULL CONSTRAINT \"PK___EFMigrationsLock\" PRIMARY KEY, \"Timestamp\" TEXT NOT NULL); DELETE FROM \"__EFMigrationsLock\";"
                );
            }
            var copy = "";
            if (!isNew && context.Database.GetAppliedMigrations().Any() && context.Database.GetPendingMigrations().Any())
            {
                var written = Backup.Write(folder, null, now, disk);
                if (!written.Ok)
                {
                    return written;
                }
                copy = written.Value;
            }
            context.Database.Migrate();
            DatabaseCheck.MarkFormat(context, DesignDocument.NewestVersion);
            folder.Tidy(disk);
            return copy;
        }
        catch (Exception e) when (StorageFault.Says(e) is { } fault)
        {
            return Parsed<string>.Fail($"{folder.Path} cannot be used: {fault}");
        }
    }

    private static string HowToRestore(DataFolder folder) =>
        $"Put a backup back with: altrin restore {folder.NewestBackup ?? "FILE"} --data {folder.Path}";
}
