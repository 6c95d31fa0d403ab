using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Sets the DNS servers that a router's DHCP server hands out; none for the router itself.</summary>
/// <param name="Box">Which router.</param>
/// <param name="DnsServers">What it hands out, in order.</param>
/// <param name="LeftOut">Whether it hands out none at all; then <paramref name="DnsServers"/> counts for nothing.</param>
public sealed record SetDnsServers(string Box, IReadOnlyList<Ipv4Address> DnsServers, bool LeftOut) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Server(design, Box, router =>
            Edit.Unless(
                PageChecks.TooMany(DnsServers) ?? DnsServers.Select(PageChecks.WrongHost).FirstOrDefault(w => w is not null),
                router.Server with
                {
                    DnsServers = LeftOut ? [] : DnsServers,
                    LeavesOutDns = LeftOut,
                }
            )
        );

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        $"{design.NameOf(Box)} hands out {(LeftOut ? "no DNS server" : $"{(DnsServers.Count == 0 ? "itself" : string.Join(" and ", DnsServers))} as DNS server")}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.HandedDns, Box)];
}
