using Altrin.Core.Procedures;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>What a set-up takes to get there, counted: known before anything is proven.</summary>
/// <param name="DevicesTouched">Customer's devices that have to be touched.</param>
/// <param name="Minutes">The hands' work, in minutes.</param>
/// <param name="MinutesOffline">For how long the home is offline, estimated in minutes.</param>
/// <param name="CablesLaid">Cables that have to be laid from one place to another.</param>
/// <param name="CableMetres">Their length in metres, as far as it is known.</param>
/// <param name="BoxesInUse">Boxes in use.</param>
/// <param name="YearlyEnergy">What they draw in a year, in kilowatt-hours.</param>
/// <param name="BoxesTakenAway">Boxes in use today that are used no more.</param>
/// <param name="BoxesMoved">Boxes in use today that are carried to another place.</param>
/// <param name="BoxesToBuy">Boxes in use that have to be bought, injectors left out.</param>
/// <param name="InjectorsToBuy">Injectors in use that have to be bought.</param>
public sealed record PlanEffort(
    int DevicesTouched,
    double Minutes,
    double MinutesOffline,
    int CablesLaid,
    double CableMetres,
    int BoxesInUse,
    double YearlyEnergy,
    int BoxesTakenAway,
    int BoxesMoved,
    int BoxesToBuy,
    int InjectorsToBuy
)
{
    /// <summary>What a box draws of whose kind that was not noted, in watts (common practice).</summary>
    private const double UsualWatts = 6;

    private const double HoursAYear = 365.25 * 24;

    /// <summary>Nothing to do, with nothing in use.</summary>
    internal static PlanEffort None { get; } = new(0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0);

    /// <summary>From what was found to a set-up.</summary>
    /// <param name="found">What was found.</param>
    /// <param name="design">The home with the set-up.</param>
    /// <param name="ofBox">The work at one box.</param>
    internal static PlanEffort Between(Design found, Design design, Func<BoxSetting, WorkEstimate> ofBox)
    {
        var work = WorkEstimate.Between(found, design.SetUp, ofBox);
        var laid = WiresLaid.Of(found, design);
        var bought = design.SetUp.Boxes.Select(b => design.Box(b.Box)!).Where(b => b.ToBuy).Select(b => b.Profile.Kind).ToList();
        return new(
            work.Touched.Distinct(StringComparer.Ordinal).Count(),
            Math.Round(work.Work.Usual.TotalMinutes, 1),
            Math.Round(OfflineEstimate.Between(found, design).TotalMinutes, 1),
            laid.Count,
            Math.Round(laid.Sum(l => l ?? 0), 1),
            design.SetUp.Boxes.Count,
            Math.Round(design.SetUp.Boxes.Sum(b => design.Box(b.Box)!.Profile.Traits.Watts ?? UsualWatts) * HoursAYear / 1000),
            found.SetUp.Boxes.Count(b => design.Setting(b.Box) is null),
            design.SetUp.Boxes.Count(b => found.Setting(b.Box) is { } was && was.Place != b.Place),
            bought.Count(k => k != BoxKind.Injector),
            bought.Count(k => k == BoxKind.Injector)
        );
    }

    /// <summary>The sum of it, in points: no set-up with this effort has fewer.</summary>
    public double Points(PlanWeights weights) => Counts(weights).Sum(c => c.Count * c.Each);

    internal IEnumerable<Counted> Counts(PlanWeights w) =>
        [
            new(nameof(w.DeviceTouched), "Devices to touch", DevicesTouched, w.DeviceTouched),
            new(nameof(w.Minute), "Minutes of work", Minutes, w.Minute),
            new(nameof(w.MinuteOffline), "Minutes offline", MinutesOffline, w.MinuteOffline),
            new(nameof(w.CableLaid), "Cables to lay", CablesLaid, w.CableLaid),
            new(nameof(w.CableMetre), "Metres of cable", CableMetres, w.CableMetre),
            new(nameof(w.BoxInUse), "Boxes in use", BoxesInUse, w.BoxInUse),
            new(nameof(w.KilowattHour), "Kilowatt-hours a year", YearlyEnergy, w.KilowattHour),
            new(nameof(w.BoxTakenAway), "Boxes taken away", BoxesTakenAway, w.BoxTakenAway),
            new(nameof(w.BoxMoved), "Boxes carried elsewhere", BoxesMoved, w.BoxMoved),
            new(nameof(w.BoxToBuy), "Boxes to buy", BoxesToBuy, w.BoxToBuy),
            new(nameof(w.InjectorToBuy), "Injectors to buy", InjectorsToBuy, w.InjectorToBuy),
        ];
}
