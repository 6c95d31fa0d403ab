using Altrin.Core.Changes;
using Altrin.Core.Networks;

namespace Altrin.Core.Findings.Rules;

/// <summary>A reservation on the wrong interface, or on a private MAC address.</summary>
public static class ReservationIdle
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "reservation-idle",
            "reservation without effect",
            "A reservation is for the other interface of a box, or for an address that its device changes.",
            "The box or device asks under another MAC address and gets any free one.",
            "RFC 2131; private MAC addresses that change: common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        foreach (var (box, mode) in e.Routers.Where(r => r.Mode.Server.On))
        {
            var asking = e.SegmentOf(box.Id, Side.Lan)!.Interfaces.Where(i => i.Setting is Sites.Automatic).ToList();
            foreach (var kept in mode.Server.Reservations.Where(r => asking.All(a => a.Mac != r.Mac)))
            {
                var owner = e.Design.Site.Boxes.FirstOrDefault(b => b.Mac == kept.Mac || b.WanMac == kept.Mac);
                if (owner is not null && asking.Find(a => a.Owner == owner.Id) is { Mac: { } real })
                {
                    yield return e.Finding(
                        Rule,
                        [box.Id, $"{kept.Mac}"],
                        $"{box.Name} keeps {kept.Address} for the other side of {owner.Name}",
                        $"{owner.Name} is not found at {kept.Address}.",
                        [
                            Cures.Hopeful(
                                $"Keep {kept.Address} for {real}, which is what {owner.Name} asks under",
                                new RemoveReservation(box.Id, kept.Mac),
                                new Reserve(box.Id, real, kept.Address)
                            ),
                        ]
                    );
                }
            }
            foreach (var kept in mode.Server.Reservations.Where(r => r.Mac.IsLocallyAdministered))
            {
                yield return e.Finding(
                    Rule,
                    [box.Id, $"{kept.Mac}"],
                    $"{box.Name} keeps {kept.Address} for {kept.Mac}, which is a private MAC address",
                    "The device changes it by itself and is not found there any more.",
                    [],
                    ["Switch the private address off for this network on the device, then reserve its real one."]
                );
            }
        }
    }
}
