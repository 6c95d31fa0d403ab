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
        var members = new GroupMembers(design, situation, links);
        var loops = links.Loops.ToLookup(l => l.In);
        var cables = links.Cables.ToLookup(c => c.End, c => c.Id);
        var segments = new List<Segment>();
        var segmentOf = new Dictionary<Group, string>();
        var radio = links
            .RadioLinks.Select(r => (r.Link, r.Frames, r.Rivals, r.KeyOpen, Behind: links.Behind(r.Link)))
            .OrderBy(r => r.Link.Id, StringComparer.Ordinal)
            .ToList();
        foreach (var groups in links.Domains())
        {
            work.Check();
            var id = IdOf(design, groups);
            var linked = groups.Length > 1;
            foreach (var group in groups)
            {
                segmentOf[group] = id;
            }
            var servers = groups.Select(members.ServerOf).OfType<SegmentServer>().ToList();
            var woken = servers.Count == 0 && linked ? groups.Select(members.Woken).OfType<SegmentServer>().ToList() : [];
            var interfaces = groups
                .SelectMany(g => members.InterfacesOf(g, id, linked))
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
                    [.. groups.Where(g => design.Box(g.Owner) is not null).Select(g => g.Owner).Distinct()],
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
                )
                {
                    KeyOpen = r.KeyOpen,
                }),
            ],
            Parts = segmentOf,
            Unjoined = [.. links.Unjoined.OrderBy(u => u.Box, StringComparer.Ordinal)],
        };
    }

    /// <summary>
    /// Named after what stays when other things are plugged in: the street, else a router with its LAN side here,
    /// else another box, else a device.
    /// </summary>
    private static string IdOf(Design design, Group[] groups)
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
            : design.Mode(group.Owner) is not { } mode ? 3
            : group.Wan ? 4
            : mode is RouterMode ? 1
            : 2;
    }
}
