using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>The laptop is plugged into a port; its Wi-Fi stays as it is.</summary>
/// <param name="Port">Which.</param>
public sealed record LaptopToPort(PortRef Port) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        now.Moment.Situation.Off.Contains(Port.Owner) ? Refused($"{now.Design.NameOf(Port.Owner)} has no power.")
        : now.Laptop?.Cable?.Port == Port ? Refused($"The laptop is in {PortWords.Of(now.Design, Port)}.")
        : One(
            now,
            Durations.Hand,
            l => l with { TypedOnCable = null },
            // An address that was typed stays typed, wherever the cable goes.
            new MoveLaptop(
                new(new(Port, now.Laptop?.Cable?.Address ?? now.Ledger.TypedOnCable ?? (HostAddress)new Automatic()), now.Laptop?.Wifi)
            )
        );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Plug the laptop into {PortWords.Of(design, Port)}";
}
