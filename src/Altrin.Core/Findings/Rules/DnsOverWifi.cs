using Altrin.Core.Changes;
using Altrin.Core.Networks;

namespace Altrin.Core.Findings.Rules;

/// <summary>Names for all that are served by a device on radio.</summary>
public static class DnsOverWifi
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "dns-over-wifi",
            "DNS over Wi-Fi",
            "The DNS server of the home is a device on Wi-Fi or behind a radio link.",
            "When its radio falters, the whole home seems to have no internet.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        var byWifi = e.Network.Links.Where(l => l.Cable is null && !l.IsRadio).Select(l => l.From.Owner).ToHashSet(StringComparer.Ordinal);
        foreach (var (box, mode) in e.Routers.Where(r => r.Mode.Server.On))
        {
            var inner = e.Network.Find(box.Id, Side.Lan)!;
            var served = mode
                .Server.DnsServers.SelectMany(n => e.Seen.Hosts.Holders(inner.Segment, n))
                .Where(h =>
                    h.Side == Side.Device
                    && (byWifi.Contains(h.Owner) || e.Network.RadioLinks.Any(l => l.Segment == inner.Segment && l.Between(inner, h)))
                )
                .Select(h => h.Owner)
                .Distinct()
                .ToList();
            if (served.Count > 0)
            {
                yield return e.Finding(
                    Rule,
                    [box.Id, .. served],
                    $"{box.Name} hands out {e.Names(served)} as DNS server, which is connected by radio",
                    "Pages stop loading on every device while that one is out of reach.",
                    [Cures.Hopeful($"Make {box.Name} its own DNS server", new SetDnsServers(box.Id, [], false))],
                    ["Or put a cable to the device."]
                );
            }
        }
    }
}
