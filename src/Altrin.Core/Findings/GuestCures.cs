using System.Text;
using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings;

/// <summary>A network for guests of the router at the internet line, where there is none or a box does not keep its guests apart.</summary>
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
        var (router, mode) = AtLine(e);
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
            var guests = Of(free, name, security, password);
            yield return Cures.Hopeful(
                $"Let {router.Name} send \"{name}\" for guests instead",
                [stop, new SetGuest(router.Id, Partial<GuestNetwork>.All(guests)), .. Joining(name, password)]
            );
        }
    }

    /// <summary>
    /// The router at the line sends a name for guests beside its own, where no box of the home sends one: the own name with "guests" behind
    /// it, as well protected as its radios can, with a key that is still to be made.
    /// </summary>
    public static IEnumerable<Remedy> Named(Evidence e)
    {
        var (router, mode) = AtLine(e);
        if (
            router is not null
            && mode.Radios.FirstOrDefault(r => r.On) is { } sent
            && mode.Guest is null
            && !Air.Of(e.Design).Any(a => a.Guest)
            && e.UnusedSubnet() is { } free
        )
        {
            var fits = Encoding.UTF8.GetByteCount(sent.Name + Behind) <= Limits.WifiName;
            var name = fits ? sent.Name + Behind : Behind.Trim();
            // No other network of the home is to share it.
            var key = Slugs.Of("guest key", k => Air.Of(e.Design).Any(a => a.Setting.Password == k), "");
            var security = router.Profile.Radios.Select(r => r.Nearest(WifiSecurity.Wpa2)).DefaultIfEmpty(WifiSecurity.Wpa2).Min();
            yield return Cures.Hopeful(
                $"Let {router.Name} send \"{name}\" for guests",
                new SetGuest(router.Id, Partial<GuestNetwork>.All(Of(free, name, security, key)))
            );
        }
    }

    private const string Behind = " guests";

    private static (Box? Box, RouterMode Mode) AtLine(Evidence e) =>
        e.Routers.FirstOrDefault(r => e.SegmentOf(r.Box.Id, Side.Wan) is { HasStreet: true });

    private static GuestNetwork Of(Subnet free, string name, WifiSecurity security, string? password) =>
        new(name, security, password, new(new(free.Network.Bits + 1), free.PrefixLength), Usual(free));

    /// <summary>.20 to .199 of a subnet of 256 addresses (common practice).</summary>
    private static AddressRange Usual(Subnet subnet) => AddressRange.Between(new(subnet.Network.Bits + 20), new(subnet.Network.Bits + 199));
}
