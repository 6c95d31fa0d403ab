using Altrin.Core.Addressing;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>"Printer, study, cable, 192.168.8.50".</summary>
public static class QuickDevice
{
    private const string Expected =
        $"a place, wifi, {QuickConnection.Expected}, a band such as 2.4, a MAC address, an address, or what it is may stand here";

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
        var (connection, room) = (new QuickConnection(home.Site), new QuickRoom(home.Site));
        var bands = new List<RadioBand>();
        var unread = words.Unread(
            text =>
                QuickWords.Mac(text) is not { } read ? null
                : !read.Ok ? Parsed<string>.Fail(read.Error)
                : QuickGear.Then(
                    () => device = device with { Mac = read.Value },
                    read.Value.IsLocallyAdministered ? "MAC address, private: it may change" : "MAC address"
                ),
            text => Generation(text) is { } known ? QuickGear.Then(() => device = device with { Generation = known }, "its Wi-Fi") : null,
            text =>
                Streams(text) is { } count ? QuickGear.Then(() => device = device with { Streams = count }, "streams of its Wi-Fi") : null,
            text => Bands(text) is { Count: > 0 } found ? QuickGear.Then(() => bands.AddRange(found), "bands that it knows") : null,
            text =>
                QuickGear.Address(text, home) is not { } read ? null
                : !read.Ok ? Parsed<string>.Fail(read.Error)
                : QuickGear.Then(() => address = Typed(home, read.Value), "typed address"),
            text =>
                QuickWords.Is(text, "fixed") ? Parsed<string>.Fail("A fixed address is typed as it is, such as 192.168.8.50.")
                : QuickWords.Is(text, "automatic") ? QuickWords.Means("asks for its address")
                : null,
            text => connection.Read(QuickWords.Is(text, "wifi", "wi-fi") ? "by wifi" : text),
            room.Read,
            text =>
                KindOf(text) is not DeviceKind.Other and var kind
                    ? QuickGear.Then(() => device = device with { Kind = kind }, "what it is")
                    : null
        );
        foreach (var part in unread)
        {
            words.Strange(part, Expected);
            QuickRoom.Offer(words, part);
        }
        device = device with
        {
            Bands = [.. bands.Distinct().Order()],
            HasSocket = connection.Said.Carrier() == ConnectedBy.Cable ? Known.Yes : Known.Unknown,
            Place = room.Place,
        };
        return words.Error is not null ? null : [.. room.Making(), new AddDevice(device, address, connection.Said)];
    }

    /// <summary>
    /// A typed address, with the router of its subnet as gateway and DNS server, as such devices are usually set (common practice).
    /// </summary>
    public static Fixed Typed(HomeFile home, InterfaceAddress address)
    {
        var line = home.Site.Boxes.FirstOrDefault(b => b.Id == home.Site.Service.HandOff)?.FactoryAddress;
        var gateway = RouterOf(home, address.Address)?.Address
            ?? (line is { } own && address.Subnet.Contains(own.Address) ? own.Address : null);
        return new(address, gateway, gateway is { } names ? [names] : []);
    }

    /// <summary>
    /// The LAN address of the router of what was found in whose subnet an address lies, the box at the line first; null where it lies in
    /// none.
    /// </summary>
    internal static InterfaceAddress? RouterOf(HomeFile home, Ipv4Address address) =>
        home.AsFound()
            .SetUp.Boxes.OrderBy(b => b.Box != home.Site.Service.HandOff)
            .Select(b => b.Mode)
            .OfType<RouterMode>()
            .Select(r => (InterfaceAddress?)r.Lan)
            .FirstOrDefault(l => l!.Value.Subnet.Contains(address));

    /// <summary>"802.11ax", "11ac" or "Wi-Fi 6", as boxes and data sheets have it; null for anything else.</summary>
    private static WifiGeneration? Generation(string text)
    {
        var plain = text.ToLowerInvariant().Replace(" ", "", StringComparison.Ordinal).Replace("-", "", StringComparison.Ordinal);
        return plain switch
        {
            "802.11b" or "11b" => WifiGeneration.B,
            "802.11g" or "11g" or "802.11a" or "11a" => WifiGeneration.G,
            "802.11n" or "11n" or "wifi4" => WifiGeneration.N,
            "802.11ac" or "11ac" or "wifi5" => WifiGeneration.Ac,
            "802.11ax" or "11ax" or "wifi6" or "wifi6e" => WifiGeneration.Ax,
            "802.11be" or "11be" or "wifi7" => WifiGeneration.Be,
            _ => null,
        };
    }

    /// <summary>"2 streams" or "2x2"; null for anything else.</summary>
    private static int? Streams(string text)
    {
        var plain = text.ToLowerInvariant().Replace(" ", "", StringComparison.Ordinal);
        return
            plain.Length > 1
            && plain[0] is >= '1' and <= (char)('0' + WifiRate.MostStreams)
            && plain[1..] is var rest
            && (rest is "stream" or "streams" || rest == $"x{plain[0]}")
            ? plain[0] - '0'
            : null;
    }

    private static List<RadioBand> Bands(string text)
    {
        var found = new List<RadioBand>();
        foreach (
            var word in text.ToLowerInvariant()
                .Replace("ghz", "", StringComparison.Ordinal)
                .Split([' ', '+', '/', '&'], StringSplitOptions.RemoveEmptyEntries)
                .Where(w => w is not ("only" or "and"))
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
