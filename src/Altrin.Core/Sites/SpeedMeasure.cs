using System.ComponentModel.DataAnnotations;
using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>Runs of a speed test as they are kept: several in one place, by one medium, to one other end.</summary>
/// <param name="Id">Slug, unique in the file.</param>
/// <param name="Box">The box in whose Wi-Fi, or at whose port, they were made.</param>
/// <param name="By">By what.</param>
/// <param name="Runs">How many lasted long enough, 1 to <see cref="MostRuns"/>.</param>
/// <param name="Down">What arrived where they were made, in Mb/s.</param>
public sealed record SpeedMeasure(
    [property: Key, Required, RegularExpression(Slugs.Pattern)] string Id,
    [property: Required, RegularExpression(Slugs.Pattern)] string Box,
    [property: Required] RunBy By,
    [property: Required, Range(1, SpeedMeasure.MostRuns)] int Runs,
    [property: Required] MedianSpread Down
)
{
    /// <summary>What was sent from there, in Mb/s; null where no run measured it.</summary>
    public MedianSpread? Up { get; init; }

    /// <summary>The device that made them; null for the laptop of the installer.</summary>
    [RegularExpression(Slugs.Pattern)]
    public string? From { get; init; }

    /// <summary>The port of the box that a laptop was in; null by Wi-Fi, and for a device.</summary>
    [RegularExpression(Slugs.Pattern)]
    public string? Port { get; init; }

    /// <summary>The other end, a device or box of the home; null for a server on the internet.</summary>
    [RegularExpression(Slugs.Pattern)]
    public string? To { get; init; }

    /// <summary>Where they were made; null where not said.</summary>
    [RegularExpression(Slugs.Pattern)]
    public string? Place { get; init; }

    /// <summary>
    /// Where the box stood then; null where not noted. A speed by Wi-Fi says something of the home only while the box stands there.
    /// </summary>
    [RegularExpression(Slugs.Pattern)]
    public string? StoodIn { get; init; }

    /// <summary>The name of the set-up that they were made in; null where not noted.</summary>
    [StringLength(Limits.Name, MinimumLength = 1)]
    public string? SetUp { get; init; }

    /// <summary>
    /// The links that it went over from the box on, or from a device with a cable: elsewhere than over these it says nothing. Empty where
    /// not noted: it then counts in the set-up that it was made in.
    /// </summary>
    [MaxLength(WayLink.Most)]
    public IReadOnlyList<WayLink> Over { get; init; } = [];

    /// <summary>When, in UTC to the minute; null where not known.</summary>
    [RegularExpression(AirScan.Moment)]
    public string? At { get; init; }

    /// <summary>How many runs one measurement holds at most.</summary>
    public const int MostRuns = 1000;

    /// <summary>The fastest run that is believed, in Mb/s.</summary>
    public const double MostMbps = 100_000;

    /// <summary>Why no speed was measured like this in a home; null where one may have been.</summary>
    public string? Wrong(Site site) =>
        site.Boxes.FirstOrDefault(b => b.Id == Box) is not { } box ? $"There is no box '{Ipv4Address.Shown(Box)}'."
        : From is { } from && site.Devices.All(d => d.Id != from) ? $"There is no device '{Ipv4Address.Shown(from)}'."
        : Port is { } port && (By != RunBy.Cable || box.Profile.Port(port) is null)
            ? $"{box.Name} has no port '{Ipv4Address.Shown(port)}', or the runs were made by Wi-Fi."
        : To is { } to && site.Devices.All(d => d.Id != to) && site.Boxes.All(b => b.Id != to)
            ? $"There is no box or device '{Ipv4Address.Shown(to)}'."
        : new[] { Place, StoodIn }.OfType<string>().FirstOrDefault(p => site.Place(p) is null) is { } missing
            ? $"There is no place '{Ipv4Address.Shown(missing)}'."
        : SetUp is { Length: < 1 or > Limits.Name } ? $"The name of a set-up has 1 to {Limits.Name} characters."
        : AirScan.WrongMoment(At) is { } when ? when
        : Over.Count > WayLink.Most || Over.Any(l => l.Link.Length is < 1 or > WayLink.Longest) ? $"A way has at most {WayLink.Most} links."
        : Runs is < 1 or > MostRuns ? $"A speed rests on 1 to {MostRuns:#,0} runs."
        : new[] { Down, Up }
            .OfType<MedianSpread>()
            .Any(s => !(s.Least > 0 && s.Least <= s.Median && s.Median <= s.Most && s.Most <= MostMbps))
            ? $"A speed lies above 0 and up to {MostMbps:#,0} Mb/s, its median between its least and its most."
        : null;

    /// <summary>Whether two were made alike, so that the later takes the place of the earlier.</summary>
    public bool IsLike(SpeedMeasure other) =>
        (Box, By, From, Port, To, Place, SetUp) == (other.Box, other.By, other.From, other.Port, other.To, other.Place, other.SetUp);
}
