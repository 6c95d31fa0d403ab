namespace Altrin.Data;

/// <summary>
/// Lets a stated number in at once. Those that wait are let in in order; where several parties wait, each gets its turn, however many of
/// one party wait. A wait ends at the latest after a stated time, by <see cref="BusyException"/>.
/// </summary>
/// <param name="most">How many are in at once.</param>
/// <param name="longest">How long one waits at most.</param>
/// <param name="time">The clock.</param>
public sealed class FairGate(int most, TimeSpan longest, TimeProvider time)
{
    private readonly Lock _lock = new();

    /// <summary>Who waits, by party, the party whose turn is next first.</summary>
    private readonly LinkedList<(long Party, Queue<TaskCompletionSource> Waiting)> _turns = [];
    private int _inside;

    /// <summary>Waits for its turn; what got in leaves by disposing what is given.</summary>
    /// <param name="party">For whom, such as a job.</param>
    /// <param name="cancel">Gives the wait up.</param>
    /// <exception cref="BusyException">The wait took too long.</exception>
    public async Task<IDisposable> Enter(long party, CancellationToken cancel)
    {
        TaskCompletionSource? turn = null;
        lock (_lock)
        {
            if (_inside < most)
            {
                _inside++;
            }
            else
            {
                turn = new(TaskCreationOptions.RunContinuationsAsynchronously);
                Queue(party, turn);
            }
        }
        if (turn is not null)
        {
            try
            {
                await turn.Task.WaitAsync(longest, time, cancel);
            }
            catch (Exception e) when (e is TimeoutException or OperationCanceledException)
            {
                // The turn may have come in the same moment: then it is passed on.
                if (!turn.TrySetCanceled(CancellationToken.None))
                {
                    Leave();
                }
                throw e is TimeoutException
                    ? new BusyException($"Others were at work for longer than {longest.TotalSeconds:0} seconds.")
                    : e;
            }
        }
        return new Inside(this);
    }

    private void Queue(long party, TaskCompletionSource turn)
    {
        for (var node = _turns.First; node is not null; node = node.Next)
        {
            if (node.Value.Party == party)
            {
                node.Value.Waiting.Enqueue(turn);
                return;
            }
        }
        _turns.AddLast((party, new([turn])));
    }

    private void Leave()
    {
        lock (_lock)
        {
            while (_turns.First is { } first)
            {
                _turns.RemoveFirst();
                var next = first.Value.Waiting.Dequeue();
                if (first.Value.Waiting.Count > 0)
                {
                    _turns.AddLast(first);
                }
                if (next.TrySetResult())
                {
                    return;
                }
            }
            _inside--;
        }
    }

    private sealed class Inside(FairGate gate) : IDisposable
    {
        private FairGate? _gate = gate;

        public void Dispose() => Interlocked.Exchange(ref _gate, null)?.Leave();
    }
}

/// <summary>Too many others are at work; the same can be asked again in a moment.</summary>
public sealed class BusyException(string message) : Exception(message);
