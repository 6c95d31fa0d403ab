using System.Diagnostics;
using System.Globalization;
using System.Runtime.InteropServices;
using System.Text.RegularExpressions;

namespace Altrin.Kernel.Tests;

/// <summary>Network namespaces of this process, named altrin-(process)-(number), and programs that run in them.</summary>
internal sealed partial class Namespaces : IDisposable
{
    private const int CloneNewNet = 0x40000000;
    private static int _next;
    private readonly List<string> _names = [];
    private readonly List<int> _running = [];

    static Namespaces() => Sweep();

    /// <summary>Why namespaces cannot be made here; null where they can.</summary>
    public static string? Lacking { get; } =
        !OperatingSystem.IsLinux() ? "network namespaces need Linux"
        : geteuid() != 0 ? "making network namespaces needs root"
        : new[] { "ip", "tc", "nft", "dnsmasq", "busybox", "traceroute", "arping", "ping", "iperf3" }.FirstOrDefault(tool => !Which(tool))
            is { } missing
            ? $"'{missing}' is not installed"
        : Run("ip", ["netns", "list"]).Status != 0 ? "'ip netns' does not work here"
        : null;

    /// <summary>The name of a new namespace; it is made by the next <see cref="Make"/>.</summary>
    public string Name()
    {
        var name = $"altrin-{Environment.ProcessId}-{Interlocked.Increment(ref _next)}";
        _names.Add(name);
        return name;
    }

    /// <summary>Makes every named namespace.</summary>
    public void Make() => Batch(null, _names.Select(n => $"netns add {n}"));

    /// <summary>Runs lines of <c>ip</c> in a namespace; one that fails is an error.</summary>
    public static void Batch(string? name, IEnumerable<string> lines)
    {
        var text = string.Join('\n', lines);
        if (text.Length == 0)
        {
            return;
        }
        var (status, output) = Run("ip", name is null ? ["-batch", "-"] : ["-n", name, "-batch", "-"], text + "\n");
        if (status != 0)
        {
            throw new InvalidOperationException($"ip -batch in {name ?? "the main namespace"}: {output}\n{text}");
        }
    }

    /// <summary>Runs a program in a namespace and waits for it.</summary>
    public static (int Status, string Output) In(
        string name,
        string program,
        string[] arguments,
        string? input = null,
        IReadOnlyDictionary<string, string>? variables = null
    ) => Run("ip", ["netns", "exec", name, program, .. arguments], input, variables);

    /// <summary>
    /// Starts dnsmasq in a namespace and comes back once it answers, with the number of its process; it is ended when this object goes.
    /// </summary>
    public int Serve(string name, string folder, params string[] arguments)
    {
        var file = Path.Combine(folder, $"{Guid.NewGuid():n}.pid");
        // It goes into the background when it has opened its ports, so that its end is the sign that it is ready.
        var (status, output) = In(
            name,
            "dnsmasq",
            ["--conf-file=/dev/null", $"--pid-file={file}", "--no-resolv", "--no-hosts", "--bind-interfaces", .. arguments]
        );
        if (status != 0)
        {
            throw new InvalidOperationException($"dnsmasq in {name}: {output} {string.Join(' ', arguments)}");
        }
        return Runs(file);
    }

    /// <summary>
    /// Takes over a process that went into the background, by the file with its number: it is ended when this object goes.
    /// </summary>
    public int Runs(string file)
    {
        var since = Stopwatch.StartNew();
        while (true)
        {
            // It writes the file anew once it is in the background, which may be a moment after the call came back: until then the file is
            // not there, is empty, or names the process that it went out from.
            if (
                File.Exists(file)
                && int.TryParse(File.ReadAllText(file), NumberStyles.AllowTrailingWhite, CultureInfo.InvariantCulture, out var id)
                && Lives(id)
            )
            {
                _running.Add(id);
                return id;
            }
            if (since.Elapsed > TimeSpan.FromSeconds(10))
            {
                throw new InvalidOperationException($"no process wrote its number into {file}");
            }
            Thread.Yield();
        }
    }

    /// <summary>Ends a process that was started here, and comes back once it is gone.</summary>
    public void End(int id)
    {
        if (!_running.Remove(id))
        {
            return;
        }
        try
        {
            using var process = Process.GetProcessById(id);
            process.Kill();
        }
        catch (ArgumentException)
        {
            // It ended by itself.
            return;
        }
        var since = Stopwatch.StartNew();
        while (Lives(id) && since.Elapsed < TimeSpan.FromSeconds(10))
        {
            Thread.Yield();
        }
    }

    /// <summary>
    /// Whether a process is there; one that ended and that its parent has not asked about has closed all that it had open.
    /// </summary>
    private static bool Lives(int id)
    {
        try
        {
            // After the name in brackets stands the state (proc(5)).
            return File.ReadAllText($"/proc/{id}/stat").Split(") ")[^1][0] is not ('Z' or 'X');
        }
        catch (IOException)
        {
            return false;
        }
    }

    /// <summary>Does something in a namespace, on a thread of its own. Sockets that are made there stay there.</summary>
    public static T Inside<T>(string name, Func<T> work)
    {
        T result = default!;
        Exception? failed = null;
        var thread = new Thread(() =>
        {
            try
            {
                using var handle = File.OpenHandle($"/run/netns/{name}");
                if (setns(handle.DangerousGetHandle().ToInt32(), CloneNewNet) != 0)
                {
                    throw new InvalidOperationException($"setns into {name}: error {Marshal.GetLastPInvokeError()}");
                }
                result = work();
            }
            catch (Exception e)
            {
                failed = e;
            }
        });
        thread.Start();
        thread.Join();
        return failed is null ? result : throw new InvalidOperationException($"in {name}: {failed.Message}", failed);
    }

    public void Dispose()
    {
        foreach (var id in _running.ToList())
        {
            End(id);
        }
        Run("ip", ["-batch", "-"], string.Concat(_names.Select(n => $"netns del {n}\n")));
    }

    /// <summary>Runs a program and waits for it, for ten seconds at most: whatever is not done by then is ended and has failed.</summary>
    public static (int Status, string Output) Run(
        string program,
        string[] arguments,
        string? input = null,
        IReadOnlyDictionary<string, string>? variables = null
    )
    {
        using var process = Begin(program, arguments, variables);
        var (output, error) = (process.StandardOutput.ReadToEndAsync(), process.StandardError.ReadToEndAsync());
        process.StandardInput.Write(input ?? "");
        process.StandardInput.Close();
        if (!process.WaitForExit(TimeSpan.FromSeconds(60)))
        {
            process.Kill();
            return (-1, "was ended after a minute");
        }
        process.WaitForExit();
        return (process.ExitCode, output.Result + error.Result);
    }

    private static Process Begin(string program, string[] arguments, IReadOnlyDictionary<string, string>? variables)
    {
        var start = new ProcessStartInfo(program, arguments)
        {
            RedirectStandardError = true,
            RedirectStandardInput = true,
            RedirectStandardOutput = true,
        };
        foreach (var (key, value) in variables ?? new Dictionary<string, string>())
        {
            start.Environment[key] = value;
        }
        return Process.Start(start) ?? throw new InvalidOperationException($"{program} does not start");
    }

    /// <summary>Removes what processes that are gone left behind.</summary>
    public static void Sweep()
    {
        if (Lacking is not null || !Directory.Exists("/run/netns"))
        {
            return;
        }
        var stale = Directory
            .GetFiles("/run/netns")
            .Select(Path.GetFileName)
            .OfType<string>()
            .Where(n =>
                Ours().Match(n) is { Success: true } match
                && !Directory.Exists($"/proc/{int.Parse(match.Groups[1].ValueSpan, CultureInfo.InvariantCulture)}")
            );
        Run("ip", ["-batch", "-"], string.Concat(stale.Select(n => $"netns del {n}\n")));
    }

    private static bool Which(string tool) =>
        (Environment.GetEnvironmentVariable("PATH") ?? "")
            .Split(':')
            .Concat(["/usr/sbin", "/sbin"])
            .Any(folder => File.Exists(Path.Combine(folder, tool)));

    [GeneratedRegex("^altrin-([0-9]{1,9})-[0-9]+$")]
    private static partial Regex Ours();

    [LibraryImport("libc", SetLastError = true)]
    private static partial int setns(int handle, int kind);

    [LibraryImport("libc")]
    private static partial uint geteuid();
}
