using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>Port requests on the outermost router that nothing asked for needs.</summary>
public static class PortRequestsOn
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } = new(
        "port-requests-on",
        "opens by itself",
        "The outermost router opens ports for whoever asks from inside.",
        "Any gadget, and anything that got into one, can open the home to the internet unasked.",
        "RFC 6887; switching it off unless something needs it: common practice",
        Judge);

    private static IEnumerable<Finding> Judge(Evidence e) => e.Routers
        .Where(r => r.Mode.PortRequests && e.SegmentOf(r.Box.Id, Side.Wan) is { HasStreet: true } && !e.Design.Site.Needs.Any(n => n is ReachFromOutside { AsksItself: true }))
        .Select(r => e.Finding(
            "port-requests-on",
            [r.Box.Id],
            $"{r.Box.Name} opens ports for whoever asks",
            "Nothing that is noticed: that is the trouble with it.",
            [Cures.Hopeful($"Let {r.Box.Name} open no port on request", new SetPortRequests(r.Box.Id, false))]));
}
