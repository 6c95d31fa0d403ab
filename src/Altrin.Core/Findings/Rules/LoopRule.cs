using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Networks;

namespace Altrin.Core.Findings.Rules;

/// <summary>A ring of cables.</summary>
public static class LoopRule
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } = new(
        CauseCodes.Loop,
        "ring of cables",
        "Cables form a ring.",
        "Broadcasts go round for ever and take the whole segment down.",
        "IEEE 802.1D; plain switches do not guard against it: common practice",
        Judge);

    private static IEnumerable<Finding> Judge(Evidence e) => e.Network.Segments.SelectMany(s => s.Loops).Select(loop => e.Finding(
        CauseCodes.Loop,
        loop.Cables,
        $"{Verdict.Count(loop.Cables.Count, "cable")} {(loop.Cables.Count == 1 ? "forms" : "form")} a ring: {string.Join(", ", Ends(e, loop))}",
        "The whole network stands still, every port light blinking together.",
        loop.Cables.Take(4).Select(c => Cures.Hopeful(new Unpatch(c).Describe(e.Design), new Unpatch(c)))));

    private static IEnumerable<string> Ends(Evidence e, Loop loop) => loop.Cables
        .Select(id => e.Design.SetUp.Cables.First(c => c.Id == id))
        .Select(c => $"{e.Name(c.A.Owner)} to {e.Name(c.B.Owner)}");
}
