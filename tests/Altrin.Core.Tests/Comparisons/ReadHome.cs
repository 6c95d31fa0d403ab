using Altrin.Core.Comparisons;
using Altrin.Core.Readings;

namespace Altrin.Core.Tests.Comparisons;

/// <summary>A home to hold readings against, and what is read in it.</summary>
internal static class ReadHome
{
    /// <summary>A gateway with a wired device, a fixed one, and a further router behind it as a cascade with a device of its own.</summary>
    public static Home House() =>
        Home.WithGateway()
            .Wired("a", "gw/lan1")
            .Wired("b", "gw/lan2", "192.168.8.5/24")
            .Router("loft")
            .Cable("gw/lan3", "loft/wan")
            .Wired("c", "loft/lan1");

    public static ReadingComparison At(Home home, string? seat, string text) =>
        ReadingComparison.Of(new(home.Design.Site, [home.Design.SetUp]), home.Design, seat, ReadingText.Read(text).Value);

    public static string Adapter(
        string own,
        string? gateway = "192.168.8.1",
        string way = "dynamic ",
        string names = "192.168.8.1",
        string mac = "02:00:5e:00:53:99"
    ) =>
        $"""
            2: eth0: <BROADCAST,MULTICAST,UP,LOWER_UP> mtu 1500
                link/ether {mac} brd ff:ff:ff:ff:ff:ff
                inet {own} scope global {way}eth0
                   valid_lft {(way.Length > 0 ? "43193sec" : "forever")} preferred_lft forever
            {(gateway is null ? "" : $"default via {gateway} dev eth0")}
            nameserver {names}
            """;
}
