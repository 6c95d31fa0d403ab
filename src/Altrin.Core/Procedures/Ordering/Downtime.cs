using Altrin.Core.Procedures.Acts;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>Counts for how long devices are without internet that are to have it, and what else acts take.</summary>
/// <param name="aim">What the acts are for.</param>
internal sealed class Downtime(Aim aim)
{
    /// <summary>Which of them are offline in a state, by id.</summary>
    public IReadOnlyList<string> Offline(State now) =>
        [.. aim.Online.Except(now.Seen().Internet.Where(i => i.Answer.IsYes).Select(i => i.Device)).Order(StringComparer.Ordinal)];

    /// <summary>The cost once some more acts are done.</summary>
    public Cost After(Cost before, IReadOnlyList<PlayedStep> done)
    {
        var cost = before;
        foreach (var step in done)
        {
            cost = After(cost, step);
        }
        return cost;
    }

    private Cost After(Cost cost, PlayedStep step)
    {
        var (from, until) = ((long)step.Before.Time.TotalSeconds, (long)step.After.Time.TotalSeconds);
        // While hands are busy the home stands as it stood before; boxes that get ready meanwhile are taken to be so at the end.
        if (until > from && Offline(step.Before).Count is var offline and > 0)
        {
            cost = cost with
            {
                Downtime = cost.Downtime + (offline * (until - from)),
                WindowFirst = cost.WindowFirst ?? from,
                WindowLast = until,
            };
        }
        return cost with
        {
            Touched = step.After.Ledger.Touched.Count,
            Moves = cost.Moves + (step.Act is CarryBox or LaptopToPort or LaptopToWifi ? 1 : 0),
            Seconds = until,
        };
    }
}
