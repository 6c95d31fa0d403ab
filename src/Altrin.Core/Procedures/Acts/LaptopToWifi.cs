using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>The laptop joins a Wi-Fi; what is in its socket stays there.</summary>
/// <param name="Box">The box whose radio it hears.</param>
/// <param name="Name">The name.</param>
/// <param name="Password">Reference to the password that is typed; null for an open network.</param>
public sealed record LaptopToWifi(string Box, string Name, string? Password = null) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        One(
            now,
            Durations.LaptopSetting,
            l => l with { OffHouseWifi = false },
            new MoveLaptop(new(now.Laptop?.Cable, new(new(Box, Name, Password), new Automatic())))
        );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Join \"{Name}\" of {design.NameOf(Box)} with the laptop";
}
