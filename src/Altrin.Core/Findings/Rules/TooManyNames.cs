using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A radio of 2.4 GHz sends more than three names.</summary>
public static class TooManyNames
{
    /// <summary>How many names a radio of 2.4 GHz sends without much loss (common practice: three or four).</summary>
    public const int Most = 3;

    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "too-many-names",
            "too many names",
            "A radio sends more than three names at 2.4 GHz.",
            "Each name is announced ten times a second at the slowest rate: it takes about 2.5 % of the time, whether it is used or not.",
            "common practice; IEEE 802.11, beacons at 1 Mb/s (from memory)",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Rates.Use.Where(u => u is { Band: RadioBand.Ghz2, Names.Count: > Most })
            .Select(u =>
                e.Finding(
                    Rule,
                    [$"{u.Box}/{u.Radio}"],
                    $"{e.Name(u.Box)} sends {u.Names.Count} names at 2.4 GHz: {string.Join(", ", u.Names.Select(n => $"\"{n}\""))}",
                    $"Announcing them takes {u.Beacons * 100:0} % of the time of its channel, also from neighbours.",
                    Fewer(e, u),
                    ["Old devices can be served by one further name; whatever no device joins can go."]
                )
            );

    /// <summary>Takes off what no device joins, of the radio's own further names.</summary>
    private static IEnumerable<Remedy> Fewer(Evidence e, AirUse use)
    {
        if (e.Design.Mode(use.Box)?.Radios.FirstOrDefault(r => r.Radio == use.Radio) is not { FurtherNames.Count: > 0 } radio)
        {
            yield break;
        }
        var joined = e
            .Design.SetUp.Devices.Where(d => d.Wifi?.Box == use.Box)
            .Select(d => d.Wifi!.Name)
            .Concat(e.Design.SetUp.Boxes.Where(b => b.Mode.Joins?.Box == use.Box).Select(b => b.Mode.Joins!.Name))
            .ToHashSet(StringComparer.Ordinal);
        var (kept, gone) = (
            radio.FurtherNames.Where(n => joined.Contains(n.Name)).ToList(),
            radio.FurtherNames.Where(n => !joined.Contains(n.Name)).ToList()
        );
        if (gone.Count > 0)
        {
            yield return Cures.Hopeful(
                $"Take {string.Join(" and ", gone.Select(n => $"\"{n.Name}\""))} off {e.Name(use.Box)}: no device joins {(gone.Count == 1 ? "it" : "them")}",
                new SetRadio(use.Box, use.Radio, Partial<RadioSetting>.With(r => r.FurtherNames, (IReadOnlyList<FurtherName>)kept))
            );
        }
    }
}
