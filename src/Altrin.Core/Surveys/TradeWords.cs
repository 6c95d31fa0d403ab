using System.Globalization;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// Words by which installers call a kind of box beside its name on the shelf, worked out from what it can do (common practice), so that
/// they fit entries of one's own too.
/// </summary>
internal static class TradeWords
{
    private static readonly string[] Numbers = ["zero", "one", "two", "three", "four", "five", "six", "seven", "eight"];

    /// <summary>Words that say nothing of a kind.</summary>
    private static readonly HashSet<string> Fillers = ["a", "an", "the", "with", "for", "of", "and", "in", "box", "unit", "device"];

    /// <summary>A text as words in small letters; what says nothing is left out, unless nothing else is there.</summary>
    public static List<string> Split(string text)
    {
        var all = string.Concat(text.ToLowerInvariant().Replace("wi-fi", "wifi", StringComparison.Ordinal).Select(Kept))
            .Split(' ', StringSplitOptions.RemoveEmptyEntries)
            .ToList();
        return all.Exists(w => !Fillers.Contains(w)) ? [.. all.Where(w => !Fillers.Contains(w))] : all;
    }

    /// <summary>What a kind is also called, by all that it can be.</summary>
    public static IReadOnlyList<string> Of(Profile profile) => Of(profile, profile.Modes);

    /// <summary>What a kind is called by what it is first, such as an access point rather than a router that can be one.</summary>
    public static IReadOnlyList<string> OfFirst(Profile profile) => Of(profile, [.. profile.Modes.Take(1)]);

    private static List<string> Of(Profile profile, IReadOnlyList<ModeKind> modes)
    {
        var lans = profile.Ports.Count(p => p.Role == PortRole.Lan);
        var power = profile.Traits.Power;
        List<string> words = [.. Split(profile.Name), .. Split(profile.ShelfId), .. Split(KindWords(profile.Kind))];
        void Also(bool when, string more) => words.AddRange(when ? more.Split(' ') : []);
        Also(profile.Kind == BoxKind.Gateway && profile.Modes.All(m => m == ModeKind.Bridge), "ont terminal converter");
        Also(modes[0] == ModeKind.Repeater, "repeater extender booster range wifi");
        // A router without a port towards the home repeats, and is that first where it can be nothing else.
        Also(
            modes.Count == profile.Modes.Count && profile.Kind == BoxKind.Router && profile.Ports.All(p => p.Role == PortRole.Wan),
            "repeater extender booster wifi"
        );
        Also(modes.Contains(ModeKind.AccessPoint), "ap access point");
        Also(modes.Contains(ModeKind.WirelessBridge), "wireless bridge client cpe antenna link");
        Also(modes.Contains(ModeKind.Satellite), "satellite node pod point");
        Also(profile.Kit is not null, "mesh kit system wifi");
        Also(profile.Kit is not null && modes.Contains(ModeKind.Router), "base primary");
        Also(profile.Ports.Any(p => p.Kind == PortKind.Fibre), "fibre fiber optical");
        Also(profile.Ports.Any(p => p.Kind == PortKind.TelephoneLine), "dsl adsl vdsl phone telephone");
        Also(profile.Ports.Any(p => p.Kind == PortKind.Coax), "cable coax tv television");
        Also(
            profile.Kind == BoxKind.Gateway && profile.Ports.Any(p => p is { Role: PortRole.Wan, Kind: PortKind.Unknown }),
            "mobile lte 4g 5g sim"
        );
        Also(power?.Gives is not null || power?.Takes is not null, "poe power");
        Also(profile.Ports.Any(p => p.SpeedMbps == 1000), "gigabit");
        Also(profile.Traits.Outdoors == Known.Yes, "outdoor outside garden");
        Also(profile.Radios.Count > 0, "wifi wireless");
        Also(profile.Radios.Count > 1, "dual band");
        Also(profile.Kind == BoxKind.Switch && profile.Traits.Power is null, "unmanaged");
        Also(true, lans.ToString(CultureInfo.InvariantCulture));
        Also(lans < Numbers.Length, lans < Numbers.Length ? Numbers[lans] : "");
        Also(lans > 0, lans == 1 ? "port" : "port ports");
        return words;
    }

    private static string KindWords(BoxKind kind) =>
        kind switch
        {
            BoxKind.Gateway => "gateway modem hub isp provider router",
            BoxKind.Router => "router",
            BoxKind.AccessPoint => "",
            BoxKind.Switch => "switch hub splitter",
            BoxKind.Powerline => "powerline power line homeplug plc mains plug adapter",
            BoxKind.Coax => "coax cable television tv adapter",
            BoxKind.Injector => "injector poe midspan",
            _ => throw new ArgumentOutOfRangeException(nameof(kind)),
        };

    private static char Kept(char c) => char.IsLetterOrDigit(c) || c == '.' ? c : ' ';
}
