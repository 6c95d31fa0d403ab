using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>A name on the air: what one radio of one box sends.</summary>
/// <param name="Box">Whose.</param>
/// <param name="Radio">Which of its radios.</param>
/// <param name="Setting">What it sends.</param>
/// <param name="Guest">Whether it is the box's name for guests.</param>
public sealed record Air(string Box, Radio Radio, RadioSetting Setting, bool Guest)
{
    /// <summary>What a box sends: its own radios, or its main node's where a mesh kit manages it; nothing while its radios are off.</summary>
    public static IReadOnlyList<Air> Of(Design design, string id)
    {
        var (box, mode) = (design.Box(id), design.Mode(id));
        var settings = mode is SatelliteMode satellite ? Managed(design, box!, satellite) : mode?.Radios ?? [];
        var (name, security, key) = mode switch
        {
            RouterMode { Guest: { } guest } => (guest.Name, guest.Security, guest.Key),
            AccessPointMode { Guest: { } guest } => (guest.Name, guest.Security, guest.Key),
            _ => ((string?)null, default(WifiSecurity), (string?)null),
        };
        if (box is null || Passer.TurnsWifiOff(design, id))
        {
            return [];
        }
        var own = settings.Where(s => s.On && box.Profile.Radios.Any(r => r.Id == s.Radio)).Select(s => new Air(id, box.Profile.Radios.First(r => r.Id == s.Radio), s, false)).ToList();
        return name is null ? own : [.. own, .. own.Select(a => a with { Setting = a.Setting with { Name = name, Security = security, Key = key }, Guest = true })];
    }

    /// <summary>A satellite sends on each band that it has what its main node sends there.</summary>
    private static IEnumerable<RadioSetting> Managed(Design design, Box box, SatelliteMode satellite) => design.Box(satellite.Main) is not { } main ? []
        : from radio in box.Profile.Radios
          from setting in design.Mode(satellite.Main)?.Radios ?? []
          where main.Profile.Radios.FirstOrDefault(r => r.Id == setting.Radio)?.Band == radio.Band
          select setting with { Radio = radio.Id };
}
