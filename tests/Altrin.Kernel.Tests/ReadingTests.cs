using System.Diagnostics;
using System.Text.Json;
using Altrin.Core.Comparisons;
using Altrin.Core.Networks;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Altrin.Formats;

namespace Altrin.Kernel.Tests;

/// <summary>
/// Readings of what real commands print, taken in a small real network: a router with a DHCP server, a second one that no one wanted,
/// a laptop, a provider that shares addresses. Held to what the same system says as data (ip -json), and to what was set.
/// </summary>
public sealed class ReadingTests : IDisposable
{
    private readonly Namespaces? _spaces;
    private readonly DirectoryInfo _folder = Directory.CreateTempSubdirectory("altrin-readings-");
    private readonly string _laptop = "",
        _router = "",
        _second = "",
        _provider = "";

    public ReadingTests()
    {
        Machine.Need();
        _spaces = new();
        (_laptop, _router, _second, _provider) = (_spaces.Name(), _spaces.Name(), _spaces.Name(), _spaces.Name());
        _spaces.Make();
        Namespaces.Batch(
            null,
            [
                $"link add eth0 netns {_laptop} address 02:00:5e:00:53:20 type veth peer name p1 netns {_router}",
                $"link add eth0 netns {_second} address 02:00:5e:00:53:0a type veth peer name p2 netns {_router}",
                $"link add wan netns {_router} address 02:00:5e:00:53:02 type veth peer name lan netns {_provider}",
            ]
        );
        Namespaces.Batch(
            _router,
            [
                "link add br0 address 02:00:5e:00:53:01 type bridge",
                "link set lo up",
                "link set p1 master br0",
                "link set p2 master br0",
                "link set p1 up",
                "link set p2 up",
                "link set br0 up",
                "link set wan up",
                "addr add 192.168.8.1/24 dev br0",
                "addr add 100.64.7.20/16 dev wan",
                "route add default via 100.64.0.1",
            ]
        );
        Namespaces.Batch(_second, ["link set lo up", "link set eth0 up", "addr add 192.168.8.254/24 dev eth0"]);
        Namespaces.Batch(
            _provider,
            [
                "link set lo up",
                "link set lan up",
                "addr add 100.64.0.1/16 dev lan",
                "addr add 203.0.113.9/32 dev lo",
                "route add 198.51.100.0/24 via 100.64.0.99",
            ]
        );
        Namespaces.Batch(_laptop, ["link set lo up", "link set eth0 up"]);
        foreach (var name in new[] { _router, _provider })
        {
            Namespaces.In(name, "sh", ["-c", "echo 1 >/proc/sys/net/ipv4/ip_forward; echo 0 >/proc/sys/net/ipv4/icmp_ratelimit"]);
        }
        Assert.Equal(
            0,
            Namespaces
                .In(
                    _router,
                    "nft",
                    ["-f", "-"],
                    "table ip n {\nchain p {\ntype nat hook postrouting priority 100\noifname \"wan\" masquerade\n}\n}\n"
                )
                .Status
        );
        _spaces.Serve(
            _router,
            _folder.FullName,
            "--port=0",
            "--interface=br0",
            "--dhcp-range=192.168.8.20,192.168.8.199,255.255.255.0,12h",
            $"--dhcp-leasefile={Leases}",
            "--no-ping",
            "--dhcp-sequential-ip",
            "--dhcp-authoritative"
        );
    }

    private string Leases => Path.Combine(_folder.FullName, "leases");

    public void Dispose()
    {
        _spaces?.Dispose();
        _folder.Delete(true);
    }

    private string Printed(string program, params string[] arguments)
    {
        // A ping that no host answers ends with a status of its own; what it printed counts. What ip has to say of namespaces that other
        // tests take away at that moment goes to its other stream.
        return program == "ip"
            ? Namespaces.In(_laptop, "sh", ["-c", "exec ip \"$@\" 2>/dev/null", program, .. arguments]).Output
            : Namespaces.In(_laptop, program, arguments).Output;
    }

    private static Reading Read(string text)
    {
        var read = ReadingText.Read(text).Value;
        Assert.True(read.UnreadCount == 0, $"{text}\n{string.Join('\n', read.Unread.Select(u => $"{u.Line}: {u.Text}"))}");
        return read;
    }

    private JsonElement Data(params string[] arguments) => JsonDocument.Parse(Printed("ip", ["-json", .. arguments])).RootElement;

    /// <summary>The lease is taken as udhcpc reports it, and set by hand with its clock, as its script would.</summary>
    private OfferRead Lease()
    {
        var told = Printed("busybox", "udhcpc", "-i", "eth0", "-n", "-q", "-f", "-x", "hostname:bench", "-s", "/bin/true");
        var offer = Assert.Single(Read(told).Offers, o => o.Kind == DhcpKind.Ack);
        Namespaces.Batch(
            _laptop,
            [
                $"addr add {offer.Given}/24 dev eth0 valid_lft {offer.LeaseSeconds} preferred_lft {offer.LeaseSeconds}",
                $"route add default via {offer.Server} dev eth0 proto dhcp metric 100",
            ]
        );
        return offer;
    }

    [Fact]
    public void Adapters_routes_and_tables_read_as_the_system_tells_them_as_data()
    {
        var offer = Lease();
        Assert.Equal(("192.168.8.1", 43200L), ($"{offer.Server}", offer.LeaseSeconds));
        Printed("ping", "-n", "-c", "1", "192.168.8.254");
        Printed("ping", "-n", "-c", "1", "-W", "1", "192.168.8.77");

        var own = Data("-4", "addr", "show", "eth0")[0].GetProperty("addr_info")[0];
        var truth = $"{own.GetProperty("local").GetString()}/{own.GetProperty("prefixlen").GetInt32()}";
        Assert.Equal(truth, $"{offer.Given}/24");
        foreach (var text in new[] { Printed("ip", "addr"), Printed("ip", "-brief", "addr"), Printed("busybox", "ifconfig") })
        {
            Assert.Equal(truth, $"{Assert.Single(Read(text).Adapters, a => a.Name == "eth0").Address}");
        }
        Assert.Equal(AddressWay.Leased, Read(Printed("ip", "addr")).Adapters.Single(a => a.Name == "eth0").Way);
        Assert.Equal("02:00:5e:00:53:20", $"{Core.Comparisons.Machine.Of(Read(Printed("ip", "addr")))!.Adapter.Mac}");

        var gateway = Data("-4", "route", "show", "default")[0].GetProperty("gateway").GetString();
        foreach (var text in new[] { Printed("ip", "route"), Printed("busybox", "route", "-n") })
        {
            Assert.Equal(gateway, $"{Assert.Single(Read(text).Routes, r => r.IsDefault).Gateway}");
        }

        var near = Data("-4", "neigh")
            .EnumerateArray()
            .Where(n => n.TryGetProperty("lladdr", out _))
            .Select(n => $"{n.GetProperty("dst").GetString()} {n.GetProperty("lladdr").GetString()}")
            .Order(StringComparer.Ordinal)
            .ToList();
        Assert.Contains("192.168.8.254 02:00:5e:00:53:0a", near);
        foreach (var text in new[] { Printed("ip", "-4", "neigh"), Printed("busybox", "arp", "-an"), Printed("cat", "/proc/net/arp") })
        {
            var read = Read(text).Neighbours;
            Assert.Equal(near, read.Where(n => n.Mac is not null).Select(n => $"{n.Address} {n.Mac}").Order(StringComparer.Ordinal));
            Assert.Contains(read, n => $"{n.Address}" == "192.168.8.77" && n.Mac is null);
        }
        Assert.Equal(
            ["192.168.8.20 02:00:5e:00:53:20 bench"],
            Read(File.ReadAllText(Leases)).Neighbours.Select(n => $"{n.Address} {n.Mac} {n.Name}")
        );
    }

    [Fact]
    public void Pings_and_routes_read_as_they_went()
    {
        Lease();
        foreach (var (program, before) in new (string, string[])[] { ("ping", ["-n"]), ("busybox", ["ping"]) })
        {
            Assert.Equal(
                (3, 3),
                (
                    Assert.Single(Read(Printed(program, [.. before, "-c", "3", "-i", "0.2", "192.168.8.1"])).Pings).Sent,
                    Read(Printed(program, [.. before, "-c", "3", "-i", "0.2", "192.168.8.1"])).Pings[0].Answered
                )
            );
            var silent = Assert.Single(Read(Printed(program, [.. before, "-c", "1", "-W", "1", "192.168.8.77"])).Pings);
            Assert.Equal(("192.168.8.77", 0), ($"{silent.Target}", silent.Answered));
        }
        foreach (
            var text in new[]
            {
                Printed("traceroute", "-n", "-I", "203.0.113.9"),
                Printed("busybox", "traceroute", "-n", "-I", "203.0.113.9"),
            }
        )
        {
            var trace = Assert.Single(Read(text).Traces);
            Assert.Equal(
                ("192.168.8.1", "203.0.113.9", Known.Yes),
                ($"{trace.Hops[0].Addresses[0]}", $"{trace.Hops[^1].Addresses[0]}", trace.Arrived)
            );
        }
        // Beyond the provider no host answers: the carrier's own hop is seen, and told for what it is.
        var lost = Assert.Single(Read(Printed("traceroute", "-n", "-I", "-q", "1", "-m", "3", "-w", "1", "198.51.100.9")).Traces);
        Assert.Equal(["192.168.8.1", "100.64.0.1"], lost.Hops.Take(2).SelectMany(h => h.Addresses).Select(a => $"{a}"));
        Assert.Equal(Known.No, lost.Arrived);
    }

    /// <summary>Frames as they went over the wire while the laptop asked, with a second server that no one wanted.</summary>
    [Fact]
    public void A_real_capture_tells_both_servers()
    {
        _spaces!.Serve(
            _second,
            _folder.FullName,
            "--port=0",
            "--interface=eth0",
            "--dhcp-range=192.168.8.201,192.168.8.240,255.255.255.0,2h",
            $"--dhcp-leasefile={Leases}2",
            "--no-ping",
            "--dhcp-authoritative"
        );
        var frames = Namespaces.Inside(_laptop, () =>
        {
            using var socket = new PacketSocket("eth0");
            var asked = Task.Run(() => Printed("busybox", "udhcpc", "-i", "eth0", "-n", "-q", "-f", "-s", "/bin/true"));
            var heard = new List<byte[]>();
            var since = Stopwatch.StartNew();
            // Until both offered, or for ten seconds.
            while (
                since.Elapsed < TimeSpan.FromSeconds(10)
                && CaptureReader
                    .Read(Capture.Of(heard))
                    .Value.Offers.Where(o => o.Kind == DhcpKind.Offer)
                    .Select(o => o.Server)
                    .Distinct()
                    .Count() < 2
            )
            {
                heard.AddRange(socket.Hear(TimeSpan.FromMilliseconds(200)).Select(f => f.Frame));
            }
            asked.Wait();
            return heard;
        });
        var read = CaptureReader.Read(Capture.Of(frames)).Value;
        Assert.Equal(
            ["192.168.8.1 02:00:5e:00:53:01", "192.168.8.254 02:00:5e:00:53:0a"],
            read.Offers.Where(o => o.Kind == DhcpKind.Offer).Select(o => $"{o.Server} {o.From}").Distinct().Order(StringComparer.Ordinal)
        );
        Assert.All(read.Offers, o => Assert.Equal("02:00:5e:00:53:20", $"{o.Client}"));
        var home = Home.WithGateway();
        var servers = Assert.Single(
            ReadingComparison.Of(new(home.Design.Site, [home.Design.SetUp]), home.Design, "gw/lan1", read).Statements,
            s => s.Id == "servers"
        );
        Assert.Equal(Agreement.Disagrees, servers.Agreement);
    }
}
