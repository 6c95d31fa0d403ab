using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Planning;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests.Planning;

/// <summary>Options in the installer's own way, and what a person asks for beside them.</summary>
public sealed class PlanWayTests
{
    private static readonly string Surveys = Path.Combine(AppContext.BaseDirectory, "samples", "surveys");

    private static Design Found(string survey) =>
        DesignFile.Read(File.ReadAllText(Path.Combine(Surveys, $"{survey}.json"))).Value!.AsFound();

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private static PlanTask Task(string survey, params string[] ways) => new(Found(survey)) { Ways = WayText.Of(ways).Value };

    private static PlanOption First(PlanTask task) => Planner.Plan(task, stop: Stop).Options[0];

    [Theory]
    [InlineData("two-routers", "further=lanToLan", "upper-router", RoleKind.LanToLan, "")]
    [InlineData("two-routers", "further=accessPointMode", "upper-router", RoleKind.AccessPoint, "")]
    [InlineData("two-routers", "further=cascade", "upper-router", RoleKind.Cascade, "")]
    [InlineData("heating-from-away", "further=lanToLan", "own-router", RoleKind.LanToLan, "")]
    [InlineData("two-routers", "gateway=staysRouter", "gateway", RoleKind.Router, "")]
    // Whether the telephone goes on in bridge mode is not known: what is needed weighs more than the way, and that is said.
    [InlineData(
        "two-routers",
        "gateway=bridge",
        "gateway",
        RoleKind.Router,
        "Hall gateway: router, own boxes are access points; your way: bridge mode."
    )]
    [InlineData(
        "stone-house",
        "backhaul=radio",
        "point",
        RoleKind.AccessPoint,
        "First powerline unit and Second powerline unit: powerline or coax units; your way: radio link."
    )]
    [InlineData("stone-house", "backhaul=powerline", "point", RoleKind.AccessPoint, "")]
    [InlineData(
        "heating-from-away",
        "touchesGateway=false",
        "gateway",
        RoleKind.Router,
        "Hall gateway is changed, which the gateway should not be."
    )]
    [InlineData("two-routers", "touchesDevices=false", "gateway", RoleKind.Router, "")]
    public void The_first_option_goes_the_installers_way_or_says_where_not(
        string survey,
        string way,
        string box,
        RoleKind kind,
        string departs
    )
    {
        var option = First(Task(survey, way));
        Assert.Equal(kind, option.Roles.Single(r => r.Box == box).Kind);
        Assert.Equal(departs, string.Join(' ', option.Departures));
        Assert.Equal(0, option.Score.Missed);
        Assert.Equal(option.Departures.Count, option.Score.Departures);
    }

    /// <summary>The page of a further box is on the side of the pool where the installer looks for it; the pool makes room.</summary>
    [Theory]
    [InlineData("address=any", null)]
    [InlineData("address=low", true)]
    [InlineData("address=high", false)]
    public void The_address_of_a_further_box_is_where_the_installer_has_it(string way, bool? below)
    {
        var option = First(Task("two-routers", "further=accessPointMode", way));
        var page = Assert.IsType<AccessPointMode>(option.SetUp.Boxes.Single(b => b.Box == "upper-router").Mode).Page;
        var server = Assert.IsType<RouterMode>(option.SetUp.Boxes.Single(b => b.Box == "gateway").Mode);
        Assert.Empty(option.Departures);
        if (below is not { } low)
        {
            Assert.IsType<Automatic>(page);
            return;
        }
        var typed = Assert.IsType<Fixed>(page);
        var at = typed.Address.Address;
        Assert.True(low ? at < server.Server.Pool.First : at > server.Server.Pool.Last);
        Assert.True(server.Lan.Subnet.IsHost(at) && at != server.Lan.Address);
        Assert.Equal((server.Lan.Address, server.Lan.PrefixLength), (typed.Gateway, typed.Address.PrefixLength));
    }

    /// <summary>Wi-Fi is named as the installer has it, and the survey has it so once such an option is the plan.</summary>
    [Theory]
    [InlineData("names=asNoted", NamingSchool.OneName, new[] { "alder" })]
    [InlineData("names=oneName", NamingSchool.OneName, new[] { "alder" })]
    [InlineData("names=onePerBox", NamingSchool.OnePerBox, new[] { "alder", "alder-upper" })]
    [InlineData("names=onePerBand", NamingSchool.OnePerBand, new[] { "alder", "alder 5" })]
    public void Names_are_given_as_the_installer_has_it(string way, NamingSchool naming, string[] names)
    {
        var task = Task("two-routers", "further=accessPointMode", way);
        var option = First(task);
        Assert.Empty(option.Departures);
        var sent = option.SetUp.Boxes.SelectMany(b => b.Mode.Radios).Where(r => r.On).Select(r => r.Name);
        Assert.Equal(names, sent.Distinct().Order(StringComparer.Ordinal));
        var home = option.ChosenIn(new(task.Found.Site, [task.Found.SetUp]));
        Assert.Equal(naming, home.Site.Naming);
        Assert.Equal(task.Found.Site with { Naming = naming }, home.Site with { Boxes = task.Found.Site.Boxes });
        Assert.Equal(task.Found.Site.Boxes, home.Site.Boxes);
    }

    /// <summary>A router used as an access point opens no ports on request where that is the way; one in use is set right.</summary>
    [Theory]
    [InlineData("upnp=leave", true)]
    [InlineData("upnp=off", false)]
    public void Upnp_of_an_access_point_goes_the_installers_way(string way, bool on)
    {
        var task = Task("two-routers", "further=lanToLan", way);
        var option = First(Opening(task));
        Assert.Equal(on, Assert.IsType<RouterMode>(option.SetUp.Boxes.Single(b => b.Box == "upper-router").Mode).PortRequests);
        Assert.Empty(option.Departures);
        var again = new PlanTask(new(option.Site, option.SetUp)) { Ways = WayText.Of(["upnp=leave"]).Value };
        var later = First(Opening(again) with { Ways = task.Ways });
        Assert.Equal(on, Assert.IsType<RouterMode>(later.SetUp.Boxes.Single(b => b.Box == "upper-router").Mode).PortRequests);
    }

    /// <summary>The router hands out DNS servers as the installer has it; where none is named, nothing is changed.</summary>
    [Theory]
    [InlineData("", "192.0.2.53", "192.0.2.53")]
    [InlineData("dns=provider", "192.0.2.53", "")]
    [InlineData("dns=provider", "", "")]
    [InlineData("dns=own", "", "")]
    [InlineData("dns=own ownDns=198.51.100.61,198.51.100.62", "", "198.51.100.61 198.51.100.62")]
    [InlineData("ownDns=198.51.100.61", "", "")]
    public void Dns_servers_are_those_of_the_installers_way(string ways, string found, string handed)
    {
        var task = Task("two-routers", ways.Split(' ', StringSplitOptions.RemoveEmptyEntries));
        var server = new SetDnsServers("gateway", [.. found.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(Home.At)], false);
        var option = First(task with { Found = ChangeList.Apply(task.Found, [server]).Value });
        var main = Assert.IsType<RouterMode>(option.SetUp.Boxes.Single(b => b.Box == "gateway").Mode);
        Assert.Equal(handed, string.Join(' ', main.Server.DnsServers));
        Assert.Empty(option.Departures);
        Assert.Equal(0, option.Score.Missed);
    }

    private static PlanTask Opening(PlanTask task) =>
        task with
        {
            Found = ChangeList.Apply(task.Found, [new SetPortRequests("upper-router", true)]).Value,
        };

    /// <summary>The page of a further box is reserved for it where that is the way; where it is not, that is said.</summary>
    [Fact]
    public void An_address_that_is_reserved_is_that_of_the_box()
    {
        var option = First(Task("two-routers", "further=accessPointMode", "address=reserved"));
        Assert.Empty(option.Departures);
        var page = option.Proof.Observation.Network.Find("upper-router", Side.Page)!;
        var server = Assert.IsType<RouterMode>(option.SetUp.Boxes.Single(b => b.Box == "gateway").Mode).Server;
        Assert.Contains(server.Reservations, r => r.Mac == page.Mac);
        // A box that routes by its mode can only type its own.
        var task = Task("two-routers", "further=lanToLan", "address=reserved");
        Assert.Empty(First(task).Departures);
    }

    /// <summary>
    /// Whatever is asked of whichever box is built as that where its kind can, costs what is told, and is never better than the first
    /// option: what a person names is no way that the search passed over.
    /// </summary>
    [Theory]
    [InlineData("two-routers")]
    [InlineData("stone-house")]
    [InlineData("one-desk")]
    [InlineData("heating-from-away")]
    [InlineData("kit-and-television")]
    public void What_is_asked_for_is_built_and_never_better_than_the_first_option(string survey)
    {
        var task = Task(survey);
        var best = First(task);
        foreach (var (box, kind) in task.Found.Site.Boxes.SelectMany(b => WhyNot.CanBecome(task.Found, b).Select(k => (b.Id, k))))
        {
            var answer = WhyNot.Of(task, best, box, kind, Stop);
            if (answer.Option is not { } option)
            {
                Assert.EndsWith("could be plugged into or join as that.", answer.Because, StringComparison.Ordinal);
                continue;
            }
            Assert.Equal(kind, option.Roles.Single(r => r.Box == box).Kind);
            Assert.Equal(option.Points - best.Points, answer.Price.Sum(p => p.Points), 6);
            Assert.True(option.Points >= best.Points - 1e-9, $"{survey}: {box} as {kind} has {option.Points}, the first {best.Points}.");
        }
    }

    [Theory]
    [InlineData(
        "two-routers",
        "upper-router",
        RoleKind.Repeater,
        "Upper router cannot be that. By its kind it can be: router, access-point mode"
    )]
    [InlineData(
        "two-routers",
        "gateway",
        RoleKind.Unused,
        "Hall gateway cannot be that. By its kind it can be: router, router that passes on what comes from outside, bridge mode."
    )]
    public void What_a_box_cannot_be_is_said(string survey, string box, RoleKind kind, string says)
    {
        var task = Task(survey);
        Assert.StartsWith(says, WhyNot.Of(task, First(task), box, kind, Stop).Because, StringComparison.Ordinal);
    }
}
