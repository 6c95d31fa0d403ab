using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Formats.Printouts;

/// <summary>Families of commands by which machines tell of their network.</summary>
public enum PrintoutStyle
{
    /// <summary>ip addr, ip route, ip neigh, ping, traceroute.</summary>
    Ip,

    /// <summary>ipconfig /all, arp -a, ping, tracert.</summary>
    Ipconfig,

    /// <summary>ifconfig, netstat -rn, arp -an, ping, traceroute.</summary>
    Ifconfig,
}

/// <summary>What a command would print at a seat.</summary>
/// <param name="Command">The command as it is typed.</param>
/// <param name="Text">What it prints.</param>
public sealed record Printout(string Command, string Text)
{
    /// <summary>
    /// What is printed at a seat. Where the server decides, an example address stands, the same as everywhere else; where a
    /// MAC address was not read, one with the local bit set.
    /// </summary>
    /// <param name="seen">The network.</param>
    /// <param name="owner">Box, device or laptop.</param>
    /// <param name="trace">A ping and a route to one address; null for neither.</param>
    /// <param name="style">In which family of commands.</param>
    public static IReadOnlyList<Printout> Of(Observation seen, string owner, Trace? trace, PrintoutStyle style)
    {
        var adapters = Adapter.Of(seen, owner);
        return style switch
        {
            PrintoutStyle.Ip => IpPrintout.Of(adapters, trace),
            PrintoutStyle.Ipconfig => IpconfigPrintout.Of(owner.TrimStart(':'), adapters, trace),
            PrintoutStyle.Ifconfig => IfconfigPrintout.Of(adapters, trace),
            _ => throw new ArgumentOutOfRangeException(nameof(style)),
        };
    }
}

/// <summary>One network adapter of a machine.</summary>
/// <param name="Number">Counted from 0.</param>
/// <param name="Linked">Whether anything is plugged in.</param>
/// <param name="Mac">Its MAC address.</param>
/// <param name="Address">Its address with its prefix; null where it has none.</param>
/// <param name="Asks">Whether it asks for its address.</param>
/// <param name="SelfAssigned">Whether it gave itself the address since no DHCP server answered.</param>
/// <param name="Gateway">Its default gateway.</param>
/// <param name="DnsServers">Its DNS servers.</param>
/// <param name="Server">The address of the server that leased it; null where none did.</param>
/// <param name="LeaseMinutes">How long the lease lasts; null where it has none.</param>
/// <param name="Domain">The domain that came with the lease.</param>
/// <param name="Neighbours">Whose MAC addresses it knows.</param>
internal sealed record Adapter(
    int Number,
    bool Linked,
    MacAddress Mac,
    InterfaceAddress? Address,
    bool Asks,
    bool SelfAssigned,
    Ipv4Address? Gateway,
    IReadOnlyList<Ipv4Address> DnsServers,
    Ipv4Address? Server,
    int? LeaseMinutes,
    string? Domain,
    IReadOnlyList<(Ipv4Address Address, MacAddress Mac)> Neighbours
)
{
    public static IReadOnlyList<Adapter> Of(Observation seen, string owner) =>
        [.. seen.Network.Interfaces.Where(i => Laptop.Owners(owner).Contains(i.Owner)).Select((side, number) => Of(seen, side, number))];

    private static Adapter Of(Observation seen, Interface side, int number)
    {
        var held = seen.Leasing.Holdings(side) is [var first, ..] ? first : null;
        var own =
            held is null ? null
            : held.Shown is { } address ? new InterfaceAddress(address, held.PrefixLength)
            : (InterfaceAddress?)null;
        var seat = held?.Server is { } server ? seen.Network.Segment(side.Segment).Servers.FirstOrDefault(s => s.Owner == server) : null;
        var neighbours = Looking
            .At(seen, side)
            .Select(n => (Address: n.Address ?? seen.AddressOf(n.Owner, side.Segment), n.Mac))
            .Where(n => n is { Address: not null, Mac: not null })
            .Select(n => (n.Address!.Value, n.Mac!.Value))
            .DistinctBy(n => n.Item1)
            .OrderBy(n => n.Item1)
            .ToList();
        return new(
            number,
            side.Linked,
            Core.Exchanges.Station.Of(side).Mac,
            own,
            side.Setting is Automatic,
            held?.SelfAssigned ?? false,
            own is null ? null : held?.Gateway,
            held?.DnsServers ?? [],
            seat?.Own,
            seat?.LeaseMinutes,
            seat?.Domain,
            neighbours
        );
    }
}

/// <summary>Lines of text as machines print them.</summary>
internal static class Lines
{
    /// <summary>The last address of a subnet, to which everybody listens.</summary>
    public static Ipv4Address Everybody(InterfaceAddress own) => own.Subnet.Last;

    /// <summary>How many hops a route is followed at most (as traceroute has it).</summary>
    public const int MostHops = 30;

    /// <summary>How many hops without an answer are printed before the command gives up.</summary>
    public const int Silent = 3;

    public static string Join(IEnumerable<string> lines) => string.Join('\n', lines) + "\n";

    public static string Hyphens(MacAddress mac) => mac.ToString().Replace(':', '-').ToUpperInvariant();

    /// <summary>Whether an answer is printed: where luck decides, as it looks while it works.</summary>
    public static bool Answered(Trace trace) => trace.Ping.Kind is AnswerKind.Yes or AnswerKind.Luck;

    /// <summary>What is left of 64 hops when an answer from so far away comes in.</summary>
    public static int HopsLeft(Trace trace) => 64 - Math.Max(0, trace.Hops.Count - 1);
}
