using System.Globalization;
using Altrin.Core.Changes;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Sheets;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>What is said of a run sheet in words, the same in every form of it.</summary>
public static class SheetWords
{
    /// <summary>What the whole comes to: how many steps, how long, how long without internet.</summary>
    public static string Totals(RunSheet sheet) =>
        $"{sheet.Steps.Count} {(sheet.Steps.Count == 1 ? "step" : "steps")}, {Lasting(sheet.Takes)}.";

    /// <summary>For how long devices are without internet, and in which steps.</summary>
    public static string Window(RunSheet sheet)
    {
        const string Away = "The internet is away for some devices";
        var takes = sheet.Window.Select(s => s.Takes).Aggregate(Duration.None, (sum, d) => sum + d);
        return sheet.Window switch
        {
            [] => "No device that has the internet before and after is without it meanwhile.",
            [var only] => $"{Away} in step {Number(sheet, only)}, {Lasting(takes)}.",
            [var first, .., var last] => $"{Away} from step {Number(sheet, first)} to {Number(sheet, last)}, {Lasting(takes)}.",
        };
    }

    private static string Lasting(Duration takes) => $"about {About(takes.Usual)} ({About(takes.Least)} to {About(takes.Most)})";

    /// <summary>The number of a step, from 1.</summary>
    public static int Number(RunSheet sheet, SheetStep step) => sheet.Steps.TakeWhile(s => s != step).Count() + 1;

    /// <summary>Where a step is done, in a line; null where the sentence says it.</summary>
    public static string? Where(Design design, SheetStep step)
    {
        if (step.Where is not { } where)
        {
            return null;
        }
        string?[] parts =
        [
            where.LaptopPort is { } port ? $"laptop in {port}" : null,
            where.Page is { } page ? $"page {page}" : "page at the address that was found",
            where.Area is { } area ? $"area {area}" : null,
        ];
        return $"{design.NameOf(where.Box)}: {string.Join(", ", parts.OfType<string>())}";
    }

    /// <summary>All that is said of a step below its sentence.</summary>
    public static IEnumerable<StepText> Lines(SheetStep step, Design design)
    {
        if (Where(design, step) is { } where)
        {
            yield return new(StepTextKind.Where, where);
        }
        foreach (var act in step.Acts)
        {
            if (step.Acts.Count > 1)
            {
                yield return new(StepTextKind.Act, $"{act.Says}{(act == step.Main && step.Lines.Count > 0 ? ":" : "")}");
            }
            foreach (var line in act == step.Main ? step.Lines : [])
            {
                yield return new(StepTextKind.Value, Line(line));
            }
        }
        if (step.Why is { } why)
        {
            yield return new(StepTextKind.Note, why, "Why");
        }
        foreach (var seen in step.Sees())
        {
            yield return new(StepTextKind.See, $"{seen.What}: {seen.Says}", "See");
        }
        if (step.Assumes is { } assumed)
        {
            yield return new(
                StepTextKind.Alarm,
                $"{assumed.If}. It may be instead: {string.Join("; ", assumed.Otherwise)}.",
                "Taken to be so"
            );
        }
        if (step.Offline.Count > 0)
        {
            yield return new(StepTextKind.Note, string.Join(", ", step.Offline.Select(design.NameOf)), "Without internet");
        }
        foreach (var broken in step.Broken)
        {
            yield return new(StepTextKind.Alarm, broken.Violation.Text, $"Breaks rule {broken.Rule.Number}");
        }
        foreach (var departs in step.Acts.SelectMany(a => a.Departs))
        {
            yield return new(StepTextKind.Note, departs, "Not your way");
        }
        foreach (var caution in step.Cautions)
        {
            yield return new(StepTextKind.Alarm, caution, "Caution");
        }
        if (step.Undo is { Can: false } undo)
        {
            yield return new(StepTextKind.Note, undo.Says);
        }
        if (step.IsRest)
        {
            yield return new(StepTextKind.Note, "One can rest here.");
        }
    }

    /// <summary>A line of what is typed: a password is named by its reference.</summary>
    public static string Line(PageField line) =>
        line.Value is null ? line.What
        : line.IsSecret ? $"{line.What}: the password {line.Value}"
        : $"{line.What}: {line.Value}";

    /// <summary>
    /// What is said of the way back of a step, in sentences: by when a risky one has to begin; and before the first of them, which ways
    /// back keep hands busy at the main box for longer than they should. Nothing for a step that is no risk.
    /// </summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="i">The step, by its index.</param>
    /// <param name="cancel">Gives it up.</param>
    /// <exception cref="OperationCanceledException">It was given up.</exception>
    public static IReadOnlyList<string> Warnings(RunSheet sheet, int i, CancellationToken cancel)
    {
        var risks = Enumerable.Range(0, sheet.Steps.Count).Where(s => WayBack.IsRisk(sheet.Steps[s])).ToList();
        if (!risks.Contains(i))
        {
            return [];
        }
        var backs = i != risks[0] ? [] : risks.Select(r => (Number: r + 1, At: WayBack.TimesAfter(sheet, r + 1, cancel).AtMainBox));
        return
        [
            .. backs
                .Where(b => b.At > WayBack.MostAtMainBox)
                .Select(b =>
                    $"The way back from step {b.Number} keeps hands busy at the main box for about {About(b.At)}, more than "
                    + $"{About(WayBack.MostAtMainBox)}: tell the household before you begin."
                ),
            .. WayBack.TimesAfter(sheet, i + 1, cancel).BeginBefore is { } before
                ?
                [
                    $"Begin this step no later than {About(before)} before the evening or the provider's hotline ends: so long can it take, and "
                        + "the way back from it.",
                ]
                : Array.Empty<string>(),
        ];
    }

    /// <summary>A length of time, to the minute from two minutes on.</summary>
    public static string About(TimeSpan time) =>
        time < TimeSpan.FromMinutes(2)
            ? TimeWords.Of((long)time.TotalSeconds)
            : TimeWords.Of((long)Math.Round(time.TotalMinutes, MidpointRounding.AwayFromZero) * 60);

    /// <summary>A time since the start, such as 0:05.</summary>
    public static string Clock(TimeSpan time) => string.Create(CultureInfo.InvariantCulture, $"{(int)time.TotalHours}:{time.Minutes:00}");
}
