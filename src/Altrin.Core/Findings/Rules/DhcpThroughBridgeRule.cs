using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>Devices behind a radio link with three addresses that ask for a lease through it.</summary>
public static class DhcpThroughBridgeRule
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.DhcpThroughBridge,
            "leases through a bridge",
            "Devices ask for their address through a radio link with three addresses.",
            "The box answers for all who are behind it with one MAC address, and on some boxes the answers of the DHCP server do not find them.",
            "IEEE 802.11 (from memory); common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        foreach (var link in e.Network.RadioLinks.Where(l => l.Frames == UplinkFrames.ThreeAddress))
        {
            var behind = e
                .Network.Interfaces.Where(i =>
                    i.Side == Side.Device
                    && i.Segment == link.Segment
                    && i.Setting is Automatic
                    && link.Holds(i)
                    && e.Seen.Leasing.Holdings(i)
                        .Any(h => h.Server is { } server && e.Seen.Tracer.World.Radio.Proxied(i, server)?.Link == link)
                )
                .ToList();
            if (behind.Count == 0)
            {
                continue;
            }
            yield return e.Finding(
                Rule,
                [link.Box],
                $"{e.Names(behind.Select(b => b.Owner))} {(behind.Count == 1 ? "asks" : "ask")} for an address through {e.Name(link.Box)}, which joins {e.Name(link.To)} with three addresses",
                "Some days they have no address, and no setting shows why.",
                [.. Typed(e, link, behind), .. FourAddresses(e, link)]
            );
        }
    }

    private static IEnumerable<Remedy> Typed(Evidence e, RadioLink link, List<Interface> behind)
    {
        if (e.PlanOf(e.Network.Segment(link.Segment)) is not var (plan, main))
        {
            yield break;
        }
        var (taken, changes) = (new HashSet<Ipv4Address>(plan.Taken), new List<Change>());
        foreach (var device in behind)
        {
            if ((plan with { Taken = taken }).FirstFree() is not { } free)
            {
                yield break;
            }
            taken.Add(free);
            var router = e.Network.Router(main)!.Lan.Address;
            changes.Add(new SetDeviceAddress(device.Owner, new Fixed(new(free, plan.Subnet.PrefixLength), router, [router])));
        }
        yield return Cures.Hopeful(
            $"Give {(behind.Count == 1 ? e.Name(behind[0].Owner) : "them")} a fixed address outside the pool",
            changes
        );
    }

    private static IEnumerable<Remedy> FourAddresses(Evidence e, RadioLink link) =>
        e.Design.Mode(link.Box)?.Joins is { } joins && e.Design.Box(link.To)!.Profile.Radios.Any(r => r.FourAddress == Known.Yes)
            ?
            [
                Cures.Hopeful(
                    $"Let {e.Name(link.Box)} use four addresses",
                    SetUplink.Between(link.Box, joins, joins with { Frames = UplinkFrames.FourAddress })
                ),
            ]
            : [];
}
