using Altrin.Core.Planning;

namespace Altrin.Web.Tests;

/// <summary>When a search for options ends before it is through.</summary>
public sealed class PlanRunTests
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    /// <summary>A search that goes on until it is ended.</summary>
    private static PlanRun Endless() =>
        new(
            async (_, stop) =>
            {
                await Task.Delay(Timeout.InfiniteTimeSpan, stop);
                return (PlanAnswer)null!;
            }
        );

    [Fact]
    public async Task It_goes_on_between_the_questions_of_a_page()
    {
        using var run = Endless();
        await run.Wait(TimeSpan.Zero, TimeProvider.System, Cancel);
        Assert.False(run.IsLeft || run.End.IsCompleted);
        run.Stop();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => run.Answer(Cancel));
        Assert.False(run.IsLeft);
    }

    [Fact]
    public async Task It_ends_once_the_last_who_waited_has_left()
    {
        using var run = Endless();
        using var leaves = new CancellationTokenSource();
        var (first, other) = (run.Answer(leaves.Token), run.Answer(Cancel));
        await leaves.CancelAsync();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => first);
        Assert.False(run.IsLeft);
        run.Stop();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => other);
        using var alone = Endless();
        using var leavesToo = new CancellationTokenSource();
        var only = alone.Answer(leavesToo.Token);
        await leavesToo.CancelAsync();
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => only);
        Assert.True(alone.IsLeft);
    }

    /// <summary>One whose place another has taken ends at once where no one waits for it, else with the last who does.</summary>
    [Fact]
    public async Task It_ends_once_another_one_has_taken_its_place()
    {
        using var idle = Endless();
        idle.Replace();
        Assert.True(idle.IsLeft);
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => idle.End);
        using var run = Endless();
        var ticks = new ManualTime();
        var waiting = run.Wait(TimeSpan.FromSeconds(1), ticks, Cancel);
        run.Replace();
        Assert.False(run.IsLeft);
        ticks.Pass();
        await waiting;
        Assert.True(run.IsLeft);
        // One that is asked for again goes on between questions.
        using var back = Endless();
        var again = back.Wait(TimeSpan.FromSeconds(1), ticks, Cancel);
        back.Replace();
        back.Resume();
        ticks.Pass();
        await again;
        Assert.False(back.IsLeft || back.End.IsCompleted);
        back.Stop();
    }

    /// <summary>A clock whose timers all end when they are told to.</summary>
    private sealed class ManualTime : TimeProvider
    {
        private readonly List<(TimerCallback Call, object? State)> _timers = [];

        public override ITimer CreateTimer(TimerCallback callback, object? state, TimeSpan dueTime, TimeSpan period)
        {
            _timers.Add((callback, state));
            return System.CreateTimer(callback, state, Timeout.InfiniteTimeSpan, Timeout.InfiniteTimeSpan);
        }

        public void Pass() => _timers.ForEach(t => t.Call(t.State));
    }
}
