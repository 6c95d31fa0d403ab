using Altrin.Core.Addressing;
using Altrin.Core.Readings;
using Altrin.Core.Sites;

namespace Altrin.Core.Comparisons;

/// <summary>
/// The adapter of a machine that counts, chosen among virtual and idle ones, with what stands about it in other places of the text.
/// </summary>
/// <param name="Adapter">The adapter, with the gateway of its route and the DNS servers of the machine where it names none itself.</param>
/// <param name="Why">Why this one.</param>
/// <param name="Others">The names of the others.</param>
public sealed record Machine(AdapterRead Adapter, string Why, IReadOnlyList<string> Others)
{
    /// <summary>How many adapters, and how many ways out, are weighed: no machine has more.</summary>
    public const int Most = 100;

    /// <summary>
    /// The adapter that counts; null where the text tells of none that could. Where it tells of the way out only, or of DNS servers only,
    /// that is all that the adapter has.
    /// </summary>
    public static Machine? Of(Reading reading)
    {
        var ways = reading
            .Routes.Where(r => r is { IsDefault: true, Gateway: not null })
            .DistinctBy(r => (r.Adapter, r.Gateway))
            .Take(Most)
            .OrderBy(r => r.Metric ?? 0)
            .ToList();
        var adapters = Joined(reading).Concat(Named(reading, ways)).Select(a => With(a, ways)).ToList();
        var able = adapters
            .Where(a =>
                a is { Inside: false }
                && a.Linked != Known.No
                && (a.Address is not null || a.AddressAlone is not null || a.Gateway is not null)
            )
            .ToList();
        var best = able.OrderBy(a => a.Gateway is null)
            .ThenBy(a => ways.Find(w => Is(a, w))?.Metric ?? 0)
            .ThenBy(a => a.Way != AddressWay.Leased)
            .ThenBy(a => a.Way == AddressWay.SelfAssigned)
            .ThenBy(a => a.Linked != Known.Yes)
            .FirstOrDefault();
        if (best is null)
        {
            return adapters.Count == 0 && reading.DnsServers.Count > 0
                ? new(new(0, "") { DnsServers = reading.DnsServers }, "Only its DNS servers are told.", [])
                : null;
        }
        var others = adapters.Where(a => a.Name != best.Name).Select(a => a.Name).Where(n => n.Length > 0).Distinct().ToList();
        return new(
            best.DnsServers.Count > 0 ? best : best with { DnsServers = reading.DnsServers },
            best.Gateway is { } gateway ? $"It has the way out, over {gateway}."
                : able.Count == 1 ? "It is the only one with an address that leads anywhere."
                : best.Way == AddressWay.Leased ? "It is the first with a leased address."
                : "None has a way out; it is the first with an address.",
            others
        );
    }

    /// <summary>Whether a way goes through an adapter, which tables name or give by its address.</summary>
    private static bool Is(AdapterRead adapter, RouteRead way) =>
        way.Adapter.Length > 0 && (way.Adapter == adapter.Name || way.Adapter == $"{adapter.Address?.Address}");

    /// <summary>Adapters of one name as one.</summary>
    private static List<AdapterRead> Joined(Reading reading) =>
        [
            .. reading
                .Adapters.Take(Most)
                .Index()
                .GroupBy(a => a.Item.Name.Length > 0 ? a.Item.Name : $"\n{a.Index}", StringComparer.Ordinal)
                .Select(g => g.Select(a => a.Item).Aggregate(Both)),
        ];

    /// <summary>
    /// Adapters that only a table of routes tells of: with the address that it gives, and the prefix of the wire it lies on.
    /// </summary>
    private static List<AdapterRead> Named(Reading reading, List<RouteRead> ways)
    {
        var known = Joined(reading);
        var wires = reading
            .Routes.Where(r => r.Gateway is null && r.Destination.PrefixLength is > 0 and < 32)
            .ToLookup(r => r.Adapter, StringComparer.Ordinal);
        return
        [
            .. ways.Where(w => !known.Exists(a => Is(a, w)))
                .DistinctBy(w => w.Adapter)
                .Select(way =>
                {
                    var own = Ipv4Address.Parse(way.Adapter) is { Ok: true, Value: var named }
                        ? named
                        : way.Own ?? wires[way.Adapter].Select(w => w.Own).FirstOrDefault(o => o is not null);
                    var wire = own is { } at ? wires[way.Adapter].FirstOrDefault(w => w.Destination.Contains(at)) : null;
                    return new AdapterRead(way.Line, way.Adapter)
                    {
                        Address = own is { } address ? new(address, wire?.Destination.PrefixLength ?? 32) : null,
                        Linked = Known.Yes,
                    };
                }),
        ];
    }

    /// <summary>An adapter with the way out through it. A route that came with a lease says that the address did too.</summary>
    private static AdapterRead With(AdapterRead adapter, List<RouteRead> ways) =>
        ways.Find(w => Is(adapter, w)) is not { } way
            ? adapter
            : adapter with
            {
                Gateway = adapter.Gateway ?? way.Gateway,
                Way = way.Leased && adapter.Way is AddressWay.Unknown or AddressWay.Fixed ? AddressWay.Leased : adapter.Way,
            };

    private static AdapterRead Both(AdapterRead a, AdapterRead b) =>
        a with
        {
            Mac = a.Mac ?? b.Mac,
            Address = a.Address ?? b.Address,
            AddressAlone = a.AddressAlone ?? b.AddressAlone,
            Way = a.Way == AddressWay.Unknown ? b.Way : a.Way,
            Gateway = a.Gateway ?? b.Gateway,
            DnsServers = a.DnsServers.Count > 0 ? a.DnsServers : b.DnsServers,
            Server = a.Server ?? b.Server,
            Linked = a.Linked == Known.Unknown ? b.Linked : a.Linked,
            Inside = a.Inside || b.Inside,
            RateMbps = a.RateMbps ?? b.RateMbps,
        };
}
