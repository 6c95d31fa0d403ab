using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>A customer's device is switched off and on, or its cable is pulled and plugged: it asks for an address again.</summary>
/// <param name="Device">Which.</param>
public sealed record NewLink(string Device) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        now.Design.Device(Device) is null
            ? Refused(Missing.Device(now.Design, Device))
            : One(
                now,
                Durations.AtDevice,
                l => l with { Touched = [.. l.Touched.Append(Device).Distinct()] },
                new TakeAway(Device),
                new GiveBack(Device)
            );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Switch {design.NameOf(Device)} off and on";
}
