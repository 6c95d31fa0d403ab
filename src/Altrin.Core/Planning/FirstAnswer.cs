using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Findings.Rules;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>Whether anything is needed at all, told from the options for a home.</summary>
/// <param name="Kind">How much has to be done.</param>
/// <param name="Sentence">In one sentence.</param>
/// <param name="Reasons">Why, a sentence each.</param>
public sealed record FirstAnswer(FirstAnswerKind Kind, string Sentence, IReadOnlyList<string> Reasons)
{
    /// <summary>How many findings are given as reasons at most.</summary>
    private const int MostReasons = 4;

    /// <summary>Findings that a name or password cures.</summary>
    private static readonly HashSet<string> OfNames =
    [
        WifiNotJoined.Rule.Code,
        BandMissing.Rule.Code,
        WifiPasswordDiffers.Rule.Code,
        SplitWifiName.Rule.Code,
    ];

    /// <summary>The answer: of the option that serves most, and of the first one where what was found serves as much.</summary>
    /// <param name="found">What was found.</param>
    /// <param name="answer">The options for it.</param>
    public static FirstAnswer Of(Design found, PlanAnswer answer)
    {
        var site = found.Site;
        if (site.Boxes.FirstOrDefault(b => b.Id == site.Service.HandOff) is not { } gateway || found.Mode(gateway.Id) is null)
        {
            return new(
                FirstAnswerKind.AskFirst,
                "Begin with the box at which the internet comes in.",
                ["No box is noted at the internet line."]
            );
        }
        var today = answer.Found;
        var most = answer.Options.MinBy(o => (o.Score.Missed, o.Score.WillNotWork, o.Score.WeakPlaces))!;
        var option = IsServed(today, most) ? answer.Options[0] : most;
        var kind = FirstAnswerKinds.Of(found, gateway.Id, option);
        if (kind == FirstAnswerKind.Keep)
        {
            return Kept(found, gateway, option);
        }
        // A name that differs is set right, also where it stops nothing; other settings of a home that is served are only worth knowing.
        if (kind == FirstAnswerKind.Rename || (kind == FirstAnswerKind.Settings && IsServed(today, most)))
        {
            var isAll = kind == FirstAnswerKind.Rename && Open(option) == 0;
            return Settled(today, option).Any(f => OfNames.Contains(f.Code) && IsRead(found, f))
                ? new(
                    FirstAnswerKind.Rename,
                    isAll
                        ? "Wi-Fi names and passwords are all that has to be set right."
                        : "Wi-Fi names and passwords have to be set right.",
                    Why(today, option)
                )
                : Kept(found, gateway, today);
        }
        return new(kind, Says(kind, today, option), Why(today, option));
    }

    /// <summary>What is found to be wrong, follows from nothing else and is settled by the option.</summary>
    private static IEnumerable<Finding> Settled(PlanOption today, PlanOption option)
    {
        var left = option.Proof.Findings.Select(f => f.Identity).ToHashSet(StringComparer.Ordinal);
        return today.Proof.Findings.Where(f => f is { CausedBy.Count: 0, Accepted: null } && !left.Contains(f.Identity));
    }

    /// <summary>
    /// Whether names that differ were read: one that was not read, or a password that is not recorded, is a gap in the notes and no fault.
    /// </summary>
    private static bool IsRead(Design found, Finding finding) =>
        finding.Code == WifiNotJoined.Rule.Code || finding.Code == BandMissing.Rule.Code
            ? finding.Severity == Severity.WillNotWork
            : finding
                .Subjects.Select(s => found.Box(PortRef.Read(s).Owner))
                .OfType<Box>()
                .All(b => b.Assumed.In(found.Mode(b.Id)).WifiName is null || b.Label.WifiName is not null);

    private static bool IsServed(PlanOption today, PlanOption most) =>
        (today.Score.Missed, today.Score.WillNotWork, today.Score.WeakPlaces)
        == (most.Score.Missed, most.Score.WillNotWork, most.Score.WeakPlaces);

    private static FirstAnswer Kept(Design found, Box gateway, PlanOption option)
    {
        var site = found.Site;
        var needs = option.Proof.Observation.Sheet.Needs.Where(n => !n.Answer.IsYes).ToList();
        if (option.Score.WillNotWork > 0 || needs.Exists(n => n.Answer.Kind is AnswerKind.No or AnswerKind.Luck))
        {
            return new(
                FirstAnswerKind.Plan,
                "Nothing that is here, or could be bought, meets every need.",
                [.. needs.SelectMany(n => n.Answer.Causes.Take(1).Select(c => c.Text)).Take(MostReasons)]
            );
        }
        if (!site.Places.Any(p => p.Kind != PlaceKind.Outdoors) || site.Place(found.Setting(gateway.Id)!.Place) is null)
        {
            return new(
                FirstAnswerKind.AskFirst,
                "Note the rooms, and where the box at the internet line stands.",
                [site.Places.Count == 0 ? "No room is noted." : $"Where {gateway.Name} stands is not noted."]
            );
        }
        var unsure = PlanScore.Places(found, option.Proof.Observation.Rates).Where(p => !IsKnown(found, p.Place, p.Best)).ToList();
        if (unsure.Count > 0 || needs.Count > 0)
        {
            return new(
                FirstAnswerKind.AskFirst,
                unsure.Count > 0
                    ? "Note the sizes of the rooms: it may be that nothing is needed."
                    : "Measure first: it may be that nothing is needed.",
                [
                    .. unsure.Take(MostReasons).Select(p => $"How strongly a box is heard in {p.Place.Name} is not known."),
                    .. needs.SelectMany(n => n.Answer.Causes.Take(1).Select(c => c.Text)).Take(MostReasons),
                ]
            );
        }
        var open = Open(option);
        return new(
            FirstAnswerKind.Keep,
            found.SetUp.Boxes.Count(b => Air.Of(found, b.Box).Count > 0) > 1
                ? "Nothing is needed: what is there serves every room."
                : $"Nothing is needed: {gateway.Name} serves every room from where it stands.",
            [
                "Every room is near enough to a box that sends. Walk the far ones with a telephone before you say so.",
                .. open > 0 ? [$"The proof has {Verdict.Count(open, "thing")} worth knowing."] : Array.Empty<string>(),
            ]
        );
    }

    /// <summary>How far apart rooms usually are says nothing of these.</summary>
    private static bool IsKnown(Design found, Place place, SignalLevel? best) =>
        best is { Basis: > LevelBasis.Distance } || found.SetUp.Boxes.Any(b => b.Place == place.Id && Air.Of(found, b.Box).Count > 0);

    private static string Says(FirstAnswerKind kind, PlanOption today, PlanOption option) =>
        kind switch
        {
            FirstAnswerKind.Move => $"Move {Moved(today, option)}: from there it serves every room.",
            FirstAnswerKind.Settings => "Settings have to be set right; nothing is moved, plugged in or bought.",
            FirstAnswerKind.OneCable => "One cable is enough.",
            FirstAnswerKind.OneAccessPoint => "One box more is enough, with what feeds it.",
            _ when today.Score.WillNotWork > 0 => "A plan is needed: what is found does not work as it is.",
            _ when today.Score.Missed > 0 => "A plan is needed: not every need is met as it is.",
            _ => "A plan is worth it: the first option does better than what is found.",
        };

    private static string Moved(PlanOption today, PlanOption option)
    {
        var to = option.SetUp.Boxes.First(b => today.SetUp.Boxes.Any(t => t.Box == b.Box && t.Place != b.Place));
        return $"{new Design(option.Site, option.SetUp).NameOf(to.Box)} to {option.Site.Place(to.Place)!.Name}";
    }

    /// <summary>What the option settles of what is found, and what it puts to use.</summary>
    private static IReadOnlyList<string> Why(PlanOption today, PlanOption option)
    {
        var design = new Design(option.Site, option.SetUp);
        var line = option.Site.Service.HandOff;
        return
        [
            .. Settled(today, option)
                .OrderByDescending(f => f.Severity == Severity.WillNotWork)
                .Take(MostReasons)
                .Select(f => $"{f.What}."),
            .. PlanScore
                .Places(new(today.Site, today.SetUp), today.Proof.Observation.Rates)
                .Where(p => p.Best is { Use: LevelUse.Weak })
                .Take(MostReasons)
                .Select(p => $"Wi-Fi in {p.Place.Name} is too weak for pages."),
            .. option
                .Roles.Where(r => r.Kind != RoleKind.Unused && today.SetUp.Boxes.All(b => b.Box != r.Box))
                .Select(r =>
                    $"{design.NameOf(r.Box)}{(option.Bought.Any(b => b.Id == r.Box) ? " (to buy)" : "")}: {RoleWords.Of(design, r)}."
                ),
            .. line is not null && today.SetUp.Boxes.Any(b => b.Box == line && b.Place != design.Setting(line)?.Place)
                ? ["Where the line comes in decides whether its box can be moved; a longer lead from the line is often enough."]
                : Array.Empty<string>(),
            .. Open(option) is var open and > 0
                ? [$"Beside that the proof of the option has {Verdict.Count(open, "thing")} worth knowing."]
                : Array.Empty<string>(),
        ];
    }

    private static int Open(PlanOption option) => option.Proof.Findings.Count(f => f.Accepted is null);
}
