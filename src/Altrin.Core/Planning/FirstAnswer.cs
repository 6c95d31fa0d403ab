using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Findings.Rules;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>How much has to be done.</summary>
public enum FirstAnswerKind
{
    /// <summary>Too little is known to say.</summary>
    AskFirst,

    /// <summary>Nothing: the gateway alone serves the home where it stands.</summary>
    Keep,

    /// <summary>The gateway alone serves it from another place.</summary>
    Move,

    /// <summary>What is found works but for names and keys.</summary>
    Rename,

    /// <summary>One cable to what is far.</summary>
    OneCable,

    /// <summary>One access point more.</summary>
    OneAccessPoint,

    /// <summary>More than one thing has to be done: a plan.</summary>
    Plan,
}

/// <summary>A first answer to whether anything is needed at all, from service, rooms, gear and needs.</summary>
/// <param name="Kind">How much has to be done.</param>
/// <param name="Sentence">In one sentence.</param>
/// <param name="Reasons">Why, a sentence each.</param>
public sealed record FirstAnswer(FirstAnswerKind Kind, string Sentence, IReadOnlyList<string> Reasons)
{
    /// <summary>Findings that a name or key cures.</summary>
    private static readonly HashSet<string> OfNames =
    [
        WifiNotJoined.Rule.Code,
        BandMissing.Rule.Code,
        WifiPasswordDiffers.Rule.Code,
        SplitWifiName.Rule.Code,
    ];

    /// <summary>Findings that restate an answer, whatever broke it.</summary>
    private static readonly HashSet<string> Restated = [NoInternet.Rule.Code, NeedNotMet.Rule.Code];

    /// <summary>The answer for what was found, with what is proven of it.</summary>
    public static FirstAnswer Of(Design found, Proof proof)
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
        var broken = proof.Findings.Where(f => f is { Severity: Severity.WillNotWork, Accepted: null }).ToList();
        if (
            broken.Any(f => !OfNames.Contains(f.Code) && !Restated.Contains(f.Code))
            || (broken.Count > 0 && broken.All(f => Restated.Contains(f.Code)))
        )
        {
            return new(
                FirstAnswerKind.Plan,
                "A plan is needed: what is found does not work as it is.",
                [.. broken.Where(f => f.CausedBy.Count == 0).DefaultIfEmpty(broken[0]).Take(4).Select(f => $"{f.What}.")]
            );
        }
        // A name that differs stops no internet, and is set right all the same.
        var open = proof.Findings.Where(f => f.Accepted is null).ToList();
        if (open.Where(f => f.Idle is not null).ToList() is { Count: > 0 } idle)
        {
            return new(
                FirstAnswerKind.Plan,
                "A plan is needed: something that is in use serves no device.",
                [.. idle.Take(4).Select(f => $"{f.What}.")]
            );
        }
        var others = open.Count(f => !OfNames.Contains(f.Code) && !Restated.Contains(f.Code));
        var rename = open.Where(f => OfNames.Contains(f.Code) && IsRead(found, f)).Select(f => $"{f.What}.").Take(4).ToList();
        var indoors = site.Places.Where(p => p.Kind != PlaceKind.Outdoors || Wanted(site, p)).ToList();
        var stands = site.Place(found.SetUp.Boxes.First(b => b.Box == gateway.Id).Place);
        if (indoors.Count == 0 || stands is null)
        {
            return rename.Count > 0
                ? Names(rename, others)
                : new(
                    FirstAnswerKind.AskFirst,
                    "Note the rooms, and where the box at the internet line stands.",
                    [indoors.Count == 0 ? "No room is noted." : $"Where {gateway.Name} stands is not noted."]
                );
        }
        var senders = found
            .SetUp.Boxes.Where(b => Air.Of(found, b.Box).Count > 0)
            .Select(b => site.Place(b.Place))
            .OfType<Place>()
            .ToList();
        var signals = new Signals(found);
        var far = indoors.Where(p => !senders.Any(s => signals.Serves(s, p) == Known.Yes)).ToList();
        var unsure = far.Where(p => senders.Any(s => signals.Serves(s, p) == Known.Unknown)).ToList();
        if (far.Count == 0)
        {
            return rename.Count > 0
                ? Names(rename, others)
                : new(
                    FirstAnswerKind.Keep,
                    senders.Count > 1
                        ? "Nothing is needed: what is there serves every room."
                        : $"Nothing is needed: {gateway.Name} serves every room from where it stands.",
                    [
                        "Every room is near enough to a box that sends. Walk the far ones with a telephone before you say so.",
                        .. open.Count > 0 ? [$"The proof has {Verdict.Count(open.Count, "thing")} worth knowing."] : Array.Empty<string>(),
                    ]
                );
        }
        if (unsure.Count > 0)
        {
            return new(
                FirstAnswerKind.AskFirst,
                "Note the sizes of the rooms: it may be that nothing is needed.",
                [$"How far {Names(site, unsure)} {(unsure.Count == 1 ? "is" : "are")} from the nearest box that sends is not known."]
            );
        }
        var reasons = new List<string>
        {
            $"{Names(site, far)} {(far.Count == 1 ? "is" : "are")} not near enough to a box that sends to be sure of calls.",
        };
        reasons.AddRange(rename);
        if (
            senders.Count == 1
            && indoors.FirstOrDefault(c => c.Id != stands.Id && indoors.All(p => signals.Serves(c, p) == Known.Yes)) is { } middle
        )
        {
            return new(
                FirstAnswerKind.Move,
                $"Move {gateway.Name} to {middle.Name}: from there it serves every room.",
                [.. reasons, "Where the line comes in decides whether that can be done; a longer lead from the line is often enough."]
            );
        }
        var there = site.Devices.Where(d => far.Any(p => p.Id == d.Place)).ToList();
        var wants = site.Needs.OfType<CallsInPlace>().Where(n => far.Any(p => p.Id == n.Place)).ToList();
        if (
            wants.Count == 0
            && there.Count > 0
            && there.All(d => d.HasSocket == Known.Yes)
            && there.Select(d => d.Place).Distinct().Count() == 1
        )
        {
            return new(
                FirstAnswerKind.OneCable,
                $"One cable to {site.Place(there[0].Place)!.Name} is enough.",
                [.. reasons, $"Everything there has a socket: {string.Join(", ", there.Select(d => d.Name))}."]
            );
        }
        if (indoors.FirstOrDefault(c => far.All(p => signals.Serves(c, p) == Known.Yes)) is { } spot)
        {
            var spare = site.Boxes.FirstOrDefault(b =>
                found.Mode(b.Id) is null && b.Profile.Radios.Count > 0 && SpareVerdict.Of(b, site.Service, null).Worth != Worth.Leave
            );
            return new(
                FirstAnswerKind.OneAccessPoint,
                $"One access point in {spot.Name} is enough.",
                [
                    .. reasons,
                    spare is null
                        ? "None of the spare boxes serves for it."
                        : $"{spare.Name} serves for it: {SpareVerdict.Of(spare, site.Service, null).For}.",
                ]
            );
        }
        return new(FirstAnswerKind.Plan, "A plan is needed: no single box more serves the far rooms.", reasons);
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

    private static bool Wanted(Site site, Place place) =>
        site.Devices.Any(d => d.Place == place.Id) || site.Needs.Any(n => n.About == place.Id);

    private static FirstAnswer Names(IReadOnlyList<string> reasons, int others) =>
        new(
            FirstAnswerKind.Rename,
            others == 0 ? "Wi-Fi names and passwords are all that has to be set right." : "Wi-Fi names and passwords have to be set right.",
            others == 0 ? reasons : [.. reasons, $"Beside them the proof has {Verdict.Count(others, "thing")} worth knowing."]
        );

    private static string Names(Site site, List<Place> places) =>
        places.Count == 1 ? places[0].Name
        : places.Count > 5 ? $"{places.Count} of {site.Places.Count} places"
        : $"{string.Join(", ", places.SkipLast(1).Select(p => p.Name))} and {places[^1].Name}";
}
