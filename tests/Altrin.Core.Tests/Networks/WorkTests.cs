using Altrin.Core.Networks;

namespace Altrin.Core.Tests.Networks;

/// <summary>Work is counted, cut where it is used up, and given up when its caller does.</summary>
public sealed class WorkTests
{
    [Fact]
    public void As_many_steps_are_made_as_there_are_and_then_it_is_cut()
    {
        var work = new Work(3, CancellationToken.None);
        Assert.Equal([true, true, true], Enumerable.Range(0, 3).Select(_ => work.Step()));
        Assert.False(work.IsCut);
        Assert.False(work.Step());
        Assert.Equal((3L, true), (work.Done, work.IsCut));
        var again = work.Again();
        Assert.Equal((0L, false, true), (again.Done, again.IsCut, again.Step()));
    }

    [Fact]
    public void A_caller_who_gives_up_is_noticed_within_64_steps()
    {
        using var source = new CancellationTokenSource();
        var work = new Work(1000, source.Token);
        work.Check();
        source.Cancel();
        Assert.Throws<OperationCanceledException>(work.Check);
        for (var i = 0; i < 63; i++)
        {
            Assert.True(work.Step());
        }
        Assert.Throws<OperationCanceledException>(() => work.Step());
    }
}
