using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>How fast a home is and how its air is used, as far as can be told.</summary>
/// <param name="Rates">How fast each device gets to the internet, of those that get there.</param>
/// <param name="Radios">How the air is used around each radio that sends.</param>
/// <param name="Shares">What the devices of a radio leave to each other.</param>
/// <param name="Places">What is heard in each place.</param>
/// <param name="Names">The names on the air.</param>
/// <param name="Bands">Who sends where, band by band.</param>
/// <param name="Walks">Where a device that is carried about ends badly served.</param>
/// <param name="Limits">Devices that do not get into every Wi-Fi.</param>
/// <param name="Held">Speeds that were measured, held to what is computed.</param>
public sealed record SpeedAndAir(
    IReadOnlyList<RateFact> Rates,
    IReadOnlyList<AirUse> Radios,
    IReadOnlyList<AirShare> Shares,
    IReadOnlyList<PlaceLevels> Places,
    IReadOnlyList<NameFact> Names,
    IReadOnlyList<Spectrum> Bands,
    IReadOnlyList<WalkFact> Walks,
    IReadOnlyList<DeviceLimit> Limits,
    IReadOnlyList<HeldSpeed> Held
)
{
    /// <summary>From which levels on calls and pages are good, and at which devices begin to move, in dBm.</summary>
    public LevelLimits Levels { get; } = new(SignalLevel.ForCallsDbm, SignalLevel.ForPagesDbm, SignalLevel.LimitDbm);

    /// <summary>How many radios are told of in one place: the strongest.</summary>
    public const int MostHeard = 8;

    /// <summary>That of a home that is looked at.</summary>
    public static SpeedAndAir Of(Observation seen)
    {
        var rates = seen.Rates;
        var design = seen.Network.Design;
        var toInternet = rates.ToInternet();
        return new(
            toInternet,
            rates.Use,
            AirShare.Of(toInternet),
            [.. design.Site.Places.Select(p => PlaceLevels.Of(rates.Airs, rates.Signals, p))],
            NameFact.Of(seen.Network, rates.Airs),
            Spectrum.Of(design, rates.Airs),
            WalkFact.Of(seen.Network, rates.Airs, rates.Signals),
            DeviceLimit.Of(design),
            rates.Held
        );
    }
}

/// <summary>What levels are good for (common practice).</summary>
/// <param name="CallsDbm">Calls and video hold from here on.</param>
/// <param name="PagesDbm">Pages open from here on.</param>
/// <param name="MovingDbm">About here a device looks for another radio of its network.</param>
public sealed record LevelLimits(double CallsDbm, double PagesDbm, double MovingDbm);

/// <summary>What is heard in a place.</summary>
/// <param name="Place">The place.</param>
/// <param name="Heard">The radios of the home, the strongest first.</param>
/// <param name="NotKnown">How many radios' level is not known there: where their box stands was not noted.</param>
public sealed record PlaceLevels(string Place, IReadOnlyList<HeardLevel> Heard, int NotKnown)
{
    /// <summary>What is heard of some radios in a place.</summary>
    public static PlaceLevels Of(IReadOnlyList<Air> airs, Signals signals, Place place)
    {
        var heard = airs.DistinctBy(a => (a.Box, a.Radio.Id)).Select(a => (Air: a, Level: signals.Of(a, place))).ToList();
        return new(
            place.Id,
            [
                .. heard
                    .Where(h => h.Level is not null)
                    .OrderByDescending(h => h.Level!.Dbm)
                    .ThenBy(h => (h.Air.Box, h.Air.Radio.Id))
                    .Take(SpeedAndAir.MostHeard)
                    .Select(h => new HeardLevel(h.Air.Box, h.Air.Radio.Id, h.Air.Radio.Band, h.Air.Setting.Name, h.Level!.Rounded())),
            ],
            heard.Count(h => h.Level is null)
        );
    }
}

/// <summary>A radio of the home as it is heard somewhere.</summary>
/// <param name="Box">The box.</param>
/// <param name="Radio">Its radio.</param>
/// <param name="Band">The band.</param>
/// <param name="Name">The name that it sends for the home's own people, or else for guests.</param>
/// <param name="Level">How strongly.</param>
public sealed record HeardLevel(string Box, string Radio, RadioBand Band, string Name, SignalLevel Level);
