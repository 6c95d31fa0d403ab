using Altrin.Core.Procedures.Sheets;

namespace Altrin.Formats;

/// <summary>A sheet as it is written part by part, so that it can be shown how far it is, and stopped.</summary>
internal static class SheetParts
{
    /// <summary>What stands before the steps, each step, what stands after them: two more than there are steps.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="head">Writes what stands before the steps.</param>
    /// <param name="step">Writes a step, by its index; what is to be worked out for it is worked out then.</param>
    /// <param name="tail">Writes what stands after them.</param>
    public static IReadOnlyList<Func<CancellationToken, string>> Of(
        RunSheet sheet,
        Func<string> head,
        Func<int, CancellationToken, string> step,
        Func<string> tail
    ) => [_ => head(), .. sheet.Steps.Select((_, i) => (Func<CancellationToken, string>)(c => step(i, c))), _ => tail()];

    /// <summary>The heading of a step's phase, where the step is the first of it.</summary>
    public static string? Phase(RunSheet sheet, int i) =>
        i == 0 || sheet.Steps[i].Phase != sheet.Steps[i - 1].Phase ? PhaseWords.Of(sheet.Steps[i].Phase) : null;
}
