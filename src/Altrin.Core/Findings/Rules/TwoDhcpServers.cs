using Altrin.Core.Changes;
using Altrin.Core.Packets;

namespace Altrin.Core.Findings.Rules;

/// <summary>Several DHCP servers in one segment.</summary>
public static class TwoDhcpServers
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.TwoDhcpServers,
            "second server",
            "More than one DHCP server answers in a segment.",
            "A device takes the first answer, and with it a gateway that may lead nowhere.",
            "RFC 2131",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        foreach (var segment in e.Network.Segments.Where(s => s.Servers.Count > 1))
        {
            string[] servers = [.. segment.Servers.Select(s => s.Owner)];
            yield return e.Finding(
                Rule,
                servers,
                $"{e.Names(servers)} both hand out addresses in one network",
                "Some devices get no internet after they restart, others after their lease runs out: it changes by itself.",
                servers
                    .OrderByDescending(s => e.Seen.Hosts.MainRouters(segment) is [var main, ..] && main.Owner == s)
                    .Select(kept =>
                        Cures.Hopeful(
                            $"Only {e.Name(kept)} hands out addresses",
                            [
                                .. servers
                                    .Where(s => s != kept && e.Network.Router(s) is not null)
                                    .Select(s => new SwitchDhcpServer(s, false)),
                            ]
                        )
                    )
            );
        }
    }
}
