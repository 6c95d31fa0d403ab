namespace Altrin.Core.Sites;

/// <summary>What is known of one cable from end to end, the run in the walls and the leads at its ends taken together.</summary>
/// <param name="Cable">Its id.</param>
/// <param name="Medium">What carries it, the weakest part of it.</param>
/// <param name="Pairs">How many pairs are connected all through; null where not looked at.</param>
/// <param name="LengthMetres">Its length in metres; null where neither measured nor to be estimated.</param>
/// <param name="Estimated">Whether that is an estimate from the sizes of rooms and storeys.</param>
/// <param name="LowerBound">Whether it is at least that long: the rooms are taken as neighbours, since their position was not
/// noted.</param>
/// <param name="From">The place of one end; null where not noted.</param>
/// <param name="To">The place of the other end; null where not noted.</param>
/// <param name="PortsMbps">What the slower of its two ports carries, in Mb/s; null where neither says.</param>
public sealed record CablingFact(
    string Cable,
    Medium Medium,
    int? Pairs,
    double? LengthMetres,
    bool Estimated,
    bool LowerBound,
    Place? From,
    Place? To,
    int? PortsMbps
)
{
    /// <summary>What it carries at most by its ports, medium and pairs, in Mb/s; null where none of them says anything.</summary>
    public int? AtMostMbps =>
        new[] { PortsMbps, MediumRates.AtMost(Medium, LengthMetres, PortsMbps), MediumRates.ByPairs(Medium, Pairs) }.Min();

    /// <summary>Whether it may be copper for data: it is, or what it is made of was not noted.</summary>
    public bool MayBeCopper => IsCopper || Medium == Medium.Unknown;

    /// <summary>Whether its ends are in different buildings.</summary>
    public bool BetweenBuildings => From is not null && To is not null && From.Building != To.Building;

    /// <summary>Whether it leaves the house, or runs where it rains.</summary>
    public bool Outdoors => BetweenBuildings || From?.Kind == PlaceKind.Outdoors || To?.Kind == PlaceKind.Outdoors;

    /// <summary>Whether it is copper for data.</summary>
    public bool IsCopper => Cabling.Copper(Medium);
}

/// <summary>Lengths and limits of cables.</summary>
public static class Cabling
{
    /// <summary>A copper channel is at most this long: 90 m fixed and 10 m of leads (ISO/IEC 11801, TIA-568; from memory).</summary>
    public const double LongestChannelMetres = 100;

    /// <summary>What is added to a straight way along the walls, for corners and the unforeseen (common practice).</summary>
    public const double Allowance = 0.10;

    /// <summary>The lead at each end, in metres (common practice).</summary>
    public const double LeadMetres = 2;

    /// <summary>Down from the ceiling to a socket at one end, as a share of the storey height (common practice).</summary>
    public const double DropShare = 0.9;

    /// <summary>What is known of a cable.</summary>
    public static CablingFact Of(Design design, Cable cable)
    {
        var run = RunOf(design, cable);
        var (from, to) = (PlaceOf(design, cable.A), PlaceOf(design, cable.B));
        var (medium, pairs) = Carrier(design, cable);
        var ports = new[] { cable.A, cable.B }.Min(e => design.Box(e.Owner)?.Profile.Port(e.Port)?.SpeedMbps);
        var measured = run is null ? cable.LengthMetres : run.LengthMetres + (cable.LengthMetres ?? 2 * LeadMetres);
        if (measured is not null || from is null || to is null)
        {
            return new(cable.Id, medium, pairs, measured, false, false, from, to, ports);
        }
        var (length, bound) = Estimate(design.Site, from, to);
        return new(cable.Id, medium, pairs, length, true, bound, from, to, ports);
    }

    /// <summary>Where an end is: the place of the box in this set-up, or of the device; null where not noted.</summary>
    public static Place? PlaceOf(Design design, PortRef end) =>
        design.Site.Places.Count == 0 ? null : design.Site.Place(design.Setting(end.Owner)?.Place ?? design.Device(end.Owner)?.Place);

    /// <summary>
    /// How long a cable from one place to another gets, in metres: along the walls from middle to middle, down to a socket at each end,
    /// a storey for each floor between, a tenth more, and a lead at each end (common practice). Where the positions were not
    /// noted, the rooms are taken as neighbours, so that it gets at least so long.
    /// </summary>
    /// <returns>The length, and whether it is a lower bound; no length where neither positions nor sizes are known.</returns>
    public static (double? Metres, bool LowerBound) Estimate(Site site, Place from, Place to)
    {
        var storey = Storey(site, from);
        var climb = Math.Abs(from.Floor - to.Floor) * storey;
        if (from.Id == to.Id)
        {
            return from is { LengthMetres: { } l, WidthMetres: { } w }
                ? (Round(((l + w) / 2 * (1 + Allowance)) + (2 * LeadMetres)), false)
                : (null, false);
        }
        var drops = 2 * DropShare * storey;
        if (Middle(from) is var (x1, y1) && Middle(to) is var (x2, y2))
        {
            return (Round(((Math.Abs(x1 - x2) + Math.Abs(y1 - y2) + climb + drops) * (1 + Allowance)) + (2 * LeadMetres)), false);
        }
        return Half(from) is { } a && Half(to) is { } b
            ? (Round(((a + b + climb + drops) * (1 + Allowance)) + (2 * LeadMetres)), true)
            : (null, false);
    }

    /// <summary>From one floor to the next in the building of a place, in metres.</summary>
    public static double Storey(Site site, Place place) =>
        (
            place.Building is not null ? site.Buildings.FirstOrDefault(b => b.Id == place.Building)
            : site.Buildings is [var main, ..] ? main
            : null
        )?.StoreyHeightMetres
        ?? Building.UsualStoreyMetres;

    private static CableRun? RunOf(Design design, Cable cable) =>
        cable.Run is null ? null : design.Site.Runs.FirstOrDefault(r => r.Id == cable.Run);

    private static (Medium Medium, int? Pairs) Carrier(Design design, Cable cable) =>
        RunOf(design, cable) is not { } run
            ? (cable.Medium, cable.Pairs)
            : (
                Weaker(run.Medium, cable.Medium),
                cable.Pairs == 2 || run.Pairs == 2 ? 2
                : cable.Pairs is null || run.Pairs is null ? null
                : 4
            );

    internal static (double X, double Y)? Middle(Place place) =>
        place is { EastMetres: { } x, NorthMetres: { } y }
            ? (x + ((place.LengthMetres ?? 0) / 2), y + ((place.WidthMetres ?? 0) / 2))
            : null;

    private static double? Half(Place place) => place is { LengthMetres: { } l, WidthMetres: { } w } ? (l + w) / 4 : null;

    private static double Round(double metres) => Math.Round(metres, 1, MidpointRounding.AwayFromZero);

    /// <summary>The medium that limits more; one that was not looked at says nothing.</summary>
    private static Medium Weaker(Medium a, Medium b) =>
        a == Medium.Unknown ? b
        : b == Medium.Unknown ? a
        : Copper(a) && Copper(b) ? (a < b ? a : b)
        : a;

    internal static bool Copper(Medium medium) => medium is Medium.Cat5 or Medium.Cat5e or Medium.Cat6 or Medium.Cat6a;
}
