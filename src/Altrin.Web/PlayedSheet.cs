using Altrin.Core.Procedures;
using Altrin.Data;
using Altrin.Formats;

namespace Altrin.Web;

/// <summary>A run sheet as it is taken in.</summary>
/// <param name="Name">What it is called: a file's name, or words.</param>
/// <param name="Content">The list of acts, as JSON.</param>
internal sealed record SheetRequest(string Name, string Content);

/// <summary>A run sheet, played on the simulated home.</summary>
/// <param name="Sheet">The sheet.</param>
/// <param name="From">The set-up that it begins with.</param>
/// <param name="To">The set-up that it is to end in.</param>
/// <param name="Seconds">How long it takes by the usual times.</param>
/// <param name="Steps">Each step, and what came of it.</param>
/// <param name="Undone">What was for the evening only and is not undone at the end.</param>
/// <param name="Left">What differs from the set-up that it is to end in.</param>
/// <param name="Whole">Whether every step was done, nothing broken, nothing left undone, and the home is as planned.</param>
internal sealed record PlayedSheet(
    SheetInfo Sheet,
    string From,
    string To,
    long Seconds,
    IReadOnlyList<SheetStep> Steps,
    IReadOnlyList<BrokenDocument> Undone,
    IReadOnlyList<string> Left,
    bool Whole
)
{
    public static PlayedSheet Of(SheetInfo sheet, string from, string to, Play play) =>
        new(
            sheet,
            from,
            to,
            (long)play.End.Time.TotalSeconds,
            [.. play.Steps.Select((s, i) => SheetStep.Of(s, i + 1, play.Steps[0].Before))],
            [.. play.Undone.Select(BrokenDocument.Of)],
            [.. play.Left.Select(c => c.Describe(play.End.Design))],
            play.Whole
        );
}

/// <summary>One step of a run sheet.</summary>
/// <param name="Number">Its number, from 1.</param>
/// <param name="Says">What is done, in words.</param>
/// <param name="Lines">What is typed, line by line.</param>
/// <param name="BeginsAt">Seconds since the start when it begins.</param>
/// <param name="Takes">How long hands are busy, in seconds.</param>
/// <param name="Then">How long the box is busy from then on; null where it is not.</param>
/// <param name="Refused">Why it cannot be done; null where it can.</param>
/// <param name="If">What is taken to be so of the box; null where its kind says it.</param>
/// <param name="Otherwise">What might be so instead.</param>
/// <param name="Breaks">Rules of the work that it breaks.</param>
/// <param name="Departs">Where it departs from the ways that the sheet names.</param>
/// <param name="Offline">Customer's devices that had the internet at the start and have it no longer after it, by id.</param>
internal sealed record SheetStep(
    int Number,
    string Says,
    IReadOnlyList<PageLine> Lines,
    long BeginsAt,
    DurationDocument Takes,
    DurationDocument? Then,
    string? Refused,
    string? If,
    IReadOnlyList<string> Otherwise,
    IReadOnlyList<BrokenDocument> Breaks,
    IReadOnlyList<string> Departs,
    IReadOnlyList<string> Offline
)
{
    public static SheetStep Of(PlayedStep step, int number, State start) =>
        new(
            number,
            step.Says,
            step.Lines,
            (long)step.Before.Time.TotalSeconds,
            DurationDocument.Of(step.Takes),
            step.Then is { } then ? DurationDocument.Of(then) : null,
            step.Refused,
            step.If,
            step.Otherwise,
            [.. step.Broken.Select(BrokenDocument.Of)],
            step.Departs,
            [.. Online(start).Except(Online(step.After))]
        );

    private static IEnumerable<string> Online(State now) => now.Seen().Sheet.Internet.Where(i => i.Answer.IsYes).Select(i => i.Device);
}
