using Altrin.Core.Planning;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Planning;

/// <summary>What a search must not pass over or take along.</summary>
public sealed class PlannerTests
{
    private static PlanOption First(Home home) => Planner.Plan(new(home.Design), stop: TestContext.Current.CancellationToken).Options[0];

    /// <summary>A visitor stays in the network for guests, whatever is done for the home.</summary>
    [Fact]
    public void Guests_are_left_where_they_are()
    {
        var option = First(Home.WithGateway().Guests("gw").Wifi("phone", "gw").Wifi("visitor", "gw", "guests", "guest-key").Loose("pc"));
        Assert.Equal(0, option.Score.Missed);
        Assert.Equal("home", option.SetUp.Devices.Single(d => d.Device == "pc").Wifi?.Name);
        Assert.Equal(new WifiJoin("gw", "guests", "guest-key"), option.SetUp.Devices.Single(d => d.Device == "visitor").Wifi);
    }

    /// <summary>A cure that alters nothing but a list is another set-up too.</summary>
    [Fact]
    public void A_cure_within_a_list_is_looked_at()
    {
        var names = Enumerable.Range(1, 5).Select(i => new FurtherName($"further {i}", WifiSecurity.Wpa2, "key")).ToList();
        var home = Home.WithGateway()
            .Wifi("phone", "gw")
            .Profile("gw", p => p with { Radios = [new("r24", RadioBand.Ghz2)] })
            .Edit<RouterMode>("gw", m => m with { Wifi = [m.Wifi[0] with { Radio = "r24", FurtherNames = names }] });
        Assert.Contains(First(home).SetUp.Boxes, b => b.Box == "gw" && b.Mode.Radios[0].FurtherNames.Count < 5);
    }
}
