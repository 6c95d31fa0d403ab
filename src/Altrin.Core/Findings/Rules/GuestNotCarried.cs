using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A guest name whose VLAN leads to no router's guests.</summary>
public static class GuestNotCarried
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "guest-not-carried",
            "guests not carried",
            "The guest name of an access point leaves with a VLAN tag that leads to no guest network.",
            "Every switch on the way must carry the tag, and the router must know it; a radio link carries none.",
            "IEEE 802.1Q; common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Design.SetUp.Boxes.Where(b => b.Mode is AccessPointMode { Guest.Vlan: not null })
            .OrderBy(b => b.Box, StringComparer.Ordinal)
            .Select(b => (b.Box, ((AccessPointMode)b.Mode).Guest!.Vlan!.Value))
            .Where(b => !Carried(e, b.Box, b.Value))
            .Select(b =>
                e.BreaksLike(
                    e.Finding(
                        Rule,
                        [b.Box],
                        $"The guest name of {e.Name(b.Box)} goes out with the VLAN tag {b.Value}, which leads to no router's guests",
                        "Guests join the Wi-Fi and get no address.",
                        [.. Know(e, b.Box, b.Value), .. Pass(e, b.Value)],
                        ["Follow the tag from the access point to the router: every managed switch on the way must list it on both ports."]
                    ),
                    e.Causes.Where(c => c.Subjects.Contains(Leads(e, b.Box, b.Value)?.Id))
                )
            );

    private static bool Carried(Evidence e, string box, int tag) => Leads(e, box, tag)?.Interfaces.Any(i => i.Side == Side.Guest) == true;

    private static Segment? Leads(Evidence e, string box, int tag) =>
        e.Network.Parts.TryGetValue(new(box, false, false, tag), out var segment) ? e.Network.Segment(segment) : null;

    /// <summary>The router that rules the access point's segment learns the tag.</summary>
    private static IEnumerable<Remedy> Know(Evidence e, string box, int tag)
    {
        if (
            e.SegmentOf(box, Side.Page) is { } segment
            && e.PlanOf(segment) is var (_, main)
            && e.Network.Router(main)?.Guest is { } guest
            && guest.Vlan != tag
        )
        {
            yield return Cures.Hopeful(
                $"Let {e.Name(main)} send its guests with the tag {tag}",
                new SetGuest(main, Partial<GuestNetwork>.With(g => g.Vlan, tag))
            );
        }
    }

    /// <summary>Managed switches pass the tag on at every port that has a cable to another box.</summary>
    private static IEnumerable<Remedy> Pass(Evidence e, int tag)
    {
        var changes = new List<Change>();
        foreach (
            var (box, mode) in e
                .Design.SetUp.Boxes.Where(b => b.Mode is SwitchMode { Vlans.Count: > 0 })
                .OrderBy(b => b.Box, StringComparer.Ordinal)
                .Select(b => (b.Box, (SwitchMode)b.Mode))
        )
        {
            var ports = e
                .Design.Box(box)!
                .Profile.Ports.Where(p =>
                    e.Design.CableAt(new(box, p.Id)) is { } cable && e.Design.Box(cable.OtherEnd(new(box, p.Id)).Owner) is not null
                )
                .Select(p => p.Id)
                .ToList();
            changes.AddRange(
                ports
                    .Select(p => mode.Vlans.FirstOrDefault(v => v.Port == p) ?? new(p, 1, []))
                    .Where(v => !v.Tagged.Contains(tag))
                    .Select(v => new SetPortVlans(box, v.Port, v.Untagged, [.. v.Tagged.Append(tag).Order()]))
            );
        }
        if (changes.Count > 0)
        {
            var switches = changes.SelectMany(c => c.Subjects()).Distinct().ToList();
            yield return Cures.Hopeful(
                $"Let {(switches.Count == 1 ? e.Name(switches[0]) : "the managed switches")} pass the tag {tag} on",
                changes
            );
        }
    }
}
