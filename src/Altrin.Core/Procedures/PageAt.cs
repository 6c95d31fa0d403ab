using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>A page of a box in the mode that it is in.</summary>
/// <param name="Area">Where it is, in general words.</param>
/// <param name="Sets">What is saved together on it, among what the mode has.</param>
/// <param name="Restarts">Whether saving it restarts the box.</param>
/// <param name="DropsWifi">Whether saving it takes the box's Wi-Fi away for a while.</param>
/// <param name="Takes">From saving until it is in force.</param>
public sealed record PageAt(string Area, IReadOnlyList<Setting> Sets, Known Restarts, Known DropsWifi, Duration Takes)
{
    private static readonly Setting[] WifiKey = [Setting.WifiSecurity, Setting.WifiPassword];

    /// <summary>Whether it was noted of the kind; otherwise it is the page that every box is taken to have for one setting.</summary>
    public bool Noted { get; init; }

    /// <summary>
    /// The page on which a box sets something in a mode; null where no page does: an application does, or the mode has no such setting.
    /// What no page of its profile names is taken to be saved by itself, with a restart (the cautious reading); the security of Wi-Fi
    /// together with its password, which no box saves apart (common practice).
    /// </summary>
    public static PageAt? Of(Profile profile, ModeKind mode, Setting setting)
    {
        var here = ModeSettings.OnPages(mode).ToList();
        if (!here.Contains(setting) || HasNone(profile) || IsInApp(profile, setting))
        {
            return null;
        }
        SettingsPage? Named(Setting of) =>
            profile.Traits.Pages?.FirstOrDefault(p => p.Sets.Contains(of) && p.Modes?.Contains(mode) != false);
        var page = Named(setting) ?? (Beside(setting) is { } other ? Named(other) : null);
        if (page is null)
        {
            Setting[] own = WifiKey.Contains(setting) ? [.. WifiKey.Where(s => Named(s) is null && !IsInApp(profile, s))] : [setting];
            return new(SettingWords.Of(own[0]), own, Known.Yes, Known.Yes, Durations.SaveAndRestart(profile));
        }
        return new(
            page.Area,
            [.. page.Sets.Append(setting).Distinct().Where(here.Contains)],
            page.Restarts,
            // What has nothing to do with the radios leaves them alone (common practice).
            page.DropsWifi == Known.Unknown
            && !page.Sets.Any(IsOfAir)
                ? Known.No
                : page.DropsWifi,
            Duration.Of(page.SaveSeconds, page.Restarts == Known.No ? Durations.Save : Durations.SaveAndRestart(profile))
        )
        {
            Noted = true,
        };
    }

    /// <summary>Whether a kind has no page at all: a plain switch, or one that only an application sets.</summary>
    public static bool HasNone(Profile profile) =>
        profile.Traits.Pages is { Count: 0 }
        || (
            profile.Traits.Pages is null
            && profile is { FactoryAddress: null, Kind: BoxKind.Switch or BoxKind.Powerline or BoxKind.Coax or BoxKind.Injector }
        );

    /// <summary>Whether something is set with an application on a telephone only.</summary>
    public static bool IsInApp(Profile profile, Setting setting) => profile.Traits.App?.Sets.Contains(setting) == true;

    /// <summary>From where the pages of a kind open; by a LAN cable only where that was not found out.</summary>
    public static IReadOnlyList<PageSide> Sides(Profile profile) => profile.Traits.PageSides ?? [PageSide.Cable];

    /// <summary>
    /// What is not known of the pages of a kind, in words: settings that no page names, saves whose effect is not known, and
    /// what modes and a reset clear. Empty for a kind without pages.
    /// </summary>
    public static IReadOnlyList<string> NotKnown(Profile profile)
    {
        if (HasNone(profile))
        {
            return [];
        }
        var pages = profile.Traits.Pages ?? [];
        var named = pages.SelectMany(p => p.Sets).Concat(profile.Traits.App?.Sets ?? []).ToHashSet();
        return
        [
            .. profile
                .Modes.SelectMany(ModeSettings.OnPages)
                .Where(s => CanHave(profile, s))
                .Distinct()
                .Order()
                .Where(s => !named.Contains(s))
                .Select(s => $"page of: {SettingWords.Of(s)}"),
            .. pages.Where(p => p.Restarts == Known.Unknown).Select(p => $"{p.Area}: whether a save restarts the box"),
            .. pages
                .Where(p => p.Restarts != Known.Yes && p.DropsWifi == Known.Unknown && profile.Radios.Count > 0 && p.Sets.Any(IsOfAir))
                .Select(p => $"{p.Area}: whether a save drops Wi-Fi"),
            .. profile.Modes.Count < 2
                ? []
                : profile
                    .Modes.Where(m => profile.Traits.Effects?.FirstOrDefault(e => e.Mode == m)?.Clears is null)
                    .Select(m => $"what {ModeWords.Of(m)} mode clears"),
            .. BoxReset.Kept(profile).Count > 1 ? ["what comes back after a reset"] : Array.Empty<string>(),
            .. profile.Traits.PageSides is null ? ["from where its pages open"] : Array.Empty<string>(),
        ];
    }

    /// <summary>
    /// Whether a kind can have a setting that some page names: not every router passes its address on, joins by radio or knows WDS, and
    /// further names and the region stand beside others.
    /// </summary>
    private static bool CanHave(Profile profile, Setting setting) =>
        setting switch
        {
            Setting.Mode => profile.Modes.Count > 1,
            Setting.Passing => profile.Passes.Count > 0,
            Setting.WdsPeers => profile.Radios.Any(r => r.FourAddress == Known.Yes),
            Setting.FurtherNames or Setting.Region => false,
            Setting.Uplink => profile.Modes.Any(m => m is ModeKind.Repeater or ModeKind.WirelessBridge),
            _ => profile.Radios.Count > 0 || !IsOfAir(setting),
        };

    /// <summary>
    /// What stands on one page with something that no page names: further names with the first one, the region with the channel (common
    /// practice); null for everything else.
    /// </summary>
    private static Setting? Beside(Setting setting) =>
        setting switch
        {
            Setting.FurtherNames => Setting.WifiName,
            Setting.Region => Setting.Channel,
            _ => null,
        };

    private static bool IsOfAir(Setting setting) => ModeSettings.Radio.Contains(setting) || setting is Setting.Guest or Setting.Uplink;
}
