using Altrin.Core.Changes;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A radio is set to the region of another country, or boxes of one home to different ones.</summary>
public static class RegionWrong
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "region-wrong",
            "wrong region",
            "A box is set to the region of another country than the home stands in, or boxes of one home to those of different ones.",
            "Channels and powers follow the region: what is sent may be forbidden here, and devices made for the country may not find it.",
            "common practice; local law decides",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        var noted = e.Rates.Airs.DistinctBy(a => (a.Box, a.Radio.Id)).Where(a => a.Setting.Region is not null).ToList();
        if (e.Design.Site.Country is not { } country)
        {
            return noted.Select(a => a.Setting.Region!).Distinct().Order(StringComparer.Ordinal).ToList() is { Count: > 1 } several
                ?
                [
                    e.Finding(
                        Rule,
                        noted.Select(a => $"{a.Box}/{a.Radio.Id}"),
                        $"Boxes are set to the regions of {string.Join(" and ", several)}",
                        "One of them at least is not the country that the home stands in.",
                        [],
                        ["Note the country of the home, then set each box to it."]
                    ),
                ]
                : [];
        }
        return noted
            .Where(a => a.Setting.Region != country && a.SetAt.Box == a.Box)
            .Select(a =>
                e.Finding(
                    Rule,
                    [$"{a.Box}/{a.Radio.Id}"],
                    $"{e.Name(a.Box)} is set to region {a.Setting.Region} at {BandWords.Of(a.Radio.Band)}, and the home stands in {country}",
                    "It may send on channels or with a power that the law does not allow here.",
                    [
                        Cures.Hopeful(
                            $"Set {BandWords.Of(a.Radio.Band)} of {e.Name(a.Box)} to region {country}",
                            new SetRadio(a.Box, a.Radio.Id, Partial<RadioSetting>.With(r => r.Region, country))
                        ),
                    ],
                    ["A box bought for another country may not let it be set: it is not to send here then."]
                )
            );
    }
}
