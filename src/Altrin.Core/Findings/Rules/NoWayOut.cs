using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A router with nothing on its outer side.</summary>
public static class NoWayOut
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } = new(
        CauseCodes.NoWayOut,
        "no way out",
        "Devices hang on a router whose outer side is empty.",
        "They have addresses and no internet.",
        "common practice",
        Judge);

    private static IEnumerable<Finding> Judge(Evidence e) => e.Cited(CauseCodes.NoWayOut).Select(cause => e.Finding(
        CauseCodes.NoWayOut,
        cause.Subjects,
        cause.Text.TrimEnd('.'),
        "Devices behind it say that they are connected, and have no internet.",
        cause.Subjects.SelectMany(s => e.Design.CableAt(PortRef.AtStreet) is null && e.WanPorts(s).Any()
            ? [Cures.Hopeful($"Plug the line into {e.Name(s)}", new Patch(PortRef.AtStreet, e.WanPorts(s).First(), CableFacts.NotLookedAt))]
            : Array.Empty<Remedy>()),
        ["Plug the cable that comes from the street, or from the main router, into its outer port."]));
}
