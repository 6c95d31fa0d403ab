using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Where a cable may be plugged in when something is noted for the first time.</summary>
internal static class FreePorts
{
    /// <summary>
    /// Whether two places are known to be in one building; a place that was not noted is in it where all noted places are.
    /// </summary>
    public static bool SameBuilding(Site site, string? a, string? b)
    {
        var main = site.Buildings.Count > 0 ? site.Buildings[0].Id : "";
        var all = site.Places.Select(p => p.Building ?? main).Distinct().ToList();
        return all.Count <= 1 || (BuildingOf(a) is { } one && one == BuildingOf(b));

        string? BuildingOf(string? place) => site.Place(place) is { } there ? there.Building ?? main : null;
    }

    /// <summary>
    /// Boxes in use in the building of a place: those in the same place first, switches before others, then the one at the line.
    /// </summary>
    public static IEnumerable<BoxSetting> Near(Design design, string? place, string butNot) =>
        design
            .SetUp.Boxes.Where(b => b.Box != butNot && SameBuilding(design.Site, b.Place, place))
            .OrderBy(b =>
                place is null || b.Place != place ? 2
                : design.Box(b.Box)!.Profile.Kind == BoxKind.Switch ? 0
                : 1
            )
            .ThenBy(b => b.Box != design.Site.Service.HandOff);

    /// <summary>
    /// The first free port for a cable near a place; null where none is free in the building. An injector's ports are taken only where
    /// they were named, since they lead to one access point.
    /// </summary>
    public static PortRef? NearTo(Design design, string? place, string butNot) =>
        Near(design, place, butNot)
            .Where(b => design.Box(b.Box)!.Profile.Kind != BoxKind.Injector)
            .SelectMany(b => Of(design, b.Box))
            .Select(p => (PortRef?)p)
            .FirstOrDefault();

    /// <summary>The port of a box that was named, or its first free one.</summary>
    public static Parsed<PortRef> At(Design design, string id, string? named)
    {
        if (design.Box(id) is not { } box)
        {
            return Parsed<PortRef>.Fail($"There is no box '{Ipv4Address.Shown(id)}'.");
        }
        if (design.Mode(id) is null)
        {
            return Parsed<PortRef>.Fail($"{box.Name} is not in use; 'in use' on its line says that it is.");
        }
        if (named is null)
        {
            return Of(design, id).Select(p => (PortRef?)p).FirstOrDefault() is { } free
                ? free
                : Parsed<PortRef>.Fail($"{box.Name} has no free port.");
        }
        var port = box.Profile.Ports.FirstOrDefault(p => Same(p.Label, named)) ?? box.Profile.Ports.FirstOrDefault(p => Same(p.Id, named));
        return port is not null
            ? new PortRef(id, port.Id)
            : Parsed<PortRef>.Fail(
                $"{box.Name} has no port '{Ipv4Address.Shown(named)}'; it has {string.Join(", ", box.Profile.Ports.Select(p => p.Label))}."
            );
    }

    /// <summary>The port by which a box is fed in its present mode; null where it has none.</summary>
    public static string? Entry(Design design, Box box)
    {
        var wan = box.Profile.Ports.FirstOrDefault(p => p.Role == PortRole.Wan)?.Id;
        var mode = design.Mode(box.Id);
        var entry = mode is RouterMode or BridgeMode || box.Profile.WanPortJoins ? wan : null;
        return entry
            ?? box.Profile.Ports.FirstOrDefault(p => p.Role == PortRole.Lan && p.Kind is not (PortKind.Mains or PortKind.Coax))?.Id;
    }

    /// <summary>
    /// The port by which powerline or coax units reach each other: one for the mains or television cable, else the last one (common
    /// practice).
    /// </summary>
    public static PortRef? Shared(Design design, Box box)
    {
        var kind = box.Profile.Kind == BoxKind.Coax ? PortKind.Coax : PortKind.Mains;
        return box
            .Profile.Ports.Where(p => p.Role == PortRole.Lan && design.CableAt(new(box.Id, p.Id)) is null)
            .OrderByDescending(p => p.Kind == kind)
            .ThenByDescending(p => p.Id, StringComparer.Ordinal)
            .Select(p => (PortRef?)new PortRef(box.Id, p.Id))
            .FirstOrDefault();
    }

    private static IEnumerable<PortRef> Of(Design design, string box) =>
        design
            .Box(box)!
            .Profile.Ports.Where(p => p.Role == PortRole.Lan && p.Kind is not (PortKind.Mains or PortKind.Coax))
            .Select(p => new PortRef(box, p.Id))
            .Where(p => design.CableAt(p) is null);

    private static bool Same(string a, string b) => string.Equals(a, b, StringComparison.OrdinalIgnoreCase);
}
