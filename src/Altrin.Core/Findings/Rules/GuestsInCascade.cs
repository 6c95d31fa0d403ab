using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;

namespace Altrin.Core.Findings.Rules;

/// <summary>Guests put inside a cascade, with the family outside.</summary>
public static class GuestsInCascade
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.GuestsInCascade,
            "guests inside",
            "The guest network of a router behind another router.",
            "A cascade shields the LAN side only: its guests open connections to everything of the family that is before it.",
            "RFC 3022; common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Routers.Where(r =>
                r.Mode.Guest is not null
                && e.SegmentOf(r.Box.Id, Side.Wan) is { HasStreet: false } above
                && above.Interfaces.Any(i => i.Linked && i.Side is Side.Device or Side.Page)
            )
            .Select(r =>
                e.Finding(
                    Rule,
                    [r.Box.Id],
                    $"Guests of {r.Box.Name} reach the network before it",
                    "Guests find printers, storage and the pages of boxes.",
                    [
                        .. GuestCures.AtTheLine(
                            e,
                            r.Box.Id,
                            r.Mode.Guest!.Name,
                            r.Mode.Guest.Security,
                            r.Mode.Guest.Password,
                            new RemoveGuest(r.Box.Id)
                        ),
                        Cures.Hopeful($"Send no guest name at {r.Box.Name}", new RemoveGuest(r.Box.Id)),
                    ],
                    ["Let the outermost router have the guests; its radio may not reach as far as this one."]
                )
            );
}
