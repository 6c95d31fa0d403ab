using System.Diagnostics;
using Altrin.Data;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Altrin.Cli.Tests;

/// <summary>
/// The program as a process of its own: what it switches before anything else, for a quick start, must suit what the command then does.
/// </summary>
public sealed class ProgramTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("altrin-program-").FullName;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
    }

    private static async Task<(int Status, string Output, string Errors)> Started(params string[] args)
    {
        var info = new ProcessStartInfo("dotnet", [Path.Combine(AppContext.BaseDirectory, "altrin.dll"), .. args])
        {
            RedirectStandardError = true,
            RedirectStandardOutput = true,
        };
        using var process = Process.Start(info)!;
        var (output, errors) = (process.StandardOutput.ReadToEndAsync(Cancel), process.StandardError.ReadToEndAsync(Cancel));
        await process.WaitForExitAsync(Cancel);
        return (process.ExitCode, await output, await errors);
    }

    [Fact]
    public async Task A_home_is_proven()
    {
        var home = TerminalRun.Sample("pottery-house.json");
        var (status, output, errors) = await Started("prove", home, "--json");
        Assert.Equal((ExitCode.Findings, ""), (status, errors));
        Assert.Equal(TerminalRun.Run(null, "prove", home, "--json").Output, output);
    }

    [Fact]
    public async Task A_backup_is_written_and_restored()
    {
        var (from, to, file) = (Path.Combine(_folder, "from"), Path.Combine(_folder, "to"), Path.Combine(_folder, "backup.zip"));
        var data = DataFolder.Open(from).Value;
        await using (var context = new AltrinContext(new DbContextOptionsBuilder<AltrinContext>().UseSqlite(data.ConnectionString).Options))
        {
            Assert.True(DatabaseOpening.BringUpToDate(context, data, DateTimeOffset.UnixEpoch).Ok);
        }
        SqliteConnection.ClearAllPools();
        foreach (var args in new string[][] { ["backup", file, "--data", from], ["restore", file, "--data", to] })
        {
            var (status, _, errors) = await Started(args);
            Assert.Equal((ExitCode.Sound, ""), (status, errors));
        }
        Assert.True(File.Exists(DataFolder.At(to).Database));
    }
}
