using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using Altrin.Data;

namespace Altrin.Web.Tests;

/// <summary>The program as a process: what it says when it cannot start, and what it starts with.</summary>
public sealed class ProgramTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("altrin-program-").FullName;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private static Process Start(params string[] args) => Start(null, args);

    private static Process Start((string Name, string Value)? variable, params string[] args)
    {
        var info = new ProcessStartInfo("dotnet", [Path.Combine(AppContext.BaseDirectory, "Altrin.Web.dll"), .. args])
        {
            RedirectStandardError = true,
            RedirectStandardOutput = true,
        };
        if (variable is var (name, value))
        {
            info.Environment[name] = value;
        }
        return Process.Start(info)!;
    }

    private static async Task<(int Status, string Errors)> End(params string[] args)
    {
        using var process = Start(args);
        var errors = await process.StandardError.ReadToEndAsync(Cancel);
        await process.WaitForExitAsync(Cancel);
        return (process.ExitCode, errors);
    }

    [Theory]
    [InlineData("--port needs a number", "--port", "seven")]
    [InlineData("--port needs a number", "--port", "65536")]
    [InlineData("--port needs a number", "--port")]
    [InlineData("--data needs a folder", "--data")]
    public async Task Bad_options_are_told_in_one_line(string says, params string[] args)
    {
        var (status, errors) = await End(args);
        Assert.Equal(2, status);
        Assert.Contains(says, Assert.Single(errors.Split('\n', StringSplitOptions.RemoveEmptyEntries)), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_port_in_use_is_told_in_one_line()
    {
        using var taken = new TcpListener(IPAddress.Loopback, 0);
        taken.Start();
        var port = ((IPEndPoint)taken.LocalEndpoint).Port;
        var (status, errors) = await End("--port", $"{port}", "--data", _folder);
        Assert.Equal((2, $"altrin: port {port} is in use. Choose another with --port.\n"), (status, errors));
    }

    [Fact]
    public async Task A_folder_in_use_is_told_in_one_line()
    {
        using var held = DataFolder.At(_folder).TryLock();
        var (status, errors) = await End("--port", "0", "--data", _folder);
        Assert.Equal(2, status);
        Assert.Contains(
            "is in use by another Altrin",
            Assert.Single(errors.Split('\n', StringSplitOptions.RemoveEmptyEntries)),
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData("'--colour' is no option", "--colour")]
    [InlineData("'--urls=http://0.0.0.0:0' is no option", "--urls=http://0.0.0.0:0")]
    [InlineData("it is a file, not a folder", "--data", "FILE")]
    [InlineData("holds other things", "--data", "OTHER")]
    [InlineData("cannot be the data folder", "--data", "/proc/altrin")]
    [InlineData("is damaged", "--data", "DAMAGED")]
    public async Task What_cannot_be_started_with_is_told_in_one_line(string says, params string[] args)
    {
        var file = Path.Combine(_folder, "FILE");
        await File.WriteAllTextAsync(file, "x", Cancel);
        await File.WriteAllTextAsync(
            Path.Combine(Directory.CreateDirectory(Path.Combine(_folder, "OTHER")).FullName, "letter.txt"),
            "x",
            Cancel
        );
        await File.WriteAllTextAsync(
            Path.Combine(Directory.CreateDirectory(Path.Combine(_folder, "DAMAGED")).FullName, "altrin.db"),
            new string('x', 5000),
            Cancel
        );
        var (status, errors) = await End(["--port", "0", .. args.Select(a => a.All(char.IsUpper) ? Path.Combine(_folder, a) : a)]);
        Assert.Equal(2, status);
        Assert.Contains(says, Assert.Single(errors.Split('\n', StringSplitOptions.RemoveEmptyEntries)), StringComparison.Ordinal);
        Assert.Equal("x", await File.ReadAllTextAsync(file, Cancel));
    }

    [Theory]
    [InlineData("Kestrel__Endpoints__Wide__Url", "http://0.0.0.0:{0}")]
    [InlineData("ASPNETCORE_URLS", "http://0.0.0.0:{0}")]
    [InlineData("ASPNETCORE_HTTP_PORTS", "{0}")]
    [InlineData("URLS", "http://*:{0}")]
    [InlineData("DOTNET_Kestrel__Endpoints__Wide__Url", "http://*:{0}")]
    public async Task No_variable_of_the_environment_opens_it_to_others(string name, string value)
    {
        using var free = new TcpListener(IPAddress.Loopback, 0);
        free.Start();
        var port = ((IPEndPoint)free.LocalEndpoint).Port;
        free.Stop();
        using var process = Start(
            (name, string.Format(System.Globalization.CultureInfo.InvariantCulture, value, port)),
            "--port",
            "0",
            "--data",
            _folder,
            "--empty"
        );
        try
        {
            Assert.Matches("^Altrin is on http://127\\.0\\.0\\.1:[0-9]+  ", await process.StandardOutput.ReadLineAsync(Cancel));
            using var asks = new TcpClient();
            await Assert.ThrowsAsync<SocketException>(async () => await asks.ConnectAsync(IPAddress.Loopback, port, Cancel));
        }
        finally
        {
            process.Kill();
            await process.WaitForExitAsync(CancellationToken.None);
        }
    }

    [Theory]
    [InlineData(true, 0)]
    [InlineData(false, 1)]
    public async Task It_starts_with_the_demo_home_or_empty_and_says_where(bool empty, int jobs)
    {
        using var process = Start(["--port", "0", "--data", _folder, .. empty ? new[] { "--empty" } : []]);
        try
        {
            var line = await process.StandardOutput.ReadLineAsync(Cancel);
            Assert.StartsWith("Altrin is on http://127.0.0.1:", line, StringComparison.Ordinal);
            using var http = new HttpClient();
            var list = await http.GetStringAsync(new Uri($"{line!.Split(' ')[3]}/api/jobs"), Cancel);
            Assert.Contains($"\"total\":{jobs}", list, StringComparison.Ordinal);
        }
        finally
        {
            process.Kill();
            await process.WaitForExitAsync(CancellationToken.None);
        }
    }
}
