namespace Altrin.Core.Procedures.Sheets;

/// <summary>What may go wrong at a step of a sheet: at each of its acts, told by the steps of the sheet.</summary>
public static class StepIfNot
{
    /// <summary>Grouped by what is seen; what shows nothing comes last, with the step that will show it.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="number">Which step, from 1.</param>
    /// <param name="cancel">Gives it up between two acts.</param>
    /// <exception cref="ArgumentOutOfRangeException">There is no such step.</exception>
    /// <exception cref="OperationCanceledException">It was given up.</exception>
    public static IReadOnlyList<WhatIfNot> Of(RunSheet sheet, int number, CancellationToken cancel = default)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(number, 1);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(number, sheet.Steps.Count);
        var first = sheet.Steps.Take(number - 1).Sum(s => s.Acts.Count);
        var groups = Enumerable
            .Range(first + 1, sheet.Steps[number - 1].Acts.Count)
            .SelectMany(act => WhatIfNot.Of(sheet.Play, act, cancel))
            .Select(g => g with { ShownBy = g.ShownBy is { } act ? StepOf(sheet, act) : null })
            .ToList();
        return
        [
            .. groups.Where(g => g.Shows.Count > 0),
            // What an act shows nothing of may show at a later act of the same step: then it is told there.
            .. groups
                .Where(g => g.Shows.Count == 0)
                .GroupBy(g => g.ShownBy)
                .OrderBy(g => g.Key ?? int.MaxValue)
                .Select(g => new WhatIfNot([], [.. g.SelectMany(w => w.Slips).DistinctBy(s => s.Says)], g.Key)),
        ];
    }

    /// <summary>The number of the step that has an act, by its number.</summary>
    private static int StepOf(RunSheet sheet, int act)
    {
        var acts = 0;
        for (var i = 0; i < sheet.Steps.Count; i++)
        {
            acts += sheet.Steps[i].Acts.Count;
            if (act <= acts)
            {
                return i + 1;
            }
        }
        return sheet.Steps.Count;
    }
}
