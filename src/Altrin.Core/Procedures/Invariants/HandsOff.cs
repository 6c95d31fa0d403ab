using Altrin.Core.Changes;
using Altrin.Core.Procedures.Acts;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>No plug is pulled while a box saves, starts or is renewed.</summary>
public static class HandsOff
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } = new(15, "hands-off", "No power-off during a save, a start or new firmware.", Judge);

    private static IEnumerable<Violation> Judge(Step step)
    {
        var id = step.Act switch
        {
            PowerOff off => off.Id,
            CarryBox carry => carry.Box,
            PutBoxAway away => away.Box,
            _ => null,
        };
        // Who carries a box pulls its plug first; otherwise hands take their time, and what is done by then does no harm.
        var pulled = (long)(step.Act is CarryBox ? step.Before : step.After).Time.TotalSeconds;
        var until = step.Before.Moment.Situation.Busy.Where(b => b.Box == id).Select(b => b.Until).DefaultIfEmpty(0).Max();
        if (id is not null && until > pulled)
        {
            yield return new(
                [id],
                $"{step.Before.Design.NameOf(id)} is busy for another {TimeWords.Of(until - pulled)}: leave its power on."
            );
        }
    }
}
