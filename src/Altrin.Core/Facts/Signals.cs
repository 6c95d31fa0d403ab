using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>
/// How strongly the radios of a home are heard in its places: computed from what lies between, or measured where a scan was kept.
/// </summary>
public sealed class Signals
{
    /// <summary>Spread where not even the distance was noted, in dB (common practice).</summary>
    public const double UnplacedSpreadDb = 10;

    /// <summary>
    /// Spread of a level that one device showed, for another one in dB: two devices differ by 5 to 10 dB (common practice).
    /// </summary>
    public const double DeviceSpreadDb = 4;

    /// <summary>What a channel other than the measured one adds to the spread, in dB (common practice).</summary>
    public const double OtherChannelSpreadDb = 2;

    private readonly Design _design;
    private readonly Dictionary<(string, string), PlaceWay?> _ways = [];
    private readonly Dictionary<Addressing.MacAddress, string?> _owners = [];
    private readonly Dictionary<string, Place?> _stands = new(StringComparer.Ordinal);
    private readonly Dictionary<(RadioBand, int?, int?), double> _sent = [];
    private readonly Lazy<FloorRooms> _rooms;

    /// <summary>Those of a home.</summary>
    public Signals(Design design) => (_design, _rooms) = (design, new(() => new(design.Site)));

    /// <summary>
    /// How strongly what a box sends is heard in a place; null where the place of the box, or what lies between, is not known.
    /// </summary>
    public SignalLevel? Of(Air air, Place place)
    {
        if (PlaceOf(air.Box) is not { } stands)
        {
            return null;
        }
        var computed = Computed(stands, place, air.Radio.Band, air.Setting.Channel, SentDbm(air));
        return Measured(air, stands, place) is { } measured
            ? measured with
            {
                ComputedDbm = computed?.Dbm,
                ComputedSpreadDb = computed?.SpreadDb,
            }
            : computed;
    }

    /// <summary>How strongly what a device in a place sends is heard by a box that it is in the Wi-Fi of.</summary>
    /// <remarks>
    /// What is lost on the way is the same in both directions: where the way there was measured, the way back rests on it too.
    /// </remarks>
    public SignalLevel? Back(Air air, Place place, DeviceKind kind)
    {
        if (Of(air, place) is not { } there)
        {
            return null;
        }
        var gained = DeviceDbm(kind) + RadioPower.BoxEarDb - SentDbm(air);
        return new(there.Dbm + gained, there.SpreadDb, there.Basis);
    }

    /// <summary>How strongly a box hears another one.</summary>
    public SignalLevel? Between(Air air, string box)
    {
        if (PlaceOf(box) is not { } place || Of(air, place) is not { } there)
        {
            return null;
        }
        // A scan is made with a laptop or a telephone; the box that stands there has better antennas.
        return there with { Dbm = there.Dbm + RadioPower.BoxEarDb };
    }

    /// <summary>
    /// With how much a box sends, antennas included (EIRP), in dBm: what is usual, or less where the country allows no more.
    /// </summary>
    public double SentDbm(Air air)
    {
        var block = (air.Radio.Band, air.Setting.Channel, air.Setting.WidthMhz);
        return _sent.TryGetValue(block, out var dbm) ? dbm : _sent[block] = Sent(air);
    }

    private double Sent(Air air)
    {
        var usual = RadioPower.OfBox(air.Radio.Band);
        return
            air.Setting.Channel is { } channel
            && ChannelBlock.Of(air.Radio.Band, channel, air.Setting.WidthMhz ?? Channels.NarrowMhz) is { } block
            && CountryRules.Of(_design.Site.Country)?.Allowed(block) is { } allowed
            ? Math.Min(usual, allowed.MostDbm)
            : usual;
    }

    /// <summary>What lies between two places; null where that cannot be said.</summary>
    public PlaceWay? Way(Place a, Place b)
    {
        var key = string.CompareOrdinal(a.Id, b.Id) <= 0 ? (a.Id, b.Id) : (b.Id, a.Id);
        return _ways.TryGetValue(key, out var way) ? way : _ways[key] = PlaceWay.Between(_design.Site, _rooms.Value, a, b);
    }

    /// <summary>The level that is computed in one place for a sender in another.</summary>
    /// <param name="from">Where it stands.</param>
    /// <param name="to">Where it is heard.</param>
    /// <param name="band">The band.</param>
    /// <param name="channel">The channel; null for the middle of the band.</param>
    /// <param name="sentDbm">With how much it sends (EIRP).</param>
    public SignalLevel? Computed(Place from, Place to, RadioBand band, int? channel, double sentDbm)
    {
        if (Way(from, to) is not { } way)
        {
            return null;
        }
        var mhz = channel is { } noted && Channels.CentreMhz(band, noted) is { } centre ? centre : MiddleMhz(band);
        var (loss, basis) = way switch
        {
            { Walls: { } walls } => (
                WallLoss.Of(mhz, way.Metres, walls, way.Floors, way.Timber ? WallLoss.TimberFloorDb : WallLoss.ConcreteFloorDb),
                LevelBasis.Walls
            ),
            { Measured: true } => (RoomLoss.Of(band, mhz, way.Metres, way.Floors), LevelBasis.Rooms),
            _ => (RoomLoss.Of(band, mhz, way.Metres, way.Floors) with { SpreadDb = UnplacedSpreadDb }, LevelBasis.Distance),
        };
        return new(sentDbm - loss.Db, Math.Sqrt((loss.SpreadDb * loss.SpreadDb) + (RadioPower.SpreadDb * RadioPower.SpreadDb)), basis);
    }

    /// <summary>What was heard of a radio in a place while its box stood where it stands; null where nothing was.</summary>
    private SignalLevel? Measured(Air air, Place stands, Place place)
    {
        var heard = place
            .Air?.Networks.Where(n => n.LevelDbm is not null && n.StoodIn == stands.Id && n.Band == air.Radio.Band)
            .Where(n => n.Radio is { } radio && Owner(radio) == air.Box)
            .MaxBy(n => n.LevelDbm);
        if (heard is null)
        {
            return null;
        }
        var spread = Math.Max(DeviceSpreadDb, heard.EitherDb ?? 0);
        var other = air.Setting.Channel is { } channel && heard.Channel is { } then && channel != then;
        return new(heard.LevelDbm!.Value, spread + (other ? OtherChannelSpreadDb : 0), LevelBasis.Measured);
    }

    private string? Owner(Addressing.MacAddress radio) =>
        _owners.TryGetValue(radio, out var owner) ? owner : _owners[radio] = MacKin.Owner(_design.Site, radio)?.Box.Id;

    private Place? PlaceOf(string box) =>
        _stands.TryGetValue(box, out var place) ? place : _stands[box] = _design.Site.Place(_design.Setting(box)?.Place);

    /// <summary>With how much a device sends where nothing was read of it.</summary>
    public static double DeviceDbm(DeviceKind kind) =>
        kind is DeviceKind.Phone or DeviceKind.Controller or DeviceKind.Recorder or DeviceKind.Printer or DeviceKind.Other
            ? RadioPower.SmallDbm
            : RadioPower.DeviceDbm;

    /// <summary>A frequency in the middle of what is used of a band, in MHz.</summary>
    public static double MiddleMhz(RadioBand band) =>
        band switch
        {
            RadioBand.Ghz2 => 2437,
            RadioBand.Ghz5 => 5500,
            _ => 6200,
        };
}
