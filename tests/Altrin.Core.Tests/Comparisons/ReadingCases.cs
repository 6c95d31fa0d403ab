using Altrin.Core.Comparisons;
using static Altrin.Core.Tests.Comparisons.ReadHome;

namespace Altrin.Core.Tests.Comparisons;

/// <summary>What is read at a seat of the home, and how it stands to what was recorded.</summary>
public static class ReadingCases
{
    /// <summary>Home, seat, text; then the statement's id, how it stands, and what must stand in its explanations and its offer.</summary>
    public static TheoryData<string, string, string, Agreement, string, string> All { get; } =
        new()
        {
            // The laptop in a free port of the gateway.
            { "gw/lan4", Adapter("192.168.8.44/24"), "address", Agreement.Agrees, "", "" },
            { "gw/lan4", Adapter("192.168.8.44/24"), "gateway", Agreement.Agrees, "", "" },
            { "gw/lan4", Adapter("192.168.8.44/24"), "names", Agreement.Agrees, "", "" },
            // The mask was not copied.
            { "gw/lan4", "IP 192.168.8.44\nGateway 192.168.8.1", "address", Agreement.Agrees, "", "" },
            { "gw/lan4", "IP 192.168.8.44\nGateway 192.168.8.254", "gateway", Agreement.Disagrees, "", "" },
            {
                "gw/lan4",
                "IP 192.168.20.150\nGateway 192.168.20.1",
                "address",
                Agreement.Disagrees,
                "taken elsewhere: it would be right at laptop in port",
                ""
            },
            // In the right network, but no address that is given there.
            { "gw/lan4", Adapter("192.168.8.7/24", way: ""), "address", Agreement.Disagrees, "left over from an earlier job", "" },
            {
                "gw/lan4",
                Adapter("10.9.9.7/24", "10.9.9.1", way: ""),
                "address",
                Agreement.Disagrees,
                "tells nothing of the network that it is plugged into",
                ""
            },
            { "gw/lan4", Adapter("192.168.8.7/24", way: ""), "way", Agreement.Disagrees, "Set it back to automatic", "" },
            // It was plugged in behind the other router: found by trying it.
            {
                "gw/lan4",
                Adapter("192.168.20.150/24", "192.168.20.1"),
                "address",
                Agreement.Disagrees,
                "taken elsewhere: it would be right at laptop in port",
                ""
            },
            // The further router's cable sits in a LAN port: two servers on one wire, and the laptop got the wrong one.
            { "gw/lan4", Adapter("192.168.20.150/24", "192.168.20.1"), "address", Agreement.Disagrees, "is in port", "" },
            // No host answered.
            { "gw/lan4", Adapter("169.254.7.9/16", null), "address", Agreement.Disagrees, "The DHCP server of gw is off.", "" },
            // The gateway is at another address than noted: believed, since its lease says so.
            {
                "gw/lan4",
                Adapter("192.168.1.33/24", "192.168.1.1", names: "192.168.1.1"),
                "address",
                Agreement.Disagrees,
                "",
                "192.168.1.1"
            },
            { "gw/lan4", Adapter("192.168.8.44/24", "192.168.8.254"), "gateway", Agreement.Disagrees, "", "" },
            {
                "gw/lan4",
                Adapter("192.168.8.44/24", names: "192.168.77.7"),
                "names",
                Agreement.Disagrees,
                "No recorded host is at 192.168.77.7",
                ""
            },
            { "gw/lan4", Adapter("192.168.8.44/24", names: "203.0.113.53"), "names", Agreement.Disagrees, "", "203.0.113.53" },
            // A device that was recorded as asking has an address that was typed by hand.
            { "a", Adapter("192.168.8.6/24", way: ""), "way", Agreement.Disagrees, "", "192.168.8.6" },
            { "a", Adapter("192.168.8.30/24"), "mac", Agreement.Disagrees, "", "" },
            // A table of routes, or a list of DNS servers, by itself.
            {
                "gw/lan4",
                "default via 192.168.8.1 dev eth0 proto dhcp src 192.168.8.44 metric 100\n192.168.8.0/24 dev eth0 proto kernel scope link src 192.168.8.44",
                "address",
                Agreement.Agrees,
                "",
                ""
            },
            { "gw/lan4", "default via 192.168.8.1 dev eth0", "gateway", Agreement.Agrees, "", "" },
            {
                "gw/lan4",
                "0.0.0.0         192.168.8.254   0.0.0.0         UG    100    0        0 eth0",
                "gateway",
                Agreement.Disagrees,
                "",
                ""
            },
            { "gw/lan4", "default            192.168.8.1        UGScg             en0", "gateway", Agreement.Agrees, "", "" },
            { "gw/lan4", "nameserver 192.168.77.7", "names", Agreement.Disagrees, "No recorded host is at 192.168.77.7", "" },
            // Routes.
            {
                "gw/lan4",
                "traceroute to 198.51.100.10 (198.51.100.10)\n 1  192.168.8.1  1 ms\n 2  203.0.113.1  2 ms\n 3  198.51.100.10  3 ms",
                "route:1",
                Agreement.Agrees,
                "",
                ""
            },
            {
                "gw/lan4",
                "traceroute to 198.51.100.10 (198.51.100.10)\n 1  192.168.8.1  1 ms\n 2  100.64.0.1  2 ms\n 3  198.51.100.10  3 ms",
                "route:1",
                Agreement.Disagrees,
                "carrier-grade NAT",
                "Carrier-grade NAT"
            },
            {
                "gw/lan4",
                "traceroute to 198.51.100.10 (198.51.100.10)\n 1  192.168.8.1  1 ms\n 2  192.0.0.1  2 ms\n 3  198.51.100.10  3 ms",
                "route:1",
                Agreement.Disagrees,
                "RFC 7335",
                "Carrier-grade NAT"
            },
            {
                "gw/lan4",
                "traceroute to 198.51.100.10 (198.51.100.10)\n 1  192.168.8.1  1 ms\n 2  10.3.0.1  2 ms\n 3  198.51.100.10  3 ms",
                "route:1",
                Agreement.Disagrees,
                "A private hop proves the network, not NAT",
                ""
            },
            {
                "gw/lan4",
                "traceroute to 198.51.100.10 (198.51.100.10)\n 1  192.168.20.1  1 ms\n 2  192.168.8.1  2 ms\n 3  203.0.113.1  3 ms",
                "route:1",
                Agreement.Disagrees,
                "taken elsewhere",
                ""
            },
            {
                "c",
                "traceroute to 198.51.100.10 (198.51.100.10)\n 1  192.168.20.1  1 ms\n 2  192.168.8.1  2 ms\n 3  203.0.113.1  3 ms",
                "route:1",
                Agreement.Agrees,
                "",
                ""
            },
            {
                "c",
                "traceroute to 198.51.100.10 (198.51.100.10)\n 1  192.168.20.1  1 ms\n 2  * * *\n 3  203.0.113.1  3 ms",
                "route:1",
                Agreement.Unknown,
                "",
                ""
            },
            // Pings: an answer proves more than a silence.
            {
                "gw/lan4",
                "PING 192.168.8.5 (192.168.8.5): 56 data bytes\n64 bytes from 192.168.8.5: seq=0 ttl=64 time=1 ms",
                "ping:1",
                Agreement.Agrees,
                "",
                ""
            },
            {
                "gw/lan4",
                "PING 192.168.8.5 (192.168.8.5): 56 data bytes\n\n3 packets transmitted, 0 packets received, 100% packet loss",
                "ping:1",
                Agreement.Unknown,
                "",
                ""
            },
            {
                "gw/lan4",
                "PING 192.168.8.6 (192.168.8.6): 56 data bytes\n\n3 packets transmitted, 0 packets received, 100% packet loss",
                "ping:1",
                Agreement.Agrees,
                "",
                ""
            },
            {
                "gw/lan4",
                "PING 192.168.8.6 (192.168.8.6): 56 data bytes\n64 bytes from 192.168.8.6: seq=0 ttl=64 time=1 ms",
                "ping:1",
                Agreement.Disagrees,
                "",
                ""
            },
            // Cables.
            { "gw/lan4", "Settings for eth0:\n\tSpeed: 1000Mb/s\n\tLink detected: yes", "cable:eth0", Agreement.Agrees, "", "" },
            {
                "gw/lan4",
                "Settings for eth0:\n\tSupported link modes:   1000baseT/Full\n\tSpeed: 100Mb/s\n\tLink detected: yes",
                "cable:eth0",
                Agreement.Disagrees,
                "two pairs",
                ""
            },
            {
                "gw/lan4",
                "Settings for eth0:\n\tSupported link modes:   100baseT/Full\n\tSpeed: 100Mb/s\n\tLink detected: yes",
                "cable:eth0",
                Agreement.Agrees,
                "",
                ""
            },
            {
                "a",
                "Settings for eth0:\n\tSupported link modes:   1000baseT/Full\n\tLink partner advertised link modes:   1000baseT/Full\n\tSpeed: 100Mb/s\n\tLink detected: yes",
                "cable:eth0",
                Agreement.Disagrees,
                "two pairs",
                "two pairs"
            },
            {
                "a",
                "Settings for eth0:\n\tSupported link modes:   1000baseT/Full\n\tLink partner advertised link modes:   100baseT/Full\n\tSpeed: 100Mb/s\n\tLink detected: yes",
                "cable:eth0",
                Agreement.Disagrees,
                "The other end can 100",
                ""
            },
            { "gw/lan4", "Settings for eth0:\n\tSpeed: Unknown!\n\tLink detected: no", "cable:eth0", Agreement.Disagrees, "", "" },
            // The laptop was to stand at a cable, and is still in a Wi-Fi.
            {
                "gw/lan4",
                "Connected to 02:00:5e:00:53:99 (on wlan0)\n\tSSID: home\n\tfreq: 5180\n\tsignal: -71 dBm",
                "wifi:home",
                Agreement.Disagrees,
                "It is still in a Wi-Fi",
                ""
            },
            {
                "gw/r5",
                "Connected to 02:00:5e:00:53:99 (on wlan0)\n\tSSID: home\n\tfreq: 5180\n\tsignal: -71 dBm",
                "wifi:home",
                Agreement.Agrees,
                "",
                ""
            },
            {
                "gw/r5",
                "Connected to 02:00:5e:00:53:99 (on wlan0)\n\tSSID: next door\n\tfreq: 5180\n\tsignal: -51 dBm",
                "wifi:next door",
                Agreement.Disagrees,
                "joined another network than meant",
                ""
            },
            // Names count capitals.
            {
                "gw/lan4",
                "BSS 00:00:5e:00:53:02(on wlan0)\n\tfreq: 5180\n\tSSID: HOME\n\tRSN:\t * Version: 1\n",
                "air:gw/r5",
                Agreement.Disagrees,
                "",
                "gw sends \"HOME\""
            },
            // Who answers with addresses.
            { "gw/lan4", "DHCPOFFER of 192.168.8.44 from 192.168.8.1", "servers", Agreement.Agrees, "", "" },
            { "gw/lan4", "DHCPACK of 192.168.8.44 from 192.168.8.1", "servers", Agreement.Unknown, "", "" },
            {
                "gw/lan4",
                "DHCPOFFER of 192.168.8.44 from 192.168.8.1\nDHCPOFFER of 192.168.20.101 from 192.168.20.1",
                "servers",
                Agreement.Disagrees,
                "is in port",
                ""
            },
            {
                "gw/lan4",
                "DHCPOFFER of 192.168.20.101 from 192.168.20.1",
                "servers",
                Agreement.Disagrees,
                "192.168.8.1 did not answer",
                ""
            },
            { "gw/lan4", "DHCPOFFER of 192.168.20.101 from 192.168.20.1", "servers", Agreement.Disagrees, "taken elsewhere", "" },
            {
                "gw/lan4",
                "DHCPOFFER of 192.168.8.44 from 192.168.8.1\nDHCPOFFER of 192.168.8.101 from 192.168.8.254",
                "servers",
                Agreement.Disagrees,
                "No recorded host is at 192.168.8.254",
                ""
            },
            // Who is there.
            { "gw/lan4", "192.168.8.5 dev eth0 lladdr 00:00:5e:00:53:04 REACHABLE", "near:00:00:5e:00:53:04", Agreement.Agrees, "", "" },
            {
                "gw/lan4",
                "192.168.8.6 dev eth0 lladdr 00:00:5e:00:53:04 REACHABLE",
                "near:00:00:5e:00:53:04",
                Agreement.Disagrees,
                "Its address changed",
                ""
            },
            {
                "gw/lan4",
                "192.168.8.60 dev eth0 lladdr 02:00:5e:00:53:77 REACHABLE",
                "near:02:00:5e:00:53:77",
                Agreement.Unknown,
                "",
                "is a device of the home"
            },
            {
                "gw/lan4",
                "192.168.8.5 dev eth0 lladdr 02:00:5e:00:53:77 REACHABLE",
                "near:02:00:5e:00:53:77",
                Agreement.Disagrees,
                "Something else has taken the address of b",
                ""
            },
            // Outside.
            { "gw/lan4", "outside 203.0.113.80 wan 203.0.113.80", "outside", Agreement.Agrees, "", "" },
            { "gw/lan4", "outside 203.0.113.80 wan 100.64.3.3", "outside", Agreement.Disagrees, "", "Carrier-grade NAT" },
        };
}
