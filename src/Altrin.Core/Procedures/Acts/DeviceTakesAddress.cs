using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>An address is typed into a customer's device, or it is set back to automatic.</summary>
/// <param name="Device">Which.</param>
/// <param name="Address">How it comes by its address then.</param>
public sealed record DeviceTakesAddress(string Device, HostAddress Address) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        One(
            now,
            Durations.AtDevice,
            l => l with { Touched = [.. l.Touched.Append(Device).Distinct()] },
            new Rewire(new SetDeviceAddress(Device, Address))
        );

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        Address is Fixed typed ? $"Type {typed.Address} into {design.NameOf(Device)}" : $"Set {design.NameOf(Device)} back to automatic";
}
