using Altrin.Core.Changes;
using Altrin.Core.Networks;

namespace Altrin.Core.Findings.Rules;

/// <summary>A forward or a DMZ host left on a router that no longer routes.</summary>
public static class PortForwardIdle
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "port-forward-idle",
            "forward without effect",
            "Ports are forwarded by a router with nothing in its WAN port.",
            "Nothing comes in there: the forward was left on a box that no longer routes.",
            "RFC 3022; common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Routers.Where(r =>
                (r.Mode.Forwards.Count > 0 || r.Mode.Dmz is not null) && e.Network.Find(r.Box.Id, Side.Wan) is { Linked: false }
            )
            .Select(r =>
                e.Finding(
                    Rule,
                    [r.Box.Id],
                    $"{r.Box.Name} forwards ports, and nothing is plugged into its WAN port",
                    "What should be reached from outside is not; the port is open on the wrong box.",
                    [
                        Cures.Hopeful(
                            $"Remove the port forwards of {r.Box.Name}",
                            [
                                .. r.Mode.Forwards.Select(f => new RemoveForward(r.Box.Id, f.Protocol, f.OutsidePort)),
                                .. r.Mode.Dmz is null ? Array.Empty<Change>() : [new SetDmz(r.Box.Id, null)],
                            ]
                        ),
                    ]
                )
            );
}
