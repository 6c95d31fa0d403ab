using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>What the provider's box can be made, in order of cleanliness (common practice).</summary>
public enum GatewayWay
{
    /// <summary>It stops routing, and the customer's own router takes the public address.</summary>
    Bridge,

    /// <summary>It stays the router; the customer's own boxes are access points.</summary>
    StaysRouter,

    /// <summary>It hands its public address to whatever is in one port.</summary>
    PassByPort,

    /// <summary>It hands its public address to one MAC address.</summary>
    PassByMac,

    /// <summary>An inner box gets the public address too, while it goes on tracking sessions.</summary>
    Mapping,

    /// <summary>It sends every connection that no forward claims to one host.</summary>
    Dmz,

    /// <summary>It stays the router, and another router hangs behind it.</summary>
    RouterBehind,
}

/// <summary>One way, with whether the box can go it and what is lost by it.</summary>
/// <param name="Way">Which.</param>
/// <param name="Can">Whether the box can.</param>
/// <param name="Loses">What stops or may stop working, in words.</param>
public sealed record GatewayOption(GatewayWay Way, Known Can, IReadOnlyList<string> Loses);

/// <summary>Looks up what a provider's box can be made.</summary>
public static class GatewayWays
{
    /// <summary>Every way, the cleanest first.</summary>
    public static IReadOnlyList<GatewayOption> Of(Box box)
    {
        var (profile, habits) = (box.Profile, box.Profile.Habits);
        var hasWifi = profile.Radios.Count > 0;
        var services = box.Holds.Select(h => LineServiceWords.Of(h)).ToList();
        string[] bridged =
        [
            .. hasWifi ? ["its Wi-Fi"] : Array.Empty<string>(),
            .. profile.Ports.Count(p => p.Role == PortRole.Lan) > 1 ? ["its other ports"] : Array.Empty<string>(),
            .. Services(),
        ];
        string[] passed =
        [
            .. hasWifi ? Perhaps(habits.WifiOffWhilePassing, "its Wi-Fi") : [],
            .. Perhaps(Knowing.Not(habits.KeepsOthers), "the internet on its other ports"),
            .. Services(),
        ];
        return
        [
            new(GatewayWay.Bridge, Has(profile.Modes.Contains(ModeKind.Bridge)), bridged),
            new(GatewayWay.StaysRouter, Has(profile.Modes.Contains(ModeKind.Router)), []),
            new(GatewayWay.PassByPort, Has(profile.Passes.Contains(PassKind.Port)), passed),
            new(GatewayWay.PassByMac, Has(profile.Passes.Contains(PassKind.MacAddress)), passed),
            new(GatewayWay.Mapping, Has(profile.Passes.Contains(PassKind.Mapping)), []),
            new(
                GatewayWay.Dmz,
                profile.Modes.Contains(ModeKind.Router) ? profile.Traits.TakesDmz : Known.No,
                profile.KeptPorts.Count > 0
                    ? [$"ports that it keeps for itself: {string.Join(", ", profile.KeptPorts.Order())}", "double NAT"]
                    : ["double NAT"]
            ),
            new(
                GatewayWay.RouterBehind,
                Has(profile.Modes.Contains(ModeKind.Router)),
                ["every connection from outside, unless both forward it", "discovery across the inner router"]
            ),
        ];

        IEnumerable<string> Services() =>
            habits.KeepsServices switch
            {
                Known.Yes => [],
                Known.No => services.Select(s => $"the {s}"),
                _ => services.Select(s => $"perhaps the {s}: ask the provider"),
            };
    }

    private static Known Has(bool can) => can ? Known.Yes : Known.No;

    private static string[] Perhaps(Known lost, string what) =>
        lost switch
        {
            Known.Yes => [what],
            Known.Unknown => [$"perhaps {what}"],
            _ => [],
        };
}
