using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A router of the customer's own at a line whose requirements were not asked for.</summary>
public static class LineNotAsked
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "line-not-asked",
            "line not asked about",
            "The customer's own router is connected to the internet line, and whether that asks for a login, a VLAN tag or one MAC address is not known.",
            "The provider's gateway brings all that along; a box that takes its place has to be told.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        var line = e.Design.Site.Service.Line;
        var open = new[] { (line.Login, "a login"), (line.Tagged, "a VLAN tag"), (line.Locked, "one MAC address") }
            .Where(n => n.Item1 == Known.Unknown)
            .Select(n => n.Item2)
            .ToList();
        if (open.Count == 0)
        {
            return [];
        }
        return e
            .Network.Segment(PortRef.Street)
            .Interfaces.Where(i =>
                i is { Side: Side.Wan, KeptOff: null }
                && e.Design.Box(i.Owner)!.Profile.Kind != BoxKind.Gateway
                && !Passer.HandsTo(e.Design, i.Owner)
            )
            .Select(i =>
                e.Finding(
                    Rule,
                    [i.Owner],
                    $"Whether the line wants {string.Join(", ", open.SkipLast(1))}{(open.Count > 1 ? " or " : "")}{open[^1]} from {e.Name(i.Owner)} was not asked",
                    "The line may refuse it, and then there is no internet to look it up.",
                    [],
                    ["Ask the provider before the old box is unplugged, and write it into the survey: also that nothing is wanted."]
                )
            );
    }
}
