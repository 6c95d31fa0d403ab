using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>How fast the ways of a home are, part by part.</summary>
public sealed class PathRates
{
    /// <summary>The id that stands for how a laptop is joined that no network holds.</summary>
    private const string LaptopLink = "laptop";

    private readonly Observation _seen;
    private readonly Signals _signals;
    private readonly IReadOnlyList<Air> _airs;
    private readonly RateParts _parts;
    private readonly Dictionary<string, Link> _links;
    private readonly Lazy<IReadOnlyList<HeldSpeed>> _held;
    private readonly Lazy<IReadOnlyList<Air>> _serving;

    /// <summary>Those of a home that is looked at.</summary>
    public PathRates(Observation seen)
    {
        var network = seen.Network;
        var silent = network.Situation.Silent();
        (_seen, _signals) = (seen, new(network.Design));
        _airs = [.. Air.Of(network.Design).Where(a => !silent.Contains(a.Box))];
        Use = AirUse.Of(network.Design, _signals, _airs);
        _parts = new(network, _signals, _airs, Use) { OverMains = OverMains };
        _held = new(() => HeldSpeeds.Of(network, this, network.Design.Site.Speeds));
        _serving = new(() => Led(network, _airs));
        _links = network.Links.DistinctBy(l => l.Id).ToDictionary(l => l.Id, StringComparer.Ordinal);
    }

    /// <summary>How the air is used around each radio.</summary>
    public IReadOnlyList<AirUse> Use { get; }

    /// <summary>The speeds that were kept, held to the home as it is.</summary>
    public IReadOnlyList<HeldSpeed> Held => _held.Value;

    /// <summary>A speed that is not kept, held to the home as it is.</summary>
    public HeldSpeed Hold(SpeedMeasure speed) => HeldSpeeds.Of(_seen.Network, this, [speed])[0];

    /// <summary>Levels of the home.</summary>
    public Signals Signals => _signals;

    /// <summary>What is on the air, by box.</summary>
    public IReadOnlyList<Air> Airs => _airs;

    /// <summary>
    /// What serves the devices of the home: names of boxes from which something leads to the internet line, those for guests and for
    /// links left out. Where nothing is plugged into the line, every box counts.
    /// </summary>
    public IReadOnlyList<Air> Serving => _serving.Value;

    private static IReadOnlyList<Air> Led(Network network, IReadOnlyList<Air> airs)
    {
        var at = network
            .Links.SelectMany(l => new[] { (From: l.A.Owner, To: l.B.Owner), (From: l.B.Owner, To: l.A.Owner) })
            .ToLookup(l => l.From, l => l.To, StringComparer.Ordinal);
        var led = new HashSet<string>(StringComparer.Ordinal) { PortRef.Street };
        var next = new Queue<string>(led);
        while (next.TryDequeue(out var owner))
        {
            foreach (var to in at[owner].Where(led.Add))
            {
                next.Enqueue(to);
            }
        }
        return
        [
            .. airs.Where(a =>
                !a.Guest && !Air.IsLink(network.Design, a.Box, a.Setting.Name) && (!at.Contains(PortRef.Street) || led.Contains(a.Box))
            ),
        ];
    }

    private Design Design => _seen.Network.Design;

    /// <summary>How fast each customer's device gets to the internet, of those that get there.</summary>
    public IReadOnlyList<RateFact> ToInternet() =>
        [.. _seen.Internet.Where(i => i.Packets.Kind != AnswerKind.No).Select(i => Measured(Along(i.Device, Provider.Internet, i.Links)))];

    /// <summary>How fast one device gets to the internet; null where it is not in use or does not get there.</summary>
    public RateFact? ToInternet(string device) =>
        _seen.Internet.FirstOrDefault(i => i.Device == device && i.Packets.Kind != AnswerKind.No) is { } way
            ? Measured(Along(device, Provider.Internet, way.Links))
            : null;

    /// <summary>How fast two devices get to each other; null where one of both is not in use, or they do not.</summary>
    public RateFact? Between(string from, string to) =>
        Paths.Between(_seen, from, to) is { Answer.Kind: not AnswerKind.No } path ? Measured(Along(from, to, path.Links)) : null;

    /// <summary>
    /// A radio link, the Wi-Fi of a device or mains wiring by itself; null for any other cable, which carries what its ports and medium
    /// do, and where there is none.
    /// </summary>
    public RatePart? Link(string id) =>
        _links.TryGetValue(id, out var link) && link.Cable is null or { Medium: Medium.Powerline } && link.A.Owner != Laptop.CableId
            ? _parts.Of(link, link.A.Owner, link.A.Owner)
            : null;

    /// <summary>The laptop in a port of a box.</summary>
    internal RatePart AtPort(PortRef port) => _parts.OfPort(LaptopLink, port);

    /// <summary>One who is at a radio of a box; null where none of its radios is on that band.</summary>
    internal RatePart? AtRadio(string box, RadioBand band, WifiClient client) => _parts.OfBand(LaptopLink, box, band, client);

    /// <summary>The same for a run that was made on a band in a place: over which radio it went is known then.</summary>
    internal RateFact Along(string from, string to, IReadOnlyList<string> links, RadioBand? band, Place? place)
    {
        var own = links.Select(l => _links.GetValueOrDefault(l)).FirstOrDefault(l => l is { IsWifi: true } && l.A.Owner == from);
        return
            own is not null
            && band is { } there
            && WifiClient.Of(_seen.Network, from) is var client
            && _parts.OfBand(own.Id, own.B.Owner, there, place is null ? client : client with { Place = place }) is { } part
            ? Along(from, to, [.. links.Where(l => l != own.Id)], (own.B.Owner, part))
            : Along(from, to, links);
    }

    /// <summary>How fast some links are, one after the other.</summary>
    /// <param name="from">Who is at the near end of the first.</param>
    /// <param name="to">Who is at the far end of the last; what was sold counts only where it is the internet.</param>
    /// <param name="links">The links, from the near end on.</param>
    /// <param name="first">What lies before them: the way of a laptop that no network holds, to the box at which they begin.</param>
    /// <param name="unmeasured">Whether what was measured is left out, so that it can be held to what is computed.</param>
    internal RateFact Along(
        string from,
        string to,
        IReadOnlyList<string> links,
        (string Box, RatePart Part)? first = null,
        bool unmeasured = false
    )
    {
        var parts = first is { } before ? new List<RatePart> { before.Part } : [];
        var at = first?.Box ?? from;
        Group? came = first is null ? null : new Group(at, false);
        foreach (var link in links.Select(l => _links.GetValueOrDefault(l)).OfType<Link>())
        {
            var (leaves, arrives) = link.A.Owner == at ? (link.From, link.To) : (link.To, link.From);
            if (came is { } side && side.Wan != leaves.Wan && _parts.OfRouting(at) is { } routing)
            {
                parts.Add(routing);
            }
            var part = _parts.Of(link, at, from, unmeasured);
            var repeats = parts.Count > 0 && parts[^1].Radios.Far is { } radio && part.Radios.Near == radio;
            parts.Add(repeats ? part with { Repeats = true } : part);
            (at, came) = (arrives.Owner, arrives);
        }
        if (to == Provider.Internet && Sold() is { } service)
        {
            parts.Add(service);
        }
        var (down, limitDown) = Least(parts, p => p.Down);
        var (up, limitUp) = Least(parts, p => p.Up);
        return new(
            from,
            to,
            down.Rounded(),
            up.Rounded(),
            limitDown,
            limitUp,
            Says(parts, limitDown, limitUp),
            [
                .. parts.Select(p =>
                    p with
                    {
                        Down = p.Down.Rounded(),
                        Up = p.Up.Rounded(),
                        Level = p.Level?.Rounded(),
                        Back = p.Back?.Rounded(),
                    }
                ),
            ]
        );
    }

    /// <summary>
    /// What mains wiring brings by the fastest speed that was measured over it: that speed, or at least that where something else on its
    /// way stopped it.
    /// </summary>
    private RateSpan OverMains(string cable, RateSpan usual)
    {
        if (Held.Where(h => h.Computed?.Parts.Any(p => p.Id == cable) == true).MaxBy(h => h.Kept.Down.Median) is not { } held)
        {
            return usual;
        }
        var (down, rest) = (
            held.Kept.Down,
            held.Computed!.Parts.Where(p => p.Id != cable).Select(p => p.Down.Told).DefaultIfEmpty(double.MaxValue).Min()
        );
        return down.Median >= rest * MeasuredRate.Capped
            ? new(Math.Max(usual.Low, down.Median), Math.Max(usual.Usual!.Value, down.Median), Math.Max(usual.High, down.Median))
            : new(down.Least, down.Median, down.Most);
    }

    /// <summary>A way as it was measured last, with what is computed beside it.</summary>
    private RateFact Measured(RateFact fact)
    {
        var held = Held.Where(h => h is { Stands: not null, Kept.From: not null } && h.Kept.From == fact.From)
            .Where(h => (h.Kept.To ?? Provider.Internet) == fact.To && fact.Parts.Any(p => p.Says == h.Computed!.Parts[0].Says))
            .OrderByDescending(h => h.Kept.At, StringComparer.Ordinal)
            .ThenBy(h => h.Kept.Id, StringComparer.Ordinal)
            .FirstOrDefault();
        if (held is not { Kept: var kept, Stands: { } stands })
        {
            return fact;
        }
        return fact with
        {
            Down = RateSpan.Of(kept.Down),
            Up = kept.Up is { } up ? RateSpan.Of(up) : fact.Up,
            Measured = new(kept.Id, fact.Down, fact.Up, stands),
            Says = stands switch
            {
                RateStanding.Within => $"As measured. {fact.Says}",
                RateStanding.Above =>
                    $"Measured faster than the {LevelWords.Of(fact.Down)} computed: what is noted of the way is not so. {fact.Says}",
                _ => $"Measured slower than the {LevelWords.Of(fact.Down)} computed: something slows it that is not noted.",
            },
        };
    }

    private static string Says(List<RatePart> parts, string? down, string? up)
    {
        if (parts.FirstOrDefault(p => p.Id == down) is not { } limit)
        {
            return "Nothing on the way says a rate.";
        }
        var says = limit switch
        {
            { Kind: RatePartKind.Service } when up != down => "The service sold is the slowest part.",
            { Kind: RatePartKind.Service } => "The service sold is the slowest part: nothing in the home makes it faster.",
            { Level: null, Kind: RatePartKind.Wifi or RatePartKind.Radio } =>
                $"How strongly {limit.Says} is received is not known: note the places, or measure.",
            { Level: { } level } => $"The slowest part is {limit.Says}, received at {LevelWords.Dbm(level.Dbm)}{Turns(limit)}.",
            _ => $"The slowest part is {limit.Says}.",
        };
        return up == down || parts.FirstOrDefault(p => p.Id == up) is not { } other ? says : $"{says} Upwards it is {other.Says}.";

        string Turns(RatePart part) =>
            part.Repeats || parts.SkipWhile(p => p != part).Skip(1).Take(1).Any(p => p.Repeats)
                ? ", on a radio that sends each frame twice"
                : "";
    }

    /// <summary>What gets through all parts, hops on one radio taking turns, and which part limits it.</summary>
    private static (RateSpan Span, string? Limit) Least(List<RatePart> parts, Func<RatePart, RateSpan> of)
    {
        var groups = new List<(RateSpan Span, RatePart Slowest)>();
        foreach (var part in parts)
        {
            if (part.Repeats && groups.Count > 0)
            {
                var (span, slowest) = groups[^1];
                groups[^1] = (span.TakingTurns(of(part)), of(part).Told < of(slowest).Told ? part : slowest);
            }
            else
            {
                groups.Add((of(part), part));
            }
        }
        if (groups.Count == 0)
        {
            return (new(0, null, Limits.RateMbps), null);
        }
        var least = groups.MinBy(g => g.Span.Told);
        return (groups.Select(g => g.Span).Aggregate((a, b) => a.LimitedBy(b)), least.Slowest.Id);
    }

    private RatePart? Sold()
    {
        var service = Design.Site.Service;
        return service is { DownMbps: null, UpMbps: null }
            ? null
            : new(RatePart.Service, RatePartKind.Service, "the internet service as sold", SoldAt(service.DownMbps), SoldAt(service.UpMbps));

        static RateSpan SoldAt(int? mbps) => mbps is { } sold ? RateSpan.Exactly(sold) : new(0, null, Limits.RateMbps);
    }
}
