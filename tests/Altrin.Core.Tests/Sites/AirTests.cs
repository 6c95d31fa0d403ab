using Altrin.Core.Changes;
using Altrin.Core.Findings;
using Altrin.Core.Findings.Rules;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Core.Tests.Sites;

public sealed class AirTests
{
    private static Home Kit() => Home.WithGateway().Satellite("sat", "gw", "gw").Cable("gw/lan1", "sat/wan");

    /// <summary>A gateway whose Wi-Fi goes off while it passes its address on to a router; its satellite goes on sending.</summary>
    private static Home Passing(Known wifiOff) =>
        Kit().Router("own", name: "upstairs").Cable("gw/lan2", "own/wan").Passes("gw", PassKind.Port, "lan2", wifiOff: wifiOff);

    private static string[] Sent(Home home) =>
        [.. Air.Of(home.Design).Select(a => $"{a.Box}/{a.Radio.Id} \"{a.Setting.Name}\" set at {a.SetAt.Box}")];

    [Fact]
    public void A_satellite_sends_what_its_main_node_does_while_that_sends() =>
        Assert.Multiple(
            () => Assert.Equal(["gw/r5 \"home\" set at gw", "sat/r5 \"home\" set at gw"], Sent(Kit())),
            () => Assert.Empty(Sent(Kit().Edit<RouterMode>("gw", m => m with { Wifi = [.. m.Wifi.Select(r => r with { On = false })] })))
        );

    [Theory]
    [InlineData(Known.Yes, "own sat")]
    [InlineData(Known.No, "gw own sat")]
    [InlineData(Known.Unknown, "gw own sat")]
    public void A_gateway_may_be_silent_while_it_passes_its_address_on(Known off, string sends)
    {
        var design = Passing(off).Design;
        Assert.Equal(sends, string.Join(' ', Air.Of(design).Select(a => a.Box)));
        Assert.Equal(["gw/r5", "own/r5"], Judging.Prove(design).Findings.Single(f => f.Code == SplitWifiName.Rule.Code).Subjects);
        var phone = new Device("phone", "Phone", DeviceKind.Phone, null);
        var noted = new AddDevice(phone, new Automatic(), Connection.Only(ConnectedBy.Radio))
            .ApplyTo(new(design.Site, [design.SetUp]), new([]))
            .Value;
        var joined = noted.SetUps[0].Devices.Single(d => d.Device == "phone");
        Assert.Contains(joined.Wifi!.Box, sends.Split(' '));
    }

    [Fact]
    public void A_box_joins_what_is_sent_and_nothing_else()
    {
        var design = Passing(Known.Yes).Repeater("late", "gw").Design;
        var fresh = design with { SetUp = design.SetUp with { Boxes = [.. design.SetUp.Boxes.Where(b => b.Box != "late")] } };
        Assert.Equal("own", new SetMode("late", ModeKind.Repeater).ApplyTo(fresh).Value.Boxes.Single(b => b.Box == "late").Mode.Joins!.Box);
    }
}
