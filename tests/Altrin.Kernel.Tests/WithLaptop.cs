using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Kernel.Tests;

/// <summary>The installer's laptop built as one more device, or as two of one machine where both of its adapters are in use.</summary>
internal static class WithLaptop
{
    public static Design Of(Design design, Laptop laptop) =>
        new(
            design.Site with
            {
                Devices =
                [
                    .. design.Site.Devices,
                    .. laptop.Adapters().Select(a => new Device(a.Owner, "Laptop", DeviceKind.Computer, null)),
                ],
            },
            design.SetUp with
            {
                Devices =
                [
                    .. design.SetUp.Devices,
                    .. laptop
                        .Adapters()
                        .Select(a => new DeviceSetting(a.Owner, a.Address, a.Owner == Laptop.WifiId ? laptop.Wifi!.Join : null)),
                ],
                Cables = laptop.Cable?.Port is { } port
                    ? [.. design.SetUp.Cables, new("laptop-lead", port, PortRef.OfDevice(Laptop.CableId), CableFacts.NotLookedAt)]
                    : design.SetUp.Cables,
            }
        );
}
