using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>The provider does NAT too.</summary>
public static class CarrierNatRule
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.CarrierNat,
            "carrier-grade NAT",
            "The provider shares one public address among several customers.",
            "Nothing that is opened from outside gets to the home over IPv4, whatever is set in it.",
            "RFC 6598",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Design.Site.Service is not CarrierNat
            ? []
            :
            [
                e.Finding(
                    Rule,
                    [PortRef.Street],
                    "Carrier-grade NAT (CGNAT): the provider gives no public address",
                    "Nothing can be reached from outside over IPv4. Ordinary use does not notice.",
                    [],
                    [
                        "Ask the provider for a public address or for IPv6, before anything is promised.",
                        "Otherwise use a tunnel that is opened from inside.",
                    ]
                ),
            ];
}
