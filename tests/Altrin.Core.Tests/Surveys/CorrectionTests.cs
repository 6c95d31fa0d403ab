using Altrin.Core.Changes;
using Altrin.Core.Findings;
using Altrin.Core.Radio;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Core.Tests.Surveys;

public sealed class CorrectionTests
{
    private static readonly Profile Any = Home.WithGateway().Design.Box("gw")!.Profile;

    private static Shelf Shelf { get; } =
        new([
            Any with
            {
                ShelfId = "gate",
            },
            Any with
            {
                ShelfId = "route",
                Kind = BoxKind.Router,
                Modes = [ModeKind.Router, ModeKind.AccessPoint],
            },
            Any with
            {
                ShelfId = "plain",
                Kind = BoxKind.Switch,
                Modes = [ModeKind.Switch],
                Radios = [],
                Ports = [.. Any.Ports.Skip(1)],
            },
        ]);

    private static HomeFile Of(Design design) => new(design.Site, [design.SetUp with { Name = "found" }, design.SetUp]);

    private static HomeFile Apply(HomeFile home, params Correction[] corrections)
    {
        var done = CorrectionList.Apply(home, Shelf, corrections);
        Assert.True(done.Ok, done.Error);
        return done.Value;
    }

    private static string Refused(HomeFile home, Correction correction) => correction.ApplyTo(home, Shelf).Error ?? "";

    private static readonly Design Rooms = Home.WithGateway()
        .Place("hall", p => p with { Name = "Hall" })
        .Place("loft", p => p with { Name = "Loft" })
        .Design;

    [Theory]
    [InlineData(0, 0, 0, "")]
    [InlineData(-5, 1000, -1000, "")]
    [InlineData(50, -1000, 1000, "")]
    [InlineData(-6, 0, 0, "Floors are counted from -5 to 50; the ground floor is 0.")]
    [InlineData(51, 0, 0, "Floors are counted from -5 to 50; the ground floor is 0.")]
    [InlineData(0, 1000.5, 0, "A place lies within 1,000 metres of the corner of the plot.")]
    [InlineData(0, 0, -1000.5, "A place lies within 1,000 metres of the corner of the plot.")]
    public void A_place_lies_in_its_house(int floor, double east, double north, string refused)
    {
        var known = Partial<Place>.With(p => p.Floor, floor).And(p => p.EastMetres, east).And(p => p.NorthMetres, north);
        var done = new SetPlace("hall", known).ApplyTo(Of(Rooms), Shelf);
        Assert.Equal((refused, refused.Length == 0), (done.Error ?? "", done.Ok));
        Assert.Equal("", Refused(Of(Rooms), new SetPlace("hall", Partial<Place>.With(p => p.Floor, 1))));
    }

    [Theory]
    [InlineData("one", "two", null, null, "")]
    [InlineData("one", "two", 2, 10_000.0, "")]
    [InlineData("one", "two", 4, 10.0, "")]
    [InlineData("one", "two", 3, 10.0, "A run has 2 or 4 pairs connected.")]
    [InlineData("one", "one", 4, 10.0, "A run has two ends; both were the same socket.")]
    [InlineData("one", "none", 4, 10.0, "There is no socket 'none'.")]
    [InlineData("one", "taken", 4, 10.0, "One of these sockets has a run already.")]
    [InlineData("one", "two", 4, -1.0, "A length")]
    public void A_run_joins_two_free_sockets(string a, string b, int? pairs, double? length, string refused)
    {
        var sockets = new[] { "one", "two", "taken", "far" }.Select(s => new Socket(s, s, SocketKind.Data)).ToList();
        var home = Of(Rooms);
        home = home with { Site = home.Site with { Sockets = sockets, Runs = [new("old", "taken", "far", Medium.Cat5e)] } };
        var known = Partial<CableRun>
            .With(r => r.A, a)
            .And(r => r.B, b)
            .And(r => r.Medium, Medium.Cat6)
            .And(r => r.Pairs, pairs)
            .And(r => r.LengthMetres, length);
        var done = new SetRun("", known).ApplyTo(home, Shelf);
        Assert.StartsWith(refused, done.Error ?? "", StringComparison.Ordinal);
        Assert.Equal(refused.Length == 0, done.Ok);
        if (done.Ok)
        {
            var run = done.Value.Site.Runs.Single(r => r.Id != "old");
            Assert.Equal(("one-two", a, b, pairs, length), (run.Id, run.A, run.B, run.Pairs, run.LengthMetres));
            // What is noted already is corrected, not noted twice.
            Assert.Equal("", Refused(done.Value, new SetRun(run.Id, Partial<CableRun>.With(r => r.LengthMetres, 7))));
            Assert.Equal("One of these sockets has a run already.", Refused(done.Value, new SetRun("", known)));
        }
    }

    /// <summary>A kind is not taken where it lacks what a set-up uses of the box: what it lacks is said.</summary>
    [Fact]
    public void A_kind_that_lacks_what_is_used_is_not_taken()
    {
        var home = Of(Home.WithGateway().Wired("a", "gw/lan4").Design);
        Assert.Equal("", Taken(p => p));
        Assert.Contains("the mode router", Taken(p => p with { Modes = [ModeKind.AccessPoint] }));
        Assert.Contains("the port lan4", Taken(p => p with { Ports = [.. p.Ports.Where(o => o.Id != "lan4")] }));
        Assert.Contains("the radio r5", Taken(p => p with { Radios = [] }));
        var channelled = new SetRadio("gw", "r5", Partial<RadioSetting>.With(r => r.Channel, 36));
        home = home with { SetUps = [.. home.SetUps.Select(s => channelled.ApplyTo(new(home.Site, s)).Value)] };
        Assert.Contains("a channel", Taken(p => p with { Radios = [.. p.Radios.Select(r => r with { Band = RadioBand.Ghz2 })] }));
        Assert.Equal("", Taken(p => p with { Radios = [new("extra", RadioBand.Ghz2), .. p.Radios] }));

        string Taken(Func<Profile, Profile> kind) =>
            new TakeProfile("gw", "kind").ApplyTo(home, new Shelf([kind(Any) with { ShelfId = "kind" }])).Error ?? "";
    }

    [Fact]
    public void Taking_something_out_lets_go_of_whatever_leaned_on_it()
    {
        var design = Home.WithGateway()
            .Repeater("rep", "gw")
            .Satellite("sat", "gw", "gw")
            .Wifi("phone", "gw")
            .Wired("tv", "gw/lan1")
            .Found("tv")
            .Design;
        var home = Apply(Of(SurveyGenerator.Survey(design, 3)), new SetService(Partial<ServiceFacts>.With(f => f.HandOff, "gw")));
        var without = Apply(home, new Remove("gw"), new Remove("tv"), new Remove("room-1"), new Remove("socket-1"), new Remove("barn"));
        Assert.Null(without.Site.Service.HandOff);
        Assert.DoesNotContain(without.Site.Needs, n => n.About == "tv");
        Assert.DoesNotContain(without.Site.Runs, r => r.A == "socket-1");
        Assert.All(without.Site.Places, p => Assert.Null(p.Building));
        Assert.All(without.SetUps, s =>
        {
            Assert.Empty(s.Boxes);
            Assert.Empty(s.Cables);
            Assert.All(s.Devices, d => Assert.Null(d.Wifi));
        });
    }

    [Fact]
    public void A_plan_begins_as_a_copy_of_what_was_found_and_stays_apart_from_it()
    {
        var design = Home.WithGateway().Design;
        var begun = Apply(new(design.Site, [design.SetUp with { Name = "found" }]), new StartPlan());
        Assert.Empty(Difference.Between(begun.Site, begun.SetUps[0], begun.SetUps[1]).Changes);
        Assert.Contains("a plan already", Refused(begun, new StartPlan()), StringComparison.Ordinal);
        var kept = begun with { SetUps = [.. begun.SetUps, design.SetUp with { Name = "attic-later" }] };
        Assert.Equal(["found", "planned"], Apply(kept, new RemoveSetUp("attic-later")).SetUps.Select(s => s.Name));
        Assert.Equal("The set-up 'found' stays; undo takes a plan back.", Refused(kept, new RemoveSetUp("found")));
        Assert.Equal("There is no set-up 'attic'.", Refused(kept, new RemoveSetUp("attic")));
        Assert.Contains(
            "one set-up at least",
            Refused(new(design.Site, [design.SetUp with { Name = "a" }]), new RemoveSetUp("a")),
            StringComparison.Ordinal
        );
        var moved = begun.With(new SetLanAddress("gw", Home.Own("10.0.0.1/24")).ApplyTo(begun.Design("planned")!).Value);
        Assert.Equal("192.168.8.1/24", $"{((RouterMode)moved.Design("found")!.Mode("gw")!).Lan}");
    }

    [Fact]
    public void A_later_edition_is_offered_and_taken_where_what_is_in_use_is_still_there()
    {
        var box = Home.WithGateway().Design.Box("gw")! with { Profile = Any with { ShelfId = "gate" } };
        Assert.Null(Shelf.Newer(box));
        var later = new Shelf([Any with { ShelfId = "gate", Edition = 4 }]);
        Assert.Equal(4, later.Newer(box)!.Edition);
        var home = Of(Home.WithGateway().Wired("tv", "gw/lan1").Design);
        Assert.Equal(4, new TakeProfile("gw", "gate").ApplyTo(home, later).Value.Site.Boxes[0].Profile.Edition);
        Assert.Contains("the mode router", Refused(home, new TakeProfile("gw", "plain")), StringComparison.Ordinal);
        var narrow = new Shelf([Any with { ShelfId = "gate", Ports = [Any.Ports[0]] }]);
        Assert.Contains("the port lan1", new TakeProfile("gw", "gate").ApplyTo(home, narrow).Error, StringComparison.Ordinal);
    }

    public static TheoryData<string, Correction> Foolish =>
        new()
        {
            { "1 to 80 characters", new SetHome(Partial<HomeFacts>.With(h => h.Name, " ")) },
            { "Two capital letters", new SetHome(Partial<HomeFacts>.With(h => h.Country, "at")) },
            { "Two capital letters", new SetHome(Partial<HomeFacts>.With(h => h.Country, "XX")) },
            { "1 to 1,000,000", new SetService(Partial<ServiceFacts>.With(f => f.DownMbps, 0)) },
            {
                "outside 203.0.113.0/24",
                new SetService(Home.All(ServiceFacts.Of(new PublicFixed(Home.Own("203.0.113.4/24"), Home.At("198.51.100.1"), 1, 1))))
            },
            { "no box 'missing'", new SetService(Partial<ServiceFacts>.With(f => f.HandOff, "missing")) },
            { "'nothing' on the shelf", new AddBox("Box", "nothing") },
            {
                "no place 'nowhere'",
                new AddBox("Box", "gate") { Place = "nowhere" }
            },
            {
                "has the MAC address",
                new AddBox("Box", "gate") { Mac = Home.WithGateway().Design.Box("gw")!.Mac }
            },
            { "network address", new SetLabel("gw", Home.All(LabelFacts.Empty with { Address = Home.Own("192.168.1.0/24") })) },
            { "1 to 32 bytes", new SetLabel("gw", Home.All(LabelFacts.Empty with { WifiName = new string('é', 17) })) },
            { "referred to", new SetLabel("gw", Home.All(LabelFacts.Empty with { WifiPassword = "The Key Itself" })) },
            { "no device 'missing'", new SetDevice("missing", Home.All(new Device("missing", "Missing", DeviceKind.Other, null))) },
            {
                "listed once",
                new SetDevice(
                    "tv",
                    Home.All(new Device("tv", "TV", DeviceKind.Television, null) { Bands = [RadioBand.Ghz5, RadioBand.Ghz5] })
                )
            },
            { "0.3 to 500", new SetPlace("", Home.All(new Place("", "Barn") { LengthMetres = 0.1 })) },
            {
                "At most 60 networks",
                new SetPlace("", Home.All(new Place("", "Barn") { Air = new([.. Enumerable.Repeat(new HeardNetwork("a"), 61)]) }))
            },
            { "such as 2026-05-04T16:30Z", new SetPlace("", Home.All(new Place("", "Barn") { Air = new([]) { At = "yesterday" } })) },
            { "at most 128 characters", new SetPlace("", Home.All(new Place("", "Barn") { Air = new([new("a\nb")]) })) },
            { "from 1 to 233", new SetPlace("", Home.All(new Place("", "Barn") { Air = new([new("a") { Channel = 0 }]) })) },
            { "between -120 and 0 dBm", new SetPlace("", Home.All(new Place("", "Barn") { Air = new([new("a") { LevelDbm = 3 }]) })) },
            { "no building", new SetPlace("", Home.All(new Place("", "Barn") { Building = "barn" })) },
            { "1.5 to 10", new SetBuilding("", Home.All(new Building("", "House") { StoreyHeightMetres = 1 })) },
            { "no socket 'a'", new SetRun("", Home.All(new CableRun("", "a", "b", Medium.Cat6))) },
            { "no device 'missing'", new SetNeed(new LocalServer("", "missing")) },
            { "one port", new SetNeed(new ReachFromOutside("", "tv", Protocol.Tcp, 80, false) { OutsidePort = 80 }) },
            { "not a port", new SetNeed(new ReachFromOutside("", "tv", Protocol.Tcp, 80, false) { OutsidePort = 70_000 }) },
            { "asks for its own", new SetNeed(new ReachFromOutside("", "tv", Protocol.Tcp, 80, true) { OutsidePort = 81 }) },
            { "not a port", new SetNeed(new ReachFromOutside("", "tv", Protocol.Tcp, 70_000, false)) },
            { "no box 'missing'", new KeepSpeed(Measured with { Box = "missing" }) },
            { "no device 'gw'", new KeepSpeed(Measured with { From = "gw" }) },
            { "no port 'lan9'", new KeepSpeed(Measured with { Port = "lan9" }) },
            { "or the runs were made by Wi-Fi", new KeepSpeed(Measured with { Port = "lan1", By = RunBy.Ghz2 }) },
            { "no box or device 'missing'", new KeepSpeed(Measured with { To = "missing" }) },
            { "no place 'loft'", new KeepSpeed(Measured with { Place = "loft" }) },
            { "no place 'barn'", new KeepSpeed(Measured with { StoodIn = "barn" }) },
            { "such as 2026-05-04T16:30Z", new KeepSpeed(Measured with { At = "yesterday" }) },
            { "1 to 80 characters", new KeepSpeed(Measured with { SetUp = "" }) },
            { "1 to 1,000 runs", new KeepSpeed(Measured with { Runs = 0 }) },
            { "above 0 and up to 100,000", new KeepSpeed(Measured with { Down = new(50, 60, 70) }) },
            { "above 0 and up to 100,000", new KeepSpeed(Measured with { Up = new(50, 0, 70) }) },
            { "above 0 and up to 100,000", new KeepSpeed(Measured with { Down = new(50, 40, 200_000) }) },
            { "from 0 to 100 %", new SetPlace("", Home.All(new Place("", "Barn") { Air = new([new("a") { BusyPercent = 101 }]) })) },
            { "nothing called 'missing'", new Remove("missing") },
        };

    private static SpeedMeasure Measured => new("", "gw", RunBy.Cable, 3, new(90, 80, 95));

    /// <summary>
    /// What was measured alike takes the place of what was kept; what lies elsewhere is kept beside it, until its box goes.
    /// </summary>
    [Fact]
    public void A_speed_is_kept_in_place_of_the_one_measured_alike()
    {
        var home = Of(Home.WithGateway().Wired("tv", "gw/lan1").Point("ap").Place("loft").Design);
        var kept = Applied(
            home,
            new KeepSpeed(Measured),
            new KeepSpeed(Measured with { Down = new(50, 40, 60), At = "2026-05-04T16:30Z" }),
            new KeepSpeed(Measured with { From = "tv" }),
            new KeepSpeed(Measured with { Box = "ap", Place = "loft", StoodIn = "loft" })
        );
        Assert.Equal(
            [("speed-gw", 50, null), ("speed-gw-2", 90, "tv"), ("speed-loft", 90, null)],
            kept.Site.Speeds.Select(s => (s.Id, s.Down.Median, s.From))
        );
        Assert.Equal(["speed-gw", "speed-loft"], Applied(kept, new Remove("tv")).Site.Speeds.Select(s => s.Id));
        Assert.Equal(["speed-gw", "speed-gw-2"], Applied(kept, new Remove("ap")).Site.Speeds.Select(s => s.Id));
        var moved = Applied(kept, new Remove("loft")).Site.Speeds[2];
        Assert.Equal((null, null), (moved.Place, moved.StoodIn));
        Assert.Equal(["speed-gw-2", "speed-loft"], Applied(kept, new Remove("speed-gw")).Site.Speeds.Select(s => s.Id));

        static HomeFile Applied(HomeFile home, params Correction[] corrections) => CorrectionList.Apply(home, Shelf, corrections).Value;
    }

    [Theory]
    [MemberData(nameof(Foolish))]
    public void What_cannot_be_so_is_said(string says, Correction correction) =>
        Assert.Contains(says, Refused(Of(Home.WithGateway().Wired("tv", "gw/lan1").Design), correction), StringComparison.Ordinal);

    /// <summary>Whatever is corrected: the home can be proven, and every id in it leads somewhere.</summary>
    [Fact]
    public void Corrections_leave_a_home_whole()
    {
        var seen = new HashSet<string>();
        for (var seed = 1; seed <= 40; seed++)
        {
            var dice = new Random(seed);
            var home = Of(SurveyGenerator.Survey(DesignGenerator.Make(seed, 6), seed));
            for (var i = 0; i < 50; i++)
            {
                var correction = CorrectionGenerator.Make(dice, home, Shelf);
                var done = correction.ApplyTo(home, Shelf);
                Assert.NotEmpty(correction.Describe(home));
                if (done.Ok)
                {
                    seen.Add(correction.GetType().Name);
                    home = done.Value;
                }
            }
            var site = home.Site;
            Assert.True(site.Service.HandOff is not { } at || site.Boxes.Any(b => b.Id == at), $"seed {seed}");
            Assert.All(site.Needs, n =>
                Assert.True(
                    n.About.Length == 0 || site.Devices.Any(d => d.Id == n.About) || site.Place(n.About) is not null,
                    $"seed {seed}: {n}"
                )
            );
            Assert.All(home.SetUps, s =>
            {
                Assert.All(s.Boxes, b => Assert.Contains(b.Mode.Kind, site.Boxes.Single(x => x.Id == b.Box).Profile.Modes));
                Assert.All(s.Devices, d => Assert.True(d.Wifi is null || site.Boxes.Any(b => b.Id == d.Wifi.Box), $"seed {seed}"));
                Assert.All(s.Cables.SelectMany(c => new[] { c.A, c.B }), e =>
                    Assert.True(
                        e == PortRef.AtStreet || site.Devices.Any(d => d.Id == e.Owner) || s.Boxes.Any(b => b.Box == e.Owner),
                        $"seed {seed}: {e}"
                    )
                );
                _ = Judging.Prove(new(site, s));
            });
        }
        Assert.Equal(
            typeof(Correction)
                .Assembly.GetTypes()
                .Where(t => t.IsSubclassOf(typeof(Correction)))
                .Select(t => t.Name)
                .Where(n => n is not (nameof(StartPlan) or nameof(RemoveSetUp)))
                .Order(StringComparer.Ordinal),
            seen.Order(StringComparer.Ordinal)
        );
    }

    [Fact]
    public void A_second_building_brings_the_main_house_along()
    {
        var home = Apply(
            Of(Home.WithGateway().Design),
            new SetBuilding("", Home.All(new Building("", "Barn"))),
            new SetPlace("", Home.All(new Place("", "Hay loft") { Building = "barn" })),
            new SetPlace("", Home.All(new Place("", "Hall") { Building = "main-house" }))
        );
        Assert.Equal(["main-house", "barn"], home.Site.Buildings.Select(b => b.Id));
        Assert.Equal(["barn", null], home.Site.Places.Select(p => p.Building));
        Assert.Contains("it stays", Refused(home, new Remove("main-house")), StringComparison.Ordinal);
        Assert.Null(Apply(home, new Remove("barn")).Site.Places[0].Building);
    }

    [Fact]
    public void A_key_can_be_read_out_and_is_strong()
    {
        var dice = new Random(5);
        var keys = Enumerable.Range(0, 2000).Select(_ => SayableKey.Make(dice.Next)).ToList();
        Assert.Equal(keys.Count, keys.Distinct().Count());
        Assert.All(keys, k => Assert.Matches("^([bdfghkmnprstvw][aeiu]){2}[2-9](-([bdfghkmnprstvw][aeiu]){2}[2-9]){4}$", k));
        Assert.InRange(SayableKey.Bits, 70, 80);
    }

    [Fact]
    public void One_reference_is_exchanged_everywhere()
    {
        var home = Of(SurveyGenerator.Survey(DesignGenerator.Make(4, 9), 4));
        var before = KeyReferences.Of(home);
        var after = KeyReferences.Of(KeyReferences.Exchange(home, "key", "other-key"));
        Assert.Contains(before, u => u.Reference == "key");
        Assert.Equal(before.Count(u => u.Reference == "key"), after.Count(u => u.Reference == "other-key"));
        Assert.DoesNotContain(after, u => u.Reference == "key");
    }
}
