using Altrin.Core.Changes;
using Altrin.Core.Packets;

namespace Altrin.Core.Findings.Rules;

/// <summary>A router, or the provider, that knows no way to where packets or their answers must go.</summary>
public static class NoRouteRule
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.NoRoute,
            "no route",
            "Packets or answers come to a box that has no route for them, or to a host that they are not for.",
            "It looks connected, and nothing answers.",
            "RFC 1812",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Cited(CauseCodes.NoRoute)
            .Select(cause =>
                e.Finding(
                    Rule,
                    cause.Subjects,
                    cause.Text.TrimEnd('.'),
                    "Devices behind it have an address, and nothing answers.",
                    cause.Subjects.SelectMany(s =>
                        e.Network.Router(s) is { } mode
                            ? mode.Routes.Select(r => Cures.Hopeful($"Remove the route to {r.To} on {e.Name(s)}", new RemoveRoute(s, r.To)))
                            : []
                    ),
                    ["Find out which host should have that address: a forward, a DMZ host or a route points to where nothing is."]
                )
            );
}
