using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A host typed by hand outside the subnet of its segment.</summary>
public static class OutsideSubnet
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.OutsideSubnet,
            "outside the subnet",
            "A device or the page of a box is set outside the subnet of the network it is in.",
            "It reaches no host there, and no host reaches it.",
            "RFC 1122, RFC 4632",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        foreach (var segment in e.Network.Segments.Where(s => !s.HasStreet))
        {
            if (e.PlanOf(segment) is not var (plan, _))
            {
                continue;
            }
            var mainRouters = e.Seen.Hosts.MainRouters(segment);
            var subnets = mainRouters.Select(r => e.Network.Router(r.Owner)!.Lan.Subnet).ToList();
            foreach (
                var host in segment.Interfaces.Where(i =>
                    !mainRouters.Contains(i) && i.Linked && i.Setting is Fixed typed && !subnets.Any(s => s.Contains(typed.Address.Address))
                )
            )
            {
                var own = ((Fixed)host.Setting).Address.Address;
                yield return e.Finding(
                    Rule,
                    [host.Owner],
                    $"{e.Name(host.Owner)} is set to {own}, outside {plan.Subnet}",
                    host.Side == Side.Device ? "It reaches nothing." : "It passes traffic on, but its page cannot be opened from here.",
                    [.. Cures.MoveToFree(e, host), .. Cures.Ask(e, host)]
                );
            }
        }
    }
}
