using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>What a box holds when a mode is first chosen, and how its pool follows its address.</summary>
internal static class Factory
{
    /// <summary>A very usual factory address (common practice), for boxes whose own is not known.</summary>
    private static readonly InterfaceAddress UsualAddress = new(Ipv4Address.From(192, 168, 1, 1), 24);

    public static BoxMode Mode(Design design, Box box, ModeKind kind, BoxMode? old)
    {
        var lan = box.FactoryAddress ?? UsualAddress;
        return kind switch
        {
            ModeKind.Router => new RouterMode(new Automatic(), lan, new(true, Pool(box, lan), null, [], []), [], Radios(box, old)),
            ModeKind.AccessPoint => new AccessPointMode(new Automatic(), Radios(box, old)),
            ModeKind.Repeater => new RepeaterMode(new Automatic(), Link(design, box, old), Radios(box, old)),
            ModeKind.WirelessBridge => new WirelessBridgeMode(new Automatic(), Link(design, box, old)),
            ModeKind.Satellite => new SatelliteMode(MainOf(design, box), MainOf(design, box)),
            ModeKind.Bridge => new BridgeMode(old is RouterMode router ? router.Lan : box.FactoryAddress),
            ModeKind.Switch => new SwitchMode(box.FactoryAddress is { } page ? new Fixed(page, null, []) : null),
            _ => throw new ArgumentOutOfRangeException(nameof(kind)),
        };
    }

    /// <summary>
    /// A mode as the box comes with it: its radios send the name of its label, it has joined no other box, and its page is at its factory
    /// address where it has one (common practice).
    /// </summary>
    public static BoxMode AsItComes(Design design, Box box, ModeKind kind)
    {
        var mode = Mode(design, box, kind, null);
        HostAddress page = box.FactoryAddress is { } own ? new Fixed(own, null, []) : new Automatic();
        return mode.WithRadios([.. mode.Radios.Select(r => r with { On = true })]) switch
        {
            AccessPointMode point => point with { Page = page },
            RepeaterMode repeater => repeater with { Page = page, Link = Unjoined(box) },
            WirelessBridgeMode bridge => bridge with { Page = page, Link = Unjoined(box) },
            var other => other,
        };
    }

    /// <summary>The link that a wizard offers: the first other box that sends Wi-Fi on a radio of the same band.</summary>
    private static Uplink Link(Design design, Box box, BoxMode? old)
    {
        if (old?.Joins is { } kept)
        {
            return kept;
        }
        return JoinChoices.Of(design, box).Heard is [var found, ..]
            ? new(found.Radio, found.Box, found.Name, found.Security, found.Password, UplinkFrames.ThreeAddress)
            : Unjoined(box);
    }

    /// <summary>A link to no other box.</summary>
    private static Uplink Unjoined(Box box) =>
        new(
            box.Profile.Radios.Count > 0 ? box.Profile.Radios[0].Id : "none",
            box.Id,
            FactoryNames.Of(box),
            WifiSecurity.Wpa2,
            null,
            UplinkFrames.ThreeAddress
        );

    /// <summary>The main node of a box's kit; the box itself where there is none, which a finding says.</summary>
    private static string MainOf(Design design, Box box) => JoinChoices.Of(design, box).MainNodes is [var main, ..] ? main : box.Id;

    /// <summary>
    /// The server after its router's address changed: pool and reservations keep their place in the subnet where they still fit.
    /// </summary>
    public static DhcpServerSetting Moved(DhcpServerSetting server, InterfaceAddress from, InterfaceAddress to)
    {
        if (from.Subnet == to.Subnet)
        {
            return server;
        }
        var hosts = to.Subnet.Hosts;
        Ipv4Address? Shift(Ipv4Address a) =>
            to.Subnet.Network.Plus(from.Subnet.Network.DistanceTo(a)) is { } moved && hosts.Contains(moved) ? moved : null;
        var pool =
            Shift(server.Pool.First) is { } first && Shift(server.Pool.Last) is { } last && first <= last
                ? AddressRange.Between(first, last)
                : UsualPool(to);
        return server with
        {
            Pool = pool,
            Reservations =
            [
                .. server
                    .Reservations.Select(r => (r.Mac, To: Shift(r.Address)))
                    .Where(r => r.To is not null)
                    .Select(r => new Reservation(r.Mac, r.To!.Value)),
            ],
        };
    }

    private static AddressRange Pool(Box box, InterfaceAddress lan) =>
        box.Profile.FactoryPool is { } pool && lan.Subnet.Hosts.Contains(pool) ? pool : UsualPool(lan);

    /// <summary>.100 to .199 where the subnet has them (common practice), else the upper half of its host addresses.</summary>
    private static AddressRange UsualPool(InterfaceAddress lan)
    {
        var (network, hosts) = (lan.Subnet.Network, lan.Subnet.Hosts);
        return hosts.Count >= 254
            ? AddressRange.Between(new(network.Bits + 100), new(network.Bits + 199))
            : AddressRange.Between(new((uint)(hosts.First.Bits + (hosts.Count / 2))), hosts.Last);
    }

    private static IReadOnlyList<RadioSetting> Radios(Box box, BoxMode? old) =>
        old is { Radios.Count: > 0 }
            ? old.Radios
            :
            [
                .. box.Profile.Radios.Select(r => new RadioSetting(
                    r.Id,
                    false,
                    FactoryNames.Of(box),
                    r.Nearest(WifiSecurity.Wpa2),
                    box.Label.WifiPassword
                )),
            ];
}
