using Altrin.Core.Findings;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Findings;

public sealed class AddressConflictTests() : RuleTests("address-conflict")
{
    private static Home Two(string second) => Home.WithGateway().Wired("a", "gw/lan1", "192.168.8.5/24").Wired("b", "gw/lan2", second);

    [Fact]
    public void Triggers() => One(Two("192.168.8.5/24"), Severity.WillNotWork, "a", "b");

    [Fact]
    public void Cures_by_moving_one() => Cured(Two("192.168.8.5/24"), "Move a to 192.168.8.2");

    [Fact]
    public void Near_miss() => None(Two("192.168.8.6/24"));

    [Fact]
    public void Is_said_of_one_domain_only() =>
        None(
            Home.WithGateway()
                .Wired("a", "gw/lan1", "192.168.8.5/24")
                .Router("in", "192.168.8.1/24", Home.Pool)
                .Cable("gw/lan2", "in/wan")
                .Wired("b", "in/lan1", "192.168.8.5/24")
        );

    [Fact]
    public void A_reservation_for_another_on_a_typed_address_is_one_too() =>
        One(Two("192.168.8.6/24").Wired("c", "gw/lan3").Reserve("gw", "c", "192.168.8.5"), Severity.WillNotWork, "a", "c");
}

public sealed class FixedAddressInPoolTests() : RuleTests("fixed-address-in-pool")
{
    private static Home Printer(string address) => Home.WithGateway().Wired("printer", "gw/lan1", address).Wifi("phone", "gw");

    [Theory]
    [InlineData("192.168.8.20/24", Severity.WillNotWork)]
    [InlineData("192.168.8.21/24", Severity.WillNotWork)]
    // Two of 180 are leased where twice as many ask, and a server that begins below does not get there.
    [InlineData("192.168.8.22/24", Severity.Concern)]
    [InlineData("192.168.8.199/24", Severity.Concern)]
    public void Triggers_at_both_ends_of_the_pool(string address, Severity severity) => One(Printer(address), severity, "gw", "printer");

    [Theory]
    [InlineData(4, Severity.Concern, "0 to 2 % with the 4 that ask now, 0 to 4 % with twice as many")]
    [InlineData(5, Severity.WillNotWork, "0 to 3 % with the 5 that ask now, 0 to 6 % with twice as many")]
    public void Leaves_nothing_to_luck_while_it_stays_below_one_in_twenty(int phones, Severity severity, string said)
    {
        var home = Home.WithGateway().Wired("printer", "gw/lan1", "192.168.8.150/24");
        for (var i = 0; i < phones; i++)
        {
            home = home.Wifi($"phone{i}", "gw");
        }
        Assert.Contains(said, One(home, severity, "gw", "printer").Notice, StringComparison.Ordinal);
        Assert.All(Judging.Prove(home.Design).Observation.Sheet.Internet, i =>
            Assert.Equal(severity == Severity.Concern ? AnswerKind.Yes : AnswerKind.Luck, i.Answer.Kind)
        );
    }

    /// <summary>Each of them alone is leased to another in under one home in twenty, one of them in more.</summary>
    [Fact]
    public void Several_addresses_of_one_pool_count_together()
    {
        var home = Home.WithGateway().Wired("printer", "gw/lan1", "192.168.8.150/24").Wired("camera", "gw/lan2", "192.168.8.160/24");
        home = home.Wifi("a", "gw").Wifi("b", "gw").Wifi("c", "gw");
        var found = In(home);
        Assert.Equal(["camera,gw", "gw,printer"], found.Select(f => string.Join(',', f.Subjects)).Order(StringComparer.Ordinal));
        Assert.All(found, f => Assert.Equal(Severity.WillNotWork, f.Severity));
        Assert.All(found, f => Assert.Contains("0 to 2 % with the 3 that ask now, 0 to 3 % with twice as many", f.Notice));
        Assert.All(Judging.Prove(home.Design).Observation.Sheet.Internet, i => Assert.Equal(AnswerKind.Luck, i.Answer.Kind));
    }

    [Theory]
    [InlineData("192.168.8.19/24")]
    [InlineData("192.168.8.200/24")]
    public void Near_miss_beside_both_ends(string address) => None(Printer(address));

    [Fact]
    public void A_reservation_for_itself_keeps_it_safe() => None(Printer("192.168.8.50/24").Reserve("gw", "printer", "192.168.8.50"));

    [Fact]
    public void Is_a_concern_while_no_one_leases() =>
        One(Home.WithGateway().Wired("printer", "gw/lan1", "192.168.8.50/24"), Severity.Concern, "gw", "printer");

    [Theory]
    [InlineData("Move printer to 192.168.8.2")]
    [InlineData("Reserve 192.168.8.50")]
    [InlineData("Let the pool be 192.168.8.51 to 192.168.8.199")]
    public void Cures(string label) => Cured(Printer("192.168.8.50/24"), label);

    [Fact]
    public void A_forward_follows_the_device_that_moves()
    {
        var after = Cured(Printer("192.168.8.50/24").Forward("gw", 9100, "192.168.8.50"), "Move printer");
        Assert.Equal("192.168.8.2", ((RouterMode)after.Mode("gw")!).Forwards[0].To.ToString());
    }
}

public sealed class OutsideSubnetTests() : RuleTests("outside-subnet")
{
    [Fact]
    public void Triggers_for_a_device() => One(Home.WithGateway().Wired("a", "gw/lan1", "192.168.1.5/24"), Severity.WillNotWork, "a");

    [Fact]
    public void Triggers_for_the_page_of_a_box_that_still_passes_traffic() =>
        One(
            Home.WithGateway().Point("point", "192.168.1.254/24").Cable("gw/lan1", "point/wan").Wifi("phone", "point"),
            Severity.Concern,
            "point"
        );

    [Fact]
    public void Near_miss() => None(Home.WithGateway().Wired("a", "gw/lan1", "192.168.8.5/24"));

    [Theory]
    [InlineData("Move a to 192.168.8.2")]
    [InlineData("Let a ask")]
    public void Cures(string label) => Cured(Home.WithGateway().Wired("a", "gw/lan1", "192.168.1.5/24"), label);
}

public sealed class GatewayWrongTests() : RuleTests("gateway-wrong")
{
    [Theory]
    [InlineData("192.168.8.77")]
    [InlineData("192.168.1.1")]
    public void Triggers_where_no_one_answers_there(string gateway) =>
        One(Home.WithGateway().Wired("a", "gw/lan1", "192.168.8.5/24", gateway), Severity.WillNotWork, "a");

    [Fact]
    public void Triggers_where_the_gateway_does_not_route() =>
        One(
            Home.WithGateway()
                .Point("point", "192.168.8.3/24")
                .Cable("gw/lan1", "point/wan")
                .Wired("a", "point/lan1", "192.168.8.5/24", "192.168.8.3"),
            Severity.WillNotWork,
            "a"
        );

    [Fact]
    public void Blames_the_server_that_hands_it_out()
    {
        var home = Home.WithGateway()
            .Wired("a", "gw/lan1")
            .Edit<RouterMode>("gw", m => m with { Server = m.Server with { Gateway = Home.At("192.168.8.254") } });
        One(home, Severity.WillNotWork, "gw");
        Cured(home, "Let gw hand out itself");
    }

    [Fact]
    public void Near_miss() => None(Home.WithGateway().Wired("a", "gw/lan1", "192.168.8.5/24", "192.168.8.1"));

    [Fact]
    public void Cures() => Cured(Home.WithGateway().Wired("a", "gw/lan1", "192.168.8.5/24", "192.168.8.77"), "Point a at gw");
}

public sealed class PoolTooSmallTests() : RuleTests("pool-too-small")
{
    private static Home Three(string pool) =>
        Home.New().Gateway(pool: pool).Cable("street", "gw/wan").Wifi("a", "gw").Wifi("b", "gw").Wifi("c", "gw");

    [Fact]
    public void Triggers() => One(Three("192.168.8.20-192.168.8.21"), Severity.WillNotWork, "gw");

    [Fact]
    public void Near_miss() => None(Three("192.168.8.20-192.168.8.22"));

    [Theory]
    [InlineData(20, Severity.WillNotWork, AnswerKind.Luck)]
    [InlineData(21, Severity.Concern, AnswerKind.Yes)]
    public void One_too_few_is_a_concern_where_it_hardly_meets_anyone(int phones, Severity severity, AnswerKind internet)
    {
        var home = Home.New().Gateway(pool: $"192.168.8.20-192.168.8.{20 + phones - 2}").Cable("street", "gw/wan");
        for (var i = 0; i < phones; i++)
        {
            home = home.Wifi($"phone{i}", "gw");
        }
        One(home, severity, "gw");
        Assert.All(Judging.Prove(home.Design).Observation.Sheet.Internet, i => Assert.Equal(internet, i.Answer.Kind));
    }

    [Fact]
    public void Cures() => Cured(Three("192.168.8.20-192.168.8.21"), "Let the pool be 192.168.8.2 to 192.168.8.254");
}

public sealed class LeaseTooLongTests() : RuleTests("lease-too-long")
{
    private static Home House(int minutes, string pool = "192.168.8.20-192.168.8.26") =>
        Home.New()
            .Gateway(pool: pool)
            .Cable("street", "gw/wan")
            .Wifi("a", "gw")
            .Wifi("b", "gw")
            .Edit<RouterMode>("gw", m => m with { Server = m.Server with { LeaseMinutes = minutes } });

    [Fact]
    public void Triggers()
    {
        One(House(7 * 1440), Severity.Concern, "gw");
        Cured(House(7 * 1440), "Let leases of gw last a day");
    }

    [Theory]
    [InlineData(1440, "192.168.8.20-192.168.8.26")]
    [InlineData(7 * 1440, "192.168.8.20-192.168.8.27")]
    public void Near_miss_with_a_day_or_a_wide_pool(int minutes, string pool) => None(House(minutes, pool));
}

public sealed class ManagementPageNotReservedTests() : RuleTests("management-page-not-reserved")
{
    private static Home Point(string? page) => Home.WithGateway().Point("point", page).Cable("gw/lan1", "point/wan").Wifi("phone", "point");

    [Fact]
    public void Triggers() => One(Point(null), Severity.Concern, "point");

    [Fact]
    public void Cures() => Cured(Point(null), "Reserve 192.168.8.2 for point");

    [Fact]
    public void Near_miss_typed_by_hand() => None(Point("192.168.8.3/24"));

    [Fact]
    public void Making_a_cascaded_router_an_access_point_keeps_its_page()
    {
        var home = Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Wired("a", "in/lan1");
        var remedy = Judging
            .Prove(home.Design)
            .Findings.Single(f => f.Code == "double-nat")
            .Remedies.Single(r => r.Label == "Set in to access-point mode");
        var after = Core.Changes.ChangeList.Apply(home.Design, remedy.Changes).Value;
        Assert.DoesNotContain(Judging.Prove(after).Findings, f => f.Code == "management-page-not-reserved");
    }
}

public sealed class LeaseTooShortTests() : RuleTests("lease-too-short")
{
    private static Home House(int minutes, bool server = true) =>
        Home.WithGateway()
            .Wifi("a", "gw")
            .Edit<RouterMode>("gw", m => m with { Server = m.Server with { LeaseMinutes = minutes, On = server } });

    [Fact]
    public void Triggers()
    {
        One(House(29), Severity.Concern, "gw");
        Cured(House(5), "Let leases of gw last a day");
    }

    [Theory]
    [InlineData(30, true)]
    [InlineData(5, false)]
    public void Near_miss_with_half_an_hour_or_no_server(int minutes, bool server) => None(House(minutes, server));
}
