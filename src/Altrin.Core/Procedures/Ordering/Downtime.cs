using Altrin.Core.Procedures.Acts;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>Counts for how long devices are without internet while acts are done, and what else these take.</summary>
internal sealed class Downtime
{
    /// <summary>Devices that have the internet in the set-up at the start and in the one at the end.</summary>
    private readonly HashSet<string> _online;

    private Downtime(HashSet<string> online) => _online = online;

    /// <summary>For the way from a state to a plan.</summary>
    public static Downtime Between(State start, Aim aim)
    {
        var morning = Online(State.Morning(start.Design));
        morning.IntersectWith(Online(State.Morning(start.Design with { SetUp = aim.Target })));
        return new(morning);
    }

    /// <summary>How many of them are offline in a state.</summary>
    public int Offline(State now) => now.Seen().Internet.Count(i => _online.Contains(i.Device) && !i.Answer.IsYes) + Missing(now);

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
        if (until > from && Offline(step.Before) is var offline and > 0)
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

    private int Missing(State now) => _online.Count(d => now.Design.SetUp.Devices.All(s => s.Device != d));

    private static HashSet<string> Online(State now) =>
        now.Seen().Internet.Where(i => i.Answer.IsYes).Select(i => i.Device).ToHashSet(StringComparer.Ordinal);
}
