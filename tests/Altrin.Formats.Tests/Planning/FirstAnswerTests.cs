using Altrin.Core.Planning;
using Altrin.Core.Procedures;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests.Planning;

/// <summary>Whether anything is needed at all, and what each box is good for: told from the options, with the shelf at hand.</summary>
public sealed class FirstAnswerTests
{
    private static Home House(params (string Id, double East, double North, int Floor)[] rooms)
    {
        var home = Home.WithGateway().Wifi("phone", "gw").Service(new PublicDynamic(100, 20) { HandOff = "gw", Line = Home.Asked });
        foreach (var (id, east, north, floor) in rooms)
        {
            home.Place(id, p => p with { EastMetres = east, NorthMetres = north, Floor = floor, LengthMetres = 4, WidthMetres = 4 });
        }
        return rooms.Length > 0 ? home.Stands("gw", rooms[0].Id) : home;
    }

    private static PlanAnswer Plan(Design found) =>
        Planner.Plan(new(found) { Shelf = ProfileFile.BuiltIn.Profiles }, stop: TestContext.Current.CancellationToken);

    private static FirstAnswer Of(Home home) => FirstAnswer.Of(home.Design, Plan(home.Design));

    private static Design Read(string sample) =>
        DesignFile.Read(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "samples", $"{sample}.json"))).Value!.AsFound();

    [Fact]
    public void A_small_flat_needs_nothing()
    {
        Assert.Equal(FirstAnswerKind.Keep, Of(House(("hall", 0, 0, 0), ("room", 6, 0, 0), ("bath", 0, 6, 0))).Kind);
        var flat = Read("surveys/flat-needs-nothing");
        Assert.Equal(FirstAnswerKind.Keep, FirstAnswer.Of(flat, Plan(flat)).Kind);
    }

    /// <summary>Calls are asked for at both ends: from the middle one box serves both.</summary>
    [Fact]
    public void A_gateway_at_one_end_is_moved_to_the_middle()
    {
        var home = House(("end", 0, 0, 0), ("middle", 12, 0, 0), ("far", 24, 0, 0));
        var answer = Of(home.Need(new CallsInPlace("a", "end")).Need(new CallsInPlace("b", "far")));
        Assert.Equal((FirstAnswerKind.Move, "Move gw to middle: from there it serves every room."), (answer.Kind, answer.Sentence));
        Assert.Contains("longer lead", answer.Reasons[^1], StringComparison.Ordinal);
    }

    [Fact]
    public void A_device_with_a_socket_that_hangs_at_nothing_takes_one_cable()
    {
        var found = House(("end", 0, 0, 0), ("far", 30, 0, 0)).Wired("tv", "gw/lan1").Stands("tv", "far").Design;
        found = found with { SetUp = found.SetUp with { Cables = [.. found.SetUp.Cables.Where(c => !c.Ends("tv"))] } };
        found = found with
        {
            Site = found.Site with
            {
                Devices = [.. found.Site.Devices.Select(d => d with { HasSocket = d.Id == "tv" ? Known.Yes : Known.Unknown })],
            },
        };
        Assert.Equal(FirstAnswerKind.OneCable, FirstAnswer.Of(found, Plan(found)).Kind);
    }

    [Fact]
    public void A_far_corner_takes_one_access_point_and_a_house_of_wings_takes_a_plan()
    {
        var one = Of(House(("end", 0, 0, 0), ("far", 45, 0, 0)).Need(new CallsInPlace("n", "far")).Need(new CallsInPlace("m", "end")));
        Assert.Equal(FirstAnswerKind.OneAccessPoint, one.Kind);
        Assert.Contains(one.Reasons, r =>
            r.StartsWith("Wall access point, two ports (to buy): access-point mode", StringComparison.Ordinal)
        );
        var wings = House(("end", 0, 0, 0), ("east", 45, 0, 0), ("west", -45, 0, 0));
        foreach (var place in new[] { "end", "east", "west" })
        {
            wings.Need(new CallsInPlace($"calls-{place}", place));
        }
        Assert.Equal(FirstAnswerKind.Plan, Of(wings).Kind);
    }

    [Fact]
    public void What_is_found_broken_takes_a_plan_and_wrong_names_only_a_new_name()
    {
        var twice = House(("hall", 0, 0, 0)).Router("in", "192.168.8.1/24").Cable("gw/lan1", "in/wan").Wired("tv", "in/lan1");
        var answer = Of(twice);
        Assert.Equal((FirstAnswerKind.Plan, "A plan is needed: what is found does not work as it is."), (answer.Kind, answer.Sentence));
        Assert.Contains(answer.Reasons, r => r.StartsWith("Double NAT: in behind gw", StringComparison.Ordinal));
        Assert.Equal(FirstAnswerKind.Rename, Of(House(("hall", 0, 0, 0)).Wifi("tablet", "gw", "old name")).Kind);
    }

    /// <summary>A name that was not read and a password that is not recorded are gaps in the notes, and nothing to set right.</summary>
    [Fact]
    public void What_is_only_assumed_is_no_fault()
    {
        var split = House(("hall", 0, 0, 0)).Point("point", name: "point-????").Cable("gw/lan1", "point/wan").Stands("point", "hall");
        Assert.Equal(FirstAnswerKind.Rename, Of(split).Kind);
        Assert.Equal(FirstAnswerKind.Keep, Of(split.Box("point", b => b with { Assumed = new(null, null, null, "point-????") })).Kind);
        Assert.Equal(FirstAnswerKind.Keep, Of(House(("hall", 0, 0, 0)).Wifi("tablet", "gw", "home", null)).Kind);
    }

    /// <summary>It never says that this is all while other things are open, and what serves nothing takes a plan.</summary>
    [Fact]
    public void What_else_is_open_is_told()
    {
        var names = House(("hall", 0, 0, 0)).Wifi("tablet", "gw", "old name").Country("AT");
        Assert.Equal("Wi-Fi names and passwords are all that has to be set right.", Of(names).Sentence);
        var more = Of(names.Edit<RouterMode>("gw", m => m with { PortRequests = true }));
        Assert.DoesNotContain("all that", more.Sentence, StringComparison.Ordinal);
        Assert.Contains(more.Reasons, r =>
            r.Contains("UPnP", StringComparison.Ordinal) || r.Contains("worth knowing", StringComparison.Ordinal)
        );
        var idle = Of(House(("hall", 0, 0, 0)).Repeater("rep", "gw", link: l => l with { Name = "elsewhere" }));
        Assert.Equal(FirstAnswerKind.Plan, idle.Kind);
        Assert.Contains("rep looks for \"elsewhere\", which gw does not send.", idle.Reasons);
    }

    /// <summary>What no box can do is not promised: behind carrier-grade NAT nothing is reached from outside.</summary>
    [Fact]
    public void A_need_that_nothing_meets_is_told_as_that()
    {
        var home = House(("hall", 0, 0, 0)).Wired("camera", "gw/lan1").Stands("camera", "hall");
        var answer = Of(
            home.Service(new CarrierNat(100, 20) { HandOff = "gw", Line = Home.Asked })
                .Need(new ReachFromOutside("n", "camera", Protocol.Tcp, 8000, AsksItself: false))
        );
        Assert.Equal("Nothing that is here, or could be bought, meets every need.", answer.Sentence);
        Assert.Contains("Carrier-grade NAT", answer.Reasons[0], StringComparison.Ordinal);
    }

    [Fact]
    public void Without_rooms_or_a_box_at_the_line_it_asks()
    {
        Assert.Equal(FirstAnswerKind.AskFirst, Of(House()).Kind);
        Assert.Equal(FirstAnswerKind.AskFirst, Of(Home.WithGateway()).Kind);
        Assert.Equal(FirstAnswerKind.AskFirst, Of(House(("hall", 0, 0, 0)).Place("somewhere")).Kind);
    }

    /// <summary>The demo home: what serves, what does harm with the reasons, and what would do as well.</summary>
    [Fact]
    public void Each_box_is_judged_by_the_options()
    {
        var found = Read("pottery-house");
        var answer = Plan(found);
        var spares = SpareVerdict.Of(found, answer).ToDictionary(s => s.Box);
        Assert.Equal(Worth.Good, spares["loft-router"].Worth);
        Assert.StartsWith("access-point mode behind Hall gateway", spares["loft-router"].For, StringComparison.Ordinal);
        Assert.Equal(Worth.NotNeeded, spares["old-router"].Worth);
        Assert.Contains(spares["old-router"].Reasons, r => r.Contains("protected by WPA with TKIP only", StringComparison.Ordinal));
        Assert.Contains(spares["old-router"].Reasons, r => r.Contains("points more than the first", StringComparison.Ordinal));
        Assert.DoesNotContain("hall-gateway", spares.Keys);
        // The gateway's ways: the first option is one of them, and the others have a price or cannot be gone.
        var ways = GatewayVerdict.Of(found, answer);
        Assert.Equal(6, ways.Count);
        Assert.Equal(GatewaySchool.StaysRouter, ways.Single(w => w.IsFirst).Way);
        Assert.Equal(0, ways.Single(w => w.IsFirst).More);
        Assert.All(ways, w => Assert.True(w.More is null or >= 0));
        Assert.All(ways.Where(w => w.Can == Known.No), w => Assert.Null(w.More));
        Assert.Contains(ways, w => w is { Way: GatewaySchool.Bridge, More: > 0 });
    }

    /// <summary>A second access point beside one that serves all of the home is not needed, and does no harm.</summary>
    [Fact]
    public void A_box_that_would_do_as_well_is_not_needed()
    {
        var found = House(("hall", 0, 0, 0)).Point("point").Cable("gw/lan1", "point/wan").Stands("point", "hall").Design;
        found = found with
        {
            SetUp = found.SetUp with
            {
                Boxes = [.. found.SetUp.Boxes.Where(b => b.Box != "point")],
                Cables = [.. found.SetUp.Cables.Where(c => !c.Ends("point"))],
            },
        };
        var verdict = SpareVerdict.Of(found, Plan(found)).Single();
        Assert.Equal(Worth.NotNeeded, verdict.Worth);
        Assert.NotEmpty(verdict.Reasons);
    }
}
