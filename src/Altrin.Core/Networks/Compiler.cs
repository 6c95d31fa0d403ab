using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>Turns a design and a situation into the network that it makes.</summary>
public static class Compiler
{
    /// <summary>
    /// The simulated network. A design as the design file allows it always compiles: broken homes are judged, not refused.
    /// The result does not depend on the order of any list of the design.
    /// </summary>
    /// <param name="design">The design.</param>
    /// <param name="situation">What is powered and linked.</param>
    /// <param name="work">The work that it may take; null for as much as one proof may.</param>
    public static Network Compile(Design design, Situation situation, Work? work = null)
    {
        work ??= new(CancellationToken.None);
        var (becomes, moved) = (design, new List<Renumbered>());
        var network = Build(design, situation, work);
        // A router moves once: it then is in a subnet that no other box has.
        while (Renumbering.Next(network) is { } next && moved.TrueForAll(m => m.Router != next.Router))
        {
            moved.Add(next);
            becomes = Renumbering.Apply(becomes, next);
            network = Build(becomes, situation, work);
        }
        return moved.Count == 0 ? network : network.OfDesign(design, moved);
    }

    private static Network Build(Design design, Situation situation, Work work)
    {
        var links = LinkLayer.Of(design, situation, work);
        var modes = design.SetUp.Boxes.ToDictionary(b => b.Box, b => b.Mode, StringComparer.Ordinal);
        var settings = design.SetUp.Devices.ToDictionary(d => d.Device, StringComparer.Ordinal);
        var boxes = design.Site.Boxes.ToDictionary(b => b.Id, StringComparer.Ordinal);
        var devices = design.Site.Devices.ToDictionary(d => d.Id, StringComparer.Ordinal);
        var loops = links.Loops.ToLookup(l => l.In);
        var cables = links.Cables.ToLookup(c => c.End, c => c.Id);
        var segments = new List<Segment>();
        var segmentOf = new Dictionary<Group, string>();
        var radio = links
            .RadioLinks.Select(r => (r.Link, r.Frames, r.Rivals, Behind: links.Behind(r.Link)))
            .OrderBy(r => r.Link.Id, StringComparer.Ordinal)
            .ToList();
        var passing = design
            .SetUp.Boxes.Where(b => Passer.CableOf(design, b.Box) is not null)
            .Select(b => b.Box)
            .ToHashSet(StringComparer.Ordinal);
        foreach (var groups in links.Domains())
        {
            work.Check();
            var id = IdOf(groups, modes);
            var linked = groups.Length > 1;
            foreach (var group in groups)
            {
                segmentOf[group] = id;
            }
            var servers = groups.Select(ServerOf).OfType<ServerSeat>().ToList();
            var woken = servers.Count == 0 && linked ? groups.Select(Woken).OfType<ServerSeat>().ToList() : [];
            var interfaces = groups
                .SelectMany(g => InterfacesOf(g, id, linked))
                .Select(i =>
                    woken.Find(w => w.Owner == i.Owner) is { } awake && i.Setting is Automatic
                        ? i with
                        {
                            Setting = new Fixed(new(awake.Own, awake.PrefixLength), null, []),
                        }
                        : i
                )
                .Select(i =>
                    radio.Count == 0
                        ? i
                        : i with
                        {
                            Behind = string.Join(' ', radio.Where(r => r.Behind.Contains(Group.Of(i))).Select(r => r.Link.Id)),
                        }
                )
                .OrderBy(i => i.Owner, StringComparer.Ordinal)
                .ThenBy(i => i.Side)
                .ToList();
            segments.Add(
                new(
                    id,
                    [.. groups.Where(g => boxes.ContainsKey(g.Owner)).Select(g => g.Owner).Distinct()],
                    interfaces,
                    [.. servers, .. woken],
                    [.. groups.SelectMany(g => cables[g]).Order(StringComparer.Ordinal)],
                    [
                        .. groups
                            .SelectMany(g => loops[g])
                            .Select(l => l.Loop)
                            .OrderBy(l => string.Join(',', l.Cables), StringComparer.Ordinal),
                    ]
                )
            );
        }
        segments.Sort((a, b) => string.CompareOrdinal(a.Id, b.Id));
        return new(
            design,
            situation,
            segments,
            [.. segments.SelectMany(s => s.Interfaces).OrderBy(i => i.Owner, StringComparer.Ordinal).ThenBy(i => i.Side)],
            [.. links.Links.OrderBy(l => l.Id, StringComparer.Ordinal)],
            links.Refusals
        )
        {
            Work = work,
            RadioLinks =
            [
                .. radio.Select(r => new RadioLink(
                    r.Link.From.Owner,
                    r.Link.To.Owner,
                    r.Link.Id,
                    r.Frames,
                    segmentOf[r.Link.To],
                    r.Behind,
                    r.Rivals
                )),
            ],
            Parts = segmentOf,
            Unjoined = [.. links.Unjoined.OrderBy(u => u.Box, StringComparer.Ordinal)],
        };

        IEnumerable<Interface> InterfacesOf(Group group, string segment, bool linked)
        {
            if (group.Vlan != 0)
            {
                return [];
            }
            if (group.Owner == PortRef.Street)
            {
                return [new(group.Owner, Side.Provider, segment, linked, new Fixed(Provider.Own(design.Site.Service), null, []), null)];
            }
            if (group.Owner == Laptop.Id)
            {
                return
                [
                    new(group.Owner, Side.Laptop, segment, linked, situation.Laptop!.Address, null)
                    {
                        GuestOf = links.GuestOf(group.Owner),
                    },
                ];
            }
            if (settings.TryGetValue(group.Owner, out var device))
            {
                return
                [
                    new(group.Owner, Side.Device, segment, linked, AtLine(segment, group.Owner, device.Address), devices[group.Owner].Mac)
                    {
                        KeptOff = KeptOff(segment, group.Owner),
                        GuestOf = links.GuestOf(group.Owner),
                        ChecksLease = devices[group.Owner].ChecksLease,
                    },
                ];
            }
            var box = boxes[group.Owner];
            return (modes[group.Owner], group.Wan) switch
            {
                (RouterMode { Guest: { } guest }, _) when group.Guest =>
                [
                    new(box.Id, Side.Guest, segment, linked, new Fixed(guest.Lan, null, []), box.Mac),
                ],
                // A fixed public address that is passed on is with the box that got it.
                (RouterMode { Wan: Fixed }, true) when segment == PortRef.Street && passing.Contains(box.Id) =>
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

        LineFault? KeptOff(string segment, string owner) => segment == PortRef.Street ? Line.Keeps(design, owner) : null;

        // A box to which a gateway passes a fixed public address is handed it.
        HostAddress AtLine(string segment, string owner, HostAddress typed) =>
            typed is Automatic && segment == PortRef.Street && design.Site.Service is PublicFixed given && Passer.HandsTo(design, owner)
                ? new Fixed(given.Address, given.Gateway, given.DnsServers.Count > 0 ? given.DnsServers : [Provider.Names])
                : typed;

        ServerSeat? ServerOf(Group group) =>
            // A gateway that passes its address on goes out by the same one, and asks for no lease of its own.
            group.Owner == PortRef.Street
                ? Provider.Server(design.Site.Service) is { } line
                    ? line with
                    {
                        Leases = line.Leases + passing.Count,
                    }
                    : null
                : group.Guest && modes.GetValueOrDefault(group.Owner) is RouterMode { Guest: { } guest }
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
                        ChecksOffer = boxes[group.Owner].Profile.Habits.ChecksOffer,
                    }
                    : !group.Wan && modes.GetValueOrDefault(group.Owner) is RouterMode { Server.On: true } router
                        ? Seat(group.Owner, router.Lan, router.Server, boxes[group.Owner].Profile.Habits)
                        : null;

        // In access-point mode a box that serves when alone falls back to its factory address and pool (common practice).
        ServerSeat? Woken(Group group) =>
            group is { Wan: false, Vlan: 0 }
            && modes.GetValueOrDefault(group.Owner) is AccessPointMode
            && boxes[group.Owner]
                is { FactoryAddress: { } own, Profile: { Habits: { ServesWhenAlone: Known.Yes } habits, FactoryPool: { } pool } }
                ? new(group.Owner, pool, own.PrefixLength, own.Address, own.Address, [own.Address], [], null)
                {
                    ChecksOffer = habits.ChecksOffer,
                    Woke = true,
                }
                : null;
    }

    private static ServerSeat Seat(string owner, InterfaceAddress lan, DhcpServerSetting server, BoxHabits habits) =>
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

    /// <summary>
    /// Named after what stays when other things are plugged in: the street, else a router with its LAN side here,
    /// else another box, else a device.
    /// </summary>
    private static string IdOf(Group[] groups, Dictionary<string, BoxMode> modes)
    {
        var best = groups.MinBy(
            g => (Rank(g), g.Owner),
            Comparer<(int, string)>.Create(
                (a, b) => a.Item1 != b.Item1 ? a.Item1.CompareTo(b.Item1) : string.CompareOrdinal(a.Item2, b.Item2)
            )
        );
        return best.Guest ? GuestId.Of(best.Owner)
            : best.Wan ? $"{best.Owner}:wan"
            : best.Vlan != 0 ? VlanId.Of(best.Owner, best.Vlan)
            : best.Owner;

        int Rank(Group group) =>
            group.Owner == PortRef.Street ? 0
            : !modes.TryGetValue(group.Owner, out var mode) ? 3
            : group.Wan ? 4
            : mode is RouterMode ? 1
            : 2;
    }
}
