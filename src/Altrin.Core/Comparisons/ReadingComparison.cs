using System.Text.Json.Serialization;
using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Core.Comparisons;

/// <summary>In which place of the home a reading was taken, and when.</summary>
/// <param name="Place">The id of the place; null where that was not said.</param>
/// <param name="At">When, as <see cref="AirScan.At"/> is written; null where not known.</param>
public sealed record Taken(string? Place, string? At);

/// <summary>A reading held against the set-up that it was taken in.</summary>
/// <param name="Seat">Where it was taken, in words; null where that was not said.</param>
/// <param name="Machine">The adapter that counts; null where the text has none.</param>
/// <param name="Statements">What the reading says of the home.</param>
/// <param name="Outside">What follows from the outside view; null where it has none.</param>
/// <param name="Baseline">Speed runs by place and medium.</param>
public sealed record ReadingComparison(
    string? Seat,
    Machine? Machine,
    IReadOnlyList<Statement> Statements,
    OutsideView? Outside,
    IReadOnlyList<BaselineGroup> Baseline
)
{
    /// <summary>Compares a reading with a home.</summary>
    /// <param name="home">The home.</param>
    /// <param name="design">The set-up that the reading was taken in.</param>
    /// <param name="seat">Where it was taken, by the id of a seat; null where that was not said.</param>
    /// <param name="reading">The reading.</param>
    /// <param name="taken">In which place, and when; null where neither was said.</param>
    /// <param name="work">The work that each look at the network may take; null for as much as one proof may.</param>
    public static ReadingComparison Of(HomeFile home, Design design, string? seat, Reading reading, Taken? taken = null, Work? work = null)
    {
        var at = SeatView.At(design, seat, work ?? new(CancellationToken.None));
        var known = at is null ? null : seat;
        var name = at is null ? null : Facts.Seats.Of(design).FirstOrDefault(s => s.Id == seat)?.Name ?? at.NameOf(at.Owner);
        return Of(home, design, at, (known, known, name), reading, taken);
    }

    /// <summary>
    /// Compares what the laptop printed with a moment of the work, its leases and tables, and whatever is off or busy then included. What
    /// may have gone wrong is not tried: slips are those of a home at rest.
    /// </summary>
    /// <param name="home">The home.</param>
    /// <param name="moment">The moment, with the laptop where it was.</param>
    /// <param name="reading">The reading.</param>
    /// <param name="taken">In which place, and when; null where neither was said.</param>
    /// <param name="work">The work that the look at the network may take; null for as much as one proof may.</param>
    public static ReadingComparison Of(HomeFile home, Moment moment, Reading reading, Taken? taken = null, Work? work = null)
    {
        var at = SeatView.At(moment, work ?? new(CancellationToken.None));
        return Of(home, moment.Design, at, (null, moment.Situation.Laptop?.Cable?.Port.ToString(), at?.NameOf(at.Owner)), reading, taken);
    }

    private static ReadingComparison Of(
        HomeFile home,
        Design design,
        SeatView? at,
        (string? Known, string? Linked, string? Name) seat,
        Reading reading,
        Taken? taken
    )
    {
        var known = seat.Known;
        var runs = Ended(design, reading.Runs);
        var machine = Comparisons.Machine.Of(reading);
        var outside =
            reading.Outside.Count > 0 ? OutsideView.Of(design, at, reading.Outside[^1]) : ((OutsideView View, Statement Statement)?)null;
        return new(
            seat.Name,
            machine,
            [
                .. Suggesting([
                    .. machine is null ? [] : AdapterStatements.Of(home, design, known, at, machine),
                    .. OfferStatements.Of(home, design, known, at, reading),
                    .. RouteStatements.Of(home, design, known, at, reading),
                    .. LinkStatements.Of(design, seat.Linked, at, reading),
                    .. AirStatements.Of(design, taken, reading),
                    .. SpeedStatements.Of(design, at, taken, runs),
                    .. NeighbourStatements.Of(home, at, reading),
                    .. outside is null ? [] : new[] { outside.Value.Statement },
                ]),
            ],
            outside?.View,
            Comparisons.Baseline.Of(
                runs,
                design.Site.Service,
                run => SpeedPath.Of(at, run),
                id => id.Length == 0 ? "no place noted" : design.NameOf(id)
            )
        );
    }

    /// <summary>
    /// Runs with the id of the place that each names, and of the device or box that it names as its other end; what is neither stays as
    /// it is.
    /// </summary>
    private static IReadOnlyList<SpeedRun> Ended(Design design, IReadOnlyList<SpeedRun> runs)
    {
        var site = design.Site;
        var ends = Ids([.. site.Boxes.Select(b => (b.Id, b.Name)), .. site.Devices.Select(d => (d.Id, d.Name))]);
        var places = Ids([.. site.Places.Select(p => (p.Id, p.Name))]);
        return [.. runs.Select(r => r with { To = ends(r.To), Place = places(r.Place) })];
    }

    /// <summary>Gives the id of what is called so, an id before a name; what nothing is called stays as it is.</summary>
    private static Func<string, string> Ids(IReadOnlyList<(string Id, string Name)> known)
    {
        var ids = known.Select(k => k.Id).ToHashSet(StringComparer.Ordinal);
        var names = known.ToLookup(k => k.Name, k => k.Id, StringComparer.OrdinalIgnoreCase);
        return said => ids.Contains(said) ? said : names[said].FirstOrDefault() ?? said;
    }

    /// <summary>Either side of a disagreement may be wrong, and a made-up MAC address changes: these are left to the reader.</summary>
    private static IEnumerable<Statement> Suggesting(IEnumerable<Statement> statements) =>
        Numbered(statements)
            .Select(s =>
                s with
                {
                    Suggested =
                        s is { Offer: not null, Agreement: not Agreement.Disagrees }
                        && !s.Corrections.Any(c => c is AddDevice { Device.Mac.IsLocallyAdministered: true }),
                }
            );

    /// <summary>Ids that are given once: a text may say one thing several times.</summary>
    private static IEnumerable<Statement> Numbered(IEnumerable<Statement> statements) =>
        statements
            .GroupBy(s => s.Id, StringComparer.Ordinal)
            .SelectMany(g => g.Select((s, i) => i == 0 ? s : s with { Id = $"{s.Id}#{i + 1}" }));

    /// <summary>Writes what was accepted into the home: corrections of what is given first, then changes of the set-up.</summary>
    /// <param name="home">The home.</param>
    /// <param name="shelf">The shelf.</param>
    /// <param name="setUp">The set-up that the reading was taken in.</param>
    /// <param name="accepted">Ids of statements; each must have something to offer.</param>
    public Parsed<HomeFile> Accept(HomeFile home, Shelf shelf, string setUp, IReadOnlyCollection<string> accepted)
    {
        var wrong = accepted.FirstOrDefault(id => Statements.All(s => s.Id != id || s.Offer is null));
        if (wrong is not null)
        {
            return Parsed<HomeFile>.Fail($"'{Ipv4Address.Shown(wrong)}' is nothing that this reading offers now; read it again.");
        }
        if (accepted.Count == 0)
        {
            return home;
        }
        var taken = Statements.Where(s => accepted.Contains(s.Id)).ToList();
        // Two statements may offer one and the same.
        var corrected = CorrectionList.Apply(home, shelf, [.. taken.SelectMany(s => s.Corrections).Distinct()]);
        return corrected.Then(h =>
            h.Design(setUp) is not { } design
                ? Parsed<HomeFile>.Fail($"There is no set-up '{Ipv4Address.Shown(setUp)}'.")
                : ChangeList.Apply(design, [.. taken.SelectMany(s => s.Changes).Distinct()]).Then<HomeFile>(d => h.With(d.SetUp))
        );
    }

    /// <summary>Everything that can be accepted.</summary>
    [JsonIgnore]
    public IEnumerable<Statement> Offered => Statements.Where(s => s.Offer is not null);
}
