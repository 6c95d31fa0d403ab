using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A device looks for a Wi-Fi that does not let it in.</summary>
public static class WifiNotJoined
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.WifiNotJoined,
            "Wi-Fi not joined",
            "A device remembers a Wi-Fi that the box beside it does not send, or has another password for it.",
            "It has no network until the new name and password are typed into it.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Network.Refusals.Where(r => r.Why != RefusalReason.BandMissing)
            .Select(r =>
                e.Finding(
                    Rule,
                    [r.Device],
                    RefusalWords.Of(r.Why, e.Name(r.Device), r.Wifi.Name, e.Name(r.Wifi.Box)),
                    "It has no network until the name and the password are typed into it.",
                    Join(e, r)
                )
            );

    /// <summary>What the box beside it sends, else the nearest thing: the same name from another box.</summary>
    private static IEnumerable<Remedy> Join(Evidence e, WifiRefusal refusal)
    {
        var here = e.Sending.Where(r => r.Box == refusal.Wifi.Box).Select(r => r.Setting).DistinctBy(s => (s.Name, s.Password)).ToList();
        var cannot = refusal.Why is RefusalReason.SecurityDiffers or RefusalReason.FramesUnprotected;
        var eased = e
            .Sending.Where(r => cannot && r.Box == refusal.Wifi.Box && r.Setting.Name == refusal.Wifi.Name)
            .Select(r =>
                (
                    Now: r.Setting,
                    Eased: r.Setting with
                    {
                        Security = r.Setting.Security == WifiSecurity.Wpa3 ? WifiSecurity.Wpa2Wpa3 : r.Setting.Security,
                        ProtectsFrames = FrameProtection.Optional,
                    }
                )
            )
            .Select(s =>
                Cures.Hopeful(
                    $"Let {e.Name(refusal.Wifi.Box)} take older devices too, with {SecurityWords.Of(s.Eased.Security)}",
                    SetRadio.Between(refusal.Wifi.Box, s.Now, s.Eased)
                )
            );
        var elsewhere = e.Sending.Where(r => r.Box != refusal.Wifi.Box && (here.Count == 0 || r.Setting.Name == refusal.Wifi.Name));
        return
        [
            .. eased,
            .. here.Select(s =>
                Cures.Hopeful(
                    $"Type \"{s.Name}\" and its password into {e.Name(refusal.Device)}",
                    new JoinWifi(refusal.Device, new(refusal.Wifi.Box, s.Name, s.Password))
                )
            ),
            .. elsewhere
                .DistinctBy(r => r.Box)
                .Take(3)
                .Select(r =>
                    Cures.Hopeful(
                        $"Let {e.Name(refusal.Device)} join \"{r.Setting.Name}\" at {e.Name(r.Box)}",
                        new JoinWifi(refusal.Device, new(r.Box, r.Setting.Name, r.Setting.Password))
                    )
                ),
        ];
    }
}
