using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Packets;

/// <summary>What every packet meets: who sits where, what each box does by itself, which routers overlap.</summary>
internal sealed class World
{
    private readonly ILookup<string, Interface> _sides;
    private readonly Dictionary<string, BoxHabits> _habits;
    private readonly ILookup<string, (Interface At, IReadOnlyList<Interface> Others)> _across;
    private readonly Dictionary<string, OverlapFact> _overlaps;
    private readonly Dictionary<string, IReadOnlyList<(Subnet Narrow, Cause Why)>> _splits = new(StringComparer.Ordinal);

    public World(Network network, Leasing leasing, HostTable hosts)
    {
        (Network, Leasing, Hosts) = (network, leasing, hosts);
        _sides = network.Interfaces.ToLookup(i => i.Owner, StringComparer.Ordinal);
        _habits = network.Design.Site.Boxes.ToDictionary(b => b.Id, b => b.Profile.Habits, StringComparer.Ordinal);
        _across = network
            .Interfaces.Where(i => HasAddress(i) && HabitsOf(i.Owner).AnswersAcross != Known.No)
            .Select(i =>
                (At: i, Others: (IReadOnlyList<Interface>)[.. _sides[i.Owner].Where(o => o.Segment != i.Segment && HasAddress(o))])
            )
            .Where(a => a.Others.Count > 0)
            .ToLookup(a => a.At.Segment, StringComparer.Ordinal);
        _overlaps = network
            .Interfaces.Where(i => i.Side == Side.Wan)
            .Select(OverlapOf)
            .OfType<OverlapFact>()
            .ToDictionary(o => o.Router, StringComparer.Ordinal);
        var gone = network.Renumbered.Select(r => new OverlapFact(r.Router, r.Outer, r.From.Subnet, null, r.To.Subnet));
        Overlaps = [.. _overlaps.Values.Concat(gone).OrderBy(o => o.Router, StringComparer.Ordinal).ThenBy(o => o.MovedTo is null)];
        Radio = new(this);
        Street = network.Find(PortRef.Street, Side.Provider)!;
        Internet = new(Provider.Internet, Side.Provider, PortRef.Street, true, new Fixed(new(Provider.Host, 32), null, []), null);
    }

    public Network Network { get; }

    public Leasing Leasing { get; }

    public HostTable Hosts { get; }

    /// <summary>The provider's end of the line.</summary>
    public Interface Street { get; }

    /// <summary>Stands for every host on the internet.</summary>
    public Interface Internet { get; }

    /// <summary>What luck decides on the radio links.</summary>
    public RadioLuck Radio { get; }

    /// <summary>Routers with overlapping subnets on both sides, by router.</summary>
    public IReadOnlyList<OverlapFact> Overlaps { get; }

    public Service Service => Network.Design.Site.Service;

    /// <summary>The sides of a box, device or the street that can hold an address.</summary>
    public IEnumerable<Interface> Sides(string owner) => _sides[owner];

    public BoxHabits HabitsOf(string owner) => _habits.GetValueOrDefault(owner, BoxHabits.NotKnown);

    /// <summary>
    /// Sides in a segment of routers that answer there for the addresses of their other sides, or may; each with those other sides.
    /// </summary>
    public IEnumerable<(Interface At, IReadOnlyList<Interface> Others)> Across(string segment) => _across[segment];

    /// <summary>Whether a router's side may hold an address: its inner sides always do, its WAN side while it has a link.</summary>
    private static bool HasAddress(Interface side) => side.IsInner || side is { Side: Side.Wan, Linked: true };

    /// <summary>Ports that a box keeps for itself.</summary>
    public IReadOnlyList<int> KeptPorts(string box) => Network.Design.Box(box)?.Profile.KeptPorts ?? [];

    public OverlapFact? Overlap(string router) => _overlaps.GetValueOrDefault(router);

    /// <summary>
    /// Narrower subnets that a host in a segment, or a router between two overlapping ones, takes for its own, and why that matters.
    /// </summary>
    public IReadOnlyList<(Subnet Narrow, Cause Why)> Splits(string segment) =>
        _splits.TryGetValue(segment, out var known)
            ? known
            : _splits[segment] = [.. SplitsOf(Network.Segment(segment)).DistinctBy(s => s.Narrow)];

    private IEnumerable<(Subnet Narrow, Cause Why)> SplitsOf(Segment segment)
    {
        foreach (var overlap in Overlaps.Where(o => o.MovedTo is null && o.Inner.PrefixLength != o.Outer.PrefixLength))
        {
            yield return (overlap.Inner.PrefixLength > overlap.Outer.PrefixLength ? overlap.Inner : overlap.Outer, OverlapCause(overlap));
        }
        if (Hosts.MainRouters(segment) is not [{ Side: Side.Lan } main, ..])
        {
            yield break;
        }
        var servers = segment.Servers.Select(s => s.Owner).ToList();
        // Leases are of the subnet of the one that gives them, which need not be the one that leads on.
        var home = segment.Servers is [var only] ? Subnet.Containing(only.Own, only.PrefixLength) : Own(main).Subnet;
        foreach (
            var host in segment.Interfaces.Where(i =>
                i.Setting is Fixed && i.Side != Side.Guest && segment.Servers.Any(s => s.PrefixLength < Own(i).PrefixLength)
            )
        )
        {
            var own = Own(host).Subnet;
            if (servers.Count > 1)
            {
                yield return (own, FirstToAnswer(servers));
            }
            else if (home.Contains(own) && home != own)
            {
                yield return (
                    own,
                    Cause.Of(
                        CauseCodes.SubnetMaskWrong,
                        $"{Name(host.Owner)} is set to {own} in a network that is {home}: which leases it takes for neighbours is luck.",
                        host.Owner
                    )
                );
            }
        }
    }

    /// <summary>That an answer was left open, since the home is larger than what is worked out at once.</summary>
    public static Cause NotWorkedOut { get; } = Cause.Of(CauseCodes.NotWorkedOut, "The home is larger than what is worked out at once.");

    /// <summary>That a ring takes a segment down, or may.</summary>
    public static Cause Ring(Loop ring) =>
        Cause.Of(
            CauseCodes.Loop,
            $"A ring of {ring.Cables.Count} {(ring.Cables.Count == 1 ? "link" : "links")} {(ring.Perhaps ? "may take" : "takes")} the segment down.",
            ring.Cables
        );

    /// <summary>That a router overlaps, as a cause.</summary>
    public Cause OverlapCause(OverlapFact overlap) =>
        Cause.Of(
            CauseCodes.OverlappingSubnets,
            $"{Name(overlap.Router)} has {overlap.Inner} on its LAN side and {overlap.Outer} on its WAN side: what it does with that is luck.",
            overlap.Router
        );

    /// <summary>That a host takes the lease of whichever server answers first.</summary>
    public Cause FirstToAnswer(IReadOnlyList<string> servers) =>
        Cause.Of(
            CauseCodes.TwoDhcpServers,
            $"A device that asks for an address there takes the first answer: {string.Join(" or ", servers.Select(Name))}.",
            servers
        );

    /// <summary>Whose setting it is, in words: a host's own, or what a server hands out.</summary>
    public string Whose(Interface host, string blame) => blame == host.Owner ? $"of {Name(host.Owner)}" : $"that {Name(blame)} hands out";

    /// <summary>At the street the provider's word counts: leased where it leases, the given address where it gave one.</summary>
    public Cause? WrongAtStreet(Interface host) =>
        host.KeptOff is { } fault
            ? KeptOff(host, fault)
            : (Service, host.Setting) switch
            {
                (PublicFixed given, Fixed typed) when typed.Address == given.Address && typed.Gateway == given.Gateway => null,
                (PublicFixed given, _) => Cause.Of(
                    CauseCodes.WanNotSet,
                    $"The provider's fixed address {given.Address} with gateway {given.Gateway} is not set on {Name(host.Owner)}.",
                    host.Owner
                ),
                (_, Fixed) when host.Side is Side.Wan or Side.Device => Cause.Of(
                    CauseCodes.WanNotSet,
                    $"The provider leases the address, but {Name(host.Owner)} has one typed by hand.",
                    host.Owner
                ),
                _ => null,
            };

    private Cause KeptOff(Interface host, LineFault fault) =>
        Cause.Of(
            CauseCodes.LineNotMet,
            fault switch
            {
                LineFault.Login => $"The line asks for the provider's login, and {Name(host.Owner)} has none.",
                LineFault.Tag =>
                    $"The line asks for a VLAN tag{(Service.Line.Tag is { } tag ? $", {tag}" : "")}, and {Name(host.Owner)} does not send it.",
                _ => $"The line is locked to {Service.Line.LockedTo}, and {Name(host.Owner)} shows another MAC address.",
            },
            host.Owner
        );

    /// <summary>
    /// What becomes of the other ports of a gateway that passes its address on; null where they keep the internet, or where it passes on
    /// nothing.
    /// </summary>
    public (Cause Why, Known Keeps)? PassedOn(string gateway)
    {
        if (
            Network.Router(gateway) is not { Passing: { } passing }
            || Passer.CableOf(Network.Design, gateway) is null
            || passing.Kind == PassKind.Mapping
            || HabitsOf(gateway).KeepsOthers == Known.Yes
        )
        {
            return null;
        }
        var keeps = HabitsOf(gateway).KeepsOthers;
        return (
            Cause.Of(
                CauseCodes.PassThroughCutsOff,
                keeps == Known.No
                    ? $"{Name(gateway)} is in IP pass-through, and its other ports have no internet."
                    : $"Whether the other ports of {Name(gateway)} keep the internet in IP pass-through was not found out.",
                gateway
            ),
            keeps
        );
    }

    /// <summary>Why a host has no link.</summary>
    public Cause Unlinked(Interface host) =>
        TakenAway(host) is { } text ? UnlinkedBySetting(host) with { Text = text } : UnlinkedBySetting(host);

    /// <summary>What is off just now that would link a host; null where nothing is.</summary>
    private string? TakenAway(Interface host)
    {
        if (Network.Situation.Down().Count == 0)
        {
            return null;
        }
        var off = Network.Situation.Down().ToHashSet(StringComparer.Ordinal);
        var cables = Network
            .Design.SetUp.Cables.Where(c =>
                c.Ends(host.Owner)
                && (
                    host.Side != Side.Wan
                    || Network.Design.Box(host.Owner)?.Profile.Port((c.A.Owner == host.Owner ? c.A : c.B).Port)?.Role == PortRole.Wan
                )
            )
            .ToList();
        var beyond = Network.Design.SetUp.Devices.FirstOrDefault(d => d.Device == host.Owner)?.Wifi?.Box
            ?? Network.Design.Mode(host.Owner)?.Joins?.Box;
        return cables.Find(c => off.Contains(c.Id)) is not null ? $"The cable of {Name(host.Owner)} is unplugged."
            : cables
                .Select(c => c.A.Owner == host.Owner ? c.B.Owner : c.A.Owner)
                .Append(beyond)
                .FirstOrDefault(o => o is not null && off.Contains(o))
                is { } other
                ? $"{Name(other)}, which {Name(host.Owner)} is connected to, is {(Network.Situation.Off.Contains(other) ? "off" : "not ready yet")}."
            : null;
    }

    private Cause UnlinkedBySetting(Interface host) =>
        Network.Unjoined.FirstOrDefault(u => u.Box == host.Owner) is { } unjoined
            ? Cause.Of(CauseCodes.UplinkNotJoined, $"{Name(host.Owner)} does not join {Name(unjoined.To)} by radio.", host.Owner)
        : host.Side == Side.Wan
            ? Cause.Of(CauseCodes.WanPortEmpty, $"Nothing is plugged into the WAN port of {Name(host.Owner)}.", host.Owner)
        : Network.Refusals.Any(r => r.Device == host.Owner && r.Why == RefusalReason.BandMissing)
            ? Cause.Of(CauseCodes.BandMissing, $"{Name(host.Owner)} finds its Wi-Fi on no band that it knows.", host.Owner)
        : Network.Refusals.Any(r => r.Device == host.Owner)
            ? Cause.Of(CauseCodes.WifiNotJoined, $"{Name(host.Owner)} does not get into the Wi-Fi that it looks for.", host.Owner)
        : Cause.Of(CauseCodes.NotConnected, $"{Name(host.Owner)} is connected to nothing.", host.Owner);

    /// <summary>Why a linked host has no address.</summary>
    public Cause NoAddress(Interface host) =>
        host.Segment == PortRef.Street && WrongAtStreet(host) is { } wrong
            ? wrong
            : Cause.Of(CauseCodes.NoDhcpServer, $"No DHCP server answers {Name(host.Owner)}.", host.Segment);

    /// <summary>Who set what a host goes by: the server that leased it, else itself.</summary>
    public static string Blame(Interface host, Holding holding) =>
        holding.Server is { } server && server != PortRef.Street ? server : host.Owner;

    /// <summary>The address of a host; an example of its range where the server decides; null where it has none.</summary>
    public Ipv4Address? Address(Interface host) => Leasing.Holdings(host) is [var held, ..] ? held.Shown : null;

    public static InterfaceAddress Own(Interface fixedHost) => ((Fixed)fixedHost.Setting).Address;

    /// <summary>
    /// Whom a host's table names for an address although that is no longer so; null where it names none, or the right one.
    /// </summary>
    public TableEntry? Remembered(Interface host, Ipv4Address address) =>
        Network.Situation.Memory is { } memory
        && memory.Tables.FirstOrDefault(t =>
            t.Owner == host.Owner && t.Side == host.Side && t.Address == address && t.Until > memory.Second
        )
            is { } entry
        && !Stickiness.Stands(Network.Situation, Network, entry)
            ? entry
            : null;

    public string Name(string id) => Network.NameOf(id);

    private OverlapFact? OverlapOf(Interface wan)
    {
        var lan = Network.Find(wan.Owner, Side.Lan);
        if (lan is null || !wan.Linked)
        {
            return null;
        }
        var own = Own(lan);
        var outer = Leasing
            .Holdings(wan)
            .Select(h => h.Subnet)
            .OfType<Subnet>()
            .Where(s => s.Overlaps(own.Subnet))
            .Select(s => (Subnet?)s)
            .FirstOrDefault();
        // Its own address on its WAN side is an overlap too, whatever subnet it believes in there: it answers for it (measured).
        var twins = Hosts.Holders(wan.Segment, own.Address).Where(h => h.Owner != wan.Owner).ToList();
        outer ??= twins.SelectMany(Leasing.Holdings).Where(h => h.Exact == own.Address).Select(h => h.Subnet).FirstOrDefault();
        return outer is { } clash ? new(wan.Owner, clash, own.Subnet, twins.Count > 0 ? own.Address : null, null) : null;
    }
}
