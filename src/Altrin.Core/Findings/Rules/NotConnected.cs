using Altrin.Core.Packets;

namespace Altrin.Core.Findings.Rules;

/// <summary>A device with neither cable nor Wi-Fi.</summary>
public static class NotConnected
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.NotConnected,
            "not connected",
            "A device in use is connected to nothing.",
            "It has no network.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Cited(CauseCodes.NotConnected)
            .Select(cause =>
                e.Finding(
                    Rule,
                    cause.Subjects,
                    cause.Text.TrimEnd('.'),
                    "It has no network.",
                    [],
                    ["Plug it in, or choose the Wi-Fi that it joins."]
                )
            );
}
