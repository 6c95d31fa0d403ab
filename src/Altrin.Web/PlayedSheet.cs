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
/// <param name="Least">What it takes at least, without an order.</param>
internal sealed record PlayedSheet(
    SheetInfo Sheet,
    string From,
    string To,
    long Seconds,
    IReadOnlyList<PlayedStepDocument> Steps,
    IReadOnlyList<BrokenDocument> Undone,
    IReadOnlyList<string> Left,
    bool Whole,
    EstimateDocument? Least
)
{
    public static PlayedSheet Of(SheetInfo sheet, string from, string to, Play play) =>
        new(
            sheet,
            from,
            to,
            (long)play.End.Time.TotalSeconds,
            [.. PlayedStepDocument.Of(play)],
            [.. play.Undone.Select(BrokenDocument.Of)],
            play.LeftInWords(),
            play.Whole,
            play.Least() is { } least ? EstimateDocument.Of(least) : null
        );
}
