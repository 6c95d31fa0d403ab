using Altrin.Core.Findings;
using Altrin.Core.Planning;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Planning;

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

    private static FirstAnswer Of(Home home) => FirstAnswer.Of(home.Design, Judging.Prove(home.Design));

    [Fact]
    public void A_small_flat_needs_nothing() =>
        Assert.Equal(FirstAnswerKind.Keep, Of(House(("hall", 0, 0, 0), ("room", 6, 0, 0), ("bath", 0, 6, 0))).Kind);

    [Fact]
    public void A_gateway_at_one_end_is_moved_to_the_middle()
    {
        var answer = Of(House(("end", 0, 0, 0), ("middle", 10, 0, 0), ("far", 20, 0, 0)));
        Assert.Equal((FirstAnswerKind.Move, true), (answer.Kind, answer.Sentence.Contains("to middle", StringComparison.Ordinal)));
    }

    [Fact]
    public void Where_all_that_is_far_has_a_socket_one_cable_is_enough()
    {
        var home = House(("end", 0, 0, 0), ("far", 30, 0, 0)).Wired("tv", "gw/lan1").Stands("tv", "far");
        Assert.Equal(FirstAnswerKind.OneCable, Of(home.Device("tv", d => d with { HasSocket = Known.Yes })).Kind);
        Assert.Equal(FirstAnswerKind.OneAccessPoint, Of(home.Need(new CallsInPlace("n", "far"))).Kind);
    }

    [Fact]
    public void A_far_corner_takes_one_access_point_and_two_take_a_plan()
    {
        var one = House(("end", 0, 0, 0), ("far", 20, 0, 0), ("further", 24, 0, 0));
        Assert.Equal(FirstAnswerKind.OneAccessPoint, Of(one).Kind);
        Assert.Contains("None of the spare boxes", Of(one).Reasons[^1], StringComparison.Ordinal);
        Assert.Equal(FirstAnswerKind.Plan, Of(House(("end", 0, 0, 0), ("east", 30, 0, 0), ("west", -30, 0, 0))).Kind);
    }

    [Fact]
    public void What_is_found_broken_takes_a_plan_and_wrong_names_only_a_new_name()
    {
        var twice = House(("hall", 0, 0, 0)).Router("in", "192.168.8.1/24").Cable("gw/lan1", "in/wan").Wired("tv", "in/lan1");
        Assert.Equal(FirstAnswerKind.Plan, Of(twice).Kind);
        Assert.Equal(FirstAnswerKind.Rename, Of(House(("hall", 0, 0, 0)).Wifi("tablet", "gw", "old name")).Kind);
    }

    /// <summary>A name that was not read and a password that is not recorded are gaps in the notes, and nothing to set right.</summary>
    [Fact]
    public void What_is_only_assumed_is_no_fault()
    {
        var split = House(("hall", 0, 0, 0)).Point("point", name: "point-????").Cable("gw/lan1", "point/wan");
        Assert.Equal(FirstAnswerKind.Rename, Of(split).Kind);
        Assert.Equal(FirstAnswerKind.Keep, Of(split.Box("point", b => b with { Assumed = new(null, null, null, "point-????") })).Kind);
        Assert.Equal(FirstAnswerKind.Keep, Of(House(("hall", 0, 0, 0)).Wifi("tablet", "gw", "home", null)).Kind);
    }

    /// <summary>It never says that this is all while other things are open.</summary>
    [Fact]
    public void What_else_is_open_is_counted_and_what_serves_nobody_takes_a_plan()
    {
        var names = House(("hall", 0, 0, 0)).Wifi("tablet", "gw", "old name");
        Assert.Equal("Wi-Fi names and passwords are all that has to be set right.", Of(names).Sentence);
        var more = names.Edit<RouterMode>("gw", m => m with { PortRequests = true });
        Assert.Equal(("Wi-Fi names and passwords have to be set right.", FirstAnswerKind.Rename), (Of(more).Sentence, Of(more).Kind));
        Assert.Contains("1 thing worth knowing", Of(more).Reasons[^1], StringComparison.Ordinal);
        var idle = Of(House(("hall", 0, 0, 0)).Repeater("rep", "gw", link: l => l with { Name = "elsewhere" }));
        Assert.Equal((FirstAnswerKind.Plan, "rep looks for \"elsewhere\", which gw does not send."), (idle.Kind, idle.Reasons[0]));
    }

    [Fact]
    public void Without_rooms_or_a_box_at_the_line_it_asks()
    {
        Assert.Equal(FirstAnswerKind.AskFirst, Of(House()).Kind);
        Assert.Equal(FirstAnswerKind.AskFirst, Of(Home.WithGateway()).Kind);
        var unsized = House(("hall", 0, 0, 0)).Place("somewhere");
        Assert.Equal(FirstAnswerKind.AskFirst, Of(unsized).Kind);
    }

    // Radio generation, its newest protection, fastest port, whether supported, what is sold; the verdict.
    [Theory]
    [InlineData(WifiGeneration.Ax, WifiSecurity.Wpa3, 1000, Known.Yes, 300, Worth.Good, "Nothing speaks against it")]
    [InlineData(WifiGeneration.G, WifiSecurity.Wpa2, 1000, Known.Yes, 300, Worth.Leave, "54 Mb/s class")]
    [InlineData(WifiGeneration.G, WifiSecurity.Wpa2, 1000, Known.Yes, 16, Worth.WithCare, "no more than 16")]
    [InlineData(WifiGeneration.N, WifiSecurity.WpaTkip, 1000, Known.Yes, 300, Worth.Leave, "no protection that holds")]
    [InlineData(WifiGeneration.Ac, WifiSecurity.Wpa2, 100, Known.Yes, 300, Worth.WithCare, "at most about 94")]
    [InlineData(WifiGeneration.Ac, WifiSecurity.Wpa2, 100, Known.Yes, 94, Worth.Good, "Nothing speaks")]
    [InlineData(WifiGeneration.Ac, WifiSecurity.Wpa2, 100, Known.Yes, 95, Worth.WithCare, "at most about 94")]
    [InlineData(WifiGeneration.Ac, WifiSecurity.Wpa2, 1000, Known.No, 300, Worth.WithCare, "no more updates")]
    public void A_spare_box_is_judged_with_the_reason(
        WifiGeneration generation,
        WifiSecurity newest,
        int port,
        Known supported,
        int sold,
        Worth worth,
        string says
    )
    {
        var box = Home.WithGateway()
            .Router("r")
            .Profile("r", p =>
                p with
                {
                    Ports = [.. p.Ports.Select(x => x with { SpeedMbps = port })],
                    Radios = [new("r5", RadioBand.Ghz5) { Generation = generation, NewestSecurity = newest }],
                }
            )
            .Box("r", b => b with { Label = new() { Supported = supported } })
            .Design.Box("r")!;
        var verdict = SpareVerdict.Of(box, new PublicDynamic(sold, null), null);
        Assert.Equal(worth, verdict.Worth);
        Assert.Contains(verdict.Reasons, r => r.Contains(says, StringComparison.Ordinal));
    }

    // The mode that it wakes in, its factory address; who has it, and whether a DHCP server wakes.
    [Theory]
    [InlineData(ModeKind.Router, "192.168.8.1/24", "gw", true)]
    [InlineData(ModeKind.Router, "192.168.8.9/24", "printer", true)]
    [InlineData(ModeKind.Router, "192.168.1.1/24", null, true)]
    [InlineData(ModeKind.AccessPoint, "192.168.8.9/24", "printer", false)]
    [InlineData(ModeKind.AccessPoint, "192.168.8.77/24", null, false)]
    [InlineData(ModeKind.Router, null, null, true)]
    public void A_box_that_would_wake_in_the_way_is_not_plugged_in(ModeKind mode, string? address, string? holder, bool server)
    {
        var home = Home.WithGateway()
            .Wired("printer", "gw/lan1", "192.168.8.9/24")
            .Point("spare")
            .Profile("spare", p => p with { Modes = [mode], FactoryAddress = address is null ? null : Home.Own(address) });
        Assert.Empty(WakingBox.Of(home.Design));
        var design = home.Design;
        design = design with { SetUp = design.SetUp with { Boxes = [.. design.SetUp.Boxes.Where(b => b.Box != "spare")] } };
        var said = WakingBox.Of(design);
        Assert.Equal(holder is null && !server ? 0 : 1, said.Count);
        Assert.All(said, w =>
        {
            Assert.StartsWith("Do not plug it in yet", w.Says, StringComparison.Ordinal);
            Assert.Equal(holder is not null, w.Says.Contains($"which {holder} has", StringComparison.Ordinal));
            Assert.Equal(server, w.Says.Contains("DHCP server", StringComparison.Ordinal));
        });
    }

    /// <summary>What a box holds says how it wakes; what is not known of its last home is not made up.</summary>
    [Theory]
    [InlineData(StoredState.Unknown, null, null, Known.Unknown, "it may wake at 192.168.8.1, which gw has, and with its DHCP server on.")]
    [InlineData(StoredState.Factory, null, null, Known.Unknown, "it wakes at 192.168.8.1, which gw has, and with its DHCP server on.")]
    [InlineData(StoredState.LastHome, null, null, Known.Unknown, "it may wake with its DHCP server on, beside the one of the home.")]
    [InlineData(StoredState.LastHome, null, null, Known.Yes, "it wakes with its DHCP server on, beside the one of the home.")]
    [InlineData(StoredState.LastHome, null, null, Known.No, null)]
    [InlineData(StoredState.LastHome, ModeKind.AccessPoint, "192.168.8.7/24", Known.Unknown, null)]
    [InlineData(StoredState.LastHome, ModeKind.AccessPoint, "192.168.8.9/24", Known.Unknown, "it wakes at 192.168.8.9, which printer has.")]
    [InlineData(
        StoredState.LastHome,
        ModeKind.Router,
        "192.168.8.9/24",
        Known.Unknown,
        "it wakes at 192.168.8.9, which printer has, and perhaps with its DHCP server on."
    )]
    public void A_box_wakes_with_what_it_was_left_with(StoredState state, ModeKind? mode, string? address, Known server, string? says)
    {
        var design = Home.WithGateway()
            .Wired("printer", "gw/lan1", "192.168.8.9/24")
            .Router("spare")
            .Profile("spare", p => p with { FactoryAddress = Home.Own("192.168.8.1/24") })
            .Box("spare", b => b with { Stored = new(state)
                    {
                        Mode = mode,
                        Address = address is null ? null : Home.Own(address),
                        DhcpServer = server,
                    } })
            .Design;
        design = design with { SetUp = design.SetUp with { Boxes = [.. design.SetUp.Boxes.Where(b => b.Box != "spare")] } };
        Assert.Equal(
            says is null ? [] : new[] { $"Do not plug it in yet: {says} Set it at the laptop alone first." },
            WakingBox.Of(design).Select(w => w.Says)
        );
    }

    [Fact]
    public void Firmware_that_is_supported_until_a_day_is_judged_on_the_day()
    {
        var box = Home.WithGateway()
            .Router("r")
            .Box("r", b => b with { Label = new() { SupportedUntil = new(2027, 3, 31) } })
            .Design.Box("r")!;
        Worth On(int month) => SpareVerdict.Of(box, new PublicDynamic(100, null), new DateOnly(2027, month, 31)).Worth;
        Assert.Equal((Worth.Good, Worth.WithCare), (On(3), On(5)));
    }

    [Fact]
    public void What_a_gateway_can_be_made_is_listed_with_what_is_lost()
    {
        var home = Home.WithGateway()
            .Passes("gw", PassKind.Port, "lan1", Known.No, Known.Yes)
            .Box("gw", b => b with { Holds = [LineService.Telephone] });
        var ways = GatewayWays.Of(home.Design.Box("gw")!).ToDictionary(w => w.Way);
        Assert.Equal(
            (Known.Yes, Known.Yes, Known.Unknown),
            (ways[GatewayWay.Bridge].Can, ways[GatewayWay.PassByPort].Can, ways[GatewayWay.Dmz].Can)
        );
        Assert.Contains("the internet on its other ports", ways[GatewayWay.PassByPort].Loses);
        Assert.Contains("perhaps the telephone: ask the provider", ways[GatewayWay.Bridge].Loses);
        Assert.Empty(ways[GatewayWay.StaysRouter].Loses);
    }

    [Fact]
    public void Gaps_close_as_the_survey_goes_on()
    {
        var bare = SurveyGaps.Of(
            new(new("Home", new UnknownService(null, null), NamingSchool.OneName, [], [], []), new("found", [], [], []))
        );
        Assert.Equal("No gear is noted.", Assert.Single(bare).What);
        Assert.Contains(SurveyGaps.Of(Home.WithGateway().Service(new UnknownService(null, null)).Design), g =>
            g.How.Contains("100.64", StringComparison.Ordinal)
        );
        var full = House(("hall", 0, 0, 0))
            .Need(new GuestsKeptApart("n"))
            .Profile("gw", p => p with { FactoryAddress = Home.Own("192.168.8.1/24") });
        Assert.Equal("The country is not noted.", Assert.Single(SurveyGaps.Of(full.Design)).What);
        Assert.Empty(SurveyGaps.Of(full.Country("AT").Design));
    }
}
