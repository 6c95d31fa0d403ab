using Altrin.Core.Changes;
using Altrin.Core.Networks;

namespace Altrin.Core.Findings.Rules;

/// <summary>A DMZ host that is not a router.</summary>
public static class DmzExposed
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "dmz-exposed",
            "open to the internet",
            "Everything from outside is sent to something that is no firewall.",
            "Whatever it listens on is open to the whole internet.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        foreach (var (box, mode) in e.Routers.Where(r => r.Mode.Dmz is not null && e.Network.Find(r.Box.Id, Side.Wan) is { Linked: true }))
        {
            foreach (
                var host in e.SegmentOf(box.Id, Side.Lan)!
                    .Interfaces.Where(i => i.Side is Side.Device or Side.Page && e.Seen.Leasing.Holdings(i).Any(h => h.Exact == mode.Dmz))
            )
            {
                yield return e.Finding(
                    Rule,
                    [box.Id, host.Owner],
                    $"{box.Name} sends everything from outside to {e.Name(host.Owner)}",
                    "Strangers can try every port of it.",
                    [Cures.Hopeful($"Switch the DMZ host of {box.Name} off", new SetDmz(box.Id, null))],
                    ["Only a box that is itself a firewall belongs there; forward single ports instead."]
                );
            }
        }
    }
}
