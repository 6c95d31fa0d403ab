using Altrin.Core.Facts;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings;

/// <summary>The verdicts.</summary>
public enum VerdictKind
{
    /// <summary>Nothing found.</summary>
    Sound,

    /// <summary>It works; something is worth knowing.</summary>
    Works,

    /// <summary>
    /// What is asked for works, and something in use serves no device: a repeater that joins nothing, a screen that may stay black.
    /// </summary>
    Partly,

    /// <summary>A need or the internet of a device is broken or left to luck.</summary>
    WillNotWork,

    /// <summary>It could not be looked at.</summary>
    NotProven,

    /// <summary>No device is in use and nothing is asked for: there is nothing to judge yet.</summary>
    Empty,
}

/// <summary>The verdict on a design.</summary>
/// <param name="Kind">Which of them.</param>
/// <param name="Sentence">One sentence that says what breaks, or that nothing does.</param>
public sealed record Verdict(VerdictKind Kind, string Sentence)
{
    /// <summary>The verdict on an observation with its findings.</summary>
    public static Verdict Of(Observation observation, IReadOnlyList<Finding> findings)
    {
        var design = observation.Network.Design;
        var sheet = observation.Sheet;
        // A word that something may stay does not mend it: what will not work still will not.
        var stays = findings.Count(f => f.Accepted is not null);
        var accepted = stays == 0 ? "" : $"; {stays} accepted";
        if (findings.All(f => f.Severity != Severity.WillNotWork))
        {
            var toKnow = findings.Count(f => f.Accepted is null);
            if (sheet.Internet.Count == 0 && sheet.Needs.Count == 0)
            {
                return new(
                    VerdictKind.Empty,
                    toKnow > 0
                        ? $"No device is in use yet; {Count(toKnow, "thing")} worth knowing{accepted}."
                        : $"No device is in use yet{accepted}."
                );
            }
            var idle = findings.Select(f => f.Idle).OfType<string>().Distinct().ToList();
            var open =
                sheet.Internet.Count(i => i.Answer.Kind == AnswerKind.Unknown)
                + sheet.Needs.Count(n => n.Answer.Kind == AnswerKind.Unknown);
            if (idle.Count > 0)
            {
                var rest =
                    open > 0
                        ? $"Of what is asked for nothing is broken, {Count(open, "answer")} {(open == 1 ? "is" : "are")} still open"
                        : "Every device reaches the internet and every need is met";
                return new(VerdictKind.Partly, $"{rest}, but {Listed(idle)}{accepted}.");
            }
            if (open > 0)
            {
                return new(
                    VerdictKind.Works,
                    $"Nothing is broken as far as is known; {Count(open, "answer")} {(open == 1 ? "is" : "are")} still open."
                );
            }
            return toKnow > 0
                ? new(
                    VerdictKind.Works,
                    $"Every device reaches the internet and every need is met; {Count(toKnow, "thing")} worth knowing{accepted}."
                )
                : new(VerdictKind.Sound, $"Every device reaches the internet and every need is met{accepted}.");
        }
        var without = sheet.Internet.Where(i => i.Answer.Kind == AnswerKind.No).Select(i => i.Device).ToList();
        var byLuck = sheet.Internet.Where(i => i.Answer.Kind == AnswerKind.Luck).Select(i => i.Device).ToList();
        var parts = new List<string>();
        if (without.Count > 0)
        {
            parts.Add(Many(without, "has no internet", "have no internet"));
        }
        if (byLuck.Count > 0)
        {
            parts.Add(Many(byLuck, "has internet by luck only", "have internet by luck only"));
        }
        foreach (var need in sheet.Needs.Where(n => n.Answer.IsBroken))
        {
            parts.Add(Short(design, design.Site.Needs.First(n => n.Id == need.Need), need.Answer.Kind == AnswerKind.Luck));
        }
        var sentence = Listed(parts.Count > 4 ? [.. parts.Take(3), $"{parts.Count - 3} more needs fail"] : parts);
        return new(VerdictKind.WillNotWork, $"{sentence}{accepted}.");

        string Many(List<string> devices, string one, string many) =>
            devices.Count == 1 ? $"{design.NameOf(devices[0])} {one}" : $"{devices.Count} of {sheet.Internet.Count} devices {many}";
    }

    /// <summary>The two oldest needs of the trade in fewer words than <see cref="NeedWords"/> has: a verdict is one sentence.</summary>
    private static string Short(Design design, Need need, bool luck) =>
        need switch
        {
            ReachFromOutside reach =>
                $"{design.NameOf(reach.Device)} {(luck ? "is reached from outside by luck only" : "cannot be reached from outside")}",
            FoundByOthers found => $"{design.NameOf(found.Device)} {(luck ? "is found by luck only" : "is not found by all devices")}",
            _ => NeedWords.Said(design, need, luck ? "is only by luck" : "is not"),
        };

    private static string Listed(List<string> parts) =>
        parts.Count switch
        {
            < 2 => string.Concat(parts),
            > 4 => $"{string.Join(", ", parts.Take(3))}, and {parts.Count - 3} more",
            _ => $"{string.Join(", ", parts.SkipLast(1))}, and {parts[^1]}",
        };

    /// <summary>A number with its noun, such as "3 things".</summary>
    internal static string Count(int number, string noun) => number == 1 ? $"1 {noun}" : $"{number} {noun}s";
}
