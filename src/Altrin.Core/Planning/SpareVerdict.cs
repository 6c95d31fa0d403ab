using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>What a box that lies about is good for.</summary>
public enum Worth
{
    /// <summary>It serves.</summary>
    Good,

    /// <summary>It serves in some places, or with care.</summary>
    WithCare,

    /// <summary>It does more harm than good.</summary>
    Leave,
}

/// <summary>The verdict on one box.</summary>
/// <param name="Box">Its id.</param>
/// <param name="Worth">Whether to use it.</param>
/// <param name="For">What for, in a line.</param>
/// <param name="Reasons">Why, a sentence each.</param>
public sealed record SpareVerdict(string Box, Worth Worth, string For, IReadOnlyList<string> Reasons)
{
    /// <summary>The verdict on a box, for a service.</summary>
    /// <param name="box">The box.</param>
    /// <param name="service">What is sold.</param>
    /// <param name="today">The day, for firmware that is supported until some day; null where it is not asked.</param>
    public static SpareVerdict Of(Box box, Service service, DateOnly? today)
    {
        var profile = box.Profile;
        var (care, leave) = (new List<string>(), new List<string>());
        var sold = service.DownMbps;
        if (profile.Radios.Count > 0 && profile.Radios.All(r => r.NewestSecurity is { } newest && newest.IsWeak()))
        {
            leave.Add("Its Wi-Fi knows no protection that holds today (WPA2 or newer). Its sockets may still serve.");
        }
        if (profile.Radios.Count > 0 && profile.Radios.All(r => r.Generation.IsRelic()))
        {
            (sold > MediumRates.RelicRadioMbps || sold is null ? leave : care).Add(
                $"Its radio is of the 54 Mb/s class: 20 to {MediumRates.RelicRadioMbps} Mb/s arrive, about 8 to 14 beside older devices, and slow devices cost all others airtime.{(sold <= MediumRates.RelicRadioMbps ? $" The service has no more than {sold}." : "")}"
            );
        }
        else if (profile.Radios.Count > 0 && profile.Radios.All(r => r.Band == RadioBand.Ghz2))
        {
            care.Add("It sends on 2.4 GHz only, which is crowded; good enough for far corners and small devices.");
        }
        var rates = profile.Ports.Where(p => p.SpeedMbps is not null).Select(p => p.SpeedMbps!.Value).ToList();
        if (rates.Count > 0 && rates.Max() <= 100 && (sold is null || sold > MediumRates.BehindFastPortMbps))
        {
            care.Add(
                $"Its sockets carry 100 Mb/s: at most about {MediumRates.BehindFastPortMbps} arrive behind it{(sold is { } s ? $", and {s} are sold" : "")}. Fine where no device needs more."
            );
        }
        if (box.Label.IsSupported(today) == Known.No)
        {
            care.Add(
                $"Its firmware gets no more updates{(box.Label.SupportedUntil is { } until && !(today < until) ? $" since {until:yyyy-MM-dd}" : "")}: never at the internet line, and not as the router."
            );
        }
        if (profile.Kind is BoxKind.Router && !profile.Modes.Contains(ModeKind.AccessPoint))
        {
            care.Add(
                "It has no access-point mode: address outside the pool, its DHCP server off, cable into a LAN port, by hand and in that order."
            );
        }
        if (profile.Traits.Power is { Takes: PowerKind.Passive })
        {
            care.Add("It needs passive power: use only its own injector, and plug nothing else into that socket.");
        }
        var worth =
            leave.Count > 0 ? Worth.Leave
            : care.Count > 0 ? Worth.WithCare
            : Worth.Good;
        IReadOnlyList<string> reasons = leave.Count + care.Count > 0 ? [.. leave, .. care] : ["Nothing speaks against it."];
        return new(box.Id, worth, worth == Worth.Leave ? "leave it off" : Use(profile), reasons);
    }

    private static string Use(Profile profile) =>
        profile.Kind switch
        {
            BoxKind.Gateway => "the box at the internet line",
            BoxKind.Switch => "more sockets behind the router",
            BoxKind.Powerline => "a way where no cable can go, in pairs",
            BoxKind.Coax => "a cable over television wiring, in pairs",
            BoxKind.Injector => "power for an access point",
            _ when profile.Modes.Contains(ModeKind.AccessPoint) => "an access point on a cable",
            _ when profile.Modes.Contains(ModeKind.Router) => "an access point (LAN to LAN, DHCP off), on a cable into a LAN port",
            _ when profile.Modes.Contains(ModeKind.Satellite) => "a node of its kit",
            _ when profile.Modes.Contains(ModeKind.Repeater) => "a repeater, where no cable can go",
            _ => "sockets in a far room, joined by radio",
        };
}
