using Altrin.Core.Procedures;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>What a set-up takes to get there, counted: known before anything is proven.</summary>
/// <param name="DevicesTouched">Customer's devices that have to be touched.</param>
/// <param name="Minutes">The hands' work, in minutes.</param>
/// <param name="CablesLaid">Cables that have to be laid from one place to another.</param>
/// <param name="CableMetres">Their length in metres, as far as it is known.</param>
/// <param name="BoxesInUse">Boxes in use.</param>
/// <param name="BoxesTakenAway">Boxes in use today that are used no more.</param>
/// <param name="BoxesMoved">Boxes in use today that are carried to another place.</param>
/// <param name="BoxesToBuy">Boxes in use that have to be bought, injectors left out.</param>
/// <param name="InjectorsToBuy">Injectors in use that have to be bought.</param>
public sealed record PlanEffort(
    int DevicesTouched,
    double Minutes,
    int CablesLaid,
    double CableMetres,
    int BoxesInUse,
    int BoxesTakenAway,
    int BoxesMoved,
    int BoxesToBuy,
    int InjectorsToBuy
)
{
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
            laid.Count,
            Math.Round(laid.Sum(l => l ?? 0), 1),
            design.SetUp.Boxes.Count,
            found.SetUp.Boxes.Count(b => design.Setting(b.Box) is null),
            design.SetUp.Boxes.Count(b => found.Setting(b.Box) is { } was && was.Place != b.Place),
            bought.Count(k => k != BoxKind.Injector),
            bought.Count(k => k == BoxKind.Injector)
        );
    }

    /// <summary>The sum of it, in points: no set-up with this effort has fewer.</summary>
    public double Points(PlanWeights weights) => Counts(weights).Sum(c => c.Count * c.Weight);

    internal IEnumerable<(string Says, double Count, double Weight)> Counts(PlanWeights w) =>
        [
            ("Devices to touch", DevicesTouched, w.DeviceTouched),
            ("Minutes of work", Minutes, w.Minute),
            ("Cables to lay", CablesLaid, w.CableLaid),
            ("Metres of cable", CableMetres, w.CableMetre),
            ("Boxes in use", BoxesInUse, w.BoxInUse),
            ("Boxes taken away", BoxesTakenAway, w.BoxTakenAway),
            ("Boxes carried elsewhere", BoxesMoved, w.BoxMoved),
            ("Boxes to buy", BoxesToBuy, w.BoxToBuy),
            ("Injectors to buy", InjectorsToBuy, w.InjectorToBuy),
        ];
}
