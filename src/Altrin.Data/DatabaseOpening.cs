using Altrin.Core.Addressing;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Altrin.Data;

/// <summary>Brings a database up to date before it is used.</summary>
public static class DatabaseOpening
{
    /// <summary>
    /// Migrates the database of a folder after copying it to the backups; a database that a newer Altrin wrote is refused.
    /// The caller holds the folder's lock.
    /// </summary>
    /// <returns>The copy that was made (empty when nothing had to be migrated), or why the database cannot be used.</returns>
    public static Parsed<string> BringUpToDate(AltrinContext context, DataFolder folder, DateTimeOffset now)
    {
        try
        {
            var isNew = !File.Exists(folder.Database);
            // A process that was killed while migrating leaves its lock row behind, and the next start would wait for ever.
            // This process holds the folder alone, so the row is stale.
            if (!isNew)
            {
                context.Database.ExecuteSqlRaw("CREATE TABLE IF NOT EXISTS \"__EFMigrationsLock\" (\"Id\" INTEGER NOT NULL CONSTRAINT \"PK___EFMigrationsLock\" PRIMARY KEY, \"Timestamp\" TEXT NOT NULL); DELETE FROM \"__EFMigrationsLock\";");
            }
            var known = context.Database.GetMigrations().ToList();
            List<string> applied = isNew ? [] : [.. context.Database.GetAppliedMigrations()];
            if (applied.Except(known).Order(StringComparer.Ordinal).LastOrDefault() is { } newer)
            {
                return Parsed<string>.Fail($"{folder.Database} was written by a newer Altrin ({newer}). Update this one, or start with another data folder.");
            }
            var copy = "";
            if (!isNew && known.Except(applied).Any())
            {
                Directory.CreateDirectory(folder.Backups);
                copy = Path.Combine(folder.Backups, Backup.Name(now, "db"));
                Backup.CopyDatabase(folder.Database, copy);
            }
            context.Database.Migrate();
            return copy;
        }
        catch (SqliteException e)
        {
            return Parsed<string>.Fail($"{folder.Database} cannot be opened: {e.Message}");
        }
    }
}
