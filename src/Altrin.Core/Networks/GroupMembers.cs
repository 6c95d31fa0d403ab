using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>What each group brings into its segment: interfaces and DHCP servers.</summary>
internal sealed class GroupMembers(Design design, Situation situation, LinkLayer links)
{
    private readonly Dictionary<string, DeviceSetting> _settings = design.SetUp.Devices.ToDictionary(d => d.Device, StringComparer.Ordinal);
    private readonly HashSet<string> _passing = design
        .SetUp.Boxes.Where(b => Passer.CableOf(design, b.Box) is not null)
        .Select(b => b.Box)
        .ToHashSet(StringComparer.Ordinal);

    /// <summary>The interfaces of a group in its segment.</summary>
    public IEnumerable<Interface> InterfacesOf(Group group, string segment, bool linked)
    {
        if (group.Vlan != 0)
        {
            return [];
        }
        if (group.Owner == PortRef.Street)
        {
            return [new(group.Owner, Side.Provider, segment, linked, new Fixed(Provider.Own(design.Site.Service), null, []), null)];
        }
        if (Laptop.Is(group.Owner))
        {
            return
            [
                new(
                    group.Owner,
                    Side.Laptop,
                    segment,
                    linked,
                    situation.Laptop!.Adapters().First(a => a.Owner == group.Owner).Address,
                    null
                )
                {
                    GuestOf = links.GuestOf(group.Owner),
                },
            ];
        }
        if (_settings.TryGetValue(group.Owner, out var device))
        {
            var given = design.Device(group.Owner)!;
            return
            [
                new(group.Owner, Side.Device, segment, linked, AtLine(segment, group.Owner, device.Address), given.Mac)
                {
                    KeptOff = KeptOff(segment, group.Owner),
                    GuestOf = links.GuestOf(group.Owner),
                    ChecksLease = given.ChecksLease,
                },
            ];
        }
        var box = design.Box(group.Owner)!;
        return (design.Mode(group.Owner), group.Wan) switch
        {
            (RouterMode { Guest: { } guest }, _) when group.Guest =>
            [
                new(box.Id, Side.Guest, segment, linked, new Fixed(guest.Lan, null, []), box.Mac),
            ],
            // A fixed public address that is passed on is with the box that got it.
            (RouterMode { Wan: Fixed }, true) when segment == PortRef.Street && _passing.Contains(box.Id) =>
            [
                new(box.Id, Side.Wan, segment, false, new Automatic(), box.WanMac),
            ],
            (RouterMode router, true) =>
            [
                new(box.Id, Side.Wan, segment, linked, AtLine(segment, box.Id, router.Wan), router.Line.Mac ?? box.WanMac)
                {
                    KeptOff = KeptOff(segment, box.Id),
                    ChecksLease = box.Profile.Habits.ChecksLease,
                },
            ],
            (RouterMode router, false) => [new(box.Id, Side.Lan, segment, linked, new Fixed(router.Lan, null, []), box.Mac)],
            (AccessPointMode point, false) =>
            [
                new(box.Id, Side.Page, segment, linked, point.Page, box.Mac) { ChecksLease = box.Profile.Habits.ChecksLease },
            ],
            (RepeaterMode repeater, _) =>
            [
                new(box.Id, Side.Page, segment, linked, repeater.Page, box.Mac) { ChecksLease = box.Profile.Habits.ChecksLease },
            ],
            (WirelessBridgeMode bridge, _) =>
            [
                new(box.Id, Side.Page, segment, linked, bridge.Page, box.Mac) { ChecksLease = box.Profile.Habits.ChecksLease },
            ],
            (SwitchMode { Page: { } page }, _) =>
            [
                new(box.Id, Side.Page, segment, linked, page, box.Mac) { ChecksLease = box.Profile.Habits.ChecksLease },
            ],
            _ => [],
        };
    }

    private LineFault? KeptOff(string segment, string owner) => segment == PortRef.Street ? InternetLine.Keeps(design, owner) : null;

    // A box to which a gateway passes a fixed public address is handed it.
    private HostAddress AtLine(string segment, string owner, HostAddress typed) =>
        typed is Automatic && segment == PortRef.Street && design.Site.Service is PublicFixed given && Passer.HandsTo(design, owner)
            ? new Fixed(given.Address, given.Gateway, given.DnsServers.Count > 0 ? given.DnsServers : [Provider.Names])
            : typed;

    /// <summary>The DHCP server of a group; null where it has none, or none that is on.</summary>
    public SegmentServer? ServerOf(Group group) =>
        // A gateway that passes its address on goes out by the same one, and asks for no lease of its own.
        group.Owner == PortRef.Street
            ? Provider.Server(design.Site.Service) is { } line
                ? line with
                {
                    Leases = line.Leases + _passing.Count,
                }
                : null
            : group.Guest && design.Mode(group.Owner) is RouterMode { Guest: { } guest }
                ? new(
                    GuestId.Of(group.Owner),
                    guest.Pool,
                    guest.Lan.PrefixLength,
                    guest.Lan.Address,
                    guest.Lan.Address,
                    [guest.Lan.Address],
                    [],
                    null
                )
                {
                    ChecksOffer = design.Box(group.Owner)!.Profile.Habits.ChecksOffer,
                }
                : !group.Wan && design.Mode(group.Owner) is RouterMode { Server.On: true } router
                    ? Serving(group.Owner, router.Lan, router.Server, design.Box(group.Owner)!.Profile.Habits)
                    : null;

    /// <summary>
    /// The DHCP server that a box turns on when it finds no other; null where it does not. In access-point mode such a box falls back to
    /// its factory address and pool (common practice).
    /// </summary>
    public SegmentServer? Woken(Group group) =>
        group is { Wan: false, Vlan: 0 }
        && design.Mode(group.Owner) is AccessPointMode
        && design.Box(group.Owner)!
            is { FactoryAddress: { } own, Profile: { Habits: { ServesWhenAlone: Known.Yes } habits, FactoryPool: { } pool } }
            ? new(group.Owner, pool, own.PrefixLength, own.Address, own.Address, [own.Address], [], null)
            {
                ChecksOffer = habits.ChecksOffer,
                Woke = true,
            }
            : null;

    private static SegmentServer Serving(string owner, InterfaceAddress lan, DhcpServerSetting server, BoxHabits habits) =>
        new(
            owner,
            server.Pool,
            lan.PrefixLength,
            lan.Address,
            server.LeavesOutGateway ? null : server.Gateway ?? lan.Address,
            server.LeavesOutDns ? []
                : server.DnsServers is { Count: > 0 } given ? given
                : [lan.Address],
            server.Reservations,
            null
        )
        {
            LeaseMinutes = server.LeaseMinutes ?? DhcpServerSetting.UsualLeaseMinutes,
            Domain = server.Domain,
            ChecksOffer = habits.ChecksOffer,
        };
}
