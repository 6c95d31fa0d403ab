using System.ComponentModel.DataAnnotations;
using Altrin.Core.Addressing;
using Altrin.Core.Radio;

namespace Altrin.Core.Sites;

/// <summary>What is given in one home: nothing here is changed by planning.</summary>
/// <param name="Name">How the installer calls the home.</param>
/// <param name="Service">What the internet provider delivers.</param>
/// <param name="Naming">How the installer names Wi-Fi in this home.</param>
/// <param name="Boxes">The network gear, ids unique across boxes and devices.</param>
/// <param name="Devices">The customer's own devices.</param>
/// <param name="Needs">What must work beyond ordinary internet.</param>
public sealed record Site(
    string Name,
    Service Service,
    NamingSchool Naming,
    IReadOnlyList<Box> Boxes,
    IReadOnlyList<Device> Devices,
    IReadOnlyList<Need> Needs
)
{
    /// <summary>How many boxes are kept.</summary>
    public const int MostBoxes = 2000;

    /// <summary>How many devices are kept.</summary>
    public const int MostDevices = 5000;

    /// <summary>How many needs are kept.</summary>
    public const int MostNeeds = 200;

    /// <summary>How many buildings are kept.</summary>
    public const int MostBuildings = 20;

    /// <summary>How many places are kept.</summary>
    public const int MostPlaces = 500;

    /// <summary>How many sockets, and how many runs, are kept.</summary>
    public const int MostSockets = 1000;

    /// <summary>How many measured speeds are kept.</summary>
    public const int MostSpeeds = 200;

    /// <summary>The country that it stands in, by its two letters, see <see cref="Country"/>; null where not noted.</summary>
    public string? Country { get; init; }

    /// <summary>The buildings, the main house first; empty where there is one and nothing was said of it.</summary>
    public IReadOnlyList<Building> Buildings { get; init; } = [];

    /// <summary>Rooms and other places.</summary>
    public IReadOnlyList<Place> Places { get; init; } = [];

    /// <summary>Sockets in the walls.</summary>
    public IReadOnlyList<Socket> Sockets { get; init; } = [];

    /// <summary>Cables that are in the walls already.</summary>
    public IReadOnlyList<CableRun> Runs { get; init; } = [];

    /// <summary>Speeds that were measured and kept.</summary>
    public IReadOnlyList<SpeedMeasure> Speeds { get; init; } = [];

    /// <summary>The place with this id; null where there is none.</summary>
    public Place? Place(string? id) => id is null ? null : Places.FirstOrDefault(p => p.Id == id);

    /// <summary>
    /// One state of a site with whatever only another state of it knows, so that set-ups of both can be spoken of. Boxes in both have the
    /// kind, and with it the ports, of the first.
    /// </summary>
    public static Site Joined(Site first, Site other) =>
        first with
        {
            Boxes = With(first.Boxes, other.Boxes, b => b.Id),
            Devices = With(first.Devices, other.Devices, d => d.Id),
            Places = With(first.Places, other.Places, p => p.Id),
            Sockets = With(first.Sockets, other.Sockets, s => s.Id),
            Runs = With(first.Runs, other.Runs, r => r.Id),
            Speeds = With(first.Speeds, other.Speeds, s => s.Id),
        };

    private static IReadOnlyList<T> With<T>(IReadOnlyList<T> items, IReadOnlyList<T> others, Func<T, string> id)
    {
        var known = items.Select(id).ToHashSet(StringComparer.Ordinal);
        return [.. items, .. others.Where(o => !known.Contains(id(o)))];
    }

    /// <summary>Whether an id of anything in the site is used.</summary>
    public bool Uses(string id) =>
        Boxes.Any(b => b.Id == id)
        || Devices.Any(d => d.Id == id)
        || Needs.Any(n => n.Id == id)
        || Buildings.Any(b => b.Id == id)
        || Places.Any(p => p.Id == id)
        || Sockets.Any(s => s.Id == id)
        || Runs.Any(r => r.Id == id)
        || Speeds.Any(s => s.Id == id);
}

/// <summary>Schools of naming Wi-Fi in one home.</summary>
public enum NamingSchool
{
    /// <summary>One name everywhere: people move about without touching anything.</summary>
    OneName,

    /// <summary>A name for each box: one knows which box one is on.</summary>
    OnePerBox,

    /// <summary>A name for each band: for old devices that only know 2.4 GHz.</summary>
    OnePerBand,
}

/// <summary>A piece of network gear that is there, with the facts of its label.</summary>
/// <param name="Id">Readable slug, unique in the file, never reused.</param>
/// <param name="Name">What the installer calls it, such as "Loft router".</param>
/// <param name="Profile">What this kind of box can do, copied from the gear shelf.</param>
/// <param name="Mac">MAC address printed for its LAN side; null where not read.</param>
/// <param name="WanMac">MAC address of its WAN side; null where not read.</param>
public sealed record Box(string Id, string Name, Profile Profile, MacAddress? Mac, MacAddress? WanMac)
{
    /// <summary>What lives in it beside the internet, in order.</summary>
    public IReadOnlyList<LineService> Holds { get; init; } = [];

    /// <summary>Where it lies while it is not in use; null where not noted. Where it stands in use is the set-up's to say.</summary>
    public string? Place { get; init; }

    /// <summary>What stands on its label.</summary>
    public LabelFacts Label { get; init; } = LabelFacts.Empty;

    /// <summary>What it holds while it is not in use.</summary>
    public StoredSettings Stored { get; init; } = StoredSettings.NotKnown;

    /// <summary>What it was taken to be set to until its page is read.</summary>
    public AssumedSettings Assumed { get; init; } = AssumedSettings.Nothing;

    /// <summary>Whether it has yet to be bought: so until something is noted of its label.</summary>
    public bool ToBuy { get; init; }

    /// <summary>Where its page answers after a reset: by its own label, else by its kind; null where neither says.</summary>
    public InterfaceAddress? FactoryAddress => Label.Address ?? Profile.FactoryAddress;
}

/// <summary>A device of the customer: it uses the network and is no part of it.</summary>
/// <param name="Id">Readable slug, unique in the file, never reused.</param>
/// <param name="Name">What the household calls it.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Mac">Its MAC address; null where not read.</param>
public sealed record Device([property: Key] string Id, string Name, DeviceKind Kind, MacAddress? Mac)
{
    /// <summary>Whether it tries an address that it was leased before using it (RFC 5227).</summary>
    public Known ChecksLease { get; init; }

    /// <summary>The bands that it knows; empty where it was not found out: it is then taken to know them all (common practice).</summary>
    public IReadOnlyList<RadioBand> Bands { get; init; } = [];

    /// <summary>
    /// The newest Wi-Fi protection that it knows; null where it was not found out: it is then taken to know them all (common practice).
    /// </summary>
    public WifiSecurity? NewestSecurity { get; init; }

    /// <summary>The generation of its Wi-Fi; unknown where not read.</summary>
    public WifiGeneration Generation { get; init; }

    /// <summary>How many spatial streams it has, 1 to 8; null where not read.</summary>
    public int? Streams { get; init; }

    /// <summary>Whether it has a socket for a cable.</summary>
    public Known HasSocket { get; init; }

    /// <summary>Where it usually is; null where not noted.</summary>
    public string? Place { get; init; }
}

/// <summary>What a customer's device is.</summary>
public enum DeviceKind
{
    /// <summary>A telephone.</summary>
    Phone,

    /// <summary>A tablet.</summary>
    Tablet,

    /// <summary>A portable computer.</summary>
    Laptop,

    /// <summary>A computer that stays where it is.</summary>
    Computer,

    /// <summary>A printer.</summary>
    Printer,

    /// <summary>A camera or recorder.</summary>
    Recorder,

    /// <summary>A television or a box beside one.</summary>
    Television,

    /// <summary>A games console.</summary>
    Console,

    /// <summary>A controller of heating, a door, a machine.</summary>
    Controller,

    /// <summary>Shared storage.</summary>
    Storage,

    /// <summary>Anything else.</summary>
    Other,
}
