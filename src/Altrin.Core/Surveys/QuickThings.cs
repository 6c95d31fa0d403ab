using System.Globalization;
using System.Text.RegularExpressions;
using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>"Hall gateway, fibre gateway, 192.168.8.1, 00:00:5e:00:53:01, Hall, telephone".</summary>
internal static class QuickGear
{
    public static IReadOnlyList<Correction>? Read(HomeFile home, Shelf shelf, QuickWords words)
    {
        if (words.Name("a name") is not { } name)
        {
            return null;
        }
        Profile? profile = null;
        Parsed<Profile>? unclear = null;
        MacAddress? mac = null;
        Place? place = null;
        var label = LabelFacts.Empty;
        var holds = new List<LineService>();
        bool? inUse = null;
        words.Rest(
            "a kind of the shelf, a place, an address, a MAC address, wifi and a name, telephone, alarm, in use or spare may stand here",
            text =>
                QuickWords.Mac(text) is not { } read ? null
                : !read.Ok ? Parsed<string>.Fail(read.Error)
                : Then(() => mac = read.Value, "MAC address"),
            text =>
                Address(text) is not { } read ? null
                : !read.Ok ? Parsed<string>.Fail(read.Error)
                : Then(() => label = label with { Address = read.Value }, "address of its page"),
            text =>
                text.StartsWith("wifi ", StringComparison.OrdinalIgnoreCase)
                    ? Then(() => label = label with { WifiName = text[5..].Trim() }, "Wi-Fi name")
                    : null,
            text =>
                text.StartsWith("version ", StringComparison.OrdinalIgnoreCase)
                    ? Then(() => label = label with { Firmware = text[8..].Trim() }, "software")
                    : null,
            text =>
                QuickWords.Is(text, "in use") ? Then(() => inUse = true, "in use today")
                : QuickWords.Is(text, "spare", "on the shelf") ? Then(() => inUse = false, "on the shelf")
                : null,
            text =>
                QuickWords.Is(text, "no updates", "unsupported")
                    ? Then(() => label = label with { Supported = Known.No }, "its firmware gets no more updates")
                    : null,
            text => Service(text) is { } service ? Then(() => holds.Add(service), $"the {LineServiceWords.Of(service)} lives in it") : null,
            text => QuickWords.PlaceIn(home.Site, text) is { } found ? Then(() => place = found, $"stands in {found.Name}") : null,
            text => profile is not null ? null : Kind(text)
        );
        if (profile is null && words.Error is null)
        {
            var own = shelf.Meant(name);
            if (!own.Ok)
            {
                words.Fail((unclear ?? own).Error ?? "Its kind is missing.", 1);
                return null;
            }
            profile = own.Value;
        }
        return words.Error is not null
            ? null
            :
            [
                new AddBox(name, profile!.ShelfId)
                {
                    Mac = mac,
                    Place = place?.Id,
                    Holds = holds,
                    Label = label,
                    InUse = inUse,
                },
            ];

        Parsed<string>? Kind(string text)
        {
            var meant = shelf.Meant(text);
            if (meant.Ok)
            {
                profile = meant.Value;
                return QuickWords.Means(meant.Value.Name);
            }
            unclear = meant;
            return Parsed<string>.Fail(meant.Error);
        }
    }

    public static LineService? Service(string text) =>
        QuickWords.Is(text, "telephone", "phone line", "telephony") ? LineService.Telephone
        : QuickWords.Is(text, "television", "tv") ? LineService.Television
        : QuickWords.Is(text, "alarm") ? LineService.Alarm
        : null;

    /// <summary>An address, with a prefix of 24 where none was typed (common practice); null where a part does not look like one.</summary>
    public static Parsed<InterfaceAddress>? Address(string text) =>
        text.Count(c => c == '.') < 2 || text.Any(c => !char.IsAsciiDigit(c) && c is not ('.' or '/'))
            ? null
            : InterfaceAddress.Parse(text.Contains('/', StringComparison.Ordinal) ? text : $"{text}/24");

    public static Parsed<string>? Then(Action act, string means)
    {
        act();
        return QuickWords.Means(means);
    }
}

/// <summary>"Kitchen, 4x3, brick, floor 1".</summary>
internal static partial class QuickPlace
{
    private static readonly (string Word, PlaceKind Kind)[] Kinds =
    [
        ("hall", PlaceKind.Hall),
        ("landing", PlaceKind.Hall),
        ("stair", PlaceKind.Hall),
        ("corridor", PlaceKind.Hall),
        ("cupboard", PlaceKind.Cupboard),
        ("closet", PlaceKind.Cupboard),
        ("loft", PlaceKind.Loft),
        ("attic", PlaceKind.Loft),
        ("cellar", PlaceKind.Cellar),
        ("basement", PlaceKind.Cellar),
        ("garage", PlaceKind.Cellar),
        ("garden", PlaceKind.Outdoors),
        ("outdoors", PlaceKind.Outdoors),
        ("terrace", PlaceKind.Outdoors),
        ("yard", PlaceKind.Outdoors),
        ("balcony", PlaceKind.Outdoors),
    ];

    private static readonly (string Word, WallKind Kind)[] Walls =
    [
        ("light", WallKind.Light),
        ("plasterboard", WallKind.Light),
        ("timber", WallKind.Light),
        ("wood", WallKind.Light),
        ("brick", WallKind.Brick),
        ("block", WallKind.Brick),
        ("stone", WallKind.Stone),
        ("concrete", WallKind.Concrete),
        ("glass", WallKind.Glass),
        ("metal", WallKind.Metal),
        ("foil", WallKind.Metal),
    ];

    internal static IReadOnlyList<Correction>? Read(HomeFile home, QuickWords words)
    {
        if (words.Name("a name") is not { } name)
        {
            return null;
        }
        var last = home.Site.Places.Count > 0 ? home.Site.Places[^1] : null;
        var place = new Place("", name)
        {
            Kind = Kinds.FirstOrDefault(k => name.Contains(k.Word, StringComparison.OrdinalIgnoreCase)).Kind,
            // Rooms are typed floor by floor.
            Floor = last?.Floor ?? 0,
            Building = last?.Building,
        };
        words.Rest(
            "a size such as 4x3, a floor such as floor 1, a wall such as brick, a place such as loft, a corner such as @2/5 or the name of a building may stand here",
            text =>
                Sizes().Match(text) is { Success: true } m
                    ? QuickGear.Then(
                        () => place = place with { LengthMetres = Number(m.Groups[1]), WidthMetres = Number(m.Groups[2]) },
                        "metres"
                    )
                    : null,
            text =>
                Corners().Match(text) is { Success: true } m
                    ? QuickGear.Then(
                        () => place = place with { EastMetres = Number(m.Groups[1]), NorthMetres = Number(m.Groups[2]) },
                        "metres from the corner of the plot"
                    )
                    : null,
            text => Floor(text) is { } floor ? QuickGear.Then(() => place = place with { Floor = floor }, "floor") : null,
            text =>
                Walls.FirstOrDefault(w => QuickWords.Is(text, w.Word)) is { Word: not null } wall
                    ? QuickGear.Then(() => place = place with { Walls = wall.Kind }, "walls")
                    : null,
            text =>
                Kinds.FirstOrDefault(k => QuickWords.Is(text, k.Word)) is { Word: not null } kind
                    ? QuickGear.Then(() => place = place with { Kind = kind.Kind }, "sort of place")
                    : null,
            text =>
                home.Site.Buildings.FirstOrDefault(b => string.Equals(b.Name, text, StringComparison.OrdinalIgnoreCase)) is { } building
                    ? QuickGear.Then(() => place = place with { Building = building.Id }, "building")
                    : null
        );
        return words.Error is not null ? null
            : home.Site.Places.FirstOrDefault(p =>
                string.Equals(p.Name, name, StringComparison.OrdinalIgnoreCase) && p.Building == place.Building
            )
                is not null
                ? Twice()
            : [new SetPlace("", Partial<Place>.All(place))];

        IReadOnlyList<Correction>? Twice()
        {
            words.Fail($"{name} is there already.", 1);
            return null;
        }
    }

    private static int? Floor(string text) =>
        QuickWords.Is(text, "ground", "ground floor", "downstairs") ? 0
        : QuickWords.Is(text, "upstairs", "first floor") ? 1
        : QuickWords.Is(text, "second floor") ? 2
        : Floors().Match(text) is { Success: true } m
        && int.TryParse(m.Groups[1].ValueSpan, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var floor)
            ? floor
        : null;

    private static double Number(Group group) =>
        double.Parse(group.ValueSpan, NumberStyles.AllowDecimalPoint | NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture);

    [GeneratedRegex(
        @"^(\d{1,3}(?:\.\d{1,2})?)\s*[x×]\s*(\d{1,3}(?:\.\d{1,2})?)\s*m?$",
        RegexOptions.NonBacktracking | RegexOptions.IgnoreCase
    )]
    private static partial Regex Sizes();

    [GeneratedRegex(@"^@\s*(-?\d{1,3}(?:\.\d{1,2})?)\s*/\s*(-?\d{1,3}(?:\.\d{1,2})?)$", RegexOptions.NonBacktracking)]
    private static partial Regex Corners();

    [GeneratedRegex(@"^(?:floor\s*|f)?(-?\d{1,2})$", RegexOptions.NonBacktracking | RegexOptions.IgnoreCase)]
    private static partial Regex Floors();
}

/// <summary>"Printer, study, cable, 192.168.8.50".</summary>
public static class QuickDevice
{
    /// <summary>Words by which a device is known; the first that fits counts.</summary>
    private static readonly (string Word, DeviceKind Kind)[] Kinds =
    [
        ("telephone", DeviceKind.Phone),
        ("phone", DeviceKind.Phone),
        ("mobile", DeviceKind.Phone),
        ("tablet", DeviceKind.Tablet),
        ("reader", DeviceKind.Tablet),
        ("laptop", DeviceKind.Laptop),
        ("notebook", DeviceKind.Laptop),
        ("printer", DeviceKind.Printer),
        ("scanner", DeviceKind.Printer),
        ("recorder", DeviceKind.Recorder),
        ("camera", DeviceKind.Recorder),
        ("doorbell", DeviceKind.Recorder),
        ("television", DeviceKind.Television),
        ("tv", DeviceKind.Television),
        ("projector", DeviceKind.Television),
        ("console", DeviceKind.Console),
        ("game", DeviceKind.Console),
        ("heating", DeviceKind.Controller),
        ("boiler", DeviceKind.Controller),
        ("thermostat", DeviceKind.Controller),
        ("controller", DeviceKind.Controller),
        ("alarm", DeviceKind.Controller),
        ("door", DeviceKind.Controller),
        ("kiln", DeviceKind.Controller),
        ("inverter", DeviceKind.Controller),
        ("storage", DeviceKind.Storage),
        ("nas", DeviceKind.Storage),
        ("backup", DeviceKind.Storage),
        ("computer", DeviceKind.Computer),
        ("desktop", DeviceKind.Computer),
        ("pc", DeviceKind.Computer),
    ];

    /// <summary>What a device is, by a word of its name.</summary>
    public static DeviceKind KindOf(string name)
    {
        var words = string.Concat(name.ToLowerInvariant().Select(c => char.IsLetter(c) ? c : ' '))
            .Split(' ', StringSplitOptions.RemoveEmptyEntries);
        return
            Kinds.FirstOrDefault(k =>
                words.Any(w =>
                    k.Word.Length < 4
                        ? w == k.Word
                        : w.StartsWith(k.Word, StringComparison.Ordinal) || w.EndsWith(k.Word, StringComparison.Ordinal)
                )
            )
                is { Word: not null } found
            ? found.Kind
            : DeviceKind.Other;
    }

    internal static IReadOnlyList<Correction>? Read(HomeFile home, QuickWords words)
    {
        if (words.Name("a name") is not { } name)
        {
            return null;
        }
        var device = new Device("", name, KindOf(name), null);
        HostAddress address = new Automatic();
        bool? cable = null;
        var bands = new List<RadioBand>();
        words.Rest(
            "a place, cable or wifi, a band such as 2.4, a MAC address, an address, or what it is may stand here",
            text =>
                QuickWords.Mac(text) is not { } read ? null
                : !read.Ok ? Parsed<string>.Fail(read.Error)
                : QuickGear.Then(
                    () => device = device with { Mac = read.Value },
                    read.Value.IsLocallyAdministered ? "MAC address, private: it may change" : "MAC address"
                ),
            text => Bands(text) is { Count: > 0 } found ? QuickGear.Then(() => bands.AddRange(found), "bands that it knows") : null,
            text =>
                QuickGear.Address(text) is not { } read ? null
                : !read.Ok ? Parsed<string>.Fail(read.Error)
                : QuickGear.Then(() => address = Typed(home.Site, read.Value), "typed address"),
            text =>
                QuickWords.Is(text, "cable", "wired", "cabled") ? QuickGear.Then(() => cable = true, "on a cable")
                : QuickWords.Is(text, "wifi", "wi-fi", "wireless") ? QuickGear.Then(() => cable = false, "on Wi-Fi")
                : null,
            text =>
                QuickWords.Is(text, "fixed") ? Parsed<string>.Fail("A fixed address is typed as it is, such as 192.168.8.50.")
                : QuickWords.Is(text, "automatic") ? QuickWords.Means("asks for its address")
                : null,
            text =>
                QuickWords.PlaceIn(home.Site, text) is { } place
                    ? QuickGear.Then(() => device = device with { Place = place.Id }, $"in {place.Name}")
                    : null,
            text =>
                KindOf(text) is not DeviceKind.Other and var kind
                    ? QuickGear.Then(() => device = device with { Kind = kind }, "what it is")
                    : null
        );
        device = device with { Bands = [.. bands.Distinct().Order()], HasSocket = cable == true ? Known.Yes : Known.Unknown };
        return words.Error is not null ? null : [new AddDevice(device, address, cable)];
    }

    /// <summary>
    /// A typed address, with the box at the line as gateway and DNS server, as such devices are usually set (common practice).
    /// </summary>
    public static Fixed Typed(Site site, InterfaceAddress address)
    {
        var gateway =
            site.Boxes.FirstOrDefault(b => b.Id == site.Service.HandOff)?.FactoryAddress is { } own && address.Subnet.Contains(own.Address)
                ? own.Address
                : (Ipv4Address?)null;
        return new(address, gateway, gateway is { } names ? [names] : []);
    }

    private static List<RadioBand> Bands(string text)
    {
        var found = new List<RadioBand>();
        foreach (
            var word in text.ToLowerInvariant()
                .Replace("ghz", "", StringComparison.Ordinal)
                .Split([' ', '+', '/', '&'], StringSplitOptions.RemoveEmptyEntries)
        )
        {
            RadioBand? band = word switch
            {
                "2.4" or "2" => RadioBand.Ghz2,
                "5" => RadioBand.Ghz5,
                "6" => RadioBand.Ghz6,
                _ => null,
            };
            if (band is null)
            {
                return [];
            }
            found.Add(band.Value);
        }
        return found;
    }
}
