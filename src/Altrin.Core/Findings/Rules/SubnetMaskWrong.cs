using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A mask typed by hand that differs from the network's.</summary>
public static class SubnetMaskWrong
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.SubnetMaskWrong,
            "wrong mask",
            "A subnet mask typed by hand differs from that of the network it is in.",
            "Some hosts of the subnet are looked for at the router, or some others beside it; which are reached differs from host to host.",
            "RFC 1122, RFC 4632",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        foreach (var segment in e.Network.Segments.Where(s => !s.HasStreet))
        {
            if (e.PlanOf(segment) is not var (plan, main))
            {
                continue;
            }
            foreach (var host in segment.Interfaces.Where(i => i.Setting is Fixed && i.Owner != main && i.Side is not Side.Guest))
            {
                var typed = (Fixed)host.Setting;
                if (plan.Subnet.Contains(typed.Address.Address) && typed.Address.PrefixLength != plan.Subnet.PrefixLength)
                {
                    var right = typed with { Address = new(typed.Address.Address, plan.Subnet.PrefixLength) };
                    yield return e.Finding(
                        Rule,
                        [host.Owner],
                        $"{e.Name(host.Owner)} is set to {typed.Address} in a network that is {plan.Subnet}",
                        "Some of the home answers it and some does not.",
                        [Cures.Hopeful($"Set {e.Name(host.Owner)} to {right.Address}", Cures.SetAddress(host, right))]
                    );
                }
            }
        }
    }
}
