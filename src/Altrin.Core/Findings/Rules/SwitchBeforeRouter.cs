using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A switch between the street and the router.</summary>
public static class SwitchBeforeRouter
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "switch-before-router",
            "before the router",
            "A switch is connected before the router.",
            "What else is plugged into it asks the provider for an address, and stands outside every firewall of the home.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Network.Segments.Where(s => s.HasStreet)
            .SelectMany(s =>
                s.Boxes.Where(b => e.Design.Mode(b) is SwitchMode)
                    .Select(b =>
                        e.BreaksLike(
                            e.Finding(
                                Rule,
                                [b],
                                $"{e.Name(b)} is connected before the router",
                                "The provider gives one address: the first to ask has internet, the others have none.",
                                Swap(e, s, b)
                            ),
                            Cause.Of(CauseCodes.SeveralBeforeRouter, "", PortRef.Street)
                        )
                    )
            );

    /// <summary>
    /// The router goes to the line, the switch behind it. Offered where one cable leads on to the street and one router hangs on the
    /// switch.
    /// </summary>
    private static IEnumerable<Remedy> Swap(Evidence e, Segment street, string box)
    {
        var cables = e
            .Design.SetUp.Cables.Where(c => c.A.Owner == box || c.B.Owner == box)
            .Select(c => (Cable: c, Here: c.A.Owner == box ? c.A : c.B))
            .ToList();
        var up = cables
            .Where(c => c.Cable.OtherEnd(c.Here).Owner is var o && (o == PortRef.Street || e.Design.Mode(o) is BridgeMode))
            .ToList();
        var down = cables.Where(c => street.Interfaces.Any(i => i.Side == Side.Wan && i.Owner == c.Cable.OtherEnd(c.Here).Owner)).ToList();
        if (up is [var line] && down is [var router] && e.FreeLanPort(router.Cable.OtherEnd(router.Here).Owner) is { } lan)
        {
            var wan = router.Cable.OtherEnd(router.Here);
            yield return Cures.Hopeful(
                $"Put {e.Name(wan.Owner)} first and {e.Name(box)} behind it",
                new Unpatch(line.Cable.Id),
                new Unpatch(router.Cable.Id),
                new Patch(line.Cable.OtherEnd(line.Here), wan, line.Cable.Known),
                new Patch(router.Here, lan, router.Cable.Known)
            );
        }
    }
}
