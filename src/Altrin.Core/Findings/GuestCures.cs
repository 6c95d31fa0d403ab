using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings;

/// <summary>Gives the guests of a box that does not keep them apart to the router at the internet line.</summary>
internal static class GuestCures
{
    /// <summary>The router at the line sends the name in place of the box, and what joined it there moves along.</summary>
    /// <param name="e">The evidence.</param>
    /// <param name="box">The box whose guests are not kept apart.</param>
    /// <param name="name">Its guest name.</param>
    /// <param name="security">How that is protected.</param>
    /// <param name="password">Reference to its password; null where none is recorded.</param>
    /// <param name="stop">What stops the name at the box.</param>
    public static IEnumerable<Remedy> AtTheLine(Evidence e, string box, string name, WifiSecurity security, string? password, Change stop)
    {
        var (router, mode) = e.Routers.FirstOrDefault(r => e.SegmentOf(r.Box.Id, Side.Wan) is { HasStreet: true });
        if (router is null || router.Id == box || !mode.Radios.Any(r => r.On))
        {
            yield break;
        }
        IEnumerable<Change> Joining(string guests, string? key) =>
            e
                .Design.SetUp.Devices.Where(d => d.Wifi is { } wifi && wifi.Box == box && wifi.Name == name)
                .OrderBy(d => d.Device, StringComparer.Ordinal)
                .Select(d => new JoinWifi(d.Device, new(router.Id, guests, key)));
        if (mode.Guest is { } there)
        {
            yield return Cures.Hopeful(
                $"Let guests join \"{there.Name}\" of {router.Name}",
                [stop, .. Joining(there.Name, there.Password)]
            );
        }
        else if (e.UnusedSubnet() is { } free)
        {
            var guests = new GuestNetwork(name, security, password, new(new(free.Network.Bits + 1), free.PrefixLength), Usual(free));
            yield return Cures.Hopeful(
                $"Let {router.Name} send \"{name}\" for guests instead",
                [stop, new SetGuest(router.Id, Partial<GuestNetwork>.All(guests)), .. Joining(name, password)]
            );
        }
    }

    /// <summary>.20 to .199 of a subnet of 256 addresses (common practice).</summary>
    private static AddressRange Usual(Subnet subnet) => AddressRange.Between(new(subnet.Network.Bits + 20), new(subnet.Network.Bits + 199));
}
