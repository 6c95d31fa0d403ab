using Altrin.Core.Planning;

namespace Altrin.Web;

/// <summary>
/// A search for options: it goes on between the questions of a page, and ends in a stated time, once the last who waited has left, or once
/// another one has taken its place and no one waits for it.
/// </summary>
internal sealed class PlanRun : IDisposable
{
    private readonly CancellationTokenSource _stop = new();
    private volatile PlanAnswer? _soFar;
    private int _waiting;
    private volatile bool _isReplaced;

    /// <param name="search">Does it: told whom to tell of the best so far, and what ends it.</param>
    public PlanRun(Func<Action<PlanAnswer>, CancellationToken, Task<PlanAnswer>> search) =>
        End = search(answer => _soFar = answer, _stop.Token);

    /// <summary>The answer.</summary>
    public Task<PlanAnswer> End { get; }

    /// <summary>The best so far; null before the first.</summary>
    public PlanAnswer? SoFar => _soFar;

    /// <summary>Whether it came to nothing, or was ended because no one waited for it: it is no answer.</summary>
    public bool IsLeft { get; private set; }

    /// <summary>Waits for the end, or for as long as is said.</summary>
    /// <exception cref="OperationCanceledException">The caller no longer waits.</exception>
    public async Task Wait(TimeSpan longest, TimeProvider time, CancellationToken cancel)
    {
        Interlocked.Increment(ref _waiting);
        try
        {
            using var ended = CancellationTokenSource.CreateLinkedTokenSource(cancel);
            await Task.WhenAny(End, Task.Delay(longest, time, ended.Token));
            await ended.CancelAsync();
            cancel.ThrowIfCancellationRequested();
        }
        finally
        {
            if (Interlocked.Decrement(ref _waiting) == 0 && (cancel.IsCancellationRequested || _isReplaced))
            {
                Leave();
            }
        }
    }

    /// <summary>Another search has taken its place: it ends once no one waits for it.</summary>
    public void Replace()
    {
        _isReplaced = true;
        if (Volatile.Read(ref _waiting) == 0)
        {
            Leave();
        }
    }

    /// <summary>It is asked for again: it goes on between questions as before.</summary>
    public void Resume() => _isReplaced = false;

    private void Leave()
    {
        if (!End.IsCompleted)
        {
            IsLeft = true;
            Stop();
        }
    }

    /// <summary>The answer, once it is there.</summary>
    /// <exception cref="OperationCanceledException">The caller no longer waits.</exception>
    public async Task<PlanAnswer> Answer(CancellationToken cancel)
    {
        await Wait(Timeout.InfiniteTimeSpan, TimeProvider.System, cancel);
        return await End;
    }

    /// <summary>Ends it: the best so far is the answer.</summary>
    public void Stop()
    {
        if (!End.IsCompleted)
        {
            _stop.Cancel();
        }
    }

    /// <inheritdoc/>
    public void Dispose() => _stop.Dispose();
}
