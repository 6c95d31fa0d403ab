using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Core.Comparisons;

/// <summary>What an address table, a device list or a server's leases say: who is there, at which address.</summary>
internal static class NeighbourStatements
{
    /// <summary>How many entries are spoken of one by one.</summary>
    public const int Most = 300;

    public static IEnumerable<Statement> Of(HomeFile home, SeatView? at, Reading reading)
    {
        var site = home.Site;
        var table = at is null ? [] : at.Sides.SelectMany(s => Looking.At(at.Seen, s)).ToList();
        var listed = reading.Neighbours.Where(n => n.Mac is not null).DistinctBy(n => (n.Mac, n.Address)).Take(Most).ToList();
        var offered = new HashSet<string>(StringComparer.Ordinal);
        foreach (var near in listed)
        {
            var said = One(site, at, table, near, reading);
            // One MAC address at several addresses is usual behind a bridge, and two entries may have one name: the first counts.
            yield return said.Corrections.Count == 0 || said.Corrections.All(c => offered.Add(Target(c)))
                ? said
                : said with
                {
                    Offer = null,
                    Corrections = [],
                };
            if (
                at is not null
                && near.Link is { } link
                && site.Devices.FirstOrDefault(d => d.Mac == near.Mac) is { } device
                && Linked(at.Design, device, near, link) is { } linked
            )
            {
                yield return linked;
            }
        }
        var silent = reading
            .Neighbours.Where(n => n.Mac is null && n.Address is not null)
            .Select(n => n.Address!.Value)
            .Distinct()
            .ToList();
        if (silent.Count > 0)
        {
            yield return new(
                "silent",
                reading.Neighbours.First(n => n.Mac is null).Line,
                $"No host answered at {Joined(silent.Take(8).Select(a => $"{a}"))}{(silent.Count > 8 ? $" and {silent.Count - 8} more" : "")}.",
                Agreement.Unknown
            );
        }
        var missing = table
            .Select(n => n.Owner)
            .Where(o => o != PortRef.Street)
            .Distinct()
            .Where(o =>
                site.Boxes.FirstOrDefault(b => b.Id == o) is { Mac: not null } box
                    ? listed.TrueForAll(n => MacKin.Of(box, n.Mac!.Value) is null)
                    : site.Devices.FirstOrDefault(d => d.Id == o)?.Mac is { } own && listed.TrueForAll(n => n.Mac != own)
            )
            .ToList();
        // Who asks for an address while one listens is no list of who is there.
        if (missing.Count > 0 && listed.Count > 0 && reading.Blocks.Any(b => b.Kind is ReadingKind.AddressTable or ReadingKind.DeviceList))
        {
            yield return new(
                "missing",
                0,
                $"Not in the list: {Joined(missing.Take(8).Select(o => at!.NameOf(o)))}{(missing.Count > 8 ? $" and {missing.Count - 8} more" : "")}.",
                Agreement.Unknown
            )
            {
                Recorded = "A list shows only who was spoken to lately; speak to every address first, or look whether they are on.",
            };
        }
    }

    /// <summary>Whom a correction is of.</summary>
    private static string Target(Correction correction) =>
        correction switch
        {
            SetBox box => box.Box,
            SetDevice device => device.Device,
            AddDevice { Device.Mac: { } mac } => $"{mac}",
            _ => "",
        };

    private static Statement One(Site site, SeatView? at, List<Neighbour> table, NeighbourRead near, Reading reading)
    {
        var mac = near.Mac!.Value;
        var id = $"near:{mac}";
        var found =
            $"{(near.Name is { } name ? $"\"{name}\", " : "")}{mac}{(near.Address is { } address ? $" at {address}" : "")}{(near.Link is { } link ? $", {link.Words}" : "")}";
        var device = site.Devices.FirstOrDefault(d => d.Mac == mac);
        // What stands on a label, or was read of a device, is surer than what a kind of box has on another side.
        var box =
            MacKin.Owner(site, mac) is { } owned && (owned.Kin.Kind == KinKind.Same || (owned.Kin.Kind == KinKind.Side && device is null))
                ? owned.Box
                : null;
        if ((box?.Id ?? device?.Id) is { } owner)
        {
            return Recorded(at, table, near, id, $"{found}: {box?.Name ?? device!.Name}.", owner);
        }
        // Who has the address by what is recorded, when that one's MAC address was never read.
        var holder = near.Address is { } held ? at?.HolderOf(held) : null;
        if (holder is not null && site.Boxes.FirstOrDefault(b => b.Id == holder) is { } there)
        {
            var kin = MacKin.Of(there, mac);
            return there.Mac is null
                ? new(id, near.Line, $"{found}, the address of {there.Name}.", Agreement.Unknown)
                {
                    Recorded = $"No MAC address of {there.Name} is recorded.",
                    Offer = $"{there.Name} has the MAC address {mac}",
                    Corrections = [AdapterStatements.Noted(there, mac)],
                }
                : new(id, near.Line, $"{found}, the address of {there.Name}.", kin is null ? Agreement.Disagrees : Agreement.Agrees)
                {
                    Recorded = kin is null ? $"Recorded: {there.Mac}." : $"It is {kin.Text}.",
                    Explanations = kin is null
                        ? [new($"Another box answers at the address of {there.Name}, or the address is on two.", [])]
                        : [],
                };
        }
        if (holder is not null && site.Devices.FirstOrDefault(d => d.Id == holder) is { } user)
        {
            return user.Mac is null
                ? new(id, near.Line, $"{found}, the address of {user.Name}.", Agreement.Unknown)
                {
                    Recorded = $"No MAC address of {user.Name} is recorded.",
                    Offer = $"{user.Name} has the MAC address {mac}",
                    Corrections = [new SetDevice(user.Id, Partial<Device>.With(d => d.Mac, mac))],
                }
                : new(id, near.Line, $"{found}, the address of {user.Name}.", Agreement.Disagrees)
                {
                    Recorded = $"Recorded: {user.Mac}.",
                    Explanations = [new($"Something else has taken the address of {user.Name}.", [])],
                };
        }
        if (reading.Adapters.Any(a => a.Mac == mac))
        {
            return new(id, near.Line, $"{found}: the machine that printed this.", Agreement.Agrees);
        }
        var named = near.Name is null
            ? null
            : site.Devices.FirstOrDefault(d => d.Mac is null && Slugs.Of(d.Name, _ => false, "x") == Slugs.Of(near.Name, _ => false, "x"));
        if (named is not null)
        {
            return new(id, near.Line, $"{found}.", Agreement.Unknown)
            {
                Recorded = $"{named.Name} is recorded without a MAC address.",
                Offer = $"{named.Name} has the MAC address {mac}",
                Corrections = [new SetDevice(named.Id, Partial<Device>.With(d => d.Mac, mac))],
            };
        }
        var entry = DeviceLists.Entry(site, near);
        var called = Called(near);
        return new(id, near.Line, $"{found}.", Agreement.Unknown)
        {
            Recorded = $"{entry.Says}.",
            Offer = entry.Rank < 90 ? null : $"{called} is a device of the home",
            Corrections =
                entry.Rank < 90
                    ? []
                    :
                    [
                        new AddDevice(
                            new("", called, near.Name is null ? DeviceKind.Other : QuickDevice.KindOf(called), mac),
                            new Automatic(),
                            Seen(site, near)
                        ),
                    ],
        };
    }

    /// <summary>
    /// How a new device is connected; not said where the list does not say, or where its cable may be that of an access point.
    /// </summary>
    private static Connection Seen(Site site, NeighbourRead near) =>
        near.Link switch
        {
            { ByCable: false } => Connection.Only(ConnectedBy.Radio),
            { ByCable: true } when site.Boxes.Count(b => b.Profile.Radios.Count > 0) <= 1 => Connection.Only(ConnectedBy.Cable),
            _ => Connection.NotSaid,
        };

    /// <summary>
    /// The way that a list shows a known device by, held against the recorded one; null where both may be true, or none is recorded.
    /// </summary>
    private static Statement? Linked(Design design, Device device, NeighbourRead near, ListedLink link)
    {
        var wifi = design.SetUp.Devices.FirstOrDefault(d => d.Device == device.Id)?.Wifi;
        var cable = design.CableAt(PortRef.OfDevice(device.Id)) is not null;
        // Behind a box that is joined by radio a cable is listed as radio; on an access point's radio, as the cable that it hangs on.
        var relayed = link.ByCable
            ? design.SetUp.Boxes.Count(b => Air.Of(design, b.Box).Count > 0) > 1
            : design.SetUp.Boxes.Any(b => b.Mode.Joins is not null || b.Mode is SatelliteMode);
        if ((!cable && wifi is null) || (cable != link.ByCable && relayed))
        {
            return null;
        }
        return new(
            $"link:{device.Mac}",
            near.Line,
            $"{device.Name} is {link.Words}.",
            cable == link.ByCable ? Agreement.Agrees : Agreement.Disagrees
        )
        {
            Recorded = cable ? "Recorded on a cable." : "Recorded on the Wi-Fi.",
            Explanations =
                cable == link.ByCable
                    ? []
                    :
                    [
                        new(
                            cable
                                ? "Its cable is out, or not pushed in; it fell back on a Wi-Fi that it knows."
                                : "It was plugged in meanwhile; or it is connected to an access point that is not recorded, which the list shows as the cable that leads there.",
                            []
                        ),
                    ],
        };
    }

    private static Statement Recorded(SeatView? at, List<Neighbour> table, NeighbourRead near, string id, string found, string owner)
    {
        if (at is null || near.Address is not { } address)
        {
            return new(id, near.Line, found, Agreement.Agrees);
        }
        var expected = table.Where(n => n.Owner == owner).ToList();
        if (owner == at.Owner)
        {
            return new(id, near.Line, found, Agreement.Agrees);
        }
        if (expected.Count == 0)
        {
            return new(id, near.Line, found, Agreement.Disagrees)
            {
                Recorded =
                    $"By what is recorded it is not seen from here{(at.Design.Box(owner) is not null && at.Design.Mode(owner) is null ? ": it is not in use" : "")}.",
            };
        }
        var fits = expected.Exists(n =>
            n.Address == address || (n.From is { } range && range.Contains(address)) || n is { Address: null, From: null }
        );
        return new(id, near.Line, found, fits ? Agreement.Agrees : Agreement.Disagrees)
        {
            Recorded =
                $"Recorded: {string.Join(" or ", expected.Select(n => n.From is { } from ? $"one of {from.First} to {from.Last}" : n.Address is { } exact ? $"{exact}" : "an address that is not known").Distinct())}.",
            Explanations = fits
                ? []
                : [new("Its address changed: it is leased by another server than recorded, or was typed in by hand.", [])],
        };
    }

    private static string Called(NeighbourRead near)
    {
        var name = near.Name is { } listed ? string.Concat(listed.Where(c => !char.IsControl(c))).Trim() : "";
        return name.Length is 0 or > 80 ? $"Device {near.Mac!.Value.LastFour}" : name;
    }

    private static string Joined(IEnumerable<string> parts) => string.Join(", ", parts);
}
