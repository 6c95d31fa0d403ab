using System.Text.RegularExpressions;
using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// "Hall gateway, fibre gateway four, hall, 192.168.8.1, 00:00:5e:00:53:01, telephone"; "Loft node, mesh kit, node, by radio".
/// </summary>
internal static partial class QuickGear
{
    private const string Expected =
        $"a kind of the shelf, a place, an address, a MAC address, wifi and a name, 'as' and a mode, {QuickConnection.Expected}, telephone, alarm, in use, spare, to buy, reset or not reset may stand here";

    public static IReadOnlyList<Correction>? Read(HomeFile home, Shelf shelf, QuickWords words)
    {
        if (words.Name("a name") is not { } name)
        {
            return null;
        }
        var (connection, room) = (new QuickConnection(home.Site), new QuickRoom(home.Site));
        var box = new AddBox(name, "");
        var label = LabelFacts.Empty;
        var holds = new List<LineService>();
        (string First, string Last)? pool = null;
        bool? server = null;
        StoredState? stored = null;
        var unread = words.Unread(
            text =>
                QuickWords.Mac(text) is not { } read ? null
                : !read.Ok ? Parsed<string>.Fail(read.Error)
                : Then(() => box = box with { Mac = read.Value }, "MAC address"),
            text =>
                Address(text) is not { } read ? null
                : !read.Ok ? Parsed<string>.Fail(read.Error)
                : Then(() => label = label with { Address = read.Value }, "address of its page"),
            text =>
                After(text, "wifi ", "wi-fi ", "ssid ") is { } ssid
                    ? Then(() => label = label with { WifiName = ssid }, "Wi-Fi name")
                    : null,
            text =>
                After(text, "version ", "firmware ") is { } version
                    ? Then(() => label = label with { Firmware = version }, "firmware")
                    : null,
            text =>
                QuickWords.Is(text, "in use") ? Then(() => box = box with { InUse = true }, "in use today")
                : QuickWords.Is(text, "spare", "on the shelf", "not in use", "unused")
                    ? Then(() => box = box with { InUse = false }, "not in use")
                : null,
            text =>
                QuickWords.Is(text, "to buy", "to be bought", "wanted")
                    ? Then(() => box = box with { ToBuy = true, InUse = false }, "to buy")
                : QuickWords.Is(text, "reset", "factory", "factory settings", "at factory", "new")
                    ? Then(() => stored = StoredState.Factory, "left with the settings of the factory")
                : QuickWords.Is(text, "not reset", "from its last home", "last home", "as it was")
                    ? Then(() => stored = StoredState.LastHome, "left with the settings of its last home")
                : null,
            text =>
                QuickWords.Is(text, "no updates", "unsupported")
                    ? Then(() => label = label with { Supported = Known.No }, "its firmware gets no more updates")
                    : null,
            text =>
                Pools().Match(text) is { Success: true } match
                    ? Then(() => pool = (match.Groups["first"].Value, match.Groups["last"].Value), "DHCP pool")
                    : null,
            text =>
                QuickWords.Is(text, "dhcp off", "no dhcp") ? Then(() => server = false, "its DHCP server is off")
                : QuickWords.Is(text, "dhcp on", "dhcp") ? Then(() => server = true, "its DHCP server is on")
                : null,
            text => Service(text) is { } service ? Then(() => holds.Add(service), $"the {LineServiceWords.Of(service)} lives in it") : null,
            text =>
                After(text, "as ") is not { } said ? null
                : ModeWords.Read(said) is { } mode ? Then(() => box = box with { Mode = mode }, $"set to {ModeWords.Of(mode)}")
                : Parsed<string>.Fail($"'{Ipv4Address.Shown(said)}' is no mode, such as access point, repeater or bridge."),
            connection.Read,
            room.Read
        );
        var kind = Kind(shelf, words, name, unread);
        if (words.Error is not null || kind is null)
        {
            return null;
        }
        var id = Slugs.Of(name, i => home.Site.Uses(i) || i == room.Place, "box");
        // What is said of a box that lies there is what it was left with.
        var spare = !(box.InUse ?? (stored is null || box.Mode is not null || connection.Said != Connection.NotSaid));
        var left = stored ?? (spare && server is not null ? StoredState.LastHome : null);
        var read = server is { } on && !spare ? Partial<FoundSettings>.With(f => f.DhcpServer, on) : Partial<FoundSettings>.Nothing;
        if (pool is var (first, last))
        {
            var ends = (Ends(first, label.Address ?? kind.FactoryAddress), Ends(last, label.Address ?? kind.FactoryAddress));
            if (ends is not ({ Ok: true }, { Ok: true }))
            {
                words.Fail((ends.Item1.Error ?? ends.Item2.Error)!, 1);
                return null;
            }
            read = read.And(f => f.PoolFirst, ends.Item1.Value).And(f => f.PoolLast, ends.Item2.Value);
        }
        return
        [
            .. room.Making(),
            box with
            {
                Id = id,
                ShelfId = kind.ShelfId,
                Place = room.Place,
                Holds = holds,
                Label = label,
                Connection = connection.Said,
                InUse = spare ? box.InUse ?? false : box.InUse,
                Stored = left is null
                    ? StoredSettings.NotKnown
                    : new(left.Value)
                    {
                        DhcpServer =
                            spare && server is { } serves
                                ? serves
                                    ? Known.Yes
                                    : Known.No
                                : Known.Unknown,
                    },
            },
            .. read.Given.Count == 0 ? Array.Empty<Correction>() : [new SetFound(id, read)],
        ];
    }

    /// <summary>An end of a pool as typed: in full, or its last number, as in the subnet of the box.</summary>
    private static Parsed<Ipv4Address> Ends(string text, InterfaceAddress? own) =>
        text.TrimStart('.') is var number && number.Contains('.', StringComparison.Ordinal) ? Ipv4Address.Parse(number)
        : own is { } lan ? Ipv4Address.Parse($"{lan.Address.ToString()[..(lan.Address.ToString().LastIndexOf('.') + 1)]}{number}")
        : Parsed<Ipv4Address>.Fail("The pool is typed in full, such as pool 192.168.8.20-192.168.8.199.");

    /// <summary>
    /// The kind that the parts mean which nothing else took, all of them together, so that a name with commas is found too; where there
    /// are none, the one that the box's own name means. Where it is not told, what it may be is offered.
    /// </summary>
    private static Profile? Kind(Shelf shelf, QuickWords words, string name, IReadOnlyList<int> parts)
    {
        if (words.Error is not null)
        {
            return null;
        }
        var asked = parts.Count == 0 ? name : string.Join(' ', parts.Select(words.Text));
        var fitting = shelf.Fitting(asked);
        if (fitting is [var one])
        {
            Mean(parts, one);
            return one;
        }
        if (fitting.Count == 0 && parts.Count > 0)
        {
            // One part may be what is not understood, and the others the kind.
            foreach (var part in parts)
            {
                int[] others = [.. parts.Where(p => p != part)];
                if (shelf.Fitting(others.Length == 0 ? name : string.Join(' ', others.Select(words.Text))) is { Count: > 0 } left)
                {
                    Mean(others, left.Count == 1 ? left[0] : null);
                    words.Strange(part, Expected);
                    QuickRoom.Offer(words, part);
                    if (left.Count > 1)
                    {
                        Offer(words, [.. shelf.Near(asked).Where(left.Contains)], others.Length > 0 ? others[0] : part, parts);
                    }
                    return null;
                }
            }
        }
        var meant = shelf.Meant(asked);
        Mean(fitting.Count > 1 ? parts : [], null);
        words.FailAt(parts.Count > 0 ? parts[0] : 0, meant.Error!);
        Offer(words, fitting.Count > 0 ? fitting : shelf.Near(asked), parts.Count > 0 ? parts[0] : words.Count, parts);
        return null;

        void Mean(IReadOnlyList<int> said, Profile? profile)
        {
            foreach (var part in said)
            {
                words.Mean(
                    part,
                    profile is null ? "one of several kinds"
                        : part == said[0] ? profile.Name
                        : "its kind"
                );
            }
        }
    }

    /// <summary>Offers kinds in place of the parts that should have told it, each by words that mean it alone.</summary>
    private static void Offer(QuickWords words, IReadOnlyList<Profile> kinds, int piece, IReadOnlyList<int> without)
    {
        foreach (var kind in kinds)
        {
            words.Offer(kind.Name, piece, kind.Name, without);
        }
    }

    /// <summary>What stands behind the first of some words that a part begins with; null where it begins with none.</summary>
    private static string? After(string text, params ReadOnlySpan<string> words)
    {
        foreach (var word in words)
        {
            if (text.StartsWith(word, StringComparison.OrdinalIgnoreCase) && text[word.Length..].Trim() is { Length: > 0 } rest)
            {
                return rest;
            }
        }
        return null;
    }

    public static LineService? Service(string text) =>
        QuickWords.Is(text, "telephone", "phone line", "telephony") ? LineService.Telephone
        : QuickWords.Is(text, "television", "tv") ? LineService.Television
        : QuickWords.Is(text, "alarm") ? LineService.Alarm
        : null;

    /// <summary>
    /// An address; null where a part does not look like one. Where no mask was typed, it has that of the segment that it lies in, else /24
    /// (common practice).
    /// </summary>
    /// <param name="text">The part.</param>
    /// <param name="home">The home in whose segments it may lie; null for an address that stands on a label.</param>
    public static Parsed<InterfaceAddress>? Address(string text, HomeFile? home = null)
    {
        if (text.Count(c => c == '.') < 2 || text.Any(c => !char.IsAsciiDigit(c) && c is not ('.' or '/')))
        {
            return null;
        }
        if (text.Contains('/', StringComparison.Ordinal))
        {
            return InterfaceAddress.Parse(text);
        }
        var typed = Ipv4Address.Parse(text);
        var prefix = home is not null && typed.Ok ? QuickDevice.RouterOf(home, typed.Value)?.PrefixLength : null;
        return typed.Then<InterfaceAddress>(a => new InterfaceAddress(a, prefix ?? 24));
    }

    public static Parsed<string>? Then(Action act, string means)
    {
        act();
        return QuickWords.Means(means);
    }

    [GeneratedRegex(
        @"^(?:dhcp )?pool\s+(?<first>[\d.]{1,15})\s*(?:-|–|to)\s*(?<last>[\d.]{1,15})$",
        RegexOptions.NonBacktracking | RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture
    )]
    private static partial Regex Pools();
}
