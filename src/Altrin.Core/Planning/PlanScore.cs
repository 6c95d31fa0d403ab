using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Findings.Rules;
using Altrin.Core.Packets;
using Altrin.Core.Planning.Moves;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>What speaks against an option, counted.</summary>
/// <param name="Missed">Needs not met and devices without internet: 1 each, less where it is not known or left to luck.</param>
/// <param name="WillNotWork">Findings that mean that something will not work, and that follow from no other one.</param>
/// <param name="Concerns">Findings that are worth knowing, and that follow from no other one.</param>
/// <param name="Unpowered">Boxes that live on power from the cable and get too little: each is one of the concerns too.</param>
/// <param name="WeakPlaces">Places in which Wi-Fi is too weak for pages.</param>
/// <param name="PagesPlaces">Places in which it is good for pages and not for calls.</param>
/// <param name="Halvings">How often the service is halved on the way to the devices, all together.</param>
/// <param name="RadioHops">Radio links between boxes.</param>
/// <param name="WeakLinks">Those that are received below -70 dBm, which are not to be built on.</param>
/// <param name="FurtherNats">NATs on the way of the devices beyond the first, all together, and routers behind a router.</param>
/// <param name="ApartFromKit">Nodes of a kit that are used apart from it.</param>
/// <param name="Departures">Departures from the installer's way of working.</param>
/// <param name="ProviderAsked">Things that the provider has to say or do first.</param>
/// <param name="Effort">What it takes to get there.</param>
public sealed record PlanScore(
    double Missed,
    int WillNotWork,
    int Concerns,
    int Unpowered,
    int WeakPlaces,
    int PagesPlaces,
    double Halvings,
    int RadioHops,
    int WeakLinks,
    int FurtherNats,
    int ApartFromKit,
    int Departures,
    int ProviderAsked,
    PlanEffort Effort
)
{
    /// <summary>What counts as missed where it works by luck only: it may stop any day.</summary>
    private const double ByLuck = 0.9;

    /// <summary>What counts as missed where it is not known.</summary>
    private const double NotKnown = 0.5;

    /// <summary>The sum, in points: the fewer, the better.</summary>
    public double Points(PlanWeights weights) => Parts(weights).Sum();

    /// <summary>Whether another is in nothing better than this one, and in something worse.</summary>
    public bool Dominates(PlanScore other)
    {
        var pairs = Parts(PlanWeights.Usual).Zip(other.Parts(PlanWeights.Usual)).ToList();
        return pairs.TrueForAll(p => p.First <= p.Second) && pairs.Exists(p => p.First < p.Second);
    }

    /// <summary>Everything that is counted, in words.</summary>
    public IReadOnlyList<OptionCount> Told() => [.. Counts(PlanWeights.Usual).Select(c => new OptionCount(c.Says, c.Count))];

    /// <summary>In what it differs from another one, the dearest first.</summary>
    public IReadOnlyList<PriceItem> Price(PlanScore other, PlanWeights weights) =>
        [
            .. Counts(weights)
                .Zip(other.Counts(weights), (a, b) => new PriceItem(a.Says, Math.Round(a.Count - b.Count, 2), (a.Count - b.Count) * a.Each))
                .Where(p => p.More != 0)
                .OrderByDescending(p => p.Points),
        ];

    private IEnumerable<double> Parts(PlanWeights weights) => Counts(weights).Select(c => c.Count * c.Each);

    private IEnumerable<Counted> Counts(PlanWeights w) =>
        [
            new(nameof(w.Missed), "Needs not met, devices offline", Missed, w.Missed),
            new(nameof(w.WillNotWork), "Findings: will not work", WillNotWork, w.WillNotWork),
            new(nameof(w.Concern), "Findings: concerns", Concerns, w.Concern),
            new(nameof(w.Unpowered), "Boxes without power", Unpowered, w.Unpowered),
            new(nameof(w.WeakPlace), "Places with weak Wi-Fi", WeakPlaces, w.WeakPlace),
            new(nameof(w.PagesPlace), "Places good for pages only", PagesPlaces, w.PagesPlace),
            new(nameof(w.HalfRate), "Service halved for devices", Halvings, w.HalfRate),
            new(nameof(w.RadioHop), "Radio links between boxes", RadioHops, w.RadioHop),
            new(nameof(w.WeakLink), "Radio links below -70 dBm", WeakLinks, w.WeakLink),
            new(nameof(w.FurtherNat), "Further NATs", FurtherNats, w.FurtherNat),
            new(nameof(w.ApartFromKit), "Kit nodes apart from their kit", ApartFromKit, w.ApartFromKit),
            new(nameof(w.Departure), "Departures from your way", Departures, w.Departure),
            new(nameof(w.ProviderAsked), "To ask of the provider first", ProviderAsked, w.ProviderAsked),
            .. Effort.Counts(w),
        ];

    /// <summary>Everything that is counted, with what each of it weighs: one entry for each weight.</summary>
    internal static IReadOnlyList<Counted> Weighed(PlanWeights weights) => [.. None.Counts(weights)];

    private static PlanScore None { get; } = new(0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, PlanEffort.None);

    /// <summary>What speaks against a set-up of a home that was found otherwise.</summary>
    /// <param name="found">What was found.</param>
    /// <param name="proof">What is proven of the set-up.</param>
    /// <param name="effort">What it takes to get there.</param>
    /// <param name="departures">Departures from the installer's way of working.</param>
    /// <param name="asked">Things that the provider has to say or do first.</param>
    /// <param name="cascades">
    /// Routers behind a router, whether or not a device is behind them today; null where that is the way of working: no further NAT counts.
    /// </param>
    public static PlanScore Of(Design found, Proof proof, PlanEffort effort, int departures, int asked, int? cascades)
    {
        var (seen, design) = (proof.Observation, proof.Observation.Network.Design);
        var sheet = seen.Sheet;
        var open = proof.Findings.Where(f => f is { CausedBy.Count: 0, Accepted: null }).ToList();
        // What was found to be in use and is left out is without internet.
        var left = found.SetUp.Devices.Count(d => design.SetUp.Devices.All(o => o.Device != d.Device));
        var best = Places(design, seen.Rates).Select(p => p.Best).ToList();
        return new(
            sheet.Internet.Sum(i => Missing(i.Answer)) + sheet.Needs.Sum(n => Missing(n.Answer)) + left,
            open.Count(f => f.Severity == Severity.WillNotWork),
            open.Count(f => f.Severity == Severity.Concern),
            open.Count(f => f.Code == PowerShort.Rule.Code),
            best.Count(l => l is { Use: LevelUse.Weak }),
            best.Count(l => l is { Use: LevelUse.Web }),
            Math.Round(seen.Rates.ToInternet().Sum(r => Halved(design, r)), 2),
            design.SetUp.Boxes.Count(b => BoxRole.JoinsByRadio(b.Mode)),
            seen.Network.Links.Where(l => l.IsRadio)
                .DistinctBy(l => l.Id)
                .Count(l => seen.Rates.Link(l.Id)?.Level is { Dbm: < SignalLevel.LimitDbm }),
            cascades is { } routers ? sheet.Internet.Sum(i => Math.Max(0, i.NatBy.Count(n => n != PortRef.Street) - 1)) + routers : 0,
            design.SetUp.Boxes.Count(b => b.Mode is not SatelliteMode && JoinChoices.Of(design, design.Box(b.Box)!).MainNodes.Count > 0),
            departures,
            asked,
            effort
        );
    }

    private static double Missing(Answer answer) =>
        answer.Kind switch
        {
            AnswerKind.Yes => 0,
            AnswerKind.Luck => ByLuck,
            AnswerKind.Unknown => NotKnown,
            _ => 1,
        };

    /// <summary>What is heard best in each place where someone may want Wi-Fi; null where that is not known.</summary>
    internal static IReadOnlyList<(Place Place, SignalLevel? Best)> Places(Design design, PathRates rates) =>
        [
            .. design
                .Site.Places.Where(p => WantedPlaces.Has(design.Site, p))
                .Select(p => (p, rates.Serving.Select(a => rates.Signals.Of(a, p)).OfType<SignalLevel>().MaxBy(l => l.Dbm))),
        ];

    private static double Halved(Design design, RateFact rate) =>
        design.Site.Service.DownMbps is { } sold && rate.Down.Usual is { } down && down < sold ? Math.Log2(sold / Math.Max(down, 0.1)) : 0;
}
