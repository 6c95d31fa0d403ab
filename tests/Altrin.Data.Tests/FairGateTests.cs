namespace Altrin.Data.Tests;

/// <summary>Who is let in when, and that no caller waits for ever.</summary>
public sealed class FairGateTests
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private static FairGate Gate(int most, TimeProvider? time = null) => new(most, TimeSpan.FromSeconds(5), time ?? TimeProvider.System);

    [Fact]
    public async Task As_many_as_stated_are_in_at_once()
    {
        var gate = Gate(2);
        var first = await gate.Enter(1, Cancel);
        await gate.Enter(1, Cancel);
        var third = gate.Enter(1, Cancel);
        Assert.False(third.IsCompleted);
        first.Dispose();
        first.Dispose();
        await third;
        Assert.False(gate.Enter(1, Cancel).IsCompleted);
    }

    [Theory]
    [InlineData("1 1 1", "0 1 2")]
    [InlineData("1 1 1 2", "0 3 1 2")]
    [InlineData("1 2 1 3 2", "0 1 3 2 4")]
    public async Task Turns_come_in_order_and_each_party_has_one(string parties, string order)
    {
        var gate = Gate(1);
        var inside = await gate.Enter(9, Cancel);
        var came = new List<int>();
        var waits = parties
            .Split(' ')
            .Select((p, i) => Come(gate, long.Parse(p, System.Globalization.CultureInfo.InvariantCulture), i, came))
            .ToList();
        inside.Dispose();
        await Task.WhenAll(waits);
        Assert.Equal(order, string.Join(' ', came));
    }

    [Fact]
    public async Task Who_gives_up_takes_no_turn()
    {
        var gate = Gate(1);
        var inside = await gate.Enter(1, Cancel);
        using var gone = new CancellationTokenSource();
        var given = gate.Enter(1, gone.Token);
        var next = gate.Enter(1, Cancel);
        await gone.CancelAsync();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => given);
        inside.Dispose();
        (await next).Dispose();
        (await gate.Enter(1, Cancel)).Dispose();
    }

    [Fact]
    public async Task A_wait_ends_after_the_stated_time()
    {
        var clock = new HandClock();
        var gate = Gate(1, clock);
        var inside = await gate.Enter(1, Cancel);
        var waiting = gate.Enter(2, Cancel);
        clock.Ring();
        Assert.Contains(
            "longer than 5 seconds",
            (await Assert.ThrowsAsync<BusyException>(() => waiting)).Message,
            StringComparison.Ordinal
        );
        inside.Dispose();
        (await gate.Enter(2, Cancel)).Dispose();
    }

    private static async Task Come(FairGate gate, long party, int name, List<int> came)
    {
        using (await gate.Enter(party, Cancel))
        {
            came.Add(name);
        }
    }

    /// <summary>Its timers ring when they are told to.</summary>
    private sealed class HandClock : TimeProvider
    {
        private readonly List<(TimerCallback Ring, object? State)> _timers = [];

        public void Ring() => _timers.ForEach(t => t.Ring(t.State));

        public override ITimer CreateTimer(TimerCallback callback, object? state, TimeSpan dueTime, TimeSpan period)
        {
            _timers.Add((callback, state));
            return new Never();
        }

        private sealed class Never : ITimer
        {
            public bool Change(TimeSpan dueTime, TimeSpan period) => true;

            public void Dispose() { }

            public ValueTask DisposeAsync() => ValueTask.CompletedTask;
        }
    }
}
