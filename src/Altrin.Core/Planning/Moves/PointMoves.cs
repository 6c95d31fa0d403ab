using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Findings;
using Altrin.Core.Procedures;
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
                ByHand(e, task, supply, box, place),
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
        foreach (var pair in RadioJoin.Wds(e, task, box, place))
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
    private static Design? ByHand(Evidence e, PlanTask task, Supply supply, Box box, string? place)
    {
        if (!box.Profile.Modes.Contains(ModeKind.Router) || box.Profile.Ports.FirstOrDefault(p => p.Role == PortRole.Lan) is not { } lan)
        {
            return null;
        }
        return Free(e, supply.Port.Owner) is { } free
            ? supply.Into(new(box.Id, lan.Id), d => ServingNone(d, task, box, place, free)).Name(box.Id, task.Name).Made
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
    internal static Draft ServingNone(Draft draft, PlanTask task, Box box, string? place, InterfaceAddress own) =>
        NoPorts(
            task,
            box.Id,
            draft
                .Do(new SetMode(box.Id, ModeKind.Router))
                .Do(new PlaceBox(box.Id, place))
                .Do(new SwitchDhcpServer(box.Id, false))
                .Do(new SetLanAddress(box.Id, own))
        );

    private static Draft NoPorts(PlanTask task, string box, Draft draft) =>
        task.Ways.Upnp == UpnpSchool.Off && draft.Design.Mode(box) is RouterMode { PortRequests: true }
            ? draft.Do(new SetPortRequests(box, false))
            : draft;

    /// <summary>The home where routers used as access points open no ports on request, by the way of working; null elsewhere.</summary>
    public static Design? NoPorts(PlanTask task, Evidence e)
    {
        var open = BoxRole.Of(e.Seen).Where(r => r.Kind is RoleKind.LanToLan or RoleKind.Wds).Select(r => r.Box).ToList();
        var made = open.Aggregate(new Draft(e.Design), (d, box) => NoPorts(task, box, d)).Made;
        return made == e.Design ? null : made;
    }

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
