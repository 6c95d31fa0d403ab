using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A radio link within a house is on a channel on which radar comes first.</summary>
public static class RadarUnderLink
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "radar-under-link",
            "radar comes first",
            "Boxes of one house are joined by radio on a channel on which radar comes first.",
            "After each start the link listens for a minute, or ten, before it comes up; where radar was heard it moves or is away for half an hour.",
            "EN 301 893, 47 CFR 15.407 (from memory); wireless-regdb 2026.05.30",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        if (CountryRules.Of(e.Design.Site.Country) is not { } rules)
        {
            yield break;
        }
        foreach (var link in e.Network.RadioLinks.Where(l => !LeavesTheHouse(e, l)))
        {
            var joins = e.Design.Mode(link.Box)?.Joins;
            var band = e.Design.Box(link.Box)!.Profile.Radios.FirstOrDefault(r => r.Id == joins?.Radio)?.Band;
            var air = e.Rates.Airs.FirstOrDefault(a => a.Box == link.To && a.Setting.Name == joins?.Name && a.Radio.Band == band);
            if (air is null || AirUse.BlockOf(air) is not { } block || rules.Allowed(block) is not { Radar: true } allowed)
            {
                continue;
            }
            yield return e.Finding(
                Rule,
                [link.Box],
                $"{e.Name(link.Box)} is joined to {e.Name(link.To)} on channel {block.Primary}, where radar comes first",
                $"After each start of {e.Name(link.To)} what is behind {e.Name(link.Box)} waits {allowed.Wait.TotalMinutes:0} min, and {RadarWait.Away.TotalMinutes:0} min where radar was heard.",
                OtherChannel.For(e, air),
                ["Where no other channel is free enough it may stay: tell the household about the wait after a power cut."]
            );
        }
    }

    /// <summary>Outdoors many countries leave no other channels with the power that a link between buildings wants.</summary>
    private static bool LeavesTheHouse(Evidence e, RadioLink link) =>
        e.Design.Site.Place(e.Design.Setting(link.Box)?.Place) is { } here
        && e.Design.Site.Place(e.Design.Setting(link.To)?.Place) is { } there
        && (here.Building != there.Building || here.Kind == PlaceKind.Outdoors || there.Kind == PlaceKind.Outdoors);
}
