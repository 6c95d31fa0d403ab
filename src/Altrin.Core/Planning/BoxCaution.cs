using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>What is to be known of a box by its kind and label, whatever it is used for. Whether it is worth using, options tell.</summary>
/// <param name="Box">Its id.</param>
/// <param name="Says">What to know, a sentence each.</param>
public sealed record BoxCaution(string Box, IReadOnlyList<string> Says)
{
    /// <summary>Every box that is not at the line and of which there is something to know, in the order of the survey.</summary>
    /// <param name="site">The home.</param>
    /// <param name="today">The day, for firmware that is supported until some day; null where it is not asked.</param>
    public static IReadOnlyList<BoxCaution> Of(Site site, DateOnly? today) =>
        [
            .. site
                .Boxes.Where(b => b.Id != site.Service.HandOff)
                .Select(b => new BoxCaution(b.Id, [.. Of(b, site.Service.DownMbps, today)]))
                .Where(c => c.Says.Count > 0),
        ];

    private static IEnumerable<string> Of(Box box, int? sold, DateOnly? today)
    {
        var profile = box.Profile;
        if (profile.Radios.Count > 0 && profile.Radios.All(r => r.NewestSecurity is { } newest && newest.IsWeak()))
        {
            yield return "Its Wi-Fi knows no protection that holds today (WPA2 or newer). Its sockets may still serve.";
        }
        if (profile.Radios.Count > 0 && profile.Radios.All(r => r.Generation.IsRelic()))
        {
            yield return $"Its radio is of the 54 Mb/s class: 20 to {MediumRates.RelicRadioMbps} Mb/s arrive, about 8 to 14 beside older "
                + $"devices, and slow devices cost all others airtime.{(sold <= MediumRates.RelicRadioMbps ? $" The service has no more than {sold}." : "")}";
        }
        else if (profile.Radios.Count > 0 && profile.Radios.All(r => r.Band == RadioBand.Ghz2))
        {
            yield return "It sends on 2.4 GHz only, which is crowded; good enough for far corners and small devices.";
        }
        var rates = profile.Ports.Where(p => p.SpeedMbps is not null).Select(p => p.SpeedMbps!.Value).ToList();
        if (rates.Count > 0 && rates.Max() <= 100 && (sold is null || sold > MediumRates.BehindFastPortMbps))
        {
            yield return $"Its sockets carry 100 Mb/s: at most about {MediumRates.BehindFastPortMbps} arrive behind it"
                + $"{(sold is { } s ? $", and {s} are sold" : "")}. Fine where no device needs more.";
        }
        if (box.Label.IsSupported(today) == Known.No)
        {
            var since = box.Label.SupportedUntil is { } until && !(today < until) ? $" since {until:yyyy-MM-dd}" : "";
            yield return $"Its firmware gets no more updates{since}: never at the internet line, and not as the router.";
        }
        if (profile.Kind is BoxKind.Router && !profile.Modes.Contains(ModeKind.AccessPoint))
        {
            yield return "It has no access-point mode: address outside the pool, its DHCP server off, cable into a LAN port, by hand and in "
                + "that order.";
        }
        if (profile.Traits.Power is { Takes: PowerKind.Passive })
        {
            yield return "It needs passive power: use only its own injector, and plug nothing else into that socket.";
        }
    }
}
