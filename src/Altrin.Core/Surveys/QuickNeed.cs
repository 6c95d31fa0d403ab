using System.Globalization;
using System.Text.RegularExpressions;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>"Recorder, outside 8000", "Printer, found", "Study, calls", "guests", "telephone".</summary>
internal static partial class QuickNeed
{
    public static IReadOnlyList<Correction>? Read(HomeFile home, QuickWords words)
    {
        if (words.Name("a device, a place, guests, name, telephone or alarm") is not { } subject)
        {
            return null;
        }
        var needs = new List<Need>();
        var room = new QuickRoom(home.Site);
        if (QuickWords.Is(subject, "guests", "guests apart"))
        {
            needs.Add(new GuestsKeptApart(""));
            words.Rest("nothing more may stand here");
        }
        else if (QuickGear.Service(subject) is { } service)
        {
            needs.Add(new ServiceLives("", service));
            words.Rest("nothing more may stand here");
        }
        else if (QuickWords.Is(subject, "name", "keep name", "same name"))
        {
            words.Rest("nothing more may stand here");
            if (
                home.Site.Boxes.FirstOrDefault(b => b.Id == home.Site.Service.HandOff) is { } box
                && home
                    .SetUps.FirstOrDefault(s => s.Name == StartPlan.Found)
                    ?.Boxes.FirstOrDefault(b => b.Box == box.Id)
                    ?.Mode.Radios.FirstOrDefault(r => r.On)
                    is { } radio
            )
            {
                if (box.Assumed.WifiName == radio.Name && box.Label.WifiName is null)
                {
                    words.Fail(
                        $"The Wi-Fi name \"{radio.Name}\" of {box.Name} is assumed; type the one that is there into its sheet first.",
                        1
                    );
                }
                needs.Add(new KeepsNameAndPassword("", radio.Name, radio.Security, radio.Password));
            }
            else
            {
                words.Fail("The box at the line sends no name yet.", 1);
            }
        }
        else if (
            home.Site.Devices.FirstOrDefault(d => string.Equals(d.Name, subject, StringComparison.OrdinalIgnoreCase) || d.Id == subject) is
            { } device
        )
        {
            words.Rest(
                "outside and a port (8000, 3074 udp, 3074 both, 80->8080), found, server, delay or online may stand here",
                text =>
                    FromOutside(device.Id, text) is { Count: > 0 } asked
                        ? QuickGear.Then(
                            () => needs.AddRange(asked),
                            $"reached from outside on {string.Join(" and ", asked.Select(NeedWords.Ports))}"
                        )
                        : null,
                text =>
                    QuickWords.Is(text, "found")
                        ? QuickGear.Then(() => needs.Add(new FoundByOthers("", device.Id)), "found by every device")
                        : null,
                text =>
                    QuickWords.Is(text, "server", "served")
                        ? QuickGear.Then(() => needs.Add(new LocalServer("", device.Id)), "reached by every device of the home")
                        : null,
                text =>
                    QuickWords.Is(text, "delay", "low delay", "game", "calls")
                        ? QuickGear.Then(() => needs.Add(new LittleDelay("", device.Id)), "little delay")
                        : null,
                text =>
                    QuickWords.Is(text, "online")
                        ? QuickGear.Then(() => needs.Add(new StaysOnline("", device.Id)), "online during the work")
                        : null
            );
            if (needs.Count == 0)
            {
                words.Fail($"What is asked of {device.Name}? Such as outside 8000, found, server, delay or online.", 1);
            }
        }
        else if (room.Read(subject) is not null && room.Place is { } place)
        {
            words.Rest("calls may stand here", text =>
                QuickWords.Is(text, "calls", "video calls", "calling", "video") ? QuickWords.Means("calls over Wi-Fi") : null
            );
            needs.Add(new CallsInPlace("", place));
        }
        else
        {
            words.Fail(
                $"'{Ipv4Address.Shown(subject)}' is neither a device nor a place of this home, nor guests, name, telephone, television or alarm.",
                1
            );
            foreach (var like in Like(home.Site, subject))
            {
                words.Offer(like, 0, like, []);
            }
            if (words.Count == 1 || QuickWords.Is(words.Text(1), "calls"))
            {
                QuickRoom.Offer(words, 0);
            }
        }
        return words.Error is not null ? null : [.. room.Making(), .. needs.Select(n => new SetNeed(n))];
    }

    /// <summary>
    /// Devices and places whose name shares a word with what was typed, or its beginning, those that share most first; as many as can be
    /// offered.
    /// </summary>
    private static IEnumerable<string> Like(Site site, string typed)
    {
        var words = typed.Split(' ', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        return site
            .Devices.Select(d => d.Name)
            .Concat(site.Places.Select(p => p.Name))
            .Distinct(StringComparer.OrdinalIgnoreCase)
            .Select(name =>
                (Name: name, Shares: name.Split(' ').Max(part => words.Select(word => Shared(part, word)).DefaultIfEmpty().Max()))
            )
            // A shorter beginning than that is shared by chance, and what is typed wrong is often its end.
            .Where(n => n.Shares >= 3)
            .OrderByDescending(n => n.Shares)
            .Select(n => n.Name)
            .Take(QuickLine.MostOffers - 1);

        static int Shared(string a, string b) =>
            a.Zip(b).TakeWhile(c => char.ToUpperInvariant(c.First) == char.ToUpperInvariant(c.Second)).Count();
    }

    /// <summary>One need for each protocol: "outside 8000", "3074/udp", "3074 both", "udp 3074", "80->8080".</summary>
    private static List<ReachFromOutside> FromOutside(string device, string text)
    {
        if (Outside().Match(text) is not { Success: true } match)
        {
            return [];
        }
        var protocol = match.Groups["p"] is { Success: true } named ? named.Value.ToUpperInvariant() : "TCP";
        var (outside, inside) = (Number("outside"), match.Groups["inside"].Success ? Number("inside") : Number("outside"));
        Protocol[] protocols =
            protocol is "UDP" ? [Protocol.Udp]
            : protocol is "TCP" ? [Protocol.Tcp]
            : [Protocol.Tcp, Protocol.Udp];
        return
        [
            .. protocols.Select(p => new ReachFromOutside("", device, p, inside, false)
            {
                OutsidePort = inside == outside ? null : outside,
            }),
        ];

        int Number(string group) => int.Parse(match.Groups[group].ValueSpan, CultureInfo.InvariantCulture);
    }

    [GeneratedRegex(
        @"^(?:(?:from outside|outside|port|reached)\s*)?(?:(?<p>tcp|udp)\s*)?(?<outside>\d{1,5})(?:\s*(?:->|→|to)\s*(?<inside>\d{1,5}))?\s*/?\s*(?<p>both|tcp\s*(?:\+|/|and)\s*udp|udp\s*(?:\+|/|and)\s*tcp|tcp|udp)?$",
        RegexOptions.NonBacktracking | RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture
    )]
    private static partial Regex Outside();
}
