using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Networks;

/// <summary>RFC 2131, message by message. Times and options are RFC 2132's.</summary>
public sealed class DhcpTests
{
    private static readonly MacAddress Mac = new(0x00005E005301),
        Kept = new(0x00005E005302);

    private static readonly SegmentServer Server = new(
        "gw",
        Home.Range("192.168.8.20-192.168.8.21"),
        24,
        Home.At("192.168.8.1"),
        Home.At("192.168.8.1"),
        [Home.At("192.168.8.1")],
        [new(Kept, Home.At("192.168.8.5"))],
        null
    )
    {
        LeaseMinutes = 120,
    };

    private static Interface Client(string id = "a", MacAddress? mac = null, Known checks = Known.No) =>
        new(id, Side.Device, "gw", true, new Automatic(), mac ?? Mac) { ChecksLease = checks };

    private static Exchange Begin(
        Interface client,
        IReadOnlyList<Binding>? bindings = null,
        HeldLease? remembered = null,
        int minute = 0,
        SegmentServer? server = null,
        params string[] answering
    ) => DhcpExchange.Begin(client, [server ?? Server], bindings ?? [], minute * 60L, remembered, a => answering.Contains($"{a}"));

    private static HeldLease Lease(string address, int minute = 0) =>
        new("gw", Server.Own, Home.At(address), 24, Server.Gateway, Server.DnsServers, minute * 60L, 120);

    private static Binding Bound(string client, string address, int until = 120) =>
        new("gw", $"{client}/Device", Home.At(address), until * 60L);

    private static IEnumerable<DhcpKind> Kinds(Exchange exchange) => exchange.Messages.Select(m => m.Kind);

    [Fact]
    public void From_nothing_there_are_four_messages_with_their_options()
    {
        var asked = Begin(Client());
        Assert.Equal([DhcpKind.Discover, DhcpKind.Offer, DhcpKind.Request, DhcpKind.Ack], Kinds(asked));
        Assert.Equal([12, 53, 55, 61], asked.Messages[0].Options);
        Assert.Equal([1, 3, 6, 51, 53, 54, 58, 59], asked.Messages[1].Options);
        Assert.Equal([12, 50, 53, 54, 55, 61], asked.Messages[2].Options);
        var lease = Assert.Single(asked.Leases);
        Assert.Equal(("192.168.8.20", 3600L, 6300L, 7200L), ($"{lease.Address}", lease.RenewsAt, lease.RebindsAt, lease.EndsAt));
        Assert.Equal([new Binding("gw", "a/Device", Home.At("192.168.8.20"), 7200)], asked.Bindings);
    }

    [Fact]
    public void A_domain_comes_with_the_lease() =>
        Assert.Equal([1, 3, 6, 15, 51, 53, 54, 58, 59], Begin(Client(), server: Server with { Domain = "home.arpa" }).Messages[3].Options);

    public static TheoryData<string, string?, string[], string?, DhcpKind[]> Cases =>
        new()
        {
            // what, remembered address, bindings "client address", address in the end, kinds of messages
            {
                "a restart with a lease that the server remembers",
                "192.168.8.21",
                ["a 192.168.8.21"],
                "192.168.8.21",
                [DhcpKind.Request, DhcpKind.Ack]
            },
            { "a restart with a lease that the server forgot", "192.168.8.21", [], "192.168.8.21", [DhcpKind.Request, DhcpKind.Ack] },
            {
                "a restart with a lease that another host has now",
                "192.168.8.21",
                ["b 192.168.8.21"],
                "192.168.8.20",
                [DhcpKind.Request, DhcpKind.Nak, DhcpKind.Discover, DhcpKind.Offer, DhcpKind.Request, DhcpKind.Ack]
            },
            {
                "a restart in another network",
                "10.0.0.7",
                [],
                "192.168.8.20",
                [DhcpKind.Request, DhcpKind.Nak, DhcpKind.Discover, DhcpKind.Offer, DhcpKind.Request, DhcpKind.Ack]
            },
            {
                "the address it had before is given again",
                null,
                ["a 192.168.8.21"],
                "192.168.8.21",
                [DhcpKind.Discover, DhcpKind.Offer, DhcpKind.Request, DhcpKind.Ack]
            },
            { "the pool is exhausted", null, ["b 192.168.8.20", "c 192.168.8.21"], null, [DhcpKind.Discover] },
        };

    [Theory]
    [MemberData(nameof(Cases))]
    public void Asking(string what, string? remembered, string[] bindings, string? address, DhcpKind[] kinds)
    {
        var asked = Begin(
            Client(),
            [.. bindings.Select(b => Bound(b.Split(' ')[0], b.Split(' ')[1]))],
            remembered is null ? null : Lease(remembered)
        );
        Assert.True(kinds.SequenceEqual(Kinds(asked)), $"{what}: {string.Join(' ', Kinds(asked))}");
        Assert.Equal(address, asked.Leases.Select(l => $"{l.Address}").SingleOrDefault());
    }

    [Fact]
    public void A_reservation_counts_also_outside_the_pool() =>
        Assert.Equal("192.168.8.5", $"{Begin(Client("k", Kept)).Leases.Single().Address}");

    [Theory]
    [InlineData(Known.Yes, Known.No, "192.168.8.21", 0)]
    [InlineData(Known.No, Known.Yes, "192.168.8.21", 1)]
    [InlineData(Known.No, Known.No, "192.168.8.20", 0)]
    public void Who_checks_decides_whether_a_taken_address_is_given(Known server, Known client, string address, int declined)
    {
        var asked = Begin(Client(checks: client), server: Server with { ChecksOffer = server }, answering: "192.168.8.20");
        Assert.Equal(address, $"{asked.Leases.Single().Address}");
        Assert.Equal(declined, Kinds(asked).Count(k => k == DhcpKind.Decline));
    }

    [Fact]
    public void One_that_finds_every_address_taken_goes_without()
    {
        var asked = Begin(Client(checks: Known.Yes), answering: ["192.168.8.20", "192.168.8.21"]);
        Assert.Empty(asked.Leases);
        Assert.Equal(2, Kinds(asked).Count(k => k == DhcpKind.Decline));
    }

    [Fact]
    public void What_is_released_is_free_at_once()
    {
        var (after, reply) = DhcpServer.Answer(
            Server,
            [Bound("a", "192.168.8.20"), Bound("b", "192.168.8.21")],
            new(DhcpKind.Release, "a/Device", Mac) { InUse = Home.At("192.168.8.20"), ServerId = Server.Own },
            1,
            _ => false
        );
        Assert.Null(reply);
        Assert.Equal("192.168.8.20", $"{Begin(Client("c"), after).Leases.Single().Address}");
    }

    [Fact]
    public void Of_two_servers_every_end_is_known_and_one_is_written_down()
    {
        var second = Server with
        {
            Owner = "second",
            Own = Home.At("192.168.8.2"),
            Gateway = Home.At("192.168.8.2"),
            Pool = Home.Range("192.168.8.200-192.168.8.210"),
        };
        var asked = DhcpExchange.Begin(Client(), [Server, second], [], 0, null, _ => false);
        Assert.Equal(["192.168.8.1", "192.168.8.2"], asked.Leases.Select(l => $"{l.Gateway}"));
        Assert.Single(asked.Bindings);
    }

    // RFC 2131, section 4.4.5: the own server at half the time, anybody at seven eighths.
    [Theory]
    [InlineData(60, "gw", true)]
    [InlineData(60, "other", false)]
    [InlineData(105, "other", true)]
    public void Prolonging_asks_the_own_server_first_and_anybody_later(int minute, string server, bool prolonged)
    {
        var (lease, _) = DhcpExchange.Prolong(Client(), [Server with { Owner = server }], [], minute * 60L, Lease("192.168.8.20"));
        Assert.Equal(prolonged ? minute * 60L : 0, lease!.GivenAt);
    }

    [Fact]
    public void What_is_no_longer_in_the_pool_is_refused_when_it_is_prolonged() =>
        Assert.Null(
            DhcpExchange
                .Prolong(Client(), [Server with { Pool = Home.Range("192.168.8.100-192.168.8.150") }], [], 3600, Lease("192.168.8.20"))
                .Lease
        );
}
