using Altrin.Core.Changes;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A radio of 2.4 GHz is set to 40 MHz while others are heard in that half of the band.</summary>
public static class WidthTooWide
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "width-too-wide",
            "no room so wide",
            "A radio is set to 40 MHz at 2.4 GHz while other networks are heard in that part of the band.",
            "The band has room for one such channel: boxes go back to 20 MHz while others send, or wait for all of them.",
            "IEEE 802.11, coexistence at 2.4 GHz (from memory); common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Rates.Use.Where(u => u is { Band: RadioBand.Ghz2, WidthMhz: > Channels.NarrowMhz, Disturbers.Count: > 0 })
            .Select(u =>
                e.Finding(
                    Rule,
                    [$"{u.Box}/{u.Radio}"],
                    $"{e.Name(u.Box)} is set to {u.WidthMhz} MHz at 2.4 GHz, where {(u.Disturbers.Count == 1 ? "another network is" : $"{u.Disturbers.Count} other networks are")} heard",
                    "What it gains while the air is quiet it loses while others send, and it takes from them.",
                    e.Rates.Airs.Any(a => a.Box == u.Box && a.Radio.Id == u.Radio && a.SetAt.Box == u.Box)
                        ?
                        [
                            Cures.Hopeful(
                                $"Set 2.4 GHz of {e.Name(u.Box)} to 20 MHz",
                                new SetRadio(u.Box, u.Radio, Partial<RadioSetting>.With(r => r.WidthMhz, (int?)Channels.NarrowMhz))
                            ),
                        ]
                        : [],
                    ["Speed is had at 5 GHz, where wide channels have room."]
                )
            );
}
