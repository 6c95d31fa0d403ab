using System.Collections.Concurrent;
using Altrin.Core.Packets;

namespace Altrin.Kernel.Tests;

/// <summary>What the kernel shows, beside what Altrin says.</summary>
/// <param name="Differences">Where they differ, one line each; the part before the colon names the fact.</param>
/// <param name="Certain">How many facts were compared that Altrin is sure of.</param>
/// <param name="Open">How many it leaves to luck, or does not know.</param>
internal sealed record Compared(IReadOnlyList<string> Differences, int Certain, int Open);

/// <summary>Counts what agrees and writes down what does not; facts may be compared side by side.</summary>
internal sealed class Tally
{
    private readonly ConcurrentQueue<string> _differences = new();
    private int _certain;
    private int _open;

    /// <summary>What was compared so far.</summary>
    public Compared Compared => new([.. _differences.Order(StringComparer.Ordinal)], _certain, _open);

    /// <summary>An answer against what was measured; a no is measured again, with more patience, before it counts against a yes.</summary>
    public async Task Agree(string fact, Answer answer, Func<bool, Task<(bool So, string Shown)>> measure)
    {
        if (answer.Kind is AnswerKind.Luck or AnswerKind.Unknown)
        {
            Interlocked.Increment(ref _open);
            return;
        }
        Interlocked.Increment(ref _certain);
        var (so, shown) = await measure(false);
        if (!so && answer.IsYes)
        {
            (so, shown) = await measure(true);
        }
        if (so != answer.IsYes)
        {
            _differences.Enqueue($"{fact}: Altrin says {answer.Kind} {answer.Why} but {shown}");
        }
    }

    /// <summary>What is said against what is shown.</summary>
    public void Same<T>(string fact, T said, T shown)
    {
        Interlocked.Increment(ref _certain);
        if (!EqualityComparer<T>.Default.Equals(said, shown))
        {
            _differences.Enqueue($"{fact}: Altrin says {said} but the kernel shows {shown}");
        }
    }
}
