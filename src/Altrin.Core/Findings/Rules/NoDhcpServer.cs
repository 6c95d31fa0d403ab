using Altrin.Core.Changes;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>Devices ask for an address and no host answers.</summary>
public static class NoDhcpServer
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.NoDhcpServer,
            "no DHCP server",
            "There is no DHCP server in a segment where devices ask for one.",
            "Devices give themselves an address in 169.254.0.0/16 and reach nothing.",
            "RFC 2131, RFC 3927",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        foreach (var segment in e.Network.Segments.Where(s => !s.HasStreet && s.Servers.Count == 0))
        {
            var asking = segment.Interfaces.Where(i => i.Setting is Automatic && i.Linked).Select(i => i.Owner).Distinct().ToList();
            if (asking.Count == 0)
            {
                continue;
            }
            var routers = e.Seen.Hosts.MainRouters(segment).Select(r => r.Owner).ToList();
            yield return e.Finding(
                Rule,
                [segment.Id],
                $"No DHCP server answers where {Asking(e, asking)} for an address",
                "These devices say that they are connected, and have no internet.",
                routers.Select(r => Cures.Hopeful($"Switch the DHCP server of {e.Name(r)} on", new SwitchDhcpServer(r, true))),
                routers.Count == 0 ? ["Plug this part of the network into a LAN port of the main router."] : []
            ) with
            {
                // No host is on such an island once its box has joined.
                CausedBy =
                [
                    .. e
                        .Network.Unjoined.Where(u => segment.Boxes.Contains(u.Box))
                        .Select(u => Cause.Of(CauseCodes.UplinkNotJoined, "", u.Box).Identity),
                ],
            };
        }
    }

    private static string Asking(Evidence e, List<string> asking) =>
        asking.Count <= 2 ? $"{e.Names(asking)} {(asking.Count == 1 ? "asks" : "ask")}" : $"{asking.Count} devices ask";
}
