using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Radio;

namespace Altrin.Core.Findings.Rules;

/// <summary>A device finds its Wi-Fi on no band that it knows: mostly one of 2.4 GHz only, where the name is sent at 5 GHz.</summary>
public static class BandMissing
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.BandMissing,
            "band not sent",
            "A device looks for a name that is sent on no band that it knows.",
            "It never finds the Wi-Fi, however near it is: small devices often know 2.4 GHz only.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Network.Refusals.Where(r => r.Why == RefusalReason.BandMissing)
            .Select(r =>
                e.Finding(
                    Rule,
                    [r.Device],
                    $"{e.Name(r.Device)} knows {Bands(e.Design.Device(r.Device)?.Bands ?? [])} only, and {e.Name(r.Wifi.Box)} sends \"{r.Wifi.Name}\" at {Bands(Sent(e, r))} only",
                    "It never finds the Wi-Fi, however near it is.",
                    [.. There(e, r), .. Elsewhere(e, r)],
                    ["Small devices often know 2.4 GHz only: send the name there too, with WPA2."]
                )
            );

    private static IReadOnlyList<RadioBand> Sent(Evidence e, WifiRefusal refusal) =>
        [.. e.Rates.Airs.Where(a => a.Box == refusal.Wifi.Box && a.Setting.Name == refusal.Wifi.Name).Select(a => a.Radio.Band).Distinct()];

    private static string Bands(IReadOnlyList<RadioBand> bands) => string.Join(" and ", bands.Order().Select(BandWords.Of));

    /// <summary>The name is sent on a band that the device knows too.</summary>
    private static IEnumerable<Remedy> There(Evidence e, WifiRefusal refusal)
    {
        var box = refusal.Wifi.Box;
        if (e.Sending.FirstOrDefault(r => r.Box == box && r.Setting.Name == refusal.Wifi.Name).Setting is not { } sent)
        {
            return [];
        }
        var known = e.Design.Device(refusal.Device)?.Bands ?? [];
        return from radio in e.Design.Mode(box)?.Radios ?? []
            from own in e.Design.Box(box)!.Profile.Radios
            where own.Id == radio.Radio && known.Contains(own.Band)
            select Cures.Hopeful(
                $"Send \"{sent.Name}\" of {e.Name(box)} on {BandWords.Of(own.Band)} too",
                SetRadio.Between(box, radio, radio with { On = true, Name = sent.Name, Security = sent.Security, Password = sent.Password })
            );
    }

    /// <summary>It joins another name of the box, or another box, on a band that it knows.</summary>
    private static IEnumerable<Remedy> Elsewhere(Evidence e, WifiRefusal refusal) =>
        e
            .Rates.Airs.Where(a => !a.Guest && e.Design.Device(refusal.Device)?.Bands.Contains(a.Radio.Band) == true)
            .OrderBy(a => a.Box != refusal.Wifi.Box)
            .ThenBy(a => a.Setting.Name != refusal.Wifi.Name)
            .ThenBy(a => a.Box, StringComparer.Ordinal)
            .DistinctBy(a => (a.Box, a.Setting.Name))
            .Take(3)
            .Select(a =>
                Cures.Hopeful(
                    $"Let {e.Name(refusal.Device)} join \"{a.Setting.Name}\" at {e.Name(a.Box)}",
                    new JoinWifi(refusal.Device, new(a.Box, a.Setting.Name, a.Setting.Password))
                )
            );
}
