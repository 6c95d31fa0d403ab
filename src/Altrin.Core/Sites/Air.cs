namespace Altrin.Core.Sites;

/// <summary>A name on the air: what one radio of one box sends.</summary>
/// <param name="Box">Whose.</param>
/// <param name="Radio">Which of its radios.</param>
/// <param name="Setting">What it sends.</param>
/// <param name="Guest">Whether it is the box's name for guests.</param>
/// <param name="SetAt">Where it is set: the box itself and its setting, or those of the main node of its kit.</param>
public sealed record Air(string Box, BoxRadio Radio, RadioSetting Setting, bool Guest, (string Box, RadioSetting Setting) SetAt)
{
    /// <summary>Whether it is a name beside the first one of its radio.</summary>
    public bool Further { get; init; }

    /// <summary>What every box of a set-up sends, by box, as set there.</summary>
    public static IReadOnlyList<Air> Of(Design design) =>
        [.. design.SetUp.Boxes.OrderBy(b => b.Box, StringComparer.Ordinal).SelectMany(b => Of(design, b.Box))];

    /// <summary>Whether a gateway's Wi-Fi is off since it passes its address on.</summary>
    public static bool IsOffWhilePassing(Design design, string gateway) =>
        design.Mode(gateway) is RouterMode { Passing: not null } && design.Box(gateway)?.Profile.Habits.WifiOffWhilePassing == Known.Yes;

    /// <summary>
    /// Whether a name is that of a point-to-point link and no Wi-Fi of the home: a box that can be a bridge itself sends it, bridges join
    /// it, and no device does (common practice).
    /// </summary>
    public static bool IsLink(Design design, string id, string name) =>
        design.Mode(id) is AccessPointMode
        && design.Box(id)!.Profile.Modes.Contains(ModeKind.WirelessBridge)
        && design.SetUp.Boxes.Any(b => b.Mode is WirelessBridgeMode { Link: var link } && link.Box == id && link.Name == name)
        && design.SetUp.Devices.All(d => d.Wifi is not { } wifi || wifi.Box != id || wifi.Name != name);

    /// <summary>
    /// What a box sends: its own radios, or its main node's where a mesh kit manages it; nothing while its radios are off.
    /// </summary>
    public static IReadOnlyList<Air> Of(Design design, string id)
    {
        var (box, mode) = (design.Box(id), design.Mode(id));
        if (box is null || mode is null || IsOffWhilePassing(design, id))
        {
            return [];
        }
        var settings = mode is SatelliteMode satellite
            ? Managed(design, box, satellite)
            : from setting in mode.Radios
            from radio in box.Profile.Radios.Where(r => r.Id == setting.Radio).Take(1)
            select new Air(id, radio, setting, false, (id, setting));
        var (name, security, key) = mode switch
        {
            RouterMode { Guest: { } guest } => (guest.Name, guest.Security, guest.Password),
            AccessPointMode { Guest: { } guest } => (guest.Name, guest.Security, guest.Password),
            _ => ((string?)null, default(WifiSecurity), (string?)null),
        };
        var own = settings.Where(a => a.Setting.On).SelectMany(WithFurther).ToList();
        return name is null
            ? own
            :
            [
                .. own,
                .. own.DistinctBy(a => a.Radio.Id)
                    .Select(a => a with { Setting = a.Setting with { Name = name, Security = security, Password = key }, Guest = true }),
            ];
    }

    /// <summary>What a radio sends under its first name, and the same under each further one.</summary>
    private static IEnumerable<Air> WithFurther(Air first) =>
        first
            .Setting.FurtherNames.OrderBy(n => n.Name, StringComparer.Ordinal)
            .Select(n =>
                first with
                {
                    Setting = first.Setting with { Name = n.Name, Security = n.Security, Password = n.Password },
                    Further = true,
                }
            )
            .Prepend(first);

    /// <summary>A satellite sends on each band that it has what its main node sends there.</summary>
    private static IEnumerable<Air> Managed(Design design, Box box, SatelliteMode satellite) =>
        design.Box(satellite.Main) is not { } main
            ? []
            : from radio in box.Profile.Radios
            from setting in design.Mode(satellite.Main)?.Radios ?? []
            where main.Profile.Radios.FirstOrDefault(r => r.Id == setting.Radio)?.Band == radio.Band
            select new Air(box.Id, radio, setting with { Radio = radio.Id }, false, (satellite.Main, setting));
}
