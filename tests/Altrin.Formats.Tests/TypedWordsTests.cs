using System.Text.RegularExpressions;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Formats.Tests;

/// <summary>What the trade types, and what is shown as an example, is understood by the shelf that comes with the program.</summary>
public sealed partial class TypedWordsTests
{
    private static readonly Shelf Shelf = ProfileFile.BuiltIn;

    private static HomeFile Begun { get; } =
        new[]
        {
            (QuickList.Places, "Hall\nStudy\nLoft"),
            (QuickList.Gear, "Hall gateway, fibre gateway four ports, hall, wifi Lantern"),
            (QuickList.Devices, "Recorder\nConsole\nPrinter"),
        }.Aggregate(
            new HomeFile(new("Home", new UnknownService(null, null), NamingSchool.OneName, [], [], []), [new("found", [], [], [])]),
            (home, line) => QuickEntry.Read(home, Shelf, line.Item1, line.Item2).Home!
        );

    [Theory]
    [InlineData("modem", "fibre-gateway", "fibre-terminal", "mobile-gateway")]
    [InlineData("cable modem", "cable-gateway")]
    [InlineData("ONT", "fibre-terminal")]
    [InlineData("hub", "fibre-gateway", "desk-switch-5")]
    [InlineData("isp router", "fibre-gateway", "dsl-gateway")]
    [InlineData("vdsl modem", "dsl-gateway", "dsl-gateway-port")]
    [InlineData("5G hub", "mobile-gateway")]
    [InlineData("extender", "plug-repeater", "small-repeater", "own-subnet-repeater")]
    [InlineData("wifi booster", "plug-repeater", "small-repeater")]
    [InlineData("Wi-Fi range extender", "plug-repeater", "small-repeater")]
    [InlineData("repeater", "plug-repeater", "small-repeater", "own-subnet-repeater")]
    [InlineData("AP", "wall-access-point", "ceiling-point", "outdoor-point")]
    [InlineData("outdoor AP", "outdoor-point", "outdoor-radio")]
    [InlineData("ceiling AP", "ceiling-point", "passive-point")]
    [InlineData("PoE switch", "power-switch")]
    [InlineData("8-port switch", "desk-switch-8", "managed-switch")]
    [InlineData("five port gigabit switch", "desk-switch-5")]
    [InlineData("homeplug", "powerline-unit", "powerline-small")]
    [InlineData("power line adapter", "powerline-unit", "powerline-small")]
    [InlineData("mesh satellite", "mesh-node", "mesh-node-three")]
    [InlineData("mesh pod", "mesh-node", "mesh-node-three")]
    [InlineData("mesh kit, node", "mesh-node")]
    [InlineData("Mesh kit, main node", "mesh-main")]
    [InlineData("bridge", "bridge-five")]
    [InlineData("PoE injector", "injector", "passive-injector")]
    [InlineData("coax adapter", "coax-unit")]
    public void Words_of_the_trade_mean_kinds(string words, params string[] among)
    {
        var fitting = Shelf.Fitting(words).Select(p => p.ShelfId).ToList();
        Assert.Empty(among.Except(fitting));
        // One word that is meant alone is taken without a question.
        Assert.True(among.Length > 1 || fitting.Count == 1, string.Join(' ', fitting));
        Assert.Equal(fitting.Count, fitting.Distinct().Count());
    }

    /// <summary>What is so first is offered before what can be so too: nine are offered at most.</summary>
    [Theory]
    [InlineData("AP", ModeKind.AccessPoint, "wall-access-point", "ceiling-point", "outdoor-point")]
    [InlineData("booster", ModeKind.Repeater, "plug-repeater", "small-repeater")]
    [InlineData("satellite", ModeKind.Satellite, "mesh-node", "mesh-node-three")]
    public void What_a_kind_is_first_is_offered_first(string words, ModeKind mode, params string[] among)
    {
        var fitting = Shelf.Fitting(words);
        Assert.Empty(among.Except(fitting.Take(QuickLine.MostOffers).Select(p => p.ShelfId)));
        Assert.Equal(mode, fitting[0].Modes[0]);
        var firsts = fitting.Select(p => p.Modes[0] == mode).ToList();
        Assert.True(firsts.SequenceEqual(firsts.OrderDescending()), string.Join(' ', fitting.Select(p => p.ShelfId)));
    }

    /// <summary>Every offer is a line that means what it says, whatever was ambiguous.</summary>
    [Theory]
    [InlineData("New box, router")]
    [InlineData("New box, hub, study")]
    [InlineData("New box, fibre gateway, spare")]
    [InlineData("New box, mesh node, loft, by radio")]
    [InlineData("New box, switch, 7 port")]
    [InlineData("New box, a thing of no kind with a router in it")]
    [InlineData("New box, desk router, barn")]
    [InlineData("New box")]
    [InlineData("Router")]
    public void What_may_be_meant_is_offered_as_lines_that_are_taken(string line)
    {
        var read = Assert.Single(QuickEntry.Read(Begun, Shelf, QuickList.Gear, line).Lines);
        Assert.NotNull(read.Error);
        Assert.True(read.Offers.Count <= QuickLine.MostOffers && (read.Offers.Count > 0 || line == "New box"), read.Error);
        foreach (var offer in read.Offers)
        {
            var taken = QuickEntry.Read(Begun, Shelf, QuickList.Gear, offer.Line);
            Assert.True(taken.Home is not null, $"{offer.Line}: {taken.Lines[0].Error}");
            var box = taken.Home.Site.Boxes[^1];
            Assert.True(box.Profile.Name == offer.Says || (offer.Says.StartsWith("make", StringComparison.Ordinal) && box.Place == "barn"));
        }
    }

    /// <summary>A gateway behind a box that only bridges is in use on it; a second one lies there until its line says more.</summary>
    [Theory]
    [InlineData("Terminal, ONT\nGateway, fibre gateway four ports", "terminal/lan1", true)]
    [InlineData("Terminal, ONT\nGateway, fibre gateway four ports, spare", null, true)]
    [InlineData("Terminal, ONT\nGateway, fibre gateway four ports\nOther, fibre gateway four ports", "terminal/lan1", false)]
    [InlineData("First, fibre gateway four ports\nGateway, fibre gateway four ports", null, true)]
    [InlineData("Terminal, ONT\nGateway, ONT", null, true)]
    [InlineData("Terminal, ONT, house\nGateway, fibre gateway four ports, barn", null, true)]
    [InlineData("Terminal, ONT, house\nGateway, fibre gateway four ports, house", "terminal/lan1", true)]
    public void A_gateway_behind_a_terminal_is_in_use(string lines, string? fedBy, bool alone)
    {
        var empty = new HomeFile(
            new("Home", new UnknownService(null, null), NamingSchool.OneName, [], [], [])
            {
                Buildings = [new("main", "Main"), new("far", "Far")],
                Places = lines.Contains("barn", StringComparison.Ordinal)
                    ? [new("house", "House"), new("barn", "Barn") { Building = "far" }]
                    : [new("house", "House")],
            },
            [new(StartPlan.Found, [], [], [])]
        );
        var found = QuickEntry.Read(empty, Shelf, QuickList.Gear, lines).Home!.AsFound();
        var cable = found.CableAt(new("gateway", "wan"));
        Assert.Equal(fedBy, cable?.OtherEnd(new("gateway", "wan")).ToString());
        Assert.Equal(fedBy is not null, found.Mode("gateway") is RouterMode);
        Assert.True(alone || found.Mode("other") is null);
    }

    [Fact]
    public void A_room_that_is_not_noted_is_offered_to_be_made()
    {
        var read = QuickEntry.Read(Begun, Shelf, QuickList.Devices, "Tablet, barn, 5");
        var offer = Assert.Single(read.Lines[0].Offers);
        Assert.Equal("Tablet, new barn, 5", offer.Line);
        var home = QuickEntry.Read(Begun, Shelf, QuickList.Devices, offer.Line + "\nLamp, barn").Home!;
        Assert.Equal(["barn", "barn"], home.Site.Devices.TakeLast(2).Select(d => d.Place));
        Assert.Equal("barn", home.Site.Places[^1].Name);
    }

    /// <summary>Examples on the page and in the documents, each taken as it stands.</summary>
    [Fact]
    public void Every_example_that_is_shown_is_taken()
    {
        var page = Field()
            .Matches(Samples.Page("Lists.tsx"))
            .SelectMany(m => m.Groups[2].Value.Split(" · ").Select(e => (m.Groups[1].Value, e)));
        var document = Row()
            .Matches(Samples.Document("survey.md"))
            .SelectMany(m => Code().Matches(m.Groups[2].Value).Select(c => (m.Groups[1].Value, c.Groups[1].Value)));
        (string List, string Line)[] shown = [.. page, .. document];
        Assert.Equal(
            ["devices", "gear", "internet service", "needs", "places", "service"],
            shown.Select(s => s.List).Distinct().Order(StringComparer.Ordinal)
        );
        foreach (var (list, line) in shown)
        {
            var read = QuickEntry.Read(
                Begun,
                Shelf,
                list == "internet service" ? QuickList.Service : Enum.Parse<QuickList>(list, true),
                line
            );
            Assert.True(read.Home is not null, $"{list}: {line}: {read.Lines[0].Error}");
        }
    }

    [GeneratedRegex("""field\(\s*"(\w+)",\s*"[^"]*",\s*"([^"]*)",?\s*\)""")]
    private static partial Regex Field();

    [GeneratedRegex("""^\| (internet service|places|gear|devices|needs) \|.*\| (`[^|]*`) \|$""", RegexOptions.Multiline)]
    private static partial Regex Row();

    [GeneratedRegex("`([^`]*)`")]
    private static partial Regex Code();
}
