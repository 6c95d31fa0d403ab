using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning.Moves;

/// <summary>Boxes that are put to use and send Wi-Fi.</summary>
internal static class PointMoves
{
    /// <summary>Every way to put a spare box to use in a place that lacks Wi-Fi, or beside it.</summary>
    public static IEnumerable<Design> Of(Evidence e, PlanTask task, IReadOnlyList<string?> places) =>
        from box in Supply.Kinds(Supply.Spare(e.Design, b => b.Profile.Radios.Count > 0))
        from place in places
        from made in Of(e, task, box, place)
        select made;

    /// <summary>Every way to put one box that is not in use to use in a place.</summary>
    public static IEnumerable<Design> Of(Evidence e, PlanTask task, Box box, string? place)
    {
        var (design, name) = (e.Design, task.Name);
        foreach (var supply in Supply.To(design, place, name).Where(s => s.Design.Mode(box.Id) is null))
        {
            Design?[] made =
            [
                Point(supply, box, place, name),
                ByHand(e, supply, box, place, name),
                Node(supply, box, place),
                task.Cascades ? Inner(e, supply, box, place, name) : null,
            ];
            foreach (var point in made.OfType<Design>())
            {
                yield return point;
            }
        }
        if (box.Profile.Modes.Contains(ModeKind.Repeater) && RadioJoin.Repeater(design, box, place, name) is { } repeater)
        {
            yield return repeater;
        }
        foreach (var pair in RadioJoin.Wds(e, box, place, name))
        {
            yield return pair;
        }
        foreach (var node in Satellites(design, box, place))
        {
            yield return node;
        }
    }

    /// <summary>The box in access-point mode; null where it has none.</summary>
    public static Design? Point(Supply supply, Box box, string? place, HomeName? name) =>
        box.Profile.Modes.Contains(ModeKind.AccessPoint) && Socket(box.Profile) is { } port
            ? supply
                .Into(new(box.Id, port), d => d.Do(new SetMode(box.Id, ModeKind.AccessPoint)).Do(new PlaceBox(box.Id, place)))
                .Name(box.Id, name)
                .Made
            : null;

    private static string? Socket(Profile profile) =>
        profile.Ports.FirstOrDefault(p => p.Role == (profile.WanPortJoins ? PortRole.Wan : PortRole.Lan))?.Id
        ?? (profile is { WanPortJoins: true, Ports: [var only, ..] } ? only.Id : null);

    /// <summary>The box as an access point (LAN to LAN, DHCP off); null where it is no router or no address is free.</summary>
    private static Design? ByHand(Evidence e, Supply supply, Box box, string? place, HomeName? name)
    {
        if (!box.Profile.Modes.Contains(ModeKind.Router) || box.Profile.Ports.FirstOrDefault(p => p.Role == PortRole.Lan) is not { } lan)
        {
            return null;
        }
        return Free(e, supply.Port.Owner) is { } free
            ? supply.Into(new(box.Id, lan.Id), d => ServingNone(d, box, place, free)).Name(box.Id, name).Made
            : null;
    }

    /// <summary>An address that is free in the network of a box; null where there is none.</summary>
    internal static InterfaceAddress? Free(Evidence e, string beside) =>
        e.Seen.Sheet.Segments.Where(s => s.Boxes.Contains(beside)).Select(s => e.Network.Segment(s.Id)).FirstOrDefault() is { } main
        && e.PlanOf(main) is var (plan, _)
        && plan.FirstFree() is { } free
            ? new(free, plan.Subnet.PrefixLength)
            : null;

    /// <summary>A router that hands out no addresses, with an address of its own in the network that it is to be part of.</summary>
    internal static Draft ServingNone(Draft draft, Box box, string? place, InterfaceAddress own) =>
        draft
            .Do(new SetMode(box.Id, ModeKind.Router))
            .Do(new PlaceBox(box.Id, place))
            .Do(new SwitchDhcpServer(box.Id, false))
            .Do(new SetLanAddress(box.Id, own));

    /// <summary>The box as a router behind the router, with a subnet that the home does not use; null where it is none.</summary>
    private static Design? Inner(Evidence e, Supply supply, Box box, string? place, HomeName? name) =>
        box.Profile.Modes.Contains(ModeKind.Router)
        && box.Profile.Ports.FirstOrDefault(p => p.Role == PortRole.Wan) is { } wan
        && e.UnusedSubnet() is { } unused
            ? supply
                .Into(new(box.Id, wan.Id), d =>
                    d.Do(new SetMode(box.Id, ModeKind.Router))
                        .Do(new PlaceBox(box.Id, place))
                        .Do(new SetLanAddress(box.Id, new InterfaceAddress(new(unused.Network.Bits + 1), unused.PrefixLength)))
                        .Do(new SwitchDhcpServer(box.Id, true))
                )
                .Name(box.Id, name)
                .Made
            : null;

    /// <summary>The box as a node of its kit by cable; null where it is none.</summary>
    private static Design? Node(Supply supply, Box box, string? place) =>
        box.Profile.Modes.Contains(ModeKind.Satellite)
        && JoinChoices.Of(supply.Design, box).MainNodes is [var main, ..]
        && Socket(box.Profile) is { } port
            ? supply
                .Into(new(box.Id, port), d => d.Do(new SetMode(box.Id, ModeKind.Satellite)).Do(new PlaceBox(box.Id, place)))
                .Set(box.Id, _ => new SatelliteMode(main, null))
                .Made
            : null;

    /// <summary>The box as a node of its kit by radio, beside each other node.</summary>
    private static IEnumerable<Design> Satellites(Design design, Box box, string? place) =>
        box.Profile.Modes.Contains(ModeKind.Satellite) && JoinChoices.Of(design, box) is { MainNodes: [var main, ..], KitNodes: var nodes }
            ? nodes
                .Select(by =>
                    new Draft(design)
                        .Do(new SetMode(box.Id, ModeKind.Satellite))
                        .Do(new PlaceBox(box.Id, place))
                        .Set(box.Id, _ => new SatelliteMode(main, by))
                        .Made
                )
                .OfType<Design>()
            : [];
}
