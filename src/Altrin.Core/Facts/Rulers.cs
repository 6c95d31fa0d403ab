using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>The address rules of a network: who has which address of which subnet, and what is left.</summary>
internal static class Rulers
{
    /// <summary>One rule for each subnet that a router has on its LAN side, those of the routers that lead on first.</summary>
    public static IReadOnlyList<RulerFact> Of(Network network, Leasing leasing, HostTable hosts) =>
        [.. network.Segments.SelectMany(s => Of(network, leasing, hosts, s))];

    private static IEnumerable<RulerFact> Of(Network network, Leasing leasing, HostTable hosts, Segment segment)
    {
        var leading = hosts.MainRouters(segment);
        var routers = leading.Concat(segment.Interfaces.Where(i => i.Side == Side.Lan).Except(leading)).ToList();
        foreach (var group in routers.GroupBy(r => ((Fixed)r.Setting).Address.Subnet))
        {
            yield return Rule(network, leasing, hosts, segment, group.Key, [.. group]);
        }
    }

    private static RulerFact Rule(
        Network network,
        Leasing leasing,
        HostTable hosts,
        Segment segment,
        Subnet subnet,
        IReadOnlyList<Interface> routers
    )
    {
        var clashes = hosts.Conflicts.Where(c => c.Segment == segment.Id).Select(c => c.Address).ToHashSet();
        PoolFact[] pools =
        [
            .. routers
                .Select(r => (Interface: r, Mode: network.Router(r.Owner)!))
                .Select(r =>
                    r.Interface.Side == Side.Guest
                        ? new PoolFact(
                            GuestId.Of(r.Interface.Owner),
                            r.Mode.Guest!.Pool,
                            true,
                            leasing.Unreserved(GuestId.Of(r.Interface.Owner))
                        )
                        : new PoolFact(r.Interface.Owner, r.Mode.Server.Pool, r.Mode.Server.On, leasing.Unreserved(r.Interface.Owner))
                ),
        ];
        var marks = new List<RulerMark>();
        foreach (var host in segment.Interfaces)
        {
            if (host.Setting is Fixed typed)
            {
                Mark(
                    host.Owner,
                    host.Side,
                    host.Side is Side.Lan or Side.Guest ? RulerMarkKind.Router : RulerMarkKind.Fixed,
                    typed.Address.Address
                );
            }
            foreach (var offer in leasing.Offers(host).Where(o => o.Exact is null && o.Example is not null))
            {
                Mark(host.Owner, host.Side, RulerMarkKind.Example, offer.Example!.Value);
            }
        }
        foreach (var kept in routers.Where(r => r.Side == Side.Lan).SelectMany(r => network.Router(r.Owner)!.Server.Reservations))
        {
            var whose = network.Interfaces.FirstOrDefault(i => i.Mac == kept.Mac);
            Mark(whose?.Owner ?? kept.Mac.ToString(), whose?.Side ?? Side.Device, RulerMarkKind.Reserved, kept.Address);
        }
        var usual = Fixed.Behind(((Fixed)routers[0].Setting).Address, subnet.Hosts.First);
        var spoken = marks.Where(m => m.Kind != RulerMarkKind.Example).Select(m => m.Address).ToList();
        return new(
            segment.Id,
            subnet,
            subnet.Hosts,
            pools,
            [.. marks.OrderBy(m => m.Address).ThenBy(m => m.Owner, StringComparer.Ordinal).ThenBy(m => m.Kind)],
            [.. Outside(subnet.Hosts, pools.Where(p => p.On).Select(p => p.Range)).SelectMany(r => r.Without(spoken))],
            routers[0].Owner,
            usual.Gateway!.Value,
            usual.DnsServers
        );

        void Mark(string owner, Side side, RulerMarkKind kind, Ipv4Address address)
        {
            if (subnet.Contains(address))
            {
                marks.Add(new(owner, side, kind, address, kind != RulerMarkKind.Example && clashes.Contains(address)));
            }
        }
    }

    /// <summary>The stretches of a range that other ranges leave.</summary>
    private static IEnumerable<AddressRange> Outside(AddressRange range, IEnumerable<AddressRange> others) =>
        others.Aggregate((IEnumerable<AddressRange>)[range], (left, pool) => left.SelectMany(r => r.Outside(pool)));
}
