using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>What corrections check before they are made.</summary>
internal static class Given
{
    /// <summary>Why this is no name of anything; null where it is one.</summary>
    public static string? WrongName(string name) =>
        name.Length is < 1 or > Limits.Name || name.Trim().Length == 0 || name.Any(char.IsControl)
            ? $"A name has 1 to {Limits.Name} characters on one line."
            : null;

    /// <summary>Why nothing new can have this id; null where it can.</summary>
    public static string? WrongNewId(Site site, string id) =>
        !Slugs.IsOne(id) || id == PortRef.Street
            ? $"'{Ipv4Address.Shown(id)}' is no id: 1 to 60 small letters, digits and hyphens, and not 'street'."
        : site.Uses(id) ? $"The id '{id}' is used already."
        : null;

    /// <summary>
    /// Why one more cannot be kept, or not under this id; null where it can, or where something of its kind is exchanged.
    /// </summary>
    /// <param name="site">The site.</param>
    /// <param name="id">The id.</param>
    /// <param name="own">Ids of its kind.</param>
    /// <param name="most">How many of its kind are kept.</param>
    /// <param name="kind">Its kind, such as "places".</param>
    public static string? WrongId(Site site, string id, IReadOnlyList<string> own, int most, string kind) =>
        own.Contains(id) ? null
        : own.Count >= most ? $"At most {most:#,0} {kind} are kept."
        : WrongNewId(site, id);

    /// <summary>Why something cannot be in this place; null where it can, or where none is given.</summary>
    public static string? WrongPlace(Site site, string? place) =>
        place is not null && site.Place(place) is null ? $"There is no place '{Ipv4Address.Shown(place)}'." : null;

    /// <summary>Why nothing like this was heard on the air; null where it may have been.</summary>
    public static string? WrongAir(AirScan air) =>
        air.Networks.Count > AirScan.MostNetworks ? $"At most {AirScan.MostNetworks} networks are kept of one scan."
        : AirScan.WrongMoment(air.At) is { } when ? when
        : air.Networks.Any(n => n.Name.Length > HeardNetwork.LongestName || n.Name.Any(char.IsControl))
            ? $"The name of a network has at most {HeardNetwork.LongestName} characters on one line."
        : air.Networks.Any(n => n.Channel is < 1 or > HeardNetwork.HighestChannel)
            ? $"Channels are counted from 1 to {HeardNetwork.HighestChannel}."
        : air.Networks.Any(n => n.LevelDbm is < AirScan.WeakestDbm or > AirScan.StrongestDbm || n.EitherDb is < 0 or > AirScan.MostEitherDb)
            ? $"A level lies between {AirScan.WeakestDbm} and {AirScan.StrongestDbm} dBm, off by at most {AirScan.MostEitherDb} dB."
        : air.Networks.Any(n => n.BusyPercent is < 0 or > 100) ? "A channel is busy from 0 to 100 % of the time."
        : null;

    /// <summary>Why no other box can have this MAC address; null where none has it.</summary>
    public static string? WrongMac(Site site, string? self, params IEnumerable<MacAddress?> addresses)
    {
        foreach (var address in addresses.OfType<MacAddress>())
        {
            var other = site.Boxes.FirstOrDefault(b =>
                b.Id != self && (b.Mac == address || b.WanMac == address || b.Label.RadioMac == address)
            )?.Name
                ?? site.Devices.FirstOrDefault(d => d.Id != self && d.Mac == address)?.Name;
            if (other is not null)
            {
                return $"{other} has the MAC address {address} already; no two have the same.";
            }
        }
        return null;
    }

    /// <summary>Why no label says this; null where one may.</summary>
    public static string? WrongLabel(LabelFacts label) =>
        (label.Address is { } address ? PageChecks.WrongOwnAddress(address) : null)
        ?? (label.WifiName is { } name ? PageChecks.WrongNetworkName(name) : null)
        ?? PageChecks.WrongKeyReference(label.WifiPassword)
        ?? PageChecks.WrongKeyReference(label.Password)
        ?? (label.Login is { } login ? WrongName(login) : null)
        ?? (
            label.Firmware is { } firmware && (WrongName(firmware) is not null || firmware.Length > 40)
                ? "A version has 1 to 40 characters on one line."
                : null
        );

    /// <summary>
    /// What a correction connects, as touches: the cables that it plugs in, and what was waiting for a box that comes with it.
    /// </summary>
    public static IEnumerable<Touch> Connected(HomeFile before, Parsed<HomeFile> after) =>
        !after.Ok ? [] : after.Value.SetUps.SelectMany(s => Connected(before.SetUps.First(b => b.Name == s.Name), s)).Distinct();

    /// <summary>A box that has yet to be bought is there once something of its label is noted: that is touched then.</summary>
    public static IEnumerable<Touch> Arrival(HomeFile home, string box) =>
        home.Site.Boxes.Any(b => b.Id == box && b.ToBuy) ? [new(Setting.Box, box, nameof(Box.ToBuy))] : [];

    /// <summary>Settings of a box that its page was read for, as touches.</summary>
    public static IEnumerable<Touch> Set(HomeFile home, string box, IEnumerable<string> members)
    {
        var radios = home.Site.Boxes.FirstOrDefault(b => b.Id == box)?.Profile.Radios ?? [];
        return members
            .SelectMany(m =>
                m switch
                {
                    // Pool and reservations move along with the address.
                    nameof(FoundSettings.LanAddress) => new SetLanAddress(box, default).Touches(new(home.Site, home.Foremost)),
                    nameof(FoundSettings.DhcpServer) => [new(Setting.DhcpServer, box)],
                    nameof(FoundSettings.PoolFirst) => [new(Setting.PoolFirst, box)],
                    nameof(FoundSettings.PoolLast) => [new(Setting.PoolLast, box)],
                    nameof(FoundSettings.WifiName) => radios.Select(r => new Touch(Setting.WifiName, box, r.Id)),
                    _ => radios.Select(r => new Touch(Setting.WifiPassword, box, r.Id)),
                }
            )
            .Distinct();
    }

    private static IEnumerable<Touch> Connected(SetUp before, SetUp after)
    {
        var (cables, devices) = (before.Cables.Select(c => c.Id).ToHashSet(), before.Devices.ToDictionary(d => d.Device));
        var boxes = before.Boxes.ToDictionary(b => b.Box);
        return
        [
            .. after.Cables.Where(c => !cables.Contains(c.Id)).Select(c => new Touch(Setting.Plugged, c.Id)),
            .. after
                .Devices.Where(d => devices.TryGetValue(d.Device, out var was) && was.Wifi != d.Wifi)
                .Select(d => new Touch(Setting.DeviceWifi, d.Device)),
            .. after
                .Boxes.Where(b => boxes.TryGetValue(b.Box, out var was) && was.Mode.Joins != b.Mode.Joins)
                .Select(b => new Touch(Setting.Uplink, b.Box)),
            .. after
                .Boxes.Where(b => boxes.TryGetValue(b.Box, out var was) && b.Mode is SatelliteMode node && !node.Equals(was.Mode))
                .Select(b => new Touch(Setting.Satellite, b.Box)),
        ];
    }

    /// <summary>A list with one item exchanged for its successor of the same id, or added at its end.</summary>
    public static IReadOnlyList<T> With<T>(IReadOnlyList<T> items, T item, Func<T, string> id) =>
        items.Any(i => id(i) == id(item)) ? [.. items.Select(i => id(i) == id(item) ? item : i)] : [.. items, item];

    /// <summary>Something of the survey with members exchanged; or a new one of these members, or what it lacks.</summary>
    /// <param name="items">What there is of its kind.</param>
    /// <param name="asked">The id that was given; empty for a new one.</param>
    /// <param name="id">The id that it has then.</param>
    /// <param name="known">What is said of it.</param>
    /// <param name="idOf">The id of one.</param>
    /// <param name="kind">Its kind, such as "place".</param>
    public static Parsed<T> Noted<T>(IReadOnlyList<T> items, string asked, string id, Partial<T> known, Func<T, string> idOf, string kind)
        where T : class =>
        items.FirstOrDefault(i => idOf(i) == asked) is { } there ? known.On(there)
        : asked.Length > 0 ? Parsed<T>.Fail($"There is no {kind} '{Ipv4Address.Shown(asked)}'.")
        : known.Alone(("Id", id));

    /// <summary>What such an edit touches: all of what is new.</summary>
    public static IReadOnlyList<Touch> Touches(Setting setting, string asked, string id, IEnumerable<string> given) =>
        asked.Length == 0 ? [new(setting, id)] : [.. given.Select(m => new Touch(setting, id, m))];

    /// <summary>The name that is said of something; empty where none is.</summary>
    public static string NameOf(IPartial known) => known.Values.GetValueOrDefault("Name") as string ?? "";

    /// <summary>Such an edit in words.</summary>
    public static string Describe(string? there, IPartial known) =>
        there is null ? $"{NameOf(known)} is noted" : $"What is known of {there} is corrected";

    /// <summary>The home with a note that all that a box was just put into use with is assumed.</summary>
    public static HomeFile Assuming(this HomeFile home, string id)
    {
        var box = home.Site.Boxes.First(b => b.Id == id) with { Assumed = AssumedSettings.All(home.AsFound().Mode(id)) };
        return home.With(home.Site with { Boxes = With(home.Site.Boxes, box, b => b.Id) });
    }

    /// <summary>The home with another site.</summary>
    public static HomeFile With(this HomeFile home, Site site) => home with { Site = site };

    /// <summary>
    /// The home with each set-up altered, or why what was found cannot be so; a set-up in which the edit cannot be made takes another
    /// one instead, and stays as it is where that cannot be made either.
    /// </summary>
    public static Parsed<HomeFile> InEach(this HomeFile home, Func<Design, Parsed<SetUp>> edit, Func<Design, Parsed<SetUp>> orElse)
    {
        var found = home.AsFound().SetUp;
        var edited = home.SetUps.Select(s => (SetUp: s, Done: edit(new(home.Site, s)))).ToList();
        return edited.Find(e => e.SetUp == found).Done is { Ok: false, Error: var wrong }
            ? Parsed<HomeFile>.Fail(wrong)
            : home with
            {
                SetUps =
                [
                    .. edited.Select(e =>
                        e.Done.Ok ? e.Done.Value
                        : orElse(new(home.Site, e.SetUp)) is { Ok: true } other ? other.Value
                        : e.SetUp
                    ),
                ],
            };
    }

    /// <summary>The home with each set-up altered.</summary>
    public static HomeFile InEach(this HomeFile home, Func<Design, SetUp> edit) =>
        home with
        {
            SetUps = [.. home.SetUps.Select(s => edit(new(home.Site, s)))],
        };
}
