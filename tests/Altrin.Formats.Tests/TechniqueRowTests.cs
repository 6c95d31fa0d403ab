using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests;

/// <summary>What makes each technique what it is (common practice), held to its sample: five statements each.</summary>
public sealed class TechniqueRowTests
{
    private sealed record Seen(Proof Proof)
    {
        private FactSheet Sheet => Proof.Observation.Sheet;

        public Network Network => Proof.Observation.Network;

        public string NatBy(string device) => string.Join(',', Sheet.Internet.Single(i => i.Device == device).NatBy);

        public string? Segment(string owner, Side side = Side.Device) => Network.Find(owner, side)?.Segment;

        public string Address(string owner, Side side = Side.Device) =>
            $"{Sheet.Addresses.Single(a => a.Owner == owner && a.Side == side).Address}";

        public AddressOrigin Origin(string owner, Side side = Side.Device) =>
            Sheet.Addresses.Single(a => a.Owner == owner && a.Side == side).Origin;

        public bool Reaches(string from, string to) => Proof.Observation.Reach(from, to)!.Answer.IsYes;

        public bool Empty(string port) => Network.Design.CableAt(PortRef.Read(port)) is null;

        public string[] Servers(string segment) => [.. Network.Segment(segment).Servers.Select(s => s.Owner)];

        public bool Joined(string box, string to, UplinkFrames frames) =>
            Network.RadioLinks.Any(l => l.Box == box && l.To == to && l.Frames == frames);

        public bool Outside(string owner, Side side = Side.Device) =>
            Network
                .Segments.SelectMany(s => s.Servers)
                .All(s => s.Pool?.Contains(Proof.Observation.Leasing.Holdings(Network.Find(owner, side)!)[0].Exact!.Value) != true);

        public bool Sends(string box) => Air.Of(Network.Design, box).Count > 0;

        public int Groups(string name) => Roaming.Names(Network).Single(n => n.Name == name).Groups.Count;

        public bool NeedsMet => Sheet.Needs.Count > 0 && Sheet.Needs.All(n => n.Answer.IsYes);

        public int? AtMost(string link) => Sheet.Links.Single(l => l.Id == link).AtMostMbps;

        public int LinksOf(string device) => Sheet.Internet.Single(i => i.Device == device).Links.Count;
    }

    private static readonly Dictionary<string, (string Says, Func<Seen, bool> So)[]> Rows = new()
    {
        ["t01-access-point-by-hand"] =
        [
            ("its own address lies outside the pool", s => s.Outside("upstairs-router", Side.Lan)),
            ("its DHCP server is off", s => s.Servers("hall-gateway") is ["hall-gateway"]),
            ("its WAN port is empty", s => s.Empty("upstairs-router/wan")),
            ("devices behind it are in the main network", s => s.Segment("study-computer") == "hall-gateway"),
            ("it translates nothing", s => s.NatBy("family-phone") == "hall-gateway"),
        ],
        ["t02-access-point-mode"] =
        [
            ("its page is leased and reserved", s => s.Origin("upstairs-router", Side.Page) == AddressOrigin.Reserved),
            ("the cable is in its WAN port", s => !s.Empty("upstairs-router/wan")),
            ("it has no server of its own", s => s.Servers("hall-gateway") is ["hall-gateway"]),
            ("it translates nothing", s => s.NatBy("family-phone") == "hall-gateway"),
            ("devices move between both boxes", s => s.Groups("beech") == 1),
        ],
        ["t03-cascade"] =
        [
            ("the subnets differ", s => s.Proof.Observation.Sheet.Overlaps.Count == 0),
            ("translation stacks up", s => s.NatBy("lodger-laptop") == "lodger-router,hall-gateway"),
            ("inner devices reach outward", s => s.Reaches("lodger-laptop", "family-computer")),
            ("nothing reaches inward", s => !s.Reaches("family-computer", "lodger-laptop")),
            ("discovery does not cross", s => s.Segment("lodger-laptop") != s.Segment("family-computer")),
        ],
        ["t04-daisy-chain"] =
        [
            ("there is no loop", s => s.Network.Segments.All(x => x.Loops.Count == 0)),
            ("all are one segment", s =>
                s.Network.Interfaces.Where(i => i.Side == Side.Device).Select(i => i.Segment).Distinct().Count() == 1
            ),
            ("one server answers", s => s.Servers("hall-gateway").Length == 1),
            ("one translation", s => s.Proof.Observation.Sheet.Internet.All(i => i.NatBy.Count == 1)),
            ("someone passes two boxes or more", s => s.Proof.Observation.Sheet.Internet.Max(i => i.Links.Count) >= 4),
        ],
        ["t05-repeater"] =
        [
            ("it joins the main box", s => s.Joined("landing-repeater", "hall-gateway", UplinkFrames.ThreeAddress)),
            ("its own WAN port is empty", s => s.Empty("landing-repeater/wan")),
            ("its address is out of the main box's way, and of the pool", s =>
                s.Address("landing-repeater", Side.Page) == "192.168.8.2" && s.Outside("landing-repeater", Side.Page)
            ),
            ("its gateway and names point at the main box", s =>
                s.Network.Find("landing-repeater", Side.Page)!.Setting is Fixed { Gateway: { } g, DnsServers: [var n] }
                && $"{g} {n}" == "192.168.8.1 192.168.8.1"
            ),
            ("Wi-Fi and cable behind it are the main network", s =>
                s.Segment("family-phone") == "hall-gateway" && s.Segment("television") == "hall-gateway"
            ),
        ],
        ["t06-wds-pair"] =
        [
            ("both channels are fixed and the same", s =>
                s.Network.Design.Mode("hall-gateway")!.Radios[0].Channel == 6 && s.Network.Design.Mode("barn-router")!.Joins!.Channel == 6
            ),
            ("each side knows the other", s =>
                s.Network.Design.Mode("hall-gateway")!.Radios[0].WdsPeers is ["barn-router"]
                && s.Joined("barn-router", "hall-gateway", UplinkFrames.Wds)
            ),
            ("the far DHCP server is off", s => s.Servers(s.Segment("printer")!) is ["hall-gateway"]),
            ("the far box translates nothing", s => s.NatBy("barn-computer") == "hall-gateway"),
            ("its page is fixed in the main subnet", s =>
                s.Address("barn-router", Side.Lan) == "192.168.8.2" && s.Segment("barn-router", Side.Lan) == s.Segment("printer")
            ),
        ],
        ["t07-wireless-bridge"] =
        [
            ("it serves its sockets only", s => !s.Sends("desk-bridge")),
            ("devices behind it have fixed addresses outside the pool", s =>
                s.Origin("desk-computer") == AddressOrigin.Fixed && s.Outside("desk-computer") && s.Outside("recorder")
            ),
            ("several addresses go by one MAC address", s =>
                Looking.From(s.Proof.Observation, "family-phone")!.Table.Count(n => n.Mac == s.Network.Design.Box("desk-bridge")!.Mac) == 3
            ),
            ("that is no duplicate", s => s.Proof.Observation.Sheet.Conflicts.Count == 0),
            ("a recorder behind it is reached from outside", s => s.NeedsMet),
        ],
        ["t08-two-buildings"] =
        [
            ("one DHCP server", s => s.Network.Segments.Where(x => !x.HasStreet).SelectMany(x => x.Servers).Count() == 1),
            ("one router", s => s.Proof.Observation.Sheet.Internet.All(i => string.Join(',', i.NatBy) == "hall-gateway")),
            ("the far box routes nothing", s => s.Joined("workshop-radio", "house-radio", UplinkFrames.FourAddress)),
            ("fixed addresses of both sides differ", s => s.Proof.Observation.Sheet.Conflicts.Count == 0),
            ("radio, no copper, between the buildings", s =>
                s.Network.Links.Single(l => l.Id == "radio:workshop-radio").Cable is null && s.Reaches("workshop-computer", "printer")
            ),
        ],
        ["t09-behind-bridge"] =
        [
            ("the gateway routes nothing", s => s.Network.Design.Mode("hall-gateway") is BridgeMode),
            ("its Wi-Fi is off", s => !s.Sends("hall-gateway")),
            ("the router takes the public address", s => s.Segment("main-router", Side.Wan) == PortRef.Street),
            ("it alone translates", s => s.NatBy("family-phone") == "main-router"),
            ("the line was asked about", s =>
                s.Network.Design.Site.Service.Line is { Login: Known.No, Tagged: Known.No, Locked: Known.No }
            ),
        ],
        ["t10-pass-through"] =
        [
            ("the gateway keeps running as a router", s => s.Network.Router("hall-gateway")!.Passing is { Kind: PassKind.MacAddress }),
            ("it passes to the router's outer MAC address", s =>
                s.Network.Router("hall-gateway")!.Passing!.To == s.Network.Design.Box("main-router")!.WanMac
            ),
            ("the router alone translates", s => s.NatBy("family-phone") == "main-router"),
            ("the gateway's Wi-Fi is off", s => !s.Sends("hall-gateway")),
            ("a connection from outside arrives", s => s.NeedsMet),
        ],
        ["t11-address-mapping"] =
        [
            ("the target is the router", s =>
                s.Network.Router("hall-gateway")!.Passing is { Kind: PassKind.Mapping } p
                && p.To == s.Network.Design.Box("main-router")!.WanMac
            ),
            ("its WAN side is given the public address", s => s.Segment("main-router", Side.Wan) == PortRef.Street),
            ("one translation", s => s.NatBy("study-computer") == "main-router"),
            ("its LAN does not overlap the gateway's page", s =>
                !s.Network.Router("hall-gateway")!.Lan.Subnet.Overlaps(s.Network.Router("main-router")!.Lan.Subnet)
            ),
            ("a connection from outside arrives", s => s.NeedsMet),
        ],
        ["t12-points-behind-gateway"] =
        [
            ("the gateway stays the router", s => s.NatBy("family-phone") == "hall-gateway"),
            ("its Wi-Fi is off", s => !s.Sends("hall-gateway")),
            ("the main node is an access point", s => s.Network.Design.Mode("main-node") is AccessPointMode),
            ("one server answers", s => s.Servers("hall-gateway") is ["hall-gateway"]),
            ("devices move between the nodes", s => Roaming.Names(s.Network) is [{ Groups.Count: 1 }]),
        ],
        ["t13-behind-mobile-gateway"] =
        [
            ("double translation stays, and the carrier's", s => s.NatBy("family-phone") == "main-router,mobile-gateway,street"),
            ("the gateway's Wi-Fi is off", s => !s.Sends("mobile-gateway")),
            ("nothing inward over IPv4 is promised", s => s.Network.Design.Site.Needs.All(n => n is not ReachFromOutside)),
            ("that the carrier translates is said", s => s.Proof.Findings.Any(f => f.Code == "carrier-nat")),
            ("ordinary internet works", s => s.Proof.Observation.Sheet.Internet.All(i => i.Answer.IsYes)),
        ],
        ["t14-mesh"] =
        [
            ("the main node is directly at the modem", s => s.Network.Design.CableAt(PortRef.Read("main-node/wan"))!.Ends("line-modem")),
            ("one satellite joins by radio", s => s.Joined("landing-node", "main-node", UplinkFrames.FourAddress)),
            ("the other goes by its cable, and makes no ring", s =>
                s.Network.RadioLinks.Count == 1 && s.Network.Segments.All(x => x.Loops.Count == 0)
            ),
            ("satellites stand in a star", s => s.Network.RadioLinks.All(l => l.To == "main-node")),
            ("one name for all nodes", s => s.Groups("beech") == 1 && Roaming.Names(s.Network).Single().Groups[0].Radios.Count == 6),
        ],
        ["t15-switches"] =
        [
            ("no switch stands before the router", s =>
                s.Network.Segment(PortRef.Street).Boxes.All(b => s.Network.Design.Mode(b) is not SwitchMode)
            ),
            ("switches have no server", s => s.Servers("hall-gateway") is ["hall-gateway"]),
            ("they translate nothing", s => s.Proof.Observation.Sheet.Internet.All(i => string.Join(',', i.NatBy) == "hall-gateway")),
            ("all behind them is one segment", s =>
                s.Network.Interfaces.Where(i => i.Side == Side.Device).All(i => i.Segment == "hall-gateway")
            ),
            ("there is no loop", s => s.Network.Segments.All(x => x.Loops.Count == 0)),
        ],
        ["t16-powerline"] =
        [
            ("the pair carries far less than its label", s => s.AtMost("attic-powerline-lan2-hall-powerline-lan2") == 150),
            ("that is not below the service", s => s.Proof.Findings.All(f => f.Code != "slow-link")),
            ("the pair is the slowest link of the way", s =>
                s.Proof.Observation.Sheet.Internet.All(i => i.Slowest == "attic-powerline-lan2-hall-powerline-lan2")
            ),
            ("it has no page and no server", s =>
                s.Network.Find("attic-powerline", Side.Page) is null && s.Servers("hall-gateway").Length == 1
            ),
            ("devices behind it are in the main network", s => s.Segment("attic-computer") == "hall-gateway"),
        ],
        ["t17-injector"] =
        [
            ("its data port leads to the router", s => s.Network.Design.CableAt(PortRef.Read("loft-injector/lan1"))!.Ends("hall-gateway")),
            ("its power port leads to the access point", s =>
                s.Network.Design.CableAt(PortRef.Read("loft-injector/lan2"))!.Ends("loft-point")
            ),
            ("data passes through it", s => s.LinksOf("family-phone") == 4),
            ("it has no page", s => s.Network.Find("loft-injector", Side.Page) is null),
            ("the access point's page is reserved", s => s.Origin("loft-point", Side.Page) == AddressOrigin.Reserved),
        ],
        ["t18-old-name-and-key"] =
        [
            ("the new box sends the old name", s => Roaming.Names(s.Network) is [{ Name: "old-hearth" }]),
            ("no device had to be touched", s =>
                s.Network.Refusals.Count == 0
                && s.Network.Design.SetUp.Devices.All(d => d.Wifi is { Name: "old-hearth", Password: "hearth-key" })
            ),
            ("name, key and protection are the same on each band", s => s.Groups("old-hearth") == 1),
            ("a gadget of 2.4 GHz finds it", s => Roaming.Heard(s.Network) is [{ Device: "heating", Names: ["old-hearth"] }]),
            ("the gateway no longer sends", s => !s.Sends("hall-gateway")),
        ],
    };

    public static TheoryData<string> All => [.. Rows.Keys];

    /// <summary>What is not so of a home that should be as a technique makes it.</summary>
    internal static IEnumerable<string> NotSo(string technique, Proof proof) =>
        Rows.GetValueOrDefault(technique, []).Where(row => !row.So(new(proof))).Select(row => row.Says);

    [Theory]
    [MemberData(nameof(All))]
    public void What_makes_a_technique_what_it_is(string sample)
    {
        var seen = new Seen(Judging.Prove(Samples.Home($"{sample}.json").Design("planned")!));
        Assert.Equal(5, Rows[sample].Length);
        Assert.All(Rows[sample], row => Assert.True(row.So(seen), row.Says));
    }

    [Fact]
    public void Every_technique_has_a_row() =>
        Assert.Equal(Samples.All.Where(s => s != "pottery-house.json"), Rows.Keys.Select(r => $"{r}.json").Order(StringComparer.Ordinal));
}
