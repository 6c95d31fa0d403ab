using Altrin.Core.Changes;
using Altrin.Core.Networks;

namespace Altrin.Core.Findings.Rules;

/// <summary>Names for all that are served by a device on radio.</summary>
public static class NamesOverRadio
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } = new(
        "names-over-radio",
        "names over radio",
        "Everybody asks a device for names that hangs on Wi-Fi or behind a radio link.",
        "When its radio falters, the whole home seems to have no internet.",
        "common practice",
        Judge);

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        var byWifi = e.Network.Links.Where(l => l.Cable is null && !l.IsRadio).Select(l => l.From.Owner).ToHashSet(StringComparer.Ordinal);
        foreach (var (box, mode) in e.Routers.Where(r => r.Mode.Server.On))
        {
            var inner = e.Network.Find(box.Id, Side.Lan)!;
            var served = mode.Server.NameServers.SelectMany(n => e.Seen.Hosts.Holders(inner.Segment, n)).Where(h => h.Side == Side.Device && (byWifi.Contains(h.Owner) || e.Network.RadioLinks.Any(l => l.Segment == inner.Segment && l.Between(inner, h)))).Select(h => h.Owner).Distinct().ToList();
            if (served.Count > 0)
            {
                yield return e.Finding(
                    "names-over-radio",
                    [box.Id, .. served],
                    $"{box.Name} lets everybody ask {e.Names(served)} for names, which hangs on radio",
                    "Pages stop loading for everybody while that one device is out of reach.",
                    [Cures.Hopeful($"Let {box.Name} answer for names itself", new SetServerNames(box.Id, [], false))],
                    ["Or put a cable to the device."]);
            }
        }
    }
}
