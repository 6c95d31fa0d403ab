using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>
/// The DHCP reservations of a home as configuration of dnsmasq (dnsmasq(8), dhcp-host): one line for each, by address, under a remark for
/// each router that keeps them. It takes no address twice, so a second reservation of one stands as a remark.
/// </summary>
public static class ReservationsFile
{
    /// <summary>The file.</summary>
    public static string Write(Network network)
    {
        var design = network.Design;
        var lines = new List<string> { $"# DHCP reservations of {HostsFile.Plain(design.Site.Name)}" };
        var named = network
            .Interfaces.Where(i => i.Side is Side.Device or Side.Page or Side.Wan)
            .Where(i => i.Mac is not null)
            .GroupBy(i => i.Mac!.Value)
            .ToDictionary(g => g.Key, g => HostsFile.Name(g.First().Owner, g.First().Side));
        var taken = new HashSet<Ipv4Address>();
        foreach (var box in design.SetUp.Boxes.OrderBy(b => b.Box, StringComparer.Ordinal))
        {
            if (box.Mode is not RouterMode { Server: { Reservations.Count: > 0 } server })
            {
                continue;
            }
            var hands = server.On ? $"hands out {server.Pool}" : "its DHCP server is off";
            lines.AddRange(["", $"# {HostsFile.Plain(design.NameOf(box.Box))}: {hands}"]);
            foreach (var kept in server.Reservations.OrderBy(r => r.Address))
            {
                var name = named.TryGetValue(kept.Mac, out var known) ? $",{known}" : "";
                lines.Add($"{(taken.Add(kept.Address) ? "" : "# ")}dhcp-host={kept.Mac},{kept.Address}{name}");
            }
        }
        return string.Join('\n', lines) + "\n";
    }
}
