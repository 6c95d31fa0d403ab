using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings;

/// <summary>Questions about Wi-Fi names that several rules ask.</summary>
internal static class WifiNames
{
    /// <summary>
    /// Where what is sent is set, by box and radio: what a main node and the satellites of its kit send is set once, at the main node.
    /// Names for guests are left out.
    /// </summary>
    public static IReadOnlyList<(string Box, RadioSetting Setting)> Sending(Design design) =>
        [
            .. Air.Of(design)
                .Where(a => !a.Guest)
                .Select(a => a.SetAt)
                .Distinct()
                .OrderBy(r => r.Box, StringComparer.Ordinal)
                .ThenBy(r => r.Setting.Radio, StringComparer.Ordinal),
        ];

    /// <summary>The same without names of point-to-point links, which no device of the home is to join.</summary>
    public static IEnumerable<(string Box, RadioSetting Setting)> OfHome(Evidence e) =>
        e.Sending.Where(r => !Air.IsLink(e.Design, r.Box, r.Setting.Name));

    /// <summary>
    /// A radio sends the name, security and password of another, and whatever joins it by radio is told so: a box that is renamed alone
    /// strands its repeaters and bridges.
    /// </summary>
    public static IEnumerable<Change> Follow(Evidence e, (string Box, RadioSetting Setting) radio, RadioSetting like)
    {
        var knows = e.Design.Box(radio.Box)!.Profile.Radios.FirstOrDefault(r => r.Id == radio.Setting.Radio);
        var now = radio.Setting with
        {
            Name = like.Name,
            Security = knows?.Nearest(like.Security) ?? like.Security,
            Password = like.Password,
        };
        return [SetRadio.Between(radio.Box, radio.Setting, now), .. RadioFollowers.Links(e.Design, radio.Box, radio.Setting, now)];
    }

    /// <summary>Devices that remember one name take the name and key of a radio instead.</summary>
    public static IEnumerable<Change> Rejoin(Evidence e, string name, RadioSetting like) =>
        e
            .Design.SetUp.Devices.Where(d =>
                d.Wifi is { } wifi && wifi.Name == name && (wifi.Name != like.Name || wifi.Password != like.Password)
            )
            .OrderBy(d => d.Device, StringComparer.Ordinal)
            .Select(d => new JoinWifi(d.Device, d.Wifi! with { Name = like.Name, Password = like.Password }));
}
