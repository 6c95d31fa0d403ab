using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>The software of the box at the line is mended no more.</summary>
public static class SoftwareEnded
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } = new(
        "software-ended",
        "no more updates",
        "The software of the box at the line is mended no more.",
        "Whatever is found wrong with it stays open to the whole internet.",
        "common practice",
        Judge);

    private static IEnumerable<Finding> Judge(Evidence e) => e.Routers
        .Where(r => r.Box.Label.Mended == Known.No && e.SegmentOf(r.Box.Id, Networks.Side.Wan) is { HasStreet: true })
        .Select(r => e.Finding(
            "software-ended",
            [r.Box.Id],
            $"{r.Box.Name} stands at the line, and its software is mended no more",
            "Nothing, until somebody walks in.",
            [],
            ["Put a box there that is still mended. Until then: no pairing by button, no administration from outside, no ports opened on request."]));
}
