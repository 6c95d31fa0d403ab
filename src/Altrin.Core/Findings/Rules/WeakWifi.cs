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
        WifiNames
            .Sending(e)
            .Where(r => r.Setting.Security.IsWeak())
            .Select(r =>
                e.Finding(
                    Rule,
                    [$"{r.Box}/{r.Setting.Radio}"],
                    $"\"{r.Setting.Name}\" of {e.Name(r.Box)} is {(r.Setting.Security == WifiSecurity.Open ? "open" : $"protected by {WifiNames.Words(r.Setting.Security)} only")}",
                    "Neighbours can get in, and new devices are slowed down.",
                    r.Setting.Password is null
                        ? []
                        :
                        [
                            Cures.Hopeful(
                                $"Protect \"{r.Setting.Name}\" with WPA2",
                                [.. WifiNames.Follow(e, r, r.Setting with { Security = WifiSecurity.Wpa2 })]
                            ),
                        ],
                    ["Use WPA2 with AES or WPA3, with a password of its own."]
                )
            );
}
