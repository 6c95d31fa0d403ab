using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>
/// A cable on the way out of a device that carries less than the service sold; what mains wiring brings is told by <see
/// cref="MainsSlow"/>.
/// </summary>
public static class SlowLink
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "slow-link",
            "slower than sold",
            "A cable on the way out carries less than the service sold.",
            "All devices behind it get at most what its slowest port carries.",
            "IEEE 802.3",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        if (e.Design.Site.Service.DownMbps is not { } sold)
        {
            yield break;
        }
        var mains = e.Design.SetUp.Cables.Where(c => c.Medium == Medium.Powerline).Select(c => c.Id).ToHashSet(StringComparer.Ordinal);
        var links = e.Sheet.Links.ToDictionary(l => l.Id, StringComparer.Ordinal);
        var slow = e
            .Sheet.Internet.SelectMany(i => i.Links.Select(l => (Link: links[l], i.Device)))
            .Where(l => l.Link is { Kind: LinkKind.Cable, InRing: false } && l.Link.AtMostMbps < sold && !mains.Contains(l.Link.Id))
            .GroupBy(l => l.Link.Id, StringComparer.Ordinal)
            .OrderBy(g => g.Key, StringComparer.Ordinal);
        foreach (var group in slow)
        {
            var link = links[group.Key];
            var cable = e.Design.SetUp.Cables.First(c => c.Id == link.Id);
            var behind = group.Select(g => g.Device).Order(StringComparer.Ordinal).ToList();
            yield return e.Finding(
                Rule,
                [link.Id],
                $"The cable from {PortWords.Of(e.Design, cable.A)} to {PortWords.Of(e.Design, cable.B)} carries at most {link.AtMostMbps} Mb/s; {sold} are sold",
                $"{(behind.Count == 1 ? $"{e.Name(behind[0])} gets" : $"{behind.Count} devices get")} at most {link.AtMostMbps} Mb/s, however near they are.",
                Faster(e, cable, sold),
                [
                    Cabling.Of(e.Design, cable) is { Pairs: 2 }
                        ? "Only two pairs of the lead are connected: use one with all four, or have the sockets at its ends looked at."
                        : "Use ports of 1000 Mb/s or more, and a lead with all four pairs; a slow box can go where no device behind it needs more.",
                ]
            );
        }
    }

    /// <summary>Another free port of the same side that is fast enough, where one end is what is slow.</summary>
    private static IEnumerable<Remedy> Faster(Evidence e, Cable cable, int sold)
    {
        foreach (var end in new[] { cable.A, cable.B })
        {
            if (e.Design.Box(end.Owner) is not { } box || box.Profile.Port(end.Port) is not { } port || !(port.SpeedMbps < sold))
            {
                continue;
            }
            foreach (
                var other in box
                    .Profile.Ports.Where(p => p.Role == port.Role && p.SpeedMbps >= sold && e.Design.CableAt(new(box.Id, p.Id)) is null)
                    .Take(1)
            )
            {
                var better = new PortRef(box.Id, other.Id);
                yield return Cures.Hopeful(
                    $"Move the cable to {PortWords.Of(e.Design, better)}",
                    new Unpatch(cable.Id),
                    new Patch(cable.OtherEnd(end), better, cable.Known)
                );
            }
        }
    }
}
