using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>Wi-Fi that is open or protected by something broken.</summary>
public static class WeakWifi
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "weak-wifi",
            "weak Wi-Fi",
            "A radio is open, or protected by WEP or TKIP.",
            "Anyone nearby can join or listen, and old protection caps newer radios at 54 Mb/s.",
            "IEEE 802.11; common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Sending.Where(r => r.Setting.Security.IsWeak())
            .Select(r => OfFirst(e, r))
            .Concat(
                e.Sending.Where(r => !r.Setting.Security.IsWeak() && r.Setting.FurtherNames.Any(n => n.Security.IsWeak()))
                    .Select(r => OfFurther(e, r))
            );

    private static Finding OfFirst(Evidence e, (string Box, RadioSetting Setting) r) =>
        e.Finding(
            Rule,
            [$"{r.Box}/{r.Setting.Radio}"],
            $"\"{r.Setting.Name}\" of {e.Name(r.Box)} is {(r.Setting.Security == WifiSecurity.Open ? "open" : $"protected by {SecurityWords.Of(r.Setting.Security)} only")}",
            "Neighbours can get in, and new devices are slowed down.",
            [.. Cure(e, r)],
            [
                Knows(e, r)?.IsWeak() == true
                    ? "Its radio knows nothing that holds: leave its Wi-Fi off; its ports may still serve."
                    : "Use WPA2 with AES or WPA3, with a password of its own.",
            ]
        );

    /// <summary>A further name that anyone can join spoils the first one with it: both lead into one network.</summary>
    private static Finding OfFurther(Evidence e, (string Box, RadioSetting Setting) r)
    {
        var weak = r.Setting.FurtherNames.Where(n => n.Security.IsWeak()).ToList();
        return e.Finding(
            Rule,
            [$"{r.Box}/{r.Setting.Radio}"],
            $"{string.Join(" and ", weak.Select(n => $"\"{n.Name}\""))} beside \"{r.Setting.Name}\" of {e.Name(r.Box)} {(weak.Count == 1 ? "is" : "are")} open, or protected by {SecurityWords.Of(weak.Max(n => n.Security))} at most",
            "Neighbours can get in there, into the same network.",
            [
                Cures.Hopeful(
                    $"Take {string.Join(" and ", weak.Select(n => $"\"{n.Name}\""))} off {e.Name(r.Box)}",
                    new SetRadio(
                        r.Box,
                        r.Setting.Radio,
                        Partial<RadioSetting>.With(
                            s => s.FurtherNames,
                            (IReadOnlyList<FurtherName>)[.. r.Setting.FurtherNames.Except(weak)]
                        )
                    )
                ),
            ],
            ["What only joins a weak network is better replaced, or served as a guest that is kept apart."]
        );
    }

    private static WifiSecurity? Knows(Evidence e, (string Box, RadioSetting Setting) radio) =>
        e.Design.Box(radio.Box)!.Profile.Radios.FirstOrDefault(r => r.Id == radio.Setting.Radio)?.NewestSecurity;

    private static IEnumerable<Remedy> Cure(Evidence e, (string Box, RadioSetting Setting) radio)
    {
        if (Knows(e, radio)?.IsWeak() == true)
        {
            yield return Cures.Hopeful(
                $"Switch \"{radio.Setting.Name}\" of {e.Name(radio.Box)} off",
                new SetRadio(radio.Box, radio.Setting.Radio, Partial<RadioSetting>.With(s => s.On, false))
            );
        }
        else if (radio.Setting.Password is not null)
        {
            yield return Cures.Hopeful(
                $"Protect \"{radio.Setting.Name}\" with WPA2",
                [.. WifiNames.Follow(e, radio, radio.Setting with { Security = WifiSecurity.Wpa2 })]
            );
        }
    }
}
