using Altrin.Core.Changes;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A guest name of a box in access-point mode that opens into the home.</summary>
public static class GuestsNotIsolatedRule
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.GuestsNotIsolated,
            "guests get in",
            "The guest name of an access point leads into the home's own network, or may.",
            "In access-point mode many boxes have no network to put guests into: the name is another, the network is the same.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        foreach (
            var box in e
                .Design.SetUp.Boxes.Where(b =>
                    b.Mode is AccessPointMode { Guest: { Vlan: null } } && e.Network.Segments.Any(s => s.Boxes.Contains(b.Box))
                )
                .OrderBy(b => b.Box, StringComparer.Ordinal)
        )
        {
            var guest = ((AccessPointMode)box.Mode).Guest!;
            var habit = e.Design.Box(box.Box)!.Profile.Habits.GuestsApart;
            if (habit != Known.Yes)
            {
                yield return e.Finding(
                    Rule,
                    [box.Box],
                    $"The guest name of {e.Name(box.Box)} {(habit == Known.No ? "opens" : "may open")} into the home",
                    "Guests find printers, storage and the pages of boxes.",
                    [
                        .. GuestCures.AtTheLine(e, box.Box, guest.Name, guest.Security, guest.Password, new RemovePointGuest(box.Box)),
                        Cures.Hopeful($"Send no guest name at {e.Name(box.Box)}", new RemovePointGuest(box.Box)),
                    ],
                    habit != Known.Unknown
                        ? ["Let a box that routes send the guest name, or one that is known to keep guests apart."]
                        :
                        [
                            "Join the guest name with a laptop and try to open a page of the home: what the box's own words promise is no proof.",
                        ]
                );
            }
        }
    }
}
