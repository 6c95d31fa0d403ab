using Altrin.Core.Sites;

namespace Altrin.Testing;

/// <summary>Designs in which more than cables counts.</summary>
internal static class RadioDesigns
{
    /// <summary>Boxes joined by radio, where a wire stands for the link; gateways that pass their address on; guests by VLAN.</summary>
    public static IReadOnlyDictionary<string, Design> All { get; } =
        new Dictionary<string, Home>
        {
            ["repeater with four addresses (T5)"] = Home.WithGateway()
                .FourAddresses("gw")
                .Repeater("rep", "gw", UplinkFrames.FourAddress)
                .Wired("a", "rep/lan1")
                .Wifi("b", "rep")
                .Wired("c", "gw/lan1"),
            ["repeater with three addresses that lets leases through (T5)"] = Home.WithGateway()
                .Repeater("rep", "gw")
                .Habits("rep", new() { LeasesThrough = Known.Yes })
                .Wired("a", "rep/lan1")
                .Wifi("b", "rep")
                .Wired("c", "gw/lan1"),
            ["repeater with a subnet of its own (T5)"] = Home.WithGateway()
                .Router("rep")
                .Edit<RouterMode>("rep", m => m with { Uplink = Link(UplinkFrames.ThreeAddress) })
                .Wired("a", "rep/lan1")
                .Wired("c", "gw/lan1"),
            ["repeater with a wrong key"] = Home.WithGateway()
                .Repeater("rep", "gw", link: l => l with { Password = "wrong-key" })
                .Wired("a", "rep/lan1")
                .Wired("c", "gw/lan1"),
            ["WDS pair (T6)"] = Wds(false),
            ["WDS pair whose far server is on (T6)"] = Wds(true),
            ["wireless bridge, fixed device (T7)"] = Home.WithGateway()
                .Bridge("br", "gw")
                .Wired("a", "br/lan1", "192.168.8.5/24")
                .Wired("b", "br/lan2", "192.168.8.6/24")
                .Wired("c", "gw/lan1"),
            ["mesh by radio, by cable, chained (T14)"] = Home.WithGateway()
                .Satellite("s1", "gw", "gw")
                .Satellite("s2", "gw", "s1")
                .Satellite("s3", "gw", null)
                .Cable("gw/lan1", "s3/wan")
                .Wifi("a", "s1")
                .Wifi("b", "s2")
                .Wired("c", "s3/lan1")
                .Wired("e", "s2/lan1"),
            ["pass-through by port (T10)"] = Passed(PassKind.Port, "lan1"),
            ["pass-through by MAC address (T10)"] = Passed(PassKind.MacAddress, "main"),
            ["public-address mapping (T11)"] = Passed(PassKind.Mapping, "main"),
            ["guests by VLAN through a plain switch"] = Tagged(null),
            ["guests by VLAN through a managed switch"] = Tagged([new("lan1", 1, [20]), new("lan2", 1, [20]), new("lan3", 20, [])])
                .Wired("kiosk", "s/lan3"),
            ["guests by VLAN that a managed switch drops"] = Tagged([new("lan1", 1, [20]), new("lan2", 1, [30])]),
            ["guests by a tag that the router does not know"] = Tagged(null, 30),
            ["pass-through to no one"] = Passed(PassKind.Port, "lan3"),
            ["DMZ host that is a router (T11)"] = Home.WithGateway()
                .Router("main")
                .Cable("gw/lan1", "main/wan")
                .Wired("a", "main/lan1")
                .Reserve("main", "a", "192.168.20.5")
                .Forward("main", 8443, "192.168.20.5")
                .Reach("a", 8443)
                .Edit<RouterMode>("main", m =>
                    m with
                    {
                        Wan = new Fixed(Home.Own("192.168.8.2/24"), Home.At("192.168.8.1"), [Home.At("192.168.8.1")]),
                    }
                )
                .Edit<RouterMode>("gw", m => m with { Dmz = Home.At("192.168.8.2") }),
            ["DMZ host, on a port that the gateway keeps (T11)"] = Home.WithGateway()
                .Profile("gw", p => p with { KeptPorts = [8443] })
                .Router("main")
                .Cable("gw/lan1", "main/wan")
                .Wired("a", "main/lan1")
                .Reserve("main", "a", "192.168.20.5")
                .Forward("main", 8443, "192.168.20.5")
                .Reach("a", 8443)
                .Edit<RouterMode>("main", m =>
                    m with
                    {
                        Wan = new Fixed(Home.Own("192.168.8.2/24"), Home.At("192.168.8.1"), [Home.At("192.168.8.1")]),
                    }
                )
                .Edit<RouterMode>("gw", m => m with { Dmz = Home.At("192.168.8.2") }),
        }.ToDictionary(h => h.Key, h => h.Value.Design);

    private static Home Tagged(PortVlans[]? ports, int point = 20) =>
        Home.WithGateway()
            .Guests("gw")
            .Edit<RouterMode>("gw", m => m with { Guest = m.Guest! with { Vlan = 20 } })
            .Switch("s")
            .Edit<SwitchMode>("s", m => ports is null ? m : new SwitchMode(new Automatic()) { Vlans = ports })
            .Cable("gw/lan1", "s/lan1")
            .Point("point")
            .Cable("s/lan2", "point/wan")
            .Edit<AccessPointMode>("point", m => m with { Guest = new("visitors", WifiSecurity.Wpa2, "guest-key") { Vlan = point } })
            .Wifi("visitor", "point", "visitors", "guest-key")
            .Wifi("phone", "point")
            .Wired("a", "s/lan4");

    private static Uplink Link(UplinkFrames frames) =>
        new("r5", "gw", "home", WifiSecurity.Wpa2, "key", frames) { Locked = true, Channel = frames == UplinkFrames.Wds ? 36 : null };

    private static Home Wds(bool server) =>
        Home.WithGateway()
            .Edit<RouterMode>("gw", m => m with { Wifi = [Home.Radios("home")[0] with { Channel = 36, WdsPeers = ["far"] }] })
            .Router("far", "192.168.8.2/24", "192.168.8.220-192.168.8.240", server)
            .Edit<RouterMode>("far", m => m with { Uplink = Link(UplinkFrames.Wds) })
            .Wired("a", "far/lan1")
            .Wifi("b", "far")
            .Wired("c", "gw/lan1");

    private static Home Passed(PassKind kind, string to) =>
        Home.WithGateway()
            .Router("main")
            .Cable("gw/lan1", "main/wan")
            .Passes("gw", kind, to)
            .Wired("a", "main/lan1")
            .Wired("c", "gw/lan2")
            .Reserve("main", "a", "192.168.20.5")
            .Forward("main", 8443, "192.168.20.5")
            .Reach("a", 8443);
}
