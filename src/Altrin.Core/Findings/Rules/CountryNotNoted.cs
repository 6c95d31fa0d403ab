using Altrin.Core.Radio;

namespace Altrin.Core.Findings.Rules;

/// <summary>A radio is set to a channel that not every country allows, and the country is not noted.</summary>
public static class CountryNotNoted
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "country-not-noted",
            "country not noted",
            "A radio is set to a channel that is not allowed everywhere, and the country of the home is not noted.",
            "Which channels, powers and outdoor uses are allowed is the law of the country; devices leave out channels that theirs does not know.",
            "wireless-regdb 2026.05.30; local law decides",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Design.Site.Country is not null
            ? []
            : e
                .Sending.Select(r =>
                    (r.Box, r.Setting, Band: e.Design.Box(r.Box)?.Profile.Radios.FirstOrDefault(x => x.Id == r.Setting.Radio)?.Band)
                )
                .Where(r => r is { Setting.Channel: { } channel, Band: { } band } && !IsCommon(band, channel))
                .Select(r =>
                    e.Finding(
                        Rule,
                        [$"{r.Box}/{r.Setting.Radio}"],
                        $"{e.Name(r.Box)} sends on channel {r.Setting.Channel} at {BandWords.Of(r.Band!.Value)}, and the country of the home is not noted",
                        "Devices that do not know the channel do not see the name; the channel may not be allowed.",
                        [],
                        [
                            "Note the country in the survey, and compare the channels that the box offers for it on its page. The country that is set on the box is the one it stands in, never another.",
                        ]
                    )
                );

    /// <summary>Whether nearly every country allows a channel, as 1 to 11 at 2.4 GHz and 36 to 48 at 5 GHz.</summary>
    private static bool IsCommon(RadioBand band, int channel) =>
        ChannelBlock.Of(band, channel, Channels.NarrowMhz) is { } block && CountryRules.IsUsual(block);
}
