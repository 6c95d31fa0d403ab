using Altrin.Core.Radio;

namespace Altrin.Core.Facts;

/// <summary>
/// What the devices on one radio leave to each other while all of them are busy: each sends as often as the others, so that the slow ones
/// take most of the time (known as the performance anomaly of 802.11).
/// </summary>
/// <param name="Box">The box.</param>
/// <param name="Radio">Its radio.</param>
/// <param name="EachMbps">What each gets, towards the device.</param>
/// <param name="WithoutSlowestMbps">What each of the others gets while the slowest is quiet.</param>
/// <param name="Devices">The devices, the one that takes most of the time first.</param>
public sealed record AirShare(string Box, string Radio, double EachMbps, double WithoutSlowestMbps, IReadOnlyList<AirShare.Taken> Devices)
{
    /// <summary>How many times its even share the slowest takes before the others notice (common practice).</summary>
    private const double Notable = 1.5;

    /// <summary>Whether the slowest takes so much of the time that the others notice.</summary>
    public bool IsUneven => Devices[0].Part * Devices.Count >= Notable;

    /// <summary>What one device takes.</summary>
    /// <param name="Device">The device.</param>
    /// <param name="AloneMbps">What it gets while the others are quiet.</param>
    /// <param name="Part">The part of the time that it takes while all are busy, 0 to 1.</param>
    public sealed record Taken(string Device, double AloneMbps, double Part);

    /// <summary>That of every radio on which two devices or more are expected, by box and radio.</summary>
    /// <param name="rates">How fast the devices are, each over the radio that is told of it.</param>
    public static IReadOnlyList<AirShare> Of(IEnumerable<RateFact> rates) =>
        [
            .. rates
                .Select(r => (Device: r.From, Part: r.Parts.Count > 0 ? r.Parts[0] : null))
                .Where(r => r.Part is { Kind: RatePartKind.Wifi, Radios.Far: not null } part && part.Down.Told > 0)
                .GroupBy(r => r.Part!.Radios.Far!.Value, r => (r.Device, Mbps: r.Part!.Down.Told))
                .Where(g => g.Count() > 1)
                .OrderBy(g => g.Key.Box, StringComparer.Ordinal)
                .ThenBy(g => g.Key.Radio, StringComparer.Ordinal)
                .Select(g => Of(g.Key, [.. g.OrderBy(d => d.Mbps).ThenBy(d => d.Device, StringComparer.Ordinal)])),
        ];

    private static AirShare Of((string Box, string Radio) at, List<(string Device, double Mbps)> slowestFirst)
    {
        var each = Airtime.EachMbps(slowestFirst.Select(d => d.Mbps));
        return new(
            at.Box,
            at.Radio,
            Math.Round(each, 1),
            Math.Round(Airtime.EachMbps(slowestFirst.Skip(1).Select(d => d.Mbps)), 1),
            [.. slowestFirst.Select(d => new Taken(d.Device, d.Mbps, each / d.Mbps))]
        );
    }
}
