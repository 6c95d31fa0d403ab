using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>A customer's device joins a Wi-Fi, or moves to another box of it.</summary>
/// <param name="Device">Which.</param>
/// <param name="Wifi">What it joins; null where it forgets the one that it knows.</param>
public sealed record DeviceJoins(string Device, WifiJoin? Wifi = null) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now)
    {
        if (now.Design.Device(Device) is null)
        {
            return Refused(Missing.Device(now.Design, Device));
        }
        var byItself = MovesByItself(now.Design);
        return One(
            now,
            byItself ? Duration.None : Durations.AtDevice,
            l => byItself ? l : l with { Touched = [.. l.Touched.Append(Device).Distinct()] },
            new Rewire(new JoinWifi(Device, Wifi))
        );
    }

    /// <summary>
    /// Whether nothing is done at the device: between boxes of one name with one password it moves by itself, once it is out and back or
    /// stands nearer.
    /// </summary>
    internal bool MovesByItself(Design design) =>
        Wifi is not null
        && design.SetUp.Devices.FirstOrDefault(d => d.Device == Device)?.Wifi is { } known
        && (known.Name, known.Password) == (Wifi.Name, Wifi.Password);

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        Wifi is null
            ? $"{design.NameOf(Device)} forgets its Wi-Fi"
            : $"{design.NameOf(Device)} joins \"{Wifi.Name}\" at {design.NameOf(Wifi.Box)}";
}
