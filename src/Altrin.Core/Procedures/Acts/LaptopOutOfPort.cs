using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>The laptop's cable is pulled.</summary>
public sealed record LaptopOutOfPort : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        now.Laptop?.Cable is not { } cable
            ? Refused("The laptop is in no port.")
            : One(
                now,
                Durations.Hand,
                l => l with { TypedOnCable = cable.Address as Fixed },
                new MoveLaptop(now.Laptop.Wifi is null ? null : now.Laptop with { Cable = null })
            );

    /// <inheritdoc/>
    public override string Describe(Design design) => "Unplug the laptop";
}
