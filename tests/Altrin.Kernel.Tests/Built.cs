using System.Collections.Concurrent;
using System.Net;
using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Kernel.Tests;

/// <summary>
/// A lab brought up like a home in the morning: everybody asked for an address, then everything was finished and answers.
/// </summary>
internal sealed class Built : IDisposable
{
    private readonly Services _services;

    public Built(Lab lab)
    {
        Lab = lab;
        var patience = lab.Design.Site.Boxes.Any(b => b.Profile.Habits.ChecksOffer == Known.Yes)
            ? TimeSpan.FromSeconds(4)
            : TimeSpan.FromMilliseconds(900);
        Wake(patience);
        var clients = lab.Clients.All.ToList();
        // Silence is listened to once more, and longer: the machine may be busy.
        Offers = Each(clients, s => lab.Clients.Offers(s, patience) is { Count: > 0 } heard ? heard : lab.Clients.Offers(s, 3 * patience));
        // Outer sides first: who is further in asks a router that is there already.
        foreach (var sides in clients.GroupBy(s => s.Device == "wan" ? 0 : 1).OrderBy(g => g.Key))
        {
            // One after the other: a server that is asked twice at once offers one address twice, and the loser starts again.
            foreach (var seat in sides)
            {
                // A host that was offered an address and got none may have met a busy machine: it asks once more, as any client would.
                var got = Offers[seat].Count > 0 ? lab.Clients.Ask(seat) ?? lab.Clients.Ask(seat) : null;
                if (got is not null && Takes(seat, got))
                {
                    Leases[seat] = got;
                    lab.Routers.Configure(seat, new(new(got.Address, got.PrefixLength), got.Gateway, got.Names));
                }
                else if (seat.Device == "eth0")
                {
                    // RFC 3927, section 2.1: an address of one's own choice in 169.254.1.0 to 169.254.254.255.
                    lab.Routers.Configure(seat, new(new(Ipv4Address.From(169, 254, 7, (byte)(clients.IndexOf(seat) + 1)), 16), null, []));
                    Alone[seat.Owner] = Ipv4Address.From(169, 254, 7, (byte)(clients.IndexOf(seat) + 1));
                }
            }
        }
        foreach (var seat in lab.Hosts().Where(h => h.Seat.Device == "wan" && h.Setting is Fixed && lab.Wiring.Linked(h.Seat)))
        {
            if (Takes(seat.Seat, (Fixed)seat.Setting))
            {
                lab.Routers.Configure(seat.Seat, (Fixed)seat.Setting);
            }
        }
        lab.Routers.Finish(Leases);
        _services = new(lab);
    }

    public Lab Lab { get; }

    /// <summary>Who answered each client's question.</summary>
    public IReadOnlyDictionary<Seat, IReadOnlyList<Heard>> Offers { get; }

    /// <summary>What each client took.</summary>
    public Dictionary<Seat, Got> Leases { get; } = [];

    /// <summary>Addresses that no server gave: chosen by themselves, or from the factory.</summary>
    public Dictionary<string, Ipv4Address> Alone { get; } = [];

    /// <summary>The address that a side has; null where it has none.</summary>
    public Ipv4Address? AddressOf(Seat seat) =>
        Alone.TryGetValue(seat.Owner, out var alone) ? alone
        : Leases.TryGetValue(seat, out var lease) ? lease.Address
        : Lab.Hosts().FirstOrDefault(h => h.Seat == seat).Setting is Fixed typed ? typed.Address.Address
        : null;

    public async Task<(string Who, string SeenAs)?> Connect(string from, Ipv4Address? to, int port, bool patient = false) =>
        to is { } address
            ? await Services.Connect(Lab, from, new(IPAddress.Parse($"{address}"), port), TimeSpan.FromSeconds(patient ? 6 : 1.5))
            : null;

    /// <summary>Who answers at a port, by either protocol; null where none does.</summary>
    public async Task<string?> Answers(string from, Ipv4Address? to, Protocol protocol, int port, bool patient) =>
        protocol == Protocol.Tcp ? (await Connect(from, to, port, patient))?.Who
        : to is { } address
            ? await Services.Ask(Lab, from, new(IPAddress.Parse($"{address}"), port), TimeSpan.FromSeconds(patient ? 6 : 1.5))
        : null;

    public Task<IReadOnlyList<string>> AskEverybody(string from) => Services.AskEverybody(Lab, from, TimeSpan.FromSeconds(1.2));

    public bool Asked(string from, string to) => _services.Asked(from, to);

    public async Task<bool> Resolves(string from, Ipv4Address server) =>
        await Services.Resolves(Lab, from, IPAddress.Parse($"{server}"), TimeSpan.FromSeconds(2));

    /// <summary>The addresses that a packet to the internet passes, as the usual tool shows them; "*" for one that is silent.</summary>
    public IReadOnlyList<string> Hops(string from) =>
        [
            .. Namespaces
                .In(Lab.Of(from), "traceroute", ["-n", "-I", "-q", "1", "-w", "2", "-m", "12", $"{Provider.Host}"])
                .Output.Split('\n', StringSplitOptions.RemoveEmptyEntries)
                .Skip(1)
                .Select(l => l.Split(' ', StringSplitOptions.RemoveEmptyEntries)[1]),
        ];

    public void Dispose()
    {
        _services.Dispose();
        Lab.Dispose();
    }

    /// <summary>Work for each seat, side by side.</summary>
    private static Dictionary<Seat, T> Each<T>(IEnumerable<Seat> seats, Func<Seat, T> work)
    {
        var results = new ConcurrentDictionary<Seat, T>();
        var threads = seats.Select(s => new Thread(() => results[s] = work(s))).ToList();
        threads.ForEach(t => t.Start());
        threads.ForEach(t => t.Join());
        return new(results);
    }

    /// <summary>Access points whose DHCP server comes on when they hear no other.</summary>
    private void Wake(TimeSpan patience)
    {
        foreach (
            var (seat, _) in Lab.Hosts()
                .Where(h =>
                    h.Seat.Device == "lan"
                    && Lab.Design.Mode(h.Seat.Owner) is AccessPointMode
                    && Lab.Does(h.Seat.Owner, x => x.ServesWhenAlone)
                )
                .ToList()
        )
        {
            if (
                Lab.Wiring.Linked(seat)
                && Lab.Clients.Offers(seat, patience).Count == 0
                && Lab.Design.Box(seat.Owner)!.Profile is { FactoryAddress: { } own, FactoryPool: { } pool }
            )
            {
                Lab.Routers.Configure(seat, new(own, null, []));
                Alone[seat.Owner] = own.Address;
                Lab.Routers.Serve(seat.Owner, "lan", new(pool, own.PrefixLength, own.Address, [own.Address]));
            }
        }
    }

    private bool Takes(Seat seat, Got got) => Takes(seat, new Fixed(new(got.Address, got.PrefixLength), null, []));

    /// <summary>A box that refuses leaves its WAN side without an address where it overlaps the inner one.</summary>
    private bool Takes(Seat seat, Fixed outer) =>
        seat.Device != "wan"
        || Lab.Router(seat.Owner) is not { } router
        || !outer.Address.Subnet.Overlaps(router.Lan.Subnet)
        || Lab.Design.Box(seat.Owner)!.Profile.Habits.OnOverlap != OverlapHabit.Refuses;
}
