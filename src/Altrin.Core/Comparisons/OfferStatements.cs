using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Readings;
using Altrin.Core.Sites;

namespace Altrin.Core.Comparisons;

/// <summary>How many DHCP servers answer, by a capture or by leases that were asked for again and again.</summary>
internal static class OfferStatements
{
    /// <summary>How many servers are named.</summary>
    private const int MostNamed = 20;

    public static IEnumerable<Statement> Of(HomeFile home, Design design, string? seat, SeatView? at, Reading reading)
    {
        var offers = reading.Offers.Where(o => o is { Kind: DhcpKind.Offer or DhcpKind.Ack, Server: not null }).ToList();
        if (offers.Count == 0)
        {
            if (reading.Offers.Count > 0)
            {
                yield return new("servers", 0, "Address messages without the address of any server.", Agreement.Unknown);
            }
            yield break;
        }
        var servers = offers.GroupBy(o => o.Server!.Value).OrderBy(g => g.Key).ToList();
        var heard = reading.Offers.Any(o => o.Kind == DhcpKind.Offer);
        var rounds = Math.Max(1, offers.GroupBy(o => (o.Server, o.Kind)).Max(g => g.Count()));
        var said =
            string.Join(
                " and ",
                servers
                    .Take(MostNamed)
                    .Select(g =>
                        $"{g.Key}{(at?.HolderOf(g.Key) is { } owner ? $" ({at.NameOf(owner)})" : ByMac(home.Site, g.Select(o => o.From)) is { } box ? $" ({box.Name}, by its MAC address)" : "")}"
                    )
            ) + (servers.Count > MostNamed ? $" and {servers.Count - MostNamed} more" : "");
        var found = servers.Count == 1 ? $"One DHCP server answered: {said}." : $"{servers.Count} DHCP servers answered: {said}.";
        var enough =
            heard && rounds >= 3 ? null
            : heard
                ? "Collect all offers for 10 s, three times, from a MAC address that no server knows: a slow second server is easily missed."
            : "A lease names only the server that won. Only offers tell them all: capture while asking, three times for 10 s.";
        if (at is null)
        {
            yield return new("servers", 0, found, servers.Count > 1 ? Agreement.Disagrees : Agreement.Unknown)
            {
                Recorded = servers.Count > 1 ? "One network has one DHCP server." : enough,
            };
            yield break;
        }
        // A capture is of one wire: where the machine is on several, of the one whose servers were heard.
        var wire = heard ? at.Segments.FirstOrDefault(s => servers.TrueForAll(g => s.Servers.Any(r => r.Own == g.Key))) : null;
        // A server is known here by the address that it speaks from.
        var recorded = wire?.Servers ?? [.. at.Segments.SelectMany(s => s.Servers)];
        var expected = recorded.Select(s => s.Own).Distinct().ToList();
        var strange = servers.Where(g => !expected.Contains(g.Key)).Take(MostNamed).ToList();
        var missing = expected.Where(e => servers.TrueForAll(g => g.Key != e)).ToList();
        var agrees = strange.Count == 0 && (missing.Count == 0 || !heard);
        var asleep = strange
            .Select(g => at.HolderOf(g.Key))
            .Where(o => o is not null && design.Mode(o) is RouterMode { Server.On: false })
            .Select(o => new SwitchDhcpServer(o!, true))
            .FirstOrDefault();
        yield return new(
            "servers",
            0,
            found,
            strange.Count > 0 ? Agreement.Disagrees
                : agrees && heard ? Agreement.Agrees
                : agrees ? Agreement.Unknown
                : Agreement.Disagrees
        )
        {
            Recorded = string.Join(
                " ",
                new[]
                {
                    expected.Count == 0
                        ? "Recorded: no DHCP server there."
                        : $"Recorded: {string.Join(" and ", recorded.Select(s => $"{s.Own} ({(s.Owner == PortRef.Street ? "the provider" : at.NameOf(s.Owner))})").Distinct())}.",
                    enough,
                }.OfType<string>()
            ),
            Explanations =
                seat is null || agrees
                    ? []
                    :
                    [
                        .. Unknown(home.Site, at, strange),
                        .. Slips.That(home, design, seat, at, p => Answers(p, servers, heard)),
                        .. missing.Count > 0 && heard
                            ?
                            [
                                new Explanation(
                                    $"{string.Join(" and ", missing)} did not answer: it is off, out of addresses, or not on this wire.",
                                    []
                                ),
                            ]
                            : Array.Empty<Explanation>(),
                    ],
            Offer = asleep is null ? null : $"The DHCP server of {design.NameOf(asleep.Box)} is on",
            Changes = asleep is null ? [] : [asleep],
        };
    }

    /// <summary>Whether just these servers would be heard in a place; all of those that won a lease, where only leases tell.</summary>
    private static bool Answers(SeatView place, List<IGrouping<Ipv4Address, OfferRead>> servers, bool heard)
    {
        var there = place.Segments.SelectMany(s => s.Servers).Select(s => s.Own).ToHashSet();
        return servers.TrueForAll(g => there.Contains(g.Key)) && (!heard || there.Count == servers.Count);
    }

    private static IEnumerable<Explanation> Unknown(Site site, SeatView at, IReadOnlyList<IGrouping<Ipv4Address, OfferRead>> strange) =>
        strange
            .Where(g => at.HolderOf(g.Key) is null && ByMac(site, g.Select(o => o.From)) is null)
            .Select(g => new Explanation(
                $"No recorded host is at {g.Key}: a box that was reset, a neighbour's on the wire, or a telephone that shares its connection. Look for {(g.Select(o => o.From).FirstOrDefault(f => f is not null) is { } from ? $"{from}" : "its MAC address")} in the address table.",
                []
            ));

    private static Box? ByMac(Site site, IEnumerable<MacAddress?> from) =>
        from.OfType<MacAddress>()
            .SelectMany(h => site.Boxes.Where(b => MacKin.Of(b, h) is { Kind: KinKind.Same or KinKind.Side or KinKind.Next }))
            .FirstOrDefault();
}
