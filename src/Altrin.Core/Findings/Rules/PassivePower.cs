using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A passive injector feeds something that does not expect it.</summary>
public static class PassivePower
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "passive-power",
            "passive power",
            "A passive injector feeds something that does not expect it.",
            "It puts power on the cable without asking, and can damage what is at the other end.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        foreach (var cable in e.Design.SetUp.Cables.OrderBy(c => c.Id, StringComparer.Ordinal))
        {
            foreach (var (from, to) in new[] { (cable.A, cable.B), (cable.B, cable.A) })
            {
                if (
                    Feeds.At(e.Design, from) is { Kind: PowerKind.Passive } source
                    && e.Design.Box(to.Owner)?.Profile.Traits.Power?.Takes != PowerKind.Passive
                )
                {
                    yield return e.Finding(
                        Rule,
                        [source.Box.Id],
                        $"{source.Box.Name} puts power on the cable to {e.Name(to.Owner)} without asking",
                        "The port at the other end is dead, at once or some day.",
                        // Where its two cables are swapped, what it came with hangs at its data port.
                        e.Design.SetUp.Cables.Where(c => c.Ends(source.Box.Id) && c != cable)
                            .Select(c => c.A.Owner == source.Box.Id ? c.B.Owner : c.A.Owner)
                            .Where(b => e.Design.Box(b)?.Profile.Traits.Power?.Takes == PowerKind.Passive)
                            .SelectMany(b => Feeds.ToPower(e, b)),
                        [
                            $"Unplug that cable first. A passive injector feeds only the box that it came with; {e.Name(to.Owner)} needs one that asks, or none.",
                        ]
                    );
                }
            }
        }
    }
}
