using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Readings;
using Altrin.Core.Sites;

namespace Altrin.Core.Comparisons;

/// <summary>What routes and pings say: who stands between the seat and the street, and who answers.</summary>
internal static class RouteStatements
{
    /// <summary>How many routes, and how many pings, of one reading are spoken of: each is followed on the simulated network.</summary>
    public const int MostTraces = 10,
        MostPings = 50;

    public static IEnumerable<Statement> Of(HomeFile home, Design design, string? seat, SeatView? at, Reading reading)
    {
        foreach (var (trace, number) in reading.Traces.Take(MostTraces).Select((t, i) => (t, i + 1)))
        {
            yield return Trace(home, design, seat, at, trace, $"route:{number}");
        }
        foreach (var (ping, number) in reading.Pings.Where(p => p.Target is not null).Take(MostPings).Select((p, i) => (p, i + 1)))
        {
            yield return Ping(at, ping, $"ping:{number}");
        }
    }

    /// <summary>The hops of a route before the first that is valid on the internet.</summary>
    internal static IReadOnlyList<Ipv4Address> Inner(TraceRead trace) =>
        [
            .. trace
                .Hops.Select(h => h.Addresses.Count > 0 ? h.Addresses[0] : (Ipv4Address?)null)
                .TakeWhile(a => a is null || SpecialBlock.UseOf(a.Value) is AddressUse.Private or AddressUse.CarrierShared)
                .OfType<Ipv4Address>()
                .Where(a => a != trace.Target),
        ];

    private static Statement Trace(HomeFile home, Design design, string? seat, SeatView? at, TraceRead trace, string id)
    {
        var inner = Inner(trace);
        var carrier = inner.Where(a => SpecialBlock.UseOf(a) == AddressUse.CarrierShared).ToList();
        var found =
            inner.Count == 0
                ? "No hop with a private address before the internet."
                : $"{inner.Count} {(inner.Count == 1 ? "hop has" : "hops have")} a private address before the internet: {string.Join(", ", inner.Select(a => at?.HolderOf(a) is { } owner && owner != PortRef.Street ? $"{a} ({at.NameOf(owner)})" : $"{a}"))}.";
        var service = home.Site.Service;
        var offered = carrier.Count > 0 && service is not CarrierNat ? OutsideView.Translating : null;
        var offer = offered is null ? null : OutsideView.CarrierOffer;
        if (at is null || Looking.To(at.Seen, at.Owner, trace.Target ?? Provider.Host) is not { } expected)
        {
            return new(id, trace.Line, found, Agreement.Unknown)
            {
                Recorded = "Say where it was taken to have it compared.",
                Offer = offer,
                Corrections = offered is null ? [] : [offered],
            };
        }
        var through = Through(expected, trace);
        var agrees = Same(through, inner, trace);
        var more = inner.Skip(through.Count).ToList();
        return new(
            id,
            trace.Line,
            found,
            agrees is null ? Agreement.Unknown
                : agrees.Value ? Agreement.Agrees
                : Agreement.Disagrees
        )
        {
            Recorded =
                through.Count == 0
                    ? "Recorded: no router in between."
                    : $"Recorded: {string.Join(", ", through.Select(h => h.Owner == PortRef.Street ? "the provider's NAT" : h.Address is { } a ? $"{a} ({at.NameOf(h.Owner)})" : at.NameOf(h.Owner)))}.",
            Explanations =
                agrees != false
                    ? []
                    :
                    [
                        .. Beyond(more, carrier),
                        .. seat is null || at is null
                            ? []
                            : Slips.That(home, design, seat, at, p =>
                                Looking.To(p.Seen, p.Owner, trace.Target ?? Provider.Host) is { } other
                                && Same(Through(other, trace), inner, trace) == true
                            ),
                    ],
            Offer = offer,
            Corrections = offered is null ? [] : [offered],
        };
    }

    /// <summary>Whom a route passes before the internet: the routers of the home, and the provider where it does NAT.</summary>
    private static List<Passed> Through(Trace expected, TraceRead trace) =>
        [
            .. expected.Hops.Where(h =>
                h.Owner != Provider.Internet
                && h.Address != trace.Target
                && (h.Owner != PortRef.Street || (h.Address is { } a && SpecialBlock.UseOf(a) == AddressUse.CarrierShared))
            ),
        ];

    /// <summary>Whether a route goes as expected; null where too little of it answered.</summary>
    private static bool? Same(List<Passed> expected, IReadOnlyList<Ipv4Address> inner, TraceRead trace)
    {
        var silent = trace.Hops.Take(Math.Max(expected.Count, inner.Count)).Any(h => h.Addresses.Count == 0);
        var known =
            expected.Count == inner.Count
            && expected.Zip(inner).All(p => p.First.Address is null || p.First.Owner == PortRef.Street || p.First.Address == p.Second);
        return known ? true
            : silent || trace.Hops.Count < expected.Count ? null
            : false;
    }

    private static IEnumerable<Explanation> Beyond(List<Ipv4Address> more, List<Ipv4Address> carrier)
    {
        if (carrier.Count > 0)
        {
            yield return new(
                $"{carrier[0]} lies between a carrier-grade NAT and its customers (RFC 6598, RFC 7335), and nothing can be opened from outside over IPv4.",
                []
            );
        }
        else if (more.Count > 0)
        {
            yield return new(
                $"A private network lies further out, at {more[0]}: another box, the building's, or the provider's, many of whom number their own routers from 10.0.0.0/8. A private hop proves the network, not NAT: the WAN address on the page of the outermost box settles it.",
                []
            );
        }
    }

    private static Statement Ping(SeatView? at, PingRead ping, string id)
    {
        var target = ping.Target!.Value;
        var whose = at?.HolderOf(target) is { } owner ? $" ({at.NameOf(owner)})" : "";
        var found =
            ping.Answered > 0
                ? $"{target}{whose} answers{(ping.Sent is { } sent && sent > ping.Answered ? $" {ping.Answered} of {sent} times" : "")}{(ping.MiddleMs is { } ms ? $", after {(ms < 1 ? "less than 1" : $"{Math.Round(ms)}")} ms" : "")}."
                : $"{target}{whose} does not answer.";
        if (at is null || Looking.To(at.Seen, at.Owner, target) is not { } expected)
        {
            return new(id, ping.Line, found, Agreement.Unknown)
            {
                Recorded = at is null ? "Say where it was taken to have it compared." : null,
            };
        }
        var yes = expected.Ping.Kind is AnswerKind.Yes or AnswerKind.Luck;
        return ping.Answered > 0
            ? new(
                id,
                ping.Line,
                found,
                expected.Ping.Kind == AnswerKind.Unknown ? Agreement.Unknown
                    : yes ? Agreement.Agrees
                    : Agreement.Disagrees
            )
            {
                Recorded =
                    yes ? null
                    : expected.StoppedBy is { } stopper ? $"By what is recorded, {at.NameOf(stopper)} stops it."
                    : "By what is recorded no host is there.",
            }
            : new(id, ping.Line, found, expected.Ping.Kind == AnswerKind.No ? Agreement.Agrees : Agreement.Unknown)
            {
                Recorded =
                    expected.Ping.Kind == AnswerKind.No
                        ? "By what is recorded it cannot."
                        : "By what is recorded it should. A silent ping is no proof: some machines never answer one. Try a port.",
            };
    }
}
