using Altrin.Core.Readings;

namespace Altrin.Core.Tests.Readings;

/// <summary>The stand-in set: what each file of it says, thing by thing, and that nothing of it is left unread.</summary>
public sealed class SampleReadingTests
{
    private static readonly SortedDictionary<string, string> Expected = new(StringComparer.Ordinal)
    {
        ["arp-a.bsd.txt"] = """
            near 192.168.8.1 02:00:5e:00:53:01 "router.home.example"
            near 192.168.8.20 02:00:5e:00:53:30
            near 192.168.8.77
            """,
        ["arp-a.french.txt"] = """
            near 192.168.8.1 02:00:5e:00:53:01
            near 192.168.8.20 02:00:5e:00:53:30
            """,
        ["arp-a.spanish.txt"] = """
            near 192.168.8.1 02:00:5e:00:53:01
            near 192.168.8.20 02:00:5e:00:53:30
            """,
        ["arp-a.txt"] = """
            near 192.168.8.1 02:00:5e:00:53:01
            near 192.168.8.20 02:00:5e:00:53:30
            near 192.168.8.77
            """,
        ["arp-busybox.txt"] = """
            near 192.168.8.1 02:00:5e:00:53:01
            near 192.168.8.20 02:00:5e:00:53:30
            near 192.168.8.77
            """,
        ["arp-kernel.txt"] = """
            near 192.168.8.1 02:00:5e:00:53:01
            near 192.168.8.20 02:00:5e:00:53:30
            near 192.168.8.77
            """,
        ["arp-n.txt"] = """
            near 192.168.8.1 02:00:5e:00:53:01
            near 192.168.8.20 02:00:5e:00:53:30
            near 192.168.8.77
            """,
        ["device-list-cells.txt"] = """
            near 192.168.8.20 02:00:5e:00:53:30 "Parlour TV" by cable
            near 192.168.8.22 06:00:5e:00:53:40 "Phone" by radio
            near 192.168.8.5 02:00:5e:00:53:50 "Printer" by radio
            """,
        ["device-list.german.txt"] = """
            near 192.168.8.20 02:00:5e:00:53:30 "Wohnzimmer" by cable
            near 192.168.8.22 06:00:5e:00:53:40 "Telefon" by radio Ghz5
            """,
        ["device-list.txt"] = """
            near 192.168.8.20 02:00:5e:00:53:30 "Parlour TV" by cable
            near 192.168.8.22 06:00:5e:00:53:40 "Phone, upstairs" by radio Ghz5
            near 192.168.8.5 02:00:5e:00:53:50 "Printer" by radio Ghz2
            """,
        ["dhclient-leases.txt"] = """
            ack 192.168.8.21 from 192.168.8.1 /24 via 192.168.8.1 names 192.168.8.1 43200s
            ack 192.168.8.101 from 192.168.8.254 /24 via 192.168.8.254 names 192.168.8.254 7200s
            """,
        ["dhclient-talk.txt"] = """
            offer 192.168.8.21 from 192.168.8.1
            ack 192.168.8.21 from 192.168.8.1
            """,
        ["dhcpd-leases.txt"] = """
            near 192.168.8.20 02:00:5e:00:53:30 "parlour-tv"
            near 192.168.8.22 06:00:5e:00:53:40
            """,
        ["dnsmasq.leases.txt"] = """
            near 192.168.8.21 02:00:5e:00:53:20 "laptop"
            near 192.168.8.20 02:00:5e:00:53:30 "parlour-tv"
            """,
        ["ethtool-slow.txt"] = """
            cable eth0 100 own 1000 other 1000
            """,
        ["ethtool.txt"] = """
            cable eth0 10000
            """,
        ["ifconfig-older.txt"] = """
            adapter eth0 02:00:5e:00:53:20 192.168.8.21/24
            adapter lo 127.0.0.1/8 inside
            """,
        ["ifconfig.bsd.txt"] = """
            adapter lo0 127.0.0.1/8 inside
            adapter en0 02:00:5e:00:53:20 192.168.8.21/24 rate 100
            adapter utun0 inside
            """,
        ["ifconfig.txt"] = """
            adapter eth0 02:00:5e:00:53:20 192.168.8.21/24
            adapter lo 127.0.0.1/8 inside
            """,
        ["ip-addr.txt"] = """
            adapter lo 127.0.0.1/8 inside
            adapter eth0 02:00:5e:00:53:20 192.168.8.21/24 leased
            """,
        ["ip-brief.txt"] = """
            adapter lo 127.0.0.1/8 inside
            adapter eth0 192.168.8.21/24
            """,
        ["ip-neigh.txt"] = """
            near 192.168.8.1 02:00:5e:00:53:01
            near 192.168.8.20 02:00:5e:00:53:30
            near 192.168.8.77
            """,
        ["ip-route.txt"] = """
            route 0.0.0.0/0 via 192.168.8.1 on eth0 metric 100 leased
            """,
        ["ipconfig-all.french.txt"] = """
            adapter Carte Ethernet Ethernet 02:00:5e:00:53:20 192.168.1.50/24 fixed via 192.168.1.1 names 192.0.2.53
            """,
        ["ipconfig-all.german.txt"] = """
            adapter Ethernet-Adapter Ethernet 02:00:5e:00:53:20 169.254.83.32/16 selfassigned
            """,
        ["ipconfig-all.japanese.txt"] = """
            adapter イーサネット アダプター イーサネット 02:00:5e:00:53:20 192.168.8.21/24 leased via 192.168.8.1 from 192.168.8.1 names 192.168.8.1 in home.example
            """,
        ["ipconfig-all.russian.txt"] = """
            adapter Адаптер Ethernet Ethernet 02:00:5e:00:53:20 192.168.8.21/24 leased via 192.168.8.1 from 192.168.8.1 names 192.168.8.1 in home.example
            """,
        ["ipconfig-all.txt"] = """
            adapter Ethernet adapter Ethernet 02:00:5e:00:53:20 192.168.8.21/24 leased via 192.168.8.1 from 192.168.8.1 names 192.168.8.1+192.168.8.2 in home.example
            adapter Wireless LAN adapter Wi-Fi 02:00:5e:00:53:21 unlinked
            adapter Ethernet adapter Inner Switch 02:15:5d:00:00:01 172.20.0.1/20 fixed
            """,
        ["ipconfig-rows.txt"] = """
            adapter alone 192.168.8.21 via 192.168.8.1
            """,
        ["ipconfig.chinese.txt"] = """
            adapter 以太网适配器 以太网 192.168.8.21/24 via 192.168.8.1 in home.example
            adapter 无线局域网适配器 WLAN unlinked
            """,
        ["iw-link.txt"] = """
            joined "Pottery" 02:00:5e:00:53:05 Ghz5 36 -58 rx 433.3 tx 390
            """,
        ["iw-scan.txt"] = """
            joined "Pottery" 02:00:5e:00:53:05 Ghz5 36 -58 Wpa2
            heard "Next door" 02:00:5e:00:54:10 Ghz2 6 -81 Wpa3
            """,
        ["netsh-interfaces.german.txt"] = """
            joined "Pottery" 02:00:5e:00:53:05 Ghz5 36 -58~ Wpa2 rx 433.3 tx 390
            """,
        ["netsh-networks.french.txt"] = """
            heard "Pottery" 02:00:5e:00:53:05 Ghz5 36 -65~ Wpa2
            """,
        ["netsh-networks.txt"] = """
            heard "Pottery" 02:00:5e:00:53:04 Ghz2 6 -58~ Wpa2
            heard "Pottery" 02:00:5e:00:53:05 Ghz5 36 -65~ Wpa2
            heard "Next door" 02:00:5e:00:54:10 Ghz2 6 -85~ Wpa3
            heard "" 02:00:5e:00:54:20 Ghz2 11 -94~ Open
            """,
        ["netstat.bsd.txt"] = """
            route 0.0.0.0/0 via 192.168.8.1 on en0
            route 127.0.0.0/8 via 127.0.0.1 on lo0
            near 192.168.8.1 02:00:5e:00:53:01
            near 192.168.8.20 02:00:5e:00:53:30
            """,
        ["nmcli-colons.txt"] = """
            joined "Pottery" 02:00:5e:00:53:05 Ghz5 36 -58~ Wpa2
            heard "Next: door" 02:00:5e:00:54:10 Ghz2 6 -82~ WpaTkip
            """,
        ["nmcli.txt"] = """
            joined "Pottery" 02:00:5e:00:53:05 Ghz5 36 -58~ Wpa2
            heard "Pottery" 02:00:5e:00:53:04 Ghz2 6 -49.6~ Wpa2
            heard "Next door 2" 02:00:5e:00:54:10 Ghz2 6 -82~ Wpa2Wpa3
            heard "" 02:00:5e:00:54:20 Ghz2 11 -92.8~ Open
            """,
        ["outside.txt"] = """
            outside 203.0.113.80 wan 100.64.7.20
            """,
        ["phone-status.txt"] = """
            adapter 02:00:5e:00:53:31 192.168.8.34/24 via 192.168.8.1 names 192.168.8.1+9.9.9.9
            unread 1
            unread 3
            unread 4
            unread 5
            unread 6
            """,
        ["ping-busybox.txt"] = """
            ping 192.168.8.1 3/3
            """,
        ["ping-silent.txt"] = """
            ping 192.168.8.77 0/2
            """,
        ["ping-unreachable.russian.txt"] = """
            ping 192.168.8.77 0/4
            """,
        ["ping.german.txt"] = """
            ping 192.168.8.1 3/4
            """,
        ["ping.txt"] = """
            ping 192.168.8.1 4/4
            """,
        ["route-n.txt"] = """
            route 0.0.0.0/0 via 192.168.8.1 on eth0 metric 100
            """,
        ["route-print.german.txt"] = """
            adapter Gigabit-Netzwerkadapter 02:00:5e:00:53:20
            adapter Drahtlosadapter 02:00:5e:00:53:21
            adapter Loopback-Schnittstelle 1 inside
            route 0.0.0.0/0 via 192.168.8.1 on 192.168.8.21 metric 25
            """,
        ["speed-runs-lan.txt"] = """
            run hall cable 468 94 s 30
            run hall cable 938 934 s 30 to recorder
            run loft 5 GHz 311 MB 2000 to recorder
            """,
        ["speed-runs.txt"] = """
            run hall cable 468 94 s 30
            run hall cable 471 95 s 30
            run hall cable 465 93 s 30
            run loft 5 GHz 212 60 s 30
            run loft 5 GHz 800 MB 20
            """,
        ["terminal.txt"] = """
            adapter lo 127.0.0.1/8 inside
            adapter eth0 02:00:5e:00:53:20 192.168.8.21/24 leased
            route 0.0.0.0/0 via 192.168.8.1 on eth0 metric 100 leased
            names 192.168.8.1
            unread 13
            """,
        ["traceroute-busybox.txt"] = """
            trace 203.0.113.9 192.168.8.1 203.0.113.9 arrived
            """,
        ["traceroute-lost.txt"] = """
            trace 198.51.100.9 192.168.8.1 100.64.0.1
            """,
        ["traceroute.txt"] = """
            trace 203.0.113.9 192.168.8.1 203.0.113.9 arrived
            """,
        ["tracert.chinese.txt"] = """
            trace 203.0.113.9 192.168.8.1 100.64.0.1 203.0.113.9 arrived
            """,
        ["tracert.french.txt"] = """
            trace 203.0.113.9 192.168.8.1 192.168.1.1 10.52.0.1 * 203.0.113.9 arrived
            """,
        ["udhcpc.txt"] = """
            ack 192.168.8.21 from 192.168.8.1 43200s
            """,
    };

    public static TheoryData<string> All => [.. Expected.Keys];

    [Theory]
    [MemberData(nameof(All))]
    public void A_file_says(string file) =>
        Assert.Equal(
            Expected[file].ReplaceLineEndings("\n"),
            ReadingWords.Of(ReadingText.Read(File.ReadAllText(Path.Combine(SampleReadings.Folder, file))).Value)
        );

    [Fact]
    public void Every_file_is_in_the_table() =>
        Assert.Equal(
            Expected.Keys,
            Directory.GetFiles(SampleReadings.Folder, "*.txt").Select(f => Path.GetFileName(f)!).Order(StringComparer.Ordinal)
        );
}
