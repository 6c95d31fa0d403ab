using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Trials;

/// <summary>What may happen to a home.</summary>
public enum TrialKind
{
    /// <summary>The power fails and everything starts again, in the worst order.</summary>
    RestartAll,

    /// <summary>A box is off.</summary>
    PowerOff,

    /// <summary>A cable is unplugged.</summary>
    UnplugCable,

    /// <summary>A person plugs a box in by the wrong ports.</summary>
    SwapPorts,

    /// <summary>A person resets a box to its factory settings.</summary>
    Reset,

    /// <summary>An old router from the shelf is left plugged in.</summary>
    OldRouter,
}

/// <summary>Something that may happen.</summary>
/// <param name="Id">The kind and whom it befalls, such as "unplug:cable-3".</param>
/// <param name="Kind">What happens.</param>
/// <param name="Label">In words.</param>
public sealed record Trial(string Id, TrialKind Kind, string Label);

/// <summary>How it is some time after.</summary>
/// <param name="When">When, in words.</param>
/// <param name="Difference">What is then not as it was before.</param>
public sealed record TrialPhase(string When, ProofDifference Difference);

/// <summary>What would come of it; nothing of it is kept.</summary>
/// <param name="Trial">What happens.</param>
/// <param name="How">What exactly was tried, such as the order of starting.</param>
/// <param name="Phases">At once, and later where that differs.</param>
public sealed record TrialResult(Trial Trial, string How, IReadOnlyList<TrialPhase> Phases);

/// <summary>Tries what may happen, on the simulated network.</summary>
public static class WhatIf
{
    private const string Whole = "home";

    /// <summary>Everything that can be tried with a home.</summary>
    public static IReadOnlyList<Trial> Of(Design design)
    {
        var boxes = design
            .SetUp.Boxes.Select(b => design.Box(b.Box))
            .OfType<Box>()
            .OrderBy(b => b.Name, StringComparer.Ordinal)
            .ThenBy(b => b.Id, StringComparer.Ordinal)
            .ToList();
        return
        [
            .. boxes.Count > 1
                ? [Make(TrialKind.RestartAll, Whole, "Power fails, and everything starts in the worst order")]
                : Array.Empty<Trial>(),
            .. boxes.Select(b => Make(TrialKind.PowerOff, b.Id, $"{b.Name} is off")),
            .. design.SetUp.Cables.Select(c =>
                Make(TrialKind.UnplugCable, c.Id, $"The cable from {PortWords.Of(design, c.A)} to {PortWords.Of(design, c.B)} is unplugged")
            ),
            .. boxes
                .Where(b => Swapped(design, b) is not null)
                .Select(b => Make(TrialKind.SwapPorts, b.Id, $"{b.Name} is plugged in by the wrong ports")),
            .. boxes
                .Where(b => b.Profile.Modes.Contains(ModeKind.Router))
                .Select(b => Make(TrialKind.Reset, b.Id, $"{b.Name} is reset to its factory settings")),
            .. design
                .Site.Boxes.Where(b => OldRouter(design, b) is not null)
                .OrderBy(b => b.Name, StringComparer.Ordinal)
                .Select(b => Make(TrialKind.OldRouter, b.Id, $"{b.Name} from the shelf is plugged in as it is")),
        ];
    }

    /// <summary>Tries one of them; an error by name where there is none such.</summary>
    /// <param name="design">The design.</param>
    /// <param name="id">Which.</param>
    /// <param name="work">The work that each moment may take; null for as much as one proof may.</param>
    public static Parsed<TrialResult> Try(Design design, string id, Work? work = null)
    {
        work ??= new(CancellationToken.None);
        if (Of(design).FirstOrDefault(t => t.Id == id) is not { } trial)
        {
            return Parsed<TrialResult>.Fail($"There is nothing to try by the name of '{Ipv4Address.Shown(id)}'.");
        }
        var subject = id[(id.IndexOf(':', StringComparison.Ordinal) + 1)..];
        return trial.Kind switch
        {
            TrialKind.RestartAll => Restarted(design, trial, work),
            TrialKind.PowerOff or TrialKind.UnplugCable => Taken(Moment.Morning(design)),
            TrialKind.SwapPorts => Changed(design, trial, Swapped(design, design.Box(subject)!)!, work),
            TrialKind.Reset => Became(
                design,
                trial,
                design with
                {
                    SetUp = BoxReset.Of(design, subject, BoxReset.Kept(design.Box(subject)!.Profile)[0]),
                },
                work,
                $"{design.NameOf(subject)} is a router with its factory address and DHCP server, and its names, passwords, port forwardings and reservations are gone"
            ),
            _ => Changed(design, trial, OldRouter(design, design.Box(subject)!)!, work),
        };

        Parsed<TrialResult> Taken(Moment morning) => Happened(morning, trial, "", morning.After(new TakeAway(subject)), work);
    }

    /// <summary>The morning before, at once after, and when every lease has run its course.</summary>
    private static Parsed<TrialResult> Happened(Moment morning, Trial trial, string how, Parsed<Moment> after, Work work) =>
        after.Then(then =>
            then.After(new Wait(Wait.LongEnough))
                .Then<TrialResult>(later =>
                {
                    var judged = new[] { morning, then, later }
                        .AsParallel()
                        .AsOrdered()
                        .WithCancellation(work.Cancel)
                        .Select(m => Judged(m, work))
                        .ToList();
                    var (soon, late) = (
                        ProofDifference.Between(judged[0], judged[1], findings: false),
                        ProofDifference.Between(judged[0], judged[2], findings: false)
                    );
                    return new TrialResult(
                        trial,
                        how,
                        Same(soon, late)
                            ? [new("At once, and for as long as it lasts", soon)]
                            : [new("At once", soon), new("Once all leases have run out", late)]
                    );
                })
        );

    private static Parsed<TrialResult> Changed(Design design, Trial trial, IReadOnlyList<Change> changes, Work work) =>
        ChangeList
            .Apply(design, changes)
            .Then<TrialResult>(after => Became(design, trial, after, work, ChangeList.Describe(design, changes)));

    private static TrialResult Became(Design design, Trial trial, Design after, Work work, string how) =>
        new(
            trial,
            how,
            [
                new(
                    "Once all have asked for an address again",
                    ProofDifference.Between(Judged(new(design, Situation.Settled), work), Judged(new(after, Situation.Settled), work))
                ),
            ]
        );

    /// <summary>Boxes start one after the other, each order is tried, and the one that breaks most is told.</summary>
    private static Parsed<TrialResult> Restarted(Design design, Trial trial, Work work)
    {
        var morning = Moment.Morning(design);
        var near = NearestFirst(design, work);
        List<List<string>> orders =
        [
            [.. near],
            [.. near.Reverse()],
            .. near.Select(first => near.Where(b => b != first).Prepend(first).ToList()),
        ];
        (List<string> Order, Moment Moment, int Broken)? worst = null;
        foreach (var order in orders)
        {
            var after = morning.After([.. order.Select(b => new TakeAway(b)), .. order.Select(b => new GiveBack(b))]);
            if (!after.Ok)
            {
                return Parsed<TrialResult>.Fail(after.Error);
            }
            var sheet = Observer.Observe(Compiler.Compile(after.Value.Design, after.Value.Situation, work.Again())).Sheet;
            var broken = sheet.Internet.Count(i => !i.Answer.IsYes) + sheet.Needs.Count(n => !n.Answer.IsYes);
            if (worst is null || broken > worst.Value.Broken)
            {
                worst = (order, after.Value, broken);
            }
        }
        return Happened(
            morning,
            trial,
            $"Start in this order: {string.Join(", ", worst!.Value.Order.Select(design.NameOf))}",
            worst.Value.Moment,
            work
        );
    }

    private static Proof Judged(Moment moment, Work work) =>
        Judging.Judge(Observer.Observe(Compiler.Compile(moment.Design, moment.Situation, work.Again())), withRemedies: false);

    private static bool Same(ProofDifference a, ProofDifference b) =>
        a.Moved.Count == b.Moved.Count && a.Moved.Zip(b.Moved).All(m => (m.First.About, m.First.After) == (m.Second.About, m.Second.After));

    private static Trial Make(TrialKind kind, string subject, string label) => new($"{Slug(kind)}:{subject}", kind, label);

    private static string Slug(TrialKind kind) =>
        kind switch
        {
            TrialKind.RestartAll => "restart",
            TrialKind.PowerOff => "off",
            TrialKind.UnplugCable => "unplug",
            TrialKind.SwapPorts => "swap",
            TrialKind.Reset => "reset",
            _ => "old-router",
        };

    /// <summary>
    /// The cable of the outer port goes into an inner one, and the other way round; null where the box has no ports of both roles or no
    /// cable.
    /// </summary>
    private static IReadOnlyList<Change>? Swapped(Design design, Box box)
    {
        var (outer, inner) = (Ports(PortRole.Wan), Ports(PortRole.Lan));
        if (outer.Count == 0 || inner.Count == 0)
        {
            return null;
        }
        var (a, b) = (
            outer.FirstOrDefault(p => design.CableAt(p) is not null, outer[0]),
            inner.FirstOrDefault(p => design.CableAt(p) is not null, inner[0])
        );
        var (first, second) = (design.CableAt(a), design.CableAt(b));
        return first is null && second is null
            ? null
            :
            [
                .. new[] { first, second }.OfType<Cable>().DistinctBy(c => c.Id).Select(c => new Unpatch(c.Id)),
                .. first is null || first == second ? Array.Empty<Change>() : [new Patch(first.OtherEnd(a), b, first.Known)],
                .. second is null || first == second ? Array.Empty<Change>() : [new Patch(second.OtherEnd(b), a, second.Known)],
            ];

        List<PortRef> Ports(PortRole role) => [.. box.Profile.Ports.Where(p => p.Role == role).Select(p => new PortRef(box.Id, p.Id))];
    }

    /// <summary>
    /// A router from the shelf with its factory settings, cabled by an inner port to a free one of the home; null where it is none or
    /// there is no room.
    /// </summary>
    private static IReadOnlyList<Change>? OldRouter(Design design, Box box)
    {
        if (
            design.Mode(box.Id) is not null
            || !box.Profile.Modes.Contains(ModeKind.Router)
            || box.Profile.Ports.FirstOrDefault(p => p.Role == PortRole.Lan) is not { } own
        )
        {
            return null;
        }
        var free = design
            .SetUp.Boxes.OrderBy(b => b.Mode is not RouterMode)
            .ThenBy(b => b.Box, StringComparer.Ordinal)
            .SelectMany(b => design.Box(b.Box)!.Profile.Ports.Where(p => p.Role == PortRole.Lan).Select(p => new PortRef(b.Box, p.Id)))
            .Where(p => design.CableAt(p) is null)
            .Select(p => (PortRef?)p)
            .FirstOrDefault();
        return free is { } there
            ? [new SetMode(box.Id, ModeKind.Router), new Patch(new(box.Id, own.Id), there, CableFacts.NotLookedAt)]
            : null;
    }

    /// <summary>Boxes in use by how near to the street they hang.</summary>
    private static IReadOnlyList<string> NearestFirst(Design design, Work work) =>
        [
            .. Observer
                .Observe(Compiler.Compile(design, Situation.Settled, work.Again()))
                .Sheet.Uplinks.Select(u => u.Owner)
                .Where(o => design.Mode(o) is not null)
                .Concat(design.SetUp.Boxes.Select(b => b.Box).Order(StringComparer.Ordinal))
                .Distinct(),
        ];
}
