using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Changes;

public sealed class DifferenceTests
{
    [Fact]
    public void A_cable_looked_at_anew_is_described_and_not_pulled()
    {
        var home = Home.WithGateway().Wired("tv", "gw/lan1").Design;
        var longer = home.SetUp with
        {
            Cables = [.. home.SetUp.Cables.Select(c => c.A.Owner == "gw" ? c with { Known = c.Known with { LengthMetres = 12 } } : c)],
        };
        Assert.Equal(
            ["Cable from port 1 of gw to tv is 12 m"],
            Difference.Between(home.Site, home.SetUp, longer).Changes.Select(c => c.Describe(home))
        );
    }

    // What no page takes is said, and everything else is done all the same.
    [Fact]
    public void What_cannot_be_reached_by_hand_is_said()
    {
        var home = Home.WithGateway().Wired("tv", "gw/lan1").Design;
        var strange = home.SetUp with
        {
            Boxes =
            [
                .. home.SetUp.Boxes.Select(b =>
                    b with
                    {
                        Mode = (RouterMode)b.Mode with
                        {
                            PortRequests = true,
                            Server = ((RouterMode)b.Mode).Server with { Reservations = [new(new(0x02005E005301UL), Home.At("10.9.9.9"))] },
                        },
                    }
                ),
            ],
        };
        var difference = Difference.Between(home.Site, home.SetUp, strange);
        Assert.False(difference.Whole);
        Assert.Equal(
            ["gw reserves 10.9.9.9 for 02:00:5e:00:53:01: 10.9.9.9 is not a host address of 192.168.8.0/24."],
            difference.Unreachable
        );
        Assert.Equal([new SetPortRequests("gw", true)], difference.Changes);
    }

    [Fact]
    public void One_end_of_a_pool_is_moved_without_the_other()
    {
        var home = Home.WithGateway().Design;
        var moved = new MovePool("gw") { Last = Home.At("192.168.8.120") }
            .ApplyTo(home)
            .Value;
        Assert.Equal([new MovePool("gw") { Last = Home.At("192.168.8.120") }], Difference.Between(home.Site, home.SetUp, moved).Changes);
    }
}
