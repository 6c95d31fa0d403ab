using Altrin.Core.Changes;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Procedures;

/// <summary>
/// Where it is not known what a kind does, an act has an outcome for each way that there is: whatever the kind turns out to do, each
/// setting ends as it does in one of them, and the box is busy as in one of them.
/// </summary>
public sealed class OutcomeTests
{
    private const int Seed = 19101;
    private const int Rounds = 300;

    private static readonly Known[] Answers = [Known.Yes, Known.No];

    [Fact]
    public void Outcomes_of_unknown_habits_cover_what_any_known_habit_would_do()
    {
        var dice = new Random(Seed);
        var several = 0;
        for (var round = 0; round < Rounds; round++)
        {
            var (act, box) = Drawn(dice);
            var known = Habits(dice, box);
            var unknown = Forgotten(dice, known);
            var would = From(box, act, known);
            var may = From(box, act, unknown);
            var at = $"seed {Seed}, round {round}: {act}";
            Assert.True(would.Count >= 1 && may.Count <= Act.MostOutcomes, at);
            Assert.True(may.Count == 1 || may.Select(o => o.If).Distinct().Count() == may.Count, $"{at}: two outcomes are told alike");
            foreach (var outcome in would)
            {
                foreach (var (what, value) in Facets(outcome.After, box))
                {
                    Assert.True(may.Any(o => Facets(o.After, box)[what] == value), $"{at}: {what} would be {value}");
                }
            }
            several += may.Count > 1 ? 1 : 0;
        }
        Assert.InRange(several, Rounds / 4, Rounds);
    }

    private static (Act Act, string Box) Drawn(Random dice)
    {
        var box = dice.Next(2) == 0 ? "new" : "gw";
        Act[] acts =
        [
            new ResetBox(box),
            new SavePage(box, [new SetRadio(box, "r5", Partial<RadioSetting>.With(r => r.Name, "rowan"))]),
            new SavePage(box, [new SwitchDhcpServer(box, false)]),
            new SavePage(box, [new SetPagePassword(box, "other")]),
            new SavePage("new", [new SetMode("new", ModeKind.AccessPoint)]),
        ];
        var act = acts[dice.Next(acts.Length)];
        return (act, act is SavePage { Box: var of } ? of : box);
    }

    /// <summary>A kind of which everything is known: what its one page does, what its modes and a reset clear.</summary>
    private static Traits Habits(Random dice, string box)
    {
        ModeKind[] modes = [ModeKind.Router, box == "new" ? ModeKind.AccessPoint : ModeKind.Bridge];
        Setting[] clears = [.. ModeSettings.Radio, Setting.AdminPassword];
        var (restarts, drops) = (Answers[dice.Next(2)], Answers[dice.Next(2)]);
        return new()
        {
            PageSides = [PageSide.Cable],
            Pages = [new("all", [.. modes.SelectMany(ModeSettings.OnPages).Distinct()]) { Restarts = restarts, DropsWifi = drops }],
            Reset = new(ResetBy.Pinhole) { Keeps = box == "gw" && dice.Next(2) == 0 ? [Setting.Line] : [] },
            Effects =
            [
                .. modes.Select(m => new ModeEffect(m, m == ModeKind.Router || dice.Next(2) == 0 ? AddressAfter.Kept : AddressAfter.Leased)
                {
                    Clears = [.. clears.Where(_ => dice.Next(2) == 0)],
                }),
            ],
        };
    }

    /// <summary>The same kind with some of it not found out.</summary>
    private static Traits Forgotten(Random dice, Traits known) =>
        known with
        {
            Pages =
            [
                .. known.Pages!.Select(p =>
                    p with
                    {
                        Restarts = dice.Next(2) == 0 ? p.Restarts : Known.Unknown,
                        DropsWifi = dice.Next(2) == 0 ? p.DropsWifi : Known.Unknown,
                    }
                ),
            ],
            Reset = dice.Next(2) == 0 ? known.Reset : known.Reset! with { Keeps = null },
            Effects =
            [
                .. known.Effects!.Select(e =>
                    e with
                    {
                        Address = dice.Next(2) == 0 ? e.Address : AddressAfter.Unknown,
                        Clears = dice.Next(2) == 0 ? e.Clears : null,
                    }
                ),
            ],
        };

    private static IReadOnlyList<Outcome> From(string box, Act act, Traits traits)
    {
        var morning = State.Morning(InvariantTests.House().Traits(box, traits).Design);
        var seated = new LaptopToPort(PortRef.Read($"{box}/lan4")).From(morning).Value[0].After;
        var done = act.From(seated);
        Assert.True(done.Ok, done.Ok ? "" : $"{act}: {done.Error}");
        return done.Value;
    }

    /// <summary>Everything that an act may leave of a box, one by one.</summary>
    private static Dictionary<string, string> Facets(State after, string box)
    {
        var set = after.Design.Setting(box)!;
        var page = set.Mode switch
        {
            RouterMode router => $"{router.Lan}",
            AccessPointMode point => $"{point.Page}",
            _ => "",
        };
        var facets = new Dictionary<string, string>(StringComparer.Ordinal)
        {
            ["mode"] = $"{set.Mode.Kind}",
            ["password"] = set.Password ?? "",
            ["address"] = page,
            ["line"] = $"{(set.Mode as RouterMode)?.Line}",
            ["server"] = $"{(set.Mode as RouterMode)?.Server.On}",
            ["busy"] = string.Join(' ', after.Moment.Situation.BusyNow().Where(b => b.Box == box).Select(b => b.Kind)),
        };
        foreach (var radio in set.Mode.Radios)
        {
            (facets[$"{radio.Radio} on"], facets[$"{radio.Radio} name"]) = ($"{radio.On}", radio.Name);
            (facets[$"{radio.Radio} password"], facets[$"{radio.Radio} security"]) = ($"{radio.Password}", $"{radio.Security}");
        }
        return facets;
    }
}
