using Altrin.Core.Changes;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A router with nothing on its WAN side.</summary>
public static class WanPortEmpty
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.WanPortEmpty,
            "no way out",
            "Devices are connected to a router with nothing in its WAN port.",
            "They have addresses and no internet.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Cited(CauseCodes.WanPortEmpty)
            .Select(cause =>
                e.Finding(
                    Rule,
                    cause.Subjects,
                    cause.Text.TrimEnd('.'),
                    "Devices behind it say that they are connected, and have no internet.",
                    cause.Subjects.SelectMany(s =>
                        e.Design.CableAt(PortRef.AtStreet) is null && e.WanPorts(s).Any()
                            ?
                            [
                                Cures.Hopeful(
                                    $"Plug the line into {e.Name(s)}",
                                    new Patch(PortRef.AtStreet, e.WanPorts(s).First(), CableFacts.NotLookedAt)
                                ),
                            ]
                            : Array.Empty<Remedy>()
                    ),
                    ["Plug the cable that comes from the internet line, or from the main router, into its WAN port."]
                )
            );
}
