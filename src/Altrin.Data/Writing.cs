namespace Altrin.Data;

/// <summary>
/// Acts of writing: what belongs together is saved in one transaction or not at all. SQLite has one writer; acts wait for each other in
/// order, and nothing is worked out while others wait.
/// </summary>
/// <param name="context">The database of this request.</param>
/// <param name="gate">The gate before the one writer, shared by the process.</param>
public sealed class Writing(AltrinContext context, WriteGate gate)
{
    private bool _within;

    /// <summary>The database.</summary>
    public AltrinContext Context => context;

    /// <summary>Does an act as a whole; one that is begun within another becomes part of it.</summary>
    /// <param name="act">What is done.</param>
    /// <param name="cancel">Gives it up, as long as it is not saved.</param>
    /// <param name="keep">Whether what came of it is to be saved; null for always.</param>
    /// <exception cref="BusyException">Others wrote for too long.</exception>
    public async Task<T> Do<T>(Func<Task<T>> act, CancellationToken cancel, Func<T, bool>? keep = null)
    {
        if (_within)
        {
            return await act();
        }
        using var turn = await gate.Enter(cancel);
        _within = true;
        // What was read before the turn came may be old.
        context.ChangeTracker.Clear();
        try
        {
            await using var transaction = await context.Database.BeginTransactionAsync(cancel);
            var done = await act();
            if (keep?.Invoke(done) != false)
            {
                await context.SaveChangesAsync(cancel);
                // From here on the act is done, whether or not the caller still waits for it.
                await transaction.CommitAsync(CancellationToken.None);
            }
            return done;
        }
        finally
        {
            _within = false;
            context.ChangeTracker.Clear();
        }
    }

    /// <summary>The same for an act that gives nothing.</summary>
    public Task Do(Func<Task> act, CancellationToken cancel) =>
        Do<object?>(
            async () =>
            {
                await act();
                return null;
            },
            cancel
        );
}

/// <summary>The gate before the one writer of a database.</summary>
/// <param name="time">The clock.</param>
public sealed class WriteGate(TimeProvider time)
{
    private readonly FairGate _gate = new(1, TimeSpan.FromSeconds(5), time);

    /// <summary>Waits for one's turn to write.</summary>
    /// <exception cref="BusyException">Others wrote for too long.</exception>
    public Task<IDisposable> Enter(CancellationToken cancel) => _gate.Enter(0, cancel);
}
