using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>One setting of one subject.</summary>
/// <param name="Setting">Which.</param>
/// <param name="Of">Id of the box, device, cable, place, need or set-up that it is of; empty for the home itself.</param>
/// <param name="Part">Which of several, such as a radio, a MAC address or a member; empty for all of them.</param>
public readonly record struct Touch(Setting Setting, string Of, string Part = "")
{
    private static readonly HashSet<Setting> OfSite =
    [
        Setting.Box,
        Setting.Label,
        Setting.Profile,
        Setting.Device,
        Setting.Building,
        Setting.Place,
        Setting.Socket,
        Setting.Run,
        Setting.Need,
        Setting.Service,
        Setting.HomeName,
        Setting.Naming,
        Setting.Country,
    ];

    /// <summary>Whether touching this touches the other too: all parts of the same setting, or everything of what comes or goes.</summary>
    public bool Covers(Touch other) =>
        Setting == Setting.SetUp
            ? other.Setting == Setting.SetUp || !OfSite.Contains(other.Setting)
            : Of == other.Of
                && Setting switch
                {
                    Setting.InUse => other.Setting != Setting.Plugged && other.Setting != Setting.Cable && !OfSite.Contains(other.Setting),
                    Setting.Plugged => other.Setting is Setting.Plugged or Setting.Cable,
                    Setting.Box when Part.Length == 0 => other.Setting is Setting.Box or Setting.Label or Setting.Profile,
                    _ => Setting == other.Setting && (Part.Length == 0 || Part == other.Part),
                };
}
