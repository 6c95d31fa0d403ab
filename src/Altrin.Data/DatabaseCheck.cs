using System.Globalization;
using Altrin.Formats;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Altrin.Data;

/// <summary>Why a database cannot be used.</summary>
/// <param name="Says">What is so, after its name.</param>
internal sealed record WrongDatabase(string Says)
{
    /// <summary>Whether a newer Altrin wrote it.</summary>
    public bool Newer { get; init; }

    /// <summary>Whether nothing was ever kept in it.</summary>
    public bool Blank { get; init; }
}

/// <summary>Looks at a database before anything is done with it.</summary>
internal static class DatabaseCheck
{
    private const string History = "__EFMigrationsHistory";

    /// <summary>Why the database in a file cannot be used; null where it can.</summary>
    /// <param name="database">The file.</param>
    /// <param name="known">Tells which migrations this Altrin knows; it is not opened.</param>
    public static WrongDatabase? Wrong(string database, AltrinContext known)
    {
        try
        {
            using var connection = new SqliteConnection(
                new SqliteConnectionStringBuilder
                {
                    DataSource = database,
                    Mode = SqliteOpenMode.ReadWrite,
                    Pooling = false,
                }.ToString()
            );
            connection.Open();
            if (Ask(connection, "PRAGMA quick_check(1)") is string said && said != "ok")
            {
                return new($"is damaged: {said}.");
            }
            if (
                Ask(connection, "SELECT count(*) FROM sqlite_master WHERE name = 'Jobs'") is 0L
                || Ask(connection, $"SELECT count(*) FROM sqlite_master WHERE name = '{History}'") is 0L
            )
            {
                // What the migrations note for themselves comes before the first table of ours.
                return new("holds no jobs of Altrin.")
                {
                    Blank = Ask(connection, "SELECT count(*) FROM sqlite_master WHERE name NOT LIKE '%EFMigrations%'") is 0L,
                };
            }
            var applied = new List<string>();
            using var command = connection.CreateCommand();
            command.CommandText = $"SELECT MigrationId FROM {History} ORDER BY MigrationId";
            using (var reader = command.ExecuteReader())
            {
                while (reader.Read())
                {
                    applied.Add(reader.GetString(0));
                }
            }
            if (applied.Except(known.Database.GetMigrations()).Order(StringComparer.Ordinal).LastOrDefault() is { } newer)
            {
                return new($"was written by a newer Altrin ({newer}).") { Newer = true };
            }
            return Ask(connection, "PRAGMA user_version") is long format && format > DesignDocument.NewestVersion
                ? new($"was written by a newer Altrin (design file version {format}; this one knows up to {DesignDocument.NewestVersion}).")
                {
                    Newer = true,
                }
                : null;
        }
        catch (SqliteException e) when (StorageFault.IsDamaged(e))
        {
            return new($"is damaged: {e.Message.Split('\'') switch { [_, var what, ..] => what, _ => e.Message }}.");
        }
    }

    /// <summary>Notes which version of the design file a database may hold, so that an older Altrin can refuse it by name.</summary>
    public static void MarkFormat(AltrinContext context, int version)
    {
        var connection = context.Database.GetDbConnection();
        context.Database.OpenConnection();
        try
        {
            using var command = connection.CreateCommand();
            command.CommandText = "PRAGMA user_version";
            if (command.ExecuteScalar() is long marked && marked != version)
            {
                command.CommandText = string.Create(CultureInfo.InvariantCulture, $"PRAGMA user_version = {version}");
                command.ExecuteNonQuery();
            }
        }
        finally
        {
            context.Database.CloseConnection();
        }
    }

    private static object? Ask(SqliteConnection connection, string question)
    {
        using var command = connection.CreateCommand();
        command.CommandText = question;
        return command.ExecuteScalar();
    }
}
