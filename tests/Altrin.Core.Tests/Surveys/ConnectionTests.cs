using Altrin.Core.Changes;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Core.Tests.Surveys;

/// <summary>How what is typed comes to be connected: as it was said, as is usual in the same building, or not at all.</summary>
public sealed class ConnectionTests
{
    private static readonly Shelf Shelf = new([
        Of("gateway", BoxKind.Gateway, "", ModeKind.Router),
        Of("router", BoxKind.Router, "", ModeKind.Router, ModeKind.AccessPoint),
        Of("point", BoxKind.AccessPoint, "", ModeKind.AccessPoint),
        Of("repeater", BoxKind.AccessPoint, "", ModeKind.Repeater, ModeKind.AccessPoint),
        Of("bridge", BoxKind.AccessPoint, "", ModeKind.WirelessBridge),
        Of("base", BoxKind.Router, "kit", ModeKind.AccessPoint),
        Of("node", BoxKind.AccessPoint, "kit", ModeKind.Satellite),
        Of("switch", BoxKind.Switch, "", ModeKind.Switch),
        Of("powerline", BoxKind.Powerline, "", ModeKind.Switch),
        Of("injector", BoxKind.Injector, "", ModeKind.Switch),
        WanOnly(Of("stick", BoxKind.Router, "", ModeKind.Router)),
    ]);

    private static Profile Of(string id, BoxKind kind, string kit, params ModeKind[] modes) =>
        Home.WithGateway().Design.Box("gw")!.Profile is var usual
            ? usual with
            {
                ShelfId = id,
                Name = id,
                Kind = kind,
                Modes = modes,
                WanPortJoins = true,
                Kit = kit.Length > 0 ? kit : null,
                Radios = kind is BoxKind.Switch or BoxKind.Powerline or BoxKind.Injector ? [] : usual.Radios,
            }
            : throw new InvalidOperationException();

    private static Profile WanOnly(Profile profile) => profile with { Ports = [.. profile.Ports.Where(p => p.Role == PortRole.Wan)] };

    /// <summary>A house with a hall and a study, a barn in a building of its own, and a garden.</summary>
    private static HomeFile House { get; } =
        new(
            new("Home", new UnknownService(null, null), NamingSchool.OneName, [], [], [])
            {
                Buildings = [new("house", "House"), new("far", "Far")],
                Places =
                [
                    new("hall", "Hall"),
                    new("study", "Study") { Floor = 1 },
                    new("garden", "Garden") { Kind = PlaceKind.Outdoors },
                    new("barn", "Barn") { Building = "far" },
                    new("loft", "Barn loft") { Building = "far", Floor = 1 },
                ],
            },
            [new("found", [], [], [])]
        );

    private static Design Read(params string[] lines) => Typed(lines).Design("found")!;

    /// <summary>Lines for gear; for devices behind a hash.</summary>
    private static HomeFile Typed(params string[] lines) => lines.Aggregate(House, (home, line) =>
        {
            var device = line.StartsWith('#');
            var read = QuickEntry.Read(home, Shelf, device ? QuickList.Devices : QuickList.Gear, device ? line[1..] : line);
            Assert.True(read.Home is not null, $"{line}: {read.Lines[0].Error}");
            return read.Home;
        });

    /// <summary>What hangs where, in a word: the far end of the only cable, or the box joined by radio; "-" for nothing.</summary>
    private static string At(Design found, string id) =>
        found
            .SetUp.Cables.Where(c => c.Ends(id))
            .OrderBy(c => c.Id, StringComparer.Ordinal)
            .Select(c => $"{c.OtherEnd(c.A.Owner == id ? c.A : c.B)}")
            .ToList()
            is { Count: > 0 } cables
            ? string.Join(' ', cables)
            : found.Mode(id) switch
            {
                SatelliteMode node => node.Main == id ? "-" : $"~{node.Main}{(node.By == node.Main ? "" : $" by {node.By}")}",
                { Joins: { } link } => link.Box == id ? "-" : $"~{link.Box}",
                not null => "-",
                null => found.SetUp.Devices.FirstOrDefault(d => d.Device == id)?.Wifi is { } wifi ? $"~{wifi.Box}" : "-",
            };

    [Theory]
    // As is usual in the same building.
    [InlineData("Two, router, in use, hall", "gw/lan1")]
    [InlineData("Two, switch, in use, study", "gw/lan1")]
    [InlineData("Two, repeater, in use, study", "~gw")]
    [InlineData("Two, repeater, in use, garden", "~gw")]
    [InlineData("Two, stick, in use, study", "-")]
    // Nothing is taken for granted across buildings; a bridge is there to cross.
    [InlineData("Two, router, in use", "-")]
    [InlineData("Two, router, in use, barn", "-")]
    [InlineData("Two, point, in use, barn", "-")]
    [InlineData("Two, repeater, in use, barn", "-")]
    [InlineData("Two, bridge, in use, barn", "~gw")]
    // As was said.
    [InlineData("Two, router, barn, by cable, at gw", "gw/lan1")]
    [InlineData("Two, router, study, at gw port 3", "gw/lan3")]
    [InlineData("Two, router, study, port 2", "gw/lan2")]
    [InlineData("Two, repeater, study, by cable", "gw/lan1")]
    [InlineData("Two, repeater, barn, at gw", "~gw")]
    [InlineData("Two, stick, at gw, by radio", "~gw")]
    [InlineData("Two, stick, study, by cable", "gw/lan1")]
    [InlineData("Two, router, as access point, study", "gw/lan1")]
    public void A_box_is_connected_as_said_or_usual(string line, string at)
    {
        var found = Read("gw, gateway, hall", line);
        Assert.Equal(at, At(found, "two"));
        Assert.NotNull(found.Mode("two"));
        Assert.Equal(found.SetUp.Cables.Count, at.Contains('/', StringComparison.Ordinal) ? 2 : 1);
    }

    [Theory]
    [InlineData("Two, repeater, by cable, study", ModeKind.AccessPoint)]
    [InlineData("Two, router, by radio, study", ModeKind.Router)]
    [InlineData("Two, router, as AP, study", ModeKind.AccessPoint)]
    [InlineData("Two, node, by cable, study", ModeKind.Satellite)]
    public void The_mode_follows_how_it_is_connected(string line, ModeKind mode) =>
        Assert.Equal(mode, Read("gw, gateway, hall", line).Mode("two")!.Kind);

    [Theory]
    [InlineData("#Thing, study", "~gw")]
    [InlineData("#Thing, barn", "-")]
    [InlineData("#Thing, barn, cable", "-")]
    [InlineData("#Thing, barn, cable, at gw", "gw/lan2")]
    [InlineData("#Thing, study, cable", "two/lan1")]
    [InlineData("#Thing, hall, cable", "gw/lan2")]
    [InlineData("#Thing, at Two", "two/lan1")]
    [InlineData("#Thing, at two lan 4", "two/lan4")]
    [InlineData("#Thing, at gw", "~gw")]
    [InlineData("#Thing, at gw, port 3", "gw/lan3")]
    [InlineData("#Thing, at Study", "~gw")]
    public void A_device_is_connected_as_said_or_usual(string line, string at) =>
        Assert.Equal(at, At(Read("gw, gateway, hall", "Two, switch, study, in use", line), "thing"));

    [Fact]
    public void Nodes_of_a_kit_join_their_main_node_whenever_it_comes()
    {
        var early = Read("Early, node, in use, study");
        Assert.Equal("-", At(early, "early"));
        var found = Read(
            "Early, node, in use, study",
            "gw, gateway, hall",
            "Main, base, at gw",
            "Late, node, in use, barn",
            "Third, node, at Late, loft"
        );
        Assert.Equal(["~main", "~main", "~main by late"], new[] { "early", "late", "third" }.Select(n => At(found, n)));
    }

    [Fact]
    public void Units_in_the_mains_are_paired_in_one_building()
    {
        var found = Read(
            "gw, gateway, hall",
            "One, powerline, in use, hall",
            "Two, powerline, in use, study",
            "Far, powerline, in use, barn"
        );
        var pair = Assert.Single(found.SetUp.Cables, c => c.Medium == Medium.Powerline);
        Assert.True(pair.Ends("one") && pair.Ends("two"));
        Assert.Contains(found.SetUp.Cables, c => c.Ends("gw") && c.Ends("one"));
        Assert.Equal("-", At(found, "far"));
    }

    /// <summary>What was typed before the gateway finds its place when it comes; a later box moves nothing.</summary>
    [Fact]
    public void What_was_typed_first_waits_for_the_box_at_the_line()
    {
        string[] early = ["#Phone, hall", "#Printer, cable, study", "#Sensor, barn", "Two, switch, in use, study"];
        Assert.All(["phone", "printer", "sensor", "two"], id => Assert.Equal("-", At(Read(early), id)));
        var found = Read([.. early, "gw, gateway, hall", "Three, point, in use, barn"]);
        Assert.Equal(["~gw", "two/lan1", "-", "-"], new[] { "phone", "printer", "sensor", "three" }.Select(id => At(found, id)));
        Assert.Contains("gw/lan1", At(found, "two"), StringComparison.Ordinal);
    }

    /// <summary>A typed address has the mask and the gateway of the segment that it lies in.</summary>
    [Theory]
    [InlineData("192.168.1.50", "192.168.1.50/24", "192.168.1.1")]
    [InlineData("10.5.9.9", "10.5.9.9/16", "10.5.0.1")]
    [InlineData("10.5.9.9/24", "10.5.9.9/24", "10.5.0.1")]
    [InlineData("172.20.1.1", "172.20.1.1/24", null)]
    public void A_typed_address_takes_the_mask_of_its_segment(string typed, string address, string? gateway)
    {
        var home = Typed("gw, gateway, hall", "Two, router, study, in use");
        home = new SetFound("two", Partial<FoundSettings>.With(f => f.LanAddress, Home.Own("10.5.0.1/16"))).ApplyTo(home, Shelf).Value;
        var read = QuickEntry.Read(home, Shelf, QuickList.Devices, $"Thing, study, cable, {typed}").Home!;
        var at = (Fixed)read.Design("found")!.SetUp.Devices.Single().Address;
        Assert.Equal((address, gateway), ($"{at.Address}", at.Gateway?.ToString()));
    }

    [Fact]
    public void An_injector_feeds_only_what_is_said_to_hang_there()
    {
        string[] begun = ["gw, gateway, hall", "Power, injector, in use, study"];
        Assert.Equal("gw/lan2", At(Read([.. begun, "Point, point, in use, study"]), "point"));
        Assert.Equal("power/lan2", At(Read([.. begun, "Point, point, at Power, port 2"]), "point"));
    }

    /// <summary>What cannot be so in what was found is refused; a plan in which it cannot be takes the box unconnected.</summary>
    [Fact]
    public void A_port_that_is_taken_is_refused_where_it_was_found_and_left_where_it_is_planned()
    {
        var home = Typed("gw, gateway, hall", "Two, switch, at gw port 2");
        Assert.Contains(
            "taken",
            QuickEntry.Read(home, Shelf, QuickList.Gear, "Three, switch, at gw port 2").Lines[0].Error,
            StringComparison.Ordinal
        );
        var planned = home.Design("found")!.SetUp with { Name = "planned" };
        var (found, plan) = (home.Design("found")!.SetUp with { Cables = [] }, planned);
        var read = QuickEntry.Read(home with { SetUps = [found, plan] }, Shelf, QuickList.Gear, "Three, switch, study, at gw port 2").Home!;
        Assert.Equal("gw/lan2", At(read.Design("found")!, "three"));
        Assert.NotNull(read.Design("planned")!.Mode("three"));
        Assert.Equal("gw/lan1", At(read.Design("planned")!, "three"));
    }
}
