using Altrin.Core.Readings;
using Altrin.Core.Sites;

namespace Altrin.Testing;

/// <summary>A reading in short lines, one a thing that was read, so that tests can say in a table what they expect.</summary>
internal static class ReadingWords
{
    public static string Of(Reading reading) => string.Join('\n', All(reading));

    private static IEnumerable<string> All(Reading r) =>
        [
            .. r.Adapters.Select(a =>
                Words(
                    "adapter",
                    a.Name,
                    a.Mac,
                    a.Address,
                    After("alone", a.AddressAlone),
                    a.Way == AddressWay.Unknown ? null : a.Way.ToString().ToLowerInvariant(),
                    After("via", a.Gateway),
                    After("from", a.Server),
                    After("names", Joined(a.DnsServers)),
                    After("in", a.Domain),
                    a.Linked == Known.No ? "unlinked" : null,
                    a.Inside ? "inside" : null,
                    After("rate", a.RateMbps)
                )
            ),
            .. r
                .Routes.Where(x => x.IsDefault || x.Gateway is not null)
                .Select(x =>
                    Words(
                        "route",
                        x.Destination,
                        After("via", x.Gateway),
                        After("on", x.Adapter),
                        After("metric", x.Metric),
                        x.Leased ? "leased" : null
                    )
                ),
            .. r.Neighbours.Select(n =>
                Words(
                    "near",
                    n.Address,
                    n.Mac,
                    n.Name is null ? null : $"\"{n.Name}\"",
                    n.Link is null ? null
                        : n.Link.ByCable ? "by cable"
                        : $"by radio{n.Link.Band?.ToString().Insert(0, " ")}"
                )
            ),
            .. r.DnsServers.Select(n => Words("names", n)),
            .. r.Pings.Select(p => Words("ping", p.Target, $"{p.Answered}/{p.Sent}")),
            .. r.Traces.Select(t =>
                Words(
                    "trace",
                    t.Target,
                    string.Join(' ', t.Hops.Select(h => h.Addresses.Count == 0 ? "*" : Joined(h.Addresses))),
                    t.Arrived == Known.Yes ? "arrived" : null
                )
            ),
            .. r.CableLinks.Select(c =>
                Words(
                    "cable",
                    c.Adapter,
                    c.RateMbps,
                    After("own", c.OwnMostMbps),
                    After("other", c.OtherMostMbps),
                    c.Linked == Known.No ? "unlinked" : null
                )
            ),
            .. r.Networks.Select(n =>
                Words(
                    n.Joined ? "joined" : "heard",
                    $"\"{n.Name}\"",
                    n.Radio,
                    n.Band,
                    n.Channel,
                    n.Level is { } l ? $"{l.Dbm:0.#}{(l.EitherDb > 0 ? "~" : "")}" : null,
                    n.Security,
                    After("rx", n.ReceiveMbps),
                    After("tx", n.SendMbps)
                )
            ),
            .. r.Offers.Select(o =>
                Words(
                    o.Kind.ToString().ToLowerInvariant(),
                    o.Given,
                    After("from", o.Server),
                    o.PrefixLength is { } p ? $"/{p}" : null,
                    After("via", o.Gateway),
                    After("names", Joined(o.DnsServers)),
                    o.LeaseSeconds is { } s ? $"{s}s" : null
                )
            ),
            .. r.Outside.Select(o => Words("outside", o.Seen, After("wan", o.Wan))),
            .. r.Runs.Select(x =>
                Words("run", x.Place, x.By.Word(), x.DownMbps, x.UpMbps, After("s", x.Seconds), After("MB", x.Megabytes), After("to", x.To))
            ),
            .. r.Unread.Select(u => $"unread {u.Line}"),
        ];

    private static string Words(params object?[] words) => string.Join(' ', words.Where(w => w is not null && w.ToString()!.Length > 0));

    private static string? After(string word, object? value) => value?.ToString() is { Length: > 0 } text ? $"{word} {text}" : null;

    private static string Joined<T>(IEnumerable<T> items) => string.Join('+', items);
}
