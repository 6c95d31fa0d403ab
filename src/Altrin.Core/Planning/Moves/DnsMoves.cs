using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Procedures;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning.Moves;

/// <summary>DNS servers that routers hand out, by the installer's way of working.</summary>
internal static class DnsMoves
{
    /// <summary>The home with every router that serves handing out what the way of working wants; null where it does.</summary>
    public static Design? Of(Design design, Ways ways) =>
        Departing(design, ways).ToList() is { Count: > 0 } routers && Wanted(ways) is { } wanted
            ? routers.Aggregate(new Draft(design), (d, r) => d.Do(new SetDnsServers(r.Box, wanted, false))).Made
            : null;

    /// <summary>Routers that serve and hand out something else, with that; none where the way says nothing of it.</summary>
    public static IEnumerable<(string Box, DhcpServerSetting Server)> Departing(Design design, Ways ways) =>
        Wanted(ways) is not { } wanted
            ? []
            : design
                .SetUp.Boxes.Where(b => b.Mode is RouterMode { Server.On: true })
                .Select(b => (b.Box, ((RouterMode)b.Mode).Server))
                .Where(r => r.Server.LeavesOutDns || !r.Server.DnsServers.SequenceEqual(wanted));

    /// <summary>What is handed out by the way of working, empty for the router itself; null where it says nothing, or names none.</summary>
    private static IReadOnlyList<Ipv4Address>? Wanted(Ways ways) =>
        ways.Dns switch
        {
            DnsSchool.Provider => [],
            DnsSchool.Own when ways.OwnDnsServers is { Count: > 0 } own => own,
            _ => null,
        };
}
