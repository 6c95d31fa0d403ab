using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A device of the 54 Mb/s class shares the Wi-Fi of a box with others, or a box of that class sends for them.</summary>
public static class SlowRelic
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "slow-relic",
            "slows all others",
            "A device of the 54 Mb/s class is in the Wi-Fi of a box that others use, or a box of that class sends for devices.",
            "What is sent to it takes many times the airtime of the same for a newer device, and all others on the radio wait meanwhile.",
            "IEEE 802.11, one sender at a time; 20 to 25 Mb/s of 54: common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        var sold = e.Design.Site.Service.DownMbps;
        foreach (var joined in e.Design.SetUp.Devices.Where(d => d.Wifi is not null && IsIn(e, d.Device)).GroupBy(d => d.Wifi!.Box))
        {
            var radios = e.Design.Box(joined.Key)?.Profile.Radios ?? [];
            var names = joined.Select(d => d.Device).Order(StringComparer.Ordinal).ToList();
            if (radios.Count > 0 && radios.All(r => r.Generation.IsRelic()) && !(sold <= MediumRates.RelicRadioMbps))
            {
                yield return e.Finding(
                    Rule,
                    [joined.Key],
                    $"{e.Name(joined.Key)} sends Wi-Fi of the 54 Mb/s class",
                    $"{(names.Count == 1 ? $"{e.Name(names[0])} gets" : $"{names.Count} devices share")} at most {MediumRates.RelicRadioMbps} Mb/s there, however near they are.",
                    [],
                    ["Switch its radios off and use it for its cable ports, or use another box where Wi-Fi is wanted."]
                );
                continue;
            }
            foreach (var old in names.Where(d => e.Design.Device(d)!.Generation.IsRelic() && names.Count > 1))
            {
                yield return e.Finding(
                    Rule,
                    [old],
                    $"{e.Name(old)} knows Wi-Fi of the 54 Mb/s class only, and shares the Wi-Fi of {e.Name(joined.Key)} with {names.Count - 1} more",
                    "While it is busy, the others on its band are slow.",
                    [],
                    ["Give it a cable where it has a socket, or let the others use 5 GHz: it is at 2.4 GHz alone then."]
                );
            }
        }
    }

    private static bool IsIn(Evidence e, string device) => e.Network.Links.Any(l => l.A.Owner == device && l.Cable is null && !l.IsRadio);
}
