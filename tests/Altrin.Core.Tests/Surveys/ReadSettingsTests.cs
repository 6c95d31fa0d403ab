using Altrin.Core.Changes;
using Altrin.Core.Planning;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Core.Tests.Surveys;

/// <summary>What is assumed of a box, and what becomes of it when its page is read.</summary>
public sealed class ReadSettingsTests
{
    private static readonly Shelf Shelf = new([
        Home.WithGateway().Design.Box("gw")!.Profile with
        {
            ShelfId = "gate",
            Name = "Gate",
            Kind = BoxKind.Gateway,
            FactoryAddress = Home.Own("192.168.8.1/24"),
            FactoryPool = null,
        },
    ]);

    /// <summary>A gateway, a device on its Wi-Fi and a repeater on it, as found and as planned.</summary>
    private static HomeFile House()
    {
        var empty = new HomeFile(new("Home", new UnknownService(null, null), NamingSchool.OneName, [], [], []), [new("found", [], [], [])]);
        var begun = Did(
            empty,
            new AddBox("gw", "gate"),
            new AddDevice(new("", "Phone", DeviceKind.Phone, null), new Automatic(), Connection.NotSaid)
        );
        var found = begun.Design("found")!;
        var rep = Home.WithGateway().Repeater("rep", "gw").Design;
        var joined = new RepeaterMode(
            new Automatic(),
            ((RepeaterMode)rep.Mode("rep")!).Link with
            {
                Name = found.Mode("gw")!.Radios[0].Name,
                Password = null,
            },
            []
        );
        return Did(
            begun with
            {
                Site = begun.Site with { Boxes = [.. begun.Site.Boxes, rep.Box("rep")!] },
                SetUps = [found.SetUp with { Boxes = [.. found.SetUp.Boxes, new("rep", joined)] }],
            },
            new StartPlan()
        );
    }

    private static HomeFile Did(HomeFile home, params Correction[] corrections) =>
        CorrectionList.Apply(home, Shelf, corrections) is { Ok: true } done
            ? done.Value
            : throw new InvalidOperationException(CorrectionList.Apply(home, Shelf, corrections).Error);

    private static HomeFile Planned(HomeFile home, Change change) => home.With(change.ApplyTo(home.Design("planned")!).Value);

    private static string Pool(HomeFile home, string setUp) => $"{((RouterMode)home.Design(setUp)!.Mode("gw")!).Server.Pool}";

    private static string Lan(HomeFile home, string setUp) => $"{((RouterMode)home.Design(setUp)!.Mode("gw")!).Lan}";

    [Fact]
    public void What_a_box_is_put_into_use_with_is_assumed_and_asked_for()
    {
        var home = House();
        var gateway = home.Site.Boxes[0];
        Assert.Equal(
            ("192.168.8.1/24", true, "192.168.8.100-192.168.8.199"),
            ($"{gateway.Assumed.LanAddress}", gateway.Assumed.DhcpServer, $"{gateway.Assumed.Pool}")
        );
        var gaps = SurveyGaps.Of(home.Design("found")!);
        Assert.Contains(gaps, g => g.Subject == "gw" && g.What.Contains("its pool 192.168.8.100-192.168.8.199", StringComparison.Ordinal));
        Assert.Contains(gaps, g => g.Subject == "gw" && g.What.Contains("Wi-Fi password", StringComparison.Ordinal));
    }

    [Fact]
    public void What_is_read_reaches_the_plan_only_where_that_still_holds_the_assumption()
    {
        var ends = Partial<FoundSettings>.With(f => f.PoolFirst, Home.At("192.168.8.20")).And(f => f.PoolLast, Home.At("192.168.8.60"));
        var read = new SetFound("gw", ends);
        var home = Did(House(), read);
        Assert.Equal(("192.168.8.20-192.168.8.60", "192.168.8.20-192.168.8.60"), (Pool(home, "found"), Pool(home, "planned")));
        Assert.Null(home.Site.Boxes[0].Assumed.Pool);
        Assert.NotNull(home.Site.Boxes[0].Assumed.LanAddress);
        Assert.Equal("How gw is set is noted, in found and planned", read.Describe(House()));

        var moved = Planned(House(), new MovePool("gw") { First = Home.At("192.168.8.50") });
        var kept = Did(moved, read);
        Assert.Equal(("192.168.8.20-192.168.8.60", "192.168.8.50-192.168.8.199"), (Pool(kept, "found"), Pool(kept, "planned")));
        Assert.Equal("How gw is set is noted", read.Describe(moved));
        // What was read once is not assumed any more, so that reading it again leaves the plan alone.
        var again = Did(
            Planned(home, new MovePool("gw") { First = Home.At("192.168.8.33") }),
            new SetFound("gw", ends.And(f => f.PoolFirst, Home.At("192.168.8.40")))
        );
        Assert.Equal(("192.168.8.40-192.168.8.60", "192.168.8.33-192.168.8.60"), (Pool(again, "found"), Pool(again, "planned")));
    }

    [Fact]
    public void A_pool_that_nobody_read_moves_along_and_stays_assumed()
    {
        var home = Did(House(), new SetFound("gw", Partial<FoundSettings>.With(f => f.LanAddress, Home.Own("10.0.0.1/24"))));
        Assert.Equal(("10.0.0.1/24", "10.0.0.100-10.0.0.199"), (Lan(home, "planned"), Pool(home, "planned")));
        Assert.Equal("10.0.0.100-10.0.0.199", $"{home.Site.Boxes[0].Assumed.Pool}");
        Assert.Null(home.Site.Boxes[0].Assumed.LanAddress);
    }

    [Fact]
    public void What_joins_by_Wifi_follows_a_name_and_password_that_are_read()
    {
        var home = Did(House(), new SetHouseWifi("Lantern", "key-1"));
        foreach (var design in new[] { home.Design("found")!, home.Design("planned")! })
        {
            Assert.All(design.Mode("gw")!.Radios, r => Assert.Equal(("Lantern", "key-1"), (r.Name, r.Password)));
            Assert.Equal(("Lantern", "key-1"), (design.Mode("rep")!.Joins!.Name, design.Mode("rep")!.Joins!.Password));
            Assert.Equal(("Lantern", "key-1"), (design.SetUp.Devices[0].Wifi!.Name, design.SetUp.Devices[0].Wifi!.Password));
        }
        Assert.Null(home.Site.Boxes[0].Assumed.WifiName);
        Assert.DoesNotContain(SurveyGaps.Of(home.Design("found")!), g => g.What.Contains("password", StringComparison.Ordinal));
    }

    /// <summary>Nodes of a mesh kit send what their main node sends: devices and bridges at a node follow too.</summary>
    [Fact]
    public void What_hangs_at_a_node_of_the_kit_follows_the_main_node()
    {
        var design = Home.WithGateway()
            .Satellite("node", "gw", "gw")
            .Bridge("far", "node")
            .Wifi("tablet", "node")
            .Wifi("guest", "node", "elsewhere")
            .Wifi("own", "gw", "home", "another")
            .Design;
        var home = new HomeFile(design.Site, [design.SetUp with { Name = "found" }]);
        var read = Did(home, new SetHouseWifi("Lantern", "key-1")).Design("found")!;
        Assert.Equal(
            ("node", "Lantern", "key-1"),
            (read.Mode("far")!.Joins!.Box, read.Mode("far")!.Joins!.Name, read.Mode("far")!.Joins!.Password)
        );
        // What looks for something else, or has a password of its own, stays as it was noted.
        Assert.Equal(
            ["elsewhere key", "Lantern another", "Lantern key-1"],
            new[] { "guest", "own", "tablet" }
                .Select(id => read.SetUp.Devices.Single(d => d.Device == id).Wifi!)
                .Select(w => $"{w.Name} {w.Password}")
        );
    }

    /// <summary>A label that is read later is the better assumption; once the page was read, the label changes nothing.</summary>
    [Fact]
    public void A_label_that_is_read_later_is_followed_as_long_as_no_page_was_read()
    {
        var label = new SetLabel(
            "gw",
            Partial<LabelFacts>.With(l => l.Address, Home.Own("192.168.1.254/24")).And(l => l.WifiName, "Label-7")
        );
        var home = Did(House(), label);
        Assert.Equal(("192.168.1.254/24", "192.168.1.254/24"), (Lan(home, "found"), Lan(home, "planned")));
        Assert.Equal("Label-7", home.Design("planned")!.SetUp.Devices[0].Wifi!.Name);
        Assert.Equal(("192.168.1.254/24", "Label-7"), ($"{home.Site.Boxes[0].Assumed.LanAddress}", home.Site.Boxes[0].Assumed.WifiName));
        Assert.Equal("192.168.1.254/24", $"{home.Site.Boxes[0].Label.Address}");
        var read = Did(House(), new SetFound("gw", Partial<FoundSettings>.With(f => f.LanAddress, Home.Own("10.0.0.1/24"))), label);
        Assert.Equal("10.0.0.1/24", Lan(read, "found"));
    }

    [Fact]
    public void What_cannot_be_is_refused()
    {
        string? Why(Correction correction) => correction.ApplyTo(House(), Shelf).Error;
        Assert.Contains(
            "10.0.0.1",
            $"{Why(new SetFound("gw", Partial<FoundSettings>.With(f => f.PoolFirst, Home.At("10.0.0.1"))))}",
            StringComparison.Ordinal
        );
        Assert.Contains(
            "left empty",
            Why(new SetFound("gw", Partial<FoundSettings>.With(f => f.WifiName, null))),
            StringComparison.Ordinal
        );
        Assert.Contains(
            "no LAN address",
            Why(new SetFound("rep", Partial<FoundSettings>.With(f => f.LanAddress, Home.Own("10.0.0.1/24")))),
            StringComparison.Ordinal
        );
        Assert.Contains(
            "sends no Wi-Fi",
            Why(new SetFound("rep", Partial<FoundSettings>.With(f => f.WifiName, "x"))),
            StringComparison.Ordinal
        );
        Assert.Contains("in use already", Why(new UseBox("gw", null, Connection.NotSaid)), StringComparison.Ordinal);
        Assert.Contains("are expected", Why(new SetHouseWifi(null, null)), StringComparison.Ordinal);
        Assert.Contains(
            "leave out 'spare'",
            Why(new AddBox("two", "gate") { InUse = false, Connection = Connection.Only(ConnectedBy.Cable) }),
            StringComparison.Ordinal
        );
        Assert.Contains("no box 'x'", Why(new UseBox("x", null, Connection.NotSaid)), StringComparison.Ordinal);
        // A name that is only assumed is not kept as a need.
        var need = QuickEntry.Read(House(), Shelf, QuickList.Needs, "name");
        Assert.Contains("is assumed", need.Lines[0].Error, StringComparison.Ordinal);
        Assert.NotNull(QuickEntry.Read(Did(House(), new SetHouseWifi("Lantern", null)), Shelf, QuickList.Needs, "name").Home);
    }

    [Fact]
    public void A_box_that_is_found_to_be_in_use_is_so_in_what_was_found_alone()
    {
        var spare = Did(House(), new AddBox("two", "gate"));
        var home = Did(spare, new UseBox("two", null, new(ConnectedBy.Cable, "gw", "3")));
        Assert.NotNull(home.Design("found")!.CableAt(new("gw", "lan3")));
        Assert.Null(home.Design("planned")!.Mode("two"));
        Assert.NotNull(home.Site.Boxes[^1].Assumed.Pool);
    }

    [Theory]
    [InlineData("Box, gate, pool .30-.60", "192.168.8.30-192.168.8.60", true)]
    [InlineData("Box, gate, pool 30 to 60, dhcp off", "192.168.8.30-192.168.8.60", false)]
    [InlineData("Box, gate, 10.0.0.1, pool 10.0.0.5 - 10.0.0.9", "10.0.0.5-10.0.0.9", true)]
    [InlineData("Box, gate, dhcp off", "192.168.8.100-192.168.8.199", false)]
    public void Pool_and_DHCP_server_are_typed_in_the_line(string line, string pool, bool on)
    {
        var empty = new HomeFile(new("Home", new UnknownService(null, null), NamingSchool.OneName, [], [], []), [new("found", [], [], [])]);
        var home = QuickEntry.Read(empty, Shelf, QuickList.Gear, line).Home!;
        var server = ((RouterMode)home.Design("found")!.Mode("box")!).Server;
        Assert.Equal((pool, on), ($"{server.Pool}", server.On));
        Assert.Equal(line.Contains("pool", StringComparison.Ordinal), home.Site.Boxes[0].Assumed.Pool is null);
    }
}
