using Altrin.Core.Facts;
using Altrin.Core.Radio;

namespace Altrin.Core.Findings.Rules;

/// <summary>A radio is set to a channel or width that the country of the home does not allow.</summary>
public static class ChannelNotAllowed
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "channel-not-allowed",
            "channel not allowed",
            "A radio is set to a channel, or a width, that the country of the home does not allow.",
            "It may disturb others, and devices made for the country do not see the name.",
            "wireless-regdb 2026.05.30; local law decides",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        if (e.Design.Site.Country is not { } country || CountryRules.Of(country) is not { } rules)
        {
            yield break;
        }
        foreach (var air in e.Rates.Airs.DistinctBy(a => (a.Box, a.Radio.Id)))
        {
            if (AirUse.BlockOf(air) is not { } block || rules.Allowed(block) is not null)
            {
                continue;
            }
            var width = block.WidthMhz == Channels.NarrowMhz ? "" : $", {block.WidthMhz} MHz wide,";
            yield return e.Finding(
                Rule,
                [$"{air.Box}/{air.Radio.Id}"],
                $"{e.Name(air.Box)} sends on channel {block.Primary} at {BandWords.Of(block.Band)}{width} which {country} does not allow",
                "The box may be set to the region of another country: it is set to the one that it stands in, never another.",
                OtherChannel.For(e, air),
                ["Look at the region on its page. The list is a help and no legal advice: local law decides."]
            );
        }
    }
}
