using Altrin.Core.Changes;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A repeater that may join another repeater, or itself.</summary>
public static class RepeaterJoinsOther
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.RepeaterJoinsOther,
            "may join the wrong box",
            "A box joins by a name that another repeater, or it itself, sends too.",
            "It may join that one instead: then the way is longer, or leads nowhere when two join each other.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Network.RadioLinks.Where(l => l.Rivals.Count > 0)
            .Select(l =>
                e.Finding(
                    Rule,
                    [l.Box],
                    e.Seen.Tracer.World.Radio.Strays(l).Text.TrimEnd('.'),
                    "After a power cut its devices may have no internet until it is switched off and on again.",
                    e.Design.Mode(l.Box)?.Joins is not null
                        ?
                        [
                            Cures.Hopeful(
                                $"Let {e.Name(l.Box)} join {e.Name(l.To)} by its radio address only",
                                new SetUplink(l.Box, Partial<Uplink>.With(u => u.Locked, true))
                            ),
                        ]
                        : [],
                    ["Boxes that cannot be told so are kept apart by a name of their own for the link."]
                )
            );
}
