using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Networks;

/// <summary>
/// DHCP servers against a second, plain telling of RFC 2131 (section 4.3): random messages from few clients to two servers with few
/// addresses, so that pools run out, leases end and addresses are wanted twice.
/// </summary>
public sealed class DhcpServerTests
{
    private const int Messages = 400;
    private static readonly string[] Clients = ["a", "b", "c", "d"];
    private static readonly MacAddress Kept = new(0x00005E005301);

    private static readonly SegmentServer Home8 = new(
        "gw",
        Home.Range("192.168.8.1-192.168.8.4"),
        24,
        Home.At("192.168.8.1"),
        Home.At("192.168.8.1"),
        [],
        [new(Kept, Home.At("192.168.8.3"))],
        null
    )
    {
        LeaseMinutes = 2,
    };

    private static readonly SegmentServer Line = Home8 with
    {
        Owner = PortRef.Street,
        Own = Home.At("192.168.8.9"),
        Pool = Home.Range("192.168.8.5-192.168.8.8"),
        Reservations = [],
        Leases = 2,
    };

    [Theory]
    [InlineData(1, Known.No)]
    [InlineData(2, Known.Yes)]
    [InlineData(3, Known.Unknown)]
    [InlineData(4, Known.No)]
    [InlineData(5, Known.Yes)]
    public void A_server_does_as_a_plain_list_would(int seed, Known checks)
    {
        TestContext.Current.TestOutputHelper?.WriteLine($"seed {seed}");
        var (dice, second) = (new Random(seed), 0L);
        SegmentServer[] servers = [Home8 with { ChecksOffer = checks }, Line with { ChecksOffer = checks }];
        IReadOnlyList<Binding> bindings = [];
        for (var i = 0; i < Messages; i++)
        {
            second += dice.Next(3) == 0 ? dice.Next(1, 7) * 30 : 0;
            var server = servers[dice.Next(2)];
            var client = Clients[dice.Next(Clients.Length)];
            var message = new DhcpMessage(
                (DhcpKind)new[] { 1, 1, 3, 3, 3, 4, 7 }[dice.Next(7)],
                client,
                client == "a" ? Kept : new(0x00005E005300UL + client[0])
            )
            {
                ServerId = dice.Next(3) switch
                {
                    0 => null,
                    1 => server.Own,
                    _ => servers[dice.Next(2)].Own,
                },
                Requested = dice.Next(2) == 0 ? null : new(Home.At("192.168.8.1").Bits + (uint)dice.Next(9)),
                InUse = dice.Next(4) == 0 ? new(Home.At("192.168.8.1").Bits + (uint)dice.Next(9)) : null,
            };
            var answering = Home.At("192.168.8.2");
            var (after, reply) = DhcpServer.Answer(server, bindings, message, second, a => a == answering);
            var expected = Plainly(server, bindings, message, second, server.ChecksOffer == Known.Yes ? answering : null);
            Assert.Equal((expected.Kind, expected.Given, Told(expected.Bindings)), (reply?.Kind, reply?.Given, Told(after)));
            Assert.True(reply is not { Kind: DhcpKind.Ack } || reply is { LeaseMinutes: 2, PrefixLength: 24 });
            bindings = after;
        }
        Assert.Contains(bindings, b => b.Server == PortRef.Street);
    }

    private static string Told(IEnumerable<Binding> bindings) =>
        string.Join('\n', bindings.Select(b => $"{b.Server} {b.Client} {b.Address} {b.Until}").Order(StringComparer.Ordinal));

    private static (DhcpKind? Kind, Ipv4Address? Given, IReadOnlyList<Binding> Bindings) Plainly(
        SegmentServer server,
        IReadOnlyList<Binding> all,
        DhcpMessage message,
        long now,
        Ipv4Address? tried
    )
    {
        var me = message.Client;
        var mine = all.Where(b => b.Server == server.Owner).ToList();
        var reserved = server.Reservations.Where(r => r.Mac == message.Mac).Select(r => (Ipv4Address?)r.Address).FirstOrDefault();
        var live = mine.FindAll(b => b.Until > now && b.Client != me);
        var full = server.Leases <= live.Select(b => b.Client).Distinct().Count();
        var free = new List<Ipv4Address>();
        for (var bits = server.Pool!.Value.First.Bits; bits <= server.Pool.Value.Last.Bits; bits++)
        {
            var address = new Ipv4Address(bits);
            if (address != server.Own && server.Reservations.All(r => r.Address != address) && live.TrueForAll(b => b.Address != address))
            {
                free.Add(address);
            }
        }
        switch (message.Kind)
        {
            case DhcpKind.Discover when full:
                return (null, null, all);
            case DhcpKind.Discover:
                var usable = free.FindAll(a => a != tried);
                var had = mine.Find(b => b.Client == me)?.Address;
                var offer = reserved
                    ?? (
                        had is { } old && usable.Contains(old) ? old
                        : message.Requested is { } like && usable.Contains(like) ? like
                        : usable.Count > 0 ? usable[0]
                        : null
                    );
                return (offer is null ? null : DhcpKind.Offer, offer, all);
            case DhcpKind.Request when message.ServerId is { } meant && meant != server.Own:
                return (null, null, all);
            case DhcpKind.Request:
                var wanted = message.InUse ?? message.Requested;
                if (!full && wanted is { } given && (reserved is null ? free.Contains(given) : reserved == given))
                {
                    var until = server.Leases is null ? now + (server.LeaseMinutes * 60) : long.MaxValue;
                    var kept = all.Where(b => !(b.Server == server.Owner && (b.Client == me || b.Address == given)));
                    return (DhcpKind.Ack, given, [.. kept, new(server.Owner, me, given, until)]);
                }
                return (full ? null : DhcpKind.Nak, null, all);
            case DhcpKind.Decline when message.ServerId == server.Own && message.Requested is { } declined:
                var others = all.Where(b => !(b.Server == server.Owner && b.Address == declined));
                return (null, null, [.. others, new(server.Owner, "", declined, now + (server.LeaseMinutes * 60))]);
            case DhcpKind.Release when message.ServerId == server.Own:
                return (null, null, [.. all.Where(b => !(b.Server == server.Owner && b.Client == me))]);
            default:
                return (null, null, all);
        }
    }

    [Fact]
    public void A_lease_is_prolonged_after_half_and_seven_eighths_of_its_time()
    {
        var ack = new DhcpMessage(DhcpKind.Ack, "a", Kept) { LeaseMinutes = 120 };
        Assert.Equal((7200, 3600, 6300), (ack.LeaseSeconds, ack.RenewSeconds, ack.RebindSeconds));
        Assert.Null((ack with { LeaseMinutes = null }).RebindSeconds);
    }
}
