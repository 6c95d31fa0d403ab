using Altrin.Core.Addressing;
using Altrin.Core.Comparisons;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Procedures;
using Altrin.Core.Readings;
using Altrin.Core.Sites;

namespace Altrin.Kernel.Tests.Evenings;

/// <summary>One look at a home of namespaces, beside what was expected of it.</summary>
internal sealed class Look(LiveHome home, HomeFile file, Foreseen foreseen)
{
    private readonly Tally _tally = new();

    private Expectation Expects => foreseen.Expects;

    /// <summary>Everything that wires can show.</summary>
    /// <param name="sight">What the laptop prints; null where it is in its bag.</param>
    public async Task<Compared> Compare(LaptopSight? sight)
    {
        await Online();
        if (sight is not null)
        {
            var real = home.Lab.Hosts().Select(h => AddressOf(h.Seat, h.Setting)).OfType<Ipv4Address>();
            var named = Expects.Adapters.SelectMany(a => a.Table).Select(n => n.Address).OfType<Ipv4Address>();
            var reading = sight.Prints([.. real.Concat(named).Distinct()]);
            _tally.Same("lines that are not understood", 0, reading.UnreadCount);
            foreach (var adapter in Expects.Adapters)
            {
                Adapter(adapter, reading);
            }
            Table(reading);
            Internet(reading);
            Statements("printed", reading);
            await Pages(sight);
            foreach (var (owner, _) in foreseen.Moment.Situation.Laptop!.Adapters().Where(a => a.Address is Automatic && IsLinked(a.Owner)))
            {
                Statements($"captured at {owner}", sight.Captures(owner));
            }
        }
        return _tally.Compared;
    }

    private Ipv4Address? AddressOf(Seat seat, HostAddress setting) => setting is Fixed typed ? typed.Address.Address : home.Leases.Of(seat);

    private async Task Online() =>
        await Task.WhenAll(
            Expects
                .Online.Where(d => home.Lab.Design.SetUp.Devices.Any(x => x.Device == d.Device))
                .Select(d => _tally.Agree($"internet of {d.Device}", d.Answer, async patient =>
                    {
                        var setting = home.Lab.Design.SetUp.Devices.First(x => x.Device == d.Device).Address;
                        var names =
                            setting is Fixed typed ? typed.DnsServers
                            : home.Leases.Held.TryGetValue(new(d.Device, "eth0"), out var got) ? got.Names
                            : [];
                        var who = await Services.Connect(
                            home.Lab,
                            d.Device,
                            new(System.Net.IPAddress.Parse($"{Provider.Host}"), Services.Port),
                            LaptopSight.Patience(patient)
                        );
                        var resolves = 0;
                        foreach (var server in who is null ? [] : names)
                        {
                            resolves += await Services.Resolves(
                                home.Lab,
                                d.Device,
                                System.Net.IPAddress.Parse($"{server}"),
                                LaptopSight.Patience(patient)
                            )
                                ? 1
                                : 0;
                        }
                        return (
                            who?.Who == Lab.Internet && names.Count > 0 && resolves == names.Count,
                            $"{who?.Who ?? "no host"} answers, {resolves} of {names.Count} DNS servers do"
                        );
                    }))
        );

    private void Adapter(AdapterSeen adapter, Reading reading)
    {
        var name = Lab.NameOf(new(adapter.Owner, "eth0"));
        var shown = reading.Adapters.FirstOrDefault(a => a.Name == name);
        var gateway = reading.Routes.FirstOrDefault(r => r.IsDefault && r.Adapter == name)?.Gateway;
        // An address that was typed stays where the cable is out; a system may show it or not.
        if (!IsLinked(adapter.Owner))
        {
            return;
        }
        if (adapter.Address is not { } address || address.Origin is AddressOrigin.None)
        {
            _tally.Same($"{name} has an address", false, shown?.Address is not null);
            return;
        }
        // Of several servers it is luck which one was first.
        if (address.Servers.Count > 1)
        {
            return;
        }
        _tally.Same(
            $"{name} has {Shown(address)}, and prints {shown?.Address?.ToString() ?? "none"}",
            true,
            shown?.Address is { } own
                && (
                    address.From is { } range ? range.Contains(own.Address)
                    : address.Address is { } exact ? exact == own.Address
                    : address.Origin == AddressOrigin.SelfAssigned && $"{own.Address}".StartsWith("169.254.", StringComparison.Ordinal)
                )
                && (address.PrefixLength is not { } prefix || prefix == own.PrefixLength)
        );
        _tally.Same($"gateway of {name}", $"{address.Gateway}", $"{gateway}");
        if (Expects.Adapters.Count == 1)
        {
            _tally.Same($"DNS servers of {name}", string.Join(' ', address.DnsServers), string.Join(' ', reading.DnsServers));
        }
    }

    private bool IsLinked(string adapter) => home.Lab.Wiring.Linked(new(adapter, "eth0"));

    private static string Shown(AddressFact address) =>
        address.From is { } range ? $"one of {range}"
        : address.Address is { } exact ? $"{exact}/{address.PrefixLength}"
        : $"{address.Origin}";

    /// <summary>Each host in the table was expected there, and each that was expected for certain is in it.</summary>
    private void Table(Reading reading)
    {
        var expected = Expects.Adapters.SelectMany(a => a.Table).ToList();
        var shown = reading
            .Neighbours.Where(n => n.Mac is not null)
            .Select(n => (n.Address, Owner: home.Lab.Whose(n.Mac!.Value)?.Owner))
            .ToList();
        foreach (var (address, owner) in shown.Where(s => s.Owner is null || !Laptop.Is(s.Owner)))
        {
            _tally.Same(
                $"{address} is {owner} in its table",
                true,
                expected.Any(n =>
                    n.Owner == owner && (n.From is { } range ? range.Contains(address!.Value) : n.Address is null || n.Address == address)
                )
            );
        }
        foreach (var near in expected.Where(n => n is { Certain: true, Address: not null } && !Laptop.Is(n.Owner)))
        {
            _tally.Same(
                $"{near.Owner} at {near.Address} is in its table",
                true,
                shown.Any(s =>
                    s.Owner == near.Owner && (near.From is { } range ? range.Contains(s.Address!.Value) : s.Address == near.Address)
                )
            );
        }
    }

    private void Internet(Reading reading)
    {
        if (Expects.Internet is not { Ping.Kind: AnswerKind.Yes or AnswerKind.No } way)
        {
            return;
        }
        _tally.Same(
            "a ping to the internet comes back",
            way.Ping.IsYes,
            reading.Pings.Any(p => p.Target == Provider.Host && p.Answered > 0)
        );
        if (way.Ping.IsYes && reading.Traces is [var trace])
        {
            _tally.Same(
                "hops to the internet",
                string.Join(
                    ' ',
                    way.Hops.Select((h, i) => h.Address is null && i < trace.Hops.Count ? First(trace.Hops[i]) : $"{h.Address}")
                ),
                string.Join(' ', trace.Hops.Select(First))
            );
        }

        static string First(HopRead hop) => hop.Addresses is [var address, ..] ? $"{address}" : "*";
    }

    private async Task Pages(LaptopSight sight)
    {
        foreach (var page in Expects.Pages.Where(p => p.Answer is AnswerKind.Yes or AnswerKind.No))
        {
            var who = await sight.Opens(InFact(page.Address), page.Answer == AnswerKind.Yes);
            // That a page is away while its box saves, or opens from some sides only, is no affair of wires.
            if (page.Answer == AnswerKind.No && who is not null && IsHeldBack(who))
            {
                continue;
            }
            _tally.Same($"page at {page.Address} ({page.Why})", page.Box ?? "none", who ?? "none");
        }
    }

    /// <summary>Which address a page has that is leased is read off first, as the installer does.</summary>
    private Ipv4Address InFact(Ipv4Address address)
    {
        var leased = foreseen
            .Step.After.Seen()
            .Sheet.Addresses.FirstOrDefault(a => a is { Side: Side.Page, Origin: AddressOrigin.Leased } && a.Address == address);
        return leased is null ? address : home.Leases.Of(new(leased.Owner, "lan")) ?? address;
    }

    private bool IsHeldBack(string who) =>
        foreseen.Step.After.Design.Box(who) is not { } box
        || PageAt.HasNone(box.Profile)
        || PageAt.Sides(box.Profile).Count < Enum.GetValues<PageSide>().Length
        || foreseen.Moment.Situation.BusyNow().Any(b => b.Box == who);

    /// <summary>What the comparison of readings says of it, by the moment as it was expected.</summary>
    private void Statements(string what, Reading reading)
    {
        foreach (var statement in ReadingComparison.Of(file, foreseen.Moment, reading).Statements)
        {
            _tally.Same($"{what}: {statement.Found} {statement.Recorded}", false, statement.Agreement == Agreement.Disagrees);
        }
    }
}
