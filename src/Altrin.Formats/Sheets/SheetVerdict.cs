using Altrin.Core.Procedures.Sheets;

namespace Altrin.Formats;

/// <summary>How a part of the verdict is meant.</summary>
public enum VerdictTone
{
    /// <summary>It is as it should be.</summary>
    Good,

    /// <summary>It is worth knowing.</summary>
    Note,

    /// <summary>It is not as it should be.</summary>
    Bad,
}

/// <summary>One part of the verdict on the order of a run sheet.</summary>
/// <param name="Tone">How it is meant.</param>
/// <param name="Says">What it says, in a sentence.</param>
/// <param name="Items">What belongs to it, each in a sentence; empty for nothing.</param>
public sealed record SheetVerdict(VerdictTone Tone, string Says, IReadOnlyList<string> Items)
{
    /// <summary>The verdict on a sheet, part by part.</summary>
    public static IReadOnlyList<SheetVerdict> Of(RunSheet sheet) => [.. Parts(sheet)];

    /// <summary>What no order can do without, beside what this one takes.</summary>
    private static string Least(RunSheet sheet) =>
        sheet.Play.Least() is { } least ? $"; the changes alone take at least {SheetWords.About(least.Work.Usual)} in any order" : "";

    private static IEnumerable<SheetVerdict> Parts(RunSheet sheet)
    {
        if (sheet.Steps.Count == 0)
        {
            yield return new(
                VerdictTone.Good,
                $"There is nothing to do: the home is as {(sheet.Aim.IsBack ? "it was found" : "planned")}.",
                []
            );
        }
        else if (sheet.IsSafe)
        {
            yield return new(VerdictTone.Good, "No step of this order breaks a rule.", []);
        }
        if (!sheet.Aim.Ways.Socket && sheet.Steps.Count > 0)
        {
            yield return new(
                VerdictTone.Note,
                "This sheet is for a laptop without an Ethernet socket: each page is opened by Wi-Fi. An adapter makes the work safer.",
                []
            );
        }
        if (sheet.Aim.Amiss.Count > 0)
        {
            yield return new(
                VerdictTone.Note,
                $"{(sheet.Aim.IsBack ? "The home as it was found" : "The plan itself")} breaks rules, whatever the order:",
                [.. sheet.Aim.Amiss.Select(b => $"rule {b.Rule.Number}: {b.Violation.Text}")]
            );
        }
        if (sheet.Unsafe.Count > 0)
        {
            yield return new(
                VerdictTone.Bad,
                "No safe order was found:",
                [.. sheet.Unsafe.Select(u => $"{u.Says}, rule {u.Broken.Rule.Number}: {u.Broken.Violation.Text} To make it safe: {u.Cure}")]
            );
        }
        if (sheet.Missing.Count > 0 || sheet.Play.Left.Count > 0)
        {
            yield return new(
                VerdictTone.Bad,
                $"It does not lead all the way {(sheet.Aim.IsBack ? "back to how the home was found" : "to the plan")}:",
                [.. sheet.Missing, .. sheet.Play.LeftInWords().Select(l => $"left: {l}")]
            );
        }
        if (sheet.Undone.Count > 0)
        {
            yield return new(VerdictTone.Bad, "Left undone at the end:", [.. sheet.Undone.Select(u => u.Violation.Text)]);
        }
        if (!sheet.Order.Searched)
        {
            yield return new(
                VerdictTone.Note,
                $"The search stopped after {sheet.Order.Tried} acts were tried: the order is perhaps not the shortest. It takes about "
                    + $"{SheetWords.About(sheet.Takes.Usual)}{Least(sheet)}.",
                []
            );
        }
    }
}
