using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A forward that aims at an address which its owner may lose.</summary>
public static class PortForwardToLease
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.PortForwardToLease,
            "forward to a lease",
            "A port, or everything (DMZ), is forwarded to an address that is leased and not reserved.",
            "It works until the lease changes.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        [
            .. e.Cited(CauseCodes.PortForwardToLease).Select(cause => Asked(e, cause)),
            .. e
                .Routers.Where(r => !e.Cited(CauseCodes.PortForwardToLease).Any(c => c.Subjects.Contains(r.Box.Id)))
                .SelectMany(r => Unasked(e, r.Box, r.Mode)),
        ];

    /// <summary>One that a need rests on.</summary>
    private static Finding Asked(Evidence e, Cause cause) =>
        e.Finding(
            Rule,
            cause.Subjects,
            cause.Text.TrimEnd('.'),
            "Reaching it from outside stops one day, after a restart.",
            cause.Subjects.SelectMany(router => cause.Subjects.Where(t => t != router).SelectMany(target => Anchored(e, router, target)))
        );

    /// <summary>One that no need asks about: whatever is leased the address later is open to the internet.</summary>
    private static IEnumerable<Finding> Unasked(Evidence e, Box box, RouterMode mode)
    {
        if (e.Network.Find(box.Id, Side.Wan) is not { Linked: true } || e.SegmentOf(box.Id, Side.Lan) is not { } inside)
        {
            yield break;
        }
        var holdings = inside.Interfaces.SelectMany(i => e.Seen.Leasing.Holdings(i)).ToList();
        var aimed = mode
            .Forwards.Select(f => f.To)
            .Concat(mode.Dmz is { } dmz ? [dmz] : [])
            .Distinct()
            .Where(to => holdings.TrueForAll(h => h.Exact != to) && holdings.Exists(h => h.From is { } pool && pool.Contains(to)))
            .Order()
            .ToList();
        if (aimed.Count == 0)
        {
            yield break;
        }
        var gone = mode
            .Forwards.Where(f => aimed.Contains(f.To))
            .Select(f => (Change)new RemoveForward(box.Id, f.Protocol, f.OutsidePort))
            .Concat(mode.Dmz is { } host && aimed.Contains(host) ? [new SetDmz(box.Id, null)] : []);
        yield return e.Finding(
            Rule,
            [box.Id],
            $"{box.Name} lets connections from outside in to {string.Join(" and ", aimed)}, which its DHCP server may lease to any device",
            "What it is meant for is not reached one day, and something else is.",
            [.. Keepers(e, box, mode, inside, aimed), Cures.Hopeful($"Let nothing in to {string.Join(" and ", aimed)}", [.. gone])],
            ["Reserve the address for the device that it is meant for."]
        );
    }

    /// <summary>The address kept for one of the devices that may be leased it; a few of them, where there is one address.</summary>
    private static IEnumerable<Remedy> Keepers(Evidence e, Box box, RouterMode mode, Segment inside, List<Ipv4Address> aimed) =>
        aimed is not [var to] || !mode.Server.On
            ? []
            : inside
                .Interfaces.Where(i =>
                    i.Side == Side.Device
                    && i.Setting is Automatic
                    && e.Design.Device(i.Owner) is { Mac: not null }
                    && e.Seen.Leasing.Holdings(i).Any(h => h.From is { } pool && pool.Contains(to))
                )
                .Take(3)
                .Select(i =>
                    Cures.Hopeful($"Keep {to} for {e.Name(i.Owner)}", new Reserve(box.Id, e.Design.Device(i.Owner)!.Mac!.Value, to))
                );

    private static IEnumerable<Remedy> Anchored(Evidence e, string router, string target)
    {
        var host = e.Network.Find(target, Side.Device) ?? e.Network.Find(target, Side.Wan);
        if (host is null || e.Network.Router(router) is not { } mode || Cures.Anchor(e, router, host) is not var (address, first))
        {
            yield break;
        }
        var aimed = mode.Forwards.Where(f => e.Seen.Leasing.Holdings(host).Any(h => h.From is { } pool && pool.Contains(f.To)));
        yield return Cures.Hopeful(
            $"Keep {address} for {e.Name(target)}",
            [.. first, .. aimed.Select(f => f.To).Distinct().SelectMany(to => Cures.Redirect(mode, router, to, address))]
        );
    }
}
