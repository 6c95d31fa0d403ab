using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>Port requests on the outermost router that nothing asked for needs.</summary>
public static class UpnpOn
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "upnp-on",
            "UPnP on",
            "UPnP is on: the outermost router opens ports for any device that asks.",
            "Any gadget, and anything that got into one, can open the home to the internet unasked.",
            "RFC 6887; switching it off unless something needs it: common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Routers.Where(r =>
                r.Mode.PortRequests
                && e.SegmentOf(r.Box.Id, Side.Wan) is { HasStreet: true }
                && !e.Design.Site.Needs.Any(n => n is ReachFromOutside { AsksItself: true })
            )
            .Select(r =>
                e.Finding(
                    Rule,
                    [r.Box.Id],
                    $"UPnP is on: {r.Box.Name} opens ports for any device that asks",
                    "Nothing that is noticed: that is the trouble with it.",
                    [Cures.Hopeful($"Let {r.Box.Name} open no port on request", new SetPortRequests(r.Box.Id, false))]
                )
            );
}
