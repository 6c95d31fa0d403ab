using System.Security.Cryptography;
using System.Text;
using Altrin.Core.Planning;
using Altrin.Core.Sites;
using Altrin.Formats;

namespace Altrin.Web;

/// <summary>
/// Options that were worked out last, by what was found and how the installer goes about it: they are not stored, and a plan that is edited
/// changes none.
/// </summary>
internal sealed class PlanOptions(Proofs proofs, TimeProvider time) : IDisposable
{
    /// <summary>How many are remembered.</summary>
    private const int Most = 6;

    /// <summary>How long a search may take: after it, the best so far is the answer.</summary>
    private static readonly TimeSpan Longest = Proofs.Longest / 2;

    private readonly Recent<string, PlanRun> _runs = new(Most);
    private readonly Recent<string, WhyNot> _asked = new(4 * Most);
    private readonly Dictionary<long, PlanRun> _running = [];
    private readonly Lock _gate = new();

    /// <summary>The search for a home as it was found, begun where it was not.</summary>
    /// <param name="job">The job.</param>
    /// <param name="task">What is asked for.</param>
    /// <param name="anew">Whether a search that was cut short, or came to nothing, is begun again.</param>
    public PlanRun Of(long job, PlanTask task, bool anew = false)
    {
        var key = Key(task);
        lock (_gate)
        {
            var run = Begun();
            if (
                run.IsLeft
                || run.End.IsFaulted
                || run.End.IsCanceled
                || (anew && run.End is { IsCompletedSuccessfully: true, Result.IsCut: true })
            )
            {
                _runs.Forget(key);
                run = Begun();
            }
            Follow(job, run);
            return run;
        }

        PlanRun Begun() => _runs.Of(key, () => new(
                    (tell, stop) =>
                        // What ends the search is its own answer, so the turn is not given up with it.
                        proofs.Do(
                            job,
                            _ =>
                            {
                                // The time begins with the turn: others may have been long about theirs.
                                using var clock = new CancellationTokenSource(Longest, time);
                                using var either = CancellationTokenSource.CreateLinkedTokenSource(clock.Token, stop);
                                return Planner.Plan(task, tell, either.Token);
                            },
                            CancellationToken.None
                        )
                ));
    }

    /// <summary>
    /// A job is asked about as it is now: what was searched for before has no one to tell any more, and others wait for its turn; but for
    /// what another job with the same home still asks about. What has ended is not held.
    /// </summary>
    private void Follow(long job, PlanRun run)
    {
        foreach (var ended in _running.Where(r => r.Value.End.IsCompleted).Select(r => r.Key).ToList())
        {
            _running.Remove(ended);
        }
        if (_running.Remove(job, out var before) && before != run && !_running.ContainsValue(before))
        {
            before.Replace();
        }
        if (!run.End.IsCompleted)
        {
            run.Resume();
            _running[job] = run;
        }
    }

    /// <summary>What an alternative costs against the first option.</summary>
    /// <exception cref="OperationCanceledException">The caller no longer waits.</exception>
    public async Task<WhyNot> Ask(long job, PlanTask task, string box, RoleKind wanted, CancellationToken cancel)
    {
        var best = (await Of(job, task).Answer(cancel)).Options[0];
        return await proofs.Do(job, c => _asked.Of($"{box} {wanted} {Key(task)}", () =>
                {
                    using var clock = new CancellationTokenSource(Longest, time);
                    using var either = CancellationTokenSource.CreateLinkedTokenSource(clock.Token, c);
                    var answer = WhyNot.Of(task, best, box, wanted, either.Token);
                    // What was cut short because its caller left is no answer for the next one.
                    c.ThrowIfCancellationRequested();
                    return answer;
                }), cancel);
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        _runs.Dispose();
        _asked.Dispose();
    }

    /// <summary>
    /// What options rest on and which they are, as a short text: a search that was cut short can come to others when it is run again.
    /// </summary>
    public static string RestsOn(PlanTask task, PlanAnswer answer)
    {
        var shown = answer.Options.Select(o => Text(o.Site, o.SetUp));
        return Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(string.Join(' ', shown.Prepend(Key(task))))))[..16];
    }

    private static string Key(PlanTask task)
    {
        var kinds = string.Join(',', task.Shelf.Select(p => $"{p.ShelfId}/{p.Edition}"));
        return $"{task.Ways} {task.Weights} {kinds} {Text(task.Found.Site, task.Found.SetUp)}";
    }

    private static string Text(Site site, SetUp setUp) => DesignFile.Write(new HomeFile(site, [setUp]));
}
