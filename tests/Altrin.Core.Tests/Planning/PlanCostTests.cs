using Altrin.Core.Planning;
using Altrin.Core.Procedures;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Planning;

/// <summary>What options cost beside the hands' work, and what has to be asked before they can be made.</summary>
public sealed class PlanCostTests
{
    private static PlanAnswer Plan(Home home, Func<PlanTask, PlanTask>? like = null) =>
        Planner.Plan((like ?? (t => t))(new(home.Design)), stop: TestContext.Current.CancellationToken);

    /// <summary>A house with a gateway that can bridge, a router behind it, and a server that is reached from outside.</summary>
    private static Home House(LineNeeds line) =>
        Home.WithGateway()
            .Router("own", "192.168.9.1/24")
            .Cable("gw/lan1", "own/wan")
            .Wired("server", "own/lan1")
            .Service(new PublicDynamic(100, 20) { HandOff = "gw", Line = line });

    /// <summary>In bridge mode an option waits where what the line asks for is not known; one that asks no one stands beside it.</summary>
    [Fact]
    public void An_option_that_waits_for_the_provider_says_what_to_ask()
    {
        var bridge = new Ways { Gateway = GatewaySchool.Bridge };
        var answer = Plan(House(LineNeeds.NotAsked), t => t with { Ways = bridge, Weights = PlanWeights.Usual with { Departure = 500 } });
        Assert.Equal(RoleKind.Bridge, answer.Options[0].Roles.Single(r => r.Box == "gw").Kind);
        Assert.Equal(
            ["Whether the line wants a login, a VLAN tag or one MAC address from own was not asked."],
            answer.Options[0].NotTonight
        );
        Assert.Equal(1, answer.Options[0].Score.ProviderAsked);
        Assert.Contains(answer.Options, o => o.NotTonight.Count == 0);
        Assert.All(Plan(House(Home.Asked), t => t with { Ways = bridge }).Options, o => Assert.Empty(o.NotTonight));
        // What was found waits for no one, whatever was not asked of it.
        Assert.Empty(answer.Found.NotTonight);
    }

    /// <summary>A login that is typed and not in the survey is asked for; one that is in it is not.</summary>
    [Theory]
    [InlineData(null, 1)]
    [InlineData("home@line", 0)]
    public void A_login_that_is_not_in_the_survey_is_asked_for(string? account, int asked)
    {
        var line = Home.Asked with { Login = Known.Yes, Account = account };
        var home = House(line).Edit<RouterMode>("gw", m => m with { Line = m.Line with { Login = true } });
        var option = Plan(home, t => t with { Wanted = new Dictionary<string, RoleKind> { ["gw"] = RoleKind.Bridge } }).Options[0];
        Assert.Equal(Enumerable.Repeat("The login of the line is typed into own, and is not in the survey.", asked), option.NotTonight);
    }

    /// <summary>What would meet a need is proven where a public address would, and advice where it would not.</summary>
    [Fact]
    public void What_would_meet_a_need_is_told_where_no_option_does()
    {
        var home = Home.WithGateway().Wired("camera", "gw/lan1").Reach("camera", 443);
        var shared = Plan(home.Service(new CarrierNat(100, 20) { HandOff = "gw" }));
        var need = Assert.Single(shared.NotMet);
        Assert.StartsWith("A public address from the provider meets it", need.Would[0], StringComparison.Ordinal);
        Assert.Contains("Otherwise use a tunnel that is opened from inside.", need.Would);
        Assert.Empty(Plan(home.Service(new PublicDynamic(100, 20) { HandOff = "gw", Line = Home.Asked })).NotMet);
    }

    /// <summary>Watts as the kind has them, 6 where it has none (common practice), all year.</summary>
    [Fact]
    public void Energy_is_what_the_boxes_in_use_draw_in_a_year()
    {
        var home = Home.WithGateway()
            .Wired("pc", "gw/lan1")
            .Traits("gw", new() { Watts = 10 })
            .Point("point")
            .Cable("gw/lan2", "point/wan");
        Assert.Equal(Math.Round((10 + 6) * 365.25 * 24 / 1000), Plan(home).Found.Score.Effort.YearlyEnergy);
    }

    /// <summary>What is not on the way to the internet takes no device offline; what is, its save or its start.</summary>
    [Fact]
    public void The_home_is_offline_while_what_it_hangs_at_is_set()
    {
        static Home House() => Home.WithGateway().Wired("pc", "gw/lan1").Point("point").Cable("gw/lan2", "point/wan");
        Assert.Equal(TimeSpan.Zero, Between(House(), House()));
        Assert.Equal(TimeSpan.Zero, Between(House(), House().Edit<AccessPointMode>("point", m => m with { Wifi = [] })));
        var saved = Between(House(), House().Forward("gw", 80, "192.168.8.20"));
        var restarted = Between(House(), House().Edit<RouterMode>("gw", m => m with { Lan = Home.Own("192.168.7.1/24") }));
        Assert.InRange(saved, TimeSpan.FromSeconds(1), restarted);
        Assert.True(saved < restarted);
        // A router that takes its place on the way starts there.
        var inner = House().Router("in", "192.168.9.1/24").Cable("gw/lan3", "in/wan");
        Assert.InRange(Between(House(), inner), TimeSpan.FromMinutes(1), TimeSpan.FromMinutes(10));
    }

    private static TimeSpan Between(Home found, Home then) => OfflineEstimate.Between(found.Design, then.Design);

    /// <summary>Each weight is told once, under the name of its member, and only what it weighs changes with it.</summary>
    [Fact]
    public void Every_weight_weighs_one_thing()
    {
        var members = typeof(PlanWeights).GetProperties().Where(p => p.PropertyType == typeof(double)).ToList();
        Assert.Equal(members.Select(m => m.Name), PlanWeights.Usual.Told().Select(w => w.Name));
        foreach (var member in members)
        {
            var more = PlanWeights.Usual with { };
            member.SetValue(more, 7777.0);
            var differs = more.Told().Zip(PlanWeights.Usual.Told()).Where(p => p.First != p.Second).ToList();
            Assert.Equal((member.Name, 7777.0), (Assert.Single(differs).First.Name, differs[0].First.Points));
        }
    }

    /// <summary>What an installer holds to count more comes into the plan.</summary>
    [Fact]
    public void Weights_decide()
    {
        static Home Flat() => Home.WithGateway().Wifi("phone", "gw").Point("point").Cable("gw/lan2", "point/wan");
        Assert.DoesNotContain(Plan(Flat()).Options[0].Roles, r => r.Kind == RoleKind.Unused);
        // A second box that no place needs goes where boxes in use count more than changing what works.
        var fewer = Plan(Flat(), t => t with { Weights = PlanWeights.Usual with { BoxInUse = 500 } }).Options[0];
        Assert.Equal(RoleKind.Unused, fewer.Roles.Single(r => r.Box == "point").Kind);
    }
}
