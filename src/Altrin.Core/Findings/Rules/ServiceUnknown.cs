using Altrin.Core.Packets;

namespace Altrin.Core.Findings.Rules;

/// <summary>The kind of service was not asked.</summary>
public static class ServiceUnknown
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.ServiceUnknown,
            "service not asked",
            "Whether the provider gives a public address is not known, and a need depends on it.",
            "What was sold may turn out to be impossible.",
            "RFC 6598; common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Cited(CauseCodes.ServiceUnknown)
            .Select(cause =>
                e.Finding(
                    Rule,
                    cause.Subjects,
                    "Whether the home gets a public address was not asked",
                    "Whether anything can be reached from outside is not known.",
                    [],
                    [
                        "Ask the provider, or compare the WAN address of the gateway with the one that an outside service shows; a connection from outside is the only proof.",
                    ]
                )
            );
}
