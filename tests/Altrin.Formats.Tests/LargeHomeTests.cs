using System.Text.Json;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests;

/// <summary>Homes that cost most to prove: the proof has an end, the same wherever it is made, and its answer a size.</summary>
public sealed class LargeHomeTests
{
    private const int MostBytes = 2_000_000;

    [Theory]
    [InlineData("routers in a row", 40)]
    [InlineData("routers in a row", 400)]
    [InlineData("routers of one subnet in a row", 12)]
    [InlineData("routers of one subnet in a row", 14)]
    [InlineData("routers of one subnet in a row", 40)]
    [InlineData("repeaters in a star", 60)]
    [InlineData("repeaters in a chain", 60)]
    public void A_large_home_is_proven_alike_each_time_within_its_size(string shape, int count)
    {
        var design = LargeHomes.Of(shape, count);
        var answer = Answer(design, new(CancellationToken.None));
        Assert.InRange(answer.Length, 1_000, MostBytes);
        Assert.Equal(answer, Answer(LargeHomes.Of(shape, count), new(CancellationToken.None)));
    }

    [Theory]
    [InlineData("routers in a row", 40, 300)]
    [InlineData("routers of one subnet in a row", 12, 500)]
    [InlineData("repeaters in a chain", 40, 300)]
    public void What_is_too_large_is_cut_at_the_same_place_and_says_so(string shape, int count, int steps)
    {
        var work = new Work(steps, CancellationToken.None);
        var answer = Answer(LargeHomes.Of(shape, count), work);
        Assert.True(work.IsCut);
        Assert.Equal(steps, work.Done);
        Assert.Equal(answer, Answer(LargeHomes.Of(shape, count), new(steps, CancellationToken.None)));
        var judgement = Judging.Prove(LargeHomes.Of(shape, count), null, new Work(steps, CancellationToken.None));
        Assert.Contains(judgement.Findings, f => f.Code == CauseCodes.NotWorkedOut);
        Assert.NotEqual(VerdictKind.Sound, judgement.Verdict.Kind);
        // With enough of them nothing is left out.
        Assert.DoesNotContain(Judging.Prove(LargeHomes.Of(shape, count)).Findings, f => f.Code == CauseCodes.NotWorkedOut);
    }

    [Fact]
    public void Work_that_no_one_waits_for_is_not_begun()
    {
        using var gone = new CancellationTokenSource();
        gone.Cancel();
        Assert.Throws<OperationCanceledException>(() => Answer(LargeHomes.Of("routers in a row", 40), new(gone.Token)));
        Assert.Throws<OperationCanceledException>(() => Answer(LargeHomes.Of("repeaters in a chain", 40), new(gone.Token)));
    }

    [Fact]
    public async Task Work_that_was_begun_ends_when_no_one_waits_any_more()
    {
        using var waits = new CancellationTokenSource();
        var begun = new TaskCompletionSource();
        var proving = Task.Run(
            () =>
            {
                var design = LargeHomes.Of("repeaters in a chain", 60);
                while (true)
                {
                    begun.TrySetResult();
                    _ = Judging.Prove(design, null, new Work(waits.Token));
                }
            },
            TestContext.Current.CancellationToken
        );
        await begun.Task;
        await waits.CancelAsync();
        await Assert.ThrowsAsync<OperationCanceledException>(() => proving);
    }

    private static byte[] Answer(Design design, Work work) =>
        JsonSerializer.SerializeToUtf8Bytes(ProofDocument.Of(Judging.Prove(design, null, work)), AltrinJson.Options);
}
