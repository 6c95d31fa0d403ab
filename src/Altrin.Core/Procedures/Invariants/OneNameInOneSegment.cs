using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>A Wi-Fi name leads into one segment only, with one password and one protection.</summary>
public static class OneNameInOneSegment
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(
            5,
            "one-name-in-one-segment",
            "Until it is part of the network, a box's radios are off or send a temporary name: one name leads into one segment.",
            Judge
        );

    private static IEnumerable<Violation> Judge(Step step)
    {
        var now = step.After;
        // A box that starts is between two networks for a moment only: where a name leads is asked of the home once it is up.
        var busy = now.Moment.Situation.Busy.Count > 0;
        var network = busy ? Compiler.Compile(now.Design, now.Moment.Situation with { Busy = [] }) : now.Seen().Network;
        var sent = now
            .Design.SetUp.Boxes.Select(b => b.Box)
            .Except(now.Moment.Situation.Silent())
            .SelectMany(b => Air.Of(now.Design, b))
            .Select(a => (Air: a, Segment: Roaming.SegmentOf(network, a)))
            .GroupBy(a => a.Air.Setting.Name, StringComparer.Ordinal);
        foreach (var name in sent)
        {
            var ways = name.Select(n => (n.Segment, n.Air.Setting.Security, n.Air.Setting.Password)).Distinct().Count();
            var boxes = name.Select(n => n.Air.Box).Distinct().ToList();
            if (ways > 1 && boxes.Count > 1)
            {
                yield return new(
                    [.. boxes, name.Key],
                    $"\"{name.Key}\" is sent by {string.Join(" and ", boxes.Select(network.NameOf))}, and does not lead to the same network with the same password."
                );
            }
        }
    }
}
