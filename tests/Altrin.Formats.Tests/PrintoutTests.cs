using Altrin.Core.Facts;
using Altrin.Core.Sites;
using Altrin.Formats.Printouts;

namespace Altrin.Formats.Tests;

/// <summary>What is printed at a seat. The layouts are those of the commands named; each is written out once in full.</summary>
public sealed class PrintoutTests
{
    private static Home House() =>
        Home.WithGateway()
            .Wired("a", "gw/lan1")
            .Wired("b", "gw/lan2", "192.168.8.5/24")
            .Edit<RouterMode>("gw", m => m with { Server = m.Server with { Domain = "home.arpa" } });

    private static Dictionary<string, string> At(Home home, string seat, PrintoutStyle style, string? target = null)
    {
        var (seen, owner) = Seats.At(home.Design, seat).Value;
        return Printout
            .Of(seen, owner, target is null ? null : Looking.To(seen, owner, Seats.Target(seen, target).Value), style)
            .ToDictionary(p => p.Command, p => p.Text);
    }

    [Fact]
    public void Ip()
    {
        var printed = At(House(), "a", PrintoutStyle.Ip, "internet");
        Assert.EndsWith(
            """
            2: eth0: <BROADCAST,MULTICAST,UP,LOWER_UP> mtu 1500 qdisc fq_codel state UP group default qlen 1000
                link/ether 00:00:5e:00:53:03 brd ff:ff:ff:ff:ff:ff
                inet 192.168.8.20/24 brd 192.168.8.255 scope global dynamic eth0
                   valid_lft 86400sec preferred_lft 86400sec

            """.ReplaceLineEndings("\n"),
            printed["ip addr"]
        );
        Assert.Equal(
            "default via 192.168.8.1 dev eth0 proto dhcp src 192.168.8.20 metric 100 \n192.168.8.0/24 dev eth0 proto kernel scope link src 192.168.8.20 \n",
            printed["ip route"]
        );
        Assert.Equal(
            "192.168.8.1 dev eth0 lladdr 00:00:5e:00:53:01 REACHABLE\n192.168.8.5 dev eth0 lladdr 00:00:5e:00:53:04 REACHABLE\n",
            printed["ip neigh"]
        );
        Assert.Equal("search home.arpa\nnameserver 192.168.8.1\n", printed["cat /etc/resolv.conf"]);
        Assert.Contains("4 packets transmitted, 4 received, 0% packet loss", printed["ping -c 4 198.51.100.10"]);
        Assert.Equal(
            """
            traceroute to 198.51.100.10 (198.51.100.10), 30 hops max, 60 byte packets
             1  192.168.8.1  1.000 ms  1.000 ms  1.000 ms
             2  203.0.113.1  1.000 ms  1.000 ms  1.000 ms
             3  198.51.100.10  1.000 ms  1.000 ms  1.000 ms

            """.ReplaceLineEndings("\n"),
            printed["traceroute -n 198.51.100.10"]
        );
    }

    [Fact]
    public void Ipconfig()
    {
        var printed = At(House(), "a", PrintoutStyle.Ipconfig, "192.168.8.77");
        Assert.Equal(
            """

            IP Configuration

               Host Name . . . . . . . . . . . . : a

            Ethernet adapter Ethernet:

               Connection-specific DNS Suffix  . : home.arpa
               Physical Address. . . . . . . . . : 00-00-5E-00-53-03
               DHCP Enabled. . . . . . . . . . . : Yes
               IPv4 Address. . . . . . . . . . . : 192.168.8.20(Preferred)
               Subnet Mask . . . . . . . . . . . : 255.255.255.0
               Default Gateway . . . . . . . . . : 192.168.8.1
               DHCP Server . . . . . . . . . . . : 192.168.8.1
               DNS Servers . . . . . . . . . . . : 192.168.8.1

            """.ReplaceLineEndings("\n"),
            printed["ipconfig /all"]
        );
        Assert.Contains("  192.168.8.5           00-00-5e-00-53-04     dynamic\n", printed["arp -a"]);
        Assert.Equal(4, printed["ping 192.168.8.77"].Split("Reply from 192.168.8.20: Destination host unreachable.").Length - 1);
        Assert.Contains("  1     *        *        *     Request timed out.\n", printed["tracert -d 192.168.8.77"]);
    }

    [Fact]
    public void Ifconfig()
    {
        var printed = At(House(), "b", PrintoutStyle.Ifconfig, "a");
        Assert.EndsWith(
            "en0: flags=8863<UP,BROADCAST,SMART,RUNNING,SIMPLEX,MULTICAST> mtu 1500\n\tether 00:00:5e:00:53:04\n\tinet 192.168.8.5 netmask 0xffffff00 broadcast 192.168.8.255\n\tstatus: active\n",
            printed["ifconfig"]
        );
        Assert.Contains("default            192.168.8.1        UGScg          en0\n", printed["netstat -rn -f inet"]);
        Assert.Contains("? (192.168.8.1) at 0:0:5e:0:53:1 on en0 ifscope [ethernet]\n", printed["arp -an"]);
        Assert.Contains("4 packets transmitted, 4 packets received, 0.0% packet loss", printed["ping -c 4 192.168.8.20"]);
    }

    [Theory]
    [InlineData(PrintoutStyle.Ip, "ip addr", "    inet 169.254.1.1/16 brd 169.254.255.255 scope link eth0\n")]
    [InlineData(PrintoutStyle.Ipconfig, "ipconfig /all", "   Autoconfiguration IPv4 Address. . : 169.254.1.1(Preferred)\n")]
    [InlineData(PrintoutStyle.Ifconfig, "ifconfig", "\tinet 169.254.1.1 netmask 0xffff0000 broadcast 169.254.255.255\n")]
    public void One_that_no_one_answers_shows_its_own_address(PrintoutStyle style, string command, string line) =>
        Assert.Contains(line, At(Home.New().Router("r", server: false).Wired("x", "r/lan1"), "x", style)[command]);

    [Theory]
    [InlineData(PrintoutStyle.Ip, "ip addr", "NO-CARRIER")]
    [InlineData(PrintoutStyle.Ipconfig, "ipconfig /all", "   Media State . . . . . . . . . . . : Media disconnected\n")]
    [InlineData(PrintoutStyle.Ifconfig, "ifconfig", "\tstatus: inactive\n")]
    public void An_empty_socket_says_so(PrintoutStyle style, string command, string words) =>
        Assert.Contains(words, At(Home.WithGateway().Loose("x"), "x", style)[command]);

    /// <summary>
    /// From every seat of a random home every family of commands prints something, and the same lines whichever family asks for the
    /// address.
    /// </summary>
    [Theory]
    [InlineData(31)]
    [InlineData(32)]
    [InlineData(33)]
    [InlineData(34)]
    public void Every_seat_prints(int seed)
    {
        var design = DesignGenerator.Make(seed, 5);
        foreach (var seat in Seats.Of(design))
        {
            var (seen, owner) = Seats.At(design, seat.Id).Value;
            var trace = Looking.To(seen, owner, Core.Networks.Provider.Host);
            var own = Looking.From(seen, owner)!.Addresses.Select(a => a.Address).OfType<Core.Addressing.Ipv4Address>().ToList();
            foreach (var style in Enum.GetValues<PrintoutStyle>())
            {
                var printed = Printout.Of(seen, owner, trace, style);
                Assert.All(own, a => Assert.Contains($"{a}", printed[0].Text));
                Assert.All(printed.TakeLast(2), p => Assert.Contains($"{Core.Networks.Provider.Host}", p.Text));
            }
        }
    }
}
