using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A default gateway that leads nowhere.</summary>
public static class GatewayWrong
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.GatewayWrong,
            "wrong gateway",
            "A default gateway is missing, lies outside the subnet, is not there, or does not route.",
            "The device reaches its own subnet and nothing else.",
            "RFC 1122",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Cited(CauseCodes.GatewayWrong)
            .Select(cause =>
                e.Finding(
                    Rule,
                    cause.Subjects,
                    cause.Text.TrimEnd('.'),
                    "It reaches its neighbours, and no internet.",
                    cause.Subjects.SelectMany(s => Cure(e, s))
                )
            );

    private static IEnumerable<Remedy> Cure(Evidence e, string subject)
    {
        if (e.Network.Find(subject, Side.Device) is { Setting: Fixed typed } device)
        {
            return e.PlanOf(e.Network.Segment(device.Segment)) is var (plan, main)
                ?
                [
                    Cures.Hopeful(
                        $"Point {e.Name(subject)} at {e.Name(main)}",
                        new SetDeviceAddress(
                            subject,
                            typed with
                            {
                                Address = typed.Address with { PrefixLength = plan.Subnet.PrefixLength },
                                Gateway = e.Network.Router(main)!.Lan.Address,
                                DnsServers = Cures.NamesBeside(e, device, typed.DnsServers, e.Network.Router(main)!.Lan.Address),
                            }
                        )
                    ),
                    .. Cures.Ask(e, device),
                ]
                : Cures.Ask(e, device);
        }
        return e.Network.Router(subject) switch
        {
            { Server.Gateway: not null } =>
            [
                Cures.Hopeful($"Let {e.Name(subject)} hand out itself as gateway", new SetServerGateway(subject, null, false)),
            ],
            { Wan: Fixed } =>
            [
                Cures.Hopeful($"Let the WAN side of {e.Name(subject)} ask for its address", new SetWan(subject, new Automatic())),
            ],
            _ => [],
        };
    }
}
