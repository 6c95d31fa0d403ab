using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>The laptop does not depend on a lease of the box whose address or DHCP server is about to change.</summary>
public static class NeverWithoutAddress
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(
            10,
            "never-without-an-address",
            "Before a save that moves the address or stops DHCP, the laptop has a typed address in the old subnet.",
            Judge
        );

    private static IEnumerable<Violation> Judge(Step step)
    {
        if (
            step.Act is not SavePage { Box: var id } save
            || step.Before.Design.Mode(id) is not RouterMode before
            || step.Before.Laptop?.Cable is not { Address: Automatic }
            || !save.Changes.Any(c =>
                c is SetLanAddress { Address: var lan } && lan.Subnet != before.Lan.Subnet || c is SwitchDhcpServer { On: false }
            )
        )
        {
            yield break;
        }
        var lease = step.Before.Moment.Situation.Memory?.Of(Laptop.CableId, Side.Laptop)?.Leases is [var held, ..] ? held : null;
        if (lease?.Server == id)
        {
            yield return new(
                [id, Laptop.CableId],
                $"The laptop has its address from {step.Before.Design.NameOf(id)}, whose address or DHCP server this save changes: type one first."
            );
        }
    }
}
