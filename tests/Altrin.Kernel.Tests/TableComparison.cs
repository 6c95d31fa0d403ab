using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;

namespace Altrin.Kernel.Tests;

/// <summary>Compares the address tables of devices, and what the bridges have learned.</summary>
internal sealed class TableComparison(Built built, Observation seen, Tally tally)
{
    /// <summary>
    /// Everybody has spoken to everybody: what stands in their tables now, and which MAC addresses the bridges have learned.
    /// </summary>
    public void Compare()
    {
        foreach (var device in seen.Sheet.Overlaps.Count > 0 ? [] : seen.Network.Design.SetUp.Devices.Select(d => d.Device))
        {
            var view = Looking.From(seen, device)!;
            var shown = Namespaces
                .Run("ip", ["-n", built.Lab.Of(device), "-4", "neigh", "show"])
                .Output.Split('\n')
                .Select(l => l.Split(' '))
                .Where(l => l.Length > 4 && l[3] == "lladdr");
            foreach (var entry in shown)
            {
                var owner = built.Lab.Whose(MacAddress.Parse(entry[4]).Value)?.Owner;
                var address = Ipv4Address.Parse(entry[0]).Value;
                if (built.Alone.ContainsValue(address) && seen.Sheet.Leases.Any(l => l.Owner == owner && l.Offers.Count > 0))
                {
                    // It came too late for a pool that is too small: that is luck, and here it lost.
                    continue;
                }
                tally.Same(
                    $"table of {device}: {address} is {owner}",
                    view.Table.Any(n =>
                        n.Owner == owner && (n.Address is { } exact ? exact == address : n.From?.Contains(address) != false)
                    ),
                    true
                );
            }
        }
        var sightings = Looking.Sightings(seen.Network).ToLookup(s => s.Mac, s => s.Segment);
        foreach (var (seat, _) in built.Lab.Hosts().Where(h => h.Seat.Device is "lan" or "guest"))
        {
            var segment = seen
                .Network.Find(
                    seat.Owner,
                    seat.Device == "guest" ? Side.Guest
                        : built.Lab.Router(seat.Owner) is null ? Side.Page
                        : Side.Lan
                )!
                .Segment;
            foreach (
                var line in Namespaces
                    .In(built.Lab.Of(seat.Owner), "bridge", ["fdb", "show", "br", seat.Device])
                    .Output.Split('\n')
                    .Where(l => l.Length > 0 && !l.Contains("permanent", StringComparison.Ordinal))
            )
            {
                var mac = MacAddress.Parse(line.Split(' ')[0]).Value;
                // Of sides whose MAC address the design does not know nothing is said.
                if (sightings.Contains(mac))
                {
                    tally.Same($"{mac} of {built.Lab.Whose(mac)} is seen in {segment}", sightings[mac].Contains(segment), true);
                }
            }
        }
    }
}
