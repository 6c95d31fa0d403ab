using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Packets;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Core.Comparisons;

/// <summary>What the adapter that counts says: its address and how it came by it, its gateway, its DNS servers, its MAC address.</summary>
internal static class AdapterStatements
{
    public static IEnumerable<Statement> Of(HomeFile home, Design design, string? seat, SeatView? at, Machine machine)
    {
        var read = machine.Adapter;
        if (at is null)
        {
            yield return new("address", read.Line, Says(read), Agreement.Unknown)
            {
                Recorded = "Say where it was taken to have it compared.",
            };
            yield break;
        }
        var held = at.Holdings;
        if (read.Address is { } own)
        {
            yield return Address(home, design, seat, at, read, own);
        }
        else if (read.AddressAlone is { } alone)
        {
            var fits = held.Any(h => SeatView.Fits(h, alone));
            yield return Held(at, read, held, fits) with
            {
                Explanations =
                    fits || seat is null
                        ? []
                        : Slips.That(home, design, seat, at, p =>
                            p.Holdings.Any(h => SeatView.Fits(h, alone) && (read.Gateway is null || h.Gateway == read.Gateway))
                        ),
            };
        }
        if (read is { Address: not null, Way: AddressWay.Fixed or AddressWay.Leased } && Way(design, at, read) is { } way)
        {
            yield return way;
        }
        if (read.Gateway is { } gateway)
        {
            var agrees = held.Any(h => h.Gateway == gateway);
            yield return new(
                "gateway",
                read.Line,
                $"Its gateway is {gateway}{Whose(at, gateway)}.",
                held.Count == 0 ? Agreement.Unknown
                    : agrees ? Agreement.Agrees
                    : Agreement.Disagrees
            )
            {
                Recorded = held.Select(h => h.Gateway).OfType<Ipv4Address>().Distinct().ToList() is { Count: > 0 } gateways
                    ? $"Recorded: {string.Join(" or ", gateways)}."
                    : "No gateway is recorded there.",
            };
        }
        else if (read is { Address: not null, Way: not AddressWay.SelfAssigned } && held.Any(h => h.Gateway is not null))
        {
            yield return new("gateway", read.Line, "It has no gateway in this text.", Agreement.Unknown)
            {
                Recorded =
                    $"Recorded: {string.Join(" or ", held.Select(h => h.Gateway).OfType<Ipv4Address>().Distinct())}. Some commands do not print it.",
            };
        }
        if (read.DnsServers.Count > 0)
        {
            yield return Names(design, at, read, held);
        }
        if (read.Mac is { } mac && !at.IsLaptop && Mac(design, at.Owner, mac, read.Line) is { } said)
        {
            yield return said;
        }
    }

    private static Statement Address(HomeFile home, Design design, string? seat, SeatView at, AdapterRead read, InterfaceAddress own)
    {
        var held = at.Holdings;
        var fits = held.Any(h => SeatView.Fits(h, own));
        var explained =
            fits || seat is null
                ? []
                : Slips.That(home, design, seat, at, p =>
                    p.Holdings.Any(h => SeatView.Fits(h, own) && (read.Gateway is null || h.Gateway == read.Gateway))
                );
        if (read.Way == AddressWay.SelfAssigned)
        {
            return new(
                "address",
                read.Line,
                $"No DHCP server answered: it gave itself {own.Address} (RFC 3927).",
                fits ? Agreement.Agrees : Agreement.Disagrees
            )
            {
                Recorded = Expected(at, held),
                Explanations = explained,
            };
        }
        var change = fits ? null : LanOffer(at, read, own);
        return Held(at, read, held, fits) with
        {
            Explanations =
                fits || read.Way == AddressWay.Leased ? explained
                : held.Any(h => h.Subnet == own.Subnet && !h.SelfAssigned)
                    ?
                    [
                        new(
                            "It is in the right network, but not an address that is given there: typed by hand, or left over from an earlier job.",
                            []
                        ),
                        .. explained,
                    ]
                : read.Way == AddressWay.Fixed
                    ? [new("It was typed by hand, and tells nothing of the network that it is plugged into.", []), .. explained]
                : explained,
            Offer = change?.Describe(design),
            Changes = change is null ? [] : [change],
        };
    }

    /// <summary>Its address beside those that it may hold here.</summary>
    private static Statement Held(SeatView at, AdapterRead read, IReadOnlyList<Holding> held, bool fits) =>
        new(
            "address",
            read.Line,
            Says(read),
            fits ? Agreement.Agrees
                : held.Count == 0 ? Agreement.Unknown
                : Agreement.Disagrees
        )
        {
            Recorded = Expected(at, held),
        };

    /// <summary>What is told of the adapter; its gateway or DNS servers where that is all.</summary>
    private static string Says(AdapterRead read)
    {
        var who = read.Name.Length > 0 && read.Name != $"{read.Address?.Address}" ? $"{read.Name} has" : "It has";
        return read.Address is { } own
                ? $"{who} {own}{read.Way switch { AddressWay.Leased => read.Server is { } server ? $", leased from {server}" : ", leased", AddressWay.Fixed => ", typed by hand", _ => "" }}."
            : read.AddressAlone is { } alone ? $"{who} {alone}; its mask does not stand in this text."
            : read.Gateway is { } gateway ? $"{who} the gateway {gateway}."
            : $"It asks {string.Join(" and ", read.DnsServers)} as DNS server.";
    }

    private static string Whose(SeatView at, Ipv4Address address) => at.HolderOf(address) is { } owner ? $" ({at.NameOf(owner)})" : "";

    private static string Expected(SeatView at, IReadOnlyList<Holding> held)
    {
        var ways = held.Select(h =>
                (
                    h.SelfAssigned ? "an address of its own, since no DHCP server answers"
                    : h is { Exact: { } exact, Pool: null } ? $"{exact}/{h.PrefixLength}"
                    : (h.From ?? h.Pool) is { } range ? $"one of {range.First} to {range.Last} /{h.PrefixLength}"
                    : "an address that is not known"
                ) + (h.Server is { } server ? $" from {(server == PortRef.Street ? "the provider" : at.NameOf(server))}" : "")
            )
            .Distinct()
            .ToList();
        return ways.Count == 0 ? "Recorded: nothing is connected there." : $"Recorded: {string.Join(", or ", ways)}.";
    }

    /// <summary>
    /// The router there is at another address than recorded: what its lease says is believed, unless that is the address of another box.
    /// </summary>
    private static SetLanAddress? LanOffer(SeatView at, AdapterRead read, InterfaceAddress own)
    {
        if (
            read.Way == AddressWay.Fixed
            || read.Gateway is not { } gateway
            || !own.Subnet.Contains(gateway)
            || (read.Server is { } server && server != gateway)
            || at.HolderOf(gateway) is not null
            || at.OnlyServer is not { } router
        )
        {
            return null;
        }
        var change = new SetLanAddress(router, new(gateway, own.PrefixLength));
        return at.Seen.Network.Router(router)?.Lan != change.Address && change.ApplyTo(at.Design).Ok ? change : null;
    }

    /// <summary>Typed by hand or leased, against what is recorded of a device, or of the laptop at that moment.</summary>
    private static Statement? Way(Design design, SeatView at, AdapterRead read)
    {
        if (at.IsLaptop)
        {
            var adapters = at.Seen.Network.Situation.Laptop!.Adapters().ToList();
            return read.Way == AddressWay.Leased && adapters.TrueForAll(a => a.Address is Fixed)
                    ? new("way", read.Line, "The laptop asks for its address.", Agreement.Disagrees)
                    {
                        Recorded = "By then an address was typed into it.",
                    }
                : read.Way == AddressWay.Fixed && adapters.TrueForAll(a => a.Address is Automatic)
                    ? new("way", read.Line, "The laptop has an address that was typed by hand.", Agreement.Disagrees)
                    {
                        Recorded = "The laptop is taken to ask for its address.",
                        Explanations =
                        [
                            new(
                                "It was left on a fixed address after an earlier set-up. Set it back to automatic, or it has no internet in the next network.",
                                []
                            ),
                        ],
                    }
                : null;
        }
        if (
            design.SetUp.Devices.FirstOrDefault(d => d.Device == at.Owner) is not { } setting
            || setting.Address is Automatic == (read.Way == AddressWay.Leased)
        )
        {
            return null;
        }
        var typed = read.Way == AddressWay.Fixed;
        var change = new SetDeviceAddress(
            at.Owner,
            typed ? new Fixed(read.Address!.Value, read.Gateway, read.DnsServers) : new Automatic()
        );
        var possible = change.ApplyTo(design).Ok;
        return new(
            "way",
            read.Line,
            typed ? $"{at.NameOf(at.Owner)} has an address that was typed by hand." : $"{at.NameOf(at.Owner)} asks for its address.",
            Agreement.Disagrees
        )
        {
            Recorded = typed ? "Recorded: it asks for its address." : "Recorded: its address is typed by hand.",
            Offer = possible ? change.Describe(design) : null,
            Changes = possible ? [change] : [],
        };
    }

    private static Statement Names(Design design, SeatView at, AdapterRead read, IReadOnlyList<Holding> held)
    {
        // A system with two adapters in use lists those of both.
        var agrees = held.Select(h => h.DnsServers)
            .Append([.. held.SelectMany(h => h.DnsServers).Distinct()])
            .Any(n => n.Order().SequenceEqual(read.DnsServers.Order()));
        var strange = read.DnsServers.Where(n => at.HolderOf(n) is null && SpecialBlock.UseOf(n) == AddressUse.Private).ToList();
        var change =
            !agrees && read.Way == AddressWay.Leased && strange.Count == 0 && at.OnlyServer is { } router
                ? new SetDnsServers(router, read.DnsServers, false)
                : null;
        var offered = change?.ApplyTo(design).Ok == true ? change : null;
        return new(
            "names",
            read.Line,
            $"It asks {string.Join(" and ", read.DnsServers.Select(n => $"{n}{Whose(at, n)}"))} as DNS server.",
            held.Count == 0 ? Agreement.Unknown
                : agrees ? Agreement.Agrees
                : Agreement.Disagrees
        )
        {
            Recorded = held.SelectMany(h => h.DnsServers).Distinct().ToList() is { Count: > 0 } names
                ? $"Recorded: {string.Join(" and ", names)}."
                : "No DNS server is recorded there.",
            Explanations =
                agrees ? []
                : strange.Count > 0
                    ? [new($"No recorded host is at {string.Join(" or ", strange)}: pages do not open although addresses answer.", [])]
                : read.Way == AddressWay.Fixed ? [new("The DNS server was typed by hand.", [])]
                : [],
            Offer = offered?.Describe(design),
            Changes = offered is null ? [] : [offered],
        };
    }

    /// <summary>The MAC address that a device or box printed of itself; null where a box has it on another side.</summary>
    private static Statement? Mac(Design design, string owner, MacAddress mac, int line)
    {
        var (recorded, name, correction) =
            design.Device(owner) is { } device
                ? (device.Mac, device.Name, (Correction)new SetDevice(device.Id, Partial<Device>.With(d => d.Mac, mac)))
            : design.Box(owner) is { } box && (box.Mac is null || MacKin.Of(box, mac) is null) ? (box.Mac, box.Name, Noted(box, mac))
            : (null, "", null!);
        return correction is null
            ? null
            : new(
                "mac",
                line,
                $"Its MAC address is {mac}.",
                recorded is null ? Agreement.Unknown
                    : recorded == mac ? Agreement.Agrees
                    : Agreement.Disagrees
            )
            {
                Recorded = recorded is null ? $"None is recorded of {name}." : $"Recorded: {recorded}.",
                Offer = recorded is null ? $"{name} has the MAC address {mac}" : null,
                Corrections = recorded is null ? [correction] : [],
            };
    }

    /// <summary>A box with its MAC address noted.</summary>
    internal static SetBox Noted(Box box, MacAddress mac) => new(box.Id, Partial<BoxFacts>.With(b => b.Mac, mac));
}
