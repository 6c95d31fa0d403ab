using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Corrects what is known of a device; what is not given stays.</summary>
public sealed record SetDevice(string Device, Partial<Device> Known) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        if (home.Site.Devices.FirstOrDefault(d => d.Id == Device) is not { } there)
        {
            return Parsed<HomeFile>.Fail($"There is no device '{Ipv4Address.Shown(Device)}'.");
        }
        var said = Known.On(there);
        return Edit.Unless(
            Wrong(home.Site, said),
            home.With(home.Site with { Devices = Given.With(home.Site.Devices, said with { Name = said.Name.Trim() }, d => d.Id) })
        );
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        $"What is known of {home.Site.Devices.FirstOrDefault(d => d.Id == Device)?.Name ?? Device} is corrected";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        [.. Known.Given.Select(m => new Touch(Setting.Device, Device, m))];

    internal static string? Wrong(Site site, Device device) =>
        Given.WrongName(device.Name)
        ?? Given.WrongPlace(site, device.Place)
        ?? Given.WrongMac(site, device.Id, device.Mac)
        ?? (device.Bands.Distinct().Count() < device.Bands.Count ? "A band is listed once." : null)
        ?? (
            device.Streams is { } streams and (< 1 or > WifiRate.MostStreams)
                ? $"{streams} streams: 1 to {WifiRate.MostStreams} are expected."
                : null
        );
}
