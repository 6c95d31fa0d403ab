namespace Altrin.Core.Procedures.Sheets;

/// <summary>
/// How the work goes on where a step comes out otherwise than was taken to be so: it is derived anew from what is there then.
/// </summary>
/// <param name="If">What is so instead, in words.</param>
/// <param name="Sheet">The rest of the evening from then on.</param>
public sealed record StepBranch(string If, RunSheet Sheet)
{
    /// <summary>The branches of a step: none where its kind says what comes of each of its acts.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="number">Which step, from 1.</param>
    /// <param name="cancel">Gives it up.</param>
    /// <exception cref="ArgumentOutOfRangeException">There is no such step.</exception>
    /// <exception cref="OperationCanceledException">It was given up.</exception>
    public static IReadOnlyList<StepBranch> Of(RunSheet sheet, int number, CancellationToken cancel = default)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(number, 1);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(number, sheet.Steps.Count);
        return
        [
            .. sheet
                .Steps[number - 1]
                .Acts.Where(a => a.Otherwise.Count > 0)
                .SelectMany(a => a.Act.From(a.Before).Value.Where(o => o.If is not null && o.If != a.If))
                .Select(o => new StepBranch(o.If!, RunSheet.Derive(o.After, sheet.Aim, cancel))),
        ];
    }
}
