using Altrin.Core.Changes;
using Altrin.Core.Packets;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Procedures.Ordering;

namespace Altrin.Core.Procedures.Sheets;

/// <summary>Makes steps of an order of work.</summary>
/// <param name="start">Where the work begins.</param>
/// <param name="aim">What it is for.</param>
internal sealed class SheetSteps(State start, Aim aim)
{
    /// <summary>How many cables or joins one step has at most.</summary>
    private const int MostGathered = 6;

    private readonly Downtime _downtime = new(aim);
    private readonly HashSet<string> _before = [.. Standing(start)];
    private readonly HashSet<(string Of, AnswerKind Kind)> _answers = [.. Answers(start), .. Answers(aim.Planned)];

    /// <summary>The steps of an order, each with what belongs to it.</summary>
    public IReadOnlyList<SheetStep> Of(FoundOrder order)
    {
        var steps = new List<SheetStep>();
        var used = new Dictionary<string, int>(StringComparer.Ordinal);
        foreach (var work in Gathered(order.Work))
        {
            foreach (var acts in StepSplit.Of(work))
            {
                var main = StepSplit.Main(acts);
                var id = StepIdentity.Of(main);
                used[id] = used.GetValueOrDefault(id) + 1;
                steps.Add(Step(work, acts, main, used[id] == 1 ? id : $"{id}-{used[id]}"));
            }
        }
        return steps;
    }

    /// <summary>Cables that are plugged one after another, and devices that join, are one piece of work: the hands are at it.</summary>
    private static List<WorkDone> Gathered(IReadOnlyList<WorkDone> work)
    {
        var gathered = new List<WorkDone>();
        foreach (var next in work)
        {
            if (
                gathered is [.., var last]
                && last.Kind == next.Kind
                && (AllOf<PatchCable, UnpatchCable>(last, next) || AllOf<DeviceJoins, DeviceJoins>(last, next))
            )
            {
                gathered[^1] = last with { Steps = [.. last.Steps, .. next.Steps] };
            }
            else
            {
                gathered.Add(next);
            }
        }
        return gathered;
    }

    /// <summary>Whether two pieces of work are of such acts only, and few enough to be seen at a glance.</summary>
    private static bool AllOf<TOne, TOther>(WorkDone a, WorkDone b)
        where TOne : Act
        where TOther : Act => a.Steps.Count + b.Steps.Count <= MostGathered && a.Steps.Concat(b.Steps).All(s => s.Act is TOne or TOther);

    private SheetStep Step(WorkDone work, IReadOnlyList<PlayedStep> acts, PlayedStep main, string id)
    {
        var step = new SheetStep(id, PhaseOf(work, acts), acts)
        {
            Main = main,
            Says = StepWords.Of(main, acts, work),
            Where = Place(main, acts),
            Why = StepReason.Of(main, acts, work.Kind),
            Cautions = [.. StepCaution.Of(acts, main)],
            Undo = StepUndoing.Of(main, acts),
            Offline = _downtime.Offline(acts[^1].After),
            Dips = acts.Any(a => _downtime.Offline(a.After).Count > 0),
        };
        return step with { IsRest = step is { Dips: false, Phase: Phase.Window or Phase.Place } && IsCalm(step.After) };
    }

    private Phase PhaseOf(WorkDone work, IReadOnlyList<PlayedStep> acts) =>
        work.Kind switch
        {
            _ when acts.All(a => a.Act is Fetch or AskProvider) => Phase.BeforeLeaving,
            WorkKind.Baseline => Phase.Baseline,
            WorkKind.Finish => Phase.Finish,
            WorkKind.Carry => Phase.Place,
            WorkKind.Table or WorkKind.Power when start.Design.Mode(work.Subject) is null => Phase.AtTheTable,
            _ => Phase.Window,
        };

    private static StepPlace? Place(PlayedStep main, IReadOnlyList<PlayedStep> acts)
    {
        var (box, changes) = main.Act switch
        {
            SavePage a => (a.Box, a.Changes),
            RecordFacts a => (a.Box, []),
            UpdateFirmware a => (a.Box, []),
            Export a => (a.Box, []),
            Verify { What: Verifiable.Ipv6Off or Verifiable.Ipv6Kind or Verifiable.Page } a => (a.Of, []),
            _ => ((string?)null, (IReadOnlyList<Change>)[]),
        };
        if (box is null)
        {
            return null;
        }
        var (now, design) = (main.Before, main.Before.Design);
        var area =
            changes is [var first, ..] && TypedSettings.Of(design, box, first) is [var setting, ..]
                ? PageAt.Of(design.Box(box)!.Profile, design.Mode(box)!.Kind, setting)?.Area
                : null;
        var leased = Blank.Of(acts[0].Before).Any(b => b.Kind == BlankKind.PageAddress && b.Box == box);
        return new(
            box,
            now.Laptop?.Cable is { } cable ? PortWords.Of(design, cable.Port) : null,
            leased || PageOpens.AddressOf(now, box) is not { Ok: true, Value: var at } ? null : $"{at}",
            area
        );
    }

    /// <summary>Whether nothing is worse than at the start, or otherwise than planned: one can sit down.</summary>
    private bool IsCalm(State now) =>
        !now.Moment.Situation.BusyNow().Any()
        && Standing(now).All(_before.Contains)
        && Answers(now).All(a => a.Kind == AnswerKind.Yes || _answers.Contains(a));

    /// <summary>What is so of each need, and of each device's internet.</summary>
    private static IEnumerable<(string Of, AnswerKind Kind)> Answers(State now) =>
        now.Seen().Sheet is var sheet
            ? sheet.Needs.Select(n => (n.Need, n.Answer.Kind)).Concat(sheet.Internet.Select(i => (i.Device, i.Answer.Kind)))
            : [];

    /// <summary>Invariants that a state violates as it stands.</summary>
    private static IEnumerable<string> Standing(State now) =>
        Invariant.All.SelectMany(rule => rule.Judge(new(now, null, now)).Select(v => $"{rule.Number} {v.Identity}"));
}
