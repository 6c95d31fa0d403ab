using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Planning;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Sheets;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Formats.Tests.Planning;

/// <summary>Gear that is bought where needs are not met with what is there, and not otherwise.</summary>
public sealed class BuyingTests
{
    private static readonly string Stone = Path.Combine(AppContext.BaseDirectory, "samples", "surveys", "stone-house.json");

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    /// <summary>A stone house so large that no place of its gateway serves all of it, with no other box.</summary>
    private static HomeFile Large()
    {
        var home = DesignFile.Read(File.ReadAllText(Stone)).Value!;
        return home with
        {
            Site = home.Site with
            {
                Boxes = [.. home.Site.Boxes.Where(b => b.Profile.Kind == BoxKind.Gateway)],
                Places = [.. home.Site.Places.Select(p => p with { LengthMetres = 4 * p.LengthMetres })],
                Needs = [.. home.Site.Places.Select(p => new CallsInPlace($"calls-{p.Id}", p.Id))],
            },
        };
    }

    private static HomeFile With(HomeFile home, params string[] kinds) =>
        home with
        {
            Site = home.Site with
            {
                Boxes =
                [
                    .. home.Site.Boxes,
                    .. kinds.Select((k, i) => new Box($"own-{i}", $"Own {i}", ProfileFile.BuiltIn.Find(k)!, null, null)),
                ],
            },
        };

    private static IReadOnlyList<PlanOption> Options(HomeFile home, bool buys = true) =>
        Planner.Plan(new(home.AsFound()) { Shelf = buys ? ProfileFile.BuiltIn.Profiles : [] }, stop: Stop).Options;

    private static string[] Bought(PlanOption option) => [.. option.Bought.Select(b => b.Profile.ShelfId).Order(StringComparer.Ordinal)];

    [Fact]
    public void An_access_point_with_its_injector_is_bought_where_a_need_asks_for_it()
    {
        var options = Options(Large());
        Assert.Equal(["injector", "wall-access-point"], Bought(options[0]));
        Assert.Equal((0, 0), (options[0].Score.Missed, options[0].Score.WillNotWork));
        // What can be had without buying stands beside it.
        Assert.Contains(options, o => Bought(o).Length == 0 && o.Score.Missed > 0);
        Assert.All(Options(Large(), buys: false), o => Assert.Empty(o.Bought));
    }

    [Theory]
    [InlineData("desk-router")]
    [InlineData("wall-access-point", "injector")]
    [InlineData("ceiling-point", "power-switch")]
    [InlineData("plug-repeater")]
    public void Nothing_is_bought_where_what_lies_there_does(params string[] own)
    {
        var first = Options(With(Large(), own))[0];
        Assert.Empty(Bought(first));
        Assert.Equal(0, first.Score.Missed);
    }

    /// <summary>An access point lies there, and only what feeds it is missing.</summary>
    [Fact]
    public void Only_what_is_missing_is_bought() => Assert.Equal(["injector"], Bought(Options(With(Large(), "wall-access-point"))[0]));

    [Fact]
    public void What_is_to_be_bought_is_noted_with_the_option_and_goes_with_it()
    {
        var home = Large();
        var options = Options(home);
        var chosen = options[0].ChosenIn(home);
        Assert.Equal(options[0].Bought.Select(b => b.Id), chosen.Site.Boxes.Where(b => b.ToBuy).Select(b => b.Id));
        Assert.NotNull(chosen.Design(HomeFile.PlannedName)!.Setting("wall-access-point-two-ports"));
        Assert.Equal(home.AsFound().SetUp, chosen.AsFound().SetUp);
        // It is written and read back, and what is found now has the same options, with the same boxes.
        var read = DesignFile.Read(DesignFile.Write(chosen)).Value!;
        Assert.Equal(DesignFile.Write(chosen), DesignFile.Write(read));
        var again = Options(read);
        Assert.Equal(
            options.Select(o => (o.Points, string.Join(',', o.Bought.Select(b => b.Id)))),
            again.Select(o => (o.Points, string.Join(',', o.Bought.Select(b => b.Id))))
        );
        // The run sheet says it before anything else.
        var sheet = RunSheet.Derive(State.Morning(read.AsFound()), read.Design(HomeFile.PlannedName)!.SetUp, Ways.Usual, Stop);
        Assert.Equal($"To buy before the evening: {string.Join(", ", options[0].Bought.Select(b => b.Name))}.", sheet.Material[0]);
        // Another option takes it off again; nothing else of the home is touched.
        var other = again.First(o => !o.Bought.Any()).ChosenIn(read);
        Assert.Equal(home.Site.Boxes.Select(b => b.Id), other.Site.Boxes.Select(b => b.Id));
        // What a person has given a name stays, as does what was bought by then.
        var named = new SetBox("injector", Partial<BoxFacts>.With(b => b.Name, "For the hall")).ApplyTo(read, ProfileFile.BuiltIn).Value!;
        Assert.Contains(again.First(o => !o.Bought.Any()).ChosenIn(named).Site.Boxes, b => b.Id == "injector");
        var there = new SetBox("injector", Partial<BoxFacts>.With(b => b.ToBuy, false)).ApplyTo(read, ProfileFile.BuiltIn).Value!;
        Assert.Contains(again.First(o => !o.Bought.Any()).ChosenIn(there).Site.Boxes, b => b.Id == "injector");
    }

    [Theory]
    [InlineData("Point, wall access point, to buy", true)]
    [InlineData("Point, wall access point, spare", false)]
    public void It_is_typed_as_that(string line, bool toBuy) =>
        Assert.Equal(toBuy, QuickEntry.Read(Large(), ProfileFile.BuiltIn, QuickList.Gear, line).Home!.Site.Boxes[^1].ToBuy);

    [Fact]
    public void It_is_there_once_something_of_its_label_is_noted()
    {
        var home = QuickEntry.Read(Large(), ProfileFile.BuiltIn, QuickList.Gear, "Point, wall access point, to buy").Home!;
        Correction[] notes =
        [
            new SetLabel("point", Partial<LabelFacts>.With(l => l.WifiName, "point-1234")),
            new SetBox("point", Partial<BoxFacts>.With(b => b.Mac, new MacAddress(0x02005E005311UL))),
            new SetBox("point", Partial<BoxFacts>.With(b => b.ToBuy, false)),
            new UseBox("point", null, Connection.NotSaid),
        ];
        Assert.All(notes, n => Assert.False(n.ApplyTo(home, ProfileFile.BuiltIn).Value!.Site.Boxes[^1].ToBuy));
        // Its name alone says nothing of that, and its label is no gap of the survey yet.
        var named = new SetBox("point", Partial<BoxFacts>.With(b => b.Name, "Landing point")).ApplyTo(home, ProfileFile.BuiltIn).Value!;
        Assert.True(named.Site.Boxes[^1].ToBuy);
        // Who notes two parts of a label at once does not get in the other's way, but for the first of them.
        Assert.Contains(notes[0].Touches(home, ProfileFile.BuiltIn), t => t.Part == nameof(Box.ToBuy));
        var there = notes[0].ApplyTo(home, ProfileFile.BuiltIn).Value!;
        Assert.DoesNotContain(notes[0].Touches(there, ProfileFile.BuiltIn), t => t.Part == nameof(Box.ToBuy));
        Assert.DoesNotContain(SurveyGaps.Of(named.AsFound()), g => g.What.Contains("Landing point", StringComparison.Ordinal));
    }

    /// <summary>The table of gear takes it along into another home.</summary>
    [Fact]
    public void It_is_taken_along_in_a_table()
    {
        var home = QuickEntry.Read(Large(), ProfileFile.BuiltIn, QuickList.Gear, "Point, wall access point, to buy").Home!;
        var read = SurveyTables.Read(SurveyTable.Gear, SurveyTables.Write(SurveyTable.Gear, home), Large(), ProfileFile.BuiltIn);
        Assert.Equal(home.Site.Boxes.Select(b => (b.Id, b.ToBuy)), read.Value!.Site.Boxes.Select(b => (b.Id, b.ToBuy)));
    }

    [Theory]
    [InlineData("Point, wall access point, to buy, 02:00:5e:00:53:11")]
    [InlineData("Point, wall access point, to buy, wifi point-1234")]
    [InlineData("Point, wall access point, to buy, at Hall gateway")]
    public void What_is_to_be_bought_is_not_read_or_in_use(string line) =>
        Assert.Null(QuickEntry.Read(Large(), ProfileFile.BuiltIn, QuickList.Gear, line).Home);
}
