using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>
/// What has to be told when a radio gets another name, protection or password: a box that is renamed alone strands its repeaters, its
/// bridges and its devices. Satellites send what their main node sends, so that who joins one of them follows too.
/// </summary>
internal static class RadioFollowers
{
    /// <summary>
    /// The radio links of boxes that join it, with the protection that both know. A password of their own that differs stays.
    /// </summary>
    public static IEnumerable<Change> Links(Design design, string box, RadioSetting was, RadioSetting now)
    {
        var (band, senders) = Sent(design, box, was);
        foreach (var joined in design.SetUp.Boxes.OrderBy(b => b.Box, StringComparer.Ordinal))
        {
            if (
                joined.Mode.Joins is { } link
                && senders.Contains(link.Box)
                && link.Name == was.Name
                && design.Box(joined.Box)!.Profile.Radios.FirstOrDefault(r => r.Id == link.Radio) is { } own
                && own.Band == band
            )
            {
                var security = was.Security == now.Security ? link.Security : own.Nearest(now.Security);
                yield return SetUplink.Between(
                    joined.Box,
                    link,
                    link with
                    {
                        Name = now.Name,
                        Security = security,
                        Password = Followed(link.Password, was, now),
                    }
                );
            }
        }
    }

    /// <summary>Devices that remember its name at a box that sends it. A password of their own that differs stays.</summary>
    public static IEnumerable<Change> Devices(Design design, string box, RadioSetting was, RadioSetting now)
    {
        var (_, senders) = Sent(design, box, was);
        return design
            .SetUp.Devices.Where(d => d.Wifi is { } wifi && senders.Contains(wifi.Box) && wifi.Name == was.Name)
            .OrderBy(d => d.Device, StringComparer.Ordinal)
            .Select(d => new JoinWifi(d.Device, d.Wifi! with { Name = now.Name, Password = Followed(d.Wifi!.Password, was, now) }));
    }

    private static string? Followed(string? own, RadioSetting was, RadioSetting now) =>
        own is null || own == was.Password ? now.Password : own;

    /// <summary>On which band it sends, and which boxes send what is set there.</summary>
    private static (RadioBand Band, HashSet<string> Senders) Sent(Design design, string box, RadioSetting radio)
    {
        var band = design.Box(box)!.Profile.Radios.First(r => r.Id == radio.Radio).Band;
        return (band, [box, .. Air.Of(design).Where(a => !a.Guest && a.SetAt.Box == box && a.Radio.Band == band).Select(a => a.Box)]);
    }
}
