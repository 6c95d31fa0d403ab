using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>How the air is used around one radio of the home.</summary>
/// <param name="Box">The box.</param>
/// <param name="Radio">Its radio.</param>
/// <param name="Band">The band.</param>
/// <param name="Channel">The channel that it is fixed to; null where the box chooses.</param>
/// <param name="WidthMhz">The width that it is fixed to; null where the box chooses.</param>
/// <param name="Names">The names that it sends.</param>
/// <param name="Beacons">The part of the time that the beacons of these names take, 0 to 1.</param>
/// <param name="Alone">What is left to it while the other radios of the home are quiet, 0 to 1.</param>
/// <param name="Busy">What is left to it while the other radios of the home on its channel are as busy as it is, 0 to 1.</param>
/// <param name="Disturbers">Who is heard on its channel, the one that takes most first.</param>
public sealed record AirUse(
    string Box,
    string Radio,
    RadioBand Band,
    int? Channel,
    int? WidthMhz,
    IReadOnlyList<string> Names,
    double Beacons,
    double Alone,
    double Busy,
    IReadOnlyList<Disturber> Disturbers
)
{
    /// <summary>The place whose scan neighbours were taken from; null where none was made.</summary>
    public string? ScannedIn { get; init; }

    /// <summary>Who is heard on it only where a radio is wider than the 20 MHz that are certain, its width not having been noted.</summary>
    public required IReadOnlyList<Disturber> MayDisturb { get; init; }

    /// <summary>
    /// The same as <see cref="Alone"/>, all radios whose width is not noted taken to be as wide as they can be: less where that reaches
    /// further.
    /// </summary>
    public required double AloneAtLeast { get; init; }

    /// <summary>The same as <see cref="Busy"/>, all radios whose width is not noted taken to be as wide as they can be.</summary>
    public required double BusyAtLeast { get; init; }

    /// <summary>That of every radio of a home that sends, by box and radio.</summary>
    public static IReadOnlyList<AirUse> Of(Design design, Signals signals, IReadOnlyList<Air> airs)
    {
        var (radios, wide) = Radios(airs);
        return [.. radios.Zip(wide ?? radios, (own, widest) => Of(design, signals, (own, radios), wide is null ? null : (widest, wide)))];
    }

    /// <summary>That of one radio; null where it does not send.</summary>
    public static AirUse? Of(Design design, Signals signals, IReadOnlyList<Air> airs, string box, string radio)
    {
        var (radios, wide) = Radios(airs);
        var at = radios.FindIndex(r => (r[0].Box, r[0].Radio.Id) == (box, radio));
        return at < 0 ? null : Of(design, signals, (radios[at], radios), wide is null ? null : (wide[at], wide));
    }

    /// <summary>What each radio sends; a second time with the widest that it can be where the width of one was not noted.</summary>
    private static (List<List<Air>> Radios, List<List<Air>>? Wide) Radios(IReadOnlyList<Air> airs)
    {
        return (ByRadio(airs), airs.Any(IsUnsized) ? ByRadio(airs.Select(Widest)) : null);

        static bool IsUnsized(Air air) => air.Setting is { Channel: not null, WidthMhz: null };
        static List<List<Air>> ByRadio(IEnumerable<Air> airs) => [.. airs.GroupBy(a => (a.Box, a.Radio.Id)).Select(g => g.ToList())];
        static Air Widest(Air air) =>
            IsUnsized(air)
            && Channels
                .Widths(air.Radio.Band)
                .Where(w => w <= (air.Radio.WidestMhz ?? AirRates.WidestMhz(air.Radio.Band)))
                .Select(w => ChannelBlock.Of(air.Radio.Band, air.Setting.Channel!.Value, w))
                .OfType<ChannelBlock>()
                .MaxBy(b => b.WidthMhz)
                is { } block
                ? air with
                {
                    Setting = air.Setting with { WidthMhz = block.WidthMhz },
                }
                : air;
    }

    private static AirUse Of(
        Design design,
        Signals signals,
        (List<Air> Own, List<List<Air>> All) noted,
        (List<Air> Own, List<List<Air>> All)? widest
    )
    {
        var use = Of(design, signals, noted.Own, noted.All);
        if (widest is not { } wide)
        {
            return use;
        }
        var least = Of(design, signals, wide.Own, wide.All);
        return use with
        {
            AloneAtLeast = Math.Min(use.Alone, least.Alone),
            BusyAtLeast = Math.Min(use.Busy, least.Busy),
            MayDisturb =
            [
                .. least.Disturbers.Where(d => !use.Disturbers.Any(u => (u.Box, u.Name, u.Channel) == (d.Box, d.Name, d.Channel))),
            ],
        };
    }

    private static AirUse Of(Design design, Signals signals, List<Air> own, List<List<Air>> all)
    {
        var (air, band) = (own[0], own[0].Radio.Band);
        var names = own.Select(a => a.Setting.Name).Distinct().ToList();
        var beacons = names.Count * Airtime.OfBeacon(Airtime.BeaconMbps(band));
        var block = BlockOf(air);
        var place = design.Site.Place(design.Setting(air.Box)?.Place);
        var scanned = place is null ? null : Scanned(design.Site, signals, place);
        var disturbers = new List<Disturber>();
        if (block is not null && place is not null)
        {
            foreach (var other in all.Where(r => r[0].Box != air.Box && r[0].Radio.Band == band))
            {
                if (BlockOf(other[0]) is { } there && block.TakenBy(there) is var share and > 0 && signals.Of(other[0], place) is { } level)
                {
                    if (level.Dbm >= Airtime.HeardDbm)
                    {
                        disturbers.Add(new(other[0].Box, other[0].Setting.Name, there.Primary, level.Dbm, share, share));
                    }
                }
            }
            var ours = all.SelectMany(r => r).Select(a => a.Setting.Name).ToHashSet(StringComparer.Ordinal);
            var near = Neighbours.In(design.Site, scanned, band, ours).ToList();
            foreach (var ((heard, there), takes) in near.Zip(Neighbours.Taken(block, near)))
            {
                if (block.TakenBy(there) is var share and > 0)
                {
                    disturbers.Add(
                        new(null, heard.Name, there.Primary, heard.LevelDbm!.Value, share, takes) { BusyPercent = heard.BusyPercent }
                    );
                }
            }
        }
        var neighbours = disturbers.Where(d => d.Box is null).Select(d => d.Takes).ToList();
        var alone = Airtime.Left(beacons, neighbours, []);
        var busy = Airtime.Left(beacons, neighbours, disturbers.Where(d => d.Box is not null).Select(d => d.Covers));
        return new(
            air.Box,
            air.Radio.Id,
            band,
            air.Setting.Channel,
            air.Setting.WidthMhz,
            names,
            beacons,
            alone,
            busy,
            [.. disturbers.OrderByDescending(d => d.Takes).ThenByDescending(d => d.LevelDbm).ThenBy(d => d.Name, StringComparer.Ordinal)]
        )
        {
            ScannedIn = scanned?.Id,
            AloneAtLeast = alone,
            BusyAtLeast = busy,
            MayDisturb = [],
        };
    }

    /// <summary>Where a radio sends; null where its box chooses the channel.</summary>
    public static ChannelBlock? BlockOf(Air air) =>
        air.Setting.Channel is { } channel
            ? ChannelBlock.Of(air.Radio.Band, channel, air.Setting.WidthMhz ?? Channels.NarrowMhz)
                ?? ChannelBlock.Of(air.Radio.Band, channel, Channels.NarrowMhz)
            : null;

    /// <summary>The place itself where it was scanned, or else the nearest one that was; null where none was.</summary>
    private static Place? Scanned(Site site, Signals signals, Place place) =>
        site
            .Places.Where(p => p.Air is not null)
            .Select(p => (Place: p, Metres: p.Id == place.Id ? -1 : signals.Way(p, place)?.Metres ?? double.MaxValue))
            .OrderBy(p => p.Metres)
            .Select(p => p.Place)
            .FirstOrDefault();
}

/// <summary>Who is heard on the channel of a radio.</summary>
/// <param name="Box">The box of the home; null for a network of others.</param>
/// <param name="Name">Its name; empty where hidden.</param>
/// <param name="Channel">Its channel.</param>
/// <param name="LevelDbm">How strongly it is heard.</param>
/// <param name="Covers">How much of the channel it covers, 0 to 1.</param>
/// <param name="Takes">What it takes of the time at most, 0 to 1: all that it covers for a box of the home, what is usual for
/// others.</param>
public sealed record Disturber(string? Box, string Name, int Channel, double LevelDbm, double Covers, double Takes)
{
    /// <summary>
    /// How busy it finds its channel, in percent, as it says itself; what it takes rests on that then, or is told of another that finds
    /// the same channel busier. Null where it does not say.
    /// </summary>
    public int? BusyPercent { get; init; }
}
