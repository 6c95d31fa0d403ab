using System.Diagnostics;

namespace Altrin.Formats.Tests;

/// <summary>tshark, which dissects what Altrin writes: a reader that is not ours.</summary>
internal static class Dissector
{
    private const string Path = "/usr/bin/tshark";

    /// <summary>Skips the test, and says why, where tshark is missing; under CI that is a failure.</summary>
    public static void Need()
    {
        if (!File.Exists(Path))
        {
            const string why = "tshark is not installed (Debian package tshark)";
            Assert.False(Environment.GetEnvironmentVariable("CI") == "true", why);
            Assert.Skip(why);
        }
    }

    /// <summary>The named fields of each frame, one row a frame; several values of one field are separated by commas.</summary>
    public static IReadOnlyList<string[]> Fields(byte[] capture, string filter, params string[] fields)
    {
        var file = System.IO.Path.GetTempFileName();
        try
        {
            File.WriteAllBytes(file, capture);
            var start = new ProcessStartInfo(Path) { RedirectStandardOutput = true, RedirectStandardError = true };
            string[] checks = ["-o", "ip.check_checksum:TRUE", "-o", "udp.check_checksum:TRUE", "-o", "tcp.check_checksum:TRUE"];
            foreach (
                var argument in (string[])
                    [
                        "-n",
                        "-r",
                        file,
                        .. checks,
                        .. filter.Length > 0 ? ["-Y", filter] : Array.Empty<string>(),
                        "-T",
                        "fields",
                        .. fields.SelectMany(f => new[] { "-e", f }),
                    ]
            )
            {
                start.ArgumentList.Add(argument);
            }
            using var run = Process.Start(start)!;
            var errors = run.StandardError.ReadToEndAsync();
            var output = run.StandardOutput.ReadToEnd();
            run.WaitForExit();
            Assert.True(run.ExitCode == 0, errors.Result);
            return [.. output.Split('\n', StringSplitOptions.RemoveEmptyEntries).Select(l => l.Split('\t'))];
        }
        finally
        {
            File.Delete(file);
        }
    }

    /// <summary>The same capture in another container, written by tshark.</summary>
    public static byte[] Again(byte[] capture, string container)
    {
        var (from, to) = (System.IO.Path.GetTempFileName(), System.IO.Path.GetTempFileName());
        try
        {
            File.WriteAllBytes(from, capture);
            using var run = Process.Start(
                new ProcessStartInfo(Path) { ArgumentList = { "-r", from, "-F", container, "-w", to }, RedirectStandardError = true }
            )!;
            var errors = run.StandardError.ReadToEnd();
            run.WaitForExit();
            Assert.True(run.ExitCode == 0, errors);
            return File.ReadAllBytes(to);
        }
        finally
        {
            File.Delete(from);
            File.Delete(to);
        }
    }
}
