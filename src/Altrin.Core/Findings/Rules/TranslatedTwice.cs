using Altrin.Core.Facts;
using Altrin.Core.Networks;

namespace Altrin.Core.Findings.Rules;

/// <summary>A router of the home behind another one: two translations between its devices and the street.</summary>
public static class TranslatedTwice
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } = new(
        CauseCodes.TranslatedTwice,
        "translates again",
        "A router hangs behind another router, so its devices are translated twice.",
        "Inner devices open connections outward, nothing opens inward, and discovery does not cross. Plain browsing never notices.",
        "RFC 2663, RFC 3022",
        Judge);

    private static IEnumerable<Finding> Judge(Evidence e) => e.Routers
        .Select(r => (r.Box, Wan: e.Network.Find(r.Box.Id, Side.Wan)))
        .Where(r => r.Wan is { Linked: true } && e.SegmentOf(r.Box.Id, Side.Lan)!.Interfaces.Any(i => i.Side == Side.Device))
        .Select(r => (r.Box, Above: e.Seen.Tracer.ToInternet(r.Wan!).Routers))
        .Where(r => r.Above.Count > 0 && !r.Above.Contains(r.Box.Id))
        .Select(r => e.Finding(
            CauseCodes.TranslatedTwice,
            [r.Box.Id],
            $"{r.Box.Name} translates again behind {e.Name(r.Above[0])}",
            "Devices behind it reach outward; nothing reaches them from outside or from the rest of the home, and they do not find what is there by themselves.",
            Cures.OneNetwork(e, r.Box.Id)));
}
