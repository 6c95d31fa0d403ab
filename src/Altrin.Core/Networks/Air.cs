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

/// <summary>Who gets a gateway's public address.</summary>
internal static class Passer
{
    /// <summary>Whether a gateway passes its public address to what is plugged into one of its ports by a cable.</summary>
    public static bool Passes(Design design, PortRef end, Cable cable)
    {
        if (design.Mode(end.Owner) is not RouterMode { Passing: { } passing } || design.Box(end.Owner)?.Profile.Port(end.Port) is not { Role: PortRole.Lan })
        {
            return false;
        }
        var other = cable.OtherEnd(end);
        return passing.Kind == PassKind.Port ? passing.Port == end.Port
            : design.Device(other.Owner) is { } device ? device.Hardware is { } own && own == passing.To
            : design.Box(other.Owner) is { } box && box.Profile.Port(other.Port)?.Role == PortRole.Wan && box.WanHardware is { } outer && outer == passing.To;
    }

    /// <summary>The cable by which a gateway's public address goes on; null where it goes nowhere.</summary>
    public static Cable? CableOf(Design design, string gateway) => design.Mode(gateway) is not RouterMode { Passing: not null } ? null
        : design.SetUp.Cables.FirstOrDefault(c => (c.A.Owner == gateway && Passes(design, c.A, c)) || (c.B.Owner == gateway && Passes(design, c.B, c)));

    public static bool TurnsWifiOff(Design design, string gateway) =>
        design.Mode(gateway) is RouterMode { Passing: not null } && design.Box(gateway)?.Profile.Habits.WifiOffWhilePassing == Known.Yes;
}
