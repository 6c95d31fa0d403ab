using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>DNS servers that are missing, gone or no DNS servers.</summary>
public static class DnsServerWrong
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.DnsServerWrong,
            "DNS fails",
            "A host has no DNS server, or one that does not answer.",
            "Packets get through, but no name is found: it looks connected and nothing opens.",
            "RFC 1035, RFC 2132 option 6",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Cited(CauseCodes.DnsServerWrong)
            .Select(cause =>
            {
                var subject = cause.Subjects[0];
                var server =
                    GuestId.BoxOf(subject) is null
                    && e.Network.Router(subject) is not null
                    && e.Sheet.Leases.Any(l => l.Offers.Any(o => o.Server == subject));
                return e.Finding(
                    Rule,
                    [subject],
                    server ? $"The DNS server that {e.Name(subject)} hands out does not answer" : cause.Text.TrimEnd('.'),
                    "It shows as connected, and no page opens by its name.",
                    Cure(e, subject, server),
                    ["The provider's own DNS servers are in its letter, or on the page of the box that has the line."]
                );
            });

    private static IEnumerable<Remedy> Cure(Evidence e, string subject, bool server)
    {
        if (server)
        {
            yield return Cures.Hopeful($"Let {e.Name(subject)} hand out itself as DNS server", new SetDnsServers(subject, [], false));
            if (
                e.Network.Find(subject, Side.Lan) is { } lan
                && e.Seen.Hosts.MainRouters(e.Network.Segment(lan.Segment)).FirstOrDefault(r => r.Owner != subject) is { } main
            )
            {
                yield return Cures.Hopeful(
                    $"Let {e.Name(subject)} hand out {e.Name(main.Owner)} as DNS server",
                    new SetDnsServers(subject, [World.Own(main).Address], false)
                );
            }
        }
        var host = e.Network.Find(subject, Side.Device) ?? e.Network.Find(subject, Side.Wan);
        if (host is { Setting: Fixed typed })
        {
            IReadOnlyList<Ipv4Address>? names =
                host.Segment == PortRef.Street
                    ? e.Design.Site.Service is PublicFixed { DnsServers: { Count: > 0 } given }
                        ? given
                        : null
                    : e.Seen.Hosts.MainRouters(e.Network.Segment(host.Segment)) is [var up, ..]
                        ? [World.Own(up).Address]
                        : null;
            if (names is not null)
            {
                var set = typed with { DnsServers = names };
                yield return Cures.Hopeful(
                    $"Set the DNS server of {e.Name(subject)} to {string.Join(" and ", names)}",
                    host.Side == Side.Device ? new SetDeviceAddress(subject, set) : new SetWan(subject, set)
                );
            }
            foreach (var ask in host.Side == Side.Device ? Cures.Ask(e, host) : [])
            {
                yield return ask;
            }
        }
    }
}
