using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>The WAN side is not set as the provider delivers.</summary>
public static class WanNotSet
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.WanNotSet,
            "WAN side not set",
            "The WAN side is not set the way the provider delivers the address.",
            "The home has no internet.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Cited(CauseCodes.WanNotSet)
            .Select(cause =>
                e.Finding(
                    Rule,
                    cause.Subjects,
                    cause.Text.TrimEnd('.'),
                    "The home has no internet.",
                    cause
                        .Subjects.Where(s => e.Network.Find(s, Side.Wan) is not null)
                        .Select(s =>
                            e.Design.Site.Service is PublicFixed given
                                ? Cures.Hopeful(
                                    $"Set {e.Name(s)} to {given.Address}",
                                    new SetWan(s, new Fixed(given.Address, given.Gateway, []))
                                )
                                : Cures.Hopeful($"Let {e.Name(s)} ask for its address", new SetWan(s, new Automatic()))
                        ),
                    ["The provider's letter says how the address is delivered."]
                )
            );
}
