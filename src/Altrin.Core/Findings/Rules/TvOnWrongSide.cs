using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A TV box that gets its programmes from the provider's gateway is behind another router, or behind powerline or radio.</summary>
public static class TvOnWrongSide
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "tv-on-wrong-side",
            "TV on the wrong side",
            "A TV box that gets its programmes from the provider's gateway is behind another router, or behind powerline or radio.",
            "Its programmes are multicast: another router stops them, and powerline or radio sends them to all at the lowest rate.",
            "RFC 1112; common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        if (e.Design.Site.Boxes.FirstOrDefault(b => b.Holds.Contains(LineService.Television)) is not { } holder)
        {
            yield break;
        }
        foreach (
            var way in e
                .Sheet.Internet.Where(i => e.Design.Device(i.Device)?.Kind == DeviceKind.Television)
                .OrderBy(i => i.Device, StringComparer.Ordinal)
        )
        {
            var other = way.NatBy.FirstOrDefault(t => t != PortRef.Street && t != holder.Id);
            var over = way
                .Links.Select(l => e.Network.Links.First(n => n.Id == l))
                .FirstOrDefault(l => l.Cable is null or { Medium: Medium.Powerline });
            if (other is null && over is null)
            {
                continue;
            }
            yield return e.Finding(
                Rule,
                [way.Device],
                other is not null
                    ? $"{e.Name(way.Device)} is behind {e.Name(other)}, and its programmes come from {holder.Name}"
                    : $"{e.Name(way.Device)} gets its programmes from {holder.Name} over {(over!.Cable is null ? "radio" : "powerline")}",
                "The provider's programmes stutter or stay black, and take the rest of the network along; other services on it go on.",
                [],
                [$"Plug it into a port of {holder.Name}, or into a switch behind it that knows multicast (IGMP snooping)."]
            ) with
            {
                Idle = other is null ? null : $"{e.Name(way.Device)} may stay black",
            };
        }
    }
}
