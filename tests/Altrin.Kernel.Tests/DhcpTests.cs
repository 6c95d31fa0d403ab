using Altrin.Core.Exchanges;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Sites;
using Altrin.Formats;
using PacketDotNet;

namespace Altrin.Kernel.Tests;

/// <summary>The exchange of messages beside that of a real server (dnsmasq) and a real client (udhcpc).</summary>
public sealed class DhcpTests
{
    private static Design House(string pool = Home.Pool) =>
        Home.New()
            .Gateway(pool: pool)
            .Cable("street", "gw/wan")
            .Wired("a", "gw/lan1")
            .Wired("b", "gw/lan2")
            .Reserve("gw", "b", "192.168.8.5")
            .Wired("c", "gw/lan3")
            .Edit<RouterMode>("gw", m => m with { Server = m.Server with { Domain = "home.arpa" } })
            .Design;

    private static (SegmentServer Server, Interface Client) Of(Design design, string device)
    {
        var network = Compiler.Compile(design, Situation.Settled);
        return (network.Segment("gw").Servers.Single(), network.Find(device, Side.Device)!);
    }

    /// <summary>Kinds of messages and the options they carry, as they pass the client's interface while something is done.</summary>
    private static List<(DhcpKind Kind, IReadOnlySet<int> Options)> Listen(Lab lab, Seat seat, Action act)
    {
        using var socket = Namespaces.Inside(lab.Of(seat.Owner), () => new PacketSocket(seat.Device));
        act();
        return Read(socket.Hear(TimeSpan.FromMilliseconds(300)).Select(f => f.Frame));
    }

    private static List<(DhcpKind Kind, IReadOnlySet<int> Options)> Read(IEnumerable<byte[]> frames)
    {
        var heard = new List<(DhcpKind, IReadOnlySet<int>)>();
        foreach (var frame in frames)
        {
            if (
                Packet.ParsePacket(LinkLayers.Ethernet, frame).Extract<UdpPacket>() is { SourcePort: 67 or 68 } udp
                && (udp.PayloadData ?? udp.PayloadPacket?.Bytes) is { Length: > 240 } data
            )
            {
                heard.Add(Options(data));
            }
        }
        return heard;
    }

    /// <summary>The options behind the fixed fields and the magic number: code, length, value (RFC 2132, section 2).</summary>
    private static (DhcpKind Kind, IReadOnlySet<int> Options) Options(byte[] data)
    {
        var (kind, codes) = (default(DhcpKind), new SortedSet<int>());
        for (var at = 240; at < data.Length && data[at] != 255; at += data[at] == 0 ? 1 : 2 + data[at + 1])
        {
            if (data[at] == 0)
            {
                continue;
            }
            codes.Add(data[at]);
            kind = data[at] == 53 ? (DhcpKind)data[at + 2] : kind;
        }
        return (kind, codes);
    }

    [Theory]
    [InlineData("a")]
    [InlineData("b")]
    public void From_nothing_the_same_messages_pass_with_the_same_options(string device)
    {
        Machine.Need();
        var design = House();
        using var lab = new Lab(design);
        var (server, client) = Of(design, device);
        var said = DhcpExchange.Begin(client, [server], [], 0, null, _ => false).Messages;
        var heard = Listen(lab, new(device, "eth0"), () => lab.Clients.Ask(new(device, "eth0"), "-x", $"hostname:{device}"));
        Assert.Equal(said.Select(m => m.Kind), heard.Select(h => h.Kind));
        // The real ones carry a few more, such as the broadcast address (28) or the client's make (60); none of ours is missing.
        Assert.All(said.Zip(heard), m => Assert.Empty(m.First.Options.Except(m.Second.Options)));
        // And so does the capture that Altrin writes, which goes on to the first renewal.
        var ladder = LeaseLadder.Of(Observer.Observe(Compiler.Compile(design, Situation.Settled)), device)!;
        var written = Read(ladder.Frames.Select(FrameBytes.Of)).Take(heard.Count).ToList();
        Assert.Equal(heard.Select(h => h.Kind), written.Select(h => h.Kind));
        Assert.All(written.Zip(heard), m => Assert.Empty(m.First.Options.Except(m.Second.Options)));
        Assert.All(written.Zip(said), m => Assert.Equal(m.Second.Options, m.First.Options.Order()));
    }

    [Fact]
    public void A_remembered_address_is_had_again_and_one_of_another_network_is_not()
    {
        Machine.Need();
        var design = House();
        using var lab = new Lab(design);
        var (server, client) = Of(design, "a");
        foreach (var wish in new[] { "192.168.8.77", "10.9.9.9" })
        {
            var remembered = new HeldLease("gw", server.Own, Home.At(wish), 24, null, [], 0, 1440);
            var said = DhcpExchange.Begin(client, [server], [], 1, remembered, _ => false).Leases.Single().Address;
            var shown = lab.Clients.Ask(new("a", "eth0"), "-r", wish)!.Address;
            Assert.Equal(said == Home.At(wish), shown == Home.At(wish));
            Assert.True(server.Pool!.Value.Contains(shown));
        }
    }

    [Fact]
    public void One_that_comes_too_late_gets_nothing_until_someone_gives_back()
    {
        Machine.Need();
        var design = House("192.168.8.20-192.168.8.20");
        using var lab = new Lab(design);
        var (server, a) = Of(design, "a");
        var (_, c) = Of(design, "c");
        var first = DhcpExchange.Begin(a, [server], [], 0, null, _ => false);
        Assert.Equal(first.Leases.Single().Address, lab.Clients.Ask(new("a", "eth0"))!.Address);
        Assert.Empty(DhcpExchange.Begin(c, [server], first.Bindings, 0, null, _ => false).Leases);
        Assert.Null(lab.Clients.Ask(new("c", "eth0")));
        lab.Clients.GiveBack(new("a", "eth0"), first.Leases[0].Address, server.Own);
        var freed = DhcpServer
            .Answer(
                server,
                first.Bindings,
                new(DhcpKind.Release, DhcpExchange.ClientOf(a), a.Mac) { InUse = first.Leases[0].Address, ServerId = server.Own },
                0,
                _ => false
            )
            .Bindings;
        Assert.Equal(
            DhcpExchange.Begin(c, [server], freed, 0, null, _ => false).Leases.Single().Address,
            lab.Clients.Ask(new("c", "eth0"))!.Address
        );
    }

    [Fact]
    public void A_client_that_finds_its_address_taken_declines_it()
    {
        Machine.Need();
        var design = Home.New()
            .Gateway(pool: "192.168.8.20-192.168.8.21")
            .Cable("street", "gw/wan")
            .Wired("x", "gw/lan1", "192.168.8.20/24")
            .Wired("y", "gw/lan2", "192.168.8.21/24")
            .Wired("a", "gw/lan3")
            .Design;
        design = design with
        {
            Site = design.Site with { Devices = [.. design.Site.Devices.Select(d => d with { ChecksLease = Known.Yes })] },
        };
        using var lab = new Lab(design);
        var (server, client) = Of(design, "a");
        var said = DhcpExchange.Begin(client, [server], [], 0, null, a => a == Home.At("192.168.8.20") || a == Home.At("192.168.8.21"));
        var heard = Listen(lab, new("a", "eth0"), () => lab.Clients.Ask(new("a", "eth0")));
        Assert.Contains(DhcpKind.Decline, said.Messages.Select(m => m.Kind));
        Assert.Contains(DhcpKind.Decline, heard.Select(h => h.Kind));
        Assert.Equal(
            said.Messages.First(m => m.Kind == DhcpKind.Decline).Options.Where(o => o != 12),
            heard.First(h => h.Kind == DhcpKind.Decline).Options.Intersect([50, 53, 54, 61])
        );
    }
}
