using Altrin.Core.Changes;
using Altrin.Core.Packets;

namespace Altrin.Core.Findings.Rules;

/// <summary>A router at the street that does not translate.</summary>
public static class NoNatRule
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.NoNat,
            "no NAT",
            "Addresses of the home go out to the provider as they are.",
            "The provider drops private addresses: nothing inside gets an answer.",
            "RFC 1918, RFC 3022",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Cited(CauseCodes.NoNat)
            .Select(cause =>
                e.Finding(
                    Rule,
                    cause.Subjects,
                    $"{e.Names(cause.Subjects)} sends private addresses to the provider without NAT",
                    "Nothing behind it gets an answer from the internet.",
                    cause
                        .Subjects.Where(s => e.Network.Router(s) is { Nat: false })
                        .Select(s => Cures.Hopeful($"Switch NAT of {e.Name(s)} on", new SetNat(s, true)))
                )
            );
}
