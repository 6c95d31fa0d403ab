using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Altrin.Data;

/// <summary>What is wrong with the place where data is kept, in words for its owner.</summary>
public static class StorageFault
{
    // Result codes of SQLite: https://www.sqlite.org/rescode.html (from memory)
    private const int Busy = 5;
    private const int Locked = 6;
    private const int ReadOnly = 8;
    private const int InputOutput = 10;
    private const int Corrupt = 11;
    private const int Full = 13;
    private const int CannotOpen = 14;
    private const int NotADatabase = 26;

    // errno of Linux: EAGAIN, ENOSPC, EROFS, EDQUOT (from memory).
    private const int Again = 11;
    private const int NoSpace = 28;
    private const int ReadOnlySystem = 30;
    private const int Quota = 122;

    /// <summary>What is wrong, as a sentence; null for what is no fault of storage.</summary>
    public static string? Says(Exception exception) =>
        exception switch
        {
            DbUpdateException { InnerException: { } inner } => Says(inner),
            _ when IsFull(exception) => "The disk is full.",
            SqliteException { SqliteErrorCode: ReadOnly } => "It is read-only.",
            SqliteException { SqliteErrorCode: Busy or Locked } => "Another program uses the database.",
            SqliteException { SqliteErrorCode: Corrupt or NotADatabase } => "The database is damaged.",
            SqliteException { SqliteErrorCode: CannotOpen } => "The database cannot be opened: look at who may read and write it.",
            SqliteException { SqliteErrorCode: InputOutput } => "The disk cannot be read or written.",
            FileNotFoundException or DirectoryNotFoundException => "Nothing can be made there.",
            UnauthorizedAccessException => "You have no right to read and write it.",
            IOException { HResult: ReadOnlySystem } => "It is read-only.",
            IOException io => Sentence(io.Message),
            _ => null,
        };

    /// <summary>Whether there is no room left.</summary>
    public static bool IsFull(Exception exception) =>
        exception switch
        {
            DbUpdateException { InnerException: { } inner } => IsFull(inner),
            SqliteException sqlite => sqlite.SqliteErrorCode == Full,
            IOException io => io.HResult is NoSpace or Quota,
            _ => false,
        };

    /// <summary>Whether others are at work on the database, so that the same can be asked again.</summary>
    public static bool IsBusy(Exception exception) =>
        exception switch
        {
            DbUpdateException { InnerException: { } inner } => IsBusy(inner),
            SqliteException sqlite => sqlite.SqliteErrorCode is Busy or Locked,
            _ => false,
        };

    /// <summary>Whether another process holds the file.</summary>
    internal static bool IsInUse(IOException io) => io.HResult is Again or unchecked((int)0x80070020);

    /// <summary>Whether a database holds something that is none.</summary>
    internal static bool IsDamaged(Exception exception) => exception is SqliteException { SqliteErrorCode: Corrupt or NotADatabase };

    private static string Sentence(string text) => text.EndsWith('.') ? text : text + ".";
}
