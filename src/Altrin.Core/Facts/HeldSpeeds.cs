using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>
/// Holds speeds that were kept to a home as it is. One counts for the same radio or port, while box and ear are where they were and its way
/// goes over the same links; elsewhere it says nothing.
/// </summary>
internal sealed class HeldSpeeds
{
    private readonly Network _network;
    private readonly PathRates _rates;
    private readonly ILookup<string, UplinkFact> _uplinks;
    private readonly SpeedMeasure _kept;

    private HeldSpeeds(Network network, PathRates rates, ILookup<string, UplinkFact> uplinks, SpeedMeasure kept) =>
        (_network, _rates, _uplinks, _kept) = (network, rates, uplinks, kept);

    /// <summary>Some speeds, in their order.</summary>
    public static IReadOnlyList<HeldSpeed> Of(Network network, PathRates rates, IReadOnlyList<SpeedMeasure> kept)
    {
        if (kept.Count == 0)
        {
            return [];
        }
        var uplinks = new LinkMap(network).Uplinks().ToLookup(u => u.Owner, StringComparer.Ordinal);
        return [.. kept.Select(s => new HeldSpeeds(network, rates, uplinks, s).Hold())];
    }

    private HeldSpeed Hold()
    {
        var links = Links();
        IReadOnlyList<WayLink> over = links is null ? [] : [.. links.Take(WayLink.Most).Select(Told)];
        var why = WhyNot() ?? (links is null ? NoWay : Moved(over));
        var computed = why is null ? Computed(links!) : null;
        return new(_kept, computed, why, computed is null ? null : MeasuredRate.Of(_kept.Down.Median, computed.Down)) { Over = over };
    }

    private Design Design => _network.Design;

    private string Box => Design.NameOf(_kept.Box);

    private string NoWay =>
        _kept.To is { } to
            ? $"Nothing leads from {Box} to {Design.NameOf(to)} now."
            : $"Nothing leads from {Box} to the internet line now.";

    /// <summary>Why it says nothing of the home as it is; null where it may.</summary>
    private string? WhyNot()
    {
        if (Design.Setting(_kept.Box) is not { } box)
        {
            return $"{Box} is not in use.";
        }
        if (_kept.By.Band() is { } band)
        {
            return _kept.Place is null ? "Where it was measured was not noted."
                : _kept.StoodIn is null ? $"Where {Box} stood then was not noted."
                : box.Place != _kept.StoodIn ? $"{Box} stands elsewhere now."
                : _rates.Airs.All(a => a.Box != _kept.Box || a.Radio.Band != band || a.Guest)
                    ? $"{Box} sends nothing at {BandWords.Of(band)} now."
                : _kept.From is { } device ? OfDevice(device)
                : null;
        }
        return _kept.From is { } cabled && !_network.Links.Any(l => l.Cable is not null && (l.A.Owner == cabled || l.B.Owner == cabled))
            ? $"{Design.NameOf(cabled)} has no cable now."
            : null;
    }

    private string? OfDevice(string device) =>
        Design.SetUp.Devices.FirstOrDefault(d => d.Device == device)?.Wifi?.Box != _kept.Box
            ? $"{Design.NameOf(device)} is not in the Wi-Fi of {Box} now."
        : Design.Device(device)?.Place != _kept.Place ? $"{Design.NameOf(device)} is elsewhere now."
        : null;

    /// <summary>Why what was measured says nothing of the way as it is; null where it is the same way.</summary>
    private string? Moved(IReadOnlyList<WayLink> over) =>
        _kept.Over.Count > 0 ? (_kept.Over.SequenceEqual(over) ? null : "It went over other links then.")
        : _kept.SetUp is { } setUp && setUp != Design.SetUp.Name
            ? $"It was measured in the set-up \"{setUp}\", and over which links was not noted."
        : null;

    private WayLink Told(string link) => new(link, Design.SetUp.Cables.FirstOrDefault(c => c.Id == link)?.Medium);

    /// <summary>The links from the box on, or from a device with a cable; null where nothing leads there.</summary>
    private List<string>? Links() => Chain(_kept is { From: { } device, By: RunBy.Cable } ? device : _kept.Box, _kept.To ?? PortRef.Street);

    private RateFact Computed(List<string> links)
    {
        var to = _kept.To ?? Provider.Internet;
        if (_kept is { From: { } device, By: RunBy.Cable })
        {
            return _rates.Along(device, to, links, unmeasured: true);
        }
        var (client, from) = _kept.From is { } other
            ? (WifiClient.Of(_network, other), other)
            : (WifiClient.Laptop(null, Design.Site.Place(_kept.Place)), Laptop.CableId);
        RatePart? first =
            _kept.By.Band() is { } band ? _rates.AtRadio(_kept.Box, band, client)
            : _kept.Port is { } port ? _rates.AtPort(new(_kept.Box, port))
            : null;
        return first is null
            ? _rates.Along(_kept.Box, to, links, unmeasured: true)
            : _rates.Along(from, to, links, (_kept.Box, first), unmeasured: true);
    }

    /// <summary>The links from one to another by what each hangs at, nearest the street; null where they do not meet.</summary>
    private List<string>? Chain(string from, string to)
    {
        var (up, down) = (ToStreet(from), ToStreet(to));
        var meet = up.FindIndex(u => down.Exists(d => d.Owner == u.Owner));
        return meet < 0
            ? null
            :
            [
                .. up.Take(meet).Select(u => u.Link!),
                .. Enumerable.Reverse(down.TakeWhile(x => x.Owner != up[meet].Owner).Select(x => x.Link!).ToList()),
            ];
    }

    /// <summary>
    /// One after the other up to the street or the head of an island, each with the link that leads on; null for the last.
    /// </summary>
    private List<(string Owner, string? Link)> ToStreet(string owner)
    {
        var way = new List<(string, string?)>();
        for (var at = owner; way.TrueForAll(w => w.Item1 != at); )
        {
            var next = _uplinks[at].FirstOrDefault();
            way.Add((at, next?.Link));
            if (next is null)
            {
                break;
            }
            at = next.To;
        }
        return way;
    }
}
