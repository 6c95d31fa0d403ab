using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Sheets;

namespace Altrin.Formats;

/// <summary>A run sheet as JSON.</summary>
/// <param name="From">The set-up that the work begins with.</param>
/// <param name="To">The set-up that it ends in.</param>
/// <param name="Safe">Whether it leads to the plan, breaks nothing on the way, and leaves nothing undone.</param>
/// <param name="Searched">Whether the search for the order came to its end: otherwise a shorter one may be there.</param>
/// <param name="Tried">How many acts were tried for it.</param>
/// <param name="Takes">All of it, waits included.</param>
/// <param name="Window">From the first to the last step that takes the internet from a device; left out where none does.</param>
/// <param name="Verdict">What is said of the order, part by part.</param>
/// <param name="Material">Tools and material.</param>
/// <param name="ChecksBefore">Lists that are gone through before the steps; empty for none.</param>
/// <param name="Unsafe">What is broken on the way that is not so in the plan.</param>
/// <param name="Amiss">What is not as an invariant asks in the plan itself.</param>
/// <param name="Missing">Why it does not lead to the plan; empty where it does.</param>
/// <param name="Undone">What is left undone at the end.</param>
/// <param name="Steps">Its steps.</param>
/// <param name="ChecksAfter">Lists that are gone through after them.</param>
/// <param name="Least">What the changes alone take at least.</param>
public sealed record SheetDocument(
    string From,
    string To,
    bool Safe,
    bool Searched,
    int Tried,
    DurationDocument Takes,
    WindowDocument? Window,
    IReadOnlyList<SheetVerdict> Verdict,
    IReadOnlyList<string> Material,
    IReadOnlyList<SheetChecks> ChecksBefore,
    IReadOnlyList<UnsafeDocument> Unsafe,
    IReadOnlyList<BrokenDocument> Amiss,
    IReadOnlyList<string> Missing,
    IReadOnlyList<string> Undone,
    IReadOnlyList<SheetStepDocument> Steps,
    IReadOnlyList<SheetChecks> ChecksAfter,
    EstimateDocument? Least
)
{
    /// <summary>The document of a sheet.</summary>
    public static SheetDocument Of(RunSheet sheet, string from, string to) =>
        new(
            from,
            to,
            sheet.IsSafe,
            sheet.Order.Searched,
            sheet.Order.Tried,
            DurationDocument.Of(sheet.Takes),
            WindowDocument.Of(sheet),
            SheetVerdict.Of(sheet),
            sheet.Material,
            [.. SheetChecks.Before(sheet)],
            [.. sheet.Unsafe.Select(u => new UnsafeDocument(u.Says, BrokenDocument.Of(u.Broken), u.Cure))],
            [.. sheet.Aim.Amiss.Select(BrokenDocument.Of)],
            sheet.Missing,
            [.. sheet.Undone.Select(u => u.Violation.Text)],
            [.. sheet.Steps.Select((s, i) => SheetStepDocument.Of(s, i + 1, sheet.Start.Time))],
            [.. SheetChecks.After(sheet)],
            sheet.Play.Least() is { } least ? EstimateDocument.Of(least) : null
        );
}

/// <summary>The time in which devices are without internet.</summary>
/// <param name="First">Number of the first step of it.</param>
/// <param name="Last">Number of the last.</param>
/// <param name="BeginsAt">Seconds since the start.</param>
/// <param name="Takes">How long it lasts.</param>
public sealed record WindowDocument(int First, int Last, long BeginsAt, DurationDocument Takes)
{
    /// <summary>The document of a sheet's window; null where it has none.</summary>
    public static WindowDocument? Of(RunSheet sheet) =>
        sheet.Window is not [var first, ..] steps
            ? null
            : new(
                SheetWords.Number(sheet, first),
                SheetWords.Number(sheet, steps[^1]),
                (long)(first.Before.Time - sheet.Start.Time).TotalSeconds,
                DurationDocument.Of(steps.Select(s => s.Takes).Aggregate(Duration.None, (sum, d) => sum + d))
            );
}

/// <summary>An act that breaks an invariant though no better order was found.</summary>
/// <param name="Says">The act.</param>
/// <param name="Broken">What it breaks.</param>
/// <param name="Cure">What would make it safe.</param>
public sealed record UnsafeDocument(string Says, BrokenDocument Broken, string Cure);

/// <summary>One step of a run sheet.</summary>
/// <param name="Id">What it is, whatever its number.</param>
/// <param name="Number">Its number, from 1.</param>
/// <param name="Phase">The part of the evening.</param>
/// <param name="Says">What is done, in a sentence.</param>
/// <param name="Where">Where; left out where the sentence says it.</param>
/// <param name="Acts">Its acts, in order.</param>
/// <param name="Lines">What is typed.</param>
/// <param name="BeginsAt">Seconds since the start when it begins.</param>
/// <param name="Takes">How long hands and waits take.</param>
/// <param name="Why">Why; left out where that is plain.</param>
/// <param name="Cautions">What to take care of.</param>
/// <param name="Undo">How it is undone; left out where nothing is changed by it.</param>
/// <param name="Offline">Devices without internet after it that have it before and after the evening, by id.</param>
/// <param name="Dips">Whether a device is without internet at any time of it.</param>
/// <param name="Rest">Whether one can rest after it.</param>
/// <param name="Breaks">Invariants that it breaks.</param>
/// <param name="Departs">Where it departs from the installer's ways.</param>
/// <param name="If">What is taken to be so of a box; left out where its kind says it.</param>
/// <param name="Otherwise">What might be so instead.</param>
public sealed record SheetStepDocument(
    string Id,
    int Number,
    Phase Phase,
    string Says,
    StepPlace? Where,
    IReadOnlyList<SheetActDocument> Acts,
    IReadOnlyList<PageField> Lines,
    long BeginsAt,
    DurationDocument Takes,
    string? Why,
    IReadOnlyList<string> Cautions,
    StepUndo? Undo,
    IReadOnlyList<string> Offline,
    bool Dips,
    bool Rest,
    IReadOnlyList<BrokenDocument> Breaks,
    IReadOnlyList<string> Departs,
    string? If,
    IReadOnlyList<string> Otherwise
)
{
    /// <summary>The document of a step.</summary>
    public static SheetStepDocument Of(SheetStep step, int number, TimeSpan start) =>
        new(
            step.Id,
            number,
            step.Phase,
            step.Says,
            step.Where,
            [.. step.Acts.Select(a => new SheetActDocument(a.Says, a == step.Main))],
            step.Lines,
            (long)(step.Before.Time - start).TotalSeconds,
            DurationDocument.Of(step.Takes),
            step.Why,
            step.Cautions,
            step.Undo,
            step.Offline,
            step.Dips,
            step.IsRest,
            [.. step.Broken.Select(BrokenDocument.Of)],
            [.. step.Acts.SelectMany(a => a.Departs)],
            step.Assumes?.If,
            step.Assumes?.Otherwise ?? []
        );
}

/// <summary>One act of a step.</summary>
/// <param name="Says">What is done.</param>
/// <param name="Main">Whether it is the one that the step is about.</param>
public sealed record SheetActDocument(string Says, bool Main);
