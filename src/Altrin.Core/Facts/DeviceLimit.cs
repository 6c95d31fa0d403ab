using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>A device in use that does not get into every Wi-Fi, by what is noted of it.</summary>
/// <param name="Device">The device.</param>
/// <param name="Bands">The bands that it knows, where 5 GHz is not one of them; empty where that is no matter.</param>
/// <param name="NewestSecurity">The newest protection that it knows, where that is older than WPA3; null where that is no matter.</param>
/// <param name="Oldest">Whether it is so old that all others announce their frames for it.</param>
public sealed record DeviceLimit(string Device, IReadOnlyList<RadioBand> Bands, WifiSecurity? NewestSecurity, bool Oldest)
{
    /// <summary>Those of a home, by device.</summary>
    public static IReadOnlyList<DeviceLimit> Of(Design design) =>
        [
            .. design
                .SetUp.Devices.Select(d => design.Device(d.Device))
                .OfType<Device>()
                .Select(d => new DeviceLimit(
                    d.Id,
                    d.Bands.Contains(RadioBand.Ghz5) ? [] : d.Bands,
                    d.NewestSecurity < WifiSecurity.Wpa2Wpa3 ? d.NewestSecurity : null,
                    d.Generation == WifiGeneration.B
                ))
                .Where(l => l.Bands.Count > 0 || l.NewestSecurity is not null || l.Oldest)
                .OrderBy(l => l.Device, StringComparer.Ordinal),
        ];
}
