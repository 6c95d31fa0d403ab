using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Sets which Wi-Fi a device remembers and beside which box it stands; none to forget it.</summary>
public sealed record JoinWifi(string Device, WifiJoin? Wifi) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Device(design, Device, setting => Wifi switch
            {
                null => setting with { Wifi = null },
                { Box: var box } when design.Box(box) is null => Parsed<DeviceSetting>.Fail($"There is no box '{Ipv4Address.Shown(box)}'."),
                _ => Edit.Unless(
                    PageChecks.WrongNetworkName(Wifi.Name) ?? PageChecks.WrongKeyReference(Wifi.Password),
                    setting with
                    {
                        Wifi = Wifi,
                    }
                ),
            });

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        Wifi is null
            ? $"{design.NameOf(Device)} forgets its Wi-Fi"
            : $"{design.NameOf(Device)} joins \"{Wifi.Name}\" at {design.NameOf(Wifi.Box)}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Device];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => Edit.DeviceTouches(design, Device, Setting.DeviceWifi);
}
