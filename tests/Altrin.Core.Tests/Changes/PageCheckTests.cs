using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Changes;

/// <summary>What pages take, at the edges.</summary>
public sealed class PageCheckTests
{
    // IEEE 802.11, from memory: the numbers that some country allows.
    private static readonly Dictionary<RadioBand, int[]> Channels = new()
    {
        [RadioBand.Ghz2] = [.. Enumerable.Range(1, 14)],
        [RadioBand.Ghz5] =
        [
            .. new[] { 36, 40, 44, 48, 52, 56, 60, 64, 100, 104, 108, 112, 116, 120, 124, 128, 132, 136, 140, 144 },
            .. new[] { 149, 153, 157, 161, 165, 169, 173, 177 },
        ],
        [RadioBand.Ghz6] = [.. Enumerable.Range(0, 59).Select(i => 1 + (4 * i))],
    };

    [Theory]
    [InlineData(RadioBand.Ghz2, 20, 40)]
    [InlineData(RadioBand.Ghz5, 20, 40, 80, 160, 320)]
    [InlineData(RadioBand.Ghz6, 20, 40, 80, 160, 320)]
    public void A_band_has_its_channels_and_widths_and_no_others(RadioBand band, params int[] widths)
    {
        Assert.Equal(Channels[band], Enumerable.Range(-4, 300).Where(n => PageChecks.WrongChannel(band, n, null) is null));
        Assert.Equal(widths, Enumerable.Range(0, 400).Where(w => PageChecks.WrongChannel(band, Channels[band][0], w) is null));
        Assert.Equal(widths, Enumerable.Range(0, 400).Where(w => PageChecks.WrongChannel(band, null, w) is null));
        Assert.Null(PageChecks.WrongChannel(band, null, null));
    }

    [Fact]
    public void Numbers_are_taken_from_the_least_to_the_most()
    {
        Assert.Equal((1, 65535), Taken(-2, 65540, PageChecks.WrongTransportPort));
        Assert.Equal((1, 4094), Taken(-2, 4200, n => PageChecks.WrongTag(n)));
        Assert.Equal((2, 4094), Taken(-2, 4200, n => PageChecks.WrongGuestTag(n)));
        Assert.Equal((Limits.ShortestLeaseMinutes, Limits.LongestLeaseMinutes), Taken(-2, 600_000, n => PageChecks.WrongLeaseTime(n)));
        Assert.Equal((0, Limits.DnsServers), Taken(0, 9, n => PageChecks.TooMany([.. Enumerable.Repeat(Home.At("192.168.8.1"), n)])));
        Assert.Equal((1, 32), Taken(0, 40, n => PageChecks.WrongNetworkName(new('x', n))));
        Assert.Equal((1, 16), Taken(0, 40, n => PageChecks.WrongNetworkName(new('ü', n))));
        Assert.Equal((1, 63), Taken(0, 80, n => PageChecks.WrongDomain(new('x', n))));
        Assert.Equal((8, 30), Taken(1, 32, n => PageChecks.WrongOwnAddress(new(Home.At("10.1.1.1"), n))));
        Assert.All(
            [PageChecks.WrongTag(null), PageChecks.WrongGuestTag(null), PageChecks.WrongLeaseTime(null), PageChecks.WrongDomain(null)],
            Assert.Null
        );

        static (int Least, int Most) Taken(int from, int to, Func<int, string?> wrong)
        {
            int[] taken = [.. Enumerable.Range(from, to - from + 1).Where(n => wrong(n) is null)];
            Assert.Equal(taken[^1] - taken[0] + 1, taken.Length);
            return (taken[0], taken[^1]);
        }
    }

    [Theory]
    [InlineData("home.arpa", true)]
    [InlineData("a-b.c1", true)]
    [InlineData("", false)]
    [InlineData(".", false)]
    [InlineData("home..arpa", false)]
    [InlineData("home.", false)]
    [InlineData("-home", false)]
    [InlineData("home-.arpa", false)]
    [InlineData("hôme", false)]
    [InlineData("a b", false)]
    public void A_domain_is_labels_and_dots(string domain, bool taken) => Assert.Equal(taken, PageChecks.WrongDomain(domain) is null);

    [Theory]
    [InlineData(61, true)]
    [InlineData(62, false)]
    public void A_domain_has_at_most_253_characters(int last, bool taken)
    {
        var label = new string('x', 63);
        Assert.Equal(taken, PageChecks.WrongDomain($"{label}.{label}.{label}.{new string('x', last)}") is null);
    }

    [Theory]
    [InlineData("guests", "key", "192.168.30.1/24", "192.168.30.20-192.168.30.99", null, null)]
    [InlineData("", "Key", "192.168.30.0/24", "192.168.31.20-192.168.31.99", 1, "A network name has")]
    [InlineData("guests", "Key", "192.168.30.0/24", "192.168.31.20-192.168.31.99", 1, "A key is referred to")]
    [InlineData("guests", "key", "192.168.30.0/24", "192.168.31.20-192.168.31.99", 1, "is the network address")]
    [InlineData("guests", "key", "192.168.8.9/24", "192.168.31.20-192.168.31.99", 1, "does not lie inside")]
    [InlineData("guests", "key", "192.168.8.9/24", "192.168.8.20-192.168.8.99", 1, "VLAN 1 is the home's own")]
    [InlineData("guests", "key", "192.168.8.9/24", "192.168.8.20-192.168.8.99", 5000, "5000 is not a tag")]
    [InlineData("guests", "key", "192.168.8.9/24", "192.168.8.20-192.168.8.99", 30, "a subnet of their own")]
    public void Of_a_guest_network_the_first_thing_wrong_is_said(string name, string key, string lan, string pool, int? tag, string? says)
    {
        var guest = new GuestNetwork(name, WifiSecurity.Wpa2, key, Home.Own(lan), Home.Range(pool)) { Vlan = tag };
        Says(says, PageChecks.WrongGuest(guest, Home.Own("192.168.8.1/24")));
    }

    [Theory]
    [InlineData(true, "lan1 1 20 30; lan2 20 30", null)]
    [InlineData(true, "", null)]
    [InlineData(false, "", null)]
    [InlineData(false, "lan1 1", "has no page")]
    [InlineData(true, "lan1 1; lan9 1", "There is no port 'lan9'")]
    [InlineData(true, "lan1 1; lan1 20", "A port is listed once")]
    [InlineData(true, "lan1 1 20; lan2 20 0", "0 is not a tag")]
    [InlineData(true, "lan1 4095; lan2 20 30", "4095 is not a tag")]
    [InlineData(true, "lan1 1 20; lan2 20 1", "VLAN 1 goes untagged here")]
    [InlineData(true, "lan1 1 20; lan2 20 20", "once")]
    [InlineData(true, "lan1 1 20; lan2 20 30 30", "once")]
    public void A_switch_sorts_what_can_be_sorted(bool managed, string ports, string? says)
    {
        var box = Home.WithGateway().Switch("s").Design.Box("s")!;
        PortVlans[] vlans =
        [
            .. ports
                .Split("; ", StringSplitOptions.RemoveEmptyEntries)
                .Select(p => p.Split(' '))
                .Select(p => new PortVlans(p[0], int.Parse(p[1]), [.. p.Skip(2).Select(int.Parse)])),
        ];
        Says(says, PageChecks.WrongVlans(box, vlans, new SwitchMode(managed ? new Automatic() : null)));
    }

    [Theory]
    [InlineData("r5", "home", "key", 36, 80, null)]
    [InlineData("r9", "", "Key", 37, 30, "has no radio 'r9'")]
    [InlineData("r5", "", "Key", 37, 30, "A network name has")]
    [InlineData("r5", "home", "Key", 37, 30, "A key is referred to")]
    [InlineData("r5", "home", "key", 37, 30, "There is no channel 37")]
    [InlineData("r5", "home", "key", 36, 30, "is 30 MHz wide")]
    public void Of_a_radio_link_the_first_thing_wrong_is_said(string radio, string name, string key, int channel, int width, string? says)
    {
        var box = Home.WithGateway().Design.Box("gw")!;
        var link = new Uplink(radio, "x", name, WifiSecurity.Wpa2, key, UplinkFrames.ThreeAddress) { Channel = channel, WidthMhz = width };
        Says(says, PageChecks.WrongUplink(box, link));
    }

    [Theory]
    [InlineData(PassKind.Port, "lan1", false, null)]
    [InlineData(PassKind.Port, "wan", false, "A port towards the home")]
    [InlineData(PassKind.Port, null, true, "A port towards the home")]
    [InlineData(PassKind.MacAddress, null, true, null)]
    [InlineData(PassKind.MacAddress, "lan1", false, "A MAC address is needed")]
    [InlineData(PassKind.Mapping, null, true, "cannot pass its public address on by mapping")]
    public void A_gateway_passes_its_address_on_as_its_page_can(PassKind kind, string? port, bool to, string? says)
    {
        var box = Home.WithGateway().Design.Box("gw")!;
        box = box with { Profile = box.Profile with { Passes = [PassKind.Port, PassKind.MacAddress] } };
        Says(says, PageChecks.WrongPassing(box, new(kind, port, to ? new MacAddress(0x02005E005301UL) : null)));
    }

    [Fact]
    public void Peers_are_boxes_of_the_home_each_once()
    {
        var design = Home.WithGateway().Point("p").Design;
        Assert.Null(PageChecks.WrongPeers(design, ["gw", "p"]));
        Says("A WDS peer is listed once", PageChecks.WrongPeers(design, ["gw", "gw"]));
        Says("There is no box 'x'", PageChecks.WrongPeers(design, ["gw", "x"]));
    }

    private static void Says(string? expected, string? said)
    {
        if (expected is null)
        {
            Assert.Null(said);
        }
        else
        {
            Assert.Contains(expected, said, StringComparison.Ordinal);
        }
    }
}
