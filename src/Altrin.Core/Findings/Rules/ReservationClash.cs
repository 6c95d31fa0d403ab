using Altrin.Core.Changes;
using Altrin.Core.Networks;

namespace Altrin.Core.Findings.Rules;

/// <summary>Two reservations on one address, or one that cannot be had.</summary>
public static class ReservationClash
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "reservation-clash",
            "kept twice",
            "An address is reserved twice, is set on another host, or lies outside the subnet.",
            "One of the two gets another address, or none.",
            "RFC 2131; common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        foreach (var (box, mode) in e.Routers.Where(r => r.Mode.Server.On))
        {
            var others = e.SegmentOf(box.Id, Side.Lan)!
                .Servers.Where(s => s.Owner != box.Id)
                .SelectMany(s => s.Reservations.Select(r => (s.Owner, r)))
                .ToList();
            foreach (var kept in mode.Server.Reservations)
            {
                var why =
                    !mode.Lan.Subnet.IsHost(kept.Address) ? $"{kept.Address} is no address of {mode.Lan.Subnet}"
                    : kept.Address == mode.Lan.Address ? $"{kept.Address} is {box.Name} itself"
                    : mode.Server.Reservations.Any(r => r.Address == kept.Address && r.Mac != kept.Mac)
                        ? $"{kept.Address} is reserved for another device too"
                    : others.Find(o => o.r.Address == kept.Address && o.r.Mac != kept.Mac) is { Owner: { } other }
                        ? $"{kept.Address} is reserved by {e.Name(other)} for another device too"
                    : null;
                if (why is not null)
                {
                    yield return e.Finding(
                        Rule,
                        [box.Id, $"{kept.Mac}"],
                        $"{box.Name} keeps {kept.Address} for {Whose(e, kept.Mac)}, but {why}",
                        "It is not found where it should be.",
                        [
                            Cures.Hopeful(
                                $"Remove the reservation of {kept.Address} for {Whose(e, kept.Mac)}",
                                new RemoveReservation(box.Id, kept.Mac)
                            ),
                        ]
                    );
                }
            }
        }
    }

    private static string Whose(Evidence e, Addressing.MacAddress mac) =>
        e.Design.Site.Devices.FirstOrDefault(d => d.Mac == mac)?.Name
        ?? e.Design.Site.Boxes.FirstOrDefault(b => b.Mac == mac || b.WanMac == mac)?.Name
        ?? $"{mac}";
}
