using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Testing;

/// <summary>Designs of cabled homes, each named after the technique or the trap that it covers.</summary>
internal static class FixedDesigns
{
    /// <summary>The forms of a home that are meant to work.</summary>
    public static IReadOnlyDictionary<string, Design> Techniques { get; } =
        new Dictionary<string, Home>
        {
            ["one gateway, two devices"] = Home.WithGateway().Wired("a", "gw/lan1").Wifi("b", "gw"),
            ["reservations, in the pool and outside it"] = Home.WithGateway()
                .Wired("a", "gw/lan1")
                .Wired("b", "gw/lan2")
                .Wired("c", "gw/lan3")
                .Reserve("gw", "a", "192.168.8.30")
                .Reserve("gw", "b", "192.168.8.5"),
            ["access point (LAN to LAN, DHCP off)"] = Home.WithGateway()
                .Router("in", "192.168.8.2/24", "192.168.8.100-192.168.8.150", server: false)
                .Cable("gw/lan1", "in/lan1")
                .Wired("a", "in/lan2")
                .Wired("b", "gw/lan2"),
            ["access-point mode by its WAN port"] = Home.WithGateway()
                .Point("point")
                .Cable("gw/lan1", "point/wan")
                .Wired("a", "point/lan1")
                .Wifi("b", "point")
                .Wired("c", "gw/lan2"),
            ["cascade"] = Home.WithGateway()
                .Router("in")
                .Cable("gw/lan1", "in/wan")
                .Wired("a", "in/lan1")
                .Wired("b", "gw/lan2")
                .Wired("c", "in/lan2"),
            ["cascade of three behind a carrier"] = Home.WithGateway()
                .Service(new CarrierNat(null, null))
                .Router("mid")
                .Cable("gw/lan1", "mid/wan")
                .Router("in", "192.168.30.1/24")
                .Cable("mid/lan1", "in/wan")
                .Wired("a", "in/lan1")
                .Wired("b", "mid/lan2")
                .Wired("c", "gw/lan2"),
            ["daisy chain of access points and switches"] = Home.WithGateway()
                .Switch("s")
                .Cable("gw/lan1", "s/lan1")
                .Point("p1")
                .Cable("s/lan2", "p1/wan")
                .Point("p2")
                .Cable("p1/lan1", "p2/wan")
                .Wifi("a", "p2")
                .Wired("b", "s/lan3"),
            ["own router behind a bridged gateway"] = Home.New()
                .Gateway(bridge: true)
                .Cable("street", "gw/wan")
                .Router("main")
                .Cable("gw/lan1", "main/wan")
                .Wired("a", "main/lan1")
                .Wifi("b", "main"),
            ["fixed address from the provider"] = Home.New()
                .Service(
                    new PublicFixed(Home.Own("203.0.113.42/29"), Home.At("203.0.113.41"), null, null) { DnsServers = [Provider.Names] }
                )
                .Gateway(wan: new Fixed(Home.Own("203.0.113.42/29"), Home.At("203.0.113.41"), [Provider.Names]))
                .Cable("street", "gw/wan")
                .Wired("a", "gw/lan1"),
            ["carrier that uses a private block"] = Home.WithGateway()
                .Service(new CarrierNat(null, null) { Inside = Subnet.Parse("10.20.0.0/16").Value })
                .Wired("a", "gw/lan1"),
            ["one port let in, reserved"] = Home.WithGateway()
                .Wired("a", "gw/lan1")
                .Wired("b", "gw/lan2")
                .Reserve("gw", "a", "192.168.8.5")
                .Forward("gw", 8443, "192.168.8.5")
                .Reach("a", 8443),
            ["port let in through two routers"] = Home.WithGateway()
                .Router("in", wan: new Fixed(Home.Own("192.168.8.3/24"), Home.At("192.168.8.1"), [Home.At("192.168.8.1")]))
                .Cable("gw/lan1", "in/wan")
                .Wired("a", "in/lan1", "192.168.20.5/24")
                .Forward("gw", 8443, "192.168.8.3")
                .Forward("in", 8443, "192.168.20.5")
                .Reach("a", 8443),
            ["DMZ host"] = Home.WithGateway()
                .Router("in", wan: new Fixed(Home.Own("192.168.8.3/24"), Home.At("192.168.8.1"), [Home.At("192.168.8.1")]))
                .Cable("gw/lan1", "in/wan")
                .Wired("a", "in/lan1", "192.168.20.5/24")
                .Forward("in", 8443, "192.168.20.5")
                .Reach("a", 8443)
                .Edit<RouterMode>("gw", m => m with { Dmz = Home.At("192.168.8.3") }),
            ["ports that devices ask for"] = Home.WithGateway()
                .Wired("a", "gw/lan1")
                .Reach("a", 8443)
                .Edit<RouterMode>("gw", m => m with { PortRequests = true })
                .AsksItself(),
            ["inner router that routes, with the way back told"] = Home.WithGateway()
                .Router("in", wan: new Fixed(Home.Own("192.168.8.3/24"), Home.At("192.168.8.1"), [Home.At("192.168.8.1")]))
                .Cable("gw/lan1", "in/wan")
                .Wired("a", "in/lan1")
                .Wired("b", "gw/lan2")
                .Habits("in", new() { FirewallWithoutNat = Known.No })
                .Edit<RouterMode>("in", m => m with { Nat = false })
                .Edit<RouterMode>("gw", m => m with { Routes = [new(Subnet.Parse("192.168.20.0/24").Value, Home.At("192.168.8.3"))] }),
            ["forward to another port of the device, through two routers"] = Home.WithGateway()
                .Router("in", wan: new Fixed(Home.Own("192.168.8.3/24"), Home.At("192.168.8.1"), [Home.At("192.168.8.1")]))
                .Cable("gw/lan1", "in/wan")
                .Wired("a", "in/lan1", "192.168.20.5/24")
                .Edit<RouterMode>("gw", m => m with { Forwards = [new(Protocol.Tcp, 80, Home.At("192.168.8.3"), 8080)] })
                .Forward("in", 8080, "192.168.20.5")
                .Reach("a", 8080)
                .Needs(n => n is ReachFromOutside reach ? reach with { OutsidePort = 80 } : n),
            ["inner router that routes, and keeps its firewall"] = Home.WithGateway()
                .Router("in", wan: new Fixed(Home.Own("192.168.8.3/24"), Home.At("192.168.8.1"), [Home.At("192.168.8.1")]))
                .Cable("gw/lan1", "in/wan")
                .Wired("a", "in/lan1")
                .Wired("b", "gw/lan2")
                .Habits("in", new() { FirewallWithoutNat = Known.Yes, AnswersPings = Known.Yes })
                .Edit<RouterMode>("in", m => m with { Nat = false })
                .Edit<RouterMode>("gw", m => m with { Routes = [new(Subnet.Parse("192.168.20.0/24").Value, Home.At("192.168.8.3"))] }),
            ["device outside that an inner router leads on"] = Outside(new() { ForwardsOutside = Known.Yes, AnswersPings = Known.Yes }),
            ["guests of a router"] = Home.WithGateway()
                .Guests("gw")
                .Wifi("g1", "gw", "guests", "guest-key")
                .Wifi("g2", "gw", "guests", "guest-key")
                .Wired("a", "gw/lan1"),
            ["guests of an access point, kept apart"] = Guests(Known.Yes),
            ["several leases from the provider"] = Home.New()
                .Service(new PublicDynamic(null, null) { Leases = 4 })
                .Gateway(bridge: true)
                .Cable("street", "gw/wan")
                .Router("one")
                .Cable("gw/lan1", "one/wan")
                .Router("two", "192.168.30.1/24")
                .Cable("gw/lan2", "two/wan")
                .Wired("a", "one/lan1")
                .Wired("b", "two/lan1"),
            ["powerline pair, injector, managed switch"] = Home.WithGateway()
                .Link("p1", BoxKind.Powerline)
                .Link("p2", BoxKind.Powerline)
                .Cable("gw/lan1", "p1/lan1")
                .Cable("p1/lan2", "p2/lan2")
                .Link("inj", BoxKind.Injector)
                .Cable("p2/lan1", "inj/lan1")
                .Point("point")
                .Cable("inj/lan2", "point/wan")
                .Wifi("a", "point")
                .Switch("s")
                .Edit<SwitchMode>("s", _ => new SwitchMode(new Fixed(Home.Own("192.168.8.9/24"), null, [])))
                .Cable("gw/lan2", "s/lan1")
                .Wired("b", "s/lan2"),
            ["server that hands out no gateway or another's"] = Home.WithGateway()
                .Router("names", "192.168.8.2/24", "192.168.8.200-192.168.8.210")
                .Cable("gw/lan1", "names/lan1")
                .Wired("a", "gw/lan2")
                .Edit<RouterMode>("gw", m => m with { Server = m.Server with { On = false } })
                .Edit<RouterMode>("names", m =>
                    m with
                    {
                        Server = m.Server with { Gateway = Home.At("192.168.8.1"), DnsServers = [Home.At("192.168.8.1")] },
                    }
                ),
        }.ToDictionary(h => h.Key, h => h.Value.Design);

    /// <summary>Homes with the faults that people make.</summary>
    public static IReadOnlyDictionary<string, Design> Traps { get; } =
        new Dictionary<string, Home>
        {
            ["no one serves"] = Home.New().Switch("s").Wired("a", "s/lan1").Wired("b", "s/lan2").Wired("c", "s/lan3", "192.168.8.9/24"),
            ["two DHCP servers"] = Home.WithGateway()
                .Router("second", "192.168.8.2/24", "192.168.8.200-192.168.8.210")
                .Cable("gw/lan1", "second/lan1")
                .Wired("a", "gw/lan2")
                .Wired("b", "second/lan2"),
            ["one address on two boxes"] = Home.WithGateway()
                .Router("second", "192.168.8.1/24", "192.168.8.200-192.168.8.210", server: false)
                .Cable("gw/lan1", "second/lan1")
                .Wired("a", "gw/lan2"),
            ["one address on two devices"] = Home.WithGateway()
                .Wired("a", "gw/lan1", "192.168.8.7/24")
                .Wired("b", "gw/lan2", "192.168.8.7/24")
                .Wired("c", "gw/lan3"),
            ["gateway, mask and DNS server typed wrong"] = Home.WithGateway()
                .Wired("gone", "gw/lan1", "192.168.8.4/24", "192.168.8.250")
                .Wired("outside", "gw/lan2", "192.168.8.5/24", "192.168.9.1")
                .Wired("narrow", "gw/lan3", "192.168.8.6/30", "192.168.8.5")
                .Wired("wide", "gw/lan4", "192.168.8.7/16", "192.168.8.1"),
            ["cable in the WAN port of an access point (LAN to LAN, DHCP off)"] = Home.WithGateway()
                .Router("in", "192.168.8.2/24", "192.168.8.100-192.168.8.150", server: false)
                .Cable("gw/lan1", "in/wan")
                .Wired("a", "in/lan1", "192.168.8.9/24")
                .Wired("b", "gw/lan2"),
            ["access point whose WAN port stays out"] = Home.WithGateway()
                .Point("point", joins: false)
                .Cable("gw/lan1", "point/wan")
                .Wired("a", "point/lan1")
                .Wired("b", "point/lan2"),
            ["router hanging by its LAN port"] = Home.WithGateway()
                .Router("in")
                .Cable("gw/lan1", "in/lan1")
                .Wired("a", "in/lan2")
                .Wired("b", "gw/lan2"),
            ["WAN and LAN of one router on one wire"] = Home.WithGateway()
                .Router("in", "192.168.20.1/24")
                .Switch("s")
                .Cable("gw/lan1", "s/lan1")
                .Cable("s/lan2", "in/wan")
                .Cable("s/lan3", "in/lan1")
                .Wired("a", "s/lan4"),
            ["device outside that takes an inner router for its gateway"] = Outside(
                new() { ForwardsOutside = Known.No, AnswersPings = Known.No }
            ),
            ["DMZ host asked from inside, without hairpin NAT"] = Home.WithGateway()
                .Habits("gw", new() { LoopsBack = Known.No })
                .Wired("a", "gw/lan1", "192.168.8.9/24")
                .Wired("b", "gw/lan2")
                .Edit<RouterMode>("gw", m => m with { Dmz = Home.At("192.168.8.9") }),
            ["mask too wide behind a router that answers across its sides"] = Wide(Known.Yes),
            ["mask too wide behind a router that does not"] = Wide(Known.No),
            ["inner router that routes, and no one knows the way back"] = Home.WithGateway()
                .Router("in")
                .Cable("gw/lan1", "in/wan")
                .Wired("a", "in/lan1")
                .Wired("b", "gw/lan2")
                .Edit<RouterMode>("in", m => m with { Nat = false }),
            ["outermost router that does not translate"] = Home.WithGateway()
                .Wired("a", "gw/lan1")
                .Edit<RouterMode>("gw", m => m with { Nat = false }),
            ["forward behind a carrier"] = Home.WithGateway()
                .Service(new CarrierNat(null, null))
                .Wired("a", "gw/lan1", "192.168.8.5/24")
                .Forward("gw", 8443, "192.168.8.5")
                .Reach("a", 8443),
            ["forward on the inner router only"] = Home.WithGateway()
                .Router("in")
                .Cable("gw/lan1", "in/wan")
                .Wired("a", "in/lan1", "192.168.20.5/24")
                .Forward("in", 8443, "192.168.20.5")
                .Reach("a", 8443),
            ["port asked of the inner router only"] = Home.WithGateway()
                .Router("in")
                .Cable("gw/lan1", "in/wan")
                .Wired("a", "in/lan1")
                .Reach("a", 8443)
                .Edit<RouterMode>("in", m => m with { PortRequests = true })
                .AsksItself(),
            ["forward to an address that no one has"] = Home.WithGateway()
                .Wired("a", "gw/lan1")
                .Reserve("gw", "a", "192.168.8.5")
                .Forward("gw", 8443, "192.168.8.6")
                .Reach("a", 8443),
            ["forward to an address of no side of the router"] = Home.WithGateway()
                .Wired("a", "gw/lan1")
                .Reserve("gw", "a", "192.168.8.5")
                .Forward("gw", 8443, "10.9.9.9")
                .Reach("a", 8443),
            ["untranslated, with a route past the default gateway"] = Home.WithGateway()
                .Wired("a", "gw/lan1")
                .Edit<RouterMode>("gw", m =>
                    m with
                    {
                        Nat = false,
                        Routes = [new(Subnet.Parse("198.51.100.0/24").Value, Home.At("203.0.113.1"))],
                    }
                ),
            ["guests of an access point that opens"] = Guests(Known.No),
            ["device before the router that takes its inner address for the gateway"] = Home.New()
                .Switch("s")
                .Cable("street", "s/lan1")
                .Gateway()
                .Cable("s/lan2", "gw/wan")
                .Habits("gw", BoxHabits.NotKnown with { AnswersAcross = Known.Yes })
                .Wired("a", "s/lan3", "192.168.8.9/24")
                .Wired("b", "gw/lan1"),
            ["device before the router, of a service that no one knows"] = Home.New()
                .Service(new UnknownService(null, null) { Leases = 4 })
                .Switch("s")
                .Cable("street", "s/lan1")
                .Gateway()
                .Cable("s/lan2", "gw/wan")
                .Wired("a", "s/lan3")
                .Wired("b", "gw/lan1"),
            ["two routers at a line that gives two addresses"] = Home.New()
                .Service(new PublicDynamic(100, 20) { Leases = 2 })
                .Gateway()
                .Router("own")
                .Cable("street", "gw/wan")
                .Cable("street", "own/wan")
                .Wired("a", "gw/lan1")
                .Wired("b", "own/lan1"),
            ["two routers at a line that gives two addresses, and cabled to each other"] = Home.New()
                .Service(new PublicDynamic(100, 20) { Leases = 2 })
                .Gateway()
                .Router("own")
                .Cable("street", "gw/wan")
                .Cable("street", "own/wan")
                .Cable("gw/lan2", "own/lan2")
                .Wired("a", "gw/lan1", "192.168.8.9/24")
                .Wired("b", "own/lan1", "192.168.20.9/24", "192.168.20.1"),
            ["UDP let in through two routers from another port, TCP not"] = Home.WithGateway()
                .Router("in")
                .Cable("gw/lan1", "in/wan")
                .Edit<RouterMode>("in", m => m with { Wan = new Fixed(Home.Own("192.168.8.3/24"), Home.At("192.168.8.1"), []) })
                .Wired("console", "in/lan1")
                .Reserve("in", "console", "192.168.20.5")
                .Edit<RouterMode>("gw", m => m with { Forwards = [new(Protocol.Udp, 3074, Home.At("192.168.8.3"), 3075)] })
                .Edit<RouterMode>("in", m => m with { Forwards = [new(Protocol.Udp, 3075, Home.At("192.168.20.5"), 3075)] })
                .Need(new ReachFromOutside("udp", "console", Protocol.Udp, 3075, false) { OutsidePort = 3074 })
                // The same port by the other protocol is another.
                .Need(new ReachFromOutside("tcp", "console", Protocol.Tcp, 3075, false) { OutsidePort = 3074 }),
            ["router with half the subnet of the one that serves beside it"] = Home.WithGateway()
                .Router("half", "192.168.8.129/25", "192.168.8.192-192.168.8.254", server: false)
                .Cable("gw/lan1", "half/lan1")
                .Wired("a", "gw/lan2")
                .Wired("b", "half/lan2"),
            ["two routers side by side, both with one LAN"] = Home.WithGateway()
                .Router("one", "192.168.20.1/24")
                .Router("two", "192.168.20.1/24")
                .Cable("gw/lan1", "one/wan")
                .Cable("gw/lan2", "two/wan")
                .Cable("one/lan1", "two/lan1")
                .Wired("a", "one/lan2")
                .Wired("b", "two/lan2"),
            ["device before the router"] = Home.New()
                .Gateway(bridge: true)
                .Cable("street", "gw/wan")
                .Switch("s")
                .Cable("gw/lan1", "s/lan1")
                .Router("main")
                .Cable("s/lan2", "main/wan")
                .Wired("a", "main/lan1")
                .Wired("b", "s/lan3"),
            ["server that wakes when it hears no other"] = Home.New()
                .Point("point")
                .Wakes("point")
                .Wired("a", "point/lan1")
                .Wired("b", "point/lan2"),
            ["server that stays asleep beside another"] = Home.WithGateway()
                .Point("point")
                .Wakes("point")
                .Cable("gw/lan1", "point/wan")
                .Wired("a", "point/lan1"),
            ["names that no host answers"] = Home.WithGateway()
                .Wired("a", "gw/lan1")
                .Edit<RouterMode>("gw", m => m with { Server = m.Server with { DnsServers = [Home.At("192.168.8.250")] } }),
            ["router that renumbers itself"] = Home.WithGateway()
                .Router("in", "192.168.8.1/24", "192.168.8.100-192.168.8.150")
                .Cable("gw/lan1", "in/wan")
                .Wired("a", "in/lan1")
                .Wired("b", "in/lan2", "192.168.8.7/24")
                .Wired("c", "gw/lan2")
                .Habits("in", new() { OnOverlap = OverlapHabit.Renumbers, AnswersAcross = Known.No }),
            ["nested subnets on both sides"] = Home.New()
                .Gateway(lan: "172.16.8.1/22", pool: null)
                .Cable("street", "gw/wan")
                .Router("in", "172.16.10.1/24")
                .Cable("gw/lan1", "in/wan")
                .Wired("a", "in/lan1")
                .Wired("b", "gw/lan2", "172.16.9.7/22", "172.16.8.1")
                .Habits("in", new() { OnOverlap = OverlapHabit.CarriesOn, AnswersAcross = Known.No }),
        }.ToDictionary(h => h.Key, h => h.Value.Design);

    private static Home Guests(Known apart) =>
        Home.WithGateway()
            .Point("point")
            .Cable("gw/lan1", "point/wan")
            .Wired("a", "point/lan1")
            .Wifi("g", "point", "visitors", "guest-key")
            .Wifi("h", "point", "visitors", "guest-key")
            .Habits("point", new() { GuestsApart = apart })
            .Edit<AccessPointMode>("point", m => m with { Guest = new("visitors", WifiSecurity.Wpa2, "guest-key") });

    /// <summary>A device before an inner router that has the outer address of that router for its gateway.</summary>
    private static Home Outside(BoxHabits habits) =>
        Home.WithGateway()
            .Router("in", wan: new Fixed(Home.Own("192.168.8.3/24"), Home.At("192.168.8.1"), [Home.At("192.168.8.1")]))
            .Habits("in", habits)
            .Cable("gw/lan1", "in/wan")
            .Wired("a", "in/lan1")
            .Wired("b", "gw/lan2", "192.168.8.9/24", "192.168.8.3");

    /// <summary>A device behind an inner router whose mask holds both sides of it.</summary>
    private static Home Wide(Known across) =>
        Home.WithGateway()
            .Router("in", wan: new Fixed(Home.Own("192.168.8.3/24"), Home.At("192.168.8.1"), [Home.At("192.168.8.1")]))
            .Habits("in", new() { AnswersAcross = across })
            .Cable("gw/lan1", "in/wan")
            .Wired("a", "in/lan1", "192.168.20.9/16")
            .Wired("b", "gw/lan2");
}
