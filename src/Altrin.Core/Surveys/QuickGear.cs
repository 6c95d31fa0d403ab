using Altrin.Core.Addressing;
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
                    ? Then(() => label = label with { Firmware = text[8..].Trim() }, "firmware")
                    : null,
            text =>
                QuickWords.Is(text, "in use") ? Then(() => inUse = true, "in use today")
                : QuickWords.Is(text, "spare", "on the shelf") ? Then(() => inUse = false, "not in use")
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
