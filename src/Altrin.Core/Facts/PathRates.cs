using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>How fast the ways of a home are, part by part.</summary>
public sealed class PathRates
{
    private readonly Observation _seen;
    private readonly Signals _signals;
    private readonly IReadOnlyList<Air> _airs;
    private readonly Dictionary<(string, string), AirUse> _use;
    private readonly Dictionary<string, Link> _links;

    /// <summary>Those of a home that is looked at.</summary>
    public PathRates(Observation seen)
    {
        var network = seen.Network;
        var silent = network.Situation.Silent();
        (_seen, _signals) = (seen, new(network.Design));
        _airs = [.. Air.Of(network.Design).Where(a => !silent.Contains(a.Box))];
        Use = AirUse.Of(network.Design, _signals, _airs);
        _use = Use.ToDictionary(u => (u.Box, u.Radio));
        _links = network.Links.DistinctBy(l => l.Id).ToDictionary(l => l.Id, StringComparer.Ordinal);
    }

    /// <summary>How the air is used around each radio.</summary>
    public IReadOnlyList<AirUse> Use { get; }

    /// <summary>Levels of the home.</summary>
    public Signals Signals => _signals;

    /// <summary>What is on the air, by box.</summary>
    public IReadOnlyList<Air> Airs => _airs;

    private Design Design => _seen.Network.Design;

    /// <summary>How fast each customer's device gets to the internet, of those that get there.</summary>
    public IReadOnlyList<RateFact> ToInternet() =>
        [.. _seen.Internet.Where(i => i.Packets.Kind != AnswerKind.No).Select(i => Of(i.Device, Provider.Internet, i.Links))];

    /// <summary>How fast one device gets to the internet; null where it is not in use or does not get there.</summary>
    public RateFact? ToInternet(string device) =>
        _seen.Internet.FirstOrDefault(i => i.Device == device && i.Packets.Kind != AnswerKind.No) is { } way
            ? Of(device, Provider.Internet, way.Links)
            : null;

    /// <summary>How fast two devices get to each other; null where one of both is not in use, or they do not.</summary>
    public RateFact? Between(string from, string to) =>
        Paths.Between(_seen, from, to) is { Answer.Kind: not AnswerKind.No } path ? Of(from, to, path.Links) : null;

    /// <summary>A radio link or the Wi-Fi of a device by itself; null for a cable, and where there is none.</summary>
    public RatePart? Link(string id) =>
        _links.TryGetValue(id, out var link) && link.Cable is null ? Part(link, link.A.Owner, link.A.Owner) : null;

    private RateFact Of(string from, string to, IReadOnlyList<string> links)
    {
        var parts = new List<RatePart>();
        var at = from;
        foreach (var link in links.Select(l => _links.GetValueOrDefault(l)).OfType<Link>())
        {
            var part = Part(link, at, from);
            var repeats = parts.Count > 0 && parts[^1].Radios.Far is { } before && part.Radios.Near == before;
            parts.Add(repeats ? part with { Repeats = true } : part);
            at = link.A.Owner == at ? link.B.Owner : link.A.Owner;
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
                groups[^1] = (span.TakingTurns(of(part)), Told(of(part)) < Told(of(slowest)) ? part : slowest);
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
        var least = groups.MinBy(g => Told(g.Span));
        return (groups.Select(g => g.Span).Aggregate((a, b) => a.LimitedBy(b)), least.Slowest.Id);
    }

    /// <summary>What one span is compared by with others: what is usual, or the least where that is not known.</summary>
    private static double Told(RateSpan span) => span.Usual ?? span.Low;

    private RatePart? Sold()
    {
        var service = Design.Site.Service;
        return service is { DownMbps: null, UpMbps: null }
            ? null
            : new(RatePart.Service, RatePartKind.Service, "the internet service as sold", SoldAt(service.DownMbps), SoldAt(service.UpMbps));

        static RateSpan SoldAt(int? mbps) => mbps is { } sold ? RateSpan.Exactly(sold) : new(0, null, Limits.RateMbps);
    }

    /// <summary>A link, come upon at one of its ends by one who asks.</summary>
    private RatePart Part(Link link, string at, string from) =>
        link.Cable is { } cable ? OfCable(cable)
        : link.IsRadio ? OfRadio(link, at)
        : OfWifi(link, from);

    private RatePart OfCable(Cable cable)
    {
        var known = Cabling.Of(Design, cable);
        var says = $"the cable from {PortWords.Of(Design, cable.A)} to {PortWords.Of(Design, cable.B)}";
        if (known.Medium == Medium.Powerline)
        {
            var most = (double)(known.AtMostMbps ?? MediumRates.AtMost(Medium.Powerline, null, null)!.Value);
            var mains = new RateSpan(MediumRates.LeastOverMains, MediumRates.UsualOverMains, most);
            return new(cable.Id, RatePartKind.Mains, $"the mains wiring behind {Design.NameOf(cable.A.Owner)}", mains, mains);
        }
        var login = cable.Ends(PortRef.Street) && Design.Site.Service.Line.Login == Known.Yes;
        var payload = login ? MediumRates.PayloadWithLogin : MediumRates.Payload;
        var span = RateSpan.Exactly(known.AtMostMbps ?? Limits.RateMbps);
        if (known.PortsMbps is null)
        {
            span = span.LimitedBy(new(MediumRates.SlowPort, MediumRates.UsualPort, MediumRates.UsualPort));
        }
        return new(cable.Id, RatePartKind.Cable, says, span.Times(payload), span.Times(payload));
    }

    private RatePart OfWifi(Link link, string from)
    {
        var (device, box) = (Design.Device(link.A.Owner), link.B.Owner);
        var name = Design.SetUp.Devices.FirstOrDefault(d => d.Device == link.A.Owner)?.Wifi?.Name;
        var choices = _airs
            .Where(a =>
                a.Box == box && a.Setting.Name == name && (device is not { Bands.Count: > 0 } || device.Bands.Contains(a.Radio.Band))
            )
            .Select(a => OfAir(a, device))
            .ToList();
        // Which of several radios it takes is the device's affair; it mostly takes the one that gives more (common practice).
        var best = choices.OrderByDescending(c => Math.Min(Told(c.Down), Told(c.Up))).ThenByDescending(c => c.Down.High).FirstOrDefault();
        if (best.Air is not { } air)
        {
            return new(link.Id, RatePartKind.Wifi, $"the Wi-Fi of {Design.NameOf(box)}", RateSpan.None, RateSpan.None);
        }
        var (down, up) = link.A.Owner == from ? (best.Down, best.Up) : (best.Up, best.Down);
        var ((near, far), end) = (link.A.Owner == from ? (best.There, best.Back) : (best.Back, best.There), (air.Box, air.Radio.Id));
        return new(link.Id, RatePartKind.Wifi, $"the Wi-Fi of {Design.NameOf(box)} at {BandWords.Of(air.Radio.Band)}", down, up)
        {
            Level = near,
            Back = far,
            Radios = link.A.Owner == from ? (null, end) : (end, null),
        };
    }

    private (Air? Air, RateSpan Down, RateSpan Up, SignalLevel? There, SignalLevel? Back) OfAir(Air air, Device? device)
    {
        var there = Design.Site.Place(device?.Place) is { } place ? _signals.Of(air, place) : null;
        var back = device is null ? null : _signals.Back(air, device);
        var (box, other) = (
            Ability.Of(air.Radio, air.Setting),
            device is null ? new(WifiGeneration.Unknown, null, null) : Ability.Of(device)
        );
        var left = _use[(air.Box, air.Radio.Id)].Alone;
        return (
            air,
            AirRates.Of(air.Radio.Band, there, box, other).Times(left),
            AirRates.Of(air.Radio.Band, back, other, box).Times(left),
            there,
            back
        );
    }

    private RatePart OfRadio(Link link, string at)
    {
        var (box, to) = (link.Id["radio:".Length..], link.A.Owner == link.Id["radio:".Length..] ? link.B.Owner : link.A.Owner);
        var best = Joins(box, to).OrderByDescending(j => Told(j.Span)).ThenByDescending(j => j.Span.High).FirstOrDefault();
        if (best.Air is not { } air)
        {
            return new(
                link.Id,
                RatePartKind.Radio,
                $"the radio link from {Design.NameOf(box)} to {Design.NameOf(to)}",
                RateSpan.None,
                RateSpan.None
            );
        }
        return new(
            link.Id,
            RatePartKind.Radio,
            $"the radio link from {Design.NameOf(box)} to {Design.NameOf(to)} at {BandWords.Of(air.Radio.Band)}",
            best.Span,
            best.Span
        )
        {
            Level = best.Level,
            Back = best.Level,
            Radios = at == box ? ((box, best.Own), (to, air.Radio.Id)) : ((to, air.Radio.Id), (box, best.Own)),
        };
    }

    /// <summary>The radios by which a box may join another: the one that it is set to, or any of a kit, which chooses itself.</summary>
    private IEnumerable<(Air? Air, string Own, RateSpan Span, SignalLevel? Level)> Joins(string box, string to)
    {
        var profile = Design.Box(box)!.Profile;
        var joins = Design.Mode(box)?.Joins;
        foreach (var own in profile.Radios.Where(r => joins is null || r.Id == joins.Radio))
        {
            foreach (
                var air in _airs.Where(a =>
                    a.Box == to && a.Radio.Band == own.Band && !a.Guest && (joins is null || a.Setting.Name == joins.Name)
                )
            )
            {
                var level = _signals.Between(air, box);
                var span = AirRates.Of(own.Band, level, Ability.Of(air.Radio, air.Setting), Ability.Of(own, null));
                yield return (air, own.Id, span.Times(_use[(air.Box, air.Radio.Id)].Alone), level);
            }
        }
    }
}
