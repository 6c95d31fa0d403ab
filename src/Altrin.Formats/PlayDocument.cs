using Altrin.Core.Procedures;

namespace Altrin.Formats;

/// <summary>A list of acts that was played, as JSON.</summary>
/// <param name="Steps">Each act, what came of it, and what is seen then.</param>
/// <param name="Undone">What is not as an invariant asks at the end: above all what was for the evening only.</param>
/// <param name="Left">What differs from the target at the end, in words.</param>
/// <param name="Whole">Whether every act was done, nothing broken, nothing left undone, and the target reached.</param>
/// <param name="Least">What it takes at least, without an order; left out where no target was named.</param>
public sealed record PlayDocument(
    IReadOnlyList<LookedStepDocument> Steps,
    IReadOnlyList<BrokenDocument> Undone,
    IReadOnlyList<string> Left,
    bool Whole,
    EstimateDocument? Least
)
{
    /// <summary>The document of a play.</summary>
    public static PlayDocument Of(Play play) =>
        new(
            [.. PlayedStepDocument.Of(play).Zip(play.Steps, LookedStepDocument.Of)],
            [.. play.Undone.Select(BrokenDocument.Of)],
            play.LeftInWords(),
            play.Whole,
            play.Least() is { } least ? EstimateDocument.Of(least) : null
        );
}

/// <summary>What it takes at least to make one set-up into another, worked out without an order.</summary>
/// <param name="Work">The hands' time, in seconds.</param>
/// <param name="Saves">How often a page is saved, or something set with an application.</param>
/// <param name="Cables">Cables plugged in and pulled out.</param>
/// <param name="Boxes">Boxes carried, switched on, put away or reset.</param>
/// <param name="Touched">Customer's devices that have to be touched, by id.</param>
public sealed record EstimateDocument(DurationDocument Work, int Saves, int Cables, int Boxes, IReadOnlyList<string> Touched)
{
    /// <summary>The document of an estimate.</summary>
    public static EstimateDocument Of(WorkEstimate estimate) =>
        new(DurationDocument.Of(estimate.Work), estimate.Saves, estimate.Cables, estimate.Boxes, estimate.Touched);
}

/// <summary>One act that was played.</summary>
/// <param name="Number">Its number, from 1.</param>
/// <param name="Says">What was done, in words.</param>
/// <param name="Lines">What is typed, line by line.</param>
/// <param name="BeginsAt">Seconds since the morning when it began.</param>
/// <param name="Takes">How long hands are busy, in seconds.</param>
/// <param name="Then">How long the box is busy from then on, in seconds; left out where it is not.</param>
/// <param name="Refused">Why it was not done; left out where it was.</param>
/// <param name="If">What is taken to be so of the box; left out where its kind says it.</param>
/// <param name="Otherwise">What might be so instead.</param>
/// <param name="Breaks">Invariants that it broke.</param>
/// <param name="Departs">Where it departs from the ways that the list names.</param>
/// <param name="Offline">Customer's devices that had the internet at the start and have it no longer after it, by id.</param>
public sealed record PlayedStepDocument(
    int Number,
    string Says,
    IReadOnlyList<PageField> Lines,
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
    /// <summary>The document of each step of a play.</summary>
    public static IEnumerable<PlayedStepDocument> Of(Play play) => play.Steps.Select((s, i) => Of(s, i + 1, play.Steps[0].Before));

    private static PlayedStepDocument Of(PlayedStep step, int number, State start) =>
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

    private static IEnumerable<string> Online(State now) => now.Seen().Internet.Where(i => i.Answer.IsYes).Select(i => i.Device);
}

/// <summary>One act that was played, and how the home stands then.</summary>
/// <param name="Step">The act.</param>
/// <param name="Blanks">Values that are not known yet after it, each with an example of the simulated network where there is one.</param>
/// <param name="Open">What is for the evening only and has to be undone, after it.</param>
/// <param name="Sees">What the laptop then sees.</param>
public sealed record LookedStepDocument(PlayedStepDocument Step, IReadOnlyList<Blank> Blanks, IReadOnlyList<string> Open, Expectation Sees)
{
    /// <summary>The document of a step with what is seen after it.</summary>
    public static LookedStepDocument Of(PlayedStepDocument step, PlayedStep played) =>
        new(step, Blank.Of(played.After), [.. OpenItem.Of(played.After).Select(i => i.Text)], Expectation.Of(played.After));
}

/// <summary>How long something takes, in seconds.</summary>
/// <param name="Least">At least.</param>
/// <param name="Usual">Usually.</param>
/// <param name="Most">At most.</param>
/// <param name="Noted">Whether it was noted of the kind of box.</param>
public sealed record DurationDocument(int Least, int Usual, int Most, bool Noted)
{
    /// <summary>The document of a duration.</summary>
    public static DurationDocument Of(Duration duration) =>
        new((int)duration.Least.TotalSeconds, (int)duration.Usual.TotalSeconds, (int)duration.Most.TotalSeconds, duration.Noted);
}

/// <summary>An invariant that is broken.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Code">Its code.</param>
/// <param name="Text">How, as a sentence.</param>
public sealed record BrokenDocument(int Number, string Code, string Text)
{
    /// <summary>The document of a broken invariant.</summary>
    public static BrokenDocument Of(Broken broken) => new(broken.Rule.Number, broken.Rule.Code, broken.Violation.Text);
}
