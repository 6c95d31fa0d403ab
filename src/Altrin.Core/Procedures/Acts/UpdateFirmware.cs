using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>The firmware of a box is renewed from a file that is at hand, or over the internet; power stays on.</summary>
/// <param name="Box">Which.</param>
public sealed record UpdateFirmware(string Box) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        PageOpens
            .LoggedIn(now, Box)
            .Then(box =>
                now.Ledger.Fetched.Contains(new(Box, Fetchable.Firmware)) || Online(now)
                    ? One(
                            now,
                            Durations.Open,
                            l => l with { Renewed = [.. l.Renewed.Append(Box).Distinct()] },
                            new Occupy(Box, BusyKind.Updating, Durations.Firmware.Usual)
                        )
                        .Then<IReadOnlyList<Outcome>>(o => new[] { o[0] with { Then = Durations.Firmware } })
                    : Refused($"The firmware of {box.Name} was not fetched, and it has no internet here.")
            );

    private bool Online(State now) =>
        now.Seen() is var seen
        && (seen.Network.Find(Box, Side.Wan) ?? seen.Network.Find(Box, Side.Page)) is { } side
        && seen.Tracer.ToInternet(side).Answer.IsYes;

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Renew the firmware of {design.NameOf(Box)}";
}
