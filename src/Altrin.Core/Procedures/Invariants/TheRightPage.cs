using Altrin.Core.Facts;
using Altrin.Core.Procedures.Acts;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>The page that opens is that of the box that is meant.</summary>
public static class TheRightPage
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(
            8,
            "the-right-page",
            "One box answers at the address about to be opened; after a swap the table is cleared; a page is compared before typing.",
            Judge
        );

    private static IEnumerable<Violation> Judge(Step step)
    {
        var id = step.Act switch
        {
            OpenPage open => open.Box,
            SavePage save => save.Box,
            _ => null,
        };
        if (id is null || PageOpens.AddressOf(step.Before, id) is not { Ok: true, Value: var address })
        {
            yield break;
        }
        var (seen, laptop) = (step.Before.Seen(), step.Before.Laptop);
        foreach (var way in laptop is null ? [] : Looking.Ways(seen, laptop, address))
        {
            var holders = seen.Hosts.Holders(way.Segment, address).Where(h => h.Linked).Select(h => h.Owner).Distinct().ToList();
            if (holders.Count > 1)
            {
                yield return new(
                    [.. holders, $"{address}"],
                    $"Two boxes answer at {address}: {string.Join(" and ", holders.Select(seen.Network.NameOf))}."
                );
            }
        }
        var compared = step.Before.Ledger.Opened.Concat(step.Before.Ledger.Found);
        if (step.Act is SavePage && !compared.Contains(new(address, id)))
        {
            yield return new(
                [id, $"{address}", "compared"],
                $"Something is typed into the page at {address} before it was opened and its MAC address or name compared with that of {step.Before.Design.NameOf(id)}."
            );
        }
        if (step.Before.Ledger.Opened.FirstOrDefault(o => o.Address == address && o.Box != id) is { } old)
        {
            yield return new(
                [id, old.Box, $"{address}"],
                $"The laptop still takes {address} for {step.Before.Design.NameOf(old.Box)}: pull and plug its cable, clear its table, use a private window."
            );
        }
    }
}
