using Altrin.Core.Networks;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>In one segment no two boxes have one address, and no two DHCP servers answer.</summary>
public static class OneRouterPerAddress
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(
            4,
            "one-router-per-address",
            "One box has an address and one DHCP server answers in each segment: a gap is allowed, two never.",
            Judge
        );

    private static IEnumerable<Violation> Judge(Step step)
    {
        var seen = step.After.Seen();
        foreach (var segment in Live.Segments(step.After))
        {
            var owners = segment
                .Interfaces.Where(i => i.Linked && i.Side is Side.Lan or Side.Page or Side.Guest)
                .SelectMany(i => seen.Leasing.Holdings(i).Where(h => h.Exact is not null).Select(h => (Address: h.Exact!.Value, i.Owner)))
                .Distinct()
                .GroupBy(o => o.Address);
            foreach (var two in owners.Where(o => o.Count() > 1))
            {
                yield return new(
                    [.. two.Select(t => t.Owner), $"{two.Key}"],
                    $"{string.Join(" and ", two.Select(t => seen.Network.NameOf(t.Owner)))} are both at {two.Key}."
                );
            }
            if (segment.Servers.Count > 1)
            {
                yield return new(
                    [.. segment.Servers.Select(s => s.Owner), "dhcp"],
                    $"Two DHCP servers answer in one segment: {string.Join(" and ", segment.Servers.Select(s => seen.Network.NameOf(s.Owner)))}."
                );
            }
        }
    }
}
