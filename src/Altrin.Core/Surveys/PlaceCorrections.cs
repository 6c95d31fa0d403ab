using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// Notes or corrects a building; an empty id is made of its name. The first one that is noted stands beside the main house, which
/// comes along with it.
/// </summary>
public sealed record SetBuilding(Building Building) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        var building = Building.Id.Length > 0 ? Building : Building with { Id = Slugs.Of(Building.Name, id => home.Site.Uses(id) || id == "main-house", "building") };
        IReadOnlyList<Building> before = home.Site.Buildings.Count > 0 ? home.Site.Buildings : [new(Slugs.Of("Main house", home.Site.Uses, "house"), "Main house") { SameSupply = Known.Yes }];
        return Edit.Unless(
            Given.WrongName(building.Name)
            ?? (building.StoreyHeightMetres is < 1.5 or > 10 ? "A storey is 1.5 to 10 metres high." : null)
            ?? Given.WrongId(home.Site, building.Id, [.. before.Select(b => b.Id)], Site.MostBuildings, "buildings"),
            home.With(home.Site with { Buildings = Given.With(before, building, b => b.Id) }));
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => $"{Building.Name} is noted";
}

/// <summary>Notes or corrects a place; an empty id is made of its name.</summary>
public sealed record SetPlace(Place Place) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        var place = (Place.Id.Length > 0 ? Place : Place with { Id = Slugs.Of(Place.Name, home.Site.Uses, "place") }) with { Name = Place.Name.Trim() };
        // The main house is meant where none is named.
        place = home.Site.Buildings is [var main, ..] && place.Building == main.Id ? place with { Building = null } : place;
        return Edit.Unless(
            Given.WrongName(place.Name)
            ?? (place.Floor is < -5 or > 50 ? "Floors are counted from -5 to 50; the ground floor is 0." : null)
            ?? (place.LengthMetres is < 0.3 or > 500 || place.WidthMetres is < 0.3 or > 500 ? "A place is 0.3 to 500 metres long and wide." : null)
            ?? (place.EastMetres is < -1000 or > 1000 || place.NorthMetres is < -1000 or > 1000 ? "A place lies within 1,000 metres of the corner of the plot." : null)
            ?? (place.Building is { } building && home.Site.Buildings.All(b => b.Id != building) ? $"There is no building '{Ipv4Address.Shown(building)}'." : null)
            ?? (place.Air is { } air ? Given.WrongAir(air) : null)
            ?? Given.WrongId(home.Site, place.Id, [.. home.Site.Places.Select(p => p.Id)], Site.MostPlaces, "places"),
            home.With(home.Site with { Places = Given.With(home.Site.Places, place, p => p.Id) }));
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => $"{Place.Name} is noted";
}

/// <summary>Notes or corrects a socket in the wall; an empty id is made of its name.</summary>
public sealed record SetSocket(Socket Socket) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        var socket = Socket.Id.Length > 0 ? Socket : Socket with { Id = Slugs.Of(Socket.Name, home.Site.Uses, "socket") };
        return Edit.Unless(Given.WrongName(socket.Name) ?? Given.WrongPlace(home.Site, socket.Place) ?? Given.WrongId(home.Site, socket.Id, [.. home.Site.Sockets.Select(s => s.Id)], Site.MostSockets, "sockets"), home.With(home.Site with { Sockets = Given.With(home.Site.Sockets, socket, s => s.Id) }));
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => $"Socket {Socket.Name} is noted";
}

/// <summary>Notes or corrects a cable that is in the walls already; an empty id is made of its sockets.</summary>
public sealed record SetRun(CableRun Run) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        var run = Run.Id.Length > 0 ? Run : Run with { Id = Slugs.Of($"{Run.A} {Run.B}", home.Site.Uses, "run") };
        return Edit.Unless(
            new[] { run.A, run.B }.Where(e => home.Site.Sockets.All(s => s.Id != e)).Select(e => $"There is no socket '{Ipv4Address.Shown(e)}'.").FirstOrDefault()
            ?? (run.A == run.B ? "A run has two ends; both were the same socket." : null)
            ?? (home.Site.Runs.Any(r => r.Id != run.Id && new[] { r.A, r.B }.Intersect([run.A, run.B]).Any()) ? "One of these sockets has a run already." : null)
            ?? (run.Pairs is not (null or 2 or 4) ? "A run has 2 or 4 pairs connected." : null)
            ?? (run.LengthMetres is { } length && !(length > 0 && length <= Patch.LongestMetres) ? $"A length is more than 0 and at most {Patch.LongestMetres:0} metres." : null)
            ?? Given.WrongId(home.Site, run.Id, [.. home.Site.Runs.Select(r => r.Id)], Site.MostSockets, "runs"),
            home.With(home.Site with { Runs = Given.With(home.Site.Runs, run, r => r.Id) }));
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => "A cable in the walls is noted";
}

/// <summary>
/// Takes something out of the survey, and out of every set-up. What leaned on it is let go: a box that joined it by radio goes on the
/// shelf, a device that was on its Wi-Fi forgets that, a need that was about it is gone.
/// </summary>
public sealed record Remove(string Id) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        if (!home.Site.Uses(Id))
        {
            return Parsed<HomeFile>.Fail($"There is nothing called '{Ipv4Address.Shown(Id)}'.");
        }
        if (home.Site.Buildings is [var main, _, ..] && main.Id == Id)
        {
            return Parsed<HomeFile>.Fail($"{main.Name} is the main house; it stays while another building is noted.");
        }
        var site = home.Site;
        var runs = site.Runs.Where(r => r.Id != Id && r.A != Id && r.B != Id).ToList();
        var left = site with
        {
            Service = site.Service.HandOff == Id ? site.Service with { HandOff = null } : site.Service,
            Boxes = [.. site.Boxes.Where(b => b.Id != Id).Select(b => b.Place == Id ? b with { Place = null } : b)],
            Devices = [.. site.Devices.Where(d => d.Id != Id).Select(d => d.Place == Id ? d with { Place = null } : d)],
            Needs = [.. site.Needs.Where(n => n.Id != Id && n.About != Id)],
            Buildings = [.. site.Buildings.Where(b => b.Id != Id)],
            Places = [.. site.Places.Where(p => p.Id != Id).Select(p => p.Building == Id ? p with { Building = null } : p)],
            Sockets = [.. site.Sockets.Where(s => s.Id != Id).Select(s => s.Place == Id ? s with { Place = null } : s)],
            Runs = runs,
        };
        return home.InEach(d => LetGo(d, runs)).With(left);
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => $"{new Design(home.Site, home.Foremost).NameOf(Id)} is taken out of the survey";

    private SetUp LetGo(Design design, List<CableRun> runs)
    {
        var orphans = design.SetUp.Boxes.Where(b => b.Mode is RepeaterMode { Link.Box: var a } && a == Id || b.Mode is WirelessBridgeMode { Link.Box: var w } && w == Id || b.Mode is SatelliteMode { Main: var m } && m == Id).Select(b => b.Box);
        var gone = design.Box(Id) is null && design.Device(Id) is null ? [] : orphans.Append(Id).Distinct().ToList();
        var setUp = gone.Aggregate(design.SetUp, (at, id) => new PutAway(id).ApplyTo(design with { SetUp = at }).Value);
        return setUp with
        {
            Boxes = [.. setUp.Boxes.Select(b => b with { Place = b.Place == Id ? null : b.Place, Mode = Free(b.Mode) })],
            Devices = [.. setUp.Devices.Select(d => d.Wifi?.Box == Id ? d with { Wifi = null } : d)],
            Cables = [.. setUp.Cables.Select(c => c.Run is { } run && runs.All(r => r.Id != run) ? c with { Run = null } : c)],
        };
    }

    private BoxMode Free(BoxMode mode) => mode switch
    {
        RouterMode router => router with { Uplink = router.Uplink?.Box == Id ? null : router.Uplink, Wifi = Untold(router.Wifi) },
        AccessPointMode point => point with { Wifi = Untold(point.Wifi) },
        RepeaterMode repeater => repeater with { Wifi = Untold(repeater.Wifi) },
        SatelliteMode satellite when satellite.By == Id => satellite with { By = null },
        _ => mode,
    };

    private IReadOnlyList<RadioSetting> Untold(IReadOnlyList<RadioSetting> radios) =>
        radios.Any(r => r.WdsPeers.Contains(Id)) ? [.. radios.Select(r => r with { WdsPeers = [.. r.WdsPeers.Where(p => p != Id)] })] : radios;
}
