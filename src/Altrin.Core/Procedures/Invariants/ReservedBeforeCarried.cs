using Altrin.Core.Networks;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>A box whose page is leased is reserved before it is carried away.</summary>
public static class ReservedBeforeCarried
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(13, "reserved-before-carried", "A box whose address is leased is reserved by its MAC address before it is carried.", Judge);

    private static IEnumerable<Violation> Judge(Step step)
    {
        if (
            step.Act is not CarryBox { Box: var id }
            || step.Before.Seen().Network.Find(id, Side.Page) is not { Setting: Automatic, Linked: true } page
        )
        {
            yield break;
        }
        var servers = step.Before.Seen().Network.Segment(page.Segment).Servers;
        if (servers.Count > 0 && servers.All(s => s.Reservations.All(r => r.Mac != page.Mac)))
        {
            yield return new(
                [id],
                $"The address of {step.Before.Design.NameOf(id)} is leased and not reserved: it may be another one after the carry."
            );
        }
    }
}
