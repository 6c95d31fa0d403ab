using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Facts;

/// <summary>Which routers lead a segment, what is said of connections that arrive wrongly, and of work that is used up.</summary>
public sealed class PacketTests
{
    private static Observation See(Home home, Work? work = null) =>
        Observer.Observe(Compiler.Compile(home.Design, Situation.Settled, work));

    /// <summary>Two routers joined LAN to LAN: whether each serves, whether the first is at the line, and who leads.</summary>
    [Theory]
    [InlineData(true, true, true, "one")]
    [InlineData(false, true, true, "one two")]
    [InlineData(false, true, false, "one")]
    [InlineData(false, false, true, "two")]
    [InlineData(false, false, false, "one two")]
    public void The_routers_that_lead_on_lead_a_segment_then_those_that_serve(bool line, bool one, bool two, string lead)
    {
        var home = Home.New()
            .Router("one", "192.168.8.1/24", server: one)
            .Router("two", "192.168.8.2/24", server: two)
            .Cable("one/lan1", "two/lan1");
        var seen = See(line ? home.Cable("street", "one/wan") : home);
        var segment = seen.Network.Segment(seen.Network.Find("one", Side.Lan)!.Segment);
        Assert.Equal(lead.Split(' '), seen.Hosts.MainRouters(segment).Select(r => r.Owner).Order(StringComparer.Ordinal));
    }

    private static Home Reached() =>
        Home.WithGateway()
            .Wired("a", "gw/lan1", "192.168.8.50/24", "192.168.8.1")
            .Wired("b", "gw/lan2", "192.168.8.51/24", "192.168.8.1")
            .Reach("a", 8443);

    [Theory]
    [InlineData("192.168.8.50", 8443, AnswerKind.Yes, "")]
    [InlineData("192.168.8.51", 8443, AnswerKind.No, "gw forwards port 8443 to 192.168.8.51, which is not a.")]
    [InlineData("192.168.8.50", 443, AnswerKind.No, "The connection arrives at port 443 instead of 8443.")]
    public void A_connection_arrives_at_the_device_and_port_that_are_meant(string to, int inside, AnswerKind kind, string why)
    {
        var home = Reached().Edit<RouterMode>("gw", m => m with { Forwards = [new(Protocol.Tcp, 8443, Home.At(to), inside)] });
        var answer = See(home).Sheet.Needs.Single().Answer;
        Assert.Equal((kind, why), (answer.Kind, string.Join(' ', answer.Causes.Select(c => c.Text))));
        Assert.All(answer.Causes, c => Assert.Equal(["gw"], c.Subjects));
    }

    [Fact]
    public void A_way_in_names_its_routers_from_the_outside_in()
    {
        var home = Home.WithGateway()
            .Router("in", "192.168.9.1/24")
            .Cable("gw/lan1", "in/wan")
            .Edit<RouterMode>("in", m => m with { Wan = new Fixed(Home.Own("192.168.8.2/24"), Home.At("192.168.8.1"), []) })
            .Wired("a", "in/lan1", "192.168.9.50/24", "192.168.9.1")
            .Forward("gw", 8443, "192.168.8.2")
            .Forward("in", 8443, "192.168.9.50")
            .Reach("a", 8443);
        var need = See(home).Sheet.Needs.Single();
        Assert.Equal(AnswerKind.Yes, need.Answer.Kind);
        Assert.Equal(["gw", "in"], need.Via);
    }

    /// <summary>RFC 919: the last address of a subnet is no host.</summary>
    [Fact]
    public void A_gateway_that_is_the_broadcast_address_is_said_to_be()
    {
        var seen = See(Home.WithGateway().Wired("a", "gw/lan1", "192.168.8.50/24", "192.168.8.255"));
        var answer = seen.Internet.Single().Answer;
        Assert.Equal(AnswerKind.No, answer.Kind);
        Assert.Contains("192.168.8.255 is the broadcast address of 192.168.8.0/24", answer.Why, StringComparison.Ordinal);
    }

    [Fact]
    public void What_there_is_no_work_left_for_is_not_known()
    {
        var seen = See(Home.WithGateway().Wired("a", "gw/lan1"), new Work(1, CancellationToken.None));
        var answer = seen.Internet.Single().Answer;
        Assert.Equal((AnswerKind.Unknown, CauseCodes.NotWorkedOut), (answer.Kind, answer.Causes.Single().Code));
        Assert.True(seen.Network.Work.IsCut);
    }
}
