using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;

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
            var dmz = mode.Dmz!.Value;
            var there = e.SegmentOf(box.Id, Side.Lan)!.Interfaces.Where(i => e.Seen.Leasing.Holdings(i).Any(h => MayBe(h, dmz))).ToList();
            foreach (
                var host in there.Where(i => i.Side is Side.Device or Side.Page && e.Seen.Leasing.Holdings(i).Any(h => h.Exact == dmz))
            )
            {
                yield return Of(e.Name(host.Owner), "Strangers can try every port of it.", host.Owner);
            }
            // An address that only happens to be free is given to the next device that asks.
            if (!there.Exists(i => i.Side == Side.Wan || e.Seen.Leasing.Holdings(i).Any(h => h.Exact == dmz)))
            {
                yield return Of($"{dmz}, which no router of the home has", "Strangers can try every port of whatever gets that address.");
            }

            Finding Of(string to, string notice, params IEnumerable<string> hosts) =>
                e.Finding(
                    Rule,
                    [box.Id, .. hosts],
                    $"{box.Name} sends everything from outside to {to}",
                    notice,
                    [Cures.Hopeful($"Switch the DMZ host of {box.Name} off", new SetDmz(box.Id, null))],
                    ["Only a box that is itself a firewall belongs there; forward single ports instead."]
                );
        }
    }

    private static bool MayBe(Holding holding, Ipv4Address address) =>
        holding.Exact == address || holding.From?.Contains(address) == true || holding.Pool?.Contains(address) == true;
}
