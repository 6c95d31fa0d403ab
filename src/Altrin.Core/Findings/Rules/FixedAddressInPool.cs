using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A fixed address inside the pool of the server of its own segment.</summary>
public static class FixedAddressInPool
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.FixedAddressInPool,
            "fixed in the pool",
            "An address typed by hand lies inside the pool of the DHCP server of its segment.",
            "The server may lease it to another device. Free now is not free later. Where that stays below one in twenty, however the server "
                + "chooses, with twice the devices and for all such addresses of the pool together, it is a concern.",
            "RFC 2131; keeping fixed addresses out of the pool: common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        foreach (var conflict in e.Sheet.Conflicts.Where(c => c.Pool is not null))
        {
            var host = e
                .Seen.Hosts.Holders(conflict.Segment, conflict.Address)
                .First(h => h.Owner == conflict.Holders[0] && h.Setting is Fixed);
            yield return e.Finding(
                Rule,
                [host.Owner, conflict.Pool!],
                $"{e.Name(host.Owner)} is fixed at {conflict.Address}, inside the pool of {e.Name(conflict.Pool!)}",
                conflict.Guarded
                    ? "It is given to no other while it is on and answers; afterwards another device may get it, and both drop out in turn."
                    : $"Some day another device gets the same address, and both drop out in turn. {conflict.Exposure!.Words}",
                [.. Cures.MoveToFree(e, host), .. KeepIt(e, host, conflict), .. CarveOut(e, conflict)]
            );
        }
    }

    private static IEnumerable<Remedy> KeepIt(Evidence e, Interface host, ConflictFact conflict) =>
        host.Mac is { } mac
            ? [Cures.Hopeful($"Reserve {conflict.Address} for {e.Name(host.Owner)}", new Reserve(conflict.Pool!, mac, conflict.Address))]
            : [];

    private static IEnumerable<Remedy> CarveOut(Evidence e, ConflictFact conflict)
    {
        if (e.Network.Router(conflict.Pool!) is { } router)
        {
            var inside = e.Sheet.Conflicts.Where(c => c.Segment == conflict.Segment && c.Pool == conflict.Pool).Select(c => c.Address);
            if (router.Server.Pool.LongestWithout(inside) is { } left)
            {
                yield return Cures.Hopeful($"Let the pool be {left.First} to {left.Last}", MovePool.To(conflict.Pool!, left));
            }
        }
    }
}
