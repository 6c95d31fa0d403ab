using System.Collections.Concurrent;
using Altrin.Core.Changes;
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

    /// <summary>How many options are looked at from all sides at the end.</summary>
    private const int MostPolished = 2;

    /// <summary>How many steps from one set-up are looked at: a home of twelve boxes has some hundreds.</summary>
    private const int MostMoves = 2000;

    private readonly PlanTask _asked;
    private PlanTask _task;
    private readonly CancellationToken _stop;
    private readonly HashSet<string> _seen = new(StringComparer.Ordinal);
    private readonly Dictionary<string, double> _points = new(StringComparer.Ordinal);
    private readonly Dictionary<string, PlanState> _best = new(StringComparer.Ordinal);
    private readonly ConcurrentDictionary<string, WorkEstimate> _work = new(StringComparer.Ordinal);
    private readonly Dictionary<string, PlanState> _with = new(StringComparer.Ordinal);
    private readonly Dictionary<GatewaySchool, PlanState> _gateway = [];
    private readonly HashSet<string> _polished = new(StringComparer.Ordinal);
    private IReadOnlySet<string>? _harm;

    public PlanSearch(PlanTask task, CancellationToken stop)
    {
        (_asked, _stop) = (task, stop);
        _task = task with { Found = WishedGear.Without(task.Found, task.Wanted.Keys) };
    }

    /// <summary>What was found; null before it was proven.</summary>
    public PlanState? Found { get; private set; }

    /// <summary>The best set-up in which each box serves, of those that were proven.</summary>
    public IReadOnlyDictionary<string, PlanState> With => _with;

    /// <summary>The best set-up for each way that the box at the internet line can go, of those that were proven.</summary>
    public IReadOnlyDictionary<GatewaySchool, PlanState> Gateway => _gateway;

    /// <summary>How many set-ups were proven.</summary>
    public int Proven { get; private set; }

    /// <summary>Whether it ended before it was through: it was stopped, or the most proofs were made.</summary>
    public bool IsCut { get; private set; }

    /// <summary>
    /// The best set-up, and the best of further kinds. One is left out that is in nothing better than another one, that misses a need
    /// more, or that gets better once a box of it is left out. Beside those that wait for the provider stands the best that asks no one.
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
        var there = _best.Values.Where(s => !s.Buys).MinBy(s => s.Points);
        foreach (
            var state in _best
                .Values
                // Nothing is bought for what the gear that is there does as well.
                .OrderBy(s =>
                    s.Buys && there is not null && s.Score.Missed >= there.Score.Missed && s.Score.WillNotWork >= there.Score.WillNotWork
                )
                .ThenBy(s => s.Points)
                .ThenBy(s => s.Kind, StringComparer.Ordinal)
                .ToList()
        )
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
        if (
            shown.TrueForAll(s => s.NotTonight.Count > 0)
            && _best.Values.Where(s => s.NotTonight.Count == 0).OrderBy(s => s.Points).ToList().Find(s => !IsNeedless(s)) is { } tonight
        )
        {
            shown = [.. shown.Take(Math.Max(1, most - 1))];
            shown.Insert(1 + shown.Skip(1).TakeWhile(s => s.Points <= tonight.Points).Count(), tonight);
        }
        return shown;
    }

    private bool IsNeedless(PlanState state) =>
        PlanMoves
            .Fewer(state.Design)
            .Select(d => DeviceMoves.Settled(d, _task))
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
        var found = Prove(Fresh([_task.Found]))[0];
        Found = found;
        var evidence = new Evidence(found.Proof.Observation, withRemedies: false);
        List<List<PlanState>> starts =
        [
            [found],
            .. Prove(Fresh([.. GatewayMoves.Of(evidence, _task.Name).Select(d => DeviceMoves.Settled(d, _task))]))
                .GroupBy(s => s.Kind, StringComparer.Ordinal)
                .Select(g => new List<PlanState> { g.MinBy(s => s.Points)! }),
            .. _task.Wanted.Concat(_task.InMyWay()).Select(w => As(w.Key, w.Value).Take(Beam).ToList()),
        ];
        for (var step = 0; step < MostSteps && starts.Exists(s => s.Count > 0) && !IsCut; step++)
        {
            for (var i = 0; i < starts.Count && !IsCut; i++)
            {
                starts[i] = Next(starts[i]);
            }
            progress?.Invoke();
        }
        Polish(progress);
        if (
            _task.Shelf.Count > 0
            && !IsCut
            && Picked(1)[0].Score is { Missed: > 0 } or { WillNotWork: > 0 } or { WeakPlaces: > 0 } or { Unpowered: > 0 }
        )
        {
            Buy(progress);
        }
    }

    /// <summary>What is there does not meet the needs: the search goes on from its best with gear that could be bought.</summary>
    private void Buy(Action? progress)
    {
        _task = _task with { Found = WishedGear.Added(_asked.Found, _asked.Shelf) };
        var site = _task.Found.Site;
        foreach (var state in Picked(MostPolished))
        {
            Proven++;
            List<PlanState> at = [State((state.Design with { Site = site }, state.Score.Effort))];
            while (at.Count > 0 && !IsCut)
            {
                at = Next(at);
            }
            progress?.Invoke();
        }
        Polish(progress);
    }

    /// <summary>
    /// What a search step by step passes over: the first options are looked at from all sides once more, also with each box of them taken
    /// out and put to use anew, until nothing better is near.
    /// </summary>
    private void Polish(Action? progress)
    {
        while (!IsCut && Picked(MostPolished).Where(s => _polished.Add(SetUpKey.Of(s.Design.SetUp))).ToList() is { Count: > 0 } some)
        {
            foreach (var state in some)
            {
                var at = Better(Next([state]), [.. LeftOut(state.Design), .. Rebuilt(state.Design).Take(MostMoves)], state.Points);
                while (at.Count > 0 && !IsCut)
                {
                    at = Next(at);
                }
            }
            progress?.Invoke();
        }
    }

    /// <summary>The home with one change of what was found left out: it may have been needed only on the way.</summary>
    private IEnumerable<Design> LeftOut(Design design)
    {
        var changes = Difference.Between(_task.Found.Site, _task.Found.SetUp, design.SetUp).Changes;
        return changes.Count > ChangeList.Most
            ? []
            : changes
                .Index()
                // Where a box stands is always said: what is not known would count as no harm.
                .Where(left => left.Item is not PlaceBox)
                .Select(left => ChangeList.Apply(_task.Found, [.. changes.Where((_, i) => i != left.Index)]))
                .Where(made => made.Ok)
                .Select(made => DeviceMoves.Settled(made.Value, _task));
    }

    /// <summary>The home with one box that sends taken out and put to use anew, in each place and way.</summary>
    private IEnumerable<Design> Rebuilt(Design design) =>
        from setting in design.SetUp.Boxes
        where setting.Box != GatewayMoves.LineBox(design)?.Id && design.Box(setting.Box)!.Profile.Radios.Count > 0
        from made in PutToUse(design, setting.Box)
        select made;

    /// <summary>The home with one box taken out of use where it is in it, and put to use in each place and way.</summary>
    private IEnumerable<Design> PutToUse(Design design, string box)
    {
        var without = design.Setting(box) is null ? design : new Draft(design).Do(new TakeOutOfUse(box)).Made;
        if (without is null)
        {
            return [];
        }
        var evidence = new Evidence(Observer.Observe(Compiler.Compile(without, Situation.Settled)), withRemedies: false);
        string?[] places = without.Site.Places.Count == 0 ? [null] : [.. without.Site.Places.Select(p => p.Id)];
        return places
            .SelectMany(p => PointMoves.Of(evidence, _task, without.Box(box)!, p))
            .Prepend(without)
            .Select(d => DeviceMoves.Settled(d, _task));
    }

    /// <summary>Every way in which one box is something, the best first: it is taken out of use, and put to use anew.</summary>
    private IEnumerable<PlanState> As(string box, RoleKind kind) =>
        // The ways of the box at the line are starts of their own.
        GatewayMoves.LineBox(_task.Found)?.Id == box
            ? []
            : Prove(Fresh([.. PutToUse(_task.Found, box)]))
                .Where(s => s.Roles.First(r => r.Box == box).Kind == kind)
                .OrderBy(s => s.Points)
                .ThenBy(s => s.Kind, StringComparer.Ordinal);

    /// <summary>The best neighbours that are better than what they come from; empty where none is.</summary>
    private List<PlanState> Next(List<PlanState> at)
    {
        var next = new List<PlanState>();
        foreach (var state in at)
        {
            var judged = Judging.Judge(state.Proof.Observation);
            List<Design> moves = [.. PlanMoves.Of(judged, _task).Take(MostMoves)];
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
        foreach (var some in Fresh(designs).OrderBy(d => d.Effort.Points(_task.Weights)).Chunk(AtOnce))
        {
            var most = best.Count < Beam ? parent : Math.Min(parent, best[^1].Points);
            best =
            [
                .. best.Concat(Prove([.. some.Where(d => d.Effort.Points(_task.Weights) < most)]).Where(s => s.Points < most))
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
                .Select(d => (d, PlanEffort.Between(_task.Found, d, b => Work(d, b)))),
        ];

    /// <summary>Proves some set-ups on all cores, in order, and keeps the best of each kind.</summary>
    private List<PlanState> Prove(List<(Design Design, PlanEffort Effort)> fresh)
    {
        if (Proven + fresh.Count > _task.MostProofs)
        {
            fresh = [.. fresh.Take(Math.Max(0, _task.MostProofs - Proven))];
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
            Keep(_best, state.Kind, state);
            foreach (var box in state.Design.SetUp.Boxes.Where(b => IsServing(state.Design, b)))
            {
                Keep(_with, box.Box, state);
            }
            if (GatewayMoves.LineBox(state.Design)?.Id is { } line && state.Design.Setting(line) is not null)
            {
                Keep(_gateway, PlanDepartures.OfGateway(state.Design, state.Roles, line), state);
            }
        }
        return proven;
    }

    /// <summary>Whether a box does what its kind is for: one with radios that sends nothing and joins nothing does not.</summary>
    private static bool IsServing(Design design, BoxSetting box) =>
        design.Box(box.Box)!.Profile.Radios.Count == 0
        || box.Mode is SatelliteMode
        || box.Mode.Joins is not null
        || box.Mode.Radios.Any(r => r.On);

    private static void Keep<TKey>(Dictionary<TKey, PlanState> best, TKey key, PlanState state)
        where TKey : notnull
    {
        if (!best.TryGetValue(key, out var known) || state.Points < known.Points)
        {
            best[key] = state;
        }
    }

    /// <summary>The work at one box, which depends on its setting alone.</summary>
    private WorkEstimate Work(Design design, BoxSetting box) =>
        _work.GetOrAdd(SetUpKey.Of(box), _ => WorkEstimate.OfBox(_task.Found, design.SetUp, box));

    private PlanState State((Design Design, PlanEffort Effort) of)
    {
        var (design, effort) = of;
        var proof = Judging.Judge(Observer.Observe(Compiler.Compile(design, Situation.Settled)), withRemedies: false);
        var roles = BoxRole.Of(proof.Observation);
        var departures = PlanDepartures.Of(_task, new(proof.Observation, withRemedies: false), roles, effort.DevicesTouched).ToList();
        // What was found asks nothing of the provider that is not asked already.
        List<string> notTonight = Found is null ? [] : [.. ProviderFirst.Of(Found.Proof, proof)];
        int? cascades = _task.Ways.WantsRouters ? null : roles.Count(r => r.Kind == RoleKind.Cascade);
        var score = PlanScore.Of(_task.Found, proof, effort, departures.Count, notTonight.Count, cascades);
        var points = score.Points(_task.Weights) + (PlanTask.NotAsWanted * _task.Unmet(roles));
        return new(design, proof, score, points, roles, departures, notTonight, Kind(roles));
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
        string Called(string id) => _task.Found.Setting(id) is null && _task.Found.Box(id) is { } spare ? spare.Profile.ShelfId : id;
    }
}
