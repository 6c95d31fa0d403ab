using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>What is seen from a seat: a device, a box, or the installer's laptop.</summary>
/// <param name="At">Where.</param>
/// <param name="Addresses">Its own addresses, gateway and DNS servers, side by side.</param>
/// <param name="Table">Its address table (ARP) after it has spoken to everybody that it can.</param>
public sealed record View(string At, IReadOnlyList<AddressFact> Addresses, IReadOnlyList<Neighbour> Table);

/// <summary>An entry of an address table.</summary>
/// <param name="Address">
/// The address, or on a simulated network with a memory the one that the server chose there; null where the server decides.
/// </param>
/// <param name="From">The range that it is one of; null where it is certain.</param>
/// <param name="Owner">Box or device, or "street".</param>
/// <param name="Mac">The MAC address beside it; null where not read.</param>
/// <param name="Certain">Whether no other host answers for the address: of two that do, the table shows the one that spoke last.</param>
public sealed record Neighbour(Ipv4Address? Address, AddressRange? From, string Owner, MacAddress? Mac, bool Certain);

/// <summary>A ping and a route to one address.</summary>
/// <param name="Target">Where to.</param>
/// <param name="Ping">Whether an answer comes back.</param>
/// <param name="Hops">Whom the packets pass on the way out, as far as they get; the target last where it answers.</param>
/// <param name="StoppedBy">Who stops them; null where they arrive and the answer does.</param>
public sealed record Trace(Ipv4Address Target, Answer Ping, IReadOnlyList<Passed> Hops, string? StoppedBy);

/// <summary>One hop of a route.</summary>
/// <param name="Owner">Which box, or who answers.</param>
/// <param name="Address">The address that it answers from; null where that is not certain.</param>
public sealed record Passed(string Owner, Ipv4Address? Address);

/// <summary>Where a MAC address is seen: in its own segment and nowhere else.</summary>
/// <param name="Mac">The MAC address.</param>
/// <param name="Owner">Whose.</param>
/// <param name="Side">Which side of it.</param>
/// <param name="Segment">Where it is seen.</param>
public sealed record Sighting(MacAddress Mac, string Owner, Side Side, string Segment);

/// <summary>Looks from any seat.</summary>
public static class Looking
{
    /// <summary>What is seen at a box, a device, or an adapter of the <see cref="Laptop"/>; null where it is not in use.</summary>
    public static View? From(Observation seen, string owner)
    {
        var owners = Laptop.Owners(owner);
        var sides = seen.Network.Interfaces.Where(i => owners.Contains(i.Owner)).ToList();
        return sides.Count == 0 ? null : new(owner, [.. seen.Sheet.Addresses.Where(a => owners.Contains(a.Owner))], [.. Tables()]);

        // Two adapters hear one host, and each other, where both are in one network.
        IEnumerable<Neighbour> Tables() =>
            owners.Count == 1
                ? sides.SelectMany(s => At(seen, s))
                : sides.SelectMany(s => At(seen, s)).Where(n => !owners.Contains(n.Owner)).Distinct();
    }

    /// <summary>A ping and a route from a seat; null where it is not in use.</summary>
    public static Trace? To(Observation seen, string owner, Ipv4Address target)
    {
        if (owner == Laptop.BothId)
        {
            return Ways(seen, seen.Network.Situation.Laptop!, target) switch
            {
                [var one] => To(seen, one.Owner, target),
                [] => To(seen, Laptop.CableId, target),
                _ => new(
                    target,
                    Answer.ByLuck(
                        Cause.Of(
                            CauseCodes.TwoWays,
                            $"The laptop has two ways to {target}, by cable and by Wi-Fi: which one it takes is luck.",
                            Laptop.CableId,
                            Laptop.WifiId
                        )
                    ),
                    [],
                    null
                ),
            };
        }
        var sides = seen.Network.Interfaces.Where(i => i.Owner == owner).ToList();
        if ((sides.Find(s => s.Linked) ?? sides.FirstOrDefault()) is not { } seat)
        {
            return null;
        }
        // An example address stands for the host that may have it: everything that is shown goes by the same examples.
        var meant = sides.Exists(s => seen.Hosts.Holders(s.Segment, target).Count > 0)
            ? null
            : seen
                .Network.Interfaces.Where(i => i.Linked && seen.Leasing.Holdings(i) is [{ Exact: null } held, ..] && held.Shown == target)
                .OrderBy(i => !sides.Exists(s => s.Segment == i.Segment))
                .FirstOrDefault();
        var route = meant is null ? seen.Tracer.Ping(seat, target) : seen.Tracer.Ping(seat, meant);
        // The first segment is the seat's own; from then on each is that of the side by which the next one was entered.
        var hops = route.Routers.Zip(route.Segments.Skip(1)).Select(h => Hop(h.First, h.Second)).ToList();
        if (route.ArrivedAt is { } at)
        {
            hops.AddRange(
                at == Provider.Internet
                    ? [new(PortRef.Street, Provider.Own(seen.Network.Design.Site.Service).Address), new(at, target)]
                    : [new Passed(at, target)]
            );
        }
        return new(target, route.Answer, hops, route.StoppedBy);

        Passed Hop(string router, string segment) =>
            new(
                router,
                seen.Network.Interfaces.FirstOrDefault(i => i.Owner == router && i.Segment == segment) is { } side
                && seen.Leasing.Holdings(side) is [{ Exact: { } exact }]
                    ? exact
                    : null
            );
    }

    /// <summary>
    /// The adapters by which the laptop sends to an address: those in its subnet, else the one with a default gateway, a cable before
    /// Wi-Fi (common practice).
    /// </summary>
    public static IReadOnlyList<Interface> Ways(Observation seen, Laptop laptop, Ipv4Address address)
    {
        var adapters = laptop
            .Adapters()
            .Select(a => seen.Network.Find(a.Owner, Side.Laptop))
            .OfType<Interface>()
            .Where(i => i.Linked)
            .Select(i => (Side: i, Held: seen.Leasing.Holdings(i)))
            .ToList();
        var near = adapters.Where(a => a.Held.Any(h => h.Subnet?.Contains(address) == true)).Select(a => a.Side).ToList();
        return near.Count > 0 ? near : [.. adapters.Where(a => a.Held.Any(h => h.Gateway is not null)).Select(a => a.Side).Take(1)];
    }

    /// <summary>The address table of one side once it has spoken to everybody; empty where it is connected to nothing.</summary>
    public static IReadOnlyList<Neighbour> At(Observation seen, Interface side) => side.Linked ? [.. Table(seen, side)] : [];

    /// <summary>Where each MAC address is seen, in its order.</summary>
    public static IReadOnlyList<Sighting> Sightings(Network network) =>
        [
            .. network
                .Interfaces.Where(i => i is { Mac: not null, Linked: true })
                .Select(i => new Sighting(i.Mac!.Value, i.Owner, i.Side, i.Segment))
                .OrderBy(s => s.Mac)
                .ThenBy(s => s.Owner, StringComparer.Ordinal)
                .ThenBy(s => s.Side),
        ];

    /// <summary>
    /// The MAC address that a seat sees of a host: beyond a radio link with three addresses, that of the box which joins by it.
    /// </summary>
    private static Addressing.MacAddress? Shown(Observation seen, Interface seat, Interface other) =>
        seen.Network.RadioLinks.FirstOrDefault(l =>
            l.Segment == seat.Segment && l.Frames == UplinkFrames.ThreeAddress && l.Between(seat, other) && l.Holds(other)
        )
            is { } link
            ? seen.Network.Design.Box(link.Box)!.Mac
            : other.Mac;

    private static IEnumerable<Neighbour> Table(Observation seen, Interface seat)
    {
        var mine = seen.Leasing.Holdings(seat).ToList();
        var own = mine.Select(h => h.Subnet).OfType<Subnet>().ToList();
        foreach (var other in seen.Network.Segment(seat.Segment).Interfaces.Where(i => i.Owner != seat.Owner && i.Linked))
        {
            if (Wire.Apart(seat, other) is { } point && seen.Network.Design.Box(point)?.Profile.Habits.GuestsApart == Known.Yes)
            {
                continue;
            }
            // A host that asks for an address, and the one that is asked, write the other down (RFC 826).
            foreach (
                var held in seen
                    .Leasing.Holdings(other)
                    .Where(h =>
                        own.Exists(s => Meets(s, h))
                        || (h.Subnet is { } theirs && mine.Exists(m => Meets(theirs, m)))
                        // Of two that the provider gives addresses which are not known, each takes the other for a neighbour.
                        || (h.Subnet is null && mine.Exists(m => m.Subnet is null))
                    )
                    .DistinctBy(h => (h.Exact, h.From))
            )
            {
                yield return new(
                    held.Exact,
                    held.Exact is null ? held.From : held.Pool,
                    other.Owner,
                    Shown(seen, seat, other),
                    held.Exact is not { } address || seen.Hosts.Holders(seat.Segment, address).Count < 2
                );
            }
        }

        foreach (var (at, others) in seen.Tracer.World.Across(seat.Segment).Where(r => r.At.Owner != seat.Owner && r.At.Linked))
        {
            foreach (
                var exact in others
                    .Select(o => seen.Leasing.Holdings(o) is [{ Exact: { } one }] ? one : (Ipv4Address?)null)
                    .OfType<Ipv4Address>()
                    .Where(a => own.Exists(s => s.Contains(a)))
            )
            {
                yield return new(
                    exact,
                    null,
                    at.Owner,
                    Shown(seen, seat, at),
                    seen.Network.Design.Box(at.Owner)!.Profile.Habits.AnswersAcross == Known.Yes
                        && seen.Hosts.Holders(seat.Segment, exact).Count == 0
                );
            }
        }

        static bool Meets(Subnet subnet, Holding held) =>
            held.Exact is { } exact
                ? subnet.Contains(exact)
                : held.From is not { } range || subnet.Contains(range.First) || subnet.Contains(range.Last);
    }
}
