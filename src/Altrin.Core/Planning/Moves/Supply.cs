using Altrin.Core.Changes;
using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning.Moves;

/// <summary>A port from which something in a place can be connected by cable.</summary>
/// <param name="Design">The home with whatever has to be set up for it.</param>
/// <param name="Port">The port.</param>
/// <param name="Known">The cable from there.</param>
internal sealed record Supply(Design Design, PortRef Port, CableFacts Known)
{
    /// <summary>How far apart two places of one building may be to lay a cable between, in metres: a channel less its cords.</summary>
    private const double FarthestMetres = 90;

    /// <summary>
    /// Plugs a port into it, once what it belongs to is put to use; by a spare injector where that lives on power from the cable and the
    /// port gives none.
    /// </summary>
    public Draft Into(PortRef port, Func<Draft, Draft>? first = null)
    {
        var draft = (first ?? (d => d))(new Draft(Design));
        return draft.Do(Injecting.Changes(draft.Design, Port, port, Known) ?? [new Patch(Port, port, Known)]);
    }

    /// <summary>Every port for something in a place: by cable, else by a powerline pair, and else by a radio link.</summary>
    /// <param name="design">The home.</param>
    /// <param name="place">Where; null where it is not noted.</param>
    /// <param name="name">What the home's Wi-Fi is called.</param>
    public static IEnumerable<Supply> To(Design design, string? place, HomeName? name)
    {
        var wired = ByCable(design, place).ToList();
        var there = wired.Exists(w => !IsLaid(w));
        return
        [
            .. wired,
            .. there ? [] : ByPair(design, place, BoxKind.Powerline, Medium.Powerline),
            .. there ? [] : ByPair(design, place, BoxKind.Coax, Medium.Coax),
            .. there ? [] : ByRadio(design, place, name),
        ];
    }

    /// <summary>Whether a cable has to be laid for it.</summary>
    private static bool IsLaid(Supply supply) => supply.Known.Run is null && supply.Known != CableFacts.Lead;

    /// <summary>By a lead, by a run in the walls, or by a cable that is laid.</summary>
    public static IEnumerable<Supply> ByCable(Design design, string? place)
    {
        foreach (var box in design.SetUp.Boxes.OrderBy(b => b.Box, StringComparer.Ordinal))
        {
            foreach (var known in Ways(design, box.Place, place))
            {
                if (InnerPorts.Free(design, box.Box) is { } free)
                {
                    yield return new(free.Design, free.Port, known);
                }
            }
        }
    }

    /// <summary>The cables that can lead from one place to another.</summary>
    public static IEnumerable<CableFacts> Ways(Design design, string? from, string? to)
    {
        var site = design.Site;
        if (site.Place(from) is not { } a || site.Place(to) is not { } b)
        {
            return [new(Medium.Cat6, null, 4, null)];
        }
        if (a.Id == b.Id)
        {
            return [CableFacts.Lead];
        }
        var used = design.SetUp.Cables.Select(c => c.Run).OfType<string>().ToHashSet(StringComparer.Ordinal);
        var runs = site
            .Runs.Where(r => !used.Contains(r.Id))
            .Where(r => (At(site, r.A), At(site, r.B)) is var (x, y) && ((x == a.Id && y == b.Id) || (x == b.Id && y == a.Id)))
            .Take(1)
            .Select(r => new CableFacts(r.Medium is Medium.Fibre ? Medium.Fibre : Medium.Cat6, 2 * Cabling.LeadMetres, 4, r.Id))
            .ToList();
        if (runs.Count > 0)
        {
            return runs;
        }
        var metres = Cabling.Estimate(site, a, b).Metres;
        return a.Building != b.Building || metres > FarthestMetres ? [] : [new(Medium.Cat6, metres, 4, null)];
    }

    private static string? At(Site site, string socket) => site.Sockets.FirstOrDefault(s => s.Id == socket)?.Place;

    /// <summary>By two units that lie about, one at a box in use and one in the place.</summary>
    private static IEnumerable<Supply> ByPair(Design design, string? place, BoxKind kind, Medium medium)
    {
        var spare = Spare(design, b => b.Profile.Kind == kind).Take(2).ToList();
        if (spare is not [var near, var far] || design.Site.Place(place) is not { } there)
        {
            yield break;
        }
        foreach (var box in design.SetUp.Boxes.Where(b => design.Box(b.Box)!.Profile.Kind != kind))
        {
            if (
                design.Site.Place(box.Place) is not { } here
                || here.Id == there.Id
                || here.Building != there.Building
                || (kind == BoxKind.Coax && !HasCoax(design.Site, here, there))
                || InnerPorts.Free(design, box.Box) is not { } free
                || near.Profile.Ports.Select(p => p.Id).FirstOrDefault(p => p != InnerPorts.Mains(near.Profile)) is not { } into
                || far.Profile.Ports.Select(p => p.Id).FirstOrDefault(p => p != InnerPorts.Mains(far.Profile)) is not { } from
            )
            {
                continue;
            }
            var made = new Draft(free.Design)
                .Do(new SetMode(near.Id, ModeKind.Switch))
                .Do(new SetMode(far.Id, ModeKind.Switch))
                .Do(new PlaceBox(near.Id, here.Id))
                .Do(new PlaceBox(far.Id, there.Id))
                .Do(new Patch(free.Port, new(near.Id, into), CableFacts.Lead))
                .Do(
                    new Patch(
                        new(near.Id, InnerPorts.Mains(near.Profile)!),
                        new(far.Id, InnerPorts.Mains(far.Profile)!),
                        new(medium, null, null, null)
                    )
                )
                .Made;
            if (made is not null)
            {
                yield return new(made, new(far.Id, from), CableFacts.Lead);
            }
        }
    }

    /// <summary>Whether television cable comes out in both places: a pair needs it between them.</summary>
    private static bool HasCoax(Site site, Place here, Place there) =>
        new[] { here, there }.All(p => site.Sockets.Any(s => s.Place == p.Id && s.Kind == SocketKind.Coax));

    /// <summary>By a wireless bridge that joins what is sent, or what a second one that is set up for it sends.</summary>
    private static IEnumerable<Supply> ByRadio(Design design, string? place, HomeName? name)
    {
        foreach (var bridge in Kinds(Spare(design, b => b.Profile.Modes.Contains(ModeKind.WirelessBridge))))
        {
            foreach (var (stands, lead) in Beside(design, place))
            {
                foreach (var sender in Senders(design, bridge, name).Append(design))
                {
                    if (RadioJoin.Bridge(sender, bridge, stands) is { } made && InnerPorts.Free(made, bridge.Id) is { } free)
                    {
                        yield return new(free.Design, free.Port, lead);
                    }
                }
            }
        }
    }

    /// <summary>The home with an access point more that a bridge can join, at each place to which a cable leads.</summary>
    private static IEnumerable<Design> Senders(Design design, Box bridge, HomeName? name)
    {
        var spare = Spare(design, b =>
            b.Id != bridge.Id && b.Profile.Modes.Contains(ModeKind.AccessPoint) && b.Profile.Modes.Contains(ModeKind.WirelessBridge)
        );
        return Kinds(spare)
            .SelectMany(point =>
                design
                    .Site.Places.SelectMany(p => ByCable(design, p.Id).Where(s => !IsLaid(s)).Select(s => (Place: p, Supply: s)))
                    .Select(p => PointMoves.Point(p.Supply, point, p.Place.Id, name))
            )
            .OfType<Design>();
    }

    /// <summary>Where a box can stand that serves a place: in it, or at the other end of a run to it, with the cable from there.</summary>
    private static IEnumerable<(string? Place, CableFacts Lead)> Beside(Design design, string? place) =>
        design.Site.Place(place) is not { } there
            ? [(place, CableFacts.Lead)]
            : design
                .Site.Places.Where(p => p.Building == there.Building)
                .SelectMany(p => Ways(design, p.Id, there.Id).Select(w => ((string?)p.Id, w)))
                .Where(w => w.w.Run is not null || w.w == CableFacts.Lead);

    /// <summary>Boxes that are not in use, what is there before what would have to be bought, by id.</summary>
    public static IEnumerable<Box> Spare(Design design, Func<Box, bool> like) =>
        design.Site.Boxes.Where(b => design.Mode(b.Id) is null && like(b)).OrderBy(b => b.ToBuy).ThenBy(b => b.Id, StringComparer.Ordinal);

    /// <summary>The first of each kind: which of several alike boxes is taken makes no difference.</summary>
    public static IEnumerable<Box> Kinds(IEnumerable<Box> boxes) =>
        boxes.DistinctBy(b => (b.Profile.ShelfId, b.Place, b.Profile.Edition, b.ToBuy));
}
