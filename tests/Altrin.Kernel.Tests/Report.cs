namespace Altrin.Kernel.Tests;

/// <summary>
/// What was compared, for the person who runs the tests: added to the file that ALTRIN_KERNEL_REPORT names, since the console of
/// tests is hidden. Known exceptions stand in exceptions.txt, a line each: start of a difference, bar, reason; # begins a remark.
/// </summary>
internal static class Report
{
    private static readonly Lock Gate = new();
    private static int _known;

    /// <summary>Known exceptions met so far.</summary>
    public static int Known => _known;

    /// <summary>Differences in which Altrin is known to be right, and why.</summary>
    public static IReadOnlyList<(string Start, string Reason)> Exceptions { get; } =
    [
        .. File.ReadAllLines(Path.Combine(AppContext.BaseDirectory, "exceptions.txt"))
            .Where(l => l.Length > 0 && l[0] != '#')
            .Select(l =>
                l.Split(" | ") is [var start, var reason]
                    ? (start, reason)
                    : throw new InvalidDataException($"exceptions.txt: '{l}' is not 'start | reason'")
            ),
    ];

    /// <summary>What is left of the differences of a design once known exceptions are taken out; says counts what was taken out.</summary>
    public static IReadOnlyList<string> Unexplained(string name, Compared compared)
    {
        var known = compared
            .Differences.Where(d => Exceptions.Any(e => $"{name}: {d}".StartsWith(e.Start, StringComparison.Ordinal)))
            .ToList();
        Interlocked.Add(ref _known, known.Count);
        return [.. compared.Differences.Except(known)];
    }

    public static void Say(string line)
    {
        if (Environment.GetEnvironmentVariable("ALTRIN_KERNEL_REPORT") is { Length: > 0 } file)
        {
            lock (Gate)
            {
                File.AppendAllText(file, line + "\n");
            }
        }
    }
}
