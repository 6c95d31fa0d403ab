using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Notes a device of the customer, and how it hangs in the network today.</summary>
/// <param name="Device">The device; an empty id is made of its name.</param>
/// <param name="Address">How it comes by its address.</param>
/// <param name="Connection">How it is connected; where that was not said, it is put on the Wi-Fi of its building where there is
/// one.</param>
public sealed record AddDevice(Device Device, HostAddress Address, Connection Connection) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        var device = Device with
        {
            Id = Device.Id.Length > 0 ? Device.Id : Slugs.Of(Device.Name, home.Site.Uses, "device"),
            Name = Device.Name.Trim(),
        };
        return
            (
                SetDevice.Wrong(home.Site, device)
                ?? PageChecks.WrongHostAddress(Address)
                ?? Given.WrongNewId(home.Site, device.Id)
                ?? (home.Site.Devices.Count >= Site.MostDevices ? $"At most {Site.MostDevices:#,0} devices are kept." : null)
            )
                is { } wrong
            ? Parsed<HomeFile>.Fail(wrong)
            : home.With(home.Site with { Devices = [.. home.Site.Devices, device] })
                .InEach(
                    d => FirstUse.Of(d, device, Address, Connection),
                    d => FirstUse.Of(d, device, Address, new(Connection.Carrier(), null, null))
                );
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => $"{Device.Name} is noted";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf)
    {
        var id = Device.Id.Length > 0 ? Device.Id : Slugs.Of(Device.Name, home.Site.Uses, "device");
        return [new(Setting.Device, id), new(Setting.InUse, id), .. Given.Connected(home, ApplyTo(home, shelf))];
    }
}
