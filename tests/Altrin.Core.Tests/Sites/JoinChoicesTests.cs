using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Sites;

public sealed class JoinChoicesTests
{
    private static JoinChoices Of(Home home, string box) => JoinChoices.Of(home.Design, home.Design.Box(box)!);

    [Fact]
    public void A_box_hears_what_others_send_on_its_bands_and_no_guest_name()
    {
        var home = Home.WithGateway()
            .Point("far", name: "upstairs", key: "other")
            .Switch("sw")
            .Repeater("rep", "gw")
            .Edit<RouterMode>("gw", m =>
                m with
                {
                    Guest = new(
                        "visitors",
                        WifiSecurity.Wpa2,
                        "key",
                        Home.Own("192.168.30.1/24"),
                        Home.Range("192.168.30.20-192.168.30.99")
                    ),
                }
            );
        Assert.Equal(
            [
                new Heard("far", "r5", RadioBand.Ghz5, "upstairs", WifiSecurity.Wpa2, "other"),
                new Heard("gw", "r5", RadioBand.Ghz5, "home", WifiSecurity.Wpa2, "key"),
            ],
            Of(home, "rep").Heard
        );
        Assert.Empty(Of(home.Profile("rep", p => p with { Radios = [new("r2", RadioBand.Ghz2)] }), "rep").Heard);
        Assert.Empty(Of(home, "sw").Heard);
    }

    [Fact]
    public void Nodes_are_of_one_kit_and_only_one_that_routes_or_is_an_access_point_is_the_main_one()
    {
        var home = Home.WithGateway().Satellite("s1", "gw", "gw").Satellite("s2", "gw", "s1").Point("other");
        var choices = Of(home, "s2");
        Assert.Equal(["gw"], choices.MainNodes);
        Assert.Equal(["gw", "s1"], choices.KitNodes);
        Assert.Empty(Of(home, "other").KitNodes);
        Assert.Contains(choices.Heard, h => h.Box == "s1");
    }
}
