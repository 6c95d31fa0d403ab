using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>A device or laptop at one end of a way.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Ability">What its Wi-Fi can do.</param>
/// <param name="Bands">The bands that it knows; empty for all.</param>
/// <param name="Name">The name that it is in the Wi-Fi of; null where it is in none.</param>
/// <param name="Place">Where it is; null where not noted.</param>
internal sealed record WifiClient(DeviceKind Kind, Ability Ability, IReadOnlyList<RadioBand> Bands, string? Name, Place? Place)
{
    /// <summary>The installer's laptop, of whose Wi-Fi nothing is noted.</summary>
    public static WifiClient Laptop(string? name, Place? place) =>
        new(DeviceKind.Laptop, new(WifiGeneration.Unknown, null, null), [], name, place);

    /// <summary>A device in its place, or the laptop of a network, whose place no network knows.</summary>
    public static WifiClient Of(Network network, string owner)
    {
        var design = network.Design;
        return design.Device(owner) is { } device
            ? new(
                device.Kind,
                Ability.Of(device),
                device.Bands,
                design.SetUp.Devices.FirstOrDefault(d => d.Device == owner)?.Wifi?.Name,
                design.Site.Place(device.Place)
            )
            : Laptop(network.Situation.Laptop?.Wifi?.Join.Name, null);
    }

    /// <summary>Whether it knows a band.</summary>
    public bool Knows(RadioBand band) => Bands.Count == 0 || Bands.Contains(band);
}
