using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>The laptop leaves the Wi-Fi that it is in.</summary>
/// <param name="Forget">Whether it forgets the Wi-Fi for good, as at the end; otherwise it is kept from joining it by itself for
/// now.</param>
public sealed record LaptopOffWifi(bool Forget = false) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        One(
            now,
            Durations.LaptopSetting,
            l => l with { OffHouseWifi = !Forget },
            new MoveLaptop(now.Laptop?.Cable is null ? null : now.Laptop with { Wifi = null })
        );

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        Forget ? "Let the laptop forget the Wi-Fi of this home" : "Take the laptop off Wi-Fi, and keep it from joining by itself";
}
