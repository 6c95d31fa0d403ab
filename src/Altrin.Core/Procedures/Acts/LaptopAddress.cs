using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>The laptop's socket gets a typed address, or goes back to automatic.</summary>
/// <param name="Address">The address.</param>
public sealed record LaptopAddress(HostAddress Address) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        PageChecks.WrongHostAddress(Address) is { } wrong ? Refused(wrong)
        : now.Laptop?.Cable is { } cable
            ? One(now, Durations.LaptopSetting, new MoveLaptop(now.Laptop with { Cable = cable with { Address = Address } }))
        : One(now, Durations.LaptopSetting, l => l with { TypedOnCable = Address as Fixed });

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        Address is Fixed typed ? $"Type {typed.Address} into the laptop" : "Set the laptop back to automatic";
}
