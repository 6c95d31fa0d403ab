using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>An address for the laptop that nothing of the home has.</summary>
internal static class FreeAddress
{
    /// <summary>
    /// The highest address of a subnet that is typed nowhere, handed out nowhere and reserved nowhere; where every one is, the highest that
    /// is only in a pool. Null where the subnet is full.
    /// </summary>
    public static Fixed? In(Design design, Subnet subnet)
    {
        var taken = new HashSet<Ipv4Address>();
        var pools = new List<AddressRange>();
        foreach (var box in design.SetUp.Boxes)
        {
            if (box.Mode is RouterMode router)
            {
                taken.Add(router.Lan.Address);
                taken.UnionWith(router.Server.Reservations.Select(r => r.Address));
                pools.Add(router.Server.Pool);
            }
            if (PageAddress.Of(box.Mode)?.Address is { } page)
            {
                taken.Add(page);
            }
        }
        taken.UnionWith(design.SetUp.Devices.Select(d => d.Address).OfType<Fixed>().Select(f => f.Address.Address));
        var hosts = subnet.Hosts;
        Ipv4Address? pooled = null;
        for (var address = hosts.Last; ; address = address.Plus(-1)!.Value)
        {
            if (!taken.Contains(address))
            {
                if (!pools.Exists(p => p.Contains(address)))
                {
                    return Typed(design, new(address, subnet.PrefixLength));
                }
                pooled ??= address;
            }
            // A pool that fills a large subnet is not searched to its end.
            if (address == hosts.First || hosts.Last.Bits - address.Bits > 1024)
            {
                return pooled is { } last ? Typed(design, new(last, subnet.PrefixLength)) : null;
            }
        }
    }

    /// <summary>In the subnet of the router at the line with that as gateway, so that the internet can be seen.</summary>
    private static Fixed Typed(Design design, InterfaceAddress address) =>
        Live.Gateway(design) is { } gateway && design.Mode(gateway.Id) is RouterMode router && router.Lan.Subnet == address.Subnet
            ? Fixed.Behind(router.Lan, address.Address)
            : new(address, null, []);
}
