using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>What arrives over each part of a way: a cable, a Wi-Fi, a radio link, a box that routes.</summary>
internal sealed class RateParts
{
    private readonly Network _network;
    private readonly Signals _signals;
    private readonly IReadOnlyList<Air> _airs;
    private readonly Dictionary<(string, string), AirUse> _use;
    private readonly HashSet<string> _oldest;

    public RateParts(Network network, Signals signals, IReadOnlyList<Air> airs, IReadOnlyList<AirUse> use)
    {
        (_network, _signals, _airs) = (network, signals, airs);
        _use = use.ToDictionary(u => (u.Box, u.Radio));
        _oldest = network
            .Links.Where(l => l.IsWifi && Design.Device(l.A.Owner)?.Generation == WifiGeneration.B)
            .Select(l => l.B.Owner)
            .ToHashSet(StringComparer.Ordinal);
    }

    /// <summary>What arrives over mains wiring, by cable, where a speed over it was kept: it differs from home to home.</summary>
    public Func<string, RateSpan, RateSpan>? OverMains { get; init; }

    private Design Design => _network.Design;

    /// <summary>A link.</summary>
    /// <param name="link">The link.</param>
    /// <param name="at">The end at which one comes upon it.</param>
    /// <param name="from">Who asks.</param>
    /// <param name="unmeasured">Whether what was measured over mains wiring is left out.</param>
    public RatePart Of(Link link, string at, string from, bool unmeasured = false) =>
        link.Cable is { } cable ? OfCable(cable, unmeasured)
        : link.A.Owner == Laptop.CableId ? OfPort(link.Id, link.B)
        : link.IsRadio ? OfRadio(link, at)
        : OfWifi(link, from);

    /// <summary>
    /// What a box passes between its WAN and its LAN side; null where its kind does not say, and where it does not route.
    /// </summary>
    public RatePart? OfRouting(string box) =>
        Design.Mode(box) is RouterMode && Design.Box(box)?.Profile.RoutesMbps is { } most
            ? new(box, RatePartKind.Routing, $"what {Design.NameOf(box)} routes", RateSpan.Exactly(most), RateSpan.Exactly(most))
            : null;

    /// <summary>The laptop in a port: what lies between is a lead that is as good as the port.</summary>
    public RatePart OfPort(string id, PortRef port)
    {
        var span = Design.Box(port.Owner)?.Profile.Port(port.Port)?.SpeedMbps is { } speed
            ? RateSpan.Exactly(speed)
            : new(MediumRates.SlowPort, MediumRates.UsualPort, MediumRates.UsualPort);
        var arrives = span.Times(MediumRates.Payload);
        return new(id, RatePartKind.Cable, PortWords.Of(Design, port), arrives, arrives);
    }

    /// <summary>The Wi-Fi of one who is at a radio of a box; null where none of the box's is on that band.</summary>
    public RatePart? OfBand(string id, string box, RadioBand band, WifiClient client) =>
        _airs.Where(a => a.Box == box && a.Radio.Band == band && !a.Guest).Take(1).Select(a => OfAir(a, client)).ToList() is [var there]
            ? Told(id, there, isNear: true)
            : null;

    private RatePart OfCable(Cable cable, bool unmeasured)
    {
        var known = Cabling.Of(Design, cable);
        var says = $"the cable from {PortWords.Of(Design, cable.A)} to {PortWords.Of(Design, cable.B)}";
        if (known.Medium == Medium.Powerline)
        {
            var most = (double)(known.AtMostMbps ?? MediumRates.AtMost(Medium.Powerline, null, null)!.Value);
            var usual = new RateSpan(MediumRates.LeastOverMains, MediumRates.UsualOverMains, most);
            var mains = unmeasured ? usual : OverMains?.Invoke(cable.Id, usual) ?? usual;
            return new(cable.Id, RatePartKind.Mains, $"the mains wiring behind {Design.NameOf(cable.A.Owner)}", mains, mains)
            {
                IsMeasured = mains != usual,
            };
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
        var (client, box) = (WifiClient.Of(_network, link.A.Owner), link.B.Owner);
        var choices = _airs
            .Where(a => a.Box == box && a.Setting.Name == client.Name && client.Knows(a.Radio.Band))
            .Select(a => OfAir(a, client))
            .ToList();
        // Which of several radios it takes is the device's affair; it mostly takes the one that gives more (common practice).
        var best = choices
            .OrderByDescending(c => Math.Min(c.Down.Told, c.Up.Told))
            .ThenByDescending(c => c.Down.High)
            .Select(c => Told(link.Id, c, link.A.Owner == from))
            .FirstOrDefault();
        return best ?? new(link.Id, RatePartKind.Wifi, $"the Wi-Fi of {Design.NameOf(box)}", RateSpan.None, RateSpan.None);
    }

    private RatePart Told(string id, (Air Air, RateSpan Down, RateSpan Up, SignalLevel? There, SignalLevel? Back) of, bool isNear)
    {
        var (air, end) = (of.Air, (of.Air.Box, of.Air.Radio.Id));
        var (down, up) = isNear ? (of.Down, of.Up) : (of.Up, of.Down);
        var (near, far) = isNear ? (of.There, of.Back) : (of.Back, of.There);
        return new(id, RatePartKind.Wifi, $"the Wi-Fi of {Design.NameOf(air.Box)} at {BandWords.Of(air.Radio.Band)}", down, up)
        {
            Level = near,
            Back = far,
            Radios = isNear ? (null, end) : (end, null),
        };
    }

    private (Air Air, RateSpan Down, RateSpan Up, SignalLevel? There, SignalLevel? Back) OfAir(Air air, WifiClient client)
    {
        var there = client.Place is { } place ? _signals.Of(air, place) : null;
        var back = client.Place is { } stands ? _signals.Back(air, stands, client.Kind) : null;
        var box = Ability.Of(air.Radio, air.Setting);
        var (use, slowed) = (_use[(air.Box, air.Radio.Id)], IsProtected(air));
        return (
            air,
            AirRates.Of(air.Radio.Band, there, box, client.Ability, slowed).Times(use.AloneAtLeast, use.Alone),
            AirRates.Of(air.Radio.Band, back, client.Ability, box, slowed).Times(use.AloneAtLeast, use.Alone),
            there,
            back
        );
    }

    /// <summary>Whether a device of the oldest generation is in the Wi-Fi of the box: only 2.4 GHz has such devices.</summary>
    private bool IsProtected(Air air) => air.Radio.Band == RadioBand.Ghz2 && _oldest.Contains(air.Box);

    private RatePart OfRadio(Link link, string at)
    {
        var (box, to) = (link.Id["radio:".Length..], link.A.Owner == link.Id["radio:".Length..] ? link.B.Owner : link.A.Owner);
        var best = Joins(box, to).OrderByDescending(j => j.Span.Told).ThenByDescending(j => j.Span.High).FirstOrDefault();
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
                var span = AirRates.Of(own.Band, level, Ability.Of(air.Radio, air.Setting), Ability.Of(own, null), IsProtected(air));
                var use = _use[(air.Box, air.Radio.Id)];
                yield return (air, own.Id, span.Times(use.AloneAtLeast, use.Alone), level);
            }
        }
    }
}
