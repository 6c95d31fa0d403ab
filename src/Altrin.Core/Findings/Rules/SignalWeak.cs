using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A device is in a Wi-Fi that it surely hears too weakly where it usually is.</summary>
public static class SignalWeak
{
    /// <summary>Another box has to be heard so much better to be worth a word, in dB (common practice).</summary>
    private const double WorthDb = 6;

    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "signal-weak",
            "too weak there",
            "A device is in the Wi-Fi of a box that it hears at less than -70 dBm where it usually is.",
            "Pages open slowly, calls break off, and what is sent to it slowly takes airtime from all others.",
            "common practice; levels as under Speed and air",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        foreach (var link in e.Sheet.Links.Where(l => l.Kind == LinkKind.Wifi))
        {
            if (
                link.Signal is not { Basis: > LevelBasis.Distance } level
                || level.Reaches(SignalLevel.LimitDbm) != Known.No
                || e.Design.Device(link.A.Owner) is not { } device
                || e.Design.Site.Place(device.Place) is not { } place
            )
            {
                continue;
            }
            yield return e.Finding(
                Rule,
                [device.Id],
                $"{device.Name} hears {e.Name(link.B.Owner)} in {place.Name} at {LevelWords.Of(level)}",
                "Pages open slowly there and calls break off; -67 dBm is wanted for calls.",
                Nearer(e, device, place, link.B.Owner, level),
                [
                    level.Basis == LevelBasis.Measured
                        ? "Move the box nearer, or give the room an access point, a repeater half-way, or a cable."
                        : "Measure there before anything is bought: it is computed. Then a box nearer by, an access point, or a cable.",
                ]
            );
        }
    }

    /// <summary>Another box that sends the same name and is heard better there.</summary>
    private static IEnumerable<Remedy> Nearer(Evidence e, Device device, Place place, string box, SignalLevel level)
    {
        var wifi = e.Design.SetUp.Devices.First(d => d.Device == device.Id).Wifi!;
        return e
            .Rates.Airs.Where(a => a.Box != box && a.Setting.Name == wifi.Name && a.Setting.Password == wifi.Password)
            .Where(a => device.Bands.Count == 0 || device.Bands.Contains(a.Radio.Band))
            .Select(a => (a.Box, Level: e.Rates.Signals.Of(a, place)))
            .Where(a => a.Level is { } other && other.Dbm >= level.Dbm + WorthDb && other.Reaches(SignalLevel.LimitDbm) != Known.No)
            .OrderByDescending(a => a.Level!.Dbm)
            .ThenBy(a => a.Box, StringComparer.Ordinal)
            .Take(1)
            .Select(a => Cures.Hopeful($"Let {device.Name} use {e.Name(a.Box)}", new JoinWifi(device.Id, wifi with { Box = a.Box })));
    }
}
