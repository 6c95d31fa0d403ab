using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Facts;

namespace Altrin.Formats.Printouts;

/// <summary>
/// The commands ifconfig, netstat -rn, arp -an, ping and traceroute as systems of the BSD family print them (layout from memory).
/// </summary>
internal static class IfconfigPrintout
{
    public static IReadOnlyList<Printout> Of(IReadOnlyList<Adapter> adapters, Trace? trace) =>
        [
            new(
                "ifconfig",
                Lines.Join([
                    "lo0: flags=8049<UP,LOOPBACK,RUNNING,MULTICAST> mtu 16384",
                    "\tinet 127.0.0.1 netmask 0xff000000",
                    .. adapters.SelectMany(Addresses),
                ])
            ),
            new(
                "netstat -rn -f inet",
                Lines.Join([
                    "Routing tables",
                    "",
                    "Internet:",
                    $"{"Destination", -19}{"Gateway", -19}{"Flags", -15}Netif",
                    .. adapters.SelectMany(Routes),
                ])
            ),
            new(
                "arp -an",
                Lines.Join(
                    adapters.SelectMany(a => a.Neighbours.Select(n => $"? ({n.Address}) at {Short(n.Mac)} on {Name(a)} ifscope [ethernet]"))
                )
            ),
            .. trace is null
                ? Array.Empty<Printout>()
                : [new($"ping -c 4 {trace.Target}", Ping(trace)), new($"traceroute -n {trace.Target}", Route(trace))],
        ];

    private static string Name(Adapter adapter) => $"en{adapter.Number}";

    /// <summary>Octets without leading zeros, as this family prints them.</summary>
    private static string Short(MacAddress mac) =>
        string.Join(':', mac.ToString().Split(':').Select(o => o.TrimStart('0') is { Length: > 0 } digits ? digits : "0"));

    private static IEnumerable<string> Addresses(Adapter a)
    {
        yield return $"{Name(a)}: flags=8863<UP,BROADCAST,SMART,RUNNING,SIMPLEX,MULTICAST> mtu 1500";
        yield return $"\tether {a.Mac}";
        if (a.Address is { } own)
        {
            yield return $"\tinet {own.Address} netmask 0x{own.Subnet.Mask.Bits.ToString("x8", CultureInfo.InvariantCulture)} broadcast {Lines.Everybody(own)}";
        }
        yield return $"\tstatus: {(a.Linked ? "active" : "inactive")}";
    }

    private static IEnumerable<string> Routes(Adapter a)
    {
        if (a.Gateway is { } gateway)
        {
            yield return $"{"default", -19}{gateway, -19}{"UGScg", -15}{Name(a)}";
        }
        if (a.Address is { } own)
        {
            yield return $"{own.Subnet, -19}{$"link#{a.Number + 4}", -19}{"UCS", -15}{Name(a)}";
        }
        foreach (var near in a.Neighbours)
        {
            yield return $"{near.Address, -19}{Short(near.Mac), -19}{"UHLWIi", -15}{Name(a)}";
        }
    }

    private static string Ping(Trace trace) =>
        Lines.Join([
            $"PING {trace.Target} ({trace.Target}): 56 data bytes",
            .. Enumerable
                .Range(0, Lines.Answered(trace) ? 4 : 3)
                .Select(i =>
                    Lines.Answered(trace)
                        ? $"64 bytes from {trace.Target}: icmp_seq={i} ttl={Lines.HopsLeft(trace)} time=1.000 ms"
                        : $"Request timeout for icmp_seq {i}"
                ),
            "",
            $"--- {trace.Target} ping statistics ---",
            Lines.Answered(trace)
                ? "4 packets transmitted, 4 packets received, 0.0% packet loss"
                : "4 packets transmitted, 0 packets received, 100.0% packet loss",
            .. Lines.Answered(trace) ? ["round-trip min/avg/max/stddev = 1.000/1.000/1.000/0.000 ms"] : Array.Empty<string>(),
        ]);

    private static string Route(Trace trace) =>
        IpPrintout.Route(trace).Replace(", 60 byte packets", ", 40 byte packets", StringComparison.Ordinal);
}
