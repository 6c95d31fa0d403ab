using Altrin.Core.Findings;
using Altrin.Core.Sites;
using Altrin.Data;
using Altrin.Formats;
using Microsoft.Extensions.Caching.Memory;

namespace Altrin.Web;

/// <summary>
/// Everything that is worked out for an answer: at most as many at once as there are cores, fair between jobs, and each for as long as
/// the caller waits and no longer than a stated time. The core counts its work and cuts what is too large by itself; the clock only gives
/// up.
/// </summary>
internal sealed partial class Proofs(TimeProvider time, ILogger<Proofs> logger) : IDisposable
{
    /// <summary>
    /// How long one answer may take to work out. Counted work ends the longest after about five seconds of one idle core; the rest is for a
    /// machine that is slow or has much else to do, where a late answer is better than none.
    /// </summary>
    public static readonly TimeSpan Longest = TimeSpan.FromSeconds(30);

    /// <summary>
    /// How much of the proofs of kept revisions is remembered: findings, and facts of devices and links. The demo home has about 50 of them
    /// and takes some 30 kB, a home of 1,000 devices some 5,000 and 3 MB.
    /// </summary>
    private const int MostRemembered = 20_000;

    /// <summary>
    /// A revision never changes, and neither does what is proven of it; pages and tabs ask for the same one again and again.
    /// </summary>
    private readonly MemoryCache _kept = new(new MemoryCacheOptions { SizeLimit = MostRemembered, CompactionPercentage = 0.5 });

    private readonly FairGate _gate = new(Math.Max(1, Environment.ProcessorCount), Longest, time);

    /// <summary>Works something out for a job.</summary>
    /// <param name="job">The job.</param>
    /// <param name="work">What is worked out; it must heed the token.</param>
    /// <param name="cancel">Ends the work when the caller no longer waits.</param>
    /// <exception cref="BusyException">Others took too long.</exception>
    /// <exception cref="TooLongException">It took too long itself.</exception>
    public async Task<T> Do<T>(long job, Func<CancellationToken, T> work, CancellationToken cancel)
    {
        using var turn = await _gate.Enter(job, cancel);
        using var clock = new CancellationTokenSource(Longest, time);
        using var either = CancellationTokenSource.CreateLinkedTokenSource(clock.Token, cancel);
        try
        {
            return await Task.Run(() => work(either.Token), either.Token);
        }
        catch (OperationCanceledException) when (clock.IsCancellationRequested && !cancel.IsCancellationRequested)
        {
            throw new TooLongException();
        }
    }

    /// <summary>Proves a set-up; a fault of the program is one.</summary>
    public Task<ProofDocument> Of(long job, Design design, CancellationToken cancel) =>
        Do(job, c => ProofDocument.Of(Judging.Prove(design, null, new(c))), cancel);

    /// <summary>
    /// Proves what is kept already: whatever the proof comes to, the job must open, so that it can be undone. Where it cannot be proven,
    /// that is what is said.
    /// </summary>
    /// <param name="head">The job with its revision.</param>
    /// <param name="design">What is shown of it.</param>
    /// <param name="cancel">Ends the work when the caller no longer waits.</param>
    public async Task<ProofDocument> OfKept(JobHead head, Design design, CancellationToken cancel)
    {
        if (_kept.TryGetValue((head.Revision.Id, design.SetUp.Name), out ProofDocument? known))
        {
            return known!;
        }
        try
        {
            var proof = await Of(head.Job.Id, design, cancel);
            Remember(head, design, proof);
            return proof;
        }
        catch (TooLongException e)
        {
            return ProofDocument.Unproven(design, e.Message);
        }
        catch (Exception e) when (e is not (OperationCanceledException or BusyException))
        {
            LogUnproven(logger, e, head.Job.Id);
            return ProofDocument.Unproven(design, "A fault of the program, which is in the log.");
        }
    }

    /// <summary>Remembers what was proven of a revision before it was kept.</summary>
    public void Remember(JobHead head, Design design, ProofDocument proof) =>
        _kept.Set(
            (head.Revision.Id, design.SetUp.Name),
            proof,
            new MemoryCacheEntryOptions
            {
                Size = 1 + proof.Findings.Count + proof.Facts.Internet.Count + proof.Facts.Addresses.Count + proof.Facts.Links.Count,
            }
        );

    /// <inheritdoc/>
    public void Dispose() => _kept.Dispose();

    [LoggerMessage(LogLevel.Error, "A kept set-up of job {Job} cannot be proven")]
    private static partial void LogUnproven(ILogger logger, Exception exception, long job);
}

/// <summary>Something took longer to work out than a caller should wait.</summary>
internal sealed class TooLongException()
    : Exception(
        $"It was not worked out within {Proofs.Longest.TotalSeconds:0} seconds. Settle what is left to luck first, take boxes out of use that the question is not about, or ask a part of it."
    );
