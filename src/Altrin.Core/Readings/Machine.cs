using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Readings;

/// <summary>The adapter of a machine that counts, chosen among virtual and idle ones, with what stands about it in other places of the text.</summary>
/// <param name="Adapter">The adapter, with the gateway of its route and the name servers of the machine where it names none itself.</param>
/// <param name="Why">Why this one.</param>
/// <param name="Others">The names of the others.</param>
public sealed record Machine(AdapterRead Adapter, string Why, IReadOnlyList<string> Others)
{
    /// <summary>The adapter that counts; null where the text has none that could.</summary>
    public static Machine? Of(Reading reading)
    {
        var adapters = Joined(reading);
        var best = adapters.Where(a => a is { Address: not null, Inside: false } && a.Linked != Known.No)
            .OrderBy(a => a.Gateway is null).ThenBy(a => MetricOf(reading, a)).ThenBy(a => a.Way != AddressWay.Leased).ThenBy(a => a.Way == AddressWay.SelfAssigned).ThenBy(a => a.Linked != Known.Yes)
            .FirstOrDefault();
        if (best is null)
        {
            return null;
        }
        var others = adapters.Where(a => a.Name != best.Name).Select(a => a.Name).Where(n => n.Length > 0).Distinct().ToList();
        return new(
            best,
            best.Gateway is { } gateway ? $"It has the way out, over {gateway}."
                : adapters.Count(a => a is { Address: not null, Inside: false }) == 1 ? "It is the only one with an address that leads anywhere."
                : best.Way == AddressWay.Leased ? "It is the only one with a leased address." : "None has a way out; it is the first with an address.",
            others);
    }

    /// <summary>Adapters of one name as one, with routes and name servers.</summary>
    private static List<AdapterRead> Joined(Reading reading)
    {
        var joined = new List<AdapterRead>();
        var places = new Dictionary<string, int>(StringComparer.Ordinal);
        foreach (var read in reading.Adapters)
        {
            if (places.TryGetValue(read.Name, out var there) && read.Name.Length > 0)
            {
                joined[there] = Both(joined[there], read);
            }
            else
            {
                places[read.Name] = joined.Count;
                joined.Add(read);
            }
        }
        var ways = reading.Routes.Where(r => r is { IsDefault: true, Gateway: not null }).ToList();
        // Some tables name the adapter by its address, and stand alone: it is then all that is known of it.
        foreach (var way in ways.Where(w => Ipv4Address.Parse(w.Adapter).Ok && joined.TrueForAll(a => $"{a.Address?.Address}" != w.Adapter)).DistinctBy(w => w.Adapter).ToList())
        {
            var own = Ipv4Address.Parse(way.Adapter).Value;
            var wire = reading.Routes.FirstOrDefault(r => r.Gateway is null && r.Adapter == way.Adapter && r.Destination.PrefixLength is > 0 and < 32 && r.Destination.Contains(own));
            joined.Add(new(way.Line, way.Adapter) { Address = new(own, wire?.Destination.PrefixLength ?? 32), Linked = Known.Yes });
        }
        // A table of routes without any adapter still names it.
        foreach (var way in ways.Where(w => joined.Count == 0 && !Ipv4Address.Parse(w.Adapter).Ok))
        {
            joined.Add(new(way.Line, way.Adapter) { Linked = Known.Yes });
        }
        return
        [
            .. joined.Select(a =>
            {
                var way = ways.Where(w => w.Adapter == a.Name || w.Adapter == $"{a.Address?.Address}").OrderBy(w => w.Metric ?? 0).FirstOrDefault();
                var out1 = a.Gateway ?? way?.Gateway;
                return a with
                {
                    Gateway = out1,
                    // A route that came with a lease says that the address did too.
                    Way = way?.Leased == true && a.Way is AddressWay.Unknown or AddressWay.Fixed ? AddressWay.Leased : a.Way,
                    NameServers = a.NameServers.Count > 0 || out1 is null ? a.NameServers : reading.NameServers,
                };
            }),
        ];
    }

    private static AdapterRead Both(AdapterRead a, AdapterRead b) => a with
    {
        Hardware = a.Hardware ?? b.Hardware,
        Address = a.Address ?? b.Address,
        Way = a.Way == AddressWay.Unknown ? b.Way : a.Way,
        Gateway = a.Gateway ?? b.Gateway,
        NameServers = a.NameServers.Count > 0 ? a.NameServers : b.NameServers,
        Server = a.Server ?? b.Server,
        Linked = a.Linked == Known.Unknown ? b.Linked : a.Linked,
        Inside = a.Inside || b.Inside,
        RateMbps = a.RateMbps ?? b.RateMbps,
    };

    private static int MetricOf(Reading reading, AdapterRead adapter) =>
        reading.Routes.Where(r => r.IsDefault && (r.Adapter == adapter.Name || r.Adapter == $"{adapter.Address?.Address}")).Select(r => r.Metric ?? 0).DefaultIfEmpty(0).Min();
}
