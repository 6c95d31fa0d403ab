using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// Corrects what is known of a building, what is not given stays; or notes one, where no id is given. The first one that is noted
/// stands beside the main house, which comes along with it.
/// </summary>
/// <param name="Building">Its id; empty for a new one, whose id is made of its name.</param>
/// <param name="Known">What is said of it; of a new one at least the name.</param>
public sealed record SetBuilding(string Building, Partial<Building> Known) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf) =>
        Given
            .Noted(Before(home), Building, IdIn(home), Known, b => b.Id, "building")
            .Then<HomeFile>(building =>
                Edit.Unless(
                    Given.WrongName(building.Name)
                        ?? (building.StoreyHeightMetres is < 1.5 or > 10 ? "A storey is 1.5 to 10 metres high." : null)
                        ?? Given.WrongId(home.Site, building.Id, [.. Before(home).Select(b => b.Id)], Site.MostBuildings, "buildings"),
                    home.With(home.Site with { Buildings = Given.With(Before(home), building, b => b.Id) })
                )
            );

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        Given.Describe(home.Site.Buildings.FirstOrDefault(b => b.Id == Building)?.Name, Known);

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        [
            .. Given.Touches(Setting.Building, Building, IdIn(home), Known.Given),
            .. home.Site.Buildings.Count == 0 ? Before(home).Select(b => new Touch(Setting.Building, b.Id)) : [],
        ];

    private static IReadOnlyList<Building> Before(HomeFile home) =>
        home.Site.Buildings.Count > 0
            ? home.Site.Buildings
            : [new(Slugs.Of("Main house", home.Site.Uses, "house"), "Main house") { SameSupply = Sites.Known.Yes }];

    private string IdIn(HomeFile home) =>
        Building.Length > 0 ? Building : Slugs.Of(Given.NameOf(Known), id => home.Site.Uses(id) || id == "main-house", "building");
}

/// <summary>Corrects what is known of a place, what is not given stays; or notes one, where no id is given.</summary>
/// <param name="Place">Its id; empty for a new one, whose id is made of its name.</param>
/// <param name="Known">What is said of it; of a new one at least the name.</param>
public sealed record SetPlace(string Place, Partial<Place> Known) : Correction
{
    /// <summary>The id of a new one; empty to have it made of its name.</summary>
    public string NewId { get; init; } = "";

    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf) =>
        Given
            .Noted(home.Site.Places, Place, IdIn(home), Known, p => p.Id, "place")
            .Then<HomeFile>(said =>
            {
                var place = said with { Name = said.Name.Trim() };
                // The main house is meant where none is named.
                place = home.Site.Buildings is [var main, ..] && place.Building == main.Id ? place with { Building = null } : place;
                return Edit.Unless(
                    Given.WrongName(place.Name)
                        ?? (
                            place.Floor is < Limits.LowestFloor or > Limits.HighestFloor
                                ? $"Floors are counted from {Limits.LowestFloor} to {Limits.HighestFloor}; the ground floor is 0."
                                : null
                        )
                        ?? WrongSize(place)
                        ?? (
                            Math.Abs(place.EastMetres ?? 0) > Limits.PlotMetres || Math.Abs(place.NorthMetres ?? 0) > Limits.PlotMetres
                                ? $"A place lies within {Limits.PlotMetres:#,0} metres of the corner of the plot."
                                : null
                        )
                        ?? (
                            place.Building is { } building && home.Site.Buildings.All(b => b.Id != building)
                                ? $"There is no building '{Ipv4Address.Shown(building)}'."
                                : null
                        )
                        ?? (place.Air is { } air ? Given.WrongAir(air) : null)
                        ?? Given.WrongId(home.Site, place.Id, [.. home.Site.Places.Select(p => p.Id)], Site.MostPlaces, "places"),
                    home.With(home.Site with { Places = Given.With(home.Site.Places, place, p => p.Id) })
                );
            });

    private static string? WrongSize(Place place) =>
        new[] { place.LengthMetres, place.WidthMetres }.Any(m => m is < Limits.ShortestPlaceMetres or > Limits.LongestPlaceMetres)
            ? string.Create(
                CultureInfo.InvariantCulture,
                $"A place is {Limits.ShortestPlaceMetres} to {Limits.LongestPlaceMetres} metres long and wide."
            )
            : null;

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => Given.Describe(home.Site.Place(Place)?.Name, Known);

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        Given.Touches(Setting.Place, Place, IdIn(home), Known.Given);

    private string IdIn(HomeFile home) =>
        Place.Length > 0 ? Place
        : NewId.Length > 0 ? NewId
        : Slugs.Of(Given.NameOf(Known), home.Site.Uses, "place");
}

/// <summary>Corrects what is known of a socket in the wall, what is not given stays; or notes one, where no id is given.</summary>
/// <param name="Socket">Its id; empty for a new one, whose id is made of its name.</param>
/// <param name="Known">What is said of it; of a new one at least the name and what it carries.</param>
public sealed record SetSocket(string Socket, Partial<Socket> Known) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf) =>
        Given
            .Noted(home.Site.Sockets, Socket, IdIn(home), Known, s => s.Id, "socket")
            .Then<HomeFile>(socket =>
                Edit.Unless(
                    Given.WrongName(socket.Name)
                        ?? Given.WrongPlace(home.Site, socket.Place)
                        ?? Given.WrongId(home.Site, socket.Id, [.. home.Site.Sockets.Select(s => s.Id)], Site.MostSockets, "sockets"),
                    home.With(home.Site with { Sockets = Given.With(home.Site.Sockets, socket, s => s.Id) })
                )
            );

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        $"Socket {Given.Describe(home.Site.Sockets.FirstOrDefault(s => s.Id == Socket)?.Name, Known)}";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        Given.Touches(Setting.Socket, Socket, IdIn(home), Known.Given);

    private string IdIn(HomeFile home) => Socket.Length > 0 ? Socket : Slugs.Of(Given.NameOf(Known), home.Site.Uses, "socket");
}

/// <summary>
/// Corrects what is known of a cable that is in the walls already, what is not given stays; or notes one, where no id is given.
/// </summary>
/// <param name="Run">Its id; empty for a new one, whose id is made of its sockets.</param>
/// <param name="Known">What is said of it; of a new one at least its sockets and what it is.</param>
public sealed record SetRun(string Run, Partial<CableRun> Known) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf) =>
        Given
            .Noted(home.Site.Runs, Run, IdIn(home), Known, r => r.Id, "cable in the walls")
            .Then<HomeFile>(run =>
                Edit.Unless(
                    new[] { run.A, run.B }
                        .Where(e => home.Site.Sockets.All(s => s.Id != e))
                        .Select(e => $"There is no socket '{Ipv4Address.Shown(e)}'.")
                        .FirstOrDefault()
                        ?? (run.A == run.B ? "A run has two ends; both were the same socket." : null)
                        ?? (
                            home.Site.Runs.Any(r => r.Id != run.Id && new[] { r.A, r.B }.Intersect([run.A, run.B]).Any())
                                ? "One of these sockets has a run already."
                                : null
                        )
                        ?? (run.Pairs is not (null or 2 or 4) ? "A run has 2 or 4 pairs connected." : null)
                        ?? CableFacts.WrongLength(run.LengthMetres)
                        ?? Given.WrongId(home.Site, run.Id, [.. home.Site.Runs.Select(r => r.Id)], Site.MostSockets, "runs"),
                    home.With(home.Site with { Runs = Given.With(home.Site.Runs, run, r => r.Id) })
                )
            );

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => "A cable in the walls is noted";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) => Given.Touches(Setting.Run, Run, IdIn(home), Known.Given);

    private string IdIn(HomeFile home) =>
        Run.Length > 0
            ? Run
            : Slugs.Of(
                Known.Alone((nameof(CableRun.Id), "")) is { Ok: true } run ? $"{run.Value.A} {run.Value.B}" : "",
                home.Site.Uses,
                "run"
            );
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

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) => Removal.Touches(home, Id);

    private SetUp LetGo(Design design, List<CableRun> runs)
    {
        var gone =
            design.Box(Id) is null && design.Device(Id) is null ? [] : Removal.Leaning(design.SetUp, Id).Append(Id).Distinct().ToList();
        var setUp = gone.Aggregate(design.SetUp, (at, id) => new PutAway(id).ApplyTo(design with { SetUp = at }).Value);
        return setUp with
        {
            Boxes = [.. setUp.Boxes.Select(b => b with { Place = b.Place == Id ? null : b.Place, Mode = Free(b.Mode) })],
            Devices = [.. setUp.Devices.Select(d => d.Wifi?.Box == Id ? d with { Wifi = null } : d)],
            Cables =
            [
                .. setUp.Cables.Select(c =>
                    c.Run is { } run && runs.All(r => r.Id != run) ? c with { Known = c.Known with { Run = null } } : c
                ),
            ],
        };
    }

    private BoxMode Free(BoxMode mode) =>
        mode switch
        {
            RouterMode router => router with { Uplink = router.Uplink?.Box == Id ? null : router.Uplink, Wifi = Untold(router.Wifi) },
            SatelliteMode satellite when satellite.By == Id => satellite with { By = null },
            _ => mode.WithRadios(Untold(mode.Radios)),
        };

    private IReadOnlyList<RadioSetting> Untold(IReadOnlyList<RadioSetting> radios) =>
        radios.Any(r => r.WdsPeers.Contains(Id))
            ? [.. radios.Select(r => r with { WdsPeers = [.. r.WdsPeers.Where(p => p != Id)] })]
            : radios;
}
