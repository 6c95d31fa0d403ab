using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;

namespace Altrin.Core.Findings.Rules;

/// <summary>A line that asks for a login, a tag or a MAC address and does not get it.</summary>
public static class LineNotMet
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.LineNotMet,
            "line refuses it",
            "The line asks for a login, a VLAN tag or one MAC address, and the box at it does not give that.",
            "The provider leases it nothing. With a login the largest packet is 1492 bytes instead of 1500.",
            "RFC 2516; IEEE 802.1Q; common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Network.Interfaces.Where(i => i.KeptOff is not null)
            .Select(i =>
                e.Finding(
                    Rule,
                    [i.Owner],
                    e.Seen.Tracer.World.WrongAtStreet(i)!.Text.TrimEnd('.'),
                    "The box gets no address from the provider, whatever else is right.",
                    Tell(e, i),
                    i.KeptOff == LineFault.Login
                        ? ["Get the login from the provider in writing before the old box is unplugged."]
                        : ["Ask the provider; some change it on the telephone."]
                )
            );

    private static IEnumerable<Remedy> Tell(Evidence e, Interface at)
    {
        if (e.Network.Router(at.Owner) is not { } router)
        {
            yield break;
        }
        var needs = e.Design.Site.Service.Line;
        if (at.KeptOff == LineFault.Login)
        {
            yield return Cures.Hopeful(
                $"Type the provider's login into {e.Name(at.Owner)}",
                SetLine.Between(
                    at.Owner,
                    router.Line,
                    router.Line with
                    {
                        Login = true,
                        Tag = needs.Tag ?? router.Line.Tag,
                        Mac = needs.LockedTo ?? router.Line.Mac,
                    }
                )
            );
        }
        else if (at.KeptOff == LineFault.Tag && needs.Tag is { } tag)
        {
            yield return Cures.Hopeful(
                $"Let {e.Name(at.Owner)} send the tag {tag}",
                SetLine.Between(at.Owner, router.Line, router.Line with { Tag = tag, Mac = needs.LockedTo ?? router.Line.Mac })
            );
        }
        else if (at.KeptOff == LineFault.Lock && needs.LockedTo is { } only)
        {
            yield return Cures.Hopeful(
                $"Let {e.Name(at.Owner)} show {only} to the line",
                SetLine.Between(at.Owner, router.Line, router.Line with { Mac = only })
            );
        }
    }
}
