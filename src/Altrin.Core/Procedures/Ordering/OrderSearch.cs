using System.Collections.Immutable;
using System.Text;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>
/// Finds an order of work from a state to a plan: a best-first search (A*, Hart, Nilsson and Raphael 1968, from memory) over pieces of
/// work. States in which the same is left are merged, the cheaper way is kept. What breaks nothing and takes the internet from no device
/// is done at once, which takes it out of the search; what that leaves no way for is done earlier the next time (squeaky wheel, Joslin and
/// Clements 1999, from memory).
/// </summary>
public static class OrderSearch
{
    /// <summary>How many acts are tried at most before the search goes straight to an end.</summary>
    public const int MostTried = 1000;

    /// <summary>How often the order is looked for anew with what was left over first, before nothing is done at once any more.</summary>
    public const int MostAgain = 3;

    /// <summary>Finds an order.</summary>
    /// <param name="start">Where the work begins: the morning of a set-up, or any later state.</param>
    /// <param name="aim">What it is for.</param>
    /// <param name="cancel">Gives it up between two pieces of work.</param>
    /// <exception cref="OperationCanceledException">It was given up.</exception>
    public static FoundOrder Find(State start, Aim aim, CancellationToken cancel = default)
    {
        // Of a home that is as planned nothing is asked; an evening that was begun has its end still.
        if (start.Laptop is null && start.Time == TimeSpan.Zero && start.Left(aim.Target).Count == 0)
        {
            return new([], start, Cost.Nothing, [], Tried: 0, Searched: true);
        }
        var first = ImmutableHashSet<(WorkKind, string)>.Empty;
        var found = new Search(start, aim, first, commits: true, cancel).Run();
        // What is done at once may stand in the way later. What then could not be done any more is done before it.
        for (
            var again = 0;
            again < MostAgain && found.Stuck.Count > 0 && LeftOver(found, aim).Except(first) is { Count: > 0 } late;
            again++
        )
        {
            first = first.Union(late);
            found = Better(found, new Search(start, aim, first, commits: true, cancel).Run());
        }
        return IsWhole(found)
            ? found
            : Better(found, new Search(start, aim, ImmutableHashSet<(WorkKind, string)>.Empty, commits: false, cancel).Run());
    }

    private static bool IsWhole(FoundOrder found) => found.Stuck.Count == 0 && found.Cost.Violations == 0;

    private static FoundOrder Better(FoundOrder a, FoundOrder b)
    {
        var better = (b.Stuck.Count > 0).CompareTo(a.Stuck.Count > 0) is var stuck and not 0 ? stuck : b.Cost.CompareTo(a.Cost);
        return (better < 0 ? b : a) with { Tried = a.Tried + b.Tried };
    }

    /// <summary>Pieces of work that were left at the end.</summary>
    private static ImmutableHashSet<(WorkKind, string)> LeftOver(FoundOrder found, Aim aim) =>
        [.. WorkItems.Of(found.End, aim).Select(i => (i.Kind, i.Subject))];

    /// <summary>A state that was reached.</summary>
    private sealed record Node(State Now, IReadOnlyList<WorkDone> Done, Cost Cost, string Key)
    {
        /// <summary>Why it did not go on as it should have.</summary>
        public IReadOnlyList<string> Stuck { get; init; } = [];

        /// <summary>Violations on the way to it, each once.</summary>
        public ImmutableHashSet<string> Told { get; init; } = [];

        /// <summary>States on the way to it.</summary>
        public ImmutableHashSet<string> Before { get; init; } = [];

        /// <summary>Whether nothing is left to do, and what is amiss at the end is counted.</summary>
        public bool IsEnd { get; init; }
    }

    private sealed class Search(State start, Aim aim, IReadOnlySet<(WorkKind, string)> first, bool commits, CancellationToken cancel)
    {
        private readonly Downtime _downtime = new(aim);
        private readonly PriorityQueue<Node, (Cost, int)> _open = new();
        private readonly Dictionary<string, Cost> _best = new(StringComparer.Ordinal);
        private readonly Dictionary<BoxSetting, WorkEstimate> _leastOfUsed = new(ReferenceEqualityComparer.Instance);
        private readonly Dictionary<BoxSetting, WorkEstimate> _leastOfShelved = new(ReferenceEqualityComparer.Instance);
        private int _tried;
        private int _nodes;

        public FoundOrder Run()
        {
            var begun = Begin();
            Push(begun);
            Node? dead = null;
            while (_open.TryDequeue(out var node, out _))
            {
                if (node.IsEnd)
                {
                    return End(node, searched: _tried <= MostTried);
                }
                if (_best.TryGetValue(node.Key, out var known) && known < node.Cost)
                {
                    continue;
                }
                var next = Next(
                    node,
                    [.. WorkItems.Of(node.Now, aim).OrderBy(i => !first.Contains((i.Kind, i.Subject)))],
                    mayCommit: commits
                );
                // A detour costs time and downtime: it is looked at only where each way straight on breaks something.
                if (next.Count > 0 && next.TrueForAll(n => n.Cost.Violations > node.Cost.Violations))
                {
                    next.AddRange(Next(node, [.. Silencing.Of(node.Now, aim)], mayCommit: false));
                }
                if (next.Count == 0 && node.Now.Left(aim.Target).Count == 0)
                {
                    // The plan alone is no end: who is to have the internet has to have it.
                    var amiss = node.Cost.Violations + _downtime.Offline(node.Now).Count;
                    var end = node with { Cost = node.Cost with { Violations = amiss }, IsEnd = true };
                    _open.Enqueue(end, (end.Cost, -++_nodes));
                    continue;
                }
                if (next.Count == 0)
                {
                    dead = dead is null || node.Done.Count > dead.Done.Count ? node : dead;
                    continue;
                }
                // Beyond the limit the search does not turn back: of each state only the best way on is taken.
                if (_tried > MostTried)
                {
                    _open.Clear();
                    _best.Clear();
                    Push(next.MinBy(n => n.Cost)!);
                    continue;
                }
                next.ForEach(Push);
            }
            return End(dead ?? begun, searched: _tried <= MostTried);
        }

        private Node Begin()
        {
            var opening = new Script(start, aim);
            Opening.Do(opening);
            return With(new(start, [], Cost.Nothing, Key(start)), WorkKind.Baseline, "", opening);
        }

        /// <summary>The states that are reached by one more piece of work: one where that one costs nothing that could be spared.</summary>
        private List<Node> Next(Node node, IReadOnlyList<WorkItem> items, bool mayCommit)
        {
            var made = new List<Node>();
            foreach (var item in items)
            {
                cancel.ThrowIfCancellationRequested();
                var script = new Script(node.Now, aim);
                var can = item.Do(script);
                _tried += script.Done.Count;
                if (!can || script.Done.Count == 0)
                {
                    continue;
                }
                var next = With(node, item.Kind, item.Subject, script);
                if (next.Before.Contains(next.Key))
                {
                    continue;
                }
                if (mayCommit && IsFree(node, next))
                {
                    return [next];
                }
                made.Add(next);
            }
            return made;
        }

        private bool IsFree(Node before, Node after) =>
            before.Cost.Violations == after.Cost.Violations
            && before.Cost.Downtime == after.Cost.Downtime
            && _downtime.Offline(after.Now).Count <= _downtime.Offline(before.Now).Count;

        private Node With(Node node, WorkKind kind, string subject, Script script)
        {
            IReadOnlyList<string> stuck = script.Stuck is { } why ? [.. node.Stuck, why] : node.Stuck;
            if (script.Done.Count == 0)
            {
                return node with { Stuck = stuck };
            }
            // What stays broken is counted once, and what is so in the plan not at all.
            var told = node.Told.Union(script.Done.SelectMany(s => s.Broken).Where(b => !aim.IsPlanned(b)).Select(IdentityOf));
            var cost = _downtime.After(node.Cost, script.Done);
            return new(
                script.Now,
                [.. node.Done, new WorkDone(kind, subject, script.Done)],
                cost with
                {
                    Violations = told.Count,
                },
                Key(script.Now)
            )
            {
                Stuck = stuck,
                Told = told,
                Before = node.Before.Add(node.Key),
            };
        }

        private static string IdentityOf(Broken broken) => $"{broken.Rule.Number} {broken.Violation.Identity}";

        private void Push(Node node)
        {
            var key = node.Key;
            if (_best.TryGetValue(key, out var known) && known <= node.Cost)
            {
                return;
            }
            _best[key] = node.Cost;
            var from = node.Now.Design;
            var least = WorkEstimate.Between(from, aim.Target, box => Least(from, box));
            var bound = node.Cost with { Seconds = node.Cost.Seconds + (long)least.Work.Usual.TotalSeconds };
            // Among equal ones that which has got furthest.
            _open.Enqueue(node, (bound, -++_nodes));
        }

        /// <summary>The least work at a box, which is the same in every state in which it is set the same.</summary>
        private WorkEstimate Least(Design from, BoxSetting box)
        {
            var (known, like) = from.Setting(box.Box) is { } used ? (_leastOfUsed, used) : (_leastOfShelved, box);
            if (!known.TryGetValue(like, out var least))
            {
                least = WorkEstimate.OfBox(from, aim.Target, box);
                known[like] = least;
            }
            return least;
        }

        private FoundOrder End(Node node, bool searched)
        {
            var closing = new Script(node.Now, aim);
            var reached = node.Now.Left(aim.Target).Count == 0;
            if (reached)
            {
                Closing.Do(closing);
            }
            var whole = With(node, WorkKind.Finish, "", closing);
            IEnumerable<string> stuck = [.. whole.Stuck, .. reached ? Offline(whole.Now) : Reasons(node)];
            return new(whole.Done, whole.Now, whole.Cost, [.. stuck.Distinct()], _tried, searched);
        }

        /// <summary>Who is to have the internet and has it not, though all is as planned.</summary>
        private IEnumerable<string> Offline(State end)
        {
            var why = end.Seen().Internet.ToDictionary(i => i.Device, i => i.Answer.Why);
            return _downtime
                .Offline(end)
                .Select(d => $"{end.Design.NameOf(d)} has no internet at the end: {why.GetValueOrDefault(d, "it is not in use.")}");
        }

        /// <summary>Why each piece of work that is left cannot be done.</summary>
        private IEnumerable<string> Reasons(Node node)
        {
            foreach (var item in WorkItems.Of(node.Now, aim))
            {
                var script = new Script(node.Now, aim);
                item.Do(script);
                yield return script.Stuck ?? "What can still be done leads no nearer to the plan.";
            }
        }

        /// <summary>What makes two states alike: what is left, where the laptop is, and who was given whose lease.</summary>
        private string Key(State now)
        {
            var key = new StringBuilder();
            key.AppendJoin('\n', now.Left(aim.Target).Select(c => c.ToString()));
            // Two ways of being wrong have the same left: what is so now is told by what differs from the start.
            key.AppendJoin('\n', now.Left(start.Design.SetUp).Select(c => c.ToString()));
            key.Append('|').Append(now.Laptop).Append('|').AppendJoin(',', now.Moment.Situation.Off);
            foreach (var held in now.Moment.Situation.Memory?.Held ?? [])
            {
                key.Append('|').Append(held.Owner).Append(held.Side).AppendJoin(',', held.Leases.Select(l => $"{l.Server} {l.Address}"));
            }
            key.Append('|').AppendJoin(',', now.Moment.Situation.Memory?.Bindings.Select(b => $"{b.Server} {b.Client} {b.Address}") ?? []);
            return key.ToString();
        }
    }
}

/// <summary>An order of work.</summary>
/// <param name="Work">What is done, piece by piece.</param>
/// <param name="End">The state after it.</param>
/// <param name="Cost">What it costs.</param>
/// <param name="Stuck">Why it goes no further, where it does not lead to the plan.</param>
/// <param name="Tried">How many acts were tried.</param>
/// <param name="Searched">
/// Whether the search came to its end; otherwise the order is safe where it breaks nothing, and perhaps not the shortest.
/// </param>
public sealed record FoundOrder(IReadOnlyList<WorkDone> Work, State End, Cost Cost, IReadOnlyList<string> Stuck, int Tried, bool Searched)
{
    /// <summary>Its acts.</summary>
    public IEnumerable<PlayedStep> Steps => Work.SelectMany(w => w.Steps);
}
