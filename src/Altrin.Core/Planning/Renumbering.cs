using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>
/// Typed addresses that become others, with the reason of each: where two networks become one, what both sides have typed in is compared
/// (common practice).
/// </summary>
internal static class Renumbering
{
    /// <summary>A sentence for each device and box whose typed address or gateway becomes another one, by name.</summary>
    /// <param name="found">The network as it was found.</param>
    /// <param name="after">What is proven of it as it is planned.</param>
    public static IReadOnlyList<string> Of(Network found, Observation after) =>
        [
            .. found
                .Interfaces.Where(i => i is { Side: Side.Device or Side.Page or Side.Lan, Setting: Fixed })
                .OrderBy(i => found.NameOf(i.Owner), StringComparer.Ordinal)
                .Select(i => Of(i, after))
                .OfType<string>(),
        ];

    private static string? Of(Interface was, Observation after)
    {
        Side[] sides = was.Side == Side.Device ? [Side.Device] : [Side.Page, Side.Lan];
        var now = sides.Select(s => after.Network.Find(was.Owner, s)).FirstOrDefault(i => i is not null);
        var (before, then) = ((Fixed)was.Setting, now?.Setting as Fixed);
        // The box that leads on is the gateway of others and has none itself.
        var (from, to) = was.Side == Side.Device ? (before.Gateway, then?.Gateway) : (null, null);
        if (now is null || (then is not null && then.Address.Address == before.Address.Address && to == from))
        {
            return null;
        }
        List<string> moves = [];
        if (then?.Address.Address != before.Address.Address)
        {
            moves.Add($"{before.Address.Address} becomes {Said(now, after)}");
        }
        if (then is not null && to != from)
        {
            moves.Add($"its gateway {from?.ToString() ?? "(none)"} becomes {to?.ToString() ?? "none"}");
        }
        List<string> why = [.. Why(was.Owner, before, now, after), .. NoRouter(from, to, now, after)];
        return $"{after.Network.NameOf(was.Owner)}: {string.Join(", ", moves)}{(why.Count > 0 ? $", since {string.Join(", and ", why)}" : "")}.";
    }

    private static string Said(Interface now, Observation after) =>
        after.Sheet.Addresses.FirstOrDefault(a => a.Owner == now.Owner && a.Side == now.Side) is { Address: { } address } fact
            ? fact.Origin == AddressOrigin.Reserved
                ? $"{address}, leased and reserved"
                : $"{address}"
            : "a leased address";

    /// <summary>Why the address of before is none in the network of then.</summary>
    private static IEnumerable<string> Why(string owner, Fixed before, Interface now, Observation after)
    {
        var address = before.Address.Address;
        var others = after.Sheet.Addresses.Where(a => a.Segment == now.Segment && a.Address == address && a.Owner != owner).ToList();
        var rulers = after.Sheet.Rulers.Where(r => r.Segment == now.Segment).ToList();
        if (others.Count > 0)
        {
            yield return $"{after.Network.NameOf(others[0].Owner)} has {address}";
        }
        // A router that moves takes its network along.
        else if (now.Side != Side.Lan && rulers.Count > 0 && !rulers.Exists(r => r.Subnet.IsHost(address)))
        {
            yield return $"{address} is outside {rulers[0].Subnet}";
        }
        else if (rulers.SelectMany(r => r.Pools).FirstOrDefault(p => p.On && p.Range.Contains(address)) is { } pool)
        {
            yield return $"{address} lies in the pool {pool.Range}";
        }
    }

    private static IEnumerable<string> NoRouter(Ipv4Address? from, Ipv4Address? to, Interface now, Observation after)
    {
        if (
            from is { } gone
            && to != from
            && !after.Sheet.Addresses.Any(a => a.Side == Side.Lan && a.Segment == now.Segment && a.Address == gone)
        )
        {
            yield return $"no router has {gone} there";
        }
    }
}
