using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Kernel.Tests;

/// <summary>Compares every fact that can be measured.</summary>
internal sealed class Comparison
{
    private readonly Tally _tally = new();
    private readonly Built _built;
    private readonly Observation _seen;
    private readonly FactSheet _sheet;

    private Comparison(Built built, Observation seen) => (_built, _seen, _sheet) = (built, seen, seen.Sheet);

    private Design Design => _seen.Network.Design;

    private IEnumerable<string> Devices => Design.SetUp.Devices.Select(d => d.Device);

    public static async Task<Compared> Of(Design design, Choosing? choosing = null)
    {
        var ports = design
            .Site.Needs.OfType<ReachFromOutside>()
            .Select(n => n.Port)
            .Concat(design.SetUp.Boxes.Select(b => b.Mode).OfType<RouterMode>().SelectMany(r => r.Forwards).Select(f => f.InsidePort))
            .Distinct();
        using var built = new Built(
            new(Compiler.Compile(design, Situation.Settled).InForce, (choosing ?? new()) with { Ports = [.. ports] })
        );
        return await Of(built, design);
    }

    /// <summary>What was built, beside what Altrin says of a design, which need not be the same.</summary>
    public static async Task<Compared> Of(Built built, Design design)
    {
        var comparison = new Comparison(built, Observer.Observe(Compiler.Compile(design, Situation.Settled)));
        comparison.Leases();
        comparison.Duplicates();
        await comparison.Outward();
        await Task.WhenAll(comparison.Among(), comparison.Found(), comparison.Inward());
        new TableComparison(built, comparison._seen, comparison._tally).Compare();
        // After the tables, since a box that pings is written down by hosts that would not ask for it.
        await comparison.Pings();
        comparison.HopsOfBoxes();
        return comparison._tally.Compared;
    }

    /// <summary>The installer's laptop at a seat: built as one more device there, beside what Altrin says of that seat.</summary>
    public static async Task<Compared> OfSeat(Design design, string seat)
    {
        var (seen, owner) = Seats.At(design, seat).Value;
        var laptop = seen.Network.Situation.Laptop!;
        var inForce = Compiler.Compile(design, Situation.Settled).InForce;
        using var built = new Built(new(WithLaptop.Of(inForce, laptop)));
        var comparison = new Comparison(built, seen);
        comparison.Leases();
        await comparison.Pings(owner);
        return comparison._tally.Compared;
    }

    private void Leases()
    {
        foreach (var lease in _sheet.Leases)
        {
            var seat = SeatOf(lease.Owner, lease.Side);
            // A box that woke and serves has a typed address from then on, and asks no one.
            if (!_built.Offers.TryGetValue(seat, out var heard))
            {
                _tally.Same($"offers to {seat}", lease.Offers.Count, 0);
                continue;
            }
            var said = Ordered(lease.Offers.Select(o => GuestId.BoxOf(o.Server) ?? o.Server));
            var shown = Ordered(heard.Select(h => h.From));
            _tally.Same(
                $"offers to {seat}",
                said,
                said == shown ? shown : Ordered(heard.Concat(_built.Lab.Clients.Offers(seat, TimeSpan.FromSeconds(3))).Select(h => h.From))
            );
            if (!_built.Leases.TryGetValue(seat, out var got))
            {
                var races =
                    lease.Offers.Count > 0
                    && !_seen
                        .Hosts.Races(
                            _seen.Network.Find(lease.Owner, lease.Side)!,
                            _seen.Leasing.Holdings(_seen.Network.Find(lease.Owner, lease.Side)!)[0]
                        )
                        .Any()
                    && _sheet.Overlaps.All(o => o.Router != lease.Owner);
                _tally.Same($"lease of {seat}", races, false);
                continue;
            }
            var possible = lease.Offers.Any(o =>
                (o.Exact is { } exact ? exact == got.Address : o.From is null || o.From.Value.Contains(got.Address))
                && o.PrefixLength == got.PrefixLength
                && o.Gateway == got.Gateway
                && o.DnsServers.SequenceEqual(got.Names)
            );
            _tally.Same(
                $"lease of {seat}, {got.Address}/{got.PrefixLength} by {got.Server}, gateway {got.Gateway}, names {string.Join(' ', got.Names)}",
                possible,
                true
            );
        }
    }

    private static string Ordered(IEnumerable<string> owners) => string.Join(' ', owners.Distinct().Order(StringComparer.Ordinal));

    /// <summary>
    /// Two that answer for one address: each is asked for by a question that leaves its own address out (RFC 5227, section 2.1.1).
    /// </summary>
    private void Duplicates()
    {
        foreach (var segment in _seen.Network.Segments.Where(s => s.Interfaces.Count > 1 && !s.HasStreet))
        {
            var certain = _sheet.Conflicts.Where(c => c.Segment == segment.Id && c.Pool is null).Select(c => c.Address).ToHashSet();
            foreach (
                var group in segment.Interfaces.Where(i => i.Setting is Fixed && i.Linked).GroupBy(i => ((Fixed)i.Setting).Address.Address)
            )
            {
                var holders = group.Select(i => i.Owner).Distinct().ToList();
                var client = segment.Interfaces.FirstOrDefault(i => !holders.Contains(i.Owner));
                if (
                    client is null
                    || _sheet.Overlaps.Count > 0
                    || _sheet.Conflicts.Any(c => c.Segment == segment.Id && c.Address == group.Key && c.Pool is not null)
                )
                {
                    continue;
                }
                var answers = Arp.Holders(_built.Lab, SeatOf(client.Owner, client.Side), group.Key, TimeSpan.FromMilliseconds(200));
                _tally.Same($"holders of {group.Key} in {segment.Id}", certain.Contains(group.Key), answers.Count > 1);
            }
        }
    }

    private async Task Outward()
    {
        var owners = _built.Lab.Owners.ToList();
        using var watch = new Watch(_built.Lab);
        await Task.WhenAll(
            _sheet.Internet.Select(async fact =>
            {
                var port = Services.Port + owners.IndexOf(fact.Device);
                var seen = "";
                await _tally.Agree($"internet of {fact.Device}", fact.Packets, async patient =>
                {
                    var answer = await _built.Connect(fact.Device, Provider.Host, port, patient);
                    seen = answer?.SeenAs ?? "";
                    return (answer?.Who == Lab.Internet, answer is var (who, as_) ? $"{who} answers and sees {as_}" : "no host answers");
                });
                if (fact is { Packets.IsYes: true, Sure: true } && seen.Length > 0)
                {
                    _tally.Same($"address that the world sees of {fact.Device}", $"{Expected(fact)}", seen);
                }
                var names =
                    _built.Leases.TryGetValue(new(fact.Device, "eth0"), out var lease) ? lease.Names
                    : Design.SetUp.Devices.First(d => d.Device == fact.Device).Address is Fixed typed ? typed.DnsServers
                    : [];
                await _tally.Agree($"names of {fact.Device}", fact.Names, async _ =>
                {
                    var all = await Task.WhenAll(names.Select(n => _built.Resolves(fact.Device, n)));
                    return (all.Length > 0 && all.All(a => a), $"{all.Count(a => a)} of {all.Length} DNS servers answer");
                });
            })
        );
        var passed = watch.Sources(owners.Count);
        foreach (var fact in _sheet.Internet.Where(f => f.Packets.IsYes && f.Sure))
        {
            _tally.Same(
                $"translators of {fact.Device}",
                string.Join(' ', fact.NatBy.Order(StringComparer.Ordinal)),
                string.Join(
                    ' ',
                    passed
                        .Where(p => p.Port == owners.IndexOf(fact.Device) && p.Sources > 1)
                        .Select(p => p.Owner)
                        .Order(StringComparer.Ordinal)
                )
            );
        }
        await Parallel.ForEachAsync(_sheet.Internet.Where(f => f.Packets.IsYes && f.Sure), (fact, _) =>
        {
            var route = _seen.Tracer.ToInternet(_seen.Network.Find(fact.Device, Side.Device)!);
            var hops = _built.Hops(fact.Device) is { } once && once.Count == route.Routers.Count + 2 ? once : _built.Hops(fact.Device);
            // Each router, the provider, and the host itself.
            _tally.Same($"hops of {fact.Device} ({string.Join(' ', hops)})", route.Routers.Count + 2, hops.Count);
            // A router that has the answering one's address itself takes the answer for a forgery and drops it: the hop stays silent.
            foreach (var (router, hop) in route.Routers.Zip(hops).Where(h => h.Second != "*"))
            {
                _tally.Same(
                    $"hop of {fact.Device} at {router} ({hop})",
                    _built.Lab.Hosts().Any(h => h.Seat.Owner == router && $"{_built.AddressOf(h.Seat)}" == hop),
                    true
                );
            }
            return ValueTask.CompletedTask;
        });
    }

    private Ipv4Address? Expected(InternetFact fact) =>
        fact.SeenAs == PortRef.Street
            ? Provider.CarrierPublic
            : _built.AddressOf(new(fact.SeenAs, Design.Box(fact.SeenAs) is null ? "eth0" : "wan"));

    private async Task Among()
    {
        var pairs = Devices.SelectMany(a => Devices.Where(b => b != a).Select(b => (a, b)));
        await Task.WhenAll(
            pairs.Select(pair => _tally.Agree($"reach from {pair.a} to {pair.b}", _seen.Reach(pair.a, pair.b)!.Answer, async patient =>
                {
                    var answer = await _built.Connect(pair.a, _built.AddressOf(new(pair.b, "eth0")), Services.Port, patient);
                    return (answer?.Who == pair.b, answer is var (who, _) ? $"{who} answers" : "no host answers");
                }))
        );
        await Task.WhenAll(
            _sheet.Management.SelectMany(page =>
                page.From.Select(from => _tally.Agree($"page of {page.Box} from {from.Class}", from.Answer, async patient =>
                    {
                        var answer = await _built.Connect(from.Class, _built.AddressOf(new(page.Box, "lan")), Services.Port, patient);
                        return (answer?.Who == page.Box, answer is var (who, _) ? $"{who} answers" : "no host answers");
                    }))
            )
        );
    }

    /// <summary>
    /// Pings from every seat: from boxes and the street to everything, from devices to what is behind no connection of theirs that was
    /// compared already, the outer and guest sides of routers.
    /// </summary>
    /// <param name="only">Who pings; null for everybody.</param>
    private async Task Pings(string? only = null)
    {
        var seats = _built
            .Lab.Owners.Where(o => only is null || o == only)
            .Where(o => o != Lab.Internet && _seen.Network.Interfaces.Any(i => i.Owner == o))
            .ToList();
        var targets = _seen
            .Network.Interfaces.Where(i => i.Side != Side.Provider && (i.Linked || i.IsInner))
            .Select(i => (Host: i, Shown: _seen.AddressOf(i.Owner, i.Segment), Real: _built.AddressOf(SeatOf(i.Owner, i.Side))))
            .Where(t => t is { Shown: not null, Real: not null })
            .Select(t => (t.Host, Name: $"{SeatOf(t.Host.Owner, t.Host.Side)}", Shown: t.Shown!.Value, Real: t.Real!.Value))
            // Two pools of the same addresses may lease one to two hosts, each on its own side: what is shown are other examples.
            .GroupBy(t => t.Real)
            .SelectMany(g => g.Count() > 1 ? g.Where(t => t.Shown == t.Real) : g)
            // Of several servers it is luck in which subnet a host ends up: what is shown is an example of one of them.
            .Where(t => _seen.Leasing.Holdings(t.Host).Count < 2)
            .ToList();
        var asked = seats.SelectMany(s =>
            targets
                .Where(t => t.Host.Owner != s && (!Devices.Contains(s) || t.Host.Side is Side.Wan or Side.Guest))
                .Select(t => (From: s, t.Name, t.Shown, t.Real))
                .Append((From: s, Name: Lab.Internet, Shown: Provider.Host, Real: Provider.Host))
                .Where(t => t.From != PortRef.Street || t.Name != Lab.Internet)
        );
        await Task.WhenAll(
            asked.Select(a => _tally.Agree($"ping from {a.From} to {a.Name}", Looking.To(_seen, a.From, a.Shown)!.Ping, async patient =>
                {
                    var back = await Services.Pings(_built.Lab, a.From, a.Real, TimeSpan.FromSeconds(patient ? 6 : 1.5));
                    return (back, back ? $"{a.Real} answers" : $"{a.Real} does not answer");
                }))
        );
    }

    /// <summary>The way of a router's own packets to the internet.</summary>
    private void HopsOfBoxes()
    {
        foreach (var (router, _) in _built.Lab.Hosts().Where(h => h.Seat.Device == "wan").Select(h => (h.Seat.Owner, h.Setting)))
        {
            if (_built.Lab.Router(router) is null || Looking.To(_seen, router, Provider.Host) is not { Ping.IsYes: true } trace)
            {
                continue;
            }
            var hops = _built.Hops(router) is { } once && once.Count == trace.Hops.Count ? once : _built.Hops(router);
            _tally.Same($"hops of {router} ({string.Join(' ', hops)})", trace.Hops.Count, hops.Count);
        }
    }

    private async Task Found()
    {
        var classes = _sheet.Reach.Classes.SelectMany(c => c.Devices.Select(d => (d, c.Id))).ToDictionary(c => c.d, c => c.Id);
        var facts = _sheet.Discovery.ToDictionary(d => (d.From, d.To));
        var silent = Answer.No(Cause.Of("apart", "They are in no segment together."));
        await Task.WhenAll(
            Devices.Select(async from =>
            {
                var back = await _built.AskEverybody(from);
                foreach (var to in Devices.Where(d => d != from))
                {
                    var (question, reply) = facts.TryGetValue((classes[from], classes[to]), out var fact)
                        ? (fact.Question, fact.Reply)
                        : (silent, silent);
                    await _tally.Agree($"question of {from} at {to}", question, _ =>
                        Task.FromResult((_built.Asked(from, to), $"heard: {_built.Asked(from, to)}"))
                    );
                    await _tally.Agree($"answer of {to} to {from}", reply, _ =>
                        Task.FromResult((back.Contains(to), $"answered: {back.Contains(to)}"))
                    );
                }
            })
        );
    }

    private async Task Inward()
    {
        await Task.WhenAll(_sheet.Inbound.Select(fact => _tally.Agree($"inbound {fact.Port} at {fact.Router}", fact.Answer, async patient =>
                {
                    var who = await _built.Answers(
                        Lab.Internet,
                        Entry(_seen.Tracer.ToInternet(_seen.Network.Find(fact.Router, Side.Wan)!), new(fact.Router, "wan")),
                        fact.Protocol,
                        fact.Port,
                        patient
                    );
                    return (who is not null && (fact.ArrivesAt is not { } at || at == who), $"{who ?? "no host"} answers");
                })));
        foreach (var need in Design.Site.Needs.OfType<ReachFromOutside>())
        {
            var outward = _seen.Tracer.ToInternet(_seen.Network.Find(need.Device, Side.Device)!);
            await _tally.Agree($"need {need.Id}", _sheet.Needs.Single(n => n.Need == need.Id).Answer, async patient =>
            {
                var who = await _built.Answers(Lab.Internet, Entry(outward, new(need.Device, "eth0")), need.Protocol, need.Asked, patient);
                return (who == need.Device, $"{who ?? "no host"} answers");
            });
        }
    }

    /// <summary>The address that a connection from outside is opened to: that of the outermost translation of one's own.</summary>
    private Ipv4Address? Entry(Route outward, Seat own) =>
        outward.NatBy.LastOrDefault(t => t != PortRef.Street) is { } outermost
            ? _built.AddressOf(new(outermost, "wan"))
            : _built.AddressOf(own);

    private static Seat SeatOf(string owner, Side side) =>
        new(
            owner,
            side switch
            {
                Side.Wan => "wan",
                Side.Device or Side.Laptop => "eth0",
                Side.Guest => "guest",
                _ => "lan",
            }
        );
}
