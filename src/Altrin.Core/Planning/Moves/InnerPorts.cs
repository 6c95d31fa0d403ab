using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning.Moves;

/// <summary>Ports of boxes in use into which something of the home can be plugged.</summary>
internal static class InnerPorts
{
    /// <summary>The ports of a box that lead into the home, as it is set.</summary>
    public static IEnumerable<PortRef> Of(Design design, string id)
    {
        var (box, mode) = (design.Box(id)!, design.Mode(id));
        var joined = mode?.Joins is not null;
        return box
            .Profile.Ports.Where(p => p.Kind is PortKind.Unknown or PortKind.Copper)
            .Where(p =>
                mode switch
                {
                    RouterMode router => p.Role == PortRole.Lan && router.Passing?.Port != p.Id,
                    null or BridgeMode => false,
                    SwitchMode => p.Id != Mains(box.Profile),
                    _ => p.Role == PortRole.Lan || joined,
                }
            )
            .Select(p => new PortRef(id, p.Id));
    }

    /// <summary>The port of a powerline or coax unit that leads to the other one: the one for it, else its last.</summary>
    public static string? Mains(Profile profile) =>
        profile.Kind is BoxKind.Powerline or BoxKind.Coax
            ? (profile.Ports.FirstOrDefault(p => p.Kind is PortKind.Mains or PortKind.Coax) ?? profile.Ports[^1]).Id
            : null;

    /// <summary>
    /// The home with a free port at a box: its own, or one of a spare switch that takes over one of its cables; null where there is none.
    /// </summary>
    public static (Design Design, PortRef Port)? Free(Design design, string box)
    {
        var ports = Of(design, box).ToList();
        if (ports.Where(p => design.CableAt(p) is null).Select(p => (PortRef?)p).FirstOrDefault() is { } free)
        {
            return (design, free);
        }
        var spare = design
            .Site.Boxes.Where(b => b.Profile.Kind == BoxKind.Switch && design.Mode(b.Id) is null && b.Profile.Ports.Count > 2)
            .OrderBy(b => b.ToBuy)
            .ThenBy(b => b.Profile.Ports.Count)
            .ThenBy(b => b.Id, StringComparer.Ordinal)
            .FirstOrDefault();
        var given = ports.Where(p => design.CableAt(p) is { } c && design.Device(c.OtherEnd(p).Owner) is not null).ToList();
        if (spare is null || given.Count == 0 || design.CableAt(given[^1]) is not { } cable)
        {
            return null;
        }
        var into = spare.Profile.Ports.Select(p => new PortRef(spare.Id, p.Id)).ToList();
        return
            new Draft(design)
                .Do(new SetMode(spare.Id, ModeKind.Switch))
                .Do(new PlaceBox(spare.Id, design.Setting(box)?.Place))
                .Do(new Unpatch(cable.Id))
                .Do(new Patch(given[^1], into[0], CableFacts.Lead))
                .Do(new Patch(cable.OtherEnd(given[^1]), into[1], cable.Known))
                .Made
                is { } made
            ? (made, into[2])
            : null;
    }
}
