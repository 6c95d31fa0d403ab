using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning.Moves;

/// <summary>How the customer's devices get into the network.</summary>
internal static class DeviceMoves
{
    /// <summary>Every way to connect a device that is connected to nothing.</summary>
    public static IEnumerable<Design> Of(Design design, HomeName? name)
    {
        foreach (var setting in design.SetUp.Devices.OrderBy(d => d.Device, StringComparer.Ordinal))
        {
            if (setting.Wifi is not null || design.Device(setting.Device) is not { } device || IsCabled(design, setting.Device))
            {
                continue;
            }
            if (device.HasSocket != Known.No)
            {
                foreach (var supply in Supply.To(design, device.Place, name))
                {
                    if (supply.Into(PortRef.OfDevice(device.Id)).Made is { } plugged)
                    {
                        yield return plugged;
                    }
                }
            }
            // What has a socket and was never in a Wi-Fi may have none.
            if (device.HasSocket != Known.Yes && name is not null && Best(design, device, name.Name, name.Password) is { } air)
            {
                if (new Draft(design).Do(new JoinWifi(device.Id, new(air.Box, air.Setting.Name, name.Password))).Made is { } joined)
                {
                    yield return joined;
                }
            }
        }
    }

    private static bool IsCabled(Design design, string device) => design.SetUp.Cables.Any(c => c.Ends(device));

    /// <summary>
    /// The home with every device by the box that it would be at: where it was found while that serves it, else the strongest that sends
    /// the name that it knows; one whose name none sends any more gets the home's.
    /// </summary>
    public static Design Settled(Design design, PlanTask task)
    {
        var settings = design.SetUp.Devices.Select(d => Settled(design, d, At(task.Found, d.Device), task.Name)).ToList();
        return settings.SequenceEqual(design.SetUp.Devices) ? design : design with { SetUp = design.SetUp with { Devices = settings } };
    }

    private static string? At(Design found, string device) => found.SetUp.Devices.FirstOrDefault(d => d.Device == device)?.Wifi?.Box;

    private static DeviceSetting Settled(Design design, DeviceSetting setting, string? at, HomeName? name)
    {
        if (setting.Wifi is not { } wifi || design.Device(setting.Device) is not { } device || IsCabled(design, setting.Device))
        {
            return setting;
        }
        var known = Best(design, device, wifi.Name, wifi.Password, at);
        return known is not null ? setting with { Wifi = wifi with { Box = known.Box } }
            : name is not null && Best(design, device, name.Name, name.Password) is { } air
                ? setting with
                {
                    Wifi = new(air.Box, name.Name, name.Password),
                }
            : setting;
    }

    /// <summary>Who sends a name and is heard best by a device; the one where it is, while that is strong enough.</summary>
    private static Air? Best(Design design, Device device, string name, string? password, string? today = null)
    {
        var (signals, place) = (new Signals(design), design.Site.Place(device.Place));
        var heard = Air.Of(design)
            .Where(a => a.Setting.Name == name && a.Setting.Password == password)
            .Where(a => device.Bands.Count == 0 || device.Bands.Contains(a.Radio.Band))
            .Select(a => (Air: a, Dbm: place is null ? null : signals.Of(a, place)?.Dbm))
            .ToList();
        return heard.Where(h => h.Air.Box == today && (h.Dbm is null or >= SignalLevel.ForCallsDbm)).Select(h => h.Air).FirstOrDefault()
            ?? heard
                .OrderByDescending(h => h.Dbm ?? double.MinValue)
                .ThenBy(h => h.Air.Box, StringComparer.Ordinal)
                .Select(h => h.Air)
                .FirstOrDefault();
    }
}
