using Altrin.Core.Facts;

namespace Altrin.Formats.Printouts;

/// <summary>The commands ip, ping and traceroute (iproute2, iputils and traceroute of Debian 12, compared there).</summary>
internal static class IpPrintout
{
    public static IReadOnlyList<Printout> Of(IReadOnlyList<Adapter> adapters, Trace? trace) =>
        [
            new(
                "ip addr",
                Lines.Join([
                    "1: lo: <LOOPBACK,UP,LOWER_UP> mtu 65536 qdisc noqueue state UNKNOWN group default qlen 1000",
                    "    link/loopback 00:00:00:00:00:00 brd 00:00:00:00:00:00",
                    "    inet 127.0.0.1/8 scope host lo",
                    "       valid_lft forever preferred_lft forever",
                    .. adapters.SelectMany(Addresses),
                ])
            ),
            new("ip route", Lines.Join(adapters.SelectMany(Routes))),
            new(
                "ip neigh",
                Lines.Join(adapters.SelectMany(a => a.Neighbours.Select(n => $"{n.Address} dev {Name(a)} lladdr {n.Mac} REACHABLE")))
            ),
            new(
                "cat /etc/resolv.conf",
                Lines.Join([
                    .. adapters.Select(a => a.Domain).OfType<string>().Distinct().Select(d => $"search {d}"),
                    .. adapters.SelectMany(a => a.DnsServers).Distinct().Select(n => $"nameserver {n}"),
                ])
            ),
            .. trace is null
                ? Array.Empty<Printout>()
                : [new($"ping -c 4 {trace.Target}", Ping(trace)), new($"traceroute -n {trace.Target}", Route(trace))],
        ];

    private static string Name(Adapter adapter) => $"eth{adapter.Number}";

    private static IEnumerable<string> Addresses(Adapter a)
    {
        yield return $"{a.Number + 2}: {Name(a)}: <{(a.Linked ? "BROADCAST,MULTICAST,UP,LOWER_UP" : "NO-CARRIER,BROADCAST,MULTICAST,UP")}> mtu 1500 qdisc fq_codel state {(a.Linked ? "UP" : "DOWN")} group default qlen 1000";
        yield return $"    link/ether {a.Mac} brd ff:ff:ff:ff:ff:ff";
        if (a.Address is { } own)
        {
            yield return $"    inet {own} brd {Lines.Everybody(own)} scope {(a.SelfAssigned ? "link " : a.LeaseMinutes is null ? "global " : "global dynamic ")}{Name(a)}";
            yield return a.LeaseMinutes is { } minutes
                ? $"       valid_lft {minutes * 60}sec preferred_lft {minutes * 60}sec"
                : "       valid_lft forever preferred_lft forever";
        }
    }

    private static IEnumerable<string> Routes(Adapter a)
    {
        if (a.Gateway is { } gateway)
        {
            yield return $"default via {gateway} dev {Name(a)}{(a.LeaseMinutes is null ? "" : $" proto dhcp src {a.Address!.Value.Address} metric 100")} ";
        }
        if (a.Address is { } own)
        {
            yield return $"{own.Subnet} dev {Name(a)} proto kernel scope link src {own.Address} ";
        }
    }

    private static string Ping(Trace trace) =>
        Lines.Join([
            $"PING {trace.Target} ({trace.Target}) 56(84) bytes of data.",
            .. Lines.Answered(trace)
                ? Enumerable.Range(1, 4).Select(i => $"64 bytes from {trace.Target}: icmp_seq={i} ttl={Lines.HopsLeft(trace)} time=1.00 ms")
                : [],
            "",
            $"--- {trace.Target} ping statistics ---",
            Lines.Answered(trace)
                ? "4 packets transmitted, 4 received, 0% packet loss, time 3004ms"
                : "4 packets transmitted, 0 received, 100% packet loss, time 3066ms",
            .. Lines.Answered(trace) ? ["rtt min/avg/max/mdev = 1.000/1.000/1.000/0.000 ms"] : Array.Empty<string>(),
        ]);

    public static string Route(Trace trace) =>
        Lines.Join([
            $"traceroute to {trace.Target} ({trace.Target}), {Lines.MostHops} hops max, 60 byte packets",
            .. trace.Hops.Select(
                (h, i) => h.Address is { } address ? $"{i + 1, 2}  {address}  1.000 ms  1.000 ms  1.000 ms" : $"{i + 1, 2}  * * *"
            ),
            .. Lines.Answered(trace) ? [] : Enumerable.Range(trace.Hops.Count + 1, Lines.Silent).Select(i => $"{i, 2}  * * *"),
        ]);
}
