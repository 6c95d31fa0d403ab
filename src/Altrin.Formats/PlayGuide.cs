using System.Reflection;
using System.Text;
using System.Text.Json.Serialization;
using Altrin.Core.Procedures;

namespace Altrin.Formats;

/// <summary>The description of lists of acts (docs/acts.md), made from the acts, the invariants and the shelf.</summary>
public static class PlayGuide
{
    /// <summary>The document, in Markdown.</summary>
    public static string Text
    {
        get
        {
            var text = new StringBuilder(
                """
                # Acts: an evening, played

                Made by `altrin document acts`. `altrin play HOME ACTS` plays a list of acts on the simulated network of a home, from its
                set-up `found` to its set-up `planned`, and says for each act what is done, how long hands and the box take, what is
                refused and why, which invariant it breaks, and what the laptop then sees. At the end stands what the difference between the
                two takes at least: the hands' work summed over it without an order, which no list that leads there undercuts. The status
                is 0 when every act was done, nothing was broken or left undone, and the home is as planned; 1 otherwise; 2 for bad input.
                `--json` prints all of it as data. `--if-not N` says what may have gone wrong where act N does not show what it should: slips
                that are common (common practice), each played in its place and told by what is then seen; what shows nothing there is named
                with the act that will show it, among the next 40.

                A list is JSON: `format` "altrin-acts", `formatVersion` 1, `from` and `to` (names of set-ups, left out for `found` and
                `planned`), and `acts`, at most 500. Evenings typed by hand lie in [samples/evenings](../samples/evenings), each named as
                its home. Where it is not known what a kind of box does, an act has up to four outcomes; the usual one is taken, or the one
                that the act names (`"outcome": 2`). Members that may be empty inside `changes`, `address` and `known` are written as `null`.

                `ways` says how who works goes about it where good installers differ: the names and values of the last table. What is left
                out is the first named. A sheet that is worked out without a socket opens each page by Wi-Fi, and says what cannot be done
                so. An act that departs from them says so and is done all the same; `gateway`, `further` and `backhaul` are for the
                [options](planning.md). After each act the values that are not known yet are listed (an address that was leased, a login,
                what stands on a label), and what is for the evening only and has to be undone.

                Time counts seconds. Hands take the usual time of what they do; a box that starts, saves or is renewed is busy from then on,
                by the time that its profile notes, else by what is usual (common practice); `wait` and `waitUntilReady` let it pass. A page
                opens where the laptop gets to it: by the right cable or Wi-Fi, at the address where that box alone answers, with a login
                that is known. What stands on one page is saved together; a box whose pages are not noted saves one setting at a time and
                restarts each time.

                ## Acts

                | act | members | what is done |
                |---|---|---|

                """
            );
            foreach (var act in typeof(Act).GetCustomAttributes<JsonDerivedTypeAttribute>())
            {
                var members = AltrinJson
                    .Options.GetTypeInfo(act.DerivedType)
                    .Properties.Where(p => p.Name != "outcome")
                    .Select(p => $"`{p.Name}`{(p.IsRequired ? "" : " (may be left out)")}");
                text.Append($"| `{act.TypeDiscriminator}` | {string.Join(", ", members)} | {Says[(string)act.TypeDiscriminator!]} |\n");
            }
            text.Append(
                $"""

                `what` of `record` is a list of {Names<Recordable>()}; of `fetch` one of {Names<Fetchable>()}; of `verify` one of
                {Names<Verifiable>()}. `question` is one of {Names<ProviderQuestion>()}. `changes` are those of the [API](api.md).

                ## Invariants

                An act breaks one when it is violated after the act and was not before. At the end what was for the evening only must be undone.

                | number | code | what it asks |
                |---:|---|---|

                """
            );
            foreach (var rule in Invariant.All)
            {
                text.Append($"| {rule.Number} | `{rule.Code}` | {rule.Says} |\n");
            }
            text.Append(
                """

                Not judged, since nothing of it is in the model: of 7 the hand on the plug, of 11 firmware that is only renewed online, of 14 a
                firewall and remote administration, and the log-off of PPPoE before a box is unplugged. 18 asks; IPv6 is not simulated.

                ## What is not known of the shelf's pages

                | kind | what is not known |
                |---|---|

                """
            );
            var open = Shelf().ToList();
            foreach (var (name, lacking) in open)
            {
                text.Append($"| {name} | {string.Join("; ", lacking)} |\n");
            }
            text.Append($"\n{open.Sum(o => o.Lacking.Count)} facts in all. What is not known has an outcome for each way that there is.\n");
            text.Append(
                """

                ## Ways of working

                | way | value | what it is | what speaks for it (common practice) |
                |---|---|---|---|

                """
            );
            foreach (var (school, answer) in SchoolDocument.All.SelectMany(s => s.Answers.Select(a => (s, a))))
            {
                text.Append($"| `{school.Name}` | `{answer.Value}` | {school.Asks}: {answer.Says} | {answer.For} |\n");
            }
            foreach (var typed in SchoolDocument.All.Select(s => s.Typed).OfType<SchoolTypedDocument>())
            {
                text.Append($"| `{typed.Name}` | addresses | {typed.Asks}, with `{typed.With}` | |\n");
            }
            return text.ToString();
        }
    }

    private static readonly Dictionary<string, string> Says = new(StringComparer.Ordinal)
    {
        ["askProvider"] = "the provider is asked, and one waits for it",
        ["fetch"] = "firmware, a manual or label facts are brought along",
        ["record"] = "facts of a box are written down",
        ["tryLogin"] = "the login of a box is tried on its page",
        ["export"] = "the settings of a box are exported from its page",
        ["reset"] = "a box is reset, held as long as its kind wants",
        ["powerOff"] = "the plug of a box or device is pulled",
        ["powerOn"] = "a box or device gets power; a box from the shelf wakes at the table with what it holds",
        ["wait"] = "time passes",
        ["waitUntilReady"] = "time passes until a box is no longer busy",
        ["laptopToPort"] = "the laptop is plugged into a port; its Wi-Fi stays as it is",
        ["laptopOutOfPort"] = "the laptop's cable is pulled",
        ["laptopToWifi"] = "the laptop joins a Wi-Fi; its cable stays where it is",
        ["laptopOffWifi"] = "the laptop leaves its Wi-Fi, kept off it for now or (`forget`) for good",
        ["laptopAddress"] = "an address is typed into the laptop's socket, or it goes back to automatic",
        ["clearTable"] = "the laptop's address table is cleared and a private window is opened",
        ["openPage"] = "the page of a box is opened",
        ["save"] = "settings of one page are typed and saved",
        ["findPage"] = "a page is found again by the MAC address of its box",
        ["setInApp"] = "what only an application sets is set with it",
        ["patch"] = "a cable is plugged in",
        ["unpatch"] = "a cable is pulled out",
        ["carry"] = "a box is carried to a place: it loses power and starts there",
        ["putAway"] = "a box is taken out of use",
        ["firmware"] = "the firmware of a box is renewed",
        ["newLink"] = "a customer's device is switched off and on",
        ["deviceJoins"] = "a customer's device joins a Wi-Fi, or forgets it",
        ["deviceTakesAddress"] = "an address is typed into a customer's device",
        ["verify"] = "something is looked at, and refused where it is not so",
    };

    private static IEnumerable<(string Name, IReadOnlyList<string> Lacking)> Shelf() =>
        ProfileFile.BuiltIn.Profiles.Select(p => (p.Name, PageAt.NotKnown(p))).Where(p => p.Item2.Count > 0);

    private static string Names<T>()
        where T : struct, Enum => string.Join(", ", Enum.GetValues<T>().Select(v => $"`{AltrinJson.Name(v)}`"));
}
