using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Procedures;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning.Moves;

/// <summary>The addresses at which the pages of further boxes are found.</summary>
internal static class ManagementPages
{
    /// <summary>Where the page of a box is and how it gets its address; null where it has none in the home.</summary>
    public static (Segment Segment, Interface Page)? Of(Evidence e, string box) =>
        (e.Network.Find(box, Side.Page) ?? e.Network.Find(box, Side.Lan)) is { } page ? (e.Network.Segment(page.Segment), page) : null;

    /// <summary>
    /// The home with the page of every further box where a school has it; null where all are, or the school says nothing.
    /// </summary>
    public static Design? Moved(Evidence e, AddressSchool school)
    {
        if (school is not (AddressSchool.Low or AddressSchool.High))
        {
            return null;
        }
        var (draft, taken, moved) = (new Draft(e.Design), new HashSet<Ipv4Address>(), false);
        var pools = new Dictionary<string, AddressRange>(StringComparer.Ordinal);
        foreach (var box in e.Design.SetUp.Boxes.OrderBy(b => b.Box, StringComparer.Ordinal))
        {
            if (
                Of(e, box.Box) is not var (segment, page)
                || e.PlanOf(segment) is not { } main
                || main.MainRouter == box.Box
                || Pool(draft, pools, main, school) is not { } pool
                || (page.Setting is Fixed { Address.Address: var at } && (school == AddressSchool.Low ? at < pool.First : at > pool.Last))
                || Free(main.Plan with { Pool = pool }, pool, school, taken) is not { } free
            )
            {
                continue;
            }
            taken.Add(free);
            moved = true;
            var address = new InterfaceAddress(free, main.Plan.Subnet.PrefixLength);
            draft.Do(
                box.Mode is RouterMode
                    ? new SetLanAddress(box.Box, address)
                    : new SetPageAddress(box.Box, Fixed.Behind(e.Network.Router(main.MainRouter)!.Lan, free))
            );
        }
        return moved ? draft.Made : null;
    }

    /// <summary>
    /// The pool of a main router; made smaller where it leaves no address on the side that is wanted: it begins at the tenth then, or ends
    /// before the last ten (common practice).
    /// </summary>
    private static AddressRange? Pool(
        Draft draft,
        Dictionary<string, AddressRange> pools,
        (AddressPlan Plan, string MainRouter) main,
        AddressSchool school
    )
    {
        if (pools.TryGetValue(main.MainRouter, out var known))
        {
            return known;
        }
        if (main.Plan.Pool is not { } pool)
        {
            return null;
        }
        var hosts = main.Plan.Subnet.Hosts;
        var low = school == AddressSchool.Low;
        if (Free(main.Plan, pool, school, []) is null && hosts.Count > 3 * PlanMoves.KeptFree)
        {
            var bound = low ? new Ipv4Address(hosts.First.Bits + PlanMoves.KeptFree - 1) : new(hosts.Last.Bits - PlanMoves.KeptFree);
            var smaller = low ? new MovePool(main.MainRouter) { First = bound } : new MovePool(main.MainRouter) { Last = bound };
            if (pool.Contains(bound) && draft.Do(smaller).Made is not null)
            {
                pool = low ? AddressRange.Between(bound, pool.Last) : AddressRange.Between(pool.First, bound);
            }
        }
        return pools[main.MainRouter] = pool;
    }

    /// <summary>The first free address on one side of a pool; from the top down above it.</summary>
    private static Ipv4Address? Free(AddressPlan plan, AddressRange pool, AddressSchool school, HashSet<Ipv4Address> taken)
    {
        var unfit = taken.Concat(plan.Taken).Concat(plan.Reserved).ToHashSet();
        var side = plan.FreeOutsidePool().Where(r => school == AddressSchool.Low ? r.Last < pool.First : r.First > pool.Last);
        return side.Select(r => school == AddressSchool.Low ? r.FirstFree(unfit) : r.LastFree(unfit)).FirstOrDefault(a => a is not null);
    }
}
