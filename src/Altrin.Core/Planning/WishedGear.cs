using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>Gear that could be bought for a home, chosen from the shelf of the installer.</summary>
internal static class WishedGear
{
    /// <summary>The home without what is noted to be bought and is in no use: a search begins with what is there.</summary>
    /// <param name="found">The home.</param>
    /// <param name="asked">Boxes that are asked about, which stay.</param>
    public static Design Without(Design found, IEnumerable<string> asked) =>
        found with
        {
            Site = found.Site with
            {
                Boxes = [.. found.Site.Boxes.Where(b => !b.ToBuy || found.Setting(b.Id) is not null || asked.Contains(b.Id))],
            },
        };

    /// <summary>
    /// The home with gear that could be bought: two access points with their injectors, a powerline pair and a switch (common practice);
    /// two radios for outdoors too, where there is more than one building. What is noted to be bought already counts.
    /// </summary>
    /// <param name="found">The home.</param>
    /// <param name="shelf">Kinds of boxes that can be had.</param>
    public static Design Added(Design found, IReadOnlyList<Profile> shelf)
    {
        var site = found.Site;
        foreach (var (kind, count) in Chosen(site, shelf))
        {
            var there = site.Boxes.Count(b => b.ToBuy && found.Setting(b.Id) is null && b.Profile.ShelfId == kind.ShelfId);
            for (var made = there; made < count && site.Boxes.Count < Site.MostBoxes; made++)
            {
                var name = made == 0 ? kind.Name : $"{kind.Name} {made + 1}";
                site = site with
                {
                    Boxes = [.. site.Boxes, new(Slugs.Of(name, site.Uses, "box"), name, kind, null, null) { ToBuy = true }],
                };
            }
        }
        return found with { Site = site };
    }

    /// <summary>Whether a box has yet to be bought and is called as it would be here: no person noted it, or named it.</summary>
    public static bool IsNamedByKind(Box box) => box.ToBuy && box.Name.StartsWith(box.Profile.Name, StringComparison.Ordinal);

    private static IEnumerable<(Profile Kind, int Count)> Chosen(Site site, IReadOnlyList<Profile> shelf)
    {
        Profile?[] points = [Point(shelf, outdoors: false), Buildings(site) > 1 ? Point(shelf, outdoors: true) : null];
        foreach (var point in points.OfType<Profile>())
        {
            yield return (point, 2);
        }
        if (
            points.OfType<Profile>().Any(p => p.Traits.Power is { Takes: not null, OwnPlug: not Known.Yes })
            && Injector(shelf) is { } injector
        )
        {
            yield return (injector, 2);
        }
        if (Fastest(shelf, BoxKind.Powerline) is { } unit)
        {
            yield return (unit, 2);
        }
        if (Switch(shelf) is { } more)
        {
            yield return (more, 1);
        }
    }

    private static int Buildings(Site site) => site.Places.Select(p => p.Building).Distinct().Count();

    /// <summary>The newest access point of both bands that is no part of a kit and takes no power that could damage another box.</summary>
    private static Profile? Point(IReadOnlyList<Profile> shelf, bool outdoors) =>
        shelf
            .Where(p => p is { Kind: BoxKind.AccessPoint, Kit: null } && p.Modes.Contains(ModeKind.AccessPoint))
            .Where(p => p.Traits.Power is not { Takes: PowerKind.Passive } && p.Traits.Outdoors == Known.Yes == outdoors)
            .Where(p => new[] { RadioBand.Ghz2, RadioBand.Ghz5 }.All(b => p.Radios.Any(r => r.Band == b)))
            .Where(p => !outdoors || p.Modes.Contains(ModeKind.WirelessBridge))
            .MaxBy(p => p.Radios.Max(r => r.Generation));

    private static Profile? Injector(IReadOnlyList<Profile> shelf) =>
        shelf.FirstOrDefault(p => p is { Kind: BoxKind.Injector, Traits.Power: { Gives: not (null or PowerKind.Passive) } });

    private static Profile? Fastest(IReadOnlyList<Profile> shelf, BoxKind kind) =>
        shelf.Where(p => p.Kind == kind).MaxBy(p => p.Ports.Max(o => o.SpeedMbps ?? 0));

    /// <summary>The smallest switch of 1 Gb/s that needs no setting.</summary>
    private static Profile? Switch(IReadOnlyList<Profile> shelf) =>
        shelf
            .Where(p => p is { Kind: BoxKind.Switch, Traits: { Power: null, Pages.Count: 0 } })
            .Where(p => p.Ports.Count > 2 && p.Ports.All(o => o.SpeedMbps >= 1000))
            .MinBy(p => p.Ports.Count);
}
