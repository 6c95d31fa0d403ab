using System.Collections.Concurrent;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Planning.Moves;
using Altrin.Core.Procedures;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>
/// Looks for set-ups of a home that are better than what was found: from what was found, and from each way that the box at the internet
/// line can go, step by step to the neighbours that promise most (beam search). Every set-up that is kept has been proven.
/// </summary>
internal sealed class PlanSearch
{
    /// <summary>How many set-ups of one start are followed at a time.</summary>
    private const int Beam = 3;

    /// <summary>How many steps are made from one start at most: a home of twelve boxes is made of fewer.</summary>
    private const int MostSteps = 16;

    /// <summary>How many set-ups are proven before it is asked again which are still worth it.</summary>
    private const int AtOnce = 8;

    /// <summary>How many steps from one set-up are looked at: a home of twelve boxes has some hundreds.</summary>
    private const int MostMoves = 2000;

    private readonly Design _found;
    private readonly PlanWeights _weights;
    private readonly HomeName? _name;
    private readonly int _most;
    private readonly CancellationToken _stop;
    private readonly HashSet<string> _seen = new(StringComparer.Ordinal);
    private readonly Dictionary<string, double> _points = new(StringComparer.Ordinal);
    private readonly Dictionary<string, PlanState> _best = new(StringComparer.Ordinal);
    private readonly ConcurrentDictionary<string, WorkEstimate> _work = new(StringComparer.Ordinal);
    private IReadOnlySet<string>? _harm;

    public PlanSearch(Design found, PlanWeights weights, int mostProofs, CancellationToken stop)
    {
        (_found, _weights, _most, _stop) = (found, weights, mostProofs, stop);
        _name = HomeName.Of(found);
    }

    /// <summary>How many set-ups were proven.</summary>
    public int Proven { get; private set; }

    /// <summary>Whether it ended before it was through: it was stopped, or the most proofs were made.</summary>
    public bool IsCut { get; private set; }

    /// <summary>
    /// The best set-up, and the best of further kinds. One is left out that is in nothing better than another one, that misses a need
    /// more, or that gets better once a box of it is left out.
    /// </summary>
    /// <param name="most">How many.</param>
    public IReadOnlyList<PlanState> Shown(int most)
    {
        while (true)
        {
            // Where a box is left out on trial, what is proven then may itself be one to show.
            var (proven, shown) = (Proven, Picked(most));
            if (proven == Proven)
            {
                return shown;
            }
        }
    }

    private List<PlanState> Picked(int most)
    {
        var shown = new List<PlanState>();
        foreach (var state in _best.Values.OrderBy(s => s.Points).ThenBy(s => s.Kind, StringComparer.Ordinal).ToList())
        {
            if (
                shown.Count == 0
                || (
                    shown.Count < most
                    && shown.TrueForAll(s => !s.Score.Dominates(state.Score) && s.Score.Missed + 1 > state.Score.Missed)
                    && !IsNeedless(state)
                )
            )
            {
                shown.Add(state);
            }
        }
        return shown;
    }

    private bool IsNeedless(PlanState state) =>
        PlanMoves
            .Fewer(state.Design)
            .Select(d => DeviceMoves.Settled(d, _found, _name))
            .Any(d =>
            {
                var key = SetUpKey.Of(d.SetUp);
                if (!_points.ContainsKey(key) && !IsCut)
                {
                    Prove(Fresh([d]));
                }
                return _points.GetValueOrDefault(key, double.MaxValue) < state.Points;
            });

    /// <summary>Searches, and says what is best so far after each step.</summary>
    public void Run(Action? progress = null)
    {
        var found = Prove(Fresh([_found]))[0];
        var evidence = new Evidence(found.Proof.Observation, withRemedies: false);
        List<List<PlanState>> starts =
        [
            [found],
            .. Prove(Fresh([.. GatewayMoves.Of(evidence, _name).Select(d => DeviceMoves.Settled(d, _found, _name))]))
                .GroupBy(s => s.Kind, StringComparer.Ordinal)
                .Select(g => new List<PlanState> { g.MinBy(s => s.Points)! }),
        ];
        for (var step = 0; step < MostSteps && starts.Exists(s => s.Count > 0) && !IsCut; step++)
        {
            for (var i = 0; i < starts.Count && !IsCut; i++)
            {
                starts[i] = Next(starts[i]);
            }
            progress?.Invoke();
        }
    }

    /// <summary>The best neighbours that are better than what they come from; empty where none is.</summary>
    private List<PlanState> Next(List<PlanState> at)
    {
        var next = new List<PlanState>();
        foreach (var state in at)
        {
            var judged = Judging.Judge(state.Proof.Observation);
            List<Design> moves = [.. PlanMoves.Of(judged, _found, _name).Take(MostMoves)];
            IsCut |= moves.Count == MostMoves;
            next = Better(next, moves, state.Points);
        }
        return next;
    }

    /// <summary>
    /// The best of some set-ups and of those known to be good, at most as many as are followed. The ones of least effort are proven first,
    /// and no more of them once their effort alone is more than all that speaks against the ones that are kept.
    /// </summary>
    private List<PlanState> Better(List<PlanState> known, IReadOnlyList<Design> designs, double parent)
    {
        var best = known;
        foreach (var some in Fresh(designs).OrderBy(d => d.Effort.Points(_weights)).Chunk(AtOnce))
        {
            var most = best.Count < Beam ? parent : Math.Min(parent, best[^1].Points);
            best =
            [
                .. best.Concat(Prove([.. some.Where(d => d.Effort.Points(_weights) < most)]).Where(s => s.Points < most))
                    .OrderBy(s => s.Points)
                    .ThenBy(s => s.Kind, StringComparer.Ordinal)
                    .Take(Beam),
            ];
        }
        return best;
    }

    /// <summary>Set-ups that were not looked at yet, with what they take.</summary>
    private List<(Design Design, PlanEffort Effort)> Fresh(IReadOnlyList<Design> designs) =>
        [
            .. designs
                .Where(d => _seen.Add(SetUpKey.Of(d.SetUp)))
                .AsParallel()
                .AsOrdered()
                .Select(d => (d, PlanEffort.Between(_found, d, b => Work(d, b)))),
        ];

    /// <summary>Proves some set-ups on all cores, in order, and keeps the best of each kind.</summary>
    private List<PlanState> Prove(List<(Design Design, PlanEffort Effort)> fresh)
    {
        if (Proven + fresh.Count > _most)
        {
            fresh = [.. fresh.Take(Math.Max(0, _most - Proven))];
            IsCut = true;
        }
        if (_stop.IsCancellationRequested && Proven > 0)
        {
            fresh = [];
            IsCut = true;
        }
        Proven += fresh.Count;
        var proven = fresh.AsParallel().AsOrdered().Select(State).ToList();
        foreach (var state in proven)
        {
            _points[SetUpKey.Of(state.Design.SetUp)] = state.Points;
        }
        // What was found may be so already; an option brings no harm of its own.
        _harm ??= PlanLimits.Of(proven[0].Proof);
        proven.RemoveAll(s => !PlanLimits.Of(s.Proof).IsSubsetOf(_harm));
        foreach (var state in proven)
        {
            if (!_best.TryGetValue(state.Kind, out var known) || state.Points < known.Points)
            {
                _best[state.Kind] = state;
            }
        }
        return proven;
    }

    /// <summary>The work at one box, which depends on its setting alone.</summary>
    private WorkEstimate Work(Design design, BoxSetting box) =>
        _work.GetOrAdd(SetUpKey.Of(box), _ => WorkEstimate.OfBox(_found, design.SetUp, box));

    private PlanState State((Design Design, PlanEffort Effort) of)
    {
        var (design, effort) = of;
        var proof = Judging.Judge(Observer.Observe(Compiler.Compile(design, Situation.Settled)), withRemedies: false);
        var score = PlanScore.Of(_found, proof, effort);
        var roles = BoxRole.Of(proof.Observation);
        return new(design, proof, score, score.Points(_weights), roles, Kind(roles));
    }

    /// <summary>
    /// What makes it another kind of answer: what each box is and behind which; where it stands is not asked, nor which of several alike
    /// boxes from the shelf was taken.
    /// </summary>
    private string Kind(IReadOnlyList<BoxRole> roles)
    {
        return string.Join(
            ';',
            roles
                .Where(r => r.Kind is not (RoleKind.Unused or RoleKind.Switch))
                .Select(r => $"{Called(r.Box)}:{r.Kind}<{(r.Behind is null ? null : Called(r.Behind))}")
                .Order(StringComparer.Ordinal)
        );
        string Called(string id) => _found.Setting(id) is null && _found.Box(id) is { } spare ? spare.Profile.ShelfId : id;
    }
}

/// <summary>A set-up that was proven.</summary>
/// <param name="Design">The home with it.</param>
/// <param name="Proof">What is proven, without remedies.</param>
/// <param name="Score">What speaks against it.</param>
/// <param name="Points">The sum of that.</param>
/// <param name="Roles">What each box is.</param>
/// <param name="Kind">What makes it another kind of answer: two of one kind differ in details only.</param>
internal sealed record PlanState(Design Design, Proof Proof, PlanScore Score, double Points, IReadOnlyList<BoxRole> Roles, string Kind);
