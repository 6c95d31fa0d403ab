using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>A router that moved its own LAN, since its WAN side shares addresses with it.</summary>
/// <param name="Router">Which.</param>
/// <param name="From">What is set on its page.</param>
/// <param name="To">Where it went: an example, since only the box knows which subnet it takes.</param>
/// <param name="Outer">The subnet that it made way for.</param>
public sealed record Renumbered(string Router, InterfaceAddress From, InterfaceAddress To, Subnet Outer);

/// <summary>
/// What becomes of a design whose routers renumber themselves. They keep the length of their prefix and the last numbers of what
/// they hand out; forwards and DMZ hosts stay as typed (common practice).
/// </summary>
internal static class Renumbering
{
    private static readonly Subnet[] Blocks = [Subnet.Parse("192.168.0.0/16").Value, Subnet.Parse("10.0.0.0/8").Value];

    /// <summary>The outermost router of a network that renumbers itself now; null where none has to, or knows where to go.</summary>
    public static Renumbered? Next(Network network)
    {
        var due = network
            .Interfaces.Where(i =>
                i is { Side: Side.Wan, Linked: true } && network.Design.Box(i.Owner)!.Profile.Habits.OnOverlap == OverlapHabit.Renumbers
            )
            .Select(wan => (wan.Segment, Moves: Move(network, wan)))
            .Where(m => m.Moves is not null)
            .ToList();
        // What lies further in may fit again once the one before it has moved. In a ring of routers none is outermost.
        var inner = due.Select(m => network.Find(m.Moves!.Router, Side.Lan)!.Segment).ToHashSet(StringComparer.Ordinal);
        var outermost = due.Find(m => !inner.Contains(m.Segment)).Moves;
        return outermost ?? (due.Count > 0 ? due[0].Moves : null);
    }

    /// <summary>The design with a router where it went.</summary>
    public static Design Apply(Design design, Renumbered moved) =>
        design with
        {
            SetUp = design.SetUp with
            {
                Boxes = [.. design.SetUp.Boxes.Select(b => b.Box == moved.Router ? b with { Mode = Moved((RouterMode)b.Mode, moved) } : b)],
            },
        };

    private static RouterMode Moved(RouterMode router, Renumbered moved)
    {
        return router with
        {
            Lan = moved.To,
            Server = router.Server with
            {
                Pool = AddressRange.Between(Shift(router.Server.Pool.First), Shift(router.Server.Pool.Last)),
                Gateway = router.Server.Gateway is { } gateway ? Shift(gateway) : null,
                DnsServers = [.. router.Server.DnsServers.Select(Shift)],
                Reservations = [.. router.Server.Reservations.Select(r => r with { Address = Shift(r.Address) })],
            },
        };

        Ipv4Address Shift(Ipv4Address address) =>
            moved.From.Subnet.Contains(address)
                ? moved.To.Subnet.Network.Plus(moved.From.Subnet.Network.DistanceTo(address))!.Value
                : address;
    }

    private static Renumbered? Move(Network network, Interface wan)
    {
        var lan = network.Router(wan.Owner)!.Lan;
        if (Outer(network, wan).Where(lan.Subnet.Overlaps).Select(s => (Subnet?)s).FirstOrDefault() is not { } outer)
        {
            return null;
        }
        var taken = network
            .Interfaces.Select(i => i.Setting)
            .OfType<Fixed>()
            .Select(f => f.Address.Subnet)
            .Concat(Outer(network, wan))
            .ToList();
        return Blocks
            .Where(b => b.PrefixLength <= lan.PrefixLength)
            .SelectMany(b => b.Split(lan.PrefixLength))
            .Where(s => !taken.Any(s.Overlaps))
            .Select(s => new Renumbered(
                wan.Owner,
                lan,
                new(s.Network.Plus(lan.Subnet.Network.DistanceTo(lan.Address))!.Value, lan.PrefixLength),
                outer
            ))
            .FirstOrDefault();
    }

    /// <summary>What the WAN side of a router is in: as typed, or as the server there hands out.</summary>
    private static IEnumerable<Subnet> Outer(Network network, Interface wan) =>
        wan.Setting is Fixed typed
            ? [typed.Address.Subnet]
            : network.Segment(wan.Segment).Servers.Where(s => s.Owner != wan.Owner).Select(s => Subnet.Containing(s.Own, s.PrefixLength));
}
