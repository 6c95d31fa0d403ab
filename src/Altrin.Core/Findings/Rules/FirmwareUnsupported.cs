using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>The firmware of the box at the internet line gets no more updates.</summary>
public static class FirmwareUnsupported
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "firmware-unsupported",
            "no more updates",
            "The firmware of the box at the internet line gets no more updates.",
            "Whatever is found wrong with it stays open to the whole internet.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Routers.Where(r =>
                r.Box.Label.IsSupported(null) == Known.No && e.SegmentOf(r.Box.Id, Networks.Side.Wan) is { HasStreet: true }
            )
            .Select(r =>
                e.Finding(
                    Rule,
                    [r.Box.Id],
                    $"{r.Box.Name} is connected to the internet line, and its firmware gets no more updates",
                    "Nothing, until it is broken into.",
                    [],
                    ["Put a box there that still gets updates. Until then: no pairing by button, no administration from outside, no UPnP."]
                )
            );
}
